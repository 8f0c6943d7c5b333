package wiselarder.core.price;

import java.util.List;

/**
 * One row of the table of prices: what it is and what it costs in an ordinary year, in USD. All of
 * them are placeholders: judgement, about 8 cases in 10 lie between low and high.
 *
 * @param group prices that move together, and of which the level differs by country
 * @param unit what it is a price of, such as {@code usd_per_ha}
 * @param bought whether the keeper pays it
 * @param sold whether the keeper is paid it
 * @param season twelve factors, January first, of a northern year; empty where there is no season
 * @param dryYearFactor what it is times as dear in a wide drought; 1 where nothing is known
 * @param refs rows of the tables of feeds, forages or animals that have this price
 */
public record PriceRow(
    String id,
    String group,
    String what,
    String unit,
    boolean bought,
    boolean sold,
    double low,
    double likely,
    double high,
    List<Double> season,
    double dryYearFactor,
    List<String> refs,
    String note) {
  public PriceRow {
    season = List.copyOf(season);
    refs = List.copyOf(refs);
    if (low > likely || likely > high) {
      throw new IllegalStateException("prices.csv %s: not in order".formatted(id));
    }
    if (!season.isEmpty() && season.size() != 12) {
      throw new IllegalStateException("prices.csv %s: not twelve months".formatted(id));
    }
  }

  /** Whether a head is what it is a price of. */
  public boolean perHead() {
    return unit.equals("usd_per_head");
  }
}
