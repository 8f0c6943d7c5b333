package wiselarder.server.year;

import org.springframework.stereotype.Component;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
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
