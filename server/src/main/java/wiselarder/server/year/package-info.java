/**
 * A plan over HTTP with its simulated year: opened, edited, tried, undone, and what was written
 * down of it. In reading order: {@code PlanController}, {@code RecordController}, {@link
 * wiselarder.server.year.YearView} with what it draws of herd, store and costs. May use: catalogue,
 * weather, records, plan, people, problem, json.
 */
package wiselarder.server.year;
