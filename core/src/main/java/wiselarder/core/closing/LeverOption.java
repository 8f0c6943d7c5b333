package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.edit.PlanEdit;

/**
 * One way of closing a gap, tried on the engine.
 *
 * @param edits what to apply, together
 * @param bringsKg how much less is bare over the plan, kg DM, and of a gap in grazing how much less
 *     is fed from the store too; negative when it makes things worse
 * @param inGapKg the part of it that falls into the gap itself, kg DM
 * @param bareKgAfter what stays bare over the plan, kg DM
 * @param bareDaysAfter days that stay short
 * @param storedKgMore how much more stored feed is eaten before the gap begins, kg DM: its other
 *     side
 * @param cost in the farm's currency, negative where it is paid for; null when a price is not known
 * @param decideBy last day to act
 */
public record LeverOption(
    Kind kind,
    List<PlanEdit> edits,
    double bringsKg,
    double inGapKg,
    double bareKgAfter,
    int bareDaysAfter,
    double storedKgMore,
    Double cost,
    LocalDate decideBy) {
  /** What is done. */
  public enum Kind {
    /** What stands and nobody may eat. */
    OPEN_STANDING,
    /** What is stored and nobody opens. */
    OPEN_STORE,
    /** A shut field, before its day. */
    OPEN_SOONER,
    /** Stored feed by a way that wastes less. */
    LESS_WASTE,
    /** A longer rotation, so that more stands. */
    SLOW_ROUND,
    /** Stored feed first, so that grass gets ahead. */
    STORE_FIRST,
    STOCKPILE,
    WEAN_SOONER,
    CUT_SURPLUS,
    /** The same, wrapped wilted. */
    CUT_WRAPPED,
    NITROGEN,
    IRRIGATE,
    /** A crop, on a field that lies idle then or gives little. */
    SOW,
    MOVE_BIRTHS,
    SELL,
    SEND_AWAY,
    /** In the ration of dry stock. */
    STRAW,
    /** A byproduct in the trough. */
    CONCENTRATE,
    BUY_HAY
  }
}
