package wiselarder.core.herd;

/**
 * Daily gain of growing cattle from what they eat, by net energy. Source: the equations of the
 * Nutrient Requirements of Beef Cattle (National Research Council, 1996): maintenance 0.077 Mcal x
 * kg^0.75; metabolisable energy 0.82 of digestible energy, which is 4.409 Mcal for each kg of total
 * digestible nutrients; net energies as cubics of it; gain 13.91 x retained^0.9116 x kg^-0.6837.
 * For medium-frame growing steers in comfort; cold, walking and growth promoters are left out.
 */
public final class CattleGain {
  private static final double MCAL_PER_KG_TDN = 4.409;
  private static final double METABOLISABLE = 0.82;

  private CattleGain() {}

  /** Net energy for maintenance in a kilogram of dry matter, Mcal. */
  public static double maintenanceMcalPerKg(double tdnPct) {
    double me = metabolisableMcalPerKg(tdnPct);
    return 1.37 * me - 0.138 * me * me + 0.0105 * me * me * me - 1.12;
  }

  /** Net energy for gain in a kilogram of dry matter, Mcal. */
  public static double gainMcalPerKg(double tdnPct) {
    double me = metabolisableMcalPerKg(tdnPct);
    return 1.42 * me - 0.174 * me * me + 0.0122 * me * me * me - 1.65;
  }

  private static double metabolisableMcalPerKg(double tdnPct) {
    return METABOLISABLE * MCAL_PER_KG_TDN * tdnPct / 100;
  }

  /**
   * Gain in kg a day; below zero the part of maintenance that lacks, at the energy of gain of 1 kg.
   *
   * @param weightKg live weight
   * @param intakeKg dry matter eaten in a day
   * @param tdnPct total digestible nutrients of it
   */
  public static double kgPerDay(double weightKg, double intakeKg, double tdnPct) {
    double asked = 0.077 * Math.pow(weightKg, 0.75);
    double forMaintenanceKg = asked / maintenanceMcalPerKg(tdnPct);
    if (intakeKg <= forMaintenanceKg) {
      return -(forMaintenanceKg - intakeKg)
          * maintenanceMcalPerKg(tdnPct)
          / mcalPerKgGain(weightKg);
    }
    double retained = (intakeKg - forMaintenanceKg) * Math.max(0, gainMcalPerKg(tdnPct));
    return 13.91 * Math.pow(retained, 0.9116) * Math.pow(weightKg, -0.6837);
  }

  /** Energy retained in a day's gain of 1 kg: the gain equation turned round. */
  static double mcalPerKgGain(double weightKg) {
    return Math.pow(1 / (13.91 * Math.pow(weightKg, -0.6837)), 1 / 0.9116);
  }
}
