/**
 * Plate meters and weather stations that send what they read, as the records of a farm. May use:
 * problem, people, plan, records, year, http, lists.
 */
package wiselarder.server.instruments;
