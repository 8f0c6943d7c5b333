package wiselarder.core.bales;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.land.Axes;
import wiselarder.core.land.Outline.Point;

/**
 * Places of bales on a field, row by row: those of a regular grid on which one may stand. Rows
 * count from the left of the direction in which they run, places along them.
 */
public record BaleGrid(List<Spot> spots) {
  /** Where a bale stands. */
  public record Spot(int row, int place, Point at) {}

  public BaleGrid {
    spots = List.copyOf(spots);
  }

  /** All places on a ground. */
  public static BaleGrid of(BaleGround ground, Spacing spacing) {
    List<Spot> spots = new ArrayList<>();
    if (ground.allowed().isEmpty()) {
      return new BaleGrid(spots);
    }
    Axes axes = new Axes(spacing.rowsDeg());
    double[] along = axes.reach(ground.allowed(), true);
    double[] across = axes.reach(ground.allowed(), false);
    double firstAcross = across[0] + spacing.shiftAcrossM() % spacing.acrossM();
    double firstAlong = along[0] + spacing.shiftAlongM() % spacing.alongM();
    int row = 0;
    for (int r = 0; firstAcross + r * spacing.acrossM() <= across[1]; r++) {
      double v = firstAcross + r * spacing.acrossM();
      int place = 0;
      for (int p = 0; firstAlong + p * spacing.alongM() <= along[1]; p++) {
        double u = firstAlong + p * spacing.alongM();
        double east = axes.east(u, v);
        double north = axes.north(u, v);
        if (ground.allows(east, north)) {
          spots.add(new Spot(row, place++, new Point(east, north)));
        }
      }
      row += place > 0 ? 1 : 0;
    }
    return new BaleGrid(spots);
  }

  /** How many rows have a bale. */
  public int rows() {
    return spots.isEmpty() ? 0 : spots.get(spots.size() - 1).row + 1;
  }

  /**
   * The same with no more bales than there are: the rows nearest to the first are filled, or the
   * last ones where opening begins there.
   */
  public BaleGrid first(int bales, boolean fromLast) {
    int count = Math.min(bales, spots.size());
    return new BaleGrid(
        fromLast ? spots.subList(spots.size() - count, spots.size()) : spots.subList(0, count));
  }
}
