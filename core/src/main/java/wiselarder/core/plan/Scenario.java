package wiselarder.core.plan;

import java.util.List;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;
import wiselarder.core.weather.Overlay;

/**
 * A "what if" of the weather that goes with a plan: changes laid one after another over a season.
 *
 * @param over key of the season below it: see {@link Season}
 */
public record Scenario(String id, String name, String over, List<Overlay> overlays) {
  public static final Stated.Text NAME = Stated.text("scenario.name", 60);

  public Scenario {
    id = Check.text("scenario.id", id, 60);
    name = NAME.check(name);
    Season.Kind below = Season.parse(Check.text("scenario.over", over, 90)).kind();
    if (below == Season.Kind.SCENARIO) {
      throw new Refused(CoreReason.SCENARIO_ON_SCENARIO, "scenario.over");
    }
    overlays = List.copyOf(Check.present("scenario.overlays", overlays));
    Check.range("scenario.overlays", overlays.size(), 1, 12);
  }

  /** The same on the same days of the year, so many years later. */
  public Scenario yearsOn(int years) {
    return new Scenario(id, name, over, overlays.stream().map(o -> o.yearsOn(years)).toList());
  }
}
