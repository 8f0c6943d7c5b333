package wiselarder.core.seasons;

import java.util.Arrays;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.quantity.Check;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.weather.WeatherGenerator;

/**
 * How feed lasts in the weather of the first of the years of {@link ManyYears}, from a morning on:
 * nothing but that, so that thousands of farms can be gone through, and looked at again on later
 * mornings without being run again. Until that morning the farm has gone as the plan has it in a
 * normal year, with what was written down; from there on each year brings its own weather.
 *
 * @param years how many were run
 * @param from the plan's day from whose morning on they were run, at most some days before the one
 *     that was asked for
 * @param fed by day: years in which less than a mean day's feed is missing from that day on; before
 *     {@code from} as on it
 * @param inTen by day: the day by which, from that day on, feed has fallen short in a tenth of the
 *     years; -1 where it does in fewer
 */
public record YearsAhead(int years, int from, int[] fed, int[] inTen) {
  private static final double ONE_IN_TEN = 0.1;

  /**
   * Runs them one after the other on this thread.
   *
   * @param day of the plan, 0 for the whole of it
   * @param stopped is asked before each year
   * @throws CancellationException where it was stopped
   */
  public static YearsAhead run(
      Engine engine, FarmPlan stated, int day, int count, BooleanSupplier stopped) {
    Check.range("seasons.years", count, 1, ManyYears.MOST_YEARS);
    YearBalance usual = engine.in(Season.NORMAL).simulate(stated);
    ResolvedPlan normal = usual.resolved();
    WeatherGenerator weather = normal.generator();
    double dayKg = ManyYears.dayKg(usual);
    int days = normal.days;
    int from = usual.turnsOn(day);
    int[] fed = new int[days];
    int[][] next = new int[days][count];
    for (int y = 0; y < count; y++) {
      if (stopped.getAsBoolean()) {
        throw new CancellationException();
      }
      YearBalance b = YearBalance.farmOnlyAfter(normal.in(weather.year(y + 1)), usual, day);
      double missing = 0;
      int bare = -1;
      for (int d = days - 1; d >= from; d--) {
        missing += b.bareKg(d);
        bare = ManyYears.isShort(b, d) ? d : bare;
        fed[d] += missing <= 0 || missing < dayKg ? 1 : 0;
        next[d][y] = bare < 0 ? Integer.MAX_VALUE : bare;
      }
    }
    int rank = Math.max(1, (int) Math.ceil(ONE_IN_TEN * count - 1e-9));
    int[] inTen = new int[days];
    for (int d = from; d < days; d++) {
      Arrays.sort(next[d]);
      int in = next[d][rank - 1];
      inTen[d] = in == Integer.MAX_VALUE ? -1 : in;
    }
    Arrays.fill(fed, 0, from, fed[from]);
    Arrays.fill(inTen, 0, from, inTen[from]);
    return new YearsAhead(count, from, fed, inTen);
  }
}
