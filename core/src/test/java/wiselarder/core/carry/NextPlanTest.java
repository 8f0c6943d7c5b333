package wiselarder.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.bales.Spacing;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.herd.Keeping;
import wiselarder.core.land.Field;
import wiselarder.core.land.Outline;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.OpeningGround;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Seed;
import wiselarder.core.plan.Sowing;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.ConditionSeen;
import wiselarder.core.store.FeedWorth;
import wiselarder.core.store.Lot;

class NextPlanTest {
  private static final LocalDate CUT = LocalDate.of(2027, 5, 20);

  /** Fescue and bermudagrass with rye sown into it, bales of two kinds and of a cut, cows. */
  private static Farms farm() {
    Farms f = new Farms().bales("old", 90).bales("late", 30);
    f.field("home", 14, 24, 1900).field("meadow", 8, 26, 1700);
    f.fields.add(Farms.stand("saddle", 6, "bermudagrass", null, 1400));
    f.groups.add(Farms.dams("cows", "beef/cow", 24, 560, MonthDay.of(3, 10), 0.9));
    f.graze("cows", null, null).feed("cows", null, null, "old", "hay");
    f.sowings.add(rye("rye", "saddle", Sowing.Preparation.GRAZE_DOWN));
    f.cuts.add(new HayCut("cut", "meadow", CUT, "h_hay_conditioned_grass", Farms.bale("hay", 0)));
    f.dressings.add(new Dressing("n", "home", LocalDate.of(2027, 8, 20), 50, null));
    return f;
  }

  private static Sowing rye(String id, String field, Sowing.Preparation way) {
    LocalDate on = LocalDate.of(2026, 9, 20);
    return new Sowing(id, field, "cereal_rye", on, way, null, 1, LocalDate.of(2027, 5, 10));
  }

  private static FarmPlan begun(FarmPlan from, FarmPlan into, String... sameAnimals) {
    return PlanEdit.all(into, NextPlan.edits(ENGINE, from, into, Set.of(sameAnimals)));
  }

  private static FarmPlan next(FarmPlan from, String... sameAnimals) {
    return begun(from, ENGINE.yearsOn(from, 1), sameAnimals);
  }

  /** The same plan, of which only the days since a later one are planned. */
  private static FarmPlan since(FarmPlan plan, LocalDate start) {
    return new PlanEdit.SetYear(new PlanYear(start, 12)).apply(plan);
  }

  private static FarmPlan long24(Farms f) {
    f.months = 24;
    return f.build();
  }

  private static Field field(FarmPlan plan, String id) {
    return plan.field(id);
  }

  private static Lot lot(FarmPlan plan, String id) {
    return plan.farm().lots().stream().filter(l -> l.id().equals(id)).findFirst().orElseThrow();
  }

  private static AnimalGroup group(FarmPlan plan, String id) {
    return plan.farm().groups().stream().filter(g -> g.id().equals(id)).findFirst().orElseThrow();
  }

  /** 365 days: the fescue of the last evening and its soil, and bales that were not opened. */
  @Test
  void theNextYearBeginsAsThisOneEnds() {
    FarmPlan from = farm().build();
    YearBalance year = ENGINE.simulate(from);
    FarmPlan then = next(from);
    assertThat(then.plan().year().start()).isEqualTo(START.plusYears(1));
    Field home = field(then, "home");
    assertThat(home.stand().openingCoverKgPerHa())
        .isCloseTo(year.coverKgPerHa(0, 364), within(0.06));
    double dead = 1 - year.greenKgPerHa(0, 364) / year.coverKgPerHa(0, 364);
    assertThat(home.stand().openingDeadShare()).isCloseTo(dead, within(0.0006));
    OpeningGround ground = then.plan().ground().get(0);
    assertThat(ground.soilWaterShare())
        .isCloseTo(year.soilWaterMm(0, 364) / year.soilCapacityMm(0), within(0.0006));
    assertThat(ground.nitrogenKgPerHa()).as("of 50 kg eleven days before").isBetween(5.0, 49.0);
    assertThat(lot(then, "late").units()).as("no step names it").isEqualTo(30);
    assertThat(lot(then, "old").units()).isEqualTo(year.lotUnits(0, 364));
    YearBalance goesOn = ENGINE.simulate(then);
    assertThat(goesOn.soilWaterMm(0, 0)).isCloseTo(year.soilWaterMm(0, 364), within(6.0));
    assertThat(goesOn.coverKgPerHa(0, 0)).isCloseTo(year.coverKgPerHa(0, 364), within(150.0));
    // nothing gets younger because a plan ends
    for (int f = 0; f < 3; f++) {
      assertThat(goesOn.standingTdnPct(f, 0)).isCloseTo(year.standingTdnPct(f, 364), within(0.3));
      assertThat(goesOn.standingProteinPct(f, 0))
          .isCloseTo(year.standingProteinPct(f, 364), within(0.3));
    }
    assertThat(Math.abs(goesOn.massBalance().error())).isLessThan(1e-6);
  }

  /** Hay made in May is a lot of its own in the next plan, before that of the next May. */
  @Test
  void hayThatWasMadeIsFedBeforeTheNext() {
    FarmPlan from = farm().build();
    YearBalance year = ENGINE.simulate(from);
    int made = year.lotUnits(2, 364);
    assertThat(made).isPositive();
    FarmPlan then = next(from);
    Lot hay = lot(then, "hay-2027");
    assertThat(hay.units()).isEqualTo(made);
    assertThat(hay.origin().cutOn()).isEqualTo(CUT);
    assertThat(hay.kgDmPerUnit() * made).isCloseTo(year.lotKg(2, 364), within(25.0));
    assertThat(hay.origin().worth().from()).isEqualTo(FeedWorth.From.CUT);
    assertThat(hay.origin().worth().proteinPct()).isCloseTo(year.lotProteinPct(2), within(0.006));
    assertThat(then.plan().cuts().get(0).lot().id()).isEqualTo("hay");
    FeedStep step = then.plan().steps().get(1);
    assertThat(step.sourceIds()).containsExactly("old", "hay-2027", "hay");
    // taken over once more nothing is there twice
    assertThat(begun(from, then)).isEqualTo(then);
  }

  /** Bales of before are all fed: who ate them is given those that the plan made. */
  @Test
  void aStepWhoseBalesAreAllFedIsGivenWhatWasMade() {
    Farms f = farm();
    f.lots.set(0, Farms.bale("old", 3));
    f.steps.set(1, new FeedStep("s1", "cows", FeedStep.Kind.STORE, List.of("old"), null, null));
    FarmPlan then = next(f.build());
    assertThat(lot(then, "old").units()).isZero();
    assertThat(then.plan().steps().get(1).sourceIds()).containsExactly("hay-2027");
  }

  /** What is bought comes over with its price, and is bought again next year. */
  @Test
  void whatWasBoughtAndNotFedComesOver() {
    Farms f = farm();
    Lot bought = Farms.bale("straw", 20);
    f.purchases.add(new Purchase("b", LocalDate.of(2027, 2, 1), bought, List.of()));
    FarmPlan then = next(f.build());
    assertThat(lot(then, "straw-2027").units()).isEqualTo(20);
    assertThat(lot(then, "straw-2027").pricePerTonneAsFed()).isEqualTo(100.0);
    assertThat(then.plan().purchases().get(0).date()).isEqualTo(LocalDate.of(2028, 2, 1));
  }

  /**
   * A winter crop that stands at midwinter goes on as if no plan had ended; but that cows which
   * stood on one field or on hay that evening may begin on another.
   */
  @Test
  void aCropThatStandsGoesOnGrowing() {
    FarmPlan from = long24(farm());
    LocalDate midwinter = LocalDate.of(2027, 1, 1);
    FarmPlan then = begun(from, since(from, midwinter));
    Sowing carried =
        then.plan().sowings().stream().filter(s -> s.standing() != null).findFirst().orElseThrow();
    YearBalance whole = ENGINE.simulate(from);
    int day = from.plan().year().day(midwinter);
    assertThat(carried.id()).isEqualTo("rye-2026");
    assertThat(carried.standing().coverKgPerHa())
        .isCloseTo(whole.sownCoverKgPerHa(0, day - 1), within(0.06));
    YearBalance part = ENGINE.simulate(then);
    int rye = then.plan().sowings().indexOf(carried);
    for (int d : new int[] {0, 30, 60, 90, 110}) {
      assertThat(part.sownCoverKgPerHa(rye, d))
          .as("day %s", d)
          .isCloseTo(whole.sownCoverKgPerHa(0, day + d), within(200.0));
    }
    assertThat(part.sowing(rye).headedDay())
        .isCloseTo(whole.sowing(0).headedDay() - day, within(10));
    assertThat(part.sowing(rye).endedDay()).isCloseTo(whole.sowing(0).endedDay() - day, within(3));
    for (int month = 1; month <= 12; month++) {
      int at = 30 * month;
      assertThat(part.standingKg(at))
          .as("month %s", month)
          .isCloseTo(whole.standingKg(day + at), within(0.1 * whole.standingKg(day + at)));
    }
  }

  /** Nobody has to say what heat it has had: a normal autumn and winter stand for it. */
  @Test
  void aCropStatedByHandHeadsWhenSuchCropsDo() {
    Farms f = farm();
    f.start = LocalDate.of(2027, 1, 1);
    Sowing sown = rye("rye", "saddle", Sowing.Preparation.GRAZE_DOWN);
    f.sowings.set(
        0,
        new Sowing(
            sown.id(),
            sown.fieldId(),
            sown.forageId(),
            sown.sowOn(),
            sown.preparation(),
            null,
            1,
            sown.endsOn(),
            null,
            new Sowing.Standing(900, 0, true, null)));
    YearBalance year = ENGINE.simulate(f.build());
    assertThat(year.sownCoverKgPerHa(0, 0)).isBetween(700.0, 960.0);
    assertThat(year.year().date(year.sowing(0).headedDay()))
        .isBetween(LocalDate.of(2027, 4, 5), LocalDate.of(2027, 5, 9));
    assertThat(year.year().date(year.sowing(0).endedDay())).isEqualTo(LocalDate.of(2027, 5, 10));
    // no seed is bought for what was sown in another plan
    assertThat(Math.abs(year.massBalance().error())).isLessThan(1e-6);
  }

  /** Ploughed ground is bare in the next plan too, and stays so until somebody says otherwise. */
  @Test
  void whatWasPloughedInIsGone() {
    Farms f = farm();
    f.sowings.set(0, rye("rye", "saddle", Sowing.Preparation.FULL_SEEDBED));
    FarmPlan then = next(f.build());
    assertThat(field(then, "saddle").stand().toExclusive()).isEqualTo(START.plusYears(1));
    FarmPlan fallow =
        new FarmPlan(then.farm(), then.plan().withAnchors(List.of()).withSowings(List.of()));
    YearBalance year = ENGINE.simulate(fallow);
    assertThat(year.coverKgPerHa(2, 300)).isZero();
  }

  @Test
  void cowsComeInTheirConditionAndGrowingOnesAsTheirKeeperSays() {
    Farms f = farm();
    Keeping energy = new Keeping(true, Keeping.Shelter.OPEN, 10, 0, 0, null, false, 0);
    HeadChange culled =
        new HeadChange(LocalDate.of(2027, 7, 1), null, HeadChange.Kind.CULLED, 4, null, null, "");
    HeadChange away =
        new HeadChange(
            LocalDate.of(2027, 8, 1),
            LocalDate.of(2027, 10, 1),
            HeadChange.Kind.AWAY,
            6,
            null,
            null,
            "");
    f.groups.set(0, Farms.kept(f.groups.get(0), energy, List.of(culled, away)));
    f.groups.add(
        new AnimalGroup(
            "heifers",
            "heifers",
            "beef/replacement_heifer",
            5,
            240,
            0.5,
            null,
            null,
            1,
            0,
            null,
            null,
            null,
            null));
    f.graze("heifers", null, null).feed("heifers", null, null);
    FarmPlan from = f.build();
    assertThat(NextPlan.growing(from)).extracting(AnimalGroup::id).containsExactly("heifers");
    FarmPlan then = next(from);
    AnimalGroup cows = group(then, "cows");
    assertThat(cows.head()).as("24 less 4 culled; 6 are away and come back").isEqualTo(20);
    assertThat(cows.keeping().conditionAtStart()).isBetween(3.0, 7.0);
    assertThat(cows.changes().get(0).date()).isEqualTo(LocalDate.of(2028, 7, 1));
    assertThat(group(then, "heifers").weightKg()).as("a new year's").isEqualTo(240);
    // 240 and 364 days of 0.5
    assertThat(group(next(from, "heifers"), "heifers").weightKg()).isEqualTo(422);
  }

  /** A condition that is stated stands above one that was seen before the plan. */
  @Test
  void theConditionOfTheFirstDayIsWhereTheYearBegins() {
    Farms f = farm();
    Keeping thin = new Keeping(true, Keeping.Shelter.OPEN, 10, 0, 0, null, false, 0).from(4.0);
    f.groups.set(0, Farms.kept(f.groups.get(0), thin, List.of()));
    ConditionSeen fat = new ConditionSeen("cows", 7, null);
    var seen = Farms.written(Farms.seen(START.minusDays(20), fat));
    var year = ENGINE.knowing(seen).simulate(f.build());
    assertThat(wiselarder.core.diet.DietYear.of(year, 0).score(0)).isCloseTo(4, within(0.05));
  }

  @Test
  void seedThatIsLeftInTheShedComesOver() {
    FarmPlan bare = farm().build();
    Farm farm = bare.farm().withSeeds(List.of(new Seed("cereal_rye", 1000, "bin")));
    FarmPlan from = new FarmPlan(farm, bare.plan());
    double rate = ENGINE.catalogue().forage("cereal_rye").seedRateKgPerHa();
    assertThat(next(from).farm().seeds().get(0).kg()).isCloseTo(1000 - 6 * rate, within(0.06));
    Farm little = bare.farm().withSeeds(List.of(new Seed("cereal_rye", 50, "bin")));
    assertThat(next(new FarmPlan(little, bare.plan())).farm().seeds()).isEmpty();
  }

  @Test
  void aPlanThatDoesNotComeToTheDayIsRefused() {
    FarmPlan from = farm().build();
    FarmPlan far = ENGINE.yearsOn(from, 2);
    assertThatThrownBy(() -> NextPlan.edits(ENGINE, from, far, Set.of()))
        .isInstanceOf(Refused.class);
    assertThat(NextPlan.reaches(from, START)).as("nothing happened yet").isFalse();
    assertThat(NextPlan.reaches(from, START.plusDays(365))).isTrue();
    assertThat(NextPlan.reaches(from, START.plusDays(366))).isFalse();
  }

  /** Whatever the day: what one plan has on its evening the other has on its morning. */
  @Property(tries = 12)
  void nothingIsLostOrMadeBetweenTwoPlans(@ForAll @IntRange(min = 20, max = 365) int day) {
    FarmPlan from = long24(farm());
    YearBalance whole = ENGINE.simulate(from);
    FarmPlan then = begun(from, since(from, START.plusDays(day)));
    double standing = 0;
    for (Field f : then.farm().fields()) {
      boolean gone = f.stand().toExclusive() != null;
      standing += gone ? 0 : f.stand().openingCoverKgPerHa() * f.netAreaHa();
    }
    for (Sowing s : then.plan().sowings()) {
      double ha = field(then, s.fieldId()).netAreaHa();
      standing += s.standing() == null ? 0 : s.standing().coverKgPerHa() * ha;
    }
    assertThat(standing).isCloseTo(whole.standingKg(day - 1), within(10.0));
    int units = then.farm().lots().stream().mapToInt(Lot::units).sum();
    int before = 0;
    for (int l = 0; l < whole.lotNames().size(); l++) {
      before += whole.lotUnits(l, day - 1);
    }
    assertThat(units)
        .as("an opened one of which little is left does not count")
        .isBetween(before - 2, before);
    assertThat(then.plan().ground()).hasSize(3);
  }

  /** The same day of every later year is the same to a plan, farm and all. */
  @Property(tries = 8)
  void aPlanYearsOnIsThatPlan(@ForAll @IntRange(min = 1, max = 5) int years) {
    Farms f = farm();
    f.groups.add(
        new AnimalGroup(
            "steers",
            "steers",
            "beef/steer",
            12,
            260,
            0.6,
            null,
            null,
            1,
            0,
            null,
            null,
            LocalDate.of(2026, 10, 6),
            LocalDate.of(2027, 3, 20)));
    f.graze("steers", null, null).feed("steers", null, null);
    FarmPlan from = f.build();
    double is = ENGINE.simulate(from).needKg(1, 60);
    FarmPlan then = ENGINE.yearsOn(from, years);
    assertThat(is).isPositive();
    // a leap day may lie between
    assertThat(ENGINE.simulate(then).needKg(1, 60)).isCloseTo(is, within(0.01 * is));
    assertThat(ENGINE.yearsOn(then, -years)).isEqualTo(from);
  }

  /** Where bales were eaten this winter is left alone in the next one; what stock left is there. */
  @Test
  void whereBalesWereEatenIsRemembered() {
    Farms f = farm();
    List<Outline.Point> edge =
        List.of(
            new Outline.Point(0, 0),
            new Outline.Point(350, 0),
            new Outline.Point(350, 400),
            new Outline.Point(0, 400));
    f.fields.set(
        0, f.fields.get(0).shaped("home", "home", new Outline(edge, List.of(), List.of())));
    FarmPlan bare = f.build();
    BaleField set =
        new BaleField(
            "b", "home", "old", 24, 4, List.of(), new Spacing(10, 20, 0, 0, 0), 10, 0, false, null);
    FarmPlan from = Items.BALES.put(bare, set);
    FarmPlan then = next(from);
    Outline.Pads pads = field(then, "home").outline().pads().get(0);
    assertThat(pads.at()).hasSize(24);
    assertThat(pads.eatenUp()).isBetween(START, START.plusDays(300));
    assertThat(then.plan().bales()).hasSize(1);
    // taken over once more they are there once
    assertThat(field(begun(from, then), "home").outline().pads()).hasSize(1);
  }

  @Test
  void groundGoesWithItsField() {
    FarmPlan then = next(farm().build());
    assertThat(Items.FIELDS.remove(then, "home").plan().ground()).hasSize(2);
  }
}
