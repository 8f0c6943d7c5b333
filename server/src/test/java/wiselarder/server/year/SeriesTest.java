package wiselarder.server.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SeriesTest {
  private static double[] read(Series s) {
    double[] out = new double[s.of().length];
    long sum = 0;
    for (int d = 0; d < out.length; d++) {
      sum += s.of()[d];
      out[d] = sum * s.step();
    }
    return out;
  }

  @Test
  void aSeriesIsWrittenAsItChangesInStepsOfItsFourthDigit() {
    double[] cover = {2345.4, 2350.2, 2350.4, 1999.6};
    Series s = Series.amounts(4, d -> cover[d]);
    assertThat(s.step()).isEqualTo(1);
    assertThat(s.of()).containsExactly(2345, 5, 0, -350);
    Series small = Series.amounts(2, d -> 1.2345);
    assertThat(small.step()).isEqualTo(0.001);
    assertThat(small.of()).containsExactly(1235, 0);
    Series large = Series.amounts(2, d -> 123_456 + d * 90);
    assertThat(large.step()).isEqualTo(100);
    assertThat(large.of()).containsExactly(1235, 0);
  }

  @Test
  void whatIsWholeStaysWholeAndWhatIsCountedStaysExact() {
    int[] percent = {-1, 0, 97, 140};
    assertThat(read(Series.whole(4, d -> percent[d]))).containsExactly(-1, 0, 97, 140);
    assertThat(read(Series.exact(2, 1, d -> 123_456 + d))).containsExactly(123_456, 123_457);
    assertThat(Series.whole(0, d -> 1).of()).isEmpty();
    assertThat(read(Series.amounts(3, d -> 0))).containsExactly(0, 0, 0);
  }

  @Test
  void whatAddsUpOverTheDaysStillDoes() {
    double[] kg = new Random(3).doubles(365, 900, 1300).toArray();
    Series s = Series.flow(365, d -> kg[d]);
    double[] read = read(s);
    double sum = 0;
    double sent = 0;
    for (int d = 0; d < 365; d++) {
      assertThat(Math.abs(read[d] - kg[d])).isLessThanOrEqualTo(s.step());
      sum += kg[d];
      sent += read[d];
      assertThat(Math.abs(sent - sum)).isLessThanOrEqualTo(s.step() / 2 * 1.0001);
    }
  }

  /** Rounding does not add up over the days: each is within half a step of what it should be. */
  @ParameterizedTest
  @ValueSource(doubles = {0.02, 7, 850, 30_000, 2_000_000})
  void noDayIsOffByMoreThanHalfAStep(double most) {
    double[] values = new Random(7).doubles(730, -most / 3, most).toArray();
    Series s = Series.amounts(730, d -> values[d]);
    double[] read = read(s);
    for (int d = 0; d < 730; d++) {
      assertThat(Math.abs(read[d] - values[d])).isLessThanOrEqualTo(s.step() / 2 * 1.0001);
    }
    assertThat(s.step()).isLessThanOrEqualTo(Math.max(0.001, most / 1000));
  }
}
