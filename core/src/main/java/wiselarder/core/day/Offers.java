package wiselarder.core.day;

import wiselarder.core.day.CellState.StandState;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;

/**
 * What each piece of each field offers today. Groups look through all of them several times a day,
 * so this lies side by side; it is worked out once in the morning, and anew for a piece that was
 * cut or grazed.
 */
final class Offers {
  /** A piece with less than this to offer is left, kg DM/ha. */
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

  /** The pieces that offered something in the morning, in the farm's order. */
  final int[] offering;

  int offeringCount;

  /** Those of them that were past their turn-in cover and had their rest; none more by day. */
  final int[] ready;

  int readyCount;

  private boolean snowed;

  Offers(ResolvedPlan plan) {
    this.plan = plan;
    int count = plan.pieces.count();
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
  }

  void morning(int c, FieldPlan p, CellState s, int day) {
    int at = day * plan.fields.length + s.field;
    open[c] = !snowed && !plan.byDay.shut[at] && !plan.holds.field(s.field, day) && !s.sown;
    set(c, p, s);
    if (open[c] && aboveKgPerHa[c] > LEAVE_AT_KG_PER_HA) {
      offering[offeringCount++] = c;
      if (aheadKgPerHa[c] >= 0 && day - s.grazedDay >= p.returnDays[day]) {
        ready[readyCount++] = c;
      }
    }
  }

  void set(int c, FieldPlan p, CellState s) {
    StandState base = s.base;
    if (p.alone) {
      aboveKgPerHa[c] = base.there ? base.above(p.base) : 0;
      boolean safe = p.base.safe <= 0 || !below(p.base, base);
      aheadKgPerHa[c] =
          !safe
              ? Double.NEGATIVE_INFINITY
              : base.there ? base.mass() - turnIn(p.base, s) : -Double.MAX_VALUE;
      return;
    }
    aboveKgPerHa[c] = s.above(p);
    aheadKgPerHa[c] = safe(p, s) ? ahead(p, s) : Double.NEGATIVE_INFINITY;
  }

  private static double turnIn(StandPlan p, CellState s) {
    return s.grazedThisSeason ? p.turnInAgain : p.turnIn;
  }

  /** False while a growing stand is below the height at which it is safe to come in. */
  static boolean safe(FieldPlan p, CellState s) {
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

  /** How far a piece is past the cover at which stock may come in: its furthest stand counts. */
  private static double ahead(FieldPlan p, CellState s) {
    double ahead = -Double.MAX_VALUE;
    for (int i = 0; i < s.stands.length; i++) {
      if (s.stands[i].there) {
        ahead = Math.max(ahead, s.stands[i].mass() - turnIn(p.stands[i], s));
      }
    }
    return ahead;
  }
}
