package wiselarder.core.herd;

/**
 * One row of the animal table: typical intake in percent of live weight a day, and gain. Product
 * default, +/-10% of the typical intake.
 *
 * @param proteinNeedPct crude protein that the diet must hold, percent of DM
 * @param tdnNeedPct total digestible nutrients that the diet must hold, percent of DM
 */
public record AnimalClass(
    String id,
    String species,
    String name,
    double typicalWeightKg,
    double dmiTypicalPctBw,
    double targetGainKgPerDay,
    double proteinNeedPct,
    double tdnNeedPct) {

  /** kg DM a head and day at a live weight: {@code weight x percent / 100}. */
  public double intakeKg(double weightKg) {
    return weightKg * dmiTypicalPctBw / 100;
  }
}
