package wiselarder.core.price;

import java.util.List;

/**
 * A price as it holds on a farm, in its currency.
 *
 * @param likely the keeper's own where there is one, else the product's
 * @param low of the product's; NaN with {@code high} where it has none for this currency
 * @param own whether the keeper said it
 * @param season twelve factors, January first, as they hold here; empty where it does not move
 * @param dryYearFactor of the product's prices only: what is the keeper's own holds as it stands
 */
public record Price(
    PriceRow row,
    double low,
    double likely,
    double high,
    boolean own,
    List<Double> season,
    double dryYearFactor) {

  /**
   * In a month, 1 to 12.
   *
   * @param dry in a wide drought
   */
  public double in(int month, boolean dry) {
    double factor = season.isEmpty() ? 1 : season.get(month - 1);
    return likely * factor * (dry ? dryYearFactor : 1);
  }
}
