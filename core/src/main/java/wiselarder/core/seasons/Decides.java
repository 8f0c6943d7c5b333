package wiselarder.core.seasons;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Season;
import wiselarder.core.resolved.ResolvedPlan;

/**
 * How much a thing decides over a year: what the third of the years with most of it has in store at
 * the end, less what was missing, beside the third with least.
 *
 * @param month of rain, cold and heat: the first plan month, counted from 0; else -1
 * @param months so many of them
 * @param kg dry matter that it makes; negative where more of it, or later, is worse
 */
public record Decides(What what, int month, int months, double kg) {
  /** What it is. */
  public enum What {
    RAIN,
    WARMTH,
    FIRST_FROST,
    LAST_FROST,
    /** Births two weeks later than planned. */
    BIRTHS
  }

  private static final int WINDOW = 3;
  private static final int MOST_WINDOWS = 3;
  private static final int LATER_DAYS = 14;

  /** Years that are run again with later births. */
  private static final int RUN = 60;

  /** A difference of fewer standard errors than this is chance. */
  private static final double BEYOND_CHANCE = 3;

  /** Less than half a day's feed is not worth a line. */
  private static final double WORTH_DAYS = 0.5;

  /** Everything that decides, the weightiest first. */
  public static List<Decides> of(Engine engine, FarmPlan stated, ManyYears many) {
    double[] margin = new double[many.years().size()];
    many.years().forEach(y -> margin[(int) y.seed() - 1] = y.storeLeftKg() - y.bareKg());
    List<Decides> found = new ArrayList<>();
    int count = stated.plan().year().monthSpans().size();
    windows(What.RAIN, many, margin, count, YearWeather::rainMm, found);
    windows(What.WARMTH, many, margin, count, YearWeather::meanC, found);
    frost(What.FIRST_FROST, many, margin, YearWeather::firstFrost, found);
    frost(What.LAST_FROST, many, margin, YearWeather::lastFrost, found);
    births(engine.in(Season.NORMAL), stated, margin, found);
    return found.stream()
        .filter(d -> Math.abs(d.kg) >= WORTH_DAYS * many.dayKg())
        .sorted(Comparator.comparingDouble(d -> -Math.abs(d.kg)))
        .toList();
  }

  /** Of the stretches of three months those that decide most, none over another. */
  private static void windows(
      What what,
      ManyYears many,
      double[] margin,
      int months,
      java.util.function.Function<YearWeather, double[]> figure,
      List<Decides> found) {
    List<Decides> all = new ArrayList<>();
    for (int m = 0; m + WINDOW <= months; m++) {
      int from = m;
      double kg =
          thirds(many, margin, w -> Arrays.stream(figure.apply(w), from, from + WINDOW).sum());
      all.add(new Decides(what, m, WINDOW, kg));
    }
    all.sort(Comparator.comparingDouble(d -> -Math.abs(d.kg)));
    List<Decides> taken = new ArrayList<>();
    for (Decides d : all) {
      boolean apart = taken.stream().allMatch(t -> Math.abs(t.month - d.month) >= WINDOW);
      if (apart && taken.size() < MOST_WINDOWS) {
        taken.add(d);
      }
    }
    found.addAll(taken);
  }

  private static void frost(
      What what,
      ManyYears many,
      double[] margin,
      ToDoubleFunction<YearWeather> day,
      List<Decides> found) {
    long without = many.weather().stream().filter(w -> day.applyAsDouble(w) < 0).count();
    if (2 * without < many.weather().size()) {
      found.add(new Decides(what, -1, 0, thirds(many, margin, day)));
    }
  }

  /** Mean margin of the third with most less that with least; 0 where that can be chance. */
  private static double thirds(
      ManyYears many, double[] margin, ToDoubleFunction<YearWeather> figure) {
    Integer[] order = IntStream.range(0, margin.length).boxed().toArray(Integer[]::new);
    Arrays.sort(
        order, Comparator.comparingDouble(y -> figure.applyAsDouble(many.weather().get(y))));
    int third = margin.length / 3;
    if (third < 2) {
      return 0;
    }
    double[] least = IntStream.range(0, third).mapToDouble(i -> margin[order[i]]).toArray();
    double[] most =
        IntStream.range(0, third).mapToDouble(i -> margin[order[margin.length - 1 - i]]).toArray();
    double apart = mean(most) - mean(least);
    double error = Math.sqrt((variance(most) + variance(least)) / third);
    return Math.abs(apart) > BEYOND_CHANCE * error ? apart : 0;
  }

  private static double mean(double[] of) {
    return Arrays.stream(of).sum() / of.length;
  }

  private static double variance(double[] of) {
    double mean = mean(of);
    return Arrays.stream(of).map(v -> (v - mean) * (v - mean)).sum() / (of.length - 1);
  }

  private static void births(Engine engine, FarmPlan stated, double[] margin, List<Decides> found) {
    FarmPlan later = stated;
    for (AnimalGroup g : stated.farm().groups()) {
      if (g.birthStart() != null) {
        later = Items.GROUPS.put(later, g.withBirthsMoved(LATER_DAYS));
      }
    }
    if (later.equals(stated)) {
      return;
    }
    ResolvedPlan plan = engine.resolve(later);
    int n = Math.min(RUN, margin.length);
    double kg =
        IntStream.range(0, n)
            .parallel()
            .mapToDouble(
                i -> {
                  int y = i * margin.length / n;
                  YearBalance b = YearBalance.farmOnly(plan.in(plan.generator().year(y + 1L)));
                  ManyYears.Year year = ManyYears.year(y + 1L, b);
                  return year.storeLeftKg() - year.bareKg() - margin[y];
                })
            .sum();
    found.add(new Decides(What.BIRTHS, -1, 0, kg / n));
  }
}
