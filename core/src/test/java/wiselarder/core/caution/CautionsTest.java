package wiselarder.core.caution;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.forage.Forage;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Scenario;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sowing;
import wiselarder.core.weather.Overlay;

class CautionsTest {
  private static List<Caution> cautions(FarmPlan plan) {
    return ENGINE.simulate(plan).resolved().cautions();
  }

  private static List<Caution> cautions(String forage, String kind, boolean grazes) {
    Farms farm = new Farms();
    farm.groups.add(
        new AnimalGroup("g", "G", kind, 3, 400, 0, 7.0, null, 1, 0, null, null, null, null));
    farm.fields.add(Farms.stand("f", 5, forage, Collections.nCopies(12, 10.0), 2000));
    if (grazes) {
      farm.graze("g", null, null, "f");
    }
    return cautions(farm.build());
  }

  @ParameterizedTest
  @CsvSource({
    "sorghum_sudangrass, beef/steer, hz_frost_kill_sorghum, true",
    "johnsongrass, beef/steer, hz_frost_kill_sorghum, true",
    "sudangrass, beef/steer, hz_young_sorghum, false",
    "sorghum_sudangrass, horse/adult, hz_not_for_horses, true",
    "switchgrass, horse/adult, hz_not_for_horses, true",
    "tall_fescue_toxic, horse/mare, hz_endophyte_mares, true",
    "tall_fescue_toxic, beef/steer, hz_endophyte_hot, false",
  })
  void theHazardIsRaisedAndBlocksWhereItMust(
      String forage, String kind, String hazard, boolean blocks) {
    assertThat(cautions(forage, kind, true))
        .filteredOn(c -> c.hazard().id().equals(hazard))
        .isNotEmpty()
        .allSatisfy(
            c -> {
              assertThat(c.blocks()).isEqualTo(blocks);
              assertThat(c.hazard().whoToAsk()).isNotBlank();
            });
  }

  @ParameterizedTest
  @CsvSource({
    "tall_fescue_novel, beef/steer",
    "tall_fescue_novel, horse/mare",
    "bermudagrass, horse/adult",
  })
  void harmlessGrazingRaisesNothing(String forage, String kind) {
    // heat and spring growth are the year's, not the grass's
    assertThat(cautions(forage, kind, true))
        .extracting(c -> c.hazard().trigger())
        .isSubsetOf("heat_stress", "lush_spring_cool_grass");
  }

  @Test
  void aFieldNobodyGrazesRaisesNothing() {
    assertThat(cautions("sorghum_sudangrass", "beef/steer", false))
        .extracting(c -> c.hazard().trigger())
        .isSubsetOf("heat_stress");
  }

  @Test
  void aGroupThatGrazesEveryFieldIsWarnedOfEachOfThem() {
    Farms farm = new Farms();
    farm.field("f", 5, 10, 2000).eaters("g", 3, 10);
    farm.fields.set(
        0, Farms.stand("f", 5, "sorghum_sudangrass", Collections.nCopies(12, 10.0), 2000));
    farm.graze("g", null, null);
    assertThat(cautions(farm.build()))
        .extracting(c -> c.hazard().id())
        .contains("hz_frost_kill_sorghum");
  }

  private static Farms sownWith(String crop) {
    Farms farm = new Farms();
    farm.start = LocalDate.of(2027, 4, 1);
    farm.fields.add(Farms.stand("f", 5, "fallow", Collections.nCopies(12, 0.0), 0));
    farm.sowings.add(
        new Sowing(
            "s",
            "f",
            crop,
            LocalDate.of(2027, 6, 1),
            Sowing.Preparation.FULL_SEEDBED,
            null,
            1,
            null));
    return farm.eaters("g", 40, 12).graze("g", null, null, "f");
  }

  @ParameterizedTest
  @CsvSource({
    "sorghum_sudangrass, hz_frost_kill_sorghum",
    "sudangrass, hz_young_sorghum",
    "cereal_rye, hz_bloat_small_grain",
    "forage_rape, hz_brassica_intro",
    "pearl_millet, hz_treated_seed",
  })
  void aSownCropBringsItsCautionsFromTheDayItIsSown(String crop, String hazard) {
    FarmPlan plan = sownWith(crop).build();
    assertThat(cautions(plan))
        .filteredOn(c -> c.hazard().id().equals(hazard))
        .isNotEmpty()
        .allSatisfy(c -> assertThat(c.fromDay()).isGreaterThanOrEqualTo(61));
  }

  @Test
  void sorghumIsNotEnteredBelowItsSafeHeightHoweverHungryTheHerd() {
    FarmPlan plan = sownWith("sorghum_sudangrass").build();
    YearBalance b = ENGINE.simulate(plan);
    Forage sorghum = ENGINE.catalogue().forage("sorghum_sudangrass");
    double safe = sorghum.massAtHeightKgPerHa(sorghum.prussicMinHeightCm());
    boolean entered = false;
    for (int d = 1; d < b.days(); d++) {
      if (b.grazedKg(0, d) > 0
          && b.grazedKg(0, d - 1) == 0
          && !b.resolved().weather().frostSeason(d)) {
        entered = true;
        double before = b.coverKgPerHa(0, d) + (b.grazedKg(0, d) + b.trampledKg(0, d)) / 5;
        assertThat(before).isGreaterThan(safe - 60);
      }
    }
    assertThat(entered).isTrue();
  }

  @Test
  void anEarlyKillingFrostHoldsSorghumFromThatNight() {
    Farms farm = sownWith("sorghum_sudangrass");
    LocalDate night = LocalDate.of(2027, 9, 18);
    farm.scenarios.add(
        new Scenario(
            "x",
            "Early frost",
            "normal",
            List.of(new Overlay(Overlay.Kind.KILLING_FROST, night, null, -4))));
    FarmPlan plan = farm.build();
    YearBalance b =
        ENGINE.simulate(
            plan, Season.parse("scenario:x").weather(plan, ENGINE.catalogue(), Map.of()));
    int day = b.year().day(night);
    for (int d = day; d <= day + 14; d++) {
      assertThat(b.grazedKg(0, d)).isZero();
    }
  }

  @Test
  void aFrostWhereNoneIsUsualHoldsSorghumToo() {
    Farms farm = sownWith("sorghum_sudangrass");
    farm.climate = "subtropical_summer_rain_south";
    farm.start = LocalDate.of(2027, 9, 1);
    farm.sowings.set(
        0,
        new Sowing(
            "s",
            "f",
            "sorghum_sudangrass",
            LocalDate.of(2027, 11, 1),
            Sowing.Preparation.FULL_SEEDBED,
            null,
            1,
            null));
    LocalDate night = LocalDate.of(2028, 6, 1);
    farm.scenarios.add(
        new Scenario(
            "x",
            "Frost",
            "normal",
            List.of(new Overlay(Overlay.Kind.KILLING_FROST, night, null, -4))));
    FarmPlan plan = farm.build();
    YearBalance b =
        ENGINE.simulate(
            plan, Season.parse("scenario:x").weather(plan, ENGINE.catalogue(), Map.of()));
    int day = b.year().day(night);
    for (int d = day; d <= day + 14; d++) {
      assertThat(b.grazedKg(0, d)).isZero();
    }
  }
}
