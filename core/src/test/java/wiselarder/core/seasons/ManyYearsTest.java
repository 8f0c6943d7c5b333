package wiselarder.core.seasons;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.Collections;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Season;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.LossMethod;

class ManyYearsTest {
  private static ManyYears run(FarmPlan plan, int count) {
    return ManyYears.run(ENGINE, plan, count, n -> {}, () -> false);
  }

  /** Grass to mid November and from April, hay between: some years lack little, some much. */
  private static FarmPlan farm(int bales) {
    return new Farms()
        .eaters("herd", 20, 10)
        .field("near", 12, 25, 2000)
        .bales("hay", bales)
        .graze("herd", null, START.plusDays(75), "near")
        .graze("herd", START.plusDays(212), null, "near")
        .feed("herd", null, null)
        .build();
  }

  @Test
  void aYearAmongManyIsThatYearOnTheRuler() {
    FarmPlan plan = farm(60);
    ManyYears many = run(plan, 40);
    assertThat(many.years()).hasSize(40);
    for (ManyYears.Year y : List.of(many.years().get(0), many.noHarder(0.5), many.noHarder(1))) {
      YearBalance b = ENGINE.in(Season.simulated(y.seed())).simulate(plan);
      assertThat(y.bareKg()).isCloseTo(b.totalBareKg(), within(1e-6));
    }
  }

  /** Twenty bulls of 10 kg from the store all year: 73 t and what is lost, weather or not. */
  @Test
  void aFarmWithoutWeatherRiskHasAFanOfNoWidth() {
    FarmPlan plan =
        new Farms().eaters("herd", 20, 10).bales("hay", 120).feed("herd", null, null).build();
    ManyYears many = run(plan, 50);
    for (int d = 0; d < 365; d++) {
      assertThat(many.storeKg().p90()[d]).isEqualTo(many.storeKg().p10()[d]);
      assertThat(many.bareKg().p90()[d]).isEqualTo(many.bareKg().p10()[d]);
    }
    assertThat(many.dayKg()).isCloseTo(200, within(1e-9));
    assertThat(many.fed()).isZero();
    assertThat(many.years().get(0).firstBareDay()).isEqualTo(many.noHarder(1).firstBareDay());
  }

  @Test
  void whereNobodyEatsNothingIsMissing() {
    FarmPlan plan = new Farms().field("near", 12, 25, 2000).build();
    assertThat(run(plan, 10).fed()).isEqualTo(10);
    assertThat(run(new Farms().build(), 10).fed()).isEqualTo(10);
  }

  @Test
  void theFanIsInOrderAndTheYearsFromMildToHard() {
    ManyYears many = run(farm(60), 60);
    for (int d = 0; d < 365; d += 7) {
      assertThat(many.standsKgPerHa().p10()[d]).isLessThanOrEqualTo(many.standsKgPerHa().p25()[d]);
      assertThat(many.standsKgPerHa().p25()[d]).isLessThanOrEqualTo(many.standsKgPerHa().p50()[d]);
      assertThat(many.standsKgPerHa().p50()[d]).isLessThanOrEqualTo(many.standsKgPerHa().p75()[d]);
      assertThat(many.standsKgPerHa().p75()[d]).isLessThanOrEqualTo(many.standsKgPerHa().p90()[d]);
    }
    assertThat(many.years()).isSortedAccordingTo((a, b) -> Double.compare(a.bareKg(), b.bareKg()));
    assertThat(many.noHarder(0.9)).isEqualTo(many.years().get(53));
    List<Integer> first =
        many.years().stream().map(ManyYears.Year::firstBareDay).filter(d -> d >= 0).toList();
    int by = many.shortBy(0.1);
    assertThat(first.stream().filter(d -> d <= by).count()).isGreaterThanOrEqualTo(6);
    assertThat(first.stream().filter(d -> d < by).count()).isLessThan(6);
    assertThat(many.shortBy(1)).isEqualTo(first.size() < 60 ? -1 : (int) Collections.max(first));
  }

  @Test
  void moreHayNeverLowersTheChance() {
    int last = 0;
    for (int bales : new int[] {0, 40, 60, 70, 80, 100, 200}) {
      int fed = run(farm(bales), 60).fed();
      assertThat(fed).as(bales + " bales").isGreaterThanOrEqualTo(last);
      last = fed;
    }
    assertThat(last).isGreaterThan(30);
  }

  /** The chance from a tenth of the years lies within its own error of that from all. */
  @Test
  void fewerYearsSayTheSameWithinTheirError() {
    FarmPlan plan = farm(72);
    double all = run(plan, 2000).fed() / 2000.0;
    double few = run(plan, 200).fed() / 200.0;
    assertThat(few).isCloseTo(all, within(3 * Math.sqrt(0.25 / 200)));
  }

  @Test
  void progressIsToldAndAStopEndsIt() {
    AtomicInteger most = new AtomicInteger();
    ManyYears.run(ENGINE, farm(60), 30, n -> most.accumulateAndGet(n, Math::max), () -> false);
    assertThat(most.get()).isEqualTo(30);
    AtomicInteger begun = new AtomicInteger();
    assertThatThrownBy(
            () ->
                ManyYears.run(ENGINE, farm(60), 1000, n -> {}, () -> begun.incrementAndGet() > 20))
        .isInstanceOf(CancellationException.class);
    assertThat(begun.get()).isLessThan(1000);
    assertThatThrownBy(() -> run(farm(60), 0)).isInstanceOf(Refused.class);
  }

  /**
   * What is to be held is bought, and feed then lasts in so many years; a certainty more asks more.
   */
  @Test
  void whatIsHeldMakesItAsSureAsWanted() {
    FarmPlan plan = farm(60);
    ManyYears many = run(plan, 100);
    assertThat(many.fed()).isLessThan(80);
    FeedToHold nine = FeedToHold.of(ENGINE, plan, many, 0.9, Farms.bale("pattern", 0));
    assertThat(nine.fedBefore()).isEqualTo(many.fed());
    assertThat(nine.fedAfter()).isGreaterThanOrEqualTo(90);
    ManyYears after = run(PlanEdit.all(plan, nine.edits()), 100);
    assertThat(after.fed()).isEqualTo(nine.fedAfter());
    Purchase bought = (Purchase) ((PlanEdit.Put<?>) nine.edits().get(0)).item();
    assertThat(bought.lot().units()).isEqualTo(nine.units());
    // 400 kg as fed at 100 a tonne
    assertThat(nine.cost()).isCloseTo(40.0 * nine.units(), within(1e-6));
    // a drought makes hay 1.6 times as dear; a bale in the barn loses 5% a year, its money 5%
    assertThat(nine.costInDrought()).isCloseTo(64.0 * nine.units(), within(1e-6));
    LossMethod barn =
        new LossMethod(
            "b", LossMethod.Stage.STORAGE, "barn", 0.05, 0, 0, LossMethod.Per.PER_YEAR, 0, false);
    assertThat(nine.paysUpTo(barn)).isCloseTo(0.6 / 0.7, within(1e-9));
    assertThat(nine.insuranceKg()).isBetween(0.0, nine.missingKg());
    FeedToHold half = FeedToHold.of(ENGINE, plan, many, 0.5, Farms.bale("pattern", 0));
    assertThat(half.units()).isLessThanOrEqualTo(nine.units());
    FarmPlan full = farm(400);
    FeedToHold none = FeedToHold.of(ENGINE, full, run(full, 40), 0.9, Farms.bale("pattern", 0));
    assertThat(none.edits()).isEmpty();
    assertThat(none.cost()).isZero();
  }
}
