package wiselarder.core.land;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.quantity.Refused;

/** Cover from a stick, a plate and clipped frames, by hand. */
class CoverMeasureTest {
  private static CoverMeasure byStick(
      String forage, HeightTable.Season season, HeightTable.Density density, Double... cm) {
    return CoverMeasure.byHeights(
        Farms.ENGINE.catalogue().heights(),
        Farms.ENGINE.catalogue().forage(forage),
        season,
        density,
        List.of(cm));
  }

  @Test
  void byStick() {
    // novel fescue in spring: 1,800 at 15 cm, 2,500 at 22: 21 cm are 2,400
    CoverMeasure m =
        byStick(
            "tall_fescue_novel",
            HeightTable.Season.SPRING,
            HeightTable.Density.ORDINARY,
            15.0,
            21.0);
    assertThat(m.coverKgPerHa()).isCloseTo(2100, within(1e-9));
    assertThat(m.lowKgPerHa()).isCloseTo(1460, within(50.0)).isLessThan(2100);
    assertThat(m.highKgPerHa()).isCloseTo(2800, within(60.0));
  }

  /** A straight line from exit to entry height gave a dense tall native a third too little. */
  @Test
  void aTallNativeStandIsHeavierThanALineFromItsStubble() {
    wiselarder.core.forage.Forage switchgrass = Farms.ENGINE.catalogue().forage("switchgrass");
    CoverMeasure dense =
        byStick("switchgrass", HeightTable.Season.SUMMER, HeightTable.Density.DENSE, 110.0);
    CoverMeasure thin =
        byStick("switchgrass", HeightTable.Season.SUMMER, HeightTable.Density.THIN, 110.0);
    assertThat(dense.coverKgPerHa())
        .isGreaterThan(1.22 * switchgrass.massAtHeightKgPerHa(110))
        .isGreaterThan(1.5 * thin.coverKgPerHa());
    assertThat(thin.highKgPerHa()).isGreaterThan(thin.coverKgPerHa());
  }

  @Test
  void aboveTheLastPointNothingIsAdded() {
    CoverMeasure tall =
        byStick("teff", HeightTable.Season.SUMMER, HeightTable.Density.ORDINARY, 80.0);
    CoverMeasure taller =
        byStick("teff", HeightTable.Season.SUMMER, HeightTable.Density.ORDINARY, 140.0);
    assertThat(taller.coverKgPerHa()).isEqualTo(tall.coverKgPerHa()).isEqualTo(4900);
  }

  @Test
  void byPlate() {
    // mean 12 times 140 and 500 on top
    assertThat(CoverMeasure.byPlate(List.of(10.0, 14.0), 140, 500).coverKgPerHa())
        .isCloseTo(2180, within(1e-9));
  }

  @Test
  void byClip() {
    // 250 g at 22% in a quarter square metre: 55 g of dry matter, 220 g/m2, 2,200 kg/ha
    CoverMeasure.Clip clip = new CoverMeasure.Clip(250, 0.22, 0.25);
    assertThat(CoverMeasure.byClips(List.of(clip)).coverKgPerHa()).isCloseTo(2200, within(1e-9));
    // 2,200 and 2,640: mean 2,420, standard error 220
    CoverMeasure two = CoverMeasure.byClips(List.of(clip, new CoverMeasure.Clip(300, 0.22, 0.25)));
    assertThat(two.coverKgPerHa()).isCloseTo(2420, within(1e-9));
    assertThat(two.lowKgPerHa()).isCloseTo(1980, within(1e-6));
    assertThat(two.highKgPerHa()).isCloseTo(2860, within(1e-6));
  }

  @Test
  void impossibleReadingsAreRefused() {
    assertThatThrownBy(() -> CoverMeasure.byPlate(List.of(), 140, 500)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new CoverMeasure.Clip(250, 22, 0.25)).isInstanceOf(Refused.class);
  }
}
