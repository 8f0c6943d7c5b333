/**
 * How a farm stands on a morning, for whoever looks after many: read off its year, its jobs and
 * many simulated seasons. May use: everything that reckons; nothing of the core asks it.
 */
package wiselarder.core.morning;
