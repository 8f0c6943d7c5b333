/** A plan in many simulated years: how sure it is, and what to hold so that it is surer. */
package wiselarder.core.seasons;
