package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
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

  /**
   * What a way does to an order of feeds, done to the order there is now: steps that it changes or
   * leaves out are changed and left out, and what it adds stands behind the step that it stood
   * behind, or first.
   */
  private PlanEdit feeding(PlanEdit.SetFeeding mine) {
    List<FeedStep> was = steps(base, mine.groupId());
    List<FeedStep> all = new ArrayList<>(steps(running, mine.groupId()));
    Set<String> known = new HashSet<>();
    was.forEach(s -> known.add(s.id()));
    Set<String> kept = new HashSet<>();
    mine.steps().forEach(s -> kept.add(s.id()));
    all.removeIf(s -> known.contains(s.id()) && !kept.contains(s.id()));
    List<String> taken =
        new ArrayList<>(running.plan().steps().stream().map(FeedStep::id).toList());
    int at = 0;
    for (FeedStep step : mine.steps()) {
      if (known.contains(step.id())) {
        int there = place(all, step.id());
        if (there >= 0 && !was.contains(step)) {
          all.set(there, merged(was.get(place(was, step.id())), step, all.get(there)));
        }
        at = there >= 0 ? there + 1 : at;
      } else {
        FeedStep fresh = step.named(Trial.freeId(step.id(), taken));
        taken.add(fresh.id());
        all.add(at++, fresh);
      }
    }
    return new PlanEdit.SetFeeding(mine.groupId(), all);
  }

  /** Where only the sources of a step are others, those that come and go are put on what is. */
  private static FeedStep merged(FeedStep was, FeedStep mine, FeedStep is) {
    if (was.sourceIds().isEmpty() || !mine.from(was.sourceIds()).equals(was)) {
      return mine;
    }
    List<String> sources = new ArrayList<>(is.sourceIds());
    sources.removeIf(s -> was.sourceIds().contains(s) && !mine.sourceIds().contains(s));
    mine.sourceIds().stream()
        .filter(s -> !was.sourceIds().contains(s) && !sources.contains(s))
        .forEach(sources::add);
    return sources.isEmpty() ? mine : is.from(sources);
  }

  private static int place(List<FeedStep> steps, String id) {
    return IntStream.range(0, steps.size())
        .filter(i -> steps.get(i).id().equals(id))
        .findFirst()
        .orElse(-1);
  }

  private static List<FeedStep> steps(FarmPlan in, String group) {
    return in.plan().steps().stream().filter(s -> s.groupId().equals(group)).toList();
  }
}
