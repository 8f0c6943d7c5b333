package wiselarder.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.quantity.Refused;

class WeatherTest {
  private static final Map<String, Climate> CLIMATES = Climate.loadAll();
  private static final Climate UPLAND = CLIMATES.get("transition_humid");
  private static final PlanYear YEAR = new PlanYear(LocalDate.of(2026, 9, 1), 12);

  @ParameterizedTest
  @ValueSource(
      strings = {
        "transition_humid",
        "cold_continental_north",
        "maritime_temperate_north",
        "subtropical_humid_north",
        "semi_arid_north",
        "temperate_humid_south",
        "maritime_temperate_south",
        "subtropical_summer_rain_south"
      })
  void theNormalYearKeepsEveryMonthsNormals(String id) {
    Climate climate = CLIMATES.get(id);
    WeatherYear normal = NormalYear.of(climate, YEAR);
    for (PlanYear.MonthSpan span : YEAR.monthSpans()) {
      ClimateMonth month = climate.months().get(span.month().getMonthValue() - 1);
      double mean = 0;
      double rain = 0;
      for (int d = span.startInclusive(); d < span.endExclusive(); d++) {
        mean += normal.tmeanC(d) / span.days();
        rain += normal.rainMm(d);
      }
      // the table rounds its means to a tenth
      assertThat(mean).isCloseTo(month.tmeanC(), within(0.0501));
      assertThat(rain).isCloseTo(month.rainMm(), within(1e-9));
    }
  }

  /** Years of a climate with their frost days counted from midsummer. */
  private record Many(Climate climate, PlanYear year, int count) {
    double[] rains() {
      WeatherGenerator generator = WeatherGenerator.of(climate, year);
      return IntStream.range(0, count)
          .mapToDouble(seed -> generator.year(seed).totalRainMm())
          .sorted()
          .toArray();
    }

    /** Day of the plan of the first or last killing frost of each year that has one, sorted. */
    int[] frosts(boolean first) {
      WeatherGenerator generator = WeatherGenerator.of(climate, year);
      return IntStream.range(0, count)
          .map(seed -> frost(generator.year(seed), first))
          .filter(d -> d >= 0)
          .sorted()
          .toArray();
    }

    private static int frost(WeatherYear w, boolean first) {
      IntStream days =
          IntStream.range(0, w.days()).filter(d -> w.tminC(d) <= WeatherYear.KILLING_FROST_C);
      return (first ? days.min() : days.max()).orElse(-1);
    }
  }

  private static Many years(String id, int count) {
    Climate climate = CLIMATES.get(id);
    int month = climate.southern() ? 1 : 7;
    return new Many(climate, new PlanYear(LocalDate.of(2026, month, 1), 12), count);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "transition_humid",
        "cold_continental_north",
        "maritime_temperate_north",
        "subtropical_humid_north",
        "semi_arid_north",
        "temperate_humid_south",
        "maritime_temperate_south"
      })
  void simulatedYearsHaveTheFrostDatesOfTheTable(String id) {
    Many many = years(id, 400);
    LocalDate start = many.year.start();
    for (boolean first : new boolean[] {true, false}) {
      Climate.Frost table = first ? many.climate.firstFrost() : many.climate.lastFrost();
      int[] frosts = many.frosts(first);
      int middle = start.plusDays(frosts[frosts.length / 2]).getDayOfYear();
      int early = start.plusDays(frosts[frosts.length / 10]).getDayOfYear();
      assertThat(Math.abs(apart(middle, table.doy50()))).as("median").isLessThanOrEqualTo(7);
      assertThat(Math.abs(apart(early, table.doy10()))).as("one in ten").isLessThanOrEqualTo(9);
    }
  }

  private static int apart(int a, int b) {
    return Math.floorMod(a - b + 182, 365) - 182;
  }

  @ParameterizedTest
  @ValueSource(strings = {"transition_humid", "semi_arid_north", "temperate_humid_south"})
  void simulatedYearsHaveTheRainOfTheClimateAndItsSpread(String id) {
    Many many = years(id, 400);
    double[] rains = many.rains();
    double mean = Arrays.stream(rains).average().orElseThrow();
    assertThat(mean).isCloseTo(many.climate.annualRainMm(), within(0.04 * mean));
    assertThat(rains[40] / mean)
        .isCloseTo(NormalYear.oneInTenRainShare(many.climate, true), within(0.05));
    assertThat(rains[360] / mean)
        .isCloseTo(NormalYear.oneInTenRainShare(many.climate, false), within(0.05));
  }

  @Test
  void theSameSeedGivesTheSameYearAndAnotherSeedAnother() {
    WeatherYear once = WeatherGenerator.of(UPLAND, YEAR).year(17);
    WeatherYear again = WeatherGenerator.of(UPLAND, YEAR).year(17);
    WeatherYear other = WeatherGenerator.of(UPLAND, YEAR).year(18);
    assertThat(again.rain).isEqualTo(once.rain);
    assertThat(again.tmin).isEqualTo(once.tmin);
    assertThat(other.rain).isNotEqualTo(once.rain);
  }

  @Test
  void wetDaysOfSummerAreCoolerAndDuller() {
    WeatherGenerator generator = WeatherGenerator.of(UPLAND, YEAR);
    double[] sums = new double[6];
    for (int seed = 0; seed < 40; seed++) {
      WeatherYear w = generator.year(seed);
      for (int d = YEAR.day(LocalDate.of(2027, 6, 1));
          d < YEAR.day(LocalDate.of(2027, 9, 1));
          d++) {
        int at = w.rainMm(d) > 0 ? 0 : 3;
        sums[at]++;
        sums[at + 1] += w.tmaxC(d);
        sums[at + 2] += w.solarMjPerM2(d);
      }
    }
    assertThat(sums[1] / sums[0]).isLessThan(sums[4] / sums[3] - 2);
    assertThat(sums[2] / sums[0]).isLessThan(0.7 * sums[5] / sums[3]);
  }

  @Test
  void evapotranspirationFollowsThePapersExamples() {
    // FAO-56 example 8: 3 September at 20 degrees south, 32.2 MJ/m2
    assertThat(Evapotranspiration.extraterrestrialMj(-20, 246)).isCloseTo(32.2, within(0.05));
    // FAO-56 example 20: 14.8 to 26.6 C in July at 45.7 north, Ra 40.6 MJ/m2, 5.0 mm
    assertThat(Evapotranspiration.hargreavesMm(14.8, 26.6, 40.6)).isCloseTo(5.0, within(0.05));
    // FAO-56 example 15: same place and days, 0.16 sqrt(11.8) x 40.6 = 22.3 MJ/m2
    assertThat(Evapotranspiration.solarMj(14.8, 26.6, 40.6)).isCloseTo(22.3, within(0.05));
  }

  @Test
  void snowLiesUntilItMelts() {
    Climate north = CLIMATES.get("cold_continental_north");
    WeatherYear w = NormalYear.of(north, YEAR);
    int january = YEAR.day(LocalDate.of(2027, 1, 15));
    int may = YEAR.day(LocalDate.of(2027, 5, 1));
    assertThat(w.reachesSoilMm(january)).isZero();
    assertThat(w.snowMm(january)).isGreaterThan(1);
    assertThat(w.reachesSoilMm(may)).isGreaterThan(w.rainMm(may));
  }

  @Test
  void aDrySpellTakesRainFromItsDaysOnly() {
    WeatherYear normal = NormalYear.of(UPLAND, YEAR);
    LocalDate from = LocalDate.of(2027, 6, 1);
    LocalDate to = LocalDate.of(2027, 8, 1);
    WeatherYear dry = Overlay.rain(from, to, -0.6).over(normal, UPLAND);
    assertThat(dry.rainMm(YEAR.day(from)))
        .isCloseTo(0.4 * normal.rainMm(YEAR.day(from)), within(1e-9));
    assertThat(dry.rainMm(YEAR.day(from) - 1)).isEqualTo(normal.rainMm(YEAR.day(from) - 1));
    assertThat(dry.rainMm(YEAR.day(to))).isEqualTo(normal.rainMm(YEAR.day(to)));
    assertThat(dry.et0Mm(300)).isEqualTo(normal.et0Mm(300));
  }

  @Test
  void heatRaisesWhatTheAirTakes() {
    WeatherYear normal = NormalYear.of(UPLAND, YEAR);
    WeatherYear hot =
        new Overlay(Overlay.Kind.HEAT, LocalDate.of(2027, 7, 1), LocalDate.of(2027, 8, 1), 4)
            .over(normal, UPLAND);
    int day = YEAR.day(LocalDate.of(2027, 7, 10));
    assertThat(hot.tmeanC(day)).isCloseTo(normal.tmeanC(day) + 4, within(1e-9));
    assertThat(hot.et0Mm(day)).isGreaterThan(normal.et0Mm(day) * 1.05);
    assertThat(hot.et0Mm(day + 40)).isEqualTo(normal.et0Mm(day + 40));
  }

  @Test
  void anEarlyKillingFrostBeginsTheFrostSeasonThatDay() {
    WeatherYear normal = NormalYear.of(UPLAND, YEAR);
    LocalDate night = LocalDate.of(2026, 9, 25);
    WeatherYear early =
        new Overlay(Overlay.Kind.KILLING_FROST, night, null, -3).over(normal, UPLAND);
    int day = YEAR.day(night);
    assertThat(normal.frostSeason(day)).isFalse();
    assertThat(early.frostSeason(day - 1)).isFalse();
    assertThat(early.frostSeason(day)).isTrue();
    assertThat(early.frostSeason(day + 20)).isTrue();
  }

  @Test
  void aLateSpringComesLater() {
    WeatherYear normal = NormalYear.of(UPLAND, YEAR);
    WeatherYear late =
        new Overlay(
                Overlay.Kind.LATE_SPRING, LocalDate.of(2027, 2, 15), LocalDate.of(2027, 6, 15), 14)
            .over(normal, UPLAND);
    int april = YEAR.day(LocalDate.of(2027, 4, 10));
    assertThat(late.tmeanC(april)).isEqualTo(normal.tmeanC(april - 14));
    assertThat(late.frostSeason(YEAR.day(LocalDate.of(2027, 4, 30)))).isTrue();
    assertThat(normal.frostSeason(YEAR.day(LocalDate.of(2027, 4, 30)))).isFalse();
  }

  @Test
  void aFrostSeasonOfRealLowsRunsFromFirstToLast() {
    double[] low = new double[YEAR.days()];
    Arrays.fill(low, 5);
    low[YEAR.day(LocalDate.of(2026, 10, 30))] = -2.2;
    low[YEAR.day(LocalDate.of(2027, 4, 2))] = -4;
    boolean[] season = WeatherYear.frostSeason(YEAR, low, UPLAND);
    assertThat(season[YEAR.day(LocalDate.of(2026, 10, 29))]).isFalse();
    assertThat(season[YEAR.day(LocalDate.of(2026, 10, 30))]).isTrue();
    assertThat(season[YEAR.day(LocalDate.of(2027, 1, 10))]).isTrue();
    assertThat(season[YEAR.day(LocalDate.of(2027, 4, 2))]).isTrue();
    assertThat(season[YEAR.day(LocalDate.of(2027, 4, 3))]).isFalse();
  }

  @Test
  void aPlanThatBeginsInWinterBeginsInItsFrostSeason() {
    PlanYear january = new PlanYear(LocalDate.of(2027, 1, 1), 12);
    double[] low = new double[january.days()];
    Arrays.fill(low, 5);
    low[january.day(LocalDate.of(2027, 3, 20))] = -6;
    low[january.day(LocalDate.of(2027, 11, 5))] = -3;
    boolean[] season = WeatherYear.frostSeason(january, low, UPLAND);
    assertThat(season[0]).isTrue();
    assertThat(season[january.day(LocalDate.of(2027, 3, 21))]).isFalse();
    assertThat(season[january.day(LocalDate.of(2027, 11, 4))]).isFalse();
    assertThat(season[january.days() - 1]).isTrue();
  }

  @Test
  void anOverlayRefusesWhatCannotBe() {
    assertThatThrownBy(() -> Overlay.rain(null, null, -1.2)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Overlay(Overlay.Kind.KILLING_FROST, null, null, -4))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(
            () -> new Overlay(Overlay.Kind.KILLING_FROST, LocalDate.of(2027, 9, 1), null, 1))
        .isInstanceOf(Refused.class);
  }
}
