package wiselarder.core.weather;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.calendar.PlanYear;

class ClimateTest {
  private static final Map<String, Climate> CLIMATES = Climate.loadAll();

  @ParameterizedTest
  @CsvSource({
    // median first and last killing frost: day 294 and day 110 in the north, 163 and 222 in the
    // south
    "transition_humid, 2026-10-20, false",
    "transition_humid, 2026-10-21, true",
    "transition_humid, 2027-01-15, true",
    "transition_humid, 2027-04-19, true",
    "transition_humid, 2027-04-20, false",
    "temperate_humid_south, 2027-06-11, false",
    "temperate_humid_south, 2027-06-12, true",
    "temperate_humid_south, 2027-08-09, true",
    "temperate_humid_south, 2027-08-10, false",
    "temperate_humid_south, 2027-01-15, false",
  })
  void frostSeasonLiesInTheWinterOfItsHemisphere(String climate, LocalDate date, boolean frosty) {
    PlanYear year = new PlanYear(LocalDate.of(2026, 9, 1), 12);
    assertThat(CLIMATES.get(climate).frostSeason(year)[year.day(date)]).isEqualTo(frosty);
  }

  @Test
  void aClimateWithoutKillingFrostHasNoFrostSeason() {
    Climate warm = CLIMATES.get("subtropical_summer_rain_south");
    PlanYear year = new PlanYear(LocalDate.of(2026, 3, 1), 12);
    assertThat(warm.firstFrost().occurs()).isFalse();
    assertThat(warm.frostSeason(year)).doesNotContain(true);
    assertThat(warm.firstDay(year, warm.firstFrost().doy50())).isEmpty();
  }
}
