package wiselarder.server.farm;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.closing.QuickHay;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.Farm;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;
import wiselarder.core.store.PackageSize;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Told;

/** The two-line hay sum, before there is any farm. */
@RestController
@RequestMapping("/api")
class QuickController {
  private final Engine engine;
  private final Farms farms;

  QuickController(Engine engine, Farms farms) {
    this.engine = engine;
    this.farms = farms;
  }

  /**
   * Animals and days.
   *
   * @param to last day of hay
   * @param packageId what the bales are like
   * @param kgPerUnitAsFed weight of one
   * @param eatsKgPerHeadDay dry matter that one animal eats a day, or null for the tables'
   * @param intoThemKgPerUnit dry matter that one bale puts into them, or null for its weight less
   *     what store and feeding take
   */
  record QuickRequest(
      String farmName,
      String climateId,
      Farm.UnitSystem units,
      String currency,
      String kind,
      int head,
      double weightKg,
      LocalDate from,
      LocalDate to,
      String packageId,
      double kgPerUnitAsFed,
      String storageMethodId,
      String feedingMethodId,
      @Schema(nullable = true) Double eatsKgPerHeadDay,
      @Schema(nullable = true) Double intoThemKgPerUnit) {}

  /** The number, and what it is made of. */
  record QuickView(int units, String unitName, double eatenKg, int days, double usableKg) {}

  @PostMapping("/hay-sum")
  QuickView sum(@RequestBody QuickRequest request) {
    QuickHay quick = of(request);
    return new QuickView(
        quick.units(),
        quick.plan().farm().lots().get(0).unitName(),
        quick.eatenKg(),
        quick.days(),
        quick.usableKg());
  }

  /** Keeps the sum as a farm with its plan. */
  @PostMapping("/farms/quick")
  Farms.Made keep(@RequestBody QuickRequest request, @AuthenticationPrincipal Person person) {
    QuickHay quick = of(request);
    return farms.make(person, quick.plan(), Told.How.BEGAN_FROM_HAY_SUM);
  }

  private QuickHay of(QuickRequest r) {
    PackageSize like =
        engine.catalogue().packages().stream()
            .filter(p -> p.id().equals(r.packageId))
            .findFirst()
            .orElseThrow(() -> new Refused(CoreReason.UNKNOWN_ID, "packageId", r.packageId));
    String unit =
        switch (like.shape()) {
          case "round" -> "round bale";
          case "wrapped_round" -> "wrapped bale";
          case "large_square" -> "large bale";
          case "small_square" -> "small square bale";
          default -> "unit";
        };
    Lot lot =
        new Lot(
            "hay",
            "Hay",
            unit,
            0,
            r.kgPerUnitAsFed,
            like.shape().equals("wrapped_round") ? 0.5 : 0.87,
            Check.text("lot.storageMethodId", r.storageMethodId, 60),
            Check.text("lot.feedingMethodId", r.feedingMethodId, 60),
            null,
            "");
    Check.present("quick.to", r.to);
    return QuickHay.of(
        engine,
        r.farmName,
        r.climateId,
        r.units,
        r.currency,
        r.kind,
        r.head,
        r.weightKg,
        r.from,
        r.to.plusDays(1),
        lot,
        new QuickHay.Known(r.eatsKgPerHeadDay, r.intoThemKgPerUnit));
  }
}
