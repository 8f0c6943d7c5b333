/**
 * Files out and in over HTTP: farm file, lists, ledger. Whatever comes in is shown first, and taken
 * whole or not at all. May use: year, http, file, farm, records, plan, people.
 */
package wiselarder.server.papers;
