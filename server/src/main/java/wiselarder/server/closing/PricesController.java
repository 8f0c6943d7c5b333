package wiselarder.server.closing;

import java.time.YearMonth;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.Season;
import wiselarder.core.price.FarmPrices;
import wiselarder.core.price.HayMarket;
import wiselarder.core.price.Price;
import wiselarder.core.price.SimulatedMarket;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;

/** Prices as they hold on a plan's farm. */
@RestController
@RequestMapping("/api")
class PricesController {
  private final Plans plans;
  private final Engine engine;

  PricesController(Plans plans, Engine engine) {
    this.plans = plans;
    this.engine = engine;
  }

  /**
   * One price in the farm's currency.
   *
   * @param unit of the table, such as {@code usd_per_ha}; the currency is the farm's
   * @param low of the product's, null with {@code high} where it has none in this currency
   * @param likely the keeper's own where there is one, else the product's, else null
   * @param season twelve factors, January first, as they hold here; empty where it does not move
   */
  record PriceView(
      String id,
      String group,
      String what,
      String unit,
      boolean bought,
      boolean sold,
      Double low,
      Double likely,
      Double high,
      boolean own,
      List<Double> season,
      double dryYearFactor,
      String note) {}

  /** Every price that the product reckons with, in its order. */
  @GetMapping("/plans/{id}/prices")
  List<PriceView> prices(@PathVariable String id, @AuthenticationPrincipal Person person) {
    return engine.catalogue().pricesOn(plans.get(id, person).content().farm()).all().stream()
        .map(PricesController::view)
        .toList();
  }

  /** One lot that is offered; as {@link HayMarket.Offer}. */
  record OfferView(
      String priceId,
      String feedId,
      String what,
      double tonnes,
      double distanceKm,
      double perTonne,
      double deliveredPerTonne) {}

  /**
   * What hay is offered in a month. The market is a simulated stand-in: its offers are made up.
   *
   * @param season in a dry one fewer and dearer
   */
  @GetMapping("/plans/{id}/market")
  List<OfferView> market(
      @PathVariable String id,
      @RequestParam YearMonth month,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    FarmPrices prices = engine.catalogue().pricesOn(plans.get(id, person).content().farm());
    boolean dry = Season.parse(season).kind() == Season.Kind.DRY;
    return new SimulatedMarket()
        .offers(prices, month, dry).stream()
            .map(
                o ->
                    new OfferView(
                        o.priceId(),
                        o.feedId(),
                        o.what(),
                        o.tonnes(),
                        o.distanceKm(),
                        o.perTonne(),
                        o.deliveredPerTonne()))
            .toList();
  }

  private static PriceView view(Price p) {
    return new PriceView(
        p.row().id(),
        p.row().group(),
        p.row().what(),
        p.row().unit(),
        p.row().bought(),
        p.row().sold(),
        orNull(p.low()),
        orNull(p.likely()),
        orNull(p.high()),
        p.own(),
        p.season(),
        p.dryYearFactor(),
        p.row().note());
  }

  private static Double orNull(double value) {
    return Double.isNaN(value) ? null : value;
  }
}
