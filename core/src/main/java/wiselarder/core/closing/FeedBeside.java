package wiselarder.core.closing;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.plan.Portion;
import wiselarder.core.price.Price;
import wiselarder.core.store.StoredFeed;

/**
 * Buys a feed that stretches what there is over the days of the gap: straw for dry grown stock, or
 * a fibrous byproduct for all that ruminate. It is given every day as a fixed share of what each
 * group needs, and takes the place of as much other feed. Whether the ration holds is read off the
 * diet of the year; adviser and veterinarian stand above it.
 */
public final class FeedBeside implements Lever {
  /** Of what dry stock eat; the table's ceiling is higher. Assumption, on the safe side. */
  private static final double STRAW_SHARE = 0.3;

  /** Of what is eaten: low enough to be built up within days. Assumption. */
  private static final double CONCENTRATE_SHARE = 0.2;

  /** Dams ask for too much from so long before birth until so long after. Practice. */
  private static final int BEFORE_BIRTH_DAYS = 30;

  private static final int NURSING_DAYS = 150;
  static final int ORDERED_BEFORE_DAYS = 14;

  private final boolean straw;

  private FeedBeside(boolean straw) {
    this.straw = straw;
  }

  /** Straw in the ration of dry stock. */
  public static FeedBeside straw() {
    return new FeedBeside(true);
  }

  /** A byproduct in the trough. */
  public static FeedBeside concentrate() {
    return new FeedBeside(false);
  }

  @Override
  public LeverOption.Kind kind() {
    return straw ? LeverOption.Kind.STRAW : LeverOption.Kind.CONCENTRATE;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<String> eaters =
        trial.hungry().stream().filter(g -> mayEat(trial, g)).map(AnimalGroup::id).toList();
    if (eaters.isEmpty()) {
      return List.of();
    }
    // what a caution bars until it is tested brings nothing: then the next one
    return cheapestFirst(trial)
        .map(feed -> offer(trial, feed, eaters))
        .flatMap(Optional::stream)
        .limit(1)
        .toList();
  }

  private Optional<Candidate> offer(Trial trial, StoredFeed feed, List<String> eaters) {
    int from = trial.gap().firstDay();
    Beside beside = beside(trial, feed, eaters);
    double kg = trial.bringsIfAllowed(fed(trial, beside, eaters, from));
    if (!trial.worthIt(kg)) {
      return Optional.empty();
    }
    int last = trial.latest(from, trial.gap().lastDay(), kg, d -> fed(trial, beside, eaters, d));
    return Optional.of(
        new Candidate(
            fed(trial, beside, eaters, from),
            trial.year().date(Math.max(0, last - ORDERED_BEFORE_DAYS))));
  }

  /** Grown cattle, sheep and goats, dry over the whole gap where it is straw. */
  private boolean mayEat(Trial trial, AnimalGroup group) {
    if (group.kind().startsWith("horse/")) {
      return false;
    }
    if (!straw) {
      return true;
    }
    return isGrownAndDry(trial, group, trial.gap().firstDay(), trial.gap().lastDay());
  }

  /** Grown cattle, sheep and goats of which none is in milk or near birth on some days. */
  static boolean isGrownAndDry(Trial trial, AnimalGroup group, int first, int last) {
    int rung = SellingOrder.rung(group);
    if (group.kind().startsWith("horse/") || (rung != 2 && rung != 4)) {
      return false;
    }
    int g = trial.stated().farm().groups().indexOf(group);
    GroupYear year = trial.before().resolved().groupYear(g);
    boolean inMilk =
        year.births().stream()
            .anyMatch(b -> b[0] - BEFORE_BIRTH_DAYS <= last && b[0] + NURSING_DAYS >= first);
    return !inMilk && !group.kind().contains("dairy");
  }

  /** By what its energy costs, or its protein where that lacks, of those whose price is known. */
  private Stream<StoredFeed> cheapestFirst(Trial trial) {
    int month = trial.year().date(trial.gap().firstDay()).getMonthValue();
    boolean protein = trial.gap().kind() == Gap.Kind.PROTEIN;
    return trial.engine().catalogue().storedFeeds().stream()
        .filter(f -> straw ? f.kind().equals("straw") : f.kind().equals("byproduct"))
        .filter(f -> f.maxShareOfDiet() >= (straw ? STRAW_SHARE : 2 * CONCENTRATE_SHARE))
        .filter(f -> price(trial, f).isPresent())
        .sorted(
            Comparator.comparingDouble(
                f ->
                    price(trial, f).orElseThrow().in(month, false)
                        / f.dmShare()
                        / (protein ? f.worth().proteinPct() : f.worth().tdnPct())));
  }

  private static Optional<Price> price(Trial trial, StoredFeed feed) {
    return trial.engine().catalogue().pricesOn(trial.stated().farm()).of(feed.id());
  }

  /** Bought for the share of those who eat it over the gap. */
  private List<PlanEdit> fed(Trial trial, Beside beside, List<String> eaters, int from) {
    return Beside.given(trial, List.of(beside), eaters, from, trial.gap().lastDay() + 1);
  }

  private Beside beside(Trial trial, StoredFeed feed, List<String> eaters) {
    double kg = 0;
    List<AnimalGroup> groups = trial.stated().farm().groups();
    for (int g = 0; g < groups.size(); g++) {
      for (int d = trial.gap().firstDay(); d <= trial.gap().lastDay(); d++) {
        kg += eaters.contains(groups.get(g).id()) ? trial.before().needKg(g, d) : 0;
      }
    }
    double share = straw ? STRAW_SHARE : CONCENTRATE_SHARE;
    return Beside.enough(feed, kg * share, new Portion(Portion.Bound.EXACTLY, share, null));
  }
}
