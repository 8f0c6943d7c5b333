package wiselarder.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Items;
import wiselarder.core.quantity.Refused;

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
   * @param member as {@link Members.Member#member}; empty where they removed or made the whole
   *     thing that I changed; {@link #REMOVED} or {@link #PARTED}
   * @param mine null with {@code theirs} null where the whole thing is meant
   */
  public record Clash(String name, String member, Object mine, Object theirs) {}

  /** I remove what they changed or made. */
  public static final String REMOVED = "item.removed";

  /** I part a field that they changed. */
  public static final String PARTED = "field.parted";

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
      return feeding(set);
    }
    if (e instanceof PlanEdit.NamePlan named) {
      return named(named);
    }
    if (e instanceof PlanEdit.Remove<?>) {
      removed(e);
    }
    if (e instanceof PlanEdit.SplitField split) {
      parted(split.id());
    }
    if (e instanceof PlanEdit.PartField part) {
      parted(part.id());
    }
    return e;
  }

  private PlanEdit named(PlanEdit.NamePlan mine) {
    String was = base.plan().name();
    String is = theirs.plan().name();
    if (mine.name().equals(was)) {
      return new PlanEdit.NamePlan(is);
    }
    if (!is.equals(was) && !is.equals(mine.name())) {
      clashes.add(new Clash("", "plan.name", mine.name(), is));
    }
    return mine;
  }

  /** What goes with a removal, of all that they changed or made. */
  private void removed(PlanEdit mine) {
    FarmPlan left;
    try {
      left = mine.apply(theirs);
    } catch (Refused refused) {
      return; // it cannot be made at all, which is told in its turn
    }
    for (Items<?> items : Items.ALL) {
      removed(items, left);
    }
  }

  private <T extends Record> void removed(Items<T> items, FarmPlan left) {
    List<T> was = items.in(base);
    for (T is : items.in(theirs)) {
      if (!was.contains(is) && find(items, left, is).isEmpty()) {
        clashes.add(new Clash(items.name(theirs, is), REMOVED, null, null));
      }
    }
  }

  private void parted(String fieldId) {
    Items.FIELDS.in(theirs).stream()
        .filter(f -> f.id().equals(fieldId) && !Items.FIELDS.in(base).contains(f))
        .forEach(f -> clashes.add(new Clash(f.name(), PARTED, null, null)));
  }

  private <T extends Record> PlanEdit onTop(PlanEdit.Put<T> put) {
    Items<T> items = put.items();
    return new PlanEdit.Put<>(items, item(put.item(), items));
  }

  private <T extends Record> T item(T mine, Items<T> items) {
    Optional<T> was = find(items, base, mine);
    Optional<T> is = find(items, theirs, mine);
    if (was.isPresent() && is.isPresent()) {
      return merged(mine, was.get(), is.get(), items.name(theirs, mine));
    }
    if (was.isPresent() || is.isPresent()) {
      clashes.add(new Clash(items.name(theirs, mine), "", null, null));
    }
    return mine;
  }

  private <T extends Record> T merged(T mine, T was, T is, String name) {
    List<Members.Member> both = new ArrayList<>();
    T merged = Members.merge(was, mine, is, both);
    both.forEach(m -> clashes.add(new Clash(name, m.member(), m.before(), m.after())));
    return merged;
  }

  private PlanEdit feeding(PlanEdit.SetFeeding set) {
    List<FeedStep> was = Difference.stepsOf(base, set.groupId());
    List<FeedStep> is = Difference.stepsOf(theirs, set.groupId());
    if (set.steps().equals(was)) {
      return new PlanEdit.SetFeeding(set.groupId(), is);
    }
    if (!is.equals(was) && !is.equals(set.steps())) {
      clashes.add(new Clash(groupName(set.groupId()), "plan.steps", null, null));
    }
    return set;
  }

  private static <T extends Record> Optional<T> find(Items<T> items, FarmPlan in, T like) {
    return items.in(in).stream().filter(t -> items.id(t).equals(items.id(like))).findFirst();
  }

  private String groupName(String id) {
    return theirs.farm().groups().stream()
        .filter(g -> g.id().equals(id))
        .map(AnimalGroup::name)
        .findFirst()
        .orElse(id);
  }
}
