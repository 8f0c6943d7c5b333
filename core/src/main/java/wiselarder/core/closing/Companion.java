package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.SowingTable;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Sowing;

/**
 * Oats in the same pass with a slower winter crop that is sown: they give the first feed, and the
 * partner fills the spring.
 */
public final class Companion implements Lever {
  private static final String OATS = "spring_oats";

  /** Crops that oats are ahead of. */
  private static final List<String> SLOW =
      List.of(
          "annual_ryegrass",
          "crimson_clover",
          "hairy_vetch",
          "winter_wheat",
          "winter_triticale",
          "cereal_rye");

  /** So much of the full rate: more would shade the partner. Practice. */
  private static final double SEED_SHARE = 0.5;

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.COMPANION;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    Optional<SowingTable.Window> window = autumn(trial, OATS);
    if (window.isEmpty()) {
      return List.of();
    }
    return slow(trial)
        .filter(partner -> isAlone(trial, partner))
        .filter(partner -> fits(trial, window.get(), partner))
        .flatMap(partner -> beside(trial, partner).stream())
        .toList();
  }

  /** Slow crops that the plan sows, and are up before the gap ends. */
  private static Stream<Sowing> slow(Trial trial) {
    return trial.stated().plan().sowings().stream().filter(s -> SLOW.contains(s.forageId()));
  }

  private static boolean isAlone(Trial trial, Sowing partner) {
    return trial.stated().plan().sowings().stream()
        .noneMatch(s -> s.fieldId().equals(partner.fieldId()) && s.forageId().equals(OATS));
  }

  /** The partner's day is one on which oats are sown here, and they feed before the gap ends. */
  private static boolean fits(Trial trial, SowingTable.Window w, Sowing partner) {
    int day = trial.year().day(partner.sowOn());
    return day >= 0
        && w.open(partner.sowOn().getDayOfYear())
        && day + w.useFromDays() <= trial.gap().lastDay()
        && Fitting.against(
                oats(trial), trial.stated(), trial.engine().catalogue(), partner.sowOn(), false)
            .isEmpty();
  }

  private static Forage oats(Trial trial) {
    return trial.engine().catalogue().forage(OATS);
  }

  private static Optional<SowingTable.Window> autumn(Trial trial, String forage) {
    Catalogue catalogue = trial.engine().catalogue();
    if (CropChoice.isShut(trial, catalogue.forage(forage))) {
      return Optional.empty();
    }
    return catalogue
        .crops()
        .table()
        .of(trial.stated().farm().climateId(), catalogue.forage(forage))
        .stream()
        .filter(w -> w.purpose().equals("autumn_winter_feed"))
        .findFirst();
  }

  private static Optional<Candidate> beside(Trial trial, Sowing partner) {
    List<String> taken = trial.stated().plan().sowings().stream().map(Sowing::id).toList();
    Sowing oats =
        new Sowing(
            Trial.freeId("oats-" + partner.fieldId(), taken),
            partner.fieldId(),
            OATS,
            partner.sowOn(),
            partner.preparation(),
            null,
            SEED_SHARE,
            null);
    List<PlanEdit> edits = new ArrayList<>();
    edits.add(new PlanEdit.Put<>(Items.SOWINGS, oats));
    return trial.worthIt(trial.bringsIfAllowed(edits))
        ? Optional.of(new Candidate(edits, partner.sowOn()))
        : Optional.empty();
  }
}
