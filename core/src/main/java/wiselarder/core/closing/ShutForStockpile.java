package wiselarder.core.closing;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
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

  /** Dates are tried for so many fields, those that bring most. */
  private static final int TRIED_FIELDS = 5;

  /** Days about the usual day of shutting that are tried. */
  private static final List<Integer> TRIED_DAYS = List.of(-30, -15, 15, 30);

  /** A later day that still brings so much of the best one will do. */
  private static final double NEARLY = 0.95;

  /** A closing with what it brings, kg DM. */
  private record Tried(Closing closing, double kg) {}

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<Tried> tried =
        trial.stated().farm().fields().stream()
            .flatMap(field -> closing(trial, field).stream())
            .filter(c -> trial.allows(edit(c)))
            .map(c -> tried(trial, c))
            .sorted(Comparator.comparingDouble(Tried::kg).reversed())
            .toList();
    List<Candidate> all = new ArrayList<>();
    for (Tried t : tried) {
      boolean first = all.size() < TRIED_FIELDS && t.kg > 0;
      all.add(first ? onItsBestDay(trial, t) : candidate(t.closing, t.closing.fromInclusive()));
    }
    return all;
  }

  private static PlanEdit edit(Closing closing) {
    return new PlanEdit.Put<>(Items.CLOSINGS, closing);
  }

  private static Tried tried(Trial trial, Closing closing) {
    return new Tried(closing, trial.bringsKg(List.of(edit(closing))));
  }

  private static Candidate candidate(Closing closing, LocalDate decideBy) {
    return new Candidate(List.of(edit(closing)), decideBy);
  }

  /** Shut on the day that brings most; to be decided by the last that brings nearly as much. */
  private static Candidate onItsBestDay(Trial trial, Tried usual) {
    Tried best = usual;
    for (int days : TRIED_DAYS) {
      Closing other = shutOn(trial, usual.closing, days);
      if (other != null) {
        Tried there = tried(trial, other);
        best = there.kg > best.kg ? there : best;
      }
    }
    int still = 0;
    int tooLate =
        (int) best.closing.fromInclusive().until(best.closing.toExclusive(), ChronoUnit.DAYS);
    while (tooLate - still > 1) {
      int middle = (still + tooLate) / 2;
      Closing later = shutOn(trial, best.closing, middle);
      if (later != null && tried(trial, later).kg >= NEARLY * best.kg) {
        still = middle;
      } else {
        tooLate = middle;
      }
    }
    return candidate(best.closing, best.closing.fromInclusive().plusDays(still));
  }

  /** The same closing begun so many days later; null where it cannot be. */
  private static Closing shutOn(Trial trial, Closing c, int daysLater) {
    LocalDate from = c.fromInclusive().plusDays(daysLater);
    boolean within = !from.isBefore(trial.stated().plan().year().start());
    if (!within || from.plusDays(1).isAfter(c.toExclusive())) {
      return null;
    }
    Closing shut =
        new Closing(
            c.id(), c.fieldId(), from, c.toExclusive(), c.grazedBy(), c.grazeUntilExclusive());
    return trial.allows(edit(shut)) ? shut : null;
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
