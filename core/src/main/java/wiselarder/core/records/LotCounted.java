package wiselarder.core.records;

import wiselarder.core.quantity.Check;

/**
 * Whole units of a lot there in the morning of a day; corrects what the plan supposed.
 *
 * @param units whole units
 */
public record LotCounted(String lotId, int units, String note) implements Fact {
  public LotCounted {
    lotId = Check.text("record.lotId", lotId, 80);
    Check.range("record.units", units, 0, 1000000);
    note = Check.note("record.note", note, 400);
  }
}
