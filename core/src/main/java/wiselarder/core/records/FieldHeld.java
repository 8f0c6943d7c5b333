package wiselarder.core.records;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * A field was shut by hand from a day on, to everybody.
 *
 * @param until first day on which it is open again, or null: until somebody opens it
 */
public record FieldHeld(String fieldId, LocalDate until, String why) implements Fact {
  public static final Stated.Text WHY = Stated.text("held.why", 400);

  public FieldHeld {
    fieldId = Check.text("record.fieldId", fieldId, 40);
    why = WHY.check(why);
  }

  @Override
  public String fieldId() {
    return fieldId;
  }
}
