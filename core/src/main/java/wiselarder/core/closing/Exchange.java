package wiselarder.core.closing;

import java.util.Arrays;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Makes a set of ways cheaper by taking or leaving one of them, or some at once, while that does
 * any good: the solver now and then stops an exchange or several short of the best, which is seen
 * against every set that there is.
 */
final class Exchange {
  /** Of so many ways three are exchanged at once; of more it would take too long. */
  static final int FEW_WAYS = 30;

  /** Of so many every set is tried, so that nothing cheaper can be missed. */
  static final int ALL_SETS = 12;

  static final double LEAST_GAIN = 1e-6;

  private final double[] cost;

  /** By way and week that counts. */
  private final double[][] kg;

  private final double[] need;
  private final int[] yearOf;
  private final int years;
  private final boolean bought;
  private final double perKg;
  private final boolean[][] apart;

  /** Ways that are insisted on or forbidden. */
  private final boolean[] fixed;

  private final double[] hours;
  private final double hoursMost;

  private boolean[] taken;

  Exchange(Mix mix, Set<Integer> must, Set<Integer> never) {
    int[] weeks = IntStream.range(0, mix.needKg().length).filter(w -> !mix.isMet(w)).toArray();
    int ways = mix.ways().size();
    cost = mix.ways().stream().mapToDouble(Mix.Way::cost).toArray();
    need = IntStream.of(weeks).mapToDouble(w -> mix.needKg()[w]).toArray();
    kg = new double[ways][];
    for (int i = 0; i < ways; i++) {
      double[] of = mix.ways().get(i).kg();
      kg[i] = IntStream.of(weeks).mapToDouble(w -> of[w]).toArray();
    }
    years = mix.years();
    yearOf = IntStream.of(weeks).map(mix::year).toArray();
    bought = !Double.isInfinite(mix.hayPerKg());
    perKg = bought ? mix.hayPerKg() : Mix.OPEN_PER_KG;
    fixed = new boolean[ways];
    must.forEach(i -> fixed[i] = true);
    never.forEach(i -> fixed[i] = true);
    hours = mix.ways().stream().mapToDouble(Mix.Way::hours).toArray();
    hoursMost = mix.hours(must) + Mix.NO_TIME;
    apart = new boolean[ways][ways];
    for (int[] pair : mix.apart()) {
      boolean both = must.contains(pair[0]) && must.contains(pair[1]);
      apart[pair[0]][pair[1]] = apart[pair[1]][pair[0]] = !both;
    }
  }

  /** Changes a set, which keeps to what is insisted on and forbidden, until nothing is cheaper. */
  void polish(boolean[] set) {
    taken = set;
    double best = objective(left(), costOfTaken());
    while (true) {
      double now = change(0, 2, left(), costOfTaken(), conflicts(), hoursOfTaken(), best);
      if (now == best && set.length <= FEW_WAYS) {
        now = change(0, 3, left(), costOfTaken(), conflicts(), hoursOfTaken(), best);
      }
      if (now == best && set.length <= ALL_SETS) {
        now = change(0, set.length, left(), costOfTaken(), conflicts(), hoursOfTaken(), best);
      }
      if (now == best) {
        return;
      }
      best = now;
    }
  }

  /** Changes up to so many ways from one on; what it costs then, or the best as it was. */
  private double change(
      int from, int most, double[] left, double waysCost, int conflicts, double work, double best) {
    double[] then = new double[left.length];
    for (int i = from; i < taken.length; i++) {
      if (fixed[i]) {
        continue;
      }
      int sign = taken[i] ? -1 : 1;
      for (int w = 0; w < left.length; w++) {
        then[w] = left[w] - sign * kg[i][w];
      }
      int others = conflicts + sign * conflicts(i);
      double costs = waysCost + sign * cost[i];
      taken[i] = !taken[i];
      double works = work + sign * hours[i];
      double now = others == 0 && works <= hoursMost ? objective(then, costs) : best;
      if (now < best - LEAST_GAIN) {
        return now;
      }
      if (most > 1) {
        double deeper = change(i + 1, most - 1, then, costs, others, works, best);
        if (deeper < best) {
          return deeper;
        }
      }
      taken[i] = !taken[i];
    }
    return best;
  }

  private double[] left() {
    double[] left = need.clone();
    for (int i = 0; i < taken.length; i++) {
      for (int w = 0; w < left.length && taken[i]; w++) {
        left[w] -= kg[i][w];
      }
    }
    return left;
  }

  private double costOfTaken() {
    return IntStream.range(0, taken.length).filter(i -> taken[i]).mapToDouble(i -> cost[i]).sum();
  }

  private double hoursOfTaken() {
    return IntStream.range(0, taken.length).filter(i -> taken[i]).mapToDouble(i -> hours[i]).sum();
  }

  private int conflicts(int way) {
    return (int)
        IntStream.range(0, taken.length).filter(i -> i != way && taken[i] && apart[way][i]).count();
  }

  private int conflicts() {
    return IntStream.range(0, taken.length).filter(i -> taken[i]).map(this::conflicts).sum() / 2;
  }

  private double objective(double[] left, double waysCost) {
    if (!bought || years == 1) {
      double open = 0;
      for (double kgOpen : left) {
        open += Math.max(0, kgOpen);
      }
      return waysCost + perKg * open;
    }
    double[] inYear = new double[years];
    for (int w = 0; w < left.length; w++) {
      inYear[yearOf[w]] += Math.max(0, left[w]);
    }
    return waysCost + perKg * Arrays.stream(inYear).max().orElse(0);
  }
}
