package wiselarder.server.closing;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.closing.Advice;
import wiselarder.core.closing.PolicyEffect;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Policy;
import wiselarder.server.people.Person;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.weather.FarmWeather;

/** Sides that a plan may take, and what its year says without a gap in mind. */
@RestController
@RequestMapping("/api")
class AdviceController {
  private final KeptSums kept;
  private final FarmWeather weather;

  AdviceController(KeptSums kept, FarmWeather weather) {
    this.kept = kept;
    this.weather = weather;
  }

  /** What one side of a question does to the year; as {@link PolicyEffect}. */
  record PolicyView(
      Policy.Question question,
      Policy.Side side,
      String season,
      double bareKg,
      int bareDays,
      double grazedKg,
      double storedKg,
      double standingKg,
      Double cost) {}

  /** What each side of the questions on which keepers differ does to this plan. */
  @GetMapping("/plans/{id}/policies")
  List<PolicyView> policies(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    return kept.of(id, person, plan -> policies(plan, season), "policies", season);
  }

  private List<PolicyView> policies(StoredPlan plan, String season) {
    FarmPlan stated = plan.content();
    return PolicyEffect.of(
            weather.engine(season, plan),
            weather.engine("dry", plan),
            stated,
            AskedGap.pattern(stated, null).orElseThrow())
        .stream()
        .map(
            e ->
                new PolicyView(
                    e.question(),
                    e.side(),
                    e.season().key(),
                    e.bareKg(),
                    e.bareDays(),
                    e.grazedKg(),
                    e.storedKg(),
                    e.standingKg(),
                    e.cost()))
        .toList();
  }

  /** Pasture in one month; as {@link Advice.Month}. */
  record PastureMonth(
      YearMonth month,
      double grownKg,
      double grazedKg,
      double cutKg,
      double lostKg,
      double standsKg) {}

  /** A cut of surplus; as {@link Advice.Cut}. */
  record SurplusCut(
      String fieldId, LocalDate date, double madeKg, Double cost, List<PlanEdit> edits) {}

  /** What a field gives; as {@link Advice.FieldUse}. */
  record FieldUse(
      String fieldId,
      double grownKgPerHa,
      double grazedKgPerHa,
      double cutKgPerHa,
      double lostKgPerHa,
      Double likeGrownKgPerHa) {}

  /**
   * What a year says beyond its gaps; as {@link Advice}.
   *
   * @param carriesShare of the herd; null where even a tenth of it goes short
   */
  record AdviceView(
      List<PastureMonth> months,
      List<SurplusCut> cuts,
      Double carriesShare,
      Double carriesInDryShare,
      List<FieldUse> fields) {}

  /** Surplus, what the plan would carry, and fields that lag. */
  @GetMapping("/plans/{id}/advice")
  AdviceView advice(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    return kept.of(id, person, plan -> advice(plan, season), "advice", season);
  }

  private AdviceView advice(StoredPlan plan, String season) {
    Advice a = Advice.of(weather.engine(season, plan), weather.engine("dry", plan), plan.content());
    return new AdviceView(
        a.months().stream()
            .map(
                m ->
                    new PastureMonth(
                        m.month(), m.grownKg(), m.grazedKg(), m.cutKg(), m.lostKg(), m.standsKg()))
            .toList(),
        a.cuts().stream()
            .map(c -> new SurplusCut(c.fieldId(), c.date(), c.madeKg(), c.cost(), c.edits()))
            .toList(),
        AskedGap.orNull(a.carries().share()),
        AskedGap.orNull(a.carriesInDry().share()),
        a.fields().stream()
            .map(
                f ->
                    new FieldUse(
                        f.fieldId(),
                        f.grownKgPerHa(),
                        f.grazedKgPerHa(),
                        f.cutKgPerHa(),
                        f.lostKgPerHa(),
                        AskedGap.orNull(f.likeGrownKgPerHa())))
            .toList());
  }
}
