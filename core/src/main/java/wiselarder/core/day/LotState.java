package wiselarder.core.day;

import wiselarder.core.forage.QualityTable.Values;

/** One lot as it is on a day; kg DM. */
final class LotState {
  /** Whole units, and what is left of the opened ones. */
  int closed;

  double kgPerUnit;
  double openKg;

  /** Units opened so far: those that are set out on fields are the first of them. */
  int opened;

  boolean there;

  /** Percent of DM when it came in, and the day of that. */
  final double[] worth;

  int worthDay;

  LotState() {
    worth = new double[Values.COUNT];
  }

  private LotState(LotState of) {
    closed = of.closed;
    kgPerUnit = of.kgPerUnit;
    openKg = of.openKg;
    opened = of.opened;
    there = of.there;
    worth = of.worth.clone();
    worthDay = of.worthDay;
  }

  LotState copy() {
    return new LotState(this);
  }
}
