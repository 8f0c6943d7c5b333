package wiselarder.core.balance;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.quantity.Stated;

/**
 * Units set out at once for a group, and how long they hold. Feed offered for three days may be
 * held for four, to make stock clean up: they then eat three quarters of what they would. Cold
 * raises what they eat, so it shortens every set, and every later one moves up with it.
 *
 * @param day day it is set out
 * @param units whole units
 * @param lastsDays days until the next
 */
public record SetOut(int day, int units, int lastsDays) {
  public static final Stated.Figure UNITS = Stated.whole("setOut.units", 1, 10000);
  public static final Stated.Figure HELD_SHARE = Stated.number("setOut.heldShare", 1, 2);

  private static final int MOST_SETS = 400;

  /**
   * The sets one after the other.
   *
   * @param from first day
   * @param toExclusive first day without feeding
   * @param units set out each time
   * @param heldShare days held over days of feed offered, 1 or more
   */
  public static List<SetOut> of(
      YearBalance b, int group, int lot, int from, int toExclusive, int units, double heldShare) {
    UNITS.check(units);
    HELD_SHARE.check(heldShare);
    List<SetOut> sets = new ArrayList<>();
    int end = Math.min(b.days(), toExclusive);
    for (int day = Math.max(0, from); day < end && sets.size() < MOST_SETS; ) {
      double there = units * HaySum.usableKg(b, group, lot, day);
      int next = day;
      while (next < end && there > 1e-9) {
        there -= b.needKg(group, next) / heldShare;
        next++;
      }
      if (next < end && there < -b.needKg(group, next - 1) / heldShare / 2 && next > day + 1) {
        next--; // the last day was less than half full: the next set comes a day earlier
      }
      sets.add(new SetOut(day, units, next - day));
      day = next;
    }
    return sets;
  }
}
