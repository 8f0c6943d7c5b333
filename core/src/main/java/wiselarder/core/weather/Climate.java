package wiselarder.core.weather;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.reference.CsvTable;

/**
 * A broad climate: height in m, water a soil of ordinary texture can hold for plants in mm per m of
 * depth, and twelve months of normals. Frost days are days of the year (1 January = 1) on which the
 * last spring or first autumn low of -2.2 C has come in 10, 50 and 90% of years; empty where frost
 * is very rare. Product defaults, see docs/model.md.
 *
 * @param temperatureRangeSd standard deviation of the daily temperature range as a share of it; set
 *     so that simulated years have the frost dates of the table
 */
public record Climate(
    String id,
    String name,
    double latitudeDeg,
    double elevationM,
    double soilAwcMmPerM,
    double temperatureRangeSd,
    Frost lastFrost,
    Frost firstFrost,
    List<ClimateMonth> months) {
  public Climate {
    months = List.copyOf(months);
    if (months.size() != 12) {
      throw new IllegalStateException("climate_months.csv: %s has not twelve months".formatted(id));
    }
  }

  /** Days of the year, or 0 where the climate has no such frost. */
  public record Frost(int doy10, int doy50, int doy90) {
    public boolean occurs() {
      return doy50 > 0;
    }
  }

  public boolean southern() {
    return latitudeDeg < 0;
  }

  /** A column of the twelve months, January first. */
  public double[] monthly(ToDoubleFunction<ClimateMonth> column) {
    return months.stream().mapToDouble(column).toArray();
  }

  /** Mean rain of a year, mm. */
  public double annualRainMm() {
    return months.stream().mapToDouble(ClimateMonth::rainMm).sum();
  }

  /** Day of the year in the middle of the coldest month by mean temperature. */
  public int coldestDoy() {
    int coldest = 0;
    for (int m = 1; m < 12; m++) {
      if (months.get(m).tmeanC() < months.get(coldest).tmeanC()) {
        coldest = m;
      }
    }
    return LocalDate.of(2001, coldest + 1, 15).getDayOfYear();
  }

  /** True for each day of the plan between the median first and the median last killing frost. */
  public boolean[] frostSeason(PlanYear year) {
    boolean[] frosty = new boolean[year.days()];
    if (!firstFrost.occurs()) {
      return frosty;
    }
    for (int d = 0; d < frosty.length; d++) {
      int doy = year.date(d).getDayOfYear();
      boolean afterFirst = doy >= firstFrost.doy50;
      boolean beforeLast = doy < lastFrost.doy50;
      frosty[d] =
          firstFrost.doy50 > lastFrost.doy50 ? afterFirst || beforeLast : afterFirst && beforeLast;
    }
    return frosty;
  }

  /** First day of the plan on which the given frost day of the year falls. */
  public OptionalInt firstDay(PlanYear year, int doy) {
    if (doy <= 0) {
      return OptionalInt.empty();
    }
    for (int y = year.start().getYear(); y <= year.endExclusive().getYear(); y++) {
      int day = year.day(LocalDate.ofYearDay(y, doy));
      if (day >= 0 && day < year.days()) {
        return OptionalInt.of(day);
      }
    }
    return OptionalInt.empty();
  }

  /** All climates of the product, by id. */
  public static Map<String, Climate> loadAll() {
    Map<String, List<ClimateMonth>> months = ClimateMonth.loadAll();
    List<Climate> rows =
        CsvTable.load(
            "climates.csv",
            r ->
                new Climate(
                    r.text("climate_id"),
                    r.text("name"),
                    r.number("latitude_deg", -90, 90),
                    r.number("elevation_m", -100, 5000),
                    r.number("soil_awc_mm_per_m", 20, 300),
                    r.number("temperature_range_sd", 0, 1),
                    frost(r, "last_frost_doy_"),
                    frost(r, "first_frost_doy_"),
                    months.getOrDefault(r.text("climate_id"), List.of())));
    return rows.stream().collect(Collectors.toUnmodifiableMap(Climate::id, Function.identity()));
  }

  private static Frost frost(CsvTable.Row r, String column) {
    double p10 = r.numberOrNaN(column + "10", 1, 365);
    return Double.isNaN(p10)
        ? new Frost(0, 0, 0)
        : new Frost(
            (int) p10,
            (int) r.number(column + "50", 1, 365),
            (int) r.number(column + "90", 1, 365));
  }
}
