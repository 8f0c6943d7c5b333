package wiselarder.core.closing;

import static java.util.stream.Collectors.toSet;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.gap.Gap;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Purchase;
import wiselarder.core.store.Lot;

/** The cheapest mix of ways, run through the engine. */
class LeastCostTest {
  private static final Lot HAY = Farms.bale("pattern", 0);

  private static FarmPlan plan() {
    return new Farms()
        .eaters("herd", 20, 10)
        .field("near", 10, 25, 2000)
        .field("behind", 6, 20, 2600)
        .bales("hay", 40)
        .graze("herd", null, START.plusDays(75), "near")
        .graze("herd", START.plusDays(212), null, "near")
        .feed("herd", null, null)
        .build();
  }

  private static Gap gap(FarmPlan plan) {
    return ENGINE.gaps(ENGINE.simulate(plan)).stream()
        .filter(g -> g.kind() == Gap.Kind.STORE)
        .findFirst()
        .orElseThrow();
  }

  private static List<LeverOption> found(FarmPlan plan) {
    return new Trial(ENGINE, plan, gap(plan)).options(Lever.ofTheFarm());
  }

  private static LeastCost solved(
      FarmPlan plan, List<LeverOption> found, Set<Integer> must, Set<Integer> never) {
    List<List<PlanEdit>> ways = found.stream().map(LeverOption::edits).toList();
    return LeastCost.of(ENGINE, plan, gap(plan), ways, HAY, new Wishes(must, never));
  }

  /** Others who graze what is opened would go short for it: hay is bought for them too. */
  @Test
  void hayIsBoughtForThoseWhoPayForTheMix() {
    FarmPlan plan =
        new Farms()
            .eaters("herd", 20, 10)
            .eaters("young", 8, 10)
            .field("near", 10, 25, 2000)
            .field("behind", 12, 20, 2600)
            .bales("hay", 40)
            .graze("herd", null, START.plusDays(75), "near")
            .graze("herd", START.plusDays(212), null, "near")
            .feed("herd", null, null)
            .graze("young", null, null, "behind")
            .feed("young", null, null)
            .build();
    assertThat(gap(plan).groups()).extracting(Gap.GroupShare::groupId).containsExactly("herd");
    List<LeverOption> found = found(plan);
    int open =
        IntStream.range(0, found.size())
            .filter(i -> found.get(i).kind() == LeverOption.Kind.OPEN_STANDING)
            .findFirst()
            .orElseThrow();
    YearBalance alone = ENGINE.tryOut(plan, found.get(open).edits());
    double young = IntStream.range(0, alone.days()).mapToDouble(d -> alone.bareKg(1, d)).sum();
    assertThat(young).isGreaterThan(100);
    Set<Integer> others =
        IntStream.range(0, found.size()).filter(i -> i != open).boxed().collect(toSet());
    LeastCost mix = solved(plan, found, Set.of(open), others);
    assertThat(mix.taken()).containsExactly(open);
    assertThat(mix.leftKg()).isZero();
    Purchase hay = (Purchase) ((PlanEdit.Put<?>) mix.hay().get(0)).item();
    assertThat(hay.forGroups()).containsExactlyInAnyOrder("herd", "young");
  }

  /** What is said of it is what the engine says of its edits; it is no dearer than hay alone. */
  @Test
  void theEngineAgreesWithTheCheapestMix() {
    FarmPlan plan = plan();
    List<LeverOption> found = found(plan);
    LeastCost mix = solved(plan, found, Set.of(), Set.of());
    YearBalance after = ENGINE.simulate(ENGINE.changed(plan, mix.edits()));
    Gap gap = gap(plan);
    double left = 0;
    for (int d = gap.firstDay(); d <= gap.lastDay(); d++) {
      left += after.bareKg(d);
    }
    assertThat(mix.leftKg()).isZero();
    assertThat(left).isCloseTo(0, within(1.0));
    // no other day pays for it
    YearBalance before = ENGINE.simulate(plan);
    double worse = 0;
    for (int d = 0; d < before.days(); d++) {
      boolean inGap = d >= gap.firstDay() && d <= gap.lastDay();
      worse += inGap ? 0 : Math.max(0, after.bareKg(d) - before.bareKg(d));
    }
    assertThat(worse).isLessThanOrEqualTo(1.0);
    assertThat(mix.cost()).isLessThanOrEqualTo(mix.buyingAllCost());
    assertThat(mix.gapKg()).isCloseTo(gap.shortKg(), within(1e-6));
    // grass that stands behind a gate costs nothing: it is always in it
    assertThat(mix.taken()).anyMatch(i -> found.get(i).kind() == LeverOption.Kind.OPEN_STANDING);
    assertThat(mix.taken())
        .as("the same field is not opened twice")
        .filteredOn(i -> found.get(i).kind() == LeverOption.Kind.OPEN_STANDING)
        .hasSize(1);
  }

  @Test
  void forbiddenWaysAreLeftAndThoseInsistedOnAreTaken() {
    FarmPlan plan = plan();
    List<LeverOption> found = found(plan);
    LeastCost mix = solved(plan, found, Set.of(), Set.of());
    Set<Integer> all = Set.copyOf(new ArrayList<>(mix.taken()));
    LeastCost without = solved(plan, found, Set.of(), all);
    assertThat(without.taken()).doesNotContainAnyElementsOf(all);
    assertThat(without.cost()).isGreaterThanOrEqualTo(mix.cost() - 1e-6);
    int other = mix.enters().get(mix.enters().size() - 1).way();
    LeastCost insisted = solved(plan, found, Set.of(other), Set.of());
    assertThat(insisted.taken()).contains(other);
  }

  /** With fewer hands it is no cheaper, what is taken fits into them, and another is worth it. */
  @Test
  void withTheHandsThatThereAre() {
    FarmPlan plan = plan();
    List<LeverOption> found = found(plan);
    List<List<PlanEdit>> ways = found.stream().map(LeverOption::edits).toList();
    LeastCost free = solved(plan, found, Set.of(), Set.of());
    LeastCost few =
        LeastCost.of(ENGINE, plan, gap(plan), ways, HAY, new Wishes(Set.of(), Set.of(), 0));
    assertThat(few.hours()).isLessThanOrEqualTo(1e-6);
    assertThat(few.cost()).isGreaterThanOrEqualTo(free.cost() - 1e-6);
    assertThat(free.hourWorth()).isZero();
    assertThat(few.hourWorth()).isNotNegative();
    assertThat(few.leftKg()).isZero();
  }

  /** With nothing to choose from all of it is hay, and a kg more is worth what hay costs. */
  @Test
  void withoutWaysItIsHayAndAKiloIsWorthItsPrice() {
    FarmPlan plan = plan();
    LeastCost mix = solved(plan, List.of(), Set.of(), Set.of());
    assertThat(mix.taken()).isEmpty();
    assertThat(mix.cost()).isCloseTo(mix.buyingAllCost(), within(1e-6));
    // 400 kg at 100 a tonne are 360 kg DM; store and ring take about a fifth: near 0.13 to 0.15 a
    // kg
    for (LeastCost.Worth worth : mix.worth()) {
      assertThat(worth.perKg()).isBetween(0.11, 0.16);
    }
    LeastCost none = LeastCost.of(ENGINE, plan, gap(plan), List.of(), null, Wishes.NONE);
    assertThat(none.leftKg()).isCloseTo(gap(plan).shortKg(), within(1e-6));
    assertThat(none.buyingAllCost()).isNaN();
  }

  /** A field that grows by the weather: to be surer costs more, and the same years are drawn. */
  @Test
  void toBeSurerCostsNoLessAndDoesInAsManyYears() {
    Farms farms = new Farms().eaters("herd", 20, 10).bales("hay", 40);
    farms.fields.add(
        new Field(
            "grass",
            "grass",
            16,
            new Stand("tall_fescue_novel", 6000.0, null, 1500.0, 0, null, null),
            Field.Grazing.SET_STOCKED,
            null,
            null,
            null,
            true,
            "",
            null));
    FarmPlan plan = farms.graze("herd", null, null).feed("herd", null, null).build();
    Gap gap = gap(plan);
    Sureness now = Sureness.of(ENGINE, plan, gap, List.of());
    assertThat(now).isEqualTo(Sureness.of(ENGINE, plan, gap, List.of()));
    assertThat(now.years())
        .hasSize(Sureness.YEARS)
        .isSortedAccordingTo(java.util.Comparator.comparingDouble(Sureness.Year::bareKgBefore));
    // ten of twenty are no harder than the tenth
    assertThat(now.noHarder(0.5)).isEqualTo(now.years().get(9));
    assertThat(now.noHarder(1)).isEqualTo(now.years().get(19));
    double cost = 0;
    for (double share : new double[] {0.5, 0.8, 1}) {
      LeastCost mix = LeastCost.sure(ENGINE, plan, gap, List.of(), HAY, Wishes.NONE, share);
      assertThat(mix.sureness().closedAfter()).isGreaterThanOrEqualTo(now.wanted(share));
      assertThat(mix.cost()).isGreaterThanOrEqualTo(cost);
      cost = mix.cost();
      assertThat(mix.sureness()).isEqualTo(Sureness.of(ENGINE, plan, gap, mix.edits()));
    }
    assertThat(now.years().get(19).bareKgBefore())
        .isGreaterThan(1.05 * now.years().get(0).bareKgBefore());
  }
}
