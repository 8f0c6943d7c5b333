package wiselarder.server.http;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.closing.BuyHay;
import wiselarder.core.closing.Lever;
import wiselarder.core.closing.LeverOption;
import wiselarder.core.closing.ShutForStockpile;
import wiselarder.core.closing.Trial;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Plan;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.PlanRepository;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.Revision;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.plan.Told;
import wiselarder.server.weather.FarmWeather;

/** Plans over HTTP. */
@RestController
@RequestMapping("/api")
class PlanController {
  /** More edits than this in one call is a mistake. */
  private static final int MOST_EDITS = 200;

  private final Plans plans;
  private final Engine engine;
  private final PlanViews views;
  private final FarmWeather weather;

  PlanController(Plans plans, Engine engine, PlanViews views, FarmWeather weather) {
    this.plans = plans;
    this.weather = weather;
    this.views = views;
    this.engine = engine;
  }

  /**
   * A plan with its simulated year.
   *
   * @param farmId address of the farm it belongs to
   * @param role what the person may do there
   * @param undo the change that an undo would take back, or null
   * @param redo the change that a redo would bring back, or null
   * @param ownForages the farm's own, as they come out
   */
  record PlanView(
      String id,
      String farmId,
      boolean demo,
      Role role,
      int revision,
      Told undo,
      Told redo,
      Farm farm,
      Plan plan,
      List<CatalogueView.ForageView> ownForages,
      YearView year) {}

  /**
   * Edits made on a revision.
   *
   * @param onTopOf null, or the newer revision that a refusal named and the person puts theirs on
   */
  record EditRequest(
      int revision, @Schema(nullable = true) Integer onTopOf, List<PlanEdit> edits) {}

  /** The revision the person saw when they asked. */
  record Seen(int revision) {}

  /** Goes back to how the plan stood at revision {@code to}. */
  record Back(int revision, int to) {}

  /** What a copy is called. */
  record Name(String name) {}

  /** The address of what was made. */
  record Address(String id) {}

  /** Edits to try out; nothing is kept. */
  record TrialRequest(List<PlanEdit> edits) {}

  /** A way of closing a gap, tried. */
  record LeverView(
      LeverOption.Kind kind,
      List<PlanEdit> edits,
      double bringsKg,
      double bareKgAfter,
      int bareDaysAfter,
      double storedKgMore,
      Double cost,
      LocalDate decideBy) {}

  @GetMapping("/plans")
  List<PlanRepository.Row> list(@AuthenticationPrincipal Person person) {
    return plans.list(person);
  }

  @GetMapping("/plans/{id}")
  PlanView get(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    return views.of(plans.open(id, person), season);
  }

  @PostMapping("/plans/{id}/edits")
  PlanView edit(
      @PathVariable String id,
      @RequestBody EditRequest request,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    List<PlanEdit> edits = edits(request.edits);
    return views.of(plans.edit(id, person, request.revision, request.onTopOf, edits), season);
  }

  @PostMapping("/plans/{id}/trial")
  YearView trial(
      @PathVariable String id,
      @RequestBody TrialRequest request,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    FarmPlan changed = PlanEdit.all(plan.content(), edits(request.edits));
    return YearView.of(changed, weather.engine(season, plan.farmId(), changed));
  }

  @PostMapping("/plans/{id}/undo")
  PlanView undo(
      @PathVariable String id,
      @RequestBody Seen seen,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    return views.of(plans.undo(id, person, seen.revision), season);
  }

  @PostMapping("/plans/{id}/redo")
  PlanView redo(
      @PathVariable String id,
      @RequestBody Seen seen,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    return views.of(plans.redo(id, person, seen.revision), season);
  }

  @PostMapping("/plans/{id}/back")
  PlanView back(
      @PathVariable String id,
      @RequestBody Back back,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    return views.of(plans.goBack(id, person, back.revision, back.to), season);
  }

  /** Up to a hundred lines of history below {@code before}, newest first. */
  @GetMapping("/plans/{id}/history")
  List<Revision> history(
      @PathVariable String id,
      @RequestParam(required = false) Integer before,
      @AuthenticationPrincipal Person person) {
    return plans.history(id, person, before == null ? Integer.MAX_VALUE : before);
  }

  /** The year as it was at a revision. */
  @GetMapping("/plans/{id}/history/{revision}")
  YearView at(
      @PathVariable String id,
      @PathVariable int revision,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    FarmPlan then = plans.at(id, person, revision);
    return YearView.of(then, weather.engine(season, plans.get(id, person).farmId(), then));
  }

  @PostMapping("/plans/{id}/copy")
  Address copy(
      @PathVariable String id, @RequestBody Name name, @AuthenticationPrincipal Person person) {
    return new Address(plans.copy(id, person, name.name));
  }

  @DeleteMapping("/plans/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String id, @AuthenticationPrincipal Person person) {
    plans.remove(id, person);
  }

  /** Ways of closing one gap: fields to shut, what they bring first, then hay to buy. */
  @GetMapping("/plans/{id}/levers")
  List<LeverView> levers(
      @PathVariable String id,
      @RequestParam int gap,
      @RequestParam(required = false) String patternLotId,
      @RequestParam(required = false) LocalDate buyDate,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    FarmPlan stated = plan.content();
    Engine engine = weather.engine(season, plan);
    List<Gap> gaps = engine.gaps(engine.simulate(stated));
    if (gap < 0 || gap >= gaps.size()) {
      throw new Refused(
          "no_such_gap",
          "gap",
          gap,
          0.0,
          (double) gaps.size() - 1,
          "this plan has %d gaps, counted from 0".formatted(gaps.size()));
    }
    Gap chosen = gaps.get(gap);
    List<Lever> levers = new ArrayList<>(List.of(new ShutForStockpile()));
    pattern(stated, patternLotId)
        .map(lot -> new BuyHay(lot, buyDate == null ? stated.plan().year().start() : buyDate))
        .ifPresent(levers::add);
    return new Trial(engine, stated, chosen)
        .options(levers).stream().map(PlanController::lever).toList();
  }

  @GetMapping("/catalogue")
  CatalogueView catalogue() {
    return CatalogueView.of(engine.catalogue());
  }

  private static Optional<Lot> pattern(FarmPlan stated, String lotId) {
    if (lotId == null) {
      return Optional.of(stated.farm().lots().stream().findFirst().orElse(ROUND_BALE));
    }
    return Optional.of(
        stated.allLots().stream()
            .filter(l -> l.id().equals(lotId))
            .findFirst()
            .orElseThrow(
                () -> new Refused("unknown_id", "patternLotId", lotId, "there is no " + lotId)));
  }

  /**
   * Hay to think of where the store holds no lot to go by: a common round bale of dry grass hay.
   */
  private static final Lot ROUND_BALE =
      new Lot(
          "pattern", "Grass hay", "round bale", 0, 365, 0.87, "s_barn", "f_ring_open", null, "");

  private static LeverView lever(LeverOption o) {
    return new LeverView(
        o.kind(),
        o.edits(),
        o.bringsKg(),
        o.bareKgAfter(),
        o.bareDaysAfter(),
        o.storedKgMore(),
        o.cost(),
        o.decideBy());
  }

  private static List<PlanEdit> edits(List<PlanEdit> given) {
    Check.present("edits", given);
    Check.range("edits", given.size(), 1, MOST_EDITS);
    for (PlanEdit edit : given) {
      // a whole other plan comes by file only, where it is shown first
      Check.present("edits", edit instanceof PlanEdit.Replace ? null : edit);
    }
    return given;
  }
}
