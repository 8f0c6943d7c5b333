package wiselarder.core.balance;

import wiselarder.core.balance.FieldState.StandState;
import wiselarder.core.forage.QualityTable.Values;

/** Protein, TDN and fibre of a mixture of green and dead, as shares of DM; one scratch for all. */
final class Worth {
  double protein;
  double tdn;
  double fibre;

  /**
   * Works it out.
   *
   * @param greenShare of what is looked at, by mass
   */
  void of(Values values, StandState stand, double greenShare) {
    double green = stand.asleep ? 0 : greenShare;
    double at = values.stageAt(stand.maturity);
    double aged = values.agedAt(stand.deadDays);
    protein = values.kg(Values.PROTEIN, green, at, 1 - green, aged);
    tdn = values.kg(Values.TDN, green, at, 1 - green, aged);
    fibre = values.kg(Values.FIBRE, green, at, 1 - green, aged);
  }
}
