package wiselarder.core.bales;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import wiselarder.core.bales.BaleGrid.Spot;
import wiselarder.core.land.Axes;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.land.Wires;

/**
 * Bales of a grid in the order in which they are opened, so many at a time, with the wire that
 * stands before those that are still closed.
 *
 * @param sections in their order
 */
public record BaleSections(List<Section> sections) {
  /** Beyond any field, m. */
  private static final double BEYOND_M = 100_000;

  /**
   * Bales that are opened together.
   *
   * @param spots in the order of rows
   * @param wire line between these and the next, parts of it where the field is parted; none behind
   *     the last section
   */
  public record Section(List<Spot> spots, List<List<Point>> wire) {
    public Section {
      spots = List.copyOf(spots);
      wire = List.copyOf(wire);
    }
  }

  public BaleSections {
    sections = List.copyOf(sections);
  }

  /**
   * Sections of a grid.
   *
   * @param units bales opened each time, in the order of opening; what they come to is at least the
   *     grid's bales
   * @param fromLast opening begins at the last row
   */
  public static BaleSections of(
      BaleGround ground, Spacing spacing, BaleGrid grid, List<Integer> units, boolean fromLast) {
    List<Spot> order = new ArrayList<>(grid.spots());
    if (fromLast) {
      java.util.Collections.reverse(order);
    }
    Axes axes = new Axes(spacing.rowsDeg());
    Wires wires = new Wires(ground.field());
    List<Section> sections = new ArrayList<>();
    int at = 0;
    for (int n = 0; n < units.size() && at < order.size(); n++) {
      int to = Math.min(order.size(), at + units.get(n));
      List<List<Point>> wire =
          to == order.size()
              ? List.of()
              : wire(
                  wires,
                  axes,
                  spacing,
                  order.get(to - 1),
                  order.get(to),
                  order.get(to - 1).row() == order.get(0).row());
      sections.add(new Section(order.subList(at, to), wire));
      at = to;
    }
    return new BaleSections(sections);
  }

  /**
   * Between rows a straight line; within one it steps from one side of the row to the other behind
   * the last bale that is opened. Behind the first row is the field's own fence: there it goes
   * straight to it.
   */
  private static List<List<Point>> wire(
      Wires wires, Axes axes, Spacing spacing, Spot opened, Spot closed, boolean first) {
    double openedAcross = axes.across(opened.at().eastM(), opened.at().northM());
    double closedAcross = axes.across(closed.at().eastM(), closed.at().northM());
    List<Coordinate> line = new ArrayList<>();
    if (opened.row() != closed.row()) {
      double middle = (openedAcross + closedAcross) / 2;
      line.add(axes.point(-BEYOND_M, middle));
      line.add(axes.point(BEYOND_M, middle));
    } else {
      double along =
          (axes.along(opened.at().eastM(), opened.at().northM())
                  + axes.along(closed.at().eastM(), closed.at().northM()))
              / 2;
      boolean onwards = opened.place() < closed.place();
      double half = onwards ? spacing.acrossM() / 2 : -spacing.acrossM() / 2;
      double before = onwards ? -BEYOND_M : BEYOND_M;
      line.add(axes.point(before, openedAcross + half));
      line.add(axes.point(along, openedAcross + half));
      if (first) {
        line.add(axes.point(along, openedAcross - Math.signum(half) * BEYOND_M));
      } else {
        line.add(axes.point(along, openedAcross - half));
        line.add(axes.point(-before, openedAcross - half));
      }
    }
    // a wire along the field's own fence is none
    return wires.along(line);
  }
}
