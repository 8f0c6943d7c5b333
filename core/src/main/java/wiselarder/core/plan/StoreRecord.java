package wiselarder.core.plan;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;

/**
 * What was written down of a lot: units fed on a day, or units counted at the start of a day.
 * Between the first and the last feeding recorded of a lot, what was written down is what was fed;
 * outside of these days the plan feeds.
 *
 * @param units whole units
 * @param groupId who got them, or null
 */
public record StoreRecord(
    String id, LocalDate date, Kind kind, String lotId, int units, String groupId, String note) {

  /** What was written down. */
  public enum Kind {
    /** Units set out on a day. */
    FED,
    /** Whole units there in the morning; corrects what the plan supposed. */
    COUNTED
  }

  public StoreRecord {
    id = Check.text("storeRecord.id", id, 80);
    Check.present("storeRecord.date", date);
    Check.present("storeRecord.kind", kind);
    lotId = Check.text("storeRecord.lotId", lotId, 80);
    Check.range("storeRecord.units", units, kind == Kind.FED ? 1 : 0, 1000000);
    note = Check.note("storeRecord.note", note, 400);
  }

  /** The same, of a group that is no more. */
  StoreRecord ofNobody() {
    return new StoreRecord(id, date, kind, lotId, units, null, note);
  }
}
