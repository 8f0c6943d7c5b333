/** The plan year: dates as day numbers counted from its first day. May use: quantity. */
package wiselarder.core.calendar;
