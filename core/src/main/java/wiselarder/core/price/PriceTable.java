package wiselarder.core.price;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wiselarder.core.reference.CsvTable;

/** The product's prices: what stands where the keeper has not said, by country. */
public final class PriceTable {
  private static final double MOST = 1_000_000;

  private final Map<String, PriceRow> rows;
  private final Map<String, Operation> operations;

  /** By region and group, what a price in USD is times in the region's currency. */
  private final Map<String, Map<String, Double>> factors;

  private PriceTable(
      List<PriceRow> rows, List<Operation> operations, Map<String, Map<String, Double>> factors) {
    this.rows = new LinkedHashMap<>();
    rows.forEach(r -> this.rows.put(r.id(), r));
    this.operations = new HashMap<>();
    operations.forEach(o -> this.operations.put(o.id(), o));
    this.factors = factors;
  }

  /** Loads and checks the tables. */
  public static PriceTable load() {
    Map<String, Map<String, Double>> factors = new HashMap<>();
    CsvTable.load(
        "price_regions.csv",
        r ->
            factors
                .computeIfAbsent(r.text("region_id"), x -> new HashMap<>())
                .put(r.text("price_group"), r.number("local_factor", 0, 1000)));
    List<Operation> operations =
        CsvTable.load(
            "operations.csv",
            r ->
                new Operation(
                    r.text("operation_id"),
                    r.numberOrNaN("hours_per_ha", 0, 100),
                    r.numberOrNaN("hours_per_unit", 0, 100),
                    r.optional("price_id")));
    PriceTable table =
        new PriceTable(CsvTable.load("prices.csv", PriceTable::row), operations, factors);
    for (Operation o : operations) {
      if (!o.priceId().isEmpty() && !table.rows.containsKey(o.priceId())) {
        throw new IllegalStateException("operations.csv %s: no such price".formatted(o.id()));
      }
    }
    return table;
  }

  private static PriceRow row(CsvTable.Row r) {
    String side = r.text("side");
    double dry = r.numberOrNaN("dry_year_factor", 0, 10);
    return new PriceRow(
        r.text("price_id"),
        r.text("price_group"),
        r.text("what"),
        r.text("unit"),
        !side.equals("sell"),
        !side.equals("buy"),
        r.number("low", 0, MOST),
        r.number("likely", 0, MOST),
        r.number("high", 0, MOST),
        parts(r.optional("season_factor")).stream().map(Double::valueOf).toList(),
        Double.isNaN(dry) ? 1 : dry,
        parts(r.optional("ref_ids")),
        r.optional("note"));
  }

  private static List<String> parts(String cell) {
    return cell.isEmpty() ? List.of() : Arrays.asList(cell.split("\\|"));
  }

  /** Every row, in the table's order. */
  public List<PriceRow> rows() {
    return List.copyOf(rows.values());
  }

  public Optional<PriceRow> row(String id) {
    return Optional.ofNullable(rows.get(id));
  }

  /** The one row that is the price of a feed, a crop's seed or the like. */
  public Optional<PriceRow> of(String ref) {
    return rows.values().stream().filter(r -> r.refs().contains(ref)).findFirst();
  }

  /** Every row that is a price of one of some classes of animals. */
  public List<PriceRow> ofAny(List<String> classes) {
    List<PriceRow> all = new ArrayList<>();
    for (PriceRow r : rows.values()) {
      if (r.refs().stream().anyMatch(classes::contains)) {
        all.add(r);
      }
    }
    return all;
  }

  /** A job by its id. */
  public Operation operation(String id) {
    Operation known = operations.get(id);
    if (known == null) {
      throw new IllegalArgumentException("no operation " + id);
    }
    return known;
  }

  /**
   * What a price in USD is times, for a group of prices, where a currency is used.
   *
   * @return empty where nothing is known of that currency, or of that group there
   */
  Optional<Double> factor(String currency, boolean southern, String group) {
    return region(currency, southern).map(r -> factors.get(r).get(group));
  }

  private static Optional<String> region(String currency, boolean southern) {
    return Optional.ofNullable(
        switch (currency.strip().toUpperCase(java.util.Locale.ROOT)) {
          case "$", "USD", "US$" -> southern ? "southern_cone_usd" : "north_america_usd";
          case "CAD", "C$", "CA$" -> "north_america_cad";
          case "EUR", "\u20ac" -> "europe_eur";
          case "GBP", "\u00a3" -> "britain_like_gbp";
          case "AUD", "A$", "AU$" -> "australia_like_aud";
          case "NZD", "NZ$" -> "new_zealand_like_nzd";
          default -> null;
        });
  }
}
