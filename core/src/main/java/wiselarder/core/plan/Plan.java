package wiselarder.core.plan;

import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.quantity.Check;

/** What is intended for the year. */
public record Plan(
    String name,
    PlanYear year,
    List<FeedStep> steps,
    List<Closing> closings,
    List<HayCut> cuts,
    List<Purchase> purchases,
    List<Sowing> sowings,
    List<Dressing> dressings,
    List<Irrigation> irrigations,
    List<Scenario> scenarios) {
  public Plan {
    name = Check.text("plan.name", name, 80);
    Check.present("plan.year", year);
    steps = List.copyOf(Check.present("plan.steps", steps));
    closings = List.copyOf(Check.present("plan.closings", closings));
    cuts = List.copyOf(Check.present("plan.cuts", cuts));
    purchases = List.copyOf(Check.present("plan.purchases", purchases));
    sowings = orNone(sowings);
    dressings = orNone(dressings);
    irrigations = orNone(irrigations);
    scenarios = orNone(scenarios);
  }

  /** Lists that older plans do not have count as empty. */
  private static <T> List<T> orNone(List<T> list) {
    return list == null ? List.of() : List.copyOf(list);
  }

  /** A plan in which nothing is intended yet. */
  public static Plan bare(String name, PlanYear year) {
    return new Plan(name, year, List.of(), List.of(), List.of(), List.of(), null, null, null, null);
  }

  /** The same plan under another name. */
  public Plan named(String changed) {
    return new Plan(
        changed,
        year,
        steps,
        closings,
        cuts,
        purchases,
        sowings,
        dressings,
        irrigations,
        scenarios);
  }

  Plan withYear(PlanYear changed) {
    return new Plan(
        name,
        changed,
        steps,
        closings,
        cuts,
        purchases,
        sowings,
        dressings,
        irrigations,
        scenarios);
  }

  Plan withSteps(List<FeedStep> changed) {
    return new Plan(
        name, year, changed, closings, cuts, purchases, sowings, dressings, irrigations, scenarios);
  }

  Plan withClosings(List<Closing> changed) {
    return new Plan(
        name, year, steps, changed, cuts, purchases, sowings, dressings, irrigations, scenarios);
  }

  Plan withCuts(List<HayCut> changed) {
    return new Plan(
        name,
        year,
        steps,
        closings,
        changed,
        purchases,
        sowings,
        dressings,
        irrigations,
        scenarios);
  }

  Plan withPurchases(List<Purchase> changed) {
    return new Plan(
        name, year, steps, closings, cuts, changed, sowings, dressings, irrigations, scenarios);
  }

  public Plan withSowings(List<Sowing> changed) {
    return new Plan(
        name, year, steps, closings, cuts, purchases, changed, dressings, irrigations, scenarios);
  }

  Plan withDressings(List<Dressing> changed) {
    return new Plan(
        name, year, steps, closings, cuts, purchases, sowings, changed, irrigations, scenarios);
  }

  Plan withIrrigations(List<Irrigation> changed) {
    return new Plan(
        name, year, steps, closings, cuts, purchases, sowings, dressings, changed, scenarios);
  }

  Plan withScenarios(List<Scenario> changed) {
    return new Plan(
        name, year, steps, closings, cuts, purchases, sowings, dressings, irrigations, changed);
  }
}
