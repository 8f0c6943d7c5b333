package wiselarder.core.seasons;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import wiselarder.core.plan.Sign;

/**
 * A date on which what is in hand tells a hard year from one that is not. The bound is sought on
 * one half of the years and proved on the other: how often it is right is said of years that it was
 * not made from.
 *
 * @param day plan day, in the morning
 * @param below it tells a hard year where the sign is less than this, in the sign's unit
 * @param fires years of the other half in which it does, {@code right} of them hard
 * @param hard hard years in that half
 * @param of years in that half
 */
public record Telling(Sign sign, int day, double below, int fires, int right, int hard, int of) {
  /** It must be right so often, and better than knowing nothing by a third of what is unknown. */
  private static final double LEAST_RIGHT = 0.7;

  private static final double BETTER_BY = 1 / 3.0;

  /** What the other half may fall short of that. */
  private static final double PROVED = 0.9;

  /** The first date tells so many of the hard years, and each later one so many more. */
  private static final double FIRST_TELLS = 0.4;

  private static final double MORE_TELL = 0.2;
  private static final int MOST_DATES = 3;
  private static final int LEAST_FIRES = 8;
  private static final int STEPS = 40;
  private static final int APART_WEEKS = 3;

  /**
   * The earliest date that tells, and later ones that tell more.
   *
   * @param hard by year, as in {@code seen}
   * @param lastDay dates after this one are of no use
   */
  public static List<Telling> find(SignsSeen seen, boolean[] hard, int lastDay) {
    List<Telling> found = new ArrayList<>();
    double wanted = FIRST_TELLS;
    int next = 1;
    for (int w = 1; w < seen.weeks() && SignsSeen.day(w) <= lastDay; w++) {
      if (w < next || found.size() == MOST_DATES) {
        continue;
      }
      Optional<Telling> best = best(seen, hard, w);
      if (best.isPresent() && best.get().told() >= wanted) {
        found.add(best.get());
        wanted = best.get().told() + MORE_TELL;
        next = w + APART_WEEKS;
      }
    }
    return found;
  }

  /** Share of the hard years that it tells. */
  public double told() {
    return hard == 0 ? 0 : (double) right / hard;
  }

  private static Optional<Telling> best(SignsSeen seen, boolean[] hard, int week) {
    Telling best = null;
    for (Sign sign : Sign.values()) {
      double below = bound(seen, hard, sign, week);
      if (!Double.isNaN(below)) {
        Telling t = proved(seen, hard, sign, week, below);
        boolean holds =
            t.fires > 0
                && t.right >= PROVED * leastRight(hard) * t.fires
                && readable(seen, sign, week, below);
        best = holds && (best == null || t.right > best.right) ? t : best;
      }
    }
    return Optional.ofNullable(best);
  }

  /**
   * Whether a keeper can see the difference: years below the bound lie apart from those above it by
   * more than what counting, a walk or a gauge can tell.
   */
  private static boolean readable(SignsSeen seen, Sign sign, int week, double below) {
    double under = 0;
    double over = 0;
    int fires = 0;
    for (int y = 0; y < seen.years(); y++) {
      double value = seen.of(sign, y, week);
      fires += value < below ? 1 : 0;
      under += value < below ? value : 0;
      over += value < below ? 0 : value;
    }
    double apart = over / Math.max(1, seen.years() - fires) - under / Math.max(1, fires);
    double least =
        switch (sign) {
          case STANDS -> READABLE_KG_PER_HA;
          case STORE -> READABLE_STORE_SHARE * below;
          case GROWTH -> READABLE_KG_PER_HA_DAY;
          case SOIL_WATER -> READABLE_PERCENT;
          case RAIN -> READABLE_MM;
        };
    return apart >= least;
  }

  /** What can be told apart in a yard. Assumptions. */
  private static final double READABLE_KG_PER_HA = 150;

  private static final double READABLE_STORE_SHARE = 0.05;
  private static final double READABLE_KG_PER_HA_DAY = 3;
  private static final double READABLE_PERCENT = 8;
  private static final double READABLE_MM = 15;

  private static double leastRight(boolean[] hard) {
    double share = (double) IntStream.range(0, hard.length).filter(y -> hard[y]).count();
    share /= Math.max(1, hard.length);
    return Math.max(LEAST_RIGHT, share + BETTER_BY * (1 - share));
  }

  /**
   * Of the bounds that are right often enough in the years with even places the one with most right
   * beyond the wrong ones; NaN for none.
   */
  private static double bound(SignsSeen seen, boolean[] hard, Sign sign, int week) {
    double[] sorted =
        IntStream.range(0, hard.length)
            .filter(y -> y % 2 == 0)
            .mapToDouble(y -> seen.of(sign, y, week))
            .sorted()
            .toArray();
    double found = Double.NaN;
    double least = leastRight(hard);
    double last = Double.NaN;
    int most = 0;
    for (int step = 1; step <= STEPS; step++) {
      double at = sorted[Math.min(sorted.length - 1, sorted.length * step / STEPS)];
      if (at == last) {
        continue;
      }
      last = at;
      int fires = 0;
      int right = 0;
      for (int y = 0; y < hard.length; y += 2) {
        if (seen.of(sign, y, week) < at) {
          fires++;
          right += hard[y] ? 1 : 0;
        }
      }
      if (fires >= Math.min(LEAST_FIRES, sorted.length / 4)
          && right >= least * fires
          && 2 * right - fires > most) {
        found = at;
        most = 2 * right - fires;
      }
    }
    return found;
  }

  private static Telling proved(SignsSeen seen, boolean[] hard, Sign sign, int week, double below) {
    int fires = 0;
    int right = 0;
    int all = 0;
    int of = 0;
    for (int y = 1; y < hard.length; y += 2) {
      boolean fired = seen.of(sign, y, week) < below;
      fires += fired ? 1 : 0;
      right += fired && hard[y] ? 1 : 0;
      all += hard[y] ? 1 : 0;
      of++;
    }
    return new Telling(sign, SignsSeen.day(week), below, fires, right, all, of);
  }

  /** Places of the years that it tells to be hard, of both halves. */
  int[] told(SignsSeen seen) {
    int week = day / SignsSeen.WEEK_DAYS;
    return IntStream.range(0, seen.years()).filter(y -> seen.of(sign, y, week) < below).toArray();
  }
}
