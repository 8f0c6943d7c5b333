/**
 * Samples of feed sent to a forage laboratory, and the reports that come back. The laboratory is a
 * port; the one that ships is a simulated stand-in and says so.
 */
package wiselarder.server.laboratory;
