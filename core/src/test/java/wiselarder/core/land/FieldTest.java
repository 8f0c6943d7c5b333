package wiselarder.core.land;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.quantity.Refused;

class FieldTest {
  private static final Map<String, Forage> FORAGES = Forage.loadAll();
  private static final Forage FESCUE = FORAGES.get("tall_fescue_novel");
  private static final HeightTable HEIGHTS = HeightTable.load(FORAGES);

  private static GrazingCovers covers(Field field, Forage forage) {
    return GrazingCovers.of(field, forage, HEIGHTS);
  }

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
    assertThat(covers(field, FESCUE).leave()).isEqualTo(1300);
    assertThat(field.utilizationFor(FESCUE)).isEqualTo(0.62);
    // a third of the way from 1,300 to the entry mass of 2,440
    assertThat(covers(field, FESCUE).enter()).isCloseTo(1680, within(1e-9));
    assertThat(covers(field, FESCUE).opening()).isEqualTo(1870);
  }

  @Test
  void theUsersFiguresWin() {
    Field field = field("tall_fescue_novel", 1000.0, 2000.0, 0.5);
    assertThat(covers(field, FESCUE).leave()).isEqualTo(1000);
    assertThat(covers(field, FESCUE).enter()).isEqualTo(2000);
    assertThat(field.utilizationFor(FESCUE)).isEqualTo(0.5);
  }

  /**
   * Straight between the points of the table, spring, summer and autumn: at 8 cm 1,038, 1,180 and
   * 1,092; at 22 cm 2,500, 2,600 and 2,700; at 15 cm 1,800, 1,950 and 1,900. Standing in winter at
   * 12 cm: 1,400 and two fifths of the 650 up to 15 cm.
   */
  @Test
  void heightsRuleWhereTheyAreStated() {
    Field field =
        field("tall_fescue_novel", null, null, null)
            .grazedBy(null, new Heights(22.0, 8.0, 15.0, 12.0));
    GrazingCovers covers = covers(field, FESCUE);
    assertThat(covers.leave()).isCloseTo(3310 / 3.0, within(1e-9));
    assertThat(covers.enter()).isCloseTo(2600, within(1e-9));
    assertThat(covers.again()).isCloseTo(5650 / 3.0, within(1e-9));
    assertThat(covers.leaveInWinter()).isCloseTo(1660, within(1e-9));
    Field stated =
        field("tall_fescue_novel", 900.0, null, null)
            .grazedBy(null, new Heights(null, 8.0, null, null));
    assertThat(covers(stated, FESCUE).leave()).isEqualTo(900);
  }

  @Test
  void stockComeInAboveTheHeightAtWhichTheyLeave() {
    assertThatThrownBy(() -> new Heights(8.0, 10.0, null, null))
        .isInstanceOfSatisfying(
            Refused.class, e -> assertThat(e.code()).isEqualTo("enter_below_leave"));
  }

  @Test
  void sorghumIsNeverEnteredBelowItsSafeHeightWhateverIsStated() {
    Forage sorghum = FORAGES.get("sorghum_sudangrass");
    Field field = field("sorghum_sudangrass", null, 500.0, null);
    assertThat(covers(field, sorghum).enter())
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
