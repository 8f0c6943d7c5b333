package wiselarder.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.day.Shelf;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Purchase;

/** Worked examples: every figure in them was computed by hand. */
class YearSimulatorTest {
  private static YearBalance run(Farms farm) {
    YearBalance balance = ENGINE.simulate(farm.build());
    assertThat(balance.massBalance().error()).isLessThan(1e-6);
    return balance;
  }

  @Test
  void balesAreOpenedWholeAndLastAsLongAsTheirUsableMatter() {
    // 10 head x 9.18 kg = 91.8 kg a day; an open ring wastes 15%, so 108 kg is set out a day.
    // A bale holds 360 kg, less 5% a year in the barn: three bales last 10 days, all but 0.4 kg.
    YearBalance b =
        run(new Farms().eaters("herd", 10, 9.18).bales("hay", 3).feed("herd", null, null));
    assertThat(b.lotOpened(0, 0)).isEqualTo(1);
    assertThat(b.lotOpened(0, 3)).isEqualTo(1);
    assertThat(b.lotUnits(0, 0)).isEqualTo(3);
    assertThat(b.lotKg(0, 0)).isCloseTo(360 * 2 * Math.pow(0.95, 1 / 365.0) + 252, within(1e-6));
    assertThat(b.bareKg(8)).isZero();
    assertThat(b.bareKg(9)).as("stored hay has lost a little by then").isBetween(0.1, 5.0);
    assertThat(b.bareKg(10)).isCloseTo(91.8, within(1e-9));
    // eaten 0.85 of what was opened: 360 + 360 s^3 + 360 s^6 with s a day in the barn
    double s = Math.pow(0.95, 1 / 365.0);
    double opened = 360 * (1 + Math.pow(s, 3) + Math.pow(s, 6));
    assertThat(Ledger.total(b).putByKg()).isCloseTo(0.85 * opened, within(0.01));
  }

  @Test
  void eatingAKilogramTakesMoreThanAKilogramDown() {
    // set-stocked fescue: 42% is eaten. 100 kg a day takes 238.1 kg down; 2 ha at 2,500 stand
    // (2,500 - 1,300) x 2 = 2,400 kg above the residual: 10.08 days.
    YearBalance b =
        run(
            new Farms()
                .eaters("herd", 10, 10)
                .field("croft", 2, 0, 2500)
                .graze("herd", null, null, "croft"));
    assertThat(b.grazedKg(0, 0)).isCloseTo(100, within(1e-9));
    assertThat(b.trampledKg(0, 0)).isCloseTo(100 / 0.42 - 100, within(1e-9));
    assertThat(b.coverKgPerHa(0, b.days() - 1)).isGreaterThanOrEqualTo(1300 - 1e-6);
    double eaten = Ledger.total(b).growingKg();
    double weathered = b.massBalance().weatheredKg();
    assertThat(eaten).isCloseTo((2400 - weathered) * 0.42, within(1.0));
  }

  @Test
  void theHerdStaysUntilAFieldIsDownThenGoesToTheOneFurthestAhead() {
    YearBalance b =
        run(
            new Farms()
                .eaters("herd", 10, 10)
                .field("low", 1, 0, 2200)
                .field("high", 1, 0, 2600)
                .graze("herd", null, null, "low", "high"));
    assertThat(b.grazedKg(1, 0)).isPositive();
    assertThat(b.grazedKg(0, 0)).isZero();
    int moved = 0;
    while (b.grazedKg(0, moved) == 0) {
      moved++;
    }
    assertThat(b.coverKgPerHa(1, moved)).isCloseTo(1300, within(2.0));
  }

  @Test
  void aShutFieldIsNotEatenAndItsGrowthStandsOnTheStandingShelf() {
    LocalDate open = START.plusDays(60);
    YearBalance b =
        run(
            new Farms()
                .eaters("herd", 4, 10)
                .field("kept", 5, 20, 1800)
                .graze("herd", null, null, "kept")
                .shut("kept", START, open, "herd"));
    for (int d = 0; d < 60; d++) {
      assertThat(b.grazedKg(0, d)).isZero();
    }
    assertThat(b.eatenKg(Shelf.STANDING, 60)).isCloseTo(40, within(1e-9));
    assertThat(b.eatenKg(Shelf.GROWING, 60)).isZero();
    // strips use 72%, set stocking 42%
    assertThat(b.trampledKg(0, 60)).isCloseTo(40 / 0.72 - 40, within(1e-9));
  }

  @Test
  void aCutMovesMatterIntoWholeBales() {
    Farms farm = new Farms().field("meadow", 10, 0, 4000);
    farm.cuts.add(
        new HayCut(
            "cut", "meadow", START.plusDays(1), "h_hay_conditioned_grass", Farms.bale("hay", 0)));
    YearBalance b = run(farm);
    // stubble of fescue at its 10 cm cut height is 1,300; 83% of what is cut is baled
    double before = b.coverKgPerHa(0, 0);
    double made = (before - 1300) * 10 * 0.83;
    int bales = (int) Math.round(made / 360);
    assertThat(b.lotUnits(0, 1)).isEqualTo(bales);
    assertThat(b.massBalance().harvestLossKg()).isCloseTo(made / 0.83 * 0.17, within(1e-6));
    assertThat(b.lotKg(0, 1)).isCloseTo(made * Math.pow(0.95, 1 / 365.0), within(1e-6));
  }

  @Test
  void hayBoughtIsThereOnItsDayAndStandsOnItsOwnShelf() {
    Farms farm = new Farms().eaters("herd", 10, 9.18);
    farm.purchases.add(
        new Purchase("p", START.plusDays(5), Farms.bale("bought", 2), List.of("herd")));
    YearBalance b = run(farm);
    assertThat(b.bareKg(4)).isCloseTo(91.8, within(1e-9));
    assertThat(b.eatenKg(Shelf.BOUGHT_IN, 5)).isCloseTo(91.8, within(1e-9));
    assertThat(b.massBalance().boughtKg()).isEqualTo(720);
  }

  @Test
  void rentedResidueComesAndGoes() {
    Stand residue =
        new Stand("corn_residue", null, null, 8000.0, 1, START.plusDays(61), START.plusDays(153));
    Farms farm = new Farms().eaters("herd", 10, 10);
    farm.fields.add(
        new Field(
            "corn",
            "Corn",
            10,
            residue,
            Field.Grazing.ROTATIONAL,
            0.4,
            null,
            null,
            false,
            "",
            null));
    farm.graze("herd", null, null, "corn");
    YearBalance b = run(farm);
    assertThat(b.bareKg(60)).isCloseTo(100, within(1e-9));
    // Corn residue may be 40% of the diet on the first three days, 70% to the seventh, then all.
    assertThat(b.eatenKg(Shelf.STANDING, 61)).isCloseTo(40, within(1e-9));
    assertThat(b.eatenKg(Shelf.STANDING, 64)).isCloseTo(70, within(1e-9));
    assertThat(b.eatenKg(Shelf.STANDING, 68)).isCloseTo(100, within(1e-9));
    assertThat(b.massBalance().arrivedKg()).isEqualTo(80000);
    assertThat(b.massBalance().leftBehindKg()).isPositive();
    assertThat(b.coverKgPerHa(0, 153)).isZero();
  }

  @Test
  void frostKillsTheTopsOfWarmSeasonGrassAndSparesFescue() {
    Farms farm = new Farms();
    farm.fields.add(Farms.stand("warm", 1, "bermudagrass", Collections.nCopies(12, 10.0), 2500));
    farm.fields.add(Farms.fescue("cool", 1, 10, 2500));
    YearBalance b = run(farm);
    int frost = LocalDate.ofYearDay(2026, 294).getDayOfYear() - START.getDayOfYear();
    assertThat(b.greenKgPerHa(0, frost + 30)).isCloseTo(1200, within(10.0));
    assertThat(b.grownKg(0, frost + 1)).isZero();
    assertThat(b.greenKgPerHa(1, frost + 30)).isGreaterThan(2500);
  }

  @Test
  void biteBelowTheResidualAndRegrowthPaysForIt() {
    double kept = grownWithResidual(null);
    double bitten = grownWithResidual(300.0);
    assertThat(bitten).isLessThan(0.8 * kept);
  }

  private static double grownWithResidual(Double residual) {
    Farms farm = new Farms().eaters("herd", 60, 10);
    farm.fields.add(
        new Field(
            "f",
            "F",
            10,
            new Stand(
                "tall_fescue_novel", null, Collections.nCopies(12, 20.0), 1800.0, 0, null, null),
            Field.Grazing.SET_STOCKED,
            null,
            residual,
            null,
            false,
            "",
            null));
    farm.graze("herd", null, null, "f");
    return run(farm).massBalance().grownKg();
  }

  @Test
  void sorghumIsHeldAroundTheFrost() {
    Farms farm = new Farms().eaters("herd", 10, 10);
    farm.fields.add(
        Farms.stand("s", 20, "sorghum_sudangrass", Collections.nCopies(12, 20.0), 9000));
    farm.graze("herd", null, null, "s");
    YearBalance b = run(farm);
    int tenPercent = 282 - START.getDayOfYear();
    int median = 294 - START.getDayOfYear();
    assertThat(b.grazedKg(0, tenPercent - 1)).isPositive();
    for (int d = tenPercent; d <= median + 14; d++) {
      assertThat(b.grazedKg(0, d)).as("day %d", d).isZero();
    }
    assertThat(b.grazedKg(0, median + 15)).isPositive();
  }

  @Test
  void horsesAreKeptOffSorghumWhateverThePlanSays() {
    Farms farm = new Farms();
    farm.groups.add(
        new wiselarder.core.herd.AnimalGroup(
            "ponies", "Ponies", "horse/adult", 3, 300, 0, 5.0, null, 1, 0, null, null, null, null));
    farm.fields.add(
        Farms.stand("s", 20, "sorghum_sudangrass", Collections.nCopies(12, 20.0), 9000));
    farm.graze("ponies", null, null, "s");
    YearBalance b = run(farm);
    assertThat(Ledger.total(b).growingKg()).isZero();
    assertThat(Ledger.total(b).bareKg()).isCloseTo(15 * 365, within(1e-6));
  }
}
