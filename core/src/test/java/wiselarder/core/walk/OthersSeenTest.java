package wiselarder.core.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.Fact;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FieldHeld;
import wiselarder.core.records.HeadCounted;
import wiselarder.core.records.HerdMoved;
import wiselarder.core.records.Noticed;
import wiselarder.core.records.StakeSeen;

/** Heads, soils, stakes, rain, holds and places of groups, as somebody saw them. */
class OthersSeenTest {
  private static FarmPlan farm() {
    return new Farms()
        .eaters("herd", 10, 10)
        .field("near", 5, 25, 2000)
        .field("far", 4, 25, 2500)
        .bales("hay", 150)
        .graze("herd", START.plusDays(212), START.plusDays(300), "near")
        .feed("herd", null, null)
        .build();
  }

  private static FarmRecord on(int day, Fact fact) {
    return Farms.seen(START.plusDays(day), fact);
  }

  private static YearBalance year(FarmRecord... written) {
    return ENGINE.knowing(Farms.written(written)).simulate(farm());
  }

  private static Round round(int day, FarmRecord... written) {
    return Round.of(ENGINE.knowing(Farms.written(written)), farm(), START.plusDays(day));
  }

  private static HeadCounted heads(int head) {
    return new HeadCounted("herd", head, HeadCounted.Why.SOLD, "");
  }

  /** Ten that eat 10 kg each, then seven, then again nine. */
  @Test
  void fromACountOnSoManyEat() {
    YearBalance year = year(on(100, heads(7)), on(150, heads(8)), on(150, heads(9)));
    assertThat(year.needKg(99)).isCloseTo(100, within(1e-9));
    assertThat(year.needKg(100)).isCloseTo(70, within(1e-9));
    assertThat(year.needKg(149)).isCloseTo(70, within(1e-9));
    assertThat(year.needKg(364)).isCloseTo(90, within(1e-9));
    assertThat(year.massBalance().error()).isCloseTo(0, within(1e-3));
    assertThat(round(120, on(100, heads(7))).herds().get(0).head()).isEqualTo(7);
    // what is known of one group's count does not leak into the next question
    assertThat(year().needKg(200)).isCloseTo(100, within(1e-9));
  }

  @Test
  void soilThatWasFeltHoldsSoMuchFromThatMorningOn() {
    double full = year().soilCapacityMm(1);
    YearBalance dry = year(on(250, new Noticed(Noticed.What.SOIL, "far", 0.125, "")));
    assertThat(dry.soilWaterMm(1, 250)).isCloseTo(0.125 * full, within(6.0));
    assertThat(dry.soilWaterMm(0, 250)).isEqualTo(year().soilWaterMm(0, 250));
    assertThat(dry.grownKg(1, 252)).isLessThan(year().grownKg(1, 252));
  }

  private static StakeSeen stake(double cm, boolean left, StakeSeen.Tips tips) {
    return new StakeSeen("far", "by the oak", cm, left, tips, "");
  }

  /** From 8 cm to 11 in ten days and 14.5 in ten more: 0.35 cm a day; 20 days of rest. */
  @Test
  void aStakeTellsGrowthAndRest() {
    FarmRecord[] read = {
      on(230, stake(8, true, null)),
      on(240, stake(11, false, StakeSeen.Tips.BLUNT)),
      on(250, stake(14.5, false, StakeSeen.Tips.POINTED))
    };
    StakeLine line = round(252, read).stakes().get(0);
    assertThat(line.leftOn()).isEqualTo(START.plusDays(230));
    assertThat(line.leftCm()).isEqualTo(8);
    assertThat(line.cmPerDay()).isCloseTo(0.35, within(1e-12));
    assertThat(line.restDays()).isEqualTo(20);
    assertThat(line.enterCm()).isBetween(10.0, 30.0);
    assertThat(line.recovered()).isEqualTo(14.5 >= line.enterCm());
    // a day before the second reading only the first is known, and no growth
    StakeLine first = round(239, read).stakes().get(0);
    assertThat(first.cmPerDay()).isNull();
    assertThat(first.seenCm()).isEqualTo(8);
    assertThat(round(229, read).stakes()).isEmpty();
  }

  /** Tall, and yet as bitten: not recovered. Short: so many days at the growth measured. */
  @Test
  void bluntTipsAreNotRecovered() {
    FarmRecord left = on(230, stake(8, true, null));
    StakeLine blunt =
        round(250, left, on(245, stake(60, false, StakeSeen.Tips.BLUNT))).stakes().get(0);
    assertThat(blunt.recovered()).isFalse();
    assertThat(blunt.toGoDays()).isNull();
    StakeLine tall = round(250, left, on(245, stake(60, false, null))).stakes().get(0);
    assertThat(tall.recovered()).isTrue();
    StakeLine slow = round(250, left, on(240, stake(9, false, null))).stakes().get(0);
    assertThat(slow.toGoDays()).isEqualTo((int) Math.ceil((slow.enterCm() - 9) / 0.1));
    StakeLine still = round(250, left, on(240, stake(8, false, null))).stakes().get(0);
    assertThat(still.toGoDays()).isNull();
  }

  private static Noticed rain(double mm) {
    return new Noticed(Noticed.What.RAIN, null, mm, "");
  }

  @Test
  void rainInTheGaugeIsHeldAgainstTheUsual() {
    Round round = round(110, on(100, rain(12)), on(104, rain(7)), on(120, rain(50)));
    assertThat(round.rain().mm()).isEqualTo(19);
    assertThat(round.rain().readings()).isEqualTo(2);
    double usual = 0;
    // the first reading is of the day before it, the second of the four days since
    for (int d = 99; d <= 103; d++) {
      usual += year().resolved().normal().rainMm(d);
    }
    assertThat(round.rain().days()).isEqualTo(5);
    assertThat(round.rain().from()).isEqualTo(START.plusDays(99));
    assertThat(round.rain().usualMm()).isCloseTo(usual, within(1e-9));
    assertThat(round(90, on(100, rain(12))).rain()).isNull();
  }

  @Test
  void theRoundSaysWhereEverybodyIsAndWhatIsShut() {
    Round planned = round(230);
    assertThat(planned.herds())
        .containsExactly(new Round.HerdPlace("herd", 10, "near", false, START.plusDays(212)));
    Round moved =
        round(
            230,
            on(225, new HerdMoved("herd", "far", "")),
            on(235, new HerdMoved("herd", null, "")));
    assertThat(moved.herds())
        .containsExactly(new Round.HerdPlace("herd", 10, "far", true, START.plusDays(225)));
    Round winter = round(100);
    assertThat(winter.herds().get(0).fieldId()).isNull();
    FarmRecord held = on(220, new FieldHeld("far", null, "flooded"));
    assertThat(round(230, held).held())
        .containsExactly(new Round.Held("r0", "far", START.plusDays(220), null, "flooded"));
    assertThat(round(230, held).fields().get(1).shut()).isTrue();
    assertThat(round(219, held).held()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "RAIN,,-1",
    "RAIN,,501",
    "RAIN,,",
    "FROST,,11",
    "SNOW,,501",
    "SOIL,far,1.5",
    "SOIL,,0.5",
    "SOIL,far,",
    "OTHER,far,"
  })
  void whatCannotBeIsRefused(Noticed.What what, String field, Double amount) {
    assertThatThrownBy(() -> new Noticed(what, field, amount, "")).isInstanceOf(Refused.class);
  }

  @Test
  void whatIsNotMeasuredHasNoAmount() {
    assertThat(new Noticed(Noticed.What.FENCE, "far", 7.0, "wire down").amount()).isNull();
    assertThat(List.of(Noticed.What.values())).hasSize(11);
  }
}
