package wiselarder.core.herd;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The animal table agrees with itself and with the formulas that read it. */
class AnimalTableTest {
  private static final HerdTables TABLES = HerdTables.load();

  @ParameterizedTest
  @ValueSource(
      strings = {
        "beef_cow_mid_gestation",
        "beef_cow_early_lactation",
        "stocker_320",
        "dairy_cow_mid_lactation",
        "dairy_heifer_200_350",
        "ewe_lactation_twin",
        "lamb_30",
        "doe_late_gestation",
        "bison_growing"
      })
  void whatAClassEatsOfFeedAtItsNeedHoldsItsEnergyAndItsFibreHasRoom(String id) {
    AnimalClass c = TABLES.byId(id);
    double intakeKg = c.intakeKg(c.typicalWeightKg());
    double holds = intakeKg * Energy.mjPerKg(c.tdnNeedPct());
    assertThat(holds).isCloseTo(c.meNeedMj(), within(0.04 * c.meNeedMj()));
    // feed with the least fibre that the class asks for must fit into it
    double leastFibreKg = intakeKg * c.fibreMinPct() / 100;
    assertThat(leastFibreKg).isLessThan(c.typicalWeightKg() * c.fibreCapPctBw() / 100);
    assertThat(c.dmiTypicalPctBw()).isBetween(c.dmiLowPctBw(), c.dmiHighPctBw());
    assertThat(c.lctDryC()).isLessThan(c.lctWetC());
    assertThat(c.waterAt10L()).isLessThan(c.waterAt30L());
    assertThat(c.calciumNeedPct()).isGreaterThanOrEqualTo(c.phosphorusNeedPct());
  }
}
