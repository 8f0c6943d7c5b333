package wiselarder.core.herd;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.herd.NutrientTable.Kept;
import wiselarder.core.quantity.Refused;
import wiselarder.core.reference.CsvTable;

/** Nutrients brought onto a piece with bales, and left there. */
class NutrientsTest {
  private static final NutrientTable TABLE = NutrientTable.load();

  /**
   * Ten tonnes of hay at 10% protein, 0.25% phosphorus and 2% potassium: 160 kg N, 25 kg P, 200 kg
   * K. Dry cows eat eight and leave two. Of 128 kg N eaten they keep 5%: 121.6 go through them, of
   * which 5 to 20% go into the air; the 32 kg of what they left stay.
   */
  @Test
  void tenTonnesOfHay() {
    Nutrients brought = Nutrients.in(10_000, 10, 0.25, 2);
    assertThat(brought.nKg()).isCloseTo(160, within(1e-9));
    assertThat(brought.pKg()).isCloseTo(25, within(1e-9));
    assertThat(brought.kKg()).isCloseTo(200, within(1e-9));
    Kept cow = TABLE.of("beef_cow_mid_gestation");
    Nutrients.LeftBehind left = Nutrients.left(brought.times(0.8), brought.times(0.2), cow);
    assertThat(left.low().nKg()).isCloseTo(121.6 * 0.8 + 32, within(1e-9));
    assertThat(left.high().nKg()).isCloseTo(121.6 * 0.95 + 32, within(1e-9));
    assertThat(left.low().pKg()).isCloseTo(20 * 0.95 + 5, within(1e-9));
    assertThat(left.high().kKg()).isCloseTo(160 * 0.99 + 40, within(1e-9));
    // half of it is in urine, an eighth of all goes into the air
    assertThat(left.soonNKg()).isCloseTo(121.6 * (0.5 - 0.125), within(1e-9));
  }

  @Test
  void everyClassOfAnimalsHasARow() {
    List<String> all = CsvTable.load("animals.csv", r -> r.text("class_id"));
    assertThat(all).hasSizeGreaterThan(40).allSatisfy(id -> assertThat(TABLE.of(id)).isNotNull());
    assertThatThrownBy(() -> TABLE.of("unicorn")).isInstanceOf(Refused.class);
  }

  @Property(tries = 60)
  void noneIsMadeAndNoneIsLostButNitrogenIntoTheAir(
      @ForAll @DoubleRange(min = 0, max = 50_000) double eatenKg,
      @ForAll @DoubleRange(min = 0, max = 20_000) double refusedKg) {
    Kept by = TABLE.of("ewe_lactation_twin");
    Nutrients eaten = Nutrients.in(eatenKg, 9, 0.2, 1.5);
    Nutrients refused = Nutrients.in(refusedKg, 9, 0.2, 1.5);
    Nutrients.LeftBehind left = Nutrients.left(eaten, refused, by);
    assertThat(left.low().nKg()).isLessThanOrEqualTo(left.high().nKg());
    assertThat(left.high().nKg()).isLessThanOrEqualTo(eaten.nKg() + refused.nKg() + 1e-9);
    assertThat(left.high().pKg() + eaten.pKg() * by.pKept())
        .isCloseTo(eaten.pKg() + refused.pKg(), within(1e-6));
    assertThat(left.soonNKg()).isBetween(0.0, left.high().nKg() + 1e-9);
  }
}
