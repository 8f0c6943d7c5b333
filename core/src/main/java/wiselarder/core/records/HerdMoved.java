package wiselarder.core.records;

import wiselarder.core.quantity.Check;

/**
 * A group was brought to a field in the morning of a day, or off the fields to be fed.
 *
 * @param fieldId null where it is on none
 */
public record HerdMoved(String groupId, String fieldId, String note) implements Fact {
  public HerdMoved {
    groupId = Check.text("record.groupId", groupId, 40);
    fieldId = fieldId == null ? null : Check.text("record.fieldId", fieldId, 40);
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

  @Override
  public String fieldId() {
    return fieldId;
  }
}
