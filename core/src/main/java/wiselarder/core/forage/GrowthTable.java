package wiselarder.core.forage;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wiselarder.core.reference.CsvTable;

/** Monthly growth of each perennial forage in each climate it is grown in. Product defaults. */
public final class GrowthTable {
  private static final List<String> MONTHS =
      List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");

  private final Map<String, GrowthCurve> curves = new HashMap<>();

  private GrowthTable() {}

  public static GrowthTable load() {
    GrowthTable table = new GrowthTable();
    CsvTable.load(
        "growth_curves.csv",
        r ->
            table.curves.put(
                r.text("climate_id") + "/" + r.text("forage_id"),
                new GrowthCurve(MONTHS.stream().map(m -> r.number(m, 0, 300)).toList())));
    return table;
  }

  /** The curve, or empty where the table holds none for that pair. */
  public Optional<GrowthCurve> curve(String climateId, String forageId) {
    return Optional.ofNullable(curves.get(climateId + "/" + forageId));
  }
}
