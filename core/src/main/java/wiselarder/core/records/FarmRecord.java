package wiselarder.core.records;

import java.time.Instant;
import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * A fact as it was written down.
 *
 * @param id its own on the farm; a request that is sent twice brings the same one
 * @param on the day on which it happened
 * @param written who wrote it, when, and on what
 */
public record FarmRecord(String id, LocalDate on, Fact fact, Written written) {
  public FarmRecord {
    id = Check.text("record.id", id, 160);
    Check.present("record.on", on);
    Check.present("record.fact", fact);
    Check.present("record.written", written);
  }

  /**
   * Who wrote a record, when, and on what.
   *
   * @param who name of the person as it was then; empty where nobody knows any more
   * @param at null where nobody knows any more
   * @param device as the device calls itself; empty where it did not say
   */
  public record Written(String who, Instant at, String device) {
    public static final Stated.Text WHO = Stated.note("record.who", 120);
    public static final Stated.Text DEVICE = Stated.note("record.device", 120);

    public Written {
      who = WHO.check(who);
      device = DEVICE.check(device);
    }
  }
}
