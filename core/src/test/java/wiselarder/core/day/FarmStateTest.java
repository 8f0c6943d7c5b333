package wiselarder.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.START;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.SameYears;
import wiselarder.core.balance.YearPropertiesTest;

/** A state holds all that a day leaves behind, so that a year can be run in two parts. */
class FarmStateTest {
  @Property(tries = 80)
  void aYearRunWholeEqualsTheSameYearRunInTwoHalves(
      @ForAll long seed, @ForAll @IntRange(min = 15, max = 364) int day) throws Exception {
    DayBook whole = YearSimulator.run(YearPropertiesTest.inDrawnWeather(seed, START).resolved());
    DayBook halves = YearSimulator.runFrom(whole.resolved, whole, day);
    SameYears.check(whole, halves);
    assertThat(halves.states.keySet()).isEqualTo(whole.states.keySet());
  }

  /** The second half is really run from the state, not taken over from the first. */
  @Test
  void aStateThatIsChangedChangesTheSecondHalfOnly() {
    Farms farm = new Farms().eaters("herd", 10, 10).field("a", 5, 20, 2000).bales("hay", 50);
    farm.graze("herd", null, null, "a").feed("herd", null, null);
    DayBook whole = YearSimulator.run(Farms.ENGINE.resolve(farm.build()));
    whole.states.get(105).cells[0].base.green += 500;
    DayBook halves = YearSimulator.runFrom(whole.resolved, whole, 110);
    assertThat(halves.cover[104]).isEqualTo(whole.cover[104]);
    assertThat(halves.cover[105]).isGreaterThan(whole.cover[105] + 400);
  }

  @Test
  void aKeptStateIsNotTouchedByTheRunThatStartsFromIt() {
    Farms farm = new Farms().eaters("herd", 10, 10).field("a", 5, 20, 2000).bales("hay", 50);
    farm.graze("herd", null, null, "a").feed("herd", null, null);
    DayBook whole = YearSimulator.run(Farms.ENGINE.resolve(farm.build()));
    double green = whole.states.get(30).cells[0].base.green;
    int bales = whole.states.get(30).lots[0].closed;
    double eaten = whole.states.get(30).totals.eatenKg;
    YearSimulator.runFrom(whole.resolved, whole, 30);
    assertThat(whole.states.get(30).cells[0].base.green).isEqualTo(green);
    assertThat(whole.states.get(30).lots[0].closed).isEqualTo(bales);
    assertThat(whole.states.get(30).totals.eatenKg).isEqualTo(eaten);
  }
}
