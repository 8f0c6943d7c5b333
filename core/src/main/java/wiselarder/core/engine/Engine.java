package wiselarder.core.engine;

import java.util.List;
import wiselarder.core.balance.ResolvedPlan;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.balance.YearSimulator;
import wiselarder.core.caution.Cautions;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.gap.Gap;
import wiselarder.core.gap.GapFinder;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.weather.WeatherYear;

/**
 * From a stated plan to its year in one call: resolve, simulate, find the gaps. It knows the
 * product's tables, what was written down of the farm, and the season that is looked at.
 */
public final class Engine {
  private final Catalogue catalogue;
  private final Cautions cautions;
  private final Season season;
  private final FarmRecords records;

  private Engine(Catalogue catalogue, Cautions cautions, Season season, FarmRecords records) {
    this.catalogue = catalogue;
    this.cautions = cautions;
    this.season = season;
    this.records = records;
  }

  /** An engine that simulates in the normal year and knows of no records. */
  public Engine(Catalogue catalogue, Cautions cautions) {
    this(catalogue, cautions, Season.NORMAL, FarmRecords.NONE);
  }

  /** The same engine, simulating in another season. */
  public Engine in(Season other) {
    return new Engine(catalogue, cautions, other, records);
  }

  /** The same engine on a farm of which this was written down. */
  public Engine knowing(FarmRecords written) {
    return new Engine(catalogue, cautions, season, written);
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

  public ResolvedPlan resolve(FarmPlan stated) {
    return ResolvedPlan.of(stated, records, catalogue, cautions.of(stated, records, catalogue));
  }

  /** Simulates a stated plan in given weather over its days. */
  public YearBalance simulate(FarmPlan stated, WeatherYear weather) {
    return YearSimulator.simulate(resolve(stated).in(weather));
  }

  /** Simulates a stated plan in this engine's season. */
  public YearBalance simulate(FarmPlan stated) {
    return season.equals(Season.NORMAL)
        ? YearSimulator.simulate(resolve(stated))
        : simulate(stated, season.weather(stated, catalogue, records.weather()));
  }

  /** Applies the edits in order and simulates the outcome; nothing is kept. */
  public YearBalance tryOut(FarmPlan stated, List<PlanEdit> edits) {
    return simulate(PlanEdit.all(stated, edits));
  }

  public List<Gap> gaps(YearBalance balance) {
    return GapFinder.find(balance);
  }
}
