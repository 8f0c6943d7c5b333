package wiselarder.core.herd;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;

/** How many animals a group holds each day: what it began with, and who came, went and died. */
public final class Heads {
  private Heads() {}

  private record Step(LocalDate date, int head) {}

  /**
   * Head of a group by day, deaths spread evenly over the year as a falling fraction.
   *
   * @param all every group of the farm: animals move between them
   */
  public static double[] of(AnimalGroup group, List<AnimalGroup> all, PlanYear year) {
    return of(group, all, year, Map.of());
  }

  /**
   * As {@link #of(AnimalGroup, List, PlanYear)}, with what was counted.
   *
   * @param counted head by day, as somebody counted: from that day on it goes on from there
   */
  static double[] of(
      AnimalGroup group, List<AnimalGroup> all, PlanYear year, Map<Integer, Integer> counted) {
    double[] head = new double[year.days()];
    int from = year.clippedStart(group.fromInclusive());
    int to = year.clippedEnd(group.toExclusive());
    List<Step> steps = steps(group, all);
    double alive = Math.pow(1 - group.keeping().deathsPerYearShare(), 1 / 365.0);
    double now = group.head();
    int next = 0;
    for (int d = 0; d < to; d++) {
      for (; next < steps.size() && year.day(steps.get(next).date) <= d; next++) {
        now = Math.max(0, now + steps.get(next).head);
      }
      if (d >= from) {
        Integer there = counted.get(d);
        now = there == null ? now : there;
        head[d] = now;
        now *= alive;
      }
    }
    return head;
  }

  /** Comings and goings of a group in order of time, those from other groups among them. */
  private static List<Step> steps(AnimalGroup group, List<AnimalGroup> all) {
    List<Step> steps = new ArrayList<>();
    for (HeadChange c : group.changes()) {
      steps.add(new Step(c.date(), c.kind().sign() * c.head()));
      if (c.kind().forATime() && c.untilExclusive() != null) {
        steps.add(new Step(c.untilExclusive(), -c.kind().sign() * c.head()));
      }
    }
    for (AnimalGroup other : all) {
      for (HeadChange c : other.changes()) {
        if (group.id().equals(c.toGroupId())) {
          steps.add(new Step(c.date(), c.head()));
        }
      }
    }
    steps.sort(Comparator.comparing(Step::date));
    return steps;
  }

  /**
   * Checks that nobody leaves who is not there.
   *
   * @throws Refused where more would leave a group than it holds on that day
   */
  public static void check(AnimalGroup group, List<AnimalGroup> all) {
    int now = group.head();
    for (Step s : steps(group, all)) {
      if (now + s.head < 0) {
        throw new Refused(
            CoreReason.MORE_THAN_THERE, "headChange.head", group.name(), s.date, -s.head, now);
      }
      now += s.head;
    }
  }
}
