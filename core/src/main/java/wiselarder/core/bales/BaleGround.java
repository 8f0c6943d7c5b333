package wiselarder.core.bales;

import java.util.List;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.land.Shapes;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * Where bales may stand on a field: inside its edge by some metres, off its water with the strip
 * that the slope asks for, off hollows and off the pads of other winters.
 */
public final class BaleGround {
  public static final Stated.Figure EDGE_M = Stated.number("bales.edgeM", 0, 100);

  /**
   * A new bale stands so far from the middle of an old one: what was left lying covers two to three
   * metres about it, and what is left now as much. Assumption.
   */
  private static final double PAD_M = 5;

  private static final double M2_PER_HA = 10_000;

  /** A bale may stand on the very edge, whatever rounding makes of it, m. */
  static final double TOUCH_M = 0.01;

  private final Polygon field;
  private final Geometry allowed;
  private final IndexedPointInAreaLocator locator;

  private BaleGround(Polygon field, Geometry allowed) {
    this.field = field;
    this.allowed = allowed;
    this.locator =
        allowed.isEmpty() ? null : new IndexedPointInAreaLocator(allowed.buffer(TOUCH_M));
  }

  /** The ground of a field with no pads of other winters. */
  public static BaleGround of(Outline outline, String fieldName, double edgeM, double waterM) {
    return of(outline, fieldName, edgeM, waterM, List.of());
  }

  /**
   * The ground of a field.
   *
   * @param edgeM kept free along the field's edge, for wire and tractor
   * @param waterM least strip along waterways and ponds, whatever was drawn
   * @param pads middles of bales of other winters that are left alone
   * @throws Refused where the field is not drawn
   */
  public static BaleGround of(
      Outline outline, String fieldName, double edgeM, double waterM, List<Point> pads) {
    if (outline == null) {
      throw new Refused(CoreReason.NO_OUTLINE, "bales.fieldId", fieldName);
    }
    EDGE_M.check(edgeM);
    return new BaleGround(
        Shapes.polygon(outline.edge()),
        Shapes.awayFrom(Shapes.left(outline, edgeM, waterM), pads, PAD_M));
  }

  /** Whether a bale may stand there. */
  public boolean allows(Point p) {
    return allows(p.eastM(), p.northM());
  }

  boolean allows(double eastM, double northM) {
    return locator != null && locator.locate(new Coordinate(eastM, northM)) != Location.EXTERIOR;
  }

  /** Rings around what is left, and around what is off inside of it. */
  public List<List<Point>> rings() {
    return Shapes.rings(allowed);
  }

  /** What is left to stand bales on, ha. */
  public double netHa() {
    return allowed.getArea() / M2_PER_HA;
  }

  /** The whole field, ha. */
  public double areaHa() {
    return field.getArea() / M2_PER_HA;
  }

  Geometry allowed() {
    return allowed;
  }

  Polygon field() {
    return field;
  }
}
