package wiselarder.core.herd;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class CattleGainTest {
  /**
   * 300 kg, 7.5 kg of 65% TDN, by hand: metabolisable 2.350 Mcal/kg, net 1.4737 for maintenance and
   * 0.8844 for gain; maintenance asks 5.550 Mcal, which is 3.766 kg; 3.734 kg are left, 3.302 Mcal
   * retained, 0.84 kg a day.
   */
  @Test
  void workedByHand() {
    assertThat(CattleGain.maintenanceMcalPerKg(65)).isCloseTo(1.4737, within(0.001));
    assertThat(CattleGain.gainMcalPerKg(65)).isCloseTo(0.8844, within(0.001));
    assertThat(CattleGain.kgPerDay(300, 7.5, 65)).isCloseTo(0.837, within(0.003));
  }

  @Test
  void atMaintenanceNothingIsGainedAndBelowItWeightIsLost() {
    double maintenance = 0.077 * Math.pow(300, 0.75) / CattleGain.maintenanceMcalPerKg(55);
    assertThat(CattleGain.kgPerDay(300, maintenance, 55)).isCloseTo(0, within(1e-9));
    assertThat(CattleGain.kgPerDay(300, maintenance - 1, 55)).isNegative();
  }

  @Test
  void richerFeedAndMoreOfItGainMore() {
    double last = Double.NEGATIVE_INFINITY;
    for (double tdn = 45; tdn <= 75; tdn += 2.5) {
      double gain = CattleGain.kgPerDay(350, 8, tdn);
      assertThat(gain).isGreaterThan(last);
      assertThat(CattleGain.kgPerDay(350, 8.5, tdn)).isGreaterThan(gain);
      last = gain;
    }
  }
}
