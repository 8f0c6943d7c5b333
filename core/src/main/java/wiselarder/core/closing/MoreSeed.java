package wiselarder.core.closing;

import java.util.List;
import java.util.Optional;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Sowing;

/** More seed in a sowing of the plan: the canopy closes sooner, the whole yield hardly changes. */
public final class MoreSeed implements Lever {
  /** Half as much again. Practice. */
  private static final double SEED_SHARE = 1.5;

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.MORE_SEED;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    return trial.stated().plan().sowings().stream()
        .filter(s -> s.seedShare() < SEED_SHARE)
        .filter(s -> trial.year().day(s.sowOn()) >= 0)
        .filter(s -> trial.year().day(s.sowOn()) <= trial.gap().lastDay())
        .flatMap(s -> thicker(trial, s).stream())
        .toList();
  }

  private static Optional<Candidate> thicker(Trial trial, Sowing s) {
    Sowing more = s.seeded(SEED_SHARE);
    List<PlanEdit> edits = List.of(new PlanEdit.Put<>(Items.SOWINGS, more));
    return trial.worthIt(trial.bringsIfAllowed(edits))
        ? Optional.of(new Candidate(edits, s.sowOn()))
        : Optional.empty();
  }
}
