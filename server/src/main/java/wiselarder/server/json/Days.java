package wiselarder.server.json;

import java.time.DateTimeException;
import java.time.LocalDate;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;

/**
 * A day is written out, and of a year that a farm could live to see: a number would be read as so
 * many days since 1970, and of the last day of all there is no next.
 */
final class Days extends StdDeserializer<LocalDate> {
  private static final int FIRST_YEAR = 1000;
  private static final int LAST_YEAR = 9999;

  Days() {
    super(LocalDate.class);
  }

  @Override
  public LocalDate deserialize(JsonParser in, DeserializationContext context) {
    if (in.currentToken() != JsonToken.VALUE_STRING) {
      return (LocalDate) context.handleUnexpectedToken(LocalDate.class, in);
    }
    String text = in.getString();
    try {
      LocalDate day = LocalDate.parse(text);
      if (day.getYear() >= FIRST_YEAR && day.getYear() <= LAST_YEAR) {
        return day;
      }
    } catch (DateTimeException e) {
      // told below
    }
    return (LocalDate) context.handleWeirdStringValue(LocalDate.class, text, "no day");
  }
}
