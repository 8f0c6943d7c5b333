package wiselarder.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.plan.Dressing;

/** What a day leaves in the ground, which no view shows. */
class GrowingTest {
  /** A fiftieth of the nitrogen that is left is lost each day where nothing takes it up. */
  @Test
  void nitrogenIsLostDayByDay() {
    Farms farm = new Farms().eaters("herd", 1, 10).field("a", 10, 0, 2500);
    farm.dressings.add(new Dressing("n", "a", START.plusDays(30), 60, null));
    DayBook b = YearSimulator.run(ENGINE.resolve(farm.build()));
    assertThat(b.states.get(30).cells[0].nitrogen).isZero();
    // put on in the morning of day 30, and lost on 15 days until the morning of day 45
    assertThat(b.states.get(45).cells[0].nitrogen).isCloseTo(60 * Math.pow(0.98, 15), within(1e-9));
    assertThat(b.states.get(60).cells[0].nitrogen).isCloseTo(60 * Math.pow(0.98, 30), within(1e-9));
  }
}
