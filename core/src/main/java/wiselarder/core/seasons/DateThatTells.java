package wiselarder.core.seasons;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.closing.SellingOrder;
import wiselarder.core.engine.Engine;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Season;
import wiselarder.core.resolved.ResolvedPlan;

/**
 * A date that tells hard years, with what could be done then and what waiting costs, run in such
 * years.
 *
 * @param missingKg what such years miss from that day on, in the mean, as the plan stands
 * @param groupId those who would go first, {@code head} of them; null where nobody would
 * @param savesKg how much less is missing in such years, in the mean, when they go then
 * @param savesLaterKg the same when they go four weeks later
 * @param needThen need of that day as planned, kg DM; {@code needMost} the most that a week's mean
 *     day comes to within the next 120 days: births that are still to come are in it
 */
public record DateThatTells(
    Telling telling,
    double missingKg,
    String groupId,
    int head,
    double savesKg,
    double savesLaterKg,
    double needThen,
    double needMost) {
  private static final int LATER_DAYS = 28;
  private static final int AHEAD_DAYS = 120;

  /** Such years that are run again. */
  private static final int RUN = 12;

  /** Of a group that breeds, those that are open or old. Assumption. */
  private static final double OPEN_AND_OLD = 0.15;

  /** A date is of use until so much of what hard years miss is already missing. */
  private static final double STILL_OF_USE = 0.25;

  private static final int MALES_AND_WORKERS = 2;

  /** Every date that tells, the earliest first; none where there is nothing to tell. */
  public static List<DateThatTells> of(Engine engine, FarmPlan stated, ManyYears many) {
    double hardKg = many.hardKg();
    if (Double.isNaN(hardKg)) {
      return List.of();
    }
    boolean[] hard = new boolean[many.years().size()];
    many.years().forEach(y -> hard[(int) y.seed() - 1] = y.bareKg() >= hardKg);
    Engine normally = engine.in(Season.NORMAL);
    ResolvedPlan plan = normally.resolve(stated);
    YearBalance usual = YearBalance.farmOnly(plan);
    return Telling.find(many.signs(), hard, lastDayOfUse(many)).stream()
        .map(t -> told(normally, stated, many, plan, usual, t))
        .toList();
  }

  private static int lastDayOfUse(ManyYears many) {
    double[] bare = many.bareKg().p90();
    double all = Arrays.stream(bare).sum();
    double so = 0;
    for (int d = 0; d < bare.length; d++) {
      so += bare[d];
      if (all > 0 && so >= STILL_OF_USE * all) {
        return d;
      }
    }
    return bare.length - 1;
  }

  private static DateThatTells told(
      Engine engine,
      FarmPlan stated,
      ManyYears many,
      ResolvedPlan plan,
      YearBalance usual,
      Telling t) {
    List<Long> seeds = sample(t.told(many.signs()));
    double[] missing = missing(plan, seeds, t.day());
    double needThen = usual.needKg(t.day());
    double needMost = mostNeed(usual, t.day());
    double mean = Arrays.stream(missing).average().orElse(0);
    Optional<Gone> gone = first(plan, stated, t.day());
    if (gone.isEmpty()) {
      return new DateThatTells(t, mean, null, 0, 0, 0, needThen, needMost);
    }
    Gone g = gone.get();
    double now = saves(engine, stated, seeds, missing, g, t.day(), t.day());
    int later = Math.min(usual.days() - 1, t.day() + LATER_DAYS);
    double waited = saves(engine, stated, seeds, missing, g, later, t.day());
    return new DateThatTells(t, mean, g.group.id(), g.head, now, waited, needThen, needMost);
  }

  /** Some of the years, spread over all of them. */
  private static List<Long> sample(int[] years) {
    int n = Math.min(RUN, years.length);
    return IntStream.range(0, n).mapToObj(i -> years[i * years.length / n] + 1L).toList();
  }

  private static double[] missing(ResolvedPlan plan, List<Long> seeds, int from) {
    return seeds.parallelStream()
        .mapToDouble(
            s -> {
              YearBalance b = YearBalance.farmOnly(plan.in(plan.generator().year(s)));
              return IntStream.range(from, b.days()).mapToDouble(b::bareKg).sum();
            })
        .toArray();
  }

  private static double mostNeed(YearBalance b, int day) {
    double most = 0;
    int last = Math.min(b.days(), day + AHEAD_DAYS) - SignsSeen.WEEK_DAYS;
    for (int d = day; d <= last; d++) {
      double kg = 0;
      for (int i = 0; i < SignsSeen.WEEK_DAYS; i++) {
        kg += b.needKg(d + i) / SignsSeen.WEEK_DAYS;
      }
      most = Math.max(most, kg);
    }
    return most;
  }

  private record Gone(AnimalGroup group, int head) {}

  /** Those that would go first: growing stock, males; else what is open or old of the rest. */
  private static Optional<Gone> first(ResolvedPlan plan, FarmPlan stated, int day) {
    List<AnimalGroup> groups = stated.farm().groups();
    List<Gone> order = new ArrayList<>();
    for (int g = 0; g < groups.size(); g++) {
      int head = (int) Math.floor(plan.groupYear(g).head(day) + 1e-9);
      boolean breeds = SellingOrder.rung(groups.get(g)) > MALES_AND_WORKERS;
      int go = breeds ? (int) Math.floor(head * OPEN_AND_OLD) : head;
      if (go >= 1 && SellingOrder.rung(groups.get(g)) != MALES_AND_WORKERS) {
        order.add(new Gone(groups.get(g), go));
      }
    }
    return order.stream()
        .min(
            Comparator.comparingInt((Gone g) -> SellingOrder.rung(g.group))
                .thenComparingInt(g -> -g.head));
  }

  /** How much less is missing from a day on when they go on another, in the mean. */
  private static double saves(
      Engine engine,
      FarmPlan stated,
      List<Long> seeds,
      double[] missing,
      Gone gone,
      int on,
      int from) {
    LocalDate date = stated.plan().year().date(on);
    List<HeadChange> changes = new ArrayList<>(gone.group.changes());
    changes.add(new HeadChange(date, null, HeadChange.Kind.SOLD, gone.head, null, null, ""));
    FarmPlan sold = Items.GROUPS.put(stated, gone.group.withChanges(changes));
    double[] after = missing(engine.resolve(sold), seeds, from);
    double saved = 0;
    for (int i = 0; i < after.length; i++) {
      saved += (missing[i] - after[i]) / after.length;
    }
    return saved;
  }
}
