package wiselarder.core.day;

import wiselarder.core.day.CellState.StandState;
import wiselarder.core.forage.QualityTable.Values;

/** What a mixture of green and dead holds, as shares of DM; one scratch for all. */
final class Worth {
  final double[] share = new double[Values.COUNT];

  /** Of its green, 0 leafy to 1 ripe. */
  double ripeness;

  /**
   * Works it out.
   *
   * @param greenShare of what is looked at, by mass
   * @param youngShare of its green, the part of the growth of now
   */
  void of(StandState stand, double greenShare, double youngShare) {
    double young = greenShare * youngShare * 0.01;
    double old = greenShare * (1 - youngShare) * 0.01;
    double dead = (1 - greenShare) * 0.01;
    for (int n = 0; n < Values.COUNT; n++) {
      share[n] = young * stand.youngWorth[n] + old * stand.oldWorth[n] + dead * stand.deadWorth[n];
    }
    ripeness =
        youngShare * stand.youngWorth[Values.RIPENESS]
            + (1 - youngShare) * stand.oldWorth[Values.RIPENESS];
  }
}
