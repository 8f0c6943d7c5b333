package wiselarder.core.herd;

/**
 * What a head eats when it goes by its need of energy: {@code need / energy in a kilogram}, but no
 * more fibre than it can hold, {@code cap% of weight / fibre in a kilogram}. The cap is 1.2% of
 * live weight for dry cattle (Mertens, 1987), more when nursing and for small stock: see the animal
 * table.
 */
public final class Appetite {
  private Appetite() {}

  /**
   * Intake, kg DM.
   *
   * @param needMj metabolisable energy needed
   * @param mjPerKg energy in a kilogram of the diet
   * @param fibreCapKg most neutral detergent fibre eaten
   * @param fibrePct neutral detergent fibre of the diet, percent of DM
   */
  public static double kg(double needMj, double mjPerKg, double fibreCapKg, double fibrePct) {
    return Math.min(needMj / mjPerKg, fibreCapKg / (fibrePct / 100));
  }
}
