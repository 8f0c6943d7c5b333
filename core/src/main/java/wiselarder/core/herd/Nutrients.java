package wiselarder.core.herd;

import wiselarder.core.herd.NutrientTable.Kept;

/**
 * Nutrients that feeding brings onto a piece of ground and leaves there, kg of the element.
 *
 * @param nKg nitrogen; {@code pKg} phosphorus, {@code kKg} potassium
 */
public record Nutrients(double nKg, double pKg, double kKg) {
  public static final Nutrients NONE = new Nutrients(0, 0, 0);

  /** Protein is reckoned as so many times its nitrogen. */
  public static final double PROTEIN_PER_NITROGEN = 6.25;

  /** What is in some feed, by its percent of dry matter. */
  public static Nutrients in(double dmKg, double proteinPct, double phosphorusPct, double kPct) {
    return new Nutrients(
        dmKg * proteinPct / 100 / PROTEIN_PER_NITROGEN,
        dmKg * phosphorusPct / 100,
        dmKg * kPct / 100);
  }

  public Nutrients plus(Nutrients other) {
    return new Nutrients(nKg + other.nKg, pKg + other.pKg, kKg + other.kKg);
  }

  public Nutrients times(double share) {
    return new Nutrients(nKg * share, pKg * share, kKg * share);
  }

  /**
   * What stays on the ground where it was eaten.
   *
   * @param low with the most that may go into the air, {@code high} with the least
   * @param soonNKg nitrogen that next season's growth may find: what is in urine, in the middle;
   *     dung and trampled feed free theirs over years
   */
  public record LeftBehind(Nutrients low, Nutrients high, double soonNKg) {
    public LeftBehind times(double share) {
      return new LeftBehind(low.times(share), high.times(share), soonNKg * share);
    }

    public LeftBehind plus(LeftBehind other) {
      return new LeftBehind(low.plus(other.low), high.plus(other.high), soonNKg + other.soonNKg);
    }
  }

  /** What stock leave of what they eat, and of what they trample or leave lying: all of that. */
  public static LeftBehind left(Nutrients eaten, Nutrients refused, Kept by) {
    double excreted = eaten.nKg * (1 - by.nKept());
    Nutrients rest =
        new Nutrients(0, eaten.pKg * (1 - by.pKept()), eaten.kKg * (1 - by.kKept())).plus(refused);
    return new LeftBehind(
        rest.plus(new Nutrients(excreted * (1 - by.nLostHigh()), 0, 0)),
        rest.plus(new Nutrients(excreted * (1 - by.nLostLow()), 0, 0)),
        eaten.nKg * by.nSoonShare());
  }
}
