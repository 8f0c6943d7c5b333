package wiselarder.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.closing.FewerMouths;
import wiselarder.core.closing.Lever;
import wiselarder.core.closing.LeverOption;
import wiselarder.core.closing.PolicyEffect;
import wiselarder.core.closing.Trial;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.Forage;
import wiselarder.core.gap.Gap;
import wiselarder.core.land.Field;

class PoliciesTest {
  private static FarmPlan farm(Field.Grazing grazing) {
    Farms farms = new Farms().eaters("herd", 20, 10).bales("hay", 30);
    Field fescue =
        Farms.stand("fescue", 10, "tall_fescue_novel", Collections.nCopies(12, 25.0), 2600);
    farms.fields.add(fescue.managed(grazing, null));
    farms.fields.add(
        Farms.stand("bluestem", 8, "big_bluestem", Collections.nCopies(12, 20.0), 2600));
    return farms.graze("herd", null, null).feed("herd", null, null).build();
  }

  private static FarmPlan with(FarmPlan plan, Policy.Side... sides) {
    return PlanEdit.all(
        plan,
        Arrays.stream(sides)
            .<PlanEdit>map(s -> new PlanEdit.Put<>(Items.POLICIES, new Policy(s)))
            .toList());
  }

  private static Field field(FarmPlan plan, String id) {
    return Policies.applied(plan, ENGINE.catalogue(), false).field(id);
  }

  @Test
  void aQuestionHasOneAnswerAndNoneChangesNothing() {
    FarmPlan plan = farm(Field.Grazing.ROTATIONAL);
    assertThat(Policies.applied(plan, ENGINE.catalogue(), false)).isSameAs(plan);
    FarmPlan both = with(plan, Policy.Side.TAKE_HALF, Policy.Side.TOP_THIRD);
    assertThat(both.plan().policies()).containsExactly(new Policy(Policy.Side.TOP_THIRD));
    FarmPlan gone = new PlanEdit.Remove<>(Items.POLICIES, "TAKE").apply(both);
    assertThat(gone).isEqualTo(plan);
  }

  /** Half, and two thirds, of the mass at which the forage is entered; never less than stated. */
  @Test
  void aBiteLeavesHalfOrTwoThirds() {
    FarmPlan plan = farm(Field.Grazing.ROTATIONAL);
    Forage fescue = ENGINE.catalogue().forage("tall_fescue_novel");
    double entry = fescue.entryMassKgPerHa();
    assertThat(field(with(plan, Policy.Side.TOP_THIRD), "fescue").residualKgPerHa())
        .isCloseTo(entry * 2 / 3, within(1e-9));
    Double half = field(with(plan, Policy.Side.TAKE_HALF), "fescue").residualKgPerHa();
    assertThat(half == null ? fescue.minResidualKgPerHa() : half)
        .isEqualTo(Math.max(fescue.minResidualKgPerHa(), entry / 2));
    Field high =
        plan.field("fescue").managed(Field.Grazing.ROTATIONAL, Double.valueOf(entry * 0.9));
    FarmPlan stated = Items.FIELDS.put(plan, high);
    assertThat(field(with(stated, Policy.Side.TOP_THIRD), "fescue")).isEqualTo(high);
    // a bite that leaves more takes less on the first days
    YearBalance all = ENGINE.simulate(plan);
    YearBalance third = ENGINE.simulate(with(plan, Policy.Side.TOP_THIRD));
    assertThat(third.standingKg(120)).isGreaterThan(all.standingKg(120));
  }

  @Test
  void breaksAreShortOrLongWhereStockAreMovedAtAll() {
    assertThat(
            field(with(farm(Field.Grazing.ROTATIONAL), Policy.Side.SHORT_BREAKS), "fescue")
                .grazing())
        .isEqualTo(Field.Grazing.STRIP);
    assertThat(field(with(farm(Field.Grazing.STRIP), Policy.Side.LONG_BREAKS), "fescue").grazing())
        .isEqualTo(Field.Grazing.ROTATIONAL);
    assertThat(
            field(with(farm(Field.Grazing.SET_STOCKED), Policy.Side.SHORT_BREAKS), "fescue")
                .grazing())
        .isEqualTo(Field.Grazing.SET_STOCKED);
  }

  /** Thirty days up to the usual first frost, on the native field alone, and nobody grazes it. */
  @Test
  void nativesRestForAMonthBeforeFrost() {
    FarmPlan plan = with(farm(Field.Grazing.ROTATIONAL), Policy.Side.REST_BEFORE_FROST);
    List<Closing> rests = Policies.applied(plan, ENGINE.catalogue(), false).plan().closings();
    LocalDate frost =
        LocalDate.ofYearDay(
            START.getYear(), ENGINE.catalogue().climate("transition_humid").firstFrost().doy50());
    assertThat(rests).hasSize(1);
    assertThat(rests.get(0).fieldId()).isEqualTo("bluestem");
    assertThat(rests.get(0).fromInclusive()).isEqualTo(frost.minusDays(30));
    assertThat(rests.get(0).toExclusive()).isEqualTo(frost);
    YearBalance b = ENGINE.simulate(plan);
    int field = 1;
    for (LocalDate d = frost.minusDays(30); d.isBefore(frost); d = d.plusDays(1)) {
      assertThat(b.grazedKg(field, plan.plan().year().day(d))).isZero();
    }
    // a field that the plan shuts then already is left as it is
    FarmPlan shut =
        new PlanEdit.Put<>(
                Items.CLOSINGS,
                new Closing(
                    "c", "bluestem", frost.minusDays(5), frost.plusDays(40), List.of(), null))
            .apply(plan);
    assertThat(Policies.applied(shut, ENGINE.catalogue(), false).plan().closings()).hasSize(1);
  }

  /** Nitrogen never, a crop into sod not where it is dry: neither is in the year then. */
  @Test
  void whatAPolicyLeavesOutIsNotDone() {
    FarmPlan plan = farm(Field.Grazing.SET_STOCKED);
    plan = Items.DRESSINGS.put(plan, new Dressing("n", "fescue", START.plusDays(20), 60, null));
    plan =
        Items.SOWINGS.put(
            plan,
            new Sowing(
                "s",
                "bluestem",
                "cereal_rye",
                START.plusDays(15),
                Sowing.Preparation.GRAZE_DOWN,
                null,
                1,
                null));
    FarmPlan clover = with(plan, Policy.Side.LEGUMES);
    assertThat(Policies.applied(clover, ENGINE.catalogue(), false).plan().dressings()).isEmpty();
    assertThat(ENGINE.simulate(clover).standingKg(100))
        .isLessThan(ENGINE.simulate(plan).standingKg(100));
    FarmPlan careful = with(plan, Policy.Side.SKIP_DRY_YEARS);
    assertThat(Policies.applied(careful, ENGINE.catalogue(), false)).isSameAs(careful);
    assertThat(Policies.applied(careful, ENGINE.catalogue(), true).plan().sowings()).isEmpty();
  }

  @Test
  void whatAPolicyRulesOutIsNotOffered() {
    FarmPlan plan = farm(Field.Grazing.SET_STOCKED);
    Gap gap =
        ENGINE.gaps(ENGINE.simulate(plan)).stream()
            .filter(g -> g.kind() == Gap.Kind.STORE)
            .findFirst()
            .orElseThrow();
    List<Lever> levers = List.of(FewerMouths.sold());
    assertThat(new Trial(ENGINE, plan, gap).options(levers))
        .extracting(LeverOption::kind)
        .contains(LeverOption.Kind.SELL);
    FarmPlan kept = with(plan, Policy.Side.HAY_THROUGH);
    assertThat(new Trial(ENGINE, kept, gap).options(levers)).isEmpty();
  }

  /** What is said of a side is what the year with it says. */
  @Test
  void theEffectOfASideIsTheYearWithIt() {
    FarmPlan plan = with(farm(Field.Grazing.ROTATIONAL), Policy.Side.TOP_THIRD);
    Engine dry = ENGINE.in(Season.parse("dry"));
    List<PolicyEffect> all = PolicyEffect.of(ENGINE, dry, plan, Farms.bale("pattern", 0));
    assertThat(all).hasSize(18);
    YearBalance third = ENGINE.simulate(plan);
    assertThat(of(all, Policy.Question.TAKE, Policy.Side.TOP_THIRD).bareKg())
        .isCloseTo(third.totalBareKg(), within(1e-6));
    YearBalance none = ENGINE.simulate(farm(Field.Grazing.ROTATIONAL));
    assertThat(of(all, Policy.Question.TAKE, null).bareKg())
        .isCloseTo(none.totalBareKg(), within(1e-6));
    PolicyEffect hay = of(all, Policy.Question.DROUGHT, Policy.Side.HAY_THROUGH);
    PolicyEffect nothing = of(all, Policy.Question.DROUGHT, null);
    assertThat(hay.season().key()).isEqualTo("dry");
    assertThat(hay.bareKg()).isLessThan(nothing.bareKg());
    assertThat(hay.cost()).isPositive();
    assertThat(of(all, Policy.Question.DROUGHT, Policy.Side.SELL_EARLY).bareKg())
        .isLessThan(nothing.bareKg());
  }

  private static PolicyEffect of(
      List<PolicyEffect> all, Policy.Question question, Policy.Side side) {
    Optional<PolicyEffect> found =
        all.stream().filter(e -> e.question() == question && e.side() == side).findFirst();
    return found.orElseThrow();
  }
}
