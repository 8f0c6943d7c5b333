package wiselarder.core.plan;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * One step in a group's order of feeds: between these dates it may eat these fields, or these lots.
 * Steps are taken in the order they stand in the plan. Within a step of fields the herd stays until
 * a field is down to its residual, then goes to the one furthest ahead; within a step of lots it
 * eats them in order. A step without sources means every field, or the whole store, also what is
 * added later: of the store first the poorest lot that is good enough for the group on that day, so
 * that the best is left for those who need it; without one that is good enough, the best.
 *
 * @param fromInclusive null: from the plan's first day
 * @param toExclusive null: to the plan's end
 * @param portion how much of a day this step gives; null: whatever is still wanted
 * @param roundDays of a grazing step: the rotation is held at this many days for one round, on
 *     growing and standing feed alike, and the next steps feed what that leaves wanting; null:
 *     stock move when a piece is eaten
 */
public record FeedStep(
    String id,
    String groupId,
    Kind kind,
    List<String> sourceIds,
    LocalDate fromInclusive,
    LocalDate toExclusive,
    Portion portion,
    Integer roundDays) {
  public static final Stated.Figure ROUND_DAYS = Stated.whole("step.roundDays", 5, 365).orNone();

  /** From where a step feeds. */
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
    ROUND_DAYS.check(roundDays);
    if (roundDays != null && kind == Kind.STORE) {
      throw new Refused(CoreReason.ROUND_OF_STORE, "step.roundDays");
    }
  }

  /** A step that may give the whole of what is eaten. */
  public FeedStep(
      String id,
      String groupId,
      Kind kind,
      List<String> sourceIds,
      LocalDate fromInclusive,
      LocalDate toExclusive) {
    this(id, groupId, kind, sourceIds, fromInclusive, toExclusive, null, null);
  }

  public FeedStep from(List<String> sources) {
    return new FeedStep(id, groupId, kind, sources, fromInclusive, toExclusive, portion, roundDays);
  }

  public FeedStep named(String other) {
    return new FeedStep(
        other, groupId, kind, sourceIds, fromInclusive, toExclusive, portion, roundDays);
  }

  /** The same on other days. */
  public FeedStep between(LocalDate from, LocalDate to) {
    return new FeedStep(id, groupId, kind, sourceIds, from, to, portion, roundDays);
  }

  /** The same with the rotation held at so many days. */
  public FeedStep inRounds(int days) {
    return new FeedStep(
        id, groupId, kind, sourceIds, fromInclusive, toExclusive, portion, Integer.valueOf(days));
  }

  /** What a new group does until somebody says otherwise: graze every field, then eat the store. */
  public static List<FeedStep> usual(String groupId) {
    return List.of(
        new FeedStep(groupId + "-graze", groupId, Kind.GRAZE, List.of(), null, null),
        new FeedStep(groupId + "-store", groupId, Kind.STORE, List.of(), null, null));
  }
}
