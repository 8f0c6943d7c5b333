package wiselarder.core.herd;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ConditionGuideTest {
  private static final HerdTables HERD = ENGINE.catalogue().herd();

  /** Every step lies on the scale that records of the species are held to, thinnest first. */
  @ParameterizedTest
  @CsvSource({"beef/cow, 9, 1, 9, 4", "sheep/ewe, 7, 1, 5, 2"})
  void theStepsAreOfTheSpeciesScale(String kind, int steps, double low, double high, double floor) {
    ConditionGuide guide = HERD.conditionGuide(kind);
    BodyCondition scale = BodyCondition.of(kind);
    assertThat(guide.steps())
        .hasSize(steps)
        .isSortedAccordingTo(java.util.Comparator.comparingDouble(ConditionGuide.Step::score));
    assertThat(guide.steps().get(0).score()).isEqualTo(low).isEqualTo(scale.lowest());
    assertThat(guide.steps().get(steps - 1).score()).isEqualTo(high).isEqualTo(scale.highest());
    assertThat(guide.floor()).isEqualTo(floor);
    assertThat(guide.atBirth().low()).isGreaterThan(guide.floor());
  }

  @Test
  void noGuideIsMadeUpForWhatTheTableDoesNotTell() {
    assertThat(HERD.conditionGuide("horse/pony")).isNull();
  }
}
