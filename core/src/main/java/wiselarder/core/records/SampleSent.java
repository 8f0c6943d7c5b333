package wiselarder.core.records;

import java.time.Instant;
import wiselarder.core.quantity.Check;
import wiselarder.core.store.Lot;

/**
 * A sample of a lot sent to a laboratory.
 *
 * @param lot the lot as it was stated on that day
 * @param dueAt when the laboratory means to report
 */
public record SampleSent(Lot lot, Instant dueAt) implements Fact {
  public SampleSent {
    Check.present("record.lot", lot);
    Check.present("record.dueAt", dueAt);
  }

  @Override
  public String lotId() {
    return lot.id();
  }

  @Override
  public boolean seenOnFarm() {
    return true;
  }
}
