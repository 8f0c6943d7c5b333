package wiselarder.server.http;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;
import wiselarder.core.closing.Engine;
import wiselarder.core.closing.LeverOption;
import wiselarder.core.closing.Levers;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.PlanEdit;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;
import wiselarder.server.plan.PlanRepository;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;

/** Plans over HTTP. */
@RestController
@RequestMapping("/api")
class PlanController {
  /** More edits than this in one call is a mistake. */
  private static final int MOST_EDITS = 200;

  private final Plans plans;
  private final Engine engine;
  private final JsonMapper mapper;

  PlanController(Plans plans, Engine engine, JsonMapper mapper) {
    this.plans = plans;
    this.engine = engine;
    this.mapper = mapper;
  }

  /** A plan with its simulated year. */
  record PlanView(String id, boolean demo, int revision, Farm farm, Plan plan, YearView year) {}

  /** Edits made on a revision. */
  record EditRequest(int revision, List<EditDto> edits) {}

  /** Edits to try out; nothing is kept. */
  record TrialRequest(List<EditDto> edits) {}

  /** A way of closing a gap, tried. */
  record LeverView(
      LeverOption.Kind kind,
      EditDto edit,
      double bringsKg,
      double bareKgAfter,
      int bareDaysAfter,
      double storedKgMore,
      Double cost,
      LocalDate decideBy) {}

  @GetMapping("/plans")
  List<PlanRepository.Row> list() {
    return plans.list();
  }

  @GetMapping("/plans/{id}")
  PlanView get(@PathVariable String id) {
    return view(plans.get(id));
  }

  @PostMapping("/plans/{id}/edits")
  PlanView edit(@PathVariable String id, @RequestBody EditRequest request) {
    List<PlanEdit> edits = edits(request.edits);
    return view(plans.edit(id, request.revision, edits, mapper.writeValueAsString(request.edits)));
  }

  @PostMapping("/plans/{id}/trial")
  YearView trial(@PathVariable String id, @RequestBody TrialRequest request) {
    return YearView.of(engine.tryOut(plans.get(id).content(), edits(request.edits)), engine);
  }

  /** Ways of closing one gap: fields to shut, what they bring first, then hay to buy. */
  @GetMapping("/plans/{id}/levers")
  List<LeverView> levers(
      @PathVariable String id,
      @RequestParam int gap,
      @RequestParam(required = false) String patternLotId,
      @RequestParam(required = false) LocalDate buyDate) {
    FarmPlan stated = plans.get(id).content();
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
    Levers levers = new Levers(engine);
    List<LeverOption> options = new java.util.ArrayList<>(levers.stockpile(stated, chosen));
    pattern(stated, patternLotId)
        .flatMap(
            lot ->
                levers.buyHay(
                    stated, chosen, lot, buyDate == null ? stated.plan().year().start() : buyDate))
        .ifPresent(options::add);
    return options.stream().map(PlanController::lever).toList();
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
        EditDto.of(o.edit()),
        o.bringsKg(),
        o.bareKgAfter(),
        o.bareDaysAfter(),
        o.storedKgMore(),
        o.cost(),
        o.decideBy());
  }

  private static List<PlanEdit> edits(List<EditDto> given) {
    Check.present("edits", given);
    Check.range("edits", given.size(), 1, MOST_EDITS);
    return given.stream().map(e -> Check.present("edits", e).edit()).toList();
  }

  private PlanView view(StoredPlan stored) {
    FarmPlan content = stored.content();
    return new PlanView(
        stored.slug(),
        stored.demo(),
        stored.revision(),
        content.farm(),
        content.plan(),
        YearView.of(engine.simulate(content), engine));
  }
}
