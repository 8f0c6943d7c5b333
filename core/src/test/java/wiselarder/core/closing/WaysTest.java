package wiselarder.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;
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
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.forage.SowingTable;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Seed;
import wiselarder.core.plan.Sowing;
import wiselarder.core.price.OwnPrice;
import wiselarder.core.store.Lot;

/** The ways that a farm itself offers: each does what it says, to the kilogram. */
class WaysTest {
  /** Twenty bulls of 10 kg: 200 kg a day; grass to mid November and from April, hay between. */
  private static Farms farm() {
    return new Farms()
        .eaters("herd", 20, 10)
        .field("near", 10, 25, 2000)
        .bales("hay", 40)
        .graze("herd", null, START.plusDays(75), "near")
        .graze("herd", START.plusDays(212), null, "near")
        .feed("herd", null, null);
  }

  private static Gap gap(FarmPlan plan) {
    return ENGINE.gaps(ENGINE.simulate(plan)).stream()
        .filter(g -> g.kind() == Gap.Kind.STORE)
        .findFirst()
        .orElseThrow();
  }

  private static List<LeverOption> options(FarmPlan plan, Lever lever) {
    return new Trial(ENGINE, plan, gap(plan)).options(List.of(lever));
  }

  @SuppressWarnings("unchecked")
  private static <T> T put(LeverOption option) {
    return (T) ((PlanEdit.Put<?>) option.edits().get(0)).item();
  }

  /**
   * What it promises is what the engine says once it is done; to be decided while it still does.
   */
  private static void keepsItsPromise(FarmPlan plan, LeverOption option) {
    double before = ENGINE.simulate(plan).totalBareKg();
    YearBalance after = ENGINE.simulate(ENGINE.changed(plan, option.edits()));
    assertThat(before - after.totalBareKg()).isCloseTo(option.bringsKg(), within(1e-6));
    assertThat(option.bringsKg()).isPositive();
    assertThat(after.totalBareKg()).isCloseTo(option.bareKgAfter(), within(1e-6));
    assertThat(option.decideBy()).isBetween(START, START.plusDays(gap(plan).lastDay()));
  }

  @Test
  void everyWayOfAFarmKeepsItsPromise() {
    FarmPlan plan =
        farm()
            .field("behind", 6, 20, 2600)
            .bales("kept", 10)
            .shut("near", START.plusDays(80), START.plusDays(200), "herd")
            .build();
    List<LeverOption> all = new Trial(ENGINE, plan, gap(plan)).options(Lever.ofTheFarm());
    assertThat(all)
        .extracting(LeverOption::kind)
        .contains(
            LeverOption.Kind.OPEN_STANDING,
            LeverOption.Kind.OPEN_SOONER,
            LeverOption.Kind.LESS_WASTE,
            LeverOption.Kind.SELL,
            LeverOption.Kind.SEND_AWAY);
    all.forEach(o -> keepsItsPromise(plan, o));
    // free ones first
    assertThat(all.get(0).kind()).isEqualTo(LeverOption.Kind.OPEN_STANDING);
  }

  @Test
  void whatStandsOnAFieldOfNoOrderIsOpenedFirst() {
    FarmPlan plan = farm().field("behind", 6, 20, 2600).build();
    LeverOption option = options(plan, new OpenStanding()).get(0);
    FeedStep step = ((PlanEdit.SetFeeding) option.edits().get(0)).steps().get(0);
    assertThat(step.kind()).isEqualTo(FeedStep.Kind.GRAZE);
    assertThat(step.sourceIds()).contains("behind");
    assertThat(step.toExclusive()).isEqualTo(START.plusDays(gap(plan).lastDay() + 1));
    assertThat(option.cost()).isZero();
    keepsItsPromise(plan, option);
    // a field that is shut then is not opened by it
    FarmPlan shut =
        farm()
            .field("behind", 6, 20, 2600)
            .shut("behind", START.plusDays(30), START.plusDays(230))
            .build();
    assertThat(options(shut, new OpenStanding()))
        .allSatisfy(o -> assertThat(o.edits().toString()).doesNotContain("behind"));
  }

  @Test
  void aLotThatNobodyOpensIsFed() {
    Farms farms = new Farms().eaters("herd", 20, 10).field("near", 10, 25, 2000).bales("hay", 40);
    farms.bales("loft", 15);
    FarmPlan plan =
        farms
            .graze("herd", null, START.plusDays(75), "near")
            .graze("herd", START.plusDays(212), null, "near")
            .feed("herd", null, null, "hay")
            .build();
    LeverOption option = options(plan, new OpenStore()).get(0);
    List<FeedStep> steps = ((PlanEdit.SetFeeding) option.edits().get(0)).steps();
    assertThat(steps.get(steps.size() - 1).sourceIds()).containsExactly("loft");
    keepsItsPromise(plan, option);
    // 15 bales of 360 kg DM, less what store and ring take: no more than that can come of it
    assertThat(option.bringsKg()).isBetween(0.7 * 15 * 360, 15 * 360.0);
    assertThat(options(farm().build(), new OpenStore())).isEmpty();
  }

  @Test
  void aShutFieldIsOpenedAsTheGapBegins() {
    FarmPlan plan = farm().field("kept", 8, 20, 2500).build();
    Gap open = gap(plan);
    FarmPlan shut =
        farm()
            .field("kept", 8, 20, 2500)
            .shut("kept", START, START.plusDays(open.lastDay() + 40), "herd")
            .build();
    LeverOption option = options(shut, new OpenSooner()).get(0);
    Closing closing = put(option);
    assertThat(closing.toExclusive()).isEqualTo(START.plusDays(gap(shut).firstDay()));
    keepsItsPromise(shut, option);
    assertThat(options(plan, new OpenSooner())).isEmpty();
  }

  /** An open ring wastes 15%, a cone 4%: of what is taken to them 96 parts are eaten, not 85. */
  @Test
  void aBetterFeederBringsWhatTheOtherWasted() {
    FarmPlan plan = farm().build();
    LeverOption best = options(plan, new LessWaste()).get(0);
    Lot lot = put(best);
    assertThat(lot.feedingMethodId()).isEqualTo("f_cone");
    double ring = ENGINE.catalogue().losses().get("f_ring_open").share();
    double cone = ENGINE.catalogue().losses().get("f_cone").share();
    YearBalance before = ENGINE.simulate(plan);
    double eaten = before.groupLotEatenKg(0, 0);
    assertThat(best.bringsKg()).isCloseTo(eaten * ((1 - cone) / (1 - ring) - 1), within(200.0));
    keepsItsPromise(plan, best);
    assertThat(best.decideBy()).isBefore(START.plusDays(gap(plan).firstDay()));
  }

  @Test
  void theFewestThatCloseItAreSold() {
    FarmPlan plan = farm().build();
    LeverOption option = options(plan, FewerMouths.sold()).get(0);
    AnimalGroup group = put(option);
    HeadChange sale = group.changes().get(0);
    assertThat(sale.kind()).isEqualTo(HeadChange.Kind.SOLD);
    assertThat(sale.date()).isEqualTo(START.plusDays(gap(plan).firstDay() - 45));
    keepsItsPromise(plan, option);
    if (option.bareKgAfter() == 0) {
      assertThat(left(plan, sale, sale.head() - 1)).isPositive();
    }
    assertThat(left(plan, sale, sale.head())).isZero();
  }

  private static double left(FarmPlan plan, HeadChange sale, int head) {
    HeadChange other =
        new HeadChange(sale.date(), sale.untilExclusive(), sale.kind(), head, null, null, "");
    AnimalGroup group = plan.farm().groups().get(0).withChanges(List.of(other));
    return new Trial(ENGINE, plan, gap(plan))
        .leftKg(List.of(new PlanEdit.Put<>(wiselarder.core.plan.Items.GROUPS, group)));
  }

  @Test
  void ofABreedingHerdOnlyWhatIsOpenOrOldIsSold() {
    Farms farms = new Farms().field("near", 12, 25, 2000).bales("hay", 40);
    farms.groups.add(Farms.dams("cows", "beef/cow", 20, 550, MonthDay.of(4, 1), 0.9));
    FarmPlan plan =
        farms
            .graze("cows", null, START.plusDays(75), "near")
            .graze("cows", START.plusDays(212), null, "near")
            .feed("cows", null, null)
            .build();
    AnimalGroup sold = put(options(plan, FewerMouths.sold()).get(0));
    // 15 in a hundred of twenty
    assertThat(sold.changes().get(0).head()).isEqualTo(3);
    AnimalGroup away = put(options(plan, FewerMouths.away()).get(0));
    HeadChange change = away.changes().get(0);
    assertThat(change.kind()).isEqualTo(HeadChange.Kind.AWAY);
    assertThat(change.date()).isEqualTo(START.plusDays(gap(plan).firstDay()));
    assertThat(change.untilExclusive()).isEqualTo(START.plusDays(gap(plan).lastDay() + 1));
  }

  /** Calves that stay on their dams into winter ask for hay: weaned sooner, more of it is left. */
  @Test
  void weaningSoonerLeavesHayForTheGap() {
    Farms farms = new Farms().field("near", 14, 25, 2500).bales("hay", 40);
    AnimalGroup cows = Farms.dams("cows", "beef/cow", 20, 550, MonthDay.of(6, 1), 0.9);
    farms.groups.add(cows.withWeaning(MonthDay.of(2, 1)));
    FarmPlan plan =
        farms
            .graze("cows", null, START.plusDays(75), "near")
            .graze("cows", START.plusDays(230), null, "near")
            .feed("cows", null, null)
            .build();
    LeverOption option = options(plan, new WeanSooner()).get(0);
    AnimalGroup weaned = put(option);
    assertThat(weaned.weaning()).isNotEqualTo(MonthDay.of(2, 1));
    keepsItsPromise(plan, option);
    assertThat(option.decideBy()).isBefore(LocalDate.of(2027, 2, 1));
    assertThat(option.decideBy())
        .as("never before the least age of the last calf")
        .isAfter(LocalDate.of(2026, 6, 1).plusDays(WeanBy.EARLIEST_AGE_DAYS));
  }

  private static Field hayable(Field f) {
    return new Field(
        f.id(),
        f.name(),
        f.areaHa(),
        f.stand(),
        f.grazing(),
        f.utilization(),
        f.residualKgPerHa(),
        f.turnInKgPerHa(),
        true,
        f.note(),
        f.soil());
  }

  @Test
  void aFieldThatNobodyEatsIsCutBeforeTheGap() {
    Farms farms = farm();
    farms.fields.add(
        hayable(
            Farms.stand("meadow", 6, "tall_fescue_novel", Collections.nCopies(12, 30.0), 4200)));
    FarmPlan plan = farms.build();
    LeverOption option = options(plan, CutSurplus.hay()).get(0);
    HayCut cut = put(option);
    assertThat(cut.fieldId()).isEqualTo("meadow");
    assertThat(cut.date()).isBefore(START.plusDays(gap(plan).firstDay() - 14));
    keepsItsPromise(plan, option);
    // at most what stood there goes into the stack
    YearBalance before = ENGINE.simulate(plan);
    int day = plan.plan().year().day(cut.date());
    assertThat(option.bringsKg()).isLessThan(6 * before.coverKgPerHa(1, day));
  }

  @Test
  void nitrogenIsNotOfferedWhereLegumesAreAThird() {
    Farms farms =
        new Farms()
            .eaters("herd", 20, 10)
            .bales("hay", 30)
            .graze("herd", null, null, "grass", "clover")
            .feed("herd", null, null);
    farms.fields.add(Farms.stand("grass", 6, "tall_fescue_novel", summer(), 1800));
    farms.fields.add(Farms.stand("clover", 6, "fescue_white_clover", summer(), 1800));
    FarmPlan dear = farms.build();
    assertThat(options(dear, new Dress())).as("at the product's price hay is cheaper").isEmpty();
    FarmPlan plan = Items.PRICES.put(dear, new OwnPrice("nitrogen", 0.6, false));
    List<LeverOption> options = options(plan, new Dress());
    assertThat(options).isNotEmpty().allSatisfy(o -> keepsItsPromise(plan, o));
    assertThat(options.toString()).doesNotContain("clover");
  }

  private static List<Double> summer() {
    return List.of(0.0, 0.0, 10.0, 40.0, 50.0, 30.0, 20.0, 25.0, 30.0, 20.0, 5.0, 0.0);
  }

  /** Summer grass that sleeps in winter, and rye in it; lucerne is never burnt down for it. */
  @Test
  void aCropIsSownWhereTheSwardSleepsAndEatenByThoseThatGoShort() {
    Farms farms = farm().bales("few", 4).graze("herd", null, START.plusDays(60), "near");
    farms.fields.add(Farms.stand("summer", 8, "bermudagrass", Collections.nCopies(12, 15.0), 900));
    farms.fields.add(Farms.stand("legume", 8, "alfalfa", summer(), 900));
    FarmPlan plan = farms.build();
    List<LeverOption> options = options(plan, new SowCrop());
    assertThat(options).isNotEmpty().allSatisfy(o -> keepsItsPromise(plan, o));
    for (LeverOption o : options) {
      Sowing sowing = put(o);
      SowingTable.Window window =
          ENGINE
              .catalogue()
              .crops()
              .table()
              .nearest(
                  "transition_humid",
                  ENGINE.catalogue().forage(sowing.forageId()),
                  sowing.sowOn().getDayOfYear());
      assertThat(window.open(sowing.sowOn().getDayOfYear())).isTrue();
      if (!sowing.fieldId().equals("near")) {
        assertThat(sowing.preparation()).isEqualTo(Sowing.Preparation.GRAZE_DOWN);
      }
      // seed and drill, and for a sod that is burnt down the pass: some hundred a hectare at most
      assertThat(o.cost()).isBetween(8 * 50.0, 10 * 400.0);
      assertThat(o.decideBy()).isAfterOrEqualTo(START);
    }
    LeverOption onSummer =
        options.stream()
            .filter(o -> ((Sowing) put(o)).fieldId().equals("summer"))
            .findFirst()
            .orElseThrow();
    // nobody's order of feeds grazed it: it is opened for them
    assertThat(onSummer.edits()).hasSize(2);
    // a sowing that is there already is not made twice
    FarmPlan sown = PlanEdit.all(plan, onSummer.edits());
    assertThat(new Trial(ENGINE, sown, gap(plan)).options(List.of(new SowCrop())))
        .allSatisfy(o -> assertThat(((Sowing) put(o)).fieldId()).isNotEqualTo("summer"));
  }

  /** Cows in milk in January ask for more than dry ones; from May on grass is there. */
  @Test
  void birthsAreMovedOutOfTheGapAndDecidedAPregnancyBefore() {
    Farms farms =
        new Farms()
            .field("near", 30, 25, 2000)
            .bales("hay", 60)
            .graze("cows", null, START.plusDays(75), "near")
            .graze("cows", START.plusDays(212), null, "near")
            .feed("cows", null, null);
    farms.groups.add(Farms.dams("cows", "beef/cow", 25, 550, MonthDay.of(12, 20), 0.9));
    FarmPlan plan = farms.build();
    LeverOption option = options(plan, new MoveBirths()).get(0);
    AnimalGroup moved = put(option);
    assertThat(moved.birthStart()).isEqualTo(MonthDay.of(3, 20));
    // the first calf as it stands: 20 December 2026, and 283 days before that
    assertThat(option.decideBy()).isEqualTo(LocalDate.of(2026, 3, 12));
    YearBalance after = ENGINE.simulate(ENGINE.changed(plan, option.edits()));
    assertThat(ENGINE.simulate(plan).totalBareKg() - after.totalBareKg())
        .isCloseTo(option.bringsKg(), within(1e-6));
    assertThat(option.cost()).isZero();
  }

  @Test
  void birthsAreNotMovedBeforeThePlanBegins() {
    Farms farms =
        new Farms()
            .field("near", 60, 25, 2000)
            .bales("hay", 5)
            .graze("cows", null, START.plusDays(10), "near")
            .graze("cows", START.plusDays(110), null, "near")
            .feed("cows", null, null);
    farms.groups.add(Farms.dams("cows", "beef/cow", 25, 550, MonthDay.of(9, 10), 0.9));
    FarmPlan plan = farms.build();
    List<LeverOption> options = options(plan, new MoveBirths());
    assertThat(options).isNotEmpty();
    for (LeverOption o : options) {
      AnimalGroup moved = put(o);
      assertThat(moved.birthStart()).isGreaterThan(MonthDay.of(9, 10));
    }
  }

  /** Two bulls are wanted for forty cows: only the third is sold. */
  @Test
  void malesThatAreWantedAreKept() {
    Farms farms =
        new Farms()
            .field("near", 30, 10, 2000)
            .eaters("bulls", 3, 12)
            .graze("bulls", null, START.plusDays(40), "near")
            .graze("cows", null, START.plusDays(40), "near");
    farms.groups.add(Farms.dams("cows", "beef/cow", 40, 550, MonthDay.of(3, 10), 0.9));
    FarmPlan plan = farms.build();
    AnimalGroup sold =
        options(plan, FewerMouths.sold()).stream()
            .map(o -> (AnimalGroup) put(o))
            .filter(g -> g.id().equals("bulls"))
            .findFirst()
            .orElseThrow();
    assertThat(sold.changes()).extracting(HeadChange::head).containsExactly(1);
  }

  /** Twenty of 10 kg from day 45 before the gap: each week of waiting they eat 70 kg a head. */
  @Test
  void waitingCostsWhatIsEatenMeanwhile() {
    FarmPlan plan = farm().build();
    Gap gap = gap(plan);
    LeverOption sale = options(plan, FewerMouths.sold()).get(0);
    HeadChange sold = ((AnimalGroup) put(sale)).changes().get(0);
    assertThat(Waiting.bringsKg(ENGINE, plan, gap, sale.edits(), 7))
        .isLessThanOrEqualTo(sale.bringsKg());
    AnimalGroup group = plan.farm().groups().get(0);
    List<PlanEdit> later =
        List.of(new PlanEdit.Put<>(Items.GROUPS, group.withChanges(List.of(sold.movedBy(30)))));
    double month = Waiting.bringsKg(ENGINE, plan, gap, sale.edits(), 30);
    assertThat(month).isEqualTo(new Trial(ENGINE, plan, gap).bringsKg(later));
    assertThat(month).isLessThan(sale.bringsKg());
    // hay that is bought has a day of its own; a field is not shut after the day it opens
    List<PlanEdit> hay =
        new BuyHay(Farms.bale("hay", 0), START)
            .candidates(new Trial(ENGINE, plan, gap))
            .get(0)
            .edits();
    assertThat(Waiting.bringsKg(ENGINE, plan, gap, hay, 7)).isNaN();
    List<PlanEdit> shut =
        List.of(
            new PlanEdit.Put<>(
                Items.CLOSINGS,
                new Closing("c", "near", START.plusDays(80), START.plusDays(90), List.of(), null)));
    assertThat(Waiting.bringsKg(ENGINE, plan, gap, shut, 30)).isNaN();
    // nothing to be moved but when grazing begins
    FarmPlan open = farm().field("behind", 6, 20, 2600).build();
    LeverOption standing = options(open, new OpenStanding()).get(0);
    assertThat(Waiting.bringsKg(ENGINE, open, gap(open), standing.edits(), 30))
        .isLessThan(standing.bringsKg());
  }

  /** Dry cows on good hay from mid November until it runs out, long before they calve in June. */
  private static Farms dryOnHay(String hay) {
    Farms farms =
        new Farms()
            .field("grass", 60, 40, 3000)
            .graze("cows", null, START.plusDays(75))
            .graze("cows", START.plusDays(230), null)
            .feed("cows", START.plusDays(75), START.plusDays(230));
    farms.groups.add(Farms.dams("cows", "beef/cow", 20, 600, MonthDay.of(6, 10), 0.9));
    farms.lots.add(Farms.of("hay", 60, hay));
    return farms;
  }

  /** Of 60 bales 15% are left at an open ring and 6% where they come for some hours. */
  @Test
  void goodHayIsOpenedForSomeHours() {
    FarmPlan plan = dryOnHay("hay_orchardgrass_early").build();
    LeverOption option = options(plan, new LimitHours()).get(0);
    Lot lot = (Lot) ((PlanEdit.Put<?>) option.edits().get(0)).item();
    assertThat(lot.feedingMethodId()).isEqualTo("f_limit_hours");
    assertThat(option.bringsKg()).isCloseTo(60 * lot.kgDmPerUnit() * 0.09, withinPercentage(15));
    assertThat(option.decideBy()).isEqualTo(START.plusDays(75));
  }

  @Test
  void poorHayIsNotLimitedNorWhatGrowingStockEat() {
    assertThat(options(dryOnHay("hay_native_late").build(), new LimitHours())).isEmpty();
    Farms steers = dryOnHay("hay_orchardgrass_early");
    steers.groups.set(
        0,
        new AnimalGroup(
            "cows", "cows", "beef/steer", 25, 350, 0.3, null, null, 1, 0, null, null, null, null));
    assertThat(options(steers.build(), new LimitHours())).isEmpty();
  }

  /** Ryegrass of late August alone feeds from mid October; oats with it some weeks sooner. */
  @Test
  void oatsGoInWithTheRyegrass() {
    Farms farms = new Farms();
    farms.start = LocalDate.of(2026, 7, 1);
    LocalDate august = farms.start.plusDays(55);
    farms
        .eaters("herd", 40, 10)
        .field("near", 20, 25, 2500)
        .bales("hay", 500)
        .graze("herd", null, farms.start.plusDays(100), "near")
        .graze("herd", null, null, "sod")
        .feed("herd", farms.start.plusDays(125), null);
    farms.fields.add(Farms.stand("sod", 10, "bermudagrass", Collections.nCopies(12, 8.0), 900));
    farms.sowings.add(
        new Sowing(
            "s", "sod", "annual_ryegrass", august, Sowing.Preparation.FULL_SEEDBED, null, 1, null));
    // bought, the seed would be far dearer than hay for so little; here it lies in the shed
    FarmPlan plan =
        new PlanEdit.Put<>(Items.SEEDS, new Seed("spring_oats", 1000, "")).apply(farms.build());
    LeverOption option = options(plan, new Companion()).get(0);
    Sowing oats = (Sowing) ((PlanEdit.Put<?>) option.edits().get(0)).item();
    assertThat(oats.forageId()).isEqualTo("spring_oats");
    assertThat(oats.sowOn()).isEqualTo(august);
    assertThat(oats.seedShare()).isEqualTo(0.5);
    // seed, and no second pass of plough and drill
    Bill bill =
        Bill.of(
            ENGINE.simulate(plan), ENGINE.tryOut(plan, option.edits()), ENGINE.catalogue(), false);
    assertThat(bill.lines()).hasSize(1);
    assertThat(option.decideBy()).isEqualTo(august);
    double left = ENGINE.tryOut(plan, option.edits()).totalBareKg();
    assertThat(ENGINE.simulate(plan).totalBareKg() - left)
        .isCloseTo(option.bringsKg(), within(1e-6));
    // half as much seed again in a thin stand: only that seed is bought, and it feeds sooner
    LeverOption more =
        new Trial(ENGINE, plan, gap(plan))
            .measure(
                new MoreSeed(),
                new MoreSeed().candidates(new Trial(ENGINE, plan, gap(plan))).get(0));
    Sowing thick = (Sowing) ((PlanEdit.Put<?>) more.edits().get(0)).item();
    assertThat(thick.seedShare()).isEqualTo(1.5);
    assertThat(more.inGapKg()).isPositive();
    double kg = 10 * 0.5 * ENGINE.catalogue().forage("annual_ryegrass").seedRateKgPerHa();
    Bill seed =
        Bill.of(
            ENGINE.simulate(plan), ENGINE.tryOut(plan, more.edits()), ENGINE.catalogue(), false);
    assertThat(seed.lines()).singleElement().satisfies(l -> assertThat(l.amount()).isEqualTo(kg));
    FarmPlan with = PlanEdit.all(plan, option.edits());
    assertThat(new Companion().candidates(new Trial(ENGINE, with, gap(with)))).isEmpty();
  }
}
