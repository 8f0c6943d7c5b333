package wiselarder.core.herd;

/**
 * One row of the animal table. Product defaults; the columns' uncertainty stands in docs/model.md.
 * Needs are those of the stage's mean at the typical weight, target gain and usual milk included.
 *
 * @param dmiTypicalPctBw dry matter eaten, percent of live weight a day; low on poor or short
 *     forage, high on leafy forage without limit
 * @param targetGainKgPerDay gain that the needs stand for; below zero the usual loss of fresh dams
 * @param proteinNeedPct crude protein that the diet must hold, percent of DM
 * @param tdnNeedPct total digestible nutrients that the diet must hold, percent of DM
 * @param meNeedMj metabolisable energy a day
 * @param fibreMinPct neutral detergent fibre that the diet must hold, percent of DM
 * @param fibreCapPctBw most neutral detergent fibre that is eaten, percent of live weight a day
 * @param waterAt10L water a day at a mean of 10 C, that in the feed included
 * @param lctDryC lower critical temperature in still air with a dry winter coat
 * @param lctWetC the same with a coat wet through
 */
public record AnimalClass(
    String id,
    String species,
    String name,
    double typicalWeightKg,
    double dmiLowPctBw,
    double dmiTypicalPctBw,
    double dmiHighPctBw,
    double targetGainKgPerDay,
    double proteinNeedPct,
    double tdnNeedPct,
    double meNeedMj,
    double calciumNeedPct,
    double phosphorusNeedPct,
    double fibreMinPct,
    double fibreCapPctBw,
    double waterAt10L,
    double waterAt30L,
    double lctDryC,
    double lctWetC) {

  /** kg DM a head and day at a live weight: {@code weight x percent / 100}. */
  public double intakeKg(double weightKg) {
    return weightKg * dmiTypicalPctBw / 100;
  }

  /** Energy a day at another weight than the typical one: by weight to the power of 0.75. */
  public double meNeedMj(double weightKg) {
    return meNeedMj * Math.pow(weightKg / typicalWeightKg, 0.75);
  }
}
