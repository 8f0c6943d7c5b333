package wiselarder.core.weather;

import java.time.LocalDate;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.core.source64.SplitMix64;
import org.apache.commons.rng.core.source64.XoRoShiRo128PlusPlus;
import org.apache.commons.rng.sampling.distribution.AhrensDieterMarsagliaTsangGammaSampler;
import org.apache.commons.rng.sampling.distribution.SharedStateContinuousSampler;
import org.apache.commons.rng.sampling.distribution.ZigguratSampler;
import wiselarder.core.calendar.PlanYear;

/**
 * Years as they might be, each from its seed: the same seed gives the same year, whatever the
 * machine.
 *
 * <p>Rain: a two-state chain of wet and dry days with gamma amounts (the form of Richardson 1981,
 * Water Resources Research 17), each month's amounts multiplied by a log-normal factor of mean one
 * that brings the year-to-year variation up to the climate's and persists from month to month.
 * Temperature: an autocorrelated anomaly of the daily mean, moved by whether the day is wet, and a
 * daily range that shrinks on wet days. Coefficients without a column in the tables are
 * assumptions, listed in docs/model.md.
 */
public final class WeatherGenerator {
  /** Correlation of the factors of neighbouring months. Assumption. */
  static final double MONTH_PERSISTENCE = 0.3;

  /** Correlation of neighbouring days' mean temperature; from the notes of the climate table. */
  private static final double DAY_PERSISTENCE = 0.7;

  /** Wet days of the warm half are cooler, of the cold half milder, by this share of the spread. */
  private static final double WET_SHIFT = 0.35;

  /** Daily range and radiation of a wet day as a share of a dry day's. Assumption. */
  private static final double WET_RANGE = 0.60;

  private static final double WET_SOLAR = 0.55;

  private final Climate climate;
  private final PlanYear year;
  private final WeatherYear normal;
  private final int[] monthOf;
  private final double[] normalHargreaves;
  private final double[] outside;
  private final double[] warmth;

  private WeatherGenerator(Climate climate, PlanYear year) {
    this.climate = climate;
    this.year = year;
    this.normal = NormalYear.of(climate, year);
    int days = year.days();
    this.monthOf = new int[days];
    this.normalHargreaves = new double[days];
    this.outside = new double[days];
    this.warmth = new double[days];
    double mean = 0;
    double warmest = -99;
    for (ClimateMonth m : climate.months()) {
      mean += m.tmeanC() / 12;
      warmest = Math.max(warmest, m.tmeanC());
    }
    for (int d = 0; d < days; d++) {
      LocalDate date = year.date(d);
      monthOf[d] = date.getMonthValue() - 1;
      outside[d] =
          Evapotranspiration.extraterrestrialMj(climate.latitudeDeg(), date.getDayOfYear());
      normalHargreaves[d] =
          Evapotranspiration.hargreavesMm(normal.tmin[d], normal.tmax[d], outside[d]);
      warmth[d] = (normal.tmeanC(d) - mean) / Math.max(1, warmest - mean);
    }
  }

  /** A generator of years for one climate and plan year. */
  public static WeatherGenerator of(Climate climate, PlanYear year) {
    return new WeatherGenerator(climate, year);
  }

  /** Standard deviation of the log-normal factor that a month's rain still needs. */
  static double factorSd(ClimateMonth m) {
    double chain = m.chainCv2();
    double wanted = m.rainCv() * m.rainCv();
    return Math.sqrt(Math.max(0, (wanted - chain) / (1 + chain)));
  }

  /** The year of a seed. */
  public WeatherYear year(long seed) {
    UniformRandomProvider random = random(seed * 2 + 1);
    ZigguratSampler.NormalizedGaussian gauss = ZigguratSampler.NormalizedGaussian.of(random);
    SharedStateContinuousSampler[] amount = amounts(random);
    int days = year.days();
    double[] tmin = new double[days];
    double[] tmax = new double[days];
    double[] rain = new double[days];
    double[] et0 = new double[days];
    double[] solar = new double[days];
    double monthZ = gauss.sample();
    double factor = 1;
    double anomaly = gauss.sample();
    double step = Math.sqrt(1 - DAY_PERSISTENCE * DAY_PERSISTENCE);
    boolean wet = random.nextDouble() < climate.months().get(monthOf[0]).wetShare();
    for (int d = 0; d < days; d++) {
      ClimateMonth m = climate.months().get(monthOf[d]);
      if (d == 0 || monthOf[d] != monthOf[d - 1]) {
        double fresh = Math.sqrt(1 - MONTH_PERSISTENCE * MONTH_PERSISTENCE);
        monthZ = d == 0 ? monthZ : MONTH_PERSISTENCE * monthZ + fresh * gauss.sample();
        factor = monthFactor(m, monthZ);
      }
      wet = random.nextDouble() < (wet ? m.wetAfterWet() : m.wetAfterDry());
      rain[d] = wet ? amount[monthOf[d]].sample() * factor : 0;
      anomaly = DAY_PERSISTENCE * anomaly + step * gauss.sample();
      double share = m.wetShare();
      double shift = -WET_SHIFT * warmth[d] * (wet ? 1 - share : -share);
      double mean = normal.tmeanC(d) + normal.spread[d] * (anomaly * WITHIN + shift);
      double range =
          (normal.tmax[d] - normal.tmin[d])
              * onWet(wet, WET_RANGE, share)
              * Math.max(0.3, 1 + climate.temperatureRangeSd() * gauss.sample());
      tmin[d] = mean - range / 2;
      tmax[d] = mean + range / 2;
      solar[d] = normal.solar[d] * onWet(wet, WET_SOLAR, share);
      et0[d] = et0Mm(d, tmin[d], tmax[d]);
    }
    boolean[] frost = WeatherYear.frostSeason(year, tmin, climate);
    return new WeatherYear(
        year, tmin, tmax, rain, et0, solar, new double[days], frost, WeatherYear.Days.REAL);
  }

  private double monthFactor(ClimateMonth m, double z) {
    double sigma = Math.sqrt(Math.log(1 + Math.pow(factorSd(m), 2)));
    return Math.exp(sigma * z - sigma * sigma / 2);
  }

  /** What falls on a wet day, by month. */
  private SharedStateContinuousSampler[] amounts(UniformRandomProvider random) {
    SharedStateContinuousSampler[] amount = new SharedStateContinuousSampler[12];
    for (int m = 0; m < 12; m++) {
      ClimateMonth c = climate.months().get(m);
      double scale = c.rainMm() / c.wetDays() / c.gammaShape();
      amount[m] = AhrensDieterMarsagliaTsangGammaSampler.of(random, c.gammaShape(), scale);
    }
    return amount;
  }

  /** The normal evapotranspiration of the day, moved as its temperatures move it. */
  private double et0Mm(int d, double tminC, double tmaxC) {
    if (normalHargreaves[d] < 0.05) {
      return normal.et0[d];
    }
    double today = Evapotranspiration.hargreavesMm(tminC, tmaxC, outside[d]);
    return normal.et0[d] * Math.min(2.5, today / normalHargreaves[d]);
  }

  /** Share of the spread that the anomaly carries, so that shift and anomaly together keep it. */
  private static final double WITHIN = 0.98;

  /** A wet day's share of the mean and a dry day's, which keep the mean. */
  private static double onWet(boolean wet, double wetShareOfDry, double wetDays) {
    double dry = 1 / (1 - wetDays + wetDays * wetShareOfDry);
    return wet ? wetShareOfDry * dry : dry;
  }

  /** Seeded as the library's own factory does, which looks classes up and so runs in no browser. */
  private static UniformRandomProvider random(long seed) {
    SplitMix64 mixed = new SplitMix64(seed);
    return new XoRoShiRo128PlusPlus(mixed.nextLong(), mixed.nextLong());
  }
}
