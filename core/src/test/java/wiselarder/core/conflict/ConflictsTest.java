package wiselarder.core.conflict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.conflict.Conflict.Code;
import wiselarder.core.land.Field;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Portion;
import wiselarder.core.plan.Sowing;

/** A plan that stands in its own way says where. */
class ConflictsTest {
  private static LocalDate day(int day) {
    return START.plusDays(day);
  }

  /** Two fescue fields that carry 20 eaters of 10 kg a day, hay behind them. */
  private static Farms farms() {
    return new Farms()
        .eaters("herd", 20, 10)
        .field("a", 5, 30, 2500)
        .field("b", 5, 30, 2500)
        .bales("hay", 40);
  }

  private static List<Conflict> of(FarmPlan plan) {
    return Conflicts.of(ENGINE.simulate(plan));
  }

  private static List<Conflict> of(Farms farms) {
    return of(farms.build());
  }

  private static Conflict one(Code code, List<Conflict> all) {
    List<Conflict> such = all.stream().filter(c -> c.code() == code).toList();
    assertThat(such).as(code.name()).hasSize(1);
    return such.get(0);
  }

  private static HayCut cut(String field, int day) {
    return new HayCut("cut", field, day(day), "h_hay_conditioned_grass", Farms.bale("made", 0));
  }

  @Test
  void aPlanThatGoesTogetherHasNone() {
    assertThat(of(farms().graze("herd", null, null, "a", "b").feed("herd", null, null, "hay")))
        .isEmpty();
  }

  @Test
  void aCutOfAShutFieldTakesWhatIsKept() {
    Farms farms =
        farms()
            .graze("herd", null, null, "a", "b")
            .feed("herd", null, null)
            .shut("a", day(20), day(120), "herd");
    farms.cuts.add(cut("a", 60));
    Conflict c = one(Code.CUT_WHILE_SHUT, of(farms));
    assertThat(c.subjects()).containsExactly("a");
    assertThat(new int[] {c.fromDay(), c.toDay()}).containsExactly(20, 120);
    farms.cuts.set(0, cut("b", 60));
    assertThat(of(farms)).extracting(Conflict::code).doesNotContain(Code.CUT_WHILE_SHUT);
  }

  @Test
  void aFieldThatIsNotFitForMowingOrHasNothingToCutIsNamed() {
    Farms farms = farms().graze("herd", null, null, "b");
    Field f = Farms.fescue("a", 5, 0, 900);
    farms.fields.set(
        0, new Field("a", "a", 5, f.stand(), f.grazing(), null, null, null, false, "", null));
    farms.cuts.add(cut("a", 60));
    List<Conflict> found = of(farms);
    assertThat(one(Code.NOT_HAYABLE, found).fromDay()).isEqualTo(60);
    assertThat(one(Code.NOTHING_TO_CUT, found).itemId()).isEqualTo("cut");
  }

  @Test
  void aStepWhoseFieldsAreAllShutSaysOnWhichDays() {
    Farms farms =
        farms()
            .graze("herd", day(10), day(60), "a")
            .graze("herd", null, null, "b")
            .feed("herd", null, null)
            .shut("a", day(30), day(120), "herd");
    Conflict c = one(Code.STEP_SHUT_OUT, of(farms));
    assertThat(new int[] {c.fromDay(), c.toDay()}).containsExactly(30, 60);
    assertThat(c.subjects()).containsExactly("herd", "a");
  }

  @Test
  void whatIsKeptForNobodyIsSaidWithWhatStands() {
    Farms farms =
        farms().graze("herd", null, null, "b").feed("herd", null, null).shut("a", day(0), day(90));
    FarmPlan plan = farms.build();
    YearBalance year = ENGINE.simulate(plan);
    Conflict c = one(Code.KEPT_FOR_NOBODY, Conflicts.of(year));
    assertThat(c.value()).isEqualTo(year.offeredKg(0, 90)).isPositive();
    farms.closings.clear();
    assertThat(of(farms.shut("a", day(0), day(90), "herd")))
        .extracting(Conflict::code)
        .doesNotContain(Code.KEPT_FOR_NOBODY);
  }

  /** On 5 ha that are left 200 kg a day are eaten: 40 kg/ha/day, as long as they stand. */
  @Test
  void aShutFieldSaysWhatItAsksOfTheRest() {
    Farms farms = farms().graze("herd", null, null, "a", "b").shut("a", day(0), day(10), "herd");
    Conflict c = one(Code.LOAD_ON_THE_REST, of(farms));
    assertThat(c.value()).isCloseTo(40, within(0.5));
    YearBalance year = ENGINE.simulate(farms.build());
    double grown = 0;
    for (int d = 0; d < 10; d++) {
      grown += year.grownKg(1, d);
    }
    assertThat(c.other()).isCloseTo(grown / 5 / 10, within(1e-9));
  }

  @Test
  void theOnlyFieldShutLeavesNothingToGraze() {
    Farms farms =
        new Farms().eaters("herd", 20, 10).field("a", 5, 30, 2500).graze("herd", null, null, "a");
    Conflict c = one(Code.NO_OTHER_GROUND, of(farms.shut("a", day(10), day(40), "herd")));
    assertThat(new int[] {c.fromDay(), c.toDay()}).containsExactly(10, 40);
  }

  @Test
  void aGrazingStepBehindAStoreThatFeedsAllIsNeverReached() {
    Farms farms = farms();
    farms.lots.clear();
    farms.bales("hay", 4000).feed("herd", null, null, "hay").graze("herd", null, null, "a");
    Conflict c = one(Code.STEP_NEVER_REACHED, of(farms));
    assertThat(c.value()).as("stands there meanwhile, kg").isGreaterThan(1000);
    assertThat(c.subjects()).containsExactly("herd", "a");
  }

  @Test
  void aStepThatIsNotWantedAsOthersCarryTheHerdIsNone() {
    Farms farms = new Farms().eaters("herd", 2, 10).field("a", 5, 30, 2500).field("b", 5, 30, 2500);
    farms.graze("herd", null, null, "a").graze("herd", day(5), day(9), "b");
    assertThat(of(farms)).isEmpty();
  }

  @Test
  void aPortionOfAnEmptyStoreIsNeverGiven() {
    Farms farms = farms().graze("herd", null, null, "a", "b");
    farms.lots.clear();
    farms.steps.add(
        new FeedStep(
            "silage",
            "herd",
            FeedStep.Kind.STORE,
            List.of(),
            day(50),
            day(80),
            new Portion(Portion.Bound.EXACTLY, null, 4.0),
            null));
    Conflict c = one(Code.PORTION_NEVER_GIVEN, of(farms));
    assertThat(new int[] {c.fromDay(), c.toDay()}).containsExactly(50, 80);
  }

  /** At most so much, in its turn: grass may well be enough. */
  @Test
  void aPortionThatWaitsForItsTurnIsNoConflict() {
    Farms farms =
        new Farms().eaters("herd", 2, 10).field("a", 5, 30, 2500).graze("herd", null, null, "a");
    farms.bales("hay", 10);
    Portion most = new Portion(Portion.Bound.AT_MOST, null, 4.0);
    farms.steps.add(
        new FeedStep("hay", "herd", FeedStep.Kind.STORE, List.of(), day(50), day(80), most, null));
    assertThat(of(farms)).isEmpty();
  }

  @Test
  void whatOpensShortlyBeforeThePlanEndsMayBeEatenAfterIt() {
    Farms farms = farms().graze("herd", null, null, "b").feed("herd", null, null);
    assertThat(of(farms.shut("a", day(200), day(355))))
        .extracting(Conflict::code)
        .doesNotContain(Code.KEPT_FOR_NOBODY);
  }

  @Test
  void aCropIsNotReadyWhenItsStepBegins() {
    Farms farms = farms().graze("herd", null, null, "b").graze("herd", day(20), day(200), "a");
    farms.sowings.add(
        new Sowing(
            "rye", "a", "cereal_rye", day(19), Sowing.Preparation.FULL_SEEDBED, null, 1, null));
    YearBalance year = ENGINE.simulate(farms.build());
    Conflict c = one(Code.NOT_READY, Conflicts.of(year));
    assertThat(c.value()).isEqualTo(year.sowing(0).readyDay());
    assertThat(c.fromDay()).isEqualTo(20);
    farms.cuts.add(cut("a", 22));
    assertThat(one(Code.CUT_WHILE_SOWN, of(farms)).fromDay()).isEqualTo(19 - 28);
  }

  @Test
  void passesThatLeaveTooLittleAreHeldAgainstTheResidual() {
    Farms farms = farms().graze("herd", null, null, "a", "b");
    FarmPlan plain = farms.build();
    Plan plan =
        plain
            .plan()
            .withPasses(List.of(new LightPass("p", "a", "herd", day(5), day(50), 1500, 300)));
    YearBalance year = ENGINE.simulate(new FarmPlan(plain.farm(), plan));
    Conflict c = one(Code.PASS_BELOW_RESIDUAL, Conflicts.of(year));
    assertThat(c.value()).isEqualTo(300);
    assertThat(c.other()).isEqualTo(year.residualKgPerHa(0)).isGreaterThan(300);
  }
}
