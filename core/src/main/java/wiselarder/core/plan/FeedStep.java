package wiselarder.core.plan;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.quantity.Check;

/**
 * One step in a group's order of feeds: between these dates it may eat these fields, or these lots.
 * Steps are taken in the order they stand in the plan. Within a step of fields the herd stays until
 * a field is down to its residual, then goes to the one furthest ahead; within a step of lots it
 * eats them in order. A step without sources means every field, or the whole store, in its own
 * order: also what is added later.
 *
 * @param fromInclusive null: from the plan's first day
 * @param toExclusive null: to the plan's end
 */
public record FeedStep(
    String id,
    String groupId,
    Kind kind,
    List<String> sourceIds,
    LocalDate fromInclusive,
    LocalDate toExclusive) {

  public enum Kind {
    GRAZE,
    STORE
  }

  public FeedStep {
    id = Check.text("step.id", id, 80);
    Check.text("step.groupId", groupId, 40);
    Check.present("step.kind", kind);
    sourceIds = List.copyOf(Check.present("step.sourceIds", sourceIds));
    Check.ordered("step.dates", fromInclusive, toExclusive);
  }

  /** What a new group does until somebody says otherwise: graze every field, then eat the store. */
  public static List<FeedStep> usual(String groupId) {
    return List.of(
        new FeedStep(groupId + "-graze", groupId, Kind.GRAZE, List.of(), null, null),
        new FeedStep(groupId + "-store", groupId, Kind.STORE, List.of(), null, null));
  }
}
