package wiselarder.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.FarmPlan;

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
