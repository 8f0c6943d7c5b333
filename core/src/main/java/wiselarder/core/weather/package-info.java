/** Climates: where the frost falls in an ordinary year. May use: quantity, calendar, reference. */
package wiselarder.core.weather;
