package wiselarder.core.herd;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.NormalYear;
import wiselarder.core.weather.WeatherYear;

/** Water, loss of weight, heat and the needs of young, by hand. */
class GainAndWaterTest {
  private static final PlanYear YEAR = new PlanYear(LocalDate.of(2026, 9, 1), 12);
  private static final HerdTables TABLES = Farms.ENGINE.catalogue().herd();

  /** On the line through 10 and 30 C up to 40; no less in the cold, no more beyond. */
  @ParameterizedTest
  @CsvSource({"-5, 40", "10, 40", "20, 60", "30, 80", "40, 100", "50, 100"})
  void waterFollowsTheHeatToFortyDegrees(double meanC, double litres) {
    assertThat(Water.litres(40, 80, meanC)).isCloseTo(litres, within(1e-9));
  }

  @Test
  void waterInFeedIsNotDrunk() {
    // a kilogram of dry matter in pasture of 25% comes with three litres
    assertThat(Water.inFeedPerKg(0.25)).isCloseTo(3, within(1e-12));
    assertThat(Water.drunk(50, 12)).isEqualTo(38);
    assertThat(Water.drunk(10, 12)).as("a quarter is drunk however wet the feed").isEqualTo(2.5);
  }

  @Test
  void whatLacksComesOutOfTheBodyAtTheEfficiencyOfUpkeep() {
    // feed of 8 MJ: upkeep at 0.02 x 8 + 0.5 = 0.66; a ewe of 60 kg holds 7 + 0.28 x 60 = 23.8 MJ
    // in a kilogram, of which 0.84 do the work of feed: -5 x 0.66 / (23.8 x 0.84)
    assertThat(Energy.gainKg("sheep/ewe", 60, -5, 8)).isCloseTo(-0.165066, within(1e-6));
    // over the need: 5 x 0.043 x 8 / 23.8
    assertThat(Energy.gainKg("sheep/ewe", 60, 5, 8)).isCloseTo(0.072269, within(1e-6));
    assertThat(Energy.gainKg("goat/doe", 60, 5, 8)).isCloseTo(0.072269 / 0.8, within(1e-6));
  }

  @ParameterizedTest
  @CsvSource({"10, 1", "25, 1", "30, 0.95", "35, 0.9", "80, 0.65"})
  void heatTakesTheAppetite(double meanC, double share) {
    assertThat(Heat.appetite(meanC)).isCloseTo(share, within(1e-12));
  }

  /** Heat takes the appetite of dams and young alike. */
  @Test
  void youngFeelTheHeatToo() {
    Climate hot = Farms.ENGINE.catalogue().climate("subtropical_humid_north");
    WeatherYear weather = NormalYear.of(hot, YEAR);
    GroupYear year =
        GroupYear.of(Farms.dams("g", "beef/cow", 10, 550, MonthDay.of(3, 1), 1), YEAR, TABLES);
    int day = YEAR.day(LocalDate.of(2027, 7, 25));
    double appetite = Heat.appetite(weather.tmeanC(day));
    assertThat(appetite).isLessThan(0.995);
    assertThat(year.youngKg()[day]).isPositive();
    assertThat(GroupDemand.of(year, weather).needKg(day))
        .isCloseTo(appetite * (year.ownKg()[day] + year.youngKg()[day]), within(1e-9));
  }

  /** Minerals and protein that young need from forage are theirs beside their dams'. */
  @Test
  void youngNeedPhosphorusCalciumAndProteinOfTheirOwn() {
    AnimalGroup nursing = Farms.dams("g", "beef/cow", 10, 550, MonthDay.of(3, 1), 1);
    AnimalGroup barren = Farms.dams("g", "beef/cow", 10, 550, MonthDay.of(3, 1), 0);
    GroupYear with = GroupYear.of(nursing, YEAR, TABLES);
    GroupYear without = GroupYear.of(barren, YEAR, TABLES);
    AnimalClass calf = TABLES.byId("suckling_calf");
    int day = YEAR.day(LocalDate.of(2027, 8, 1));
    double kg = with.youngKg()[day];
    assertThat(kg).isPositive();
    assertThat(with.phosphorusKg(day) - without.phosphorusKg(day))
        .isCloseTo(kg * calf.phosphorusNeedPct() / 100, within(1e-9));
    assertThat(with.calciumKg(day) - without.calciumKg(day))
        .isCloseTo(kg * calf.calciumNeedPct() / 100, within(1e-9));
    assertThat(with.proteinKg(day) - without.proteinKg(day))
        .isCloseTo(kg * calf.proteinNeedPct() / 100, within(1e-9));
  }

  /** Half of the cows sold before weaning take half of the calves along; sold after it, none. */
  @Test
  void calvesGoWithTheCowsSoldBeforeWeaningAndStayAfterIt() {
    PlanYear two = new PlanYear(LocalDate.of(2026, 9, 1), 24);
    AnimalGroup all = kept(null);
    LocalDate weaned = LocalDate.of(2027, 10, 5);
    AnimalGroup before = kept(weaned.minusDays(30));
    AnimalGroup after = kept(weaned.plusDays(30));
    int day = two.day(weaned) + 60;
    double calves = GroupYear.of(all, two, TABLES).youngHead(day);
    assertThat(calves).isEqualTo(10);
    assertThat(GroupYear.of(before, two, TABLES).youngHead(day)).isCloseTo(5, within(1e-9));
    assertThat(GroupYear.of(after, two, TABLES).youngHead(day)).isCloseTo(10, within(1e-9));
  }

  /** Ten cows with weaned calves kept for long; half of the cows sold on a day. */
  private static AnimalGroup kept(LocalDate sold) {
    AnimalGroup cows =
        new AnimalGroup(
            "g",
            "g",
            "beef/cow",
            10,
            550,
            0,
            null,
            MonthDay.of(3, 1),
            1,
            1,
            MonthDay.of(10, 5),
            MonthDay.of(2, 15),
            null,
            null);
    return sold == null
        ? cows
        : cows.withChanges(
            List.of(new HeadChange(sold, null, HeadChange.Kind.SOLD, 5, null, null, "")));
  }
}
