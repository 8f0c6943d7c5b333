package wiselarder.core.store;

import java.util.List;
import wiselarder.core.reference.CsvTable;

/**
 * A common size of bale, bag or heap with its weight as fed. Product defaults, for a keeper who has
 * not weighed a few.
 */
public record PackageSize(
    String id,
    String name,
    String shape,
    double diameterM,
    double widthM,
    double lengthM,
    double heightM,
    double volumeM3,
    double lowKg,
    double typicalKg,
    double highKg,
    double rindCm) {

  /** Bales have a size; a heap, a bag by the metre and a bin are told by their volume. */
  private static final List<String> BALES =
      List.of("round", "wrapped_round", "large_square", "small_square");

  /** All sizes, in the table's order. */
  public static List<PackageSize> loadAll() {
    return List.copyOf(
        CsvTable.load(
            "packages.csv",
            r ->
                new PackageSize(
                    r.text("package_id"),
                    r.text("name"),
                    r.text("shape"),
                    r.numberOrNaN("diameter_m", 0.2, 5),
                    round(r)
                        ? r.number("width_or_length_m", 0.1, 5)
                        : r.numberOrNaN("section_width_m", 0.1, 5),
                    round(r) ? Double.NaN : r.number("width_or_length_m", 0.1, 5),
                    r.numberOrNaN("section_height_m", 0.1, 5),
                    r.number("volume_m3", 0.01, 20),
                    r.number("typical_as_fed_kg_low", 1, 5000),
                    r.number("typical_as_fed_kg_typical", 1, 5000),
                    r.number("typical_as_fed_kg_high", 1, 5000),
                    r.number("weathered_rind_cm_typical", 0, 60))));
  }

  private static boolean round(CsvTable.Row r) {
    return !r.optional("diameter_m").isEmpty();
  }

  /** Density as fed of a typical one, kg/m3. */
  public double densityKgPerM3() {
    return typicalKg / volumeM3;
  }

  /** The size to begin with for a lot of such units; null for what is no bale. */
  public UnitSize size() {
    return BALES.contains(shape)
        ? new UnitSize(
            id, null, orNull(diameterM), widthM, orNull(lengthM), orNull(heightM), null, null)
        : null;
  }

  private static Double orNull(double value) {
    return Double.isNaN(value) ? null : value;
  }
}
