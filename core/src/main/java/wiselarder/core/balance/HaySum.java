package wiselarder.core.balance;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.day.Shelf;
import wiselarder.core.resolved.ResolvedPlan;

/**
 * How many units of a lot a group needs over the plan: {@code sum over days of (stored feed eaten +
 * bare) / usable DM of a unit on that day}, rounded up, as bales come whole. Usable DM of a unit is
 * {@code weight x dry matter x kept in store until that day x (1 - feeding loss)}. Read from the
 * year's balance, so it agrees with it to the kilogram.
 *
 * @param days days with stored feed or bare
 * @param firstDay first such day, -1 when there is none
 * @param lastDay last such day, -1 when there is none
 * @param fedKg stored feed eaten, kg DM
 * @param bareKg need that nothing met, kg DM
 * @param exactUnits units of the lot that would meet both, before rounding up
 */
public record HaySum(
    String groupId,
    String lotId,
    int days,
    int firstDay,
    int lastDay,
    double fedKg,
    double bareKg,
    double exactUnits) {

  /** Guards against rounding up a rounding error, in units. */
  private static final double GUARD = 1e-6;

  /** Whole units: what has to be opened. */
  public int units() {
    return (int) Math.ceil(exactUnits - GUARD);
  }

  /** The sum for several groups that eat from one heap, rounded up once; its group id is empty. */
  public static HaySum together(List<HaySum> sums) {
    double fed = 0;
    double bare = 0;
    double units = 0;
    int days = 0;
    int first = -1;
    int last = -1;
    for (HaySum s : sums) {
      fed += s.fedKg;
      bare += s.bareKg;
      units += s.exactUnits;
      days = Math.max(days, s.days);
      first = s.firstDay < 0 ? first : first < 0 ? s.firstDay : Math.min(first, s.firstDay);
      last = Math.max(last, s.lastDay);
    }
    return new HaySum("", sums.get(0).lotId, days, first, last, fed, bare, units);
  }

  /** The sum for each group, all by the same lot, over the whole plan. */
  public static List<HaySum> ofAll(YearBalance balance, int lot) {
    return ofAll(balance, lot, 0, balance.days());
  }

  /** The sum for each group, all by the same lot, over days [from, to) of the plan. */
  public static List<HaySum> ofAll(YearBalance balance, int lot, int from, int to) {
    List<HaySum> sums = new ArrayList<>();
    for (int g = 0; g < balance.groupCount; g++) {
      sums.add(of(balance, g, lot, from, to));
    }
    return sums;
  }

  /** The sum for one group and one lot over the whole plan. */
  public static HaySum of(YearBalance b, int group, int lot) {
    return of(b, group, lot, 0, b.days());
  }

  /** The sum for one group and one lot over days [from, to) of the plan. */
  public static HaySum of(YearBalance b, int group, int lot, int from, int to) {
    ResolvedPlan.LotPlan l = b.resolved().lots[lot];
    int days = 0;
    int first = -1;
    int last = -1;
    double fed = 0;
    double bare = 0;
    double units = 0;
    for (int d = Math.max(0, from); d < Math.min(b.days(), to); d++) {
      double stored = b.eatenKg(Shelf.PUT_BY, group, d) + b.eatenKg(Shelf.BOUGHT_IN, group, d);
      double missing = b.bareKg(group, d);
      if (stored + missing <= 0) {
        continue;
      }
      days++;
      first = first < 0 ? d : first;
      last = d;
      fed += stored;
      bare += missing;
      units += (stored + missing) / usableKg(b, group, lot, d);
    }
    String id = b.stated().farm().groups().get(group).id();
    return new HaySum(id, l.lot.id(), days, first, last, fed, bare, units);
  }

  /**
   * First day after {@code from} from which the ground carries a group again: no stored feed and
   * nothing bare for a fortnight; the plan's end where it never does.
   */
  public static int carriedAgainFrom(YearBalance b, int group, int from) {
    int free = 0;
    for (int d = from; d < b.days(); d++) {
      double stored = b.eatenKg(Shelf.PUT_BY, group, d) + b.eatenKg(Shelf.BOUGHT_IN, group, d);
      free = stored + b.bareKg(group, d) > 0 ? 0 : free + 1;
      if (free == CARRIED_DAYS) {
        return d - CARRIED_DAYS + 1;
      }
    }
    return b.days();
  }

  private static final int CARRIED_DAYS = 14;

  /**
   * Dry matter of one unit of a lot that ends in a group on a day: what storage leaves, less what
   * is lost at feeding so many mouths.
   */
  public static double usableKg(YearBalance b, int group, int lot, int day) {
    ResolvedPlan.LotPlan l = b.resolved().lots[lot];
    int inStore = Math.max(0, day - Math.max(0, l.arrives));
    double unitKg = l.kgPerUnit * Math.pow(l.keptPerDay, inStore);
    double loss = l.feeding.shareWhenUnitLasts(unitKg / b.needKg(group, day));
    return unitKg * (1 - l.lostAtOpening) * (1 - loss);
  }
}
