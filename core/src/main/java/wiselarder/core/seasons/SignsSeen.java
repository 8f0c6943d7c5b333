package wiselarder.core.seasons;

import wiselarder.core.balance.YearBalance;
import wiselarder.core.plan.Sign;

/** What was in hand in each of many years, week by week, on the morning of the week's first day. */
public final class SignsSeen {
  public static final int WEEK_DAYS = 7;
  private static final int GROWTH_DAYS = 30;
  private static final int RAIN_DAYS = 60;
  private static final double PERCENT = 100;

  private final int weeks;

  /** By sign, year and week; week 0 is the plan's first day, of which nothing is known. */
  private final float[][][] values;

  public SignsSeen(int years, int days) {
    weeks = (days - 1) / WEEK_DAYS + 1;
    values = new float[Sign.values().length][years][weeks];
  }

  public int weeks() {
    return weeks;
  }

  public int years() {
    return values[0].length;
  }

  /** Plan day of a week. */
  public static int day(int week) {
    return week * WEEK_DAYS;
  }

  /** The week whose morning is next to a day. */
  public int weekOf(int day) {
    return Math.max(1, Math.min(weeks - 1, Math.round(day / (float) WEEK_DAYS)));
  }

  public double of(Sign sign, int year, int week) {
    return values[sign.ordinal()][year][week];
  }

  /** Sets one; years by their place, from 0. */
  public void set(Sign sign, int year, int week, double value) {
    values[sign.ordinal()][year][week] = (float) value;
  }

  void note(int year, YearBalance b, double ha) {
    for (int w = 1; w < weeks; w++) {
      int last = day(w) - 1;
      int growthFrom = Math.max(0, last - GROWTH_DAYS);
      int growthDays = Math.max(1, last - growthFrom);
      double grown = b.grownSoFarKg(last) - b.grownSoFarKg(growthFrom);
      double rain = 0;
      for (int d = Math.max(0, last - RAIN_DAYS + 1); d <= last; d++) {
        rain += b.resolved().weather.rainMm(d);
      }
      set(Sign.STANDS, year, w, ha <= 0 ? 0 : b.standingKg(last) / ha);
      set(Sign.STORE, year, w, ManyYears.storeKg(b, last));
      set(Sign.GROWTH, year, w, ha <= 0 ? 0 : grown / growthDays / ha);
      set(Sign.SOIL_WATER, year, w, PERCENT * b.soilWaterShare(last));
      // a sum over fewer days would be told apart by the calendar, not by the rain
      set(Sign.RAIN, year, w, last + 1 < RAIN_DAYS ? 0 : rain);
    }
  }
}
