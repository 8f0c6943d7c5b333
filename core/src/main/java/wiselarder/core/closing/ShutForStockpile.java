package wiselarder.core.closing;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.caution.Cautions;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.forage.Forage;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.weather.Climate;

/** Shuts one field before the killing frost, to be eaten standing by those that go short. */
public final class ShutForStockpile implements Lever {
  /** Days before the killing frost at which a stockpile is best shut. Practice, 60 to 90. */
  private static final int SHUT_BEFORE_FROST_DAYS = 75;

  /** Days before the use-by day at which grazing of a stockpile starts. Practice, 30 to 60. */
  private static final int OPEN_BEFORE_USE_BY_DAYS = 45;

  private static final int LEAST_SHUT_DAYS = 30;

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.STOCKPILE;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    return trial.stated().farm().fields().stream()
        .flatMap(field -> closing(trial, field).stream())
        .map(c -> candidate(c, trial))
        .flatMap(Optional::stream)
        .toList();
  }

  private static Optional<Candidate> candidate(Closing closing, Trial trial) {
    PlanEdit edit = new PlanEdit.Put<>(Items.CLOSINGS, closing);
    return trial.allows(edit)
        ? Optional.of(new Candidate(List.of(edit), Optional.of(0.0), closing.fromInclusive()))
        : Optional.empty();
  }

  private static Optional<Closing> closing(Trial trial, Field field) {
    FarmPlan stated = trial.stated();
    Forage forage = trial.engine().catalogue().on(stated.farm()).forage(field.stand().forageId());
    PlanYear year = stated.plan().year();
    Climate climate = trial.engine().catalogue().climate(stated.farm().climateId());
    OptionalInt frost = climate.firstDay(year, climate.firstFrost().doy50());
    if (!stockpiles(forage) || frost.isEmpty() || frost.getAsInt() > trial.gap().firstDay()) {
      return Optional.empty();
    }
    int useBy = frost.getAsInt() + (int) forage.stockpileUseByDays();
    int from = Math.max(0, frost.getAsInt() - SHUT_BEFORE_FROST_DAYS);
    int to = Math.min(trial.gap().firstDay(), useBy - OPEN_BEFORE_USE_BY_DAYS);
    if (to - from < LEAST_SHUT_DAYS || shutAlready(stated, field, from, to)) {
      return Optional.empty();
    }
    String id =
        Trial.freeId(
            "shut-" + field.id(), stated.plan().closings().stream().map(Closing::id).toList());
    return Optional.of(
        new Closing(
            id,
            field.id(),
            year.date(from),
            year.date(to),
            trial.groups(),
            year.date(Math.min(year.days(), useBy))));
  }

  /** Frost and regrowth decide when a sorghum is safe, so that it is never offered. */
  private static boolean stockpiles(Forage forage) {
    return forage.canStockpile()
        && !Double.isNaN(forage.stockpileUseByDays())
        && !Cautions.isSorghum(forage);
  }

  private static boolean shutAlready(FarmPlan stated, Field field, int from, int to) {
    PlanYear year = stated.plan().year();
    return stated.plan().closings().stream()
        .filter(c -> c.fieldId().equals(field.id()))
        .anyMatch(c -> year.day(c.fromInclusive()) < to && from < year.day(c.toExclusive()));
  }
}
