package wiselarder.core.morning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.concurrent.CancellationException;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.jobs.Job;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.OwnJob;
import wiselarder.core.records.ConditionSeen;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.JobMarked;
import wiselarder.core.records.LotCounted;
import wiselarder.core.records.Struck;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.seasons.ManyYears;
import wiselarder.core.seasons.YearsAhead;

class MorningTest {
  private static final int YEARS = 40;

  private static Morning on(LocalDate today, FarmPlan plan, FarmRecord... written) {
    Engine knowing = ENGINE.knowing(Farms.written(written));
    return Morning.of(knowing, plan, today, YearsAhead.run(knowing, plan, 0, YEARS, () -> false));
  }

  /**
   * Twenty bulls of 10 kg a day from a barn, weather or not: 120 bales of 360 kg DM are 43.2 t, of
   * which a barn and an open ring leave between seven and nine tenths; so it is empty between day
   * 150 and 195, on the same day in every year.
   */
  private static FarmPlan byHay(int bales) {
    return bulls(bales).build();
  }

  /** Of 400 kg: on 10 kg of hay a day they live. */
  private static Farms bulls(int bales) {
    Farms farm = new Farms().bales("hay", bales).feed("bulls", null, null);
    farm.groups.add(
        new AnimalGroup(
            "bulls", "bulls", "beef/bull", 20, 400, 0, 10.0, null, 1, 0, null, null, null, null));
    return farm;
  }

  @Test
  void whereWeatherHasNoSayEveryYearFallsShortOnTheDayOfTheNormalOne() {
    FarmPlan plan = byHay(120);
    Morning m = on(START.plusDays(30), plan);
    assertThat(m.bareOn()).isBetween(START.plusDays(150), START.plusDays(195));
    // the first day on which a bale is not whole may miss less than a twentieth
    assertThat(m.bareInTenOn()).isBetween(m.bareOn(), m.bareOn().plusDays(1));
    assertThat(m.fed()).isZero();
    assertThat(m.years()).isEqualTo(YEARS);
    assertThat(m.day()).isEqualTo(START.plusDays(30));
    assertThat(m.until()).isEqualTo(START.plusDays(364));
    // from the bare day on nothing is left: 200 kg a day to the end
    long days = m.bareOn().until(START.plusDays(365), ChronoUnit.DAYS);
    assertThat(m.missingKg()).isCloseTo(200.0 * days, within(200.0));
  }

  @Test
  void theVerdictGoesFromTheMorningOn() {
    FarmPlan plan = byHay(120);
    Morning before = on(START.minusDays(100), plan);
    // a plan that has not begun is looked at from its first day
    assertThat(before.day()).isEqualTo(START);
    assertThat(before.bareOn()).isEqualTo(on(START, plan).bareOn());
    Morning within = on(START.plusDays(250), plan);
    assertThat(within.bareOn()).isEqualTo(START.plusDays(250));
    assertThat(within.missingKg()).isCloseTo(115 * 200.0, within(1.0));
    assertThat(on(START, byHay(400)).verdict()).isEqualTo(Verdict.LASTS);
    assertThat(on(START, byHay(400)).bareInTenOn()).isNull();
    assertThat(on(START, byHay(400)).fed()).isEqualTo(YEARS);
    assertThat(on(START, new Farms().bales("hay", 3).build()).verdict()).isEqualTo(Verdict.NOBODY);
  }

  /** Half a year without feed is not lived through; a while at the end is. */
  @Test
  void theWorstIsSaidFirst() {
    assertThat(on(START, byHay(120)).verdict()).isEqualTo(Verdict.WOULD_NOT_LIVE);
    // hay for all but the last month or less
    Morning late = on(START, byHay(225));
    assertThat(late.verdict()).isEqualTo(Verdict.FALLS_SHORT);
    assertThat(on(late.bareOn(), byHay(225)).verdict()).isEqualTo(Verdict.SHORT_NOW);
    Farms cows = new Farms().bales("hay", 40).feed("cows", null, null);
    cows.groups.add(Farms.dams("cows", "beef/cow", 20, 550, MonthDay.of(3, 10), 0));
    assertThat(on(START, cows.build()).verdict()).isEqualTo(Verdict.WOULD_NOT_LIVE);
  }

  /** Half a winter without feed is not lived through; whoever is there in June has lived. */
  @Test
  void whatIsPastIsNoDangerAnyMore() {
    Farms farm = bulls(10).field("near", 12, 25, 2000);
    farm.graze("bulls", null, START.plusDays(75), "near");
    farm.graze("bulls", START.plusDays(212), null, "near");
    FarmPlan plan = farm.build();
    assertThat(on(START, plan).verdict()).isEqualTo(Verdict.WOULD_NOT_LIVE);
    Morning june = on(START.plusDays(290), plan);
    assertThat(june.bareOn()).isNull();
    assertThat(june.verdict()).isIn(Verdict.LASTS, Verdict.SHORT_IN_TEN);
  }

  /** Grass to mid November and from April, hay between: some years lack little, some much. */
  private static FarmPlan withGrass(int bales) {
    return new Farms()
        .eaters("herd", 20, 10)
        .field("near", 12, 25, 2000)
        .bales("hay", bales)
        .graze("herd", null, START.plusDays(75), "near")
        .graze("herd", START.plusDays(212), null, "near")
        .feed("herd", null, null)
        .build();
  }

  @Test
  void theYearsAreThoseOfTheThousand() {
    for (int bales : List.of(40, 80, 110)) {
      FarmPlan plan = withGrass(bales);
      YearsAhead ahead = YearsAhead.run(ENGINE, plan, 0, YEARS, () -> false);
      ManyYears many = ManyYears.run(ENGINE, plan, YEARS, n -> {}, () -> false);
      assertThat(ahead.fed()[0]).isEqualTo(many.fed());
      assertThat(ahead.inTen()[0]).isEqualTo(many.shortBy(0.1));
    }
    assertThatThrownBy(() -> YearsAhead.run(ENGINE, withGrass(9), 0, 3, () -> true))
        .isInstanceOf(CancellationException.class);
  }

  /** Until the morning it goes as the plan has it, and only from there on as each year has it. */
  @Test
  void theYearsBeginOnTheMorning() {
    FarmPlan plan = withGrass(80);
    YearBalance usual = ENGINE.simulate(plan);
    ResolvedPlan hard = usual.resolved().in(usual.resolved().generator().year(3));
    int day = 200;
    int turn = usual.turnsOn(day);
    assertThat(turn).isEqualTo(195);
    YearBalance after = YearBalance.farmOnlyAfter(hard, usual, day);
    YearBalance whole = YearBalance.farmOnly(hard);
    for (int d = 0; d < turn; d++) {
      assertThat(after.standingKg(d)).isEqualTo(usual.standingKg(d));
      assertThat(after.lotKg(0, d)).isEqualTo(usual.lotKg(0, d));
    }
    assertThat(after.standingKg(turn - 1)).isNotEqualTo(whole.standingKg(turn - 1));
    assertThat(after.grownSoFarKg(364)).isNotEqualTo(usual.grownSoFarKg(364));
    assertThat(after.massBalance().error()).isLessThan(1e-9);
    // a year in the same weather goes on as it was
    YearBalance same = YearBalance.farmOnlyAfter(usual.resolved(), usual, day);
    assertThat(same.standingKg(364)).isEqualTo(usual.standingKg(364));
    YearsAhead ahead = YearsAhead.run(ENGINE, plan, day, YEARS, () -> false);
    assertThat(ahead.from()).isEqualTo(turn);
    assertThat(ahead.fed()[0]).isEqualTo(ahead.fed()[turn]);
    assertThat(YearsAhead.run(ENGINE, plan, 3, YEARS, () -> false).fed())
        .isEqualTo(YearsAhead.run(ENGINE, plan, 0, YEARS, () -> false).fed());
  }

  /** More hay never makes a farm fall short sooner, nor in more years. */
  @Property(tries = 12)
  void moreHayIsNeverWorse(@ForAll @IntRange(min = 20, max = 120) int bales) {
    YearsAhead less = YearsAhead.run(ENGINE, withGrass(bales), 0, 12, () -> false);
    YearsAhead more = YearsAhead.run(ENGINE, withGrass(bales + 15), 0, 12, () -> false);
    for (int d = 0; d < 365; d += 20) {
      assertThat(more.fed()[d]).isGreaterThanOrEqualTo(less.fed()[d]);
      int later = more.inTen()[d] < 0 ? 999 : more.inTen()[d];
      assertThat(later).isGreaterThanOrEqualTo(less.inTen()[d]);
    }
  }

  /** From a later morning on no more is missing, and a day that is told lies ahead. */
  @Test
  void whatIsBehindIsNotToldAgain() {
    YearsAhead ahead = YearsAhead.run(ENGINE, withGrass(80), 0, YEARS, () -> false);
    for (int d = 1; d < 365; d++) {
      assertThat(ahead.fed()[d]).isGreaterThanOrEqualTo(ahead.fed()[d - 1]);
      assertThat(ahead.inTen()[d] == -1 || ahead.inTen()[d] >= d).isTrue();
      assertThat(ahead.inTen()[d - 1]).isLessThanOrEqualTo(last(ahead.inTen()[d]));
    }
  }

  private static int last(int day) {
    return day < 0 ? 365 : day;
  }

  private static FarmPlan withJobs() {
    FarmPlan plan = byHay(400);
    plan = Items.JOBS.put(plan, new OwnJob("o", "Order twine", START.plusDays(5), null, "", ""));
    return Items.JOBS.put(plan, new OwnJob("p", "Mend wire", START.plusDays(40), null, "", ""));
  }

  @Test
  void lateIsWhatIsOpenAndPastItsLastDayByTwoMonthsAtMost() {
    FarmPlan plan = withJobs();
    assertThat(on(START, plan).late()).isEmpty();
    List<Morning.Due> late = on(START.plusDays(45), plan).late();
    assertThat(late).extracting(d -> d.job().of()).startsWith("Mend wire").contains("Order twine");
    assertThat(on(START.plusDays(66), plan).late())
        .extracting(d -> d.job().of())
        .doesNotContain("Order twine")
        .contains("Mend wire");
    Job wire = late.get(0).job();
    FarmRecord done =
        Farms.seen(START, new JobMarked(wire.key(), JobMarked.Mark.DONE, wire.day(), null, ""));
    FarmRecord moved =
        Farms.seen(
            START,
            new JobMarked(wire.key(), JobMarked.Mark.MOVED, wire.day(), START.plusDays(60), "wet"));
    assertThat(on(START.plusDays(45), plan, done).late())
        .extracting(d -> d.job().of())
        .doesNotContain("Mend wire");
    assertThat(on(START.plusDays(45), plan, moved).late())
        .extracting(d -> d.job().of())
        .doesNotContain("Mend wire");
    assertThat(on(START.plusDays(61), plan, moved).late())
        .extracting(d -> d.job().of())
        .contains("Mend wire");
  }

  /** Selling is decided, twine is work; and a gap that comes before it is decided first. */
  @Test
  void theNextDecisionIsAJobThatCommitsOrTheGap() {
    LocalDate sale = START.plusDays(200);
    FarmPlan plenty =
        Items.JOBS.put(
            selling(sale, 400), new OwnJob("o", "Order twine", START.plusDays(5), null, "", ""));
    Morning m = on(START, plenty);
    assertThat(m.next().job().kind()).isEqualTo(Job.Kind.SELL);
    assertThat(m.next().on()).isEqualTo(sale);
    assertThat(on(sale.plusDays(1), plenty).next()).isNull();
    FarmPlan scarce = selling(sale, 60);
    Morning bare = on(START, scarce);
    assertThat(bare.next().job()).isNull();
    assertThat(bare.next().on()).isEqualTo(bare.bareOn()).isBefore(sale);
  }

  private static FarmPlan selling(LocalDate day, int bales) {
    Farms farm = bulls(bales);
    HeadChange sold = new HeadChange(day, null, HeadChange.Kind.SOLD, 5, null, null, "");
    farm.groups.set(0, farm.groups.get(0).withChanges(List.of(sold)));
    return farm.build();
  }

  @Test
  void seenIsWhatSomebodyStoodBefore() {
    FarmPlan plan = byHay(120);
    FarmRecord counted = Farms.seen(START.plusDays(10), new LotCounted("hay", 100, ""));
    FarmRecord scored = Farms.seen(START.plusDays(20), new ConditionSeen("bulls", 6, null));
    FarmRecord ahead = Farms.seen(START.plusDays(90), new LotCounted("hay", 60, ""));
    FarmRecord struck = Farms.seen(START.plusDays(21), new Struck("r1", ""));
    LocalDate today = START.plusDays(30);
    assertThat(on(today, plan).lastSeen()).isNull();
    assertThat(on(today, plan, counted, scored, ahead).lastSeen()).isEqualTo(START.plusDays(20));
    assertThat(on(today, plan, counted, scored, struck).lastSeen()).isEqualTo(START.plusDays(10));
    assertThat(on(START.plusDays(100), plan, counted, ahead).lastSeen())
        .isEqualTo(START.plusDays(90));
  }

  /** The bare day is the one that the year tells. */
  @Test
  void theBareDayIsThatOfTheYear() {
    FarmPlan plan = withGrass(60);
    YearBalance year = ENGINE.simulate(plan);
    Gap gap =
        ENGINE.gaps(year).stream()
            .filter(g -> g.kind() == Gap.Kind.STORE)
            .findFirst()
            .orElseThrow();
    assertThat(on(START, plan).bareOn()).isEqualTo(START.plusDays(gap.firstDay()));
    assertThat(on(START, plan).missingKg()).isCloseTo(year.totalBareKg(), within(1e-6));
  }
}
