package wiselarder.core.price;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Prices as they hold on one farm: the keeper's own, else the product's at the level of the country
 * whose currency the farm uses, else none.
 */
public final class FarmPrices {
  private static final int HALF_A_YEAR = 6;

  private final PriceTable table;
  private final String currency;
  private final boolean southern;
  private final Map<String, OwnPrice> own = new HashMap<>();

  public FarmPrices(PriceTable table, String currency, boolean southern, List<OwnPrice> own) {
    this.table = table;
    this.currency = currency;
    this.southern = southern;
    own.forEach(p -> this.own.put(p.id(), p));
  }

  public PriceTable table() {
    return table;
  }

  /** Every row of the table that has a price here, or could be given one, in its order. */
  public List<Price> all() {
    return table.rows().stream().map(this::price).toList();
  }

  /** A price by the row's id; empty where none is known here. */
  public Optional<Price> find(String id) {
    return table.row(id).map(this::price).filter(FarmPrices::known);
  }

  /** The price of a feed, or of a forage's seed. */
  public Optional<Price> of(String ref) {
    return table.of(ref).map(this::price).filter(FarmPrices::known);
  }

  /**
   * What a head of some classes is sold for: by the kg of live weight rather than by the head, and
   * of several rows the one whose animals are nearest in weight.
   *
   * @param weights typical weight of each class that the head may be of, kg
   */
  public Optional<Price> sale(Map<String, Double> weights, double weightKg) {
    return table.ofAny(List.copyOf(weights.keySet())).stream()
        .filter(PriceRow::sold)
        .map(this::price)
        .filter(FarmPrices::known)
        .min(
            Comparator.comparing((Price p) -> p.row().perHead())
                .thenComparing(p -> apart(p.row(), weights, weightKg))
                .thenComparing(Price::likely));
  }

  private static double apart(PriceRow row, Map<String, Double> weights, double weightKg) {
    return row.refs().stream()
        .filter(weights::containsKey)
        .mapToDouble(c -> Math.abs(weights.get(c) - weightKg))
        .min()
        .orElse(Double.MAX_VALUE);
  }

  private static boolean known(Price p) {
    return !Double.isNaN(p.likely());
  }

  /** With NaN as likely where neither the keeper nor the product knows it. */
  private Price price(PriceRow row) {
    Optional<Double> factor = table.factor(currency, southern, row.group());
    double here = factor.orElse(Double.NaN);
    OwnPrice said = own.get(row.id());
    boolean moves = said == null || said.bySeason();
    return new Price(
        row,
        row.low() * here,
        said == null ? row.likely() * here : said.amount(),
        row.high() * here,
        said != null,
        moves ? season(row) : List.of(),
        said == null ? row.dryYearFactor() : 1);
  }

  private List<Double> season(PriceRow row) {
    if (!southern || row.season().isEmpty()) {
      return row.season();
    }
    List<Double> turned = new ArrayList<>();
    for (int m = 0; m < 12; m++) {
      turned.add(row.season().get((m + HALF_A_YEAR) % 12));
    }
    return turned;
  }
}
