/**
 * The jobs of a plan over HTTP, in words, as a calendar and as letters. May use: weather, plan,
 * people, records, http.
 */
package wiselarder.server.jobs;
