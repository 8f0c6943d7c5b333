package wiselarder.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import wiselarder.core.store.Lot;

class UnitsTest {
  @Test
  void conversionsAreTheDefinedOnes() {
    assertThat(Units.ha(238)).isCloseTo(96.315, within(0.001));
    assertThat(Units.lb(453.59237)).isCloseTo(1000, within(1e-9));
    assertThat(Units.kgPerHa(1000)).isCloseTo(1120.851, within(0.001));
    assertThat(Units.acres(Units.ha(17))).isCloseTo(17, within(1e-12));
  }

  @Test
  void aLotKnowsItsDryMatter() {
    Lot lot = new Lot("l", "L", "bale", 3, 400, 0.87, "s_barn", "f_cone", null, null);
    assertThat(lot.kgDmPerUnit()).isEqualTo(348);
  }

  @Test
  void nanAndOutOfRangeAreRefusedWithWhatIsAccepted() {
    assertThatThrownBy(() -> Check.range("lot.dmShare", Double.NaN, 0.1, 1))
        .isInstanceOf(Refused.class)
        .hasMessage("lot.dmShare: out_of_range {value=NaN, min=0.1, max=1.0}");
    assertThatThrownBy(() -> Check.text("lot.name", "  ", 60)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> Check.text("lot.name", "two\nlines", 60)).isInstanceOf(Refused.class);
  }
}
