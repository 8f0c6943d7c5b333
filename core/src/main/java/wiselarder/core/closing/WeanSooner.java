package wiselarder.core.closing;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Items;

/**
 * Takes young off their dams sooner, on the day of those tried by {@link WeanBy} that brings most;
 * never before the least age. Dams ask for less from then on; the young want better feed elsewhere.
 */
public final class WeanSooner implements Lever {
  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.WEAN_SOONER;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<AnimalGroup> groups = trial.stated().farm().groups();
    return IntStream.range(0, groups.size())
        .filter(g -> weansInPlan(trial, g))
        .mapToObj(groups::get)
        .flatMap(g -> sooner(trial, g).stream())
        .toList();
  }

  private static boolean weansInPlan(Trial trial, int g) {
    AnimalGroup group = trial.stated().farm().groups().get(g);
    return group.birthStart() != null
        && group.youngPerDam() > 0
        && !trial.before().resolved().groupYear(g).weanings().isEmpty();
  }

  private static Optional<Candidate> sooner(Trial trial, AnimalGroup group) {
    List<WeanBy> tried = WeanBy.of(trial.engine(), trial.stated(), group.id());
    WeanBy planned = tried.stream().filter(WeanBy::planned).findFirst().orElse(null);
    if (planned == null) {
      return Optional.empty();
    }
    return tried.stream()
        .filter(w -> w.weaning().isBefore(planned.weaning()))
        .map(w -> new Tried(w.weaning(), trial.bringsIfAllowed(edits(group, w.weaning()))))
        .filter(t -> trial.worthIt(t.kg))
        .max(Comparator.comparingDouble(Tried::kg))
        .map(t -> new Candidate(edits(group, t.weaning), t.weaning));
  }

  /** What weaning on a day brings. */
  private record Tried(LocalDate weaning, double kg) {}

  private static List<PlanEdit> edits(AnimalGroup group, LocalDate weaning) {
    return List.of(new PlanEdit.Put<>(Items.GROUPS, group.withWeaning(MonthDay.from(weaning))));
  }
}
