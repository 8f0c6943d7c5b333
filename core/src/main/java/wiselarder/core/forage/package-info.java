/**
 * What grows: the catalogue, growth over the year, and the rules of a sward. May use: quantity,
 * calendar, reference.
 */
package wiselarder.core.forage;
