package wiselarder.core.forage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.quantity.Refused;

class GrowthCurveTest {
  private static final PlanYear YEAR = new PlanYear(LocalDate.of(2026, 1, 1), 12);

  @Test
  void annualIsRateTimesDays() {
    // 10 x 365 = 3,650; and 31 more for each kg of a January
    assertThat(GrowthCurve.of(10, 10, 10, 10, 10, 10, 10, 10, 10, 10, 10, 10).annualKgPerHa())
        .isEqualTo(3650);
    assertThat(GrowthCurve.of(11, 10, 10, 10, 10, 10, 10, 10, 10, 10, 10, 10).annualKgPerHa())
        .isEqualTo(3681);
  }

  @Test
  void runsInStraightLinesBetweenMonthBoundaryAndMiddle() {
    // April 40 beside March 0 and May 50: boundaries min((0+40)/2, 0) = 0 and min(45, 80) = 45,
    // middle 2 x 40 - (0 + 45) / 2 = 57.5. First day of 30: the line rises from 0 by 57.5 over 15
    // days, so the mean of that day is 57.5 / 15 / 2 = 1.9167.
    double[] daily = GrowthCurve.of(0, 0, 0, 40, 50, 0, 0, 0, 0, 0, 0, 0).daily(YEAR);
    int firstOfApril = 31 + 28 + 31;
    assertThat(daily[firstOfApril]).isCloseTo(57.5 / 30, within(1e-9));
    assertThat(daily[firstOfApril - 1]).isZero();
  }

  @Property
  void everyMonthKeepsItsStatedMeanAndNoDayIsNegative(
      @ForAll @Size(12) List<@DoubleRange(min = 0, max = 150) Double> rates,
      @ForAll @IntRange(min = 1, max = 12) int startMonth) {
    PlanYear year = new PlanYear(LocalDate.of(2027, startMonth, 1), 12);
    double[] daily = new GrowthCurve(rates).daily(year);
    for (PlanYear.MonthSpan span : year.monthSpans()) {
      double sum = 0;
      for (int d = span.startInclusive(); d < span.endExclusive(); d++) {
        assertThat(daily[d]).isGreaterThanOrEqualTo(-1e-9);
        sum += daily[d];
      }
      assertThat(sum / span.days())
          .isCloseTo(rates.get(span.month().getMonthValue() - 1), within(1e-9));
    }
  }

  @Test
  void scalingKeepsTheShape() {
    GrowthCurve half = GrowthCurve.of(0, 0, 10, 20, 30, 20, 10, 10, 20, 10, 0, 0).scaledTo(2000);
    assertThat(half.annualKgPerHa()).isCloseTo(2000, within(1e-9));
    assertThat(half.monthlyKgPerHaDay().get(4) / half.monthlyKgPerHaDay().get(2))
        .isCloseTo(3, within(1e-9));
  }

  @Test
  void needsTwelveRatesWithinReason() {
    assertThatThrownBy(() -> GrowthCurve.of(1, 2, 3))
        .isInstanceOfSatisfying(
            Refused.class, e -> assertThat(e.code()).isEqualTo("twelve_months"));
    assertThatThrownBy(() -> GrowthCurve.of(0, 0, 0, 0, 900, 0, 0, 0, 0, 0, 0, 0))
        .isInstanceOfSatisfying(
            Refused.class, e -> assertThat(e.refusal().values()).containsEntry("max", 300.0));
    assertThatThrownBy(() -> GrowthCurve.of(0, 0, 0, 0, Double.NaN, 0, 0, 0, 0, 0, 0, 0))
        .isInstanceOf(Refused.class);
  }
}
