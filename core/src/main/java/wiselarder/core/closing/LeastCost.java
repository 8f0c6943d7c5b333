package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wiselarder.core.cost.Bill;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
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
 * @param leftKg what stays bare in it, or has become worse beside it; 0 where the engine agrees
 *     that it is closed
 * @param repairs how many times it was chosen anew as the engine had brought less
 * @param worth what another kg is worth, month by month
 * @param enters ways that are not taken, the nearest to being so first
 * @param hours of work that the ways take alone, hired or not: their jobs, feeding out and moving
 * @param hourWorth what another hour is worth where hours are short; 0 else
 * @param unpriced ways whose cost is not known, which are left out
 * @param sureness in how many simulated years it closes the gap; null where one season was asked
 *     for
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
    double hours,
    double hourWorth,
    List<Integer> unpriced,
    Sureness sureness) {

  /** What a kg of dry matter more in some month is worth: the most to pay for it. */
  public record Worth(LocalDate from, double needKg, double perKg) {}

  /** A way that is not taken, and by how much it would have to be cheaper to be. */
  public record Enters(int way, double cheaperBy) {}

  /**
   * What is lost of the value of an animal that is sold before its time, as a share of it. What it
   * brings is no gain: the animal was worth it before. Assumption.
   */
  private static final double SALE_LOSS = 0.1;

  /** Of the years that it must do in, so many of the hardest are reckoned with at first. */
  private static final int HARDEST_YEARS = 3;

  /** So often a year is added in which the answer did not do. */
  private static final int MOST_ADDED = 3;

  /**
   * Chooses among some ways.
   *
   * @param ways edits of each, found on the plan as it stands
   * @param hay hay like this may be bought, or null for none
   */
  public static LeastCost of(
      Engine engine, FarmPlan stated, Gap gap, List<List<PlanEdit>> ways, Lot hay, Wishes wishes) {
    return new MixSearch(List.of(engine), stated, gap, ways, hay, wishes).answer();
  }

  /**
   * Chooses so that the gap is closed in a share of the simulated years. The same ways and the same
   * hay must do in all of them: the hardest of those years are one programme, and a year in which
   * the answer fails is added until there are enough in which it does, or no more are tried.
   *
   * @param share of the years, above 0 to 1
   */
  public static LeastCost sure(
      Engine engine,
      FarmPlan stated,
      Gap gap,
      List<List<PlanEdit>> ways,
      Lot hay,
      Wishes wishes,
      double share) {
    Sureness now = Sureness.of(engine, stated, gap, List.of());
    int wanted = now.wanted(share);
    List<Season> hardest =
        new ArrayList<>(
            now.years().subList(Math.max(0, wanted - HARDEST_YEARS), wanted).stream()
                .map(Sureness.Year::season)
                .toList());
    for (int added = 0; ; added++) {
      List<Engine> engines = hardest.stream().map(s -> engine.in(s).apart()).toList();
      Gap wide = gap.over(now.first(), now.last());
      LeastCost found = new MixSearch(engines, stated, wide, ways, hay, wishes).answer();
      Sureness then = Sureness.of(engine, stated, gap, found.edits);
      Optional<Sureness.Year> fails =
          then.years().stream()
              .filter(y -> y.bareKgAfter() >= then.dayKg() && !hardest.contains(y.season()))
              .min(Comparator.comparingDouble(Sureness.Year::bareKgAfter));
      if (then.closedAfter() >= wanted || added == MOST_ADDED || fails.isEmpty()) {
        return found.in(then);
      }
      hardest.add(fails.get().season());
    }
  }

  private LeastCost in(Sureness simulated) {
    return new LeastCost(
        taken,
        edits,
        hay,
        cost,
        hayCost,
        buyingAllCost,
        gapKg,
        leftKg,
        repairs,
        worth,
        enters,
        hours,
        hourWorth,
        unpriced,
        simulated);
  }

  /**
   * The programme before any repair, written out for another solver, and the objective that is
   * found for it here.
   */
  public record Programme(String lp, double objective) {}

  /**
   * The programme of {@link #of}, with nothing insisted on or forbidden.
   *
   * @param engines one for each year in which the same ways must do
   */
  public static Programme programme(
      List<Engine> engines, FarmPlan stated, Gap gap, List<List<PlanEdit>> ways, Lot hay) {
    Mix mix = new MixSearch(engines, stated, gap, ways, hay, Wishes.NONE).programme();
    return new Programme(mix.lp(), mix.solve(Set.of(), Set.of()).objective());
  }

  /** What a way counts for: what is paid, and of what is sold the part that is lost. */
  static double costOf(Bill bill) {
    return bill.lines().stream()
        .mapToDouble(l -> l.money() < 0 ? -SALE_LOSS * l.money() : l.money())
        .sum();
  }
}
