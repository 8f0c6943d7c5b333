package wiselarder.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.START;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Items;

/** Two people changed the plan at once; the later puts theirs on top. */
class RebaseTest {
  private static final FarmPlan BASE =
      new Farms()
          .eaters("herd", 10, 10)
          .field("a", 5, 20, 2000)
          .field("b", 5, 20, 2000)
          .bales("hay", 10)
          .graze("herd", null, null, "a", "b")
          .build();

  private static Field field(String id, double areaHa, Double residual, double rate) {
    Field f = Farms.fescue(id, areaHa, rate, 2000);
    return new Field(
        id, id, areaHa, f.stand(), f.grazing(), null, residual, null, f.hayable(), f.note(), null);
  }

  private static FarmPlan apply(FarmPlan to, List<PlanEdit> edits) {
    FarmPlan plan = to;
    for (PlanEdit e : edits) {
      plan = e.apply(plan);
    }
    return plan;
  }

  @Test
  void differentMembersOfOneFieldAreBothKept() {
    FarmPlan theirs = new PlanEdit.Put<>(Items.FIELDS, field("a", 7, null, 20)).apply(BASE);
    Rebase.Outcome outcome =
        Rebase.onTop(
            BASE, theirs, List.of(new PlanEdit.Put<>(Items.FIELDS, field("a", 5, 1500.0, 30))));
    assertThat(outcome.clashes()).isEmpty();
    Field both = apply(theirs, outcome.edits()).field("a");
    assertThat(both.areaHa()).isEqualTo(7);
    assertThat(both.residualKgPerHa()).isEqualTo(1500);
    assertThat(both.stand().monthlyKgPerHaDay().get(0)).isEqualTo(30);
  }

  @Test
  void whereBothChangedOneMemberMineHoldsAndTheClashIsNamed() {
    FarmPlan theirs = new PlanEdit.Put<>(Items.FIELDS, field("a", 7, null, 20)).apply(BASE);
    Rebase.Outcome outcome =
        Rebase.onTop(
            BASE, theirs, List.of(new PlanEdit.Put<>(Items.FIELDS, field("a", 9, null, 20))));
    assertThat(outcome.clashes()).containsExactly(new Rebase.Clash("a", "field.areaHa", 9.0, 7.0));
    assertThat(apply(theirs, outcome.edits()).field("a").areaHa()).isEqualTo(9);
  }

  @Test
  void theSameChangeTwiceIsNoClash() {
    List<PlanEdit> mine = List.of(new PlanEdit.Put<>(Items.FIELDS, field("a", 7, null, 20)));
    assertThat(Rebase.onTop(BASE, apply(BASE, mine), mine).clashes()).isEmpty();
  }

  @Test
  void whatTheyRemovedIsNamedBeforeMinePutsItBack() {
    FarmPlan theirs = new PlanEdit.Remove<>(Items.FIELDS, "a").apply(BASE);
    Rebase.Outcome outcome =
        Rebase.onTop(
            BASE, theirs, List.of(new PlanEdit.Put<>(Items.FIELDS, field("a", 9, null, 20))));
    assertThat(outcome.clashes()).containsExactly(new Rebase.Clash("a", "", null, null));
  }

  /** Also what goes with it: here the step that they made and that grazes nothing else. */
  @Test
  void whatTheyChangedIsNamedBeforeMineRemovesIt() {
    FarmPlan theirs = new PlanEdit.Put<>(Items.FIELDS, field("a", 7, null, 20)).apply(BASE);
    List<PlanEdit> mine = List.of(new PlanEdit.Remove<>(Items.FIELDS, "a"));
    assertThat(Rebase.onTop(BASE, theirs, mine).clashes())
        .contains(new Rebase.Clash("a", Rebase.REMOVED, null, null));
    assertThat(Rebase.onTop(BASE, BASE, mine).clashes()).isEmpty();
    FarmPlan stepped = feeding("a").apply(BASE);
    assertThat(Rebase.onTop(BASE, stepped, mine).clashes())
        .extracting(Rebase.Clash::member)
        .containsExactly(Rebase.REMOVED);
    // what is gone already is nobody's loss
    FarmPlan gone = apply(BASE, mine);
    assertThat(Rebase.onTop(BASE, gone, mine).clashes()).isEmpty();
  }

  @Test
  void twoNamesForAPlanClash() {
    FarmPlan theirs = new PlanEdit.NamePlan("Dry").apply(BASE);
    assertThat(Rebase.onTop(BASE, theirs, List.of(new PlanEdit.NamePlan("Wet"))).clashes())
        .containsExactly(new Rebase.Clash("", "plan.name", "Wet", "Dry"));
    assertThat(Rebase.onTop(BASE, theirs, List.of(new PlanEdit.NamePlan("Dry"))).clashes())
        .isEmpty();
    Rebase.Outcome same =
        Rebase.onTop(BASE, theirs, List.of(new PlanEdit.NamePlan(BASE.plan().name())));
    assertThat(same.clashes()).isEmpty();
    assertThat(apply(theirs, same.edits()).plan().name()).isEqualTo("Dry");
  }

  @Test
  void aFieldThatTheyChangedIsNamedBeforeMinePartsIt() {
    FarmPlan theirs = new PlanEdit.Put<>(Items.FIELDS, field("a", 7, null, 20)).apply(BASE);
    List<PlanEdit> mine = List.of(new PlanEdit.PartField("a", 0.5, "a2", "A two"));
    assertThat(Rebase.onTop(BASE, theirs, mine).clashes())
        .containsExactly(new Rebase.Clash("a", Rebase.PARTED, null, null));
    FarmPlan other = new PlanEdit.Put<>(Items.FIELDS, field("b", 7, null, 20)).apply(BASE);
    assertThat(Rebase.onTop(BASE, other, mine).clashes()).isEmpty();
  }

  @Test
  void twoOrdersOfFeedsForOneGroupClash() {
    PlanEdit onlyA = feeding("a");
    FarmPlan theirs = feeding("b").apply(BASE);
    assertThat(Rebase.onTop(BASE, theirs, List.of(onlyA)).clashes())
        .containsExactly(new Rebase.Clash("herd", "plan.steps", null, null));
    assertThat(Rebase.onTop(BASE, BASE, List.of(onlyA)).clashes()).isEmpty();
  }

  @Test
  void anOrderOfFeedsThatIDidNotTouchStaysAsTheyMadeIt() {
    FarmPlan theirs = feeding("b").apply(BASE);
    PlanEdit same = new PlanEdit.SetFeeding("herd", Difference.stepsOf(BASE, "herd"));
    Rebase.Outcome outcome = Rebase.onTop(BASE, theirs, List.of(same));
    assertThat(outcome.clashes()).isEmpty();
    assertThat(apply(theirs, outcome.edits())).isEqualTo(theirs);
  }

  private static PlanEdit feeding(String field) {
    return new PlanEdit.SetFeeding(
        "herd",
        List.of(new FeedStep("s0", "herd", FeedStep.Kind.GRAZE, List.of(field), START, null)));
  }

  @Test
  void settingsAreMergedMemberByMember() {
    PlanEdit.SetFarm was = PlanEdit.SetFarm.of(BASE.farm());
    FarmPlan theirs =
        new PlanEdit.SetFarm("Other", "", was.climateId(), was.units(), "EUR", 11.8, null, null)
            .apply(BASE);
    PlanEdit mine =
        new PlanEdit.SetFarm(
            was.name(), "wet year", was.climateId(), was.units(), "EUR", 11.8, null, null);
    Rebase.Outcome outcome = Rebase.onTop(BASE, theirs, List.of(mine));
    assertThat(outcome.clashes()).isEmpty();
    Farm both = apply(theirs, outcome.edits()).farm();
    assertThat(both.name()).isEqualTo("Other");
    assertThat(both.note()).isEqualTo("wet year");
  }

  /** On an unchanged plan, putting on top is the same as applying. */
  @Property(tries = 50)
  void onTopOfNothingNewIsThePlainEdit(@ForAll @DoubleRange(min = 0.1, max = 500) double areaHa) {
    List<PlanEdit> mine = List.of(new PlanEdit.Put<>(Items.FIELDS, field("b", areaHa, null, 20)));
    Rebase.Outcome outcome = Rebase.onTop(BASE, BASE, mine);
    assertThat(outcome.clashes()).isEmpty();
    assertThat(apply(BASE, outcome.edits())).isEqualTo(apply(BASE, mine));
  }

  @Test
  void aDifferenceNamesWhatIsAddedRemovedAndChanged() {
    FarmPlan after =
        apply(
            BASE,
            List.of(
                new PlanEdit.Put<>(Items.FIELDS, field("a", 7, null, 20)),
                new PlanEdit.Remove<>(Items.FIELDS, "b"),
                new PlanEdit.Put<>(Items.LOTS, Farms.bale("new", 5)),
                new PlanEdit.NamePlan("Next year")));
    List<Difference.Change> changes = Difference.between(BASE, after);
    assertThat(changes)
        .extracting(c -> c.what() + " " + c.kind() + " " + c.name())
        .containsExactly(
            "YEAR CHANGED Next year",
            "FIELD CHANGED a",
            "FIELD REMOVED b",
            "LOT ADDED new",
            "FEEDING CHANGED herd");
    assertThat(changes.get(1).members())
        .containsExactly(new Members.Member("field.areaHa", 5.0, 7.0));
    assertThat(Difference.between(BASE, BASE)).isEmpty();
  }
}
