package wiselarder.core.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.LotFed;

/** Less or more next time, by what was left of the last. */
class LeavingsTest {
  private static FarmRecord fed(int day, String lot, int units, Double left) {
    return Farms.seen(START.plusDays(day), new LotFed(lot, units, null, left, ""));
  }

  private static Optional<Leavings> of(FarmRecord... written) {
    return Leavings.of(Farms.written(written), "hay", ENGINE.catalogue().signs());
  }

  /** Of 9 bales: 9 x (1 - left) were eaten, and 15% of what is set out may be left. */
  @ParameterizedTest
  @CsvSource({
    "0, 11, lean, true", // 9 / 0.85 = 10.6, and perhaps they wanted more
    "0.09, 10, lean, true", // 8.19 / 0.85 = 9.6
    "0.1, 9, ordinary, false",
    "0.19, 9, ordinary, false",
    "0.3333, 7, wasteful, false", // 6.0 / 0.85 = 7.06
    "0.5, 5, far too much, false", // 4.5 / 0.85 = 5.3
    "0.95, 1, far too much, false"
  })
  void nextTime(double left, int next, String meaning, boolean watch) {
    Leavings l =
        of(fed(30, "hay", 6, null), fed(30, "hay", 3, null), fed(34, "hay", 7, left)).orElseThrow();
    assertThat(l.units()).isEqualTo(9);
    assertThat(l.leftShare()).isCloseTo(left, within(1e-12));
    assertThat(l.nextUnits()).isEqualTo(next);
    assertThat(l.meaning()).startsWith(meaning);
    assertThat(l.watchCondition()).isEqualTo(watch);
    assertThat(l.on()).isEqualTo(START.plusDays(34));
  }

  @Test
  void nothingIsSaidWhereNobodyLookedOrNothingLayOut() {
    assertThat(of()).isEmpty();
    assertThat(of(fed(30, "hay", 6, null))).isEmpty();
    assertThat(of(fed(30, "hay", 6, 0.2))).isEmpty();
    assertThat(of(fed(30, "straw", 6, null), fed(34, "straw", 6, 0.2))).isEmpty();
    // the latest look counts, in whatever order it was written
    assertThat(of(fed(40, "hay", 4, 0.5), fed(34, "hay", 7, 0.2), fed(30, "hay", 9, null)))
        .get()
        .extracting(Leavings::units)
        .isEqualTo(7);
  }
}
