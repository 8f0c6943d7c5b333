package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.plan.Items;

/**
 * Sells animals before the gap, or sends them away for its time: of each group the fewest head that
 * close it, or as many as one would let go. Of those kept to breed no more than the share that is
 * open, old or unsound in an ordinary herd is sold.
 */
public final class FewerMouths implements Lever {
  /** They are gone so long before the gap begins. Assumption: prices fall as feed runs out. */
  private static final int SOLD_BEFORE_DAYS = 45;

  /** Of a breeding group that one can be without. Assumption. */
  private static final double OPEN_AND_OLD = 0.15;

  /** To find other people's ground and fetch them there; 7 to 45. */
  private static final int FOUND_WITHIN_DAYS = 14;

  private static final int MOST = 4;

  private final boolean away;

  private FewerMouths(boolean away) {
    this.away = away;
  }

  /** Sells them. */
  public static FewerMouths sold() {
    return new FewerMouths(false);
  }

  /** Sends them to rented grazing for the time of the gap. */
  public static FewerMouths away() {
    return new FewerMouths(true);
  }

  @Override
  public LeverOption.Kind kind() {
    return away ? LeverOption.Kind.SEND_AWAY : LeverOption.Kind.SELL;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<AnimalGroup> groups = trial.stated().farm().groups();
    return IntStream.range(0, groups.size())
        .boxed()
        .filter(g -> trial.groups().contains(groups.get(g).id()))
        .sorted(
            Comparator.comparingInt((Integer g) -> SellingOrder.rung(groups.get(g)))
                .thenComparingDouble(g -> -trial.before().needKg(g, trial.gap().firstDay())))
        .flatMap(g -> fewer(trial, g).stream())
        .limit(MOST)
        .toList();
  }

  private Optional<Candidate> fewer(Trial trial, int g) {
    AnimalGroup group = trial.stated().farm().groups().get(g);
    int first = trial.gap().firstDay();
    int on = away ? first : Math.max(0, first - SOLD_BEFORE_DAYS);
    int there = (int) Math.floor(trial.before().resolved().groupYear(g).head(on) + 1e-9);
    boolean breeds = !away && SellingOrder.rung(group) > 2;
    int all = breeds ? (int) Math.floor(there * OPEN_AND_OLD) : there - kept(trial, group);
    if (all < 1 || Double.isNaN(trial.bringsIfAllowed(gone(trial, group, all, on)))) {
      return Optional.empty();
    }
    int head = trial.fewest(all, n -> gone(trial, group, n, on));
    double kg = trial.bringsIfAllowed(gone(trial, group, head, on));
    if (!trial.worthIt(kg)) {
      return Optional.empty();
    }
    int last =
        away
            ? Math.max(0, on - FOUND_WITHIN_DAYS)
            : trial.latest(on, trial.gap().lastDay(), kg, d -> gone(trial, group, head, d));
    return Optional.of(new Candidate(gone(trial, group, head, on), trial.year().date(last)));
  }

  /** Males that the females of their kind on the farm want, where they are to be sold. */
  private int kept(Trial trial, AnimalGroup group) {
    String of = group.kind().substring(group.kind().indexOf('/') + 1);
    if (away || !MALES.contains(of)) {
      return 0;
    }
    String species = group.kind().substring(0, group.kind().indexOf('/') + 1);
    int dams =
        trial.stated().farm().groups().stream()
            .filter(g -> g.kind().startsWith(species) && g.birthStart() != null)
            .mapToInt(AnimalGroup::head)
            .sum();
    return (int) Math.ceil(dams / DAMS_PER_MALE);
  }

  private static final List<String> MALES = List.of("bull", "ram", "buck");

  /** Usual for grown males at pasture; fewer for young ones. */
  private static final double DAMS_PER_MALE = 30;

  private List<PlanEdit> gone(Trial trial, AnimalGroup group, int head, int on) {
    LocalDate from = trial.year().date(on);
    LocalDate back = away ? trial.year().date(trial.gap().lastDay() + 1) : null;
    HeadChange.Kind how = away ? HeadChange.Kind.AWAY : HeadChange.Kind.SOLD;
    List<HeadChange> changes = new ArrayList<>(group.changes());
    changes.add(new HeadChange(from, back, how, head, null, null, ""));
    return List.of(new PlanEdit.Put<>(Items.GROUPS, group.withChanges(changes)));
  }
}
