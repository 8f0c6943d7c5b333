package wiselarder.server.year;

import java.util.function.IntToDoubleFunction;

/**
 * A value a day, no finer than it is sure and written as it changes, which is short: the value of a
 * day is {@code step} times the sum of {@code of} up to that day.
 */
public record Series(double step, int[] of) {
  /** Digits that a daily amount is given with: no weather is known better. */
  private static final int DIGITS = 4;

  private static final double FINEST = 0.001;

  /** What is not asked for. */
  static final Series NONE = new Series(1, new int[0]);

  /** Amounts, to four digits of the largest. */
  static Series amounts(int days, IntToDoubleFunction value) {
    double[] all = values(days, value);
    return steps(all, step(all, DIGITS, FINEST));
  }

  /**
   * As {@link #amounts}, of what adds up over the days: what is rounded off on a day is carried to
   * the next, so that the sum of any days is right to a step.
   */
  static Series flow(int days, IntToDoubleFunction value) {
    double[] all = values(days, value);
    double step = step(all, DIGITS, FINEST);
    double carried = 0;
    for (int d = 0; d < days; d++) {
      double exact = all[d] + carried;
      all[d] = Math.round(exact / step) * step;
      carried = exact - all[d];
    }
    return steps(all, step);
  }

  /** As {@link #amounts}, and nothing finer than one: kilograms, percent. */
  static Series whole(int days, IntToDoubleFunction value) {
    double[] all = values(days, value);
    return steps(all, step(all, DIGITS, 1));
  }

  /** What is counted or summed up elsewhere, in steps of so much. */
  static Series exact(int days, double step, IntToDoubleFunction value) {
    return steps(values(days, value), step);
  }

  private static double[] values(int days, IntToDoubleFunction value) {
    double[] all = new double[days];
    for (int d = 0; d < days; d++) {
      all[d] = value.applyAsDouble(d);
    }
    return all;
  }

  private static double step(double[] values, int digits, double finest) {
    double most = 0;
    for (double v : values) {
      most = Math.max(most, Math.abs(v));
    }
    double step = finest;
    while (most >= step * Math.pow(10, digits)) {
      step *= 10;
    }
    return step;
  }

  private static Series steps(double[] values, double step) {
    int[] of = new int[values.length];
    long before = 0;
    for (int d = 0; d < values.length; d++) {
      long now = Math.round(values[d] / step);
      of[d] = (int) (now - before);
      before = now;
    }
    return new Series(step, of);
  }
}
