package wiselarder.core.caution;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.Keeping;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.land.Soil;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Scenario;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sowing;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Origin;
import wiselarder.core.weather.Overlay;

/** Every row of hazards.csv is set off by one small farm, and stays silent on its neighbour. */
class EveryHazardTest {
  private static final LocalDate APRIL = LocalDate.of(2027, 4, 1);
  private static final LocalDate JUNE = LocalDate.of(2027, 6, 1);

  /** One field and one group that grazes it. */
  private static Farms grazing(String climate, String forage, String kind) {
    return grazing(climate, forage, kind, null, Field.Grazing.SET_STOCKED, true, Lie.unsaid());
  }

  private static Farms grazing(
      String climate,
      String forage,
      String kind,
      MonthDay birth,
      Field.Grazing way,
      boolean drains,
      Lie lie) {
    Farms farm = new Farms();
    farm.climate = climate;
    farm.start = APRIL;
    double young = birth == null ? 0 : 1;
    farm.groups.add(
        new AnimalGroup("g", "G", kind, 5, 300, 0, 7.0, birth, 30, young, null, null, null, null));
    farm.fields.add(
        new Field(
            "f",
            "F",
            5,
            new Stand(
                forage,
                null,
                List.of(9., 9., 9., 9., 9., 9., 9., 9., 9., 9., 9., 9.),
                2500.0,
                0,
                null,
                null),
            way,
            null,
            null,
            null,
            true,
            "",
            new Soil(Soil.Texture.LOAM, null, drains),
            null,
            lie,
            null));
    return farm.graze("g", null, null, "f");
  }

  private static Farms beef(String forage) {
    return grazing("transition_humid", forage, "beef/steer");
  }

  private static Farms sown(String crop, LocalDate on, Sowing.Preparation way) {
    Farms farm = beef("bermudagrass");
    farm.sowings.add(new Sowing("s", "f", crop, on, way, null, 1, null));
    return farm;
  }

  private static Farms fed(String feedId, String kind) {
    Farms farm = grazing("transition_humid", "bermudagrass", kind);
    farm.lots.add(Farms.of("l", 20, feedId));
    return farm.feed("g", null, null, "l");
  }

  private static Farms kept(String storage, String feeding, double kg, Origin.Wrap wrap) {
    Farms farm = grazing("transition_humid", "bermudagrass", "sheep/ewe");
    Origin of = new Origin("hay_fescue_early", null, wrap, "", true, null, null);
    farm.lots.add(
        new Lot("l", "L", "bale", 9, kg, 0.85, storage, feeding, null, "", null, null, null));
    farm.lots.set(0, Farms.with(farm.lots.get(0), of));
    return farm.feed("g", null, null, "l");
  }

  private static Farms cut(String way, String forage, String kind) {
    Farms farm = grazing("transition_humid", forage, kind);
    farm.cuts.add(new HayCut("c", "f", JUNE, way, Farms.bale("made", 0)));
    return farm;
  }

  private static Farms dressed(String forage, double kg, LocalDate on) {
    Farms farm = beef(forage);
    farm.climate = "semi_arid_north";
    farm.dressings.add(new Dressing("n", "f", on, kg, null));
    return farm;
  }

  private static Farms dressedCrop(double kg) {
    Farms farm = sown("cereal_rye", LocalDate.of(2027, 9, 10), Sowing.Preparation.FULL_SEEDBED);
    farm.dressings.add(new Dressing("n", "f", LocalDate.of(2027, 10, 10), kg, null));
    return farm;
  }

  private static Set<String> ids(FarmPlan plan, String season) {
    Set<String> ids = new HashSet<>();
    YearBalance b = ENGINE.in(Season.parse(season)).simulate(plan);
    b.resolved().cautions().forEach(c -> ids.add(c.hazard().id()));
    return ids;
  }

  private static Supplier<Set<String>> in(Farms farm) {
    return () -> ids(farm.build(), "normal");
  }

  /** All that is set off in any of twenty simulated years. */
  private static Supplier<Set<String>> ever(Farms farm) {
    return () -> {
      Set<String> all = new HashSet<>();
      for (int seed = 1; seed <= 20; seed++) {
        all.addAll(ids(farm.build(), "seed:" + seed));
      }
      return all;
    };
  }

  private record Row(String id, Supplier<Set<String>> fires, Supplier<Set<String>> silent) {
    @Override
    public String toString() {
      return id;
    }
  }

  private static Lie lie(Lie.Water water) {
    Lie l = Lie.unsaid();
    return new Lie(
        l.slopeDeg(),
        water,
        l.access(),
        l.exposure(),
        l.shade(),
        l.distanceM(),
        l.onlyGroups(),
        l.formerly(),
        l.soilTest(),
        l.waterLPerDay(),
        l.waterCostPerM3());
  }

  private static Farms bales(Lie.Water water) {
    Farms farm =
        grazing(
            "transition_humid",
            "bermudagrass",
            "beef/steer",
            null,
            Field.Grazing.SET_STOCKED,
            true,
            lie(water));
    farm.lots.add(new Lot("l", "L", "bale", 9, 400, 0.85, "s_barn", "f_bale_graze_2d", null, ""));
    return farm.feed("g", null, null, "l");
  }

  private static Farms ground(String forage, Field.Grazing way, boolean drains) {
    return grazing("transition_humid", forage, "beef/steer", null, way, drains, Lie.unsaid());
  }

  private static Farms born(String forage, String kind, MonthDay birth) {
    return grazing(
        "transition_humid", forage, kind, birth, Field.Grazing.SET_STOCKED, true, Lie.unsaid());
  }

  private static Farms snow(boolean accepted) {
    Farms farm = grazing("cold_continental_north", "timothy", "beef/cow");
    AnimalGroup g = farm.groups.get(0);
    Keeping k = g.keeping();
    Keeping drinks =
        new Keeping(
            k.byEnergy(),
            k.shelter(),
            k.windKmPerHour(),
            k.walkKmPerDay(),
            k.deathsPerYearShare(),
            k.conditionFloor(),
            accepted,
            k.besidesKgPerDay());
    farm.groups.set(0, Farms.kept(g, drinks, List.of()));
    return farm;
  }

  static Stream<Row> rows() {
    Sowing.Preparation bed = Sowing.Preparation.FULL_SEEDBED;
    LocalDate may = LocalDate.of(2027, 5, 20);
    LocalDate autumn = LocalDate.of(2027, 9, 10);
    String loose = "s_barn";
    Origin.Wrap none = Origin.Wrap.NONE;
    return Stream.of(
        new Row("hz_frost_kill_sorghum", in(beef("johnsongrass")), in(beef("bermudagrass"))),
        new Row("hz_frost_light_sorghum", ever(beef("johnsongrass")), ever(beef("bermudagrass"))),
        new Row("hz_frost_bloat_legume", in(beef("alfalfa")), in(beef("birdsfoot_trefoil"))),
        new Row("hz_drought_rain_cyanide", ever(beef("johnsongrass")), in(beef("johnsongrass"))),
        new Row(
            "hz_drought_rain_nitrate",
            ever(dressed("johnsongrass", 50, may)),
            ever(dressed("bermudagrass", 50, may))),
        new Row("hz_young_sorghum", in(beef("sudangrass")), in(beef("teff"))),
        new Row("hz_young_johnsongrass", in(beef("corn_residue")), in(beef("bermudagrass"))),
        new Row(
            "hz_not_for_horses",
            in(grazing("transition_humid", "switchgrass", "horse/adult")),
            in(beef("switchgrass"))),
        new Row(
            "hz_bloat_legume",
            in(beef("white_clover")),
            in(grazing("transition_humid", "white_clover", "horse/adult"))),
        new Row(
            "hz_grass_tetany",
            in(born("orchardgrass", "beef/cow", MonthDay.of(3, 15))),
            in(beef("orchardgrass"))),
        new Row("hz_bloat_small_grain", in(sown("cereal_rye", autumn, bed)), in(beef("teff"))),
        new Row(
            "hz_laminitis_spring",
            in(grazing("transition_humid", "orchardgrass", "horse/adult")),
            in(beef("orchardgrass"))),
        new Row("hz_nitrate_cloudy", ever(dressedCrop(80)), ever(dressedCrop(20))),
        new Row(
            "hz_overfertilised",
            ever(dressed("smooth_brome", 120, may)),
            ever(dressed("smooth_brome", 80, may))),
        new Row(
            "hz_brassica_share",
            in(beef("kale")),
            in(beef("kale").bales("hay", 10).feed("g", null, null, "hay"))),
        new Row(
            "hz_brassica_intro",
            in(sown("forage_rape", may, bed)),
            in(sown("pearl_millet", may, bed))),
        new Row(
            "hz_endophyte_hot",
            ever(beef("tall_fescue_toxic")),
            ever(grazing("maritime_temperate_north", "tall_fescue_toxic", "beef/steer"))),
        new Row(
            "hz_endophyte_mares",
            in(born("tall_fescue_toxic", "horse/mare", MonthDay.of(3, 1))),
            in(born("tall_fescue_novel", "horse/mare", MonthDay.of(3, 1)))),
        new Row(
            "hz_mouldy_feed",
            in(kept("s_net_ground", "f_ring_open", 300, Origin.Wrap.NET)),
            in(kept("s_barn", "f_ring_open", 300, none))),
        new Row(
            "hz_botulism_wrapped",
            in(kept("s_wrapped_torn", "f_ring_open", 300, Origin.Wrap.FILM)),
            in(kept("s_barn", "f_ring_open", 300, none))),
        new Row(
            "hz_wrap_ingestion",
            in(kept(loose, "f_ring_open", 300, Origin.Wrap.NET)),
            in(kept(loose, "f_ring_open", 300, none))),
        new Row("hz_grain_overload", in(beef("corn_residue")), in(beef("bermudagrass"))),
        new Row(
            "hz_pesticide_interval",
            in(sown("cereal_rye", autumn, Sowing.Preparation.BURN_DOWN)),
            in(sown("cereal_rye", autumn, bed))),
        new Row("hz_treated_seed", in(sown("teff", may, bed)), in(beef("bermudagrass"))),
        new Row("hz_waterway", in(bales(Lie.Water.POND_OR_STREAM)), in(bales(Lie.Water.TROUGH))),
        new Row(
            "hz_birthing_on_crop",
            in(born("corn_residue", "beef/cow", MonthDay.of(12, 15))),
            in(born("bermudagrass", "beef/cow", MonthDay.of(12, 15)))),
        new Row(
            "hz_nitrate_stored",
            in(fed("hay_sorghum_sudan", "beef/steer")),
            in(fed("hay_fescue_early", "beef/steer"))),
        new Row("hz_hungry_turnout", in(beef("alfalfa")), in(beef("orchardgrass"))),
        new Row(
            "hz_urea_hungry",
            in(fed("molasses_block", "beef/steer")),
            in(fed("hay_fescue_early", "beef/steer"))),
        new Row(
            "hz_hay_fire",
            in(cut("h_hay_conditioned_grass", "orchardgrass", "beef/steer")),
            in(cut("h_haylage", "orchardgrass", "beef/steer"))),
        new Row(
            "hz_heat_stress",
            ever(grazing("subtropical_humid_north", "bermudagrass", "beef/steer")),
            ever(grazing("maritime_temperate_north", "perennial_ryegrass", "beef/steer"))),
        new Row(
            "hz_cold_stress",
            ever(grazing("cold_continental_north", "timothy", "beef/steer")),
            ever(grazing("subtropical_humid_north", "bermudagrass", "beef/steer"))),
        new Row("hz_sudden_diet_change", in(beef("kale")), in(beef("bermudagrass"))),
        new Row(
            "hz_mud_lying",
            in(ground("kale", Field.Grazing.STRIP, false)),
            in(ground("kale", Field.Grazing.STRIP, true))),
        new Row(
            "hz_electric_fence",
            in(ground("orchardgrass", Field.Grazing.STRIP, true)),
            in(ground("orchardgrass", Field.Grazing.ROTATIONAL, true))),
        new Row(
            "hz_moving_bales",
            in(kept(loose, "f_ring_open", 400, none)),
            in(kept(loose, "f_ring_open", 20, none))),
        new Row(
            "hz_ice_water",
            ever(grazing("cold_continental_north", "timothy", "beef/steer")),
            ever(grazing("subtropical_humid_north", "bermudagrass", "beef/steer"))),
        new Row("hz_new_stand", in(sown("teff", may, bed)), in(beef("teff"))),
        new Row(
            "hz_copper_sheep",
            in(fed("corn_gluten_feed", "sheep/ewe")),
            in(fed("corn_gluten_feed", "beef/steer"))),
        new Row(
            "hz_silage_listeria",
            in(fed("silage_grass", "sheep/ewe")),
            in(fed("hay_fescue_early", "sheep/ewe"))),
        new Row(
            "hz_sweetclover_mould",
            in(fed("hay_sweetclover", "beef/steer")),
            in(fed("hay_fescue_early", "beef/steer"))),
        new Row(
            "hz_fog_fever",
            in(cut("h_hay_conditioned_grass", "orchardgrass", "beef/steer")),
            in(cut("h_hay_conditioned_grass", "orchardgrass", "sheep/ewe"))),
        new Row("hz_snow_water", in(snow(true)), in(snow(false))),
        new Row(
            "hz_silo_gas",
            in(cut("h_silage_wilted", "orchardgrass", "beef/steer")),
            in(cut("h_hay_conditioned_grass", "orchardgrass", "beef/steer"))),
        new Row(
            "hz_fescue_foot_cold",
            ever(beef("tall_fescue_toxic")),
            ever(grazing("transition_humid", "tall_fescue_toxic", "sheep/ewe"))),
        new Row("hz_downed_ears", in(beef("corn_residue")), in(beef("bermudagrass"))),
        new Row(
            "hz_switchgrass_small_stock",
            in(grazing("transition_humid", "switchgrass", "goat/doe")),
            in(beef("switchgrass"))));
  }

  @ParameterizedTest
  @MethodSource("rows")
  void firesWhereItMustAndStaysSilentBeside(Row row) {
    assertThat(row.fires.get()).contains(row.id);
    assertThat(row.silent.get()).doesNotContain(row.id);
  }

  @Test
  void noRowIsLeftOut() {
    assertThat(rows().map(Row::id)).containsExactlyInAnyOrderElementsOf(Hazard.loadAll().keySet());
  }

  @Test
  void eachIsSaidOnceForAFieldAndItsDays() {
    List<Caution> all =
        ENGINE
            .simulate(sown("sorghum_sudangrass", JUNE, Sowing.Preparation.FULL_SEEDBED).build())
            .resolved()
            .cautions();
    assertThat(all).doesNotHaveDuplicates();
    Map<String, List<String>> titles = new java.util.HashMap<>();
    all.forEach(
        c ->
            titles
                .computeIfAbsent(c.hazard().title(), t -> new ArrayList<>())
                .add(c.hazard().id()));
    assertThat(titles.values()).allSatisfy(ids -> assertThat(Set.copyOf(ids)).hasSize(1));
  }

  /** In text, hatch and engine alike: one list says it to all three. */
  @Test
  void aFrostInAScenarioStartsTheHoldThatDay() {
    Farms farm = beef("johnsongrass");
    LocalDate night = LocalDate.of(2027, 9, 25);
    farm.scenarios.add(
        new Scenario(
            "x",
            "Frost",
            "normal",
            List.of(new Overlay(Overlay.Kind.KILLING_FROST, night, null, -5))));
    YearBalance b = ENGINE.in(Season.parse("scenario:x")).simulate(farm.build());
    int day = b.year().day(night);
    Caution hold =
        b.resolved().cautions().stream()
            .filter(c -> c.hazard().id().equals("hz_frost_kill_sorghum") && c.toDay() > day)
            .findFirst()
            .orElseThrow();
    assertThat(hold.fromDay()).isEqualTo(day);
    assertThat(hold.toDay()).isEqualTo(day + 15);
    for (int d = 0; d < b.days(); d++) {
      boolean held = d >= hold.fromDay() && d < hold.toDay();
      assertThat(b.resolved().holds.field(0, d)).as("day %d", d).isEqualTo(held || winter(b, d));
      if (held) {
        assertThat(b.grazedKg(0, d)).isZero();
      }
    }
  }

  private static boolean winter(YearBalance b, int day) {
    return b.resolved().cautions().stream()
        .anyMatch(c -> c.blocks() && day >= c.fromDay() && day < c.toDay());
  }

  /** Rain after drought holds johnsongrass, for grazing and for hay; the longer of two holds. */
  @Test
  void rainAfterADroughtHoldsJohnsongrassForGrazingAndHay() {
    for (int seed = 1; seed <= 40; seed++) {
      Farms farm = beef("johnsongrass");
      farm.climate = "semi_arid_north";
      YearBalance b = ENGINE.in(Season.parse("seed:" + seed)).simulate(farm.build());
      List<Caution> holds =
          b.resolved().cautions().stream()
              .filter(c -> c.hazard().trigger().equals("drought_then_rain"))
              .toList();
      if (holds.isEmpty()) {
        continue;
      }
      int last = holds.stream().mapToInt(Caution::toDay).max().orElseThrow();
      int first = holds.stream().mapToInt(Caution::fromDay).min().orElseThrow();
      assertThat(b.resolved().holds.field(0, first)).isTrue();
      assertThat(b.resolved().holds.field(0, Math.min(b.days() - 1, last - 1))).isTrue();
      LocalDate inHold = b.year().date(first + 5);
      farm.cuts.add(new HayCut("c", "f", inHold, "h_hay_conditioned_grass", Farms.bale("made", 0)));
      YearBalance cut = ENGINE.in(Season.parse("seed:" + seed)).simulate(farm.build());
      assertThat(cut.resolved().holds.lot(0)).isTrue();
      farm.cuts.set(
          0,
          new HayCut(
              "c",
              "f",
              b.year().date(first - 1),
              "h_hay_conditioned_grass",
              Farms.bale("made", 0)));
      YearBalance before = ENGINE.in(Season.parse("seed:" + seed)).simulate(farm.build());
      assertThat(before.resolved().holds.lot(0)).isFalse();
      return;
    }
    throw new AssertionError("no drought broke in forty years");
  }
}
