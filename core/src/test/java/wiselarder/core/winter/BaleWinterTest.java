package wiselarder.core.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.HaySum;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.bales.Spacing;
import wiselarder.core.land.Field;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Outline.Off;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Portion;
import wiselarder.core.plan.StandsAt;
import wiselarder.core.quantity.Refused;
import wiselarder.core.winter.BaleWinter.Warning;

/** Bales set out on a field, and the days on which the year opens them. */
class BaleWinterTest {
  private static final LocalDate NOVEMBER = LocalDate.of(2026, 11, 1);

  private static Outline square(double side, Off... off) {
    return new Outline(
        List.of(new Point(0, 0), new Point(side, 0), new Point(side, side), new Point(0, side)),
        List.of(off));
  }

  /** Twenty bulls at 9 kg: 180 kg a day, from November to the end of February from one lot. */
  private static FarmPlan plan(int units, int bulls, Off... off) {
    Field field = Farms.fescue("home", 1, 0, 0).shaped("home", "Home", square(100, off));
    Farms farm = new Farms().eaters("bulls", bulls, 9).bales("rounds", units);
    farm.fields.add(field);
    return farm.feed("bulls", NOVEMBER, LocalDate.of(2027, 3, 1), "rounds").build();
  }

  /** Nine bales ten metres apart in each of five rows. */
  private static BaleField bales(String id, int bales, int atOnce, Integer... counts) {
    return new BaleField(
        id,
        "home",
        "rounds",
        bales,
        atOnce,
        List.of(counts),
        new Spacing(10, 20, 0, 0, 0),
        10,
        0,
        false,
        null);
  }

  private static BaleWinter one(FarmPlan plan, BaleField bales) {
    return BaleWinter.of(ENGINE.simulate(plan), ENGINE.catalogue(), List.of(bales)).get(0);
  }

  /**
   * What is told besides water, and the way of feeding, which is that of open rings in these plans.
   */
  private static List<BaleWinter.BaleCaution> told(BaleWinter winter) {
    return winter.cautions().stream()
        .filter(c -> c.warning() != Warning.LOSS_OTHERWISE && c.warning() != Warning.NO_WATER)
        .toList();
  }

  /**
   * Four bales last twenty bulls for seven days: of bales that lie open so long 28% are lost by the
   * table, in an open ring 15%. Fed as they lie, only that so much is lost is told.
   */
  @Test
  void aLossThatIsNotThatOfBalesWhichLieSoLongIsTold() {
    FarmPlan plan = plan(100, 20);
    BaleWinter ring = one(plan, bales("b", 12, 4));
    assertThat(ring.cautions())
        .contains(new BaleWinter.BaleCaution(Warning.LOSS_OTHERWISE, 0.28, 0.15));
    assertThat(ring.fittingMethodId()).isEqualTo("f_bale_graze_7d");
    FarmPlan lies = Items.LOTS.put(plan, plan.farm().lots().get(0).fedBy(ring.fittingMethodId()));
    BaleWinter open = one(lies, bales("b", 12, 4));
    assertThat(open.cautions())
        .extracting(BaleWinter.BaleCaution::warning)
        .containsExactly(Warning.MUCH_LOST, Warning.NO_WATER);
    assertThat(open.lostShare()).isBetween(0.27, 0.29);
    // opened one at a time they lie for a day
    assertThat(one(lies, bales("b", 12, 1)).fittingMethodId()).isEqualTo("f_bale_graze_1d");
    assertThat(one(plan(100, 10), bales("b", 12, 1)).fittingMethodId())
        .isEqualTo("f_bale_graze_3_4d");
  }

  /**
   * A bale holds 360 kg; what of it ends in the bulls feeds them for that by 180 kg. Four of them
   * are opened on the first day, the next four when the first are eaten up.
   */
  @Test
  void sectionsAreOpenedAsTheYearOpensBales() {
    FarmPlan plan = plan(100, 20);
    YearBalance year = ENGINE.simulate(plan);
    BaleWinter winter = one(plan, bales("b", 12, 4));
    assertThat(winter.fits()).isEqualTo(45);
    assertThat(winter.laid()).isEqualTo(12);
    assertThat(winter.opened()).isEqualTo(12);
    assertThat(winter.sections()).hasSize(3);
    assertThat(winter.sections().get(0).from()).isEqualTo(NOVEMBER);
    assertThat(winter.from()).isEqualTo(NOVEMBER);
    double usable = HaySum.usableKg(year, 0, 0, 61);
    assertThat(usable).isBetween(250.0, 345.0);
    int second = (int) Math.floor(4 * usable / 180);
    assertThat(winter.sections().get(1).from()).isEqualTo(NOVEMBER.plusDays(second));
    assertThat(winter.sections().get(0).toExclusive()).isEqualTo(NOVEMBER.plusDays(second));
    int end = (int) Math.floor(12 * usable / 180);
    assertThat(winter.toExclusive()).isBetween(day(end - 1), day(end + 1));
    // twelve bales at ten by twenty metres; twenty head for so many days on that
    assertThat(winter.usedHa()).isCloseTo(0.24, within(1e-9));
    assertThat(winter.headDaysPerHa())
        .isCloseTo(20 * days(NOVEMBER, winter.toExclusive()) / 0.24, within(1e-6));
    assertThat(winter.lostShare()).isBetween(0.04, 0.3);
    assertThat(told(winter)).isEmpty();
  }

  /** On each day that they are there, until a trough is drawn or the field says that it has one. */
  @Test
  void whereNobodySaysWhatTheyDrinkItIsTold() {
    FarmPlan plan = plan(100, 20);
    BaleWinter dry = one(plan, bales("b", 12, 9));
    long days = days(dry.from(), dry.toExclusive());
    assertThat(dry.cautions()).contains(new BaleWinter.BaleCaution(Warning.NO_WATER, days, days));
    StandsAt trough = new StandsAt(StandsAt.Stands.TROUGH, new Point(70, 50));
    assertThat(one(plan, with(bales("b", 12, 9), trough)).cautions())
        .extracting(BaleWinter.BaleCaution::warning)
        .doesNotContain(Warning.NO_WATER);
  }

  /** Bales in rows along the west side, and a trough 60 m east of the first section's middle. */
  @Test
  void theWayToWaterIsThatOfTheSection() {
    BaleField dry = bales("b", 12, 9);
    assertThat(one(plan(100, 20), dry).sections().get(0).toTroughM()).isNull();
    // nine bales from 10 to 90 m north, ten metres from the west fence
    Point trough = new Point(70, 50);
    BaleField watered = with(dry, new StandsAt(StandsAt.Stands.TROUGH, trough));
    BaleWinter winter = one(plan(100, 20), watered);
    assertThat(winter.sections().get(0).toTroughM()).isCloseTo(60, within(1e-6));
    assertThat(winter.sections().get(1).toTroughM()).isLessThan(60);
    Off pond =
        new Off(
            Outline.Kind.POND,
            "Pond",
            List.of(new Point(60, 40), new Point(80, 40), new Point(70, 45)),
            6);
    assertThat(Items.BALES.put(plan(100, 20), watered).plan().bales()).hasSize(1);
    assertThatThrownBy(() -> Items.BALES.put(plan(100, 20, pond), watered))
        .isInstanceOfSatisfying(
            Refused.class, r -> assertThat(r.field()).isEqualTo("bales.places"));
  }

  private static BaleField with(BaleField b, StandsAt place) {
    return new BaleField(
        b.id(),
        b.fieldId(),
        b.lotId(),
        b.bales(),
        b.atOnce(),
        b.counts(),
        b.spacing(),
        b.edgeM(),
        b.waterM(),
        b.fromLast(),
        b.mostHeadDaysPerHa(),
        List.of(place),
        b.padWinters(),
        b.onEnd(),
        b.stringsOnDay(),
        b.asMade(),
        b.mixed());
  }

  private static LocalDate day(int n) {
    return NOVEMBER.plusDays(n);
  }

  private static long days(LocalDate from, LocalDate to) {
    return java.time.temporal.ChronoUnit.DAYS.between(from, to);
  }

  /** Fed in November and again from February on: what is open in between feeds nobody. */
  @Test
  void aPauseIsNoPartOfASection() {
    FarmPlan plan = plan(100, 20);
    Farms farm = new Farms().eaters("bulls", 20, 9).bales("rounds", 100);
    farm.fields.addAll(plan.farm().fields());
    farm.feed("bulls", NOVEMBER, LocalDate.of(2026, 12, 1), "rounds");
    farm.feed("bulls", LocalDate.of(2027, 2, 1), LocalDate.of(2027, 3, 1), "rounds");
    BaleWinter winter = one(farm.build(), bales("b", 30, 1));
    assertThat(winter.sections())
        .filteredOn(s -> s.from() != null)
        .allMatch(s -> days(s.from(), s.toExclusive()) <= 3);
  }

  /** Bales of a second field of the same lot come after those of the first. */
  @Test
  void theNextFieldGoesOnWhereTheFirstEnds() {
    FarmPlan plan = plan(100, 20);
    List<BaleWinter> both =
        BaleWinter.of(
            ENGINE.simulate(plan),
            ENGINE.catalogue(),
            List.of(bales("a", 10, 5), bales("b", 10, 5)));
    assertThat(both.get(1).from()).isEqualTo(both.get(0).toExclusive());
  }

  /** Common hay of 9.5% protein holds 15.2 kg N a tonne; none is made, some goes into the air. */
  @Test
  void nutrientsAreThoseOfWhatIsOpened() {
    FarmPlan plan = plan(100, 20);
    YearBalance year = ENGINE.simulate(plan);
    BaleWinter winter = one(plan, bales("b", 16, 4));
    double keptPerDay = year.resolved().lots[0].keptPerDay;
    double kg = 0;
    for (int d = 0, n = 0; d < year.days(); d++) {
      for (int u = year.lotOpened(0, d); u > 0 && n < 16; u--, n++) {
        kg += 360 * Math.pow(keptPerDay, d);
      }
    }
    assertThat(winter.broughtKgPerHa().nKg()).isCloseTo(kg * 9.5 / 625 / 0.32, within(1e-6));
    assertThat(winter.broughtKgPerHa().kKg()).isCloseTo(kg * 0.02 / 0.32, within(1e-6));
    assertThat(winter.leftKgPerHa().high().nKg()).isLessThan(winter.broughtKgPerHa().nKg());
    assertThat(winter.leftKgPerHa().low().nKg()).isLessThan(winter.leftKgPerHa().high().nKg());
    assertThat(winter.leftKgPerHa().high().pKg())
        .isBetween(0.9 * winter.broughtKgPerHa().pKg(), winter.broughtKgPerHa().pKg() + 1e-9);
  }

  /**
   * What the bulls leave over bales is found by the grass of the next spring, where nobody grazes
   * and the stand shades itself: a few hundred kilograms more. Before growth begins nothing is any
   * different.
   */
  @Test
  void whatTheyLeaveGrowsTheNextGrass() {
    List<Double> summer = List.of(0., 0., 0., 30., 50., 40., 30., 30., 20., 10., 0., 0.);
    Field grows = Farms.stand("home", 1, "tall_fescue_novel", summer, 1500);
    FarmPlan without = Items.FIELDS.put(plan(100, 20), grows.shaped("home", "Home", square(100)));
    FarmPlan with = Items.BALES.put(without, bales("b", 60, 4));
    YearBalance before = ENGINE.simulate(without);
    YearBalance after = ENGINE.simulate(with);
    int march = (int) days(START, LocalDate.of(2027, 3, 1));
    double winter = 0;
    double spring = 0;
    for (int d = 0; d < before.days(); d++) {
      double more = after.grownKg(0, d) - before.grownKg(0, d);
      winter += d < march ? more : 0;
      spring += d < march ? 0 : more;
    }
    // 45 have room at 200 m2 each
    double soon = one(with, bales("b", 60, 4)).leftKgPerHa().soonNKg() * 0.9;
    assertThat(winter).isZero();
    // no more than twenty kilograms of grass for each of nitrogen
    assertThat(spring).isBetween(300.0, 20 * soon);
    // what was laid otherwise changes nothing of it, and runs from a kept state come to the same
    assertThat(ENGINE.simulate(Items.BALES.put(without, bales("b", 60, 9))).grownSoFarKg(364))
        .isEqualTo(after.grownSoFarKg(364));
  }

  /** Pads of last winter are left alone for two years, and not those of this very winter. */
  @Test
  void oldPadsAreLeftAloneForSomeYears() {
    List<Point> at = List.of(new Point(50, 50), new Point(72, 61));
    Outline.Pads last = new Outline.Pads(LocalDate.of(2026, 3, 1), at);
    Outline.Pads before = new Outline.Pads(LocalDate.of(2024, 3, 1), List.of(new Point(10, 10)));
    Outline.Pads now = new Outline.Pads(LocalDate.of(2027, 1, 10), List.of(new Point(90, 90)));
    Outline bare = square(100);
    FarmPlan plan = plan(100, 20);
    Outline padded = new Outline(bare.edge(), bare.off(), List.of(before, last, now));
    FarmPlan kept =
        Items.FIELDS.put(plan, plan.farm().fields().get(0).shaped("home", "Home", padded));
    BaleWinter winter = one(kept, bales("b", 60, 4));
    assertThat(winter.pads()).isEqualTo(at);
    // two of those at 10 by 20 m stood within five metres of them
    assertThat(one(plan, bales("b", 60, 4)).fits()).isEqualTo(45);
    assertThat(winter.fits()).isEqualTo(43);
    assertThat(winter.netHa()).isLessThan(0.64);
    // the field has as much grass as before
    assertThat(kept.farm().fields().get(0).netAreaHa())
        .isEqualTo(plan.farm().fields().get(0).netAreaHa());
  }

  /** One bale of straw to four of hay, all of 360 kg; the bulls eat a fifth of straw. */
  private static FarmPlan mixedPlan(double strawShare) {
    Farms farm = new Farms().eaters("bulls", 20, 9).bales("rounds", 100).bales("straw", 40);
    farm.fields.addAll(plan(1, 1).farm().fields());
    farm.lots.set(1, Farms.of("straw", 40, "straw_oat"));
    farm.steps.add(
        new FeedStep(
            "straw",
            "bulls",
            FeedStep.Kind.STORE,
            List.of("straw"),
            NOVEMBER,
            LocalDate.of(2027, 3, 1),
            Portion.atMost(strawShare),
            null));
    return farm.feed("bulls", NOVEMBER, LocalDate.of(2027, 3, 1), "rounds").build();
  }

  @Test
  void everyFifthBaleIsStraw() {
    FarmPlan plan = mixedPlan(0.2);
    BaleField mixed = bales("b", 20, 5).mixed(new BaleField.Mixed("straw", 5));
    BaleWinter winter = one(plan, mixed);
    assertThat(winter.laid()).isEqualTo(20);
    // the fifth of each five
    assertThat(winter.sections()).allMatch(s -> s.others().equals(List.of(4)));
    // four of hay are usable for so many days beside a fifth of straw
    YearBalance year = ENGINE.simulate(plan);
    double usable = HaySum.usableKg(year, 0, 0, 61);
    double days = 4 * usable / (0.8 * 180);
    assertThat(days(NOVEMBER, winter.sections().get(1).from()))
        .isBetween((long) days, (long) days + 1);
    BaleWinter.Mixture mixture = winter.mixture();
    double straw = year.resolved().lots[1].kgPerUnit;
    double hay = year.resolved().lots[0].kgPerUnit;
    double share = straw / (straw + 4 * hay);
    assertThat(mixture.otherShare()).isCloseTo(share, within(1e-9));
    double strawProtein = year.resolved().lots[1].worth[0];
    assertThat(mixture.mixed().proteinPct())
        .isCloseTo(9.5 * (1 - share) + strawProtein * share, within(1e-9));
    assertThat(mixture.mixed().tdnPct()).isLessThan(mixture.alone().tdnPct());
    assertThat(mixture.groupIds()).containsExactly("bulls");
    assertThat(told(winter)).isEmpty();
    // what is brought has the straw in it
    double brought = winter.broughtKgPerHa().nKg() * winter.usedHa();
    BaleWinter alone = one(plan, bales("b", 16, 4));
    assertThat(brought).isGreaterThan(alone.broughtKgPerHa().nKg() * alone.usedHa());
    assertThat(winter.headDaysPerHa() * winter.usedHa())
        .isCloseTo(20.0 * days(winter.from(), winter.toExclusive()), within(1e-6));
  }

  /** Straw lies among the hay, and the order of feeds gives none of it. */
  @Test
  void aLineThatIsMixedOtherwiseThanItIsFedIsTold() {
    BaleField mixed = bales("b", 45, 5).mixed(new BaleField.Mixed("straw", 3));
    BaleWinter winter = one(mixedPlan(0.05), mixed);
    assertThat(told(winter))
        .extracting(BaleWinter.BaleCaution::warning)
        .containsExactly(Warning.MIXED_OTHERWISE);
    FarmPlan with = Items.BALES.put(mixedPlan(0.2), mixed);
    assertThat(Items.LOTS.remove(with, "straw").plan().bales().get(0).mixed()).isNull();
    assertThatThrownBy(() -> mixed.mixed(new BaleField.Mixed("rounds", 3)))
        .isInstanceOf(Refused.class);
  }

  /** Four bales lie for as long as twenty bulls at 9 kg eat of them. */
  @Test
  void daysOfferedAreThoseOfTheAppetite() {
    FarmPlan plan = plan(100, 20);
    double usable = HaySum.usableKg(ENGINE.simulate(plan), 0, 0, 61);
    BaleWinter winter = one(plan, bales("b", 12, 4));
    assertThat(winter.sections().get(0).offeredDays()).isCloseTo(4 * usable / 180, within(0.05));
    BaleWinter closed =
        one(new FarmPlan(plan.farm(), plan.plan().withSteps(List.of())), bales("b", 12, 4));
    assertThat(closed.sections().get(0).offeredDays()).isNull();
  }

  @Test
  void whatIsWrongWithItIsTold() {
    FarmPlan plan = plan(100, 20);
    BaleWinter tooMany = one(plan, bales("b", 60, 4));
    assertThat(tooMany.laid()).isEqualTo(45);
    assertThat(tooMany.askedHa()).isCloseTo(60 * 200 / 10_000.0, within(1e-9));
    assertThat(told(tooMany)).contains(new BaleWinter.BaleCaution(Warning.TOO_MANY, 15, 45));
    FarmPlan nobody = new FarmPlan(plan.farm(), plan.plan().withSteps(List.of()));
    BaleWinter closed = one(nobody, bales("b", 12, 4));
    assertThat(closed.from()).isNull();
    assertThat(closed.opened()).isZero();
    assertThat(closed.sections()).hasSize(3).allMatch(s -> s.from() == null);
    assertThat(told(closed)).extracting(c -> c.warning()).containsExactly(Warning.NOT_FED);
    BaleWinter longer = one(plan(100, 3), bales("b", 45, 4));
    assertThat(told(longer)).extracting(c -> c.warning()).containsExactly(Warning.STAY_CLOSED);
  }

  /** A brook with five metres drawn on flat ground, where ten are asked for. */
  @Test
  void aStripBelowTheRuleIsTold() {
    Off brook =
        new Off(Outline.Kind.WATERWAY, "Brook", List.of(new Point(0, 0), new Point(100, 0)), 5);
    assertThat(told(one(plan(100, 20, brook), bales("b", 12, 4))))
        .containsExactly(new BaleWinter.BaleCaution(Warning.NEAR_WATER, 5, 10));
  }

  @Test
  void aFieldThatIsNotDrawnHasNoPlaces() {
    FarmPlan plan = plan(100, 20);
    FarmPlan bare = Items.FIELDS.put(plan, Farms.fescue("home", 1, 0, 0));
    assertThatThrownBy(() -> one(bare, bales("b", 12, 4))).isInstanceOf(Refused.class);
  }

  /** Bales go with their field and with their lot; those that nobody has are refused. */
  @Test
  void balesGoWithTheirFieldAndLot() {
    FarmPlan plan = Items.BALES.put(plan(100, 20), bales("b", 12, 4));
    assertThat(Items.FIELDS.remove(plan, "home").plan().bales()).isEmpty();
    assertThat(Items.LOTS.remove(plan, "rounds").plan().bales()).isEmpty();
    assertThatThrownBy(() -> Items.BALES.put(Items.LOTS.remove(plan, "rounds"), bales("b", 12, 4)))
        .isInstanceOf(Refused.class);
  }

  /** Of each section as many bales are opened while it is fed as stand in it. */
  @Property(tries = 25)
  void sectionsHoldWhatTheYearOpens(
      @ForAll @IntRange(min = 1, max = 45) int bales,
      @ForAll @IntRange(min = 1, max = 9) int atOnce,
      @ForAll @IntRange(min = 1, max = 9) int first,
      @ForAll @IntRange(min = 5, max = 60) int bulls) {
    FarmPlan plan = plan(100, bulls);
    YearBalance year = ENGINE.simulate(plan);
    BaleWinter winter = one(plan, bales("b", bales, atOnce, first));
    assertThat(winter.sections().stream().mapToInt(s -> s.spots().size()).sum()).isEqualTo(bales);
    int opened = 0;
    for (BaleWinter.BaleSection s : winter.sections()) {
      if (s.from() == null) {
        continue;
      }
      assertThat(s.toExclusive()).isAfterOrEqualTo(s.from());
      opened += s.spots().size();
      int before = 0;
      for (int d = 0; d < days(START, s.toExclusive()); d++) {
        before += year.lotOpened(0, d);
      }
      // on the day on which the next are opened the last of these may still be begun
      assertThat(before).isBetween(Math.min(opened, winter.opened()) - bulls, opened + bulls);
    }
    assertThat(winter.opened()).isLessThanOrEqualTo(bales);
  }
}
