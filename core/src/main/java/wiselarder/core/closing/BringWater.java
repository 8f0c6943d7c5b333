package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.diet.WaterYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.gap.Gap.Cause;
import wiselarder.core.gap.Gap.Cause.Code;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.plan.Items;

/**
 * More water at a field that gives too little: brought there where there is none, else as much a
 * day as is drunk at most, by a larger line or tank, or by bringing the rest.
 */
public final class BringWater implements Lever {
  /** Pipes, tanks and a tanker are there so many days after they are ordered. Assumption. */
  private static final int COMES_AFTER_DAYS = 21;

  /** A supply is stated in steps of so many litres a day. */
  private static final double STEP_L = 100;

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.BRING_WATER;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<Candidate> found = new ArrayList<>();
    for (String id : dry(trial)) {
      Field field = trial.stated().field(id);
      Lie.Water now = field.lie().water();
      boolean brought = now == Lie.Water.NONE || now == Lie.Water.HAULED;
      Lie lie =
          brought
              ? field.lie().watered(Lie.Water.HAULED, null)
              : field.lie().watered(now, STEP_L * Math.ceil(most(trial, id) / STEP_L));
      List<PlanEdit> edits = List.of(new PlanEdit.Put<>(Items.FIELDS, field.lying(lie)));
      if (trial.worthIt(trial.bringsIfAllowed(edits))) {
        int by = Math.max(0, trial.gap().firstDay() - COMES_AFTER_DAYS);
        found.add(new Candidate(edits, trial.year().date(by)));
      }
    }
    return found;
  }

  /** Most that is drunk at a field on a day of the plan, litres. */
  private static double most(Trial trial, String field) {
    return WaterYear.of(trial.before()).fields().stream()
        .filter(f -> f.fieldId().equals(field))
        .mapToDouble(WaterYear.FieldWater::mostL)
        .max()
        .orElse(0);
  }

  /** Fields that give too little in the gap. */
  static List<String> dry(Trial trial) {
    return trial.gap().causes().stream()
        .filter(c -> c.code() == Code.FIELD_GIVES)
        .map(Cause::subjects)
        .map(s -> s.get(0))
        .toList();
  }
}
