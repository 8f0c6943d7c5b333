package wiselarder.core.seasons;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.weather.RecordedWeather;

/**
 * A plan in the years of the farm's own gauge. They count beside the simulated ones where there are
 * five or more.
 *
 * @param season key by which the year is looked at
 * @param first the day that the plan's first day is laid on
 * @param bareKg missing over the plan, kg DM
 */
public record GaugeYears(String season, LocalDate first, double bareKg) {
  public static final int LEAST = 5;

  /** Every recorded year, the oldest first; none where there are fewer than five. */
  public static List<GaugeYears> of(Engine engine, FarmPlan stated) {
    Set<LocalDate> seen = new HashSet<>();
    List<GaugeYears> years = new ArrayList<>();
    for (Map.Entry<String, RecordedWeather> e : engine.records().weather().entrySet()) {
      for (LocalDate first : e.getValue().yearsFor(stated.plan().year())) {
        if (seen.add(first)) {
          Season season = new Season(Season.Kind.RECORDED, e.getKey(), first, 0);
          YearBalance b = engine.in(season).simulate(stated);
          years.add(new GaugeYears(season.key(), first, b.totalBareKg()));
        }
      }
    }
    years.sort(Comparator.comparing(GaugeYears::first));
    return years.size() < LEAST ? List.of() : years;
  }
}
