package wiselarder.server.herd;

import java.time.LocalDate;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.closing.SellingOrder;
import wiselarder.core.closing.WeanBy;
import wiselarder.core.diet.Supplement;
import wiselarder.core.engine.Engine;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.year.PlanViews;
import wiselarder.server.year.YearView;

/** What the herd can go without, and what it lacks: supplements, selling, weaning. */
@RestController
@RequestMapping("/api/plans/{id}")
class HerdController {
  private final Plans plans;
  private final PlanViews views;

  HerdController(Plans plans, PlanViews views) {
    this.plans = plans;
    this.views = views;
  }

  /** The least supplement of each group and month in which something falls short. */
  @GetMapping("/supplement")
  List<Supplement> supplement(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Engine engine = views.engine(season, plan);
    return Supplement.of(engine.simulate(plan.content()), engine.catalogue());
  }

  /** In which order groups would be sold on a day, and what that brings. */
  @GetMapping("/selling")
  List<SellingOrder> selling(
      @PathVariable String id,
      @RequestParam LocalDate on,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return SellingOrder.of(views.engine(season, plan), plan.content(), on);
  }

  /** A weaning day, tried; score at birth null where no birth follows in the plan. */
  record WeaningView(
      LocalDate weaning,
      double lowestScore,
      Double scoreAtBirth,
      double needKg,
      double bareKg,
      boolean holds,
      boolean planned) {}

  /** What weaning earlier or later does to the dams of a group. */
  @GetMapping("/weaning")
  List<WeaningView> weaning(
      @PathVariable String id,
      @RequestParam String groupId,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return WeanBy.of(views.engine(season, plan), plan.content(), groupId).stream()
        .map(
            w ->
                new WeaningView(
                    w.weaning(),
                    w.lowestScore(),
                    YearView.orNull(w.scoreAtBirth()),
                    w.needKg(),
                    w.bareKg(),
                    w.holds(),
                    w.planned()))
        .toList();
  }
}
