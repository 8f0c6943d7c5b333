package wiselarder.core.closing;

import java.util.List;
import java.util.Map;
import wiselarder.core.balance.ResolvedPlan;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.balance.YearSimulator;
import wiselarder.core.caution.Cautions;
import wiselarder.core.gap.Gap;
import wiselarder.core.gap.GapFinder;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.PlanEdit;
import wiselarder.core.plan.Season;
import wiselarder.core.weather.RecordedWeather;
import wiselarder.core.weather.WeatherYear;

/** From a stated plan to its year in one call: resolve, simulate, find the gaps. */
public final class Engine {
  private final Catalogue catalogue;
  private final Cautions cautions;
  private final Season season;
  private final Map<String, RecordedWeather> recorded;

  private Engine(
      Catalogue catalogue,
      Cautions cautions,
      Season season,
      Map<String, RecordedWeather> recorded) {
    this.catalogue = catalogue;
    this.cautions = cautions;
    this.season = season;
    this.recorded = recorded;
  }

  /** An engine that simulates in the normal year. */
  public Engine(Catalogue catalogue, Cautions cautions) {
    this(catalogue, cautions, Season.NORMAL, Map.of());
  }

  /**
   * The same engine, simulating in another season.
   *
   * @param records the farm's recorded weather by id
   */
  public Engine in(Season other, Map<String, RecordedWeather> records) {
    return new Engine(catalogue, cautions, other, Map.copyOf(records));
  }

  public Season season() {
    return season;
  }

  /** An engine on the product's tables. */
  public static Engine load() {
    return new Engine(Catalogue.load(), Cautions.load());
  }

  public Catalogue catalogue() {
    return catalogue;
  }

  public ResolvedPlan resolve(FarmPlan stated) {
    return ResolvedPlan.of(stated, catalogue, cautions.of(stated, catalogue));
  }

  /** Simulates a stated plan in given weather over its days. */
  public YearBalance simulate(FarmPlan stated, WeatherYear weather) {
    return YearSimulator.simulate(resolve(stated).in(weather));
  }

  /** Simulates a stated plan in this engine's season. */
  public YearBalance simulate(FarmPlan stated) {
    return season.equals(Season.NORMAL)
        ? YearSimulator.simulate(resolve(stated))
        : simulate(stated, season.weather(stated, catalogue, recorded));
  }

  /** Applies the edits in order and simulates the outcome; nothing is kept. */
  public YearBalance tryOut(FarmPlan stated, List<PlanEdit> edits) {
    FarmPlan changed = stated;
    for (PlanEdit edit : edits) {
      changed = edit.apply(changed);
    }
    return simulate(changed);
  }

  public List<Gap> gaps(YearBalance balance) {
    return GapFinder.find(balance);
  }
}
