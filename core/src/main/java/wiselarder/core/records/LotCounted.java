package wiselarder.core.records;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * Whole units of a lot there in the morning of a day; corrects what the plan supposed.
 *
 * @param units whole units
 */
public record LotCounted(String lotId, int units, String note) implements Fact {
  public static final Stated.Figure UNITS = Stated.whole("counted.units", 0, 1000000);
  public static final Stated.Text NOTE = Stated.note("record.note", 400);

  public LotCounted {
    lotId = Check.text("record.lotId", lotId, 80);
    UNITS.check(units);
    note = NOTE.check(note);
  }

  @Override
  public boolean seenOnFarm() {
    return true;
  }
}
