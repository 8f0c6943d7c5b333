package wiselarder.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.SameYears;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FieldHeld;
import wiselarder.core.records.FieldOpened;
import wiselarder.core.records.HerdMoved;
import wiselarder.core.walk.FieldHistory;

/** Where animals were brought is where they eat, whatever the plan had thought. */
class MoveTest {
  private static final int NEAR = 0;
  private static final int FAR = 1;
  private static final int APRIL = 212;

  /** Ten bulls of 10 kg a day, planned on near from April on; far is nobody's; bales between. */
  private static FarmPlan farm() {
    return new Farms()
        .eaters("herd", 10, 10)
        .field("near", 5, 25, 2000)
        .field("far", 4, 25, 2500)
        .bales("hay", 150)
        .graze("herd", START.plusDays(APRIL), START.plusDays(300), "near")
        .feed("herd", null, null)
        .build();
  }

  private static FarmRecord moved(int day, String field) {
    return Farms.seen(START.plusDays(day), new HerdMoved("herd", field, ""));
  }

  private static YearBalance year(FarmRecord... written) {
    return ENGINE.knowing(Farms.written(written)).simulate(farm());
  }

  private static double grazed(YearBalance year, int field, int from, int to) {
    double kg = 0;
    for (int d = from; d < to; d++) {
      kg += year.grazedKg(field, d);
    }
    return kg;
  }

  /** Ten days on far are 10 x 10 x 10 = 1,000 kg, and nothing of near; then near again. */
  @Test
  void fromOneMoveToTheNextItEatsWhereItWasBrought() {
    YearBalance planned = year();
    assertThat(grazed(planned, FAR, 0, 365)).isZero();
    assertThat(grazed(planned, NEAR, 220, 230)).isCloseTo(1000, within(1e-6));
    YearBalance moved = year(moved(220, "far"), moved(230, "near"));
    assertThat(grazed(moved, FAR, 220, 230)).isCloseTo(1000, within(1e-6));
    assertThat(grazed(moved, NEAR, 220, 230)).isZero();
    assertThat(grazed(moved, FAR, 230, 365)).isZero();
    assertThat(grazed(moved, NEAR, 230, 240)).isCloseTo(1000, within(1e-6));
    assertThat(moved.onField(0, 225)).isEqualTo(FAR);
  }

  @Test
  void offTheFieldsItIsFed() {
    YearBalance moved = year(moved(220, null), moved(225, "near"));
    assertThat(grazed(moved, NEAR, 220, 225)).isZero();
    assertThat(moved.lotEatenKg(0, 222)).isCloseTo(100, within(1e-6));
    assertThat(grazed(moved, NEAR, 225, 230)).isCloseTo(500, within(1e-6));
  }

  /**
   * No step goes to far: it stays while far feeds it for a whole day, and no longer than the plan
   * has it graze; then the plan goes on where it was.
   */
  @Test
  void afterTheLastMoveItStaysWhileTheFieldFeedsIt() {
    YearBalance moved = year(moved(220, "far"));
    int left = 220;
    while (moved.onField(0, left) == FAR) {
      assertThat(moved.grazedKg(FAR, left)).isCloseTo(100, within(1e-6));
      left++;
    }
    assertThat(left).isBetween(240, 300);
    assertThat(grazed(moved, FAR, left, 365)).isZero();
    assertThat(moved.grazedKg(NEAR, left)).isCloseTo(left < 300 ? 100 : 0, within(1e-6));
  }

  /** In winter, when the plan feeds hay, a lone move is a day's; where steps go, they go on. */
  @Test
  void aLoneMoveOfAWinterDayIsThatDays() {
    YearBalance moved = year(moved(100, "far"));
    assertThat(moved.grazedKg(FAR, 100)).isCloseTo(100, within(1e-6));
    assertThat(moved.grazedKg(FAR, 101)).isZero();
    assertThat(moved.lotEatenKg(0, 101)).isCloseTo(100, within(1e-6));
  }

  /** Of two moves of one day the one written last counts. */
  @Test
  void theLastWordOfADayCounts() {
    YearBalance moved = year(moved(220, "far"), moved(220, "near"), moved(224, "near"));
    assertThat(grazed(moved, FAR, 0, 365)).isZero();
  }

  /** What is not known to the plan, or struck out, moves nobody. */
  @Test
  void whatThePlanDoesNotKnowMovesNobody() throws IllegalAccessException {
    YearBalance moved =
        year(
            moved(220, "gone"),
            Farms.seen(START.plusDays(220), new HerdMoved("nobody", "far", "")),
            moved(-5, "far"));
    SameYears.check(moved, year());
  }

  /** Growth measured counts what was eaten where it was eaten. */
  @Test
  void growthMeasuredKnowsWhoWasThere() {
    FarmRecord[] told = {
      read(219, 2000), moved(220, "far"), moved(230, "near"), read(232, 2000),
    };
    FieldHistory.ReadingLine line = FieldHistory.of(year(told), FAR).get(1);
    // 1,000 kg eaten, and what was trampled with them, on 4 ha in 13 days at an even cover
    double util = year(told).resolved().pieces.utilization(FAR, 0, false);
    assertThat(line.takenKgPerHa()).isCloseTo(1000 / util / 4, within(1e-6));
    assertThat(line.growthKgPerHaDay()).isCloseTo(1000 / util / 4 / 13, within(1e-6));
  }

  private static FarmRecord read(int day, double kg) {
    return Farms.seen(START.plusDays(day), Farms.cover("far", "tall_fescue_novel", kg, null));
  }

  /** Nobody is sent to a field that is shut by hand, until it is opened or the time is over. */
  @Test
  void aFieldThatIsShutByHandIsNotGrazed() {
    FarmRecord held =
        Farms.seen(START.plusDays(220), new FieldHeld("near", START.plusDays(240), "fence down"));
    YearBalance shut = year(held);
    assertThat(grazed(shut, NEAR, 220, 240)).isZero();
    assertThat(shut.grazedKg(NEAR, 219)).isPositive();
    assertThat(shut.grazedKg(NEAR, 240)).isPositive();
    FarmRecord opened =
        Farms.seen(START.plusDays(230), new FieldOpened("near", "mended and walked round"));
    YearBalance open = year(held, opened);
    assertThat(grazed(open, NEAR, 220, 230)).isZero();
    assertThat(open.grazedKg(NEAR, 230)).isPositive();
    // somebody who opened it before does not open what was shut later
    YearBalance before = year(Farms.seen(START.plusDays(200), new FieldOpened("near", "x")), held);
    assertThat(grazed(before, NEAR, 220, 240)).isZero();
  }

  /** Whoever was seen on a shut field ate there: that it was shut changes nothing about it. */
  @Test
  void whoWasSeenOnAShutFieldAteThere() {
    FarmRecord held = Farms.seen(START.plusDays(215), new FieldHeld("far", null, "flooded"));
    YearBalance year = year(held, moved(220, "far"), moved(224, "near"));
    assertThat(grazed(year, FAR, 220, 224)).isCloseTo(400, within(1e-6));
  }

  /** Whatever was written: no feed is lost, nobody eats more than they need, a lean run agrees. */
  @Property(tries = 25)
  void feedIsConserved(
      @ForAll @Size(min = 1, max = 8) List<@IntRange(min = 0, max = 1100) Integer> at) {
    List<FarmRecord> moves = new ArrayList<>();
    for (int one : at) {
      moves.add(moved(one / 3, one % 3 == 0 ? null : one % 3 == 1 ? "near" : "far"));
    }
    YearBalance year = year(moves.toArray(FarmRecord[]::new));
    assertThat(year.massBalance().error()).isCloseTo(0, within(1e-3));
    for (int d = 0; d < year.days(); d++) {
      assertThat(year.bareKg(d)).isBetween(0.0, year.needKg(d) + 1e-9);
    }
    YearBalance lean = YearBalance.farmOnly(year.resolved());
    assertThat(lean.totalBareKg()).isEqualTo(year.totalBareKg());
    assertThat(lean.standingKg(364)).isEqualTo(year.standingKg(364));
  }
}
