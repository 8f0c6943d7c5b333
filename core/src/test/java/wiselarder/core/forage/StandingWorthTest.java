package wiselarder.core.forage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Shelf;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sowing;

/** What stands keeps its age: nothing gets younger by the calendar, and only new green is leafy. */
class StandingWorthTest {
  /** Stands of every kind, each where it is at home. */
  private static final List<String[]> AT_HOME =
      List.of(
          new String[] {"tall_fescue_novel", "transition_humid"},
          new String[] {"orchardgrass_red_clover", "transition_humid"},
          new String[] {"bermudagrass", "transition_humid"},
          new String[] {"native_warm_cool_mix", "subtropical_humid_north"},
          new String[] {"big_bluestem", "semi_arid_north"},
          new String[] {"perennial_ryegrass", "maritime_temperate_south"},
          new String[] {"alfalfa", "cold_continental_north"},
          new String[] {"kikuyu", "subtropical_summer_rain_south"},
          new String[] {"bahiagrass", "temperate_humid_south"},
          new String[] {"white_clover", "maritime_temperate_north"});

  /** Rounding. */
  private static final double POINTS = 1e-6;

  /** A bite may take what is worth less than the mean, and so leave the rest a little better. */
  private static final double BITTEN = 0.005;

  private static Farms of(String forage, String climate, LocalDate start, double cover) {
    Farms farm = new Farms();
    farm.climate = climate;
    farm.start = start;
    farm.months = 24;
    farm.fields.add(
        new Field(
                "a",
                "A",
                10,
                new Stand(forage, null, null, cover, 0.2, null, null),
                Field.Grazing.ROTATIONAL,
                null,
                null,
                null,
                true,
                "",
                null)
            .grazedBy(1, null));
    return farm;
  }

  private static YearBalance in(String season, FarmPlan plan) {
    return ENGINE.in(Season.parse(season)).simulate(plan);
  }

  @Property(tries = 60)
  void onlyNewGreenRaisesWhatStands(
      @ForAll @IntRange(max = 9) int stand,
      @ForAll @IntRange(max = 11) int month,
      @ForAll @IntRange(max = 3) int load,
      @ForAll @IntRange(max = 40) int seed) {
    String[] at = AT_HOME.get(stand);
    LocalDate start = LocalDate.of(2027, 1 + month, 1);
    Farms farm = of(at[0], at[1], start, 2500);
    if (load > 0) {
      String kind = load == 2 ? "sheep/ewe" : "beef/bull";
      farm.groups.add(
          new AnimalGroup(
              "g", "G", kind, 6 * load, 500, 0, 9.0, null, 1, 0, null, null, null, null));
      farm.graze("g", null, null, "a");
    }
    if (load != 1) {
      farm.closings.add(
          new Closing("c", "a", start.plusDays(100), start.plusDays(250), List.of("g"), null));
    }
    farm.closings.removeIf(c -> farm.groups.isEmpty());
    YearBalance b = in(seed == 0 ? "normal" : "seed:" + seed, farm.build());
    QualityTable.Values leafy = ENGINE.catalogue().quality().of(at[0]);
    for (int d = 1; d < b.days(); d++) {
      double share = b.grownKg(0, d) / 10 / Math.max(1, b.coverKgPerHa(0, d));
      double bitten = b.grazedKg(0, d) > 0 ? BITTEN : 0;
      double protein = b.standingProteinPct(0, d - 1) + bitten;
      double tdn = b.standingTdnPct(0, d - 1) + bitten;
      assertThat(b.standingProteinPct(0, d))
          .as("protein of %s on %s", at[0], b.year().date(d))
          .isLessThanOrEqualTo(protein + rise(leafy, QualityTable.Values.PROTEIN, share, protein));
      assertThat(b.standingTdnPct(0, d))
          .as("TDN of %s on %s", at[0], b.year().date(d))
          .isLessThanOrEqualTo(tdn + rise(leafy, QualityTable.Values.TDN, share, tdn));
    }
  }

  /** Leaf at its best joins the mean, and half as much takes the place of the worst there is. */
  private static double rise(QualityTable.Values v, int nutrient, double share, double mean) {
    double leafy = v.green(nutrient, 0);
    double renewed = share * Maturity.RENEWED * (leafy - v.leastKept(nutrient));
    return share <= 0 ? POINTS : share * Math.max(0, leafy - mean) + renewed + POINTS;
  }

  @Test
  void aShutFescueDoesNotTurnLeafyInMidwinter() {
    FarmPlan plan =
        of("tall_fescue_novel", "transition_humid", LocalDate.of(2027, 8, 1), 1800).build();
    YearBalance b = in("normal", plan);
    for (LocalDate day = LocalDate.of(2027, 12, 1); day.getYear() < 2028; day = day.plusDays(7)) {
      int d = b.year().day(day);
      assertThat(b.standingProteinPct(0, d + 7)).isLessThan(b.standingProteinPct(0, d) + POINTS);
    }
  }

  @Test
  void aStockpileFollowsItsRowsThroughItsSeason() {
    // shut on 10 August after it was grazed to 1,300: rows 13.0 and 63 early, 10.5 and 57 late
    FarmPlan plan =
        of("tall_fescue_novel", "transition_humid", LocalDate.of(2027, 8, 10), 1300).build();
    YearBalance b = in("normal", plan);
    int frost = b.year().day(LocalDate.of(2027, 10, 21));
    assertThat(b.standingProteinPct(0, frost + 30)).isCloseTo(12.7, within(1.5));
    assertThat(b.standingTdnPct(0, frost + 30)).isCloseTo(62, within(3.0));
    assertThat(b.standingProteinPct(0, frost + 110)).isCloseTo(10.5, within(1.5));
    assertThat(b.standingTdnPct(0, frost + 110)).isCloseTo(57, within(3.0));
  }

  @Test
  void aWarmSeasonSwardKeptStandingIsStillOldInJune() {
    FarmPlan plan = of("bermudagrass", "transition_humid", LocalDate.of(2027, 9, 1), 4500).build();
    YearBalance b = in("normal", plan);
    assertThat(b.standingTdnPct(0, b.year().day(LocalDate.of(2028, 6, 1)))).isLessThan(54);
  }

  @Test
  void whatIsEatenWhileNothingGrowsIsStandingFeedAboveTheWinterHeight() {
    Farms farm = of("bermudagrass", "subtropical_humid_north", LocalDate.of(2027, 9, 1), 4500);
    farm.eaters("h", 14, 11).graze("h", null, null, "a");
    YearBalance b = in("normal", farm.build());
    Forage f = ENGINE.catalogue().forage("bermudagrass");
    double winterHeight = f.massAtHeightKgPerHa(f.winterLeaveHeightCm());
    double standing = 0;
    for (int d = b.year().day(LocalDate.of(2027, 12, 1));
        b.year().date(d).getMonthValue() != 3;
        d++) {
      assertThat(b.grownKg(0, d)).isZero();
      assertThat(b.eatenKg(Shelf.GROWING, 0, d)).isZero();
      standing += b.eatenKg(Shelf.STANDING, 0, d);
      if (b.eatenKg(0, d) > 0) {
        assertThat(b.coverKgPerHa(0, d)).isGreaterThan(winterHeight * 0.98);
      }
    }
    assertThat(standing).isGreaterThan(1000);
    assertThat(b.eatenKg(Shelf.GROWING, 0, b.year().day(LocalDate.of(2028, 7, 1)))).isPositive();
  }

  @Test
  void aCropThatFrostHasKilledIsStandingFeed() {
    Farms farm = of("fallow", "transition_humid", LocalDate.of(2027, 5, 1), 0);
    farm.sowings.add(
        new Sowing(
            "s",
            "a",
            "pearl_millet",
            LocalDate.of(2027, 6, 1),
            Sowing.Preparation.FULL_SEEDBED,
            null,
            1,
            null));
    farm.eaters("h", 20, 11).graze("h", LocalDate.of(2027, 11, 1), LocalDate.of(2027, 11, 20), "a");
    YearBalance b = in("normal", farm.build());
    int day = b.year().day(LocalDate.of(2027, 11, 5));
    assertThat(b.eatenKg(Shelf.STANDING, 0, day)).isPositive();
    assertThat(b.eatenKg(Shelf.GROWING, 0, day)).isZero();
  }

  @Test
  void aCoolLayerUnderAWarmOneIsGreenInWinterAndGrowsOnDaysThatAllowIt() {
    LocalDate january = LocalDate.of(2028, 1, 15);
    double[] green = new double[2];
    String[] stands = {"native_warm_mix", "native_warm_cool_mix"};
    for (int i = 0; i < 2; i++) {
      FarmPlan plan =
          of(stands[i], "subtropical_humid_north", LocalDate.of(2027, 9, 1), 4500).build();
      YearBalance b = in("normal", plan);
      Forage f = ENGINE.catalogue().forage(stands[i]);
      int d = b.year().day(january);
      green[i] = b.greenKgPerHa(0, d) - f.minResidualKgPerHa();
      double grown = 0;
      for (int e = d; e < d + 30; e++) {
        grown += b.grownKg(0, e);
      }
      assertThat(grown > 0).as(stands[i]).isEqualTo(i == 1);
    }
    assertThat(green[0]).isLessThan(50);
    assertThat(green[1]).isGreaterThan(400);
  }

  @Test
  void iceAndHeavySnowAreEventsOfRealDaysOnly() {
    FarmPlan plan = of("big_bluestem", "transition_humid", LocalDate.of(2027, 9, 1), 6000).build();
    int fell = 0;
    for (int seed = 1; seed <= 20; seed++) {
      YearBalance b = in("seed:" + seed, plan);
      fell += falls(b);
    }
    assertThat(fell).isBetween(5, 200);
    assertThat(falls(in("normal", plan))).isZero();
  }

  /** Days on which more than a fortieth of the cover goes down at once. */
  private static int falls(YearBalance b) {
    int count = 0;
    for (int d = 1; d < b.days(); d++) {
      count += b.coverKgPerHa(0, d) < 0.975 * b.coverKgPerHa(0, d - 1) ? 1 : 0;
    }
    return count;
  }
}
