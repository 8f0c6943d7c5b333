package wiselarder.core.plan;

import java.util.List;
import java.util.function.Consumer;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

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
    List<Scenario> scenarios,
    List<LightPass> passes,
    List<Anchor> anchors,
    List<Policy> policies,
    List<OwnJob> jobs,
    List<Rung> rungs,
    List<BaleField> bales,
    List<BreakField> breaks,
    List<OpeningGround> ground) {
  public static final Stated.Text NAME = Stated.text("plan.name", 80);

  public Plan {
    name = NAME.check(name);
    Check.present("plan.year", year);
    steps = List.copyOf(Check.present("plan.steps", steps));
    closings = List.copyOf(Check.present("plan.closings", closings));
    cuts = List.copyOf(Check.present("plan.cuts", cuts));
    purchases = List.copyOf(Check.present("plan.purchases", purchases));
    sowings = orNone(sowings);
    dressings = orNone(dressings);
    irrigations = orNone(irrigations);
    scenarios = orNone(scenarios);
    passes = orNone(passes);
    anchors = orNone(anchors);
    policies = orNone(policies);
    jobs = orNone(jobs);
    rungs = orNone(rungs);
    bales = orNone(bales);
    breaks = orNone(breaks);
    ground = orNone(ground);
  }

  /** Lists that older plans do not have count as empty. */
  private static <T> List<T> orNone(List<T> list) {
    return list == null ? List.of() : List.copyOf(list);
  }

  /** A plan with no passes for light and no policies, all of whose dates are plain. */
  public Plan(
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
    this(
        name,
        year,
        steps,
        closings,
        cuts,
        purchases,
        sowings,
        dressings,
        irrigations,
        scenarios,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null);
  }

  /** A plan in which nothing is intended yet. */
  public static Plan bare(String name, PlanYear year) {
    return new Plan(name, year, List.of(), List.of(), List.of(), List.of(), null, null, null, null);
  }

  /** The same plan under another name. */
  public Plan named(String changed) {
    return with(p -> p.name = changed);
  }

  public Plan withYear(PlanYear changed) {
    return with(p -> p.year = changed);
  }

  public Plan withSteps(List<FeedStep> changed) {
    return with(p -> p.steps = changed);
  }

  public Plan withClosings(List<Closing> changed) {
    return with(p -> p.closings = changed);
  }

  public Plan withCuts(List<HayCut> changed) {
    return with(p -> p.cuts = changed);
  }

  public Plan withPurchases(List<Purchase> changed) {
    return with(p -> p.purchases = changed);
  }

  public Plan withSowings(List<Sowing> changed) {
    return with(p -> p.sowings = changed);
  }

  public Plan withDressings(List<Dressing> changed) {
    return with(p -> p.dressings = changed);
  }

  public Plan withIrrigations(List<Irrigation> changed) {
    return with(p -> p.irrigations = changed);
  }

  public Plan withScenarios(List<Scenario> changed) {
    return with(p -> p.scenarios = changed);
  }

  public Plan withPasses(List<LightPass> changed) {
    return with(p -> p.passes = changed);
  }

  public Plan withAnchors(List<Anchor> changed) {
    return with(p -> p.anchors = changed);
  }

  public Plan withPolicies(List<Policy> changed) {
    return with(p -> p.policies = changed);
  }

  public Plan withJobs(List<OwnJob> changed) {
    return with(p -> p.jobs = changed);
  }

  public Plan withRungs(List<Rung> changed) {
    return with(p -> p.rungs = changed);
  }

  public Plan withBales(List<BaleField> changed) {
    return with(p -> p.bales = changed);
  }

  /** The same without what changes no year: what is to be done, and where bales and breaks lie. */
  public Plan onlyWhatFeeds() {
    return with(
        p -> {
          p.jobs = List.of();
          p.rungs = List.of();
          p.bales = p.bales.stream().map(BaleField::onlyWhatFeeds).toList();
          p.breaks = List.of();
        });
  }

  public Plan withBreaks(List<BreakField> changed) {
    return with(p -> p.breaks = changed);
  }

  public Plan withGround(List<OpeningGround> changed) {
    return with(p -> p.ground = changed);
  }

  private Plan with(Consumer<Parts> change) {
    Parts parts = new Parts(this);
    change.accept(parts);
    return parts.plan();
  }

  /** A plan taken apart, to change one part of it. */
  private static final class Parts {
    private String name;
    private PlanYear year;
    private List<FeedStep> steps;
    private List<Closing> closings;
    private List<HayCut> cuts;
    private List<Purchase> purchases;
    private List<Sowing> sowings;
    private List<Dressing> dressings;
    private List<Irrigation> irrigations;
    private List<Scenario> scenarios;
    private List<LightPass> passes;
    private List<Anchor> anchors;
    private List<Policy> policies;
    private List<OwnJob> jobs;
    private List<Rung> rungs;
    private List<BaleField> bales;
    private List<BreakField> breaks;
    private List<OpeningGround> ground;

    Parts(Plan of) {
      name = of.name;
      year = of.year;
      steps = of.steps;
      closings = of.closings;
      cuts = of.cuts;
      purchases = of.purchases;
      sowings = of.sowings;
      dressings = of.dressings;
      irrigations = of.irrigations;
      scenarios = of.scenarios;
      passes = of.passes;
      anchors = of.anchors;
      policies = of.policies;
      jobs = of.jobs;
      rungs = of.rungs;
      bales = of.bales;
      breaks = of.breaks;
      ground = of.ground;
    }

    Plan plan() {
      return new Plan(
          name,
          year,
          steps,
          closings,
          cuts,
          purchases,
          sowings,
          dressings,
          irrigations,
          scenarios,
          passes,
          anchors,
          policies,
          jobs,
          rungs,
          bales,
          breaks,
          ground);
    }
  }
}
