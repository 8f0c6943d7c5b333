package wiselarder.core.price;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Prices as a keeper sees them: own before the product's, in the farm's currency and hemisphere.
 */
class FarmPricesTest {
  private static final PriceTable TABLE = PriceTable.load();

  private static FarmPrices in(String currency, boolean southern, OwnPrice... own) {
    return new FarmPrices(TABLE, currency, southern, List.of(own));
  }

  private static Price hay(FarmPrices prices) {
    return prices.of("hay_tall_fescue_early").orElseThrow();
  }

  /** 150 USD a tonne, times the level of hay in a country and its money. */
  @ParameterizedTest
  @CsvSource({"USD,150", "$,150", "eur,130.5", "\u20ac,130.5"})
  void theProductsPricesStandAtTheLevelOfTheCurrency(String currency, double likely) {
    Price hay = hay(in(currency, false));
    assertThat(hay.likely()).isCloseTo(likely, within(1e-9));
    assertThat(hay.own()).isFalse();
    assertThat(hay.low()).isLessThan(hay.likely());
    assertThat(hay.high()).isGreaterThan(hay.likely());
  }

  @Test
  void ofAnotherCurrencyNothingIsKnownButWhatTheKeeperSays() {
    FarmPrices prices = in("XYZ", false, new OwnPrice("mow", 900, false));
    assertThat(prices.find("bale_round")).isEmpty();
    assertThat(prices.find("mow")).hasValueSatisfying(p -> assertThat(p.likely()).isEqualTo(900));
    assertThat(prices.all()).hasSameSizeAs(TABLE.rows());
  }

  /** February is dear in the north (1.07), and cheap in the south, where it is late summer. */
  @Test
  void aSeasonIsTurnedInTheSouth() {
    assertThat(hay(in("USD", false)).in(2, false)).isCloseTo(150 * 1.07, within(1e-9));
    Price south = hay(in("NZD", true));
    assertThat(south.in(2, false)).isCloseTo(south.likely() * 0.91, within(1e-9));
    assertThat(south.in(8, false)).isCloseTo(south.likely() * 1.07, within(1e-9));
  }

  @Test
  void aDroughtMakesTheProductsPricesDearerAndTheKeepersOwnHolds() {
    assertThat(hay(in("USD", false)).in(12, true)).isCloseTo(150 * 1.02 * 1.6, within(1e-9));
    Price own = hay(in("USD", false, new OwnPrice("hay_grass_early", 120, false)));
    assertThat(own.own()).isTrue();
    assertThat(own.in(12, true)).isEqualTo(120);
    assertThat(own.in(2, false)).isEqualTo(120);
    Price moving = hay(in("USD", false, new OwnPrice("hay_grass_early", 120, true)));
    assertThat(moving.in(2, false)).isCloseTo(120 * 1.07, within(1e-9));
    assertThat(moving.in(2, true)).isCloseTo(120 * 1.07, within(1e-9));
  }

  /** The row of the weight; a breeding cow is sold by the kg as a cull. */
  @Test
  void aSaleGoesByTheWeight() {
    FarmPrices prices = in("USD", false);
    Map<String, Double> steers =
        Map.of("stocker_230", 230.0, "stocker_320", 320.0, "stocker_410", 410.0);
    assertThat(prices.sale(steers, 300).orElseThrow().row().id()).isEqualTo("stocker_320");
    assertThat(prices.sale(steers, 500).orElseThrow().row().id()).isEqualTo("stocker_410");
    Map<String, Double> cow =
        Map.of("beef_cow_mid_gestation", 550.0, "beef_cow_early_lactation", 550.0);
    assertThat(prices.sale(cow, 580).orElseThrow().row().id()).isEqualTo("beef_cow_cull");
    assertThat(prices.sale(Map.of("bull_mature", 850.0), 850).orElseThrow().row().id())
        .isEqualTo("bull_cull");
  }

  @Test
  void everyJobThatCanBeHiredHasAPrice() {
    assertThat(TABLE.operation("mow").hours(10)).isCloseTo(4, within(1e-9));
    assertThat(TABLE.operation("bale_round").hours(100)).isCloseTo(4.5, within(1e-9));
    assertThat(TABLE.row(TABLE.operation("drill_no_till").priceId())).isPresent();
  }
}
