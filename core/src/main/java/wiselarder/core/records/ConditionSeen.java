package wiselarder.core.records;

import wiselarder.core.quantity.Check;

/**
 * Condition of a group as seen by eye and hand, on the scale of its species.
 *
 * @param weightKg mean weight a head if they were weighed, else null
 */
public record ConditionSeen(String groupId, double score, Double weightKg) implements Fact {
  public ConditionSeen {
    groupId = Check.text("record.groupId", groupId, 40);
    Check.range("condition.score", score, 1, 9);
    if (weightKg != null) {
      Check.range("condition.weightKg", weightKg, 2, 1500);
    }
  }
}
