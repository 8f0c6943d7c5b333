package wiselarder.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.day.Shelf;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.SoilWater;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Scenario;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sowing;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.weather.Overlay;

/** What holds for any farm. */
public class YearPropertiesTest {
  private static final List<String> FORAGES =
      List.of("tall_fescue_novel", "bermudagrass", "orchardgrass", "native_warm_mix", "timothy");
  private static final List<String> STORAGE = List.of("s_barn", "s_net_ground", "s_wrapped_torn");

  /** A farm drawn from a seed: the same seed gives the same farm. */
  record Drawn(java.util.Random chance, LocalDate start) {
    Farms farm(int extraBales) {
      Farms farm = new Farms();
      farm.start = start;
      farm.months = 12 + chance.nextInt(13);
      farm.climate = chance.nextBoolean() ? "transition_humid" : "temperate_humid_south";
      int fields = 1 + chance.nextInt(6);
      for (int f = 0; f < fields; f++) {
        farm.fields.add(field("f" + f));
      }
      int lots = 1 + chance.nextInt(3);
      for (int l = 0; l < lots; l++) {
        String storage = STORAGE.get(chance.nextInt(STORAGE.size()));
        farm.lots.add(
            new wiselarder.core.store.Lot(
                "l" + l,
                "Lot",
                "bale",
                chance.nextInt(80) + (l == 0 ? extraBales : 0),
                300,
                0.87,
                storage,
                "f_ring_open",
                null,
                ""));
      }
      int groups = 1 + chance.nextInt(3);
      for (int g = 0; g < groups; g++) {
        group(farm, "g" + g, fields);
      }
      shutCutBuy(farm);
      return farm;
    }

    private Field field(String id) {
      List<Double> rates = new ArrayList<>();
      for (int m = 0; m < 12; m++) {
        rates.add(chance.nextDouble() * 60);
      }
      LocalDate from = chance.nextInt(5) == 0 ? start.plusDays(40) : null;
      LocalDate to = from == null ? null : start.plusDays(200);
      return new Field(
          id,
          id,
          1 + chance.nextInt(20),
          new Stand(
              FORAGES.get(chance.nextInt(FORAGES.size())),
              null,
              rates,
              chance.nextDouble() * 5000,
              chance.nextDouble(),
              from,
              to),
          Field.Grazing.values()[chance.nextInt(3)],
          null,
          chance.nextBoolean() ? null : chance.nextDouble() * 1500,
          null,
          true,
          "",
          null);
    }

    private void group(Farms farm, String id, int fields) {
      boolean dams = chance.nextBoolean();
      farm.groups.add(
          new AnimalGroup(
              id,
              id,
              dams ? "beef/cow" : "beef/steer",
              chance.nextInt(60),
              250 + chance.nextInt(400),
              dams ? 0 : 0.4,
              null,
              dams ? MonthDay.of(1 + chance.nextInt(12), 1 + chance.nextInt(28)) : null,
              1 + chance.nextInt(80),
              0.9,
              null,
              null,
              null,
              null));
      String[] ids = new String[fields];
      for (int f = 0; f < fields; f++) {
        ids[f] = "f" + f;
      }
      farm.graze(id, null, null, ids);
      farm.feed(id, null, null);
    }

    private void shutCutBuy(Farms farm) {
      LocalDate shut = start.plusDays(chance.nextInt(100));
      farm.closings.add(new Closing("c", "f0", shut, shut.plusDays(90), List.of("g0"), null));
      farm.cuts.add(
          new HayCut(
              "cut",
              "f0",
              start.plusDays(chance.nextInt(360)),
              "h_hay_not_conditioned",
              Farms.bale("made", 0)));
      farm.purchases.add(
          new Purchase(
              "p", start.plusDays(chance.nextInt(360)), Farms.bale("bought", 10), List.of()));
    }
  }

  /** A drawn farm with crops sown, nitrogen and water put on, and a season drawn for it. */
  public static YearBalance inDrawnWeather(long seed, LocalDate start) {
    java.util.Random chance = new java.util.Random(seed);
    Farms farm = new Drawn(chance, start).farm(0);
    List<String> crops = List.of("cereal_rye", "pearl_millet", "forage_rape", "annual_ryegrass");
    for (int i = 0; i < 4; i++) {
      LocalDate on = start.plusDays(150 + chance.nextInt(300));
      String field = "f" + chance.nextInt(farm.fields.size());
      Sowing.Preparation way = Sowing.Preparation.values()[chance.nextInt(4)];
      String crop = crops.get(chance.nextInt(4));
      if (!field.equals("f0")) {
        farm.sowings.add(
            new Sowing("s" + i, field, crop, on, way, null, 0.5 + chance.nextDouble(), null));
      }
      farm.dressings.add(new Dressing("n" + i, field, on.minusDays(20), 60, null));
      farm.irrigations.add(new Irrigation("w" + i, field, on.minusDays(40), 30));
    }
    LocalDate from = start.plusDays(chance.nextInt(200));
    farm.scenarios.add(
        new Scenario(
            "x",
            "Drawn",
            "seed:" + chance.nextInt(1000),
            List.of(
                Overlay.rain(from, from.plusDays(60), chance.nextDouble() * 2 - 1),
                new Overlay(
                    Overlay.Kind.HEAT, from, from.plusDays(90), chance.nextDouble() * 8 - 4))));
    FarmPlan plan = farm.build();
    if (!farm.groups.isEmpty()) {
      LightPass pass =
          new LightPass("l", "f0", farm.groups.get(0).id(), start, start.plusDays(300), 2600, 2200);
      plan = new PlanEdit.Put<>(Items.PASSES, pass).apply(plan);
    }
    return ENGINE.simulate(
        plan, Season.parse("scenario:x").weather(plan, ENGINE.catalogue(), Map.of()));
  }

  /** A year simulated for the farm only comes to the same, to the last kilogram. */
  @Property(tries = 60)
  void theLeanYearIsTheWholeYear(@ForAll long seed, @ForAll("starts") LocalDate start) {
    ResolvedPlan plan = inDrawnWeather(seed, start).resolved();
    YearBalance whole = YearBalance.simulate(plan);
    YearBalance lean = YearBalance.farmOnly(plan);
    assertThat(lean.massBalance()).isEqualTo(whole.massBalance());
    for (int d = 0; d < whole.days(); d++) {
      assertThat(lean.bareKg(d)).isEqualTo(whole.bareKg(d));
      assertThat(lean.standingKg(d)).isEqualTo(whole.standingKg(d));
      double standing = 0;
      for (int f = 0; f < whole.stated().farm().fields().size(); f++) {
        standing += whole.coverKgPerHa(f, d) * whole.stated().farm().fields().get(f).netAreaHa();
      }
      assertThat(whole.standingKg(d)).isCloseTo(standing, within(1e-6));
    }
    if (!whole.stated().farm().fields().isEmpty()) {
      assertThatThrownBy(() -> lean.coverKgPerHa(0, 0)).isInstanceOf(IllegalStateException.class);
    }
  }

  @Property(tries = 120)
  void everyKilogramIsAccountedForInAnyWeatherWithAnyCrops(
      @ForAll long seed, @ForAll("starts") LocalDate start) {
    YearBalance b = inDrawnWeather(seed, start);
    assertThat(b.massBalance().error()).isLessThan(1e-9);
    for (int f = 0; f < b.stated().farm().fields().size(); f++) {
      for (int d = 0; d < b.days(); d++) {
        assertThat(b.greenKgPerHa(f, d)).isGreaterThanOrEqualTo(0);
        assertThat(b.coverKgPerHa(f, d)).isGreaterThanOrEqualTo(b.greenKgPerHa(f, d) - 1e-9);
        assertThat(b.soilWaterMm(f, d)).isBetween(0.0, b.soilCapacityMm(f) + 1e-9);
      }
    }
  }

  @Property(tries = 200)
  void moreRainNeverLeavesLessWaterOrLessGrowthAllowedOnAFreelyDrainedField(
      @ForAll long seed, @ForAll @IntRange(max = 300) int from) {
    java.util.Random chance = new java.util.Random(seed);
    double capacity = 30 + chance.nextInt(250);
    double less = capacity / 2;
    double more = capacity / 2;
    for (int d = 0; d < 365; d++) {
      double rain = chance.nextInt(3) == 0 ? chance.nextDouble() * 40 : 0;
      double et0 = chance.nextDouble() * 8;
      double cover = chance.nextDouble();
      double extra = d >= from && d < from + 60 ? chance.nextDouble() * 10 : 0;
      less = SoilWater.after(less, capacity, rain, et0, cover, true);
      more = SoilWater.after(more, capacity, rain + extra, et0, cover, true);
      assertThat(more).isGreaterThanOrEqualTo(less - 1e-9);
      assertThat(SoilWater.growthShare(more, capacity, 0.5))
          .isGreaterThanOrEqualTo(SoilWater.growthShare(less, capacity, 0.5) - 1e-9);
    }
  }

  /** A fuller sward is crowded sooner and bitten at other times: that shifts a year by little. */
  @Property(tries = 100)
  void moreRainNeverGrowsLessOnAFreelyDrainedField(
      @ForAll @IntRange(max = 500) int seed,
      @ForAll @IntRange(max = 300) int day,
      @ForAll @IntRange(min = 5, max = 200) int percent) {
    Farms farm = new Farms();
    farm.field("a", 10, 25, 1900);
    farm.eaters("h", 15, 12).graze("h", null, null, "a");
    LocalDate from = farm.start.plusDays(day);
    farm.scenarios.add(
        new Scenario(
            "more",
            "More rain",
            "seed:" + seed,
            List.of(Overlay.rain(from, from.plusDays(60), percent / 100.0))));
    FarmPlan plan = farm.build();
    double less = grownIn("seed:" + seed, plan);
    assertThat(grownIn("scenario:more", plan))
        .isGreaterThanOrEqualTo(less * (1 - CROWDING_MAY_TAKE));
  }

  private static final double CROWDING_MAY_TAKE = 0.01;

  private static double grownIn(String season, FarmPlan plan) {
    return ENGINE
        .simulate(plan, Season.parse(season).weather(plan, ENGINE.catalogue(), Map.of()))
        .massBalance()
        .grownKg();
  }

  @Property(tries = 40)
  void theSameSeasonIsTheSameYearFourYearsOn(
      @ForAll @IntRange(max = 500) int seed, @ForAll("starts") LocalDate start) {
    YearBalance[] years = new YearBalance[2];
    for (int i = 0; i < 2; i++) {
      FarmPlan plan =
          new Drawn(new java.util.Random(seed), start.plusYears(4L * i)).farm(0).build();
      years[i] =
          ENGINE.simulate(
              plan, Season.parse("seed:" + seed).weather(plan, ENGINE.catalogue(), Map.of()));
    }
    assertThat(years[1].massBalance()).isEqualTo(years[0].massBalance());
  }

  @Provide
  Arbitrary<LocalDate> starts() {
    return Arbitraries.integers().between(0, 1500).map(d -> LocalDate.of(2025, 1, 1).plusDays(d));
  }

  @Property(tries = 120)
  void everyKilogramIsAccountedFor(@ForAll long seed, @ForAll("starts") LocalDate start) {
    YearBalance b = ENGINE.simulate(new Drawn(new java.util.Random(seed), start).farm(0).build());
    assertThat(b.massBalance().error()).isLessThan(1e-6);
  }

  @Property(tries = 80)
  void everyDayTheNeedIsEatenOrBare(@ForAll long seed, @ForAll("starts") LocalDate start) {
    YearBalance b = ENGINE.simulate(new Drawn(new java.util.Random(seed), start).farm(0).build());
    for (int d = 0; d < b.days(); d++) {
      double met = b.bareKg(d);
      for (Shelf shelf : Shelf.values()) {
        met += b.eatenKg(shelf, d);
      }
      assertThat(met).isCloseTo(b.needKg(d), within(1e-6));
    }
  }

  @Property(tries = 80)
  void nothingBelowTheResidualIsEaten(@ForAll long seed, @ForAll("starts") LocalDate start) {
    Farms farm = new Drawn(new java.util.Random(seed), start).farm(0);
    farm.fields.replaceAll(f -> f.grazedBy(1, null));
    FarmPlan stated = farm.build();
    YearBalance b = ENGINE.simulate(stated);
    for (int f = 0; f < stated.farm().fields().size(); f++) {
      for (int d = 1; d < b.days(); d++) {
        if (b.grazedKg(f, d) > 0) {
          double lost = b.weatheredKg(f, d) / stated.farm().fields().get(f).areaHa();
          assertThat(b.coverKgPerHa(f, d) + lost)
              .isGreaterThanOrEqualTo(b.residualKgPerHa(f) - 1e-6);
        }
      }
    }
  }

  @Property(tries = 80)
  void moreHayNeverMakesAGapLongerForAHerdThatLivesOnHay(
      @ForAll long seed,
      @ForAll("starts") LocalDate start,
      @ForAll @IntRange(min = 1, max = 200) int extra) {
    double less = bareOnHay(new Drawn(new java.util.Random(seed), start).farm(0));
    double more = bareOnHay(new Drawn(new java.util.Random(seed), start).farm(extra));
    assertThat(more).isLessThanOrEqualTo(less + 1e-6);
  }

  private static double bareOnHay(Farms farm) {
    farm.steps.removeIf(s -> s.kind() == FeedStep.Kind.GRAZE);
    farm.closings.clear();
    return ENGINE.simulate(farm.build()).totalBareKg();
  }

  /**
   * Where the herd also grazes, hay spares grass, which may be crowded then and moves the rotation:
   * in a few farms of a thousand a gap grows by some per cent. A fixed set of farms, so that it is
   * the engine that changes the answer, not the draw.
   */
  @Test
  void moreHayMakesGapsShorterAndHardlyEverLongerForAHerdThatAlsoGrazes() {
    int longer = 0;
    double lessKg = 0;
    double moreKg = 0;
    for (int seed = 0; seed < 300; seed++) {
      LocalDate start = LocalDate.of(2025, 1, 5).plusDays(seed * 5L);
      double less =
          ENGINE
              .simulate(new Drawn(new java.util.Random(seed), start).farm(0).build())
              .totalBareKg();
      double more =
          ENGINE
              .simulate(new Drawn(new java.util.Random(seed), start).farm(20).build())
              .totalBareKg();
      longer += more > less + 1e-6 ? 1 : 0;
      lessKg += less;
      moreKg += more;
    }
    assertThat(longer).isLessThanOrEqualTo(3);
    // 20 bales of 261 kg hold 5.2 t; a third of the farms have no gap to close with them
    assertThat(moreKg).isLessThan(lessKg - 300 * 2000);
  }

  @Property(tries = 50)
  void movingAPlanByALeapCycleChangesNothing(@ForAll long seed, @ForAll("starts") LocalDate start) {
    YearBalance now = ENGINE.simulate(new Drawn(new java.util.Random(seed), start).farm(0).build());
    YearBalance later =
        ENGINE.simulate(new Drawn(new java.util.Random(seed), start.plusYears(4)).farm(0).build());
    assertThat(later.days()).isEqualTo(now.days());
    assertThat(later.massBalance()).isEqualTo(now.massBalance());
  }

  @Property(tries = 50)
  void theLedgerIsTheSumOfItsDays(@ForAll long seed, @ForAll("starts") LocalDate start) {
    YearBalance b = ENGINE.simulate(new Drawn(new java.util.Random(seed), start).farm(0).build());
    double months = Ledger.months(b).stream().mapToDouble(Ledger.Line::putByKg).sum();
    double days = Ledger.days(b).stream().mapToDouble(Ledger.Line::putByKg).sum();
    assertThat(months).isCloseTo(days, within(1e-6));
    assertThat(Ledger.total(b).putByKg()).isCloseTo(days, within(1e-6));
  }

  /**
   * Over a whole normal year a sward taken down to its own residual and no lower gives no less feed
   * than one that is bitten shorter: what is eaten and, by its utilization, what still stands.
   * Under very few head the shorter one is crowded less, which makes a few thousandths. Alfalfa and
   * bermudagrass, which come again from crown and runners, can give up to 5 and 2% more when bitten
   * short in one year; that they pay for it in the next is what vigour is for.
   */
  @Property(tries = 150)
  void aResidualRespectedGivesNoLessFeedThanOneIgnored(
      @ForAll @IntRange(min = 0, max = 7) int forage,
      @ForAll @IntRange(min = 5, max = 60) int head) {
    double kept = fed(forage, head, null);
    double ignored = fed(forage, head, 0.4);
    assertThat(kept).isGreaterThanOrEqualTo(ignored * 0.995);
  }

  private static double fed(int forage, int head, Double residualShare) {
    String id = PERENNIALS.get(forage);
    wiselarder.core.forage.Forage f = ENGINE.catalogue().forage(id);
    Farms farm = new Farms().eaters("h", head, 12);
    farm.start = LocalDate.of(2027, 3, 1);
    farm.fields.add(
        new Field(
                "a",
                "a",
                10,
                new Stand(id, null, null, f.entryMassKgPerHa(), 0, null, null),
                Field.Grazing.ROTATIONAL,
                null,
                residualShare == null ? null : residualShare * f.minResidualKgPerHa(),
                f.entryMassKgPerHa(),
                false,
                "",
                null)
            .grazedBy(1, null));
    farm.graze("h", null, null, "a");
    YearBalance b = ENGINE.simulate(farm.build());
    double left = b.coverKgPerHa(0, b.days() - 1) * 10 * f.utilizationRotational();
    return b.massBalance().eatenKg() + left;
  }

  private static final List<String> PERENNIALS =
      List.of(
          "tall_fescue_novel",
          "tall_fescue_toxic",
          "orchardgrass",
          "kentucky_bluegrass",
          "smooth_brome",
          "native_warm_mix",
          "ryegrass_white_clover",
          "fescue_white_clover");
}
