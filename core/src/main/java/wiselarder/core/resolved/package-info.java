/**
 * A stated plan as days and figures: names are indices, dates are days, rules are numbers. In
 * reading order: {@link wiselarder.core.resolved.ResolvedPlan} with what it holds of fields,
 * groups, lots and cuts; {@code FieldResolver} and {@code LotResolver}, one for each word; {@code
 * SameDays}, until when two plans go the same way. What is resolved is read by the days and never
 * changed. May use: plan, records, caution and below.
 */
package wiselarder.core.resolved;
