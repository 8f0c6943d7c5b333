package wiselarder.core.check;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Sowing;
import wiselarder.core.store.Lot;

/** The smallest farms there are: one field, and one herd or none. */
final class Grounds {
  static final double AREA_HA = 10;
  private static final double KG_A_DAY = 12;

  private Grounds() {}

  /** Bare ground with a crop sown on it. */
  static FarmPlan sown(String climateId, PlanYear year, Sowing sowing) {
    return sownInto("fallow", climateId, year, sowing);
  }

  /** A crop sown into what stands there, which is eaten down to nothing before. */
  static FarmPlan sownInto(String forageId, String climateId, PlanYear year, Sowing sowing) {
    return farm(climateId, year, forageId, 0, List.of(), List.of(), List.of(sowing));
  }

  /** The same, eaten down within days each time that it is ready. */
  static FarmPlan sownAndGrazed(String climateId, PlanYear year, Sowing sowing) {
    return farm(climateId, year, "fallow", 0, List.of(herd(MANY)), List.of(GRAZE), List.of(sowing));
  }

  private static final int MANY = 250;
  private static final FeedStep GRAZE =
      new FeedStep("g", "h", FeedStep.Kind.GRAZE, List.of(), null, null);

  private static AnimalGroup herd(int head) {
    return new AnimalGroup(
        "h", "Herd", "beef/bull", head, 800, 0, KG_A_DAY, null, 1, 0, null, null, null, null);
  }

  /** The same, cut on a day into bales that nobody eats. */
  static FarmPlan cut(FarmPlan plan, LocalDate on) {
    Lot bales = new Lot("b", "Bales", "bale", 0, 400, 0.85, "s_barn", "f_ring_open", null, "");
    HayCut cut = new HayCut("c", "a", on, "h_hay_conditioned_grass", bales);
    return new FarmPlan(plan.farm(), plan.plan().withCuts(List.of(cut)));
  }

  /** A stand that nobody grazes. */
  static FarmPlan alone(String climateId, PlanYear year, String forageId, double coverKgPerHa) {
    return farm(climateId, year, forageId, coverKgPerHa, List.of(), List.of(), List.of());
  }

  /** A stand with so many mouths that eat 12 kg a day. */
  static FarmPlan grazed(
      String climateId, PlanYear year, String forageId, double coverKgPerHa, int head) {
    return farm(
        climateId, year, forageId, coverKgPerHa, List.of(herd(head)), List.of(GRAZE), List.of());
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
                null)
            .grazedBy(1, null);
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
