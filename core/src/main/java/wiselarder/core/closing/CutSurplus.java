package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.forage.Forage;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Items;
import wiselarder.core.store.Lot;

/** Cuts a field before the gap, while more stands there than stock will eat: dry, or wrapped. */
public final class CutSurplus implements Lever {
  private static final int TRIED_FIELDS = 5;
  private static final int TRIED_DAYS = 3;
  private static final int STEP_DAYS = 10;

  /** A cut of less is not worth the machine's way, kg DM. Assumption. */
  private static final double LEAST_CUT_KG = 1000;

  /** Hay lies in store for so long before it is wanted. */
  private static final int READY_DAYS = 14;

  /** Wrapped feed ferments for so long before it is opened. */
  private static final int FERMENTED_DAYS = 42;

  private final boolean wrapped;

  private CutSurplus(boolean wrapped) {
    this.wrapped = wrapped;
  }

  /** Dried and baled. */
  public static CutSurplus hay() {
    return new CutSurplus(false);
  }

  /** Wilted, baled and wrapped: two dry days are enough. */
  public static CutSurplus wrapped() {
    return new CutSurplus(true);
  }

  @Override
  public LeverOption.Kind kind() {
    return wrapped ? LeverOption.Kind.CUT_WRAPPED : LeverOption.Kind.CUT_SURPLUS;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<Field> fields = trial.stated().farm().fields();
    return IntStream.range(0, fields.size())
        .filter(f -> fields.get(f).hayable() && trial.forage(fields.get(f)).canCut())
        .boxed()
        .sorted(Comparator.comparingDouble(f -> -most(trial, f)))
        .limit(TRIED_FIELDS)
        .flatMap(f -> cut(trial, f).stream())
        .toList();
  }

  private static double standingKg(Trial trial, int field, int day) {
    YearBalance b = trial.before();
    return b.mownKgPerHa(field, day) * trial.stated().farm().fields().get(field).netAreaHa();
  }

  private List<Integer> days(Trial trial, int field) {
    List<Integer> days = new ArrayList<>();
    for (int d = 0;
        d < trial.gap().firstDay() - (wrapped ? FERMENTED_DAYS : READY_DAYS);
        d += STEP_DAYS) {
      if (standingKg(trial, field, d) >= LEAST_CUT_KG) {
        days.add(d);
      }
    }
    days.sort(Comparator.comparingDouble(d -> -standingKg(trial, field, d)));
    return days;
  }

  private double most(Trial trial, int field) {
    List<Integer> days = days(trial, field);
    return days.isEmpty() ? 0 : standingKg(trial, field, days.get(0));
  }

  private Optional<Candidate> cut(Trial trial, int f) {
    Field field = trial.stated().farm().fields().get(f);
    return trial.onBestDay(
        days(trial, f).stream().limit(TRIED_DAYS).mapToInt(d -> d),
        trial.gap().firstDay(),
        d -> cutOn(trial, field, d));
  }

  /** By the machine there is; leaf shatters where legumes are half of it. */
  private static String made(FarmPlan stated, Forage forage, boolean wrapped) {
    if (wrapped) {
      return "h_haylage";
    }
    if (!stated.farm().has(Farm.Machine.MOWER_CONDITIONER)) {
      return "h_hay_not_conditioned";
    }
    return forage.legumeShare() >= HALF ? "h_hay_conditioned_legume" : "h_hay_conditioned_grass";
  }

  private static final double HALF = 0.5;

  private List<PlanEdit> cutOn(Trial trial, Field field, int day) {
    HayCut cut = cut(trial.stated(), trial.forage(field), field, trial.year().date(day), wrapped);
    List<PlanEdit> edits = new ArrayList<>();
    edits.add(new PlanEdit.Put<>(Items.CUTS, cut));
    edits.addAll(trial.feedingLast(cut.lot().id(), day));
    return edits;
  }

  /** A cut of a field into bales as they are usual. */
  static HayCut cut(FarmPlan stated, Forage forage, Field field, LocalDate date, boolean wrapped) {
    String id =
        Trial.freeId("cut-" + field.id(), stated.plan().cuts().stream().map(HayCut::id).toList());
    String lot = Trial.freeId("hay-" + field.id(), stated.allLots().stream().map(Lot::id).toList());
    return new HayCut(
        id,
        field.id(),
        date,
        made(stated, forage, wrapped),
        new Lot(
            lot,
            field.name() + (wrapped ? " haylage" : " hay"),
            wrapped ? "wrapped bale" : "round bale",
            0,
            wrapped ? 650 : 365,
            wrapped ? 0.5 : 0.87,
            wrapped ? "s_wrapped_sound" : "s_barn",
            "f_ring_open",
            null,
            ""));
  }
}
