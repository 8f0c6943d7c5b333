/**
 * How the core's values are written as JSON: strictly, and readable for ever. {@link
 * wiselarder.server.json.PlanDocument} is a farm with a plan, {@link wiselarder.server.json.Lift}
 * brings documents of older versions to the present one step by step. May use: the core.
 */
package wiselarder.server.json;
