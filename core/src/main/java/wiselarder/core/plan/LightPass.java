package wiselarder.core.plan;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * Passes made for light, not for feed: within [fromInclusive, toExclusive), each time the field
 * stands higher than {@code whenKgPerHa}, the group takes it down to {@code leaveKgPerHa} before it
 * eats anything else, whether the field is shut or not. How many passes that makes is left to the
 * weather.
 *
 * @param whenKgPerHa cover at which a pass starts, kg DM/ha
 * @param leaveKgPerHa cover that is left; less than {@code whenKgPerHa}
 */
public record LightPass(
    String id,
    String fieldId,
    String groupId,
    LocalDate fromInclusive,
    LocalDate toExclusive,
    double whenKgPerHa,
    double leaveKgPerHa) {
  public static final Stated.Figure WHEN_KG_PER_HA = Stated.number("pass.whenKgPerHa", 100, 20000);
  public static final Stated.Figure LEAVE_KG_PER_HA = Stated.number("pass.leaveKgPerHa", 50, 20000);

  public LightPass {
    id = Check.text("pass.id", id, 80);
    Check.text("pass.fieldId", fieldId, 40);
    Check.text("pass.groupId", groupId, 40);
    Check.present("pass.fromInclusive", fromInclusive);
    Check.present("pass.toExclusive", toExclusive);
    Check.ordered("pass.dates", fromInclusive, toExclusive);
    WHEN_KG_PER_HA.check(whenKgPerHa);
    LEAVE_KG_PER_HA.check(leaveKgPerHa, 50, whenKgPerHa - 10);
  }
}
