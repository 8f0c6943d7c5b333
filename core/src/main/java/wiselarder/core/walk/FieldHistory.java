package wiselarder.core.walk;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Reading;

/** The readings of a field over a year, and the growth that they measured. */
public final class FieldHistory {
  private FieldHistory() {}

  /**
   * One reading.
   *
   * @param fieldId the field
   * @param lowKgPerHa what it may be as well, by the way of measuring; kg DM/ha
   * @param expectedKgPerHa what the plan had in that morning, before it was told
   * @param takenKgPerHa what the plan has had grazed, trampled and cut since the reading before
   * @param growthKgPerHaDay measured: this cover less the last one, with what was taken, by the
   *     days between; null for the first
   * @param usualKgPerHaDay what the plan had expected to grow in those days without any reading's
   *     say on how the season runs
   */
  public record ReadingLine(
      String fieldId,
      LocalDate on,
      double coverKgPerHa,
      double lowKgPerHa,
      double highKgPerHa,
      double expectedKgPerHa,
      double takenKgPerHa,
      Double growthKgPerHaDay,
      Double usualKgPerHaDay) {}

  /** Of a field by its place in the plan, oldest first. */
  public static List<ReadingLine> of(YearBalance year, int field) {
    List<ReadingLine> lines = new ArrayList<>();
    Reading before = null;
    for (Reading r : year.readings()) {
      if (r.field() == field) {
        lines.add(line(year, before, r));
        before = r;
      }
    }
    return lines;
  }

  private static ReadingLine line(YearBalance year, Reading before, Reading r) {
    double ha = year.resolved().fields[r.field()].areaHa;
    double taken = 0;
    double usual = 0;
    for (int d = before == null ? r.day() : before.day(); d < r.day(); d++) {
      taken +=
          (year.grazedKg(r.field(), d) + year.trampledKg(r.field(), d) + year.cutKg(r.field(), d))
              / ha;
      usual += year.grownKg(r.field(), d) / year.paceShare(d) / ha;
    }
    int days = before == null ? 0 : r.day() - before.day();
    double cover = r.seen().coverKgPerHa();
    return new ReadingLine(
        year.resolved().fields[r.field()].field.id(),
        year.year().date(r.day()),
        cover,
        r.seen().lowKgPerHa(),
        r.seen().highKgPerHa(),
        r.expectedKgPerHa(),
        taken,
        days == 0 ? null : (cover - before.seen().coverKgPerHa() + taken) / days,
        days == 0 ? null : usual / days);
  }
}
