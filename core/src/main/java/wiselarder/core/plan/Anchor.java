package wiselarder.core.plan;

import java.util.EnumSet;
import java.util.Set;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * What a date of something planned goes by: so many days after a mark of the year. The date itself
 * stands where it always stands; with its anchor it follows when the mark moves, because the
 * climate, the births or the year did.
 *
 * @param what in which list the planned thing stands
 * @param itemId its id there
 * @param part which of its dates
 * @param ofId the field that greens up or the group that gives birth; null for frosts
 * @param daysAfter days from the mark to the date; negative before it
 */
public record Anchor(Thing what, String itemId, Part part, Mark mark, String ofId, int daysAfter) {
  public static final Stated.Figure DAYS_AFTER = Stated.whole("anchor.daysAfter", -365, 365);

  /** Things with dates. */
  static final Set<Thing> DATED =
      EnumSet.of(
          Thing.FEEDING,
          Thing.CLOSING,
          Thing.CUT,
          Thing.PURCHASE,
          Thing.SOWING,
          Thing.DRESSING,
          Thing.IRRIGATION,
          Thing.PASS,
          Thing.JOB);

  /** One of the dates of a planned thing. */
  public enum Part {
    /** The day it is done, or the first day. */
    FROM,
    /** The first day on which it is no more. */
    TO,
    /** Of a closing: the first day on which it is no longer eaten. */
    UNTIL
  }

  /**
   * A day of the year that a keeper goes by; frosts by the share of years in which they have come.
   */
  public enum Mark {
    FIRST_FROST_10,
    FIRST_FROST_50,
    FIRST_FROST_90,
    LAST_FROST_10,
    LAST_FROST_50,
    LAST_FROST_90,
    GREEN_UP,
    FIRST_BIRTH,
    WEANING;

    /** True where it is a group's. */
    public boolean ofGroup() {
      return this == FIRST_BIRTH || this == WEANING;
    }
  }

  public Anchor {
    Check.present("anchor.what", what);
    if (!DATED.contains(what)) {
      throw new Refused(CoreReason.UNKNOWN_KIND, "anchor.what", what.name());
    }
    Check.text("anchor.itemId", itemId, 80);
    Check.present("anchor.part", part);
    Check.present("anchor.mark", mark);
    if (mark.ofGroup() || mark == Mark.GREEN_UP) {
      Check.text("anchor.ofId", ofId, 40);
    } else {
      ofId = null;
    }
    DAYS_AFTER.check(daysAfter);
  }

  /** There is one for each date: {@code CLOSING/shut-saddle/FROM}. */
  public String key() {
    return what + "/" + itemId + "/" + part;
  }

  /** The same mark at another distance. */
  public Anchor at(int days) {
    return new Anchor(what, itemId, part, mark, ofId, days);
  }
}
