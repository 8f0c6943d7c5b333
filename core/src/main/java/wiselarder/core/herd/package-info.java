/**
 * Groups of animals, their stages through the year and what they eat. May use: quantity, calendar,
 * reference.
 */
package wiselarder.core.herd;
