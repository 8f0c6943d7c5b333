package wiselarder.core.winter;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import wiselarder.core.land.BufferRule;
import wiselarder.core.land.Cuts;
import wiselarder.core.land.Field;
import wiselarder.core.land.Outline.Off;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.land.Shapes;
import wiselarder.core.plan.BreakField;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.StandsAt;
import wiselarder.core.winter.BreakWinter.BreakCaution;
import wiselarder.core.winter.BreakWinter.Warning;

/** How the ground of breaks lies to water and slope, and whether the wire goes the right way. */
final class BreakChecks {
  /** From the steepest class of the table of buffers. */
  private static final double STEEP_DEG = 16;

  /** Water counts as nearer only by more than this, m: closer than that no wire is set. */
  private static final double NEARER_M = 5;

  private final Field field;
  private final BreakField breaks;
  private final Catalogue tables;
  private final Geometry ground;
  private final Cuts cuts;

  BreakChecks(Field field, BreakField breaks, Catalogue tables, Geometry ground, Cuts cuts) {
    this.field = field;
    this.breaks = breaks;
    this.tables = tables;
    this.ground = ground;
    this.cuts = cuts;
  }

  static BreakCaution told(Warning warning, double value, double against) {
    return new BreakCaution(warning, value, against, "", null, null);
  }

  private List<Off> waters() {
    return field.outline().off().stream().filter(o -> o.kind().water()).toList();
  }

  /** What the slope asks for; a field of which no slope is stated counts as flat. */
  void site(List<BreakCaution> all) {
    double slope = field.lie().slopeDeg() == null ? 0 : field.lie().slopeDeg();
    double wanted = BufferRule.bufferM(tables.buffers(), slope);
    waters().stream()
        .mapToDouble(o -> Math.max(o.bufferM(), breaks.waterM()))
        .filter(m -> m < wanted)
        .min()
        .ifPresent(m -> all.add(told(Warning.NEAR_WATER, m, wanted)));
    for (StandsAt p : breaks.places()) {
      if (p.what().soils()) {
        waters().stream()
            .filter(o -> Shapes.distanceM(o, p.at()) < Math.max(wanted, o.bufferM()))
            .findFirst()
            .ifPresent(
                o ->
                    all.add(
                        told(
                            Warning.STANDS_AT_WATER,
                            Shapes.distanceM(o, p.at()),
                            Math.max(wanted, o.bufferM()))));
      }
    }
    if (slope >= STEEP_DEG) {
      all.add(told(Warning.STEEP, slope, STEEP_DEG));
    }
  }

  /** From the far, high side towards the low side and the water. */
  void order(List<BreakCaution> all) {
    if (!waters().isEmpty() && cuts.areaM2() > 0) {
      double first = toWater(end(cuts, true));
      double last = toWater(end(cuts, false));
      if (first < last - NEARER_M) {
        all.add(told(Warning.FROM_WATER, first, last));
      }
    }
    double angle = offDownhill(breaks.towardsDeg());
    if (angle > 90) {
      all.add(told(Warning.UPHILL, angle, 90));
    }
  }

  Double better() {
    Double best = breaks.downhillDeg();
    if (waters().isEmpty() || cuts.areaM2() <= 0) {
      return best;
    }
    double most = NEARER_M;
    for (int deg = 0; deg < 360; deg += 30) {
      if (offDownhill(deg) <= 90) {
        Cuts that = new Cuts(ground, deg);
        double nearer = toWater(end(that, true)) - toWater(end(that, false));
        if (nearer > most) {
          most = nearer;
          best = (double) deg;
        }
      }
    }
    return best;
  }

  /** Degrees between a direction and the way that water runs off; 0 where nobody has said. */
  private double offDownhill(double deg) {
    if (breaks.downhillDeg() == null) {
      return 0;
    }
    double off = Math.abs(deg - breaks.downhillDeg()) % 360;
    return Math.min(off, 360 - off);
  }

  /** The first or the last tenth of the ground. */
  private static Geometry end(Cuts of, boolean first) {
    double tenth = of.areaM2() / 10;
    return first
        ? of.between(of.at(0), of.at(tenth))
        : of.between(of.at(9 * tenth), of.at(10 * tenth));
  }

  /** From the middle of a piece to the nearest water, m. */
  private double toWater(Geometry piece) {
    Coordinate middle = piece.getCentroid().getCoordinate();
    if (middle == null) {
      return 0;
    }
    Point at = new Point(middle.x, middle.y);
    return waters().stream().mapToDouble(o -> Shapes.distanceM(o, at)).min().orElse(0);
  }
}
