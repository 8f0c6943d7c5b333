package wiselarder.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.params.provider.Arguments.arguments;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wiselarder.core.Farms;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Thing;
import wiselarder.core.quantity.Refused;

class PlanEditTest {
  private static FarmPlan plan() {
    return new Farms()
        .eaters("herd", 10, 10)
        .field("a", 5, 20, 2000)
        .field("b", 5, 20, 2000)
        .bales("hay", 10)
        .bales("more", 10)
        .graze("herd", null, null, "a")
        .feed("herd", null, null, "hay", "more")
        .build();
  }

  private static Closing closing(String id, int from, int to) {
    return new Closing(id, "a", START.plusDays(from), START.plusDays(to), List.of("herd"), null);
  }

  @Test
  void aFieldIsReplacedInPlaceOrAdded() {
    FarmPlan changed =
        new PlanEdit.Put<>(Items.FIELDS, Farms.fescue("a", 7, 20, 2000)).apply(plan());
    assertThat(changed.farm().fields()).extracting("id").containsExactly("a", "b");
    assertThat(changed.field("a").areaHa()).isEqualTo(7);
    assertThat(
            new PlanEdit.Put<>(Items.FIELDS, Farms.fescue("c", 7, 20, 2000))
                .apply(plan())
                .farm()
                .fields())
        .hasSize(3);
  }

  @Test
  void removingAFieldTakesItsClosingsCutsAndSteps() {
    FarmPlan with = new PlanEdit.Put<>(Items.CLOSINGS, closing("c", 0, 50)).apply(plan());
    with =
        new PlanEdit.Put<>(
                Items.CUTS,
                new HayCut("k", "a", START.plusDays(9), "h_haylage", Farms.bale("made", 0)))
            .apply(with);
    FarmPlan without = new PlanEdit.Remove<>(Items.FIELDS, "a").apply(with);
    assertThat(without.plan().closings()).isEmpty();
    assertThat(without.plan().cuts()).isEmpty();
    assertThat(without.plan().steps()).extracting("kind").containsExactly(FeedStep.Kind.STORE);
  }

  @Test
  void aStepNeverTurnsIntoTheWholeStoreWhenItsLotsGo() {
    FarmPlan one = new PlanEdit.Remove<>(Items.LOTS, "hay").apply(plan());
    assertThat(one.plan().steps().get(1).sourceIds()).containsExactly("more");
    FarmPlan none = new PlanEdit.Remove<>(Items.LOTS, "more").apply(one);
    assertThat(none.plan().steps()).hasSize(1);
  }

  @Test
  void aFieldIsNotShutTwiceAtOnce() {
    FarmPlan shut = new PlanEdit.Put<>(Items.CLOSINGS, closing("c", 0, 50)).apply(plan());
    assertThatThrownBy(() -> new PlanEdit.Put<>(Items.CLOSINGS, closing("d", 40, 80)).apply(shut))
        .isInstanceOfSatisfying(Refused.class, e -> assertThat(e.code()).isEqualTo("already_shut"));
    assertThat(
            new PlanEdit.Put<>(Items.CLOSINGS, closing("d", 50, 80)).apply(shut).plan().closings())
        .hasSize(2);
    assertThat(
            new PlanEdit.Put<>(Items.CLOSINGS, closing("c", 10, 60)).apply(shut).plan().closings())
        .as("the same closing, moved")
        .singleElement()
        .satisfies(c -> assertThat(c.fromInclusive()).isEqualTo(START.plusDays(10)));
  }

  @Test
  void takingAPurchaseBackTakesItsLotFromTheSteps() {
    FarmPlan bought =
        new PlanEdit.Put<>(
                Items.PURCHASES, new Purchase("p", START, Farms.bale("new", 5), List.of("herd")))
            .apply(plan());
    assertThat(bought.allLots()).extracting("id").contains("new");
    assertThat(new PlanEdit.Remove<>(Items.PURCHASES, "p").apply(bought)).isEqualTo(plan());
  }

  @Test
  void removingAGroupTakesItOutOfEverything() {
    FarmPlan with = new PlanEdit.Put<>(Items.CLOSINGS, closing("c", 0, 50)).apply(plan());
    FarmPlan without = new PlanEdit.Remove<>(Items.GROUPS, "herd").apply(with);
    assertThat(without.plan().steps()).isEmpty();
    assertThat(without.plan().closings().get(0).grazedBy()).isEmpty();
  }

  @Test
  void whatIsNotThereCannotBeNamed() {
    assertThatThrownBy(() -> new PlanEdit.Remove<>(Items.FIELDS, "z").apply(plan()))
        .isInstanceOf(Refused.class);
    FeedStep wrong = new FeedStep("s", "herd", FeedStep.Kind.GRAZE, List.of("z"), null, null);
    assertThatThrownBy(() -> new PlanEdit.SetFeeding("herd", List.of(wrong)).apply(plan()))
        .isInstanceOfSatisfying(
            Refused.class, e -> assertThat(e.field()).isEqualTo("step.sourceIds"));
  }

  @Test
  void theYearMovesAndNothingElse() {
    PlanYear year = new PlanYear(LocalDate.of(2030, 3, 1), 18);
    FarmPlan moved = new PlanEdit.SetYear(year).apply(plan());
    assertThat(moved.plan().year()).isEqualTo(year);
    assertThat(moved.farm()).isEqualTo(plan().farm());
  }

  @ParameterizedTest
  @MethodSource
  void whatAnEditDoesIsSaidByWhatDiffers(
      PlanEdit edit, Thing what, Difference.Kind kind, String name, List<String> members) {
    assertThat(Difference.between(plan(), edit.apply(plan())))
        .filteredOn(c -> c.what() == what)
        .singleElement()
        .satisfies(
            c -> {
              assertThat(c.kind()).isEqualTo(kind);
              assertThat(c.name()).isEqualTo(name);
              assertThat(c.members()).extracting(Members.Member::member).isEqualTo(members);
            });
  }

  static List<Arguments> whatAnEditDoesIsSaidByWhatDiffers() {
    PlanEdit shut = new PlanEdit.Put<>(Items.CLOSINGS, closing("c", 0, 50));
    PlanEdit gone = new PlanEdit.Remove<>(Items.FIELDS, "a");
    PlanEdit field = new PlanEdit.Put<>(Items.FIELDS, Farms.fescue("a", 7, 30, 2000));
    PlanEdit lot = new PlanEdit.Put<>(Items.LOTS, Farms.bale("new", 5));
    return List.of(
        arguments(
            shut,
            Thing.CLOSING,
            Difference.Kind.ADDED,
            "a",
            List.of(
                "closing.id",
                "closing.fieldId",
                "closing.fromInclusive",
                "closing.toExclusive",
                "closing.grazedBy")),
        arguments(gone, Thing.FIELD, Difference.Kind.REMOVED, "a", List.of()),
        arguments(gone, Thing.FEEDING, Difference.Kind.CHANGED, "herd", List.of()),
        arguments(
            field,
            Thing.FIELD,
            Difference.Kind.CHANGED,
            "a",
            List.of("field.areaHa", "stand.monthlyKgPerHaDay")),
        arguments(lot, Thing.LOT, Difference.Kind.ADDED, "new", List.of()));
  }

  @Test
  void anEditThatChangesNothingMakesNoDifference() {
    PlanEdit same = new PlanEdit.Put<>(Items.LOTS, Farms.bale("hay", 10));
    assertThat(Difference.between(plan(), same.apply(plan()))).isEmpty();
  }

  /**
   * Removing a field takes the lot of its cut out of every step, and the step that named only it.
   */
  @Test
  void whatGoesWithAThingFollowsFromWhatNamesIt() {
    FarmPlan cut =
        new PlanEdit.Put<>(
                Items.CUTS,
                new HayCut("cut", "b", START.plusDays(90), "h_dry", Farms.bale("new", 0)))
            .apply(plan());
    FeedStep both =
        new FeedStep("x", "herd", FeedStep.Kind.STORE, List.of("hay", "new"), null, null);
    FeedStep only = new FeedStep("y", "herd", FeedStep.Kind.STORE, List.of("new"), null, null);
    FarmPlan fed = new PlanEdit.SetFeeding("herd", List.of(both, only)).apply(cut);
    FarmPlan after = new PlanEdit.Remove<>(Items.FIELDS, "b").apply(fed);
    assertThat(after.plan().cuts()).isEmpty();
    assertThat(after.plan().steps())
        .extracting(FeedStep::id, FeedStep::sourceIds)
        .containsExactly(org.assertj.core.groups.Tuple.tuple("x", List.of("hay")));
  }
}
