package wiselarder.server.json;

import java.util.Map;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;
import wiselarder.core.quantity.Refused;

/** JSON in and out of the core's values, and what a reading error means. */
public final class Json {
  /** Strict: an unknown or missing name is an error, so that nothing is silently dropped. */
  public static final JsonMapper MAPPER =
      Edits.on(Facts.on(JsonMapper.builder()))
          .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .disable(DateTimeFeature.WRITE_DATES_AS_TIMESTAMPS)
          .build();

  private Json() {}

  /** Where a file stops being JSON. */
  public static Refused notJson(StreamReadException e) {
    return new Refused(
        "not_json",
        "file",
        null,
        "not JSON at line %d, column %d: %s"
            .formatted(
                e.getLocation().getLineNr(),
                e.getLocation().getColumnNr(),
                e.getOriginalMessage()));
  }

  /** What a reading error means, with the place it stands at. */
  public static Refused refusal(DatabindException e) {
    StringBuilder path = new StringBuilder();
    e.getPath()
        .forEach(
            r ->
                path.append(
                    r.getPropertyName() == null
                        ? "[" + r.getIndex() + "]"
                        : (path.isEmpty() ? "" : ".") + r.getPropertyName()));
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof Refused r) {
        return new Refused(
            r.code(), r.field(), r.value(), r.min(), r.max(), path + ": " + r.getMessage());
      }
    }
    String place = path.isEmpty() ? "file" : path.toString();
    return new Refused("unreadable", place, null, place + ": " + meaning(e));
  }

  private static String meaning(DatabindException e) {
    if (e instanceof UnrecognizedPropertyException unknown) {
      return "this name is not known here; known are " + unknown.getKnownPropertyIds();
    }
    if (e.getOriginalMessage().startsWith("Cannot map `null`")) {
      return "is missing";
    }
    if (e instanceof MismatchedInputException mismatch && mismatch.getTargetType() != null) {
      String type = mismatch.getTargetType().getSimpleName();
      return "cannot be read as " + TYPES.getOrDefault(type, "a " + type);
    }
    return "cannot be read";
  }

  private static final Map<String, String> TYPES =
      Map.of(
          "int", "a whole number",
          "double", "a number",
          "Double", "a number",
          "boolean", "true or false",
          "LocalDate", "a date like 2027-09-01",
          "MonthDay", "a day of the year like --03-01",
          "List", "a list",
          "ArrayList", "a list");
}
