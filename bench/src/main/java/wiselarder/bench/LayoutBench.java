package wiselarder.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.locationtech.jts.geom.Geometry;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import wiselarder.core.bales.BaleGrid;
import wiselarder.core.bales.BaleGround;
import wiselarder.core.bales.BaleSections;
import wiselarder.core.bales.Spacing;
import wiselarder.core.land.Cuts;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Outline.Kind;
import wiselarder.core.land.Outline.Off;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.land.Shapes;
import wiselarder.core.land.Wires;

/** Layouts on a field of sixty corners with a brook and three holes in it. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class LayoutBench {
  private static final int CORNERS = 60;
  private static final int BALES = 400;
  private static final int BREAKS = 60;
  private static final Spacing SPACING = new Spacing(12, 15, 20, 0, 0);
  private final Outline outline = field();

  private static Outline field() {
    List<Point> edge = new ArrayList<>();
    for (int i = 0; i < CORNERS; i++) {
      double turn = 2 * Math.PI * i / CORNERS;
      double radius = i % 2 == 0 ? 190 : 205;
      edge.add(new Point(radius * Math.sin(turn), radius * Math.cos(turn)));
    }
    List<Off> off = new ArrayList<>();
    off.add(
        new Off(
            Kind.WATERWAY,
            "Brook",
            List.of(new Point(-220, -150), new Point(0, -120), new Point(220, -160)),
            20));
    for (int hole = 0; hole < 3; hole++) {
      double east = -90 + 80 * hole;
      off.add(
          new Off(
              Kind.HOLLOW,
              "Hollow",
              List.of(new Point(east, 20), new Point(east + 30, 25), new Point(east + 15, 60)),
              5));
    }
    return new Outline(edge, off);
  }

  /** Ground, grid and wires of all sections, as when a wire is moved. */
  @Benchmark
  public int bales() {
    BaleGround ground = BaleGround.of(outline, "Field", 8, 20);
    BaleGrid grid = BaleGrid.of(ground, SPACING).first(BALES, false);
    int sections =
        BaleSections.of(ground, SPACING, grid, Collections.nCopies(BALES / 8, 8), false)
            .sections()
            .size();
    return grid.spots().size() + sections;
  }

  /** Ground, and sixty breaks with their wires. */
  @Benchmark
  public double breaks() {
    Geometry ground = Shapes.left(outline, 0, 20);
    Wires wires = new Wires(Shapes.polygon(outline.edge()));
    Cuts cuts = new Cuts(ground, 160);
    double area = 0;
    double from = cuts.at(0);
    for (int i = 1; i <= BREAKS; i++) {
      double to = cuts.at(cuts.areaM2() * i / BREAKS);
      area += cuts.between(from, to).getArea() + cuts.line(wires, to).size();
      from = to;
    }
    return area;
  }
}
