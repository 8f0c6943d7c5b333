package wiselarder.core.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.SameYears;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sowing;

/** What is kept, shared and run from a later day comes to the same as a year from nothing. */
class EngineTest {
  private static final Engine ENGINE = Engine.load();

  private static FarmPlan farm() {
    Farms farm = new Farms();
    farm.groups.add(Farms.dams("cows", "beef/cow", 30, 550, MonthDay.of(3, 1), 0.9));
    farm.eaters("bulls", 3, 12);
    farm.field("a", 12, 25, 2200).field("b", 9, 22, 1800).field("c", 15, 18, 2600);
    farm.fields.add(
        Farms.stand("d", 7, "bermudagrass", java.util.Collections.nCopies(12, 14.0), 1500));
    farm.bales("hay", 90).bales("more", 20);
    farm.closings.add(
        new Closing("c1", "b", START.plusDays(20), START.plusDays(110), List.of("cows"), null));
    farm.purchases.add(
        new Purchase("p1", START.plusDays(150), Farms.bale("bought", 30), List.of("cows")));
    farm.cuts.add(
        new HayCut(
            "cut", "c", START.plusDays(260), "h_hay_not_conditioned", Farms.bale("made", 0)));
    for (String g : List.of("cows", "bulls")) {
      farm.graze(g, null, null, "a", "b", "c", "d").feed(g, null, null);
    }
    return farm.build();
  }

  /** Some edit of the farm, on some day. */
  private static PlanEdit drawn(FarmPlan on, Random chance) {
    int day = 10 + chance.nextInt(320);
    LocalDate date = START.plusDays(day);
    AnimalGroup cows = on.farm().groups().get(0);
    return switch (chance.nextInt(12)) {
      case 0, 1 ->
          new PlanEdit.Put<>(
              Items.CLOSINGS,
              new Closing("c1", "b", date, date.plusDays(40), List.of("cows"), null));
      case 2 ->
          new PlanEdit.Put<>(
              Items.CLOSINGS, new Closing("c2", "a", date, date.plusDays(30), List.of(), null));
      case 3 -> new PlanEdit.Remove<>(Items.CLOSINGS, "c1");
      case 4 ->
          new PlanEdit.Put<>(
              Items.PURCHASES,
              new Purchase(
                  "p1", date, Farms.bale("bought", 1 + chance.nextInt(60)), List.of("cows")));
      case 5 ->
          new PlanEdit.Put<>(
              Items.CUTS,
              new HayCut("cut", "c", date, "h_hay_not_conditioned", Farms.bale("made", 0)));
      case 6 -> new PlanEdit.Put<>(Items.DRESSINGS, new Dressing("n", "a", date, 50, null));
      case 7 ->
          new PlanEdit.Put<>(
              Items.GROUPS,
              Farms.dams("cows", "beef/cow", 30, 550, MonthDay.of(1 + chance.nextInt(12), 1), 0.9));
      case 8 -> new PlanEdit.Put<>(Items.LOTS, Farms.bale("more", chance.nextInt(60)));
      case 9 ->
          new PlanEdit.SetFeeding(
              "bulls",
              List.of(
                  new FeedStep("x", "bulls", FeedStep.Kind.GRAZE, List.of("c"), date, null),
                  new FeedStep("y", "bulls", FeedStep.Kind.STORE, List.of(), null, null)));
      case 10 ->
          new PlanEdit.Put<>(
              Items.SOWINGS,
              new Sowing(
                  "s", "d", "cereal_rye", date, Sowing.Preparation.GRAZE_DOWN, null, 1, null));
      default ->
          new PlanEdit.Put<>(
              Items.GROUPS, cows.withWeaning(MonthDay.of(10, 1 + chance.nextInt(28))));
    };
  }

  @Property(tries = 150)
  void whatIsTriedOutIsTheYearFromNothing(@ForAll long seed) throws Exception {
    Random chance = new Random(seed);
    Engine engine =
        ENGINE.in(Season.parse(List.of("normal", "dry", "seed:5").get(chance.nextInt(3))));
    FarmPlan stated = farm();
    for (int n = 0; n < 4; n++) {
      PlanEdit edit;
      FarmPlan changed;
      try {
        edit = drawn(stated, chance);
        changed = edit.apply(stated);
      } catch (wiselarder.core.quantity.Refused refused) {
        continue;
      }
      YearBalance slow = engine.slow().simulate(changed);
      if (chance.nextBoolean()) {
        SameYears.checkFarmOnly(slow, engine.tryFarmOnly(stated, List.of(edit)));
      }
      SameYears.check(slow, engine.tryOut(stated, List.of(edit)));
      SameYears.checkFarmOnly(slow, engine.tryFarmOnly(stated, List.of(edit)));
      stated = chance.nextBoolean() ? changed : stated;
    }
  }

  /** What is saved is reckoned from the plan before it, whatever that was. */
  @Property(tries = 80)
  void whatIsSavedIsTheYearFromNothing(@ForAll long seed) throws Exception {
    Random chance = new Random(seed);
    Engine engine =
        ENGINE.apart().in(Season.parse(List.of("normal", "dry", "seed:5").get(chance.nextInt(3))));
    FarmPlan stated = farm();
    engine.simulate(stated);
    for (int n = 0; n < 5; n++) {
      try {
        stated = drawn(stated, chance).apply(stated);
      } catch (wiselarder.core.quantity.Refused refused) {
        continue;
      }
      SameYears.check(engine.slow().simulate(stated), engine.simulate(stated));
    }
  }

  @ParameterizedTest
  @CsvSource({"closing, 100", "purchase, 140", "cut, 200", "same, 365", "area, 0", "length, 0"})
  void twoPlansGoTheSameWayUntilTheDayThatOneOfThemChanges(String what, int day) {
    FarmPlan plan = farm();
    PlanEdit edit =
        switch (what) {
          case "closing" ->
              new PlanEdit.Put<>(
                  Items.CLOSINGS,
                  new Closing(
                      "c1", "b", START.plusDays(20), START.plusDays(100), List.of("cows"), null));
          case "purchase" ->
              new PlanEdit.Put<>(
                  Items.PURCHASES,
                  new Purchase(
                      "p1", START.plusDays(140), Farms.bale("bought", 30), List.of("cows")));
          case "cut" ->
              new PlanEdit.Put<>(
                  Items.CUTS,
                  new HayCut(
                      "cut",
                      "c",
                      START.plusDays(200),
                      "h_hay_not_conditioned",
                      Farms.bale("made", 0)));
          case "same" -> new PlanEdit.NamePlan("Other");
          case "area" -> new PlanEdit.Put<>(Items.FIELDS, Farms.fescue("a", 13, 25, 2200));
          default -> new PlanEdit.SetYear(new PlanYear(START, 13));
        };
    YearBalance tried = ENGINE.tryOut(plan, List.of(edit));
    assertThat(tried.resolved().sameUntil(ENGINE.simulate(plan).resolved())).isEqualTo(day);
  }

  @Test
  void aYearThatWasAskedForIsKeptAndOneThatDiffersIsNotTakenForIt() {
    FarmPlan plan = farm();
    YearBalance first = ENGINE.simulate(plan);
    assertThat(ENGINE.simulate(farm())).as("the same by value").isSameAs(first);
    assertThat(ENGINE.in(Season.parse("dry")).simulate(plan)).isNotSameAs(first);
    assertThat(
            ENGINE
                .knowing(
                    Farms.written(
                        Farms.seen(START, new wiselarder.core.records.LotCounted("hay", 10, ""))))
                .simulate(plan))
        .isNotSameAs(first);
    assertThat(ENGINE.slow().simulate(plan)).isNotSameAs(first);
    List<YearBalance> others = new ArrayList<>();
    for (int n = 0; n < 20; n++) {
      others.add(ENGINE.simulate(new PlanEdit.NamePlan("Plan " + n).apply(plan)));
    }
    assertThat(ENGINE.simulate(plan)).as("only the last are kept").isNotSameAs(first);
  }
}
