package wiselarder.core.quantity;

import java.util.List;
import java.util.Locale;

/**
 * Why something stated cannot be taken: a code, and the values that whoever shows it needs to say a
 * sentence. Implemented by enums, so that a client can be made to hold a sentence for each.
 */
public interface Reason {
  /** Name of the constant. */
  String name();

  /** What is given with it, in order. */
  List<Value> given();

  /** The code as it is sent, such as {@code already_shut}. */
  default String code() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** How a value is written. */
  enum Type {
    TEXT,
    NUMBER,
    /** A date such as 2027-09-01. */
    DAY,
    /** A day of any year, such as --03-15. */
    DAY_OF_YEAR
  }

  /**
   * A value that is given with a reason.
   *
   * @param name with its unit at the end where it has one
   */
  record Value(String name, Type type) {}

  /** A text, perhaps empty. */
  static Value text(String name) {
    return new Value(name, Type.TEXT);
  }

  /** A number, in the unit at the end of its name or of the refused member's. */
  static Value number(String name) {
    return new Value(name, Type.NUMBER);
  }

  /** A date. */
  static Value day(String name) {
    return new Value(name, Type.DAY);
  }

  /** A day of any year. */
  static Value dayOfYear(String name) {
    return new Value(name, Type.DAY_OF_YEAR);
  }
}
