/**
 * Fields: the stand on each, its soil and the water in it, and what a crop makes in a place. May
 * use: quantity, calendar, weather, forage.
 */
package wiselarder.core.land;
