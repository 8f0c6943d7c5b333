package wiselarder.core.records;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.forage.HeightTable.Density;
import wiselarder.core.forage.HeightTable.Season;
import wiselarder.core.land.CoverMeasure;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;

/** Frames that were clipped beside a stick make the table of heights the farm's own. */
class ClippedTest {
  private static final String FESCUE = "tall_fescue_novel";
  private static final HeightTable TABLE = ENGINE.catalogue().heights();
  private static final Forage FORAGE = ENGINE.catalogue().forage(FESCUE);

  private static double table(double cm) {
    return TABLE.massKgPerHa(FORAGE, Season.SPRING, Density.ORDINARY, cm);
  }

  /** Frames of a quarter square metre, all dry, that hold so many kg/ha at these heights. */
  private static CoverSeen frames(List<Double> heights, List<Double> kgPerHa) {
    return seen(
        CoverSeen.Way.CLIP,
        heights,
        kgPerHa.stream().map(kg -> new CoverMeasure.Clip(kg / 40, 1, 0.25)).toList());
  }

  private static CoverSeen seen(
      CoverSeen.Way way, List<Double> heights, List<CoverMeasure.Clip> clips) {
    return new CoverSeen(
        "near",
        FESCUE,
        way,
        Season.SPRING,
        Density.ORDINARY,
        heights,
        null,
        null,
        null,
        clips,
        null,
        null,
        List.of(),
        "");
  }

  private static FarmRecords written(CoverSeen... seen) {
    return Farms.written(
        IntStream.range(0, seen.length)
            .mapToObj(i -> Farms.seen(START.plusDays(200 + i), seen[i]))
            .toArray(FarmRecord[]::new));
  }

  private static List<Clipped> lines(CoverSeen... seen) {
    return Clipped.of(written(seen), TABLE, ENGINE.catalogue().forages());
  }

  /** A quarter more than the table at each height: 1.25 times it, without any error. */
  @Test
  void framesThatAgreeMakeALineWithoutError() {
    List<Double> cm = List.of(8.0, 12.0, 16.0, 24.0);
    Clipped line = lines(frames(cm, cm.stream().map(h -> 1.25 * table(h)).toList())).get(0);
    assertThat(line.frames()).isEqualTo(4);
    assertThat(line.times()).isCloseTo(1.25, within(1e-9));
    assertThat(line.errorShare()).isCloseTo(0, within(1e-6));
    assertThat(line.used()).isTrue();
  }

  /**
   * By hand, with t the table at 12 cm: own 1.1t, 1.3t, 1.2t, 1.4t, so k = 5.0/4 = 1.25; squares
   * left (0.15, 0.05, 0.05, 0.15)^2 = 0.05; error = sqrt(0.05/3/4)/1.25 = 0.0516.
   */
  @Test
  void theErrorIsThatOfTheLine() {
    double t = table(12);
    Clipped line =
        lines(frames(List.of(12.0, 12.0, 12.0, 12.0), List.of(1.1 * t, 1.3 * t, 1.2 * t, 1.4 * t)))
            .get(0);
    assertThat(line.times()).isCloseTo(1.25, within(1e-9));
    assertThat(line.errorShare()).isCloseTo(Math.sqrt(0.05 / 12) / 1.25, within(1e-9));
  }

  @Test
  void fewOrScatteredFramesAreShownAndNotGoneBy() {
    double t = table(12);
    assertThat(lines(frames(List.of(12.0, 12.0, 12.0), List.of(t, t, t))).get(0).used()).isFalse();
    Clipped wild =
        lines(frames(List.of(12.0, 12.0, 12.0, 12.0), List.of(0.1 * t, 3 * t, 0.2 * t, 0.1 * t)))
            .get(0);
    assertThat(wild.errorShare()).isGreaterThan(0.3);
    assertThat(wild.used()).isFalse();
    // frames without a height say how much stands, and nothing of heights
    assertThat(lines(frames(List.of(), List.of(t, t, t, t)))).isEmpty();
  }

  private static YearBalance year(CoverSeen... seen) {
    FarmPlan farm = new Farms().field("near", 5, 25, 2000).build();
    return ENGINE.knowing(written(seen)).simulate(farm);
  }

  /** A stick of before and after reads by the farm's own frames, and is known better. */
  @Test
  void sticksReadByTheFarmsOwnFrames() {
    CoverSeen stick = seen(CoverSeen.Way.HEIGHT, List.of(14.0), List.of());
    CoverMeasure before = year(stick).readings().get(0).seen();
    assertThat(before.coverKgPerHa()).isCloseTo(table(14), within(1e-9));
    List<Double> cm = List.of(10.0, 14.0, 18.0, 22.0);
    CoverSeen clipped = frames(cm, cm.stream().map(h -> 0.8 * table(h)).toList());
    CoverMeasure after = year(stick, clipped).readings().get(0).seen();
    assertThat(after.coverKgPerHa()).isCloseTo(0.8 * table(14), within(1e-6));
    assertThat(after.highKgPerHa() / after.coverKgPerHa()).isCloseTo(1.2, within(1e-6));
    assertThat(before.highKgPerHa() / before.coverKgPerHa()).isGreaterThan(1.25);
  }

  @Test
  void everyFrameHasItsHeightOrNone() {
    assertThatThrownBy(() -> frames(List.of(12.0), List.of(1000.0, 1200.0)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("seen.heightsCm");
  }
}
