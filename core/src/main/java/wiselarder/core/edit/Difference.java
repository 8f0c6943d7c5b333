package wiselarder.core.edit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Thing;

/** What has to change in one farm and plan to make it another. */
public final class Difference {
  private Difference() {}

  /** How a thing changes. */
  public enum Kind {
    ADDED,
    REMOVED,
    CHANGED
  }

  /**
   * One thing that changes.
   *
   * @param members those that differ; of something planned that is added, those that it states
   */
  public record Change(Thing what, Kind kind, String name, List<Members.Member> members) {}

  /** Every change from one to the other: settings, land, herd, store, then what is intended. */
  public static List<Change> between(FarmPlan before, FarmPlan after) {
    List<Change> changes = new ArrayList<>();
    Farm a = after.farm();
    one(Thing.SETTINGS, a.name(), bare(before.farm()), bare(a), changes);
    one(Thing.YEAR, after.plan().name(), intended(before.plan()), intended(after.plan()), changes);
    for (Items<?> items : Items.ALL) {
      if (items == Items.STEPS) {
        feeding(before, after, changes);
      } else {
        listed(items, before, after, changes);
      }
    }
    return List.copyOf(changes);
  }

  private static <T extends Record> void listed(
      Items<T> items, FarmPlan before, FarmPlan after, List<Change> changes) {
    Map<String, T> left = new LinkedHashMap<>();
    items.in(before).forEach(t -> left.put(items.id(t), t));
    for (T item : items.in(after)) {
      T was = left.remove(items.id(item));
      if (was == null) {
        List<Members.Member> states = PLANNED.contains(items) ? Members.stated(item) : List.of();
        changes.add(new Change(items.thing(), Kind.ADDED, items.name(after, item), states));
      } else {
        one(items.thing(), items.name(after, item), was, item, changes);
      }
    }
    left.values()
        .forEach(
            t ->
                changes.add(
                    new Change(items.thing(), Kind.REMOVED, items.name(before, t), List.of())));
  }

  /** What is said of these is when and how much; a field or group is named only. */
  private static final List<Items<?>> PLANNED =
      List.of(
          Items.CLOSINGS,
          Items.CUTS,
          Items.PURCHASES,
          Items.SOWINGS,
          Items.DRESSINGS,
          Items.IRRIGATIONS,
          Items.PASSES,
          Items.JOBS,
          Items.RUNGS,
          Items.BALES,
          Items.BREAKS,
          Items.GROUND);

  private static Farm bare(Farm f) {
    return f.withFields(List.of())
        .withGroups(List.of())
        .withLots(List.of())
        .withForages(List.of())
        .withPrices(List.of())
        .withSeeds(List.of());
  }

  private static Plan intended(Plan p) {
    return Plan.bare(p.name(), p.year());
  }

  private static void one(
      Thing what, String name, Record before, Record after, List<Change> changes) {
    List<Members.Member> members = Members.differing(before, after);
    if (!members.isEmpty()) {
      changes.add(new Change(what, Kind.CHANGED, name, members));
    }
  }

  /**
   * Orders of feeds are compared whole, group by group; that of a new or gone group goes with it.
   */
  private static void feeding(FarmPlan before, FarmPlan after, List<Change> changes) {
    for (AnimalGroup group : after.farm().groups()) {
      boolean stays = before.farm().groups().stream().anyMatch(g -> g.id().equals(group.id()));
      if (stays && !stepsOf(before, group.id()).equals(stepsOf(after, group.id()))) {
        changes.add(new Change(Thing.FEEDING, Kind.CHANGED, group.name(), List.of()));
      }
    }
  }

  static List<FeedStep> stepsOf(FarmPlan of, String groupId) {
    return of.plan().steps().stream().filter(s -> s.groupId().equals(groupId)).toList();
  }
}
