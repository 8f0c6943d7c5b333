package wiselarder.core.records;

import wiselarder.core.quantity.Check;

/**
 * Another record was wrong and does not count. Striking out the striking out lets it count again.
 *
 * @param record id of the wrong one
 */
public record Struck(String record, String why) implements Fact {
  public Struck {
    record = Check.text("record.record", record, 160);
    why = Check.note("record.why", why, 400);
  }
}
