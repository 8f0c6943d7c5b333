/**
 * How the farms of a person stand this morning: {@link wiselarder.server.morning.Mornings} reckons
 * a farm, {@link wiselarder.server.morning.MorningRepository} keeps it, {@link
 * wiselarder.server.morning.Night} lets workers go through all. May use: work, people, plan,
 * records, jobs, json, http, file, lists.
 */
package wiselarder.server.morning;
