package wiselarder.core.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.forage.SwardSigns;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.records.CoverSeen.SignSeen;
import wiselarder.core.records.FarmRecord;

class WalkTest {
  private static final String FESCUE = "tall_fescue_novel";
  private static final List<Double> RATES =
      List.of(0.2, 0.3, 10d, 40d, 60d, 40d, 20d, 15d, 20d, 15d, 5d, 0.5);

  /** Ten bulls of 10 kg a day: near is theirs from April on, far nobody's, bales between. */
  private static FarmPlan farm(int bales) {
    Farms farm = new Farms().eaters("herd", 10, 10).bales("hay", bales);
    farm.fields.add(Farms.stand("near", 5, FESCUE, RATES, 2000));
    farm.fields.add(Farms.stand("far", 4, FESCUE, RATES, 2000));
    return farm.graze("herd", START.plusDays(212), null, "near").feed("herd", null, null).build();
  }

  private static CoverSeen eye(String field, double kgPerHa, SignSeen... signs) {
    return Farms.cover(field, FESCUE, kgPerHa, null, signs);
  }

  private static LocalDate day(int day) {
    return START.plusDays(day);
  }

  private static Engine knowing(FarmRecord... written) {
    return ENGINE.knowing(Farms.written(written));
  }

  /**
   * 400 kg/ha less than expected on the 5 ha of near, of which stock eat the share that the plan
   * counts with: so many kilograms, over the 100 kg that ten bulls eat in a day.
   */
  @Test
  void lessThanExpectedIsSoManyDaysLess() {
    FarmPlan plan = farm(80);
    Walk walk = Walk.of(ENGINE, plan, day(230));
    FieldToWalk near = walk.fields().get(0);
    Answer answer = Answer.to(ENGINE, plan, day(230), eye("near", near.expectedKgPerHa() - 400));
    double utilization = ENGINE.simulate(plan).resolved().pieces.utilization(0, 0, false);
    assertThat(answer.expectedKgPerHa()).isEqualTo(near.expectedKgPerHa());
    assertThat(answer.feedDays()).isCloseTo(-400 * 5 * utilization / 100, within(1e-9));
    double above = near.expectedKgPerHa() - 400 - near.leaveKgPerHa();
    assertThat(answer.forAllDays())
        .isCloseTo(Math.max(0, above * 5 * utilization / 100), within(1e-9));
  }

  /** Below what is to be left nothing is fed, and to find still less changes nothing. */
  @Test
  void whatIsBelowTheStubbleFeedsNobody() {
    FarmPlan plan = farm(80);
    double leave = Walk.of(ENGINE, plan, day(230)).fields().get(0).leaveKgPerHa();
    Answer low = Answer.to(ENGINE, plan, day(230), eye("near", leave - 300));
    assertThat(low.forAllDays()).isZero();
    Answer lower = Answer.to(ENGINE, plan, day(230), eye("near", leave - 700));
    assertThat(lower.feedDays()).isEqualTo(low.feedDays());
  }

  /**
   * Where nothing stands in the plan a reading changes nothing, and the answer does not claim it.
   */
  @Test
  void whatThePlanHasNoPlaceForDoesNotCount() {
    Farms farm = new Farms().eaters("herd", 10, 10).bales("hay", 80).feed("herd", null, null);
    Field later = Farms.stand("near", 5, FESCUE, RATES, 2000);
    Stand s = later.stand();
    farm.fields.add(
        new Field(
            later.id(),
            later.name(),
            later.areaHa(),
            new Stand(
                s.forageId(),
                s.yieldKgPerHa(),
                s.monthlyKgPerHaDay(),
                s.openingCoverKgPerHa(),
                s.openingDeadShare(),
                day(200),
                null),
            later.grazing(),
            null,
            null,
            null,
            true,
            "",
            null));
    Answer early = Answer.to(ENGINE, farm.build(), day(100), eye("near", 3000));
    assertThat(early.counts()).isFalse();
    assertThat(early.feedDays()).isZero();
    assertThat(early.ready()).isFalse();
    assertThat(early.after()).isEqualTo(early.before());
    assertThat(Answer.to(ENGINE, farm.build(), day(230), eye("near", 3000)).counts()).isTrue();
  }

  /** Without animals nothing is days of feed, and nobody divides by nothing. */
  @Test
  void withoutAnimalsThereAreNoDaysOfFeed() {
    Farms farm = new Farms();
    farm.fields.add(Farms.stand("near", 5, FESCUE, RATES, 2000));
    Walk walk = Walk.of(ENGINE, farm.build(), day(230));
    assertThat(walk.needKgPerDay()).isZero();
    assertThat(walk.first()).isEmpty();
    Answer answer = Answer.to(ENGINE, farm.build(), day(230), eye("near", 3000));
    assertThat(answer.feedDays()).isZero();
    assertThat(answer.forAllDays()).isZero();
    assertThat(Walk.of(ENGINE, new Farms().build(), day(0)).fields()).isEmpty();
  }

  /** What is answered before it is written down is what the year says afterwards. */
  @Property(tries = 15)
  void theAnswerIsWhatTheYearSaysOnceItIsWritten(
      @ForAll @IntRange(min = 0, max = 360) int on,
      @ForAll @IntRange(min = 300, max = 4000) int kgPerHa,
      @ForAll @IntRange(min = 10, max = 120) int bales) {
    FarmPlan plan = farm(bales);
    CoverSeen seen = eye("near", kgPerHa);
    Answer answer = Answer.to(ENGINE, plan, day(on), seen);
    Engine told = knowing(Farms.seen(day(on), seen));
    Walk after = Walk.of(told, plan, day(on));
    assertThat(answer.after()).isEqualTo(after.ahead());
    assertThat(answer.before()).isEqualTo(Walk.of(ENGINE, plan, day(on)).ahead());
    assertThat(answer.paceAfter()).isEqualTo(after.paceShare());
    assertThat(after.fields().get(0).readToday()).isTrue();
    assertThat(after.fields().get(0).expectedKgPerHa()).isEqualTo(answer.expectedKgPerHa());
    assertThat(after.first()).doesNotContain("near");
  }

  /** More grass never brings the first day without feed sooner. */
  @Property(tries = 15)
  void moreGrassNeverRunsOutSooner(
      @ForAll @IntRange(min = 200, max = 300) int on,
      @ForAll @IntRange(min = 300, max = 2500) int kgPerHa) {
    FarmPlan plan = farm(70);
    LocalDate less = Answer.to(ENGINE, plan, day(on), eye("near", kgPerHa)).after().bareNormal();
    LocalDate more =
        Answer.to(ENGINE, plan, day(on), eye("near", kgPerHa + 700)).after().bareNormal();
    assertThat(more == null || !more.isBefore(less == null ? LocalDate.MAX : less)).isTrue();
  }

  /** A field that was read lately is known better than one that never was. */
  @Test
  void whatWasReadLatelyIsNotWalkedFirst() {
    FarmPlan plan = farm(80);
    Walk before = Walk.of(ENGINE, plan, day(240));
    assertThat(before.first()).as("a third of two").hasSize(1);
    assertThat(before.fields().get(0).lastOn()).isNull();
    Engine told = knowing(Farms.seen(day(239), eye("near", 1800)));
    Walk after = Walk.of(told, plan, day(240));
    assertThat(after.fields().get(0).lastOn()).isEqualTo(day(239));
    assertThat(after.fields().get(0).doubtKgPerHa())
        .isLessThan(before.fields().get(0).doubtKgPerHa());
    assertThat(after.fields().get(1).doubtKgPerHa())
        .isEqualTo(before.fields().get(1).doubtKgPerHa());
    assertThat(after.first().get(0)).isEqualTo("far");
  }

  /** By what plants do: in April they grow, in January they stand, in October they grow again. */
  @Test
  void theSeasonIsThatOfThePlants() {
    FarmPlan plan = farm(80);
    assertThat(season(plan, 240)).isEqualTo(HeightTable.Season.SPRING);
    assertThat(season(plan, 310)).isEqualTo(HeightTable.Season.SUMMER);
    assertThat(season(plan, 40)).isEqualTo(HeightTable.Season.AUTUMN);
    assertThat(season(plan, 130)).isEqualTo(HeightTable.Season.WINTER_STANDING);
  }

  private static HeightTable.Season season(FarmPlan plan, int day) {
    return Walk.of(ENGINE, plan, day(day)).fields().get(1).season();
  }

  /** The height that is expected is the one that the table turns into the cover expected. */
  @Test
  void theHeightExpectedGivesTheCoverExpected() {
    FarmPlan plan = farm(80);
    for (int d : List.of(20, 130, 240, 310)) {
      FieldToWalk far = Walk.of(ENGINE, plan, day(d)).fields().get(1);
      if (far.expectedCm() != null) {
        double back =
            ENGINE
                .catalogue()
                .heights()
                .massKgPerHa(
                    ENGINE.catalogue().forage(FESCUE),
                    far.season(),
                    HeightTable.Density.ORDINARY,
                    far.expectedCm());
        assertThat(back).isCloseTo(far.expectedKgPerHa(), within(0.01));
      }
    }
  }

  @ParameterizedTest
  @CsvSource({"pointed, READY, true", "half_blunt, CAUTION, true", "mostly_blunt, WAIT, false"})
  void theStrictestSignDecides(String tips, SwardSigns.Effect effect, boolean ready) {
    CoverSeen seen =
        eye("far", 3500, new SignSeen("tips_bitten", tips), new SignSeen("bare_ground", "under_5"));
    Answer answer = Answer.to(ENGINE, farm(80), day(240), seen);
    assertThat(answer.effect())
        .isEqualTo(effect == SwardSigns.Effect.READY ? SwardSigns.Effect.ADJUST_MASS : effect);
    assertThat(answer.ready()).isEqualTo(ready);
    if (effect != SwardSigns.Effect.READY) {
      assertThat(answer.reasons()).extracting(Answer.Reason::value).containsExactly(tips);
    }
  }

  @Test
  void aFieldBelowItsEntryIsNotReady() {
    FieldToWalk far = Walk.of(ENGINE, farm(80), day(240)).fields().get(1);
    double enter = far.enterKgPerHa();
    assertThat(Answer.to(ENGINE, farm(80), day(240), eye("far", enter - 50)).ready()).isFalse();
    assertThat(Answer.to(ENGINE, farm(80), day(240), eye("far", enter + 50)).ready()).isTrue();
  }

  /** (2,300 - 1,800 + 0 eaten) over 20 days is 25 kg/ha a day, whatever had been expected. */
  @Test
  void growthIsMeasuredBetweenReadings() {
    YearBalance year =
        knowing(Farms.seen(day(220), eye("far", 1800)), Farms.seen(day(240), eye("far", 2300)))
            .simulate(farm(80));
    List<FieldHistory.ReadingLine> lines = FieldHistory.of(year, 1);
    assertThat(lines).hasSize(2);
    assertThat(lines.get(0).growthKgPerHaDay()).isNull();
    assertThat(lines.get(1).growthKgPerHaDay()).isCloseTo(25, within(1e-9));
    assertThat(lines.get(1).usualKgPerHaDay()).isBetween(15.0, 60.0);
    assertThat(FieldHistory.of(year, 0)).isEmpty();
  }

  /** What stock took in between is added: cover went down by 300, and they took more. */
  @Test
  void whatWasTakenCountsAsGrown() {
    YearBalance year =
        knowing(Farms.seen(day(225), eye("near", 2200)), Farms.seen(day(245), eye("near", 1900)))
            .simulate(farm(80));
    FieldHistory.ReadingLine line = FieldHistory.of(year, 0).get(1);
    assertThat(line.takenKgPerHa()).isPositive();
    assertThat(line.growthKgPerHaDay())
        .isCloseTo((1900 - 2200 + line.takenKgPerHa()) / 20, within(1e-9));
  }

  @Test
  void whatThePlanDoesNotKnowIsRefused() {
    FarmPlan plan = farm(80);
    assertThatThrownBy(() -> Walk.of(ENGINE, plan, day(-1))).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> Walk.of(ENGINE, plan, day(366))).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> Answer.to(ENGINE, plan, day(9), eye("gone", 900)))
        .isInstanceOf(Refused.class);
    CoverSeen odd = eye("near", 900, new SignSeen("tips_bitten", "purple"));
    assertThatThrownBy(() -> Answer.to(ENGINE, plan, day(9), odd)).isInstanceOf(Refused.class);
  }

  @Test
  void everyForageHasSignsAndEveryRowOfTheTableIsWhole() {
    SwardSigns signs = ENGINE.catalogue().signs();
    assertThat(signs.all()).hasSize(70);
    ENGINE
        .catalogue()
        .forages()
        .values()
        .forEach(f -> assertThat(signs.of(f, java.util.Set.of("bare_ground"))).isNotEmpty());
    assertThat(signs.sign("bare_ground").value("15_30").factor()).isCloseTo(0.775, within(1e-12));
    assertThat(signs.sign("tips_bitten").value("pointed").factor()).isEqualTo(1);
  }
}
