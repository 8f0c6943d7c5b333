package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.cost.Bill;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sowing;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;

/**
 * The cheapest mix of ways out of a gap. What each way brings into each week is measured on the
 * engine, a {@link Mix} chooses among them and hay, and the engine is run on the choice: where they
 * bring less together than alone, the need is raised by what is missing and it is chosen again, and
 * last of all hay is bought until the engine agrees.
 *
 * @param taken places of the ways that are taken
 * @param edits of those ways and of the hay, one after the other
 * @param hay those of them that buy hay; empty where none is
 * @param cost in the farm's currency, as {@link #costOf} counts it
 * @param hayCost the part of it that is hay
 * @param buyingAllCost what it costs where hay alone closes the gap; NaN where none can
 * @param gapKg what is bare as the plan stands
 * @param leftKg what stays bare; 0 where the engine agrees that it is closed
 * @param repairs how many times it was chosen anew as the engine had brought less
 * @param worth what another kg is worth, month by month
 * @param enters ways that are not taken, the nearest to being so first
 * @param unpriced ways whose cost is not known, which are left out
 */
public record LeastCost(
    List<Integer> taken,
    List<PlanEdit> edits,
    List<PlanEdit> hay,
    double cost,
    double hayCost,
    double buyingAllCost,
    double gapKg,
    double leftKg,
    int repairs,
    List<Worth> worth,
    List<Enters> enters,
    List<Integer> unpriced) {

  /** What a kg of dry matter more in some month is worth: the most to pay for it. */
  public record Worth(LocalDate from, double needKg, double perKg) {}

  /** A way that is not taken, and by how much it would have to be cheaper to be. */
  public record Enters(int way, double cheaperBy) {}

  /**
   * What is lost of the value of an animal that is sold before its time, as a share of it. What it
   * brings is no gain: the animal was worth it before. Assumption.
   */
  private static final double SALE_LOSS = 0.1;

  private static final int WEEK = 7;
  private static final int MOST_REPAIRS = 4;
  private static final double NOTHING_KG = 1;
  private static final double TRIED_KG = 100;
  private static final int BOUGHT_BEFORE_DAYS = 14;

  /**
   * Chooses among some ways.
   *
   * @param ways edits of each, found on the plan as it stands
   * @param hay hay like this may be bought, or null for none
   * @param must places of ways that are taken in any case; {@code never} of those that are not
   */
  public static LeastCost of(
      Engine engine,
      FarmPlan stated,
      Gap gap,
      List<List<PlanEdit>> ways,
      Lot hay,
      Set<Integer> must,
      Set<Integer> never) {
    return new Search(engine, stated, gap, ways, hay, must, never).answer();
  }

  /**
   * The programme before any repair, written out for another solver, and the objective that is
   * found for it here.
   */
  public record Programme(String lp, double objective) {}

  /** The programme of {@link #of}, with nothing insisted on or forbidden. */
  public static Programme programme(
      Engine engine, FarmPlan stated, Gap gap, List<List<PlanEdit>> ways, Lot hay) {
    Search search = new Search(engine, stated, gap, ways, hay, Set.of(), Set.of());
    Mix mix = search.first();
    return new Programme(mix.lp(), mix.solve(Set.of(), Set.of()).objective());
  }

  /** What a way counts for: what is paid, and of what is sold the part that is lost. */
  static double costOf(Bill bill) {
    return bill.lines().stream()
        .mapToDouble(l -> l.money() < 0 ? -SALE_LOSS * l.money() : l.money())
        .sum();
  }

  private static final class Search {
    private final Engine engine;
    private final FarmPlan stated;
    private final Gap gap;
    private final List<List<PlanEdit>> ways;
    private final Lot pattern;
    private final Set<Integer> must;
    private final Set<Integer> never;
    private final YearBalance before;
    private final Trial trial;
    private final int weeks;

    Search(
        Engine engine,
        FarmPlan stated,
        Gap gap,
        List<List<PlanEdit>> ways,
        Lot hay,
        Set<Integer> must,
        Set<Integer> never) {
      this.engine = engine;
      this.stated = stated;
      this.gap = gap;
      this.ways = ways;
      this.pattern = hay;
      this.must = Set.copyOf(must);
      this.never = new HashSet<>(never);
      this.before = engine.simulate(stated);
      this.trial = new Trial(engine, stated, gap);
      this.weeks = (before.days() + WEEK - 1) / WEEK;
    }

    Mix first() {
      List<Measured> measured = IntStream.range(0, ways.size()).mapToObj(this::measure).toList();
      double perKg = bought(List.of()).map(b -> b.cost / b.kg).orElse(Double.POSITIVE_INFINITY);
      return mix(measured, perKg);
    }

    LeastCost answer() {
      List<Measured> measured =
          IntStream.range(0, ways.size()).parallel().mapToObj(this::measure).toList();
      List<Integer> unpriced = new ArrayList<>();
      for (int i = 0; i < measured.size(); i++) {
        if (Double.isNaN(measured.get(i).cost)) {
          unpriced.add(i);
          never.add(i);
        }
      }
      Optional<Bought> all = bought(List.of());
      double perKg = all.map(b -> b.cost / b.kg).orElse(Double.POSITIVE_INFINITY);
      Mix mix = mix(measured, perKg);
      Choice chosen = choose(mix);
      int repairs = 0;
      for (; repairs < MOST_REPAIRS; repairs++) {
        double[] missing = missing(chosen);
        if (IntStream.range(0, weeks).noneMatch(w -> missing[w] > NOTHING_KG)) {
          break;
        }
        mix = mix.needing(missing);
        Choice next = choose(mix);
        if (next.answer.taken().equals(chosen.answer.taken())) {
          break;
        }
        chosen = next;
      }
      return done(mix, chosen, measured, all, repairs, unpriced);
    }

    /** What is chosen, as edits of the plan. */
    private record Choice(Mix.Answer answer, List<PlanEdit> edits) {}

    /** Where what is chosen cannot be made one after the other, without the dearest of it. */
    private Choice choose(Mix mix) {
      while (true) {
        Mix.Answer answer = mix.solve(must, never);
        try {
          List<List<PlanEdit>> taken = answer.taken().stream().map(ways::get).toList();
          List<PlanEdit> edits = Together.of(stated, taken);
          engine.tryOut(stated, edits);
          return new Choice(answer, edits);
        } catch (Refused refused) {
          int dearest =
              answer.taken().stream()
                  .filter(i -> !must.contains(i))
                  .max(Comparator.comparingDouble(i -> mix.ways().get(i).cost()))
                  .orElseThrow(() -> refused);
          never.add(dearest);
        }
      }
    }

    private LeastCost done(
        Mix mix,
        Choice choice,
        List<Measured> measured,
        Optional<Bought> all,
        int repairs,
        List<Integer> unpriced) {
      Mix.Answer chosen = choice.answer;
      List<PlanEdit> edits = new ArrayList<>(choice.edits);
      double cost = chosen.taken().stream().mapToDouble(i -> measured.get(i).cost).sum();
      double hayCost = 0;
      List<PlanEdit> hay = List.of();
      double left = trial.leftKg(edits);
      if (left > NOTHING_KG) {
        Optional<Bought> more = bought(edits);
        if (more.isPresent()) {
          hay = more.get().edits;
          edits.addAll(hay);
          hayCost = more.get().cost;
          left = trial.leftKg(edits);
        }
      }
      return new LeastCost(
          chosen.taken(),
          List.copyOf(edits),
          hay,
          cost + hayCost,
          hayCost,
          all.map(b -> b.cost).orElse(Double.NaN),
          trial.leftKg(List.of()),
          left,
          repairs,
          worth(mix, chosen),
          enters(mix, chosen),
          unpriced);
    }

    /** A way alone: what it costs, and what it brings in each week. */
    private record Measured(double cost, double[] kg) {}

    private Measured measure(int way) {
      YearBalance after;
      try {
        after = engine.tryOut(stated, ways.get(way));
      } catch (Refused refused) {
        return new Measured(Double.NaN, new double[weeks]);
      }
      Bill bill = Bill.of(before, after, engine.catalogue(), isDry());
      double cost = bill.unpriced().isEmpty() ? costOf(bill) : Double.NaN;
      double[] kg = new double[weeks];
      for (int d = 0; d < before.days(); d++) {
        double less = before.bareKg(d) - after.bareKg(d);
        // beside the gap only what gets worse counts: it must be made good
        kg[d / WEEK] += inGap(d) ? less : Math.min(0, less);
      }
      return new Measured(cost, kg);
    }

    private boolean isDry() {
      return engine.season().kind() == Season.Kind.DRY;
    }

    private boolean inGap(int day) {
      return day >= gap.firstDay() && day <= gap.lastDay();
    }

    private Mix mix(List<Measured> measured, double hayPerKg) {
      double[] need = new double[weeks];
      for (int d = gap.firstDay(); d <= gap.lastDay(); d++) {
        need[d / WEEK] += before.bareKg(d);
      }
      List<Set<String>> feet = ways.stream().map(this::footprint).toList();
      List<int[]> apart = new ArrayList<>();
      for (int a = 0; a < ways.size(); a++) {
        for (int b = a + 1; b < ways.size(); b++) {
          if (feet.get(a).stream().anyMatch(feet.get(b)::contains)) {
            apart.add(new int[] {a, b});
          }
        }
      }
      return new Mix(
          need,
          measured.stream().map(m -> new Mix.Way(Double.isNaN(m.cost) ? 0 : m.cost, m.kg)).toList(),
          apart,
          hayPerKg);
    }

    /** Ground, lots and animals that a way uses: two that share one are not taken together. */
    private Set<String> footprint(List<PlanEdit> way) {
      Set<String> feet = new HashSet<>();
      for (PlanEdit edit : way) {
        if (edit instanceof PlanEdit.SetFeeding feeding) {
          List<FeedStep> was = trial.stepsOf(feeding.groupId());
          feeding.steps().stream().filter(s -> !was.contains(s)).forEach(s -> feet.addAll(feet(s)));
        } else if (edit instanceof PlanEdit.Put<?> put) {
          foot(put.item()).ifPresent(feet::add);
        }
      }
      return feet;
    }

    private static Set<String> feet(FeedStep step) {
      Set<String> feet = new HashSet<>();
      if (step.sourceIds().isEmpty()) {
        feet.add(step.kind() + " " + step.groupId());
      }
      step.sourceIds().forEach(id -> feet.add("source " + id));
      return feet;
    }

    private static Optional<String> foot(Record item) {
      if (item instanceof Closing c) {
        return Optional.of("source " + c.fieldId());
      } else if (item instanceof HayCut c) {
        return Optional.of("source " + c.fieldId());
      } else if (item instanceof Sowing s) {
        return Optional.of("source " + s.fieldId());
      } else if (item instanceof Lot l) {
        return Optional.of("source " + l.id());
      } else if (item instanceof AnimalGroup g) {
        return Optional.of("group " + g.id());
      }
      return Optional.empty();
    }

    /** What the engine finds missing in each week beyond the hay that was reckoned with. */
    private double[] missing(Choice chosen) {
      YearBalance after = engine.tryOut(stated, chosen.edits);
      double[] missing = new double[weeks];
      for (int d = 0; d < before.days(); d++) {
        double bare = inGap(d) ? after.bareKg(d) : Math.max(0, after.bareKg(d) - before.bareKg(d));
        missing[d / WEEK] += bare;
      }
      for (int w = 0; w < weeks; w++) {
        missing[w] = Math.max(0, missing[w] - chosen.answer.hayKg()[w]);
      }
      return missing;
    }

    /** Hay that closes the gap on top of some edits: its edits, what it costs and brings. */
    private record Bought(List<PlanEdit> edits, double cost, double kg) {}

    private Optional<Bought> bought(List<PlanEdit> on) {
      if (pattern == null) {
        return Optional.empty();
      }
      FarmPlan changed = engine.changed(stated, on);
      PlanYear year = stated.plan().year();
      LocalDate date = year.date(Math.max(0, gap.firstDay() - BOUGHT_BEFORE_DAYS));
      BuyHay lever = new BuyHay(pattern, date);
      Trial there = new Trial(engine, changed, left(changed));
      return lever.candidates(there).stream()
          .findFirst()
          .map(c -> there.measure(lever, c))
          .filter(o -> o.cost() != null && o.bringsKg() > 0)
          .map(o -> new Bought(o.edits(), o.cost(), o.bringsKg()));
    }

    /** The gap as it is in a changed plan: the same days and groups, with what is left of it. */
    private Gap left(FarmPlan changed) {
      YearBalance b = engine.simulate(changed);
      double kg = 0;
      for (int d = gap.firstDay(); d <= gap.lastDay(); d++) {
        kg += b.bareKg(d);
      }
      return gap.with(kg);
    }

    private List<Worth> worth(Mix mix, Mix.Answer chosen) {
      List<Worth> worth = new ArrayList<>();
      for (PlanYear.MonthSpan m : before.year().monthSpans()) {
        int from = Math.max(m.startInclusive(), gap.firstDay());
        int to = Math.min(m.endExclusive() - 1, gap.lastDay());
        if (from > to) {
          continue;
        }
        double need = IntStream.rangeClosed(from, to).mapToDouble(before::bareKg).sum();
        double[] more = new double[weeks];
        more[(from + to) / 2 / WEEK] = TRIED_KG;
        Mix.Answer dearer = mix.needing(more).solve(must, never);
        double perKg = Math.max(0, dearer.objective() - chosen.objective()) / TRIED_KG;
        worth.add(new Worth(before.year().date(from), need, perKg));
      }
      return worth;
    }

    private List<Enters> enters(Mix mix, Mix.Answer chosen) {
      return IntStream.range(0, ways.size())
          .filter(i -> !chosen.taken().contains(i) && !never.contains(i))
          .mapToObj(
              i -> {
                Set<Integer> with = new HashSet<>(must);
                with.add(i);
                double more = mix.solve(with, never).objective() - chosen.objective();
                return new Enters(i, Math.max(0, more));
              })
          .sorted(Comparator.comparingDouble(Enters::cheaperBy))
          .toList();
    }
  }
}
