package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.store.Lot;

/** Feeds those that go short what lies in store and no order of feeds opens for them. */
public final class OpenStore implements Lever {
  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.OPEN_STORE;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    int first = trial.gap().firstDay();
    List<Lot> lots = trial.stated().allLots();
    List<String> left = new ArrayList<>();
    for (int l = 0; l < lots.size(); l++) {
      if (trial.before().lotKg(l, first) >= lots.get(l).kgDmPerUnit()) {
        left.add(lots.get(l).id());
      }
    }
    if (left.isEmpty()) {
      return List.of();
    }
    double kg = trial.bringsIfAllowed(open(trial, left, first));
    if (!trial.worthIt(kg)) {
      return List.of();
    }
    int last = trial.latest(first, trial.gap().lastDay(), kg, d -> open(trial, left, d));
    return List.of(new Candidate(open(trial, left, first), trial.year().date(last)));
  }

  /** A step after all others, so that nothing else is left for it. */
  private static List<PlanEdit> open(Trial trial, List<String> lots, int from) {
    List<PlanEdit> edits = new ArrayList<>();
    for (String group : trial.groups()) {
      List<FeedStep> steps = new ArrayList<>(trial.stepsOf(group));
      steps.add(
          new FeedStep(
              trial.freeStep(group + "-store"),
              group,
              FeedStep.Kind.STORE,
              lots,
              trial.year().date(from),
              trial.year().date(trial.gap().lastDay() + 1)));
      edits.add(new PlanEdit.SetFeeding(group, steps));
    }
    return edits;
  }
}
