package wiselarder.core.day;

/** Where feed comes from, cheapest first. */
public enum Shelf {
  /** Grazed as it grows. */
  GROWING,
  /** Stockpile and crop residue. */
  STANDING,
  /** Stored feed that was there or was cut on the farm. */
  PUT_BY,
  /** Stored feed bought within the plan. */
  BOUGHT_IN
}
