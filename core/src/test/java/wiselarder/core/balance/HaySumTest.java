package wiselarder.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;

class HaySumTest {
  private static final double KEPT = Math.pow(0.95, 1 / 365.0);

  @Test
  void balesAreNeedOverUsableMatterRoundedUp() {
    // 10 head x 10 kg; a bale gives 360 x 0.85 = 306 kg, a little less each day stored:
    // sum over t of 100 / (306 s^t) = 100/306 x (s^-n - 1) / (s^-1 - 1)
    YearBalance b =
        ENGINE.simulate(
            new Farms()
                .eaters("herd", 10, 10)
                .bales("hay", 0)
                .feed("herd", START, START.plusDays(100))
                .build());
    HaySum sum = HaySum.of(b, 0, 0);
    double all365 = 100 / 306.0 * (Math.pow(KEPT, -365) - 1) / (1 / KEPT - 1);
    assertThat(sum.exactUnits()).isCloseTo(all365, within(1e-6));
    assertThat(sum.units()).isEqualTo((int) Math.ceil(all365));
    assertThat(sum.bareKg()).isCloseTo(36500, within(1e-6));
    double all100 = 100 / 306.0 * (Math.pow(KEPT, -100) - 1) / (1 / KEPT - 1);
    assertThat(all100).isBetween(32.9, 33.0);
    HaySum hundred = HaySum.of(b, 0, 0, 0, 100);
    assertThat(hundred.exactUnits()).isCloseTo(all100, within(1e-6));
    assertThat(hundred.units()).isEqualTo(33);
    assertThat(hundred.days()).isEqualTo(100);
  }

  @Test
  void agreesWithTheYearToTheKilogram() {
    YearBalance b =
        ENGINE.simulate(
            new Farms().eaters("herd", 10, 10).bales("hay", 80).feed("herd", null, null).build());
    HaySum sum = HaySum.of(b, 0, 0);
    Ledger.Line total = Ledger.total(b);
    assertThat(sum.fedKg()).isCloseTo(total.putByKg(), within(1e-6));
    assertThat(sum.bareKg()).isCloseTo(total.bareKg(), within(1e-6));
    assertThat(sum.fedKg() + sum.bareKg()).isCloseTo(total.needKg(), within(1e-6));
  }

  @Test
  void asManyBalesAsTheSumSaysCloseTheYear() {
    Farms farm = new Farms().eaters("herd", 10, 10).bales("hay", 0).feed("herd", null, null);
    int units = HaySum.of(ENGINE.simulate(farm.build()), 0, 0).units();
    farm.lots.set(0, Farms.bale("hay", units));
    assertThat(ENGINE.simulate(farm.build()).totalBareKg()).isZero();
    farm.lots.set(0, Farms.bale("hay", units - 2));
    assertThat(ENGINE.simulate(farm.build()).totalBareKg()).isPositive();
  }
}
