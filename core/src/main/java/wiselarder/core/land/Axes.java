package wiselarder.core.land;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/** Metres along a direction, and across it to its right. */
public final class Axes {
  private final double sin;
  private final double cos;

  /**
   * Axes of a direction.
   *
   * @param alongDeg degrees from north to the east
   */
  public Axes(double alongDeg) {
    sin = Math.sin(Math.toRadians(alongDeg));
    cos = Math.cos(Math.toRadians(alongDeg));
  }

  public double east(double along, double across) {
    return along * sin + across * cos;
  }

  public double north(double along, double across) {
    return along * cos - across * sin;
  }

  public double along(double east, double north) {
    return east * sin + north * cos;
  }

  public double across(double east, double north) {
    return east * cos - north * sin;
  }

  public Coordinate point(double along, double across) {
    return new Coordinate(east(along, across), north(along, across));
  }

  /** From where to where a shape reaches along the direction, or across it. */
  public double[] reach(Geometry of, boolean along) {
    double from = Double.POSITIVE_INFINITY;
    double to = Double.NEGATIVE_INFINITY;
    for (Coordinate c : of.getCoordinates()) {
      double at = along ? along(c.x, c.y) : across(c.x, c.y);
      from = Math.min(from, at);
      to = Math.max(to, at);
    }
    return new double[] {from, to};
  }
}
