package wiselarder.core.weather;

import java.util.function.ToDoubleFunction;
import wiselarder.core.calendar.MonthlyLine;
import wiselarder.core.calendar.PlanYear;

/**
 * The year as it usually is: every day the smooth line through the climate's monthly normals, a
 * little rain every day. Frost between the median dates.
 */
public final class NormalYear {
  /** Standard normal quantile of one in ten. */
  private static final double ONE_IN_TEN = 1.2816;

  private NormalYear() {}

  public static WeatherYear of(Climate climate, PlanYear year) {
    return new WeatherYear(
        year,
        line(climate, year, ClimateMonth::tminC),
        line(climate, year, ClimateMonth::tmaxC),
        amounts(climate, year, m -> m.rainMm() / m.days()),
        amounts(climate, year, ClimateMonth::et0MmPerDay),
        amounts(climate, year, ClimateMonth::solarMjPerM2Day),
        amounts(climate, year, ClimateMonth::tSdC),
        climate.frostSeason(year),
        WeatherYear.Days.SMOOTH);
  }

  /**
   * Yearly rain of the one-in-ten year as a share of the mean, from a log-normal yearly total whose
   * variance adds the months' own and their persistence. A check on the generator.
   */
  static double oneInTenRainShare(Climate climate, boolean dry) {
    double variance = 0;
    for (int i = 0; i < 12; i++) {
      for (int j = 0; j < 12; j++) {
        int apart = Math.min(Math.abs(i - j), 12 - Math.abs(i - j));
        double shared =
            i == j
                ? sd(climate, i) * sd(climate, j)
                : WeatherGenerator.factorSd(climate.months().get(i))
                    * climate.months().get(i).rainMm()
                    * WeatherGenerator.factorSd(climate.months().get(j))
                    * climate.months().get(j).rainMm()
                    * Math.pow(WeatherGenerator.MONTH_PERSISTENCE, apart);
        variance += shared;
      }
    }
    double cv2 = variance / Math.pow(climate.annualRainMm(), 2);
    double sigma = Math.sqrt(Math.log(1 + cv2));
    return Math.exp((dry ? -ONE_IN_TEN : ONE_IN_TEN) * sigma - sigma * sigma / 2);
  }

  private static double sd(Climate climate, int month) {
    ClimateMonth m = climate.months().get(month);
    return m.rainMm() * Math.max(m.rainCv(), Math.sqrt(m.chainCv2()));
  }

  private static double[] line(Climate climate, PlanYear year, ToDoubleFunction<ClimateMonth> of) {
    return MonthlyLine.through(climate.monthly(of)).daily(year.start(), year.days());
  }

  private static double[] amounts(
      Climate climate, PlanYear year, ToDoubleFunction<ClimateMonth> of) {
    return MonthlyLine.throughAmounts(climate.monthly(of)).daily(year.start(), year.days());
  }
}
