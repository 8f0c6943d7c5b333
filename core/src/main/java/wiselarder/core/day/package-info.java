/**
 * The daily simulation. In reading order: {@link wiselarder.core.day.YearSimulator}, the day in a
 * dozen lines; what it is made of ({@code Growing}, {@code Offers}, {@code Stores}, {@code Diets},
 * {@code Learning}); {@code FarmState}, all that a day leaves behind for the next; {@link
 * wiselarder.core.day.DayBook}, what the days wrote down. May use: resolved and below.
 */
package wiselarder.core.day;
