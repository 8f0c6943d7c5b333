package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;
import org.ojalgo.type.context.NumberContext;

/**
 * A mixed-integer programme: which of some ways to take, whole or not at all, and how much hay to
 * buy for each week, so that every week's need is met at the least cost. Ways that use the same
 * ground, lot or animals are taken once.
 *
 * @param needKg dry matter that is missing in each week
 * @param ways what each costs and brings
 * @param apart pairs of ways of which at most one is taken
 * @param hayPerKg what a kg of dry matter that is eaten costs as hay; infinite where none is bought
 */
record Mix(double[] needKg, List<Way> ways, List<int[]> apart, double hayPerKg) {
  /** The solver's own is so narrow that it calls one programme in forty infeasible that is not. */
  private static final NumberContext TOLERANCE = NumberContext.of(8, 6);

  /** Where a need cannot be met it stays open at this price a kg, beyond any feed's. */
  static final double OPEN_PER_KG = 1000;

  /**
   * One of the ways.
   *
   * @param cost what it costs in all
   * @param kg what it brings in each week; below zero where it takes
   */
  record Way(double cost, double[] kg) {}

  /**
   * What is cheapest.
   *
   * @param taken places of the ways, ascending
   * @param hayKg hay eaten in each week
   * @param openKg need that is met by nothing
   * @param cost of ways and hay, without what stays open
   */
  record Answer(List<Integer> taken, double[] hayKg, double openKg, double cost) {
    double objective() {
      return cost + OPEN_PER_KG * openKg;
    }
  }

  /**
   * Solves it.
   *
   * @param must ways that are taken in any case; {@code never} those that are not
   */
  Answer solve(Set<Integer> must, Set<Integer> never) {
    ExpressionsBasedModel model = new ExpressionsBasedModel();
    Variable[] take = new Variable[ways.size()];
    model.options.feasibility = TOLERANCE;
    for (int i = 0; i < take.length; i++) {
      take[i] = model.addVariable("way" + i).binary().weight(ways.get(i).cost);
      if (never.contains(i)) {
        take[i].upper(0);
      } else if (must.contains(i)) {
        take[i].lower(1);
      }
    }
    boolean bought = !Double.isInfinite(hayPerKg);
    for (int w = 0; w < needKg.length; w++) {
      Expression met = model.addExpression("week" + w).lower(needKg[w]);
      met.set(model.addVariable("open" + w).lower(0).weight(OPEN_PER_KG), 1);
      if (bought) {
        met.set(model.addVariable("hay" + w).lower(0).weight(hayPerKg), 1);
      }
      for (int i = 0; i < take.length; i++) {
        if (ways.get(i).kg[w] != 0) {
          met.set(take[i], ways.get(i).kg[w]);
        }
      }
    }
    for (int[] pair : apart) {
      if (!(must.contains(pair[0]) && must.contains(pair[1]))) {
        Expression once = model.addExpression("apart" + pair[0] + "-" + pair[1]).upper(1);
        once.set(take[pair[0]], 1).set(take[pair[1]], 1);
      }
    }
    Optimisation.Result result = model.minimise();
    if (!result.getState().isFeasible()) {
      throw new IllegalStateException("a mix that may leave need open has no answer: " + result);
    }
    return answer(take, must, never);
  }

  private Answer answer(Variable[] take, Set<Integer> must, Set<Integer> never) {
    boolean[] taken = new boolean[take.length];
    for (int i = 0; i < take.length; i++) {
      taken[i] = take[i].getValue().doubleValue() > HALF;
    }
    polish(taken, must, never);
    return of(taken);
  }

  private static final double HALF = 0.5;

  /**
   * Takes or leaves one way, or two at once, while that makes it cheaper: the solver now and then
   * stops one exchange short of the best, which is seen against every set that there is.
   */
  private void polish(boolean[] taken, Set<Integer> must, Set<Integer> never) {
    double best = of(taken).objective();
    boolean better = true;
    while (better) {
      better = false;
      for (int a = 0; a < taken.length; a++) {
        for (int b = a; b < taken.length; b++) {
          boolean[] other = taken.clone();
          other[a] = !other[a];
          other[b] = a == b ? other[b] : !other[b];
          double cost = allowed(other, must, never) ? of(other).objective() : best;
          if (cost < best - LEAST_GAIN) {
            best = cost;
            System.arraycopy(other, 0, taken, 0, taken.length);
            better = true;
          }
        }
      }
    }
  }

  private static final double LEAST_GAIN = 1e-6;

  private boolean allowed(boolean[] taken, Set<Integer> must, Set<Integer> never) {
    return must.stream().allMatch(i -> taken[i] || never.contains(i))
        && never.stream().noneMatch(i -> taken[i])
        && apart.stream()
            .noneMatch(
                p -> taken[p[0]] && taken[p[1]] && !(must.contains(p[0]) && must.contains(p[1])));
  }

  /** A set of ways, with what of the need they leave as hay, or open where none is bought. */
  private Answer of(boolean[] take) {
    List<Integer> taken = new ArrayList<>();
    double cost = 0;
    for (int i = 0; i < take.length; i++) {
      if (take[i]) {
        taken.add(i);
        cost += ways.get(i).cost;
      }
    }
    boolean bought = !Double.isInfinite(hayPerKg);
    double[] hay = new double[needKg.length];
    double open = 0;
    for (int w = 0; w < needKg.length; w++) {
      double missing = needKg[w];
      for (int i : taken) {
        missing -= ways.get(i).kg[w];
      }
      missing = Math.max(0, missing);
      if (bought) {
        hay[w] = missing;
        cost += missing * hayPerKg;
      } else {
        open += missing;
      }
    }
    return new Answer(List.copyOf(taken), hay, open, cost);
  }

  /**
   * The same programme in the LP format that common solvers read, with nothing fixed or forbidden.
   */
  String lp() {
    StringBuilder lp = new StringBuilder("\\ ways out of a gap\nMinimize\n obj:");
    for (int i = 0; i < ways.size(); i++) {
      lp.append(term(ways.get(i).cost, "way" + i));
    }
    boolean bought = !Double.isInfinite(hayPerKg);
    for (int w = 0; w < needKg.length; w++) {
      lp.append(bought ? term(hayPerKg, "hay" + w) : "").append(term(OPEN_PER_KG, "open" + w));
    }
    lp.append("\nSubject To\n");
    for (int w = 0; w < needKg.length; w++) {
      lp.append(" week").append(w).append(":").append(term(1, "open" + w));
      lp.append(bought ? term(1, "hay" + w) : "");
      for (int i = 0; i < ways.size(); i++) {
        if (ways.get(i).kg[w] != 0) {
          lp.append(term(ways.get(i).kg[w], "way" + i));
        }
      }
      lp.append(String.format(Locale.ROOT, " >= %.9g%n", needKg[w]));
    }
    for (int[] pair : apart) {
      lp.append(" apart").append(pair[0]).append("_").append(pair[1]).append(":");
      lp.append(term(1, "way" + pair[0])).append(term(1, "way" + pair[1])).append(" <= 1\n");
    }
    lp.append("Binary\n");
    for (int i = 0; i < ways.size(); i++) {
      lp.append(" way").append(i).append("\n");
    }
    return lp.append("End\n").toString();
  }

  private static String term(double by, String name) {
    return String.format(Locale.ROOT, " %s %.9g %s", by < 0 ? "-" : "+", Math.abs(by), name);
  }

  /** The same with more need, week by week. */
  Mix needing(double[] moreKg) {
    double[] more = Arrays.copyOf(needKg, needKg.length);
    for (int w = 0; w < more.length; w++) {
      more[w] += moreKg[w];
    }
    return new Mix(more, ways, apart, hayPerKg);
  }
}
