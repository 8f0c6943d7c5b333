package wiselarder.core.land;

import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * Heights by which a field is grazed, of the leaf canopy where nothing has trodden it, cm; each
 * null for the forage's own.
 *
 * @param enterCm at which stock may come in for the first time of a growing season
 * @param leaveCm at which they leave
 * @param againCm at which they may come back within the season; null for the height of entering
 * @param winterCm at which they leave once growth has stopped
 */
public record Heights(Double enterCm, Double leaveCm, Double againCm, Double winterCm) {
  public static final Stated.Figure ENTER_CM = Stated.number("heights.enterCm", 3, 300).orNone();
  public static final Stated.Figure LEAVE_CM = Stated.number("heights.leaveCm", 1, 150).orNone();
  public static final Stated.Figure AGAIN_CM = Stated.number("heights.againCm", 3, 300).orNone();
  public static final Stated.Figure WINTER_CM = Stated.number("heights.winterCm", 1, 150).orNone();

  public Heights {
    ENTER_CM.check(enterCm);
    LEAVE_CM.check(leaveCm);
    AGAIN_CM.check(againCm);
    WINTER_CM.check(winterCm);
    above(leaveCm, "heights.enterCm", enterCm);
    above(leaveCm, "heights.againCm", againCm);
  }

  private static void above(Double leaveCm, String name, Double heightCm) {
    if (leaveCm != null && heightCm != null && heightCm <= leaveCm) {
      throw new Refused(CoreReason.ENTER_BELOW_LEAVE, name, heightCm, leaveCm);
    }
  }

  /** Nothing stated. */
  public static Heights none() {
    return new Heights(null, null, null, null);
  }
}
