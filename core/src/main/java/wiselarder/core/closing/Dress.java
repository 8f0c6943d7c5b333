package wiselarder.core.closing;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.SwardRules;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.Items;
import wiselarder.core.resolved.ResolvedPlan;

/**
 * Nitrogen on a grass field so long before the gap that what it grows stands in it, on the day of
 * those tried that brings most. Not where legumes are a third of the sward: it takes them out.
 */
public final class Dress implements Lever {
  /** One ordinary dressing, as the form of a field has it; soil test and local code stand above. */
  private static final double NITROGEN_KG_PER_HA = 45;

  private static final List<Integer> DAYS_BEFORE = List.of(90, 60, 30);
  private static final int TRIED_FIELDS = 4;
  private static final double MUCH_LEGUME = 0.3;

  @Override
  public LeverOption.Kind kind() {
    return LeverOption.Kind.NITROGEN;
  }

  @Override
  public List<Candidate> candidates(Trial trial) {
    List<Field> fields = trial.stated().farm().fields();
    return IntStream.range(0, fields.size())
        .filter(f -> answers(trial, fields.get(f)))
        .boxed()
        .sorted(Comparator.comparingDouble(f -> -fields.get(f).netAreaHa()))
        .limit(TRIED_FIELDS)
        .flatMap(f -> dressed(trial, f).stream())
        .toList();
  }

  private static boolean answers(Trial trial, Field field) {
    Forage forage = trial.forage(field);
    return forage.grows() && forage.legumeShare() < MUCH_LEGUME;
  }

  private static boolean grows(Trial trial, int field, int day) {
    ResolvedPlan resolved = trial.before().resolved();
    double peak = 0;
    for (int d = 0; d < trial.before().days(); d++) {
      peak = Math.max(peak, resolved.statedGrowth(field, d));
    }
    return resolved.statedGrowth(field, day) > SwardRules.DORMANT_SHARE * peak
        && !resolved.weather().snowShuts(day);
  }

  private static Optional<Candidate> dressed(Trial trial, int f) {
    int first = trial.gap().firstDay();
    return trial.onBestDay(
        DAYS_BEFORE.stream().mapToInt(before -> first - before), first, d -> on(trial, f, d));
  }

  /** Nothing on a day on which the grass sleeps or lies under snow: it would be lost. */
  private static List<PlanEdit> on(Trial trial, int f, int day) {
    if (!grows(trial, f, day)) {
      return List.of();
    }
    Field field = trial.stated().farm().fields().get(f);
    String id =
        Trial.freeId(
            "nitrogen-" + field.id(),
            trial.stated().plan().dressings().stream().map(Dressing::id).toList());
    return List.of(
        new PlanEdit.Put<>(
            Items.DRESSINGS,
            new Dressing(id, field.id(), trial.year().date(day), NITROGEN_KG_PER_HA, null)));
  }
}
