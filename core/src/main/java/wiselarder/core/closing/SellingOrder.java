package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.cost.Bill;
import wiselarder.core.engine.Engine;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Season;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;

/**
 * In which order groups would be sold when feed fails: those that do not breed first, the heaviest
 * eaters before those that eat little, the breeding nucleus last. What each rung brings is tried on
 * the whole year, on top of the rungs above it.
 *
 * @param sellOn day on which the rung is tried
 * @param rung 1 growing stock that does not breed, 2 grown males and working stock, 3 young females
 *     kept to breed, 4 the breeding nucleus
 * @param head animals that would go
 * @param eatsKg what they would eat from that day to the end of the plan, kg DM
 * @param eatsShare that as a share of what the farm needs in the same time
 * @param bringsKg how much less is bare over the plan, beyond the rungs above
 * @param byMonthKg that by month of the plan
 * @param bringsAWeekLaterKg the same when they go seven days later: the cost of waiting
 * @param bringsAMonthLaterKg when they go thirty days later
 * @param latest the last day on which it still brings nine tenths; the day itself where it brings
 *     nothing
 * @param storeKgThen what the plan expects in store that day, {@code standsKgThen} what it expects
 *     to stand that could be eaten, kg DM: with no more than that what is short comes, or worse
 * @param saleMoney taken in for them, in the farm's currency; null where no price is known
 * @param bareLeftKg what would still be bare
 * @param birthsAddKg what births still to come add to need within ninety days of the first, beside
 *     the day before it, in the groups kept: they can cancel the relief
 */
public record SellingOrder(
    String groupId,
    LocalDate sellOn,
    int rung,
    int head,
    double eatsKg,
    double eatsShare,
    double bringsKg,
    List<Double> byMonthKg,
    double bringsAWeekLaterKg,
    double bringsAMonthLaterKg,
    LocalDate latest,
    double storeKgThen,
    double standsKgThen,
    Double saleMoney,
    double bareLeftKg,
    double birthsAddKg) {

  private static final int WEEK = 7;
  private static final int MONTH = 30;
  private static final double STILL = 0.9;
  private static final int NURSING_DAYS = 90;

  /** Every group as a rung, in the order in which they would go. */
  public static List<SellingOrder> of(Engine engine, FarmPlan stated, LocalDate sellOn) {
    int from = stated.plan().year().day(sellOn);
    if (from < 0 || from >= stated.plan().year().days()) {
      throw new Refused(
          CoreReason.DATE_OUTSIDE_PLAN,
          "sellOn",
          sellOn,
          stated.plan().year().start(),
          stated.plan().year().endExclusive().minusDays(1));
    }
    YearBalance before = engine.simulate(stated);
    List<AnimalGroup> groups = stated.farm().groups();
    List<Integer> order = order(before, from);
    List<SellingOrder> rungs = new ArrayList<>();
    FarmPlan now = stated;
    double bare = before.totalBareKg();
    for (int g : order) {
      FarmPlan sold = sold(now, before, g, sellOn);
      YearBalance was = engine.simulate(now);
      YearBalance is = engine.simulate(sold);
      double left = is.totalBareKg();
      double brings = bare - left;
      FarmPlan above = now;
      double short0 = bare;
      IntToDoubleFunction on =
          day ->
              short0
                  - engine.simulate(sold(above, before, g, before.year().date(day))).totalBareKg();
      int latest = latest(before, from, brings, on);
      double eats = needFrom(before, g, from);
      rungs.add(
          new SellingOrder(
              groups.get(g).id(),
              sellOn,
              rung(groups.get(g)),
              (int) Math.floor(before.resolved().groupYear(g).head(from)),
              eats,
              eats / Math.max(1, needFrom(before, from)),
              brings,
              byMonth(was, is),
              on.applyAsDouble(from + WEEK),
              on.applyAsDouble(from + MONTH),
              before.year().date(latest),
              storeKg(before, latest),
              standsKg(before, latest),
              sale(engine, was, is),
              left,
              birthsAdd(before, order, rungs, g, from)));
      now = sold;
      bare = left;
    }
    return rungs;
  }

  /** The last day, sought to three days, on which it still brings nine tenths; never late. */
  private static int latest(YearBalance b, int from, double brings, IntToDoubleFunction on) {
    int late = from;
    for (int d = from; d < b.days(); d++) {
      late = b.bareKg(d) > 0 ? d : late;
    }
    int still = from;
    while (brings > 0 && late - still > 3) {
      int middle = (still + late) / 2;
      if (on.applyAsDouble(middle) >= STILL * brings) {
        still = middle;
      } else {
        late = middle;
      }
    }
    return still;
  }

  private static List<Double> byMonth(YearBalance was, YearBalance is) {
    List<Double> months = new ArrayList<>();
    for (PlanYear.MonthSpan m : was.year().monthSpans()) {
      double kg = 0;
      for (int d = m.startInclusive(); d < m.endExclusive(); d++) {
        kg += was.bareKg(d) - is.bareKg(d);
      }
      months.add(kg);
    }
    return months;
  }

  private static double storeKg(YearBalance b, int day) {
    double kg = 0;
    for (int l = 0; l < b.lotNames().size(); l++) {
      kg += b.lotKg(l, day);
    }
    return kg;
  }

  private static double standsKg(YearBalance b, int day) {
    double kg = 0;
    for (int f = 0; f < b.stated().farm().fields().size(); f++) {
      kg += b.offeredKg(f, day);
    }
    return kg;
  }

  private static Double sale(Engine engine, YearBalance was, YearBalance is) {
    Bill bill = Bill.of(was, is, engine.catalogue(), engine.season().kind() == Season.Kind.DRY);
    return bill.unpriced().isEmpty() ? Double.valueOf(-bill.total()) : null;
  }

  /** Groups that are there on a day, in the order in which they would go. */
  private static List<Integer> order(YearBalance b, int from) {
    List<AnimalGroup> groups = b.stated().farm().groups();
    List<Integer> order = new ArrayList<>();
    for (int g = 0; g < groups.size(); g++) {
      if (b.resolved().groupYear(g).head(from) >= 1) {
        order.add(g);
      }
    }
    order.sort(
        Comparator.comparingInt((Integer g) -> rung(groups.get(g)))
            .thenComparingDouble(g -> -needFrom(b, g, from)));
    return order;
  }

  public static int rung(AnimalGroup g) {
    String of = g.kind().substring(g.kind().indexOf('/') + 1);
    return switch (of) {
      case "steer", "lamb", "kid", "young" -> 1;
      case "bull", "ram", "buck", "adult" -> 2;
      case "replacement_heifer", "heifer" -> 3;
      default -> 4;
    };
  }

  private static FarmPlan sold(FarmPlan now, YearBalance before, int g, LocalDate on) {
    AnimalGroup group =
        now.farm().groups().stream()
            .filter(x -> x.id().equals(before.stated().farm().groups().get(g).id()))
            .findFirst()
            .orElseThrow();
    int day = before.year().day(on);
    int head =
        day >= before.days()
            ? 0
            : (int) Math.floor(before.resolved().groupYear(g).head(day) + 1e-9);
    if (head <= 0) {
      return now;
    }
    List<HeadChange> changes = new ArrayList<>();
    group.changes().stream().filter(c -> c.date().isBefore(on)).forEach(changes::add);
    changes.add(new HeadChange(on, null, HeadChange.Kind.SOLD, head, null, null, ""));
    return Items.GROUPS.put(now, group.withChanges(changes));
  }

  private static double needFrom(YearBalance b, int g, int from) {
    double kg = 0;
    for (int d = from; d < b.days(); d++) {
      kg += b.needKg(g, d);
    }
    return kg;
  }

  private static double needFrom(YearBalance b, int from) {
    double kg = 0;
    for (int d = from; d < b.days(); d++) {
      kg += b.needKg(d);
    }
    return kg;
  }

  /** Rise of need with the births still to come in the groups that this rung keeps. */
  private static double birthsAdd(
      YearBalance b, List<Integer> order, List<SellingOrder> above, int sold, int from) {
    double kg = 0;
    for (int g : order.subList(above.size(), order.size())) {
      GroupYear year = b.resolved().groupYear(g);
      for (int[] birth : year.births()) {
        if (g == sold || birth[0] <= from) {
          continue;
        }
        double level = b.needKg(g, birth[0] - 1);
        for (int d = birth[0]; d < Math.min(b.days(), birth[0] + NURSING_DAYS); d++) {
          kg += Math.max(0, b.needKg(g, d) - level);
        }
      }
    }
    return kg;
  }
}
