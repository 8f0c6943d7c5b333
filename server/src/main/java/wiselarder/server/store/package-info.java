/** Bales for some days and how they are set out, over HTTP. May use: year, plan, people. */
package wiselarder.server.store;
