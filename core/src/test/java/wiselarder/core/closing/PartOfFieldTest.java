package wiselarder.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.gap.Gap;
import wiselarder.core.land.Field;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;

class PartOfFieldTest {
  /** One large field that feeds the herd and more in its season; hay for some weeks after it. */
  private static FarmPlan farm() {
    Farms farm = new Farms().eaters("herd", 20, 10).field("big", 24, 25, 2000).bales("hay", 60);
    return farm.graze("herd", null, START.plusDays(120), "big")
        .graze("herd", START.plusDays(240), null, "big")
        .feed("herd", START.plusDays(120), START.plusDays(240), "hay")
        .build();
  }

  private static Gap gap(FarmPlan plan) {
    return ENGINE.gaps(ENGINE.simulate(plan)).stream()
        .filter(g -> g.kind() == Gap.Kind.STORE)
        .findFirst()
        .orElseThrow();
  }

  private static Optional<PlanEdit.PartField> parted(List<PlanEdit> edits) {
    return edits.stream()
        .filter(PlanEdit.PartField.class::isInstance)
        .map(PlanEdit.PartField.class::cast)
        .findFirst();
  }

  @Test
  void noMoreOfAFieldIsCutThanTheGapAsksFor() {
    FarmPlan plan = farm();
    Trial trial = new Trial(ENGINE, plan, gap(plan));
    List<LeverOption> options = trial.options(List.of(CutSurplus.hay()));
    LeverOption part =
        options.stream().filter(o -> parted(o.edits()).isPresent()).findFirst().orElseThrow();
    double whole =
        options.stream()
            .filter(o -> parted(o.edits()).isEmpty())
            .mapToDouble(LeverOption::bringsKg)
            .max()
            .orElse(0);
    assertThat(part.bringsKg()).isGreaterThanOrEqualTo(0.9 * whole);
    assertThat(parted(part.edits()).orElseThrow().share()).isLessThan(1);
    // what was promised is what the engine gives, and no ground is lost or won
    double left = ENGINE.tryOut(plan, part.edits()).totalBareKg();
    assertThat(ENGINE.simulate(plan).totalBareKg() - left).isCloseTo(part.bringsKg(), within(1e-6));
    FarmPlan after = PlanEdit.all(plan, part.edits());
    assertThat(after.farm().fields().stream().mapToDouble(Field::areaHa).sum())
        .isCloseTo(24, within(1e-9));
    // the rest of it is grazed on, and the part too once it has grown again
    FeedStep grazed = after.plan().steps().get(0);
    assertThat(grazed.sourceIds()).hasSize(2).contains("big");
  }

  @Test
  void partsOfTwoFieldsAreBothGrazedOnInTheEnd() {
    Farms farm = new Farms().eaters("herd", 20, 10).field("a", 9, 25, 2000).field("b", 9, 25, 2000);
    FarmPlan plan = farm.graze("herd", null, null, "a", "b").build();
    List<List<PlanEdit>> ways = new ArrayList<>();
    for (String id : List.of("a", "b")) {
      PlanEdit part = new PlanEdit.PartField(id, 0.5, id + "-p", id + " (half)");
      List<FeedStep> steps = part.apply(plan).plan().steps();
      ways.add(List.of(part, new PlanEdit.SetFeeding("herd", steps)));
    }
    FarmPlan both = PlanEdit.all(plan, Together.of(plan, ways));
    assertThat(both.plan().steps().get(0).sourceIds())
        .containsExactlyInAnyOrder("a", "a-p", "b", "b-p");
  }
}
