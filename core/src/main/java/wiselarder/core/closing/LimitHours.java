package wiselarder.core.closing;

import java.util.List;
import java.util.stream.IntStream;
import wiselarder.core.diet.DietYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Items;
import wiselarder.core.store.LossMethod;
import wiselarder.core.store.Lot;

/**
 * Opens the hay for some hours a day and shuts it again, so that less is pulled out and trodden.
 * Only good hay, and only for grown dry stock that is not thin: limiting poor hay starves them.
 */
public final class LimitHours implements Lever {
  private static final String BY_HOURS = "f_limit_hours";

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.LIMIT_HOURS;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<Lot> lots = trial.stated().farm().lots();
    List<Integer> fit =
        IntStream.range(0, lots.size())
            .filter(l -> wastes(trial, lots.get(l)) && mayBeLimited(trial, l))
            .boxed()
            .toList();
    List<PlanEdit> edits =
        fit.stream()
            .<PlanEdit>map(l -> new PlanEdit.Put<>(Items.LOTS, lots.get(l).fedBy(BY_HOURS)))
            .toList();
    if (edits.isEmpty() || !trial.worthIt(trial.bringsIfAllowed(edits))) {
      return List.of();
    }
    int first = fit.stream().mapToInt(l -> firstFed(trial, l)).min().orElseThrow();
    return List.of(new Candidate(edits, trial.year().date(first)));
  }

  private static boolean wastes(Trial trial, Lot lot) {
    return loss(trial, lot.feedingMethodId()) > loss(trial, BY_HOURS);
  }

  private static double loss(Trial trial, String way) {
    return trial
        .engine()
        .catalogue()
        .loss("lot.feedingMethodId", way, LossMethod.Stage.FEEDING)
        .share();
  }

  /** All that eat of a lot before the gap are fit for it on all of those days, and get enough. */
  private static boolean mayBeLimited(Trial trial, int lot) {
    List<AnimalGroup> groups = trial.stated().farm().groups();
    int eaters = 0;
    for (int g = 0; g < groups.size(); g++) {
      int from = fedFrom(trial, g, lot);
      if (from < 0) {
        continue;
      }
      eaters++;
      int to = fedTo(trial, g, lot);
      if (!FeedBeside.isGrownAndDry(trial, groups.get(g), from, to)
          || !isWellFed(trial, g, from, to)) {
        return false;
      }
    }
    return eaters > 0;
  }

  private static boolean isWellFed(Trial trial, int g, int from, int to) {
    DietYear diet = DietYear.of(trial.before(), g);
    if (!diet.hasEnergy() || (diet.belowFloorFrom() >= 0 && diet.belowFloorFrom() <= to)) {
      return false;
    }
    double energy = 0;
    double energyNeed = 0;
    double protein = 0;
    double proteinNeed = 0;
    for (int d = from; d <= to; d++) {
      energy += diet.energyMj(d);
      energyNeed += diet.energyNeedMj(d);
      protein += diet.proteinKg(d);
      proteinNeed += diet.proteinNeedKg(d);
    }
    return energy >= DietYear.MET_SHARE * energyNeed && protein >= DietYear.MET_SHARE * proteinNeed;
  }

  /** First day before the gap on which a group eats of a lot; -1 where it never does. */
  private static int fedFrom(Trial trial, int g, int lot) {
    return IntStream.range(0, trial.gap().firstDay())
        .filter(d -> trial.before().groupLotEatenKg(g, lot, d) > 0)
        .findFirst()
        .orElse(-1);
  }

  private static int fedTo(Trial trial, int g, int lot) {
    return IntStream.range(0, trial.gap().firstDay())
        .filter(d -> trial.before().groupLotEatenKg(g, lot, d) > 0)
        .max()
        .orElseThrow();
  }

  private static int firstFed(Trial trial, int lot) {
    return IntStream.range(0, trial.gap().firstDay())
        .filter(d -> trial.before().lotEatenKg(lot, d) > 0)
        .findFirst()
        .orElseThrow();
  }
}
