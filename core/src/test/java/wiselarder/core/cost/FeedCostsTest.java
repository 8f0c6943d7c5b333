package wiselarder.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Shelf;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Sowing;
import wiselarder.core.store.Lot;

/** What feeding costs, by hand. */
class FeedCostsTest {
  private static FeedCosts of(YearBalance b) {
    return FeedCosts.of(b, ENGINE.catalogue());
  }

  @Test
  void costIsThatOfTheUnitsOpenedSharedByWhatWasEaten() {
    Farms farm = new Farms().eaters("a", 10, 10).eaters("b", 5, 10).bales("hay", 40);
    farm.feed("a", null, null).feed("b", null, null);
    YearBalance b = ENGINE.simulate(farm.build());
    FeedCosts costs = of(b);
    // 40 bales of 0.4 t at 100
    assertThat(costs.of(Shelf.PUT_BY)).isCloseTo(1600, within(1e-6));
    assertThat(costs.total()).isCloseTo(1600, within(1e-6));
    double a = costs.groups().get(0).cost();
    double bb = costs.groups().get(1).cost();
    assertThat(a + bb).isCloseTo(1600, within(1e-6));
    assertThat(a).isCloseTo(2 * bb, within(60.0));
    double byDay = 0;
    for (int d = 0; d < b.days(); d++) {
      byDay += costs.storedOn(d);
    }
    assertThat(byDay).isCloseTo(1600, within(1e-6));
    FeedCosts.GroupCost one = costs.groups().get(0);
    assertThat(one.headDays()).isEqualTo(3650);
    assertThat(one.perHeadDay()).isCloseTo(a / 3650, within(1e-12));
    assertThat(one.winterCost()).isLessThan(one.cost());
  }

  @Test
  void eachShelfCarriesItsOwnCost() {
    Farms farm = new Farms().field("f", 10, 30, 2500).field("g", 4, 30, 2500).eaters("a", 10, 10);
    farm.graze("a", START.plusDays(150), null).bales("hay", 3).feed("a", null, null);
    farm.dressings.add(new Dressing("n1", "f", LocalDate.of(2027, 3, 20), 40, 1.2));
    farm.dressings.add(new Dressing("n2", "g", LocalDate.of(2026, 9, 10), 50, 1.2));
    farm.closings.add(
        new Closing(
            "c", "g", LocalDate.of(2026, 9, 5), LocalDate.of(2026, 12, 1), List.of("a"), null));
    Lot bought = Farms.bale("bought", 2);
    farm.purchases.add(new Purchase("p", START.plusDays(40), bought, List.of("a")));
    farm.sowings.add(
        new Sowing(
            "s",
            "g",
            "cereal_rye",
            LocalDate.of(2027, 8, 20),
            Sowing.Preparation.GRAZE_DOWN,
            null,
            0.5,
            null));
    YearBalance b = ENGINE.simulate(farm.build());
    FeedCosts costs = of(b);
    // nitrogen on ten hectares, and half the seed on four
    // 90 to 135 kg/ha of rye at 0.75 USD a kg, at the level of a farm that pays in EUR
    double seed = 112.5 * 0.75 * 0.827;
    assertThat(costs.of(Shelf.GROWING)).isCloseTo(10 * 40 * 1.2 + 4 * 0.5 * seed, within(1e-9));
    assertThat(costs.of(Shelf.STANDING)).isCloseTo(4 * 50 * 1.2, within(1e-9));
    // bales of 0.4 t at 100, as many as were opened
    assertThat(opened(b, 0)).isEqualTo(3);
    assertThat(opened(b, 1)).isEqualTo(2);
    assertThat(costs.of(Shelf.PUT_BY)).isCloseTo(3 * 40.0, within(1e-9));
    assertThat(costs.of(Shelf.BOUGHT_IN)).isCloseTo(2 * 40.0, within(1e-9));
  }

  private static int opened(YearBalance b, int lot) {
    int units = 0;
    for (int d = 0; d < b.days(); d++) {
      units += b.lotOpened(lot, d);
    }
    return units;
  }

  /** A move is a change from one field to another; days at the store between do not count. */
  @Test
  void movesAreChangesFromFieldToField() {
    Farms farm = new Farms().field("f", 10, 0, 4000).field("g", 10, 0, 4000).eaters("a", 10, 10);
    farm.graze("a", START, START.plusDays(20), "f");
    farm.graze("a", START.plusDays(20), START.plusDays(40), "g");
    farm.graze("a", START.plusDays(60), START.plusDays(80), "g");
    farm.graze("a", START.plusDays(80), START.plusDays(100), "f");
    farm.bales("hay", 400).feed("a", null, null);
    assertThat(of(ENGINE.simulate(farm.build())).groups().get(0).moves()).isEqualTo(2);
  }

  @Test
  void aLotWithoutACostIsToldOf() {
    Farms farm = new Farms().eaters("a", 2, 10).feed("a", null, null);
    farm.lots.add(new Lot("hay", "hay", "bale", 9, 400, 0.9, "s_barn", "f_cone", null, ""));
    FeedCosts costs = of(ENGINE.simulate(farm.build()));
    assertThat(costs.unpriced()).containsExactly("hay");
    assertThat(costs.total()).isZero();
  }

  /** Point 37: labour is a quantity: days without a tractor, moves and hours. */
  @Test
  void tractorStartsOnDaysWithHeavyUnitsOnly() {
    Farms heavy = new Farms().eaters("a", 10, 10).bales("hay", 30).feed("a", null, null);
    YearBalance b = ENGINE.simulate(heavy.build());
    int opening = 0;
    for (int d = 0; d < b.days(); d++) {
      opening += b.lotOpened(0, d) > 0 ? 1 : 0;
    }
    assertThat(of(b).tractorDays()).isEqualTo(opening).isPositive();
    assertThat(of(b).hours()).isCloseTo(0.75 * opening, within(1e-9));
    Farms light = new Farms().eaters("a", 2, 10).feed("a", null, null);
    light.lots.add(
        new Lot(
            "hay", "hay", "small square bale", 90, 22, 0.9, "s_barn", "f_rack_small", null, ""));
    assertThat(of(ENGINE.simulate(light.build())).tractorDays()).as("by hand").isZero();
  }

  @Test
  void daysAreGrazedOrFed() {
    Farms farm = new Farms().field("f", 60, 60, 3000).eaters("a", 10, 10);
    farm.graze("a", START.plusDays(200), null).bales("hay", 400).feed("a", null, null);
    FeedCosts.GroupCost a = of(ENGINE.simulate(farm.build())).groups().get(0);
    assertThat(a.fedDays()).isEqualTo(200);
    assertThat(a.grazedDays()).isEqualTo(165);
    assertThat(a.bareDays()).isZero();
    assertThat(a.grazedDays() + a.fedDays()).as("each day counts once").isEqualTo(365);
  }

  @Test
  void agistmentIsPaidByHeadAndDay() {
    Farms farm = new Farms().eaters("a", 10, 10).bales("hay", 400).feed("a", null, null);
    farm.groups.set(
        0,
        farm.groups
            .get(0)
            .withChanges(
                List.of(
                    new HeadChange(
                        START, START.plusDays(30), HeadChange.Kind.AWAY, 4, null, 0.8, ""),
                    new HeadChange(
                        START, START.plusDays(10), HeadChange.Kind.TAKEN_IN, 2, null, 1.0, ""))));
    // 4 x 30 x 0.80 paid, 2 x 10 x 1.00 earned
    assertThat(of(ENGINE.simulate(farm.build())).groups().get(0).agistment())
        .isCloseTo(76, within(1e-9));
  }
}
