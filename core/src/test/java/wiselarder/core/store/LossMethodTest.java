package wiselarder.core.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LossMethodTest {
  private static final Map<String, LossMethod> METHODS = LossMethod.loadAll();

  @ParameterizedTest
  @CsvSource({"s_barn, 0.05", "s_net_ground, 0.16", "s_twine_ground, 0.27"})
  void ayearOfDaysMakesTheYearlyLoss(String id, double share) {
    assertThat(Math.pow(METHODS.get(id).keptPerDay(), 365)).isCloseTo(1 - share, within(1e-12));
    assertThat(METHODS.get(id).lostAtOpening()).isZero();
  }

  @ParameterizedTest
  @CsvSource({"s_clamp_sealed, 0.12", "s_wrapped_torn, 0.22"})
  void aLossThatComesOnceIsTakenAtOpeningAndOnlyThen(String id, double share) {
    assertThat(METHODS.get(id).lostAtOpening()).isEqualTo(share);
    assertThat(METHODS.get(id).keptPerDay()).isEqualTo(1);
  }

  @Test
  void theTypicalLossLiesBetweenLowAndHigh() {
    assertThat(METHODS.values())
        .allSatisfy(m -> assertThat(m.share()).isBetween(m.lowShare(), m.highShare()));
  }

  @Test
  void theSurchargeForDampHayIsNoWayOfStoring() {
    assertThat(METHODS).doesNotContainKey("s_damp_month");
  }
}
