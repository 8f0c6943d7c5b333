package wiselarder.core.day;

import wiselarder.core.land.CoverMeasure;

/**
 * A field that was measured during a year.
 *
 * @param field place of the field in the plan
 * @param expectedKgPerHa what the simulation had in that morning, before it was told
 * @param seen what was measured
 * @param rootsHold whether roots hold a pull, null where nobody tried
 */
public record Reading(
    int field, int day, double expectedKgPerHa, CoverMeasure seen, Boolean rootsHold) {}
