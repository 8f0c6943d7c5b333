package wiselarder.core.resolved;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.caution.Caution;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.HoldLifted;

/** Holds that a keeper has overridden: from that day they block no more, and still caution. */
final class Lifted {
  private Lifted() {}

  /** The same cautions, each hold that was lifted in two: until that day, and from it on. */
  static List<Caution> from(List<Caution> cautions, FarmRecords records, PlanYear year) {
    List<HoldLifted> lifted = new ArrayList<>();
    records.each(HoldLifted.class, (r, f) -> lifted.add(f));
    if (lifted.isEmpty()) {
      return cautions;
    }
    List<Caution> all = new ArrayList<>();
    for (Caution c : cautions) {
      int day = day(c, lifted, year);
      if (day < 0) {
        all.add(c);
        continue;
      }
      if (day > c.fromDay()) {
        all.add(part(c, c.fromDay(), day, true));
      }
      all.add(part(c, day, c.toDay(), false));
    }
    return List.copyOf(all);
  }

  /** The first plan day on which a hold was lifted, -1 for never. */
  private static int day(Caution c, List<HoldLifted> lifted, PlanYear year) {
    return lifted.stream()
        .filter(l -> c.blocks() && l.hazardId().equals(c.hazard().id()))
        .filter(l -> l.fieldId() == null || l.fieldId().equals(c.fieldId()))
        .filter(l -> Objects.equals(l.lotId(), c.lotId()))
        .map(HoldLifted::from)
        .filter(d -> within(c, d, year))
        .mapToInt(d -> Math.max(0, year.day(d)))
        .min()
        .orElse(-1);
  }

  private static boolean within(Caution c, LocalDate on, PlanYear year) {
    return year.day(on) >= c.fromDay() && year.day(on) < c.toDay();
  }

  private static Caution part(Caution c, int from, int to, boolean blocks) {
    return new Caution(c.hazard(), c.fieldId(), c.groupId(), c.lotId(), from, to, blocks);
  }
}
