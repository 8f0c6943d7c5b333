package wiselarder.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.YearMonth;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.quantity.Refused;

class PlanYearTest {
  @ParameterizedTest
  @CsvSource({
    "2026-09-01, 12, 365",
    "2027-09-01, 12, 366", // holds 29 February 2028
    "2028-03-01, 12, 365",
    "2028-02-29, 12, 365", // to 28 February 2029
    "2027-03-01, 12, 366",
    "2026-09-01, 24, 731",
    "2027-01-15, 18, 547",
  })
  void countsDaysWithLeapYears(LocalDate start, int months, int days) {
    assertThat(new PlanYear(start, months).days()).isEqualTo(days);
  }

  @Test
  void clipsTheFirstAndLastMonth() {
    PlanYear year = new PlanYear(LocalDate.of(2026, 10, 20), 12);
    assertThat(year.monthSpans()).hasSize(13);
    assertThat(year.monthSpans().get(0))
        .isEqualTo(new PlanYear.MonthSpan(YearMonth.of(2026, 10), 0, 12));
    assertThat(year.monthSpans().get(12))
        .isEqualTo(new PlanYear.MonthSpan(YearMonth.of(2027, 10), 346, 365));
    assertThat(year.monthSpans().stream().mapToInt(PlanYear.MonthSpan::days).sum()).isEqualTo(365);
  }

  @Test
  void the29thOfFebruaryFallsOnThe28thInCommonYears() {
    PlanYear year = new PlanYear(LocalDate.of(2026, 9, 1), 12);
    assertThat(year.occurrences(MonthDay.of(2, 29), 0))
        .contains(year.day(LocalDate.of(2027, 2, 28)), year.day(LocalDate.of(2028, 2, 29)));
  }

  @Test
  void refusesPlansShorterThanAYearOrLongerThanTwo() {
    assertThatThrownBy(() -> new PlanYear(LocalDate.of(2026, 9, 1), 25))
        .isInstanceOfSatisfying(
            Refused.class,
            e -> {
              assertThat(e.field()).isEqualTo("year.months");
              assertThat(e.refusal().values())
                  .containsEntry("min", 12.0)
                  .containsEntry("max", 24.0);
            });
  }
}
