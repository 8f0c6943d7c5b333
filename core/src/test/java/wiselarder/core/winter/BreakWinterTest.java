package wiselarder.core.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.land.Field;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Outline.Off;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.BreakField;
import wiselarder.core.plan.BreakField.WinterCare;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Sowing;
import wiselarder.core.plan.StandsAt;
import wiselarder.core.plan.StandsAt.Stands;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FieldHeld;
import wiselarder.core.winter.BreakWinter.Break;
import wiselarder.core.winter.BreakWinter.BreakCaution;
import wiselarder.core.winter.BreakWinter.Warning;

/** A field fed off break by break, on the days on which the year grazes it. */
class BreakWinterTest {
  private static final LocalDate DECEMBER = LocalDate.of(2026, 12, 1);
  private static final LocalDate MARCH = LocalDate.of(2027, 3, 1);
  private static final WinterCare ALL = new WinterCare("Them", "The bank", "To the yard", "");

  private static Outline square(double side, Off... off) {
    return new Outline(
        List.of(new Point(0, 0), new Point(side, 0), new Point(side, side), new Point(0, side)),
        List.of(off));
  }

  /** A brook along the southern edge with a strip of so many metres. */
  private static Off brook(double bufferM) {
    return new Off(
        Outline.Kind.WATERWAY, "Brook", List.of(new Point(-10, 0), new Point(210, 0)), bufferM);
  }

  /** Five bulls at 9 kg on four hectares of stockpiled grass that grows no more. */
  private static Farms farm(Off... off) {
    Field field = Farms.fescue("piece", 4, 0, 4000).shaped("piece", "The Piece", square(200, off));
    Farms farm = new Farms().eaters("bulls", 5, 9);
    farm.fields.add(field);
    return farm;
  }

  private static FarmPlan plan(Off... off) {
    return farm(off).graze("bulls", DECEMBER, MARCH, "piece").build();
  }

  private static BreakField breaks(double towardsDeg, int daysEach, int blocks) {
    return new BreakField(
        "b", "piece", null, null, towardsDeg, null, daysEach, blocks, true, 0, List.of(), ALL);
  }

  private static BreakWinter one(FarmPlan plan, BreakField breaks) {
    return BreakWinter.of(ENGINE.simulate(plan), ENGINE.catalogue(), List.of(breaks)).get(0);
  }

  private static List<Warning> warnings(BreakWinter w) {
    return w.cautions().stream()
        .map(BreakCaution::warning)
        .filter(x -> x != Warning.NO_WATER)
        .toList();
  }

  /**
   * What 45 kg a day take of what stands over the residual is the ground of that day; the breaks of
   * two days follow each other from the north edge southwards.
   */
  @Test
  void breaksAreWhatTheYearTakesEachDay() {
    FarmPlan plan = plan();
    YearBalance year = ENGINE.simulate(plan);
    BreakWinter w = one(plan, breaks(180, 2, 1));
    assertThat(w.from()).isEqualTo(DECEMBER);
    assertThat(w.netHa()).isCloseTo(4, within(1e-9));
    Break first = w.breaks().get(0);
    int day = 91; // 1 December of a year from September
    assertThat(year.year().date(day)).isEqualTo(DECEMBER);
    double ha = year.breakHa(0, day) + year.breakHa(0, day + 1);
    assertThat(first.areaHa()).isCloseTo(ha, within(1e-9));
    assertThat(first.head()).isEqualTo(5);
    assertThat(first.kgPerHead()).isCloseTo(9, within(1e-6));
    assertThat(first.besideKgPerHead()).isCloseTo(0, within(1e-6));
    // 5 bulls x 9 kg x 2 days over what is eaten of a hectare
    assertThat(first.areaHa()).isCloseTo(90 / w.eatenKgPerHa(), within(0.02));
    // behind 200 m of width: so many metres from the northern edge
    double depth = first.areaHa() * 10_000 / 200;
    assertThat(first.wire()).hasSize(1);
    assertThat(first.wire().get(0).get(0).northM()).isCloseTo(200 - depth, within(0.06));
    assertThat(first.behind()).isEmpty();
    assertThat(w.breaks().get(1).behind()).isEqualTo(first.wire());
    assertThat(w.breaks().get(1).from()).isEqualTo(DECEMBER.plusDays(2));
    assertThat(first.toExclusive()).isEqualTo(DECEMBER.plusDays(2));
    double sum = w.breaks().stream().mapToDouble(Break::areaHa).sum();
    assertThat(sum).isCloseTo(w.eatenHa(), within(1e-9));
  }

  /** Five bulls on stalks: short of protein from the first week, and more so later. */
  @Test
  void theDietIsToldWeekByWeek() {
    LocalDate harvest = LocalDate.of(2026, 11, 20);
    Field stalks =
        new Field(
                "piece",
                "piece",
                4,
                new Stand("corn_residue", null, null, 8000.0, 1, harvest, null),
                Field.Grazing.STRIP,
                null,
                null,
                null,
                true,
                "",
                null)
            .shaped("piece", "The Piece", square(200));
    Farms farm = new Farms().eaters("bulls", 5, 9);
    farm.fields.add(stalks);
    FarmPlan plan = farm.graze("bulls", DECEMBER, MARCH, "piece").build();
    YearBalance year = ENGINE.simulate(plan);
    BreakWinter w = one(plan, breaks(180, 1, 1));
    BreakWinter.DietWeek first = w.weeks().get(0);
    assertThat(first.from()).isEqualTo(DECEMBER);
    assertThat(first.hereShare()).isCloseTo(1, within(1e-9));
    double kg = 0;
    double protein = 0;
    for (int d = 91; d < 98; d++) {
      kg += year.eatenKg(0, d);
      protein += year.dietKg(0, d, 0);
    }
    assertThat(first.proteinPct()).isCloseTo(100 * protein / kg, within(1e-9)).isBetween(5.0, 6.0);
    assertThat(w.weeks().get(w.weeks().size() - 1).proteinPct()).isLessThan(first.proteinPct());
    assertThat(first.proteinNeedPct()).isGreaterThan(first.proteinPct());
    assertThat(w.cautions())
        .contains(
            new BreakCaution(
                Warning.SHORT_OF_PROTEIN, w.weeks().size(), w.weeks().size(), "", null, null));
  }

  /** Turnips on a full seedbed where corn stood: guts learn turnips, and no stalks. */
  @Test
  void theRampIsThatOfWhatWasSownLast() {
    Field was =
        Farms.stand("piece", 4, "corn_residue", java.util.Collections.nCopies(12, 0.0), 5000)
            .shaped("piece", "The Piece", square(200));
    Farms farm = new Farms().eaters("bulls", 5, 9).bales("rounds", 90);
    farm.fields.add(was);
    farm.sowings.add(
        new Sowing(
            "s",
            "piece",
            "stubble_turnip",
            LocalDate.of(2027, 4, 10),
            Sowing.Preparation.FULL_SEEDBED,
            null,
            1,
            null));
    LocalDate july = LocalDate.of(2027, 7, 1);
    farm.graze("bulls", july, null, "piece").feed("bulls", null, null, "rounds");
    BreakField after =
        new BreakField("b", "piece", july, null, 180, null, 1, 1, false, 0, List.of(), ALL);
    BreakWinter w = one(farm.build(), after);
    assertThat(w.breaks()).isNotEmpty();
    assertThat(w.learnedAs()).isEqualTo("brassica");
  }

  /** What the passes come to is what the breaks do. */
  @Test
  void eachTimeOverTheFieldIsAddedUp() {
    Farms farm = farm();
    farm.fields.set(
        0, Farms.fescue("piece", 4, 30, 3000).shaped("piece", "The Piece", square(200)));
    BreakWinter w = one(farm.graze("bulls", null, null, "piece").build(), breaks(180, 2, 1));
    assertThat(w.passes().stream().mapToDouble(BreakWinter.Pass::areaHa).sum())
        .isCloseTo(w.eatenHa(), within(1e-9));
    assertThat(w.passes()).extracting(BreakWinter.Pass::round).startsWith(1).isSorted();
    double kg = w.passes().stream().mapToDouble(p -> p.areaHa() * p.eatenKgPerHa()).sum();
    assertThat(kg / w.eatenHa()).isCloseTo(w.eatenKgPerHa(), within(1e-6));
  }

  /** Kept grass is used by so many days after the first killing frost, 21 October in most years. */
  @Test
  void whatIsKeptTooLongIsTold() {
    double keeps = ENGINE.catalogue().forage("tall_fescue_novel").stockpileUseByDays();
    BreakWinter w = one(plan(), breaks(180, 1, 1));
    LocalDate frost = LocalDate.ofYearDay(2026, 294);
    List<BreakCaution> told =
        w.cautions().stream().filter(c -> c.warning() == Warning.AFTER_USE_BY).toList();
    assertThat(told)
        .containsExactly(
            new BreakCaution(
                Warning.AFTER_USE_BY,
                keeps + 1,
                keeps,
                "",
                frost.plusDays((long) keeps + 1),
                null));
    FarmPlan soon = farm().graze("bulls", LocalDate.of(2026, 10, 25), DECEMBER, "piece").build();
    assertThat(warnings(one(soon, breaks(180, 1, 1)))).doesNotContain(Warning.AFTER_USE_BY);
  }

  /** Said with the field or drawn: either is enough. */
  @Test
  void whereNobodySaysWhatTheyDrinkItIsTold() {
    BreakWinter dry = one(plan(), breaks(180, 1, 1));
    long days = java.time.temporal.ChronoUnit.DAYS.between(dry.from(), dry.toExclusive());
    assertThat(dry.cautions())
        .contains(new BreakCaution(Warning.NO_WATER, days, days, "", null, null));
    BreakField watered =
        new BreakField(
            "b",
            "piece",
            null,
            null,
            180,
            null,
            1,
            1,
            true,
            0,
            List.of(new StandsAt(Stands.TROUGH, new Point(100, 100))),
            ALL);
    assertThat(one(plan(), watered).cautions())
        .extracting(BreakCaution::warning)
        .doesNotContain(Warning.NO_WATER);
  }

  /** Blocks of three: each a third of the width, as deep as three strips are. */
  @Test
  void breaksSideBySide() {
    BreakWinter strips = one(plan(), breaks(180, 2, 1));
    BreakWinter blocks = one(plan(), breaks(180, 2, 3));
    assertThat(blocks.breaks()).hasSameSizeAs(strips.breaks());
    for (int i = 0; i < 3; i++) {
      assertThat(blocks.breaks().get(i).areaHa())
          .isCloseTo(strips.breaks().get(i).areaHa(), within(1e-9));
    }
    double depth = strips.breaks().stream().limit(3).mapToDouble(Break::areaHa).sum() * 50;
    List<Point> ring = blocks.breaks().get(0).rings().get(0);
    double wide =
        ring.stream().mapToDouble(Point::eastM).max().orElse(0)
            - ring.stream().mapToDouble(Point::eastM).min().orElse(0);
    assertThat(wide).isCloseTo(blocks.breaks().get(0).areaHa() * 10_000 / depth, within(0.2));
    assertThat(blocks.breaks().get(0).wire()).hasSize(2);
  }

  /**
   * Four faults and each is told: strip too narrow, from the water, births there, nothing written.
   */
  @Test
  void fourFaultsAreTold() {
    Farms farm = farm(brook(5));
    farm.groups.add(Farms.dams("cows", "beef/cow", 2, 500, MonthDay.of(1, 15), 0.9));
    FarmPlan plan =
        farm.graze("bulls", DECEMBER, MARCH, "piece")
            .graze("cows", DECEMBER, MARCH, "piece")
            .build();
    BreakField faulty =
        new BreakField("b", "piece", null, null, 0, 180.0, 2, 1, true, 0, List.of(), null);
    BreakWinter w = one(plan, faulty);
    assertThat(warnings(w))
        .contains(
            Warning.BIRTHS,
            Warning.NEAR_WATER,
            Warning.FROM_WATER,
            Warning.UPHILL,
            Warning.NOT_WRITTEN);
    BreakCaution births =
        w.cautions().stream().filter(c -> c.warning() == Warning.BIRTHS).findFirst().orElseThrow();
    assertThat(w.betterDeg()).isEqualTo(180);
    assertThat(births.groupId()).isEqualTo("cows");
    assertThat(births.on()).isEqualTo(LocalDate.of(2027, 1, 15));
    // the other way, ten metres of strip, gone before the births, and written
    FarmPlan better =
        farm(brook(10)).graze("bulls", DECEMBER, LocalDate.of(2027, 1, 10), "piece").build();
    assertThat(warnings(one(better, breaks(180, 2, 1)))).containsOnly(Warning.NOT_REACHED);
  }

  /** Two weeks on turnips, two off, and on again: the ramp begins anew, and it is told. */
  @Test
  void comingAndGoingIsTold() {
    Field crop =
        Farms.stand("piece", 4, "stubble_turnip", java.util.Collections.nCopies(12, 0.0), 4000)
            .shaped("piece", "The Piece", square(200));
    Farms farm = new Farms().eaters("bulls", 5, 9).bales("rounds", 60);
    farm.fields.add(crop);
    LocalDate again = DECEMBER.plusDays(28);
    farm.graze("bulls", DECEMBER, DECEMBER.plusDays(14), "piece")
        .graze("bulls", again, again.plusDays(14), "piece")
        .feed("bulls", DECEMBER, MARCH, "rounds");
    BreakWinter w = one(farm.build(), breaks(180, 1, 1));
    assertThat(w.learnedAs()).isEqualTo("brassica");
    assertThat(w.ramp().get(0).mostShare()).isEqualTo(0.10);
    assertThat(warnings(w)).contains(Warning.COME_AND_GO);
    Break first = w.breaks().get(0);
    assertThat(first.kgPerHead() / (first.kgPerHead() + first.besideKgPerHead()))
        .isCloseTo(0.10, within(1e-6));
    Break back = w.breaks().stream().filter(b -> b.from().equals(again)).findFirst().orElseThrow();
    assertThat(back.kgPerHead()).isCloseTo(first.kgPerHead(), within(0.05));
    BreakField once =
        new BreakField("b", "piece", null, again, 180, null, 1, 1, false, 0, List.of(), ALL);
    assertThat(warnings(one(farm.build(), once))).doesNotContain(Warning.COME_AND_GO);
  }

  /** Shut by hand for three weeks between: that is why they came off, and no order of feeds. */
  @Test
  void aHoldBetweenIsNoComingAndGoing() {
    Field crop =
        Farms.stand("piece", 4, "stubble_turnip", java.util.Collections.nCopies(12, 0.0), 4000)
            .shaped("piece", "The Piece", square(200));
    Farms farm = new Farms().eaters("bulls", 5, 9).bales("rounds", 60);
    farm.fields.add(crop);
    farm.graze("bulls", DECEMBER, MARCH, "piece").feed("bulls", DECEMBER, MARCH, "rounds");
    LocalDate shut = DECEMBER.plusDays(14);
    LocalDate open = shut.plusDays(21);
    FarmRecord held = Farms.seen(shut, new FieldHeld("piece", open, "Frost"));
    BreakWinter w =
        BreakWinter.of(
                ENGINE.knowing(Farms.written(held)).simulate(farm.build()),
                ENGINE.catalogue(),
                List.of(breaks(180, 1, 1)))
            .get(0);
    assertThat(w.cautions())
        .contains(new BreakCaution(Warning.HELD, 0, 0, "", shut, open.minusDays(1)));
    assertThat(warnings(w)).doesNotContain(Warning.COME_AND_GO);
  }

  /** Days before and behind those that are meant belong to no break. */
  @Test
  void onlyTheDaysThatAreMeant() {
    BreakField january =
        new BreakField(
            "b",
            "piece",
            LocalDate.of(2027, 1, 1),
            LocalDate.of(2027, 1, 11),
            180,
            null,
            1,
            1,
            false,
            0,
            List.of(),
            ALL);
    BreakWinter w = one(plan(), january);
    assertThat(w.breaks()).hasSize(10);
    assertThat(w.from()).isEqualTo(LocalDate.of(2027, 1, 1));
    assertThat(w.toExclusive()).isEqualTo(LocalDate.of(2027, 1, 11));
    assertThat(warnings(one(farm().build(), january))).contains(Warning.NOT_GRAZED);
  }

  /** A trough in the strip is refused, not moved quietly; on safe ground it may stand. */
  @Test
  void troughsStandOffTheWater() {
    FarmPlan plan = plan(brook(15));
    assertThat(Items.BREAKS.put(plan, with(Stands.TROUGH, 20)).plan().breaks()).hasSize(1);
    assertThat(Items.BREAKS.put(plan, with(Stands.SHELTER, 12)).plan().breaks()).hasSize(1);
    assertThatThrownBy(() -> Items.BREAKS.put(plan, with(Stands.FEEDER, 12)))
        .isInstanceOfSatisfying(
            Refused.class, r -> assertThat(r.reason()).isEqualTo(CoreReason.STANDS_AT_WATER));
  }

  private static BreakField with(Stands what, double northM) {
    return new BreakField(
        "b",
        "piece",
        null,
        null,
        180,
        null,
        1,
        1,
        false,
        0,
        List.of(new StandsAt(what, new Point(100, northM))),
        ALL);
  }

  /** Whatever the direction and the days: the ground of all breaks is what the year takes. */
  @Property(tries = 25)
  void theBreaksAreTheGroundOfTheYear(
      @ForAll @DoubleRange(min = 0, max = 359) double deg,
      @ForAll @IntRange(min = 1, max = 7) int daysEach,
      @ForAll @IntRange(min = 1, max = 4) int blocks) {
    BreakWinter w = one(plan(brook(12)), breaks(deg, daysEach, blocks));
    double sum = w.breaks().stream().mapToDouble(Break::areaHa).sum();
    assertThat(sum).isCloseTo(w.eatenHa(), within(1e-9));
    double kg =
        w.breaks().stream()
            .mapToDouble(
                b ->
                    b.kgPerHead()
                        * b.head()
                        * java.time.temporal.ChronoUnit.DAYS.between(b.from(), b.toExclusive()))
            .sum();
    assertThat(kg).isCloseTo(w.eatenKgPerHa() * w.eatenHa(), within(1.0));
    for (int i = 1; i < w.breaks().size(); i++) {
      assertThat(w.breaks().get(i).from()).isAfterOrEqualTo(w.breaks().get(i - 1).toExclusive());
    }
  }
}
