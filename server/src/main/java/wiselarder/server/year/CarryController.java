package wiselarder.server.year;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.carry.NextPlan;
import wiselarder.core.carry.YearsAhead;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;
import wiselarder.server.people.Person;
import wiselarder.server.plan.PlanRepository;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;

/** One plan begins as another one leaves it. */
@RestController
@RequestMapping("/api/plans/{id}")
class CarryController {
  private final Plans plans;
  private final PlanViews views;

  CarryController(Plans plans, PlanViews views) {
    this.plans = plans;
    this.views = views;
  }

  /**
   * What a copy of a plan is called and from what it begins.
   *
   * @param yearsOn by how many years it begins later; null for the same year
   * @param carried whether it begins as this one leaves it; null: as this one began
   * @param sameAnimals ids of growing groups that are the same animals in it, grown on; null: none
   */
  record Copy(
      String name,
      @Schema(nullable = true) Integer yearsOn,
      @Schema(nullable = true) Boolean carried,
      @Schema(nullable = true) List<String> sameAnimals) {
    static final Stated.Figure YEARS_ON = Stated.whole("copy.yearsOn", 0, 10);

    Copy {
      yearsOn = yearsOn == null ? 0 : yearsOn;
      YEARS_ON.check(yearsOn);
      carried = carried != null && carried;
      sameAnimals = sameAnimals == null ? List.of() : List.copyOf(sameAnimals);
    }
  }

  /**
   * A plan of the farm from which another takes its first day.
   *
   * @param revision of this one that the person saw
   */
  record Begin(int revision, String from, List<String> sameAnimals) {
    Begin {
      from = Check.text("begin.from", from, 80);
      sameAnimals = List.copyOf(Check.present("begin.sameAnimals", sameAnimals));
    }
  }

  /** The address of what was made. */
  record Address(String id) {}

  @PostMapping("/copy")
  Address copy(
      @PathVariable String id, @RequestBody Copy copy, @AuthenticationPrincipal Person person) {
    return new Address(
        plans.copy(
            id,
            person,
            copy.name,
            of ->
                copy.carried
                    ? next(of, copy.yearsOn, copy.sameAnimals)
                    : engine(of).yearsOn(of.content(), copy.yearsOn)));
  }

  /** From what a copy so many years on begins that takes over what is there then. */
  @GetMapping("/next")
  FirstDay next(
      @PathVariable String id,
      @RequestParam(defaultValue = "1") int yearsOn,
      @RequestParam(defaultValue = "") List<String> same,
      @AuthenticationPrincipal Person person) {
    Copy.YEARS_ON.check(yearsOn);
    StoredPlan of = plans.get(id, person);
    FarmPlan then = next(of, yearsOn, same);
    return FirstDay.of(engine(of), of.content(), then, NextPlan.growing(of.content()));
  }

  /** The farm in some years' time, each year begun from what the one before leaves. */
  @GetMapping("/ahead")
  YearsAhead ahead(
      @PathVariable String id,
      @RequestParam(defaultValue = "3") int years,
      @RequestParam(defaultValue = "normal") String season,
      @RequestParam(defaultValue = "") List<String> same,
      @AuthenticationPrincipal Person person) {
    YearsAhead.YEARS.check(years);
    StoredPlan of = plans.get(id, person);
    return YearsAhead.of(views.engine(season, of), of.content(), years, Set.copyOf(same));
  }

  /** Plans of the farm that come to the first day of this one. */
  @GetMapping("/before")
  List<PlanBefore> before(@PathVariable String id, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    LocalDate start = plan.content().plan().year().start();
    return plans.list(person, List.of(plan.farm())).stream()
        .map(PlanRepository.Row::id)
        .filter(slug -> !slug.equals(plan.slug()))
        .map(slug -> plans.get(slug, person))
        .filter(other -> NextPlan.reaches(other.content(), start))
        .map(other -> new PlanBefore(other.slug(), other.content().plan().name()))
        .toList();
  }

  /** A plan that another one can begin from. */
  record PlanBefore(String id, String name) {}

  /** What this plan would begin from, with its first day taken from another. */
  @GetMapping("/begin")
  FirstDay begin(
      @PathVariable String id,
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") List<String> same,
      @AuthenticationPrincipal Person person) {
    StoredPlan into = plans.get(id, person);
    StoredPlan other = plans.ofFarm(into, from, person);
    FarmPlan then = engine(into).changed(into.content(), edits(into, other, same));
    return FirstDay.of(engine(other), other.content(), then, NextPlan.growing(other.content()));
  }

  /** Takes the first day of this plan from another, as one revision. */
  @PostMapping("/begin")
  PlanView beginNow(
      @PathVariable String id,
      @RequestBody Begin begin,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    return views.of(
        () ->
            plans.begin(
                id,
                person,
                begin.revision,
                begin.from,
                (into, other) -> edits(into, other, begin.sameAnimals)),
        season);
  }

  private FarmPlan next(StoredPlan of, int yearsOn, List<String> same) {
    return NextPlan.next(engine(of), of.content(), yearsOn, Set.copyOf(same));
  }

  private List<PlanEdit> edits(StoredPlan into, StoredPlan other, List<String> same) {
    return NextPlan.edits(engine(other), other.content(), into.content(), Set.copyOf(same));
  }

  /** In the normal year, knowing what was written down. */
  private Engine engine(StoredPlan plan) {
    return views.engine("normal", plan);
  }
}
