package wiselarder.core.land;

import wiselarder.core.land.Outline.Point;
import wiselarder.core.quantity.Stated;

/**
 * Where the farm's plain grid lies on the globe: its origin, degrees of WGS 84. Metres for each
 * degree are those at the origin, by the usual series for that ellipsoid; over a farm 10 km across
 * areas err by less than a thousandth.
 */
public record Grid(double longitudeDeg, double latitudeDeg) {
  public static final Stated.Figure LONGITUDE_DEG = Stated.number("grid.longitudeDeg", -180, 180);
  public static final Stated.Figure LATITUDE_DEG = Stated.number("grid.latitudeDeg", -80, 80);

  public Grid {
    LONGITUDE_DEG.check(longitudeDeg);
    LATITUDE_DEG.check(latitudeDeg);
  }

  /** Metres in a degree of latitude. */
  double metresNorthPerDeg() {
    double phi = Math.toRadians(latitudeDeg);
    return 111132.92 - 559.82 * Math.cos(2 * phi) + 1.175 * Math.cos(4 * phi);
  }

  /** Metres in a degree of longitude. */
  double metresEastPerDeg() {
    double phi = Math.toRadians(latitudeDeg);
    return 111412.84 * Math.cos(phi) - 93.5 * Math.cos(3 * phi) + 0.118 * Math.cos(5 * phi);
  }

  /** The point of the grid at a place, to the decimetre. */
  public Point at(double longitude, double latitude) {
    return new Point(
        decimetres((longitude - longitudeDeg) * metresEastPerDeg()),
        decimetres((latitude - latitudeDeg) * metresNorthPerDeg()));
  }

  public double longitudeOf(Point p) {
    return longitudeDeg + p.eastM() / metresEastPerDeg();
  }

  public double latitudeOf(Point p) {
    return latitudeDeg + p.northM() / metresNorthPerDeg();
  }

  private static double decimetres(double m) {
    return Math.round(m * 10) / 10.0;
  }
}
