package wiselarder.server.land;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.closing.Fitting;
import wiselarder.core.closing.LetGrow;
import wiselarder.core.closing.StandReturn;
import wiselarder.core.conflict.GrownTogether;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.land.CoverMeasure;
import wiselarder.core.land.Grid;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Survey;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Sowing;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.server.file.FarmFile;
import wiselarder.server.file.GeoJson;
import wiselarder.server.http.Transfer;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.Slugs;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.problem.RowProblem;
import wiselarder.server.problem.ServerReason;
import wiselarder.server.year.PlanView;
import wiselarder.server.year.PlanViews;

/** The map of a farm, and what is asked of one field. */
@RestController
@RequestMapping("/api/plans/{id}")
class LandController {
  private static final MediaType GEO_JSON = MediaType.parseMediaType("application/geo+json");

  private final Plans plans;
  private final PlanViews views;

  LandController(Plans plans, PlanViews views) {
    this.plans = plans;
    this.views = views;
  }

  /** What a map in a file holds: its fields, and what of it cannot be taken. */
  record MapPreview(List<GeoJson.Shape> shapes, List<RowProblem> problems) {}

  /** What an outline measures; areas in ha, the way around in m. */
  record MeasuredView(double areaHa, List<Double> offHa, double netHa, double aroundM) {}

  /** A week of a field left alone; percents null where nothing stands. */
  record GrownRow(
      int day,
      double coverKgPerHa,
      double ripeness,
      Double proteinPct,
      Double tdnPct,
      double cutKg,
      Double cutProteinPct,
      Double cutTdnPct) {}

  /** For how long it is good enough for a group; needs null where the group is never there. */
  record EnoughView(
      String groupId, int lastDay, Double tdnNeedPct, Double proteinNeedPct, boolean toTheEnd) {}

  /** A field left alone; see the core's LetGrow. */
  record LetGrowView(
      List<GrownRow> rows, List<EnoughView> enough, int regrowthDay, int singleCutDay) {}

  /** A crop, and what speaks against it. */
  record FittingView(String forageId, List<Fitting.Reason> against) {}

  /** Measures an outline on the farm's grid; nothing is kept. */
  @PostMapping("/measure")
  MeasuredView measure(
      @PathVariable String id,
      @RequestBody Outline outline,
      @AuthenticationPrincipal Person person) {
    plans.get(id, person);
    Survey.Measured m = Survey.measure(Check.present("outline", outline));
    return new MeasuredView(m.areaHa(), m.offHa(), m.netHa(), m.around());
  }

  /** What a field becomes when it is left alone from a day on. */
  @GetMapping("/let-grow")
  LetGrowView letGrow(
      @PathVariable String id,
      @RequestParam String fieldId,
      @RequestParam LocalDate from,
      @RequestParam(defaultValue = "h_hay_conditioned_grass") String harvestMethodId,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    LetGrow grown =
        LetGrow.of(views.engine(season, plan), plan.content(), fieldId, from, harvestMethodId);
    return new LetGrowView(
        grown.rows().stream().map(LandController::row).toList(),
        grown.enough().stream()
            .map(
                e ->
                    new EnoughView(
                        e.groupId(),
                        e.lastDay(),
                        orNull(e.tdnNeedPct()),
                        orNull(e.proteinNeedPct()),
                        e.toTheEnd()))
            .toList(),
        grown.regrowthDay(),
        grown.singleCutDay());
  }

  private static GrownRow row(LetGrow.Row r) {
    return new GrownRow(
        r.day(),
        r.coverKgPerHa(),
        r.ripeness(),
        orNull(r.proteinPct()),
        orNull(r.tdnPct()),
        r.cutKg(),
        orNull(r.cutProteinPct()),
        orNull(r.cutTdnPct()));
  }

  private static Double orNull(double value) {
    return Double.isNaN(value) ? null : value;
  }

  /** Which crops fit a day of sowing on this farm. */
  @GetMapping("/fitting")
  List<FittingView> fitting(
      @PathVariable String id,
      @RequestParam LocalDate sowOn,
      @RequestParam(defaultValue = "false") boolean irrigated,
      @RequestParam(defaultValue = "false") boolean forHay,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return Fitting.of(
            plan.content(), views.engine("normal", plan).catalogue(), sowOn, irrigated, forHay)
        .stream()
        .map(f -> new FittingView(f.forageId(), f.against()))
        .toList();
  }

  /** What a sowing, in the plan or tried, would stand with, and how that goes together. */
  @PostMapping("/together")
  List<GrownTogether> together(
      @PathVariable String id, @RequestBody Sowing sowing, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return GrownTogether.of(
        plan.content(), views.engine("normal", plan).catalogue(), Check.present("sowing", sowing));
  }

  /** How forages go together in one sward, each with each. */
  @GetMapping("/mixture")
  List<GrownTogether> mixture(
      @PathVariable String id,
      @RequestParam(defaultValue = "") List<String> of,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Check.range("mixture.of", of.size(), 0, MOST_PARTS);
    return GrownTogether.among(views.engine("normal", plan).catalogue(), of);
  }

  private static final int MOST_PARTS = 30;

  /**
   * Readings of a field's cover: exactly one of heights, plate readings or clipped frames.
   *
   * @param perUnitKg of the plate's line, kg DM/ha for each unit read
   * @param baseKg of the plate's line, kg DM/ha
   * @param season of the plants, for heights
   * @param density of the stand, for heights
   */
  record Readings(
      String forageId,
      HeightTable.Season season,
      HeightTable.Density density,
      List<Double> heightsCm,
      List<Double> plate,
      double perUnitKg,
      double baseKg,
      List<CoverMeasure.Clip> clips) {}

  /** Cover from readings; nothing is kept. */
  @PostMapping("/cover")
  CoverMeasure cover(
      @PathVariable String id,
      @RequestBody Readings readings,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    if (!Check.present("clips", readings.clips).isEmpty()) {
      return CoverMeasure.byClips(readings.clips);
    }
    if (!Check.present("plate", readings.plate).isEmpty()) {
      return CoverMeasure.byPlate(readings.plate, readings.perUnitKg, readings.baseKg);
    }
    Catalogue catalogue = views.engine("normal", plan).catalogue().on(plan.content().farm());
    return CoverMeasure.byHeights(
        catalogue.heights(),
        catalogue.forage(readings.forageId),
        Check.present("season", readings.season),
        Check.present("density", readings.density),
        Check.present("heightsCm", readings.heightsCm));
  }

  /** Stands to compare, and on what terms. */
  record CompareRequest(List<StandReturn.Candidate> stands, StandReturn.Terms terms) {}

  /** What a stand returns; see the core's StandReturn. */
  record ReturnView(
      String forageId,
      double yieldKgPerHa,
      double eatenKgPerHa,
      int days,
      double tdnPct,
      double intakeKgPerHeadDay,
      double headPerHa,
      double gainKgPerHeadDay,
      double gainKgPerHa,
      double costPerHa,
      Double costPerKgGain,
      double returnPerHa) {}

  /** What stands return under growing cattle. */
  @PostMapping("/compare")
  List<ReturnView> compare(
      @PathVariable String id,
      @RequestBody CompareRequest request,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Check.present("stands", request.stands);
    Check.range("stands", request.stands.size(), 1, 10);
    Check.present("terms", request.terms);
    return StandReturn.compare(
            plan.content(), views.engine("normal", plan).catalogue(), request.stands, request.terms)
        .stream()
        .map(
            r ->
                new ReturnView(
                    r.forageId(),
                    r.yieldKgPerHa(),
                    r.eatenKgPerHa(),
                    r.days(),
                    r.tdnPct(),
                    r.intakeKgPerHeadDay(),
                    r.headPerHa(),
                    r.gainKgPerHeadDay(),
                    r.gainKgPerHa(),
                    r.costPerHa(),
                    orNull(r.costPerKgGain()),
                    r.returnPerHa()))
        .toList();
  }

  /** The map as GeoJSON. */
  @GetMapping("/map")
  ResponseEntity<byte[]> map(@PathVariable String id, @AuthenticationPrincipal Person person) {
    FarmPlan plan = plans.get(id, person).content();
    return Transfer.file(
        GeoJson.write(plan).getBytes(StandardCharsets.UTF_8),
        FarmFile.fileName(plan.farm().name() + "-fields") + ".geojson",
        GEO_JSON);
  }

  /** What a map in a file would bring; nothing is kept. */
  @PostMapping("/map/preview")
  MapPreview preview(
      @PathVariable String id,
      @RequestParam String forageId,
      @RequestBody byte[] body,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    FarmPlan now = plan.content();
    GeoJson.Read read = GeoJson.read(Transfer.text(body), now, forageId, Slugs::fresh);
    Engine engine = views.engine("normal", plan);
    engine.resolve(engine.changed(now, edits(now, read)));
    return new MapPreview(read.shapes(), read.problems());
  }

  /** Takes the fields of a map as one revision; what cannot be taken is left out. */
  @PostMapping("/map")
  PlanView take(
      @PathVariable String id,
      @RequestParam int revision,
      @RequestParam String forageId,
      @RequestParam(defaultValue = "normal") String season,
      @RequestBody byte[] body,
      @AuthenticationPrincipal Person person) {
    FarmPlan now = plans.get(id, person).content();
    GeoJson.Read read = GeoJson.read(Transfer.text(body), now, forageId, Slugs::fresh);
    if (read.edits().isEmpty()) {
      throw new Refused(ServerReason.NO_FIELD_IN_FILE, "features");
    }
    return views.of(() -> plans.edit(id, person, revision, null, edits(now, read)), season);
  }

  /** The first map of a farm says where its grid lies. */
  private static List<PlanEdit> edits(FarmPlan now, GeoJson.Read read) {
    List<PlanEdit> edits = new ArrayList<>(read.edits());
    Farm f = now.farm();
    if (f.grid() == null && read.grid() != null) {
      Grid grid = read.grid();
      edits.add(
          new PlanEdit.SetFarm(
              f.name(),
              f.note(),
              f.climateId(),
              f.units(),
              f.currency(),
              f.audKg(),
              f.machines(),
              grid));
    }
    return edits;
  }
}
