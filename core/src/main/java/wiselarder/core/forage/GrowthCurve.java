package wiselarder.core.forage;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;

/**
 * Net growth over the year as twelve monthly mean rates, January first, kg DM/ha/day.
 *
 * <p>Between months the daily rate runs in straight lines: at the boundary of two months it is
 * {@code b = min(mean of the two, 2 x the smaller)}, in the middle of month m it is {@code v = 2 m
 * - (b1 + b2) / 2}. That line is continuous, never negative, and its mean over each month is
 * exactly the stated rate. Assumption: the monthly means are all that is known.
 */
public record GrowthCurve(List<Double> monthlyKgPerHaDay) {
  private static final int[] DAYS = {31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31};

  public GrowthCurve {
    Check.present("stand.monthlyKgPerHaDay", monthlyKgPerHaDay);
    if (monthlyKgPerHaDay.size() != 12) {
      throw new Refused(
          "twelve_months",
          "stand.monthlyKgPerHaDay",
          monthlyKgPerHaDay.size(),
          12.0,
          12.0,
          "twelve monthly rates are needed, January first");
    }
    for (Double rate : monthlyKgPerHaDay) {
      Check.range(
          "stand.monthlyKgPerHaDay", Check.present("stand.monthlyKgPerHaDay", rate), 0, 300);
    }
    monthlyKgPerHaDay = List.copyOf(monthlyKgPerHaDay);
  }

  /** Growth of a common year of 365 days, kg DM/ha. */
  public double annualKgPerHa() {
    double sum = 0;
    for (int m = 0; m < 12; m++) {
      sum += monthlyKgPerHaDay.get(m) * DAYS[m];
    }
    return sum;
  }

  /** The same shape with another yearly total. */
  public GrowthCurve scaledTo(double annualKgPerHa) {
    double factor = annualKgPerHa / annualKgPerHa();
    return new GrowthCurve(monthlyKgPerHaDay.stream().map(r -> r * factor).toList());
  }

  /** Growth during each day of the plan, kg DM/ha, so that whole months keep their stated mean. */
  public double[] daily(PlanYear year) {
    double[] boundary = new double[13];
    double[] middle = new double[12];
    for (int m = 0; m < 13; m++) {
      double before = monthlyKgPerHaDay.get((m + 11) % 12);
      double after = monthlyKgPerHaDay.get(m % 12);
      boundary[m] = Math.min((before + after) / 2, 2 * Math.min(before, after));
    }
    for (int m = 0; m < 12; m++) {
      middle[m] = 2 * monthlyKgPerHaDay.get(m) - (boundary[m] + boundary[m + 1]) / 2;
    }
    double[] daily = new double[year.days()];
    LocalDate date = year.start();
    for (int d = 0; d < daily.length; d++, date = date.plusDays(1)) {
      int m = date.getMonthValue() - 1;
      double length = date.lengthOfMonth();
      double from = (date.getDayOfMonth() - 1) / length;
      double to = date.getDayOfMonth() / length;
      daily[d] =
          (integral(boundary[m], middle[m], boundary[m + 1], to)
                  - integral(boundary[m], middle[m], boundary[m + 1], from))
              * length;
    }
    return daily;
  }

  /** Integral from 0 to x of the line start - mid - end over a month of length 1. */
  private static double integral(double start, double mid, double end, double x) {
    double a = Math.min(x, 0.5);
    double first = start * a + (mid - start) * a * a;
    double b = Math.max(0, x - 0.5);
    return first + mid * b + (end - mid) * b * b;
  }

  /** Highest monthly rate. */
  public double peakKgPerHaDay() {
    return monthlyKgPerHaDay.stream().mapToDouble(Double::doubleValue).max().orElse(0);
  }

  static GrowthCurve of(double... monthly) {
    return new GrowthCurve(Arrays.stream(monthly).boxed().toList());
  }
}
