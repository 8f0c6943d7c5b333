package wiselarder.core.seasons;

import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.weather.WeatherYear;

/**
 * What the weather of a year was, in few figures.
 *
 * @param rainMm by month of the plan, {@code meanC} likewise
 * @param firstFrost plan day of the first killing frost of a winter that begins in the plan, -1 for
 *     none; {@code lastFrost} of the last of one that ends in it
 */
record YearWeather(double[] rainMm, double[] meanC, int firstFrost, int lastFrost) {
  static YearWeather of(WeatherYear w) {
    List<PlanYear.MonthSpan> months = w.year().monthSpans();
    double[] rain = new double[months.size()];
    double[] mean = new double[months.size()];
    for (int m = 0; m < rain.length; m++) {
      PlanYear.MonthSpan span = months.get(m);
      for (int d = span.startInclusive(); d < span.endExclusive(); d++) {
        rain[m] += w.rainMm(d);
        mean[m] += w.tmeanC(d) / (span.endExclusive() - span.startInclusive());
      }
    }
    int first = -1;
    int last = -1;
    for (int d = 1; d < w.days(); d++) {
      if (w.frostSeason(d) && !w.frostSeason(d - 1) && first < 0) {
        first = d;
      }
      if (!w.frostSeason(d) && w.frostSeason(d - 1)) {
        last = d - 1;
      }
    }
    return new YearWeather(rain, mean, first, last);
  }
}
