package wiselarder.core.forage;

import wiselarder.core.calendar.PlanYear;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.WeatherYear;

/**
 * How well a day suits a forage, water and nitrogen apart: {@code temperature x light x season}, 1
 * on a warm bright day. docs/model.md gives each part with its grounds and what it was set by.
 */
public final class GrowthIndex {
  /** Radiation at which light counts as full, MJ/m2 a day. Assumption. */
  private static final double FULL_LIGHT_MJ = 20;

  /** Points and weights of a normal distribution from -2 to 2 standard deviations. */
  private static final double[] POINTS = {-2, -1.5, -1, -0.5, 0, 0.5, 1, 1.5, 2};

  private static final double[] WEIGHTS = weights();

  private GrowthIndex() {}

  /**
   * The season's swing and when it peaks: perennials do not grow alike at the same temperature in
   * spring and in autumn. Set so that normal years follow the growth table.
   *
   * @param swing growth runs from 1 - swing to 1 + swing
   * @param peakDays days from the middle of the coldest month to the best day
   * @param halfLightMj radiation that gives half of the growth of endless light, MJ/m2 a day
   */
  record Rhythm(double swing, double peakDays, double halfLightMj) {
    static Rhythm of(Forage f) {
      if (f.life() != Forage.Life.PERENNIAL) {
        return new Rhythm(0, 0, 20);
      }
      if (f.warmSeason()) {
        return new Rhythm(0.61, 137, 20);
      }
      if (f.group().contains("legume")) {
        return new Rhythm(0.37, 62, 22);
      }
      return f.group().equals("mixed_sward") ? new Rhythm(0.45, 28, 40) : new Rhythm(0.53, 30, 40);
    }
  }

  /**
   * Trapezoid: none at the base, all between the optimum figures, none at the maximum.
   *
   * @param meanC daily mean temperature
   */
  public static double temperature(Forage f, double meanC) {
    double rising = (meanC - f.baseC()) / (f.optimumLowC() - f.baseC());
    double falling = (f.maximumC() - meanC) / (f.maximumC() - f.optimumHighC());
    return Math.max(0, Math.min(1, Math.min(rising, falling)));
  }

  /** Expected temperature response where daily means lie about a line by a standard deviation. */
  public static double temperature(Forage f, double meanC, double spreadC) {
    if (spreadC <= 0) {
      return temperature(f, meanC);
    }
    double sum = 0;
    for (int i = 0; i < POINTS.length; i++) {
      sum += WEIGHTS[i] * temperature(f, meanC + POINTS[i] * spreadC);
    }
    return sum;
  }

  /** Light response {@code S / (S + half)}, scaled to 1 at 20 MJ/m2 a day. */
  static double light(double solarMj, double halfMj) {
    return solarMj / (solarMj + halfMj) * (FULL_LIGHT_MJ + halfMj) / FULL_LIGHT_MJ;
  }

  /**
   * The index of every day of a weather year.
   *
   * @param season how far the forage is in its season by day; see {@link #season}
   */
  public static double[] daily(Forage f, WeatherYear weather, double[] season) {
    double[] index = new double[weather.days()];
    daily(f, weather, season, 0, 1, index);
    return index;
  }

  /**
   * As above, where several forages lie day after day in one array: {@code [day * of + at]}.
   *
   * @param into is filled at this forage's places
   */
  public static void daily(
      Forage f, WeatherYear weather, double[] season, int at, int of, double[] into) {
    Rhythm rhythm = Rhythm.of(f);
    for (int d = 0; d < weather.days(); d++) {
      int i = d * of + at;
      into[i] =
          temperature(f, weather.tmeanC(d), weather.spreadC(d))
              * light(weather.solarMjPerM2(d), rhythm.halfLightMj())
              * (1 + rhythm.swing() * season[i]);
    }
  }

  /** As {@link #daily(Forage, WeatherYear, double[])}, with the season worked out. */
  public static double[] daily(Forage f, WeatherYear weather, Climate climate) {
    return daily(f, weather, season(f, weather.year(), climate));
  }

  /**
   * How far in its season a stand is on each day: 1 on its best days of the year, -1 half a year
   * on.
   */
  public static double[] season(Forage f, PlanYear year, Climate climate) {
    double[] season = new double[year.days()];
    Rhythm rhythm = Rhythm.of(f);
    int dayOfYear = year.start().getDayOfYear();
    for (int d = 0; d < season.length; d++) {
      season[d] =
          Math.cos(
              2 * Math.PI * (dayOfYear + d - climate.coldestDoy() - rhythm.peakDays()) / 365.25);
    }
    return season;
  }

  private static double[] weights() {
    double[] w = new double[POINTS.length];
    double sum = 0;
    for (int i = 0; i < w.length; i++) {
      w[i] = Math.exp(-POINTS[i] * POINTS[i] / 2);
      sum += w[i];
    }
    for (int i = 0; i < w.length; i++) {
      w[i] /= sum;
    }
    return w;
  }
}
