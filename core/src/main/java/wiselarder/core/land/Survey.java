package wiselarder.core.land;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.locationtech.jts.algorithm.MinimumDiameter;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.polygonize.Polygonizer;
import wiselarder.core.land.Outline.Off;
import wiselarder.core.land.Outline.Pads;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;

/** Areas of outlines, and outlines parted. All on the farm's plain grid, so areas are exact. */
public final class Survey {
  private static final double M2_PER_HA = 10_000;

  /** Smaller slivers than this are rounding, m2. */
  private static final double SLIVER_M2 = 1;

  /** A dividing line is drawn on this far beyond its ends, m, so that it need not touch. */
  private static final double BEYOND_M = 20_000;

  /**
   * What an outline measures.
   *
   * @param areaHa the whole
   * @param offHa what each thing in it takes off alone, in its order; where two lie over each other
   *     the sum is more than {@code areaHa - netHa}
   * @param netHa what is left to grow feed
   * @param around how far it is around, m
   */
  public record Measured(double areaHa, List<Double> offHa, double netHa, double around) {}

  private Survey() {}

  /** Measures an outline. */
  public static Measured measure(Outline outline) {
    Polygon field = Shapes.polygon(outline.edge());
    List<Double> off = new ArrayList<>();
    Geometry left = field;
    for (Off o : outline.off()) {
      Geometry taken = taken(o);
      off.add(Shapes.within(field, taken).getArea() / M2_PER_HA);
      left = Shapes.without(left, taken);
    }
    return new Measured(
        field.getArea() / M2_PER_HA, off, left.getArea() / M2_PER_HA, field.getLength());
  }

  /** Area that two outlines share, ha. */
  public static double sharedHa(Outline a, Outline b) {
    return Shapes.within(Shapes.polygon(a.edge()), Shapes.polygon(b.edge())).getArea() / M2_PER_HA;
  }

  /**
   * Parts an outline along a line, larger piece first; what lies in it goes to the pieces.
   *
   * @param line at least two points; drawn on beyond its ends
   * @throws Refused unless exactly two pieces come of it
   */
  public static List<Outline> split(Outline outline, List<Point> line) {
    Polygon field = Shapes.polygon(outline.edge());
    Polygonizer pieces = new Polygonizer();
    pieces.add(field.getExteriorRing().union(drawnOn(line)));
    List<Polygon> found = new ArrayList<>();
    for (Object piece : (Collection<?>) pieces.getPolygons()) {
      Polygon p = (Polygon) piece;
      if (p.getArea() > SLIVER_M2 && field.contains(p.getInteriorPoint())) {
        found.add(p);
      }
    }
    if (found.size() != 2) {
      throw new Refused(CoreReason.NOT_IN_TWO, "split.line", found.size());
    }
    found.sort((a, b) -> Double.compare(b.getArea(), a.getArea()));
    return found.stream().map(p -> piece(p, outline)).toList();
  }

  /**
   * Parts an outline by area along a straight line across its length; what lies in it goes to the
   * pieces.
   *
   * @param share of the area that the second piece has
   * @throws Refused where no such line leaves exactly two pieces
   */
  public static List<Outline> part(Outline outline, double share) {
    Polygon field = Shapes.polygon(outline.edge());
    LineString across = new MinimumDiameter(field).getDiameter();
    // from one end of the length to the other
    double east = -(across.getEndPoint().getY() - across.getStartPoint().getY());
    double north = across.getEndPoint().getX() - across.getStartPoint().getX();
    double norm = Math.hypot(east, north);
    Point along = new Point(east / norm, north / norm);
    double from = Double.POSITIVE_INFINITY;
    double to = Double.NEGATIVE_INFINITY;
    for (Point p : outline.edge()) {
      from = Math.min(from, at(p, along));
      to = Math.max(to, at(p, along));
    }
    double wanted = share * field.getArea();
    for (int halving = 0; halving < HALVINGS; halving++) {
      double middle = (from + to) / 2;
      if (before(field, along, middle).getArea() < wanted) {
        from = middle;
      } else {
        to = middle;
      }
    }
    List<Outline> pieces = split(outline, across(along, (from + to) / 2));
    boolean firstIsIt =
        Math.abs(Shapes.polygon(pieces.get(0).edge()).getArea() - wanted)
            < Math.abs(Shapes.polygon(pieces.get(1).edge()).getArea() - wanted);
    return firstIsIt ? List.of(pieces.get(1), pieces.get(0)) : pieces;
  }

  /** So many halvings of some kilometres come to less than a millimetre. */
  private static final int HALVINGS = 30;

  /** How far a point lies in a direction, m. */
  private static double at(Point p, Point along) {
    return p.eastM() * along.eastM() + p.northM() * along.northM();
  }

  /** A line across a direction, so far along it. */
  private static List<Point> across(Point along, double at) {
    double east = at * along.eastM();
    double north = at * along.northM();
    return List.of(
        new Point(east - along.northM(), north + along.eastM()),
        new Point(east + along.northM(), north - along.eastM()));
  }

  /** What of a shape lies before a line across a direction. */
  private static Geometry before(Polygon field, Point along, double at) {
    List<Point> line = across(along, at);
    double east = BEYOND_M * along.eastM();
    double north = BEYOND_M * along.northM();
    List<Coordinate> ring = new ArrayList<>();
    Point a = beyond(line.get(0), line.get(1));
    Point b = beyond(line.get(1), line.get(0));
    ring.add(new Coordinate(a.eastM(), a.northM()));
    ring.add(new Coordinate(b.eastM(), b.northM()));
    ring.add(new Coordinate(b.eastM() - east, b.northM() - north));
    ring.add(new Coordinate(a.eastM() - east, a.northM() - north));
    ring.add(ring.get(0));
    return Shapes.within(field, Shapes.FACTORY.createPolygon(ring.toArray(Coordinate[]::new)));
  }

  private static Outline piece(Polygon p, Outline of) {
    List<Off> off = new ArrayList<>();
    for (Off o : of.off()) {
      Geometry shape = o.kind().line() ? Shapes.line(o.points()) : Shapes.polygon(o.points());
      Geometry within = Shapes.within(shape, p);
      for (int i = 0; i < within.getNumGeometries(); i++) {
        Geometry part = within.getGeometryN(i);
        boolean kept = o.kind().line() ? part.getLength() > 1 : part.getArea() > SLIVER_M2;
        if (kept && (o.kind().line() ? part instanceof LineString : part instanceof Polygon)) {
          off.add(new Off(o.kind(), o.name(), Shapes.points(part), o.bufferM()));
        }
      }
    }
    return new Outline(Shapes.points(p), off, pads(p, of));
  }

  private static List<Pads> pads(Polygon p, Outline of) {
    List<Pads> pads = new ArrayList<>();
    for (Pads all : of.pads()) {
      List<Point> at = all.at().stream().filter(b -> Shapes.holds(p, b)).toList();
      if (!at.isEmpty()) {
        pads.add(new Pads(all.eatenUp(), at));
      }
    }
    return pads;
  }

  /** Refuses an edge that crosses itself, and shapes with no area. */
  static void refuseCrossed(List<Point> edge, List<Off> off) {
    Polygon field = Shapes.polygon(edge);
    if (!field.isValid() || field.getArea() < SLIVER_M2) {
      throw new Refused(CoreReason.CROSSED_EDGE, "outline.edge", "");
    }
    for (Off o : off) {
      if (!o.kind().line() && !Shapes.polygon(o.points()).isValid()) {
        throw new Refused(CoreReason.CROSSED_EDGE, "off.points", o.name());
      }
    }
  }

  private static Geometry taken(Off o) {
    return Shapes.taken(o, o.bufferM());
  }

  private static LineString drawnOn(List<Point> points) {
    List<Point> drawn = new ArrayList<>(points);
    drawn.add(0, beyond(points.get(1), points.get(0)));
    drawn.add(beyond(points.get(points.size() - 2), points.get(points.size() - 1)));
    return Shapes.line(drawn);
  }

  private static Point beyond(Point from, Point to) {
    double east = to.eastM() - from.eastM();
    double north = to.northM() - from.northM();
    double length = Math.hypot(east, north);
    if (length == 0) {
      throw new Refused(CoreReason.NOT_IN_TWO, "split.line", 0);
    }
    return new Point(
        to.eastM() + east / length * BEYOND_M, to.northM() + north / length * BEYOND_M);
  }
}
