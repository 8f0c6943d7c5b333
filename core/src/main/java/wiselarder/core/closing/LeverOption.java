package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.gap.Gap;

/**
 * One way of closing a gap, tried on the engine.
 *
 * @param edits what to apply, together
 * @param bringsKg how much less is missing over the plan, as the gap counts it ({@link
 *     wiselarder.core.gap.Missing}): kg DM that is bare, and of a gap in grazing what is fed from
 *     the store too; kg TDN, protein, live weight or water; negative when it makes things worse
 * @param inGapKg the part of it that falls into the gap itself
 * @param shortDaysAfter days of the gap that stay short of it
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
    int shortDaysAfter,
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
    /** The better of what is stored, for those that need it. */
    BETTER_FEED,
    /** Some hours a day on what is rich and green, for those that need it. */
    RICH_HOURS,
    /** A field without the water that they drink, while it lacks. */
    KEEP_OFF,
    /** A shut field, before its day. */
    OPEN_SOONER,
    /** Stored feed by a way that wastes less. */
    LESS_WASTE,
    /** Good hay for some hours a day. */
    LIMIT_HOURS,
    /** A longer rotation, so that more stands. */
    SLOW_ROUND,
    /** Fields in strips, a day or two at a time. */
    SMALL_BREAKS,
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
    /** Oats in the same pass with a slower crop. */
    COMPANION,
    /** Half as much seed again, so that a crop feeds sooner. */
    MORE_SEED,
    MOVE_BIRTHS,
    SELL,
    SEND_AWAY,
    /** In the ration of dry stock. */
    STRAW,
    /** A byproduct in the trough. */
    CONCENTRATE,
    /** What meets protein and energy at the least cost. */
    SUPPLEMENT,
    /** More water at a field, piped or brought. */
    BRING_WATER,
    BUY_HAY;

    /** Whether it can be a way out of such a gap. */
    public boolean serves(Gap.Kind gap) {
      return switch (gap) {
        case STORE -> !ONLY_NEEDS.contains(this);
        case GRAZING -> !ONLY_NEEDS.contains(this) && !FROM_STORE.contains(this);
        case ENERGY, PROTEIN -> FEEDS_BETTER.contains(this);
        case CONDITION ->
            FEEDS_BETTER.contains(this) || this == LESS_WASTE || this == SELL || this == SEND_AWAY;
        case WATER -> this == KEEP_OFF || this == BRING_WATER || this == SEND_AWAY;
      };
    }

    private static final Set<Kind> ONLY_NEEDS =
        EnumSet.of(BETTER_FEED, RICH_HOURS, KEEP_OFF, SUPPLEMENT, BRING_WATER);

    /** Ways that bring stored feed are none where less of it is to be fed. */
    private static final Set<Kind> FROM_STORE =
        EnumSet.of(
            OPEN_STORE,
            LESS_WASTE,
            LIMIT_HOURS,
            STORE_FIRST,
            CUT_SURPLUS,
            CUT_WRAPPED,
            STRAW,
            CONCENTRATE,
            BUY_HAY);

    private static final Set<Kind> FEEDS_BETTER =
        EnumSet.of(
            OPEN_STANDING,
            OPEN_STORE,
            BETTER_FEED,
            RICH_HOURS,
            OPEN_SOONER,
            STOCKPILE,
            WEAN_SOONER,
            SOW,
            MOVE_BIRTHS,
            CONCENTRATE,
            SUPPLEMENT);
  }
}
