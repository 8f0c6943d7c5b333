/** Runs of days on which feed falls short, with their causes. May use: everything below. */
package wiselarder.core.gap;
