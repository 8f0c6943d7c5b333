package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Portion;
import wiselarder.core.plan.Purchase;
import wiselarder.core.price.Price;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Origin;
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
  private static final int ORDERED_BEFORE_DAYS = 14;

  /** Of what is bought so much ends in an animal, store and feeder accounted for. Assumption. */
  private static final double USABLE_STRAW = 0.85;

  private static final double USABLE_CONCENTRATE = 0.97;

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
    int units = units(trial, feed, eaters);
    double kg = trial.bringsIfAllowed(fed(trial, feed, eaters, from, units));
    if (!trial.worthIt(kg)) {
      return Optional.empty();
    }
    int last =
        trial.latest(from, trial.gap().lastDay(), kg, d -> fed(trial, feed, eaters, d, units));
    return Optional.of(
        new Candidate(
            fed(trial, feed, eaters, from, units),
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
    int rung = SellingOrder.rung(group);
    return (rung == 2 || rung == 4) && isDry(trial, group);
  }

  private static boolean isDry(Trial trial, AnimalGroup group) {
    int g = trial.stated().farm().groups().indexOf(group);
    GroupYear year = trial.before().resolved().groupYear(g);
    int first = trial.gap().firstDay();
    int last = trial.gap().lastDay();
    boolean inMilk =
        year.births().stream()
            .anyMatch(b -> b[0] - BEFORE_BIRTH_DAYS <= last && b[0] + NURSING_DAYS >= first);
    return !inMilk && !group.kind().contains("dairy");
  }

  /** By what its energy costs, of those whose price is known. */
  private Stream<StoredFeed> cheapestFirst(Trial trial) {
    int month = trial.year().date(trial.gap().firstDay()).getMonthValue();
    return trial.engine().catalogue().storedFeeds().stream()
        .filter(f -> straw ? f.kind().equals("straw") : f.kind().equals("byproduct"))
        .filter(f -> f.maxShareOfDiet() >= (straw ? STRAW_SHARE : 2 * CONCENTRATE_SHARE))
        .filter(f -> price(trial, f).isPresent())
        .sorted(
            Comparator.comparingDouble(
                f ->
                    price(trial, f).orElseThrow().in(month, false)
                        / f.dmShare()
                        / f.worth().tdnPct()));
  }

  private static Optional<Price> price(Trial trial, StoredFeed feed) {
    return trial.engine().catalogue().pricesOn(trial.stated().farm()).of(feed.id());
  }

  private List<PlanEdit> fed(
      Trial trial, StoredFeed feed, List<String> eaters, int from, int units) {
    String id = lotId(trial);
    Lot lot =
        new Lot(
            id,
            feed.name(),
            straw ? "round bale" : "tonne bag",
            units,
            unitKg(),
            feed.dmShare(),
            "s_barn",
            straw ? "f_ring_open" : "f_trough_suppl",
            null,
            "",
            new Origin(feed.id(), null, Origin.Wrap.NOT_SAID, "", true, null, null),
            null,
            null);
    LocalDate day = trial.year().date(from);
    List<PlanEdit> edits = new ArrayList<>();
    edits.add(new PlanEdit.Put<>(Items.PURCHASES, new Purchase(id, day, lot, List.of())));
    Portion portion =
        new Portion(Portion.Bound.EXACTLY, straw ? STRAW_SHARE : CONCENTRATE_SHARE, null);
    for (String group : eaters) {
      List<FeedStep> steps = new ArrayList<>();
      steps.add(
          new FeedStep(
              trial.freeStep(group + "-" + id),
              group,
              FeedStep.Kind.STORE,
              List.of(id),
              day,
              trial.year().date(trial.gap().lastDay() + 1),
              portion,
              null));
      steps.addAll(trial.stepsOf(group));
      edits.add(new PlanEdit.SetFeeding(group, steps));
    }
    return edits;
  }

  private String lotId(Trial trial) {
    return Trial.freeId(
        straw ? "straw" : "trough", trial.stated().allLots().stream().map(Lot::id).toList());
  }

  /** Whole units that hold the share of those who eat it over the gap. */
  private int units(Trial trial, StoredFeed feed, List<String> eaters) {
    double kg = 0;
    List<AnimalGroup> groups = trial.stated().farm().groups();
    for (int g = 0; g < groups.size(); g++) {
      for (int d = trial.gap().firstDay(); d <= trial.gap().lastDay(); d++) {
        kg += eaters.contains(groups.get(g).id()) ? trial.before().needKg(g, d) : 0;
      }
    }
    double share = straw ? STRAW_SHARE : CONCENTRATE_SHARE;
    double usable = feed.dmShare() * (straw ? USABLE_STRAW : USABLE_CONCENTRATE);
    return (int) Math.max(1, Math.ceil(kg * share / (unitKg() * usable)));
  }

  /** A round bale of straw, a big bag. Usual sizes. */
  private double unitKg() {
    return straw ? 250 : 1000;
  }
}
