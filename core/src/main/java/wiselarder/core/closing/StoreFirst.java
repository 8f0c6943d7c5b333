package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.FeedStep;

/**
 * Feeds from the store for some weeks before the gap while grass is kept growing: those that go
 * short are held at stored feed, and what the fields grow in the meantime stands when it is wanted.
 */
public final class StoreFirst implements Lever {
  private static final List<Integer> WEEKS = List.of(2, 4);
  private static final List<Integer> DAYS_BEFORE = List.of(90, 60, 30);
  private static final int WEEK = 7;

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.STORE_FIRST;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    int first = trial.gap().firstDay();
    if (trial.stated().allLots().isEmpty()) {
      return List.of();
    }
    Stream<Candidate> best =
        WEEKS.stream()
            .flatMap(
                weeks ->
                    trial
                        .onBestDay(
                            DAYS_BEFORE.stream().mapToInt(before -> first - before),
                            first,
                            d -> held(trial, d, weeks * WEEK))
                        .stream());
    return best.toList();
  }

  private static List<PlanEdit> held(Trial trial, int from, int days) {
    List<PlanEdit> edits = new ArrayList<>();
    for (String group : trial.groups()) {
      List<FeedStep> steps = new ArrayList<>();
      steps.add(
          new FeedStep(
              trial.freeStep(group + "-store-first"),
              group,
              FeedStep.Kind.STORE,
              List.of(),
              trial.year().date(from),
              trial.year().date(Math.min(from + days, trial.gap().firstDay()))));
      steps.addAll(trial.stepsOf(group));
      edits.add(new PlanEdit.SetFeeding(group, steps));
    }
    return edits;
  }
}
