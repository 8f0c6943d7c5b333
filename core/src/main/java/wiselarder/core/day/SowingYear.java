package wiselarder.core.day;

import wiselarder.core.day.CellState.StandState;
import wiselarder.core.forage.CropRules;
import wiselarder.core.plan.Sowing;
import wiselarder.core.resolved.ResolvedPlan.CropPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;

/**
 * What became of a sowing in the simulated weather. Days are the plan's, -1 where it never came to
 * that.
 *
 * @param emergedDay leaves above ground
 * @param readyDay height reached and roots anchored: first use
 * @param headedDay heads are out of what stands at the end, since it was last taken down
 * @param doughDay its grain is soft dough; -1 also where it carries none
 * @param grainDay its grain is hard; so too
 * @param endedDay terminated, killed by frost, taken after jointing, or failed
 * @param skipped not sown, as the soil held less water than its keeper asks
 * @param failed true when the seed lay too long in dry or cold ground
 * @param grownKgPerHa all it grew
 * @param lowKgPerHa in a poor situation, one in five, by the table's spread of yields
 * @param highKgPerHa in a good one, one in five
 * @param chanceOfFailing by lateness, and by the share of simulated years in which it comes up
 * @param daysLate against the usual sowing of this crop in this climate; below zero is early
 * @param waterShareAtSowing share of the soil's water on that day; NaN when it lies outside the
 *     plan
 */
public record SowingYear(
    String sowingId,
    int emergedDay,
    int readyDay,
    int headedDay,
    int doughDay,
    int grainDay,
    int endedDay,
    boolean skipped,
    boolean failed,
    double grownKgPerHa,
    double lowKgPerHa,
    double highKgPerHa,
    double chanceOfFailing,
    double daysLate,
    double waterShareAtSowing) {

  /** A sowing before or after the plan's days: nothing of it is simulated. */
  static SowingYear outside(Sowing sowing) {
    return new SowingYear(
        sowing.id(),
        -1,
        -1,
        -1,
        -1,
        -1,
        -1,
        false,
        false,
        0,
        0,
        0,
        Double.NaN,
        Double.NaN,
        Double.NaN);
  }

  /** Of a crop on all pieces of its field: they come up together, and may be ended apart. */
  static SowingYear of(FieldPlan field, int stand, CellState[] pieces, DayBook out) {
    CropPlan c = field.stands[stand].crop;
    StandState first = pieces[0].stands[stand];
    int ready = first.readyDay;
    int ended = first.endedDay;
    for (CellState piece : pieces) {
      StandState s = piece.stands[stand];
      ready = s.readyDay < 0 ? ready : ready < 0 ? s.readyDay : Math.min(ready, s.readyDay);
      ended = s.endedDay < 0 || ended < 0 ? -1 : Math.max(ended, s.endedDay);
    }
    double grown = out.totals.sownGrown[c.number];
    return new SowingYear(
        c.stated.id(),
        first.emergedDay,
        ready,
        c.course.diesRipe() ? first.headedDay : -1,
        c.regrowth.doughDays() > 0 ? first.doughDay : -1,
        c.regrowth.doughDays() > 0 ? first.grainDay : -1,
        ended,
        first.skipped,
        first.failed,
        grown,
        grown * c.lowShare,
        grown * c.highShare,
        CropRules.chanceOfFailing(c.window, c.daysLate, c.comesUpShare),
        c.daysLate,
        first.waterShareAtSowing);
  }
}
