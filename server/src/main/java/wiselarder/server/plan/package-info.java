/**
 * Plans as they are kept: the table, revisions with their edits, undo and history. In reading
 * order: {@link wiselarder.server.plan.Plans}, {@link wiselarder.server.plan.PlanRepository}. May
 * use: json, people.
 */
package wiselarder.server.plan;
