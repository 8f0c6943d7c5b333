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

  /**
   * The same table with curves for the keeper's own forages: each the mean of its parts' curves by
   * their shares, in the climates where all of them have one.
   */
  public GrowthTable with(List<OwnForage> own) {
    GrowthTable table = new GrowthTable();
    table.curves.putAll(curves);
    for (OwnForage forage : own) {
      curves.keySet().stream()
          .map(key -> key.substring(0, key.indexOf('/')))
          .distinct()
          .forEach(climate -> blend(climate, forage, table));
    }
    return table;
  }

  private void blend(String climateId, OwnForage forage, GrowthTable into) {
    double[] rates = new double[12];
    for (OwnForage.Part part : forage.parts()) {
      GrowthCurve curve = curves.get(climateId + "/" + part.forageId());
      if (curve == null) {
        return;
      }
      for (int m = 0; m < rates.length; m++) {
        rates[m] += forage.shareOf(part) * curve.monthlyKgPerHaDay().get(m);
      }
    }
    into.curves.put(
        climateId + "/" + forage.id(),
        new GrowthCurve(java.util.Arrays.stream(rates).boxed().toList()));
  }

  /** The curve, or empty where the table holds none for that pair. */
  public Optional<GrowthCurve> curve(String climateId, String forageId) {
    return Optional.ofNullable(curves.get(climateId + "/" + forageId));
  }

  /**
   * Lowest and highest yearly growth of a forage over all climates, kg DM/ha; empty array where no
   * climate has a curve for it.
   */
  public double[] annualRangeKgPerHa(String forageId) {
    double[] annual =
        curves.entrySet().stream()
            .filter(e -> e.getKey().endsWith("/" + forageId))
            .mapToDouble(e -> e.getValue().annualKgPerHa())
            .sorted()
            .toArray();
    return annual.length == 0 ? annual : new double[] {annual[0], annual[annual.length - 1]};
  }
}
