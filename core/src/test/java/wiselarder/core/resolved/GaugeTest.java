package wiselarder.core.resolved;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.SameYears;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Season;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.Noticed;
import wiselarder.core.weather.WeatherYear;

/** Rain that the farm's gauge had takes the place of what the weather of a season supposed. */
class GaugeTest {
  private static final FarmPlan FARM =
      new Farms()
          .eaters("herd", 2, 10)
          .field("near", 5, 25, 2000)
          .graze("herd", null, null, "near")
          .build();

  private static FarmRecord read(int day, String field, double mm) {
    return Farms.seen(START.plusDays(day), new Noticed(Noticed.What.RAIN, field, mm, ""));
  }

  private static Gauge gauge(FarmRecord... written) {
    return Gauge.of(Farms.written(written), FARM.plan().year());
  }

  private static YearBalance year(Season season, FarmRecord... written) {
    return ENGINE.in(season).knowing(Farms.written(written)).simulate(FARM);
  }

  private static double rain(YearBalance year, int from, int to) {
    double sum = 0;
    for (int d = from; d < to; d++) {
      sum += year.resolved().weather().rainMm(d);
    }
    return sum;
  }

  /** A week is bridged; after eight days a reading is of the day before. Of two gauges the mean. */
  @Test
  void aReadingIsOfTheDaysSinceTheOneBefore() {
    assertThat(
            gauge(
                    read(7, null, 5),
                    read(0, null, 3),
                    read(15, "near", 4),
                    read(15, null, 8),
                    read(-9, null, 50),
                    read(365, null, 2),
                    read(390, null, 9))
                .spells())
        .containsExactly(
            new Gauge.Spell(0, 7, 5), new Gauge.Spell(14, 15, 6), new Gauge.Spell(364, 365, 2));
    assertThat(gauge(read(2, null, 9), read(-3, null, 1)).spells())
        .containsExactly(new Gauge.Spell(-3, 2, 9));
  }

  @ParameterizedTest
  @ValueSource(strings = {"normal", "dry", "seed:3"})
  void inAnySeasonThoseDaysHaveTheRainThatWasMeasured(String key) {
    Season season = Season.parse(key);
    YearBalance plain = year(season);
    YearBalance wet = year(season, read(225, null, 0), read(230, null, 60));
    assertThat(rain(wet, 225, 230)).isCloseTo(60, within(1e-9));
    assertThat(rain(wet, 224, 225)).isZero();
    assertThat(rain(wet, 0, 224)).isEqualTo(rain(plain, 0, 224));
    assertThat(rain(wet, 230, 365)).isEqualTo(rain(plain, 230, 365));
    assertThat(wet.resolved().normal().rainMm(226))
        .isEqualTo(plain.resolved().normal().rainMm(226));
    // of a reading of five days, two before the plan: three fifths
    assertThat(rain(year(season, read(-2, null, 0), read(3, null, 10)), 0, 3))
        .isCloseTo(6, within(1e-9));
  }

  @Property(tries = 20)
  void moreRainNeverLeavesLessWater(
      @ForAll @IntRange(min = 1, max = 360) int day, @ForAll @IntRange(min = 0, max = 80) int mm) {
    YearBalance one = year(Season.NORMAL, read(day, null, mm));
    YearBalance more = year(Season.NORMAL, read(day, null, mm + 10));
    assertThat(more.soilWaterMm(0, day)).isGreaterThanOrEqualTo(one.soilWaterMm(0, day) - 1e-9);
  }

  /** What is tried out on a farm with a gauge comes to the same as reckoned from nothing. */
  @ParameterizedTest
  @ValueSource(strings = {"normal", "dry"})
  void tryingOutKeepsTheGauge(String key) throws IllegalAccessException {
    FarmRecords written = Farms.written(read(225, null, 0), read(230, null, 60));
    Engine engine = ENGINE.in(Season.parse(key)).knowing(written);
    engine.simulate(FARM);
    List<PlanEdit> edits =
        List.of(
            new PlanEdit.Put<>(
                Items.CLOSINGS,
                new Closing(
                    "c", "near", START.plusDays(228), START.plusDays(250), List.of(), null)));
    SameYears.check(engine.tryOut(FARM, edits), engine.slow().tryOut(FARM, edits));
  }

  @Test
  void aDryWeatherTakesItEvenly() {
    WeatherYear weather = ENGINE.simulate(FARM).resolved().normal();
    WeatherYear none = weather.withRain(new double[weather.days()]);
    WeatherYear wet = gauge(read(20, null, 0), read(24, null, 8)).over(none);
    assertThat(wet.rainMm(20)).isEqualTo(2);
    assertThat(wet.rainMm(23)).isEqualTo(2);
    assertThat(wet.rainMm(24)).isZero();
    assertThat(wet.kind()).isEqualTo(weather.kind());
  }
}
