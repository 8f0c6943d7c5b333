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
    List<Purchase> purchases) {
  public Plan {
    name = Check.text("plan.name", name, 80);
    Check.present("plan.year", year);
    steps = List.copyOf(Check.present("plan.steps", steps));
    closings = List.copyOf(Check.present("plan.closings", closings));
    cuts = List.copyOf(Check.present("plan.cuts", cuts));
    purchases = List.copyOf(Check.present("plan.purchases", purchases));
  }

  /** The same plan under another name. */
  public Plan named(String changed) {
    return new Plan(changed, year, steps, closings, cuts, purchases);
  }

  Plan withYear(PlanYear changed) {
    return new Plan(name, changed, steps, closings, cuts, purchases);
  }

  Plan withSteps(List<FeedStep> changed) {
    return new Plan(name, year, changed, closings, cuts, purchases);
  }

  Plan withClosings(List<Closing> changed) {
    return new Plan(name, year, steps, changed, cuts, purchases);
  }

  Plan withCuts(List<HayCut> changed) {
    return new Plan(name, year, steps, closings, changed, purchases);
  }

  Plan withPurchases(List<Purchase> changed) {
    return new Plan(name, year, steps, closings, cuts, changed);
  }
}
