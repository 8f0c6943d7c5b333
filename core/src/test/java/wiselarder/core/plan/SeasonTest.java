package wiselarder.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wiselarder.core.Farms;
import wiselarder.core.quantity.Refused;
import wiselarder.core.weather.Overlay;
import wiselarder.core.weather.RecordedWeather;
import wiselarder.core.weather.WeatherYear;

class SeasonTest {
  private static final Catalogue CATALOGUE = Farms.ENGINE.catalogue();

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "dryish",
        "seed:",
        "seed:-1",
        "seed:1000000",
        "seed:x",
        "recorded:a",
        "recorded:a:b",
        "recorded:a:+999999999-12-31",
        "scenario:",
        "normal:1"
      })
  void whatIsNoKeyIsRefused(String key) {
    assertThatThrownBy(() -> Season.parse(key))
        .isInstanceOfSatisfying(
            Refused.class, r -> assertThat(r.code()).isEqualTo("unknown_season"));
  }

  @Test
  void theDrySeasonHasLessRainThanTheNormalOneAndTheWetMore() {
    FarmPlan plan = new Farms().build();
    double normal = weather("normal", plan, Map.of()).totalRainMm();
    assertThat(weather("dry", plan, Map.of()).totalRainMm()).isLessThan(0.95 * normal);
    assertThat(weather("wet", plan, Map.of()).totalRainMm()).isGreaterThan(1.02 * normal);
  }

  @Test
  void aScenarioLiesOverItsSeasonInOrder() {
    Farms farm = new Farms();
    LocalDate june = LocalDate.of(2027, 6, 1);
    farm.scenarios.add(
        new Scenario(
            "s",
            "Dry June",
            "seed:4",
            List.of(
                Overlay.rain(june, june.plusDays(30), -0.5),
                Overlay.rain(june, june.plusDays(30), -0.5))));
    FarmPlan plan = farm.build();
    int day = plan.plan().year().day(june);
    double below = 0;
    double with = 0;
    for (int d = day; d < day + 30; d++) {
      below += weather("seed:4", plan, Map.of()).rainMm(d);
      with += weather("scenario:s", plan, Map.of()).rainMm(d);
    }
    assertThat(with).isCloseTo(below / 4, org.assertj.core.api.Assertions.within(1e-9));
  }

  @Test
  void aRecordIsLaidOnThePlansFirstDay() {
    FarmPlan plan = new Farms().build();
    RecordedWeather record =
        RecordedWeather.read("Yard", "date,tmin_c,tmax_c,rain_mm\n2019-09-01,11,23,17\n").weather();
    WeatherYear w = weather("recorded:yard:2019-09-01", plan, Map.of("yard", record));
    assertThat(w.rainMm(0)).isEqualTo(17);
    assertThat(w.tmaxC(0)).isEqualTo(23);
  }

  @Test
  void whatIsNotThereIsSaid() {
    FarmPlan plan = new Farms().build();
    assertThatThrownBy(() -> weather("scenario:gone", plan, Map.of())).hasMessageContaining("gone");
    assertThatThrownBy(() -> weather("recorded:gone:2019-09-01", plan, Map.of()))
        .hasMessageContaining("gone");
  }

  @Test
  void noScenarioLiesOverAnother() {
    assertThatThrownBy(
            () -> new Scenario("b", "B", "scenario:a", List.of(Overlay.rain(null, null, -0.1))))
        .isInstanceOf(Refused.class);
  }

  private static WeatherYear weather(
      String key, FarmPlan plan, Map<String, RecordedWeather> recorded) {
    return Season.parse(key).weather(plan, CATALOGUE, recorded);
  }
}
