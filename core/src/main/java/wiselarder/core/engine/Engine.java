package wiselarder.core.engine;

import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.caution.Cautions;
import wiselarder.core.caution.Hazard;
import wiselarder.core.conflict.Conflict;
import wiselarder.core.conflict.Conflicts;
import wiselarder.core.edit.Anchoring;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.edit.YearsOn;
import wiselarder.core.forage.Forage;
import wiselarder.core.gap.Gap;
import wiselarder.core.gap.GapFinder;
import wiselarder.core.gap.NeedGaps;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Doubt;
import wiselarder.core.plan.Doubts;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Policies;
import wiselarder.core.plan.Season;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.weather.WeatherYear;

/**
 * From a stated plan to its year in one call: resolve, simulate, find the gaps. It knows the
 * product's tables, what was written down of the farm, and the season that is looked at.
 *
 * <p>The years asked for last are kept. A year that is tried out shares with the year it is tried
 * on what both resolve to, and is run from the first day on which they differ; {@link #slow}
 * reckons every one from nothing and comes to the same, to the last bit.
 */
public final class Engine {
  private final Catalogue catalogue;
  private final Cautions cautions;
  private final Season season;
  private final FarmRecords records;

  /** Null where nothing is kept. */
  private final Years years;

  /** Asked before each year. */
  private final BooleanSupplier over;

  /** The engine that knows all but what happened since a day; null where there is none such. */
  private final Engine before;

  private final LocalDate since;

  private Engine(
      Catalogue catalogue,
      Cautions cautions,
      Season season,
      FarmRecords records,
      Years years,
      BooleanSupplier over,
      Engine before,
      LocalDate since) {
    this.catalogue = catalogue;
    this.cautions = cautions;
    this.season = season;
    this.records = records;
    this.years = years;
    this.over = over;
    this.before = before;
    this.since = since;
  }

  private Engine(
      Catalogue catalogue,
      Cautions cautions,
      Season season,
      FarmRecords records,
      Years years,
      BooleanSupplier over) {
    this(catalogue, cautions, season, records, years, over, null, null);
  }

  /** An engine that simulates in the normal year and knows of no records. */
  public Engine(Catalogue catalogue, Cautions cautions) {
    this(catalogue, cautions, Season.NORMAL, FarmRecords.NONE, new Years(), () -> false);
  }

  /** The same engine, simulating in another season. */
  public Engine in(Season other) {
    Engine there = before == null ? null : before.in(other);
    return new Engine(catalogue, cautions, other, records, years, over, there, since);
  }

  /** The same engine on a farm of which this was written down. */
  public Engine knowing(FarmRecords written) {
    return new Engine(catalogue, cautions, season, written, years, over);
  }

  /**
   * The same engine on a farm of which more was written down, keeping its years for itself. They
   * are run from that day on, as nothing of it says anything of the days before.
   *
   * @param written all that was written down, the rest with what this engine knows before it
   * @param day the first that it is about
   */
  public Engine knowingSince(LocalDate day, FarmRecords written) {
    Engine known = years == null ? null : this;
    Years own = years == null ? null : new Years();
    return new Engine(catalogue, cautions, season, written, own, over, known, day);
  }

  /** The same engine, keeping its years for itself: for many that are asked for once. */
  public Engine apart() {
    return new Engine(
        catalogue, cautions, season, records, years == null ? null : new Years(), over);
  }

  /** The same engine, reckoning every year from nothing: it proves the other one. */
  public Engine slow() {
    return new Engine(catalogue, cautions, season, records, null, over);
  }

  /**
   * The same engine, for as long as somebody waits for it: it asks before each year that it
   * reckons, on whatever thread, and throws {@link CancellationException} when it is over.
   */
  public Engine until(BooleanSupplier end) {
    return new Engine(catalogue, cautions, season, records, years, end);
  }

  public Season season() {
    return season;
  }

  public FarmRecords records() {
    return records;
  }

  /** An engine on the product's tables. */
  public static Engine load() {
    return new Engine(Catalogue.load(), Cautions.load());
  }

  public Catalogue catalogue() {
    return catalogue;
  }

  /** Resolves a plan in the normal year; refuses what the tables do not know. */
  public ResolvedPlan resolve(FarmPlan stated) {
    Years.Kept like = years == null ? null : years.like(key(stated));
    return resolve(stated, like == null ? null : like.normal());
  }

  private ResolvedPlan resolve(FarmPlan stated, ResolvedPlan like) {
    if (over.getAsBoolean()) {
      throw new CancellationException("nobody waits for this any more");
    }
    FarmPlan done = Policies.applied(stated, catalogue, season.kind() == Season.Kind.DRY);
    return ResolvedPlan.like(
        like,
        done,
        records,
        catalogue,
        cautions.of(done, records, catalogue),
        (weather, normal) -> cautions.in(done, catalogue, weather, normal));
  }

  /** Simulates a stated plan in given weather over its days. */
  public YearBalance simulate(FarmPlan stated, WeatherYear weather) {
    return YearBalance.simulate(resolve(stated).in(weather));
  }

  /** The year of a stated plan in this engine's season. Not to be changed by readers. */
  public YearBalance simulate(FarmPlan stated) {
    return year(stated).balance();
  }

  /** A plan as edits leave it, with every anchored date where its anchor says. */
  public FarmPlan changed(FarmPlan stated, List<PlanEdit> edits) {
    return Anchoring.changed(stated, edits, catalogue);
  }

  /** A plan so many years on, its anchored dates where their anchors say. */
  public FarmPlan yearsOn(FarmPlan stated, int years) {
    return YearsOn.of(stated, years, catalogue);
  }

  /** Applies the edits in order and gives the year of the outcome; the plan stays as it is. */
  public YearBalance tryOut(FarmPlan stated, List<PlanEdit> edits) {
    FarmPlan changed = changed(stated, edits);
    if (years == null || !season.isThere(stated, records.weather())) {
      return simulate(changed);
    }
    Years.Kept like = year(stated);
    Years.Key key = key(changed);
    Years.Kept there = years.get(key);
    Years.Kept made = there != null ? there : tried(changed, like);
    years.tried(key, made);
    return made.balance();
  }

  /**
   * As {@link #tryOut}, for what groups and lots come to: single fields and the worth of feed are
   * not kept, the days are the same to the last kilogram. For those that try many.
   */
  public YearBalance tryFarmOnly(FarmPlan stated, List<PlanEdit> edits) {
    FarmPlan changed = changed(stated, edits);
    if (years == null || !season.isThere(stated, records.weather())) {
      return simulate(changed);
    }
    Years.Kept like = year(stated);
    Years.Key key = key(changed);
    YearBalance there = years.farmOnly(key);
    if (there == null) {
      ResolvedPlan inSeason = inSeason(resolve(changed, like.normal()), like);
      YearBalance nearest = nearest(inSeason, like.balance(), years.farmOnlyLast(records, season));
      there = YearBalance.farmOnlyFrom(inSeason, nearest, inSeason.sameUntil(nearest.resolved()));
      years.farmOnly(key, there);
    }
    return there;
  }

  private Years.Key key(FarmPlan stated) {
    return new Years.Key(stated, records, season);
  }

  /**
   * The year of a plan: kept, made from what the farm's last one has in common, or from nothing.
   */
  private Years.Kept year(FarmPlan stated) {
    Years.Kept there = years == null ? null : years.get(key(stated));
    if (there == null) {
      Years.Kept like = years == null ? null : years.like(key(stated));
      there =
          like != null ? tried(stated, like) : before != null ? since(stated) : fromNothing(stated);
    }
    if (years != null) {
      years.keep(key(stated), there);
    }
    return there;
  }

  private Years.Kept fromNothing(FarmPlan stated) {
    ResolvedPlan normal = resolve(stated, null);
    ResolvedPlan inSeason = inSeason(normal, null);
    return new Years.Kept(normal, inSeason, YearBalance.simulate(inSeason));
  }

  /** A year that goes as the one before more was known, until the day from which it is. */
  private Years.Kept since(FarmPlan stated) {
    Years.Kept like = before.year(stated);
    ResolvedPlan normal = resolve(stated, like.normal());
    ResolvedPlan inSeason = inSeason(normal, like);
    int same = inSeason.sameUntil(like.inSeason(), stated.plan().year().day(since));
    return new Years.Kept(normal, inSeason, YearBalance.from(inSeason, like.balance(), same));
  }

  /** A year made from what it has in common with the plan's own, or with the last one tried. */
  private Years.Kept tried(FarmPlan changed, Years.Kept like) {
    ResolvedPlan normal = resolve(changed, like.normal());
    ResolvedPlan inSeason = inSeason(normal, like);
    YearBalance nearest = nearest(inSeason, like.balance(), years.triedLast(records, season));
    int same = inSeason.sameUntil(nearest.resolved());
    return new Years.Kept(normal, inSeason, YearBalance.from(inSeason, nearest, same));
  }

  /** The year that goes the same way longest: one, where none of the others goes longer. */
  private static YearBalance nearest(ResolvedPlan plan, YearBalance one, List<YearBalance> others) {
    YearBalance nearest = one;
    int same = plan.sameUntil(one.resolved());
    for (YearBalance other : others) {
      int longer = plan.sameUntil(other.resolved());
      nearest = longer > same ? other : nearest;
      same = Math.max(same, longer);
    }
    return nearest;
  }

  private ResolvedPlan inSeason(ResolvedPlan normal, Years.Kept like) {
    if (season.equals(Season.NORMAL)) {
      return normal;
    }
    FarmPlan stated = normal.stated();
    boolean same = like != null && sameWeather(stated, like.normal().stated());
    WeatherYear weather =
        same ? like.inSeason().weather() : season.weather(stated, catalogue, records.weather());
    return normal.in(weather, same ? like.inSeason() : null);
  }

  /** True where a season is the same weather for two plans. */
  private static boolean sameWeather(FarmPlan one, FarmPlan other) {
    return one.farm().climateId().equals(other.farm().climateId())
        && one.plan().year().equals(other.plan().year())
        && one.plan().scenarios().equals(other.plan().scenarios());
  }

  /** What is doubtful in a plan, as {@link Doubts#of(FarmPlan, Catalogue)}. */
  public List<Doubt> doubts(FarmPlan stated) {
    return years == null
        ? Doubts.of(stated, catalogue)
        : Doubts.of(stated, catalogue, years.ofMap(stated.farm().fields()));
  }

  /** What of the plan stands in its own way. */
  public List<Conflict> conflicts(YearBalance balance) {
    return Conflicts.of(balance);
  }

  public List<Gap> gaps(YearBalance balance) {
    return GapFinder.find(balance);
  }

  /** Dangers of the table that a forage can bring to a kind of group. */
  public List<Hazard> dangersOf(Forage forage, String kind) {
    return cautions.dangersOf(forage, kind);
  }

  /** Where feed is enough, and energy, protein, condition or water is not. */
  public List<Gap> needs(YearBalance balance) {
    return NeedGaps.find(balance);
  }
}
