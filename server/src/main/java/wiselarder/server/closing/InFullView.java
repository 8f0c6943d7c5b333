package wiselarder.server.closing;

import java.time.YearMonth;
import java.util.List;
import wiselarder.core.closing.InFull;
import wiselarder.core.cost.Bill;
import wiselarder.core.edit.PlanEdit;

/**
 * What some ways out of a gap do together; as {@link InFull}.
 *
 * @param cost in all, in the farm's currency, of what has a price
 * @param costHours of one person, where nothing of it is hired
 * @param unpriced rows of the table of prices that are wanted and not known
 */
record InFullView(
    List<PlanEdit> edits,
    double gapKgBefore,
    double gapKgAfter,
    double bringsKg,
    int shortDaysAfter,
    double bareKgAfter,
    int bareDaysAfter,
    List<MonthView> months,
    List<SeasonView> seasons,
    List<BillLine> bill,
    double cost,
    double costHours,
    List<String> unpriced,
    double storeKgMore,
    double standingKgMore,
    double handledHoursMore,
    int tractorDaysMore,
    List<Double> partsKg) {

  /** One month beside the plan as it stands. */
  record MonthView(
      YearMonth month,
      double bareKg,
      double bareKgLess,
      double grazedKgMore,
      double storedKgMore,
      double needKgLess,
      double standingKgMore) {}

  /** What is bare over the plan in another season, without and with it. */
  record SeasonView(String season, double bareKgBefore, double bareKgAfter) {}

  /** One thing that is paid for; negative money is taken in. */
  record BillLine(
      String priceId,
      String of,
      double amount,
      double each,
      double money,
      double hours,
      boolean own) {}

  static InFullView of(InFull full) {
    Bill bill = full.bill();
    return new InFullView(
        full.edits(),
        full.gapKgBefore(),
        full.gapKgAfter(),
        full.bringsKg(),
        full.shortDaysAfter(),
        full.bareKgAfter(),
        full.bareDaysAfter(),
        full.months().stream().map(InFullView::month).toList(),
        full.seasons().stream()
            .map(s -> new SeasonView(s.season().key(), s.bareKgBefore(), s.bareKgAfter()))
            .toList(),
        bill.lines().stream().map(InFullView::line).toList(),
        bill.total(),
        bill.hours(),
        bill.unpriced(),
        full.storeKgMore(),
        full.standingKgMore(),
        full.handledHoursMore(),
        full.tractorDaysMore(),
        full.partsKg());
  }

  private static MonthView month(InFull.Month m) {
    return new MonthView(
        m.month(),
        m.bareKg(),
        m.bareKgLess(),
        m.grazedKgMore(),
        m.storedKgMore(),
        m.needKgLess(),
        m.standingKgMore());
  }

  private static BillLine line(Bill.Line l) {
    return new BillLine(l.priceId(), l.of(), l.amount(), l.each(), l.money(), l.hours(), l.own());
  }
}
