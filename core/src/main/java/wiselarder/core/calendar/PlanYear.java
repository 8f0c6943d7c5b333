package wiselarder.core.calendar;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.YearMonth;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * The days a plan covers: from {@code start} (inclusive) for whole months. Days are numbered from
 * 0; a 12-month year has 365 days, or 366 when it holds a 29 February.
 *
 * @param months 12 to 24
 */
public record PlanYear(LocalDate start, int months) {
  public static final Stated.Figure MONTHS = Stated.whole("year.months", 12, 24);

  public PlanYear {
    Check.present("year.start", start);
    Check.range("year.start", start.getYear(), 1990, 2100);
    MONTHS.check(months);
  }

  /** First day after the plan. */
  public LocalDate endExclusive() {
    return start.plusMonths(months);
  }

  /** Number of days. */
  public int days() {
    return (int) ChronoUnit.DAYS.between(start, endExclusive());
  }

  public LocalDate date(int day) {
    return start.plusDays(day);
  }

  /** Day number of a date; negative before the plan, {@link #days()} or more after it. */
  public int day(LocalDate date) {
    return (int) ChronoUnit.DAYS.between(start, date);
  }

  /** Day number clipped to [0, days]; an open (null) start is 0. */
  public int clippedStart(LocalDate startInclusive) {
    return startInclusive == null ? 0 : Math.max(0, Math.min(days(), day(startInclusive)));
  }

  /** Day number clipped to [0, days]; an open (null) end is the plan's end. */
  public int clippedEnd(LocalDate endExclusive) {
    return endExclusive == null ? days() : Math.max(0, Math.min(days(), day(endExclusive)));
  }

  /**
   * Every occurrence of a yearly day from {@code yearsBefore} years before the plan's first day to
   * a year after its end, as day numbers in order. 29 February falls on the 28th in common years.
   */
  public List<Integer> occurrences(MonthDay yearly, int yearsBefore) {
    List<Integer> days = new ArrayList<>();
    int last = endExclusive().getYear() + 1;
    for (int year = start.getYear() - yearsBefore; year <= last; year++) {
      days.add(day(yearly.atYear(year)));
    }
    return days;
  }

  /** Calendar months, the first and last clipped to the plan. */
  public List<MonthSpan> monthSpans() {
    List<MonthSpan> spans = new ArrayList<>();
    int from = 0;
    while (from < days()) {
      YearMonth month = YearMonth.from(date(from));
      int to = Math.min(days(), day(month.plusMonths(1).atDay(1)));
      spans.add(new MonthSpan(month, from, to));
      from = to;
    }
    return spans;
  }

  /** One calendar month of the plan: days [startInclusive, endExclusive). */
  public record MonthSpan(YearMonth month, int startInclusive, int endExclusive) {
    public int days() {
      return endExclusive - startInclusive;
    }
  }
}
