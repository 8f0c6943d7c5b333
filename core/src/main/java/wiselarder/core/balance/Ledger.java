package wiselarder.core.balance;

import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.day.Shelf;

/** Sums of a balance: a line a month, or a line a day. kg DM; store at the end of the span. */
public final class Ledger {
  private Ledger() {}

  /**
   * One line.
   *
   * @param month the calendar month
   * @param startDay first day, inclusive
   * @param endDay first day after
   * @param storeKg all lots at the end of the last day
   * @param unitsOpened whole units opened in the span
   */
  public record Line(
      YearMonth month,
      int startDay,
      int endDay,
      double needKg,
      double growingKg,
      double standingKg,
      double putByKg,
      double boughtInKg,
      double bareKg,
      double grownKg,
      double storeKg,
      int unitsOpened) {}

  /** A line for each calendar month, the first and last clipped to the plan. */
  public static List<Line> months(YearBalance balance) {
    return balance.year().monthSpans().stream()
        .map(s -> sum(balance, s.month(), s.startInclusive(), s.endExclusive()))
        .toList();
  }

  /** A line for each day. */
  public static List<Line> days(YearBalance balance) {
    List<Line> lines = new ArrayList<>();
    PlanYear year = balance.year();
    for (int d = 0; d < balance.days(); d++) {
      lines.add(sum(balance, YearMonth.from(year.date(d)), d, d + 1));
    }
    return lines;
  }

  /** One line for the whole plan. */
  public static Line total(YearBalance balance) {
    return sum(balance, YearMonth.from(balance.year().start()), 0, balance.days());
  }

  private static Line sum(YearBalance b, YearMonth month, int from, int to) {
    double need = 0;
    double bare = 0;
    double grown = 0;
    double store = 0;
    int opened = 0;
    double[] shelf = new double[Shelf.values().length];
    for (int d = from; d < to; d++) {
      need += b.needKg(d);
      bare += b.bareKg(d);
      for (Shelf s : Shelf.values()) {
        shelf[s.ordinal()] += b.eatenKg(s, d);
      }
      for (int f = 0; f < b.fieldCount; f++) {
        grown += b.grownKg(f, d);
      }
      for (int l = 0; l < b.lotCount; l++) {
        opened += b.lotOpened(l, d);
      }
    }
    for (int l = 0; l < b.lotCount; l++) {
      store += b.lotKg(l, to - 1);
    }
    return new Line(
        month, from, to, need, shelf[0], shelf[1], shelf[2], shelf[3], bare, grown, store, opened);
  }
}
