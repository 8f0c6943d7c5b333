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
import wiselarder.core.forage.SowingTable;
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
    assertThat((double) ready / grazed.size()).isGreaterThan(0.77);
    assertThat((double) yields / crops.size()).isGreaterThan(0.95);
  }

  @Test
  void whatComesBackAfterACutLiesWithinTheTable() {
    long fit =
        crops.stream()
            .filter(
                c ->
                    c.secondFits(
                        ENGINE
                            .catalogue()
                            .crops()
                            .uses()
                            .of(ENGINE.catalogue().forage(c.window().forageId()))))
            .count();
    assertThat((double) fit / crops.size()).isGreaterThan(0.97);
    assertThat(crops)
        .filteredOn(c -> c.window().forageId().equals("foxtail_millet"))
        .allMatch(c -> c.second() < 0.02);
  }

  private static SowingYear[] sown(
      String climate, String crop, int doy, Sowing.Preparation way, String sod) {
    LocalDate on = LocalDate.ofYearDay(2027, (doy - 1) % 365 + 1);
    PlanYear year = new PlanYear(on.minusDays(60).withDayOfMonth(1), 20);
    FarmPlan plan =
        Grounds.sownInto(sod, climate, year, new Sowing("s", "a", crop, on, way, null, 1, null));
    SowingYear[] years = new SowingYear[YEARS];
    for (int i = 0; i < YEARS; i++) {
      years[i] = ENGINE.in(Season.parse("seed:" + (i + 1))).simulate(plan).sowing(0);
    }
    return years;
  }

  private static double mean(SowingYear[] years) {
    return java.util.Arrays.stream(years)
        .mapToDouble(SowingYear::grownKgPerHa)
        .average()
        .orElseThrow();
  }

  private static long cameUp(SowingYear[] years) {
    return java.util.Arrays.stream(years).filter(y -> y.emergedDay() >= 0).count();
  }

  /** The table's loss is for the use it is sown for; over all rows the two come to the same. */
  @Test
  void aFortnightsDelayCostsAboutWhatTheTableSays() {
    double lost = 0;
    double byTable = 0;
    double fails = 0;
    int rows = 0;
    for (CropCheck c : crops) {
      SowingTable.Window w = c.window();
      boolean rainy = !w.climateId().equals("semi_arid_north");
      if (rainy && w.purpose().equals("summer_feed") || w.purpose().equals("hay_or_silage")) {
        Sowing.Preparation bed = Sowing.Preparation.FULL_SEEDBED;
        double onTime = mean(sown(w.climateId(), w.forageId(), w.bestTo(), bed, "fallow"));
        SowingYear[] late = sown(w.climateId(), w.forageId(), w.bestTo() + 14, bed, "fallow");
        lost += 1 - mean(late) / onTime;
        byTable += w.lostLate();
        fails += late[0].chanceOfFailing() - w.failLate();
        rows++;
      }
    }
    assertThat(rows).isGreaterThan(40);
    assertThat(lost / rows).isCloseTo(byTable / rows, org.assertj.core.api.Assertions.within(0.06));
    assertThat(fails / rows).isBetween(-0.03, 0.1);
  }

  /** Reversed in the transition zone before each crop was set to the season it is sown for. */
  @ParameterizedTest
  @CsvSource({"cereal_rye", "winter_wheat", "winter_triticale"})
  void autumnCerealsInASodBeatOatsSownInLateWinter(String cereal) {
    int pairs = 0;
    for (CropCheck oats : crops) {
      SowingTable.Window spring = oats.window();
      if (!spring.forageId().equals("spring_oats") || !spring.purpose().equals("spring_feed")) {
        continue;
      }
      for (CropCheck autumn : crops) {
        SowingTable.Window w = autumn.window();
        if (w.forageId().equals(cereal) && w.climateId().equals(spring.climateId())) {
          Sowing.Preparation way = Sowing.Preparation.LIGHT_DISKING;
          SowingYear[] a = sown(w.climateId(), cereal, w.middle(), way, "bermudagrass");
          SowingYear[] o = sown(w.climateId(), "spring_oats", spring.middle(), way, "bermudagrass");
          assertThat(mean(a)).as("%s in %s", cereal, w.climateId()).isGreaterThan(mean(o));
          assertThat(cameUp(a)).isGreaterThanOrEqualTo(cameUp(o));
          pairs++;
        }
      }
    }
    assertThat(pairs).isPositive();
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
