package wiselarder.core.land;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;
import wiselarder.core.land.Outline.Off;
import wiselarder.core.land.Outline.Point;

/** A ground cut into pieces of areas that are asked for. */
class CutsTest {
  private static Point at(double east, double north) {
    return new Point(east, north);
  }

  private static Geometry square(double side, Off... off) {
    return Shapes.left(
        new Outline(List.of(at(0, 0), at(side, 0), at(side, side), at(0, side)), List.of(off)),
        0,
        0);
  }

  /** A hectare, going north: three quarters of it lie behind 75 m; going south behind 25 m. */
  @Test
  void aSquareIsCutAcrossTheWay() {
    Cuts north = new Cuts(square(100), 0);
    assertThat(north.areaM2()).isCloseTo(10_000, within(1e-6));
    assertThat(north.at(7_500)).isCloseTo(75, within(1e-9));
    assertThat(new Cuts(square(100), 180).at(7_500)).isCloseTo(-25, within(1e-9));
    assertThat(north.at(-5)).isZero();
    assertThat(north.at(99_999)).isEqualTo(100);
    assertThat(north.line(new Wires(square(100)), 75))
        .containsExactly(List.of(at(0, 75), at(100, 75)));
    assertThat(north.line(new Wires(square(100)), 100)).as("along the fence").isEmpty();
  }

  /** From a corner the piece is a triangle as wide as it is deep twice over: depth squared. */
  @Test
  void aCornerIsCutAcross() {
    Cuts cuts = new Cuts(square(100), 45);
    assertThat(cuts.at(400)).isCloseTo(20, within(1e-9));
    assertThat(cuts.at(5_000)).isCloseTo(Math.sqrt(5_000), within(1e-9));
  }

  /**
   * A pond of 20 by 20 m in the middle takes nothing up to 40 m and a fifth of the width beyond.
   */
  @Test
  void whatIsOffCountsForNothing() {
    Off pond =
        new Off(Outline.Kind.POND, "", List.of(at(40, 40), at(60, 40), at(60, 60), at(40, 60)), 0);
    Cuts cuts = new Cuts(square(100, pond), 0);
    assertThat(cuts.areaM2()).isCloseTo(9_600, within(1e-6));
    assertThat(cuts.at(4_000)).isCloseTo(40, within(1e-9));
    assertThat(cuts.at(4_800)).isCloseTo(50, within(1e-9));
    assertThat(cuts.line(new Wires(square(100, pond)), 50)).hasSize(2);
  }

  /** Cuts that all but meet a corner, as those of a whole year on a crooked field do. */
  @Test
  void aCutThroughACornerIsACut() {
    Geometry ground =
        Shapes.polygon(
            List.of(at(1276.9, 749.1), at(1260.9, 842.7), at(1040.3, 830.2), at(1052.1, 741.7)));
    for (double deg = 0; deg < 360; deg += 15) {
      Cuts cuts = new Cuts(ground, deg);
      for (int i = 1; i <= 8; i++) {
        double corner = cuts.at(cuts.areaM2() * (i - 1) / 8);
        for (double off : new double[] {0, 6e-12, -6e-12, 1e-9}) {
          double from = cuts.at(0) + off;
          assertThat(cuts.between(from, corner).getArea())
              .isCloseTo(cuts.areaM2() * (i - 1) / 8, within(0.01));
        }
      }
    }
  }

  @Test
  void noGroundIsNoPiece() {
    Cuts none = new Cuts(square(100).difference(square(100)), 0);
    assertThat(none.areaM2()).isZero();
    assertThat(none.at(10)).isZero();
  }

  /** Pieces of any shape of ground tile it: none is missing, none lies twice. */
  @Property(tries = 100)
  void piecesTileTheGround(
      @ForAll @DoubleRange(min = 0, max = 359) double deg,
      @ForAll @DoubleRange(min = 5, max = 40) double strip,
      @ForAll @IntRange(min = 1, max = 30) int pieces) {
    Outline outline =
        new Outline(
            List.of(at(0, 0), at(150, -20), at(180, 90), at(90, 60), at(20, 140)),
            List.of(
                new Off(Outline.Kind.WATERWAY, "", List.of(at(100, -50), at(110, 120)), strip),
                new Off(Outline.Kind.HOLLOW, "", List.of(at(30, 30), at(50, 35), at(40, 60)), 2)));
    Geometry ground = Shapes.left(outline, 0, 0);
    Cuts cuts = new Cuts(ground, deg);
    assertThat(cuts.areaM2()).isCloseTo(ground.getArea(), within(1e-6));
    double before = cuts.at(0);
    Geometry behind = null;
    for (int i = 1; i <= pieces; i++) {
      double to = cuts.at(cuts.areaM2() * i / pieces);
      Geometry piece = cuts.between(before, to);
      assertThat(piece.getArea()).isCloseTo(cuts.areaM2() / pieces, within(1e-3));
      assertThat(ground.buffer(0.01).covers(piece)).isTrue();
      if (behind != null) {
        assertThat(behind.intersection(piece).getArea()).isLessThan(1e-3);
      }
      behind = piece;
      before = to;
    }
  }
}
