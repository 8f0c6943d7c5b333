package wiselarder.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.forage.QualityTable.Values;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;

/** Corn stalks: grain and husk go first. By the table 6.0% protein and 56% TDN, then 4.5 and 49. */
class ResidueTest {
  private static Field stalks(Field.Grazing grazing) {
    return new Field(
        "stalks",
        "Stalks",
        10,
        new Stand("corn_residue", null, null, 8000.0, 1, null, null),
        grazing,
        null,
        null,
        null,
        true,
        "",
        null);
  }

  private static YearBalance year(Field.Grazing grazing, int bulls) {
    Farms farm = new Farms().eaters("bulls", bulls, 9);
    farm.fields.add(stalks(grazing));
    return ENGINE.simulate(farm.graze("bulls", null, null, "stalks").build());
  }

  /** By day, percent of DM, while anything is eaten. */
  private static List<Double> protein(YearBalance year) {
    List<Double> all = new ArrayList<>();
    for (int d = 0; d < year.days() && year.eatenKg(0, d) > 1; d++) {
      all.add(100 * year.dietKg(0, d, Values.PROTEIN) / year.eatenKg(0, d));
    }
    return all;
  }

  /**
   * Twenty bulls eat 180 kg of ten hectares. Set stocked 15% of what they take down is eaten: 120
   * kg/ha a day of the 4,000 that stand above what is left. In the middle of the first bite 1.5% of
   * it is gone, so the diet holds 6.0 - 0.015 x 1.5 = 5.98% protein; it never gets better, and ends
   * at the late row.
   */
  @Test
  void overTheWholeFieldTheBestGoesFirst() {
    List<Double> protein = protein(year(Field.Grazing.SET_STOCKED, 20));
    assertThat(protein.get(0)).isCloseTo(6.0 - 1.5 * 0.5 * 120 / 4000, within(1e-9));
    for (int d = 1; d < protein.size(); d++) {
      assertThat(protein.get(d)).isLessThan(protein.get(d - 1));
    }
    assertThat(protein.get(protein.size() - 1)).isBetween(4.4, 4.6);
  }

  /** In strips each has its grain, husk and leaf: for weeks no day is as good, and none as poor. */
  @Test
  void inStripsTheDietIsHeld() {
    List<Double> whole = protein(year(Field.Grazing.SET_STOCKED, 20));
    List<Double> strips = protein(year(Field.Grazing.STRIP, 20));
    assertThat(mean(strips, 0, 7)).isBetween(5.0, 5.5).isLessThan(mean(whole, 0, 7));
    assertThat(mean(strips, 21, 28)).isGreaterThan(mean(whole, 21, 28));
    assertThat(strips.size()).isGreaterThan(whole.size());
    double first = mean(strips, 0, 14);
    // weather takes off some of it by the end
    assertThat(mean(strips, 28, 42)).isBetween(0.9 * first, first);
  }

  private static double mean(List<Double> of, int from, int to) {
    return of.subList(from, to).stream().mapToDouble(p -> p).average().orElseThrow();
  }
}
