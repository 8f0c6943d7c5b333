package wiselarder.core.plan;

/** What a farm and its plan are made of, as it is told apart in lists and changes. */
public enum Thing {
  SETTINGS,
  YEAR,
  FIELD,
  GROUP,
  LOT,
  FEEDING,
  CLOSING,
  CUT,
  PURCHASE,
  SOWING,
  DRESSING,
  IRRIGATION,
  SCENARIO,
  PASS,
  ANCHOR,
  FORAGE,
  PRICE,
  POLICY,
  SEED,
  JOB,
  RUNG,
  BALES,
  BREAKS,
  GROUND,
  /** A report on a lot; a record, not a part of the plan. */
  TEST
}
