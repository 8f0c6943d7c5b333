package wiselarder.core.land;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
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

  /** How far a place is from a thing in a field, its strip not counted; 0 inside of it, m. */
  public static double distanceM(Off off, Point from) {
    return taken(off, 0).distance(FACTORY.createPoint(coordinate(from)));
  }

  /**
   * What a field has left inside its edge and outside of what takes area off.
   *
   * @param edgeM kept free along the edge
   * @param waterM least strip along waterways and ponds, whatever was drawn
   */
  public static Geometry left(Outline outline, double edgeM, double waterM) {
    Polygon field = polygon(outline.edge());
    Geometry left = edgeM > 0 ? field.buffer(-edgeM) : field;
    for (Off o : outline.off()) {
      left =
          without(left, taken(o, o.kind().water() ? Math.max(o.bufferM(), waterM) : o.bufferM()));
    }
    return left;
  }

  /** Whether a place lies in a shape or on its edge. */
  static boolean holds(Geometry shape, Point at) {
    return shape.covers(FACTORY.createPoint(coordinate(at)));
  }

  /** What is left of a ground that keeps so many metres away from some places. */
  public static Geometry awayFrom(Geometry ground, List<Point> places, double m) {
    if (places.isEmpty()) {
      return ground;
    }
    Coordinate[] middles = places.stream().map(Shapes::coordinate).toArray(Coordinate[]::new);
    return without(ground, FACTORY.createMultiPointFromCoords(middles).buffer(m));
  }

  /** Rings around all parts of a ground, and around what is off inside of them. */
  public static List<List<Point>> rings(Geometry ground) {
    List<List<Point>> rings = new ArrayList<>();
    for (int i = 0; i < ground.getNumGeometries(); i++) {
      if (ground.getGeometryN(i) instanceof Polygon p && !p.isEmpty()) {
        rings.add(points(p.getExteriorRing()));
        for (int h = 0; h < p.getNumInteriorRing(); h++) {
          rings.add(points(p.getInteriorRingN(h)));
        }
      }
    }
    return rings;
  }

  /**
   * What of one shape lies in another. As {@link Geometry#intersection}, which gives up where edges
   * all but meet, as they do where a line is drawn along a fence.
   */
  static Geometry within(Geometry one, Geometry other) {
    return OverlayNGRobust.overlay(one, other, OverlayNG.INTERSECTION);
  }

  /** What of one shape lies outside of another. */
  static Geometry without(Geometry one, Geometry other) {
    return OverlayNGRobust.overlay(one, other, OverlayNG.DIFFERENCE);
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
