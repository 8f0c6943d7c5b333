/**
 * Hazards that the plan meets, and the days on which a feed is held shut. May use: everything
 * below.
 */
package wiselarder.core.caution;
