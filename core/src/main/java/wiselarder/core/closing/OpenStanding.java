package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FeedStep;

/**
 * Lets those that go short eat first what stands when the gap begins: on fields that no order of
 * feeds opens then, that come after stored feed, or that wait for their turn in a round that is
 * held. It costs a gate. Some days before the gap are tried too, as grass eaten then keeps hay.
 */
public final class OpenStanding implements Lever {
  /** Days before the gap from which it may be opened. */
  private static final List<Integer> DAYS_BEFORE = List.of(0, 15, 30, 60);

  /** So many fields are tried alone. */
  private static final int MOST_ALONE = 2;

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.OPEN_STANDING;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<Integer> standing = standing(trial);
    List<List<Integer>> sets = new ArrayList<>();
    if (!standing.isEmpty()) {
      sets.add(standing);
    }
    if (standing.size() > 1) {
      standing.stream().limit(MOST_ALONE).forEach(f -> sets.add(List.of(f)));
    }
    return sets.stream().flatMap(s -> opened(trial, s).stream()).toList();
  }

  /** Fields on which something could be eaten as the gap begins, those with most of it first. */
  private static List<Integer> standing(Trial trial) {
    int first = trial.gap().firstDay();
    return IntStream.range(0, trial.stated().farm().fields().size())
        .filter(f -> trial.before().offeredKg(f, first) > 0)
        .filter(f -> !isShut(trial, f, first))
        .filter(f -> !trial.before().resolved().holds.field(f, first))
        .boxed()
        .sorted(Comparator.comparingDouble(f -> -trial.before().offeredKg(f, first)))
        .toList();
  }

  private static boolean isShut(Trial trial, int field, int day) {
    String id = trial.stated().farm().fields().get(field).id();
    for (Closing c : trial.stated().plan().closings()) {
      boolean then =
          trial.year().day(c.fromInclusive()) <= day && day < trial.year().day(c.toExclusive());
      if (c.fieldId().equals(id) && then) {
        return true;
      }
    }
    return false;
  }

  private static Optional<Candidate> opened(Trial trial, List<Integer> fields) {
    List<Field> all = trial.stated().farm().fields();
    List<String> ids = fields.stream().map(f -> all.get(f).id()).toList();
    int first = trial.gap().firstDay();
    return trial.onBestDay(
        DAYS_BEFORE.stream().mapToInt(before -> first - before),
        trial.gap().lastDay(),
        d -> open(trial, ids, d));
  }

  /** A grazing step before all others, from a day to the end of the gap, for each that is short. */
  private static List<PlanEdit> open(Trial trial, List<String> fields, int from) {
    List<PlanEdit> edits = new ArrayList<>();
    for (String group : trial.groups()) {
      List<FeedStep> steps = new ArrayList<>();
      steps.add(
          new FeedStep(
              trial.freeStep(group + "-open"),
              group,
              FeedStep.Kind.GRAZE,
              fields,
              trial.year().date(from),
              trial.year().date(trial.gap().lastDay() + 1)));
      steps.addAll(trial.stepsOf(group));
      edits.add(new PlanEdit.SetFeeding(group, steps));
    }
    return edits;
  }
}
