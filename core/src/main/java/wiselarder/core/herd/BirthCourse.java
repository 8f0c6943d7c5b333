package wiselarder.core.herd;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wiselarder.core.herd.GroupYear.Born;

/**
 * How the births of one season came, as they were written down: until the last of them as they are
 * there; the rest of the dams evenly over what is left of the stated time. Days count from the
 * stated first day of the season, and may lie before it.
 */
final class BirthCourse {
  /** Births of this long before a season's first day on belong to it. Assumption. */
  static final int EARLY_DAYS = 60;

  /** And to this long after its last. Assumption. */
  private static final int LATE_DAYS = 120;

  /** Where the stated time is over, the rest is looked for within a heat cycle. Assumption. */
  private static final int CYCLE_DAYS = 21;

  /** Farther from a season's first day than this another season is nearer. */
  private static final int HALF_YEAR = 183;

  private static final Born NONE = new Born(0, 0);

  final int start;
  final int firstDay;
  private final double[] share;

  /** Young that live, for each dam of the group. */
  private final double[] young;

  private BirthCourse(int start, int first, double[] share, double[] young) {
    this.start = start;
    this.firstDay = first;
    this.share = share;
    this.young = young;
  }

  /** The seasons of which something was written down. */
  static List<BirthCourse> of(
      AnimalGroup group, List<Integer> starts, double[] head, Map<Integer, Born> born) {
    List<BirthCourse> found = new ArrayList<>();
    for (int start : starts) {
      int first = Integer.MAX_VALUE;
      int last = Integer.MIN_VALUE;
      for (int day : born.keySet()) {
        int since = day - start;
        if (since >= -EARLY_DAYS && since < group.birthSpreadDays() + LATE_DAYS) {
          first = Math.min(first, since);
          last = Math.max(last, since);
        }
      }
      double dams = head.length == 0 ? 0 : head[Math.max(0, Math.min(head.length - 1, start))];
      if (last > Integer.MIN_VALUE && dams > 0) {
        found.add(of(group, start, first, last, dams, born));
      }
    }
    return found;
  }

  private static BirthCourse of(
      AnimalGroup group, int start, int first, int last, double dams, Map<Integer, Born> born) {
    int spread = group.birthSpreadDays();
    int all = 0;
    for (int d = first; d <= last; d++) {
      all += on(born, start + d).dams();
    }
    // more may have given birth than were counted in the group: then it is these
    double of = Math.max(dams, all);
    int end = last + 1 < spread ? spread : last + 1 + (all < of ? CYCLE_DAYS : 0);
    double[] share = new double[end - first];
    double[] young = new double[share.length];
    for (int d = first; d < end; d++) {
      Born here = on(born, start + d);
      boolean written = d <= last;
      share[d - first] = written ? here.dams() / of : (of - all) / of / (end - last - 1);
      young[d - first] = written ? here.young() / of : share[d - first] * group.youngPerDam();
    }
    return new BirthCourse(start, first, share, young);
  }

  private static Born on(Map<Integer, Born> born, int day) {
    return born.getOrDefault(day, NONE);
  }

  /** True where births of a season were written down by a day. */
  static boolean any(Map<Integer, Born> born, int start, int day) {
    return born.keySet().stream().anyMatch(d -> d >= start - EARLY_DAYS && d <= day);
  }

  int endDay() {
    return firstDay + share.length;
  }

  /** Share of the dams that give birth so many days after the season's first day. */
  double share(int since) {
    int at = since - firstDay;
    return at < 0 || at >= share.length ? 0 : share[at];
  }

  /** Young that live of those that give birth then, for each dam of the group. */
  double young(int since) {
    int at = since - firstDay;
    return at < 0 || at >= young.length ? 0 : young[at];
  }

  /** True on days nearer to this season's births than to another's. */
  boolean holds(int day) {
    return day - start >= -HALF_YEAR && day - start < HALF_YEAR;
  }
}
