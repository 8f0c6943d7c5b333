package wiselarder.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Seed;
import wiselarder.core.plan.Sowing;
import wiselarder.core.price.OwnPrice;
import wiselarder.core.store.Lot;

/** What one plan costs more than another, on farms that pay in EUR, by hand. */
class BillTest {
  private static Bill bill(Farms farm, PlanEdit... edits) {
    return bill(farm.build(), false, edits);
  }

  private static Bill bill(FarmPlan plan, boolean dry, PlanEdit... edits) {
    YearBalance before = ENGINE.simulate(plan);
    YearBalance after = ENGINE.simulate(PlanEdit.all(plan, List.of(edits)));
    return Bill.of(before, after, ENGINE.catalogue(), dry);
  }

  private static Lot fescue(int units, Double price) {
    Lot bale = Farms.of("x", units, "hay_tall_fescue_late");
    return new Lot(
        bale.id(),
        bale.name(),
        bale.unitName(),
        units,
        bale.kgPerUnitAsFed(),
        bale.dmShare(),
        bale.storageMethodId(),
        bale.feedingMethodId(),
        price,
        "",
        bale.origin(),
        null,
        null);
  }

  private static PlanEdit buy(LocalDate on, Lot lot) {
    return new PlanEdit.Put<>(Items.PURCHASES, new Purchase("p", on, lot, List.of("a")));
  }

  @Test
  void nothingChangedCostsNothing() {
    Bill bill = bill(new Farms().field("f", 10, 0, 4000).eaters("a", 10, 10));
    assertThat(bill.lines()).isEmpty();
    assertThat(bill.total()).isZero();
  }

  /** Ten bales of 0.4 t in February: 95 USD a tonne x 0.87 x 1.07, or what stands on the lot. */
  @Test
  void boughtHayGoesByTheTonneAndTheMonth() {
    Farms farm = new Farms().eaters("a", 10, 10);
    LocalDate february = LocalDate.of(2027, 2, 10);
    Bill bill = bill(farm, buy(february, fescue(10, null)));
    assertThat(bill.lines()).singleElement().satisfies(l -> assertThat(l.amount()).isEqualTo(4));
    assertThat(bill.total()).isCloseTo(4 * 95 * 0.87 * 1.07, within(1e-9));
    assertThat(bill(farm.build(), true, buy(february, fescue(10, null))).total())
        .isCloseTo(4 * 95 * 0.87 * 1.07 * 1.8, within(1e-9));
    Bill stated = bill(farm, buy(february, fescue(10, 130.0)));
    assertThat(stated.total()).isCloseTo(10 * 0.4 * 130, within(1e-9));
    assertThat(stated.lines()).singleElement().satisfies(l -> assertThat(l.own()).isTrue());
  }

  /** Ten hectares, 40 kg of nitrogen on each: 1.35 USD a kg x 0.913, and 19 USD/ha x 0.87. */
  @Test
  void nitrogenIsBoughtAndSpread() {
    Farms farm = new Farms().field("f", 10, 0, 4000).eaters("a", 10, 10);
    PlanEdit dress =
        new PlanEdit.Put<>(Items.DRESSINGS, new Dressing("d", "f", START.plusDays(5), 40, null));
    Bill bill = bill(farm, dress);
    double perKg = 1.35 * 0.913 * season(bill, "nitrogen", 1.35 * 0.913);
    assertThat(bill.total()).isCloseTo(400 * perKg + 10 * 19 * 0.87, within(1e-9));
    FarmPlan own =
        Items.PRICES.put(
            Items.PRICES.put(farm.build(), new OwnPrice("nitrogen", 2, false)),
            new OwnPrice("spread_fertiliser", 0, false));
    assertThat(bill(own, true, dress).total()).isCloseTo(800, within(1e-9));
  }

  private static double season(Bill bill, String id, double likely) {
    return bill.lines().stream()
            .filter(l -> id.equals(l.priceId()))
            .findFirst()
            .orElseThrow()
            .each()
        / likely;
  }

  /** Rye into sod grazed down: 112.5 kg/ha of seed x 0.5, and the drill, on ten hectares. */
  @Test
  void aCropIsSeedAndDrill() {
    Farms farm = new Farms().field("f", 10, 0, 4000).eaters("a", 10, 10);
    Sowing rye =
        new Sowing(
            "s",
            "f",
            "cereal_rye",
            START.plusDays(5),
            Sowing.Preparation.GRAZE_DOWN,
            null,
            0.5,
            null);
    Bill bill = bill(farm, new PlanEdit.Put<>(Items.SOWINGS, rye));
    assertThat(bill.lines())
        .extracting(Bill.Line::priceId)
        .containsExactly("seed_cereal_rye", "drill_no_till");
    assertThat(bill.lines().get(0).amount()).isCloseTo(562.5, within(1e-9));
    assertThat(bill.lines().get(1).money()).isCloseTo(10 * 55 * 0.87, within(1e-9));
  }

  /** 562.5 kg of rye are wanted on ten hectares and as much on ten more; 700 kg lie in the shed. */
  @Test
  void seedInTheShedIsNotBought() {
    Farms farm = new Farms().field("f", 10, 0, 4000).field("g", 10, 0, 4000).eaters("a", 10, 10);
    FarmPlan shed = putSeed(farm.build(), 700);
    Bill one = bill(shed, false, rye("s", "f", 5));
    assertThat(one.lines())
        .extracting(Bill.Line::priceId)
        .containsExactly("seed_at_hand", "drill_no_till");
    assertThat(one.lines().get(0).amount()).isCloseTo(562.5, within(1e-9));
    assertThat(one.lines().get(0).money()).isZero();
    // the earlier sowing has it first, and what the plan sows already keeps it
    Bill two = bill(shed, false, rye("t", "g", 9), rye("s", "f", 5));
    double bought = 2 * 562.5 - 700;
    assertThat(two.total() - 2 * one.total()).isCloseTo(bought * 0.75 * 0.827 * 1.0, within(15.0));
    assertThat(amounts(two, "seed_at_hand")).isCloseTo(700, within(1e-9));
    assertThat(amounts(two, "seed_cereal_rye")).isCloseTo(bought, within(1e-9));
    FarmPlan sown = PlanEdit.all(shed, List.of(rye("t", "g", 9)));
    Bill later = bill(sown, false, rye("s", "f", 5));
    assertThat(amounts(later, "seed_at_hand")).isCloseTo(137.5, within(1e-9));
    assertThat(SeedUse.enoughForHa(sown, ENGINE.catalogue(), "cereal_rye"))
        .isCloseTo(137.5 / 112.5, within(1e-9));
    assertThat(SeedUse.enoughForHa(sown, ENGINE.catalogue(), "crimson_clover")).isZero();
  }

  private static double amounts(Bill bill, String priceId) {
    return bill.lines().stream()
        .filter(l -> priceId.equals(l.priceId()))
        .mapToDouble(Bill.Line::amount)
        .sum();
  }

  private static FarmPlan putSeed(FarmPlan plan, double kg) {
    return new PlanEdit.Put<>(Items.SEEDS, new Seed("cereal_rye", kg, "last year's")).apply(plan);
  }

  private static PlanEdit rye(String id, String field, int day) {
    return new PlanEdit.Put<>(
        Items.SOWINGS,
        new Sowing(
            id,
            field,
            "cereal_rye",
            START.plusDays(day),
            Sowing.Preparation.GRAZE_DOWN,
            null,
            0.5,
            null));
  }

  /** Mown, tedded, raked by the hectare; baled and carried by the bale that the cut made. */
  @Test
  void aCutIsWorkByTheHectareAndTheBale() {
    Farms farm = new Farms().field("f", 10, 30, 4000).eaters("a", 1, 10);
    HayCut cut =
        new HayCut("c", "f", START.plusDays(30), "h_hay_conditioned_grass", Farms.bale("new", 0));
    Bill bill = bill(farm, new PlanEdit.Put<>(Items.CUTS, cut));
    assertThat(bill.lines())
        .extracting(Bill.Line::priceId)
        .containsExactly("mow_condition", "ted", "rake", "bale_round", "move_bale_near");
    double bales = bill.lines().get(3).amount();
    assertThat(bales).isGreaterThan(5);
    assertThat(bill.total())
        .isCloseTo((10 * (48 + 22 + 22) + bales * (15 + 5)) * 0.87, within(1e-6));
    assertThat(bill.hours())
        .isCloseTo(10 * (0.45 + 0.25 + 0.3) + bales * (0.045 + 0.09), within(1e-6));
  }

  /** Twenty bulls of 800 kg sold by the kg, less the cost of the sale, bring money in. */
  @Test
  void aSaleBringsMoneyIn() {
    Farms farm = new Farms().eaters("a", 30, 10);
    Bill bill = bill(farm, change(farm, HeadChange.Kind.SOLD, null, 20, null));
    Bill.Line sale = bill.lines().get(0);
    assertThat(sale.amount()).isEqualTo(20 * 800);
    assertThat(sale.money()).isNegative();
    assertThat(bill.lines().get(1).money()).isCloseTo(20 * 40 * 0.783, within(1e-9));
    Bill stated = bill(farm, change(farm, HeadChange.Kind.SOLD, null, 20, 1000.0));
    assertThat(stated.total()).isCloseTo(-20 * 1000 + 20 * 40 * 0.783, within(1e-9));
  }

  /**
   * Ten head that eat 11.8 kg each are ten animal units: 1.15 USD x 0.87 a day, for thirty days.
   */
  @Test
  void agistmentGoesByWhatTheyEat() {
    Farms farm = new Farms().eaters("a", 30, 11.8);
    LocalDate back = START.plusDays(40);
    Bill bill = bill(farm, change(farm, HeadChange.Kind.AWAY, back, 10, null));
    assertThat(bill.lines().get(0).amount()).isCloseTo(300, within(1e-6));
    assertThat(bill.lines().get(0).priceId()).isEqualTo("agistment_pasture");
    // into the frost: at board from then on
    Bill winter = bill(farm, change(farm, HeadChange.Kind.AWAY, START.plusDays(170), 10, null));
    assertThat(winter.lines())
        .extracting(Bill.Line::priceId)
        .containsExactly("agistment_pasture", "winter_board");
    assertThat(winter.lines().get(0).amount() + winter.lines().get(1).amount())
        .isCloseTo(1600, within(1e-6));
    Bill stated = bill(farm, change(farm, HeadChange.Kind.AWAY, back, 10, 2.0));
    assertThat(stated.total()).isCloseTo(10 * 30 * 2, within(1e-9));
  }

  private static PlanEdit change(
      Farms farm, HeadChange.Kind kind, LocalDate until, int head, Double money) {
    AnimalGroup group = farm.groups.get(0);
    HeadChange change = new HeadChange(START.plusDays(10), until, kind, head, null, money, "");
    return new PlanEdit.Put<>(Items.GROUPS, group.withChanges(List.of(change)));
  }

  /** In a currency of which nothing is known, what is needed is named and not guessed. */
  @Test
  void whatHasNoPriceIsNamed() {
    Farms farm = new Farms().field("f", 10, 0, 4000).eaters("a", 10, 10);
    FarmPlan plan = farm.build();
    FarmPlan other =
        new PlanEdit.SetFarm("Test", "", farm.climate, plan.farm().units(), "XYZ", 11.8, null, null)
            .apply(plan);
    Bill bill =
        bill(
            other,
            false,
            new PlanEdit.Put<>(
                Items.DRESSINGS, new Dressing("d", "f", START.plusDays(5), 40, null)));
    assertThat(bill.lines()).isEmpty();
    assertThat(bill.unpriced()).containsExactly("nitrogen", "spread_fertiliser");
  }

  /** 20 calves weaned 30 days sooner, 1.5 kg of barley a day: 900 kg at 220 USD a tonne. */
  @Test
  void calvesWeanedSoonerAreFed() {
    Farms farm = new Farms();
    farm.groups.add(Farms.dams("cows", "beef/cow", 20, 550, MonthDay.of(3, 1), 1));
    LocalDate usual = LocalDate.of(2027, 3, 1).plusDays(205);
    FarmPlan plan = farm.build();
    AnimalGroup sooner = farm.groups.get(0).withWeaning(MonthDay.from(usual.minusDays(30)));
    Bill bill = bill(plan, false, new PlanEdit.Put<>(Items.GROUPS, sooner));
    Bill.Line feed = bill.lines().get(0);
    assertThat(feed.priceId()).isEqualTo("grain_barley");
    assertThat(feed.amount()).isCloseTo(0.9, within(0.05));
    assertThat(feed.each()).isBetween(200.0, 240.0);
  }
}
