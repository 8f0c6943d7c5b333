package wiselarder.core.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.quantity.Refused;

/** Weight, rind, worth and cost of lots by hand. */
class LotTest {
  private static final Map<String, StoredFeed> FEEDS =
      StoredFeed.loadAll().stream().collect(Collectors.toMap(StoredFeed::id, Function.identity()));

  private static UnitSize round(Double rindCm, Double density, Double... weighed) {
    return new UnitSize(null, List.of(weighed), 1.5, 1.2, null, null, density, rindCm);
  }

  private static FeedTest test(String id, LocalDate on, Double dm, Double protein, Double tdn) {
    return new FeedTest(id, on, on, "", dm, protein, tdn, null, null, null, null);
  }

  @Test
  void weightIsTheMeanOfThoseWeighed() {
    UnitSize weighed = round(null, 170.0, 380.0, 400.0, 420.0);
    assertThat(weighed.kgAsFed()).isEqualTo(400);
    // standard deviation 20, over the root of three
    assertThat(weighed.standardErrorKg()).isCloseTo(11.547, within(1e-3));
    Lot lot = Farms.with(Farms.bale("l", 5), null, weighed, null);
    assertThat(lot.kgPerUnitAsFed()).isEqualTo(400);
  }

  @Test
  void elseItIsVolumeTimesDensity() {
    // pi/4 x 1.5^2 x 1.2 = 2.1206 m3 x 170 kg
    assertThat(round(null, 170.0).kgAsFed()).isCloseTo(360.50, within(0.01));
    UnitSize box = new UnitSize(null, null, null, 1.2, 2.4, 0.9, 216.0, null);
    assertThat(box.kgAsFed()).isCloseTo(2.592 * 216, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({
    "9, 0.2256", // 1 - (1.32 / 1.5)^2
    "10, 0.24889", // the table's share of the outer 10 cm
    "0, 0",
    "60, 0.96", // all but a core of 30 cm
  })
  void theRindOfARoundBaleIsAShareOfItsVolume(double rindCm, double share) {
    assertThat(round(rindCm, null).rindShare()).isCloseTo(share, within(1e-4));
  }

  @Test
  void theSharesOfTheTableAreThoseOfItsGeometry() {
    Map<String, Double> stated =
        Map.of("rb_120x120_net", 0.306, "rb_180x150_net", 0.210, "ss_two_string", 0.805);
    for (PackageSize p : PackageSize.loadAll()) {
      if (stated.containsKey(p.id())) {
        assertThat(p.size().shareInOuter(0.1))
            .as(p.id())
            .isCloseTo(stated.get(p.id()), within(1e-3));
      }
      if (p.size() != null) {
        assertThat(p.size().volumeM3()).as(p.id()).isCloseTo(p.volumeM3(), within(0.02));
      }
    }
  }

  @Test
  void rindAndDensityNeedTheSize() {
    assertThatThrownBy(() -> new UnitSize(null, null, 1.5, null, null, null, null, 9.0))
        .isInstanceOfSatisfying(Refused.class, e -> assertThat(e.code()).isEqualTo("size_missing"));
  }

  @Test
  void aTestStandsAboveTheTableAndTheNewestAboveTheOlder() {
    LocalDate may = LocalDate.of(2026, 5, 1);
    Lot lot =
        Farms.with(
            Farms.bale("l", 5),
            new Origin("hay_tall_fescue_late", null, Origin.Wrap.NET, "", true, null, null),
            null,
            null);
    KnownLot known =
        new KnownLot(
            lot,
            List.of(
                test("b", may.plusDays(60), 0.84, 10.2, null), test("a", may, 0.88, 9.1, 53.0)));
    FeedWorth worth = known.worth(FEEDS);
    assertThat(worth.proteinPct()).isEqualTo(10.2);
    assertThat(worth.tdnPct()).as("the newer did not look for it").isEqualTo(53.0);
    assertThat(worth.fibrePct()).as("no test did").isEqualTo(70);
    assertThat(worth.from()).isEqualTo(FeedWorth.From.TEST);
    assertThat(known.dryMatterShare()).isEqualTo(0.84);
    assertThat(known.kgDmPerUnit()).as("400 kg as fed").isCloseTo(336, within(1e-9));
    assertThat(known.like("m", "More", 3).dmShare()).isEqualTo(0.84);
    assertThat(Farms.bale("x", 1).worth(FEEDS)).isEqualTo(FeedWorth.COMMON_HAY);
  }

  /** In whatever order reports are written down, the newest sample counts. */
  @Test
  void theNewestNitrateCounts() {
    LocalDate may = LocalDate.of(2026, 5, 1);
    FeedTest old = new FeedTest("a", may, may, "", null, null, null, null, null, null, 2.0);
    FeedTest fresh =
        new FeedTest(
            "b", may.plusDays(30), may.plusDays(33), "", null, null, null, null, null, null, 0.3);
    FeedTest without = test("c", may.plusDays(60), null, 9.0, null);
    Lot lot = Farms.bale("l", 5);
    assertThat(new KnownLot(lot, List.of(fresh, old)).nitratePct()).contains(0.3);
    assertThat(new KnownLot(lot, List.of(without, old, fresh)).nitratePct()).contains(0.3);
    assertThat(new KnownLot(lot, List.of(without)).nitratePct()).isEmpty();
  }

  @Test
  void costIsBoughtMadeAndHauled() {
    Lot lot =
        Farms.with(
            new Lot("l", "l", "bale", 1, 400, 0.88, "s_barn", "f_cone", 95.0, ""),
            new Origin(null, null, Origin.Wrap.NET, "", true, 12.0, 5.0));
    // 0.4 t x 95 + 12 + 5
    assertThat(lot.costPerUnit()).isCloseTo(55, within(1e-9));
    FeedWorth worth = new FeedWorth(9.1, 53, 66, 0.4, 0.2, FeedWorth.From.TEST);
    // 55 for 352 kg DM; 84% kept in store, of that 85% eaten
    FeedCost cost = FeedCost.of(new KnownLot(lot, List.of()), worth, 0.84 * 0.85);
    assertThat(cost.perTonneDm()).isCloseTo(156.25, within(1e-9));
    assertThat(cost.perTonneEaten()).isCloseTo(218.84, within(0.01));
    // 53% TDN = 8.0189 MJ/kg: 218.84 / 8.0189 for a thousand MJ; 91 kg of protein in the tonne
    assertThat(cost.perGj()).isCloseTo(27.290, within(0.01));
    assertThat(cost.perKgProtein()).isCloseTo(2.4048, within(1e-3));
    // another hay with 60% TDN and 14% protein of which 90% are eaten
    FeedWorth better = new FeedWorth(14, 60, 55, 0.4, 0.2, FeedWorth.From.TEST);
    assertThat(cost.worthByEnergy(better, 0.9)).isCloseTo(27.290 * 0.1513 * 60 * 0.9, within(0.05));
    assertThat(cost.worthByProtein(better, 0.9)).isCloseTo(2.4048 * 140 * 0.9, within(0.05));
    assertThat(Farms.with(Farms.bale("x", 1), null).costPerUnit()).isEqualTo(40);
  }

  @Test
  void mineralsCostNothingByEnergyOrProtein() {
    FeedCost cost = FeedCost.of(900, FEEDS.get("mineral_mix").worth(), 0.95);
    assertThat(cost.perTonneEaten()).isCloseTo(900 / 0.95, within(1e-9));
    assertThat(cost.perGj()).isNaN();
    assertThat(cost.perKgProtein()).isNaN();
  }

  /** Point 13: a bale left where it was made needs no hauling. */
  @Test
  void aBaleLeftInTheFieldCostsNoHauling() {
    Origin hauled = new Origin(null, null, Origin.Wrap.NET, "barn", true, 12.0, 6.0);
    Origin left = new Origin(null, null, Origin.Wrap.NONE, "field", true, 11.0, null);
    Lot bale = new Lot("l", "l", "bale", 1, 400, 0.88, "s_barn", "f_cone", null, "");
    assertThat(Farms.with(bale, hauled).costPerUnit()).isEqualTo(18);
    assertThat(Farms.with(bale, left).costPerUnit()).isEqualTo(11);
  }

  /** Point 11: too few mouths at an open bale waste more of it. */
  @ParameterizedTest
  @CsvSource({"1, 0.15", "4, 0.15", "7, 0.19", "10, 0.23", "30, 0.23"})
  void aBaleThatLastsLongIsWasted(double days, double loss) {
    LossMethod ring = LossMethod.loadAll().get("f_ring_open");
    assertThat(ring.shareWhenUnitLasts(days)).isCloseTo(loss, within(1e-12));
    LossMethod bunk = LossMethod.loadAll().get("f_bunk");
    assertThat(bunk.shareWhenUnitLasts(days)).isEqualTo(0.05);
  }
}
