package wiselarder.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Season;

/** Several ways out of a gap at once. */
class TogetherTest {
  private static Farms farm() {
    Farms farm = new Farms().field("f", 10, 20, 4000).field("g", 4, 20, 4000).eaters("a", 30, 10);
    farm.bales("hay", 40);
    farm.steps.addAll(FeedStep.usual("a"));
    return farm;
  }

  private static List<PlanEdit> first(Farms farm, String field) {
    FeedStep step =
        new FeedStep("a-open", "a", FeedStep.Kind.GRAZE, List.of(field), START, START.plusDays(9));
    List<FeedStep> steps = new java.util.ArrayList<>(List.of(step));
    steps.addAll(farm.steps);
    return List.of(new PlanEdit.SetFeeding("a", steps));
  }

  private static List<PlanEdit> sell(Farms farm, int head, int day) {
    AnimalGroup group = farm.groups.get(0);
    HeadChange sale =
        new HeadChange(START.plusDays(day), null, HeadChange.Kind.SOLD, head, null, null, "");
    return List.of(new PlanEdit.Put<>(Items.GROUPS, group.withChanges(List.of(sale))));
  }

  private static List<PlanEdit> buy(int units) {
    return List.of(
        new PlanEdit.Put<>(
            Items.PURCHASES,
            new Purchase("b", START.plusDays(3), Farms.bale("bought", units), List.of("a"))));
  }

  /** Two ways that each put a step before the others: both stand before them, under own names. */
  @Test
  void stepsOfTwoWaysStandBesideEachOther() {
    Farms farm = farm();
    FarmPlan plan = farm.build();
    List<PlanEdit> edits = Together.of(plan, List.of(first(farm, "f"), first(farm, "g")));
    List<FeedStep> steps = PlanEdit.all(plan, edits).plan().steps();
    assertThat(steps)
        .extracting(FeedStep::id)
        .containsExactly("a-open-2", "a-open", "a-graze", "a-store");
    assertThat(steps.get(0).sourceIds()).containsExactly("g");
  }

  /** Two sales out of one group are two sales, and weaning by another way is kept. */
  @Test
  void salesOfTwoWaysAreBothMade() {
    Farms farm = farm();
    FarmPlan plan = farm.build();
    List<PlanEdit> edits = Together.of(plan, List.of(sell(farm, 3, 40), sell(farm, 5, 60)));
    AnimalGroup group = PlanEdit.all(plan, edits).farm().groups().get(0);
    assertThat(group.changes()).extracting(HeadChange::head).containsExactly(3, 5);
  }

  /** What is promised of a set is what its edits do, to the kilogram, and months add up. */
  @Property(tries = 12)
  void whatIsPromisedIsWhatHappens(
      @ForAll @IntRange(min = 1, max = 25) int sold,
      @ForAll @IntRange(min = 1, max = 60) int bought,
      @ForAll @IntRange(min = 10, max = 200) int day) {
    Farms farm = farm();
    FarmPlan plan = farm.build();
    YearBalance before = ENGINE.simulate(plan);
    Gap gap = ENGINE.gaps(before).get(0);
    InFull full =
        InFull.of(
            ENGINE,
            List.of(ENGINE.in(Season.parse("dry"))),
            plan,
            gap,
            List.of(sell(farm, sold, day), buy(bought)));
    YearBalance after = ENGINE.simulate(PlanEdit.all(plan, full.edits()));
    assertThat(full.bareKgAfter()).isCloseTo(after.totalBareKg(), within(1e-6));
    double brought = 0;
    for (InFull.Month m : full.months()) {
      assertThat(m.bareKgLess())
          .isCloseTo(m.needKgLess() + m.grazedKgMore() + m.storedKgMore(), within(1e-3));
      brought += m.bareKgLess();
    }
    assertThat(full.bringsKg()).isCloseTo(brought, within(1e-6));
    assertThat(full.partsKg()).hasSize(2).allMatch(kg -> kg >= -1e-6);
    assertThat(full.seasons()).hasSize(1);
    assertThat(full.seasons().get(0).bareKgAfter())
        .isLessThanOrEqualTo(full.seasons().get(0).bareKgBefore() + 1e-6);
    assertThat(full.bill().lines()).isNotEmpty();
  }

  /** A bale more is bought and a bale more is left, or eaten: nothing is lost on the way. */
  @Test
  void oneWayAloneHasNoParts() {
    Farms farm = farm();
    FarmPlan plan = farm.build();
    Gap gap = ENGINE.gaps(ENGINE.simulate(plan)).get(0);
    InFull full = InFull.of(ENGINE, List.of(), plan, gap, List.of(buy(10)));
    assertThat(full.partsKg()).isEmpty();
    assertThat(full.gapKgAfter()).isLessThan(full.gapKgBefore());
    assertThat(full.bill().total()).isCloseTo(10 * 0.4 * 100, within(1e-9));
  }
}
