package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.Items;

/**
 * Waters a field that is watered already some more in the weeks before the gap. Fields that no plan
 * waters are left alone: whether there is water, a pump and a right to it only the keeper knows.
 */
public final class WaterMore implements Lever {
  private static final double GIFT_MM = 25;
  private static final int GIFTS = 3;
  private static final int APART_DAYS = 10;
  private static final List<Integer> DAYS_BEFORE = List.of(75, 50, 30);

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.IRRIGATE;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    int first = trial.gap().firstDay();
    return trial.stated().plan().irrigations().stream()
        .map(Irrigation::fieldId)
        .distinct()
        .flatMap(
            field ->
                trial
                    .onBestDay(
                        DAYS_BEFORE.stream().mapToInt(before -> first - before),
                        first,
                        d -> watered(trial, field, d))
                    .stream())
        .toList();
  }

  private static List<PlanEdit> watered(Trial trial, String field, int from) {
    List<String> taken =
        new ArrayList<>(trial.stated().plan().irrigations().stream().map(Irrigation::id).toList());
    return IntStream.range(0, GIFTS)
        .<PlanEdit>mapToObj(
            n -> {
              String id = Trial.freeId("water-" + field, taken);
              taken.add(id);
              return new PlanEdit.Put<>(
                  Items.IRRIGATIONS,
                  new Irrigation(id, field, trial.year().date(from + n * APART_DAYS), GIFT_MM));
            })
        .toList();
  }
}
