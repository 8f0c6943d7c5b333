package wiselarder.core.calendar;

import java.time.LocalDate;

/**
 * A line through the year whose mean over each calendar month is exactly a given figure, January
 * first.
 *
 * <p>It runs straight from the boundary of two months to the middle of the month and on to the next
 * boundary. In the middle of month m it is {@code 2 m - (b1 + b2) / 2}, which keeps the mean. Unit:
 * that of the figures. Assumption: the monthly means are all that is known.
 */
public final class MonthlyLine {
  private final double[] boundary = new double[13];
  private final double[] middle = new double[12];

  private MonthlyLine(double[] means, boolean neverNegative) {
    if (means.length != 12) {
      throw new IllegalArgumentException("twelve monthly means, not " + means.length);
    }
    for (int m = 0; m < 13; m++) {
      double before = means[(m + 11) % 12];
      double after = means[m % 12];
      double between = (before + after) / 2;
      boundary[m] = neverNegative ? Math.min(between, 2 * Math.min(before, after)) : between;
    }
    for (int m = 0; m < 12; m++) {
      middle[m] = 2 * means[m] - (boundary[m] + boundary[m + 1]) / 2;
    }
  }

  /** Through figures that may be negative, such as temperatures: boundaries are means of two. */
  public static MonthlyLine through(double[] means) {
    return new MonthlyLine(means, false);
  }

  /** Through amounts, never below zero: a boundary is at most twice the smaller neighbour. */
  public static MonthlyLine throughAmounts(double[] means) {
    return new MonthlyLine(means, true);
  }

  /** Mean of the line over one day. */
  public double on(LocalDate date) {
    return on(date.getMonthValue() - 1, date.getDayOfMonth(), date.lengthOfMonth());
  }

  private double on(int month, int day, double length) {
    double from = (day - 1) / length;
    double to = day / length;
    return (integral(month, to) - integral(month, from)) * length;
  }

  /** Mean of the line over each day from {@code start} on. */
  public double[] daily(LocalDate start, int days) {
    double[] daily = new double[days];
    LocalDate date = start;
    for (int d = 0; d < days; date = date.withDayOfMonth(1).plusMonths(1)) {
      int length = date.lengthOfMonth();
      for (int day = date.getDayOfMonth(); day <= length && d < days; day++, d++) {
        daily[d] = on(date.getMonthValue() - 1, day, length);
      }
    }
    return daily;
  }

  /** Integral from 0 to x of the line start - mid - end over a month of length 1. */
  private double integral(int month, double x) {
    double mid = middle[month];
    double a = Math.min(x, 0.5);
    double first = boundary[month] * a + (mid - boundary[month]) * a * a;
    double b = Math.max(0, x - 0.5);
    return first + mid * b + (boundary[month + 1] - mid) * b * b;
  }
}
