package wiselarder.core.land;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import wiselarder.core.land.Outline.Point;

/** Wires drawn across a shape, from its own fence to its own fence. */
public final class Wires {
  private static final double FENCE_M = 0.1;

  private final Geometry shape;
  private final Geometry fence;

  public Wires(Geometry shape) {
    this.shape = shape;
    fence = shape.getBoundary().buffer(FENCE_M);
  }

  /** The parts of a line that lie inside the shape and not along its own fence. */
  public List<List<Point>> along(List<Coordinate> line) {
    Geometry inside =
        Shapes.within(Shapes.FACTORY.createLineString(line.toArray(Coordinate[]::new)), shape);
    List<List<Point>> parts = new ArrayList<>();
    for (int i = 0; i < inside.getNumGeometries(); i++) {
      if (inside.getGeometryN(i) instanceof LineString part && !fence.covers(part)) {
        parts.add(Shapes.points(part));
      }
    }
    return parts;
  }
}
