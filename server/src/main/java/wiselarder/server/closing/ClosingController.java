package wiselarder.server.closing;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.closing.BuyHay;
import wiselarder.core.closing.InFull;
import wiselarder.core.closing.LeastCost;
import wiselarder.core.closing.Lever;
import wiselarder.core.closing.LeverOption;
import wiselarder.core.closing.Sureness;
import wiselarder.core.closing.Trial;
import wiselarder.core.closing.Waiting;
import wiselarder.core.closing.Wishes;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Check;
import wiselarder.core.store.Lot;
import wiselarder.server.people.Person;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.weather.FarmWeather;

/** Ways of closing a gap, tried on a plan as it stands. */
@RestController
@RequestMapping("/api")
class ClosingController {
  private final KeptSums kept;
  private final FarmWeather weather;
  private final Clock clock = Clock.systemUTC();

  ClosingController(KeptSums kept, FarmWeather weather) {
    this.kept = kept;
    this.weather = weather;
  }

  /** A way of closing a gap, tried. */
  record LeverView(
      LeverOption.Kind kind,
      List<PlanEdit> edits,
      double bringsKg,
      double inGapKg,
      int shortDaysAfter,
      double bareKgAfter,
      int bareDaysAfter,
      double storedKgMore,
      Double cost,
      LocalDate decideBy) {}

  /**
   * Ways of closing one gap, the free ones first; of each kind what brings most first.
   *
   * @param kind only those of one kind, so that a list can be shown as it comes; null for all
   */
  @GetMapping("/plans/{id}/levers")
  List<LeverView> levers(
      @PathVariable String id,
      @RequestParam int gap,
      @RequestParam(required = false) String patternLotId,
      @RequestParam(required = false) LocalDate buyDate,
      @RequestParam(required = false) LeverOption.Kind kind,
      @RequestParam(defaultValue = "normal") String season,
      @ParameterObject AskedGap.Part part,
      @AuthenticationPrincipal Person person) {
    LocalDate today = LocalDate.now(clock);
    return kept.of(
        id,
        person,
        plan -> levers(plan, gap, patternLotId, buyDate, kind, season, part, today),
        "levers",
        gap,
        patternLotId,
        buyDate,
        kind,
        season,
        part,
        today);
  }

  private List<LeverView> levers(
      StoredPlan plan,
      int gap,
      String patternLotId,
      LocalDate buyDate,
      LeverOption.Kind kind,
      String season,
      AskedGap.Part part,
      LocalDate today) {
    FarmPlan stated = plan.content();
    Engine engine = weather.engine(season, plan);
    Gap chosen = AskedGap.of(engine, stated, gap, part);
    List<Lever> levers = new ArrayList<>(Lever.ofTheFarm());
    Lot hay = AskedGap.pattern(stated, patternLotId).orElseThrow();
    LocalDate there = buyDate == null ? stated.plan().year().start() : buyDate;
    levers.add(new BuyHay(hay, there));
    BuyHay.early(engine, stated, hay, there, today).ifPresent(levers::add);
    levers.removeIf(l -> kind != null && l.kind() != kind);
    return new Trial(engine, stated, chosen)
        .options(levers).stream().map(ClosingController::lever).toList();
  }

  /**
   * Ways that are tried together.
   *
   * @param gap its place in the list of the year
   * @param ways the edits of each, as found on the plan as it stands
   */
  record WaysRequest(int gap, List<List<PlanEdit>> ways) {}

  /** What some ways do together to the whole year, and in a dry and a wet one. */
  @PostMapping("/plans/{id}/ways")
  InFullView ways(
      @PathVariable String id,
      @RequestBody WaysRequest request,
      @RequestParam(defaultValue = "normal") String season,
      @ParameterObject AskedGap.Part part,
      @AuthenticationPrincipal Person person) {
    check(request.ways, 1, MOST_WAYS);
    return kept.of(
        id, person, plan -> ways(plan, request, season, part), "ways", request, season, part);
  }

  private InFullView ways(StoredPlan plan, WaysRequest request, String season, AskedGap.Part part) {
    Engine engine = weather.engine(season, plan);
    List<Engine> elsewhere =
        Stream.of("normal", "dry", "wet")
            .filter(key -> !key.equals(season))
            .map(key -> weather.engine(key, plan))
            .toList();
    FarmPlan stated = plan.content();
    return InFullView.of(
        InFull.of(
            engine,
            elsewhere,
            stated,
            AskedGap.of(engine, stated, request.gap, part),
            request.ways));
  }

  private static void check(List<List<PlanEdit>> ways, int least, int most) {
    check(ways, least, most, 1);
  }

  private static void check(List<List<PlanEdit>> ways, int least, int most, int leastEdits) {
    Check.present("ways", ways);
    Check.range("ways", ways.size(), least, most);
    for (List<PlanEdit> way : ways) {
      Check.present("ways", way);
      Check.range("ways", way.size(), leastEdits, MOST_EDITS);
      way.forEach(e -> Check.present("ways", e instanceof PlanEdit.Replace ? null : e));
    }
  }

  /**
   * A gap to be looked at in the simulated years.
   *
   * @param edits tried on the plan; empty for the plan as it stands
   */
  record SurenessRequest(int gap, List<PlanEdit> edits) {}

  /** One simulated year; as {@link Sureness.Year}. */
  record SurenessYear(String season, double bareKgBefore, double bareKgAfter) {}

  /** In how many simulated years a gap is closed; as {@link Sureness}. */
  record SurenessView(double dayKg, int closedBefore, int closedAfter, List<SurenessYear> years) {}

  /** In how many simulated years the gap is closed, with and without some edits. */
  @PostMapping("/plans/{id}/sureness")
  SurenessView sureness(
      @PathVariable String id,
      @RequestBody SurenessRequest request,
      @RequestParam(defaultValue = "normal") String season,
      @ParameterObject AskedGap.Part part,
      @AuthenticationPrincipal Person person) {
    check(List.of(Check.present("edits", request.edits)), 1, 1, 0);
    return kept.of(
        id,
        person,
        plan -> sureness(plan, request, season, part),
        "sureness",
        request,
        season,
        part);
  }

  private SurenessView sureness(
      StoredPlan plan, SurenessRequest request, String season, AskedGap.Part part) {
    Engine engine = weather.engine(season, plan);
    FarmPlan stated = plan.content();
    return view(
        Sureness.of(engine, stated, AskedGap.of(engine, stated, request.gap, part), request.edits));
  }

  private static SurenessView view(Sureness s) {
    return new SurenessView(
        s.dayKg(),
        s.closedBefore(),
        s.closedAfter(),
        s.years().stream()
            .map(y -> new SurenessYear(y.season().key(), y.bareKgBefore(), y.bareKgAfter()))
            .toList());
  }

  /** A way that is done some days later. */
  record WaitingRequest(int gap, List<PlanEdit> edits, List<Integer> days) {}

  /** What a way brings so many days later, kg DM, each; null where it cannot be done then. */
  @PostMapping("/plans/{id}/waiting")
  List<Double> waiting(
      @PathVariable String id,
      @RequestBody WaitingRequest request,
      @RequestParam(defaultValue = "normal") String season,
      @ParameterObject AskedGap.Part part,
      @AuthenticationPrincipal Person person) {
    check(List.of(Check.present("edits", request.edits)), 1, 1);
    Check.present("days", request.days);
    Check.range("days", request.days.size(), 1, MOST_WAITS);
    request.days.forEach(d -> Check.range("days", Check.present("days", d), 1, LONGEST_WAIT));
    return kept.of(
        id, person, plan -> waiting(plan, request, season, part), "waiting", request, season, part);
  }

  private List<Double> waiting(
      StoredPlan plan, WaitingRequest request, String season, AskedGap.Part part) {
    Engine engine = weather.engine(season, plan);
    FarmPlan stated = plan.content();
    Gap its = AskedGap.of(engine, stated, request.gap, part);
    return request.days.stream()
        .map(d -> AskedGap.orNull(Waiting.bringsKg(engine, stated, its, request.edits, d)))
        .toList();
  }

  private static final int MOST_WAITS = 5;
  private static final int LONGEST_WAIT = 120;

  /**
   * Ways among which the cheapest mix is sought.
   *
   * @param sure share of the simulated years in which it must close the gap; null for the season
   *     that is looked at alone
   * @param must places of those that are taken in any case
   * @param never places of those that are not
   * @param buyHay whether hay may be bought beside them
   * @param hoursMost hours of work that there are for them; null where nobody said
   */
  record MixRequest(
      int gap,
      List<List<PlanEdit>> ways,
      Set<Integer> must,
      Set<Integer> never,
      boolean buyHay,
      Double sure,
      Double hoursMost) {
    MixRequest {
      if (hoursMost != null) {
        Check.range("mix.hoursMost", hoursMost, 0, MOST_HOURS);
      }
      if (sure != null) {
        Check.range("mix.sure", sure, LEAST_SURE, 1);
      }
    }
  }

  /** What another kg of dry matter is worth from a day on, in the farm's currency. */
  record MixWorth(LocalDate from, double needKg, double perKg) {}

  /** A way that is not taken, and by how much cheaper it would be. */
  record MixEnters(int way, double cheaperBy) {}

  /** The cheapest mix; as {@link LeastCost}. */
  record MixView(
      List<Integer> taken,
      List<PlanEdit> hay,
      double cost,
      double hayCost,
      Double buyingAllCost,
      double gapKg,
      double leftKg,
      int repairs,
      List<MixWorth> worth,
      List<MixEnters> enters,
      double hours,
      double hourWorth,
      List<Integer> unpriced,
      SurenessView sureness) {}

  /** The cheapest mix of some ways and hay that closes a gap, run through the engine. */
  @PostMapping("/plans/{id}/mix")
  MixView mix(
      @PathVariable String id,
      @RequestBody MixRequest request,
      @RequestParam(defaultValue = "normal") String season,
      @ParameterObject AskedGap.Part part,
      @AuthenticationPrincipal Person person) {
    check(request.ways, 0, MOST_MIXED);
    return kept.of(
        id, person, plan -> mix(plan, request, season, part), "mix", request, season, part);
  }

  private MixView mix(StoredPlan plan, MixRequest request, String season, AskedGap.Part part) {
    Engine engine = weather.engine(season, plan);
    FarmPlan stated = plan.content();
    Gap its = AskedGap.of(engine, stated, request.gap, part);
    Lot hay = request.buyHay ? AskedGap.pattern(stated, null).orElseThrow() : null;
    Wishes wishes =
        new Wishes(
            places(request.must, request.ways),
            places(request.never, request.ways),
            request.hoursMost == null ? Double.POSITIVE_INFINITY : request.hoursMost);
    return mix(
        request.sure == null
            ? LeastCost.of(engine, stated, its, request.ways, hay, wishes)
            : LeastCost.sure(engine, stated, its, request.ways, hay, wishes, request.sure));
  }

  private static Set<Integer> places(Set<Integer> given, List<List<PlanEdit>> ways) {
    Set<Integer> places = given == null ? Set.of() : given;
    places.forEach(p -> Check.range("ways", p, 0, ways.size() - 1));
    return places;
  }

  private static MixView mix(LeastCost m) {
    return new MixView(
        m.taken(),
        m.hay(),
        m.cost(),
        m.hayCost(),
        Double.isNaN(m.buyingAllCost()) ? null : m.buyingAllCost(),
        m.gapKg(),
        m.leftKg(),
        m.repairs(),
        m.worth().stream().map(w -> new MixWorth(w.from(), w.needKg(), w.perKg())).toList(),
        m.enters().stream().map(e -> new MixEnters(e.way(), e.cheaperBy())).toList(),
        m.hours(),
        m.hourWorth(),
        m.unpriced(),
        m.sureness() == null ? null : view(m.sureness()));
  }

  private static final double LEAST_SURE = 0.05;
  private static final double MOST_HOURS = 10_000;
  private static final int MOST_WAYS = 20;
  private static final int MOST_MIXED = 80;
  private static final int MOST_EDITS = 200;

  private static LeverView lever(LeverOption o) {
    return new LeverView(
        o.kind(),
        o.edits(),
        o.bringsKg(),
        o.inGapKg(),
        o.shortDaysAfter(),
        o.bareKgAfter(),
        o.bareDaysAfter(),
        o.storedKgMore(),
        o.cost(),
        o.decideBy());
  }
}
