package wiselarder.core.land;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wiselarder.core.forage.Forage;
import wiselarder.core.quantity.Refused;

class FieldTest {
  private static final Map<String, Forage> FORAGES = Forage.loadAll();
  private static final Forage FESCUE = FORAGES.get("tall_fescue_novel");

  private static Field field(String forage, Double residual, Double turnIn, Double utilization) {
    Stand stand = new Stand(forage, null, null, null, 0, null, null);
    return new Field(
        "f",
        "F",
        1,
        stand,
        Field.Grazing.ROTATIONAL,
        utilization,
        residual,
        turnIn,
        false,
        null,
        null);
  }

  @Test
  void whatIsNotStatedComesFromTheForage() {
    Field field = field("tall_fescue_novel", null, null, null);
    assertThat(field.residualFor(FESCUE)).isEqualTo(1300);
    assertThat(field.utilizationFor(FESCUE)).isEqualTo(0.62);
    // a third of the way from 1,300 to the entry mass of 2,440
    assertThat(field.turnInFor(FESCUE)).isCloseTo(1680, within(1e-9));
    assertThat(field.openingCoverFor(FESCUE)).isEqualTo(1870);
  }

  @Test
  void theUsersFiguresWin() {
    Field field = field("tall_fescue_novel", 1000.0, 2000.0, 0.5);
    assertThat(field.residualFor(FESCUE)).isEqualTo(1000);
    assertThat(field.turnInFor(FESCUE)).isEqualTo(2000);
    assertThat(field.utilizationFor(FESCUE)).isEqualTo(0.5);
  }

  @Test
  void sorghumIsNeverEnteredBelowItsSafeHeightWhateverIsStated() {
    Forage sorghum = FORAGES.get("sorghum_sudangrass");
    Field field = field("sorghum_sudangrass", null, 500.0, null);
    assertThat(field.turnInFor(sorghum))
        .isEqualTo(sorghum.massAtHeightKgPerHa(sorghum.prussicMinHeightCm()))
        .isGreaterThan(2000);
  }

  @Test
  void impossibleFieldsAreRefused() {
    assertThatThrownBy(() -> field("tall_fescue_novel", -5.0, null, null))
        .isInstanceOfSatisfying(
            Refused.class, e -> assertThat(e.field()).isEqualTo("field.residualKgPerHa"));
    assertThatThrownBy(() -> field("tall_fescue_novel", null, null, 1.2))
        .isInstanceOfSatisfying(
            Refused.class, e -> assertThat(e.refusal().values()).containsEntry("max", 0.95));
    LocalDate day = LocalDate.of(2027, 3, 1);
    assertThatThrownBy(() -> new Stand("tall_fescue_novel", null, null, null, 0, day, day))
        .isInstanceOfSatisfying(
            Refused.class, e -> assertThat(e.code()).isEqualTo("dates_reversed"));
  }
}
