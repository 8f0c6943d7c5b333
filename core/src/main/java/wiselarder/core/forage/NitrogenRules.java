package wiselarder.core.forage;

/**
 * What nitrogen put on grows, day by day: it speeds growth that water and warmth allow, and is used
 * up or lost. Assumptions within common ranges (10 to 30 kg DM for each kg N).
 */
public final class NitrogenRules {
  /** Grown by each kilogram of nitrogen that is taken up, kg DM. */
  public static final double KG_DM_PER_KG_N = 20;

  /** Lost to air and water each day, share of what is left. */
  public static final double LOST_PER_DAY = 0.02;

  private static final double MOST_EXTRA = 0.8;
  private static final double HALF_AT_KG_PER_HA = 15;

  /** A stand with legumes answers less, as it feeds itself. */
  private static final double LEGUME_ANSWER = 0.4;

  /** Growth that the legumes of a stand lose under plenty of nitrogen. */
  private static final double SUPPRESSION = 0.15;

  private static final double HALF_SUPPRESSED_AT_KG_PER_HA = 30;

  private NitrogenRules() {}

  /**
   * Growth added by nitrogen on a day, kg DM/ha; below zero where a legume loses more than the
   * grass gains.
   *
   * @param growthKgPerHa growth of the day without it
   * @param poolKgPerHa nitrogen left from dressings
   * @param fixes true where legumes stand in the sward
   */
  public static double extraKgPerHa(double growthKgPerHa, double poolKgPerHa, boolean fixes) {
    if (poolKgPerHa <= 0) {
      return 0;
    }
    double answer = MOST_EXTRA * (fixes ? LEGUME_ANSWER : 1);
    double speed = answer * poolKgPerHa / (poolKgPerHa + HALF_AT_KG_PER_HA);
    double extra = Math.min(growthKgPerHa * speed, poolKgPerHa * KG_DM_PER_KG_N);
    double lost =
        fixes
            ? growthKgPerHa
                * SUPPRESSION
                * poolKgPerHa
                / (poolKgPerHa + HALF_SUPPRESSED_AT_KG_PER_HA)
            : 0;
    return extra - lost;
  }
}
