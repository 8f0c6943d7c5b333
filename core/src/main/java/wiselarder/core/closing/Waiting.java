package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wiselarder.core.edit.Later;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Items;
import wiselarder.core.quantity.Refused;

/** What waiting costs: a way done some days later than it stands there. */
public final class Waiting {
  private final FarmPlan stated;
  private final int days;

  private Waiting(FarmPlan stated, int days) {
    this.stated = stated;
    this.days = days;
  }

  /**
   * What a way brings when it is done later, kg DM; NaN where it has no day that could be moved, or
   * the plan refuses it then.
   *
   * @param way its edits, as found on the plan as it stands
   */
  public static double bringsKg(
      Engine engine, FarmPlan stated, Gap gap, List<PlanEdit> way, int days) {
    try {
      Optional<List<PlanEdit>> later = new Waiting(stated, days).moved(way);
      return later.map(l -> new Trial(engine, stated, gap).bringsIfAllowed(l)).orElse(Double.NaN);
    } catch (Refused shutAfterItOpens) {
      return Double.NaN;
    }
  }

  /** Things are moved; where there are none, what is fed or grazed is. */
  private Optional<List<PlanEdit>> moved(List<PlanEdit> way) {
    List<PlanEdit> moved = new ArrayList<>();
    boolean any = false;
    for (PlanEdit edit : way) {
      PlanEdit later = edit instanceof PlanEdit.Put<?> put ? put(put) : edit;
      any |= later != edit;
      moved.add(later);
    }
    if (!any) {
      for (int i = 0; i < moved.size(); i++) {
        PlanEdit later = moved.get(i) instanceof PlanEdit.SetFeeding s ? feeding(s) : moved.get(i);
        any |= later != moved.get(i);
        moved.set(i, later);
      }
    }
    return any ? Optional.of(moved) : Optional.empty();
  }

  private PlanEdit put(PlanEdit.Put<?> put) {
    return put.item() instanceof AnimalGroup g ? group(put, g) : Later.put(put, days);
  }

  /** Comings and goings that the way adds. */
  private PlanEdit group(PlanEdit.Put<?> put, AnimalGroup group) {
    List<HeadChange> known =
        stated.farm().groups().stream()
            .filter(g -> g.id().equals(group.id()))
            .findFirst()
            .map(AnimalGroup::changes)
            .orElse(List.of());
    List<HeadChange> changes = new ArrayList<>();
    for (HeadChange c : group.changes()) {
      changes.add(known.contains(c) ? c : c.movedBy(days));
    }
    return changes.equals(group.changes())
        ? put
        : new PlanEdit.Put<>(Items.GROUPS, group.withChanges(changes));
  }

  /** Steps that the way adds begin later. */
  private PlanEdit feeding(PlanEdit.SetFeeding feeding) {
    List<FeedStep> steps = new ArrayList<>();
    for (FeedStep s : feeding.steps()) {
      boolean known = stated.plan().steps().contains(s) || s.fromInclusive() == null;
      steps.add(known ? s : s.between(s.fromInclusive().plusDays(days), s.toExclusive()));
    }
    return steps.equals(feeding.steps())
        ? feeding
        : new PlanEdit.SetFeeding(feeding.groupId(), steps);
  }
}
