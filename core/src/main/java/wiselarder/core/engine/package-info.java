/**
 * From a stated plan, what was written down and a season to the simulated year. May use: everything
 * below; diet, cost and closing ask it.
 */
package wiselarder.core.engine;
