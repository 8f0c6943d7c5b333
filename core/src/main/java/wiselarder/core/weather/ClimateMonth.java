package wiselarder.core.weather;

import java.time.Month;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.reference.CsvTable;

/**
 * One month of a climate's normals. Temperatures deg C, rain mm a month, evapotranspiration mm a
 * day, radiation MJ/m2 a day. Product defaults, see docs/model.md.
 *
 * @param tSdC standard deviation of daily mean temperature about the normal
 * @param rainCv coefficient of variation of the month's rain from year to year
 * @param wetDays mean number of days with at least 1 mm
 * @param wetAfterWet chance of a wet day after a wet day
 * @param wetAfterDry chance of a wet day after a dry day
 * @param gammaShape shape of the gamma distribution of a wet day's rain
 */
public record ClimateMonth(
    int month,
    double tmeanC,
    double tminC,
    double tmaxC,
    double tSdC,
    double rainMm,
    double rainCv,
    double wetDays,
    double wetAfterWet,
    double wetAfterDry,
    double gammaShape,
    double solarMjPerM2Day,
    double et0MmPerDay) {

  /** Days of the month in a common year. */
  public int days() {
    return Month.of(month).minLength();
  }

  /** Share of days that are wet. */
  public double wetShare() {
    return wetAfterDry / (1 - wetAfterWet + wetAfterDry);
  }

  /**
   * Squared coefficient of variation of the month's rain that the wet/dry chain and the gamma
   * amounts make by themselves: {@code (N s2 + var(N) m2) / (N m)2} with N wet days of mean m and
   * variance s2, and {@code var(N) = n w (1 - w) (1 + r) / (1 - r)} for a chain with persistence r
   * (variance of a two-state Markov chain's count, long-run form).
   */
  double chainCv2() {
    double w = wetShare();
    double r = wetAfterWet - wetAfterDry;
    double n = wetDays / w;
    double countVariance = n * w * (1 - w) * (1 + r) / (1 - r);
    return (wetDays / gammaShape + countVariance) / (wetDays * wetDays);
  }

  static Map<String, List<ClimateMonth>> loadAll() {
    Map<String, List<ClimateMonth>> byClimate = new HashMap<>();
    CsvTable.load(
        "climate_months.csv",
        r -> {
          List<ClimateMonth> months =
              byClimate.computeIfAbsent(r.text("climate_id"), id -> new ArrayList<>());
          if ((int) r.number("month", 1, 12) != months.size() + 1) {
            throw new IllegalStateException("climate_months.csv: months out of order");
          }
          return months.add(of(r));
        });
    return byClimate;
  }

  private static ClimateMonth of(CsvTable.Row r) {
    return new ClimateMonth(
        (int) r.number("month", 1, 12),
        r.number("tmean_c", -40, 45),
        r.number("tmin_c", -45, 40),
        r.number("tmax_c", -35, 50),
        r.number("t_sd_c", 0.1, 15),
        r.number("rain_mm", 0.1, 1000),
        r.number("rain_cv", 0.05, 5),
        r.number("wet_days", 0.05, 31),
        r.number("p_wet_wet", 0.01, 0.99),
        r.number("p_wet_dry", 0.0005, 0.99),
        r.number("rain_gamma_shape", 0.2, 5),
        r.number("solar_mj_m2_day", 0, 45),
        r.number("et0_mm_day", 0, 15));
  }
}
