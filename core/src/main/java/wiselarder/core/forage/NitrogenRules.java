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

  /**
   * Of what stock left on a winter's ground, the share that comes free on each day on which the
   * sward grows: half of it in three to four weeks.
   */
  public static final double FREED_PER_DAY = 0.03;

  private static final double MOST_EXTRA = 0.8;
  private static final double HALF_AT_KG_PER_HA = 15;

  /** Legumes at this share of the dry matter feed the sward. */
  private static final double FEEDS_ITSELF_AT = 0.3;

  /** A stand with legumes answers less, as it feeds itself. */
  private static final double LEGUME_ANSWER = 0.4;

  /** Growth that the legumes of a stand lose under plenty of nitrogen. */
  private static final double SUPPRESSION = 0.15;

  private static final double HALF_SUPPRESSED_AT_KG_PER_HA = 30;

  private NitrogenRules() {}

  /** How a sward answers to nitrogen: all of it for grass, two fifths where legumes feed it. */
  public static double answer(double legumeShare) {
    return 1 - Math.min(1, legumeShare / FEEDS_ITSELF_AT) * (1 - LEGUME_ANSWER);
  }

  /**
   * Growth added by nitrogen on a day, kg DM/ha; below zero where a legume loses more than the
   * grass gains.
   *
   * @param growthKgPerHa growth of the day without it
   * @param poolKgPerHa nitrogen left from dressings
   * @param legumeShare of the sward; from 0.3 up the sward feeds itself
   */
  public static double extraKgPerHa(double growthKgPerHa, double poolKgPerHa, double legumeShare) {
    if (poolKgPerHa <= 0) {
      return 0;
    }
    double fixes = Math.min(1, legumeShare / FEEDS_ITSELF_AT);
    double answer = MOST_EXTRA * answer(legumeShare);
    double speed = answer * poolKgPerHa / (poolKgPerHa + HALF_AT_KG_PER_HA);
    double extra = Math.min(growthKgPerHa * speed, poolKgPerHa * KG_DM_PER_KG_N);
    double lost =
        fixes
            * growthKgPerHa
            * SUPPRESSION
            * poolKgPerHa
            / (poolKgPerHa + HALF_SUPPRESSED_AT_KG_PER_HA);
    return extra - lost;
  }
}
