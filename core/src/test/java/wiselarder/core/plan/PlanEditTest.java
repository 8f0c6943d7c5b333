package wiselarder.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.calendar.PlanYear;
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
    FarmPlan changed = new PlanEdit.PutField(Farms.fescue("a", 7, 20, 2000)).apply(plan());
    assertThat(changed.farm().fields()).extracting("id").containsExactly("a", "b");
    assertThat(changed.field("a").areaHa()).isEqualTo(7);
    assertThat(new PlanEdit.PutField(Farms.fescue("c", 7, 20, 2000)).apply(plan()).farm().fields())
        .hasSize(3);
  }

  @Test
  void removingAFieldTakesItsClosingsCutsAndSteps() {
    FarmPlan with = new PlanEdit.ShutField(closing("c", 0, 50)).apply(plan());
    with =
        new PlanEdit.PutCut(
                new HayCut("k", "a", START.plusDays(9), "h_haylage", Farms.bale("made", 0)))
            .apply(with);
    FarmPlan without = new PlanEdit.RemoveField("a").apply(with);
    assertThat(without.plan().closings()).isEmpty();
    assertThat(without.plan().cuts()).isEmpty();
    assertThat(without.plan().steps()).extracting("kind").containsExactly(FeedStep.Kind.STORE);
  }

  @Test
  void aStepNeverTurnsIntoTheWholeStoreWhenItsLotsGo() {
    FarmPlan one = new PlanEdit.RemoveLot("hay").apply(plan());
    assertThat(one.plan().steps().get(1).sourceIds()).containsExactly("more");
    FarmPlan none = new PlanEdit.RemoveLot("more").apply(one);
    assertThat(none.plan().steps()).hasSize(1);
  }

  @Test
  void aFieldIsNotShutTwiceAtOnce() {
    FarmPlan shut = new PlanEdit.ShutField(closing("c", 0, 50)).apply(plan());
    assertThatThrownBy(() -> new PlanEdit.ShutField(closing("d", 40, 80)).apply(shut))
        .isInstanceOfSatisfying(Refused.class, e -> assertThat(e.code()).isEqualTo("already_shut"));
    assertThat(new PlanEdit.ShutField(closing("d", 50, 80)).apply(shut).plan().closings())
        .hasSize(2);
    assertThat(new PlanEdit.ShutField(closing("c", 10, 60)).apply(shut).plan().closings())
        .as("the same closing, moved")
        .singleElement()
        .satisfies(c -> assertThat(c.fromInclusive()).isEqualTo(START.plusDays(10)));
  }

  @Test
  void takingAPurchaseBackTakesItsLotFromTheSteps() {
    FarmPlan bought =
        new PlanEdit.BuyHay(new Purchase("p", START, Farms.bale("new", 5), List.of("herd")))
            .apply(plan());
    assertThat(bought.allLots()).extracting("id").contains("new");
    assertThat(new PlanEdit.RemovePurchase("p").apply(bought)).isEqualTo(plan());
  }

  @Test
  void removingAGroupTakesItOutOfEverything() {
    FarmPlan with = new PlanEdit.ShutField(closing("c", 0, 50)).apply(plan());
    FarmPlan without = new PlanEdit.RemoveGroup("herd").apply(with);
    assertThat(without.plan().steps()).isEmpty();
    assertThat(without.plan().closings().get(0).grazedBy()).isEmpty();
  }

  @Test
  void whatIsNotThereCannotBeNamed() {
    assertThatThrownBy(() -> new PlanEdit.RemoveField("z").apply(plan()))
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

  @Test
  void everyEditSaysWhatItDoes() {
    assertThat(new PlanEdit.ShutField(closing("c", 0, 50)).words(plan()))
        .isEqualTo("Shut a from 2026-09-01 to 2026-10-20");
    assertThat(new PlanEdit.RemoveField("a").words(plan())).isEqualTo("Removed field a");
    assertThat(new PlanEdit.PutField(Farms.fescue("a", 7, 30, 2000)).words(plan()))
        .isEqualTo("Changed field a: area, monthly growth");
    assertThat(new PlanEdit.PutLot(Farms.bale("new", 5)).words(plan())).isEqualTo("Added lot new");
    assertThat(new PlanEdit.PutLot(Farms.bale("hay", 10)).words(plan()))
        .as("nothing changes")
        .isEmpty();
  }
}
