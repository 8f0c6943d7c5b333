package wiselarder.core.quantity;

import java.time.LocalDate;

/** Checks at construction. NaN is always refused. */
public final class Check {
  private Check() {}

  /** The value when it lies in [min, max]. */
  public static double range(String field, double value, double min, double max) {
    if (!(value >= min && value <= max)) {
      throw new Refused(CoreReason.OUT_OF_RANGE, field, value, min, max);
    }
    return value;
  }

  /** The value when it lies in [min, max]. */
  public static int range(String field, int value, int min, int max) {
    range(field, (double) value, min, max);
    return value;
  }

  /** The text, stripped, when it has 1 to {@code maxLength} characters. */
  public static String text(String field, String value, int maxLength) {
    String text = value == null ? "" : value.strip();
    if (text.isEmpty()) {
      throw new Refused(CoreReason.MISSING, field);
    }
    if (text.length() > maxLength
        || !storable(text)
        || text.chars().anyMatch(Character::isISOControl)) {
      throw new Refused(CoreReason.TOO_LONG, field, text.length(), 1, maxLength);
    }
    return text;
  }

  /** A note, stripped: any number of lines, together up to {@code maxLength} characters. */
  public static String note(String field, String value, int maxLength) {
    String text = value == null ? "" : value.strip();
    boolean plain =
        text.chars()
            .allMatch(c -> c == '\n' || c == '\r' || c == '\t' || !Character.isISOControl(c));
    if (text.length() > maxLength || !plain || !storable(text)) {
      throw new Refused(CoreReason.NOTE_TOO_LONG, field, text.length(), maxLength);
    }
    return text;
  }

  /** False where half a character stands alone, which no file and no database takes. */
  private static boolean storable(String text) {
    return text.codePoints()
        .noneMatch(c -> c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE);
  }

  /** The value when it is not null. */
  public static <T> T present(String field, T value) {
    if (value == null) {
      throw new Refused(CoreReason.MISSING, field);
    }
    return value;
  }

  /** Refuses a range of days that is empty or runs backwards. Either end may be open (null). */
  public static void ordered(String field, LocalDate startInclusive, LocalDate endExclusive) {
    if (startInclusive != null && endExclusive != null && !startInclusive.isBefore(endExclusive)) {
      throw new Refused(CoreReason.DATES_REVERSED, field, startInclusive, endExclusive);
    }
  }
}
