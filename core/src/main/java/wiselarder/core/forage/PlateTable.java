package wiselarder.core.forage;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import wiselarder.core.reference.CsvTable;

/** What a rising plate says of a sward, by common lines: a first guess until one's own is set. */
public final class PlateTable {
  private static final String ALL_YEAR = "all";

  /**
   * A line, for clicks of half a centimetre of compressed height.
   *
   * @param usable false where stems carry the plate: {@code note} says what instead, and there is
   *     no line
   * @param perClickKg kg DM/ha for one click, {@code baseKg} on top
   * @param fromClicks the line holds from here, {@code toClicks} to here
   * @param errorShare a field's mean is known to so much of it while nobody has clipped
   */
  public record Line(
      boolean usable,
      double perClickKg,
      double baseKg,
      double fromClicks,
      double toClicks,
      double errorShare,
      String note) {}

  /** By forage and season. */
  private final Map<String, Map<String, Line>> lines = new HashMap<>();

  private PlateTable() {}

  public static PlateTable load() {
    PlateTable table = new PlateTable();
    CsvTable.load(
        "plate_meter.csv",
        r -> {
          Line line = line(r);
          for (String id : r.text("applies_to").split("\\|")) {
            table.lines.computeIfAbsent(id, i -> new HashMap<>()).put(r.text("season"), line);
          }
          return line;
        });
    return table;
  }

  private static Line line(CsvTable.Row r) {
    boolean usable = r.number("usable", 0, 1) == 1;
    return new Line(
        usable,
        usable ? r.number("slope_kg_ha_per_click", 1, 1000) : 0,
        usable ? r.number("intercept_kg_ha", -2000, 5000) : 0,
        usable ? r.number("reading_min_clicks", 0, 200) : 0,
        usable ? r.number("reading_max_clicks", 0, 200) : 0,
        usable ? r.number("error_pct_high", 1, 100) / 100 : 0,
        r.optional("note"));
  }

  /** The line of a forage in a season; null where the table tells none. */
  public Line of(Forage forage, HeightTable.Season season) {
    Map<String, Line> seasons = lines.getOrDefault(forage.id(), Map.of());
    Line line = seasons.get(season.name().toLowerCase(Locale.ROOT));
    return line == null ? seasons.get(ALL_YEAR) : line;
  }
}
