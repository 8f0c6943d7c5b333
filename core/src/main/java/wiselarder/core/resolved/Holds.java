package wiselarder.core.resolved;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.caution.Caution;
import wiselarder.core.land.Field;
import wiselarder.core.store.Lot;

/**
 * What cautions and keepers shut on each day of one weather: fields to all or to one group, lots.
 */
public final class Holds {
  private final int fields;

  /** By day and field; and the same of each group that a caution names, or null. */
  private final boolean[] held;

  private final boolean[][] toGroup;

  /** By lot: shut to all until it is tested or cleared. */
  private final boolean[] lots;

  Holds(ResolvedPlan plan) {
    fields = plan.fields.length;
    held = new boolean[plan.days * fields];
    toGroup = new boolean[plan.groups.length][];
    lots = new boolean[plan.lots.length];
    Map<String, Integer> fieldAt = new HashMap<>();
    List<Field> stated = plan.stated.farm().fields();
    for (int f = 0; f < fields; f++) {
      fieldAt.put(stated.get(f).id(), f);
    }
    Map<String, Integer> groupAt = new HashMap<>();
    for (int g = 0; g < plan.groups.length; g++) {
      groupAt.put(plan.groups[g].group.id(), g);
    }
    for (Caution c : plan.cautions) {
      if (c.blocks() && c.fieldId() != null) {
        hold(c, fieldAt.get(c.fieldId()), groupAt.get(c.groupId()), plan.days);
      }
    }
    HeldByHand.of(plan.records, plan.year).stream()
        .filter(h -> fieldAt.containsKey(h.fieldId()))
        .forEach(h -> hold(held, h.fromDay(), h.toDay(), fieldAt.get(h.fieldId())));
    lots(plan);
  }

  private void hold(Caution c, int field, Integer group, int days) {
    boolean[] of = held;
    if (c.groupId() != null) {
      toGroup[group] = toGroup[group] == null ? new boolean[held.length] : toGroup[group];
      of = toGroup[group];
    }
    hold(of, c.fromDay(), Math.min(days, c.toDay()), field);
  }

  private void hold(boolean[] of, int from, int to, int field) {
    for (int d = Math.max(0, from); d < to; d++) {
      of[d * fields + field] = true;
    }
  }

  private void lots(ResolvedPlan plan) {
    for (int l = 0; l < lots.length; l++) {
      Lot lot = plan.lots[l].lot;
      lots[l] =
          plan.cautions.stream()
              .anyMatch(c -> c.blocks() && c.groupId() == null && lot.id().equals(c.lotId()));
    }
  }

  /** True where a field is shut to everybody on a day. */
  public boolean field(int field, int day) {
    return held[day * fields + field];
  }

  /** True where a field is shut to a group alone on a day. */
  public boolean group(int group, int field, int day) {
    return toGroup[group] != null && toGroup[group][day * fields + field];
  }

  /** True where a lot is shut to everybody. */
  public boolean lot(int lot) {
    return lots[lot];
  }

  /** First day on which two differ; 0 where in lots; -1 where never. */
  int mismatch(Holds other) {
    if (!Arrays.equals(lots, other.lots) || held.length != other.held.length) {
      return 0;
    }
    int first = Arrays.mismatch(held, other.held);
    for (int g = 0; g < toGroup.length; g++) {
      boolean[] a = toGroup[g] == null ? new boolean[held.length] : toGroup[g];
      boolean[] b = other.toGroup[g] == null ? new boolean[held.length] : other.toGroup[g];
      int at = Arrays.mismatch(a, b);
      first = at < 0 ? first : first < 0 ? at : Math.min(first, at);
    }
    return first < 0 ? -1 : first / Math.max(1, fields);
  }
}
