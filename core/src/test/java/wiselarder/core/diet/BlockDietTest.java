package wiselarder.core.diet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.time.MonthDay;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Shelf;
import wiselarder.core.diet.ShelfDiet.Measure;
import wiselarder.core.herd.Energy;
import wiselarder.core.land.Field;

/** What blocks give is what was grazed on their fields. */
class BlockDietTest {
  private static final YearBalance YEAR = year();

  private static YearBalance year() {
    Farms farms = new Farms().bales("hay", 90);
    farms.fields.add(in("Home", Farms.fescue("a", 6, 25, 2200)));
    farms.fields.add(in("Home", Farms.fescue("b", 3, 25, 2200)));
    farms.fields.add(in("Brook", Farms.fescue("c", 5, 25, 2200)));
    farms.groups.add(Farms.dams("cows", "beef/cow", 14, 550, MonthDay.of(3, 1), 0.9));
    farms.graze("cows", null, null, "a", "b", "c").feed("cows", null, null);
    return ENGINE.simulate(farms.build());
  }

  private static Field in(String block, Field f) {
    return new Field(
        f.id(),
        f.name(),
        f.areaHa(),
        f.stand(),
        f.grazing(),
        f.utilization(),
        f.residualKgPerHa(),
        f.turnInKgPerHa(),
        f.hayable(),
        f.note(),
        f.soil(),
        f.deductedHa(),
        f.lie(),
        f.outline(),
        f.paddocks(),
        f.heights(),
        block);
  }

  @Test
  void allBlocksGiveAllThatIsGrazed() {
    BlockDiet home = BlockDiet.of(YEAR, Measure.DRY_MATTER, "Home");
    BlockDiet brook = BlockDiet.of(YEAR, Measure.DRY_MATTER, "Brook");
    double grazed = 0;
    for (int d = 0; d < YEAR.days(); d++) {
      for (Shelf s : new Shelf[] {Shelf.GROWING, Shelf.STANDING}) {
        assertThat(home.given(s, d) + brook.given(s, d))
            .isCloseTo(YEAR.eatenKg(s, d), within(1e-6));
        grazed += home.given(s, d);
      }
      assertThat(home.given(Shelf.PUT_BY, d)).isZero();
      assertThat(home.need(d)).isEqualTo(YEAR.needKg(d));
      assertThat(home.lacking(d)).isZero();
    }
    assertThat(grazed).isGreaterThan(1000);
  }

  @Test
  void energyAndProteinAreByTheWorthOfWhatStands() {
    BlockDiet kg = BlockDiet.of(YEAR, Measure.DRY_MATTER, "Brook");
    BlockDiet energy = BlockDiet.of(YEAR, Measure.ENERGY, "Brook");
    BlockDiet protein = BlockDiet.of(YEAR, Measure.PROTEIN, "Brook");
    int days = 0;
    for (int d = 0; d < YEAR.days(); d++) {
      double eaten = kg.given(Shelf.GROWING, d);
      if (eaten > 0) {
        days++;
        assertThat(protein.given(Shelf.GROWING, d))
            .isCloseTo(eaten * YEAR.standingProteinPct(2, d) / 100, within(1e-6));
        assertThat(energy.given(Shelf.GROWING, d))
            .isCloseTo(eaten * YEAR.standingTdnPct(2, d) * Energy.MJ_PER_TDN_PCT, within(1e-6));
      }
    }
    assertThat(days).isGreaterThan(30);
  }

  @Test
  void aBlockThatIsNotThereGivesNothing() {
    BlockDiet none = BlockDiet.of(YEAR, Measure.DRY_MATTER, "Hill");
    assertThat(none.given(Shelf.GROWING, 20)).isZero();
    assertThat(none.need(20)).isPositive();
  }
}
