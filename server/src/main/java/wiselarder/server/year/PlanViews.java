package wiselarder.server.year;

import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.server.catalogue.CatalogueView;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.weather.FarmWeather;

/** Draws an opened plan for the web client. */
@Component
public class PlanViews {
  private final FarmWeather weather;

  PlanViews(FarmWeather weather) {
    this.weather = weather;
  }

  /** An engine in the season of a key; see {@link wiselarder.core.plan.Season}. */
  public Engine engine(String season, StoredPlan plan) {
    return weather.engine(season, plan);
  }

  /**
   * What a change gives, in a season.
   *
   * @param change done once the key of the season is known to be one: nothing is stored of a call
   *     that is refused
   */
  public PlanView of(Supplier<Plans.Opened> change, String season) {
    known(season);
    return of(change.get(), season);
  }

  /** Refuses a key that is no season's, before anything is done. */
  public static void known(String season) {
    Season.parse(season);
  }

  public PlanView of(Plans.Opened opened, String season) {
    Engine engine = engine(season, opened.plan());
    FarmPlan content = opened.plan().content();
    return new PlanView(
        opened.plan().slug(),
        opened.plan().farm(),
        opened.plan().demo(),
        opened.plan().role(),
        opened.plan().revision(),
        opened.undo(),
        opened.redo(),
        opened.others(),
        content.farm(),
        content.plan(),
        CatalogueView.own(engine.catalogue(), content.farm()),
        YearView.of(content, engine));
  }
}
