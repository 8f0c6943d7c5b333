package wiselarder.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.cost.Bill;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.Forage;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sowing;
import wiselarder.core.plan.Sowing.Preparation;
import wiselarder.core.plan.Sowing.SowingTerms;

/** Perennials that are sown: they come slowly, and stay. */
class NewStandTest {
  private static Forage forage(String id) {
    return ENGINE.catalogue().forage(id);
  }

  /** A hectare-ten of fescue for two years, and what is sown on it. */
  private static Farms sown(String crop, LocalDate on, Preparation way, SowingTerms terms) {
    Farms f = new Farms().field("a", 10, 20, 1800);
    f.months = 24;
    f.sowings.add(new Sowing("s", "a", crop, on, way, null, 1, null, terms, null));
    return f;
  }

  private static YearBalance year(String crop, LocalDate on, Preparation way) {
    return ENGINE.simulate(sown(crop, on, way, null).build());
  }

  /**
   * By hand: fescue is its own after 365 days (its table's 240 are fewer), from 70% of its growth;
   * after 73 days, a fifth of the way, 0.7 + 0.3 / 5. Switchgrass takes 730, from 15%: after a
   * year, half way, 0.15 + 0.85 / 2.
   */
  @ParameterizedTest
  @CsvSource({
    "tall_fescue_novel, 0, 0.70",
    "tall_fescue_novel, 73, 0.76",
    "tall_fescue_novel, 365, 1",
    "tall_fescue_novel, 900, 1",
    "switchgrass, 0, 0.15",
    "switchgrass, 365, 0.575",
    "switchgrass, 730, 1",
  })
  void aYoungStandGrowsLess(String id, int days, double share) {
    assertThat(CropRules.establishedShare(forage(id), days)).isCloseTo(share, within(1e-9));
  }

  /** Fescue of September is first used in spring; the old stand is gone, the new one stays. */
  @Test
  void aStandThatIsSownTakesThePlaceOfTheOld() {
    LocalDate on = LocalDate.of(2027, 9, 4);
    YearBalance y = year("orchardgrass", on, Preparation.FULL_SEEDBED);
    int sowDay = y.year().day(on);
    SowingYear is = y.sowing(0);
    assertThat(is.emergedDay() - sowDay).isBetween(4, 25);
    assertThat(is.readyDay() - sowDay)
        .as("within the table's 75 to 240 days, and a fortnight")
        .isBetween(75, 255);
    assertThat(is.endedDay()).as("it stays").isEqualTo(-1);
    assertThat(y.coverKgPerHa(0, sowDay - 1)).as("nothing stands in the bed").isZero();
    assertThat(y.coverKgPerHa(0, y.days() - 1)).isGreaterThan(2000);
    assertThat(Math.abs(y.massBalance().error())).isLessThan(1e-6);
  }

  /** Natives make roots in their first year: nobody comes in before the second summer. */
  @Test
  void nativesAreNotForTheirFirstYear() {
    LocalDate on = LocalDate.of(2027, 4, 25);
    YearBalance y = year("native_warm_mix", on, Preparation.SPRAYED_OUT);
    int sowDay = y.year().day(on);
    assertThat(y.coverKgPerHa(0, y.year().day(LocalDate.of(2027, 9, 1)))).isBetween(150.0, 1200.0);
    assertThat(y.sowing(0).readyDay() - sowDay).isBetween(365, 730);
  }

  /** Seed sown into the cold lies until it is warm enough: it does not rot in January. */
  @Test
  void seedSownInTheDormantSeasonComesUpInSpring() {
    YearBalance y = year("big_bluestem", LocalDate.of(2026, 12, 15), Preparation.SPRAYED_OUT);
    LocalDate up = y.year().date(y.sowing(0).emergedDay());
    assertThat(up).isBetween(LocalDate.of(2027, 4, 1), LocalDate.of(2027, 6, 15));
    assertThat(y.sowing(0).failed()).isFalse();
  }

  /** Bermudagrass of late September is seedlings when the frosts come. */
  @Test
  void frostTakesTheSeedlingsOfAWarmSeasonGrass() {
    Farms f = sown("bermudagrass", LocalDate.of(2027, 9, 25), Preparation.FULL_SEEDBED, null);
    for (int seed = 1; seed <= 4; seed++) {
      SowingYear is = ENGINE.in(Season.parse("seed:" + seed)).simulate(f.build()).sowing(0);
      assertThat(is.readyDay()).as("year %d", seed).isEqualTo(-1);
      assertThat(is.failed() || is.endedDay() > 0).as("year %d", seed).isTrue();
    }
  }

  /** A legume sown into a sod closes nothing, and the two crowd each other as one sward. */
  @Test
  void aLegumeIsSownIntoASodThatIsGrazedOn() {
    LocalDate on = LocalDate.of(2027, 2, 20);
    Farms f = sown("red_clover", on, Preparation.GRAZE_DOWN, null);
    f.groups.add(Farms.dams("cows", "beef/cow", 6, 560, java.time.MonthDay.of(3, 10), 0.9));
    f.graze("cows", null, null, "a");
    YearBalance y = ENGINE.simulate(f.build());
    int april = y.year().day(LocalDate.of(2027, 4, 20));
    double grazed = 0;
    for (int d = april; d < april + 60; d++) {
      grazed += y.grazedKg(0, d);
    }
    assertThat(grazed).isGreaterThan(1000);
    assertThat(y.sowing(0).grownKgPerHa()).isGreaterThan(200);
    double most = 0;
    for (int d = 0; d < y.days(); d++) {
      most = Math.max(most, y.coverKgPerHa(0, d));
    }
    assertThat(most).isLessThan(1.1 * y.ceilingKgPerHa(0));
  }

  /** Fallow stores water: sprayed out in autumn, the soil is full when the field is sown. */
  @Test
  void fallowStoresWater() {
    LocalDate on = LocalDate.of(2027, 9, 10);
    Farms short42 = sown("tall_fescue_novel", on, Preparation.SPRAYED_OUT, null);
    Farms fallow =
        sown(
            "tall_fescue_novel",
            on,
            Preparation.SPRAYED_OUT,
            new SowingTerms(LocalDate.of(2027, 5, 1), null, null, 0));
    short42.climate = "semi_arid_north";
    fallow.climate = "semi_arid_north";
    short42.fields.set(0, Farms.stand("a", 10, "smooth_brome", null, 1200));
    fallow.fields.set(0, Farms.stand("a", 10, "smooth_brome", null, 1200));
    short42.sowings.set(0, dry(short42.sowings.get(0)));
    fallow.sowings.set(0, dry(fallow.sowings.get(0)));
    int day = 374;
    double with = ENGINE.simulate(fallow.build()).soilWaterMm(0, day);
    double without = ENGINE.simulate(short42.build()).soilWaterMm(0, day);
    assertThat(with).isGreaterThan(without + 15);
  }

  /** The same of a grass that grows where it is dry. */
  private static Sowing dry(Sowing s) {
    return new Sowing(
        s.id(),
        s.fieldId(),
        "smooth_brome",
        s.sowOn(),
        s.preparation(),
        null,
        1,
        null,
        s.terms(),
        null);
  }

  /** Sown only where the soil holds enough: a bar that it cannot reach leaves the sod as it was. */
  @Test
  void whatIsTooDryIsLeft() {
    LocalDate on = LocalDate.of(2027, 9, 10);
    SowingTerms never = new SowingTerms(null, 1.0, null, 0);
    Farms f = sown("tall_fescue_novel", on, Preparation.FULL_SEEDBED, never);
    YearBalance y = ENGINE.simulate(f.build());
    assertThat(y.sowing(0).skipped()).isTrue();
    Farms none = new Farms().field("a", 10, 20, 1800);
    none.months = 24;
    YearBalance plain = ENGINE.simulate(none.build());
    int last = y.days() - 1;
    // where several stands may share the light what is dead shades too: some hundredths
    double was = plain.coverKgPerHa(0, last);
    assertThat(y.coverKgPerHa(0, last)).isCloseTo(was, within(0.04 * was));
    Bill bill = Bill.of(plain, y, ENGINE.catalogue(), false);
    assertThat(bill.total()).as("nothing was bought for it").isZero();
  }

  /** Others pay a quarter: three quarters of seed, tillage and drill are left. */
  @Test
  void whatOthersPayIsTakenOff() {
    LocalDate on = LocalDate.of(2027, 4, 1);
    Farms f = sown("orchardgrass", on, Preparation.FULL_SEEDBED, null);
    Farms paid =
        sown("orchardgrass", on, Preparation.FULL_SEEDBED, new SowingTerms(null, null, 10, 0.25));
    YearBalance whole = ENGINE.simulate(f.build());
    YearBalance shared = ENGINE.simulate(paid.build());
    double all = Bill.ofSowing(whole, ENGINE.catalogue(), f.sowings.get(0)).total();
    double own = Bill.ofSowing(shared, ENGINE.catalogue(), paid.sowings.get(0)).total();
    assertThat(all).isPositive();
    assertThat(own).isCloseTo(0.75 * all, within(1e-6));
  }

  /** A fire takes what is dead and above the stubble, and the stand comes again. */
  @Test
  void aFireTakesTheOldGrowth() {
    Farms f = new Farms();
    f.fields.add(Farms.stand("a", 10, "native_warm_mix", null, 4000));
    f.sowings.add(
        new Sowing(
            "s",
            "a",
            "red_clover",
            LocalDate.of(2027, 3, 1),
            Preparation.BURNT_OFF,
            null,
            1,
            null));
    YearBalance y = ENGINE.simulate(f.build());
    int fire = y.year().day(LocalDate.of(2027, 2, 22));
    assertThat(y.coverKgPerHa(0, fire)).isLessThan(0.75 * y.coverKgPerHa(0, fire - 1));
    assertThat(y.coverKgPerHa(0, y.year().day(LocalDate.of(2027, 7, 20)))).isGreaterThan(2500);
    assertThat(Math.abs(y.massBalance().error())).isLessThan(1e-6);
  }

  /** Mass is conserved, whatever is sown into whatever, on whatever day and ground. */
  @Property(tries = 24)
  void massIsConserved(
      @ForAll @IntRange(min = 0, max = 500) int day,
      @ForAll @IntRange(min = 0, max = 5) int way,
      @ForAll @IntRange(min = 0, max = 4) int crop) {
    String[] crops = {
      "tall_fescue_novel", "bermudagrass", "native_warm_mix", "white_clover", "switchgrass"
    };
    Farms f = sown(crops[crop], START.plusDays(day), Preparation.values()[way], null);
    f.groups.add(Farms.dams("cows", "beef/cow", 8, 560, java.time.MonthDay.of(3, 10), 0.9));
    f.graze("cows", null, null);
    YearBalance y = ENGINE.in(Season.parse("seed:" + (1 + day % 5))).simulate(f.build());
    assertThat(Math.abs(y.massBalance().error())).isLessThan(1e-6);
  }
}
