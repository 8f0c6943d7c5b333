/**
 * Units at the edge and refusals. Inside the core everything is kg DM, ha, cm, days. May use:
 * nothing.
 */
package wiselarder.core.quantity;
