package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
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
 * ground, lot or animals are taken once. Several years may be looked at at once: the same ways must
 * do in each, and as much hay is bought as the neediest of them asks for.
 *
 * @param needKg dry matter that is missing in each week, one year after the other
 * @param years how many there are; all of them have as many weeks
 * @param ways what each costs and brings
 * @param apart pairs of ways of which at most one is taken
 * @param hayPerKg what a kg of dry matter that is eaten costs as hay; infinite where none is bought
 * @param hoursMost hours of work that there are for the ways; infinite where nobody said
 */
record Mix(
    double[] needKg,
    int years,
    List<Way> ways,
    List<int[]> apart,
    double hayPerKg,
    double hoursMost) {
  /** The solver's own is so narrow that it calls one programme in forty infeasible that is not. */
  private static final NumberContext TOLERANCE = NumberContext.of(8, 6);

  /** One year. */
  Mix(double[] needKg, List<Way> ways, List<int[]> apart, double hayPerKg) {
    this(needKg, 1, ways, apart, hayPerKg);
  }

  /** With as many hands as it takes. */
  Mix(double[] needKg, int years, List<Way> ways, List<int[]> apart, double hayPerKg) {
    this(needKg, years, ways, apart, hayPerKg, Double.POSITIVE_INFINITY);
  }

  /** Where a need cannot be met it stays open at this price a kg, beyond any feed's. */
  static final double OPEN_PER_KG = 1000;

  /**
   * One of the ways.
   *
   * @param cost what it costs in all
   * @param kg what it brings in each week; below zero where it takes
   * @param hours of work that it takes
   */
  record Way(double cost, double[] kg, double hours) {
    Way(double cost, double[] kg) {
      this(cost, kg, 0);
    }
  }

  /**
   * What is cheapest.
   *
   * @param taken places of the ways, ascending
   * @param hayKg hay that it takes in each week; what is bought is the most that any year takes
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
    Expression[] enough = bought && years > 1 ? enoughHay(model) : new Expression[0];
    for (int w = 0; w < needKg.length; w++) {
      if (isMet(w)) {
        continue;
      }
      Expression met = model.addExpression("week" + w).lower(needKg[w]);
      met.set(model.addVariable("open" + w).lower(0).weight(OPEN_PER_KG), 1);
      if (bought) {
        Variable eaten = model.addVariable("hay" + w).lower(0);
        met.set(eaten, 1);
        if (years > 1) {
          enough[year(w)].set(eaten, -1);
        } else {
          eaten.weight(hayPerKg);
        }
      }
      for (int i = 0; i < take.length; i++) {
        if (ways.get(i).kg[w] != 0) {
          met.set(take[i], ways.get(i).kg[w]);
        }
      }
    }
    if (!Double.isInfinite(hoursMost)) {
      Expression work = model.addExpression("hours").upper(SCALE * hours(must));
      for (int i = 0; i < take.length; i++) {
        work.set(take[i], SCALE * ways.get(i).hours);
      }
    }
    for (int[] pair : apart) {
      if (!(must.contains(pair[0]) && must.contains(pair[1]))) {
        Expression once = model.addExpression("apart" + pair[0] + "-" + pair[1]).upper(1);
        once.set(take[pair[0]], 1).set(take[pair[1]], 1);
      }
    }
    Optimisation.Result result = model.minimise();
    return answer(take, result.getState().isFeasible(), must, never);
  }

  /** Hours that there are; no fewer than what is insisted on takes. */
  double hours(Set<Integer> must) {
    return Math.max(
        hoursMost, must.stream().mapToDouble(i -> Math.max(0, ways.get(i).hours)).sum());
  }

  private double hoursOf(boolean[] taken) {
    double hours = 0;
    for (int i = 0; i < taken.length; i++) {
      hours += taken[i] ? ways.get(i).hours : 0;
    }
    return hours;
  }

  /** What is bought is no less than any year takes. */
  private Expression[] enoughHay(ExpressionsBasedModel model) {
    Variable hay = model.addVariable("hay").lower(0).weight(hayPerKg);
    Expression[] enough = new Expression[years];
    for (int y = 0; y < years; y++) {
      enough[y] = model.addExpression("year" + y).lower(0).set(hay, 1);
    }
    return enough;
  }

  /**
   * Polished from what the solver found. A mix that may leave need open always has an answer: where
   * the solver finds none all the same, from what is insisted on.
   */
  private Answer answer(Variable[] take, boolean solved, Set<Integer> must, Set<Integer> never) {
    boolean[] found = new boolean[take.length];
    boolean[] least = new boolean[take.length];
    for (int i = 0; i < take.length; i++) {
      least[i] = must.contains(i) && !never.contains(i);
      found[i] = solved ? take[i].getValue().doubleValue() > HALF : least[i];
    }
    List<boolean[]> starts = new ArrayList<>(List.of(found, least));
    for (int i = 0; i < take.length && take.length <= Exchange.FEW_WAYS; i++) {
      boolean[] with = least.clone();
      with[i] = true;
      if (allowed(with, must, never)) {
        starts.add(with);
      }
    }
    Exchange exchange = new Exchange(this, must, never);
    starts.forEach(exchange::polish);
    return starts.stream()
        .filter(s -> hoursOf(s) <= hours(must) + NO_TIME)
        .map(this::of)
        .min(Comparator.comparingDouble(Answer::objective))
        .orElseThrow();
  }

  private static final double HALF = 0.5;

  /** Hours are few beside kilograms: in small numbers the solver loses its way. */
  private static final double SCALE = 1000;

  /** Hours below this are rounding. */
  static final double NO_TIME = 1e-6;

  /** Nothing is missing in a week, and no way takes from it. */
  boolean isMet(int week) {
    return needKg[week] <= 0 && ways.stream().allMatch(way -> way.kg[week] >= 0);
  }

  /** The year that a week is in. */
  int year(int week) {
    return week * years / needKg.length;
  }

  private boolean allowed(boolean[] taken, Set<Integer> must, Set<Integer> never) {
    return must.stream().allMatch(i -> taken[i] || never.contains(i))
        && never.stream().noneMatch(i -> taken[i])
        && hoursOf(taken) <= hours(must) + NO_TIME
        && apart.stream()
            .noneMatch(
                p -> taken[p[0]] && taken[p[1]] && !(must.contains(p[0]) && must.contains(p[1])));
  }

  /** A set of ways, with what of the need they leave as hay, or open where none is bought. */
  Answer of(boolean[] take) {
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
    double[] inYear = new double[years];
    double open = 0;
    for (int w = 0; w < needKg.length; w++) {
      double missing = needKg[w];
      for (int i : taken) {
        missing -= ways.get(i).kg[w];
      }
      missing = Math.max(0, missing);
      if (bought) {
        hay[w] = missing;
        inYear[year(w)] += missing;
      } else {
        open += missing;
      }
    }
    if (bought) {
      cost += hayPerKg * Arrays.stream(inYear).max().orElse(0);
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
    boolean most = bought && years > 1;
    lp.append(most ? term(hayPerKg, "hay") : "");
    for (int w = 0; w < needKg.length; w++) {
      lp.append(bought && !most ? term(hayPerKg, "hay" + w) : "");
      lp.append(term(OPEN_PER_KG, "open" + w));
    }
    lp.append("\nSubject To\n");
    for (int y = 0; y < years && most; y++) {
      lp.append(" year").append(y).append(":").append(term(1, "hay"));
      for (int w = 0; w < needKg.length; w++) {
        lp.append(year(w) == y ? term(-1, "hay" + w) : "");
      }
      lp.append(" >= 0\n");
    }
    for (int w = 0; w < needKg.length; w++) {
      if (isMet(w)) {
        continue;
      }
      lp.append(" week").append(w).append(":").append(term(1, "open" + w));
      lp.append(bought ? term(1, "hay" + w) : "");
      for (int i = 0; i < ways.size(); i++) {
        if (ways.get(i).kg[w] != 0) {
          lp.append(term(ways.get(i).kg[w], "way" + i));
        }
      }
      lp.append(String.format(Locale.ROOT, " >= %.9g%n", needKg[w]));
    }
    if (!Double.isInfinite(hoursMost)) {
      lp.append(" hours:");
      for (int i = 0; i < ways.size(); i++) {
        lp.append(term(ways.get(i).hours, "way" + i));
      }
      lp.append(String.format(Locale.ROOT, " <= %.9g%n", hoursMost));
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
    return new Mix(more, years, ways, apart, hayPerKg, hoursMost);
  }

  /** The same with so many hours more. */
  Mix withMoreHours(double more) {
    return new Mix(needKg, years, ways, apart, hayPerKg, hoursMost + more);
  }
}
