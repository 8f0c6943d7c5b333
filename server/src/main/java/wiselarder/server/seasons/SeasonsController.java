package wiselarder.server.seasons;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sign;
import wiselarder.core.quantity.Check;
import wiselarder.core.seasons.DateThatTells;
import wiselarder.core.seasons.Decides;
import wiselarder.core.seasons.Fan;
import wiselarder.core.seasons.FeedToHold;
import wiselarder.core.seasons.GaugeYears;
import wiselarder.core.seasons.ManyYears;
import wiselarder.core.seasons.Telling;
import wiselarder.core.store.LossMethod;
import wiselarder.server.closing.AskedGap;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.weather.FarmWeather;

/** A plan in a thousand simulated years. */
@RestController
@RequestMapping("/api/plans/{id}/thousand")
class SeasonsController {
  private final Plans plans;
  private final FarmWeather weather;
  private final ThousandYears thousand;

  SeasonsController(Plans plans, FarmWeather weather, ThousandYears thousand) {
    this.plans = plans;
    this.weather = weather;
    this.thousand = thousand;
  }

  /**
   * How a figure spreads by day: so much or less in 10, 25, 50, 75 and 90 of a hundred years.
   *
   * @param p10 whole kg DM, or kg DM/ha
   */
  record FanView(int[] p10, int[] p25, int[] p50, int[] p75, int[] p90) {
    static FanView of(Fan fan) {
      return new FanView(
          whole(fan.p10()), whole(fan.p25()), whole(fan.p50()), whole(fan.p75()), whole(fan.p90()));
    }

    private static int[] whole(double[] values) {
      return Arrays.stream(values).mapToInt(v -> (int) Math.round(v)).toArray();
    }
  }

  /**
   * One of the years, by how hard it is.
   *
   * @param share of the years that are no harder
   * @param season key by which it is looked at
   * @param firstBareDay first day that falls short, -1 for none
   */
  record NamedYear(double share, String season, double bareKg, int firstBareDay) {}

  /**
   * A date that tells hard years; as {@link DateThatTells} and its {@link Telling}.
   *
   * @param below in kg DM/ha, kg DM, kg DM/ha a day, percent or mm, as the sign is
   */
  record DateView(
      Sign sign,
      int day,
      double below,
      int fires,
      int right,
      int hard,
      int of,
      double missingKg,
      String groupId,
      int head,
      double savesKg,
      double savesLaterKg,
      double needThen,
      double needMost) {
    static DateView of(DateThatTells d) {
      Telling t = d.telling();
      return new DateView(
          t.sign(),
          t.day(),
          t.below(),
          t.fires(),
          t.right(),
          t.hard(),
          t.of(),
          d.missingKg(),
          d.groupId(),
          d.head(),
          d.savesKg(),
          d.savesLaterKg(),
          d.needThen(),
          d.needMost());
    }
  }

  /**
   * What the years came to.
   *
   * @param fed years in which less than a day's feed is missing
   * @param shortByTenth day by which a tenth of all years has fallen short, {@code shortByHalf} by
   *     which half have; -1 where fewer ever do
   * @param bareKgByYear what each misses, the mildest first
   * @param seeds of each, in the same order
   * @param hardKg years that miss so much or more count as hard; -1 where hardly any year fails
   */
  record ThousandResult(
      int years,
      int fed,
      double dayKg,
      int shortByTenth,
      int shortByHalf,
      FanView storeKg,
      FanView standsKgPerHa,
      FanView bareKg,
      int[] bareKgByYear,
      long[] seeds,
      List<NamedYear> named,
      double hardKg,
      List<DateView> dates,
      List<Decides> decides) {
    static ThousandResult of(ThousandYears.Told told) {
      ManyYears many = told.many();
      double hardKg = many.hardKg();
      return new ThousandResult(
          many.years().size(),
          many.fed(),
          many.dayKg(),
          many.shortBy(0.1),
          many.shortBy(0.5),
          FanView.of(many.storeKg()),
          FanView.of(many.standsKgPerHa()),
          FanView.of(many.bareKg()),
          many.years().stream().mapToInt(y -> (int) Math.round(y.bareKg())).toArray(),
          many.years().stream().mapToLong(ManyYears.Year::seed).toArray(),
          SHARES.stream().map(s -> named(many, s)).toList(),
          Double.isNaN(hardKg) ? -1 : hardKg,
          told.dates().stream().map(DateView::of).toList(),
          told.decides());
    }

    private static final List<Double> SHARES = List.of(0.1, 0.5, 0.8, 0.9, 0.95, 1.0);

    private static NamedYear named(ManyYears many, double share) {
      ManyYears.Year y = many.noHarder(share);
      return new NamedYear(share, Season.simulated(y.seed()).key(), y.bareKg(), y.firstBareDay());
    }
  }

  /**
   * A run.
   *
   * @param done years that are done, {@code of} so many
   * @param under true while it goes on
   * @param result null until it is done
   */
  record ThousandView(int done, int of, boolean under, boolean stopped, ThousandResult result) {
    static ThousandView of(ThousandYears.Run run) {
      if (run == null) {
        return new ThousandView(0, ThousandYears.YEARS, false, false, null);
      }
      ThousandYears.Told result = run.result();
      boolean under = result == null && !run.stopped() && !run.failed();
      return new ThousandView(
          run.done(),
          ThousandYears.YEARS,
          under,
          run.stopped() || run.failed(),
          result == null ? null : ThousandResult.of(result));
    }
  }

  /** Begins the run of the plan as it stands, or gives the one that is kept. */
  @PostMapping
  ThousandView begin(@PathVariable String id, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return ThousandView.of(thousand.begin(weather.engine("normal", plan), plan.content()));
  }

  /** How far the run of the plan as it stands is. */
  @GetMapping
  ThousandView look(@PathVariable String id, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return ThousandView.of(thousand.look(weather.engine("normal", plan), plan.content()));
  }

  /** Ends it where it is under way. */
  @DeleteMapping
  ThousandView stop(@PathVariable String id, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Engine engine = weather.engine("normal", plan);
    thousand.stop(engine, plan.content());
    return ThousandView.of(thousand.look(engine, plan.content()));
  }

  /**
   * Feed to hold; as {@link FeedToHold}.
   *
   * @param paysUpTo share of the years up to which another ton is worth its price
   * @param shortCostAYear what all that is missing as the plan stands would cost in the mean year,
   *     bought when it is missing
   */
  record HoldView(
      double share,
      int units,
      String unitName,
      double missingKg,
      double insuranceKg,
      int fedBefore,
      int fedAfter,
      int years,
      Double cost,
      Double costInDrought,
      Double paysUpTo,
      Double shortCostAYear,
      List<PlanEdit> edits) {}

  /** What to hold so that feed lasts in a share of the years; nothing until they have been run. */
  @GetMapping("/hold")
  List<HoldView> hold(
      @PathVariable String id, @RequestParam double share, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Engine engine = weather.engine("normal", plan);
    ThousandYears.Run run = thousand.look(engine, plan.content());
    FeedToHold.SHARE.check(share);
    return Stream.ofNullable(run == null ? null : run.result())
        .map(told -> view(engine, plan, told.many(), share))
        .toList();
  }

  private static HoldView view(Engine engine, StoredPlan plan, ManyYears many, double share) {
    var pattern = AskedGap.pattern(plan.content(), null).orElseThrow();
    FeedToHold hold = FeedToHold.of(engine, plan.content(), many, share, pattern);
    return new HoldView(
        share,
        hold.units(),
        pattern.unitName(),
        hold.missingKg(),
        hold.insuranceKg(),
        hold.fedBefore(),
        hold.fedAfter(),
        many.years().size(),
        AskedGap.orNull(hold.cost()),
        AskedGap.orNull(hold.costInDrought()),
        AskedGap.orNull(
            hold.paysUpTo(
                engine
                    .catalogue()
                    .loss("hold", pattern.storageMethodId(), LossMethod.Stage.STORAGE))),
        AskedGap.orNull(
            hold.costInDrought()
                / Math.max(1, hold.units() * pattern.kgDmPerUnit())
                * many.meanBareKg()),
        hold.edits());
  }

  /**
   * One of the years, day by week: what stood and what was in store.
   *
   * @param rank so many years are milder
   * @param storeKg at the weeks' first mornings from the second week on
   */
  record PickedYear(int rank, String season, double bareKg, int[] storeKg, int[] standsKgPerHa) {}

  /** The year that lies next to a point of the fan; nothing until they have been run. */
  @GetMapping("/near")
  List<PickedYear> near(
      @PathVariable String id,
      @RequestParam Sign sign,
      @RequestParam int day,
      @RequestParam double value,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    ThousandYears.Run run = thousand.look(weather.engine("normal", plan), plan.content());
    return Stream.ofNullable(run == null ? null : run.result())
        .map(told -> year(told.many(), told.many().nearest(sign, day, value)))
        .toList();
  }

  /** One of the years by its place, the mildest first; nothing until they have been run. */
  @GetMapping("/year")
  List<PickedYear> year(
      @PathVariable String id, @RequestParam int rank, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Check.range("seasons.rank", rank, 0, ThousandYears.YEARS - 1);
    ThousandYears.Run run = thousand.look(weather.engine("normal", plan), plan.content());
    return Stream.ofNullable(run == null ? null : run.result())
        .map(told -> year(told.many(), rank))
        .toList();
  }

  /** The plan in the years of the farm's own gauge; none where they are fewer than five. */
  @GetMapping("/gauge")
  List<GaugeYears> gauge(@PathVariable String id, @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return GaugeYears.of(weather.engineWithWeather(plan), plan.content());
  }

  private static PickedYear year(ManyYears many, int rank) {
    ManyYears.Year y = many.years().get(rank);
    return new PickedYear(
        rank,
        Season.simulated(y.seed()).key(),
        y.bareKg(),
        weekly(many, Sign.STORE, y.seed()),
        weekly(many, Sign.STANDS, y.seed()));
  }

  private static int[] weekly(ManyYears many, Sign sign, long seed) {
    return IntStream.range(1, many.signs().weeks())
        .map(w -> (int) Math.round(many.signs().of(sign, (int) seed - 1, w)))
        .toArray();
  }
}
