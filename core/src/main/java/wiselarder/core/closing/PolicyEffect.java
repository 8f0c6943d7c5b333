package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.cost.Bill;
import wiselarder.core.day.Shelf;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.gap.GapFinder;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Policy;
import wiselarder.core.plan.Season;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;

/**
 * What one side of a question on which keepers differ does to the year of a plan. Droughts and sod
 * seeding are looked at in a dry year, all else in the season of the engine.
 *
 * @param side null: none is taken
 * @param season in which it was run
 * @param bareKg what stays bare over the plan, kg DM
 * @param bareDays days that stay short
 * @param grazedKg what is grazed, {@code storedKg} what is eaten from the store and bought
 * @param standingKg what stands on the plan's last day
 * @param cost what is paid more than with nothing done, in the farm's currency; null where no price
 *     is known
 */
public record PolicyEffect(
    Policy.Question question,
    Policy.Side side,
    Season season,
    double bareKg,
    int bareDays,
    double grazedKg,
    double storedKg,
    double standingKg,
    Double cost) {

  /**
   * Every question with the plan as it is without a policy on it, and with each side.
   *
   * @param dry the engine in a dry season
   * @param hay hay like this may be bought
   */
  public static List<PolicyEffect> of(Engine engine, Engine dry, FarmPlan stated, Lot hay) {
    return Arrays.stream(Policy.Question.values())
        .parallel()
        .flatMap(q -> of(engine, dry, stated, hay, q))
        .toList();
  }

  private static Stream<PolicyEffect> of(
      Engine engine, Engine dry, FarmPlan stated, Lot hay, Policy.Question question) {
    FarmPlan without = without(stated, question);
    boolean inDry = question == Policy.Question.DROUGHT || question == Policy.Question.SOD;
    Engine in = inDry ? dry : engine;
    Stream<PolicyEffect> sides =
        Arrays.stream(Policy.Side.values())
            .filter(s -> s.question() == question)
            .map(s -> effect(in, without, s, hay));
    YearBalance none = in.simulate(without);
    return Stream.concat(Stream.of(read(in, question, null, none, Double.valueOf(0))), sides);
  }

  private static FarmPlan without(FarmPlan stated, Policy.Question question) {
    return new FarmPlan(
        stated.farm(),
        stated
            .plan()
            .withPolicies(
                stated.plan().policies().stream()
                    .filter(p -> p.side().question() != question)
                    .toList()));
  }

  private static PolicyEffect effect(Engine engine, FarmPlan without, Policy.Side side, Lot hay) {
    List<PlanEdit> edits = new ArrayList<>();
    edits.add(new PlanEdit.Put<>(Items.POLICIES, new Policy(side)));
    switch (side) {
      case HAY_THROUGH -> edits.addAll(hayForAll(engine, without, hay));
      case SELL_EARLY -> edits.addAll(soldForAll(engine, without));
      default -> {}
    }
    YearBalance before = engine.simulate(without);
    YearBalance after;
    try {
      after = engine.tryOut(without, edits);
    } catch (Refused refused) {
      // a field promised otherwise in that month: the policy cannot be kept there
      after = before;
    }
    Bill bill = Bill.of(before, after, engine.catalogue(), isDry(engine));
    Bill saved = Bill.of(after, before, engine.catalogue(), isDry(engine));
    boolean less = side == Policy.Side.LEGUMES || side == Policy.Side.SKIP_DRY_YEARS;
    Bill its = less ? saved : bill;
    double money = less ? -saved.total() : LeastCost.costOf(bill);
    Double cost = its.unpriced().isEmpty() ? Double.valueOf(money) : null;
    return read(engine, side.question(), side, after, cost);
  }

  private static boolean isDry(Engine engine) {
    return engine.season().kind() == Season.Kind.DRY;
  }

  /** Hay for every gap, the first one first. */
  private static List<PlanEdit> hayForAll(Engine engine, FarmPlan stated, Lot hay) {
    List<PlanEdit> edits = new ArrayList<>();
    for (int round = 0; round < MOST_GAPS; round++) {
      FarmPlan now = engine.changed(stated, edits);
      Optional<Gap> gap = firstGap(engine, now);
      if (gap.isEmpty()) {
        break;
      }
      Trial trial = new Trial(engine, now, gap.get());
      int day = Math.max(0, gap.get().firstDay() - BOUGHT_BEFORE_DAYS);
      List<Lever.Candidate> found = new BuyHay(hay, trial.year().date(day)).candidates(trial);
      if (found.isEmpty()) {
        break;
      }
      edits.addAll(found.get(0).edits());
    }
    return edits;
  }

  private static final int MOST_GAPS = 6;
  private static final int BOUGHT_BEFORE_DAYS = 14;

  private static Optional<Gap> firstGap(Engine engine, FarmPlan now) {
    return engine.gaps(engine.simulate(now)).stream()
        .filter(g -> g.kind() == Gap.Kind.STORE)
        .findFirst();
  }

  /** All that could be sold for the largest gap, one group after the other. */
  private static List<PlanEdit> soldForAll(Engine engine, FarmPlan stated) {
    Optional<Gap> gap =
        engine.gaps(engine.simulate(stated)).stream()
            .filter(g -> g.kind() == Gap.Kind.STORE)
            .max(Comparator.comparingDouble(Gap::shortKg));
    if (gap.isEmpty()) {
      return List.of();
    }
    Trial trial = new Trial(engine, stated, gap.get());
    List<List<PlanEdit>> sales = new ArrayList<>();
    for (Lever.Candidate sale : FewerMouths.sold().candidates(trial)) {
      if (sales.isEmpty() || trial.leftKg(Together.of(stated, sales)) > 0) {
        sales.add(sale.edits());
      }
    }
    return Together.of(stated, sales);
  }

  private static PolicyEffect read(
      Engine engine, Policy.Question question, Policy.Side side, YearBalance b, Double cost) {
    int days = b.days();
    return new PolicyEffect(
        question,
        side,
        engine.season(),
        b.totalBareKg(),
        b.bareDays(GapFinder.SHORT_SHARE),
        IntStream.range(0, days)
            .mapToDouble(d -> b.eatenKg(Shelf.GROWING, d) + b.eatenKg(Shelf.STANDING, d))
            .sum(),
        IntStream.range(0, days)
            .mapToDouble(d -> b.eatenKg(Shelf.PUT_BY, d) + b.eatenKg(Shelf.BOUGHT_IN, d))
            .sum(),
        b.standingKg(days - 1),
        cost);
  }
}
