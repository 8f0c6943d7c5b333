package wiselarder.core.resolved;

import java.util.Arrays;
import wiselarder.core.resolved.ResolvedPlan.CutPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.GroupPlan;
import wiselarder.core.resolved.ResolvedPlan.LotPlan;
import wiselarder.core.resolved.ResolvedPlan.StepPlan;

/**
 * The first day on which two resolved plans may differ. It may be earlier than the true one, never
 * later: what is not understood differs from the first day on.
 */
final class SameDays {
  private final ResolvedPlan one;
  private final ResolvedPlan other;

  private SameDays(ResolvedPlan one, ResolvedPlan other) {
    this.one = one;
    this.other = other;
  }

  /** 0 where they differ from the beginning; the plan's length where they never do. */
  static int until(ResolvedPlan one, ResolvedPlan other) {
    return until(one, other, one.records.equals(other.records) ? one.days : 0);
  }

  /**
   * The same where records are known to say nothing of the days before one.
   *
   * @param recordsFrom the two know the same of all days before it
   */
  static int until(ResolvedPlan one, ResolvedPlan other, int recordsFrom) {
    SameDays same = new SameDays(one, other);
    if (recordsFrom <= 0 || !same.ground()) {
      return 0;
    }
    int day = Math.min(recordsFrom, same.first(one.holds.mismatch(other.holds)));
    for (int f = 0; f < one.fields.length; f++) {
      day = Math.min(day, same.field(one.fields[f], other.fields[f]));
    }
    for (int g = 0; g < one.groups.length; g++) {
      day = Math.min(day, same.group(g));
    }
    for (int l = 0; l < one.lots.length; l++) {
      day = Math.min(day, same.lot(one.lots[l], other.lots[l]));
    }
    for (int c = 0; c < one.cuts.length; c++) {
      day = Math.min(day, same.cut(one.cuts[c], other.cuts[c]));
    }
    return Math.max(0, day);
  }

  /** The same days and weather, and as many of everything in the same places. */
  private boolean ground() {
    return one.year.equals(other.year)
        && one.weather == other.weather
        && one.index == other.index
        && one.season == other.season
        && one.fields.length == other.fields.length
        && one.groups.length == other.groups.length
        && one.lots.length == other.lots.length
        && one.cuts.length == other.cuts.length
        && one.pieces.same(other.pieces)
        && one.stated.plan().passes().equals(other.stated.plan().passes())
        && one.stated.plan().sowings().equals(other.stated.plan().sowings());
  }

  private int field(FieldPlan a, FieldPlan b) {
    if (a == b) {
      return one.days;
    }
    // stands are shared where field, sowings and ground are the same
    if (a.stands != b.stands || a.alone != b.alone) {
      return 0;
    }
    int day = first(Arrays.mismatch(a.shut, b.shut));
    day = Math.min(day, first(Arrays.mismatch(a.reopens, b.reopens)));
    day = Math.min(day, first(mismatch(a.nitrogen, b.nitrogen)));
    return Math.min(day, first(mismatch(a.irrigation, b.irrigation)));
  }

  private static int mismatch(double[] a, double[] b) {
    if (a == null || b == null) {
      return a == b ? -1 : 0;
    }
    return Arrays.mismatch(a, b);
  }

  private int first(int mismatch) {
    return mismatch < 0 ? one.days : mismatch;
  }

  private int group(int g) {
    GroupPlan a = one.groups[g];
    GroupPlan b = other.groups[g];
    if (a.steps.length != b.steps.length
        || a.passes.length != b.passes.length
        || a.picks != b.picks
        || a.chooses != b.chooses
        || a.small != b.small
        || a.byEnergy != b.byEnergy
        || !Arrays.equals(a.barred, b.barred)) {
      return 0;
    }
    int day = first(a.year == b.year ? -1 : a.year.mismatch(b.year));
    if (one.demand[g] != other.demand[g]) {
      day = Math.min(day, first(one.demand[g].mismatch(other.demand[g])));
    }
    for (int s = 0; s < a.steps.length; s++) {
      day = Math.min(day, step(a.steps[s], b.steps[s]));
    }
    return day;
  }

  private int step(StepPlan a, StepPlan b) {
    boolean same =
        a.graze == b.graze
            && a.wholeStore == b.wholeStore
            && a.anyLot == b.anyLot
            && a.first == b.first
            && a.bounded == b.bounded
            && Double.compare(a.share, b.share) == 0
            && Double.compare(a.kgPerHeadDay, b.kgPerHeadDay) == 0
            && a.roundDays == b.roundDays
            && Arrays.equals(a.sources, b.sources);
    if (!same || a.from != b.from) {
      return Math.min(a.from, b.from);
    }
    return a.to == b.to ? one.days : Math.min(a.to, b.to);
  }

  private int lot(LotPlan a, LotPlan b) {
    boolean same =
        a.lot.equals(b.lot)
            && a.arrives == b.arrives
            && a.bought == b.bought
            && a.fromCut == b.fromCut
            && Arrays.equals(a.setOutTo, b.setOutTo)
            && Arrays.equals(a.setOutOn, b.setOutOn)
            && Arrays.equals(a.barred, b.barred);
    return same ? one.days : Math.min(a.arrives, b.arrives);
  }

  private int cut(CutPlan a, CutPlan b) {
    boolean same =
        a.day == b.day
            && a.field == b.field
            && a.lot == b.lot
            && a.harvestLoss == b.harvestLoss
            && a.tdnLossPoints == b.tdnLossPoints
            && a.unitKg == b.unitKg;
    return same ? one.days : Math.min(a.day, b.day);
  }
}
