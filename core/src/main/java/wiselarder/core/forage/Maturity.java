package wiselarder.core.forage;

/**
 * How ripe new growth is, from 0 (leafy) to 1 (ripe), by the heat since the stand was last taken
 * down. It is the place at which new growth joins what stands; nothing that stands is made younger
 * by it. Figures are assumptions; a stem split in the field says more.
 */
public final class Maturity {
  /** Heat above the base temperature to heading, and to ripe, while a stand runs to head. */
  private static final double HEADING_HEAT = 420;

  private static final double RIPE_HEAT = 950;

  /** Heading stands at this maturity in the quality table. */
  private static final double HEADING = 0.75;

  /** Out of the time in which it runs to head, growth ages at half speed and no further. */
  private static final double LEAF_SPEED = 0.5;

  private static final double LEAF_AT_MOST = 0.5;

  /** After so many days without growth, what comes next is new growth. Assumption. */
  public static final int WINTERED_AFTER_DAYS = 30;

  /** Beside what grows, so much of it again takes the place of old leaf and stubble. */
  public static final double RENEWED = 0.5;

  /** Once this much of the stems was taken, cool-season grass makes leaf for the rest of a year. */
  public static final double STEMS_TAKEN = 0.25;

  private Maturity() {}

  /** First and last day, after the coldest one, on which a perennial runs to head. Assumption. */
  private record Window(int fromDay, int toDay) {
    static Window of(Forage f) {
      if (f.warmSeason()) {
        // natives run to seed into autumn; sown ones make leaf again once the days shorten
        boolean wild = f.group().equals("native_warm_grass") || f.group().equals("mixed_sward");
        return new Window(120, wild ? 275 : 225);
      }
      return headsOnce(f) ? new Window(45, 170) : new Window(60, 275);
    }
  }

  /** True for cool-season grasses and swards, which after their stems were taken make leaf. */
  public static boolean headsOnce(Forage f) {
    return f.life() == Forage.Life.PERENNIAL
        && !f.warmSeason()
        && !f.group().contains("legume")
        && !f.group().equals("forb");
  }

  /**
   * True on days on which what grows runs to head. Crops sown each time go by their own course.
   *
   * @param daysSinceColdest days since the coldest time of the year, 0 to 365
   */
  public static boolean heads(Forage f, int daysSinceColdest) {
    if (f.life() != Forage.Life.PERENNIAL) {
      return true;
    }
    Window w = Window.of(f);
    return daysSinceColdest >= w.fromDay && daysSinceColdest < w.toDay;
  }

  /** Age in heat after a day with so many degrees above the base. */
  public static double after(double age, double degrees, boolean heads) {
    return heads
        ? age + degrees
        : Math.max(age, Math.min(age + LEAF_SPEED * degrees, heatAt(LEAF_AT_MOST)));
  }

  /** Heat at which a maturity up to heading is reached. */
  public static double heatAt(double maturity) {
    return maturity * HEADING_HEAT / HEADING;
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
