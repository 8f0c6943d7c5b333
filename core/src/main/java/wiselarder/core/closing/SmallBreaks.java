package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Items;

/**
 * Gives fields in strips of a day or two behind a moved fence, with a back fence where they stay
 * longer, so that more of what stands is eaten and less trodden: all that are grazed in larger
 * pieces now, and those alone on which it brings most.
 */
public final class SmallBreaks implements Lever {
  private static final int MOST_ALONE = 2;

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.SMALL_BREAKS;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<Field> fields = trial.stated().farm().fields();
    List<Integer> large =
        IntStream.range(0, fields.size())
            .filter(f -> fields.get(f).grazing() != Field.Grazing.STRIP)
            .filter(f -> firstGrazed(trial, f) <= trial.gap().lastDay())
            .boxed()
            .sorted(Comparator.comparingDouble(f -> -fields.get(f).netAreaHa()))
            .toList();
    List<List<Integer>> sets = new ArrayList<>();
    sets.add(large);
    if (large.size() > 1) {
      large.stream().limit(MOST_ALONE).forEach(f -> sets.add(List.of(f)));
    }
    List<Candidate> found = new ArrayList<>();
    for (List<Integer> set : sets) {
      List<PlanEdit> edits =
          set.stream()
              .map(fields::get)
              .<PlanEdit>map(
                  f -> new PlanEdit.Put<>(Items.FIELDS, f.managed(Field.Grazing.STRIP, null)))
              .toList();
      if (!set.isEmpty() && trial.worthIt(trial.bringsIfAllowed(edits))) {
        int by = set.stream().mapToInt(f -> firstGrazed(trial, f)).min().orElse(0);
        found.add(new Candidate(edits, trial.year().date(by)));
      }
    }
    return found;
  }

  /** The first day on which somebody grazes a field; past the plan for never. */
  private static int firstGrazed(Trial trial, int field) {
    int day = 0;
    while (day < trial.year().days() && trial.before().grazedKg(field, day) <= 0) {
      day++;
    }
    return day;
  }
}
