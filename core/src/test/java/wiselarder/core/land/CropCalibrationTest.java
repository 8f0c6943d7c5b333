package wiselarder.core.land;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.util.Collections;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.forage.CropUses;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.SowingTable;
import wiselarder.core.plan.Sowing;
import wiselarder.core.weather.Climate;

/** Crops set to a place: when they are sown there, and what a stated yield asks of the site. */
class CropCalibrationTest {
  private final CropCalibration crops =
      new CropCalibration(SowingTable.load(), CropUses.load(), new UsualYears());

  private static Forage forage(String id) {
    return ENGINE.catalogue().forage(id);
  }

  private static Climate climate(String id) {
    return ENGINE.catalogue().climate(id);
  }

  /** As keepers of the place would say it; south of the equator half a year later. */
  @ParameterizedTest
  @CsvSource({
    "pearl_millet, transition_humid, 04-20, 06-20",
    "sorghum_sudangrass, transition_humid, 04-20, 06-20",
    "cereal_rye, transition_humid, 08-15, 10-20",
    "annual_ryegrass, subtropical_humid_north, 09-01, 11-30",
    "forage_rape, cold_continental_north, 04-15, 07-31",
    "pearl_millet, temperate_humid_south, 10-01, 12-20",
    "cereal_rye, temperate_humid_south, 02-01, 04-30",
  })
  void theUsualSowingDayIsThatOfThePlace(String crop, String place, String from, String to) {
    LocalDate day = LocalDate.ofYearDay(2027, crops.usualSowingDoy(forage(crop), climate(place)));
    assertThat(day).isBetween(LocalDate.parse("2027-" + from), LocalDate.parse("2027-" + to));
  }

  @Test
  void aLargerYieldAsksForABetterSiteUpToTheBestThereIs() {
    Forage rye = forage("cereal_rye");
    Climate place = climate("transition_humid");
    double before = 0;
    for (double yield = 500; yield <= 6000; yield += 500) {
      double factor = crops.siteFactor(rye, place, 120, yield);
      assertThat(factor).isGreaterThan(before);
      before = factor;
    }
    assertThat(crops.siteFactor(rye, place, 120, 90_000.0)).isEqualTo(2.4);
    assertThat(crops.siteFactor(rye, place, 120, null)).isBetween(0.3, 1.1);
  }

  /**
   * Nobody stated a yield: no better than 1.1 of the forage's best growth, however little that is.
   */
  @Test
  void withoutAStatedYieldASiteIsNoBetterThanUsual() {
    for (Forage f : ENGINE.catalogue().forages().values()) {
      boolean sown = f.life() != Forage.Life.PERENNIAL && f.grows() && f.annualTypicalKgPerHa() > 0;
      if (sown && !Double.isNaN(f.daysToFirstUseLow())) {
        assertThat(crops.siteFactor(f, climate("transition_humid"), 120, null))
            .as(f.id())
            .isBetween(0.0, 1.1);
      }
    }
  }

  /** Sown on its usual day and kept short, a crop grows about what was stated for it. */
  @Test
  void aCropSownOnTimeGrowsWhatWasStated() {
    Farms farm = new Farms();
    farm.start = LocalDate.of(2027, 1, 1);
    farm.months = 12;
    Forage millet = forage("pearl_millet");
    int doy = crops.usualSowingDoy(millet, climate("transition_humid"));
    farm.fields.add(Farms.stand("a", 10, "fallow", Collections.nCopies(12, 0.0), 0));
    farm.sowings.add(
        new Sowing(
            "s",
            "a",
            "pearl_millet",
            LocalDate.ofYearDay(2027, doy),
            Sowing.Preparation.FULL_SEEDBED,
            5000.0,
            1,
            null));
    farm.eaters("h", 60, 12).graze("h", null, null, "a");
    YearBalance b = ENGINE.simulate(farm.build());
    assertThat(b.sowing(0).grownKgPerHa()).isCloseTo(5000, within(1250.0));
  }
}
