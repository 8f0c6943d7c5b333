package wiselarder.core.weather;

import java.util.Arrays;
import wiselarder.core.calendar.PlanYear;

/**
 * The weather of every day of a plan. Temperatures deg C, water mm a day, radiation MJ/m2 a day.
 * Never changed once made.
 */
public final class WeatherYear {
  /** A low of this or less for some hours kills warm-season growth: a killing frost. */
  public static final double KILLING_FROST_C = -2.2;

  /** Snow falls and lies at a daily mean below this, deg C. */
  private static final double SNOW_BELOW_C = 0.0;

  /** Snow that holds so much water lies all over. Assumption: some five centimetres of it. */
  private static final double SNOW_COVER_MM = 5;

  /** Snow that holds so much water is too deep to graze through: some 30 cm. Assumption. */
  private static final double SNOW_SHUTS_MM = 75;

  /** Melt by each degree of daily mean above freezing, mm. Usual degree-day range 2 to 6. */
  private static final double MELT_MM_PER_DEGREE = 3.0;

  /** Most water that the top seven centimetres hold, and the share of ET0 that dries them. */
  private static final double SEEDBED_MM = 14;

  private static final double BARE_SHARE = 0.5;
  private static final double SEED_SWELLS_MM = 3;

  /** So many days before the coldest time the first frost counts as past. Assumption. */
  private static final int DEEP_WINTER_DAYS = 60;

  private final PlanYear year;
  final double[] tmin;
  final double[] tmax;
  final double[] rain;
  final double[] et0;
  final double[] solar;

  /** Spread of daily means about the smooth line, deg C; zero where each day is its own. */
  final double[] spread;

  private final boolean[] frostSeason;
  private final Days kind;
  private final double[] reachesSoil;
  private final boolean[] snowLies;
  private final boolean[] snowShuts;
  private final int[] frostDays;
  private final double[] seedbed;

  WeatherYear(
      PlanYear year,
      double[] tmin,
      double[] tmax,
      double[] rain,
      double[] et0,
      double[] solar,
      double[] spread,
      boolean[] frostSeason,
      Days kind) {
    this.year = year;
    this.tmin = tmin;
    this.tmax = tmax;
    this.rain = rain;
    this.et0 = et0;
    this.solar = solar;
    this.spread = spread;
    this.frostSeason = frostSeason;
    this.kind = kind;
    this.snowLies = new boolean[tmin.length];
    this.snowShuts = new boolean[tmin.length];
    this.reachesSoil = meltedRain();
    this.seedbed = seedbed();
    this.frostDays = new int[frostSeason.length];
    for (int d = 0; d < frostDays.length; d++) {
      frostDays[d] = !frostSeason[d] ? -1 : d == 0 ? 0 : frostDays[d - 1] + 1;
    }
  }

  /** This year with the rain of another of the same days. */
  public WeatherYear withRainOf(WeatherYear other) {
    return new WeatherYear(
        year, tmin, tmax, other.rain, et0, solar, spread, frostSeason, Days.REAL_RAIN);
  }

  /**
   * This year with other rain on the same days.
   *
   * @param mm by day
   */
  public WeatherYear withRain(double[] mm) {
    return new WeatherYear(year, tmin, tmax, mm, et0, solar, spread, frostSeason, kind);
  }

  /** What its days are: growth answers to each by a measure of its own. */
  public enum Days {
    /** Real days, wet and dry, warm and cold, as simulated or written down. */
    REAL,
    /** The line through the monthly normals, with a little rain every day. */
    SMOOTH,
    /** That line, with the rain of a year of real days. */
    REAL_RAIN
  }

  public Days kind() {
    return kind;
  }

  public PlanYear year() {
    return year;
  }

  public int days() {
    return tmin.length;
  }

  public double tminC(int day) {
    return tmin[day];
  }

  public double tmaxC(int day) {
    return tmax[day];
  }

  public double tmeanC(int day) {
    return (tmin[day] + tmax[day]) / 2;
  }

  public double rainMm(int day) {
    return rain[day];
  }

  /** Grass reference evapotranspiration. */
  public double et0Mm(int day) {
    return et0[day];
  }

  public double solarMjPerM2(int day) {
    return solar[day];
  }

  /** How far daily means lie about {@link #tmeanC}: more than zero only in smooth years. */
  public double spreadC(int day) {
    return spread[day];
  }

  /** Rain and melt that reach the soil, mm. */
  public double reachesSoilMm(int day) {
    return reachesSoil[day];
  }

  /** True when the top of a bare seedbed is moist enough for seed to swell. */
  public boolean seedbedMoist(int day) {
    return seedbed[day] > SEED_SWELLS_MM;
  }

  /** Snow of the day, mm of water. */
  public double snowMm(int day) {
    return tmeanC(day) < SNOW_BELOW_C ? rain[day] : 0;
  }

  /**
   * True on a day on which rain freezes to what stands: it falls with the mean about freezing after
   * a night below it. Assumption; only real days have such weather.
   */
  public boolean ice(int day) {
    double mean = tmeanC(day);
    return kind != Days.SMOOTH
        && rain[day] >= ICE_MM
        && mean >= SNOW_BELOW_C
        && mean <= ICE_MEAN_C
        && tmin[day] <= ICE_LOW_C;
  }

  private static final double ICE_MM = 6;
  private static final double ICE_MEAN_C = 1;
  private static final double ICE_LOW_C = -1;

  /** True while snow lies, enough to be eaten. */
  public boolean snowLies(int day) {
    return snowLies[day];
  }

  /** True while snow lies too deep for stock to graze through it. */
  public boolean snowShuts(int day) {
    return snowShuts[day];
  }

  /** True from the first to the last killing frost of each winter. */
  public boolean frostSeason(int day) {
    return frostSeason[day];
  }

  /** Days since the frost season began, 0 on its first day; -1 outside of it. */
  public int daysIntoFrostSeason(int day) {
    return frostDays[day];
  }

  /** Rain of the whole plan, mm. */
  public double totalRainMm() {
    return Arrays.stream(rain).sum();
  }

  /** Water in the top of bare ground, where seed lies: a small bucket of its own. */
  private double[] seedbed() {
    double[] top = new double[rain.length];
    double water = SEEDBED_MM / 2;
    for (int d = 0; d < top.length; d++) {
      water = Math.min(SEEDBED_MM, Math.max(0, water + reachesSoil[d] - BARE_SHARE * et0[d]));
      top[d] = water;
    }
    return top;
  }

  /** Snow lies while it is cold and melts by the degree; rain on bare ground goes straight in. */
  private double[] meltedRain() {
    double[] in = new double[rain.length];
    double snow = 0;
    for (int d = 0; d < in.length; d++) {
      double mean = tmeanC(d);
      if (mean < SNOW_BELOW_C) {
        snow += rain[d];
      } else {
        double melt = Math.min(snow, MELT_MM_PER_DEGREE * mean);
        snow -= melt;
        in[d] = rain[d] + melt;
      }
      snowLies[d] = snow >= SNOW_COVER_MM;
      snowShuts[d] = snow >= SNOW_SHUTS_MM;
    }
    return in;
  }

  /**
   * From the first to the last day of each winter with a low of -2.2 C or less; winters are parted
   * by the middle of the climate's summer. A plan that begins in winter begins in the frost season
   * if a frost is still to come that winter.
   */
  static boolean[] frostSeason(PlanYear year, double[] tmin, Climate climate) {
    boolean[] frosty = new boolean[tmin.length];
    int summer = (climate.coldestDoy() + 182) % 365;
    int first = -1;
    int last = -1;
    for (int d = 0; d <= tmin.length; d++) {
      boolean parted = d == tmin.length || year.date(d).getDayOfYear() == summer + 1;
      if (parted && first >= 0) {
        Arrays.fill(frosty, first, d == tmin.length ? d : last + 1, true);
        first = -1;
      }
      if (d < tmin.length && tmin[d] <= KILLING_FROST_C) {
        boolean since = d > 0 && first < 0 && beganInWinter(year, climate, d);
        first = first >= 0 ? first : since ? 0 : d;
        last = d;
      }
    }
    return openEnd(year, climate, frosty, last);
  }

  /** True when no summer lies between the plan's first day and this one, and it began in winter. */
  private static boolean beganInWinter(PlanYear year, Climate climate, int day) {
    int since = Math.floorMod(year.start().getDayOfYear() - climate.coldestDoy() + 182, 365) - 182;
    return since > -DEEP_WINTER_DAYS && day < 182 - since;
  }

  /** A plan that ends in spring or summer ends its last frost season at the last frost. */
  private static boolean[] openEnd(PlanYear year, Climate climate, boolean[] frosty, int last) {
    int sinceColdest =
        Math.floorMod(year.endExclusive().getDayOfYear() - climate.coldestDoy(), 365);
    if (last >= 0 && sinceColdest < 182 && sinceColdest > 0) {
      Arrays.fill(frosty, last + 1, frosty.length, false);
    }
    return frosty;
  }
}
