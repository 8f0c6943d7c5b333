package wiselarder.server.morning;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.BiFunction;
import wiselarder.core.plan.Farm.UnitSystem;
import wiselarder.server.file.Table;
import wiselarder.server.lists.CsvUnit;

/** The farms of a person as a table. */
final class MorningFile {
  private record Column(String name, BiFunction<FarmMorning, UnitSystem, Object> cell) {
    static Column of(String name, java.util.function.Function<FarmMorning, Object> cell) {
      return new Column(name, (f, u) -> cell.apply(f));
    }
  }

  private static final List<Column> COLUMNS =
      List.of(
          Column.of("farm", FarmMorning::name),
          Column.of("plan", FarmMorning::planName),
          Column.of("verdict", f -> f.verdict() == null ? null : word(f.verdict().name())),
          Column.of("short_from_normal_year", FarmMorning::bareOn),
          new Column(
              "missing",
              (f, units) ->
                  f.missingKg() == null
                      ? null
                      : Math.round(CsvUnit.MASS.fromSi(f.missingKg(), units))),
          Column.of("short_by_in_one_year_of_ten", FarmMorning::bareInTenOn),
          Column.of("years_feed_lasts", f -> whole(f.fed())),
          Column.of("years_simulated", f -> whole(f.years())),
          Column.of("plan_until", FarmMorning::until),
          Column.of("next_decision", FarmMorning::next),
          Column.of("next_decision_on", FarmMorning::nextOn),
          Column.of("next_decision_last_day", FarmMorning::nextLast),
          Column.of("late_jobs", f -> whole(f.late())),
          Column.of("last_late_job", FarmMorning::lateJob),
          Column.of("late_since", FarmMorning::lateSince),
          Column.of("last_seen", FarmMorning::lastSeen),
          Column.of("as_of", FarmMorning::day),
          Column.of("changed_since", f -> f.changed() ? "yes" : "no"));

  private MorningFile() {}

  /** The farms in the order in which they are given; what is missing in the given units. */
  static Table table(List<FarmMorning> farms, UnitSystem units) {
    List<String> header =
        COLUMNS.stream()
            .map(c -> c.name.equals("missing") ? c.name + CsvUnit.MASS.suffix(units) : c.name)
            .toList();
    List<List<Object>> rows = new ArrayList<>();
    for (FarmMorning f : farms) {
      Object[] cells = COLUMNS.stream().map(c -> c.cell.apply(f, units)).toArray();
      rows.add(Arrays.asList(cells));
    }
    return new Table(header, rows, false);
  }

  private static Long whole(Integer n) {
    return n == null ? null : n.longValue();
  }

  private static String word(String name) {
    return name.toLowerCase(Locale.ROOT).replace('_', ' ');
  }
}
