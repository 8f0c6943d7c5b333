package wiselarder.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import org.junit.jupiter.api.Test;
import wiselarder.core.land.Stand;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.LossMethod;

class CatalogueTest {
  private static final Catalogue CATALOGUE = Catalogue.load();

  private static Stand stand(String forage, Double yield, java.util.List<Double> rates) {
    return new Stand(forage, yield, rates, null, 0, null, null);
  }

  @Test
  void theClimatesCurveIsScaledToTheStatedYield() {
    double usual =
        CATALOGUE
            .growthOf(stand("tall_fescue_novel", null, null), "transition_humid")
            .annualKgPerHa();
    assertThat(usual).isEqualTo(6956);
    assertThat(
            CATALOGUE
                .growthOf(stand("tall_fescue_novel", 5000.0, null), "transition_humid")
                .annualKgPerHa())
        .isCloseTo(5000, within(1e-9));
  }

  @Test
  void theUsersTwelveRatesWin() {
    assertThat(
            CATALOGUE
                .growthOf(
                    stand("tall_fescue_novel", 5000.0, Collections.nCopies(12, 10.0)),
                    "transition_humid")
                .annualKgPerHa())
        .isEqualTo(3650);
  }

  @Test
  void aStandWithoutACurveAsksForTwelveRates() {
    assertThatThrownBy(
            () -> CATALOGUE.growthOf(stand("sorghum_sudangrass", null, null), "transition_humid"))
        .isInstanceOfSatisfying(Refused.class, e -> assertThat(e.code()).isEqualTo("no_curve"));
    assertThat(
            CATALOGUE
                .growthOf(stand("corn_residue", null, null), "transition_humid")
                .annualKgPerHa())
        .isZero();
  }

  @Test
  void aWayOfFeedingIsNoWayOfStoring() {
    assertThatThrownBy(
            () -> CATALOGUE.loss("lot.storageMethodId", "f_ring_open", LossMethod.Stage.STORAGE))
        .isInstanceOfSatisfying(
            Refused.class, e -> assertThat(e.field()).isEqualTo("lot.storageMethodId"));
    assertThatThrownBy(() -> CATALOGUE.forage("moss")).isInstanceOf(Refused.class);
  }

  /** Values of the first tables that later ones doubted; docs/model.md says why. */
  @org.junit.jupiter.api.Test
  void correctedValuesStandInTheTables() {
    Catalogue all = Catalogue.load();
    assertThat(all.forage("johnsongrass").prussicMinHeightCm()).isEqualTo(60);
    assertThat(all.forage("grain_sorghum").daysToFirstUseHigh()).isEqualTo(85);
    for (String id : java.util.List.of("switchgrass", "native_warm_mix", "native_warm_cool_mix")) {
      wiselarder.core.forage.Forage f = all.forage(id);
      // the straight line meets the curve of its growing seasons at entry height
      assertThat(f.entryMassKgPerHa())
          .as(id)
          .isCloseTo(
              all.heights().growingKgPerHa(f, f.entryHeightCm()),
              org.assertj.core.api.Assertions.withinPercentage(6));
    }
    for (var climate : all.climates().keySet()) {
      for (var f : all.forages().values()) {
        all.growth()
            .curve(climate, f.id())
            .filter(c -> f.life() == wiselarder.core.forage.Forage.Life.PERENNIAL)
            .ifPresent(
                c ->
                    assertThat(c.annualKgPerHa())
                        .as("%s in %s", f.id(), climate)
                        .isBetween(f.annualLowKgPerHa(), f.annualHighKgPerHa()));
      }
    }
  }
}
