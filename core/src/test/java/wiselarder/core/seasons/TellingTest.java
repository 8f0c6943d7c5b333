package wiselarder.core.seasons;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sign;

class TellingTest {
  private static final int YEARS = 1000;

  /** Worlds of 52 weeks in which every sign is chance, but one from a week on. */
  private static SignsSeen world(boolean[] hard, Sign sign, int fromWeek, double noise) {
    Random random = new Random(7);
    SignsSeen seen = new SignsSeen(YEARS, 365);
    for (int y = 0; y < YEARS; y++) {
      hard[y] = random.nextDouble() < 0.3;
      for (int w = 1; w < seen.weeks(); w++) {
        for (Sign s : Sign.values()) {
          boolean tells = s == sign && w >= fromWeek && random.nextDouble() >= noise;
          double chance = random.nextDouble();
          seen.set(s, y, w, 100 * (tells ? (hard[y] ? 0.3 * chance : 0.3 + 0.7 * chance) : chance));
        }
      }
    }
    return seen;
  }

  /** From week 20, 140 days in, hard years have less than 30 mm and the others more. */
  @Test
  void theBestRuleOfAMadeUpWorldIsFound() {
    boolean[] hard = new boolean[YEARS];
    SignsSeen seen = world(hard, Sign.RAIN, 20, 0);
    List<Telling> found = Telling.find(seen, hard, 364);
    assertThat(found).hasSize(1);
    Telling t = found.get(0);
    assertThat(t.sign()).isEqualTo(Sign.RAIN);
    assertThat(t.day()).isEqualTo(140);
    assertThat(t.below()).isCloseTo(30, within(4.0));
    assertThat(t.right()).isGreaterThan((int) (0.85 * t.fires()));
    assertThat(t.told()).isGreaterThan(0.9);
    assertThat(t.of()).isEqualTo(500);
  }

  @Test
  void chanceTellsNothingAndNeitherDoesWhatComesTooLate() {
    boolean[] hard = new boolean[YEARS];
    assertThat(Telling.find(world(hard, Sign.RAIN, 99, 0), hard, 364)).isEmpty();
    assertThat(Telling.find(world(hard, Sign.STORE, 30, 0), hard, 29 * 7)).isEmpty();
  }

  /** In two of ten years the sign is chance: it is right less often, and says so. */
  @Test
  void aWorseSignIsSaidToBeWorse() {
    boolean[] hard = new boolean[YEARS];
    Telling clear = Telling.find(world(hard, Sign.SOIL_WATER, 10, 0), hard, 364).get(0);
    Telling dim = Telling.find(world(hard, Sign.SOIL_WATER, 10, 0.2), hard, 364).get(0);
    assertThat((double) dim.right() / dim.fires())
        .isLessThan((double) clear.right() / clear.fires());
    assertThat(dim.right()).isGreaterThanOrEqualTo((int) (0.63 * dim.fires()));
  }

  /** Years that lie apart by less than a keeper can count, walk or gauge tell him nothing. */
  @Test
  void whatNobodyCanReadTellsNothing() {
    boolean[] hard = new boolean[YEARS];
    SignsSeen seen = world(hard, Sign.RAIN, 20, 0);
    SignsSeen near = new SignsSeen(YEARS, 365);
    for (int y = 0; y < YEARS; y++) {
      for (int w = 1; w < near.weeks(); w++) {
        for (Sign s : Sign.values()) {
          near.set(s, y, w, 1000 + 0.01 * seen.of(s, y, w));
        }
      }
    }
    assertThat(Telling.find(near, hard, 364)).isEmpty();
  }

  /**
   * Twenty bulls on grass from April to mid November and hay between, too tight for a dry year:
   * where rain decides, what stands or the water in the soil tells it before the hay ends.
   */
  private static FarmPlan tight() {
    return new Farms()
        .eaters("herd", 20, 10)
        .field("near", 12, 25, 2000)
        .bales("hay", 60)
        .graze("herd", null, START.plusDays(75), "near")
        .graze("herd", START.plusDays(212), null, "near")
        .feed("herd", null, null)
        .build();
  }

  @Test
  void sellingThenIsRunInSuchYearsAndWaitingBringsNoMore() {
    FarmPlan plan = tight();
    ManyYears many = ManyYears.run(ENGINE, plan, 300, n -> {}, () -> false);
    List<DateThatTells> dates = DateThatTells.of(ENGINE, plan, many);
    assertThat(dates).isNotEmpty();
    for (DateThatTells d : dates) {
      assertThat(d.telling().right()).isGreaterThanOrEqualTo((int) (0.6 * d.telling().fires()));
      assertThat(d.missingKg()).isPositive();
      assertThat(d.savesKg()).isLessThanOrEqualTo(d.missingKg() + 1);
      assertThat(d.savesLaterKg()).isLessThanOrEqualTo(d.savesKg() + 1);
      assertThat(d.needThen()).isCloseTo(200, within(1e-6));
      assertThat(d.needMost()).isCloseTo(200, within(1e-6));
    }
  }

  @Test
  void whereFeedLastsInEveryYearThereIsNothingToTell() {
    FarmPlan rich =
        new Farms().eaters("herd", 20, 10).bales("hay", 400).feed("herd", null, null).build();
    ManyYears many = ManyYears.run(ENGINE, rich, 60, n -> {}, () -> false);
    assertThat(many.hardKg()).isNaN();
    assertThat(DateThatTells.of(ENGINE, rich, many)).isEmpty();
    assertThat(Decides.of(ENGINE, rich, many)).isEmpty();
  }

  /** The signs are those of the year on the ruler. */
  @Test
  void theSignsOfAYearAreThatYears() {
    FarmPlan plan = tight();
    ManyYears many = ManyYears.run(ENGINE, plan, 3, n -> {}, () -> false);
    var b = ENGINE.in(Season.simulated(2)).simulate(plan);
    int week = 40;
    int last = SignsSeen.day(week) - 1;
    assertThat(many.signs().of(Sign.STANDS, 1, week))
        .isCloseTo(b.standingKg(last) / 12, within(0.01));
    double grown = 0;
    for (int d = last - 29; d <= last; d++) {
      grown += b.grownKg(0, d);
    }
    assertThat(many.signs().of(Sign.GROWTH, 1, week)).isCloseTo(grown / 30 / 12, within(0.01));
    assertThat(many.signs().of(Sign.SOIL_WATER, 1, week))
        .isCloseTo(100 * b.soilWaterMm(0, last) / b.soilCapacityMm(0), within(0.01));
    double rain = 0;
    for (int d = last - 59; d <= last; d++) {
      rain += b.resolved().weather.rainMm(d);
    }
    assertThat(many.signs().of(Sign.RAIN, 1, week)).isCloseTo(rain, within(0.01));
  }

  /** What decides is what the years say: more rain in its months never leaves less here. */
  @Test
  void rainOfTheGrowingMonthsDecides() {
    FarmPlan plan = tight();
    ManyYears many = ManyYears.run(ENGINE, plan, 300, n -> {}, () -> false);
    List<Decides> decides = Decides.of(ENGINE, plan, many);
    assertThat(decides).isNotEmpty();
    assertThat(decides)
        .isSortedAccordingTo((a, b) -> Double.compare(Math.abs(b.kg()), Math.abs(a.kg())));
    assertThat(decides.stream().filter(d -> d.what() == Decides.What.RAIN)).isNotEmpty();
    assertThat(decides.stream().filter(d -> d.what() == Decides.What.BIRTHS)).isEmpty();
  }
}
