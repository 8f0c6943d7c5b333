package wiselarder.core.quantity;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What cannot be taken and why, as a code and values: whoever shows it owns the sentence and the
 * user's units.
 *
 * @param field path of the input, e.g. {@code field.areaHa}
 * @param values by their names, each of the type that the reason says
 */
public record Refusal(Reason reason, String field, Map<String, Object> values) {
  public Refusal {
    for (Reason.Value v : reason.given()) {
      if (!of(v.type()).isInstance(values.get(v.name()))) {
        throw new IllegalArgumentException(
            "%s: %s is %s, not a %s"
                .formatted(reason, v.name(), values.get(v.name()), of(v.type()).getSimpleName()));
      }
    }
    if (values.size() != reason.given().size()) {
      throw new IllegalArgumentException("%s does not take %s".formatted(reason, values));
    }
  }

  /**
   * A refusal with its values.
   *
   * @param values in the reason's order
   */
  public static Refusal of(Reason reason, String field, Object... values) {
    if (values.length != reason.given().size()) {
      throw new IllegalArgumentException(
          "%s takes %d values".formatted(reason, reason.given().size()));
    }
    Map<String, Object> named = new LinkedHashMap<>();
    for (int i = 0; i < values.length; i++) {
      Reason.Value v = reason.given().get(i);
      named.put(v.name(), v.type() == Reason.Type.TEXT && values[i] == null ? "" : values[i]);
    }
    return new Refusal(reason, field, named);
  }

  private static Class<?> of(Reason.Type type) {
    return switch (type) {
      case TEXT -> String.class;
      case NUMBER -> Number.class;
      case DAY -> LocalDate.class;
      case DAY_OF_YEAR -> MonthDay.class;
    };
  }

  /** For a log: {@code field.areaHa: out_of_range {value=-1.0, min=0.01, max=5000.0}}. */
  @Override
  public String toString() {
    return "%s: %s%s".formatted(field, reason.code(), values.isEmpty() ? "" : " " + values);
  }
}
