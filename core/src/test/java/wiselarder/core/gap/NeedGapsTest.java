package wiselarder.core.gap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.MonthDay;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.diet.DietYear;
import wiselarder.core.gap.Gap.Cause.Code;
import wiselarder.core.herd.Keeping;
import wiselarder.core.land.Lie;
import wiselarder.core.plan.FarmPlan;

/** Where feed is enough and something in it, or water, is not. */
class NeedGapsTest {
  private static List<Gap> of(FarmPlan plan, Gap.Kind kind) {
    YearBalance year = ENGINE.simulate(plan);
    return NeedGaps.find(year).stream().filter(g -> g.kind() == kind).toList();
  }

  private static double value(Gap gap, Code code) {
    return gap.causes().stream().filter(c -> c.code() == code).findFirst().orElseThrow().value();
  }

  /** Cows in milk on straw-like hay of 6% protein in plenty. */
  private static Farms onPoorHay() {
    Farms farms = new Farms().feed("cows", null, null);
    farms.groups.add(Farms.dams("cows", "beef/cow", 20, 600, MonthDay.of(2, 1), 0.9));
    farms.lots.add(Farms.of("hay", 1000, "hay_native_late"));
    return farms;
  }

  @Test
  void poorHayLacksProteinAndSaysHowMuch() {
    FarmPlan plan = onPoorHay().build();
    List<Gap> gaps = of(plan, Gap.Kind.PROTEIN);
    assertThat(gaps).isNotEmpty();
    Gap gap = gaps.get(0);
    YearBalance year = ENGINE.simulate(plan);
    assertThat(ENGINE.gaps(year)).noneMatch(g -> g.kind() == Gap.Kind.STORE);
    // each day's lack up to 97% of the need, by the diet itself
    DietYear diet = DietYear.of(year, 0);
    double kg = 0;
    for (int d = gap.firstDay(); d <= gap.lastDay(); d++) {
      kg += Math.max(0, 0.97 * diet.proteinNeedKg(d) - diet.proteinKg(d));
    }
    assertThat(gap.shortKg()).isCloseTo(kg, within(1e-9));
    assertThat(value(gap, Code.FEED_HOLDS)).isLessThan(0.9 * value(gap, Code.THEY_NEED));
    assertThat(gap.groups()).extracting(Gap.GroupShare::groupId).containsExactly("cows");
  }

  @Test
  void goodHayLacksNothingAndEmptyRacksAreNoPoorFeed() {
    Farms good = onPoorHay();
    good.lots.set(0, Farms.of("hay", 1000, "hay_alfalfa_early"));
    assertThat(of(good.build(), Gap.Kind.PROTEIN)).isEmpty();
    Farms empty = onPoorHay();
    empty.lots.clear();
    FarmPlan plan = empty.build();
    assertThat(of(plan, Gap.Kind.PROTEIN)).isEmpty();
    assertThat(of(plan, Gap.Kind.ENERGY)).isEmpty();
    Gap risk = of(plan, Gap.Kind.CONDITION).get(0);
    assertThat(value(risk, Code.BARE)).isPositive();
    assertThat(value(risk, Code.WOULD_NOT_LIVE)).isPositive();
  }

  /** From the day they begin to lose to the thinnest; the floor is the keeper's own. */
  @Test
  void animalsAtRiskFromWhenTheyLose() {
    Farms farms = onPoorHay();
    Keeping strict = new Keeping(false, Keeping.Shelter.SHELTERED, 0, 0, 0, 4.9, false, 0);
    farms.groups.set(0, Farms.kept(farms.groups.get(0), strict, List.of()));
    FarmPlan plan = farms.build();
    Gap risk = of(plan, Gap.Kind.CONDITION).get(0);
    assertThat(value(risk, Code.FLOOR)).isEqualTo(4.9);
    assertThat(risk.firstDay()).isLessThanOrEqualTo((int) value(risk, Code.THIN_FROM));
    DietYear diet = DietYear.of(ENGINE.simulate(plan), 0);
    assertThat(value(risk, Code.LOWEST_SCORE)).isEqualTo(diet.score(risk.lastDay()));
    assertThat(diet.score(risk.lastDay())).isLessThan(4.9);
    assertThat(diet.gainKg(risk.firstDay())).isNegative();
    // 20 cows, a point is 7% of what each weighs, lacking to 4.9 on the deepest day
    double lacks = 20 * (4.9 - diet.score(risk.lastDay())) * 0.07 * diet.weightKg(risk.lastDay());
    assertThat(risk.deepestKg()).isCloseTo(lacks, within(1e-6));
  }

  /** Ten bulls on a field that gives 100 litres: what they drink beyond is missing. */
  @Test
  void aTroughThatGivesTooLittle() {
    Farms farms = new Farms().eaters("bulls", 10, 8).field("far", 20, 30, 2500);
    farms.graze("bulls", START, START.plusDays(60), "far");
    farms.fields.set(0, farms.fields.get(0).lying(Lie.unsaid().watered(Lie.Water.TROUGH, 100.0)));
    FarmPlan plan = farms.build();
    Gap gap = of(plan, Gap.Kind.WATER).get(0);
    assertThat(gap.firstDay()).isZero();
    assertThat(value(gap, Code.FIELD_GIVES)).isEqualTo(100);
    double most = value(gap, Code.THEY_DRINK);
    assertThat(gap.deepestKg()).isCloseTo(most - 100, within(1e-6));
    Farms unsaid = new Farms().eaters("bulls", 10, 8).field("far", 20, 30, 2500);
    assertThat(of(unsaid.graze("bulls", null, null, "far").build(), Gap.Kind.WATER)).isEmpty();
  }
}
