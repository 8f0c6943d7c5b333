package wiselarder.core.day;

import wiselarder.core.day.FieldState.StandState;
import wiselarder.core.forage.QualityTable.Values;

/** What a mixture of green and dead holds, as shares of DM; one scratch for all. */
final class Worth {
  final double[] share = new double[Values.COUNT];

  /**
   * Works it out.
   *
   * @param greenShare of what is looked at, by mass
   */
  void of(Values values, StandState stand, double greenShare) {
    double green = stand.asleep ? 0 : greenShare;
    double at = values.stageAt(stand.maturity);
    double aged = values.agedAt(stand.deadDays);
    for (int n = 0; n < Values.COUNT; n++) {
      share[n] = values.kg(n, green, at, 1 - green, aged);
    }
  }
}
