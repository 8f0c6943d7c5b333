package wiselarder.core.store;

import java.util.List;
import wiselarder.core.reference.CsvTable;

/**
 * A common size of bale, bag or heap with its weight as fed. Product defaults, for a keeper who has
 * not weighed a few.
 */
public record PackageSize(
    String id, String name, String shape, double lowKg, double typicalKg, double highKg) {

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
                    r.number("typical_as_fed_kg_low", 1, 5000),
                    r.number("typical_as_fed_kg_typical", 1, 5000),
                    r.number("typical_as_fed_kg_high", 1, 5000))));
  }
}
