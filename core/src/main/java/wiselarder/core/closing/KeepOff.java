package wiselarder.core.closing;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Items;

/** Grazes fields that give too little water at another time: each is shut while they lack it. */
public final class KeepOff implements Lever {
  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.KEEP_OFF;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<Candidate> found = new ArrayList<>();
    List<String> taken = trial.stated().plan().closings().stream().map(Closing::id).toList();
    for (String field : BringWater.dry(trial)) {
      Closing shut =
          new Closing(
              Trial.freeId("dry-" + field, taken),
              field,
              trial.year().date(trial.gap().firstDay()),
              trial.year().date(trial.gap().lastDay() + 1),
              List.of(),
              null);
      List<PlanEdit> edits = List.of(new PlanEdit.Put<>(Items.CLOSINGS, shut));
      if (trial.worthIt(trial.bringsIfAllowed(edits))) {
        found.add(new Candidate(edits, shut.fromInclusive()));
      }
    }
    return found;
  }
}
