package wiselarder.core.day;

import wiselarder.core.day.FieldState.StandState;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;

/**
 * What each field offers today. Groups look through all fields several times a day, so this lies
 * side by side; it is worked out once in the morning, and anew for a field that was cut or grazed.
 */
final class Offers {
  /** A field with less than this to offer is left, kg DM/ha. */
  static final double LEAVE_AT_KG_PER_HA = 1.0;

  private final ResolvedPlan plan;

  /** True while stock may be here today. */
  final boolean[] open;

  /** What stands above the residuals, kg DM/ha. */
  final double[] aboveKgPerHa;

  /**
   * How far past its turn-in cover, kg DM/ha; without end below where it is not safe to come in.
   */
  final double[] aheadKgPerHa;

  /** The fields that offered something in the morning, in the farm's order. */
  final int[] offering;

  int offeringCount;

  /** Those of them that were past their turn-in cover; none comes to it during the day. */
  final int[] ready;

  int readyCount;

  private int sinceFrost;
  private boolean snowed;

  Offers(ResolvedPlan plan) {
    this.plan = plan;
    int count = plan.fields.length;
    open = new boolean[count];
    aboveKgPerHa = new double[count];
    aheadKgPerHa = new double[count];
    offering = new int[count];
    ready = new int[count];
  }

  void begin(int day) {
    offeringCount = 0;
    readyCount = 0;
    snowed = plan.weather.snowShuts(day);
    sinceFrost = plan.weather.daysIntoFrostSeason(day);
  }

  void morning(int f, FieldPlan p, FieldState s, int day) {
    int at = day * plan.fields.length + f;
    open[f] = !snowed && !plan.byDay.shut[at] && !plan.byDay.held[at] && !s.sown && !frostHolds(p);
    set(f, p, s);
    if (open[f] && aboveKgPerHa[f] > LEAVE_AT_KG_PER_HA) {
      offering[offeringCount++] = f;
      if (aheadKgPerHa[f] >= 0) {
        ready[readyCount++] = f;
      }
    }
  }

  void set(int f, FieldPlan p, FieldState s) {
    StandState base = s.base;
    if (p.alone) {
      aboveKgPerHa[f] = base.there ? base.above(p.base) : 0;
      boolean safe = p.base.safe <= 0 || !below(p.base, base);
      aheadKgPerHa[f] =
          !safe
              ? Double.NEGATIVE_INFINITY
              : base.there ? base.mass() - p.base.turnIn : -Double.MAX_VALUE;
      return;
    }
    aboveKgPerHa[f] = s.above(p);
    aheadKgPerHa[f] = safe(p, s) ? ahead(p, s) : Double.NEGATIVE_INFINITY;
  }

  /** A killing frost shuts a stand of sorghum for its hold, whenever it comes in this season. */
  boolean frostHolds(FieldPlan p) {
    return p.frostHoldDays > 0 && sinceFrost >= 0 && sinceFrost <= p.frostHoldDays;
  }

  /** False while a growing stand is below the height at which it is safe to come in. */
  static boolean safe(FieldPlan p, FieldState s) {
    for (int i = 0; i < s.stands.length; i++) {
      if (p.stands[i].safe > 0 && below(p.stands[i], s.stands[i])) {
        return false;
      }
    }
    return true;
  }

  private static boolean below(StandPlan p, StandState s) {
    return s.there && s.rate > 0 && s.mass() < p.safe;
  }

  /** How far a field is past the cover at which stock may come in: its furthest stand counts. */
  private static double ahead(FieldPlan p, FieldState s) {
    double ahead = -Double.MAX_VALUE;
    for (int i = 0; i < s.stands.length; i++) {
      if (s.stands[i].there) {
        ahead = Math.max(ahead, s.stands[i].mass() - p.stands[i].turnIn);
      }
    }
    return ahead;
  }
}
