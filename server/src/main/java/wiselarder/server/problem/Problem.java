package wiselarder.server.problem;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Reason;
import wiselarder.core.quantity.Refusal;
import wiselarder.core.quantity.Refused;

/**
 * A refusal as it is sent.
 *
 * @param code of the {@link Reason}
 * @param field path of the input, its unit at its end, or empty
 * @param values by name, in SI
 * @param place in a file or request, or empty
 */
public record Problem(String code, String field, Map<String, Object> values, String place) {
  /** Every reason there is, the core's first, by its code. */
  public static final Map<String, Reason> REASONS = reasons();

  public static Problem of(Refused r) {
    return of(r.refusal(), r.place());
  }

  public static Problem of(Refusal r) {
    return of(r, "");
  }

  private static Problem of(Refusal r, String place) {
    return new Problem(r.reason().code(), r.field(), r.values(), place);
  }

  private static Map<String, Reason> reasons() {
    Map<String, Reason> all = new LinkedHashMap<>();
    for (Reason[] some : List.of(CoreReason.values(), ServerReason.values())) {
      for (Reason r : some) {
        if (all.putIfAbsent(r.code(), r) != null) {
          throw new IllegalStateException(r.code() + " is there twice");
        }
      }
    }
    return all;
  }
}
