package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.edit.Rebase;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Items;

/**
 * Several ways out of a gap, each found on the plan as it stands, as edits that can be made one
 * after the other. What two of them add to one order of feeds, or to one group, is added twice; of
 * a thing that both set otherwise the later holds.
 */
public final class Together {
  private final FarmPlan base;
  private final List<PlanEdit> edits = new ArrayList<>();
  private FarmPlan running;

  private Together(FarmPlan base) {
    this.base = base;
    this.running = base;
  }

  /** The edits of all ways, in their order. */
  public static List<PlanEdit> of(FarmPlan base, List<List<PlanEdit>> ways) {
    Together set = new Together(base);
    for (List<PlanEdit> way : ways) {
      way.forEach(set::add);
    }
    return List.copyOf(set.edits);
  }

  private void add(PlanEdit edit) {
    PlanEdit onTop = onTop(edit);
    running = onTop.apply(running);
    edits.add(onTop);
  }

  private PlanEdit onTop(PlanEdit edit) {
    if (edit instanceof PlanEdit.SetFeeding feeding) {
      return feeding(feeding);
    }
    PlanEdit merged = Rebase.onTop(base, running, List.of(edit)).edits().get(0);
    if (edit instanceof PlanEdit.Put<?> put && put.item() instanceof AnimalGroup mine) {
      return group(mine, (AnimalGroup) ((PlanEdit.Put<?>) merged).item());
    }
    return merged;
  }

  /** What comes and goes by either. */
  private PlanEdit group(AnimalGroup mine, AnimalGroup merged) {
    List<HeadChange> fresh = new ArrayList<>(mine.changes());
    changes(base, mine.id()).forEach(fresh::remove);
    List<HeadChange> all = new ArrayList<>(changes(running, mine.id()));
    all.addAll(fresh);
    return new PlanEdit.Put<>(Items.GROUPS, merged.withChanges(all));
  }

  private static List<HeadChange> changes(FarmPlan in, String group) {
    return in.farm().groups().stream()
        .filter(g -> g.id().equals(group))
        .findFirst()
        .map(AnimalGroup::changes)
        .orElse(List.of());
  }

  /** Steps that a way adds before and after those of the plan are put about what there is now. */
  private PlanEdit feeding(PlanEdit.SetFeeding mine) {
    List<FeedStep> was = steps(base, mine.groupId());
    List<FeedStep> now = steps(running, mine.groupId());
    Set<String> known = new HashSet<>();
    was.forEach(s -> known.add(s.id()));
    List<String> taken =
        new ArrayList<>(running.plan().steps().stream().map(FeedStep::id).toList());
    List<FeedStep> first = new ArrayList<>();
    List<FeedStep> last = new ArrayList<>();
    boolean past = false;
    for (FeedStep step : mine.steps()) {
      if (known.contains(step.id())) {
        past = true;
      } else {
        FeedStep fresh = step.named(Trial.freeId(step.id(), taken));
        taken.add(fresh.id());
        (past ? last : first).add(fresh);
      }
    }
    List<FeedStep> all = new ArrayList<>(first);
    all.addAll(now);
    all.addAll(last);
    return new PlanEdit.SetFeeding(mine.groupId(), all);
  }

  private static List<FeedStep> steps(FarmPlan in, String group) {
    return in.plan().steps().stream().filter(s -> s.groupId().equals(group)).toList();
  }
}
