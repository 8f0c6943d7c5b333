package wiselarder.core.closing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Items;
import wiselarder.core.store.LossMethod;
import wiselarder.core.store.Lot;

/**
 * Feeds what is stored by a way that wastes less: every lot that is fed in one way by the next
 * better that suits the same feed. What a feeder costs is not known here.
 */
public final class LessWaste implements Lever {
  /** What one would go over to from each way: a better feeder, or smaller portions. Practice. */
  private static final Map<String, List<String>> BETTER =
      Map.of(
          "f_ground_free", List.of("f_ring_open", "f_cone"),
          "f_ring_open", List.of("f_ring_sheeted", "f_cone"),
          "f_ring_sheeted", List.of("f_cone"),
          "f_cradle", List.of("f_cone"),
          "f_trailer", List.of("f_cone"),
          "f_unrolled_days", List.of("f_unrolled_daily"),
          "f_bale_graze_7d", List.of("f_bale_graze_2d"),
          "f_bale_graze_3_4d", List.of("f_bale_graze_1d"),
          "f_bale_graze_2d", List.of("f_bale_graze_1d"));

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.LESS_WASTE;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    return trial.stated().farm().lots().stream()
        .map(Lot::feedingMethodId)
        .distinct()
        .flatMap(now -> better(trial, now).stream().map(b -> List.of(now, b)))
        .flatMap(way -> fedBy(trial, way.get(0), way.get(1)).stream())
        .toList();
  }

  /** Small stock eat from racks and horses from nets, whatever is used for cattle. */
  private static List<String> better(Trial trial, String now) {
    List<String> species =
        trial.hungry().stream()
            .map(g -> g.kind().substring(0, g.kind().indexOf('/')))
            .distinct()
            .toList();
    boolean loose = BETTER.containsKey(now) && !now.startsWith("f_bale_graze");
    if (loose && species.stream().allMatch(SMALL::contains)) {
      return List.of("f_rack_small");
    }
    if (loose && species.equals(List.of("horse"))) {
      return List.of("f_hay_net");
    }
    return BETTER.getOrDefault(now, List.of());
  }

  private static final List<String> SMALL = List.of("sheep", "goat");

  private static Optional<Candidate> fedBy(Trial trial, String now, String better) {
    Catalogue catalogue = trial.engine().catalogue();
    catalogue.loss("lot.feedingMethodId", better, LossMethod.Stage.FEEDING);
    List<PlanEdit> edits =
        trial.stated().farm().lots().stream()
            .filter(l -> l.feedingMethodId().equals(now))
            .<PlanEdit>map(l -> new PlanEdit.Put<>(Items.LOTS, l.fedBy(better)))
            .toList();
    if (!trial.worthIt(trial.bringsIfAllowed(edits))) {
      return Optional.empty();
    }
    // it saves from the first bale on: decided before the first is fed
    return Optional.of(new Candidate(edits, trial.year().date(firstFed(trial, now))));
  }

  private static int firstFed(Trial trial, String way) {
    List<Lot> lots = trial.stated().allLots();
    for (int d = 0; d < trial.gap().firstDay(); d++) {
      for (int l = 0; l < lots.size(); l++) {
        if (lots.get(l).feedingMethodId().equals(way) && trial.before().lotEatenKg(l, d) > 0) {
          return d;
        }
      }
    }
    return trial.gap().firstDay();
  }
}
