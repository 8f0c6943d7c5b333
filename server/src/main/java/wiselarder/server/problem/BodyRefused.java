package wiselarder.server.problem;

import java.io.IOException;
import java.util.List;
import wiselarder.core.quantity.Reason;
import wiselarder.core.quantity.Refused;

/** A body that is not read to its end: too large, or too slow. */
public final class BodyRefused extends IOException {
  private static final long serialVersionUID = 1L;

  private final int status;
  private final transient Reason reason;
  private final transient List<Object> values;

  private BodyRefused(int status, Reason reason, Object... values) {
    super(reason.code());
    this.status = status;
    this.reason = reason;
    this.values = List.of(values);
  }

  /** Longer than the operation takes. */
  public static BodyRefused tooLarge(long mostBytes) {
    return new BodyRefused(413, ServerReason.BODY_TOO_LARGE, mostBytes / 1000);
  }

  /** Slower than any connection that is used. */
  public static BodyRefused tooSlow() {
    return new BodyRefused(408, ServerReason.BODY_TOO_SLOW);
  }

  /** The status of HTTP that says it. */
  public int status() {
    return status;
  }

  /** The same as a refusal. */
  public Refused refused() {
    return new Refused(reason, "", values.toArray());
  }
}
