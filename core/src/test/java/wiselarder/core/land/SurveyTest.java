package wiselarder.core.land;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.land.Outline.Kind;
import wiselarder.core.land.Outline.Off;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.quantity.Refused;

/** Areas worked out by hand on the plain grid. */
class SurveyTest {
  private static Point at(double east, double north) {
    return new Point(east, north);
  }

  private static List<Point> box(double west, double south, double east, double north) {
    return List.of(at(west, south), at(east, south), at(east, north), at(west, north));
  }

  private static Outline outline(Off... off) {
    return new Outline(box(0, 0, 200, 100), List.of(off));
  }

  @Test
  void aBoxIsLengthTimesWidth() {
    Survey.Measured m = Survey.measure(outline());
    assertThat(m.areaHa()).isCloseTo(2, within(1e-12));
    assertThat(m.netHa()).isCloseTo(2, within(1e-12));
    assertThat(m.around()).isCloseTo(600, within(1e-9));
  }

  @Test
  void aWaterwayTakesItsStripOnBothSides() {
    // along the middle, 200 m by twice 10 m: 4,000 m2
    Off creek = new Off(Kind.WATERWAY, "Creek", List.of(at(-50, 50), at(250, 50)), 10);
    Survey.Measured m = Survey.measure(outline(creek));
    assertThat(m.offHa().get(0)).isCloseTo(0.4, within(1e-9));
    assertThat(m.netHa()).isCloseTo(1.6, within(1e-9));
  }

  @Test
  void alongTheEdgeOnlyTheStripInsideCounts() {
    Off creek = new Off(Kind.WATERWAY, "Creek", List.of(at(-50, 0), at(250, 0)), 10);
    assertThat(Survey.measure(outline(creek)).netHa()).isCloseTo(1.8, within(1e-9));
  }

  @Test
  void whatLiesOverEachOtherIsTakenOffOnce() {
    Off pond = new Off(Kind.POND, "Pond", box(20, 20, 60, 60), 0);
    Off hollow = new Off(Kind.HOLLOW, "Hollow", box(40, 20, 80, 60), 0);
    Survey.Measured m = Survey.measure(outline(pond, hollow));
    assertThat(m.offHa()).allSatisfy(ha -> assertThat(ha).isCloseTo(0.16, within(1e-12)));
    assertThat(m.areaHa() - m.netHa()).isCloseTo(0.24, within(1e-12));
  }

  @Test
  void aLineThatNeedNotTouchPartsAField() {
    Off pond = new Off(Kind.POND, "Pond", box(130, 40, 170, 60), 5);
    List<Outline> pieces = Survey.split(outline(pond), List.of(at(150, 90), at(150, 10)));
    assertThat(Survey.measure(pieces.get(0)).areaHa()).isCloseTo(1.5, within(1e-9));
    assertThat(Survey.measure(pieces.get(1)).areaHa()).isCloseTo(0.5, within(1e-9));
    assertThat(pieces)
        .allSatisfy(
            p -> {
              assertThat(p.off()).hasSize(1);
              assertThat(p.off().get(0).bufferM()).isEqualTo(5);
            });
  }

  @Test
  void aLineBesideTheFieldPartsNothing() {
    assertThatThrownBy(() -> Survey.split(outline(), List.of(at(300, 0), at(300, 50))))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("not_in_two {pieces=1}");
  }

  @Test
  void anEdgeThatCrossesItselfIsRefused() {
    assertThatThrownBy(
            () -> new Outline(List.of(at(0, 0), at(100, 100), at(100, 0), at(0, 100)), List.of()))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("crossed_edge");
    assertThatThrownBy(() -> new Outline(box(0, 0, 0, 100), List.of())).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Off(Kind.POND, "", List.of(at(0, 0), at(1, 1)), 0))
        .isInstanceOf(Refused.class);
  }

  /** Whatever the line and the shape: no square metre is lost or made. */
  @Property(tries = 200)
  void piecesAddUpToTheWhole(
      @ForAll @IntRange(min = 4, max = 14) int corners,
      @ForAll @DoubleRange(min = 0, max = 3.1) double turn,
      @ForAll @DoubleRange(min = 0.3, max = 1) double flat) {
    List<Point> edge = new ArrayList<>();
    for (int i = 0; i < corners; i++) {
      double a = 2 * Math.PI * i / corners;
      edge.add(at(300 * Math.cos(a), 300 * flat * Math.sin(a)));
    }
    Outline whole = new Outline(edge, List.of());
    List<Outline> pieces =
        Survey.split(
            whole,
            List.of(at(-Math.cos(turn), -Math.sin(turn)), at(Math.cos(turn), Math.sin(turn))));
    double sum = pieces.stream().mapToDouble(p -> Survey.measure(p).areaHa()).sum();
    // corners are kept to the decimetre: over a way around of 2 km less than 0.03 ha
    assertThat(sum).isCloseTo(Survey.measure(whole).areaHa(), within(0.03));
    assertThat(Survey.sharedHa(pieces.get(0), pieces.get(1))).isLessThan(0.03);
  }

  @Test
  void degreesBecomeMetresAtTheirLatitude() {
    // common tables: a degree at 45 N is 111,132 m north and 78,847 m east; at the equator 110,574
    // and 111,320
    Grid middle = new Grid(-40, 45);
    assertThat(middle.metresNorthPerDeg()).isCloseTo(111_132, within(2.0));
    assertThat(middle.metresEastPerDeg()).isCloseTo(78_847, within(2.0));
    assertThat(new Grid(0, 0).metresNorthPerDeg()).isCloseTo(110_574, within(2.0));
    assertThat(new Grid(0, 0).metresEastPerDeg()).isCloseTo(111_320, within(2.0));
  }

  @Test
  void aPlaceComesBackToTheDecimetre() {
    Grid grid = new Grid(-40, 36.9);
    Point p = grid.at(-39.995, 36.903);
    assertThat(grid.longitudeOf(p)).isCloseTo(-39.995, within(1e-6));
    assertThat(grid.latitudeOf(p)).isCloseTo(36.903, within(1e-6));
    assertThat(p.eastM()).isCloseTo(446, within(2.0));
    assertThat(p.northM()).isCloseTo(333, within(1.0));
  }

  @Test
  void theStripAlongWaterWidensWithSlope() {
    List<BufferRule> rules = BufferRule.loadAll();
    assertThat(rules).extracting(BufferRule::bufferM).isSorted().startsWith(10.0);
    for (int i = 1; i < rules.size(); i++) {
      assertThat(rules.get(i).fromDeg()).isEqualTo(rules.get(i - 1).toDeg());
    }
  }
}
