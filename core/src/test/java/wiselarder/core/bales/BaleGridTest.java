package wiselarder.core.bales;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import wiselarder.core.bales.BaleGrid.Spot;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Outline.Kind;
import wiselarder.core.land.Outline.Off;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.land.Shapes;
import wiselarder.core.quantity.Refused;

/** Bales on a grid inside a field's shape, and the wire between sections. */
class BaleGridTest {
  private static Point at(double east, double north) {
    return new Point(east, north);
  }

  private static Outline square(double side, Off... off) {
    return new Outline(List.of(at(0, 0), at(side, 0), at(side, side), at(0, side)), List.of(off));
  }

  private static Spacing spacing(double along, double across, double deg) {
    return new Spacing(along, across, deg, 0, 0);
  }

  private static BaleGrid grid(Outline outline, double edgeM, double waterM, Spacing spacing) {
    return BaleGrid.of(BaleGround.of(outline, "Field", edgeM, waterM), spacing);
  }

  /**
   * A square of a hectare with ten metres kept along its edge: 80 by 80 m. Rows run north: nine
   * bales ten metres apart in each of five rows twenty metres apart.
   */
  @Test
  void rowsOfASquare() {
    BaleGround ground = BaleGround.of(square(100), "Field", 10, 0);
    assertThat(ground.areaHa()).isCloseTo(1, within(1e-9));
    assertThat(ground.netHa()).isCloseTo(0.64, within(1e-9));
    BaleGrid grid = BaleGrid.of(ground, spacing(10, 20, 0));
    assertThat(grid.spots()).hasSize(45);
    assertThat(grid.rows()).isEqualTo(5);
    Spot first = grid.spots().get(0);
    assertThat(first.at().eastM()).isCloseTo(10, within(1e-6));
    assertThat(first.at().northM()).isCloseTo(10, within(1e-6));
    Spot last = grid.spots().get(44);
    assertThat(List.of(last.row(), last.place())).containsExactly(4, 8);
    assertThat(last.at().eastM()).isCloseTo(90, within(1e-6));
    // the same grid again after its spacing; half way it loses a row and a place in each
    assertThat(BaleGrid.of(ground, new Spacing(10, 20, 0, 10, 20)).spots()).hasSize(45);
    assertThat(BaleGrid.of(ground, new Spacing(10, 20, 0, 5, 10)).spots()).hasSize(4 * 8);
    assertThat(BaleGrid.of(ground, spacing(10, 20, 90)).rows()).isEqualTo(5);
  }

  @Test
  void whatBalesAskFor() {
    // 90 bales at 12 by 15 m
    assertThat(spacing(12, 15, 0).askHa(90)).isCloseTo(1.62, within(1e-9));
    assertThat(spacing(12, 15, 0).perHa()).isCloseTo(55.6, within(0.05));
  }

  /** The brook was drawn with 5 m; on this slope 20 m are kept, the pad as it was drawn. */
  @Test
  void waterKeepsTheStripOfTheSlopeAndPadsTheirOwn() {
    Off brook = new Off(Kind.WATERWAY, "brook", List.of(at(50, -10), at(50, 110)), 5);
    Off pad = new Off(Kind.OLD_BALE_PAD, "2025", List.of(at(80, 80), at(90, 80), at(90, 90)), 3);
    Outline outline = square(100, brook, pad);
    assertThat(BaleGround.of(outline, "Field", 0, 0).netHa()).isBetween(0.88, 0.89);
    BaleGround ground = BaleGround.of(outline, "Field", 0, 20);
    assertThat(ground.netHa()).isBetween(0.58, 0.6);
    assertThat(ground.allows(at(29.9, 50))).isTrue();
    assertThat(ground.allows(at(30.1, 50))).isFalse();
    assertThat(ground.allows(at(88, 82))).isFalse();
    assertThat(ground.allows(at(95, 95))).isTrue();
  }

  @Test
  void aFieldThatIsNotDrawnOrIsAllEdgeHasNoPlace() {
    assertThatThrownBy(() -> BaleGround.of(null, "Saddle", 5, 0))
        .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.code()).isEqualTo("no_outline"));
    assertThat(grid(square(100), 60, 0, spacing(10, 20, 0)).spots()).isEmpty();
    assertThat(grid(square(100), 60, 0, spacing(10, 20, 0)).rows()).isZero();
  }

  /** Seven at a time of rows of nine: the wire steps within the first row. */
  @Test
  void theWireStandsBehindTheLastThatIsOpen() {
    BaleGround ground = BaleGround.of(square(100), "Field", 10, 0);
    Spacing spacing = spacing(10, 20, 0);
    BaleGrid grid = BaleGrid.of(ground, spacing);
    BaleSections sevens = BaleSections.of(ground, spacing, grid, List.of(7, 11, 40), false);
    assertThat(sevens.sections()).extracting(s -> s.spots().size()).containsExactly(7, 11, 27);
    assertThat(sevens.sections().get(0).wire())
        .containsExactly(List.of(at(20, 0), at(20, 75), at(0, 75)));
    // two whole rows are open then
    assertThat(sevens.sections().get(1).wire()).containsExactly(List.of(at(40, 0), at(40, 100)));
    assertThat(sevens.sections().get(2).wire()).isEmpty();
    BaleSections last = BaleSections.of(ground, spacing, grid, List.of(7, 38), true);
    assertThat(last.sections().get(0).spots().get(0).row()).isEqualTo(4);
    assertThat(last.sections().get(0).wire())
        .containsExactly(List.of(at(80, 100), at(80, 25), at(100, 25)));
  }

  private static final Off POND =
      new Off(Kind.POND, "pond", List.of(at(60, 60), at(110, 70), at(100, 120), at(70, 110)), 4);

  private static Outline uneven(int corners, double radius) {
    List<Point> edge = new ArrayList<>();
    for (int i = 0; i < corners; i++) {
      double turn = 2 * Math.PI * i / corners;
      double r = radius * (1 + 0.2 * Math.sin(5 * turn));
      edge.add(at(100 + r * Math.cos(turn), 100 + r * Math.sin(turn)));
    }
    return new Outline(edge, List.of(POND));
  }

  @Property(tries = 60)
  void allStandWhereTheyMayAndNoneCloserThanTheSpacing(
      @ForAll @IntRange(min = 4, max = 60) int corners,
      @ForAll @DoubleRange(min = 5, max = 30) double along,
      @ForAll @DoubleRange(min = 5, max = 30) double across,
      @ForAll @DoubleRange(min = 0, max = 179) double deg,
      @ForAll @DoubleRange(min = 0, max = 25) double edgeM) {
    Outline outline = uneven(corners, 90);
    List<Point> pads = List.of(at(80, 90), at(130, 100), at(131, 104));
    BaleGround ground = BaleGround.of(outline, "Field", edgeM, 10, pads);
    List<Spot> spots = BaleGrid.of(ground, spacing(along, across, deg)).spots();
    Geometry kept = ground.allowed().buffer(2 * BaleGround.TOUCH_M);
    GeometryFactory points = new GeometryFactory();
    double closest = Double.POSITIVE_INFINITY;
    for (int i = 0; i < spots.size(); i++) {
      Point p = spots.get(i).at();
      assertThat(
              kept.covers(
                  points.createPoint(
                      new org.locationtech.jts.geom.Coordinate(p.eastM(), p.northM()))))
          .isTrue();
      for (Point pad : pads) {
        double away = Math.hypot(p.eastM() - pad.eastM(), p.northM() - pad.northM());
        // a circle is drawn in pieces
        assertThat(away).isGreaterThan(4.8);
      }
      for (int j = 0; j < i; j++) {
        Point q = spots.get(j).at();
        closest = Math.min(closest, Math.hypot(p.eastM() - q.eastM(), p.northM() - q.northM()));
      }
    }
    assertThat(closest).isGreaterThanOrEqualTo(Math.min(along, across) - 1e-6);
  }

  /** Every bale is in one section, and the wire has what is open on one side of it. */
  @Property(tries = 40)
  void sectionsHoldEveryBaleOnceAndTheWirePartsThem(
      @ForAll @IntRange(min = 1, max = 20) int atOnce,
      @ForAll @DoubleRange(min = 0, max = 179) double deg,
      @ForAll boolean fromLast) {
    Outline outline = square(150);
    BaleGround ground = BaleGround.of(outline, "Field", 8, 0);
    Spacing spacing = spacing(12, 15, deg);
    BaleGrid grid = BaleGrid.of(ground, spacing);
    List<Integer> units = Collections.nCopies(grid.spots().size(), atOnce);
    List<BaleSections.Section> sections =
        BaleSections.of(ground, spacing, grid, units, fromLast).sections();
    List<Spot> all = sections.stream().flatMap(s -> s.spots().stream()).toList();
    assertThat(all).containsExactlyInAnyOrderElementsOf(grid.spots());
    Geometry field = Shapes.polygon(outline.edge());
    for (int n = 0; n + 1 < sections.size(); n++) {
      List<List<Point>> wire = sections.get(n).wire();
      assertThat(wire).hasSize(1);
      // no step from an open bale to the next closed one of its row without crossing the wire
      Spot open = last(sections.get(n).spots());
      Spot closed = sections.get(n + 1).spots().get(0);
      Geometry way = Shapes.line(List.of(open.at(), closed.at()));
      assertThat(way.intersects(Shapes.line(wire.get(0)))).isTrue();
      assertThat(field.buffer(0.2).covers(Shapes.line(wire.get(0)))).isTrue();
    }
  }

  private static Spot last(List<Spot> of) {
    return of.get(of.size() - 1);
  }
}
