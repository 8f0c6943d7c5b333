package wiselarder.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Purchase;
import wiselarder.core.store.Lot;

class LeversTest {
  private static List<LeverOption> options(FarmPlan plan, Lever lever) {
    return new Trial(ENGINE, plan, gap(plan)).options(List.of(lever));
  }

  private static Lot bought(PlanEdit edit) {
    return ((Purchase) ((PlanEdit.Put<?>) edit).item()).lot();
  }

  /** Grass to mid November, hay until it runs out, grass again from April. */
  private static FarmPlan farm() {
    Farms farm =
        new Farms()
            .eaters("herd", 20, 10)
            .field("near", 10, 25, 2000)
            .field("far", 10, 25, 2000)
            .bales("hay", 40);
    farm.fields.add(
        Farms.stand("sorghum", 5, "sorghum_sudangrass", Collections.nCopies(12, 10.0), 2000));
    return farm.graze("herd", null, START.plusDays(75), "near", "far")
        .graze("herd", START.plusDays(212), null, "near", "far")
        .feed("herd", null, null)
        .build();
  }

  private static Gap gap(FarmPlan plan) {
    return ENGINE.gaps(ENGINE.simulate(plan)).get(0);
  }

  @Test
  void boughtHayIsTheFewestBalesThatCloseTheGap() {
    FarmPlan plan = farm();
    LeverOption option = options(plan, new BuyHay(plan.farm().lots().get(0), START)).get(0);
    int units = bought(option.edits().get(0)).units();
    assertThat(ENGINE.tryOut(plan, option.edits()).totalBareKg()).isZero();
    // 400 kg as fed at 100 a tonne: 40 a bale
    assertThat(option.cost()).isEqualTo(40.0 * units);
    PlanEdit oneLess =
        new PlanEdit.Put<>(
            Items.PURCHASES,
            new wiselarder.core.plan.Purchase(
                "p", START, Farms.bale("fewer", units - 1), List.of("herd")));
    assertThat(ENGINE.tryOut(plan, List.of(oneLess)).totalBareKg()).isPositive();
  }

  /** Hay is dearest in late winter: bought in its cheap months a bale costs less. */
  @Test
  void hayIsCheaperEarly() {
    FarmPlan plan = farm();
    Lot hay = new Lot("p", "Hay", "round bale", 0, 365, 0.87, "s_barn", "f_ring_open", null, "");
    LocalDate there = plan.plan().year().date(gap(plan).firstDay() - 14);
    BuyHay early = BuyHay.early(ENGINE, plan, hay, there, START).orElseThrow();
    assertThat(early.date()).isBetween(START, there.minusDays(1));
    LeverOption now = options(plan, early).get(0);
    LeverOption later = options(plan, new BuyHay(hay, there)).get(0);
    double each = now.cost() / bought(now.edits().get(0)).units();
    double eachLater = later.cost() / bought(later.edits().get(0)).units();
    assertThat(each).isLessThan(0.97 * eachLater);
    assertThat(now.decideBy()).isBeforeOrEqualTo(early.date());
    assertThat(now.bareDaysAfter()).isZero();
    assertThat(BuyHay.early(ENGINE, plan, hay, there, there)).isEmpty();
    // a price of one's own says nothing of months
    assertThat(BuyHay.early(ENGINE, plan, Farms.bale("own", 0), there, START)).isEmpty();
  }

  @Test
  void hayThatComesAfterTheGapBeganCannotCloseIt() {
    FarmPlan plan = farm();
    Gap gap = gap(plan);
    LocalDate late = plan.plan().year().date(gap.firstDay() + 10);
    assertThat(options(plan, new BuyHay(plan.farm().lots().get(0), late))).isEmpty();
  }

  /** A field that is shut in part of the time already is not offered; one that was before is. */
  @Test
  void aFieldThatIsShutThenAlreadyIsNotOffered() {
    FarmPlan plan = farm();
    Closing offered = usual(closings(plan).get(0));
    assertThat(closings(plan)).extracting(Closing::fieldId).contains("near", "far");
    assertThat(withNearShut(plan, offered.fromInclusive().minusDays(9), offered.fromInclusive()))
        .contains("near");
    assertThat(
            withNearShut(
                plan, offered.fromInclusive().minusDays(9), offered.fromInclusive().plusDays(1)))
        .doesNotContain("near")
        .contains("far");
    assertThat(
            withNearShut(
                plan, offered.toExclusive().minusDays(1), offered.toExclusive().plusDays(5)))
        .doesNotContain("near")
        .contains("far");
    assertThat(withNearShut(plan, offered.toExclusive(), offered.toExclusive().plusDays(5)))
        .contains("near");
  }

  private static List<String> withNearShut(FarmPlan plan, LocalDate from, LocalDate to) {
    Closing there = new Closing("there", "near", from, to, List.of(), null);
    FarmPlan shut = new PlanEdit.Put<>(Items.CLOSINGS, there).apply(plan);
    Gap gap = gap(plan);
    return new ShutForStockpile()
        .candidates(new Trial(ENGINE, shut, gap)).stream()
            .map(c -> ((Closing) ((PlanEdit.Put<?>) c.edits().get(0)).item()).fieldId())
            .toList();
  }

  private static List<Closing> closings(FarmPlan plan) {
    return options(plan, new ShutForStockpile()).stream().map(LeversTest::closing).toList();
  }

  /** Of a part of a field it is the second edit. */
  private static Closing closing(LeverOption option) {
    PlanEdit last = option.edits().get(option.edits().size() - 1);
    return (Closing) ((PlanEdit.Put<?>) last).item();
  }

  @Test
  void shuttingAFieldBringsWhatTheEngineSaysItBrings() {
    FarmPlan plan = farm();
    double before = ENGINE.simulate(plan).totalBareKg();
    List<LeverOption> options = options(plan, new ShutForStockpile());
    // near and far, whole and by half
    assertThat(options).hasSize(4);
    LeverOption best = options.get(0);
    assertThat(best.bringsKg()).isPositive();
    assertThat(ENGINE.tryOut(plan, best.edits()).totalBareKg()).isEqualTo(before - best.bringsKg());
  }

  @Test
  void sorghumIsNeverOfferedForStockpile() {
    FarmPlan plan = farm();
    assertThat(options(plan, new ShutForStockpile()))
        .extracting(o -> closing(o).fieldId())
        .isNotEmpty()
        .noneMatch(id -> id.startsWith("sorghum"));
  }

  /** The same, shut on the usual day. */
  private static Closing usual(Closing c) {
    int frost = ENGINE.catalogue().climate("transition_humid").firstFrost().doy50();
    LocalDate from = LocalDate.ofYearDay(START.getYear(), frost).minusDays(75);
    return new Closing(
        c.id(),
        c.fieldId(),
        from.isBefore(START) ? START : from,
        c.toExclusive(),
        c.grazedBy(),
        c.grazeUntilExclusive());
  }

  /** Opened when the gap begins; shut on the day, of those tried, that brings most. */
  @Test
  void aFieldIsShutWhenItBringsMostAndDecidedByTheLastDayThatBringsNearlyAsMuch() {
    FarmPlan plan = farm();
    LeverOption option = options(plan, new ShutForStockpile()).get(0);
    Closing closing = closing(option);
    int frost =
        ENGINE
            .catalogue()
            .climate("transition_humid")
            .firstDay(
                plan.plan().year(),
                ENGINE.catalogue().climate("transition_humid").firstFrost().doy50())
            .orElseThrow();
    int useBy = frost + (int) ENGINE.catalogue().forage("tall_fescue_novel").stockpileUseByDays();
    assertThat(closing.toExclusive())
        .isEqualTo(START.plusDays(Math.min(gap(plan).firstDay(), useBy - 45)));
    assertThat(closing.grazeUntilExclusive()).isEqualTo(START.plusDays(Math.min(365, useBy)));
    for (int days : List.of(-30, -15, 0, 15, 30)) {
      LocalDate from = START.plusDays(Math.max(0, frost - 75)).plusDays(days);
      if (!from.isBefore(START)) {
        assertThat(brings(plan, closing, from)).isLessThanOrEqualTo(option.bringsKg() + 1e-6);
      }
    }
    assertThat(option.decideBy()).isAfter(closing.fromInclusive());
    assertThat(brings(plan, closing, option.decideBy()))
        .isGreaterThanOrEqualTo(0.95 * option.bringsKg());
    LocalDate late = option.decideBy().plusDays(1);
    assertThat(late.isBefore(closing.toExclusive()) ? brings(plan, closing, late) : 0)
        .isLessThan(0.95 * option.bringsKg());
  }

  private static double brings(FarmPlan plan, Closing c, LocalDate from) {
    Closing shut =
        new Closing(
            c.id(), c.fieldId(), from, c.toExclusive(), c.grazedBy(), c.grazeUntilExclusive());
    return ENGINE.simulate(plan).totalBareKg()
        - ENGINE.tryOut(plan, List.of(new PlanEdit.Put<>(Items.CLOSINGS, shut))).totalBareKg();
  }

  /** Asked for on the plan's first day, it still need not be decided before the gap is near. */
  @Test
  void hayIsDecidedInTimeForTheLastDayOnWhichItMayCome() {
    FarmPlan plan = farm();
    LeverOption option = options(plan, new BuyHay(plan.farm().lots().get(0), START)).get(0);
    Lot hay = bought(option.edits().get(0));
    LocalDate last = option.decideBy().plusDays(14);
    PlanEdit inTime =
        new PlanEdit.Put<>(Items.PURCHASES, new Purchase("p", last, hay, List.of("herd")));
    PlanEdit late =
        new PlanEdit.Put<>(
            Items.PURCHASES, new Purchase("p", last.plusDays(1), hay, List.of("herd")));
    assertThat(ENGINE.tryOut(plan, List.of(inTime)).totalBareKg()).isZero();
    assertThat(ENGINE.tryOut(plan, List.of(late)).totalBareKg()).isPositive();
    assertThat(option.decideBy()).isAfter(START);
  }
}
