package wiselarder.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.HaySum;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.caution.Caution;
import wiselarder.core.caution.Cautions;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.Keeping;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.FarmRecords;

/** The first hay sum, the order of selling, and when to wean. */
class NeedLessTest {
  private static QuickHay tenCows(LocalDate from, LocalDate to) {
    return QuickHay.of(
        ENGINE,
        "Ten Cows",
        "transition_humid",
        Farm.UnitSystem.METRIC,
        "EUR",
        "beef/cow",
        10,
        550,
        from,
        to,
        Farms.bale("hay", 0));
  }

  /** Point 36: ten animals, one kind of hay, one number; and it is the plan's own. */
  @Test
  void tenAnimalsOneKindOfHayOneNumber() {
    LocalDate from = LocalDate.of(2026, 11, 15);
    QuickHay quick = tenCows(from, from.plusDays(150));
    // ten cows of 550 kg at 2%: 110 kg a day, in the cold a little more; a bale of 360 kg DM gives
    // 306, in store from 1 November a little less: 150 x 110 / 305 = 54
    assertThat(quick.eatenKg()).isBetween(16500.0, 16700.0);
    assertThat(quick.units()).isBetween(54, 56);
    assertThat(quick.days()).isEqualTo(150);
    YearBalance year = ENGINE.simulate(quick.plan());
    assertThat(year.totalBareKg()).as("so many bales are enough").isZero();
    assertThat(HaySum.of(year, 0, 0).units()).as("the plan says the same").isEqualTo(quick.units());
    assertThat(HaySum.of(year, 0, 0).fedKg()).isCloseTo(quick.eatenKg(), within(1e-6));
  }

  /** The two figures a keeper knows: 10 head x 150 days x 12 kg over 300 kg a bale. */
  @Test
  void whatIsKnownOfTheAnimalsAndTheBaleCountsInsteadOfTheTables() {
    LocalDate from = LocalDate.of(2026, 11, 15);
    QuickHay quick =
        QuickHay.of(
            ENGINE,
            "Ten Cows",
            "transition_humid",
            Farm.UnitSystem.METRIC,
            "EUR",
            "beef/cow",
            10,
            550,
            from,
            from.plusDays(150),
            Farms.bale("hay", 0),
            new QuickHay.Known(12.0, 300.0));
    assertThat(quick.eatenKg()).isCloseTo(18_000, within(1e-6));
    assertThat(quick.usableKg()).isCloseTo(300, within(0.5));
    assertThat(quick.units()).isEqualTo(60);
    assertThat(ENGINE.simulate(quick.plan()).totalBareKg()).isZero();
    assertThatThrownBy(() -> new QuickHay.Known(null, -1.0)).isInstanceOf(Refused.class);
  }

  @Test
  void theQuickSumWantsDaysThatFollowEachOther() {
    assertThatThrownBy(() -> tenCows(START, START))
        .isInstanceOfSatisfying(
            Refused.class, e -> assertThat(e.code()).isEqualTo("dates_reversed"));
    assertThatThrownBy(() -> tenCows(START, START.plusDays(400))).isInstanceOf(Refused.class);
  }

  private static Farms shortOfHay() {
    Farms farm = new Farms().bales("hay", 200);
    farm.groups.add(Farms.dams("cows", "beef/cow", 20, 550, MonthDay.of(3, 1), 0.9));
    farm.groups.add(
        new AnimalGroup(
            "steers",
            "Steers",
            "beef/steer",
            12,
            250,
            0.5,
            null,
            null,
            1,
            0,
            null,
            null,
            null,
            null));
    farm.groups.add(
        new AnimalGroup(
            "bull", "Bull", "beef/bull", 1, 850, 0, null, null, 1, 0, null, null, null, null));
    farm.groups.add(
        new AnimalGroup(
            "heifers",
            "Heifers",
            "beef/replacement_heifer",
            4,
            260,
            0.5,
            null,
            null,
            1,
            0,
            null,
            null,
            null,
            null));
    farm.groups.forEach(g -> farm.steps.addAll(FeedStep.usual(g.id())));
    return farm;
  }

  /** Point 27: those that do not breed first; relief computed, delay dear, births cancel it. */
  @Test
  void theyAreSoldInAnOrderAndWaitingCosts() {
    LocalDate on = LocalDate.of(2026, 12, 1);
    List<SellingOrder> order = SellingOrder.of(ENGINE, shortOfHay().build(), on);
    assertThat(order)
        .extracting(SellingOrder::groupId)
        .containsExactly("steers", "bull", "heifers", "cows");
    SellingOrder steers = order.get(0);
    assertThat(steers.head()).isEqualTo(12);
    assertThat(steers.bringsKg()).isPositive();
    assertThat(steers.bringsAWeekLaterKg()).isLessThan(steers.bringsKg());
    assertThat(steers.bringsAMonthLaterKg()).isLessThan(steers.bringsAWeekLaterKg());
    assertThat(steers.byMonthKg().stream().mapToDouble(k -> k).sum())
        .isCloseTo(steers.bringsKg(), within(1e-6));
    assertThat(steers.latest()).isBetween(on, on.plusDays(40));
    assertThat(steers.saleMoney()).isPositive();
    YearBalance before = ENGINE.simulate(shortOfHay().build());
    int then = before.year().day(steers.latest());
    assertThat(steers.storeKgThen()).isCloseTo(before.lotKg(0, then), within(1e-6));
    assertThat(steers.birthsAddKg()).as("the cows still calve").isPositive();
    assertThat(order.get(3).bareLeftKg()).as("nobody is left").isZero();
    // the rung is what the year without them says
    var sold = ENGINE.simulate(shortOfHay().build()).totalBareKg() - steers.bareLeftKg();
    assertThat(steers.bringsKg()).isCloseTo(sold, within(1e-6));
    assertThatThrownBy(() -> SellingOrder.of(ENGINE, shortOfHay().build(), START.minusDays(1)))
        .isInstanceOf(Refused.class);
  }

  /** Calves of births over sixty days are ninety days old at the least when they are weaned. */
  @Test
  void nobodyIsWeanedBeforeNinetyDays() {
    Farms farm = shortOfHay();
    farm.groups.set(
        0,
        new AnimalGroup(
            "cows",
            "Cows",
            "beef/cow",
            20,
            550,
            0,
            null,
            MonthDay.of(9, 20),
            60,
            0.9,
            MonthDay.of(4, 10),
            null,
            null,
            null));
    List<WeanBy> tried = WeanBy.of(ENGINE, farm.build(), "cows");
    LocalDate lastBirth = LocalDate.of(2026, 9, 20).plusDays(59);
    LocalDate earliest = tried.get(0).weaning();
    assertThat(earliest).isAfterOrEqualTo(lastBirth.plusDays(90));
    assertThat(earliest).isBefore(lastBirth.plusDays(90 + 14));
    assertThat(tried).filteredOn(WeanBy::planned).hasSize(1);
  }

  /** Point 28: young stay on as long as her condition holds; a floor and the next birth behind. */
  @Test
  void weaningIsHeldAgainstHerCondition() {
    Farms farm = new Farms();
    AnimalGroup cows =
        new AnimalGroup(
            "cows",
            "Cows",
            "beef/cow",
            20,
            550,
            0,
            null,
            MonthDay.of(3, 1),
            1,
            0.9,
            MonthDay.of(11, 15),
            null,
            null,
            null);
    farm.groups.add(
        Farms.kept(
            cows, new Keeping(false, Keeping.Shelter.SHELTERED, 0, 0, 0, 4.0, false), List.of()));
    farm.lots.add(Farms.of("hay", 900, "hay_native_late"));
    farm.feed("cows", null, null);
    List<WeanBy> tried = WeanBy.of(ENGINE, farm.build(), "cows");
    assertThat(tried).hasSizeGreaterThan(3);
    assertThat(tried)
        .filteredOn(WeanBy::planned)
        .singleElement()
        .satisfies(w -> assertThat(w.weaning()).isEqualTo(LocalDate.of(2026, 11, 15)));
    for (int i = 1; i < tried.size(); i++) {
      assertThat(tried.get(i).scoreAtBirth())
          .as("later weaning, thinner at calving")
          .isLessThanOrEqualTo(tried.get(i - 1).scoreAtBirth() + 1e-9);
      assertThat(tried.get(i).needKg()).isGreaterThan(tried.get(i - 1).needKg());
    }
    assertThat(tried.get(0).holds()).isEqualTo(tried.get(0).lowestScore() >= 4.0);
    assertThatThrownBy(() -> WeanBy.of(ENGINE, farm.build(), "bulls")).isInstanceOf(Refused.class);
  }

  /** Point 32: off the crop counts from the first birth expected, not the middle of the spread. */
  @Test
  void offTheCropBeforeTheFirstBirth() {
    Farms farm = new Farms();
    farm.fields.add(
        Farms.stand("rape", 5, "forage_rape", java.util.Collections.nCopies(12, 30.0), 3000));
    AnimalGroup ewes =
        new AnimalGroup(
            "ewes",
            "Ewes",
            "sheep/ewe",
            40,
            65,
            0,
            null,
            MonthDay.of(3, 20),
            40,
            1.5,
            null,
            null,
            null,
            null);
    farm.groups.add(ewes);
    farm.graze("ewes", null, null, "rape");
    Caution off =
        Cautions.load().of(farm.build(), FarmRecords.NONE, ENGINE.catalogue()).stream()
            .filter(c -> c.hazard().id().equals("hz_birthing_on_crop"))
            .findFirst()
            .orElseThrow();
    int first = farm.build().plan().year().day(LocalDate.of(2027, 3, 20));
    assertThat(off.fromDay()).isEqualTo(first - off.hazard().holdDays());
    assertThat(off.toDay()).isEqualTo(first + 40);
    assertThat(off.groupId()).isEqualTo("ewes");
  }
}
