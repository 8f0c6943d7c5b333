package wiselarder.core.herd;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.closing.WeanBy;
import wiselarder.core.diet.DietYear;
import wiselarder.core.diet.WaterYear;
import wiselarder.core.weather.NormalYear;
import wiselarder.core.weather.WeatherYear;

/** What animals cannot do: live on nothing, fill out while they starve, go without water. */
class LimitsTest {
  private static final HerdTables TABLES = Farms.ENGINE.catalogue().herd();

  /** A flat figure stands for the share of the need that is there to be eaten. */
  private static DietYear fed(String kind, double weightKg, double kgADay, String feedId) {
    Farms farm = new Farms();
    farm.groups.add(
        new AnimalGroup(
            "g",
            "G",
            kind,
            10,
            weightKg,
            0,
            kgADay,
            TABLES.isDam(kind) ? MonthDay.of(3, 15) : null,
            1,
            TABLES.isDam(kind) ? 1 : 0,
            null,
            null,
            null,
            null));
    farm.lots.add(Farms.of("hay", 3000, feedId));
    farm.feed("g", null, null);
    return DietYear.of(Farms.ENGINE.simulate(farm.build()), 0);
  }

  /**
   * Dry cow of 550 kg, need 81.6 MJ, feed of 8 MJ in a kilogram, 26.46 MJ in a kilogram of gain.
   * Short of 40% she loses 32.64 x 0.66 / (26.46 x 0.84) kg; with 40% over she gains 32.64 x 0.344
   * / 26.46.
   */
  @ParameterizedTest
  @CsvSource({"0.6, -0.969", "1.0, 0", "1.4, 0.424"})
  void aDryCowGainsAndLosesByOneAccount(double met, double gainKg) {
    double inGain = Energy.inGainMjPerKg("beef/cow", 550);
    assertThat(inGain).isCloseTo(26.46, within(0.01));
    BodyEnergy day = BodyEnergy.of("beef/cow", 550, 550, 81.6, 0, 81.6, met * 81.6, 8, 0, 0);
    assertThat(day.gainKg()).isCloseTo(gainKg, within(2e-3));
    assertThat(day.milkShare()).isEqualTo(1);
  }

  @Test
  void milkFallsBeforeTheCowDoes() {
    // 117.8 MJ asked for, 81.6 upkeep: milk is what goes beyond 1.25 times that, 15.8 MJ.
    // 20 MJ short: in good condition milk bears 6 of them, at the limit of life all it has
    BodyEnergy good = BodyEnergy.of("beef/cow", 550, 550, 117.8, 0, 81.6, 97.8, 8, 0, 0);
    BodyEnergy thin = BodyEnergy.of("beef/cow", 550, 550, 117.8, 0, 81.6, 97.8, 8, 1, 0);
    assertThat(good.milkShare()).isCloseTo(1 - 6 / 15.8, within(1e-9));
    assertThat(thin.milkShare()).isZero();
    assertThat(thin.gainKg()).isGreaterThan(good.gainKg());
  }

  /** At 60, 100 and 140% of the usual intake of a middling hay: nobody runs away either way. */
  @ParameterizedTest
  @ValueSource(
      strings = {"beef/cow", "dairy/cow", "sheep/ewe", "goat/doe", "bison/cow", "beef/bull"})
  void noWeightRunsAway(String kind) {
    double weight = TABLES.defaultWeightKg(kind);
    double usual = weight * 0.02;
    DietYear lean = fed(kind, weight, 0.6 * usual, "hay_smooth_brome_mid");
    DietYear full = fed(kind, weight, 1.4 * usual, "hay_smooth_brome_mid");
    double least = 0.72 * weight;
    for (int d = 0; d < 365; d++) {
      boolean told = lean.wouldNotLiveFrom() >= 0 && d > lean.wouldNotLiveFrom();
      assertThat(Double.isNaN(lean.weightKg(d))).isEqualTo(told);
      if (!told) {
        assertThat(lean.weightKg(d)).isBetween(least, 1.05 * weight);
        // short of energy nobody gains more than a thin animal's upkeep spares
        assertThat(lean.gainKg(d)).isLessThan(0.002 * weight);
      }
    }
    assertThat(full.weightKg(364)).isGreaterThan(least);
  }

  @Test
  void animalsWithNothingToEatDoNotLiveAndThePlanSaysSo() {
    Farms farm = new Farms();
    farm.groups.add(Farms.dams("g", "beef/cow", 10, 550, MonthDay.of(3, 15), 0.9));
    DietYear diet = DietYear.of(Farms.ENGINE.simulate(farm.build()), 0);
    // 21% of 550 kg, milking at first: at some 3 kg a day five to eight weeks
    assertThat(diet.wouldNotLiveFrom()).isBetween(32, 60);
    assertThat(diet.score(diet.wouldNotLiveFrom())).isBetween(1.9, 2.0);
    assertThat(diet.score(200)).isNaN();
    DietYear well = fed("beef/cow", 550, 12, "hay_smooth_brome_mid");
    assertThat(well.wouldNotLiveFrom()).isEqualTo(-1);
  }

  @Test
  void growingStockStarveToo() {
    Farms farm = new Farms();
    farm.groups.add(
        new AnimalGroup(
            "g", "G", "beef/steer", 10, 250, 0.7, 1.5, null, 1, 0, null, null, null, null));
    farm.lots.add(Farms.of("hay", 300, "hay_smooth_brome_mid"));
    farm.feed("g", null, null);
    DietYear diet = DietYear.of(Farms.ENGINE.simulate(farm.build()), 0);
    int day = diet.wouldNotLiveFrom();
    assertThat(day).isPositive();
    assertThat(diet.weightKg(day)).isLessThan(0.75 * 250);
    assertThat(diet.weightKg(day + 1)).isNaN();
  }

  @Test
  void ewesOnLushGrassStillDrink() {
    Farms farm = new Farms();
    farm.climate = "maritime_temperate_north";
    farm.field("a", 60, 60, 2500);
    farm.groups.add(Farms.dams("g", "sheep/ewe", 300, 70, MonthDay.of(4, 1), 1.5));
    farm.graze("g", null, null, "a");
    YearBalance b = Farms.ENGINE.simulate(farm.build());
    WaterYear water = WaterYear.of(b);
    for (int d = 0; d < b.days(); d++) {
      assertThat(water.drunkL(0, d) / 300).isBetween(0.7, 12.0);
    }
  }

  @Test
  void dormantFeedBringsLittleWater() {
    Farms farm = new Farms();
    farm.start = LocalDate.of(2027, 9, 1);
    farm.fields.add(
        new wiselarder.core.land.Field(
            "a",
            "A",
            40,
            new wiselarder.core.land.Stand("bermudagrass", null, null, 5000.0, 0, null, null),
            wiselarder.core.land.Field.Grazing.ROTATIONAL,
            null,
            null,
            null,
            true,
            "",
            null));
    farm.groups.add(Farms.dams("g", "beef/cow", 50, 550, MonthDay.of(4, 1), 0.9));
    farm.graze("g", null, null, "a");
    YearBalance b = Farms.ENGINE.simulate(farm.build());
    int january = b.year().day(LocalDate.of(2028, 1, 15));
    assertThat(b.eatenKg(0, january)).isPositive();
    // of 34 litres at 10 C some 11 kg of dead and dormant grass bring about 4
    assertThat(WaterYear.of(b).drunkL(0, january) / 50).isBetween(26.0, 34.0);
  }

  @Test
  void aEweNeedsASixthLessFromTheEighthWeek() {
    PlanYear year = new PlanYear(LocalDate.of(2027, 1, 1), 12);
    GroupYear ewes =
        GroupYear.of(Farms.dams("g", "sheep/ewe", 1, 70, MonthDay.of(3, 1), 1), year, TABLES);
    int birth = year.day(LocalDate.of(2027, 3, 1));
    assertThat(ewes.energyMj(birth + 60)).isCloseTo(0.83 * ewes.energyMj(birth + 50), within(0.05));
    assertThat(ewes.typicalKg(birth + 60))
        .isCloseTo(0.83 * ewes.typicalKg(birth + 50), within(0.01));
  }

  /** A dry fleece carries a ewe to -10 C: at -8 C she needs no more, at -15 C a tenth more. */
  @Test
  void aFleeceKeepsOutTheCold() {
    Keeping sheltered = new Keeping(false, Keeping.Shelter.SHELTERED, 0, 0, 0, null, false);
    double limit = TABLES.byId("ewe_maintenance").lctDryC();
    assertThat(Cold.rise(sheltered, limit, 10, -8, 0, 0)).isZero();
    assertThat(Cold.rise(sheltered, limit, 10, -15, 0, 0)).isCloseTo(0.10, within(1e-9));
  }

  /** By energy: the cap of fibre rises with the cold, to half as much again at the worst. */
  @Test
  void coldRaisesEatingByEnergy() {
    Farms mild = byEnergy("transition_humid");
    Farms cold = byEnergy("cold_continental_north");
    double[] eaten = new double[2];
    int at = 0;
    for (Farms farm : List.of(mild, cold)) {
      YearBalance b = Farms.ENGINE.simulate(farm.build());
      int january = b.year().day(LocalDate.of(2027, 1, 20));
      eaten[at++] = b.needKg(0, january) / 10;
    }
    assertThat(eaten[1]).isBetween(1.08 * eaten[0], 1.5 * eaten[0]);
  }

  private static Farms byEnergy(String climate) {
    Farms farm = new Farms();
    farm.climate = climate;
    Keeping open = new Keeping(true, Keeping.Shelter.OPEN, 10, 0, 0, null, false);
    farm.groups.add(
        Farms.kept(Farms.dams("g", "beef/cow", 10, 550, MonthDay.of(4, 15), 0.9), open, List.of()));
    farm.lots.add(Farms.of("hay", 2000, "hay_smooth_brome_mid"));
    return farm.feed("g", null, null);
  }

  /** Growing cattle on grass hay of 60% fibre can hold what they usually eat. */
  @ParameterizedTest
  @CsvSource({
    "stocker_230, 2.6",
    "stocker_410, 2.3",
    "lamb_30, 4.1",
    "beef_cow_late_gestation, 2.1"
  })
  void fibreCapsSuitGrass(String id, double usualPct) {
    assertThat(TABLES.byId(id).fibreCapPctBw() / 0.60).isGreaterThan(0.83 * usualPct);
  }

  @Test
  void weaningIsComparedOverOneTimeForAll() {
    Farms farm = new Farms();
    farm.start = LocalDate.of(2027, 1, 1);
    farm.field("a", 25, 30, 1900);
    farm.groups.add(Farms.dams("g", "beef/cow", 30, 550, MonthDay.of(3, 15), 0.9));
    farm.graze("g", null, null, "a");
    List<WeanBy> tried = WeanBy.of(Farms.ENGINE, farm.build(), "g");
    for (int i = 1; i < tried.size(); i++) {
      assertThat(tried.get(i).lowestScore())
          .as("weaned on %s", tried.get(i).weaning())
          .isLessThanOrEqualTo(tried.get(i - 1).lowestScore() + 0.05);
    }
  }

  @Test
  void warmthAndColdMoveASeasonsFrosts() {
    var climate = Farms.ENGINE.catalogue().climate("transition_humid");
    PlanYear year = new PlanYear(LocalDate.of(2027, 7, 1), 12);
    WeatherYear normal = NormalYear.of(climate, year);
    LocalDate end = LocalDate.of(2028, 7, 1);
    WeatherYear warm = heat(3, year, end).over(normal, climate);
    WeatherYear cool = heat(-3, year, end).over(normal, climate);
    assertThat(frostDays(warm)).isLessThan(frostDays(normal) - 20);
    assertThat(frostDays(cool)).isGreaterThan(frostDays(normal) + 20);
    assertThat(Map.of(0, frostDays(heat(0, year, end).over(normal, climate))))
        .containsEntry(0, frostDays(normal));
  }

  private static wiselarder.core.weather.Overlay heat(double by, PlanYear year, LocalDate end) {
    return new wiselarder.core.weather.Overlay(
        wiselarder.core.weather.Overlay.Kind.HEAT, year.start(), end, by);
  }

  private static int frostDays(WeatherYear w) {
    int count = 0;
    for (int d = 0; d < w.days(); d++) {
      count += w.frostSeason(d) ? 1 : 0;
    }
    return count;
  }
}
