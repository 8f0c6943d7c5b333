package wiselarder.core.herd;

/**
 * How heat takes the appetite: from a daily mean of 25 C on one part in a hundred for each degree,
 * a tenth at 35 C, no lower than 0.65. After the steps of Effect of Environment on Nutrient
 * Requirements (National Research Council, 1981) for cattle whose nights are cooler; for others an
 * assumption. Clear danger begins before it shows here: see the caution on heat.
 */
public final class Heat {
  static final double FROM_C = 25;
  static final double PER_DEGREE = 0.01;
  static final double LOWEST = 0.65;

  private Heat() {}

  /** Share of the usual intake that is eaten on a day of this mean temperature. */
  public static double appetite(double meanC) {
    return Math.max(LOWEST, 1 - PER_DEGREE * Math.max(0, meanC - FROM_C));
  }
}
