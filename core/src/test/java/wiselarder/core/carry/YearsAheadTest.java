package wiselarder.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.carry.YearsAhead.AheadKind;
import wiselarder.core.carry.YearsAhead.AheadStand;
import wiselarder.core.carry.YearsAhead.AheadStretch;
import wiselarder.core.carry.YearsAhead.AheadYear;
import wiselarder.core.land.Field;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Sowing;
import wiselarder.core.plan.Sowing.Preparation;
import wiselarder.core.plan.Sowing.SowingTerms;
import wiselarder.core.quantity.Refused;

/** The farm over some years: one thing after another on a field. */
class YearsAheadTest {
  private static final LocalDate NEW = LocalDate.of(2027, 9, 5);

  /** Old fescue: a summer of sorghum-sudan cleans the ground, new fescue follows in September. */
  private static Farms renewed() {
    Farms f = new Farms().bales("hay", 120);
    f.field("home", 14, 24, 1900);
    f.fields.add(Farms.stand("old", 8, "tall_fescue_toxic", null, 1700));
    f.groups.add(Farms.dams("cows", "beef/cow", 18, 560, MonthDay.of(3, 10), 0.9));
    f.graze("cows", null, null).feed("cows", null, null, "hay");
    f.sowings.add(
        new Sowing(
            "clean",
            "old",
            "sorghum_sudangrass",
            LocalDate.of(2027, 5, 20),
            Preparation.SPRAYED_OUT,
            null,
            1,
            LocalDate.of(2027, 8, 20)));
    f.sowings.add(
        new Sowing(
            "new",
            "old",
            "tall_fescue_novel",
            NEW,
            Preparation.BURN_DOWN,
            null,
            1,
            null,
            new SowingTerms(null, null, 10, 0.5),
            null));
    return f;
  }

  private static YearsAhead ahead(Farms f, int years) {
    return YearsAhead.of(ENGINE, f.build(), years, Set.of());
  }

  private static List<AheadStretch> on(YearsAhead a, int field) {
    return a.fields().get(field).stretches();
  }

  @Test
  void oneThingComesAfterAnother() {
    YearsAhead a = ahead(renewed(), 4);
    assertThat(on(a, 0))
        .containsExactly(
            new AheadStretch(
                AheadKind.STAND,
                "tall_fescue_novel",
                LocalDate.of(2026, 9, 1),
                LocalDate.of(2030, 9, 1)));
    assertThat(on(a, 1))
        .extracting(s -> s.kind() + " " + s.forageId())
        .containsExactly(
            "STAND tall_fescue_toxic",
            "GROUND sorghum_sudangrass",
            "CROP sorghum_sudangrass",
            "GROUND tall_fescue_novel",
            "YOUNG tall_fescue_novel",
            "STAND tall_fescue_novel");
    assertThat(on(a, 1).get(1).from()).as("42 days before it is sown").isEqualTo("2027-04-08");
    assertThat(on(a, 1).get(5).toExclusive()).as("it stays").isEqualTo("2030-09-01");
    AheadStand is = a.stands().get(0);
    assertThat(is.sowOn()).isEqualTo(NEW);
    assertThat(is.readyOn()).isBetween(LocalDate.of(2028, 3, 1), LocalDate.of(2028, 6, 20));
    assertThat(is.fullOn()).isEqualTo(NEW.plusDays(365));
    assertThat(is.costPerHaYear()).isCloseTo(is.costPerHa() / 10, within(1e-9));
    // mouths eat what there is: what is eaten and what lacks is what they need
    for (AheadYear y : a.years()) {
      assertThat(y.growingKg() + y.standingEatenKg() + y.storedKg() + y.shortKg())
          .isCloseTo(y.needKg(), within(1.0));
    }
    assertThat(a.years().get(1).outOfUseHa()).isBetween(4.0, 8.0);
    assertThat(a.years().get(2).outOfUseHa()).isZero();
  }

  /** The first year is the plan's own year, the second the plan that would be made of it. */
  @Test
  void itIsWhatThePlansWouldBe() {
    FarmPlan plan = renewed().build();
    YearsAhead a = YearsAhead.of(ENGINE, plan, 2, Set.of());
    YearBalance first = ENGINE.simulate(plan);
    YearBalance second = ENGINE.simulate(NextPlan.next(ENGINE, plan, 1, Set.of()));
    assertThat(a.years().get(0).shortKg()).isCloseTo(first.totalBareKg(), within(1e-6));
    assertThat(a.years().get(1).shortKg()).isCloseTo(second.totalBareKg(), within(1e-6));
    assertThat(a.fields().get(1).coverKgPerHa()).hasSize(24);
  }

  /** What was sown to stay is not sown again; a stand of its own is the field's from then on. */
  @Test
  void aPerennialIsSownOnce() {
    FarmPlan first = renewed().build();
    FarmPlan second = NextPlan.next(ENGINE, first, 1, Set.of());
    assertThat(second.plan().sowings()).extracting(Sowing::id).contains("new");
    assertThat(second.plan().sowings()).extracting(Sowing::sowOn).contains(NEW);
    assertThat(second.plan().sowings()).noneMatch(s -> s.sowOn().isAfter(NEW));
    FarmPlan third = NextPlan.next(ENGINE, second, 1, Set.of());
    FarmPlan fourth = NextPlan.next(ENGINE, third, 1, Set.of());
    Field old = fourth.farm().fields().get(1);
    assertThat(old.stand().forageId()).isEqualTo("tall_fescue_novel");
    assertThat(old.stand().toExclusive()).isNull();
    assertThat(fourth.plan().sowings()).isEmpty();
    YearBalance y = ENGINE.simulate(third);
    assertThat(old.stand().openingCoverKgPerHa()).isCloseTo(y.coverKgPerHa(1, 364), within(0.1));
  }

  /** An annual that nothing follows is sown each year, as it was. */
  @Test
  void whatIsNotPartOfASequenceIsDoneAgain() {
    Farms f = renewed();
    f.sowings.remove(1);
    YearsAhead a = ahead(f, 3);
    assertThat(on(a, 1)).filteredOn(s -> s.kind() == AheadKind.CROP).hasSize(3);
    assertThat(a.stands()).isEmpty();
  }

  @Test
  void onlySomeYears() {
    assertThatThrownBy(() -> ahead(renewed(), 1)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> ahead(renewed(), 7)).isInstanceOf(Refused.class);
  }
}
