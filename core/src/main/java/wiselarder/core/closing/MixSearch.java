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
import wiselarder.core.cost.FeedCosts;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Policies;
import wiselarder.core.plan.Policy;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sowing;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;

/**
 * Seeks the cheapest mix of ways in one year or in several at once: see {@link LeastCost}. Weeks of
 * all years stand one after the other.
 */
final class MixSearch {
  private static final int WEEK = 7;
  private static final int MOST_REPAIRS = 4;
  private static final double NOTHING_KG = 1;
  private static final double TRIED_KG = 100;
  private static final int BOUGHT_BEFORE_DAYS = 14;

  /** A year that is looked at. */
  private record Look(Engine engine, YearBalance before, Trial trial, double handledHours) {
    static Look of(Engine engine, FarmPlan stated, Gap gap) {
      YearBalance before = engine.simulate(stated);
      double hours = FeedCosts.of(before, engine.catalogue()).hours();
      return new Look(engine, before, new Trial(engine, stated, gap), hours);
    }
  }

  private final List<Look> looks;
  private final FarmPlan stated;
  private final Gap gap;
  private final List<List<PlanEdit>> ways;
  private final Lot pattern;
  private final Set<Integer> must;
  private final Set<Integer> never;
  private final double hoursMost;
  private final int weeks;

  /** An engine for each year in which the same ways must do. */
  MixSearch(
      List<Engine> engines,
      FarmPlan stated,
      Gap gap,
      List<List<PlanEdit>> ways,
      Lot hay,
      Wishes wishes) {
    this.stated = stated;
    this.gap = inAll(engines, stated, gap);
    this.ways = ways;
    this.pattern = Policies.sides(stated).contains(Policy.Side.SELL_EARLY) ? null : hay;
    this.must = wishes.must();
    this.never = new HashSet<>(wishes.never());
    this.hoursMost = wishes.hoursMost();
    this.looks = engines.stream().map(e -> Look.of(e, stated, this.gap)).toList();
    this.weeks = (stated.plan().year().days() + WEEK - 1) / WEEK;
  }

  /** The gap of all that go short in it in any of the years. */
  private static Gap inAll(List<Engine> engines, FarmPlan stated, Gap gap) {
    if (engines.size() < 2) {
      return gap;
    }
    List<Gap.GroupShare> shares = new ArrayList<>();
    List<AnimalGroup> groups = stated.farm().groups();
    for (int g = 0; g < groups.size(); g++) {
      double most = 0;
      for (Engine e : engines) {
        YearBalance b = e.simulate(stated);
        double kg = 0;
        for (int d = gap.firstDay(); d <= gap.lastDay(); d++) {
          kg += b.bareKg(g, d);
        }
        most = Math.max(most, kg);
      }
      if (most > NOTHING_KG) {
        shares.add(new Gap.GroupShare(groups.get(g).id(), most));
      }
    }
    return gap.of(shares);
  }

  /** The programme before any repair. */
  Mix programme() {
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
    double least = total(chosen, measured, perKg);
    Mix best = mix;
    Choice last = chosen;
    int repairs = 0;
    for (; repairs < MOST_REPAIRS; repairs++) {
      double[] missing = missing(last);
      if (IntStream.range(0, missing.length).noneMatch(w -> missing[w] > NOTHING_KG)) {
        break;
      }
      mix = mix.needing(missing);
      Choice next = choose(mix);
      if (next.answer.taken().equals(last.answer.taken())) {
        break;
      }
      last = next;
      double cost = total(next, measured, perKg);
      if (cost < least) {
        least = cost;
        chosen = next;
        best = mix;
      }
    }
    return done(best, chosen, measured, all, repairs, unpriced);
  }

  /** What a choice costs with the hay that the engine finds missing beside it. */
  private double total(Choice choice, List<Measured> measured, double hayPerKg) {
    double cost = choice.answer.taken().stream().mapToDouble(i -> measured.get(i).cost).sum();
    double open = Math.min(hayPerKg, Mix.OPEN_PER_KG);
    return cost + open * leftKg(choice.edits);
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
        looks.get(0).engine.tryFarmOnly(stated, edits);
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
    double left = leftKg(edits);
    if (left > NOTHING_KG) {
      Optional<Bought> more = bought(edits);
      if (more.isPresent()) {
        hay = more.get().edits;
        edits.addAll(hay);
        hayCost = more.get().cost;
        left = leftKg(edits);
      }
    }
    return new LeastCost(
        chosen.taken(),
        List.copyOf(edits),
        hay,
        cost + hayCost,
        hayCost,
        all.map(b -> b.cost).orElse(Double.NaN),
        leftKg(List.of()),
        left,
        repairs,
        worth(mix, chosen),
        enters(mix, chosen),
        chosen.taken().stream().mapToDouble(i -> measured.get(i).hours).sum(),
        hourWorth(mix, chosen),
        unpriced,
        null);
  }

  /** What is to be made good with some edits, in the year in which most is. */
  private double leftKg(List<PlanEdit> edits) {
    return looks.stream().mapToDouble(l -> leftKg(l, edits)).max().orElse(0);
  }

  /** What is bare in the gap, and beside it what has become worse. */
  private double leftKg(Look look, List<PlanEdit> edits) {
    YearBalance after = look.engine.tryFarmOnly(stated, edits);
    double kg = 0;
    for (int d = 0; d < after.days(); d++) {
      double worse = Math.max(0, after.bareKg(d) - look.before.bareKg(d));
      kg += inGap(d) ? after.bareKg(d) : worse;
    }
    return kg <= NOTHING_KG ? 0 : kg;
  }

  /** A way alone: what it costs on the mean of the years, and what it brings in each week. */
  private record Measured(double cost, double[] kg, double hours) {}

  private Measured measure(int way) {
    double[] kg = new double[weeks * looks.size()];
    double cost = 0;
    double hours = 0;
    for (int y = 0; y < looks.size(); y++) {
      Look look = looks.get(y);
      YearBalance after;
      try {
        after = look.engine.tryOut(stated, ways.get(way));
      } catch (Refused refused) {
        return new Measured(Double.NaN, new double[kg.length], 0);
      }
      boolean dry = look.engine.season().kind() == Season.Kind.DRY;
      Bill bill = Bill.of(look.before, after, look.engine.catalogue(), dry);
      cost += bill.unpriced().isEmpty() ? LeastCost.costOf(bill) / looks.size() : Double.NaN;
      hours += work(look, bill, after) / looks.size();
      for (int d = 0; d < look.before.days(); d++) {
        double less = look.before.bareKg(d) - after.bareKg(d);
        // beside the gap only what gets worse counts: it must be made good
        kg[y * weeks + d / WEEK] += inGap(d) ? less : Math.min(0, less);
      }
    }
    return new Measured(cost, kg, hours);
  }

  /** Hours of one person: jobs of the bill, and what feeding out and moving take more. */
  private static double work(Look look, Bill bill, YearBalance after) {
    double handled = FeedCosts.of(after, look.engine.catalogue()).hours();
    return bill.hours() + handled - look.handledHours;
  }

  private boolean inGap(int day) {
    return day >= gap.firstDay() && day <= gap.lastDay();
  }

  private Mix mix(List<Measured> measured, double hayPerKg) {
    double[] need = new double[weeks * looks.size()];
    for (int y = 0; y < looks.size(); y++) {
      for (int d = gap.firstDay(); d <= gap.lastDay(); d++) {
        need[y * weeks + d / WEEK] += looks.get(y).before.bareKg(d);
      }
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
        looks.size(),
        measured.stream()
            .map(m -> new Mix.Way(Double.isNaN(m.cost) ? 0 : m.cost, m.kg, m.hours))
            .toList(),
        apart,
        hayPerKg,
        hoursMost);
  }

  /** Ground, lots and animals that a way uses: two that share one are not taken together. */
  private Set<String> footprint(List<PlanEdit> way) {
    Set<String> feet = new HashSet<>();
    for (PlanEdit edit : way) {
      if (edit instanceof PlanEdit.SetFeeding feeding) {
        List<FeedStep> was = looks.get(0).trial.stepsOf(feeding.groupId());
        feeding.steps().stream().filter(s -> !was.contains(s)).forEach(s -> feet.addAll(feet(s)));
      } else if (edit instanceof PlanEdit.Put<?> put) {
        foot(put.item()).ifPresent(feet::add);
      } else if (edit instanceof PlanEdit.PartField part) {
        feet.add("source " + part.id());
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
    double[] missing = new double[weeks * looks.size()];
    for (int y = 0; y < looks.size(); y++) {
      YearBalance was = looks.get(y).before;
      YearBalance after = looks.get(y).engine.tryFarmOnly(stated, chosen.edits);
      for (int d = 0; d < was.days(); d++) {
        double worse = Math.max(0, after.bareKg(d) - was.bareKg(d));
        missing[y * weeks + d / WEEK] += inGap(d) ? after.bareKg(d) : worse;
      }
    }
    for (int w = 0; w < missing.length; w++) {
      missing[w] = Math.max(0, missing[w] - chosen.answer.hayKg()[w]);
    }
    return missing;
  }

  /** Hay that closes the gap on top of some edits: its edits, what it costs and brings. */
  private record Bought(List<PlanEdit> edits, double cost, double kg) {}

  /** As much hay as the neediest year takes. */
  private Optional<Bought> bought(List<PlanEdit> on) {
    if (pattern == null) {
      return Optional.empty();
    }
    return looks.stream()
        .max(Comparator.comparingDouble(l -> leftKg(l, on)))
        .filter(l -> leftKg(l, on) > 0)
        .flatMap(l -> bought(l, on));
  }

  /** The fewest units after which nothing is left to be made good; none where no amount does. */
  private Optional<Bought> bought(Look look, List<PlanEdit> on) {
    FarmPlan changed = look.engine.changed(stated, on);
    LocalDate date =
        stated.plan().year().date(Math.max(0, firstLeft(look, on) - BOUGHT_BEFORE_DAYS));
    BuyHay lever = new BuyHay(pattern, date);
    Trial there = new Trial(look.engine, changed, ofThoseLeft(look, on));
    double unitKg = lever.known(there).kgDmPerUnit();
    int few = 0;
    int enough = 0;
    double left = leftKg(look, on);
    for (int attempt = 0; left > 0; attempt++) {
      if (attempt == MOST_TRIES || enough > MOST_UNITS) {
        return Optional.empty();
      }
      few = enough;
      // what is bought may be eaten on other days first: more and more of it
      enough += Math.max(1, Math.max(enough / 2, (int) Math.floor(left / unitKg)));
      left = leftKg(look, with(on, lever.bought(there, enough)));
    }
    while (enough - few > 1) {
      int middle = (few + enough) / 2;
      if (leftKg(look, with(on, lever.bought(there, middle))) > 0) {
        few = middle;
      } else {
        enough = middle;
      }
    }
    List<PlanEdit> hay = List.of(lever.bought(there, enough));
    LeverOption measured = there.measure(lever, new Lever.Candidate(hay, date));
    return measured.cost() == null || measured.bringsKg() <= 0
        ? Optional.empty()
        : Optional.of(new Bought(hay, measured.cost(), measured.bringsKg()));
  }

  /** The gap of its own groups and of those that a mix would leave short beside them. */
  private Gap ofThoseLeft(Look look, List<PlanEdit> on) {
    YearBalance after = look.engine.tryFarmOnly(stated, on);
    List<Gap.GroupShare> shares = new ArrayList<>(gap.groups());
    List<AnimalGroup> groups = stated.farm().groups();
    for (int g = 0; g < groups.size(); g++) {
      String id = groups.get(g).id();
      double kg = 0;
      for (int d = 0; d < after.days(); d++) {
        double worse = Math.max(0, after.bareKg(g, d) - look.before.bareKg(g, d));
        kg += inGap(d) ? after.bareKg(g, d) : worse;
      }
      if (kg > NOTHING_KG && shares.stream().noneMatch(s -> s.groupId().equals(id))) {
        shares.add(new Gap.GroupShare(id, kg));
      }
    }
    return gap.of(shares);
  }

  /** The first day on which something is to be made good; no later than the gap begins. */
  private int firstLeft(Look look, List<PlanEdit> on) {
    YearBalance after = look.engine.tryFarmOnly(stated, on);
    int day = 0;
    while (day < gap.firstDay() && after.bareKg(day) - look.before.bareKg(day) <= NOTHING_KG) {
      day++;
    }
    return day;
  }

  private static final int MOST_TRIES = 12;

  /** More units than this nobody buys. */
  private static final int MOST_UNITS = 20_000;

  private static List<PlanEdit> with(List<PlanEdit> edits, PlanEdit more) {
    List<PlanEdit> all = new ArrayList<>(edits);
    all.add(more);
    return all;
  }

  private List<LeastCost.Worth> worth(Mix mix, Mix.Answer chosen) {
    List<LeastCost.Worth> worth = new ArrayList<>();
    PlanYear year = stated.plan().year();
    for (PlanYear.MonthSpan m : year.monthSpans()) {
      int from = Math.max(m.startInclusive(), gap.firstDay());
      int to = Math.min(m.endExclusive() - 1, gap.lastDay());
      if (from > to) {
        continue;
      }
      double need = 0;
      double[] more = new double[weeks * looks.size()];
      for (int y = 0; y < looks.size(); y++) {
        need =
            Math.max(
                need,
                IntStream.rangeClosed(from, to).mapToDouble(looks.get(y).before::bareKg).sum());
        more[y * weeks + (from + to) / 2 / WEEK] = TRIED_KG;
      }
      Mix.Answer dearer = mix.needing(more).solve(must, never);
      double perKg = Math.max(0, dearer.objective() - chosen.objective()) / TRIED_KG;
      worth.add(new LeastCost.Worth(year.date(from), need, perKg));
    }
    return worth;
  }

  /** What the mix is cheaper by for each hour, where there are some more. */
  private double hourWorth(Mix mix, Mix.Answer chosen) {
    if (Double.isInfinite(hoursMost)) {
      return 0;
    }
    Mix.Answer easier = mix.withMoreHours(MORE_HOURS).solve(must, never);
    return Math.max(0, chosen.objective() - easier.objective()) / MORE_HOURS;
  }

  private static final double MORE_HOURS = 10;

  private List<LeastCost.Enters> enters(Mix mix, Mix.Answer chosen) {
    return IntStream.range(0, ways.size())
        .filter(i -> !chosen.taken().contains(i) && !never.contains(i))
        .mapToObj(
            i -> {
              Set<Integer> with = new HashSet<>(must);
              with.add(i);
              double more = mix.solve(with, never).objective() - chosen.objective();
              return new LeastCost.Enters(i, Math.max(0, more));
            })
        .sorted(Comparator.comparingDouble(LeastCost.Enters::cheaperBy))
        .toList();
  }
}
