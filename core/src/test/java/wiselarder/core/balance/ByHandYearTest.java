package wiselarder.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.diet.DietYear;
import wiselarder.core.herd.Energy;
import wiselarder.core.herd.Keeping;
import wiselarder.core.plan.Sowing;
import wiselarder.core.records.ConditionSeen;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Origin;
import wiselarder.core.store.UnitSize;

/** Days of a year worked by hand: what single rules come to when they act together. */
class ByHandYearTest {
  /** Nothing grows, so that all that is eaten after the opening is what was kept standing. */
  @Test
  void aStockpileIsUsedUpByTheHectare() {
    Farms farm = new Farms().eaters("herd", 10, 10).field("a", 10, 0, 3500);
    farm.shut("a", START.plusDays(10), START.plusDays(60), "herd");
    YearBalance b = ENGINE.simulate(farm.build());
    double standing = 0;
    double eaten = 0;
    for (int d = 60; d < b.days(); d++) {
      standing += b.grazedStandingKg(0, d);
      eaten += b.grazedKg(0, d);
    }
    assertThat(eaten).isGreaterThan(10_000);
    assertThat(standing).isCloseTo(eaten, within(1e-6));
  }

  /** Days are half-open: the day on which a field opens is the first one grazed. */
  @Test
  void aShutFieldIsGrazedOnTheDayOnWhichItOpens() {
    Farms farm = new Farms().eaters("herd", 10, 10).field("a", 10, 0, 3500);
    farm.shut("a", START.plusDays(10), START.plusDays(60), "herd");
    YearBalance b = ENGINE.simulate(farm.build());
    assertThat(b.grazedKg(0, 59)).isZero();
    assertThat(b.grazedKg(0, 60)).isCloseTo(100, within(1e-9));
  }

  @Test
  void theLedgerShowsTheStoreAtTheEndOfItsSpan() {
    YearBalance b =
        ENGINE.simulate(
            new Farms().eaters("herd", 10, 10).bales("hay", 80).feed("herd", null, null).build());
    Ledger.Line first = Ledger.days(b).get(0);
    // 80 bales of 360 kg; one is opened, 100 kg eaten of it with 15% lost, and the rest loses a day
    double day = Math.pow(0.95, 1 / 365.0);
    assertThat(first.storeKg()).isCloseTo(79 * 360 * day + 360 - 100 / 0.85, within(1e-6));
    assertThat(Ledger.months(b).get(0).storeKg()).isEqualTo(b.lotKg(0, 29));
    assertThat(Ledger.months(b).get(0).storeKg()).isLessThan(first.storeKg() - 2000);
  }

  /** A bale with a rind gives less: 1 - (1.32 / 1.5)^2 of it is refused. */
  @Test
  void theHaySumTakesTheLossAtOpeningOff() {
    Farms farm = new Farms().eaters("herd", 10, 10);
    UnitSize rind = new UnitSize(null, List.of(), 1.5, 1.2, null, null, null, 9.0);
    farm.lots.add(Farms.with(Farms.bale("hay", 0), Origin.UNSAID, rind, null));
    farm.feed("herd", null, null);
    YearBalance b = ENGINE.simulate(farm.build());
    // on the first day: 100 kg bare over 360 x 0.7744 x 0.85
    assertThat(HaySum.of(b, 0, 0, 0, 1).exactUnits())
        .isCloseTo(100 / (360 * 0.7744 * 0.85), within(1e-9));
  }

  /** Of two crops on two fields each is shown on its own field and day. */
  @Test
  void theCoverOfASownCropIsThatOfItsOwnFieldAndDay() {
    Farms farm = new Farms();
    farm.start = LocalDate.of(2027, 4, 1);
    for (String id : List.of("a", "b", "c")) {
      farm.fields.add(Farms.stand(id, 5, "fallow", Collections.nCopies(12, 0.0), 0));
    }
    farm.sowings.add(sown("one", "c", "pearl_millet", LocalDate.of(2027, 6, 1)));
    farm.sowings.add(sown("two", "a", "forage_rape", LocalDate.of(2027, 7, 15)));
    YearBalance b = ENGINE.simulate(farm.build());
    int day = b.year().day(LocalDate.of(2027, 8, 20));
    assertThat(b.sownCoverKgPerHa(0, day)).isPositive().isEqualTo(b.coverKgPerHa(2, day));
    assertThat(b.sownCoverKgPerHa(1, day)).isPositive().isEqualTo(b.coverKgPerHa(0, day));
    assertThat(b.sownCoverKgPerHa(0, day)).isNotEqualTo(b.sownCoverKgPerHa(0, day - 1));
    assertThat(b.sownCoverKgPerHa(0, day - 1)).isEqualTo(b.coverKgPerHa(2, day - 1));
    assertThat(b.coverKgPerHa(1, day)).isZero();
  }

  private static Sowing sown(String id, String field, String crop, LocalDate on) {
    return new Sowing(id, field, crop, on, Sowing.Preparation.FULL_SEEDBED, null, 1, null);
  }

  /** A cow that is lighter than was stated needs less, by the three quarters power of weight. */
  @Test
  void aLighterAnimalGainsOnWhatKeepsAHeavierOne() {
    FarmRecords seen =
        Farms.written(Farms.seen(START.plusDays(100), new ConditionSeen("g", 4, 450.0)));
    YearBalance b = ENGINE.knowing(seen).simulate(onHay(0).build());
    DietYear diet = DietYear.of(b, 0);
    int day = 100;
    double met = diet.energyMj(day) / diet.energyNeedMj(day);
    double own = diet.energyNeedMj(day) / 10;
    // upkeep is the dry cow's 81.6 MJ at 550 kg; what she carries she carries at any weight
    double over = own * met - (81.6 * Math.pow(450 / 550.0, 0.75) + own - 81.6);
    double mj = Energy.mjPerKg(diet.tdnPct(day));
    assertThat(diet.gainKg(day)).isCloseTo(Energy.gainKg("beef/cow", 450, over, mj), within(1e-9));
    assertThat(over).isGreaterThan(own * (met - 1) + 10);
  }

  /** What calves need is not their dams': a cow's own share of the need is what is left. */
  @Test
  void youngTakeTheirShareOfTheNeedOutOfTheirDams() {
    YearBalance b = ENGINE.simulate(onHay(1).build());
    DietYear diet = DietYear.of(b, 0);
    int day = b.year().day(LocalDate.of(2027, 8, 1));
    double young = b.resolved().groupYear(0).youngEnergyMj(day);
    assertThat(young).isPositive();
    double own = (diet.energyNeedMj(day) - young) / 10;
    double met = diet.energyMj(day) / diet.energyNeedMj(day);
    double weight = diet.weightKg(day - 1);
    double over = own * met - (81.6 * Math.pow(weight / 550.0, 0.75) + own - 81.6);
    double mj = Energy.mjPerKg(diet.tdnPct(day));
    assertThat(diet.gainKg(day))
        .isCloseTo(
            b.resolved().groupYear(0).targetGainKg(day)
                + Energy.gainKg("beef/cow", weight, over, mj),
            within(1e-9));
  }

  private static Farms onHay(double young) {
    Farms farm = new Farms();
    Keeping housed = new Keeping(false, Keeping.Shelter.HOUSED, 0, 0, 0, null, false);
    farm.groups.add(
        Farms.kept(
            Farms.dams("g", "beef/cow", 10, 550, MonthDay.of(3, 1), young), housed, List.of()));
    Lot hay = Farms.of("hay", 2000, "hay_smooth_brome_mid");
    farm.lots.add(hay);
    return farm.feed("g", null, null);
  }

  /** Rested, a worn stand wins 0.004 of its vigour back a growing day, and no more. */
  @Test
  void aWornStandComesBackSlowly() {
    assertThat(wiselarder.core.forage.SwardRules.vigourAfter(0.5, 2000, 1000))
        .isCloseTo(0.504, within(1e-12));
    assertThat(wiselarder.core.forage.SwardRules.vigourAfter(0.998, 2000, 1000)).isEqualTo(1);
    // at half of the limit of 850: half of 0.015 is lost
    assertThat(wiselarder.core.forage.SwardRules.vigourAfter(0.5, 425, 1000))
        .isCloseTo(0.4925, within(1e-12));
    assertThat(wiselarder.core.forage.SwardRules.vigourAfter(0.2, 0, 1000)).isEqualTo(0.2);
  }

  @Test
  void residueStandsAtTwiceWhatIsLeftOfIt() {
    Farms farm = new Farms().eaters("herd", 1, 10);
    farm.fields.add(
        new wiselarder.core.land.Field(
            "r",
            "r",
            5,
            new wiselarder.core.land.Stand("corn_residue", null, null, null, 0, null, null),
            wiselarder.core.land.Field.Grazing.STRIP,
            null,
            null,
            null,
            false,
            "",
            null));
    double least = ENGINE.catalogue().forage("corn_residue").minResidualKgPerHa();
    assertThat(least).isPositive();
    assertThat(
            wiselarder.core.land.GrazingCovers.of(
                    farm.fields.get(0),
                    ENGINE.catalogue().forage("corn_residue"),
                    ENGINE.catalogue().heights())
                .opening())
        .isEqualTo(2 * least);
  }
}
