package wiselarder.core.quantity;

/** What was stated cannot be taken; {@link Refusal} says what and why. */
public final class Refused extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient Refusal refusal;

  /** Place in a file or request where it stands, or empty. */
  private final String place;

  /**
   * A refusal with its values.
   *
   * @param values in the reason's order
   */
  public Refused(Reason reason, String field, Object... values) {
    this(Refusal.of(reason, field, values), "");
  }

  private Refused(Refusal refusal, String place) {
    super(place.isEmpty() ? refusal.toString() : place + ": " + refusal);
    this.refusal = refusal;
    this.place = place;
  }

  /** The same with the place where it stands in a file or request. */
  public Refused at(String where) {
    return new Refused(refusal, where);
  }

  public Refusal refusal() {
    return refusal;
  }

  /** Place in a file or request where it stands, such as {@code plans[0].farm}; or empty. */
  public String place() {
    return place;
  }

  public Reason reason() {
    return refusal.reason();
  }

  public String code() {
    return refusal.reason().code();
  }

  public String field() {
    return refusal.field();
  }
}
