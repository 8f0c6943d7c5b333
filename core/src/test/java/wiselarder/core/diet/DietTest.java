package wiselarder.core.diet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.YearMonth;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.Keeping;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.records.ConditionSeen;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.Struck;

/** Diet against need, gain and condition, the least supplement, water. */
class DietTest {
  private static final Keeping HOUSED =
      new Keeping(false, Keeping.Shelter.HOUSED, 0, 0, 0, null, false);

  private static AnimalGroup group(String kind, int head, double weight, double gain, Double flat) {
    return new AnimalGroup(
        "g", "g", kind, head, weight, gain, flat, null, 1, 0, null, null, null, null);
  }

  private static YearBalance onHay(String feedId, AnimalGroup... groups) {
    return onHay(FarmRecords.NONE, feedId, groups);
  }

  private static YearBalance onHay(FarmRecords written, String feedId, AnimalGroup... groups) {
    Farms farm = new Farms();
    for (AnimalGroup g : groups) {
      farm.groups.add(Farms.kept(g, HOUSED, g.changes()));
      farm.steps.addAll(wiselarder.core.plan.FeedStep.usual(g.id()));
    }
    farm.lots.add(
        Farms.with(
            new wiselarder.core.store.Lot(
                "hay", "hay", "bale", 2000, 400, 0.9, "s_bin_dry", "f_bunk", 100.0, ""),
            Farms.of("x", 1, feedId).origin()));
    return ENGINE.knowing(written).simulate(farm.build());
  }

  /** Point 9: the same hay winters a dry cow and not a milking one; four balances, and a gain. */
  @Test
  void goodEnoughIsAQuestionOfClass() {
    AnimalGroup dry = group("beef/cow", 10, 550, 0, null);
    AnimalGroup milking = Farms.dams("m", "beef/cow", 10, 550, MonthDay.of(9, 1), 1);
    YearBalance b = onHay("hay_tall_fescue_late", dry, milking);
    DietYear ofDry = DietYear.of(b, 0);
    DietYear ofMilking = DietYear.of(b, 1);
    int d = 20;
    // bulk is there for both
    assertThat(b.bareKg(d)).isZero();
    // energy: 11 kg of 51% TDN hold 84.9 MJ against 81.6; 13.2 kg hold 101.9 against 117.8
    assertThat(ofDry.energyMj(d) / 10).isCloseTo(11 * 0.1513 * 51, within(0.01));
    assertThat(ofDry.energyNeedMj(d) / 10).isCloseTo(81.6, within(1e-9));
    assertThat(ofMilking.energyMj(d) / 10).isCloseTo(13.2 * 0.1513 * 51, within(0.01));
    assertThat(ofMilking.energyNeedMj(d) / 10).isCloseTo(117.8, within(1e-9));
    // protein: 8% of 11 kg = 0.88 kg against 0.77; 1.056 kg against 1.386
    assertThat(ofDry.proteinKg(d) / 10).isCloseTo(0.88, within(1e-6));
    assertThat(ofDry.proteinNeedKg(d) / 10).isCloseTo(0.77, within(1e-6));
    assertThat(ofMilking.proteinKg(d) / 10).isCloseTo(1.056, within(1e-6));
    assertThat(ofMilking.proteinNeedKg(d) / 10).isCloseTo(1.386, within(1e-6));
    // fibre
    assertThat(ofDry.fibrePct(d)).isCloseTo(70, within(1e-6));
    assertThat(ofDry.fibreMinPct(d)).isEqualTo(25);
    assertThat(ofDry.gainKg(d)).isPositive();
    assertThat(ofMilking.gainKg(d)).isLessThan(-0.3);
    assertThat(ofMilking.score(60)).isLessThan(ofDry.score(60));
  }

  @Test
  void gainOfADryCowIsItsEnergyBeyondTheNeed() {
    DietYear diet =
        DietYear.of(onHay("hay_smooth_brome_mid", group("beef/cow", 1, 550, 0, 11.0)), 0);
    // 11 kg of 57% TDN: 8.6241 MJ/kg, 94.865 MJ; 13.265 over. In a kilogram of gain at 550 kg:
    // (13.91 x 550^-0.6837)^(-1.0970) = 6.324 Mcal = 26.46 MJ; x 0.043 x 8.6241 / 26.46
    assertThat(diet.gainKg(0)).isCloseTo(13.265 * 0.043 * 8.6241 / 26.46, within(2e-3));
  }

  @Test
  void growingCattleGainByNetEnergy() {
    YearBalance b = onHay("hay_grass_clover", group("beef/steer", 10, 250, 0.5, 6.5));
    DietYear diet = DietYear.of(b, 0);
    assertThat(diet.gainKg(0))
        .isCloseTo(wiselarder.core.herd.CattleGain.kgPerDay(250, 6.5, 59), within(1e-6));
    assertThat(diet.hasScore()).isFalse();
    assertThat(diet.weightKg(9)).isCloseTo(250 + 10 * diet.gainKg(0), within(0.1));
  }

  @Test
  void aRecordedScoreStartsAnew() {
    FarmRecords seen =
        Farms.written(
            Farms.seen(LocalDate.of(2026, 12, 1), new ConditionSeen("g", 4.0, 520.0)),
            Farms.seen(LocalDate.of(2027, 1, 1), new ConditionSeen("g", 9.0, null)),
            Farms.seen(LocalDate.of(2027, 1, 2), new Struck("r1", "another herd")));
    YearBalance b = onHay(seen, "hay_smooth_brome_mid", group("beef/cow", 10, 560, 0, 11.0));
    DietYear diet = DietYear.of(b, 0);
    int day = b.year().day(LocalDate.of(2026, 12, 1));
    assertThat(diet.score(day - 1)).isGreaterThan(5);
    assertThat(diet.weightKg(day)).isCloseTo(520 + diet.gainKg(day), within(1e-9));
    assertThat(diet.score(day)).isCloseTo(4 + diet.gainKg(day) / (0.07 * 520), within(1e-9));
    assertThat(diet.score(day + 32)).as("what was struck out does not count").isLessThan(7);
  }

  @Test
  void horsesGetNoFiguresOfEnergy() {
    DietYear diet =
        DietYear.of(onHay("hay_timothy_late", group("horse/adult", 4, 500, 0, null)), 0);
    assertThat(diet.hasEnergy()).isFalse();
    assertThat(diet.gainKg(10)).isNaN();
    assertThat(diet.score(10)).isNaN();
    assertThat(diet.proteinPct(10)).isCloseTo(7.5, within(1e-6));
  }

  @Test
  void theLeastSupplementMeetsTheNeedAtTheLeastCost() {
    YearBalance b = onHay("hay_native_late", group("beef/cow", 10, 550, 0, 11.0));
    List<Supplement> all = Supplement.of(b, ENGINE.catalogue());
    Supplement one = all.get(0);
    // 5% of 11 kg is 0.55 kg of protein against 0.77; energy 11 x 7.2624 = 79.9 of 81.6 will do
    assertThat(one.month()).isEqualTo(YearMonth.of(2026, 9));
    assertThat(one.proteinShortKg()).isCloseTo(0.22, within(1e-6));
    assertThat(one.met()).isTrue();
    double protein = 0;
    double kg = 0;
    double cost = 0;
    for (Supplement.Ingredient p : one.parts()) {
      var feed =
          ENGINE.catalogue().storedFeeds().stream()
              .filter(f -> f.id().equals(p.feedId()))
              .findFirst()
              .orElseThrow();
      // a twentieth is lost at feeding
      assertThat(p.kgAsFed()).isCloseTo(p.kgDm() / feed.dmShare() / 0.95, within(1e-9));
      protein += p.kgDm() * feed.worth().proteinPct() / 100;
      kg += p.kgDm();
      cost += p.kgAsFed() * p.pricePerTonneAsFed() / 1000;
      assertThat(p.kgDm()).isLessThanOrEqualTo(feed.maxShareOfDiet() * 11 + 1e-6);
      assertThat(p.defaultPrice()).isTrue();
    }
    // it takes the place of as much of the hay: the protein of both together is the need
    assertThat(protein + (11 - kg) * 0.05).isGreaterThanOrEqualTo(0.77 - 1e-6);
    assertThat(one.costPerHeadDay()).isCloseTo(cost, within(1e-9));
    // soybean meal alone: s x (0.52 - 0.05) = 0.22, 0.468 kg DM, 0.553 kg as fed at 420 a tonne
    double soybean = 0.22 / 0.47 / 0.89 / 0.95 * 0.420;
    assertThat(one.costPerHeadDay()).isLessThanOrEqualTo(soybean + 1e-6);
    assertThat(one.cost()).isCloseTo(one.costPerHeadDay() * 10 * 30, within(1e-6));
  }

  @Test
  void nothingIsAddedWhereNothingFallsShort() {
    YearBalance b = onHay("hay_smooth_brome_mid", group("beef/cow", 10, 550, 0, 11.0));
    assertThat(Supplement.of(b, ENGINE.catalogue())).isEmpty();
  }

  /** Point 33: water at every field by class and heat; hauled where none is, at its cost. */
  @Test
  void waterIsAskedOfTheFieldThatTheyGraze() {
    Farms farm = new Farms().field("dry", 30, 60, 3000).eaters("g", 20, 12);
    Field f = farm.fields.get(0);
    Lie lie =
        new Lie(
            null,
            Lie.Water.HAULED,
            Lie.Access.ANY_WEATHER,
            Lie.Exposure.ORDINARY,
            false,
            null,
            List.of(),
            "",
            null,
            300.0,
            4.0);
    farm.fields.set(
        0,
        new Field(
            f.id(),
            f.name(),
            f.areaHa(),
            f.stand(),
            f.grazing(),
            null,
            null,
            null,
            true,
            "",
            null,
            null,
            lie,
            null));
    farm.graze("g", null, null, "dry");
    YearBalance b = ENGINE.simulate(farm.build());
    WaterYear water = WaterYear.of(b);
    WaterYear.FieldWater dry = water.fields().get(0);
    double all = 0;
    for (int d = 0; d < b.days(); d++) {
      all += b.onField(0, d) == 0 ? water.drunkL(0, d) : 0;
    }
    assertThat(dry.hauledM3()).isCloseTo(all / 1000, within(1e-9)).isPositive();
    assertThat(dry.haulingCost()).isCloseTo(4 * all / 1000, within(1e-9));
    assertThat(dry.supplyL()).isEqualTo(300);
    assertThat(dry.shortDays()).isPositive().isLessThanOrEqualTo(dry.grazedDays());
    assertThat(water.drunkL(0, dry.mostDay())).isCloseTo(dry.mostL(), within(1e-9));
  }

  @Test
  void snowCountsAsWaterOnlyIfTheKeeperAcceptsIt() {
    assertThat(drunkInJanuary(false)).isPositive();
    assertThat(drunkInJanuary(true)).isZero();
  }

  private static double drunkInJanuary(boolean snow) {
    Farms farm = new Farms();
    farm.climate = "cold_continental_north";
    farm.start = LocalDate.of(2026, 10, 1);
    farm.groups.add(
        Farms.kept(
            group("beef/cow", 10, 550, 0, 11.0),
            new Keeping(false, Keeping.Shelter.SHELTERED, 0, 0, 0, null, snow),
            List.of()));
    farm.bales("hay", 300).feed("g", null, null);
    YearBalance b = ENGINE.simulate(farm.build());
    int january = b.year().day(LocalDate.of(2027, 1, 20));
    assertThat(
            b.resolved().cautions().stream().anyMatch(c -> c.hazard().id().equals("hz_snow_water")))
        .isEqualTo(snow);
    return WaterYear.of(b).drunkL(0, january);
  }

  @Test
  void whatIsFedBesidesThePlanCountsInTheDietAlone() {
    AnimalGroup milked =
        Farms.kept(
            group("dairy/cow", 10, 560, 0, 11.5),
            new Keeping(false, Keeping.Shelter.HOUSED, 0, 0, 0, null, false, 5.5),
            List.of());
    Farms farm = new Farms();
    farm.groups.add(milked);
    farm.lots.add(Farms.of("hay", 900, "hay_grass_clover"));
    farm.feed("g", null, null);
    YearBalance b = ENGINE.simulate(farm.build());
    assertThat(b.needKg(0, 10)).isCloseTo(115, within(1e-6));
    DietYear diet = DietYear.of(b, 0);
    // 11.5 kg at 13% and 5.5 kg at 16% protein
    assertThat(diet.proteinKg(10) / 10).isCloseTo(11.5 * 0.13 + 5.5 * 0.16, within(1e-3));
    assertThat(diet.proteinPct(10)).isCloseTo(100 * (1.495 + 0.88) / 17, within(0.01));
  }
}
