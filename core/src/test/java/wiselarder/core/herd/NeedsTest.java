package wiselarder.core.herd;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.herd.HeadChange.Kind;
import wiselarder.core.herd.Keeping.Shelter;
import wiselarder.core.quantity.Refused;

/** Intake, cold, heat, walking, requirements, water, heads: each formula by hand. */
class NeedsTest {
  private static final HerdTables TABLES = HerdTables.load();
  private static final LocalDate START = LocalDate.of(2026, 9, 1);
  private static final PlanYear YEAR = new PlanYear(START, 12);

  private static Keeping kept(Shelter shelter, double windKmPerHour) {
    return new Keeping(false, shelter, windKmPerHour, 0, 0, null, false);
  }

  private static AnimalGroup cows(int head, HeadChange... changes) {
    AnimalGroup cows = Farms.dams("cows", "beef/cow", head, 550, MonthDay.of(3, 1), 1);
    return cows.withChanges(List.of(changes));
  }

  private static HeadChange change(LocalDate on, LocalDate until, Kind kind, int head, String to) {
    return new HeadChange(on, until, kind, head, to, null, "");
  }

  @ParameterizedTest
  @CsvSource({
    // mid gestation cow: -7 C dry, 15 C wet
    "SHELTERED, 0, -17, 0, 0.20", // ten degrees at 2%
    "SHELTERED, 0, -7, 0, 0", // just at the limit
    "SHELTERED, 30, -17, 12, 0.20", // wind and rain are kept off
    "OPEN, 20, -7, 0, 0.14", // 20 km/h feel 7 degrees colder
    "OPEN, 0, 5, 12, 0.35", // wet through: ten degrees at 3.5%
    "OPEN, 0, 5, 9, 0", // rain that does not soak
    "OPEN, 0, -4, 12, 0", // snow does not soak
    "OPEN, 20, 5, 12, 0.595", // 17 degrees at 3.5%
    "HOUSED, 30, -25, 30, 0",
  })
  void coldRaisesTheNeedByTheDegree(
      Shelter shelter, double wind, double meanC, double rainMm, double rise) {
    assertThat(Cold.rise(kept(shelter, wind), -7, 15, meanC, 0, rainMm))
        .isCloseTo(rise, within(1e-12));
  }

  @Test
  void inASmoothYearColdIsTheMeanOfTheDaysAboutTheLine() {
    // at the limit itself half the days are colder: sd x 1/root(2 pi) = 5 x 0.39894 degrees
    assertThat(Cold.degreesBelow(-7, -7, 5)).isCloseTo(1.99471, within(1e-4));
    // far above it hardly a day, far below every day
    assertThat(Cold.degreesBelow(-7, 20, 5)).isCloseTo(0, within(1e-3));
    assertThat(Cold.degreesBelow(-7, -40, 5)).isCloseTo(33, within(1e-3));
    // a tenth of a degree by the integral at z = -1.22: 5.5 x (-1.22 x 0.1112 + 0.1895)
    assertThat(Cold.degreesBelow(-7, -0.29, 5.5)).isCloseTo(0.296, within(0.01));
  }

  @ParameterizedTest
  @CsvSource({"10, 1", "25, 1", "30, 0.95", "35, 0.90", "70, 0.65"})
  void heatTakesTheAppetite(double meanC, double share) {
    assertThat(Heat.appetite(meanC)).isCloseTo(share, within(1e-12));
  }

  @Test
  void walkingAsksForEnergy() {
    // 49% TDN hold 7.4137 MJ; upkeep works at 0.02 x 7.4137 + 0.5 = 0.64827:
    // 0.0026 x 500 kg x 4 km / 0.64827 = 8.0213 MJ
    assertThat(Energy.walkingMj(500, 4, Energy.mjPerKg(49))).isCloseTo(8.0213, within(1e-3));
  }

  @Test
  void energyBeyondTheNeedIsGainAndShortOfItLoss() {
    // 500 kg: (13.91 x 500^-0.6837)^(-1/0.9116) = 5.8887 Mcal = 24.64 MJ in a kilogram
    assertThat(Energy.inGainMjPerKg("beef/cow", 500)).isCloseTo(24.64, within(0.01));
    // 20 MJ over at 9 MJ/kg: x 0.043 x 9 / 24.64 = 0.314 kg
    assertThat(Energy.gainKg("beef/cow", 500, 20, 9)).isCloseTo(0.3141, within(1e-3));
    // 20 MJ short: x (0.02 x 9 + 0.5) / (24.64 x 0.84) = 0.657 kg
    assertThat(Energy.gainKg("beef/cow", 500, -20, 9)).isCloseTo(-0.6571, within(1e-3));
    assertThat(Energy.inGainMjPerKg("sheep/lamb", 40)).isCloseTo(18.2, within(1e-9));
    assertThat(Energy.inGainMjPerKg("goat/kid", 20)).isCloseTo(10.08, within(1e-9));
    assertThat(Energy.inGainMjPerKg("horse/mare", 500)).isNaN();
  }

  @ParameterizedTest
  @CsvSource({
    "beef/cow, 5, 560, -39.2, 4",
    "sheep/ewe, 3, 60, 7.8, 4",
    "beef/cow, 2, 500, -200, 1"
  })
  void aPointOfConditionHasItsWeight(
      String kind, double score, double weight, double gained, double after) {
    assertThat(BodyCondition.of(kind).after(score, weight, gained)).isCloseTo(after, within(1e-9));
  }

  @Test
  void byEnergyItEatsToItsNeedOrToTheFibreItHolds() {
    // 82 MJ of feed with 9.08 MJ: 9.03 kg; it would hold 6.875 kg of fibre in 11.09 kg of it
    assertThat(Appetite.kg(82, 9.08, 6.875, 62)).isCloseTo(9.0308, within(1e-3));
    // of late hay, 7.26 MJ and 72% fibre, it would need 11.29 kg and holds 9.55
    assertThat(Appetite.kg(82, 7.26, 6.875, 72)).isCloseTo(9.5486, within(1e-3));
  }

  @Test
  void waterGoesByHeatAndWhatIsInTheFeed() {
    // halfway from 34 L at 10 C to 62 L at 30 C; 11 kg of hay bring 11 x 0.12/0.88 = 1.5 L
    assertThat(Water.litres(34, 62, 20)).isCloseTo(48, within(1e-9));
    assertThat(Water.litres(34, 62, -20)).isEqualTo(34);
    assertThat(Water.drunk(48, 11 * Water.inFeedPerKg(0.88))).isCloseTo(46.5, within(1e-9));
    assertThat(Water.drunk(34, 60)).as("lush grass brings most of it").isEqualTo(8.5);
  }

  @Test
  void theNeedsOfACowAreThoseOfHerStage() {
    GroupYear cows = GroupYear.of(cows(10), YEAR, TABLES);
    int fresh = YEAR.day(LocalDate.of(2027, 3, 10));
    assertThat(cows.energyMj(fresh)).isCloseTo(1178, within(1e-9));
    // 2.4% of 550 kg = 13.2 kg, 10.5% of it protein
    assertThat(cows.proteinKg(fresh)).isCloseTo(13.86, within(1e-9));
    assertThat(cows.calciumKg(fresh)).isCloseTo(0.396, within(1e-9));
    assertThat(cows.phosphorusKg(fresh)).isCloseTo(0.264, within(1e-9));
    assertThat(cows.fibreMinPct(fresh)).isEqualTo(25);
    assertThat(cows.waterAt30L(fresh)).isEqualTo(90);
    assertThat(cows.mostKg(fresh)).isCloseTo(154, within(1e-9));
  }

  @Test
  void aLighterCowNeedsLessByHerMetabolicWeight() {
    AnimalGroup light = Farms.dams("c", "beef/cow", 1, 450, MonthDay.of(3, 1), 1);
    int dry = YEAR.day(LocalDate.of(2026, 10, 15));
    // weaned and not yet late in calf: 81.6 MJ x (450 / 550)^0.75 = 70.2
    assertThat(GroupYear.of(light, YEAR, TABLES).energyMj(dry))
        .isCloseTo(81.6 * 0.86026, within(0.01));
  }

  @Test
  void growingStockNeedTheEnergyOfTheirOwnGain() {
    AnimalGroup slow =
        new AnimalGroup(
            "s", "S", "beef/steer", 1, 230, 0.7, null, null, 1, 0, null, null, null, null);
    AnimalGroup fast =
        new AnimalGroup(
            "f", "F", "beef/steer", 1, 230, 0.9, null, null, 1, 0, null, null, null, null);
    double atTable = GroupYear.of(slow, YEAR, TABLES).energyMj(0);
    assertThat(atTable).as("the table's row for 230 kg at 0.7 kg").isCloseTo(57.9, within(1e-9));
    // 0.2 kg more x 13.86 MJ / (0.043 x 64% x 0.1513) = 6.7 MJ
    double inGain = Energy.inGainMjPerKg("beef/steer", 230);
    assertThat(GroupYear.of(fast, YEAR, TABLES).energyMj(0))
        .isCloseTo(57.9 + 0.2 * inGain / (0.043 * 9.6832), within(1e-6));
  }

  @Test
  void animalsComeGoMoveAndComeBack() {
    AnimalGroup cows =
        cows(
            50,
            change(START.plusDays(10), null, Kind.BOUGHT, 6, null),
            change(START.plusDays(20), START.plusDays(30), Kind.AWAY, 10, null),
            change(START.plusDays(40), null, Kind.CULLED, 4, null),
            change(START.plusDays(50), null, Kind.MOVED, 5, "old"),
            change(START.plusDays(60), START.plusDays(70), Kind.TAKEN_IN, 20, null),
            change(START.plusDays(80), null, Kind.SOLD, 7, null),
            change(START.plusDays(90), null, Kind.DIED, 1, null));
    AnimalGroup old = Farms.dams("old", "beef/cow", 3, 550, MonthDay.of(3, 1), 1);
    double[] head = Heads.of(cows, List.of(cows, old), YEAR);
    int[] days = {9, 10, 20, 30, 40, 50, 60, 70, 80, 90};
    int[] expected = {50, 56, 46, 56, 52, 47, 67, 47, 40, 39};
    for (int i = 0; i < days.length; i++) {
      assertThat(head[days[i]]).as("day %d", days[i]).isEqualTo(expected[i]);
    }
    double[] moved = Heads.of(old, List.of(cows, old), YEAR);
    assertThat(moved[49]).isEqualTo(3);
    assertThat(moved[50]).isEqualTo(8);
  }

  @Test
  void deathsAreSpreadOverTheYear() {
    AnimalGroup flock =
        Farms.kept(
            cows(100), new Keeping(false, Shelter.SHELTERED, 0, 0, 0.04, null, false), List.of());
    double[] head = Heads.of(flock, List.of(flock), YEAR);
    assertThat(head[0]).isEqualTo(100);
    assertThat(head[364]).isCloseTo(96, within(0.02));
  }

  @Test
  void nobodyLeavesWhoIsNotThere() {
    AnimalGroup cows = cows(5, change(START, null, Kind.SOLD, 6, null));
    assertThatThrownBy(() -> Heads.check(cows, List.of(cows)))
        .isInstanceOfSatisfying(
            Refused.class,
            e -> {
              assertThat(e.field()).isEqualTo("headChange.head");
              assertThat(e.refusal().values())
                  .containsEntry("leaving", 6)
                  .containsEntry("there", 5);
            });
  }

  @Test
  void coldRaisesIntakeOnlyToWhatTheClassEats() {
    wiselarder.core.weather.Climate north =
        Farms.ENGINE.catalogue().climate("cold_continental_north");
    PlanYear winter = new PlanYear(LocalDate.of(2026, 10, 1), 12);
    AnimalGroup open =
        Farms.kept(cows(10), new Keeping(false, Shelter.OPEN, 15, 0, 0, null, false), List.of());
    GroupYear year = GroupYear.of(open, winter, TABLES);
    GroupDemand demand = GroupDemand.of(year, wiselarder.core.weather.NormalYear.of(north, winter));
    int january = winter.day(LocalDate.of(2027, 1, 15));
    assertThat(demand.coldShare(january)).isGreaterThan(0.15);
    assertThat(demand.needKg(january)).isCloseTo(year.mostKg(january), within(1e-6));
    assertThat(demand.energyMj(january))
        .isCloseTo(year.energyMj(january) * (1 + demand.coldShare(january)), within(1e-6));
    int june = winter.day(LocalDate.of(2027, 6, 20));
    assertThat(demand.needKg(june)).isCloseTo(year.needKg(june), within(0.02 * year.needKg(june)));
  }

  @Property(tries = 40)
  void moreHeadNeverNeedLess(
      @ForAll @IntRange(min = 1, max = 80) int head,
      @ForAll @IntRange(min = 0, max = 364) int day) {
    GroupYear few = GroupYear.of(cows(head), YEAR, TABLES);
    GroupYear more = GroupYear.of(cows(head + 1), YEAR, TABLES);
    assertThat(more.needKg(day)).isGreaterThan(few.needKg(day));
    assertThat(more.energyMj(day)).isGreaterThan(few.energyMj(day));
  }

  @Property(tries = 200)
  void colderIsNeverCheaper(
      @ForAll @DoubleRange(min = -40, max = 20) double meanC,
      @ForAll @DoubleRange(min = 0, max = 40) double wind,
      @ForAll @DoubleRange(min = 0, max = 8) double spread) {
    Keeping open = kept(Shelter.OPEN, wind);
    assertThat(Cold.rise(open, -7, 15, meanC - 1, spread, 0))
        .isGreaterThanOrEqualTo(Cold.rise(open, -7, 15, meanC, spread, 0) - 1e-6);
    assertThat(Cold.rise(kept(Shelter.OPEN, wind + 1), -7, 15, meanC, spread, 0))
        .isGreaterThanOrEqualTo(Cold.rise(open, -7, 15, meanC, spread, 0) - 1e-6);
  }
}
