package wiselarder.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;

class RecordedWeatherTest {
  private static final Climate UPLAND = Climate.loadAll().get("transition_humid");
  private static final PlanYear YEAR = new PlanYear(LocalDate.of(2026, 9, 1), 12);

  private static String year(LocalDate from, int days) {
    StringBuilder csv = new StringBuilder("date,tmin_c,tmax_c,rain_mm\n");
    for (int d = 0; d < days; d++) {
      csv.append(from.plusDays(d)).append(",8,20,").append(d % 5 == 0 ? 10 : 0).append('\n');
    }
    return csv.toString();
  }

  @Test
  void readsDaysInAnyOrderAndLeavesGapsOpen() {
    RecordedWeather.Read read =
        RecordedWeather.read(
            "Station", "rain_mm,date,tmax_c,tmin_c\n0,2020-01-03,9,1\n4.5,2020-01-01,7,-1\n");
    assertThat(read.bad()).isEmpty();
    assertThat(read.weather().start()).isEqualTo(LocalDate.of(2020, 1, 1));
    assertThat(read.weather().rainMm()).containsExactly(4.5, Double.NaN, 0.0);
    assertThat(read.weather().tminC()).containsExactly(-1.0, Double.NaN, 1.0);
  }

  @Test
  void readsFahrenheitAndInches() {
    RecordedWeather w =
        RecordedWeather.read("S", "date,tmin_f,tmax_f,rain_in\n2020-07-01,59,86,0.5\n").weather();
    assertThat(w.tminC().get(0)).isCloseTo(15, within(1e-9));
    assertThat(w.tmaxC().get(0)).isCloseTo(30, within(1e-9));
    assertThat(w.rainMm().get(0)).isCloseTo(12.7, within(1e-9));
  }

  @Test
  void badRowsAreLeftOutAndSaidWithWhatWouldBeAccepted() {
    RecordedWeather.Read read =
        RecordedWeather.read(
            "S",
            """
            date,tmin_c,tmax_c,rain_mm
            2020-01-01,-1,7,4
            1/2/2020,-1,7,4
            2020-01-03,9,7,0
            2020-01-04,1,7,-3
            2020-01-05,one,7,0
            2020-01-01,0,5,0
            """);
    assertThat(read.rows()).isEqualTo(6);
    assertThat(read.weather().tminC()).hasSize(1);
    assertThat(read.bad())
        .extracting(RecordedWeather.BadRow::row, b -> b.why().field())
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(3, "date"),
            org.assertj.core.groups.Tuple.tuple(4, "tmin_c"),
            org.assertj.core.groups.Tuple.tuple(5, "rain_mm"),
            org.assertj.core.groups.Tuple.tuple(6, "tmin_c"),
            org.assertj.core.groups.Tuple.tuple(7, "date"));
    assertThat(read.bad())
        .extracting(b -> b.why().reason())
        .containsExactly(
            CoreReason.NO_DATE,
            CoreReason.LOW_ABOVE_HIGH,
            CoreReason.CELL_OUT_OF_RANGE,
            CoreReason.CELL_OUT_OF_RANGE,
            CoreReason.DATE_TWICE);
  }

  @Test
  void aFileWithoutANeededColumnIsRefused() {
    assertThatThrownBy(() -> RecordedWeather.read("S", "date,tmin_c,rain_mm\n2020-01-01,1,2\n"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("tmax_c or tmax_f");
    assertThatThrownBy(
            () -> RecordedWeather.read("S", "date,tmin_c,tmax_c,rain_mm\nx,1,2,3\n").weather())
        .isInstanceOf(Refused.class);
  }

  @Test
  void aRecordOffersTheYearsItCovers() {
    RecordedWeather w = RecordedWeather.read("S", year(LocalDate.of(2018, 1, 1), 900)).weather();
    assertThat(w.yearsFor(YEAR))
        .containsExactly(
            LocalDate.of(2017, 9, 1), LocalDate.of(2018, 9, 1), LocalDate.of(2019, 9, 1));
  }

  /** Three days between 8 and 12 C: nine, ten, eleven. */
  @Test
  void aShortGapIsBridgedByAStraightLine() {
    LocalDate first = LocalDate.of(2018, 9, 1);
    StringBuilder csv = new StringBuilder("date,tmin_c,tmax_c,rain_mm\n");
    for (int d = 0; d < 365; d++) {
      if (d < 40 || d > 42) {
        csv.append(first.plusDays(d)).append(d < 40 ? ",8,16,1\n" : ",12,24,1\n");
      }
    }
    RecordedWeather.Laid laid =
        RecordedWeather.read("S", csv.toString()).weather().on(YEAR, first, UPLAND);
    assertThat(laid.weather().tminC(39)).isEqualTo(8);
    assertThat(laid.weather().tminC(40)).isCloseTo(9, within(1e-9));
    assertThat(laid.weather().tminC(41)).isCloseTo(10, within(1e-9));
    assertThat(laid.weather().tminC(42)).isCloseTo(11, within(1e-9));
    assertThat(laid.weather().tminC(43)).isEqualTo(12);
    assertThat(laid.weather().tmaxC(41)).isCloseTo(20, within(1e-9));
  }

  @Test
  void shortGapsAreBridgedLongOnesComeFromTheNormalYearAndBothAreCounted() {
    String csv =
        year(LocalDate.of(2018, 9, 1), 365)
            .lines()
            .filter(l -> !l.matches("2018-10-0[3-5].*") && !l.matches("2019-03-[12].*"))
            .reduce("", (a, b) -> a + b + "\n");
    RecordedWeather w = RecordedWeather.read("S", csv).weather();
    RecordedWeather.Laid laid = w.on(YEAR, LocalDate.of(2018, 9, 1), UPLAND);
    assertThat(laid.filled().bridgedDays()).isEqualTo(3);
    assertThat(laid.filled().normalTemperatureDays()).isEqualTo(20);
    assertThat(laid.filled().normalRainDays()).isEqualTo(23);
    assertThat(laid.filled().reckonedEt0Days()).isEqualTo(365);
    assertThat(laid.weather().tminC(YEAR.day(LocalDate.of(2026, 10, 4)))).isEqualTo(8);
    int march = YEAR.day(LocalDate.of(2027, 3, 15));
    assertThat(laid.weather().tminC(march)).isEqualTo(NormalYear.of(UPLAND, YEAR).tminC(march));
  }
}
