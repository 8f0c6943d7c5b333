package wiselarder.core.herd;

/**
 * Where a day's energy goes in one grown animal: upkeep, cold and walking first, then what it
 * carries or milks, then its body. Metabolisable energy in MJ a head and day.
 *
 * <p>{@code gain = (eaten - upkeep - cold and walking - milk - young in the womb) x efficiency /
 * energy in a kilogram}, one sign for gain and loss. Upkeep goes by what the animal weighs now, to
 * the power 0.75, so a thin one needs less and no weight runs away. Milk gives way before the cow
 * does: of what lacks it bears a share that grows from three tenths in good condition to all of it
 * at the limit of life (assumption).
 *
 * @param gainKg a day; below zero a loss
 * @param milkShare of her milk that she still gives, 1 where there is none
 */
public record BodyEnergy(double gainKg, double milkShare) {
  /** Energy asked for beyond so many times upkeep is milk; below it, a young in the womb. */
  private static final double MILK_BEYOND_UPKEEP = 1.25;

  private static final double MILK_BEARS_FIRST = 0.3;

  /**
   * A day.
   *
   * @param kind of group
   * @param weightKg of one today
   * @param usualKg weight for which the need stands
   * @param needMj of one at that weight, cold and walking included
   * @param extraMj of it for cold and walking
   * @param upkeepMj of it for upkeep
   * @param eatenMj by one
   * @param mjPerKg of what is eaten
   * @param thin 0 in usual condition or above, 1 at the limit of life
   * @param targetKg gain that the need stands for
   */
  public static BodyEnergy of(
      String kind,
      double weightKg,
      double usualKg,
      double needMj,
      double extraMj,
      double upkeepMj,
      double eatenMj,
      double mjPerKg,
      double thin,
      double targetKg) {
    // a class that usually milks off its back stops doing so as it gets thin
    double aimKg = targetKg < 0 ? targetKg * (1 - thin) : targetKg;
    double now = upkeepMj * Math.pow(weightKg / usualKg, 0.75);
    double made = Math.max(0, needMj - extraMj - upkeepMj);
    double over = eatenMj - now - extraMj - made;
    if (over >= 0) {
      return new BodyEnergy(aimKg + Energy.gainKg(kind, weightKg, over, mjPerKg), 1);
    }
    double milk = Math.max(0, needMj - extraMj - MILK_BEYOND_UPKEEP * upkeepMj);
    double bears = MILK_BEARS_FIRST + (1 - MILK_BEARS_FIRST) * Math.max(0, Math.min(1, thin));
    double less = Math.min(milk, -over * bears);
    double gain = aimKg + Energy.gainKg(kind, weightKg, over + less, mjPerKg);
    return new BodyEnergy(gain, milk <= 0 ? 1 : 1 - less / milk);
  }
}
