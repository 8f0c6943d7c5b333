package wiselarder.core.records;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * Units of a lot set out on a day. Between the first and the last feeding recorded of a lot, what
 * was written down is what was fed; outside of these days the plan feeds.
 *
 * @param units whole units
 * @param groupId who got them, or null
 * @param leftShare of what was set out of the lot the time before, the share that still lay there;
 *     null where nobody looked
 */
public record LotFed(String lotId, int units, String groupId, Double leftShare, String note)
    implements Fact {
  public static final Stated.Figure UNITS = Stated.whole("fed.units", 1, 1000000);
  public static final Stated.Figure LEFT_SHARE = Stated.number("fed.leftShare", 0, 0.95).orNone();
  public static final Stated.Text NOTE = Stated.note("record.note", 400);

  public LotFed {
    lotId = Check.text("record.lotId", lotId, 80);
    UNITS.check(units);
    LEFT_SHARE.check(leftShare);
    note = NOTE.check(note);
  }

  @Override
  public boolean seenOnFarm() {
    return true;
  }
}
