package wiselarder.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.cost.Bill;
import wiselarder.core.day.Shelf;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Season;

/** Ways that make what there is go further: slower, in another order, beside something else. */
class StretchTest {
  private static Gap gap(FarmPlan plan) {
    return ENGINE.gaps(ENGINE.simulate(plan)).stream()
        .filter(g -> g.kind() == Gap.Kind.STORE)
        .findFirst()
        .orElseThrow();
  }

  private static List<LeverOption> options(FarmPlan plan, Lever lever) {
    return new Trial(ENGINE, plan, gap(plan)).options(List.of(lever));
  }

  private static void keepsItsPromise(FarmPlan plan, LeverOption option) {
    double before = ENGINE.simulate(plan).totalBareKg();
    YearBalance after = ENGINE.simulate(ENGINE.changed(plan, option.edits()));
    assertThat(before - after.totalBareKg()).isCloseTo(option.bringsKg(), within(1e-6));
    assertThat(option.bringsKg()).isPositive();
  }

  /** Twenty bulls of 10 kg on named hay from mid November until it is gone; grass from April. */
  private static Farms bulls() {
    return new Farms()
        .eaters("herd", 20, 10)
        .field("near", 10, 25, 2000)
        .bales("hay", 60)
        .graze("herd", null, START.plusDays(75), "near")
        .graze("herd", START.plusDays(212), null, "near")
        .feed("herd", null, null, "hay");
  }

  /** Three tenths of 200 kg on each day of the gap, and bales enough for it. */
  @Test
  void strawIsThreeTenthsOfWhatDryStockEat() {
    FarmPlan plan = bulls().build();
    LeverOption option = options(plan, FeedBeside.straw()).get(0);
    keepsItsPromise(plan, option);
    int days = gap(plan).lastDay() - gap(plan).firstDay() + 1;
    assertThat(option.bringsKg()).isCloseTo(0.3 * 200 * days, within(0.05 * 60 * days));
    Purchase bought = (Purchase) ((PlanEdit.Put<?>) option.edits().get(0)).item();
    // 250 kg at 91%, and what store and ring take
    assertThat(bought.lot().units() * 250 * 0.91).isBetween(60.0 * days, 1.3 * 60 * days + 250);
    FeedStep first = ((PlanEdit.SetFeeding) option.edits().get(1)).steps().get(0);
    assertThat(first.portion().share()).isEqualTo(0.3);
    assertThat(option.cost()).isPositive();
  }

  /** A fifth of 200 kg a day, dearer a ton than straw. */
  @Test
  void aByproductIsAFifthOfWhatIsEaten() {
    FarmPlan plan = bulls().build();
    LeverOption option = options(plan, FeedBeside.concentrate()).get(0);
    keepsItsPromise(plan, option);
    int days = gap(plan).lastDay() - gap(plan).firstDay() + 1;
    assertThat(option.bringsKg()).isCloseTo(0.2 * 200 * days, within(0.05 * 40 * days));
    LeverOption straw = options(plan, FeedBeside.straw()).get(0);
    assertThat(option.cost() / option.bringsKg()).isGreaterThan(straw.cost() / straw.bringsKg());
  }

  /** Cows that calve in the gap need more than straw; neither is for horses. */
  @Test
  void noStrawForThoseInMilkAndNothingFromTheTroughForHorses() {
    Farms cows = new Farms().bales("hay", 60).feed("cows", null, null, "hay");
    cows.groups.add(Farms.dams("cows", "beef/cow", 20, 600, MonthDay.of(2, 1), 0.9));
    FarmPlan plan = cows.build();
    assertThat(gap(plan).firstDay()).isLessThan(plan.plan().year().day(LocalDate.of(2027, 2, 1)));
    assertThat(options(plan, FeedBeside.straw())).isEmpty();
    assertThat(options(plan, FeedBeside.concentrate())).isNotEmpty();
    Farms horses = new Farms().bales("hay", 20).feed("horses", null, null, "hay");
    horses.groups.add(Farms.dams("horses", "horse/adult", 8, 550, null, 0));
    FarmPlan stable = horses.build();
    assertThat(options(stable, FeedBeside.straw())).isEmpty();
    assertThat(options(stable, FeedBeside.concentrate())).isEmpty();
  }

  /** Grass that grows into December and is eaten as it grows; hay is left in spring. */
  private static Farms autumn() {
    Farms farms = new Farms().eaters("herd", 20, 10).bales("hay", 60);
    farms.fields.add(
        Farms.stand(
            "grass",
            12,
            "tall_fescue_novel",
            List.of(2.0, 2.0, 15.0, 40.0, 50.0, 30.0, 20.0, 25.0, 40.0, 35.0, 15.0, 4.0),
            1500));
    return farms.graze("herd", null, null).feed("herd", null, null);
  }

  @Test
  void aSlowerRoundLeavesMoreForTheGap() {
    FarmPlan plan = autumn().build();
    List<LeverOption> all = options(plan, new SlowRound());
    assertThat(all).isNotEmpty();
    int first = gap(plan).firstDay();
    for (LeverOption option : all) {
      keepsItsPromise(plan, option);
      List<FeedStep> steps = ((PlanEdit.SetFeeding) option.edits().get(0)).steps();
      // the round before, in and after the slow days, then the store as it was
      assertThat(steps).hasSize(4);
      assertThat(steps.get(0).roundDays()).isNull();
      assertThat(steps.get(1).roundDays()).isBetween(35, 100);
      assertThat(steps.get(0).toExclusive()).isEqualTo(steps.get(1).fromInclusive());
      assertThat(steps.get(2).fromInclusive()).isEqualTo(steps.get(1).toExclusive());
      assertThat(steps.get(3)).isEqualTo(plan.plan().steps().get(1));
      assertThat(ENGINE.tryOut(plan, option.edits()).standingKg(first - 1))
          .isGreaterThan(ENGINE.simulate(plan).standingKg(first - 1));
    }
  }

  /** A field that grows by its leaf, bitten short as it grows; the hay is gone in January. */
  private static Farms bitten() {
    Farms farms = new Farms().eaters("herd", 20, 10).bales("hay", 40);
    farms.fields.add(
        new Field(
            "grass",
            "grass",
            16,
            new Stand("tall_fescue_novel", 6000.0, null, 1500.0, 0, null, null),
            Field.Grazing.SET_STOCKED,
            null,
            null,
            null,
            true,
            "",
            null));
    return farms.graze("herd", null, null).feed("herd", null, null);
  }

  /** The same hay is eaten sooner: what is gained is grass that had time to grow. */
  @Test
  void theStoreFirstLetsGrassGetAhead() {
    FarmPlan plan = bitten().build();
    List<LeverOption> all = options(plan, new StoreFirst());
    assertThat(all).isNotEmpty();
    for (LeverOption option : all) {
      keepsItsPromise(plan, option);
      YearBalance before = ENGINE.simulate(plan);
      YearBalance after = ENGINE.simulate(ENGINE.changed(plan, option.edits()));
      double grazedMore = 0;
      for (int d = 0; d < before.days(); d++) {
        grazedMore +=
            after.eatenKg(Shelf.GROWING, d)
                + after.eatenKg(Shelf.STANDING, d)
                - before.eatenKg(Shelf.GROWING, d)
                - before.eatenKg(Shelf.STANDING, d);
      }
      assertThat(grazedMore).isPositive();
      // hay loses a little less where it lies a shorter time
      assertThat(option.bringsKg()).isCloseTo(grazedMore, within(0.2 * option.bringsKg()));
    }
    assertThat(options(new Farms().eaters("herd", 20, 10).build(), new StoreFirst())).isEmpty();
  }

  /** Only a field that the plan waters already; three gifts of 25 mm, ten days apart, are paid. */
  @Test
  void moreWaterIsForFieldsThatAreWatered() {
    Engine dry = ENGINE.in(Season.parse("dry"));
    Farms farms = bitten();
    FarmPlan unwatered = farms.build();
    Gap its = dry.gaps(dry.simulate(unwatered)).get(0);
    assertThat(new WaterMore().candidates(new Trial(dry, unwatered, its))).isEmpty();
    farms.irrigations.add(new Irrigation("i", "grass", START, 25));
    FarmPlan plan = farms.build();
    Trial trial = new Trial(dry, plan, dry.gaps(dry.simulate(plan)).get(0));
    List<Lever.Candidate> all = new WaterMore().candidates(trial);
    assertThat(all).hasSize(1);
    assertThat(trial.bringsKg(all.get(0).edits())).isPositive();
    List<LocalDate> days =
        all.get(0).edits().stream()
            .map(e -> ((Irrigation) ((PlanEdit.Put<?>) e).item()).date())
            .toList();
    assertThat(days).hasSize(3);
    assertThat(days.get(2)).isEqualTo(days.get(0).plusDays(20));
    assertThat(trial.bill(all.get(0).edits()).lines())
        .hasSize(3)
        .allMatch(l -> l.amount() == 25 * 16);
  }

  /** Wrapped feed ferments six weeks: cut that much earlier, and wrapped and moved in its bill. */
  @Test
  void aSurplusIsWrappedSixWeeksBefore() {
    Farms farms = bulls();
    farms.fields.add(
        Farms.stand("meadow", 6, "tall_fescue_novel", Collections.nCopies(12, 30.0), 4200));
    FarmPlan plan = farms.build();
    LeverOption option = options(plan, CutSurplus.wrapped()).get(0);
    keepsItsPromise(plan, option);
    HayCut cut = (HayCut) ((PlanEdit.Put<?>) option.edits().get(0)).item();
    assertThat(cut.harvestMethodId()).isEqualTo("h_haylage");
    // their order names the hay that they eat: what is made is opened for them
    assertThat(option.edits()).hasSize(2);
    assertThat(cut.date()).isBefore(START.plusDays(gap(plan).firstDay() - 41));
    Bill bill = new Trial(ENGINE, plan, gap(plan)).bill(option.edits());
    assertThat(bill.lines())
        .extracting(Bill.Line::priceId)
        .contains("wrap_bale")
        .doesNotContain("ted");
  }

  /** Two ways that change one order of feeds: the slow days of one, and what the other opens. */
  @Test
  void aChangedStepIsChangedInTheSetToo() {
    FarmPlan plan = autumn().field("behind", 4, 20, 2600).build();
    FarmPlan closed =
        PlanEdit.all(
            plan,
            List.of(
                new PlanEdit.SetFeeding(
                    "herd",
                    List.of(
                        plan.plan().steps().get(0).from(List.of("grass")),
                        plan.plan().steps().get(1)))));
    List<PlanEdit> slow = options(closed, new SlowRound()).get(0).edits();
    List<PlanEdit> open = options(closed, new OpenStanding()).get(0).edits();
    for (List<List<PlanEdit>> set : List.of(List.of(slow, open), List.of(open, slow))) {
      List<FeedStep> steps = PlanEdit.all(closed, Together.of(closed, set)).plan().steps();
      assertThat(steps).hasSize(5);
      assertThat(steps.get(0).sourceIds()).contains("behind");
      assertThat(steps.get(1).toExclusive()).isEqualTo(steps.get(2).fromInclusive());
      assertThat(steps.get(2).roundDays()).isNotNull();
      assertThat(steps.get(4).kind()).isEqualTo(FeedStep.Kind.STORE);
    }
  }

  /** A gap in grazing is one of stored feed too: what brings less of it to be fed closes it. */
  @Test
  void aGapInGrazingIsClosedByWhatSparesTheStore() {
    FarmPlan plan =
        new Farms()
            .eaters("herd", 20, 10)
            .field("near", 10, 25, 2000)
            .field("behind", 6, 20, 2600)
            .bales("hay", 140)
            .graze("herd", null, START.plusDays(75), "near")
            .graze("herd", START.plusDays(212), null, "near")
            .feed("herd", null, null)
            .build();
    YearBalance before = ENGINE.simulate(plan);
    assertThat(before.totalBareKg()).isZero();
    Gap gap = ENGINE.gaps(before).get(0);
    assertThat(gap.kind()).isEqualTo(Gap.Kind.GRAZING);
    List<LeverOption> all = new Trial(ENGINE, plan, gap).options(Lever.ofTheFarm());
    assertThat(all)
        .extracting(LeverOption::kind)
        .contains(LeverOption.Kind.OPEN_STANDING, LeverOption.Kind.SELL)
        .doesNotContain(LeverOption.Kind.LESS_WASTE, LeverOption.Kind.OPEN_STORE);
    for (LeverOption option : all) {
      YearBalance after = ENGINE.simulate(ENGINE.changed(plan, option.edits()));
      double less = 0;
      for (int d = 0; d < before.days(); d++) {
        less += before.eatenKg(Shelf.PUT_BY, d) - after.eatenKg(Shelf.PUT_BY, d) - after.bareKg(d);
      }
      assertThat(option.bringsKg()).isCloseTo(less, within(1e-6)).isPositive();
    }
    InFull full = InFull.of(ENGINE, List.of(), plan, gap, List.of(all.get(0).edits()));
    assertThat(full.gapKgBefore()).isCloseTo(gap.shortKg(), within(1e-6));
    assertThat(full.bringsKg()).isCloseTo(all.get(0).bringsKg(), within(1e-6));
  }

  /** What is given by the portion is not eaten beyond it by a step that means the whole store. */
  @Test
  void theWholeStoreGivesNoMoreOfWhatIsPortioned() {
    for (int bales : new int[] {0, 30}) {
      Farms farms = new Farms().eaters("herd", 20, 10);
      if (bales > 0) {
        farms.bales("hay", bales);
      }
      FarmPlan plan = farms.feed("herd", null, null).build();
      LeverOption option = options(plan, FeedBeside.concentrate()).get(0);
      YearBalance after = ENGINE.simulate(ENGINE.changed(plan, option.edits()));
      int lot = bales > 0 ? 1 : 0;
      for (int d = 0; d < after.days(); d++) {
        assertThat(after.groupLotEatenKg(0, lot, d)).isLessThanOrEqualTo(0.2 * 200 + 1e-6);
      }
    }
  }

  /** The first half of a gap is a gap of its own: what is missing in it, and what that takes. */
  @Test
  void aPartOfAGapIsClosedForItself() {
    FarmPlan plan = bulls().build();
    YearBalance year = ENGINE.simulate(plan);
    Gap whole = gap(plan);
    int middle = (whole.firstDay() + whole.lastDay()) / 2;
    Gap part = Trial.part(year, whole, whole.firstDay(), middle);
    Gap rest = Trial.part(year, whole, middle + 1, whole.lastDay());
    assertThat(part.shortKg() + rest.shortKg()).isCloseTo(whole.shortKg(), within(1e-6));
    BuyHay lever = new BuyHay(Farms.bale("pattern", 0), START);
    LeverOption half = new Trial(ENGINE, plan, part).options(List.of(lever)).get(0);
    LeverOption all = new Trial(ENGINE, plan, whole).options(List.of(lever)).get(0);
    assertThat(half.inGapKg()).isCloseTo(part.shortKg(), within(1e-6));
    assertThat(half.cost()).isBetween(0.4 * all.cost(), 0.6 * all.cost());
  }
}
