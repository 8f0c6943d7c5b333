package wiselarder.core.forage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What nitrogen grows, by hand. */
class NitrogenRulesTest {
  @ParameterizedTest
  @CsvSource({"0, 1", "0.15, 0.7", "0.3, 0.4", "0.6, 0.4", "1, 0.4"})
  void aSwardThatFeedsItselfAnswersToTwoFifths(double legumeShare, double answer) {
    assertThat(NitrogenRules.answer(legumeShare)).isCloseTo(answer, within(1e-12));
  }

  @Test
  void growthIsSpedUpByWhatIsThere() {
    // 0.8 x 45 / (45 + 15) of 50 kg
    assertThat(NitrogenRules.extraKgPerHa(50, 45, 0)).isCloseTo(30, within(1e-9));
    assertThat(NitrogenRules.extraKgPerHa(50, 0, 0)).isZero();
  }

  @Test
  void noMoreIsGrownThanTheNitrogenFeeds() {
    // sped up by 0.8 x 1 / 16 it would be 50 kg; one kilogram of nitrogen feeds 20
    assertThat(NitrogenRules.extraKgPerHa(1000, 1, 0)).isCloseTo(20, within(1e-9));
  }

  @Test
  void legumesLoseMoreThanTheGrassGains() {
    // gains 0.8 x 0.4 x 30 / 45 = 0.21333 of 50 kg; loses 0.15 x 30 / 60 = 0.075 of it
    assertThat(NitrogenRules.extraKgPerHa(50, 30, 0.5))
        .isCloseTo(50 * (0.2133333 - 0.075), within(1e-5));
  }
}
