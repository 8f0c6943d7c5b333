package wiselarder.core.conflict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.forage.Forage;
import wiselarder.core.land.SoilWater;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;

/**
 * A stand greens up in the weather of a year, and is of use later: being green is no feed yet. Days
 * are the plan's.
 *
 * @param greenDay first day on which the mean of a week's growth that weather allows is a tenth of
 *     its best, after three weeks and more without
 * @param usefulDay first day after it on which as much new growth has come as lies between leaving
 *     and entering; -1 where it does not come to that in the plan
 * @param nightC mean low of the week up to green-up, deg C
 */
public record Greening(
    String fieldId, String forageId, int greenDay, int usefulDay, double nightC) {
  /** Shorter than this it did not sleep. As of the marks that dates go by. */
  private static final int SLEEPS_AT_LEAST_DAYS = 21;

  private static final int WEEK = 7;

  /** Every green-up of the plan, the earliest first. */
  public static List<Greening> of(YearBalance year) {
    List<Greening> all = new ArrayList<>();
    FieldPlan[] fields = year.resolved().fields;
    for (int f = 0; f < fields.length; f++) {
      Forage stand = fields[f].base().forage;
      if (stand.grows() && !stand.sownYearly()) {
        find(year, f, all);
      }
    }
    all.sort(Comparator.comparingInt(Greening::greenDay));
    return List.copyOf(all);
  }

  private static void find(YearBalance year, int f, List<Greening> all) {
    StandPlan stand = year.resolved().fields[f].base();
    double mean = Double.NaN;
    int slept = 0;
    for (int d = stand.arrives; d < Math.min(year.days(), stand.leaves); d++) {
      double rate = rate(year, f, d);
      mean = Double.isNaN(mean) ? rate : mean + (rate - mean) / WEEK;
      boolean sleeps = mean < stand.quietBelow || sleepsInFrost(year, stand, d);
      if (!sleeps && slept >= SLEEPS_AT_LEAST_DAYS && year.coverKgPerHa(f, d) > 0) {
        all.add(
            new Greening(
                year.resolved().fields[f].field.id(),
                stand.forage.id(),
                d,
                useful(year, f, d),
                night(year, d)));
      }
      slept = sleeps ? slept + 1 : 0;
    }
  }

  /** Growth of a day at full leaf, as the engine has it, kg DM/ha. */
  private static double rate(YearBalance year, int f, int day) {
    ResolvedPlan plan = year.resolved();
    StandPlan stand = plan.fields[f].base();
    ResolvedPlan.Answer answer = stand.answer(plan.weather.kind());
    double water = year.soilWaterMm(f, Math.max(0, day - 1));
    double wet = SoilWater.growthShare(water, plan.fields[f].capacityMm, stand.droughtHold);
    double index = plan.index[day * plan.kinds.length + stand.kind] * wet;
    return stand.growth[day] + answer.response[day] * (index - answer.index[day]);
  }

  private static boolean sleepsInFrost(YearBalance year, StandPlan stand, int day) {
    return !stand.hardy
        && stand.forage.frostStops(
            year.resolved().weather.frostSeason(day), year.resolved().weather.tminC(day));
  }

  private static int useful(YearBalance year, int f, int from) {
    FieldPlan field = year.resolved().fields[f];
    double wanted = Math.max(0, field.base().turnIn - field.base().residual);
    double grown = 0;
    for (int d = from; d < year.days(); d++) {
      grown += year.grownKg(f, d) / field.areaHa;
      if (grown >= wanted) {
        return d;
      }
    }
    return -1;
  }

  private static double night(YearBalance year, int day) {
    int from = Math.max(0, day - WEEK + 1);
    double sum = 0;
    for (int d = from; d <= day; d++) {
      sum += year.resolved().weather.tminC(d);
    }
    return sum / (day - from + 1);
  }
}
