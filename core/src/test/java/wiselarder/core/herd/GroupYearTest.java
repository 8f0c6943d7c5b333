package wiselarder.core.herd;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.herd.GroupYear.Born;
import wiselarder.core.herd.GroupYear.Counts;
import wiselarder.core.quantity.Refused;

class GroupYearTest {
  private static final HerdTables TABLES = HerdTables.load();
  private static final PlanYear YEAR = new PlanYear(LocalDate.of(2026, 9, 1), 12);

  private static AnimalGroup cows(int spreadDays) {
    return new AnimalGroup(
        "cows",
        "Cows",
        "beef/cow",
        10,
        500,
        0,
        null,
        MonthDay.of(3, 1),
        spreadDays,
        1,
        MonthDay.of(10, 5),
        null,
        null,
        null);
  }

  private static int day(int year, int month, int dayOfMonth) {
    return YEAR.day(LocalDate.of(year, month, dayOfMonth));
  }

  @ParameterizedTest
  @CsvSource({
    "2026-09-01, 110", // late lactation until weaning, 2.2% of 500 kg x 10
    "2026-10-04, 110",
    "2026-10-05, 100", // weaned: mid gestation 2.0%
    "2026-11-30, 100",
    "2026-12-01, 105", // 90 days before 1 March: late gestation 2.1%
    "2027-02-28, 105",
    "2027-03-01, 120", // early lactation 2.4%
    "2027-05-29, 120",
    "2027-05-30, 110", // day 90: late lactation
  })
  void tenCowsOf500KgByStage(LocalDate date, double kg) {
    GroupYear year = GroupYear.of(cows(1), YEAR, TABLES);
    assertThat(year.ownKg()[YEAR.day(date)]).isCloseTo(kg, within(1e-9));
  }

  @Test
  void spreadBirthsBlendTheStages() {
    // Two birth days, 1 and 2 March: on 1 March half the cows are fresh: 50 x (2.4 + 2.1) / 2
    GroupYear year = GroupYear.of(cows(2), YEAR, TABLES);
    assertThat(year.ownKg()[day(2027, 3, 1)]).isCloseTo(112.5, within(1e-9));
    assertThat(year.ownKg()[day(2027, 3, 2)]).isCloseTo(120, within(1e-9));
  }

  @Test
  void weaningComesToAllOnOneDate() {
    GroupYear year = GroupYear.of(cows(60), YEAR, TABLES);
    assertThat(year.ownKg()[day(2026, 10, 4)]).isCloseTo(110, within(1e-9));
    assertThat(year.ownKg()[day(2026, 10, 5)]).isCloseTo(100, within(1e-9));
  }

  @Test
  void calvesBeginToEatAtThreeMonths() {
    // born 1 March at 7% of 500 = 35 kg, gaining 0.9: 116 kg at 90 days, eating 1.5% = 1.74 kg
    GroupYear year = GroupYear.of(cows(1), YEAR, TABLES);
    assertThat(year.youngKg()[day(2027, 5, 29)]).isZero();
    assertThat(year.youngKg()[day(2027, 5, 30)]).isCloseTo(17.4, within(1e-9));
    assertThat(year.youngKg()[day(2026, 10, 5)]).as("gone at weaning").isZero();
  }

  @Test
  void lambsEatAsWeanedUntilTheyLeave() {
    AnimalGroup ewes =
        new AnimalGroup(
            "ewes",
            "Ewes",
            "sheep/ewe",
            40,
            60,
            0,
            null,
            MonthDay.of(4, 5),
            1,
            1.5,
            MonthDay.of(7, 5),
            MonthDay.of(9, 20),
            null,
            null);
    GroupYear year = GroupYear.of(ewes, YEAR, TABLES);
    // half singles at 3.6%, half twins at 4.0% while nursing: 40 x 60 x 3.8%
    assertThat(year.ownKg()[day(2027, 5, 1)]).isCloseTo(91.2, within(1e-9));
    assertThat(year.youngKg()[day(2027, 7, 4)]).isZero();
    // on 5 July 91 days old: 4.2 + 91 x 0.2 = 22.4 kg, 4.3%: 0.9632 kg for each of 60
    assertThat(year.youngKg()[day(2027, 7, 5)]).isCloseTo(57.792, within(1e-6));
    assertThat(year.youngKg()[day(2026, 9, 20)]).isZero();
    assertThat(year.youngKg()[day(2026, 9, 19)]).isPositive();
  }

  @Test
  void firstCalfHeifersCountAsBredUntilTheirFirstCalf() {
    AnimalGroup heifers =
        new AnimalGroup(
            "h",
            "Heifers",
            "beef/first_calf_heifer",
            1,
            400,
            0,
            null,
            MonthDay.of(2, 10),
            1,
            1,
            MonthDay.of(10, 5),
            null,
            null,
            null);
    GroupYear year = GroupYear.of(heifers, YEAR, TABLES);
    assertThat(year.needKg(0)).as("bred, 2.3%").isCloseTo(9.2, within(1e-9));
    assertThat(year.needKg(day(2027, 1, 1)))
        .as("late gestation, 2.1%")
        .isCloseTo(8.4, within(1e-9));
    assertThat(year.needKg(day(2027, 2, 10))).as("nursing, 2.4%").isCloseTo(9.6, within(1e-9));
  }

  @Test
  void steersGrowFromTheDayTheyCome() {
    AnimalGroup steers =
        new AnimalGroup(
            "s",
            "Steers",
            "beef/steer",
            10,
            250,
            0.5,
            null,
            null,
            1,
            0,
            null,
            null,
            LocalDate.of(2026, 10, 5),
            LocalDate.of(2027, 3, 20));
    GroupYear year = GroupYear.of(steers, YEAR, TABLES);
    assertThat(year.needKg(day(2026, 10, 4))).isZero();
    assertThat(year.needKg(day(2026, 10, 5))).isCloseTo(65, within(1e-9)); // 2.6% of 250 x 10
    // 60 days later 280 kg, in the next band: 2.5% of 280 x 10
    assertThat(year.needKg(day(2026, 12, 4))).isCloseTo(70, within(1e-9));
    assertThat(year.needKg(day(2027, 3, 19))).isPositive();
    assertThat(year.needKg(day(2027, 3, 20))).isZero();
  }

  @Test
  void theUsersFlatFigureWins() {
    AnimalGroup flat =
        new AnimalGroup(
            "p", "Ponies", "horse/adult", 3, 300, 0, 5.4, null, 1, 0, null, null, null, null);
    assertThat(GroupYear.of(flat, YEAR, TABLES).needKg(100)).isCloseTo(16.2, within(1e-9));
  }

  @Test
  void unknownKindsAreRefused() {
    AnimalGroup dragons =
        new AnimalGroup(
            "d", "D", "beef/dragon", 3, 300, 0, null, null, 1, 0, null, null, null, null);
    assertThatThrownBy(() -> GroupYear.of(dragons, YEAR, TABLES))
        .isInstanceOfSatisfying(Refused.class, e -> assertThat(e.field()).isEqualTo("group.kind"));
  }

  @Test
  void everyKindOfTheTablesHasAYear() {
    for (String kind : TABLES.kinds()) {
      AnimalGroup group =
          new AnimalGroup(
              "g",
              "G",
              kind,
              1,
              300,
              0,
              null,
              TABLES.isDam(kind) ? MonthDay.of(3, 1) : null,
              30,
              1.2,
              null,
              null,
              null,
              null);
      GroupYear year = GroupYear.of(group, YEAR, TABLES);
      for (int d = 0; d < YEAR.days(); d++) {
        assertThat(year.needKg(d)).as("%s day %d", kind, d).isBetween(300 * 0.01, 300 * 0.09);
      }
    }
  }

  /** By the tables: dry to fresh cows of the dairy, and ewes and does at rest to in milk. */
  @org.junit.jupiter.params.ParameterizedTest
  @org.junit.jupiter.params.provider.CsvSource({
    "dairy/cow, 560, 1.9, 2.3",
    "sheep/ewe, 65, 2.2, 2.8",
    "goat/doe, 60, 1.9, 2.4",
    "beef/cow, 560, 1.15, 1.4"
  })
  void demandRisesAroundBirthAsTheTablesSay(String kind, double kg, double low, double high) {
    wiselarder.core.Farms farm = new wiselarder.core.Farms();
    farm.start = java.time.LocalDate.of(2027, 9, 1);
    farm.groups.add(
        wiselarder.core.Farms.dams("h", kind, 10, kg, java.time.MonthDay.of(3, 15), 1.7));
    farm.field("a", 50, 20, 3000).graze("h", null, null, "a");
    GroupYear year = wiselarder.core.Farms.ENGINE.simulate(farm.build()).resolved().groupYear(0);
    boolean dairy = kind.startsWith("dairy");
    double before = year.energyMj(dairy ? 190 : 122); // dry, or at rest in January
    assertThat(year.energyMj(220) / before).isBetween(low, high);
  }

  private static GroupYear born(int spreadDays, PlanYear year, int... dayDamsYoung) {
    Map<Integer, Born> born = new HashMap<>();
    for (int i = 0; i < dayDamsYoung.length; i += 3) {
      born.put(dayDamsYoung[i], new Born(dayDamsYoung[i + 1], dayDamsYoung[i + 2]));
    }
    AnimalGroup cows = cows(spreadDays);
    return GroupYear.of(cows, List.of(cows), year, TABLES, new Counts(Map.of(), born));
  }

  /**
   * Ten cows due one a day from 1 March on. Two gave birth on the 3rd and two on the 5th, one calf
   * died; the six others are due on the five days that are left, 1.2 a day. Fresh ones eat 12 kg,
   * the others 10.5 kg.
   */
  @Test
  void birthsComeAsTheyWereWrittenDownAndTheRestEvenly() {
    int first = day(2027, 3, 1);
    GroupYear year = born(10, YEAR, first + 2, 2, 2, first + 4, 2, 1);
    assertThat(year.ownKg()[first + 1]).isCloseTo(105, within(1e-9));
    assertThat(year.ownKg()[first + 3]).isCloseTo(2 * 12 + 8 * 10.5, within(1e-9));
    assertThat(year.ownKg()[first + 5]).isCloseTo(5.2 * 12 + 4.8 * 10.5, within(1e-9));
    assertThat(year.ownKg()[first + 9]).isCloseTo(120, within(1e-9));
    assertThat(year.youngHead(first + 3)).isCloseTo(2, within(1e-9));
    assertThat(year.youngHead(first + 5)).isCloseTo(3 + 1.2, within(1e-9));
    assertThat(year.youngHead(first + 40)).isCloseTo(9, within(1e-9));
    GroupYear.Births births = year.birthsAbout(first + 5).orElseThrow();
    assertThat(births).isEqualTo(new GroupYear.Births(4, 3, 0.6, first + 4));
    assertThat(year.birthsAbout(first - 15)).isEmpty();
    assertThat(year.birthsAbout(first - 14)).isPresent();
    assertThat(year.birthsAbout(first + 40)).isEmpty();
  }

  /** One comes four days early; where the stated time is over the rest is due within 21 days. */
  @Test
  void birthsMayComeBeforeAndAfterTheStatedTime() {
    int first = day(2027, 3, 1);
    GroupYear early = born(10, YEAR, first - 4, 1, 1);
    assertThat(early.ownKg()[first - 5]).isCloseTo(105, within(1e-9));
    assertThat(early.ownKg()[first - 4]).isCloseTo(12 + 9 * 10.5, within(1e-9));
    assertThat(early.youngHead(first - 3)).isCloseTo(1 + 9 / 13.0, within(1e-9));
    GroupYear late = born(10, YEAR, first + 12, 3, 3);
    assertThat(late.ownKg()[first + 11]).isCloseTo(105, within(1e-9));
    assertThat(late.ownKg()[first + 12]).isCloseTo(3 * 12 + 7 * 10.5, within(1e-9));
    assertThat(late.youngHead(first + 12 + 21)).isCloseTo(10, within(1e-9));
    assertThat(late.youngHead(first + 12 + 20)).isCloseTo(3 + 7 * 20 / 21.0, within(1e-9));
  }

  /** Another season goes as it was stated. */
  @Test
  void anotherSeasonGoesAsStated() {
    PlanYear two = new PlanYear(LocalDate.of(2026, 9, 1), 24);
    int first = two.day(LocalDate.of(2027, 3, 1));
    int next = two.day(LocalDate.of(2028, 3, 1));
    GroupYear year = born(10, two, first + 2, 10, 10);
    GroupYear stated = born(10, two);
    assertThat(year.ownKg()[first + 1]).isNotEqualTo(stated.ownKg()[first + 1]);
    for (int d = next - 30; d < next + 60; d++) {
      assertThat(year.ownKg()[d]).isEqualTo(stated.ownKg()[d]);
      assertThat(year.youngHead(d)).isEqualTo(stated.youngHead(d));
    }
  }
}
