/** Ways to close a gap, tried on the engine: before and after. May use: everything below. */
package wiselarder.core.closing;
