package wiselarder.server.year;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.balance.Outlook;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.conflict.Greening;
import wiselarder.core.conflict.LandUse;
import wiselarder.core.diet.ShelfDiet;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.Season;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;

/** How the ground stands, how long the feed in front lasts, and how many animals growth carries. */
@RestController
@RequestMapping("/api/plans/{id}")
class OutlookController {
  private static final Season DRY = Season.parse("dry");

  private final Plans plans;
  private final PlanViews views;

  OutlookController(Plans plans, PlanViews views) {
    this.plans = plans;
    this.views = views;
  }

  /**
   * An outlook by day; covers and rates in kg DM/ha of ground that carries a stand.
   *
   * @param leaveKgPerHa mean of what is to be left; {@code enterKgPerHa} of what is to stand when
   *     stock come in
   * @param restDays that grazed ground is rested at this time of the year; 0 where none is
   * @param inFrontKg what stands at the end of the day and would be eaten
   * @param storedKg what is stored then and would be eaten
   * @param lastsDays days that what stands would feed the herd if nothing more grew
   * @param lastsWithStoreDays the same with what is stored
   * @param bareInNormalDays days from each day to the next bare one when the whole plan runs in a
   *     normal year, -1 for none
   * @param bareInDryDays the same in the dry year that comes once in ten
   * @param herdsOverall how many times this herd the growth of the whole plan would feed
   */
  record OutlookView(
      double groundHa,
      double leaveKgPerHa,
      double enterKgPerHa,
      Series coverKgPerHa,
      Series growthKgPerHa,
      Series demandKgPerHa,
      Series restDays,
      Series inFrontKg,
      Series storedKg,
      Series lastsDays,
      Series lastsWithStoreDays,
      Series bareInNormalDays,
      Series bareInDryDays,
      double herdsOverall,
      List<StockingMonth> months,
      LandInUse land,
      List<Greening> greening) {}

  /**
   * What the land is for, by day; ha of net area.
   *
   * @param narrowestDay the first day on which least of it is open to the herd
   */
  record LandInUse(double wholeHa, int narrowestDay, List<InUse> uses) {}

  /** One use: ha of it by day, of which there is any; {@code most} on one day. */
  record InUse(LandUse.Use use, Series ha, double mostHa) {}

  /** One month: need, growth that would be eaten, what of it is beyond the need; kg DM. */
  record StockingMonth(
      String month, int startDay, int endDay, double needKg, double eatableKg, double leftKg) {}

  /** Read off the plan's year. */
  @GetMapping("/outlook")
  OutlookView outlook(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Engine engine = views.engine(season, plan);
    YearBalance year = engine.simulate(plan.content());
    Outlook o = Outlook.of(year);
    int days = plan.content().plan().year().days();
    return new OutlookView(
        o.groundHa(),
        o.leaveKgPerHa(),
        o.enterKgPerHa(),
        Series.whole(days, o::coverKgPerHa),
        Series.amounts(days, o::growthKgPerHa),
        Series.amounts(days, o::demandKgPerHa),
        Series.whole(days, o::restDays),
        Series.amounts(days, o::standingKg),
        Series.amounts(days, o::storedKg),
        Series.exact(days, 1, d -> o.lastsDays(d, false)),
        Series.exact(days, 1, d -> o.lastsDays(d, true)),
        untilBare(engine.in(Season.NORMAL), plan, days),
        untilBare(engine.in(DRY), plan, days),
        o.herdsOverall(),
        o.months().stream()
            .map(
                m ->
                    new StockingMonth(
                        m.month().toString(),
                        m.startDay(),
                        m.endDay(),
                        m.needKg(),
                        m.eatableKg(),
                        m.leftKg()))
            .toList(),
        land(LandUse.of(year), days),
        Greening.of(year));
  }

  private static LandInUse land(LandUse land, int days) {
    List<InUse> uses = new ArrayList<>();
    for (LandUse.Use use : LandUse.Use.values()) {
      double most = IntStream.range(0, days).mapToDouble(d -> land.areaHa(use, d)).max().orElse(0);
      if (most > 0) {
        uses.add(new InUse(use, Series.exact(days, 0.01, d -> land.areaHa(use, d)), most));
      }
    }
    return new LandInUse(land.wholeHa(), land.narrowestDay(), uses);
  }

  /** What each shelf gives of a measure, to all or to one group; or what a block gives to all. */
  @GetMapping("/shelves")
  YearView.ShelvesView shelves(
      @PathVariable String id,
      @RequestParam ShelfDiet.Measure measure,
      @RequestParam(required = false) String groupId,
      @RequestParam(required = false) String block,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Engine engine = views.engine(season, plan);
    return YearView.shelves(
        engine.simulate(plan.content()), new YearView.Shelves(measure, groupId, block));
  }

  private static Series untilBare(Engine engine, StoredPlan plan, int days) {
    Outlook o = Outlook.of(engine.simulate(plan.content()));
    return Series.exact(
        days,
        1,
        d -> {
          int bare = o.nextBareDay(d);
          return bare < 0 ? -1 : bare - d;
        });
  }
}
