package wiselarder.core.store;

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

  /** Where figures come from, surest last. */
  public enum From {
    /** Nothing is known of it: common grass hay. */
    ASSUMED,
    TABLE,
    /** What stood when it was cut in the plan. */
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
