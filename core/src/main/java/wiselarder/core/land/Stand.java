package wiselarder.core.land;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.forage.GrowthCurve;
import wiselarder.core.quantity.Check;

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
  public Stand {
    Check.text("stand.forageId", forageId, 60);
    if (yieldKgPerHa != null) {
      Check.range("stand.yieldKgPerHa", yieldKgPerHa, 200, 40000);
    }
    if (monthlyKgPerHaDay != null) {
      monthlyKgPerHaDay = new GrowthCurve(monthlyKgPerHaDay).monthlyKgPerHaDay();
    }
    if (openingCoverKgPerHa != null) {
      Check.range("stand.openingCoverKgPerHa", openingCoverKgPerHa, 0, 30000);
    }
    Check.range("stand.openingDeadShare", openingDeadShare, 0, 1);
    Check.ordered("stand.dates", fromInclusive, toExclusive);
  }
}
