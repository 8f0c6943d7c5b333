/**
 * What grows: the catalogue, growth over the year, the rules of a sward and of a sown crop, feed
 * value. May use: quantity, calendar, reference, weather.
 */
package wiselarder.core.forage;
