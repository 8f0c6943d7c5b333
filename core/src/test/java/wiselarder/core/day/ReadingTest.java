package wiselarder.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.SameYears;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.land.CoverMeasure;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.records.CoverSeen.SignSeen;
import wiselarder.core.records.FarmRecord;

/** What a measured cover does to the year: from that morning on it stands as it was seen. */
class ReadingTest {
  private static final String FESCUE = "tall_fescue_novel";

  /** Two fields of fescue; near is grazed by ten bulls from April to June, far by nobody. */
  private static FarmPlan farm() {
    return new Farms()
        .eaters("herd", 10, 10)
        .field("near", 5, 25, 2000)
        .field("far", 4, 25, 2000)
        .bales("hay", 150)
        .graze("herd", START.plusDays(212), START.plusDays(300), "near")
        .feed("herd", null, null)
        .build();
  }

  private static CoverSeen seen(String field, Double kgPerHa, Double dead) {
    return Farms.cover(field, FESCUE, kgPerHa, dead);
  }

  private static FarmRecord on(int day, CoverSeen fact) {
    return Farms.seen(START.plusDays(day), fact);
  }

  private static YearBalance year(FarmRecord... written) {
    return ENGINE.knowing(Farms.written(written)).simulate(farm());
  }

  /** 4 ha on which {@code thought} stood and 1,450 kg/ha were found. */
  @Test
  void fromThatMorningOnItStandsAsItWasSeen() {
    YearBalance plain = year();
    YearBalance told = year(on(100, seen("far", 1450.0, null)));
    Reading reading = told.readings().get(0);
    assertThat(told.coverKgPerHa(1, 99)).isEqualTo(plain.coverKgPerHa(1, 99));
    assertThat(reading.expectedKgPerHa()).isEqualTo(plain.coverKgPerHa(1, 99));
    assertThat(told.coverKgPerHa(1, 100)).isCloseTo(1450, within(30.0));
    assertThat(told.coverKgPerHa(0, 100)).isEqualTo(plain.coverKgPerHa(0, 100));
    YearBalance.MassBalance mass = told.massBalance();
    assertThat(mass.seenKg()).isCloseTo(4 * (1450 - reading.expectedKgPerHa()), within(1e-6));
    assertThat(mass.error()).isLessThan(1e-9);
    assertThat(told.paceShare(150)).isEqualTo(1);
  }

  @Test
  void whatIsDeadOfItIsDead() {
    YearBalance told = year(on(100, seen("far", 2000.0, 0.75)));
    assertThat(told.greenKgPerHa(1, 100)).isCloseTo(500, within(25.0));
    YearBalance green = year(on(100, seen("far", 2000.0, 0.0)));
    assertThat(green.greenKgPerHa(1, 100)).isGreaterThan(1950);
    assertThat(green.massBalance().error()).isLessThan(1e-9);
  }

  /**
   * Far is read on two spring days, and half of what was expected has grown between: the deviation
   * of half the growth G, weighed against 1,500 kg/ha, makes the pace 1 - 0.5 G / (G + 1500).
   */
  @Test
  void growthFromHereGoesAsTheSeasonHasRun() {
    YearBalance once = year(on(230, seen("far", 1800.0, null)));
    double grown = grown(once, 1, 230, 250);
    double expected = once.coverKgPerHa(1, 249);
    YearBalance twice =
        year(on(230, seen("far", 1800.0, null)), on(250, seen("far", expected - grown / 2, null)));
    assertThat(grown).isBetween(300.0, 2500.0);
    assertThat(twice.paceShare(249)).isEqualTo(1);
    double pace = 1 - 0.5 * grown / (grown + 1500);
    assertThat(twice.paceShare(250)).isCloseTo(pace, within(1e-9));
    // it fades: half of it counts after 45 days, against the same 1,500
    double faded = 1 - 0.5 * (0.5 * grown) / (0.5 * grown + 1500);
    assertThat(twice.paceShare(295)).isCloseTo(faded, within(1e-3));
    // and it holds for all ground: near grows less too, though nobody looked at it
    assertThat(grown(twice, 0, 251, 280)).isLessThan(0.95 * grown(once, 0, 251, 280));
    assertThat(twice.massBalance().error()).isLessThan(1e-9);
  }

  private static double grown(YearBalance y, int field, int from, int to) {
    double kg = 0;
    for (int d = from; d < to; d++) {
      kg += y.grownKg(field, d) / y.resolved().fields[field].areaHa;
    }
    return kg;
  }

  /** Where stock were in between, nobody knows what grew. */
  @Test
  void aGrazedFieldTellsOfWhatStandsOnly() {
    YearBalance told =
        year(on(225, seen("near", 2000.0, null)), on(250, seen("near", 900.0, null)));
    assertThat(told.readings()).hasSize(2);
    assertThat(told.paceShare(251)).isEqualTo(1);
  }

  /** In winter, when nothing was to grow, a reading says nothing of growth. */
  @Test
  void oneWhoFindsMoreInWinterDoesNotSpeedUpSpring() {
    List<Double> asleep = List.of(0.2, 0.3, 10d, 40d, 60d, 40d, 20d, 15d, 20d, 15d, 5d, 0.5);
    Farms farm = new Farms().eaters("herd", 10, 10).bales("hay", 400).feed("herd", null, null);
    farm.fields.add(Farms.stand("far", 4, FESCUE, asleep, 2000));
    YearBalance told =
        ENGINE
            .knowing(
                Farms.written(
                    on(120, seen("far", 1500.0, null)), on(140, seen("far", 2600.0, null))))
            .simulate(farm.build());
    assertThat(grown(told, 0, 120, 140)).isBetween(0.1, 10.0);
    assertThat(told.paceShare(141)).isBetween(1.0, 1.01);
  }

  @Test
  void whatWasExpectedChangesNothing() {
    YearBalance plain = year();
    YearBalance told = year(on(240, seen("far", plain.coverKgPerHa(1, 239), null)));
    for (int d = 0; d < 365; d++) {
      assertThat(told.coverKgPerHa(1, d)).isCloseTo(plain.coverKgPerHa(1, d), within(1e-6));
    }
  }

  /** The one written last, wherever it stands; what lies outside of the plan counts for nothing. */
  @Test
  void ofTwoOnADayTheLaterOneCounts() {
    YearBalance told =
        year(
            on(100, seen("far", 1450.0, null)),
            on(100, seen("far", 1700.0, null)),
            on(-5, seen("far", 90.0, null)),
            on(500, seen("far", 90.0, null)),
            on(100, seen("gone", 90.0, null)));
    assertThat(told.readings()).hasSize(1);
    assertThat(told.readings().get(0).seen().coverKgPerHa()).isEqualTo(1700);
  }

  /** The mean of the readings of a stick is turned into mass by the table, less what is bare. */
  @Test
  void aHeightIsTurnedIntoMassByWhatStands() {
    HeightTable table = ENGINE.catalogue().heights();
    CoverSeen stick = stick(List.of(10.0, 20.0), List.of());
    double ten = mass(table, 10);
    double twenty = mass(table, 20);
    YearBalance told = year(on(240, stick));
    CoverMeasure cover = told.readings().get(0).seen();
    assertThat(cover.coverKgPerHa()).isCloseTo((ten + twenty) / 2, within(1e-9));
    CoverSeen thin = stick(List.of(10.0, 20.0), List.of(new SignSeen("bare_ground", "15_30")));
    double bare = year(on(240, thin)).readings().get(0).seen().coverKgPerHa();
    assertThat(bare).isCloseTo(0.775 * (ten + twenty) / 2, within(1e-9));
  }

  private static double mass(HeightTable table, double cm) {
    return table.massKgPerHa(
        ENGINE.catalogue().forage(FESCUE),
        HeightTable.Season.SPRING,
        HeightTable.Density.ORDINARY,
        cm);
  }

  private static CoverSeen stick(List<Double> heightsCm, List<SignSeen> signs) {
    return new CoverSeen(
        "far",
        FESCUE,
        CoverSeen.Way.HEIGHT,
        HeightTable.Season.SPRING,
        HeightTable.Density.ORDINARY,
        heightsCm,
        null,
        null,
        null,
        null,
        null,
        null,
        signs,
        "");
  }

  @Test
  void aReadingWithoutItsFiguresIsRefused() {
    assertThatThrownBy(() -> seen("far", null, null)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> seen("far", -1.0, null)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> seen("far", 1000.0, 1.2)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> stick(List.of(), List.of())).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> stick(List.of(900.0), List.of())).isInstanceOf(Refused.class);
    List<Double> many = java.util.Collections.nCopies(501, 10.0);
    assertThatThrownBy(() -> stick(many, List.of())).isInstanceOf(Refused.class);
  }

  /** A file may name signs that this product does not know: the plan is opened all the same. */
  @Test
  void signsThatAreNotKnownSayNothing() {
    List<SignSeen> odd =
        List.of(new SignSeen("moss", "thick"), new SignSeen("bare_ground", "some"));
    double plain = year(on(240, stick(List.of(10.0), List.of()))).coverKgPerHa(1, 240);
    assertThat(year(on(240, stick(List.of(10.0), odd))).coverKgPerHa(1, 240)).isEqualTo(plain);
  }

  /** With readings too a year in two halves is the whole one, and a lean one the same. */
  @Property(tries = 30)
  void readingsKeepTheYearWhole(
      @ForAll @IntRange(min = 0, max = 364) int first,
      @ForAll @IntRange(min = 0, max = 364) int second,
      @ForAll @IntRange(min = 0, max = 4000) int kgPerHa,
      @ForAll @IntRange(min = 15, max = 364) int cut)
      throws Exception {
    FarmRecord[] written =
        Stream.of(
                on(first, seen("far", (double) kgPerHa, null)),
                on(second, seen("far", kgPerHa / 2.0, 0.3)),
                on(second, seen("near", (double) kgPerHa, 0.1)))
            .toArray(FarmRecord[]::new);
    DayBook whole = YearSimulator.run(ENGINE.knowing(Farms.written(written)).resolve(farm()));
    DayBook halves = YearSimulator.runFrom(whole.resolved, whole, cut);
    SameYears.check(whole, halves);
    assertThat(halves.readings).isEqualTo(whole.readings);
    DayBook lean = YearSimulator.runLean(whole.resolved);
    assertThat(lean.standingKg).isEqualTo(whole.standingKg);
    assertThat(lean.bare).isEqualTo(whole.bare);
    assertThat(year(written).massBalance().error()).isLessThan(1e-9);
  }

  /** The same readings a year later do the same. */
  @Test
  void theYearOfTheCalendarDoesNotMatter() {
    LocalDate day = START.plusDays(100);
    YearBalance now = year(on(100, seen("far", 1450.0, null)));
    FarmPlan later = ENGINE.yearsOn(farm(), 1);
    YearBalance then =
        ENGINE
            .knowing(Farms.written(Farms.seen(day.plusYears(1), seen("far", 1450.0, null))))
            .simulate(later);
    for (int d = 0; d < 365; d++) {
      assertThat(then.coverKgPerHa(1, d)).isCloseTo(now.coverKgPerHa(1, d), within(1e-6));
    }
  }
}
