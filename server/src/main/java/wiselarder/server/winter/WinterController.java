package wiselarder.server.winter;

import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.bales.Spacing;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.BreakField;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.quantity.Check;
import wiselarder.core.winter.BaleSite;
import wiselarder.core.winter.BaleWinter;
import wiselarder.core.winter.BreakWinter;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.year.PlanViews;

/** Bales set out on the fields of a plan, and fields fed off, through a season. */
@RestController
@RequestMapping("/api/plans/{id}/winter")
class WinterController {
  private final Plans plans;
  private final PlanViews views;

  WinterController(Plans plans, PlanViews views) {
    this.plans = plans;
    this.views = views;
  }

  /** Those of the plan whose field is drawn, in its order. */
  @GetMapping
  List<BaleWinter> winter(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return of(plan, plan.content(), season);
  }

  /** The same with bales that are added or otherwise laid; nothing is kept. */
  @PostMapping
  List<BaleWinter> with(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @RequestBody BaleField bales,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    FarmPlan laid = Items.BALES.put(plan.content(), Check.present("bales", bales));
    return of(plan, laid, season);
  }

  /**
   * Fields on which bales could be set out, best first.
   *
   * @param alongM from bale to bale, {@code acrossM} from row to row
   */
  @GetMapping("/sites")
  List<BaleSite> sites(
      @PathVariable String id,
      @RequestParam double alongM,
      @RequestParam double acrossM,
      @RequestParam double edgeM,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Spacing spacing = new Spacing(alongM, acrossM, 0, 0, 0);
    return BaleSite.of(plan.content(), views.engine("normal", plan).catalogue(), spacing, edgeM);
  }

  /** Fields that are fed off behind a wire, of those that are drawn, in the plan's order. */
  @GetMapping("/breaks")
  List<BreakWinter> breaks(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return given(plan, plan.content(), season);
  }

  /** The same with one that is added or otherwise given; nothing is kept. */
  @PostMapping("/breaks")
  List<BreakWinter> breaksWith(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @RequestBody BreakField breaks,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    FarmPlan with = Items.BREAKS.put(plan.content(), Check.present("breaks", breaks));
    return given(plan, with, season);
  }

  private List<BreakWinter> given(StoredPlan plan, FarmPlan with, String season) {
    Engine engine = views.engine(season, plan);
    List<BreakField> drawn =
        with.plan().breaks().stream()
            .filter(b -> with.field(b.fieldId()).outline() != null)
            .toList();
    return BreakWinter.of(engine.simulate(plan.content()), engine.catalogue(), drawn);
  }

  /** What is laid changes no year: that of the stored plan is looked at. */
  private List<BaleWinter> of(StoredPlan plan, FarmPlan laid, String season) {
    Engine engine = views.engine(season, plan);
    YearBalance year = engine.simulate(plan.content());
    List<BaleField> drawn =
        laid.plan().bales().stream()
            .filter(b -> laid.field(b.fieldId()).outline() != null)
            .toList();
    return BaleWinter.of(year, engine.catalogue(), drawn);
  }
}
