/**
 * Makes the engine for the browser from the core's own classes, with the code that reads and writes
 * its records there. In reading order: {@link wiselarder.pocket.make.Make}, {@code CodecMaker},
 * {@link wiselarder.pocket.make.Tables}. What runs in the browser stands in {@code src/browser}.
 */
package wiselarder.pocket.make;
