package wiselarder.core.land;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;

/**
 * A ground cut by straight lines across a direction, so that each piece has the area that is asked
 * for. Exact: between two corners the ground's width changes evenly, so that the area up to a line
 * is a quadratic in where the line stands.
 */
public final class Cuts {
  /** Beyond any field, m. */
  private static final double BEYOND_M = 100_000;

  private final Geometry ground;
  private final Axes axes;

  /** Where corners lie along the direction, ascending; area up to each, m2. */
  private final double[] corners;

  private final double[] area;

  /** Width just behind each corner, and just before the next, m. */
  private final double[] widthFrom;

  private final double[] widthTo;

  /**
   * Prepares the cuts of a ground.
   *
   * @param alongDeg direction in which one piece follows another, degrees from north to the east
   */
  public Cuts(Geometry ground, double alongDeg) {
    this.ground = ground;
    this.axes = new Axes(alongDeg);
    List<double[]> edges = edges(ground.norm());
    corners = edges.stream().flatMapToDouble(e -> Arrays.stream(e, 0, 1)).sorted().toArray();
    int n = Math.max(0, corners.length - 1);
    area = new double[corners.length];
    widthFrom = new double[n];
    widthTo = new double[n];
    for (int i = 0; i < n; i++) {
      double from = corners[i];
      double to = corners[i + 1];
      if (to > from) {
        for (double[] e : edges) {
          if (Math.min(e[0], e[2]) <= from && Math.max(e[0], e[2]) >= to) {
            double way = -Math.signum(e[2] - e[0]);
            widthFrom[i] += way * across(e, from);
            widthTo[i] += way * across(e, to);
          }
        }
      }
      area[i + 1] = area[i] + (widthFrom[i] + widthTo[i]) / 2 * (to - from);
    }
  }

  /** From corner to corner: along, across, along, across; the ground at the same hand of each. */
  private List<double[]> edges(Geometry of) {
    List<double[]> edges = new ArrayList<>();
    for (int g = 0; g < of.getNumGeometries(); g++) {
      if (of.getGeometryN(g) instanceof Polygon p) {
        add(edges, p.getExteriorRing());
        for (int h = 0; h < p.getNumInteriorRing(); h++) {
          add(edges, p.getInteriorRingN(h));
        }
      }
    }
    return edges;
  }

  private void add(List<double[]> edges, LinearRing ring) {
    Coordinate[] c = ring.getCoordinates();
    for (int i = 0; i + 1 < c.length; i++) {
      edges.add(
          new double[] {
            axes.along(c[i].x, c[i].y),
            axes.across(c[i].x, c[i].y),
            axes.along(c[i + 1].x, c[i + 1].y),
            axes.across(c[i + 1].x, c[i + 1].y)
          });
    }
  }

  private static double across(double[] edge, double along) {
    return edge[1] + (edge[3] - edge[1]) * (along - edge[0]) / (edge[2] - edge[0]);
  }

  /** The whole ground, m2. */
  public double areaM2() {
    return area.length == 0 ? 0 : area[area.length - 1];
  }

  /** Where the line stands behind which so much lies, m along the direction. */
  public double at(double areaM2) {
    if (corners.length == 0) {
      return 0;
    }
    if (areaM2 >= areaM2()) {
      return corners[corners.length - 1];
    }
    int i = Arrays.binarySearch(area, Math.max(0, areaM2));
    if (i >= 0) {
      return corners[i];
    }
    i = -i - 2;
    double more = areaM2 - area[i];
    double steeper = (widthTo[i] - widthFrom[i]) / (corners[i + 1] - corners[i]);
    double root = Math.sqrt(Math.max(0, widthFrom[i] * widthFrom[i] + 2 * steeper * more));
    return Math.min(corners[i + 1], corners[i] + 2 * more / (widthFrom[i] + root));
  }

  /** What lies between two lines, m along the direction. */
  public Geometry between(double from, double to) {
    Coordinate[] slab = {
      axes.point(from, -BEYOND_M),
      axes.point(from, BEYOND_M),
      axes.point(to, BEYOND_M),
      axes.point(to, -BEYOND_M),
      axes.point(from, -BEYOND_M)
    };
    return Shapes.within(ground, Shapes.FACTORY.createPolygon(slab));
  }

  /** The line at a place along the direction, across a shape. */
  public List<List<Outline.Point>> line(Wires inside, double at) {
    return inside.along(List.of(axes.point(at, -BEYOND_M), axes.point(at, BEYOND_M)));
  }
}
