package wiselarder.core.caution;

/**
 * A hazard that the plan meets.
 *
 * @param groupId the group it concerns, or null for every group
 * @param fromDay first day it applies, inclusive
 * @param toDay first day it no longer applies
 * @param blocks true where the field is shut to that group on these days
 */
public record Caution(
    Hazard hazard, String fieldId, String groupId, int fromDay, int toDay, boolean blocks) {}
