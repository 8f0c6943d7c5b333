package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wiselarder.core.diet.Supplement;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Portion;
import wiselarder.core.store.StoredFeed;

/**
 * Buys what brings protein and energy of a group to its need at the least cost ({@link
 * Supplement}), and gives so much of it to each head every day of the gap. Amounts are for
 * planning: tag, adviser and veterinarian stand above them.
 */
public final class Supplemented implements Lever {
  /**
   * Of what lacks so much is seen to: more than its mean, as that does not hold on the worst days,
   * and less, where no feed may be given in such amounts.
   */
  private static final double[] MORE = {0.25, 0.5, 0.75, 1, 1.25, 1.5};

  private static final double ALMOST = 0.95;

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.SUPPLEMENT;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<Candidate> found = new ArrayList<>();
    List<AnimalGroup> groups = trial.stated().farm().groups();
    for (int g = 0; g < groups.size(); g++) {
      if (trial.groups().contains(groups.get(g).id())) {
        offer(trial, g).ifPresent(found::add);
      }
    }
    return found;
  }

  private static Optional<Candidate> offer(Trial trial, int g) {
    int first = trial.gap().firstDay();
    int last = trial.gap().lastDay();
    String group = trial.stated().farm().groups().get(g).id();
    List<Beside> best = List.of();
    double most = 0;
    for (double more : MORE) {
      List<Beside> rations = rations(trial, g, more);
      double brings =
          rations.isEmpty()
              ? 0
              : trial.bringsIfAllowed(
                  Beside.given(trial, rations, List.of(group), first, last + 1));
      if (brings > most / ALMOST) {
        most = brings;
        best = rations;
      }
    }
    if (!trial.worthIt(most)) {
      return Optional.empty();
    }
    List<Beside> given = best;
    int still =
        trial.latest(
            first, last, most, d -> Beside.given(trial, given, List.of(group), d, last + 1));
    List<PlanEdit> edits = Beside.given(trial, best, List.of(group), first, last + 1);
    int by = Math.max(0, still - FeedBeside.ORDERED_BEFORE_DAYS);
    return Optional.of(new Candidate(edits, trial.year().date(by)));
  }

  /** What meets so much of what lacks; nothing where no feed within its ceiling does. */
  private static List<Beside> rations(Trial trial, int g, double share) {
    int first = trial.gap().firstDay();
    int last = trial.gap().lastDay();
    Optional<Supplement> least =
        Supplement.over(
            trial.before(),
            trial.engine().catalogue(),
            g,
            first,
            last,
            trial.gap().kind() != Gap.Kind.PROTEIN,
            share);
    List<Beside> rations = new ArrayList<>();
    for (Supplement.Ingredient i : least.map(Supplement::parts).orElse(List.of())) {
      StoredFeed feed =
          trial.engine().catalogue().storedFeeds().stream()
              .filter(f -> f.id().equals(i.feedId()))
              .findFirst()
              .orElseThrow();
      double kg = Math.max(LEAST_KG, i.kgDm());
      rations.add(
          Beside.enough(
              feed,
              kg * headDays(trial, g, first, last),
              new Portion(Portion.Bound.EXACTLY, null, kg)));
    }
    return rations;
  }

  /** Less is not weighed out for each head. */
  private static final double LEAST_KG = 0.05;

  private static double headDays(Trial trial, int g, int first, int last) {
    double sum = 0;
    for (int d = first; d <= last; d++) {
      sum += trial.before().resolved().groupYear(g).head(d);
    }
    return sum;
  }
}
