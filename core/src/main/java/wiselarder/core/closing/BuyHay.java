package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Season;
import wiselarder.core.price.Price;
import wiselarder.core.store.KnownLot;
import wiselarder.core.store.Lot;

/**
 * Buys the fewest units of hay that close the gap. Nothing is offered when the gap begins before
 * the hay comes, or no amount closes it. It is to be decided in time for the last day on which it
 * may come; where a price by season is not stated, no day of buying is better than another.
 *
 * @param pattern hay like this is bought
 * @param date the day on which it comes
 * @param then true where it is that day or none, as when it is bought in its cheap months
 */
public record BuyHay(Lot pattern, LocalDate date, boolean then) implements Lever {
  /** Hay that may come later too. */
  public BuyHay(Lot pattern, LocalDate date) {
    this(pattern, date, false);
  }

  /** Cheaper by less than this it is not worth the wait in store. Assumption. */
  private static final double WORTH_IT = 0.97;

  /**
   * The same hay in the month of the plan in which it costs least, where that is well below its
   * price on a day and comes before it; none where a lot's own price says nothing of months.
   *
   * @param earliest no sooner than that
   */
  public static Optional<BuyHay> early(
      Engine engine, FarmPlan stated, Lot pattern, LocalDate day, LocalDate earliest) {
    String feed = pattern.origin().feedId() == null ? COMMON_HAY : pattern.origin().feedId();
    Optional<Price> price = engine.catalogue().pricesOn(stated.farm()).of(feed);
    if (pattern.costPerUnit() != null || price.isEmpty()) {
      return Optional.empty();
    }
    boolean dry = engine.season().kind() == Season.Kind.DRY;
    double best = WORTH_IT * price.get().in(day.getMonthValue(), dry);
    LocalDate cheapest = null;
    LocalDate start = stated.plan().year().start();
    LocalDate first = start.isBefore(earliest) ? earliest : start;
    for (LocalDate d = first; d.isBefore(day); d = d.plusMonths(1).withDayOfMonth(1)) {
      double there = price.get().in(d.getMonthValue(), dry);
      if (there < best) {
        best = there;
        cheapest = d;
      }
    }
    return Optional.ofNullable(cheapest).map(d -> new BuyHay(pattern, d, true));
  }

  /** Hay of which nobody said what it is. */
  private static final String COMMON_HAY = "hay_orchardgrass_early";

  private static final int MOST_TRIES = 24;

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.BUY_HAY;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    KnownLot known = known(trial);
    double left = trial.gap().shortKg();
    int units = 0;
    for (int attempt = 0; attempt < MOST_TRIES; attempt++) {
      units += Math.max(1, (int) Math.floor(left / known.kgDmPerUnit()));
      left = trial.leftKg(List.of(buy(trial, known, units)));
      if (left == 0) {
        return List.of(fewest(trial, known, units));
      }
    }
    return List.of();
  }

  /** Walks back from an amount that closes the gap to the fewest units that still do. */
  private Candidate fewest(Trial trial, KnownLot known, int enough) {
    int units = enough;
    while (units > 1 && trial.leftKg(List.of(buy(trial, known, units - 1))) == 0) {
      units--;
    }
    return new Candidate(List.of(buy(trial, known, units)), decideBy(trial, known, units));
  }

  /** Hay is on the farm so many days after it is ordered. Assumption. */
  private static final int COMES_AFTER_DAYS = 14;

  /** So long before the last day on which it may come and still close the gap. */
  private LocalDate decideBy(Trial trial, KnownLot known, int units) {
    PlanYear year = trial.stated().plan().year();
    if (then) {
      return year.date(Math.max(0, year.day(date) - COMES_AFTER_DAYS));
    }
    int still = year.day(date);
    int tooLate = trial.gap().lastDay() + 1;
    while (tooLate - still > 1) {
      int middle = (still + tooLate) / 2;
      BuyHay later = new BuyHay(pattern, year.date(middle));
      if (trial.leftKg(List.of(later.buy(trial, known, units))) == 0) {
        still = middle;
      } else {
        tooLate = middle;
      }
    }
    return year.date(Math.max(0, still - COMES_AFTER_DAYS));
  }

  /** Hay as it is known. */
  KnownLot known(Trial trial) {
    return trial.engine().records().lot(pattern);
  }

  /** So many units of it, for those that go short. */
  PlanEdit bought(Trial trial, int units) {
    return buy(trial, known(trial), units);
  }

  private PlanEdit buy(Trial trial, KnownLot known, int units) {
    String id = Trial.freeId("bought", trial.stated().allLots().stream().map(Lot::id).toList());
    Lot lot = known.like(id, "Bought " + pattern.unitName() + "s", units);
    return new PlanEdit.Put<>(Items.PURCHASES, new Purchase(id, date, lot, trial.groups()));
  }
}
