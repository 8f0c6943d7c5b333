package wiselarder.core.plan;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * How much of a day a step gives. One of the two amounts is stated.
 *
 * @param share of what the group needs that day
 * @param kgPerHeadDay of dry matter to each head
 */
public record Portion(Bound bound, Double share, Double kgPerHeadDay) {
  public static final Stated.Figure SHARE = Stated.number("portion.share", 0.01, 1).orNone();
  public static final Stated.Figure KG_PER_HEAD_DAY =
      Stated.number("portion.kgPerHeadDay", 0.05, 60).orNone();

  /** Which way an amount binds. */
  public enum Bound {
    /** Given every day before anything else, and more where everything else is short. */
    AT_LEAST,
    /** Given every day before anything else, and no more. */
    EXACTLY,
    /** Given in its turn, and no more. */
    AT_MOST
  }

  public Portion {
    Check.present("portion.bound", bound);
    SHARE.check(share);
    KG_PER_HEAD_DAY.check(kgPerHeadDay);
    if ((share == null) == (kgPerHeadDay == null)) {
      throw new Refused(CoreReason.ONE_AMOUNT, "portion.share");
    }
  }

  /** No more than a share of what is needed. */
  public static Portion atMost(double share) {
    return new Portion(Bound.AT_MOST, share, null);
  }
}
