package wiselarder.core.land;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.forage.GrowthCurve;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * What stands on a field, as stated. Growth is the climate's curve, scaled to {@code yieldKgPerHa}
 * when given; or the user's own twelve monthly rates, which win.
 *
 * @param yieldKgPerHa net growth of a normal year, or null for the climate's own
 * @param monthlyKgPerHaDay twelve rates, January first, or null
 * @param openingCoverKgPerHa standing on the plan's first day (or on {@code fromInclusive}); null
 *     for half way between residual and entry mass
 * @param openingDeadShare share of the opening cover that is standing dead
 * @param fromInclusive first day the stand is there (rented residue), or null
 * @param toExclusive first day it is gone again, or null
 */
public record Stand(
    String forageId,
    Double yieldKgPerHa,
    List<Double> monthlyKgPerHaDay,
    Double openingCoverKgPerHa,
    double openingDeadShare,
    LocalDate fromInclusive,
    LocalDate toExclusive) {
  public static final Stated.Figure YIELD_KG_PER_HA =
      Stated.number("stand.yieldKgPerHa", 200, 40000).orNone();
  public static final Stated.Figure OPENING_COVER_KG_PER_HA =
      Stated.number("stand.openingCoverKgPerHa", 0, 30000).orNone();
  public static final Stated.Figure OPENING_DEAD_SHARE =
      Stated.number("stand.openingDeadShare", 0, 1);

  public Stand {
    Check.text("stand.forageId", forageId, 60);
    YIELD_KG_PER_HA.check(yieldKgPerHa);
    if (monthlyKgPerHaDay != null) {
      monthlyKgPerHaDay = new GrowthCurve(monthlyKgPerHaDay).monthlyKgPerHaDay();
    }
    OPENING_COVER_KG_PER_HA.check(openingCoverKgPerHa);
    OPENING_DEAD_SHARE.check(openingDeadShare);
    Check.ordered("stand.dates", fromInclusive, toExclusive);
  }

  /** The same, with so much standing on the plan's first day. */
  public Stand standing(double coverKgPerHa, double deadShare) {
    return new Stand(
        forageId,
        yieldKgPerHa,
        monthlyKgPerHaDay,
        coverKgPerHa,
        deadShare,
        fromInclusive,
        toExclusive);
  }

  /** The same, there between other days. */
  public Stand between(LocalDate from, LocalDate to) {
    return new Stand(
        forageId, yieldKgPerHa, monthlyKgPerHaDay, openingCoverKgPerHa, openingDeadShare, from, to);
  }
}
