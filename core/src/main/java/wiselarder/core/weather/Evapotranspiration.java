package wiselarder.core.weather;

/**
 * What air and sun would take from a well-watered short grass, where nobody measured it.
 *
 * <p>Source: Allen, Pereira, Raes and Smith (1998), Crop evapotranspiration, FAO Irrigation and
 * Drainage Paper 56: equation 21 (extraterrestrial radiation), 50 (radiation from the daily
 * temperature range) and 52 (Hargreaves).
 */
public final class Evapotranspiration {
  private static final double SOLAR_CONSTANT_MJ_PER_M2_MIN = 0.0820;

  /** Evaporates one mm: 1/2.45 mm for each MJ/m2. */
  private static final double MM_PER_MJ = 0.408;

  /** Adjustment of equation 50 for places away from coasts. */
  private static final double INTERIOR = 0.16;

  private Evapotranspiration() {}

  /** Radiation on top of the air, MJ/m2 a day; latitude in degrees, south negative. Eq. 21-25. */
  public static double extraterrestrialMj(double latitudeDeg, int dayOfYear) {
    double angle = 2 * Math.PI / 365 * dayOfYear;
    double distance = 1 + 0.033 * Math.cos(angle);
    double declination = 0.409 * Math.sin(angle - 1.39);
    double latitude = Math.toRadians(latitudeDeg);
    double x = -Math.tan(latitude) * Math.tan(declination);
    double sunset = Math.acos(Math.max(-1, Math.min(1, x)));
    return 24
        * 60
        / Math.PI
        * SOLAR_CONSTANT_MJ_PER_M2_MIN
        * distance
        * (sunset * Math.sin(latitude) * Math.sin(declination)
            + Math.cos(latitude) * Math.cos(declination) * Math.sin(sunset));
  }

  /** Reference evapotranspiration from temperatures alone, mm a day, never below zero. Eq. 52. */
  public static double hargreavesMm(double tminC, double tmaxC, double extraterrestrialMj) {
    double mean = (tminC + tmaxC) / 2;
    double range = Math.max(0, tmaxC - tminC);
    return Math.max(0, 0.0023 * (mean + 17.8) * Math.sqrt(range) * MM_PER_MJ * extraterrestrialMj);
  }

  /** Radiation at the ground from the daily range of temperature, MJ/m2 a day. Eq. 50. */
  public static double solarMj(double tminC, double tmaxC, double extraterrestrialMj) {
    return INTERIOR * Math.sqrt(Math.max(0, tmaxC - tminC)) * extraterrestrialMj;
  }
}
