/**
 * Tells open screens what changes. In reading order: {@link wiselarder.server.live.LiveController},
 * {@link wiselarder.server.live.Hearers}, {@link wiselarder.server.live.ChangeRepository}. May use:
 * people, plan.
 */
package wiselarder.server.live;
