package wiselarder.core.land;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.quantity.Refused;

/** Cover from a stick, a plate and clipped frames, by hand. */
class CoverMeasureTest {
  @Test
  void byStick() {
    // novel fescue: 1,300 at 10 cm and 95 for each cm above: 15 and 21 cm are 1,775 and 2,345
    CoverMeasure m =
        CoverMeasure.byHeights(
            Farms.ENGINE.catalogue().forage("tall_fescue_novel"), List.of(15.0, 21.0));
    assertThat(m.coverKgPerHa()).isCloseTo(2060, within(1e-9));
    assertThat(m.lowKgPerHa()).isCloseTo(1236, within(1e-9));
    assertThat(m.highKgPerHa()).isCloseTo(2884, within(1e-9));
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
