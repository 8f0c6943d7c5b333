package wiselarder.core.land;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import wiselarder.core.land.Outline.Off;
import wiselarder.core.land.Outline.Point;

/** Outlines as geometry, in metres on the farm's plain grid. */
public final class Shapes {
  static final GeometryFactory FACTORY = new GeometryFactory();

  /** A quarter of a circle about a corner is drawn in so many pieces. */
  private static final int QUARTER_PIECES = 16;

  private Shapes() {}

  /** A shape of corners, the first not repeated. */
  public static Polygon polygon(List<Point> corners) {
    Coordinate[] ring = new Coordinate[corners.size() + 1];
    for (int i = 0; i < ring.length; i++) {
      ring[i] = coordinate(corners.get(i % corners.size()));
    }
    return FACTORY.createPolygon(ring);
  }

  public static LineString line(List<Point> points) {
    return FACTORY.createLineString(
        points.stream().map(Shapes::coordinate).toArray(Coordinate[]::new));
  }

  /** What a thing in a field takes off with a strip around it of so many metres. */
  public static Geometry taken(Off off, double bufferM) {
    Geometry shape = off.kind().line() ? line(off.points()) : polygon(off.points());
    return bufferM > 0 ? shape.buffer(bufferM, QUARTER_PIECES) : shape;
  }

  /** Corners of a ring or points of a line, to the decimetre; of a ring the first not repeated. */
  public static List<Point> points(Geometry of) {
    Coordinate[] all = of.getCoordinates();
    int count = of instanceof Polygon ? all.length - 1 : all.length;
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      points.add(new Point(decimetres(all[i].x), decimetres(all[i].y)));
    }
    return points;
  }

  static double decimetres(double m) {
    return Math.round(m * 10) / 10.0;
  }

  private static Coordinate coordinate(Point p) {
    return new Coordinate(p.eastM(), p.northM());
  }
}
