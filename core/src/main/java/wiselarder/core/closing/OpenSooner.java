package wiselarder.core.closing;

import java.util.List;
import java.util.Optional;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Items;

/** Opens a field that is still shut when the gap begins on that day, for those that go short. */
public final class OpenSooner implements Lever {
  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.OPEN_SOONER;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    return trial.stated().plan().closings().stream()
        .flatMap(c -> sooner(trial, c).stream())
        .toList();
  }

  private static Optional<Candidate> sooner(Trial trial, Closing c) {
    PlanYear year = trial.year();
    int first = trial.gap().firstDay();
    if (year.day(c.fromInclusive()) >= first || year.day(c.toExclusive()) <= first) {
      return Optional.empty();
    }
    double kg = trial.bringsIfAllowed(opened(trial, c, first));
    if (!trial.worthIt(kg)) {
      return Optional.empty();
    }
    int tooLate = Math.min(trial.gap().lastDay(), year.day(c.toExclusive()));
    int last = trial.latest(first, tooLate, kg, d -> opened(trial, c, d));
    return Optional.of(new Candidate(opened(trial, c, first), year.date(last)));
  }

  private static List<PlanEdit> opened(Trial trial, Closing c, int on) {
    List<String> by = c.grazedBy().isEmpty() ? trial.groups() : c.grazedBy();
    return List.of(
        new PlanEdit.Put<>(
            Items.CLOSINGS,
            new Closing(
                c.id(),
                c.fieldId(),
                c.fromInclusive(),
                trial.year().date(on),
                by,
                c.grazeUntilExclusive())));
  }
}
