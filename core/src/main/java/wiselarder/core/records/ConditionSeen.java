package wiselarder.core.records;

import wiselarder.core.herd.ConditionScore;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * Condition of a group as seen by eye and hand, on the scale of its species.
 *
 * @param weightKg mean weight a head if they were weighed, else null
 */
public record ConditionSeen(String groupId, double score, Double weightKg) implements Fact {
  public static final Stated.Figure WEIGHT_KG = ConditionScore.WEIGHT_KG;
  public static final Stated.Figure SCORE = ConditionScore.SCORE;

  public ConditionSeen {
    groupId = Check.text("record.groupId", groupId, 40);
    SCORE.check(score);
    WEIGHT_KG.check(weightKg);
  }

  @Override
  public boolean seenOnFarm() {
    return true;
  }
}
