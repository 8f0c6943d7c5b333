package wiselarder.core.seasons;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.records.WeatherMeasured;
import wiselarder.core.weather.RecordedWeather;

class GaugeYearsTest {
  private static final LocalDate FIRST = LocalDate.of(2015, 9, 1);

  /** Mild days with a little rain, every one alike. */
  private static Engine withYears(int years) {
    int days = (int) ChronoUnit.DAYS.between(FIRST, FIRST.plusYears(years));
    List<Double> none = Collections.nCopies(days, Double.NaN);
    RecordedWeather weather =
        new RecordedWeather(
            "Yard",
            FIRST,
            Collections.nCopies(days, 8.0),
            Collections.nCopies(days, 18.0),
            Collections.nCopies(days, 2.5),
            none,
            none);
    return ENGINE.knowing(Farms.written(Farms.seen(FIRST, new WeatherMeasured(weather))));
  }

  private static FarmPlan plan() {
    return new Farms()
        .eaters("herd", 20, 10)
        .field("near", 12, 25, 2000)
        .graze("herd", null, null, "near")
        .build();
  }

  @Test
  void sixRecordedYearsCountEachAsItIsOnTheRuler() {
    Engine engine = withYears(6);
    List<GaugeYears> years = GaugeYears.of(engine, plan());
    assertThat(years).hasSize(6);
    assertThat(years.get(0).first()).isEqualTo(FIRST);
    assertThat(years.get(5).first()).isEqualTo(FIRST.plusYears(5));
    GaugeYears third = years.get(2);
    assertThat(third.bareKg())
        .isPositive()
        .isCloseTo(
            engine.in(Season.parse(third.season())).simulate(plan()).totalBareKg(), within(1e-6));
  }

  @Test
  void fourAreTooFew() {
    assertThat(GaugeYears.of(withYears(4), plan())).isEmpty();
    assertThat(GaugeYears.of(ENGINE, plan())).isEmpty();
  }
}
