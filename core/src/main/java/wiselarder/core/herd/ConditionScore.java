package wiselarder.core.herd;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * Condition of a group as seen by eye and hand, on the scale of its species.
 *
 * @param weightKg mean weight a head if they were weighed, else null
 */
public record ConditionScore(LocalDate date, double score, Double weightKg) {
  public static final Stated.Figure WEIGHT_KG =
      Stated.number("condition.weightKg", 2, 1500).orNone();
  public static final Stated.Figure SCORE = Stated.number("condition.score", 1, 9);

  public ConditionScore {
    Check.present("condition.date", date);
    SCORE.check(score);
    WEIGHT_KG.check(weightKg);
  }
}
