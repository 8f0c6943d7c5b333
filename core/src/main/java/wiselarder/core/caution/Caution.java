package wiselarder.core.caution;

/**
 * A hazard that the plan meets.
 *
 * @param fieldId the field it concerns, or null where it is no field
 * @param lotId the lot it concerns, or null where it is none
 * @param groupId the group it concerns, or null for every group
 * @param fromDay first day it applies, inclusive
 * @param toDay first day it no longer applies
 * @param blocks true where the field or lot is shut to that group on these days
 */
public record Caution(
    Hazard hazard,
    String fieldId,
    String groupId,
    String lotId,
    int fromDay,
    int toDay,
    boolean blocks) {}
