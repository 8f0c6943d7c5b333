package wiselarder.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.store.Lot;

/**
 * Puts edits that were made on an older state of the plan on top of what others made of it since.
 * Members that only one side changed are kept from that side; where both changed the same member,
 * mine holds and the clash is listed, so that nothing of theirs goes unseen.
 */
public final class Rebase {
  /**
   * The outcome.
   *
   * @param edits to apply on the current state
   * @param clashes what of theirs these edits overwrite
   */
  public record Outcome(List<PlanEdit> edits, List<Clash> clashes) {}

  /**
   * What both changed.
   *
   * @param name the field, group or lot
   * @param member as {@link Members.Member#member}, or empty where the whole thing is meant
   * @param mine null with {@code theirs} null: they removed what I changed
   */
  public record Clash(String name, String member, Object mine, Object theirs) {}

  private final FarmPlan base;
  private final FarmPlan theirs;
  private final List<Clash> clashes = new ArrayList<>();

  private Rebase(FarmPlan base, FarmPlan theirs) {
    this.base = base;
    this.theirs = theirs;
  }

  /** Puts {@code mine}, made on {@code base}, on top of {@code theirs}. */
  public static Outcome onTop(FarmPlan base, FarmPlan theirs, List<PlanEdit> mine) {
    Rebase rebase = new Rebase(base, theirs);
    return new Outcome(mine.stream().map(rebase::edit).toList(), List.copyOf(rebase.clashes));
  }

  private PlanEdit edit(PlanEdit e) {
    if (e instanceof PlanEdit.PutField put) {
      return new PlanEdit.PutField(
          item(put.field(), p -> p.farm().fields(), Field::id, Field::name));
    }
    if (e instanceof PlanEdit.PutGroup put) {
      return new PlanEdit.PutGroup(
          item(put.group(), p -> p.farm().groups(), AnimalGroup::id, AnimalGroup::name));
    }
    if (e instanceof PlanEdit.PutLot put) {
      return new PlanEdit.PutLot(item(put.lot(), p -> p.farm().lots(), Lot::id, Lot::name));
    }
    if (e instanceof PlanEdit.ShutField shut) {
      return new PlanEdit.ShutField(
          item(shut.closing(), p -> p.plan().closings(), Closing::id, c -> fieldName(c.fieldId())));
    }
    if (e instanceof PlanEdit.PutCut put) {
      return new PlanEdit.PutCut(
          item(put.cut(), p -> p.plan().cuts(), HayCut::id, c -> fieldName(c.fieldId())));
    }
    if (e instanceof PlanEdit.BuyHay buy) {
      return new PlanEdit.BuyHay(
          item(buy.purchase(), p -> p.plan().purchases(), Purchase::id, p -> p.lot().name()));
    }
    if (e instanceof PlanEdit.Put<?> put) {
      return onTop(put);
    }
    if (e instanceof PlanEdit.SetFarm set) {
      return merged(set, PlanEdit.SetFarm.of(base.farm()), PlanEdit.SetFarm.of(theirs.farm()), "");
    }
    if (e instanceof PlanEdit.SetYear set) {
      return merged(
          set,
          new PlanEdit.SetYear(base.plan().year()),
          new PlanEdit.SetYear(theirs.plan().year()),
          "");
    }
    if (e instanceof PlanEdit.SetFeeding set) {
      feeding(set);
    }
    return e;
  }

  private <T extends Record> PlanEdit onTop(PlanEdit.Put<T> put) {
    Items<T> items = put.items();
    return new PlanEdit.Put<>(
        items, item(put.item(), items::in, items::id, t -> items.name(theirs, t)));
  }

  private <T extends Record> T item(
      T mine, Function<FarmPlan, List<T>> list, Function<T, String> id, Function<T, String> name) {
    Optional<T> was = find(list.apply(base), mine, id);
    Optional<T> is = find(list.apply(theirs), mine, id);
    if (was.isPresent() && is.isPresent()) {
      return merged(mine, was.get(), is.get(), name.apply(mine));
    }
    if (was.isPresent() || is.isPresent()) {
      clashes.add(new Clash(name.apply(mine), "", null, null));
    }
    return mine;
  }

  private <T extends Record> T merged(T mine, T was, T is, String name) {
    List<Members.Member> both = new ArrayList<>();
    T merged = Members.merge(was, mine, is, both);
    both.forEach(m -> clashes.add(new Clash(name, m.member(), m.before(), m.after())));
    return merged;
  }

  private void feeding(PlanEdit.SetFeeding set) {
    List<FeedStep> was = Difference.stepsOf(base, set.groupId());
    List<FeedStep> is = Difference.stepsOf(theirs, set.groupId());
    if (!is.equals(was) && !is.equals(set.steps()) && !set.steps().equals(was)) {
      clashes.add(new Clash(groupName(set.groupId()), "plan.steps", null, null));
    }
  }

  private static <T> Optional<T> find(List<T> in, T like, Function<T, String> id) {
    return in.stream().filter(t -> id.apply(t).equals(id.apply(like))).findFirst();
  }

  private String fieldName(String id) {
    return theirs.farm().fields().stream()
        .filter(f -> f.id().equals(id))
        .map(Field::name)
        .findFirst()
        .orElse(id);
  }

  private String groupName(String id) {
    return theirs.farm().groups().stream()
        .filter(g -> g.id().equals(id))
        .map(AnimalGroup::name)
        .findFirst()
        .orElse(id);
  }
}
