package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Portion;
import wiselarder.core.plan.Purchase;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Origin;
import wiselarder.core.store.StoredFeed;

/**
 * A feed that is bought and given every day beside the rest, before it.
 *
 * @param portion of a day's need, or of dry matter a head
 */
record Beside(StoredFeed feed, int units, double unitKg, Portion portion) {
  /** Of what is bought so much ends in an animal, store and feeder accounted for. Assumption. */
  private static final double USABLE_FODDER = 0.85;

  private static final double USABLE_IN_TROUGH = 0.97;

  /** Enough whole units for some dry matter eaten. */
  static Beside enough(StoredFeed feed, double eatenKg, Portion portion) {
    double asFedKg = eatenKg / (feed.dmShare() * usable(feed));
    double unitKg = feed.isLoose() && asFedKg < BIG_BAG_KG ? SMALL_BAG_KG : unitKg(feed);
    return new Beside(feed, (int) Math.max(1, Math.ceil(asFedKg / unitKg)), unitKg, portion);
  }

  private static double usable(StoredFeed feed) {
    return feed.isLoose() ? USABLE_IN_TROUGH : USABLE_FODDER;
  }

  private static final double BIG_BAG_KG = 1000;

  private static final double SMALL_BAG_KG = 25;

  /** A big bag, a bale of straw, of hay, of wrapped grass. Usual sizes. */
  private static double unitKg(StoredFeed feed) {
    return switch (feed.kind()) {
      case "straw" -> 250;
      case "hay" -> 365;
      case "haylage", "silage" -> 600;
      default -> BIG_BAG_KG;
    };
  }

  /** Edits that buy some feeds and give them to each group from a day on. */
  static List<PlanEdit> given(
      Trial trial, List<Beside> feeds, List<String> groups, int from, int toExclusive) {
    List<String> taken = new ArrayList<>(trial.stated().allLots().stream().map(Lot::id).toList());
    List<PlanEdit> edits = new ArrayList<>();
    List<Lot> lots = new ArrayList<>();
    LocalDate day = trial.year().date(from);
    for (Beside b : feeds) {
      Lot lot = b.lot(Trial.freeId(b.prefix(), taken));
      taken.add(lot.id());
      lots.add(lot);
      edits.add(new PlanEdit.Put<>(Items.PURCHASES, new Purchase(lot.id(), day, lot, List.of())));
    }
    for (String group : groups) {
      List<FeedStep> steps = new ArrayList<>();
      for (int i = 0; i < feeds.size(); i++) {
        String lot = lots.get(i).id();
        steps.add(
            new FeedStep(
                trial.freeStep(group + "-" + lot),
                group,
                FeedStep.Kind.STORE,
                List.of(lot),
                day,
                trial.year().date(toExclusive),
                feeds.get(i).portion,
                null));
      }
      steps.addAll(trial.stepsOf(group));
      edits.add(new PlanEdit.SetFeeding(group, steps));
    }
    return edits;
  }

  private String prefix() {
    return feed.kind().equals("straw") ? "straw" : feed.isLoose() ? "trough" : "bought";
  }

  private Lot lot(String id) {
    return new Lot(
        id,
        feed.name(),
        !feed.isLoose() ? "round bale" : unitKg == SMALL_BAG_KG ? "bag" : "tonne bag",
        units,
        unitKg,
        feed.dmShare(),
        "s_barn",
        feed.isLoose() ? "f_trough_suppl" : "f_ring_open",
        null,
        "",
        new Origin(feed.id(), null, Origin.Wrap.NOT_SAID, "", true, null, null),
        null,
        null);
  }
}
