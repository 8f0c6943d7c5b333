package wiselarder.core.plan;

/** What a keeper has in hand on a day, by which the rest of the year can be told. */
public enum Sign {
  /** What stands on the farm, kg DM/ha over all its ground. */
  STANDS,
  /** In store, kg DM. */
  STORE,
  /** Growth over the last thirty days, kg DM/ha a day over all its ground. */
  GROWTH,
  /** Water that plants can use in the soil, percent of the most it holds. */
  SOIL_WATER,
  /** Rain of the last sixty days, mm. */
  RAIN
}
