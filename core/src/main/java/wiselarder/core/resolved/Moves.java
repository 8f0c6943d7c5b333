package wiselarder.core.resolved;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import wiselarder.core.records.HerdMoved;

/**
 * Where groups were brought, as it was written down. From one move to the next a group is where it
 * was brought; after the last one the plan goes on from there by its own rules. Of several of a day
 * the one written last counts; what the plan does not know is left out.
 */
public final class Moves {
  /** Nothing was written down. */
  public static final int AS_PLANNED = -1;

  /** On no field: it is fed. */
  public static final int OFF_FIELDS = -2;

  /** By group: place of the field by day, or one of the above; null where nothing was written. */
  private final int[][] on;

  /** By group: day since which it is there. */
  private final int[][] since;

  private Moves(int groups) {
    on = new int[groups][];
    since = new int[groups][];
  }

  static Moves of(ResolvedPlan plan, Map<String, Integer> fieldIndex) {
    Map<String, Integer> groupIndex = new HashMap<>();
    for (int g = 0; g < plan.groups.length; g++) {
      groupIndex.put(plan.groups[g].group.id(), g);
    }
    Map<Integer, NavigableMap<Integer, Integer>> moves = new HashMap<>();
    plan.records.each(
        HerdMoved.class,
        (r, m) -> {
          Integer group = groupIndex.get(m.groupId());
          Integer field = m.fieldId() == null ? (Integer) OFF_FIELDS : fieldIndex.get(m.fieldId());
          int day = plan.year.day(r.on());
          if (group != null && field != null && day >= 0 && day < plan.days) {
            moves.computeIfAbsent(group, g -> new TreeMap<>()).put(day, field);
          }
        });
    Moves found = new Moves(plan.groups.length);
    moves.forEach((g, of) -> found.take(g, of, plan.days));
    return found;
  }

  private void take(int g, NavigableMap<Integer, Integer> moves, int days) {
    on[g] = new int[days];
    since[g] = new int[days];
    Arrays.fill(on[g], AS_PLANNED);
    moves.forEach(
        (day, field) -> {
          Integer next = moves.higherKey(day);
          int to = next == null ? day + 1 : next;
          Arrays.fill(on[g], day, to, field);
          Arrays.fill(since[g], day, to, day);
        });
  }

  /** Place of the field that a group is known to be on, or one of the above. */
  public int on(int group, int day) {
    return on[group] == null ? AS_PLANNED : on[group][day];
  }

  /** Day of the move that brought it there; only where one is known. */
  public int since(int group, int day) {
    return since[group][day];
  }

  /** True where anything was written of a group. */
  public boolean any(int group) {
    return on[group] != null;
  }
}
