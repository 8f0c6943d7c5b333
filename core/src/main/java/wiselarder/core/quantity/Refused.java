package wiselarder.core.quantity;

/**
 * What was stated cannot be taken. Carries a code and values; whoever shows it owns the sentence
 * and the user's units. {@code field} is the path of the input, e.g. {@code field.areaHa}; {@code
 * min} and {@code max} bound what would be accepted, in the unit at the end of that name, or are
 * null.
 */
public final class Refused extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final String code;
  private final String field;
  private final transient Object value;
  private final Double min;
  private final Double max;

  public Refused(String code, String field, Object value, Double min, Double max, String message) {
    super(message);
    this.code = code;
    this.field = field;
    this.value = value;
    this.min = min;
    this.max = max;
  }

  /** A refusal without a numeric range. */
  public Refused(String code, String field, Object value, String message) {
    this(code, field, value, null, null, message);
  }

  public String code() {
    return code;
  }

  public String field() {
    return field;
  }

  public Object value() {
    return value;
  }

  public Double min() {
    return min;
  }

  public Double max() {
    return max;
  }
}
