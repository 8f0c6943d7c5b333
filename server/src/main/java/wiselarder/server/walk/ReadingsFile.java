package wiselarder.server.walk;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.walk.FieldHistory;
import wiselarder.server.file.Table;
import wiselarder.server.lists.CsvUnit;

/** Readings of covers as a list for a spreadsheet. */
final class ReadingsFile {
  private ReadingsFile() {}

  /** Where and when a reading was. */
  private record Key(String fieldId, LocalDate on) {}

  static Table of(
      FarmPlan plan,
      List<FieldHistory.ReadingLine> lines,
      FarmRecords records,
      Farm.UnitSystem units) {
    CsvUnit unit = CsvUnit.MASS_PER_AREA;
    Function<Double, Object> in = kg -> Math.round(unit.fromSi(kg, units));
    Function<Double, Object> aDay =
        kg -> kg == null ? null : Math.round(10 * unit.fromSi(kg, units)) / 10.0;
    String of = unit.suffix(units);
    Map<Key, String> by = new HashMap<>();
    // of two of a day the later one counts
    records.each(
        CoverSeen.class, (r, seen) -> by.put(new Key(seen.fieldId(), r.on()), SeenFile.by(r)));
    List<List<Object>> rows = new ArrayList<>();
    for (FieldHistory.ReadingLine l : lines) {
      rows.add(
          Arrays.asList(
              plan.field(l.fieldId()).name(),
              l.on(),
              in.apply(l.coverKgPerHa()),
              in.apply(l.lowKgPerHa()),
              in.apply(l.highKgPerHa()),
              in.apply(l.expectedKgPerHa()),
              in.apply(l.takenKgPerHa()),
              aDay.apply(l.growthKgPerHaDay()),
              aDay.apply(l.usualKgPerHaDay()),
              by.get(new Key(l.fieldId(), l.on()))));
    }
    List<String> header =
        List.of(
            "field",
            "date",
            "cover" + of,
            "low" + of,
            "high" + of,
            "expected" + of,
            "taken_since_last" + of,
            "growth_a_day" + of,
            "expected_growth_a_day" + of,
            "who");
    return new Table(header, rows, false);
  }
}
