package wiselarder.core.herd;

import wiselarder.core.herd.Keeping.Shelter;
import wiselarder.core.weather.WeatherYear;

/**
 * Energy that cold costs: for each degree below the lower critical temperature 2% of the need with
 * a dry coat, 3.5% with a coat wet through (usual range 3 to 4%). Wind makes it colder by 0.35
 * degrees for each km/h, the rule of a degree Fahrenheit for each mile an hour. A coat counts as
 * wet through on a day above freezing with 10 mm of rain or more. The last two are assumptions.
 */
public final class Cold {
  static final double DRY_PER_DEGREE = 0.02;
  static final double WET_PER_DEGREE = 0.035;
  static final double DEGREES_PER_KM_H = 0.35;
  static final double SOAKING_MM = 10;

  /** Days with rain in a smooth year, of which rain a day is only a mean. Assumption. */
  static final double RAINY_SHARE = 0.3;

  private Cold() {}

  /**
   * Share by which a day's need of energy rises.
   *
   * @param lctDryC lower critical temperature, dry coat
   * @param lctWetC the same, wet coat
   */
  public static double rise(
      Keeping keeping, double lctDryC, double lctWetC, WeatherYear weather, int day) {
    return rise(
        keeping, lctDryC, lctWetC, weather.tmeanC(day), weather.spreadC(day), weather.rainMm(day));
  }

  /**
   * As above, from the day's figures.
   *
   * @param spreadC how far daily means lie about the mean given; 0 for a day of its own
   */
  static double rise(
      Keeping keeping,
      double lctDryC,
      double lctWetC,
      double meanC,
      double spreadC,
      double rainMm) {
    if (keeping.shelter() == Shelter.HOUSED) {
      return 0;
    }
    boolean open = keeping.shelter() == Shelter.OPEN;
    double felt = meanC - (open ? DEGREES_PER_KM_H * keeping.windKmPerHour() : 0);
    double dry = DRY_PER_DEGREE * degreesBelow(lctDryC, felt, spreadC);
    double soaked = open ? soaked(meanC, spreadC, rainMm) : 0;
    if (soaked <= 0) {
      return dry;
    }
    double wet = Math.max(dry, WET_PER_DEGREE * degreesBelow(lctWetC, felt, spreadC));
    return dry + soaked * (wet - dry);
  }

  /**
   * Degrees below a limit; in a smooth year the mean over days that lie about the line normally.
   */
  static double degreesBelow(double limitC, double meanC, double spreadC) {
    if (spreadC <= 0) {
      return Math.max(0, limitC - meanC);
    }
    double z = (limitC - meanC) / spreadC;
    return spreadC * (z * below(z) + Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI));
  }

  /** Chance that a coat is wet through: of a day 0 or 1, of a smooth year between. */
  private static double soaked(double meanC, double spreadC, double rainMm) {
    if (spreadC <= 0) {
      return meanC > 0 && rainMm >= SOAKING_MM ? 1 : 0;
    }
    double onRainyDays = rainMm / RAINY_SHARE;
    return onRainyDays <= 0
        ? 0
        : RAINY_SHARE * Math.exp(-SOAKING_MM / onRainyDays) * below(meanC / spreadC);
  }

  /** Standard normal distribution, by the logistic fit 1 / (1 + exp(-1.5976 z - 0.07056 z3)). */
  private static double below(double z) {
    return 1 / (1 + Math.exp(-1.5976 * z - 0.07056 * z * z * z));
  }
}
