/**
 * Changes of a plan as values. In reading order: {@link wiselarder.core.edit.PlanEdit}, one change
 * that can be applied; {@link wiselarder.core.edit.Difference}, what differs between two states;
 * {@link wiselarder.core.edit.Rebase}, edits put on top of somebody else's. May use: plan and
 * below.
 */
package wiselarder.core.edit;
