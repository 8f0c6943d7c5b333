package wiselarder.core.conflict;

import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.SowingYear;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Sowing;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;

/**
 * What each field is for on each day of a year: an acre is promised once, and what is not out of
 * use has to carry the herd. Read off the plan and its year.
 */
public final class LandUse {
  /** A field not grazed for longer than this before a cut was not kept for it. Assumption. */
  private static final int MOST_DAYS_BEFORE_A_CUT = 90;

  /** Use of a field on a day; where several would hold, the last of them does. */
  public enum Use {
    /** Open to the herd: grazed, or growing for it. */
    GRAZED,
    /** A sown crop that stands and may be grazed. */
    CROP,
    /** Not grazed any more, as it is cut next. */
    FOR_A_CUT,
    /** Shut, to be eaten later. */
    SHUT,
    /** Nobody may come in: a caution or somebody's word holds it. */
    HELD,
    /** Out of use for a crop: from the first work on the ground until it is ready. */
    BEING_SOWN,
    /** Nothing stands there: rented ground before and after, ploughed ground. */
    BARE
  }

  private final YearBalance year;
  private final ResolvedPlan plan;
  private final Use[][] uses;

  private LandUse(YearBalance year) {
    this.year = year;
    this.plan = year.resolved();
    uses = new Use[plan.fields.length][year.days()];
    for (int f = 0; f < uses.length; f++) {
      for (int d = 0; d < year.days(); d++) {
        boolean stands = year.coverKgPerHa(f, d) > 0;
        uses[f][d] = plan.holds.field(f, d) ? Use.HELD : stands ? Use.GRAZED : Use.BARE;
      }
    }
    Plan stated = year.stated().plan();
    stated.cuts().forEach(this::cut);
    for (Closing c : stated.closings()) {
      mark(field(c.fieldId()), from(c), to(c), Use.SHUT);
    }
    for (int n = 0; n < stated.sowings().size(); n++) {
      sowing(stated.sowings().get(n), year.sowing(n), n);
    }
  }

  public static LandUse of(YearBalance year) {
    return new LandUse(year);
  }

  private int from(Closing c) {
    return year.year().clippedStart(c.fromInclusive());
  }

  private int to(Closing c) {
    return year.year().clippedEnd(c.toExclusive());
  }

  private int field(String id) {
    for (int f = 0; f < plan.fields.length; f++) {
      if (plan.fields[f].field.id().equals(id)) {
        return f;
      }
    }
    throw new IllegalStateException(id);
  }

  private void mark(int field, int from, int to, Use use) {
    for (int d = Math.max(0, from); d < Math.min(year.days(), to); d++) {
      if (use.ordinal() > uses[field][d].ordinal()) {
        uses[field][d] = use;
      }
    }
  }

  /** Kept for a cut since stock were there last, or the last cut was taken. */
  private void cut(HayCut c) {
    int day = year.year().day(c.date());
    if (day < 0 || day >= year.days()) {
      return;
    }
    int f = field(c.fieldId());
    int from = day;
    while (from > 0
        && day - from < MOST_DAYS_BEFORE_A_CUT
        && year.grazedKg(f, from - 1) <= 0
        && year.cutKg(f, from - 1) <= 0
        && year.grownKg(f, from - 1) > 0) {
      from--;
    }
    mark(f, from, day + 1, Use.FOR_A_CUT);
  }

  private void sowing(Sowing s, SowingYear is, int n) {
    int f = field(s.fieldId());
    boolean stood = s.standsAtStart(year.year());
    int prepared = stood ? 0 : year.year().day(s.preparedFrom());
    int days = year.days();
    boolean over = is.endedDay() >= 0;
    int ready = is.readyDay() >= 0 ? is.readyDay() : over ? is.endedDay() : days;
    if (!stood && year.year().day(s.sowOn()) < 0) {
      return; // before the plan, and nobody says that anything of it is there
    }
    if (closes(f, n)) {
      mark(f, prepared, ready, Use.BEING_SOWN);
    }
    for (int d = Math.max(0, ready); d < days; d++) {
      boolean stands =
          year.sownCoverKgPerHa(n, d) > LEAST_KG_PER_HA && (!over || d < is.endedDay());
      if (stands && is.readyDay() >= 0) {
        mark(f, d, d + 1, Use.CROP);
      }
    }
  }

  /** False where stock stay on the sod that a legume was sown into. */
  private boolean closes(int field, int number) {
    for (StandPlan s : plan.fields[field].stands) {
      if (s.crop != null && s.crop.number == number) {
        return s.crop.closes;
      }
    }
    return true;
  }

  /** Less is no crop, kg DM/ha. */
  private static final double LEAST_KG_PER_HA = 50;

  public Use use(int field, int day) {
    return uses[field][day];
  }

  /** Net area that is for one use on a day, ha. */
  public double areaHa(Use use, int day) {
    double ha = 0;
    for (int f = 0; f < uses.length; f++) {
      ha += uses[f][day] == use ? plan.fields[f].areaHa : 0;
    }
    return ha;
  }

  /** Net area of all fields, ha. */
  public double wholeHa() {
    double ha = 0;
    for (ResolvedPlan.FieldPlan f : plan.fields) {
      ha += f.areaHa;
    }
    return ha;
  }

  /** The first day on which least ground is open to the herd: grazed or a crop that is ready. */
  public int narrowestDay() {
    int narrowest = 0;
    double least = Double.POSITIVE_INFINITY;
    for (int d = 0; d < year.days(); d++) {
      double open = areaHa(Use.GRAZED, d) + areaHa(Use.CROP, d);
      if (open < least - 1e-9) {
        least = open;
        narrowest = d;
      }
    }
    return narrowest;
  }
}
