package wiselarder.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.util.Collections;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.land.Field;

/** How the ground stands and how long it lasts, by hand. */
class OutlookTest {
  /** Ten animals of 10 kg a day on 10 ha that do not grow. */
  private static YearBalance still(int bales) {
    Farms farm = new Farms().eaters("herd", 10, 10).field("a", 10, 0, 3500);
    if (bales > 0) {
      farm.bales("hay", bales);
    }
    return ENGINE.simulate(farm.feed("herd", null, null).build());
  }

  @Test
  void coverGrowthAndDemandArePerHectareOfTheGround() {
    YearBalance b = still(0);
    Outlook outlook = Outlook.of(b);
    assertThat(outlook.groundHa()).isEqualTo(10);
    assertThat(outlook.coverKgPerHa(0)).isCloseTo(b.coverKgPerHa(0, 0), within(1e-9));
    assertThat(outlook.growthKgPerHa(0)).isZero();
    assertThat(outlook.leaveKgPerHa()).isEqualTo(b.residualKgPerHa(0));
    assertThat(outlook.enterKgPerHa()).isGreaterThan(outlook.leaveKgPerHa());
    // 100 kg a day over 10 ha
    assertThat(outlook.demandKgPerHa(0)).isCloseTo(10, within(1e-9));
  }

  /** What stands above the residual, in the share that is eaten, at 100 kg a day. */
  @Test
  void feedInFrontLastsItsKilogramsOverTheNeed() {
    Outlook outlook = Outlook.of(still(0));
    int whole = (int) Math.floor(outlook.standingKg(0) / 100);
    assertThat(whole).isGreaterThan(20);
    assertThat(outlook.lastsDays(0, false)).isEqualTo(whole);
    assertThat(outlook.lastsDays(0, true)).isEqualTo(whole);
  }

  /**
   * Under snow what stands feeds nobody: it lasts to the day before, and the store from then on.
   */
  @Test
  void whereSnowShutsTheGroundOnlyTheStoreFeeds() {
    Farms farm = new Farms().eaters("herd", 10, 10).field("a", 100, 0, 3500);
    farm.climate = "cold_continental_north";
    YearBalance b = ENGINE.simulate(farm.bales("hay", 60).feed("herd", null, null).build());
    int shut = 0;
    while (!b.resolved().weather.snowShuts(shut)) {
      shut++;
    }
    Outlook outlook = Outlook.of(b);
    int from = shut - 10;
    assertThat(outlook.standingKg(from)).isGreaterThan(100 * 100);
    assertThat(outlook.lastsDays(from, false)).isEqualTo(9);
    double stored = outlook.storedKg(from);
    assertThat(stored).isPositive();
    assertThat(outlook.lastsDays(from, true)).isEqualTo(9 + (int) (stored / 100));
  }

  /** 80 bales of 360 kg, one of them opened and partly eaten; 15% is lost in feeding. */
  @Test
  void whatIsStoredIsTakenByTheShareThatIsEaten() {
    YearBalance b = still(80);
    Outlook outlook = Outlook.of(b);
    int longer = outlook.lastsDays(0, true) - outlook.lastsDays(0, false);
    assertThat(outlook.storedKg(0)).isCloseTo(b.lotKg(0, 0) * 0.85, within(1.0));
    assertThat((double) longer).isCloseTo(b.lotKg(0, 0) * 0.85 / 100, within(1.0));
  }

  @Test
  void theEndOfThePlanIsTheFurthestThatIsLookedTo() {
    YearBalance b = still(80);
    Outlook outlook = Outlook.of(b);
    int last = b.days() - 1;
    assertThat(outlook.lastsDays(last, true)).isZero();
    assertThat(outlook.lastsToTheEnd(last, true)).isTrue();
    assertThat(outlook.lastsToTheEnd(0, false)).isFalse();
  }

  @Test
  void theNextBareDayIsTheYearsOwn() {
    YearBalance b = still(0);
    Outlook outlook = Outlook.of(b);
    int first = outlook.nextBareDay(0);
    assertThat(b.bareKg(first)).isPositive();
    for (int d = 1; d < first; d++) {
      assertThat(b.bareKg(d)).isLessThan(0.5);
    }
    assertThat(outlook.nextBareDay(b.days() - 1)).isEqualTo(-1);
  }

  /** Growth of a month in the share that is eaten, against its need; the rest is left. */
  @Test
  void theMonthsSayHowManyHerdsTheyWouldFeed() {
    YearBalance b =
        ENGINE.simulate(new Farms().eaters("herd", 10, 10).field("a", 10, 30, 2500).build());
    Outlook outlook = Outlook.of(b);
    double eatable = 0;
    for (Outlook.Month m : outlook.months()) {
      double grown = 0;
      for (int d = m.startDay(); d < m.endDay(); d++) {
        grown += b.grownKg(0, d);
      }
      assertThat(m.needKg()).isCloseTo(100.0 * (m.endDay() - m.startDay()), within(1e-6));
      assertThat(m.eatableKg()).isLessThanOrEqualTo(grown).isGreaterThan(grown * 0.3);
      assertThat(m.leftKg()).isCloseTo(Math.max(0, m.eatableKg() - m.needKg()), within(1e-9));
      assertThat(m.herds()).isCloseTo(m.eatableKg() / m.needKg(), within(1e-9));
      eatable += m.eatableKg();
    }
    assertThat(outlook.herdsOverall()).isCloseTo(eatable / (100.0 * b.days()), within(1e-9));
  }

  /** 6 ha that are rested so long, 2 ha so long; ground that is set stocked does not count. */
  @Test
  void restIsTheMeanOfTheGroundThatIsMovedOver() {
    Farms farm = new Farms().eaters("herd", 10, 10).field("set", 50, 30, 2500);
    farm.fields.add(rotated("a", 6, "tall_fescue_novel"));
    farm.fields.add(rotated("b", 2, "bermudagrass"));
    YearBalance b = ENGINE.simulate(farm.graze("herd", null, null).build());
    Outlook outlook = Outlook.of(b);
    for (int d = 0; d < b.days(); d += 30) {
      int first = b.resolved().fields[1].returnDays[d];
      int second = b.resolved().fields[2].returnDays[d];
      double ha = (first > 0 ? 6 : 0) + (second > 0 ? 2 : 0);
      double mean = ha == 0 ? 0 : (6.0 * first + 2.0 * second) / ha;
      assertThat(outlook.restDays(d)).isCloseTo(mean, within(1e-9));
    }
    assertThat(outlook.restDays(240)).as("in May").isBetween(10.0, 60.0);
    assertThat(Outlook.of(still(0)).restDays(0)).isZero();
  }

  private static Field rotated(String id, double areaHa, String forage) {
    Field f = Farms.stand(id, areaHa, forage, Collections.nCopies(12, 30.0), 2500);
    return new Field(
        id, id, areaHa, f.stand(), Field.Grazing.ROTATIONAL, null, null, null, true, "", null);
  }
}
