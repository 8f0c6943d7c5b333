package wiselarder.core.store;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * What a feed is worth, percent of DM.
 *
 * @param fibrePct neutral detergent fibre
 * @param from where the figures come from
 */
public record FeedWorth(
    double proteinPct,
    double tdnPct,
    double fibrePct,
    double calciumPct,
    double phosphorusPct,
    From from) {
  public static final Stated.Figure PROTEIN_PCT = Stated.number("worth.proteinPct", 0, 60);
  public static final Stated.Figure TDN_PCT = Stated.number("worth.tdnPct", 10, 100);
  public static final Stated.Figure FIBRE_PCT = Stated.number("worth.fibrePct", 0, 100);
  public static final Stated.Figure CALCIUM_PCT = Stated.number("worth.calciumPct", 0, 10);
  public static final Stated.Figure PHOSPHORUS_PCT = Stated.number("worth.phosphorusPct", 0, 10);

  /**
   * The same where it is stated.
   *
   * @throws wiselarder.core.quantity.Refused of figures that no feed has
   */
  public FeedWorth stated() {
    PROTEIN_PCT.check(proteinPct);
    TDN_PCT.check(tdnPct);
    FIBRE_PCT.check(fibrePct);
    CALCIUM_PCT.check(calciumPct);
    PHOSPHORUS_PCT.check(phosphorusPct);
    Check.present("worth.from", from);
    return this;
  }

  /** Where figures come from, surest last. */
  public enum From {
    /** Nothing is known of it: common grass hay. */
    ASSUMED,
    TABLE,
    /** What stood when it was cut in the plan, or at the end of an earlier one. */
    CUT,
    TEST
  }

  /** Common grass hay, for a lot of which nothing is said. Assumption. */
  public static final FeedWorth COMMON_HAY = new FeedWorth(9.5, 54, 65, 0.38, 0.23, From.ASSUMED);

  /** The same with what a test reported in place of what was supposed. */
  public FeedWorth tested(FeedTest test) {
    return new FeedWorth(
        either(test.proteinPct(), proteinPct),
        either(test.tdnPct(), tdnPct),
        either(test.fibrePct(), fibrePct),
        either(test.calciumPct(), calciumPct),
        either(test.phosphorusPct(), phosphorusPct),
        From.TEST);
  }

  private static double either(Double reported, double supposed) {
    return reported == null ? supposed : reported;
  }
}
