package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Purchase;
import wiselarder.core.store.KnownLot;
import wiselarder.core.store.Lot;

/**
 * Buys the fewest units of hay that close the gap. Nothing is offered when the gap begins before
 * the hay comes, or no amount closes it. It is to be decided in time for the last day on which it
 * may come; where a price by season is not stated, no day of buying is better than another.
 *
 * @param pattern hay like this is bought
 * @param date the day on which it comes
 */
public record BuyHay(Lot pattern, LocalDate date) implements Lever {
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
