package wiselarder.core.land;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class SoilWaterTest {
  @Test
  void capacityIsTextureTimesTheDepthThatRootsReach() {
    Soil loam = new Soil(Soil.Texture.LOAM, 80.0, true);
    assertThat(Soil.capacityMm(loam, 150, 120)).isCloseTo(160 * 0.8, within(1e-9));
    assertThat(Soil.capacityMm(loam, 150, 60)).isCloseTo(160 * 0.6, within(1e-9));
    assertThat(Soil.capacityMm(null, 150, 120)).isCloseTo(180, within(1e-9));
  }

  @Test
  void aDayTakesWhatAirAndCoverAsk() {
    // 100 of 180 mm, full cover, 4 mm asked: 100 - 4 x 0.97
    assertThat(SoilWater.after(100, 180, 0, 4, 1, true)).isCloseTo(96.12, within(1e-9));
    // bare ground loses less: 4 x 0.30
    assertThat(SoilWater.after(100, 180, 0, 4, 0, true)).isCloseTo(98.8, within(1e-9));
    // at a quarter of the water, half of the asking: share 0.25 / 0.5
    assertThat(SoilWater.after(45, 180, 0, 4, 1, true)).isCloseTo(45 - 1.94, within(1e-9));
  }

  @Test
  void surplusDrainsAtOnceOrStands() {
    assertThat(SoilWater.after(175, 180, 20, 0, 1, true)).isEqualTo(180);
    assertThat(SoilWater.after(175, 180, 20, 0, 1, false)).isCloseTo(180 + 15 * 0.9, within(1e-9));
  }

  @Test
  void growthFallsToTheDroughtHoldAndThenToNothing() {
    assertThat(SoilWater.growthShare(90, 180, 0.5)).isEqualTo(1);
    assertThat(SoilWater.growthShare(72, 180, 0.5)).isCloseTo(0.75, within(1e-9));
    assertThat(SoilWater.growthShare(54, 180, 0.5)).isCloseTo(0.5, within(1e-9));
    assertThat(SoilWater.growthShare(27, 180, 0.5)).isCloseTo(0.25, within(1e-9));
    assertThat(SoilWater.growthShare(0, 180, 0.5)).isZero();
    assertThat(SoilWater.growthShare(210, 180, 0.5)).isCloseTo(0.75, within(1e-9));
  }
}
