package wiselarder.core.herd;

/**
 * Scale of condition by species and what a point of it weighs. Cattle and bison for beef 1 to 9,
 * one point 7% of weight (Nutrient Requirements of Beef Cattle, 1996: 6.9%); dairy 1 to 5, 10%;
 * sheep and goats 1 to 5, 13%; horses 1 to 9, 4%. All but the first are assumptions within the
 * usual range.
 *
 * @param lowest lowest score
 * @param highest highest score
 * @param usual score in good working order
 * @param pointShare weight of one point as a share of live weight
 */
public record BodyCondition(double lowest, double highest, double usual, double pointShare) {

  /** The scale of a kind of group, {@code species/animal group}. */
  public static BodyCondition of(String kind) {
    return switch (kind.substring(0, Math.max(0, kind.indexOf('/')))) {
      case "dairy" -> new BodyCondition(1, 5, 3, 0.10);
      case "sheep", "goat" -> new BodyCondition(1, 5, 3, 0.13);
      case "horse" -> new BodyCondition(1, 9, 5, 0.04);
      default -> new BodyCondition(1, 9, 5, 0.07);
    };
  }

  /**
   * Below it animals do not live through what thinned them, or not without lasting harm: 2 of 9,
   * 1.5 of 5. Assumption, on the careful side; a veterinarian decides.
   */
  public double limitOfLife() {
    return lowest + (highest - lowest) / 8;
  }

  /** How far from usual condition, 0, to the limit of life, 1. */
  public double thin(double score) {
    return Math.max(0, Math.min(1, (usual - score) / (usual - limitOfLife())));
  }

  /** Score after a change of weight from a score at a weight, kept on the scale. */
  public double after(double score, double weightKg, double gainedKg) {
    double moved = score + gainedKg / (pointShare * weightKg);
    return Math.max(lowest, Math.min(highest, moved));
  }
}
