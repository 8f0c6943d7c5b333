package wiselarder.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.util.Collections;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sowing;

/** What comes back of a crop that was taken, by its kind and by heat to frost. */
class RegrowthTest {
  private static YearBalance cut(String climate, String crop, LocalDate sown, LocalDate... cuts) {
    Farms farm = new Farms();
    farm.climate = climate;
    farm.start = sown.minusDays(40).withDayOfMonth(1);
    farm.months = 18;
    farm.fields.add(Farms.stand("a", 10, "fallow", Collections.nCopies(12, 0.0), 0));
    farm.sowings.add(
        new Sowing("s", "a", crop, sown, Sowing.Preparation.FULL_SEEDBED, null, 1, null));
    for (LocalDate on : cuts) {
      farm.cuts.add(
          new HayCut("c" + on, "a", on, "h_hay_conditioned_grass", Farms.bale("b" + on, 0)));
    }
    return ENGINE.simulate(farm.build());
  }

  private static LocalDate day(YearBalance b, int day) {
    return day < 0 ? null : b.year().date(day);
  }

  /** Second growth in five weeks as a share of the first, by crop_uses.csv: hay or boot row. */
  @ParameterizedTest
  @CsvSource({
    "cereal_rye, 2027-09-30, 0.07, 0.30",
    "winter_wheat, 2027-10-10, 0.07, 0.30",
    "spring_oats, 2027-03-20, 0.02, 0.21",
    "annual_ryegrass, 2027-09-10, 0.20, 0.52",
    "crimson_clover, 2027-09-01, 0.06, 0.24",
    "foxtail_millet, 2027-06-08, 0, 0",
    "sudangrass, 2027-05-15, 0.20, 0.69",
    "sorghum_sudangrass, 2027-05-15, 0.20, 0.65"
  })
  void aCutAtHeadingGivesASecondSmallerGrowthByItsKind(
      String crop, LocalDate sown, double low, double high) {
    YearBalance left = cut("transition_humid", crop, sown);
    int headed = left.sowing(0).headedDay();
    YearBalance b = cut("transition_humid", crop, sown, left.year().date(headed));
    double first = 0;
    double second = 0;
    for (int d = 0; d <= headed + 35; d++) {
      first += d <= headed ? b.grownKg(0, d) : 0;
      second += d > headed ? b.grownKg(0, d) : 0;
    }
    assertThat(second / first).isBetween(low, high + 1e-9);
    if (high > 0) {
      // a small grain used to end where it was cut, and a sudan went on to die ripe
      assertThat(day(b, b.sowing(0).endedDay())).isNotEqualTo(left.year().date(headed));
    }
  }

  /** By heat and days to frost: in the subtropics a cut in early July leaves time for grain. */
  @Test
  void grainSorghumCutEarlyCarriesGrainBeforeFrostAndAMonthLaterOnlyDough() {
    LocalDate sown = LocalDate.of(2027, 5, 10);
    YearBalance early =
        cut("subtropical_humid_north", "grain_sorghum", sown, LocalDate.of(2027, 7, 5));
    YearBalance late =
        cut("subtropical_humid_north", "grain_sorghum", sown, LocalDate.of(2027, 8, 5));
    LocalDate frost = day(early, early.sowing(0).endedDay());
    assertThat(day(early, early.sowing(0).grainDay())).isBefore(frost).isAfter("2027-09-10");
    assertThat(late.sowing(0).grainDay()).isNegative();
    assertThat(day(late, late.sowing(0).doughDay())).isBefore(frost).isAfter("2027-09-20");
    YearBalance north = cut("transition_humid", "grain_sorghum", sown, LocalDate.of(2027, 8, 5));
    assertThat(north.sowing(0).doughDay()).isNegative();
  }

  /** A summer annual taken whenever it is ready heads later than one that is left alone. */
  @Test
  void sudangrassTakenWhileLeafyStaysLeafyAndIsSpentInTheEnd() {
    LocalDate sown = LocalDate.of(2027, 5, 15);
    YearBalance left = cut("subtropical_humid_north", "sudangrass", sown);
    int ready = left.sowing(0).readyDay();
    LocalDate first = left.year().date(ready);
    YearBalance taken =
        cut("subtropical_humid_north", "sudangrass", sown, first, first.plusDays(25));
    assertThat(taken.sowing(0).headedDay()).isGreaterThan(left.sowing(0).headedDay() + 15);
    YearBalance often =
        cut(
            "subtropical_humid_north",
            "sudangrass",
            sown,
            first,
            first.plusDays(21),
            first.plusDays(42),
            first.plusDays(63),
            first.plusDays(84),
            first.plusDays(105));
    double last = 0;
    for (int d = ready + 105; d < often.days(); d++) {
      last += often.grownKg(0, d);
    }
    double second = 0;
    for (int d = ready; d < ready + 21; d++) {
      second += often.grownKg(0, d);
    }
    assertThat(last).isLessThan(0.5 * second);
  }

  /** Sown together a field opens once all of them together do for one, not each for itself. */
  @ParameterizedTest
  @CsvSource({
    "transition_humid, annual_ryegrass",
    "transition_humid, crimson_clover",
    "subtropical_humid_north, annual_ryegrass",
    "subtropical_humid_north, crimson_clover",
    "temperate_humid_south, annual_ryegrass"
  })
  void aCompanionCerealGivesNoLessInTheFirstGrazings(String climate, String crop) {
    double alone = grazedByDecember(climate, crop);
    double together = grazedByDecember(climate, crop, "cereal_rye");
    assertThat(together).isGreaterThanOrEqualTo(alone).isPositive();
  }

  private static double grazedByDecember(String climate, String... crops) {
    LocalDate sown = LocalDate.of(2027, 9, 10);
    Farms farm = new Farms().eaters("h", 120, 12);
    farm.climate = climate;
    farm.start = LocalDate.of(2027, 8, 1);
    farm.fields.add(
        new Field(
                "a",
                "a",
                10,
                new Stand("fallow", null, null, null, 0, null, null),
                Field.Grazing.ROTATIONAL,
                null,
                null,
                null,
                true,
                "",
                null)
            .grazedBy(1, null));
    for (String crop : crops) {
      farm.sowings.add(
          new Sowing(crop, "a", crop, sown, Sowing.Preparation.FULL_SEEDBED, null, 1, null));
    }
    farm.graze("h", null, null, "a");
    double kg = 0;
    for (int seed = 1; seed <= 6; seed++) {
      YearBalance b = ENGINE.in(Season.parse("seed:" + seed)).simulate(farm.build());
      for (int d = 0; d < b.year().day(LocalDate.of(2027, 12, 15)); d++) {
        kg += b.grazedKg(0, d) / 6;
      }
    }
    return kg;
  }
}
