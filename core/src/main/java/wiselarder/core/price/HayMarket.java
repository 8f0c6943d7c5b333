package wiselarder.core.price;

import java.time.YearMonth;
import java.util.List;

/** Where hay is offered. The product ships a stand-in; a real one would be asked in its place. */
public interface HayMarket {
  /**
   * What is offered in a month.
   *
   * @param prices as they hold on the farm that asks, in its currency
   * @param dry whether the district is short of feed
   */
  List<Offer> offers(FarmPrices prices, YearMonth month, boolean dry);

  /**
   * One lot that somebody sells.
   *
   * @param priceId row of the table of prices that it is of
   * @param feedId row of the table of stored feeds, or null
   * @param perTonne at the seller's gate, as fed, in the farm's currency
   * @param deliveredPerTonne with the haulage
   */
  record Offer(
      String priceId,
      String feedId,
      String what,
      double tonnes,
      double distanceKm,
      double perTonne,
      double deliveredPerTonne) {}
}
