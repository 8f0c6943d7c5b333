package wiselarder.core.morning;

/** How a farm stands, the worst first. */
public enum Verdict {
  /** The figures say that animals would not live through what is left of the plan as it is. */
  WOULD_NOT_LIVE,
  /** Feed is short on this very morning. */
  SHORT_NOW,
  /** Feed falls short later on in a normal year. */
  FALLS_SHORT,
  /** It lasts in a normal year, and falls short in one year of ten or more. */
  SHORT_IN_TEN,
  /** It lasts in more than nine years of ten. */
  LASTS,
  /** Nobody is to be fed from this morning on. */
  NOBODY,
  /** No plan reaches to this morning. */
  NO_PLAN
}
