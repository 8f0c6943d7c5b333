package wiselarder.core.forage;

import java.util.Arrays;
import java.util.List;
import wiselarder.core.calendar.MonthlyLine;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * Net growth over the year as twelve monthly mean rates, January first, kg DM/ha/day.
 *
 * <p>Between months the daily rate runs as a {@link MonthlyLine} of amounts: continuous, never
 * negative, and with exactly the stated mean over each month.
 */
public record GrowthCurve(List<Double> monthlyKgPerHaDay) {
  public static final Stated.Figure RATE = Stated.number("stand.monthlyKgPerHaDay", 0, 300);

  private static final int[] DAYS = {31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31};

  public GrowthCurve {
    Check.present("stand.monthlyKgPerHaDay", monthlyKgPerHaDay);
    if (monthlyKgPerHaDay.size() != 12) {
      throw new Refused(
          CoreReason.TWELVE_MONTHS, "stand.monthlyKgPerHaDay", monthlyKgPerHaDay.size());
    }
    for (Double rate : monthlyKgPerHaDay) {
      RATE.check(Check.present("stand.monthlyKgPerHaDay", rate));
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
    double[] means = monthlyKgPerHaDay.stream().mapToDouble(Double::doubleValue).toArray();
    return MonthlyLine.throughAmounts(means).daily(year.start(), year.days());
  }

  /** Highest monthly rate. */
  public double peakKgPerHaDay() {
    return monthlyKgPerHaDay.stream().mapToDouble(Double::doubleValue).max().orElse(0);
  }

  static GrowthCurve of(double... monthly) {
    return new GrowthCurve(Arrays.stream(monthly).boxed().toList());
  }
}
