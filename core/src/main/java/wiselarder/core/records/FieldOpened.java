package wiselarder.core.records;

import wiselarder.core.quantity.Check;

/** A field that was shut by hand is open again from a day on, and why. */
public record FieldOpened(String fieldId, String why) implements Fact {
  public FieldOpened {
    fieldId = Check.text("record.fieldId", fieldId, 40);
    why = FieldHeld.WHY.check(why);
  }

  @Override
  public String fieldId() {
    return fieldId;
  }
}
