package wiselarder.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.land.Field;
import wiselarder.core.land.Heights;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Portion;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.resolved.ResolvedPlan;

/** A field in rotation is several pieces: stay, rest, return. */
class RotationTest {
  private static final LocalDate JANUARY = LocalDate.of(2027, 1, 1);

  private static Field field(String id, double ha, Field.Grazing way, Integer paddocks) {
    return field(id, "tall_fescue_novel", ha, way, paddocks);
  }

  private static Field field(
      String id, String forage, double ha, Field.Grazing way, Integer paddocks) {
    return new Field(
            id,
            id,
            ha,
            new Stand(forage, null, null, null, 0.1, null, null),
            way,
            null,
            null,
            null,
            true,
            "",
            null)
        .grazedBy(paddocks, null);
  }

  private static Farms herd(int head, Field... fields) {
    Farms farm = new Farms().eaters("h", head, 12);
    farm.start = JANUARY;
    farm.fields.addAll(Arrays.asList(fields));
    return farm;
  }

  private static int bareDays(YearBalance b) {
    int days = 0;
    for (int d = 0; d < b.days(); d++) {
      days += b.bareKg(d) > 0.01 * b.needKg(d) ? 1 : 0;
    }
    return days;
  }

  private static double grazedKg(YearBalance b) {
    double kg = 0;
    for (int d = 0; d < b.days(); d++) {
      kg += b.eatenKg(Shelf.GROWING, d) + b.eatenKg(Shelf.STANDING, d);
    }
    return kg;
  }

  /** What a beginner enters first: one big field. It is grazed as ten small ones would be. */
  @ParameterizedTest
  @CsvSource({"55", "80", "100"})
  void oneBigFieldFeedsAsManySmallOnes(int head) {
    Farms one = herd(head, field("a", 100, Field.Grazing.ROTATIONAL, null));
    Farms ten = herd(head);
    for (int i = 0; i < 10; i++) {
      ten.fields.add(field("f" + i, 10, Field.Grazing.ROTATIONAL, null));
    }
    YearBalance big = ENGINE.simulate(one.graze("h", null, null).build());
    YearBalance small = ENGINE.simulate(ten.graze("h", null, null).build());
    assertThat(big.resolved().pieces.count()).isBetween(5, 12);
    assertThat(small.resolved().pieces.count()).isEqualTo(10);
    assertThat(grazedKg(big)).isCloseTo(grazedKg(small), within(0.03 * grazedKg(small)));
    assertThat(bareDays(big)).isBetween(bareDays(small) - 3, bareDays(small) + 8);
    for (int d = 0; d < big.days(); d++) {
      if (big.bareKg(d) > 0.01 * big.needKg(d)) {
        assertThat(big.year().date(d).getMonthValue()).as("bare").isLessThanOrEqualTo(3);
      }
    }
  }

  @ParameterizedTest
  @CsvSource({
    "transition_humid, tall_fescue_novel, 111",
    "maritime_temperate_south, ryegrass_white_clover, 185",
    "subtropical_humid_north, bermudagrass, 210"
  })
  void twelvePaddocksGiveATenthToAFifthMoreThanThree(String climate, String forage, int head) {
    double three = grazedKg(divided(climate, forage, head, 3));
    double twelve = grazedKg(divided(climate, forage, head, 12));
    assertThat(twelve / three).isBetween(1.10, 1.20);
  }

  private static YearBalance divided(String climate, String forage, int head, int paddocks) {
    Farms farm = herd(head, field("a", forage, 100, Field.Grazing.ROTATIONAL, paddocks));
    farm.climate = climate;
    return ENGINE.simulate(farm.graze("h", null, null).build());
  }

  @Test
  void withFewerThanFivePaddocksLessThan55PercentIsEaten() {
    Field four = field("a", 100, Field.Grazing.ROTATIONAL, 4);
    YearBalance b = ENGINE.simulate(herd(60, four).graze("h", null, null).build());
    // By the table 0.48 with two to four, 0.59 with five to eight, of which fescue's own is 0.62:
    // 0.48 + (4 - 3) / (6.5 - 3) x 0.11 = 0.5114; x 0.62 / 0.59 = 0.5374.
    assertThat(b.resolved().pieces.utilization(0, 0, false)).isCloseTo(0.5374, within(1e-4));
    assertThat(b.resolved().pieces.inRound(0)).isEqualTo(4);
  }

  @Test
  void aSetStockedFieldIsOnePieceAndStatedUseStays() {
    Farms farm = herd(60, field("a", 100, Field.Grazing.SET_STOCKED, 12));
    YearBalance b = ENGINE.simulate(farm.graze("h", null, null).build());
    assertThat(b.resolved().pieces.count()).isEqualTo(1);
    assertThat(b.resolved().pieces.utilization(0, 0, false))
        .isEqualTo(ENGINE.catalogue().forage("tall_fescue_novel").utilizationSetStocked());
  }

  @Test
  void allPiecesOfAFarmAreAtMostTwiceItsFields() {
    Farms farm = herd(60);
    for (int i = 0; i < 60; i++) {
      farm.fields.add(field("f" + i, 5, Field.Grazing.ROTATIONAL, 12));
    }
    YearBalance b = ENGINE.simulate(farm.graze("h", null, null).build());
    assertThat(b.resolved().pieces.count()).isEqualTo(120);
    assertThat(b.resolved().pieces.inRound(0)).isEqualTo(720);
  }

  /** Kept states, every 15 days: on which day each piece was last grazed. */
  @Test
  void stockStayRestAndReturnNotSooner() {
    Farms farm = herd(45, field("a", 60, Field.Grazing.ROTATIONAL, 10));
    ResolvedPlan plan =
        ResolvedPlan.of(
            farm.graze("h", null, null).build(), FarmRecords.NONE, ENGINE.catalogue(), List.of());
    DayBook book = YearSimulator.run(plan);
    // Fescue in May grows fast: a stay of at most 4 days, back after 18 at the soonest.
    FarmState june = book.states.floorEntry(plan.year().day(LocalDate.of(2027, 6, 10))).getValue();
    int today = book.states.floorKey(plan.year().day(LocalDate.of(2027, 6, 10)));
    List<Integer> left = new ArrayList<>();
    for (CellState c : june.cells) {
      left.add(c.grazedDay);
    }
    left.sort(null);
    for (int i = 1; i < left.size(); i++) {
      assertThat(left.get(i) - left.get(i - 1)).as("stay, of %s", left).isBetween(1, 5);
    }
    assertThat(today - left.get(0)).as("rest of the next, of %s", left).isGreaterThanOrEqualTo(18);
  }

  @Test
  void theOrderOfTheStepBreaksTies() {
    Farms farm =
        herd(
            20,
            field("a", 10, Field.Grazing.ROTATIONAL, 1),
            field("b", 10, Field.Grazing.ROTATIONAL, 1),
            field("c", 10, Field.Grazing.ROTATIONAL, 1));
    farm.start = LocalDate.of(2027, 5, 1);
    YearBalance b = ENGINE.simulate(farm.graze("h", null, null, "c", "b", "a").build());
    assertThat(b.grazedKg(2, 0)).isPositive();
    assertThat(b.grazedKg(0, 0) + b.grazedKg(1, 0)).isZero();
  }

  /** A round of 40 days gives each day a fortieth of the area, and the store the difference. */
  @Test
  void aRotationHeldAtALengthIsSteady() {
    Farms farm = herd(130, field("a", 60, Field.Grazing.ROTATIONAL, 12)).bales("hay", 3000);
    farm.steps.add(step("g", FeedStep.Kind.GRAZE, null, 40, "a"));
    farm.feed("h", null, null, "hay");
    YearBalance held = ENGINE.simulate(farm.build());
    farm.steps.set(0, step("g", FeedStep.Kind.GRAZE, null, null, "a"));
    YearBalance free = ENGINE.simulate(farm.build());
    assertThat(jumps(held)).isLessThan(5);
    assertThat(jumps(free)).isGreaterThan(15);
    int august = held.year().day(LocalDate.of(2027, 8, 15));
    assertThat(held.eatenKg(Shelf.PUT_BY, august)).isPositive();
    assertThat(held.eatenKg(Shelf.GROWING, august)).isPositive();
    assertThat(held.bareKg(august)).isZero();
  }

  /** Nobody brings a herd from hay to grass for a day: it comes back for about a working week. */
  @Test
  void stockOnHayComeBackToGrassForSomeDays() {
    Farms farm = herd(130, field("a", 60, Field.Grazing.ROTATIONAL, 12)).bales("hay", 3000);
    farm.graze("h", null, null, "a").feed("h", null, null, "hay");
    YearBalance b = ENGINE.simulate(farm.build());
    int spell = 0;
    int spells = 0;
    for (int d = 30; d < b.days(); d++) {
      boolean grass = b.eatenKg(Shelf.PUT_BY, d) < 0.5 * b.needKg(d);
      if (!grass && spell > 0) {
        assertThat(spell).as("days of grass up to %s", b.year().date(d)).isGreaterThanOrEqualTo(4);
        spells++;
      }
      spell = grass ? spell + 1 : 0;
    }
    assertThat(spells).isPositive();
  }

  /** Days on which a quarter of the need or more changes over between pasture and store. */
  private static int jumps(YearBalance b) {
    int jumps = 0;
    for (int d = 1; d < b.days(); d++) {
      double change = b.eatenKg(Shelf.PUT_BY, d) - b.eatenKg(Shelf.PUT_BY, d - 1);
      jumps += Math.abs(change) > 0.25 * b.needKg(d) ? 1 : 0;
    }
    return jumps;
  }

  private static FeedStep step(
      String id, FeedStep.Kind kind, Portion portion, Integer roundDays, String... from) {
    return new FeedStep(id, "h", kind, List.of(from), null, null, portion, roundDays);
  }

  /** 20 head need 240 kg. Exactly 4 kg each is 80 kg, whatever the grass. */
  @Property(tries = 40)
  void exactlySoMuchIsGivenEveryDay(@ForAll @IntRange(min = 1, max = 60) int head) {
    Farms farm = herd(head, field("a", 15, Field.Grazing.ROTATIONAL, null)).bales("hay", 2000);
    farm.steps.add(step("g", FeedStep.Kind.GRAZE, null, null, "a"));
    farm.steps.add(
        step("s", FeedStep.Kind.STORE, new Portion(Portion.Bound.EXACTLY, null, 4.0), null, "hay"));
    YearBalance b = ENGINE.simulate(farm.build());
    for (int d = 0; d < b.days(); d++) {
      assertThat(b.eatenKg(Shelf.PUT_BY, d)).isCloseTo(4.0 * head, within(1e-6));
    }
  }

  @Test
  void atLeastGivesMoreWhereGrassIsShortAndAtMostNever() {
    Portion third = new Portion(Portion.Bound.AT_LEAST, 1 / 3.0, null);
    Farms farm = herd(60, field("a", 30, Field.Grazing.ROTATIONAL, null)).bales("hay", 3000);
    farm.steps.add(step("g", FeedStep.Kind.GRAZE, null, null, "a"));
    farm.steps.add(step("s", FeedStep.Kind.STORE, third, null, "hay"));
    YearBalance least = ENGINE.simulate(farm.build());
    farm.steps.set(1, step("s", FeedStep.Kind.STORE, Portion.atMost(1 / 3.0), null, "hay"));
    YearBalance most = ENGINE.simulate(farm.build());
    int may = least.year().day(LocalDate.of(2027, 5, 10));
    int february = least.year().day(LocalDate.of(2027, 2, 20));
    assertThat(least.eatenKg(Shelf.PUT_BY, may)).isCloseTo(240, within(1e-6));
    assertThat(most.eatenKg(Shelf.PUT_BY, may)).isZero();
    assertThat(least.eatenKg(Shelf.PUT_BY, february)).isGreaterThan(400);
    assertThat(most.eatenKg(Shelf.PUT_BY, february)).isCloseTo(240, within(1e-6));
    assertThat(least.bareKg(february)).isZero();
    assertThat(most.bareKg(february)).isPositive();
  }

  /** Left at 5 cm fescue feeds more at first than left at 15, and comes in only from 25. */
  @Test
  void heightsMoveWhatIsLeftAndWhenStockComeIn() {
    Heights low = new Heights(null, 5.0, null, 5.0);
    Heights high = new Heights(25.0, 15.0, 20.0, 15.0);
    YearBalance eatenLow = ENGINE.simulate(byHeights(low).build());
    YearBalance eatenHigh = ENGINE.simulate(byHeights(high).build());
    int march = eatenLow.year().day(LocalDate.of(2027, 3, 1));
    assertThat(eatenLow.coverKgPerHa(0, march)).isBetween(700.0, 1000.0);
    assertThat(eatenHigh.coverKgPerHa(0, march)).isGreaterThan(1500);
    // from 2,900 in spring: 25 cm; the first grazing waits for it, though the herd eats hay
    for (int d = march; eatenHigh.eatenKg(Shelf.GROWING, d) == 0; d++) {
      assertThat(eatenHigh.coverKgPerHa(0, d)).isLessThan(2950);
    }
    int first = march;
    while (eatenHigh.eatenKg(Shelf.GROWING, first) == 0) {
      first++;
    }
    assertThat(eatenHigh.coverKgPerHa(0, first - 1)).isGreaterThan(2700);
  }

  private static Farms byHeights(Heights heights) {
    Field one = field("a", 30, Field.Grazing.ROTATIONAL, 1).grazedBy(1, heights);
    return herd(60, one)
        .bales("hay", 2000)
        .graze("h", null, null, "a")
        .feed("h", null, null, "hay");
  }
}
