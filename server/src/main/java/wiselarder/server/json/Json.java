package wiselarder.server.json;

import java.time.LocalDate;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.server.problem.ServerReason;

/** JSON in and out of the core's values, and what a reading error means. */
public final class Json {
  /** Strict: an unknown or missing name is an error, so that nothing is silently dropped. */
  public static final JsonMapper MAPPER =
      on(JsonMapper.builder())
          .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .disable(DateTimeFeature.WRITE_DATES_AS_TIMESTAMPS)
          .build();

  private Json() {}

  /** Facts and edits say their kind, and a day is one; see {@link Days}. */
  public static JsonMapper.Builder on(JsonMapper.Builder builder) {
    SimpleModule days = new SimpleModule("days");
    days.addDeserializer(LocalDate.class, new Days());
    return Edits.on(Facts.on(builder)).addModule(days);
  }

  /** Where a file stops being JSON. */
  public static Refused notJson(StreamReadException e) {
    return new Refused(
        ServerReason.NOT_JSON, "file", e.getLocation().getLineNr(), e.getLocation().getColumnNr());
  }

  /** What a reading error means, with the place it stands at. */
  public static Refused refusal(JacksonException e) {
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
        return r.at(path.toString());
      }
    }
    return meaning(e, path.toString()).at(path.toString());
  }

  private static Refused meaning(JacksonException e, String place) {
    if (e instanceof UnrecognizedPropertyException unknown) {
      String known =
          unknown.getKnownPropertyIds().stream()
              .map(String::valueOf)
              .sorted()
              .collect(Collectors.joining(", "));
      return new Refused(ServerReason.UNKNOWN_NAME, place, unknown.getPropertyName(), known);
    }
    if (e.getOriginalMessage().startsWith("Cannot map `null`")) {
      return new Refused(CoreReason.MISSING, place);
    }
    String type =
        e instanceof MismatchedInputException mismatch && mismatch.getTargetType() != null
            ? mismatch.getTargetType().getSimpleName()
            : "";
    return new Refused(ServerReason.UNREADABLE, place, TYPES.getOrDefault(type, "other"));
  }

  private static final Map<String, String> TYPES =
      Map.of(
          "int", "whole_number",
          "double", "number",
          "Double", "number",
          "boolean", "yes_no",
          "LocalDate", "day",
          "MonthDay", "day_of_year",
          "List", "list",
          "ArrayList", "list");
}
