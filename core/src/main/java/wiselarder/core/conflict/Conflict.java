package wiselarder.core.conflict;

import java.util.List;
import wiselarder.core.plan.Thing;

/**
 * Something planned that cannot come off as it is planned, or what it asks of the rest.
 *
 * @param what in which list the planned thing stands, and {@code itemId} its id there
 * @param subjects the fields and groups that it is about, by id
 * @param fromDay first plan day, {@code toDay} half-open end
 * @param value the measure of its code, {@code other} what it is held against; 0 where there is
 *     none
 */
public record Conflict(
    Code code,
    Thing what,
    String itemId,
    List<String> subjects,
    int fromDay,
    int toDay,
    double value,
    double other) {

  /** What stands in the way; days are plan days. */
  public enum Code {
    /** Cut while it is shut: the cut takes what was to be kept. */
    CUT_WHILE_SHUT,
    /** Cut where a crop is being sown or is not ready yet. */
    CUT_WHILE_SOWN,
    /** Not said to be fit for mowing. */
    NOT_HAYABLE,
    /** Nothing stands above the stubble on the day of the cut. */
    NOTHING_TO_CUT,
    /** Every field of a grazing step is shut on these days. */
    STEP_SHUT_OUT,
    /** Every field of a grazing step is held by a caution on these days. */
    STEP_HELD,
    /**
     * A step grazes only a crop that is not ready; {@code value} is the day it is, -1 for never.
     */
    NOT_READY,
    /** A grazing step on whose fields nobody grazed; {@code value} kg DM stand there at most. */
    STEP_NEVER_REACHED,
    /** A portion of stored feed of which nothing was there to give. */
    PORTION_NEVER_GIVEN,
    /** A shut field opens while a caution holds it. */
    OPENS_HELD,
    /** Nobody eats what was kept; {@code value} kg DM of feed stand when it opens. */
    KEPT_FOR_NOBODY,
    /** While a field is shut there is no other ground to graze. */
    NO_OTHER_GROUND,
    /** Passes leave less, {@code value} kg DM/ha, than must be left, {@code other}. */
    PASS_BELOW_RESIDUAL,
    /**
     * The ground is prepared for a crop while another stands there: {@code value} kg DM/ha of it.
     */
    SOWN_OVER_CROP,
    /** The seed does not come up in this season. */
    SOWING_FAILS,
    /**
     * What a shut field asks of the rest: {@code value} kg DM/ha/day are grazed there, {@code
     * other} grow. No conflict where that is no more.
     */
    LOAD_ON_THE_REST
  }
}
