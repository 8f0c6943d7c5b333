package wiselarder.core.forage;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import wiselarder.core.reference.CsvTable;

/**
 * When a young stand may be opened: tall enough and rooted, both. From the shipped table; heights
 * are known to about 15%.
 *
 * @param lookCm begin to pull here
 * @param openCm least height to open, on loam or clay; {@code openOnSandCm} on sand
 * @param test what must hold
 * @param leaves what to count
 * @param onSand how sand is stricter; empty where it is not
 * @param downToCm where the first visit ends
 */
public record Readiness(
    String kind,
    Set<String> forages,
    double lookCm,
    double openCm,
    double openOnSandCm,
    String test,
    String leaves,
    String onSand,
    double downToCm,
    String note) {
  private static final double TALLEST_CM = 400;

  public Readiness {
    forages = Set.copyOf(forages);
  }

  /** The rules by the id of what they are for; residues have none. */
  public static Map<String, Readiness> loadAll() {
    List<Readiness> rows = CsvTable.load("readiness.csv", Readiness::row);
    return rows.stream()
        .flatMap(r -> r.forages.stream().map(id -> Map.entry(id, r)))
        .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue));
  }

  private static Readiness row(CsvTable.Row r) {
    Function<String, Double> cm = column -> r.number(column, 1, TALLEST_CM);
    return new Readiness(
        r.text("stand_kind"),
        Set.of(r.text("forages").split("\\|")),
        cm.apply("look_height_cm"),
        cm.apply("open_height_cm"),
        cm.apply("open_height_on_sand_cm"),
        r.text("anchorage_test"),
        r.text("leaf_or_tiller_count"),
        r.optional("how_stricter_on_sand"),
        cm.apply("first_graze_down_to_cm"),
        r.optional("note"));
  }

  /** Least height to open, cm. */
  public double openCm(boolean sandy) {
    return sandy ? openOnSandCm : openCm;
  }
}
