package wiselarder.core.records;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * So many grown animals of a group were there in the morning of a day, and why they are more or
 * fewer than before. Young with their dams are not counted.
 */
public record HeadCounted(String groupId, int head, Why why, String note) implements Fact {
  public static final Stated.Figure HEAD = Stated.whole("counted.head", 0, 100000);

  /** Why the number changed. */
  public enum Why {
    COUNTED,
    DIED,
    SOLD,
    BOUGHT,
    STRAYED
  }

  public HeadCounted {
    groupId = Check.text("record.groupId", groupId, 40);
    HEAD.check(head);
    why = why == null ? Why.COUNTED : why;
    note = CoverSeen.NOTE.check(note);
  }

  @Override
  public boolean seenOnFarm() {
    return true;
  }

  @Override
  public String groupId() {
    return groupId;
  }
}
