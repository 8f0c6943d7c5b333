package wiselarder.core.records;

import wiselarder.core.quantity.Stated;

/**
 * Another record was wrong and does not count. Striking out the striking out lets it count again.
 *
 * @param record id of the wrong one
 */
public record Struck(String record, String why) implements Fact {
  public static final Stated.Text RECORD = Stated.text("record.record", 160);
  public static final Stated.Text WHY = Stated.note("record.why", 400);

  public Struck {
    record = RECORD.check(record);
    why = WHY.check(why);
  }
}
