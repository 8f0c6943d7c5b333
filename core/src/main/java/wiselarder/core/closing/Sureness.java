package wiselarder.core.closing;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;

/**
 * In how many simulated years of the place a gap is closed, with and without some edits. The gap
 * comes sooner or later in other weather: it is sought in its days and a month on either side.
 *
 * @param first plan day from which it is looked at, {@code last} to which
 * @param dayKg what is asked for on a day of the gap, kg DM: less than that missing is closed
 * @param years each simulated year, the mildest as the plan stands first
 */
public record Sureness(int first, int last, double dayKg, List<Year> years) {
  /** So many days on either side of the gap belong to it in other weather. Assumption. */
  private static final int ASIDE_DAYS = 30;

  /** So many simulated years are looked at. */
  public static final int YEARS = 20;

  /** What is missing in the days of the gap in one simulated year, kg DM. */
  public record Year(Season season, double bareKgBefore, double bareKgAfter) {}

  /**
   * Looks at a plan in the simulated years, always the same ones.
   *
   * @param edits tried on the plan; empty: as it stands
   */
  public static Sureness of(Engine engine, FarmPlan stated, Gap gap, List<PlanEdit> edits) {
    int days = stated.plan().year().days();
    int first = Math.max(0, gap.firstDay() - ASIDE_DAYS);
    int last = Math.min(days - 1, gap.lastDay() + ASIDE_DAYS);
    List<Year> each =
        LongStream.rangeClosed(1, YEARS)
            .parallel()
            .mapToObj(seed -> year(engine, stated, edits, seed, first, last))
            .sorted(Comparator.comparingDouble(Year::bareKgBefore))
            .toList();
    YearBalance now = engine.simulate(stated);
    double need =
        IntStream.rangeClosed(gap.firstDay(), gap.lastDay()).mapToDouble(now::needKg).sum();
    return new Sureness(first, last, need / (gap.lastDay() - gap.firstDay() + 1), each);
  }

  private static Year year(
      Engine engine, FarmPlan stated, List<PlanEdit> edits, long seed, int first, int last) {
    Season season = Season.simulated(seed);
    Engine there = engine.in(season).apart();
    double before = bareKg(there.simulate(stated), first, last);
    double after = edits.isEmpty() ? before : bareKg(there.tryFarmOnly(stated, edits), first, last);
    return new Year(season, before, after);
  }

  private static double bareKg(YearBalance b, int first, int last) {
    return IntStream.rangeClosed(first, last).mapToDouble(b::bareKg).sum();
  }

  /** Years in which less than a day's feed is missing as the plan stands. */
  public int closedBefore() {
    return (int) years.stream().filter(y -> y.bareKgBefore() < dayKg).count();
  }

  /** The same with the edits. */
  public int closedAfter() {
    return (int) years.stream().filter(y -> y.bareKgAfter() < dayKg).count();
  }

  /** How many of the years a share of them is. */
  public int wanted(double share) {
    int rank = (int) Math.ceil(share * years.size() - 1e-9);
    return Math.max(1, Math.min(rank, years.size()));
  }

  /** The year that so large a share of all is no harder than, as the plan stands. */
  public Year noHarder(double share) {
    return years.get(wanted(share) - 1);
  }
}
