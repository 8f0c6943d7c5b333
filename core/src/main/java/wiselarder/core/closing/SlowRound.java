package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.FeedStep;

/**
 * Lengthens the rotation of those that go short some weeks before the gap: they get each day no
 * more than a round of so many days leaves, so that every field rests longer and more stands when
 * the gap begins. What the round leaves wanting is fed by the steps after it.
 */
public final class SlowRound implements Lever {
  /** Rounds as they are used from the flush to winter. Practice. */
  private static final List<Integer> ROUNDS_DAYS = List.of(35, 50, 70, 100);

  private static final List<Integer> DAYS_BEFORE = List.of(90, 60, 30);

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.SLOW_ROUND;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    int first = trial.gap().firstDay();
    return ROUNDS_DAYS.stream()
        .flatMap(
            round ->
                trial
                    .onBestDay(
                        DAYS_BEFORE.stream().mapToInt(before -> first - before),
                        first,
                        d -> slower(trial, d, round))
                    .stream())
        .toList();
  }

  private static List<PlanEdit> slower(Trial trial, int day, int round) {
    LocalDate from = trial.year().date(day);
    LocalDate to = trial.year().date(trial.gap().lastDay() + 1);
    List<PlanEdit> edits = new ArrayList<>();
    for (String group : trial.groups()) {
      List<FeedStep> was = trial.stepsOf(group);
      List<FeedStep> steps = new ArrayList<>();
      was.forEach(s -> steps.addAll(parts(trial, s, from, to, round)));
      if (!steps.equals(was)) {
        edits.add(new PlanEdit.SetFeeding(group, steps));
      }
    }
    return edits;
  }

  /** A grazing step before, in and after the days of the longer round. */
  private static List<FeedStep> parts(
      Trial trial, FeedStep step, LocalDate from, LocalDate to, int round) {
    boolean apart =
        (step.toExclusive() != null && !step.toExclusive().isAfter(from))
            || (step.fromInclusive() != null && !step.fromInclusive().isBefore(to));
    boolean longer = step.roundDays() != null && step.roundDays() >= round;
    if (step.kind() != FeedStep.Kind.GRAZE || apart || longer) {
      return List.of(step);
    }
    List<FeedStep> parts = new ArrayList<>();
    boolean sooner = step.fromInclusive() == null || step.fromInclusive().isBefore(from);
    boolean later = step.toExclusive() == null || step.toExclusive().isAfter(to);
    if (sooner) {
      parts.add(step.between(step.fromInclusive(), from));
    }
    FeedStep slow =
        step.between(sooner ? from : step.fromInclusive(), later ? to : step.toExclusive())
            .inRounds(round);
    parts.add(sooner ? slow.named(trial.freeStep(step.id() + "-slow")) : slow);
    if (later) {
      parts.add(step.between(to, step.toExclusive()).named(trial.freeStep(step.id() + "-after")));
    }
    return parts;
  }
}
