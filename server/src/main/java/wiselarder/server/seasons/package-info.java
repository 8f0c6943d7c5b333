/**
 * A plan in many simulated years over HTTP, reckoned aside with progress and a stop. May use:
 * weather, plan, people, and what the ways out of a gap buy.
 */
package wiselarder.server.seasons;
