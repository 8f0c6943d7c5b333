package wiselarder.core.seasons;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * How a figure of the farm spreads over many years, by day: so much or less in one, two and a half,
 * five, seven and a half and nine of ten years.
 */
public record Fan(double[] p10, double[] p25, double[] p50, double[] p75, double[] p90) {

  /** From a figure by year and day. */
  static Fan of(float[][] byYear, int days) {
    Fan fan =
        new Fan(
            new double[days],
            new double[days],
            new double[days],
            new double[days],
            new double[days]);
    IntStream.range(0, days)
        .parallel()
        .forEach(
            d -> {
              double[] sorted = new double[byYear.length];
              for (int y = 0; y < sorted.length; y++) {
                sorted[y] = byYear[y][d];
              }
              Arrays.sort(sorted);
              fan.p10[d] = quantile(sorted, 0.10);
              fan.p25[d] = quantile(sorted, 0.25);
              fan.p50[d] = quantile(sorted, 0.50);
              fan.p75[d] = quantile(sorted, 0.75);
              fan.p90[d] = quantile(sorted, 0.90);
            });
    return fan;
  }

  /** The smallest that so large a share of them is no larger than. */
  static double quantile(double[] sorted, double share) {
    return sorted[Math.max(0, (int) Math.ceil(share * sorted.length - 1e-9) - 1)];
  }
}
