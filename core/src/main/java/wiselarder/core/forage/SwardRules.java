package wiselarder.core.forage;

/**
 * How a stand answers to its own mass, each rule one formula. All masses kg DM/ha. docs/model.md
 * gives each with its grounds.
 */
public final class SwardRules {
  /** Regrowth from reserves when hardly any leaf is left, as a share of full growth. Assumption. */
  public static final double RESERVE_SHARE = 0.10;

  /** Share of frosted green tops that dies each day of the frost season. Assumption. */
  public static final double FROST_DEATH_PER_DAY = 0.20;

  /** Below this share of the year's peak rate a stand counts as dormant. Assumption. */
  public static final double DORMANT_SHARE = 0.10;

  /** Shade of a kilogram of standing dead as a share of a green one's. Assumption. */
  public static final double DEAD_SHADE = 0.4;

  private SwardRules() {}

  /**
   * Extinction per kg DM/ha for a forage: 95% of light is caught at entry mass ({@code k = 3 /
   * entry mass}). Beer's law on mass instead of leaf area; assumption.
   */
  public static double extinction(double entryMassKgPerHa) {
    return 3 / entryMassKgPerHa;
  }

  /** Light caught by a green mass: {@code 1 - exp(-k x green)}. */
  public static double lightCaught(double extinction, double greenKgPerHa) {
    return 1 - Math.exp(-extinction * greenKgPerHa);
  }

  /**
   * Growth of a sward as a share of the stated rate: light caught over light caught in the
   * reference use (half way between residual and entry mass), but not below {@link #RESERVE_SHARE}.
   */
  public static double leafShare(double extinction, double referenceLight, double greenKgPerHa) {
    return Math.max(RESERVE_SHARE, lightCaught(extinction, greenKgPerHa) / referenceLight);
  }

  /**
   * Share of growth left as mass nears the ceiling: {@code 1 - x^2}, x from 0 at entry mass to 1 at
   * the ceiling, where death equals growth.
   */
  public static double crowdingShare(
      double massKgPerHa, double entryKgPerHa, double ceilingKgPerHa) {
    if (massKgPerHa <= entryKgPerHa) {
      return 1;
    }
    double x = Math.min(1, (massKgPerHa - entryKgPerHa) / (ceilingKgPerHa - entryKgPerHa));
    return 1 - x * x;
  }

  /** Daily share of a loss given per 30 days: {@code 1 - (1 - loss)^(1/30)}. */
  public static double lossPerDay(double lossPerMonth) {
    return 1 - Math.pow(1 - lossPerMonth, 1 / 30.0);
  }

  /** Below this share of the table's residual a growing stand is overgrazed. Assumption. */
  public static final double OVERGRAZED_BELOW = 0.85;

  /** Vigour lost each day bitten to nothing, and won back each day at rest. Assumptions. */
  private static final double VIGOUR_LOST_PER_DAY = 0.015;

  private static final double VIGOUR_WON_PER_DAY = 0.004;

  private static final double LEAST_VIGOUR = 0.2;

  /**
   * Vigour of a perennial stand after one growing day, 1 when sound: kept below its stubble it
   * wears out, the faster the lower; rested it comes back slowly.
   */
  public static double vigourAfter(double vigour, double massKgPerHa, double residualKgPerHa) {
    double limit = OVERGRAZED_BELOW * residualKgPerHa;
    if (massKgPerHa < limit) {
      return Math.max(LEAST_VIGOUR, vigour - VIGOUR_LOST_PER_DAY * (1 - massKgPerHa / limit));
    }
    return Math.min(1, vigour + VIGOUR_WON_PER_DAY);
  }

  /**
   * How much faster or slower dead feed weathers on a day: half of the loss goes with time, half
   * with rain against the normal rain of that day. Assumption.
   */
  public static double weatheringShare(double rainMm, double normalRainMm) {
    return 0.5 + 0.5 * Math.min(10, rainMm / Math.max(0.2, normalRainMm));
  }

  /** Snow of one day that lays tall stands down, mm of water. Assumption. */
  public static final double HEAVY_SNOW_MM = 8;

  /** Share of what stands above the residual that a heavy snow lays out of reach. Assumption. */
  public static double lodgedShare(Forage.Lodging lodging) {
    return switch (lodging) {
      case NONE -> 0;
      case LOW -> 0.04;
      case HIGH -> 0.20;
    };
  }
}
