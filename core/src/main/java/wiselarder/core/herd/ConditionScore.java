package wiselarder.core.herd;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;

/**
 * Condition of a group as seen by eye and hand, on the scale of its species.
 *
 * @param weightKg mean weight a head if they were weighed, else null
 */
public record ConditionScore(LocalDate date, double score, Double weightKg) {
  public ConditionScore {
    Check.present("condition.date", date);
    Check.range("condition.score", score, 1, 9);
    if (weightKg != null) {
      Check.range("condition.weightKg", weightKg, 2, 1500);
    }
  }
}
