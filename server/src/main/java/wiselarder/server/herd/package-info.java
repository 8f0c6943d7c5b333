/**
 * What the herd lacks and can go without, over HTTP: supplements, selling, weaning. May use: year,
 * plan, people.
 */
package wiselarder.server.herd;
