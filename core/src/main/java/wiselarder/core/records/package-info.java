/**
 * What was seen or done on the farm: dated facts that are only ever added. A wrong one is struck
 * out by another one, never changed. Facts belong to the farm, not to a plan: no undo of a plan, no
 * edit of somebody else touches them.
 *
 * <p>In reading order: {@link wiselarder.core.records.Fact} and its kinds, {@link
 * wiselarder.core.records.FarmRecord}, {@link wiselarder.core.records.FarmRecords}. May use:
 * forage, land, herd, store, weather, quantity.
 */
package wiselarder.core.records;
