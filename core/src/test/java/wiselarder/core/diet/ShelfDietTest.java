package wiselarder.core.diet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.time.MonthDay;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Shelf;
import wiselarder.core.diet.ShelfDiet.Measure;

/** Shelves in dry matter, energy and protein add up to the diets of the groups. */
class ShelfDietTest {
  private static final YearBalance YEAR = year();

  private static YearBalance year() {
    Farms farms = new Farms().field("a", 8, 25, 2200).bales("hay", 90);
    farms.groups.add(Farms.dams("cows", "beef/cow", 12, 550, MonthDay.of(3, 1), 0.9));
    farms.groups.add(Farms.dams("ewes", "sheep/ewe", 30, 65, MonthDay.of(4, 1), 1.5));
    farms.graze("cows", null, null, "a").feed("cows", null, null);
    farms.graze("ewes", null, null, "a").feed("ewes", null, null);
    return ENGINE.simulate(farms.build());
  }

  private static double all(ShelfDiet of, int day) {
    double sum = 0;
    for (Shelf s : Shelf.values()) {
      sum += of.given(s, day);
    }
    return sum;
  }

  @Test
  void dryMatterIsThatOfTheBalance() {
    ShelfDiet kg = ShelfDiet.of(YEAR, Measure.DRY_MATTER, null);
    for (int d = 0; d < YEAR.days(); d += 7) {
      assertThat(kg.need(d)).isCloseTo(YEAR.needKg(d), within(1e-9));
      assertThat(kg.lacking(d)).isCloseTo(YEAR.bareKg(d), within(1e-9));
      for (Shelf s : Shelf.values()) {
        assertThat(kg.given(s, d)).isCloseTo(YEAR.eatenKg(s, d), within(1e-9));
      }
    }
  }

  @ParameterizedTest
  @EnumSource
  void theGroupsMakeTheWhole(Measure measure) {
    ShelfDiet whole = ShelfDiet.of(YEAR, measure, null);
    ShelfDiet cows = ShelfDiet.of(YEAR, measure, "cows");
    ShelfDiet ewes = ShelfDiet.of(YEAR, measure, "ewes");
    for (int d = 0; d < YEAR.days(); d += 5) {
      assertThat(whole.need(d)).isCloseTo(cows.need(d) + ewes.need(d), within(1e-6));
      assertThat(whole.lacking(d)).isCloseTo(cows.lacking(d) + ewes.lacking(d), within(1e-6));
      assertThat(all(whole, d)).isCloseTo(all(cows, d) + all(ewes, d), within(1e-6));
    }
  }

  @Test
  void energyAndProteinAreThoseOfTheDiet() {
    DietYear diet = DietYear.of(YEAR, 0);
    ShelfDiet energy = ShelfDiet.of(YEAR, Measure.ENERGY, "cows");
    ShelfDiet protein = ShelfDiet.of(YEAR, Measure.PROTEIN, "cows");
    boolean stored = false;
    for (int d = 0; d < YEAR.days(); d++) {
      assertThat(all(energy, d)).isCloseTo(diet.energyMj(d), within(1e-6));
      assertThat(all(protein, d)).isCloseTo(diet.proteinKg(d), within(1e-6));
      assertThat(energy.need(d)).isCloseTo(diet.energyNeedMj(d), within(1e-6));
      double wanting = Math.max(0, diet.energyNeedMj(d) - diet.energyMj(d));
      assertThat(energy.lacking(d)).isCloseTo(wanting, within(1e-6));
      stored |= energy.given(Shelf.PUT_BY, d) > 0;
    }
    assertThat(stored).as("hay gave some of it").isTrue();
  }
}
