package wiselarder.server.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.edit.Rebase;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.server.problem.Problem;

/**
 * The same edits in another plan of the farm: only what they change of this plan is changed there,
 * so that what is otherwise there stays so.
 */
public final class AlsoIn {
  private AlsoIn() {}

  /**
   * Another plan that is to be changed in the same step.
   *
   * @param plan its address
   * @param onTopOf null, or its revision of which the person has been told what clashes
   */
  public record Place(String plan, Integer onTopOf) {
    public Place {
      plan = Check.text("alsoIn.plan", plan, 80);
    }
  }

  /**
   * What stands against a change in another plan.
   *
   * @param revision of that plan
   * @param clashes what is otherwise there and would be overwritten
   * @param refused why it cannot be made there at all, or null
   */
  public record Against(
      String plan, String name, int revision, List<Rebase.Clash> clashes, Problem refused) {}

  /** A change that is ready to be stored; without edits where nothing of it is to be done. */
  record Made(FarmPlan content, List<PlanEdit> edits) {}

  /**
   * Makes a change in another plan.
   *
   * @param base this plan before the edits
   * @param edits that were made on it
   * @param against told to, where something stands against it
   * @return empty where the plan cannot take them, or where it would lose what nobody has seen
   */
  static Optional<Made> in(
      Engine engine,
      StoredPlan other,
      Integer onTopOf,
      FarmPlan base,
      List<PlanEdit> edits,
      List<Against> against) {
    FarmPlan there = other.content();
    Rebase.Outcome outcome = Rebase.onTop(base, there, todo(there, edits));
    String name = there.plan().name();
    boolean told = onTopOf != null && onTopOf == other.revision();
    try {
      FarmPlan changed = engine.changed(there, outcome.edits());
      if (outcome.clashes().isEmpty() || told) {
        return Optional.of(new Made(changed, changed.equals(there) ? List.of() : outcome.edits()));
      }
      against.add(new Against(other.slug(), name, other.revision(), outcome.clashes(), null));
    } catch (Refused r) {
      against.add(refused(other, r));
    }
    return Optional.empty();
  }

  static Against refused(StoredPlan other, Refused r) {
    String name = other.content().plan().name();
    return new Against(other.slug(), name, other.revision(), List.of(), Problem.of(r));
  }

  /** What is gone there already need not be removed. */
  private static List<PlanEdit> todo(FarmPlan there, List<PlanEdit> edits) {
    List<PlanEdit> todo = new ArrayList<>();
    for (PlanEdit e : edits) {
      if (!(e instanceof PlanEdit.Remove<?> r) || has(there, r.items(), r.id())) {
        todo.add(e);
      }
    }
    return todo;
  }

  private static <T extends Record> boolean has(FarmPlan in, Items<T> items, String id) {
    return items.in(in).stream().anyMatch(t -> items.id(t).equals(id));
  }
}
