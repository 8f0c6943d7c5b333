/**
 * Climates, and the weather of a plan's days: normal, simulated, recorded, changed. May use:
 * quantity, calendar, reference.
 */
package wiselarder.core.weather;
