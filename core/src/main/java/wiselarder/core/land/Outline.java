package wiselarder.core.land;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * A field's shape on the farm's plain grid, and what lies in it that feeds nobody.
 *
 * @param edge corners in order, first not repeated, at least three
 * @param pads of winters in which bales were eaten there; they take no area off
 */
public record Outline(List<Point> edge, List<Off> off, List<Pads> pads) {
  private static final int MOST_POINTS = 500;
  private static final int MOST_OFF = 60;
  private static final int MOST_WINTERS = 20;

  /** Metres east and north of the grid's origin. */
  public record Point(double eastM, double northM) {
    private static final double FURTHEST_M = 100_000;

    public static final Stated.Figure EAST_M =
        Stated.number("point.eastM", -FURTHEST_M, FURTHEST_M);
    public static final Stated.Figure NORTH_M =
        Stated.number("point.northM", -FURTHEST_M, FURTHEST_M);

    public Point {
      EAST_M.check(eastM);
      NORTH_M.check(northM);
    }
  }

  /** What takes area off. */
  public enum Kind {
    /** A line, with a strip to each side. */
    WATERWAY,
    /** Shapes, with a strip around. */
    POND,
    HOLLOW,
    OLD_BALE_PAD;

    /** True for a line, false for a shape. */
    public boolean line() {
      return this == WATERWAY;
    }

    /** True for what dung must not run into. */
    public boolean water() {
      return this == WATERWAY || this == POND;
    }
  }

  /**
   * One thing that takes area off.
   *
   * @param points of a line, at least two; corners of a shape, at least three
   * @param bufferM width of the strip kept on each side of a line or around a shape
   */
  public record Off(Kind kind, String name, List<Point> points, double bufferM) {
    public static final Stated.Figure BUFFER_M = Stated.number("off.bufferM", 0, 500);
    public static final Stated.Text NAME = Stated.note("off.name", 60);

    public Off {
      Check.present("off.kind", kind);
      name = NAME.check(name);
      points = List.copyOf(Check.present("off.points", points));
      Check.range("off.points", points.size(), kind.line() ? 2 : 3, MOST_POINTS);
      BUFFER_M.check(bufferM);
    }
  }

  /**
   * Where bales were eaten in one winter.
   *
   * @param eatenUp day on which the last of them was
   * @param at middles of the bales
   */
  public record Pads(LocalDate eatenUp, List<Point> at) {
    static final int MOST = 2000;

    public Pads {
      Check.present("pads.eatenUp", eatenUp);
      at = List.copyOf(Check.present("pads.at", at));
      Check.range("pads.at", at.size(), 1, MOST);
    }
  }

  /** An outline with no pads in it. */
  public Outline(List<Point> edge, List<Off> off) {
    this(edge, off, null);
  }

  /**
   * Middles of the pads that are still left alone.
   *
   * @param on the day from which bales are to be eaten there
   * @param winters for so many years a pad is left alone; those of this very winter are not meant
   */
  public List<Point> padsLeftAlone(LocalDate on, int winters) {
    return pads.stream()
        .filter(p -> p.eatenUp.isBefore(on) && p.eatenUp.plusYears(winters).isAfter(on))
        .flatMap(p -> p.at.stream())
        .toList();
  }

  public Outline {
    edge = List.copyOf(Check.present("outline.edge", edge));
    pads = pads == null ? List.of() : List.copyOf(pads);
    Check.range("outline.pads", pads.size(), 0, MOST_WINTERS);
    off = List.copyOf(Check.present("outline.off", off));
    Check.range("outline.edge", edge.size(), 3, MOST_POINTS);
    Check.range("outline.off", off.size(), 0, MOST_OFF);
    Survey.refuseCrossed(edge, off);
  }
}
