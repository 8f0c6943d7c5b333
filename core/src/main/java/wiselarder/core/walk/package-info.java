/**
 * A round over the fields: what is expected of each, where a look changes most, what a reading
 * means for the year, and what the readings so far say of growth. May use: everything below and the
 * engine; nothing here is written down.
 */
package wiselarder.core.walk;
