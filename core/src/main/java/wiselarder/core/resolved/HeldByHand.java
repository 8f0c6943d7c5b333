package wiselarder.core.resolved;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.FieldHeld;
import wiselarder.core.records.FieldOpened;

/**
 * A time in which a field is shut by hand.
 *
 * @param recordId the record that shut it
 * @param fromDay first day of the plan, may be before it; {@code toDay} first day on which it is
 *     open again, no later than the plan's end
 */
public record HeldByHand(String recordId, String fieldId, int fromDay, int toDay, String why) {

  /** All of them that touch the plan, in the order of writing. */
  public static List<HeldByHand> of(FarmRecords records, PlanYear year) {
    List<FarmRecord> opened = new ArrayList<>();
    records.each(FieldOpened.class, (r, o) -> opened.add(r));
    List<HeldByHand> held = new ArrayList<>();
    records.each(
        FieldHeld.class,
        (r, h) -> {
          int from = year.day(r.on());
          int until = h.until() == null ? year.days() : Math.min(year.days(), year.day(h.until()));
          int to =
              opened.stream()
                  .filter(o -> o.fact().fieldId().equals(h.fieldId()))
                  .mapToInt(o -> year.day(o.on()))
                  .filter(day -> day >= from)
                  .reduce(until, Math::min);
          if (to > Math.max(0, from) && from < year.days()) {
            held.add(new HeldByHand(r.id(), h.fieldId(), from, to, h.why()));
          }
        });
    return held;
  }
}
