package wiselarder.core.resolved;

import java.util.HashMap;
import java.util.Map;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.GroupYear.Born;
import wiselarder.core.herd.GroupYear.Counts;
import wiselarder.core.records.BirthsSeen;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.HeadCounted;

/** What was counted of a group as it was written down. */
final class Counted {
  private Counted() {}

  /** The last count of a day counts; births add up. */
  static Counts of(FarmRecords records, AnimalGroup group, PlanYear year) {
    Map<Integer, Integer> head = new HashMap<>();
    records.each(
        HeadCounted.class,
        (r, c) -> {
          if (c.groupId().equals(group.id())) {
            head.put(year.day(r.on()), c.head());
          }
        });
    Map<Integer, Born> born = new HashMap<>();
    records.each(
        BirthsSeen.class,
        (r, b) -> {
          if (b.groupId().equals(group.id())) {
            born.merge(year.day(r.on()), new Born(b.dams(), b.young()), Counted::sum);
          }
        });
    return new Counts(head, born);
  }

  private static Born sum(Born one, Born other) {
    return new Born(one.dams() + other.dams(), one.young() + other.young());
  }
}
