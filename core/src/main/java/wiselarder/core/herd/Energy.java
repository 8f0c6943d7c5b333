package wiselarder.core.herd;

/**
 * Metabolisable energy in feed and what it does, MJ. Energy of feed 0.1513 MJ for each percent of
 * TDN; efficiencies for upkeep 0.02 m + 0.5 and for gain 0.043 m with m the MJ in a kilogram of dry
 * matter (Nutrient Requirements of Domesticated Ruminants, 2007, equations for km and kg). Energy
 * in a kilogram of gain: cattle and bison by the gain equation of the National Research Council
 * (1996); sheep 7 + 0.28 MJ for each kg of weight, goats eight tenths of it: assumptions. None for
 * horses, whose energy in the tables is book-keeping only.
 */
public final class Energy {
  public static final double MJ_PER_TDN_PCT = 0.1513;

  /** Net energy that a kilogram of live weight takes a kilometre on the flat, MJ. */
  static final double WALK_MJ_PER_KG_KM = 0.0026;

  /** Share of the energy in lost weight that does the work of feed. */
  static final double FROM_BODY = 0.84;

  private static final double MJ_PER_MCAL = 4.184;

  private Energy() {}

  /** Energy in a kilogram of dry matter. */
  public static double mjPerKg(double tdnPct) {
    return MJ_PER_TDN_PCT * tdnPct;
  }

  /** TDN at which a kilogram of dry matter holds so much energy. */
  public static double tdnPct(double mjPerKg) {
    return mjPerKg / MJ_PER_TDN_PCT;
  }

  static double forUpkeep(double mjPerKg) {
    return 0.02 * mjPerKg + 0.5;
  }

  static double forGain(double mjPerKg) {
    return 0.043 * mjPerKg;
  }

  /** Energy that walking asks for, MJ a head and day: 0.0026 x weight x km / efficiency. */
  public static double walkingMj(double weightKg, double kmPerDay, double mjPerKg) {
    return WALK_MJ_PER_KG_KM * weightKg * kmPerDay / forUpkeep(mjPerKg);
  }

  /** Net energy in a kilogram of gain, MJ; NaN for horses. */
  public static double inGainMjPerKg(String kind, double weightKg) {
    String species = kind.substring(0, Math.max(0, kind.indexOf('/')));
    return switch (species) {
      case "sheep" -> 7 + 0.28 * weightKg;
      case "goat" -> 0.8 * (7 + 0.28 * weightKg);
      case "horse" -> Double.NaN;
      default -> CattleGain.mcalPerKgGain(weightKg) * MJ_PER_MCAL;
    };
  }

  /**
   * Daily gain beside the one that the need stands for, kg a head: energy beyond the need goes into
   * gain, energy short of it comes out of the body.
   *
   * @param overMj energy eaten less energy needed, a head and day
   * @param mjPerKg energy in a kilogram of what is eaten
   */
  public static double gainKg(String kind, double weightKg, double overMj, double mjPerKg) {
    double inGain = inGainMjPerKg(kind, weightKg);
    return overMj >= 0
        ? overMj * forGain(mjPerKg) / inGain
        : overMj * forUpkeep(mjPerKg) / (inGain * FROM_BODY);
  }
}
