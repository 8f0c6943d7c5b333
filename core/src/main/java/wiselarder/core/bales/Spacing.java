package wiselarder.core.bales;

import wiselarder.core.quantity.Stated;

/**
 * How far bales stand apart, and how their rows lie.
 *
 * @param alongM from bale to bale in a row, middle to middle; far apart where a baler left them
 * @param acrossM from row to row
 * @param rowsDeg direction in which rows run, degrees from north to the east; 0 to below 180
 * @param shiftAlongM the first bale of the rows is moved by so much, {@code shiftAcrossM} the first
 *     row; as a grid comes again after its spacing, less than that
 */
public record Spacing(
    double alongM, double acrossM, double rowsDeg, double shiftAlongM, double shiftAcrossM) {
  public static final Stated.Figure ALONG_M = Stated.number("spacing.alongM", 3, 200);
  public static final Stated.Figure ACROSS_M = Stated.number("spacing.acrossM", 3, 60);
  public static final Stated.Figure ROWS_DEG = Stated.number("spacing.rowsDeg", 0, 179.99);
  public static final Stated.Figure SHIFT_ALONG_M = Stated.number("spacing.shiftAlongM", 0, 200);
  public static final Stated.Figure SHIFT_ACROSS_M = Stated.number("spacing.shiftAcrossM", 0, 60);
  private static final double M2_PER_HA = 10_000;

  public Spacing {
    ALONG_M.check(alongM);
    ACROSS_M.check(acrossM);
    ROWS_DEG.check(rowsDeg);
    SHIFT_ALONG_M.check(shiftAlongM);
    SHIFT_ACROSS_M.check(shiftAcrossM);
  }

  /** Ground that so many bales ask for, ha. */
  public double askHa(int bales) {
    return bales * alongM * acrossM / M2_PER_HA;
  }

  /** Bales on a hectare. */
  public double perHa() {
    return M2_PER_HA / (alongM * acrossM);
  }
}
