package wiselarder.core.price;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.YearMonth;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The stand-in for a hay market: made up, but no figure of it that nobody would believe. */
class SimulatedMarketTest {
  private static final PriceTable TABLE = PriceTable.load();
  private static final HayMarket MARKET = new SimulatedMarket();
  private static final YearMonth MARCH = YearMonth.of(2028, 3);

  private static FarmPrices in(String currency, boolean southern) {
    return new FarmPrices(TABLE, currency, southern, List.of());
  }

  @Test
  void offersLieBetweenLowAndHighAndHaulageIsOnTop() {
    List<HayMarket.Offer> offers = MARKET.offers(in("USD", false), MARCH, false);
    assertThat(offers)
        .hasSizeGreaterThan(9)
        .isSortedAccordingTo(Comparator.comparingDouble(HayMarket.Offer::deliveredPerTonne));
    double haul = in("USD", false).find("haul_hay").orElseThrow().in(3, false);
    for (HayMarket.Offer o : offers) {
      PriceRow row = TABLE.row(o.priceId()).orElseThrow();
      double factor = row.season().get(2);
      assertThat(o.perTonne()).isBetween(row.low() * factor - 1e-9, row.high() * factor + 1e-9);
      assertThat(o.tonnes()).isBetween(4.0, 60.0);
      // the kilometres are shown as whole ones
      assertThat(o.deliveredPerTonne() - o.perTonne())
          .isCloseTo(haul * o.distanceKm(), within(haul));
    }
    assertThat(MARKET.offers(in("USD", false), MARCH, false)).isEqualTo(offers);
    assertThat(MARKET.offers(in("USD", false), MARCH.plusMonths(1), false)).isNotEqualTo(offers);
  }

  @Test
  void aDryYearHasFewerAndDearerAndAnUnknownCurrencyNone() {
    List<HayMarket.Offer> normal = MARKET.offers(in("USD", false), MARCH, false);
    List<HayMarket.Offer> dry = MARKET.offers(in("USD", false), MARCH, true);
    assertThat(dry.size()).isLessThan(normal.size());
    assertThat(mean(dry)).isGreaterThan(1.3 * mean(normal));
    assertThat(MARKET.offers(in("XXX", false), MARCH, false)).isEmpty();
  }

  private static double mean(List<HayMarket.Offer> offers) {
    return offers.stream().mapToDouble(HayMarket.Offer::deliveredPerTonne).average().orElseThrow();
  }
}
