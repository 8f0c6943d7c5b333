package wiselarder.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.closing.Fitting;
import wiselarder.core.day.SowingYear;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sowing;

/** Every stand and every crop of the tables, grown over years of real days, against the tables. */
class MatrixTest {
  private static final int YEARS = 6;
  private static List<StandCheck> stands;
  private static List<CropCheck> crops;

  @BeforeAll
  static void grow() {
    stands = StandCheck.all(ENGINE, YEARS);
    crops = CropCheck.all(ENGINE, YEARS);
  }

  @Test
  void theNormalYearHoldsTheTypedRatesMonthByMonth() {
    assertThat(stands).hasSize(114).allMatch(StandCheck::monthsFit);
  }

  /** Six years are few: the mean of twenty lies within 7%, in dry climates 15% (docs/model.md). */
  @Test
  void theMeanOfTheYearsIsWhatWasTyped() {
    assertThat(stands)
        .allSatisfy(
            c -> {
              boolean dry = c.climate().id().equals("semi_arid_north");
              assertThat(c.meanShare()).as(name(c)).isBetween(dry ? 0.5 : 0.8, dry ? 1.5 : 1.2);
            });
    double all = stands.stream().mapToDouble(StandCheck::meanShare).average().orElseThrow();
    assertThat(all).isBetween(0.97, 1.03);
  }

  private static String name(StandCheck c) {
    return c.climate().id() + " " + c.forage().id();
  }

  @Test
  void standsThatBearLightFrostsKeepTheirSpring() {
    assertThat(stands)
        .filteredOn(c -> c.forage().id().equals("alfalfa"))
        .allMatch(StandCheck::monthsFit)
        .hasSizeGreaterThan(5);
  }

  /** The others are named in docs/model.md: mostly swards that still grow on their use-by day. */
  @Test
  void stockpilesAreWorthWhatTheirRowsSay() {
    List<StandCheck> kept = stands.stream().filter(c -> !Double.isNaN(c.earlyTdn())).toList();
    long fit =
        kept.stream()
            .filter(c -> c.stockpileFits(ENGINE.catalogue().quality().of(c.forage().id())))
            .count();
    assertThat((double) fit / kept.size()).isGreaterThan(0.8);
    assertThat(kept)
        .filteredOn(c -> c.forage().id().startsWith("tall_fescue"))
        .filteredOn(c -> c.climate().id().equals("transition_humid"))
        .allMatch(c -> c.stockpileFits(ENGINE.catalogue().quality().of(c.forage().id())));
  }

  @Test
  void mostCropsAreReadyWhenTheTableSaysAndYieldWithinIt() {
    List<CropCheck> grazed = crops.stream().filter(c -> c.window().grazed()).toList();
    long ready = grazed.stream().filter(CropCheck::useFits).count();
    long yields = crops.stream().filter(CropCheck::yieldFits).count();
    assertThat((double) ready / grazed.size()).isGreaterThan(0.75);
    assertThat((double) yields / crops.size()).isGreaterThan(0.85);
  }

  /** Crops that came a season late, or not at all, before they were set to their place. */
  @ParameterizedTest
  @CsvSource({
    "maritime_temperate_south, kale, autumn_winter_feed, 160",
    "maritime_temperate_south, annual_ryegrass, autumn_winter_feed, 125",
    "maritime_temperate_south, spring_oats, autumn_winter_feed, 80",
    "cold_continental_north, stubble_turnip, autumn_winter_feed, 105",
    "transition_humid, grain_sorghum, summer_feed, 80",
    "semi_arid_north, pearl_millet, summer_feed, 75",
    "semi_arid_north, sorghum_sudangrass, summer_feed, 70"
  })
  void cropsComeInTheirSeason(String climate, String crop, String purpose, int latest) {
    List<CropCheck> rows =
        crops.stream()
            .filter(c -> c.window().climateId().equals(climate))
            .filter(c -> c.window().forageId().equals(crop))
            .filter(c -> c.window().purpose().equals(purpose))
            .toList();
    assertThat(rows)
        .as("the table has such a row")
        .isNotEmpty()
        .allSatisfy(
            c -> {
              assertThat(c.cameUpShare()).isPositive();
              assertThat(c.useDays()).isBetween(20, latest);
            });
  }

  /** What is said of a sowing and the chance that is said beside it never contradict each other. */
  @Test
  void seedComesUpInDryClimatesInMostYearsAndTheChanceSaysInHowMany() {
    LocalDate sown = LocalDate.of(2027, 9, 10);
    for (String crop : List.of("cereal_rye", "winter_wheat", "spring_oats")) {
      FarmPlan plan =
          Grounds.sown(
              "semi_arid_north",
              new PlanYear(LocalDate.of(2027, 8, 1), 12),
              new Sowing("s", "a", crop, sown, Sowing.Preparation.FULL_SEEDBED, null, 1, null));
      SowingYear normal = ENGINE.simulate(plan).sowing(0);
      assertThat(normal.failed()).as(crop).isEqualTo(normal.chanceOfFailing() > 0.52);
      int up = 0;
      for (int seed = 1; seed <= 40; seed++) {
        SowingYear one = ENGINE.in(Season.parse("seed:" + seed)).simulate(plan).sowing(0);
        up += one.emergedDay() >= 0 ? 1 : 0;
      }
      assertThat(up / 40.0).as(crop).isBetween(0.55, 0.98);
      assertThat(normal.chanceOfFailing()).isGreaterThan(1 - up / 40.0 - 0.15);
    }
  }

  @Test
  void winterCerealsAreNotSownInJune() {
    FarmPlan plan =
        Grounds.alone(
            "transition_humid", new PlanYear(LocalDate.of(2027, 3, 1), 12), "bermudagrass", 1500);
    List<Fitting> june =
        Fitting.of(plan, ENGINE.catalogue(), LocalDate.of(2027, 6, 10), false, false);
    assertThat(june)
        .filteredOn(f -> List.of("cereal_rye", "winter_wheat").contains(f.forageId()))
        .hasSize(2)
        .allMatch(f -> f.against().contains(Fitting.Reason.OUT_OF_SEASON));
  }
}
