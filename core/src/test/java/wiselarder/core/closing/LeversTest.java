package wiselarder.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.PlanEdit;

class LeversTest {
  private final Levers levers = new Levers(ENGINE);

  /** Grass to mid November, hay until it runs out, grass again from April. */
  private static FarmPlan farm() {
    Farms farm =
        new Farms()
            .eaters("herd", 20, 10)
            .field("near", 10, 25, 2000)
            .field("far", 10, 25, 2000)
            .bales("hay", 40);
    farm.fields.add(
        Farms.stand("sorghum", 5, "sorghum_sudangrass", Collections.nCopies(12, 10.0), 2000));
    return farm.graze("herd", null, START.plusDays(75), "near", "far")
        .graze("herd", START.plusDays(212), null, "near", "far")
        .feed("herd", null, null)
        .build();
  }

  private static Gap gap(FarmPlan plan) {
    return ENGINE.gaps(ENGINE.simulate(plan)).get(0);
  }

  @Test
  void boughtHayIsTheFewestBalesThatCloseTheGap() {
    FarmPlan plan = farm();
    LeverOption option =
        levers.buyHay(plan, gap(plan), plan.farm().lots().get(0), START).orElseThrow();
    PlanEdit.BuyHay buy = (PlanEdit.BuyHay) option.edit();
    assertThat(ENGINE.tryOut(plan, List.of(buy)).totalBareKg()).isZero();
    // 400 kg as fed at 100 a tonne: 40 a bale
    assertThat(option.cost()).isEqualTo(40.0 * buy.purchase().lot().units());
    PlanEdit oneLess =
        new PlanEdit.BuyHay(
            new wiselarder.core.plan.Purchase(
                "p",
                START,
                Farms.bale("fewer", buy.purchase().lot().units() - 1),
                List.of("herd")));
    assertThat(ENGINE.tryOut(plan, List.of(oneLess)).totalBareKg()).isPositive();
  }

  @Test
  void hayThatComesAfterTheGapBeganCannotCloseIt() {
    FarmPlan plan = farm();
    Gap gap = gap(plan);
    assertThat(
            levers.buyHay(
                plan, gap, plan.farm().lots().get(0), plan.plan().year().date(gap.firstDay() + 10)))
        .isEmpty();
  }

  @Test
  void shuttingAFieldBringsWhatTheEngineSaysItBrings() {
    FarmPlan plan = farm();
    double before = ENGINE.simulate(plan).totalBareKg();
    List<LeverOption> options = levers.stockpile(plan, gap(plan));
    assertThat(options).hasSize(2);
    LeverOption best = options.get(0);
    assertThat(best.bringsKg()).isPositive();
    assertThat(ENGINE.tryOut(plan, List.of(best.edit())).totalBareKg())
        .isEqualTo(before - best.bringsKg());
  }

  @Test
  void sorghumIsNeverOfferedForStockpile() {
    FarmPlan plan = farm();
    assertThat(levers.stockpile(plan, gap(plan)))
        .extracting(o -> ((PlanEdit.ShutField) o.edit()).closing().fieldId())
        .doesNotContain("sorghum");
  }

  @Test
  void aTrialKeepsNothing() {
    FarmPlan plan = farm();
    levers.stockpile(plan, gap(plan));
    assertThat(plan).isEqualTo(farm());
  }
}
