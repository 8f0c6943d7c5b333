package wiselarder.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Seed;
import wiselarder.core.quantity.Refused;

/** Crops for a gap, with what they make there. */
class CropChoiceTest {
  private static FarmPlan plan() {
    Farms farms = new Farms().eaters("herd", 20, 10).field("near", 10, 25, 2000).bales("hay", 30);
    farms.fields.add(Farms.stand("summer", 8, "bermudagrass", Collections.nCopies(12, 15.0), 900));
    return farms
        .graze("herd", null, START.plusDays(75), "near")
        .graze("herd", START.plusDays(230), null, "near")
        .feed("herd", null, null)
        .build();
  }

  private static Gap gap(FarmPlan plan) {
    return ENGINE.gaps(ENGINE.simulate(plan)).stream()
        .filter(g -> g.kind() == Gap.Kind.STORE)
        .findFirst()
        .orElseThrow();
  }

  private static List<CropChoice> crops(CropChoice.Use use) {
    FarmPlan plan = plan();
    return CropChoice.of(ENGINE, plan, gap(plan), 1, use);
  }

  private static CropChoice rye() {
    return crops(CropChoice.Use.GRAZE).stream()
        .filter(c -> c.forageId().equals("cereal_rye") && c.purpose().equals("autumn_winter_feed"))
        .findFirst()
        .orElseThrow();
  }

  /** The table: sown 20 August to 10 September, at the latest 25; 40 to 50 days; 2.2 to 6.5 t. */
  @Test
  void ryeForWinterIsSownAtTheEndOfAugust() {
    CropChoice rye = rye();
    assertThat(rye.latest()).isEqualTo(LocalDate.of(2026, 9, 25));
    assertThat(rye.bestFrom()).isBefore(rye.bestTo());
    assertThat(rye.bestTo()).isBefore(rye.latest());
    assertThat(rye.likelyKgPerHa()).isCloseTo(4000, within(1000.0));
    assertThat(rye.failShare()).isBetween(0.05, 0.25);
    assertThat(rye.lostAWeekLateKgPerHa()).isBetween(50.0, 1200.0);
    assertThat(rye.against()).isEmpty();
    // 112.5 kg of seed and the drill by a farm that pays in EUR
    assertThat(rye.costPerHa()).isCloseTo(112.5 * 0.75 * 0.827 + 55 * 0.87, within(8.0));
  }

  /** 225 kg sow two of the eight hectares: a quarter of the seed is not bought. */
  @Test
  void seedInTheShedMakesACropCheaper() {
    FarmPlan shed = new PlanEdit.Put<>(Items.SEEDS, new Seed("cereal_rye", 225, "")).apply(plan());
    CropChoice own =
        CropChoice.of(ENGINE, shed, gap(shed), 1, CropChoice.Use.GRAZE).stream()
            .filter(c -> c.forageId().equals("cereal_rye"))
            .filter(c -> c.purpose().equals("autumn_winter_feed"))
            .findFirst()
            .orElseThrow();
    assertThat(own.atHandHa()).isCloseTo(2, within(1e-9));
    assertThat(rye().atHandHa()).isZero();
    assertThat(rye().costPerHa() - own.costPerHa())
        .isCloseTo(112.5 * 0.75 * 0.827 / 4, within(3.0));
  }

  @Test
  void theYearsLieInOrderAndWhatFitsComesFirst() {
    List<CropChoice> all = crops(CropChoice.Use.BOTH);
    assertThat(all).hasSizeGreaterThan(10);
    assertThat(all)
        .allSatisfy(
            c -> {
              assertThat(c.lowKgPerHa()).isLessThanOrEqualTo(c.likelyKgPerHa());
              assertThat(c.likelyKgPerHa()).isLessThanOrEqualTo(c.highKgPerHa());
              assertThat(c.failShare()).isBetween(0.0, 1.0);
              assertThat(c.against().contains(Fitting.Reason.NOT_IN_TIME))
                  .isEqualTo(c.edits().isEmpty());
            });
    boolean against = false;
    for (CropChoice c : all) {
      against |= !c.against().isEmpty();
      assertThat(c.against().isEmpty()).isEqualTo(!against);
    }
    assertThat(crops(CropChoice.Use.STORE))
        .isNotEmpty()
        .allSatisfy(c -> assertThat(c.purpose()).isEqualTo("hay_or_silage"));
  }

  /** Late is less: each week after its best days makes less and fails more often. */
  @Test
  void byTheDayOnWhichItIsSown() {
    FarmPlan plan = plan();
    CropChoice rye = rye();
    List<CropChoice.SownOn> all =
        CropChoice.byDate(ENGINE, plan, gap(plan), 1, "cereal_rye", "autumn_winter_feed");
    assertThat(all.get(0).sowOn()).isEqualTo(rye.bestFrom());
    assertThat(all).allSatisfy(s -> assertThat(s.sowOn()).isBeforeOrEqualTo(rye.latest()));
    assertThat(all).hasSizeBetween(4, 8);
    for (int i = 1; i < all.size(); i++) {
      assertThat(all.get(i).sowOn()).isEqualTo(all.get(i - 1).sowOn().plusDays(7));
      assertThat(all.get(i).failShare()).isGreaterThanOrEqualTo(all.get(i - 1).failShare() - 0.1);
    }
    CropChoice.SownOn last = all.get(all.size() - 1);
    assertThat(last.likelyKgPerHa()).isLessThan(all.get(0).likelyKgPerHa());
    all.forEach(s -> assertThat(s.lowKgPerHa()).isLessThanOrEqualTo(s.likelyKgPerHa()));
    all.forEach(s -> assertThat(s.likelyKgPerHa()).isLessThanOrEqualTo(s.highKgPerHa()));
    assertThatThrownBy(
            () -> CropChoice.byDate(ENGINE, plan, gap(plan), 1, "cereal_rye", "standing"))
        .isInstanceOf(Refused.class);
  }

  /** The table: 30 kg of nitrogen in a tonne of young rye; a clover wants none. */
  @Test
  void nitrogenAndWhatACropCanDoToStock() {
    CropChoice rye = rye();
    double each = ENGINE.catalogue().forage("cereal_rye").kgNPerTonne();
    assertThat(rye.nitrogenKgPerHa()).isCloseTo(rye.likelyKgPerHa() / 1000 * each, within(1e-6));
    // 1.35 USD a kg by the level of EUR, and its month
    assertThat(rye.nitrogenCostPerHa() / rye.nitrogenKgPerHa()).isBetween(1.0, 1.5);
    assertThat(rye.risks()).contains(CropChoice.Risk.BLOAT, CropChoice.Risk.NITRATE);
    List<CropChoice> all = crops(CropChoice.Use.GRAZE);
    assertThat(all)
        .filteredOn(c -> c.forageId().equals("sorghum_sudangrass"))
        .isNotEmpty()
        .allSatisfy(c -> assertThat(c.risks()).contains(CropChoice.Risk.CYANIDE));
    assertThat(all)
        .filteredOn(c -> c.forageId().equals("crimson_clover"))
        .isNotEmpty()
        .allSatisfy(c -> assertThat(c.nitrogenKgPerHa()).isZero());
  }

  @Test
  void whatIsShutToHorsesIsNotForThem() {
    Farms farms = new Farms().bales("hay", 20).field("near", 10, 25, 2000);
    farms.groups.add(Farms.dams("horses", "horse/adult", 20, 550, null, 0));
    FarmPlan stable = farms.feed("horses", null, null).build();
    List<CropChoice> all = CropChoice.of(ENGINE, stable, gap(stable), 0, CropChoice.Use.GRAZE);
    assertThat(all)
        .filteredOn(c -> c.forageId().contains("sorghum") || c.forageId().contains("sudan"))
        .isNotEmpty()
        .allSatisfy(c -> assertThat(c.against()).contains(Fitting.Reason.SHUT_TO_STOCK));
  }

  /** Chosen, it is sown there and opened to those that go short. */
  @Test
  void whatIsChosenIsFeedInTheGap() {
    FarmPlan plan = plan();
    YearBalance after = ENGINE.simulate(ENGINE.changed(plan, rye().edits()));
    assertThat(after.totalBareKg()).isLessThan(ENGINE.simulate(plan).totalBareKg());
    assertThat(after.stated().plan().sowings())
        .singleElement()
        .satisfies(s -> assertThat(s.fieldId()).isEqualTo("summer"));
  }
}
