package wiselarder.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.store.Lot;

/** What has to change in one farm and plan to make it another. */
public final class Difference {
  private Difference() {}

  /** What kind of thing changes. */
  public enum What {
    SETTINGS,
    YEAR,
    FIELD,
    GROUP,
    LOT,
    FEEDING,
    CLOSING,
    CUT,
    PURCHASE,
    SOWING,
    DRESSING,
    IRRIGATION,
    SCENARIO,
    PASS,
    FORAGE,
    /** A report on a lot; a record, not a part of the plan. */
    TEST
  }

  /** How it changes. */
  public enum Kind {
    ADDED,
    REMOVED,
    CHANGED
  }

  /** One thing that changes; {@code members} only where it is there before and after. */
  public record Change(What what, Kind kind, String name, List<Members.Member> members) {}

  /** Every change from one to the other: settings, land, herd, store, then what is intended. */
  public static List<Change> between(FarmPlan before, FarmPlan after) {
    List<Change> changes = new ArrayList<>();
    Farm b = before.farm();
    Farm a = after.farm();
    one(What.SETTINGS, a.name(), bare(b), bare(a), changes);
    one(What.YEAR, after.plan().name(), intended(before.plan()), intended(after.plan()), changes);
    items(What.FIELD, b.fields(), a.fields(), Field::id, Field::name, changes);
    items(What.GROUP, b.groups(), a.groups(), AnimalGroup::id, AnimalGroup::name, changes);
    items(What.LOT, b.lots(), a.lots(), Lot::id, Lot::name, changes);
    feeding(before, after, changes);
    Function<Closing, String> shut = c -> nameOf(before, after, c.fieldId());
    items(
        What.CLOSING,
        before.plan().closings(),
        after.plan().closings(),
        Closing::id,
        shut,
        changes);
    Function<HayCut, String> cut = c -> nameOf(before, after, c.fieldId());
    items(What.CUT, before.plan().cuts(), after.plan().cuts(), HayCut::id, cut, changes);
    Function<Purchase, String> bought = p -> p.lot().name();
    items(
        What.PURCHASE,
        before.plan().purchases(),
        after.plan().purchases(),
        Purchase::id,
        bought,
        changes);
    Items.ALL.forEach(listed -> listed(listed, before, after, changes));
    return List.copyOf(changes);
  }

  private static <T extends Record> void listed(
      Items<T> listed, FarmPlan before, FarmPlan after, List<Change> changes) {
    items(
        listed.kind(),
        listed.in(before),
        listed.in(after),
        listed::id,
        t -> listed.name(listed.in(after).contains(t) ? after : before, t),
        changes);
  }

  private static Farm bare(Farm f) {
    return f.withFields(List.of()).withGroups(List.of()).withLots(List.of()).withForages(List.of());
  }

  private static Plan intended(Plan p) {
    return Plan.bare(p.name(), p.year());
  }

  private static void one(
      What what, String name, Record before, Record after, List<Change> changes) {
    List<Members.Member> members = Members.differing(before, after);
    if (!members.isEmpty()) {
      changes.add(new Change(what, Kind.CHANGED, name, members));
    }
  }

  private static <T extends Record> void items(
      What what,
      List<T> before,
      List<T> after,
      Function<T, String> id,
      Function<T, String> name,
      List<Change> changes) {
    Map<String, T> left = new LinkedHashMap<>();
    before.forEach(t -> left.put(id.apply(t), t));
    for (T item : after) {
      T was = left.remove(id.apply(item));
      if (was == null) {
        changes.add(new Change(what, Kind.ADDED, name.apply(item), List.of()));
      } else {
        one(what, name.apply(item), was, item, changes);
      }
    }
    left.values()
        .forEach(t -> changes.add(new Change(what, Kind.REMOVED, name.apply(t), List.of())));
  }

  /**
   * Orders of feeds are compared whole, group by group; that of a new or gone group goes with it.
   */
  private static void feeding(FarmPlan before, FarmPlan after, List<Change> changes) {
    for (AnimalGroup group : after.farm().groups()) {
      boolean stays = before.farm().groups().stream().anyMatch(g -> g.id().equals(group.id()));
      if (stays && !stepsOf(before, group.id()).equals(stepsOf(after, group.id()))) {
        changes.add(new Change(What.FEEDING, Kind.CHANGED, group.name(), List.of()));
      }
    }
  }

  static List<FeedStep> stepsOf(FarmPlan of, String groupId) {
    return of.plan().steps().stream().filter(s -> s.groupId().equals(groupId)).toList();
  }

  private static String nameOf(FarmPlan before, FarmPlan after, String fieldId) {
    return java.util.stream.Stream.of(after, before)
        .flatMap(p -> p.farm().fields().stream())
        .filter(f -> f.id().equals(fieldId))
        .map(Field::name)
        .findFirst()
        .orElse(fieldId);
  }
}
