package wiselarder.core.herd;

/**
 * Water that animals drink: what the table asks for at 10 and at 30 C, on the line between and
 * beyond to 40, no less in the cold; less the water in what they eat.
 */
public final class Water {
  /** Dry matter of new leaf, of old green, and of what stands dead. Assumptions. */
  public static final double YOUNG_DM_SHARE = 0.22;

  public static final double OLD_DM_SHARE = 0.35;
  public static final double DORMANT_DM_SHARE = 0.65;
  public static final double DEAD_DM_SHARE = 0.85;

  /**
   * Of what an animal asks for it drinks at least this, however wet its feed: leaf is not there all
   * day, and nobody may plan without water. Assumption.
   */
  static final double LEAST_DRUNK_SHARE = 0.25;

  private Water() {}

  /** Water a day at a temperature, that in the feed included, litres. */
  public static double litres(double at10, double at30, double meanC) {
    double share = (Math.max(10, Math.min(40, meanC)) - 10) / 20;
    return at10 + share * (at30 - at10);
  }

  /** Water in feed, litres for each kg of dry matter. */
  public static double inFeedPerKg(double dmShare) {
    return (1 - dmShare) / dmShare;
  }

  /** What is left to drink. */
  public static double drunk(double litres, double inFeed) {
    return Math.max(LEAST_DRUNK_SHARE * litres, litres - inFeed);
  }
}
