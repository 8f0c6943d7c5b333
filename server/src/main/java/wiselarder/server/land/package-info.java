/** Fields, their map and their forages over HTTP. May use: year, http, file, plan, people. */
package wiselarder.server.land;
