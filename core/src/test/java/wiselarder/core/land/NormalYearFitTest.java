package wiselarder.core.land;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrowthCurve;
import wiselarder.core.forage.GrowthIndex;
import wiselarder.core.forage.SwardRules;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.NormalYear;
import wiselarder.core.weather.WeatherYear;

/**
 * The growth index of the normal year against every monthly curve of the product. The table that
 * this prints stands in docs/model.md, failures included.
 */
class NormalYearFitTest {
  private static final Catalogue CATALOGUE = Farms.ENGINE.catalogue();
  private static final PlanYear YEAR = new PlanYear(LocalDate.of(2027, 1, 1), 12);

  /**
   * Correlation over twelve months, and the index's year over the curve's by the one site factor.
   */
  private record Fit(String climateId, String forageId, double correlation) {
    String line() {
      return String.format(Locale.ROOT, "| %s | %s | %.2f |", climateId, forageId, correlation);
    }
  }

  private static double[] monthlyIndex(Climate climate, Forage f) {
    WeatherYear w = NormalYear.of(climate, YEAR);
    double[] index = GrowthIndex.daily(f, w, climate);
    double entry = f.entryMassKgPerHa();
    double cover =
        SwardRules.lightCaught(SwardRules.extinction(entry), (f.minResidualKgPerHa() + entry) / 2);
    double capacity = Soil.capacityMm(null, climate.soilAwcMmPerM(), f.rootDepthCm());
    double water = 0.8 * capacity;
    double[] monthly = new double[12];
    for (int d = 0; d < 2 * YEAR.days(); d++) {
      int day = d % YEAR.days();
      if (d >= YEAR.days()) {
        monthly[YEAR.date(day).getMonthValue() - 1] +=
            index[day] * SoilWater.growthShare(water, capacity, f.droughtHold());
      }
      water = SoilWater.after(water, capacity, w.reachesSoilMm(day), w.et0Mm(day), cover, true);
    }
    return monthly;
  }

  private static Fit fit(Climate climate, Forage f, GrowthCurve curve) {
    double[] index = monthlyIndex(climate, f);
    double[] grown = new double[12];
    for (int m = 0; m < 12; m++) {
      grown[m] = curve.monthlyKgPerHaDay().get(m) * YEAR.start().plusMonths(m).lengthOfMonth();
    }
    return new Fit(climate.id(), f.id(), correlation(index, grown));
  }

  private static double correlation(double[] a, double[] b) {
    double ma = java.util.Arrays.stream(a).average().orElseThrow();
    double mb = java.util.Arrays.stream(b).average().orElseThrow();
    double ab = 0;
    double aa = 0;
    double bb = 0;
    for (int i = 0; i < a.length; i++) {
      ab += (a[i] - ma) * (b[i] - mb);
      aa += (a[i] - ma) * (a[i] - ma);
      bb += (b[i] - mb) * (b[i] - mb);
    }
    return ab / Math.sqrt(aa * bb);
  }

  private static List<Fit> all() {
    List<Fit> fits = new ArrayList<>();
    for (Climate climate : CATALOGUE.climates().values()) {
      for (Forage f : CATALOGUE.forages().values()) {
        CATALOGUE
            .growth()
            .curve(climate.id(), f.id())
            .ifPresent(curve -> fits.add(fit(climate, f, curve)));
      }
    }
    fits.sort(java.util.Comparator.comparing(Fit::climateId).thenComparing(Fit::forageId));
    return fits;
  }

  @Test
  void theNormalYearFollowsTheMonthlyCurves() throws Exception {
    List<Fit> fits = all();
    List<String> failures = fits.stream().filter(f -> f.correlation < 0.9).map(Fit::line).toList();
    assertThat(fits).hasSizeGreaterThan(100);
    assertThat(failures).as("known failures, listed in docs/model.md").hasSizeLessThanOrEqualTo(4);
    assertThat(fits).allMatch(f -> f.correlation >= 0.86);
    String model = Files.readString(Path.of("../docs/model.md"));
    List<String> missing =
        fits.stream().map(Fit::line).filter(line -> !model.contains(line)).toList();
    assertThat(missing).as("lines for the table in docs/model.md").isEmpty();
  }

  /**
   * A plan begins with as much water as is usual on that day, in simulated years with theirs: their
   * first month lay 17% above the normal one while they began with the smooth year's.
   */
  @org.junit.jupiter.api.Test
  void theFirstMonthOfManyYearsIsNoBetterThanUsual() {
    wiselarder.core.Farms farm = new wiselarder.core.Farms();
    farm.start = java.time.LocalDate.of(2027, 9, 1);
    farm.fields.add(
        new Field(
                "a",
                "a",
                10,
                new Stand("fescue_white_clover", null, null, 2000.0, 0.1, null, null),
                Field.Grazing.ROTATIONAL,
                null,
                null,
                null,
                true,
                "",
                null)
            .grazedBy(1, null));
    double normal = september(farm, "normal");
    double mean = 0;
    for (int seed = 1; seed <= 40; seed++) {
      mean += september(farm, "seed:" + (200 + seed)) / 40;
    }
    assertThat(mean / normal).isBetween(0.9, 1.1);
  }

  private static double september(wiselarder.core.Farms farm, String season) {
    wiselarder.core.balance.YearBalance b =
        wiselarder.core.Farms.ENGINE
            .in(wiselarder.core.plan.Season.parse(season))
            .simulate(farm.build());
    double kg = 0;
    for (int d = 0; d < 30; d++) {
      kg += b.grownKg(0, d);
    }
    return kg;
  }
}
