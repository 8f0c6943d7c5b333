package wiselarder.server.walk;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
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
import wiselarder.core.forage.Readiness;
import wiselarder.core.forage.SwardSigns;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Farm;
import wiselarder.core.quantity.Check;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.walk.Answer;
import wiselarder.core.walk.FeedAhead;
import wiselarder.core.walk.FieldHistory;
import wiselarder.core.walk.FieldToWalk;
import wiselarder.core.walk.Walk;
import wiselarder.server.file.Table;
import wiselarder.server.http.Transfer;
import wiselarder.server.lists.CsvUnit;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.year.PlanViews;

/** Walks over the fields of a plan, in its normal year. */
@RestController
@RequestMapping("/api/plans/{id}/walk")
class WalkController {
  /** Families of signs that are looked at on a round; of bare ground one sign is enough. */
  private static final Set<String> LOOKED_AT = Set.of("tips", "leaf_stage", "bare_ground");

  private static final String BARE = "bare_ground";

  private final Plans plans;
  private final PlanViews views;

  WalkController(Plans plans, PlanViews views) {
    this.plans = plans;
    this.views = views;
  }

  /** What is tried on young stands, and again where it failed. */
  private static final String PULL = "anchorage_new";

  /** What is to be seen of a sign, and what it means. */
  record SignValue(String id, String meaning, SwardSigns.Effect effect) {}

  /** A sign of the table. */
  record SignView(String id, String what, List<SignValue> values, String note) {}

  /**
   * A round; see {@link Walk}.
   *
   * @param first fields to walk first
   * @param signs by field, in the same order: ids of what is to be looked at there
   * @param known every sign that is named
   * @param young rules of the young stands among them
   */
  record WalkView(
      LocalDate on,
      List<FieldToWalk> fields,
      List<String> first,
      double needKgPerDay,
      double paceShare,
      FeedAhead ahead,
      List<List<String>> signs,
      List<SignView> known,
      List<YoungView> young) {}

  /**
   * When a young stand may be opened; see {@link Readiness}.
   *
   * @param openCm least height on its soil
   * @param onSand how sand is stricter; empty on other soil
   */
  record YoungView(
      String fieldId,
      double lookCm,
      double openCm,
      String test,
      String leaves,
      String onSand,
      double downToCm,
      String note) {
    static YoungView of(FieldToWalk f, Readiness r) {
      return new YoungView(
          f.fieldId(),
          r.lookCm(),
          r.openCm(f.sandy()),
          r.test(),
          r.leaves(),
          f.sandy() ? r.onSand() : "",
          r.downToCm(),
          r.note());
    }
  }

  /** What is to be walked on a day. */
  @GetMapping
  WalkView walk(
      @PathVariable String id, @RequestParam LocalDate on, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Engine engine = views.engine("normal", plan);
    Walk walk = Walk.of(engine, plan.content(), on);
    Catalogue tables = engine.catalogue().on(plan.content().farm());
    List<List<String>> signs = new ArrayList<>();
    List<SwardSigns.Sign> named = new ArrayList<>();
    List<YoungView> young = new ArrayList<>();
    for (FieldToWalk f : walk.fields()) {
      List<SwardSigns.Sign> here =
          new ArrayList<>(
              tables.signs().of(tables.forage(f.forageId()), LOOKED_AT).stream()
                  .filter(s -> !s.what().equals(BARE) || s.id().equals(BARE))
                  .toList());
      if (f.young() || f.plantsLift()) {
        here.add(0, tables.signs().sign(PULL));
        Readiness rule = tables.readinessOf(plan.content().farm(), f.forageId());
        if (rule != null) {
          young.add(YoungView.of(f, rule));
        }
      }
      signs.add(here.stream().map(SwardSigns.Sign::id).toList());
      here.stream().filter(s -> !named.contains(s)).forEach(named::add);
    }
    return new WalkView(
        walk.on(),
        walk.fields(),
        walk.first(),
        walk.needKgPerDay(),
        walk.paceShare(),
        walk.ahead(),
        signs,
        named.stream().map(WalkController::view).toList(),
        young);
  }

  private static SignView view(SwardSigns.Sign s) {
    return new SignView(
        s.id(),
        s.what(),
        s.values().stream().map(v -> new SignValue(v.id(), v.meaning(), v.effect())).toList(),
        s.note());
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
    String csv = table(plan, readings(id, person), in).csv();
    return Transfer.file(
        csv.getBytes(StandardCharsets.UTF_8), plan.slug() + "-readings.csv", Transfer.CSV);
  }

  private static Table table(
      StoredPlan plan, List<FieldHistory.ReadingLine> lines, Farm.UnitSystem units) {
    CsvUnit unit = CsvUnit.MASS_PER_AREA;
    Function<Double, Object> in = kg -> Math.round(unit.fromSi(kg, units));
    Function<Double, Object> aDay =
        kg -> kg == null ? null : Math.round(10 * unit.fromSi(kg, units)) / 10.0;
    String of = unit.suffix(units);
    List<List<Object>> rows = new ArrayList<>();
    for (FieldHistory.ReadingLine l : lines) {
      rows.add(
          Arrays.asList(
              plan.content().field(l.fieldId()).name(),
              l.on(),
              in.apply(l.coverKgPerHa()),
              in.apply(l.lowKgPerHa()),
              in.apply(l.highKgPerHa()),
              in.apply(l.expectedKgPerHa()),
              in.apply(l.takenKgPerHa()),
              aDay.apply(l.growthKgPerHaDay()),
              aDay.apply(l.usualKgPerHaDay())));
    }
    List<String> header =
        List.of(
            "field",
            "date",
            "cover" + of,
            "low" + of,
            "high" + of,
            "expected" + of,
            "taken_since_last" + of,
            "growth_a_day" + of,
            "expected_growth_a_day" + of);
    return new Table(header, rows, false);
  }
}
