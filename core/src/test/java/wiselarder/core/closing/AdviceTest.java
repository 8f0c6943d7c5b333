package wiselarder.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.util.Collections;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;

/** What a year says beyond its gaps. */
class AdviceTest {
  private static final Engine DRY = ENGINE.in(Season.parse("dry"));

  /** Bulls of 10 kg a day on hay alone: as many are fed as the hay lasts for. */
  private static FarmPlan onHay(int bales) {
    return new Farms().eaters("herd", 20, 10).bales("hay", bales).feed("herd", null, null).build();
  }

  /**
   * Twenty ask for 73,000 kg a year. Two hundred bales of 360 kg put some 57 to 66 t into them, by
   * what barn and ring lose: between 0.75 and 0.9 of the herd; twice the bales feed twice as many.
   */
  @Test
  void theHerdThatIsCarriedFollowsTheFeed() {
    double one = Advice.of(ENGINE, DRY, onHay(200)).carries().share();
    double two = Advice.of(ENGINE, DRY, onHay(400)).carries().share();
    assertThat(one).isBetween(0.75, 0.9);
    assertThat(two).isCloseTo(2 * one, within(0.15));
    assertThat(Advice.of(ENGINE, DRY, onHay(2)).carries().share()).isNaN();
    assertThat(Advice.of(ENGINE, DRY, new Farms().bales("hay", 9).build()).carries().share())
        .isNaN();
  }

  private static FarmPlan grassy() {
    Farms farms =
        new Farms()
            .eaters("herd", 8, 10)
            .field("near", 6, 22, 2000)
            .bales("hay", 60)
            .graze("herd", null, null, "near")
            .feed("herd", null, null);
    farms.fields.add(
        Farms.stand("meadow", 6, "tall_fescue_novel", Collections.nCopies(12, 15.0), 2600));
    return farms.build();
  }

  @Test
  void monthsAndFieldsAddUpToTheYear() {
    FarmPlan plan = grassy();
    YearBalance year = ENGINE.simulate(plan);
    Advice advice = Advice.of(ENGINE, DRY, plan);
    assertThat(advice.months()).hasSize(12);
    double grown = 0;
    double grazed = 0;
    double lost = 0;
    for (int f = 0; f < 2; f++) {
      for (int d = 0; d < year.days(); d++) {
        grown += year.grownKg(f, d);
        grazed += year.grazedKg(f, d);
        lost += year.weatheredKg(f, d);
      }
    }
    assertThat(advice.months().stream().mapToDouble(Advice.Month::grownKg).sum())
        .isCloseTo(grown, within(1e-6));
    assertThat(advice.months().stream().mapToDouble(Advice.Month::lostKg).sum())
        .isCloseTo(lost, within(1e-6));
    assertThat(advice.fields().stream().mapToDouble(f -> 6 * f.grazedKgPerHa()).sum())
        .isCloseTo(grazed, within(1e-6));
    // the same stand on both: each is held against the other
    assertThat(advice.fields().get(1).likeGrownKgPerHa())
        .isCloseTo(advice.fields().get(0).grownKgPerHa(), within(1e-9));
    assertThat(advice.fields().get(1).grownKgPerHa())
        .isLessThan(advice.fields().get(0).grownKgPerHa());
  }

  /** The meadow that nobody grazes is cut, nobody misses it, and no more is made than stood. */
  @Test
  void surplusIsCutWhereNobodyMissesIt() {
    FarmPlan plan = grassy();
    YearBalance before = ENGINE.simulate(plan);
    Advice.Cut cut =
        Advice.of(ENGINE, DRY, plan).cuts().stream()
            .filter(c -> c.fieldId().equals("meadow"))
            .findFirst()
            .orElseThrow();
    YearBalance after = ENGINE.simulate(ENGINE.changed(plan, cut.edits()));
    assertThat(after.totalBareKg()).isLessThanOrEqualTo(before.totalBareKg() + 1e-6);
    int day = plan.plan().year().day(cut.date());
    assertThat(cut.madeKg()).isBetween(1000.0, 6 * before.coverKgPerHa(1, day));
    assertThat(cut.cost()).isPositive();
  }
}
