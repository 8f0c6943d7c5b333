package wiselarder.core.resolved;

import java.util.Arrays;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;

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
  public static final int FIGURES = 4;

  /** By day, field and figure: growth of the base stand in a normal year and what goes with it. */
  public final double[] base;

  /** By day and field: shut for stockpile; held by a caution. */
  public final boolean[] shut;

  public final boolean[] held;

  /** Fields on which a stand comes or goes or a stockpile opens, by day; null on most days. */
  public final int[][] events;

  /** The day on which the climate's year of growth begins anew. */
  public final boolean[] midwinter;

  /**
   * @param known a resolution of the same ground and kinds, or null
   */
  FieldDays(FieldPlan[] fields, PlanYear year, int coldestDoy, ResolvedPlan known) {
    int days = year.days();
    int count = fields.length;
    midwinter = known == null ? midwinter(year, coldestDoy) : known.byDay.midwinter;
    base = sameStands(fields, known) ? known.byDay.base : base(fields, days);
    shut = new boolean[days * count];
    held = new boolean[days * count];
    events = new int[days][];
    for (int f = 0; f < count; f++) {
      FieldPlan p = fields[f];
      for (int d = 0; d < days; d++) {
        shut[d * count + f] = p.shut[d];
        held[d * count + f] = p.held[d];
        if (p.reopens[d]) {
          add(d, f);
        }
      }
      add(Math.max(0, p.base().arrives), f);
      add(p.base().leaves, f);
    }
  }

  private static boolean[] midwinter(PlanYear year, int coldestDoy) {
    boolean[] midwinter = new boolean[year.days()];
    for (int d = 0; d < midwinter.length; d++) {
      midwinter[d] = year.date(d).getDayOfYear() == coldestDoy;
    }
    return midwinter;
  }

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
        base[at + RESPONSE] = p.base().response[d];
        base[at + NORMAL_INDEX] = p.base().normalIndex[d];
        base[at + COVER] = p.referenceCover[d];
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
