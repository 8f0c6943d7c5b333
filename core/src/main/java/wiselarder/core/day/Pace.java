package wiselarder.core.day;

import java.util.Arrays;

/**
 * How fast the season runs beside what the plan expects, as readings of cover have it: where a
 * field was read twice and nobody took anything in between, it has grown so much more or less than
 * expected. All fields speak together, a few readings move little, and what they said fades.
 */
final class Pace {
  /** What readings are weighed against: so much expected growth, kg DM/ha. Assumption. */
  private static final double DOUBT_KG_PER_HA = 1500;

  /** Half of what was seen counts after so many days. Assumption. */
  private static final double HALVED_AFTER_DAYS = 45;

  private static final double KEPT_PER_DAY = Math.pow(0.5, 1 / HALVED_AFTER_DAYS);

  /** Growth is never scaled by more than this, up or down. Assumption. */
  private static final double MOST = 0.6;

  /** Expected growth that readings speak of, and how much more there was; kg DM/ha. */
  private double expected;

  private double more;

  /** What growth is multiplied by today. */
  double share = 1;

  /** By field: the day of its last reading or -1, grown since then, and what was expected to. */
  private final int[] readOn;

  private final double[] grown;
  private final double[] wouldHave;

  Pace(int fields) {
    readOn = new int[fields];
    Arrays.fill(readOn, -1);
    grown = new double[fields];
    wouldHave = new double[fields];
  }

  private Pace(Pace of) {
    expected = of.expected;
    more = of.more;
    share = of.share;
    readOn = of.readOn.clone();
    grown = of.grown.clone();
    wouldHave = of.wouldHave.clone();
  }

  /** The same to go on from; before the first reading of all there is nothing to go on from. */
  Pace copy(int fields) {
    return readOn.length < fields ? new Pace(fields) : new Pace(this);
  }

  void begin() {
    if (expected > 0) {
      expected *= KEPT_PER_DAY;
      more *= KEPT_PER_DAY;
      share = 1 + Math.max(-MOST, Math.min(MOST, more / (expected + DOUBT_KG_PER_HA)));
    }
  }

  /** Growth of a field today, at today's share, kg DM/ha of the field. */
  void grew(int field, double kgPerHa) {
    if (field < readOn.length && readOn[field] >= 0) {
      grown[field] += kgPerHa;
      wouldHave[field] += kgPerHa / share;
    }
  }

  /**
   * A field was read.
   *
   * @param takenOn last day on which something was taken off it
   * @param moreKgPerHa how much more stood there than was expected
   */
  void read(int field, int day, int takenOn, double moreKgPerHa) {
    int before = readOn[field];
    if (before >= 0 && takenOn < before && wouldHave[field] > 0) {
      double beyond = grown[field] + moreKgPerHa - wouldHave[field];
      expected += wouldHave[field];
      // where little was to grow a reading says little of growth: no more than none, or twice as
      // much
      more += Math.max(-wouldHave[field], Math.min(wouldHave[field], beyond));
      share = 1 + Math.max(-MOST, Math.min(MOST, more / (expected + DOUBT_KG_PER_HA)));
    }
    readOn[field] = day;
    grown[field] = 0;
    wouldHave[field] = 0;
  }
}
