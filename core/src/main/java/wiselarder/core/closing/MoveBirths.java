package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Items;

/**
 * Has dams give birth earlier or later, with weaning and the young's leaving as long after it. It
 * is decided when the males go in, a pregnancy before the first of the births that move.
 */
public final class MoveBirths implements Lever {
  /** Days by which births are moved. */
  private static final List<Integer> TRIED = List.of(-60, -30, 30, 60, 90);

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.MOVE_BIRTHS;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<AnimalGroup> groups = trial.stated().farm().groups();
    return IntStream.range(0, groups.size())
        .filter(g -> groups.get(g).birthStart() != null && groups.get(g).youngPerDam() > 0)
        .filter(g -> trial.groups().contains(groups.get(g).id()))
        .mapToObj(groups::get)
        .flatMap(g -> moved(trial, g).stream())
        .toList();
  }

  private record Tried(int days, double kg) {}

  private static Optional<Candidate> moved(Trial trial, AnimalGroup group) {
    int first =
        trial.year().occurrences(group.birthStart(), 0).stream()
            .filter(d -> d >= 0)
            .findFirst()
            .orElse(Integer.MAX_VALUE);
    if (first >= trial.year().days()) {
      return Optional.empty();
    }
    return TRIED.stream()
        .filter(d -> first + d >= 0 && (d > 0 || !frosty(trial, first + d)))
        .map(d -> new Tried(d, trial.bringsIfAllowed(edits(group, d))))
        .filter(t -> trial.worthIt(t.kg))
        .max(Comparator.comparingDouble(Tried::kg))
        .map(t -> new Candidate(edits(group, t.days), joined(trial, group, first, t.days)));
  }

  /** Nobody has young born earlier into the frost to save feed. */
  private static boolean frosty(Trial trial, int day) {
    return trial.before().resolved().normal().frostSeason(day);
  }

  private static List<PlanEdit> edits(AnimalGroup group, int days) {
    return List.of(new PlanEdit.Put<>(Items.GROUPS, group.withBirthsMoved(days)));
  }

  /** A pregnancy before the first birth, as it was or as it will be: whichever is earlier. */
  private static LocalDate joined(Trial trial, AnimalGroup group, int first, int days) {
    return trial.year().date(first + Math.min(0, days)).minusDays(pregnantDays(group.kind()));
  }

  /** Usual length of a pregnancy, days. */
  private static int pregnantDays(String kind) {
    return switch (kind.substring(0, kind.indexOf('/'))) {
      case "sheep" -> 147;
      case "goat" -> 150;
      case "horse" -> 340;
      case "bison" -> 270;
      default -> 283;
    };
  }
}
