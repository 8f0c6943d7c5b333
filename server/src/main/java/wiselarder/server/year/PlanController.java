package wiselarder.server.year;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.List;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Check;
import wiselarder.server.people.Person;
import wiselarder.server.plan.AlsoIn;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.Revision;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.weather.FarmWeather;

/** Plans over HTTP. */
@RestController
@RequestMapping("/api")
class PlanController {
  /** More edits than this in one call is a mistake. */
  private static final int MOST_EDITS = 200;

  private static final int MOST_PLANS = 50;

  private final Plans plans;
  private final PlanViews views;
  private final FarmWeather weather;
  private final KeptViews kept;

  PlanController(Plans plans, PlanViews views, KeptViews kept, FarmWeather weather) {
    this.plans = plans;
    this.kept = kept;
    this.weather = weather;
    this.views = views;
  }

  /**
   * Edits made on a revision.
   *
   * @param onTopOf null, or the newer revision that a refusal named and the person puts theirs on
   * @param alsoIn other plans of the farm to be changed in the same step; null for none
   */
  record EditRequest(
      int revision,
      @Schema(nullable = true) Integer onTopOf,
      List<PlanEdit> edits,
      @Schema(nullable = true) List<AlsoIn.Place> alsoIn) {}

  /** The revision the person saw when they asked. */
  record Seen(int revision) {}

  /** Goes back to how the plan stood at revision {@code to}. */
  record Back(int revision, int to) {}

  /**
   * Edits to try out; nothing is kept.
   *
   * @param parts what of the year is wanted beside what every screen shows; null for all
   * @param about the one field or group of which more is wanted; empty for none of them, null for
   *     all of the parts
   * @param shelves in another measure or of one group, or null
   */
  record TrialRequest(
      List<PlanEdit> edits,
      @Schema(nullable = true) Set<YearView.Part> parts,
      @Schema(nullable = true) String about,
      @Schema(nullable = true) YearView.Shelves shelves) {}

  /** A plan with its year, as it was drawn last where nothing changed since. */
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = PlanView.class)))
  @GetMapping(path = "/plans/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<byte[]> get(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @RequestHeader(name = HttpHeaders.ACCEPT_ENCODING, defaultValue = "")
          @Parameter(hidden = true)
          String encodings,
      @AuthenticationPrincipal Person person) {
    return kept.of(id, person, season, encodings.contains("gzip"));
  }

  @PostMapping("/plans/{id}/edits")
  PlanView edit(
      @PathVariable String id,
      @RequestBody EditRequest request,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    List<PlanEdit> edits = edits(request.edits);
    List<AlsoIn.Place> also = request.alsoIn == null ? List.of() : request.alsoIn;
    Check.range("alsoIn", also.size(), 0, MOST_PLANS);
    also.forEach(place -> Check.present("alsoIn.plan", place));
    return views.of(
        () -> plans.edit(id, person, request.revision, request.onTopOf, edits, also), season);
  }

  @PostMapping("/plans/{id}/trial")
  YearView trial(
      @PathVariable String id,
      @RequestBody TrialRequest request,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    List<PlanEdit> edits = edits(request.edits);
    FarmPlan changed = weather.engine("normal", plan).changed(plan.content(), edits);
    Engine engine = weather.engine(season, plan.farmId(), changed);
    YearBalance year = engine.tryOut(plan.content(), edits);
    return request.parts == null
        ? YearView.of(year, engine)
        : YearView.of(
            year, engine, new YearView.Asked(request.parts, request.about, request.shelves));
  }

  @PostMapping("/plans/{id}/undo")
  PlanView undo(
      @PathVariable String id,
      @RequestBody Seen seen,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    return views.of(() -> plans.undo(id, person, seen.revision), season);
  }

  @PostMapping("/plans/{id}/redo")
  PlanView redo(
      @PathVariable String id,
      @RequestBody Seen seen,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    return views.of(() -> plans.redo(id, person, seen.revision), season);
  }

  @PostMapping("/plans/{id}/back")
  PlanView back(
      @PathVariable String id,
      @RequestBody Back back,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    return views.of(() -> plans.goBack(id, person, back.revision, back.to), season);
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

  @DeleteMapping("/plans/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String id, @AuthenticationPrincipal Person person) {
    plans.remove(id, person);
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
