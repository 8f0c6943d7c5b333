package wiselarder.core.forage;

/**
 * How ripe a stand is, from 0 (leafy) to 1 (ripe), by the heat since it was last taken down: the
 * first growth of the year runs up to head, regrowth ages more slowly. Figures are assumptions; a
 * stem split in the field says more.
 */
public final class Maturity {
  /**
   * Heat above the base temperature to heading, and to ripe, of growth in its season, deg C days.
   */
  private static final double HEADING_HEAT = 300;

  private static final double RIPE_HEAT = 800;

  /** Heading stands at this maturity in the quality table. */
  private static final double HEADING = 0.75;

  /** Out of its season a stand ages at half speed. */
  private static final double OFF_SEASON = 0.5;

  /** After so many days without growth, what comes next is new growth. Assumption. */
  public static final int WINTERED_AFTER_DAYS = 30;

  private Maturity() {}

  /**
   * Heat that a day adds to the age of a stand.
   *
   * @param season -1 to 1, 1 on the stand's best days of the year; see the growth index
   */
  public static double agedBy(double meanC, double baseC, double season) {
    return Math.max(0, meanC - baseC) * (OFF_SEASON + (1 - OFF_SEASON) * Math.max(0, season));
  }

  /** Maturity at an age in heat. */
  public static double atAge(double heat) {
    return stage(heat, HEADING_HEAT, RIPE_HEAT);
  }

  /** Maturity of a crop by its own course; never older than its regrowth. */
  public static double ofCrop(CropRules.Course course, double stageHeat, double ageHeat) {
    double byCourse = stage(stageHeat, course.headingDegreeDays(), course.ripeDegreeDays());
    return course.jointed(stageHeat) ? Math.max(byCourse, atAge(ageHeat)) : byCourse;
  }

  private static double stage(double heat, double heading, double ripe) {
    if (Double.isInfinite(heading)) {
      return 0;
    }
    return heat <= heading
        ? heat * (HEADING / heading)
        : Math.min(1, HEADING + (heat - heading) * ((1 - HEADING) / (ripe - heading)));
  }

  /**
   * How much more readily an animal takes green than dead. Cattle take both in one mouthful; sheep
   * and goats pick. Assumption.
   */
  public static double picks(String kind) {
    if (kind.startsWith("sheep") || kind.startsWith("goat")) {
      return 3;
    }
    return kind.startsWith("horse") ? 1.6 : 1;
  }

  /** What an animal eats is greener than what it tramples, also in one mouthful. Assumption. */
  public static double chooses(String kind) {
    return Math.max(1.4, picks(kind));
  }
}
