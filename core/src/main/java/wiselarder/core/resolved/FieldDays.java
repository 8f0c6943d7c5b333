package wiselarder.core.resolved;

import java.util.Arrays;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.weather.WeatherYear;

/**
 * What each day asks of each field, laid out day after day as the simulation goes through it, so
 * that a day is read in one run.
 */
public final class FieldDays {
  /** Places within the four figures of a field and day. */
  public static final int GROWTH = 0;

  public static final int RESPONSE = 1;
  public static final int NORMAL_INDEX = 2;
  public static final int COVER = 3;

  /** Response and usual index for smooth days, and for smooth days with real rain, lie here. */
  private static final int SMOOTH = 4;

  private static final int REAL_RAIN = 6;
  public static final int FIGURES = 8;

  /** By how much further on response and usual index lie for such days than for real ones. */
  public static int offset(WeatherYear.Days kind) {
    return switch (kind) {
      case REAL -> 0;
      case SMOOTH -> SMOOTH - RESPONSE;
      case REAL_RAIN -> REAL_RAIN - RESPONSE;
    };
  }

  /** By day, field and figure: growth of the base stand in a normal year and what goes with it. */
  public final double[] base;

  /** By day and field: shut for stockpile. */
  public final boolean[] shut;

  /** Fields on which a stand comes or goes or a stockpile opens, by day; null on most days. */
  public final int[][] events;

  /** The half of the year about the coldest day. */
  public final boolean[] coldHalf;

  /**
   * @param known a resolution of the same ground, whose kinds are the first of these, or null
   */
  FieldDays(FieldPlan[] fields, PlanYear year, int coldestDoy, ResolvedPlan known) {
    int days = year.days();
    int count = fields.length;
    coldHalf = known == null ? coldHalf(year, coldestDoy) : known.byDay.coldHalf;
    base = sameStands(fields, known) ? known.byDay.base : base(fields, days);
    shut = new boolean[days * count];
    events = new int[days][];
    for (int f = 0; f < count; f++) {
      FieldPlan p = fields[f];
      for (int d = 0; d < days; d++) {
        shut[d * count + f] = p.shut[d];
        if (p.reopens[d]) {
          add(d, f);
        }
      }
      add(Math.max(0, p.base().arrives), f);
      add(p.base().leaves, f);
    }
  }

  private static boolean[] coldHalf(PlanYear year, int coldestDoy) {
    boolean[] cold = new boolean[year.days()];
    for (int d = 0; d < cold.length; d++) {
      int since = Math.floorMod(year.date(d).getDayOfYear() - coldestDoy + QUARTER_DAYS, 365);
      cold[d] = since <= 2 * QUARTER_DAYS;
    }
    return cold;
  }

  private static final int QUARTER_DAYS = 91;

  private static boolean sameStands(FieldPlan[] fields, ResolvedPlan known) {
    if (known == null || known.fields.length != fields.length) {
      return false;
    }
    for (int f = 0; f < fields.length; f++) {
      if (known.fields[f].stands != fields[f].stands) {
        return false;
      }
    }
    return true;
  }

  private static double[] base(FieldPlan[] fields, int days) {
    int count = fields.length;
    double[] base = new double[days * count * FIGURES];
    for (int f = 0; f < count; f++) {
      FieldPlan p = fields[f];
      for (int d = 0; d < days; d++) {
        int at = (d * count + f) * FIGURES;
        base[at + GROWTH] = p.base().growth[d];
        base[at + RESPONSE] = p.base().answer.response[d];
        base[at + NORMAL_INDEX] = p.base().answer.index[d];
        base[at + COVER] = p.referenceCover[d];
        base[at + SMOOTH] = p.base().smooth.response[d];
        base[at + SMOOTH + 1] = p.base().smooth.index[d];
        base[at + REAL_RAIN] = p.base().realRain.response[d];
        base[at + REAL_RAIN + 1] = p.base().realRain.index[d];
      }
    }
    return base;
  }

  private void add(int day, int field) {
    if (day < 0 || day >= events.length) {
      return;
    }
    int[] there = events[day] == null ? new int[0] : events[day];
    if (Arrays.stream(there).noneMatch(f -> f == field)) {
      events[day] = Arrays.copyOf(there, there.length + 1);
      events[day][there.length] = field;
    }
  }
}
