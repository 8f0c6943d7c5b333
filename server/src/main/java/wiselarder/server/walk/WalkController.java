package wiselarder.server.walk;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Check;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.StemsSeen;
import wiselarder.core.records.WeatherMeasured;
import wiselarder.core.walk.Answer;
import wiselarder.core.walk.FieldHistory;
import wiselarder.core.walk.Round;
import wiselarder.core.walk.StemAnswer;
import wiselarder.server.http.Transfer;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.year.PlanViews;

/** Walks over the fields of a plan, in its normal year. */
@RestController
@RequestMapping("/api/plans/{id}/walk")
class WalkController {
  private final Plans plans;
  private final PlanViews views;

  WalkController(Plans plans, PlanViews views) {
    this.plans = plans;
    this.views = views;
  }

  /** What is to be walked on a day. */
  @GetMapping
  Round walk(
      @PathVariable String id, @RequestParam LocalDate on, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return Round.of(views.engine("normal", plan), plan.content(), on);
  }

  /**
   * All that a walk is reckoned from, for where there is no signal.
   *
   * @param records of the farm, but measured weather, in the order of writing
   * @param drySeed the dry year of the farm's climate, which takes long to look for
   */
  record Pack(int revision, FarmPlan stated, List<FarmRecord> records, long drySeed) {}

  /** A plan and its farm's records as the engine takes them. */
  @GetMapping("/pack")
  Pack pack(@PathVariable String id, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Engine engine = views.engine("normal", plan);
    Catalogue tables = engine.catalogue();
    return new Pack(
        plan.revision(),
        plan.content(),
        engine.records().written().stream()
            .filter(r -> !(r.fact() instanceof WeatherMeasured))
            .toList(),
        tables
            .drySeasons()
            .drySeed(
                tables.climate(plan.content().farm().climateId()), plan.content().plan().year()));
  }

  /** A reading that is not written down yet. */
  record Asked(LocalDate on, CoverSeen reading) {}

  /** Answers a reading; nothing is kept. */
  @PostMapping("/answer")
  Answer answer(
      @PathVariable String id, @RequestBody Asked asked, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return Answer.to(
        views.engine("normal", plan),
        plan.content(),
        Check.present("record.on", asked.on),
        Check.present("record.fact", asked.reading));
  }

  /** Stems that are not written down yet. */
  record StemsAsked(LocalDate on, StemsSeen stems) {}

  /** Answers split stems; nothing is kept. */
  @PostMapping("/stems")
  StemAnswer stems(
      @PathVariable String id,
      @RequestBody StemsAsked asked,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return StemAnswer.to(
        views.engine("normal", plan),
        plan.content(),
        Check.present("record.on", asked.on),
        Check.present("record.fact", asked.stems));
  }

  /** All readings of the plan, field by field, oldest first. */
  @GetMapping("/readings")
  List<FieldHistory.ReadingLine> readings(
      @PathVariable String id, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    YearBalance year = views.engine("normal", plan).simulate(plan.content());
    return IntStream.range(0, plan.content().farm().fields().size())
        .boxed()
        .flatMap(f -> FieldHistory.of(year, f).stream())
        .toList();
  }

  /** The same as a list for a spreadsheet. */
  @GetMapping("/readings/file")
  ResponseEntity<byte[]> file(
      @PathVariable String id,
      @RequestParam(required = false) Farm.UnitSystem units,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Farm.UnitSystem in = units == null ? plan.content().farm().units() : units;
    FarmRecords records = views.engine("normal", plan).records();
    String csv = ReadingsFile.of(plan.content(), readings(id, person), records, in).csv();
    return Transfer.file(
        csv.getBytes(StandardCharsets.UTF_8), plan.slug() + "-readings.csv", Transfer.CSV);
  }

  /** What else was seen, as a list for a spreadsheet. */
  @GetMapping("/seen/file")
  ResponseEntity<byte[]> seenFile(
      @PathVariable String id,
      @RequestParam(required = false) Farm.UnitSystem units,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Farm farm = plan.content().farm();
    Farm.UnitSystem in = units == null ? farm.units() : units;
    String csv = SeenFile.of(farm, views.engine("normal", plan).records(), in).csv();
    return Transfer.file(
        csv.getBytes(StandardCharsets.UTF_8), plan.slug() + "-seen.csv", Transfer.CSV);
  }
}
