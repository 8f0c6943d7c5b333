package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import wiselarder.core.diet.DietYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Portion;
import wiselarder.core.store.FeedWorth;
import wiselarder.core.store.Lot;
import wiselarder.core.store.StoredFeed;

/**
 * Gives those whose diet is too poor the better of what is stored, every day before the rest, over
 * the gap. It is taken from somebody or some day else: that is in what it brings over the year.
 */
public final class BetterFeed implements Lever {
  private static final double[] SHARES = {0.25, 0.5, 1};

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.BETTER_FEED;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<Candidate> found = new ArrayList<>();
    List<Lot> lots = trial.stated().allLots();
    for (int l = 0; l < lots.size(); l++) {
      boolean there = trial.before().lotKg(l, trial.gap().firstDay()) >= lots.get(l).kgDmPerUnit();
      if (there && isBetter(trial, lots.get(l))) {
        offer(trial, lots.get(l)).ifPresent(found::add);
      }
    }
    return found;
  }

  /** Of the shares that are tried the least that brings nine tenths of the most. */
  private static Optional<Candidate> offer(Trial trial, Lot lot) {
    int first = trial.gap().firstDay();
    double most = 0;
    double[] kg = new double[SHARES.length];
    for (int i = 0; i < SHARES.length; i++) {
      double brings = trial.bringsIfAllowed(fed(trial, lot, SHARES[i], first));
      kg[i] = Double.isNaN(brings) ? 0 : brings;
      most = Math.max(most, kg[i]);
    }
    if (!trial.worthIt(most)) {
      return Optional.empty();
    }
    int least = 0;
    while (kg[least] < 0.9 * most) {
      least++;
    }
    double share = SHARES[least];
    int last =
        trial.latest(first, trial.gap().lastDay(), kg[least], d -> fed(trial, lot, share, d));
    return Optional.of(new Candidate(fed(trial, lot, share, first), trial.year().date(last)));
  }

  /** Richer than what one of the groups eats over the gap. */
  private static boolean isBetter(Trial trial, Lot lot) {
    Map<String, StoredFeed> feeds =
        trial.engine().catalogue().storedFeeds().stream()
            .collect(Collectors.toMap(StoredFeed::id, f -> f));
    FeedWorth worth = trial.engine().records().lot(lot).worth(feeds);
    boolean protein = trial.gap().kind() == Gap.Kind.PROTEIN;
    double holds = protein ? worth.proteinPct() : worth.tdnPct();
    List<AnimalGroup> groups = trial.stated().farm().groups();
    for (int g = 0; g < groups.size(); g++) {
      if (trial.groups().contains(groups.get(g).id()) && holds > eats(trial, g, protein)) {
        return true;
      }
    }
    return false;
  }

  private static double eats(Trial trial, int g, boolean protein) {
    DietYear diet = DietYear.of(trial.before(), g);
    double kg = 0;
    double sum = 0;
    for (int d = trial.gap().firstDay(); d <= trial.gap().lastDay(); d++) {
      double pct = protein ? diet.proteinPct(d) : diet.tdnPct(d);
      if (!Double.isNaN(pct)) {
        kg += diet.eatenKg(d);
        sum += diet.eatenKg(d) * pct;
      }
    }
    return kg <= 0 ? 0 : sum / kg;
  }

  private static List<PlanEdit> fed(Trial trial, Lot lot, double share, int from) {
    List<PlanEdit> edits = new ArrayList<>();
    for (String group : trial.groups()) {
      List<FeedStep> steps = new ArrayList<>();
      steps.add(
          new FeedStep(
              trial.freeStep(group + "-better-" + lot.id()),
              group,
              FeedStep.Kind.STORE,
              List.of(lot.id()),
              trial.year().date(from),
              trial.year().date(trial.gap().lastDay() + 1),
              share == 1 ? null : new Portion(Portion.Bound.EXACTLY, share, null),
              null));
      steps.addAll(trial.stepsOf(group));
      edits.add(new PlanEdit.SetFeeding(group, steps));
    }
    return edits;
  }
}
