package wiselarder.core.price;

import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/**
 * A stand-in for a hay market: lots drawn between the low and the high of the product's prices, the
 * same ones for the same month and currency. In a dry year fewer, smaller and farther.
 */
public final class SimulatedMarket implements HayMarket {
  private static final int OFFERS_OF_A_KIND = 2;
  private static final double LEAST_TONNES = 4;
  private static final double MOST_TONNES = 60;
  private static final double LEAST_KM = 4;
  private static final double MOST_KM = 120;

  /** What is left of offers and tonnes in a dry year, and how much farther they are. Assumption. */
  private static final double IN_DROUGHT = 0.5;

  @Override
  public List<Offer> offers(FarmPrices prices, YearMonth month, boolean dry) {
    Optional<Price> haul = prices.find("haul_hay");
    List<Offer> offers = new ArrayList<>();
    for (Price p : prices.all()) {
      if (!p.row().group().equals("hay") || Double.isNaN(p.low())) {
        continue;
      }
      UniformRandomProvider random =
          RandomSource.XO_RO_SHI_RO_128_PP.create((long) (p.row().id() + month).hashCode());
      for (int n = 0; n < OFFERS_OF_A_KIND; n++) {
        double at = (random.nextDouble() + random.nextDouble()) / 2;
        double tonnes = between(random, LEAST_TONNES, MOST_TONNES) * (dry ? IN_DROUGHT : 1);
        double km = between(random, LEAST_KM, MOST_KM) / (dry ? IN_DROUGHT : 1);
        boolean gone = random.nextDouble() < IN_DROUGHT;
        if (dry && gone) {
          continue;
        }
        double each =
            (p.low() + at * (p.high() - p.low()))
                * seasonal(p, month)
                * (dry ? p.row().dryYearFactor() : 1);
        double hauled = haul.map(h -> h.in(month.getMonthValue(), dry) * km).orElse(0.0);
        offers.add(
            new Offer(
                p.row().id(),
                p.row().refs().isEmpty() ? null : p.row().refs().get(0),
                p.row().what(),
                Math.round(tonnes),
                Math.round(km),
                each,
                each + hauled));
      }
    }
    offers.sort(Comparator.comparingDouble(Offer::deliveredPerTonne));
    return offers;
  }

  private static double between(UniformRandomProvider random, double low, double high) {
    return low + random.nextDouble() * (high - low);
  }

  private static double seasonal(Price price, YearMonth month) {
    return price.season().isEmpty() ? 1 : price.season().get(month.getMonthValue() - 1);
  }
}
