package wiselarder.core.plan;

import wiselarder.core.quantity.Check;

/**
 * Which side a plan takes where good keepers differ. A question that no policy answers is left to
 * what is stated field by field and step by step.
 */
public record Policy(Side side) {
  /** What they differ on. */
  public enum Question {
    /** Feed through a drought, or sell in time. */
    DROUGHT,
    NITROGEN,
    /** How much a bite leaves. */
    TAKE,
    /** How long stock stay on a piece. */
    BREAKS,
    /** Native warm-season grass before frost. */
    NATIVES,
    /** Crops drilled into sod where a season is dry. */
    SOD
  }

  /** What one can hold to. */
  public enum Side {
    /** Hay is bought and the herd kept: no sale is offered. */
    HAY_THROUGH(Question.DROUGHT),
    /** Animals go in time: no hay is offered. */
    SELL_EARLY(Question.DROUGHT),
    BAGGED_NITROGEN(Question.NITROGEN),
    /** Clover in its place: no nitrogen is offered. */
    LEGUMES(Question.NITROGEN),
    /** Half of the cover at which stock come in is left. */
    TAKE_HALF(Question.TAKE),
    /** Two thirds of it are left. */
    TOP_THIRD(Question.TAKE),
    /** Rotated fields are given in strips of a day or two. */
    SHORT_BREAKS(Question.BREAKS),
    /** Fields given in strips are given in pieces for some days. */
    LONG_BREAKS(Question.BREAKS),
    /** Shut for a month up to the first frost, so that roots fill. */
    REST_BEFORE_FROST(Question.NATIVES),
    GRAZE_TO_FROST(Question.NATIVES),
    SEED_EVERY_YEAR(Question.SOD),
    /** None is offered where the season is dry. */
    SKIP_DRY_YEARS(Question.SOD);

    private final Question question;

    Side(Question question) {
      this.question = question;
    }

    public Question question() {
      return question;
    }
  }

  public Policy {
    Check.present("policy.side", side);
  }

  /** One answer to a question. */
  public String id() {
    return side.question().name();
  }
}
