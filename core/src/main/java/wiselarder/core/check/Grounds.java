package wiselarder.core.check;

import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Sowing;

/** The smallest farms there are: one field, and one herd or none. */
final class Grounds {
  static final double AREA_HA = 10;
  private static final double KG_A_DAY = 12;

  private Grounds() {}

  /** Bare ground with a crop sown on it. */
  static FarmPlan sown(String climateId, PlanYear year, Sowing sowing) {
    return farm(climateId, year, "fallow", 0, List.of(), List.of(), List.of(sowing));
  }

  /** A stand that nobody grazes. */
  static FarmPlan alone(String climateId, PlanYear year, String forageId, double coverKgPerHa) {
    return farm(climateId, year, forageId, coverKgPerHa, List.of(), List.of(), List.of());
  }

  /** A stand with so many mouths that eat 12 kg a day. */
  static FarmPlan grazed(
      String climateId, PlanYear year, String forageId, double coverKgPerHa, int head) {
    AnimalGroup herd =
        new AnimalGroup(
            "h", "Herd", "beef/bull", head, 800, 0, KG_A_DAY, null, 1, 0, null, null, null, null);
    FeedStep step = new FeedStep("g", "h", FeedStep.Kind.GRAZE, List.of(), null, null);
    return farm(climateId, year, forageId, coverKgPerHa, List.of(herd), List.of(step), List.of());
  }

  private static FarmPlan farm(
      String climateId,
      PlanYear year,
      String forageId,
      double coverKgPerHa,
      List<AnimalGroup> herd,
      List<FeedStep> steps,
      List<Sowing> sowings) {
    Field field =
        new Field(
            "a",
            "Field",
            AREA_HA,
            new Stand(forageId, null, null, coverKgPerHa, 0, null, null),
            Field.Grazing.ROTATIONAL,
            null,
            null,
            null,
            true,
            "",
            null);
    Farm farm =
        new Farm(
            "Check",
            "",
            climateId,
            Farm.UnitSystem.METRIC,
            "EUR",
            11.8,
            List.of(field),
            herd,
            List.of());
    return new FarmPlan(
        farm,
        new Plan(
            "Check", year, steps, List.of(), List.of(), List.of(), sowings, List.of(), List.of(),
            List.of()));
  }
}
