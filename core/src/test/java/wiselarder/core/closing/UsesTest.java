package wiselarder.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Shelf;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.forage.Forage;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Stand;
import wiselarder.core.land.Survey;
import wiselarder.core.plan.Doubt;
import wiselarder.core.plan.Doubts;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Scenario;
import wiselarder.core.plan.Season;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.LossMethod;
import wiselarder.core.weather.Overlay;

/** How stands are used: for what, by whom, when. Each test names its point. */
class UsesTest {
  private static final LocalDate MARCH = LocalDate.of(2027, 3, 1);
  private static final LocalDate APRIL = LocalDate.of(2027, 4, 1);
  private static final String MADE = "h_hay_conditioned_grass";

  private static Field field(String id, String forage, Double cover, Lie lie) {
    return new Field(
        id,
        id,
        10,
        new Stand(forage, null, null, cover, 0, null, null),
        Field.Grazing.ROTATIONAL,
        null,
        null,
        null,
        true,
        "",
        null,
        null,
        lie,
        null);
  }

  private static Lie exposure(Lie.Exposure exposure, String... only) {
    return new Lie(
        null,
        Lie.Water.TROUGH,
        Lie.Access.ANY_WEATHER,
        exposure,
        false,
        null,
        List.of(only),
        "",
        null);
  }

  private static Farms one(String forage, double cover) {
    Farms farm = new Farms();
    farm.start = MARCH;
    farm.fields.add(field("a", forage, cover, null));
    return farm;
  }

  private static AnimalGroup group(String id, String kind, double kg, MonthDay birth) {
    return new AnimalGroup(
        id, id, kind, 10, kg, 0, null, birth, 30, birth == null ? 0 : 0.9, null, null, null, null);
  }

  private static HayCut cut(LocalDate on, String method) {
    return new HayCut("c" + on, "a", on, method, Farms.bale("hay" + on, 0));
  }

  @Test
  void point7_aPassForLightTakesAlmostNothingAndTheWeatherSaysHowMany() {
    Farms farm = one("tall_fescue_novel", 2600);
    farm.eaters("h", 30, 12).feed("h", null, null, "hay").bales("hay", 600);
    farm.shut("a", MARCH, LocalDate.of(2028, 2, 1));
    FarmPlan without = farm.build();
    LightPass pass = new LightPass("p", "a", "h", MARCH, LocalDate.of(2027, 12, 1), 4500, 4200);
    FarmPlan with = new PlanEdit.Put<>(Items.PASSES, pass).apply(without);
    YearBalance kept = Farms.ENGINE.simulate(without);
    YearBalance passed = Farms.ENGINE.simulate(with);
    assertThat(kept.massBalance().eatenKg()).isCloseTo(30 * 12 * 366, within(1e-3));
    assertThat(passed.passes(0)).isBetween(2, 20);
    // a pass takes no more than a tenth of what stands
    assertThat(passed.passEatenKg(0) / passed.passes(0) / 10).isBetween(50.0, 0.1 * 4500);
    // what was let through grew: more is grown than without, and the field is still shut to all
    // else
    assertThat(grown(passed)).isGreaterThan(grown(kept) + 500);
    assertThat(passed.eatenKg(Shelf.GROWING, 0, 0)).isZero();
    FarmPlan dry = dry(with);
    YearBalance inDry =
        Farms.ENGINE.simulate(
            dry, Season.parse("scenario:dry").weather(dry, Farms.ENGINE.catalogue(), Map.of()));
    assertThat(inDry.passes(0)).isLessThan(passed.passes(0));
    assertThat(inDry.massBalance().error()).isLessThan(1e-9);
  }

  private static FarmPlan dry(FarmPlan plan) {
    Overlay overlay = Overlay.rain(APRIL, LocalDate.of(2027, 11, 1), -0.85);
    return new PlanEdit.Put<>(
            Items.SCENARIOS, new Scenario("dry", "Dry", "normal", List.of(overlay)))
        .apply(plan);
  }

  private static double grown(YearBalance b) {
    return b.massBalance().grownKg();
  }

  @Test
  void point8_exposedFieldsAreUsedBeforeShelteredOnesAndLoseMoreUnderSnow() {
    Farms farm = new Farms();
    farm.climate = "cold_continental_north";
    farm.fields.add(field("draw", "timothy", 3500.0, exposure(Lie.Exposure.SHELTERED)));
    farm.fields.add(field("ridge", "timothy", 3500.0, exposure(Lie.Exposure.EXPOSED)));
    LocalDate open = LocalDate.of(2026, 10, 5);
    farm.eaters("h", 10, 12);
    farm.shut("draw", Farms.START, open, "h").shut("ridge", Farms.START, open, "h");
    YearBalance b = Farms.ENGINE.simulate(farm.build());
    int day = b.year().day(open);
    assertThat(b.grazedKg(1, day)).as("the ridge first").isPositive();
    assertThat(b.grazedKg(0, day)).isZero();
    double[] left = new double[2];
    for (int i = 0; i < 2; i++) {
      Farms tall = new Farms();
      tall.climate = "cold_continental_north";
      Lie.Exposure exposure = i == 0 ? Lie.Exposure.SHELTERED : Lie.Exposure.EXPOSED;
      tall.fields.add(field("a", "native_warm_mix", 5000.0, exposure(exposure)));
      tall.fields.set(0, withRates(tall.fields.get(0)));
      YearBalance snow = Farms.ENGINE.simulate(tall.build(), heavySnow(tall.build()));
      left[i] = snow.coverKgPerHa(0, 180);
    }
    assertThat(left[0]).isGreaterThan(left[1]);
  }

  private static wiselarder.core.weather.WeatherYear heavySnow(FarmPlan plan) {
    return Season.parse("wet").weather(plan, Farms.ENGINE.catalogue(), Map.of());
  }

  private static Field withRates(Field f) {
    return new Field(
        f.id(),
        f.name(),
        f.areaHa(),
        new Stand(
            f.stand().forageId(),
            null,
            java.util.Collections.nCopies(12, 0.0),
            5000.0,
            0.5,
            null,
            null),
        f.grazing(),
        null,
        null,
        null,
        true,
        "",
        null,
        null,
        f.lie(),
        null);
  }

  @Test
  void point15_theSamePurposeFlipsTheTarget_earlyForRegrowthBootToHeadingForASingleCut() {
    FarmPlan plan =
        one("tall_fescue_novel", 1600).eaters("h", 5, 12).graze("h", null, null, "a").build();
    LetGrow grown = LetGrow.of(Farms.ENGINE, plan, "a", APRIL, MADE);
    int april = plan.plan().year().day(APRIL);
    assertThat(grown.regrowthDay()).isBetween(april, april + 30);
    assertThat(grown.singleCutDay()).isGreaterThan(grown.regrowthDay() + 10);
    LetGrow.Row cut = at(grown, grown.singleCutDay());
    assertThat(cut.ripeness()).isBetween(0.5, 0.8);
    // what stands above the cutting height of ten hectares, less what the making loses
    Forage fescue = Farms.ENGINE.catalogue().forage("tall_fescue_novel");
    LossMethod made = Farms.ENGINE.catalogue().loss("cut", MADE, LossMethod.Stage.HARVEST);
    assertThat(made.share()).isPositive();
    assertThat(cut.cutKg())
        .isCloseTo(
            (cut.coverKgPerHa() - fescue.massAtHeightKgPerHa(fescue.cutHeightCm()))
                * plan.farm().fields().get(0).netAreaHa()
                * (1 - made.share()),
            within(1e-6));
    // a cut later than that is more and poorer
    LetGrow.Row late = at(grown, grown.singleCutDay() + 28);
    assertThat(late.cutTdnPct()).isLessThan(cut.cutTdnPct() - 2);
  }

  private static LetGrow.Row at(LetGrow grown, int day) {
    return grown.rows().stream()
        .min(java.util.Comparator.comparingInt(r -> Math.abs(r.day() - day)))
        .orElseThrow();
  }

  @Test
  void point25_shuttingIsShortForMilkersAndLongForDryStock() {
    Farms farm = one("tall_fescue_novel", 1600);
    farm.groups.add(group("milkers", "dairy/cow", 560, MonthDay.of(3, 15)));
    farm.groups.add(group("dry", "beef/cow", 550, MonthDay.of(10, 15)));
    LetGrow grown = LetGrow.of(Farms.ENGINE, farm.build(), "a", APRIL, MADE);
    LetGrow.Enough milkers = grown.enough().get(0);
    LetGrow.Enough dry = grown.enough().get(1);
    assertThat(milkers.tdnNeedPct()).isGreaterThan(dry.tdnNeedPct() + 5);
    assertThat(dry.lastDay()).isGreaterThan(milkers.lastDay() + 14);
    // and it asks nothing of the plan: nobody else is touched
    assertThatThrownBy(() -> LetGrow.of(Farms.ENGINE, farm.build(), "a", MARCH.minusDays(1), MADE))
        .isInstanceOf(Refused.class);
  }

  /** What is planned before the day stays: grazed by itself, passed over, sown and cut. */
  @Test
  void aFieldLeftAloneIsWhatThePlanMadeOfItUntilThatDay() {
    LocalDate may = LocalDate.of(2027, 5, 1);
    Farms farm = one("tall_fescue_novel", 2600).eaters("h", 30, 12);
    farm.graze("h", MARCH.plusDays(5), may, "a");
    farm.graze("h", may.plusDays(5), may.plusDays(40), "a");
    FarmPlan grazed = farm.build();
    LightPass pass = new LightPass("p", "a", "h", MARCH, may.plusDays(60), 2000, 1500);
    FarmPlan passed =
        new PlanEdit.Put<>(Items.PASSES, pass)
            .apply(one("tall_fescue_novel", 2600).eaters("h", 30, 12).build());
    double never =
        first(one("tall_fescue_novel", 2600).eaters("h", 30, 12).build(), may).coverKgPerHa();
    assertThat(first(grazed, may).coverKgPerHa()).isLessThan(0.8 * never);
    assertThat(first(passed, may).coverKgPerHa()).isLessThan(0.8 * never);
    YearBalance asPlanned = Farms.ENGINE.simulate(grazed);
    int before = grazed.plan().year().day(may) - 1;
    assertThat(first(grazed, may).coverKgPerHa())
        .isCloseTo(asPlanned.coverKgPerHa(0, before), within(80.0));
  }

  private static LetGrow.Row first(FarmPlan plan, LocalDate from) {
    return LetGrow.of(Farms.ENGINE, plan, "a", from, MADE).rows().get(0);
  }

  @Test
  void aCutKeepsTheFeedValueOfItsDayLessWhatTheMakingLoses() {
    Farms farm = one("tall_fescue_novel", 1600);
    farm.cuts.add(cut(LocalDate.of(2027, 5, 10), MADE));
    YearBalance early = Farms.ENGINE.simulate(farm.build());
    farm.cuts.set(0, cut(LocalDate.of(2027, 6, 20), MADE));
    YearBalance late = Farms.ENGINE.simulate(farm.build());
    farm.cuts.set(0, cut(LocalDate.of(2027, 5, 10), "h_haylage"));
    YearBalance haylage = Farms.ENGINE.simulate(farm.build());
    int day = early.year().day(LocalDate.of(2027, 5, 10));
    assertThat(late.cutKg(0, late.year().day(LocalDate.of(2027, 6, 20))))
        .isGreaterThan(early.cutKg(0, day));
    assertThat(late.lotTdnPct(0)).isLessThan(early.lotTdnPct(0) - 3);
    assertThat(late.lotProteinPct(0)).isLessThan(early.lotProteinPct(0) - 2);
    assertThat(late.lotFibrePct(0)).isGreaterThan(early.lotFibrePct(0) + 2);
    // hay loses 4 points of TDN, haylage 2; of protein half as much
    assertThat(haylage.lotTdnPct(0) - early.lotTdnPct(0)).isCloseTo(2, within(1e-9));
    assertThat(haylage.lotProteinPct(0) - early.lotProteinPct(0)).isCloseTo(1, within(1e-9));
    // 17% of the dry matter are lost to hay, 11% to haylage
    assertThat(haylage.massBalance().harvestLossKg() / early.massBalance().harvestLossKg())
        .isCloseTo(0.11 / 0.17, within(1e-6));
    farm.bales("bought", 3);
    assertThat(Farms.ENGINE.simulate(farm.build()).lotTdnPct(0)).isNaN();
  }

  @Test
  void point21_aNewFeedHasALearningTime_andIsForgottenAfterAWeek() {
    Farms farm = new Farms();
    farm.fields.add(
        new Field(
            "rape",
            "Rape",
            20,
            new Stand(
                "forage_rape",
                null,
                java.util.Collections.nCopies(12, 0.0),
                5000.0,
                0,
                Farms.START.plusDays(10),
                null),
            Field.Grazing.STRIP,
            0.75,
            null,
            null,
            false,
            "",
            null));
    farm.eaters("h", 10, 10).bales("hay", 200);
    farm.graze("h", null, Farms.START.plusDays(30), "rape");
    farm.graze("h", Farms.START.plusDays(40), null, "rape").feed("h", null, null, "hay");
    YearBalance b = Farms.ENGINE.simulate(farm.build());
    // 100 kg a day: 10 for three days, 25 to the seventh, 40 to the tenth, 55, then 65
    int first = 10;
    double[] expected = {10, 10, 10, 25, 25, 25, 25, 40, 40, 40, 55, 55, 55, 55, 65, 65};
    for (int d = 0; d < expected.length; d++) {
      assertThat(b.grazedKg(0, first + d)).as("day %d", d + 1).isCloseTo(expected[d], within(1e-6));
      assertThat(b.eatenKg(Shelf.PUT_BY, 0, first + d)).isCloseTo(100 - expected[d], within(1e-6));
    }
    assertThat(b.grazedKg(0, 39)).isZero();
    assertThat(b.grazedKg(0, 40))
        .as("after ten days off it begins again")
        .isCloseTo(10, within(1e-6));
    assertThat(b.massBalance().error()).isLessThan(1e-9);
  }

  @Test
  void point21_stockAreUsedToWhatStandsReadyOnTheFirstDay() {
    Farms farm = new Farms();
    farm.fields.add(
        Farms.stand("s", 20, "sorghum_sudangrass", java.util.Collections.nCopies(12, 20.0), 9000));
    farm.eaters("h", 10, 10).graze("h", null, null, "s");
    assertThat(Farms.ENGINE.simulate(farm.build()).grazedKg(0, 0)).isCloseTo(100, within(1e-6));
  }

  @Test
  void point22_machinesAndRationFilterTheCropsBeforeYieldDoes() {
    FarmPlan plan = one("tall_fescue_novel", 1600).build();
    FarmPlan poor = with(plan, List.of());
    LocalDate may = LocalDate.of(2027, 5, 20);
    assertThat(reasons(plan, may, "pearl_millet", true))
        .doesNotContain(Fitting.Reason.NO_CONDITIONER);
    assertThat(reasons(poor, may, "pearl_millet", true)).contains(Fitting.Reason.NO_CONDITIONER);
    assertThat(reasons(poor, may, "sorghum_sudangrass", true))
        .contains(Fitting.Reason.NO_MIXER, Fitting.Reason.NO_CONDITIONER);
    assertThat(reasons(poor, may, "pearl_millet", false)).isEmpty();
    // a winter type sown early is what it is for; a spring type heads before winter
    LocalDate august = LocalDate.of(2027, 7, 20);
    assertThat(reasons(plan, august, "spring_oats", false)).contains(Fitting.Reason.HEADS_AT_ONCE);
    assertThat(reasons(plan, august, "cereal_rye", false))
        .doesNotContain(Fitting.Reason.HEADS_AT_ONCE);
    // too late for a summer crop, too cool in the north
    assertThat(reasons(plan, LocalDate.of(2027, 9, 20), "pearl_millet", false))
        .contains(Fitting.Reason.FROST_COMES_FIRST);
    Farms north = one("timothy", 1600);
    north.climate = "cold_continental_north";
    assertThat(reasons(north.build(), LocalDate.of(2027, 6, 1), "sudangrass", false))
        .contains(Fitting.Reason.TOO_COOL);
  }

  private static List<Fitting.Reason> reasons(
      FarmPlan plan, LocalDate sowOn, String forage, boolean forHay) {
    return Fitting.of(plan, Farms.ENGINE.catalogue(), sowOn, true, forHay).stream()
        .filter(f -> f.forageId().equals(forage))
        .findFirst()
        .orElseThrow()
        .against();
  }

  private static FarmPlan with(FarmPlan plan, List<Farm.Machine> machines) {
    Farm f = plan.farm();
    return new PlanEdit.SetFarm(
            f.name(), f.note(), f.climateId(), f.units(), f.currency(), f.audKg(), machines, null)
        .apply(plan);
  }

  @Test
  void point22_aPlannedCutWithoutItsMachineIsDoubted() {
    Farms farm = one("orchardgrass_red_clover", 2500);
    farm.cuts.add(cut(LocalDate.of(2027, 6, 1), MADE));
    assertThat(codes(farm.build())).isEmpty();
    assertThat(codes(with(farm.build(), List.of()))).containsExactly(Doubt.Code.NEEDS_CONDITIONER);
    farm.cuts.set(0, cut(LocalDate.of(2027, 6, 1), "h_haylage"));
    assertThat(codes(with(farm.build(), List.of()))).containsExactly(Doubt.Code.NEEDS_MACHINE);
    assertThat(codes(with(farm.build(), List.of(Farm.Machine.WRAPPER)))).isEmpty();
  }

  private static List<Doubt.Code> codes(FarmPlan plan) {
    return Doubts.of(plan, Farms.ENGINE.catalogue()).stream().map(Doubt::code).toList();
  }

  @Test
  void point29_aLegumeSwardCarriesFewerHeadThatGainMore_andNeedsNoNitrogen() {
    FarmPlan plan = one("tall_fescue_novel", 1600).build();
    List<StandReturn> both =
        StandReturn.compare(
            plan,
            Farms.ENGINE.catalogue(),
            List.of(
                new StandReturn.Candidate("bermudagrass", 150, 20),
                new StandReturn.Candidate("orchardgrass_red_clover", 0, 45)),
            new StandReturn.Terms(300, 1.2, 3, 0));
    StandReturn grass = both.get(0);
    StandReturn legume = both.get(1);
    assertThat(legume.headPerHa()).isLessThan(grass.headPerHa());
    assertThat(legume.gainKgPerHeadDay()).isGreaterThan(grass.gainKgPerHeadDay());
    assertThat(legume.costPerHa()).isEqualTo(45);
    // 150 kg of nitrogen at 1.20 and 20 besides
    assertThat(grass.costPerHa()).isCloseTo(200, within(1e-9));
    assertThat(legume.costPerKgGain()).isLessThan(grass.costPerKgGain());
    // head x intake x days is what ends in animals; gain per area is gain x head x days
    for (StandReturn r : both) {
      assertThat(r.eatenKgPerHa())
          .isCloseTo(
              r.yieldKgPerHa()
                  * Farms.ENGINE.catalogue().forage(r.forageId()).utilizationRotational(),
              within(1e-6));
      assertThat(r.headPerHa() * r.intakeKgPerHeadDay() * r.days())
          .isCloseTo(r.eatenKgPerHa(), within(1e-6));
      assertThat(r.returnPerHa()).isCloseTo(3 * r.gainKgPerHa() - r.costPerHa(), within(1e-6));
    }
    StandReturn shared =
        StandReturn.compare(
                plan,
                Farms.ENGINE.catalogue(),
                List.of(new StandReturn.Candidate("bermudagrass", 150, 20)),
                new StandReturn.Terms(300, 1.2, 3, 0.5))
            .get(0);
    assertThat(shared.costPerHa()).isCloseTo(100, within(1e-9));
  }

  @Test
  void aFenceThatHoldsOnlySomeKeepsTheOthersOut() {
    Farms farm = new Farms();
    farm.fields.add(
        field("a", "tall_fescue_novel", 2500.0, exposure(Lie.Exposure.ORDINARY, "cows")));
    farm.eaters("cows", 5, 10).eaters("ewes", 20, 2);
    farm.graze("cows", null, null, "a").graze("ewes", null, null, "a");
    YearBalance b = Farms.ENGINE.simulate(farm.build());
    assertThat(b.eatenKg(Shelf.GROWING, 0, 0)).isPositive();
    assertThat(b.bareKg(1, 0)).isCloseTo(40, within(1e-9));
    FarmPlan gone = new PlanEdit.Remove<>(Items.GROUPS, "cows").apply(farm.build());
    assertThat(gone.farm().fields().get(0).lie().onlyGroups()).isEmpty();
  }

  @Test
  void steepFieldsAreNotCutWithoutAWord() {
    Lie steep =
        new Lie(
            20.0,
            Lie.Water.NONE,
            Lie.Access.ON_FOOT,
            Lie.Exposure.ORDINARY,
            true,
            null,
            List.of(),
            "",
            null);
    Farms farm = new Farms();
    farm.fields.add(field("hill", "tall_fescue_novel", 2500.0, steep));
    assertThat(codes(farm.build())).containsExactly(Doubt.Code.TOO_STEEP_TO_CUT);
  }

  @Test
  void theBreakOfADayIsWhatWasTakenDownOverWhatStood() {
    Farms farm = new Farms();
    farm.fields.add(
        new Field(
            "a",
            "a",
            10,
            new Stand(
                "tall_fescue_novel",
                null,
                java.util.Collections.nCopies(12, 0.0),
                3300.0,
                0,
                null,
                null),
            Field.Grazing.STRIP,
            0.7,
            1300.0,
            1400.0,
            false,
            "",
            null));
    farm.eaters("h", 70, 10).graze("h", null, null, "a");
    YearBalance b = Farms.ENGINE.simulate(farm.build());
    // 700 kg eaten are 1,000 kg taken down; 2,000 kg/ha stand above the residual: half a hectare.
    // The evening's losses are in the cover that is read, hence the margin.
    assertThat(b.breakHa(0, 0)).isCloseTo(0.5, within(0.02));
    assertThat(b.breakHa(0, b.days() - 1)).isZero();
  }

  @Test
  void aPartedFieldKeepsItsStandItsPlanAndWhoGrazesIt() {
    Outline box =
        new Outline(
            List.of(
                new Outline.Point(0, 0),
                new Outline.Point(400, 0),
                new Outline.Point(400, 250),
                new Outline.Point(0, 250)),
            List.of());
    Farms farm = new Farms();
    farm.fields.add(field("a", "tall_fescue_novel", 2500.0, null).shaped("a", "Long", box));
    farm.eaters("h", 20, 12).graze("h", null, null, "a");
    farm.shut("a", Farms.START, Farms.START.plusDays(60), "h");
    farm.cuts.add(cut(LocalDate.of(2027, 5, 20), MADE));
    farm.feed("h", null, null, "hay2027-05-20");
    FarmPlan before = farm.build();
    PlanEdit split =
        new PlanEdit.SplitField(
            "a", List.of(new Outline.Point(100, 10), new Outline.Point(100, 240)), "b", "Short");
    FarmPlan after = split.apply(before);
    assertThat(after.farm().fields()).extracting(Field::areaHa).containsExactly(7.5, 2.5);
    Plan plan = after.plan();
    assertThat(plan.steps().get(0).sourceIds()).containsExactly("a", "b");
    assertThat(plan.closings()).hasSize(2);
    assertThat(plan.cuts()).hasSize(2);
    assertThat(plan.steps().get(1).sourceIds()).hasSize(2);
    YearBalance whole = Farms.ENGINE.simulate(before);
    YearBalance parted = Farms.ENGINE.simulate(after);
    assertThat(parted.massBalance().openingKg())
        .isCloseTo(whole.massBalance().openingKg(), within(1e-6));
    assertThat(parted.massBalance().grownKg())
        .isCloseTo(whole.massBalance().grownKg(), within(0.03 * whole.massBalance().grownKg()));
    assertThatThrownBy(() -> split.apply(farmWithoutMap()))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("no_outline");
  }

  @Test
  void aFieldIsPartedByShareAcrossItsLength() {
    // 12 ha, 600 m long and 200 m wide, lying askew: three parts of four are the first 450 m
    Outline askew =
        new Outline(
            List.of(
                new Outline.Point(0, 0),
                new Outline.Point(480, 360),
                new Outline.Point(360, 520),
                new Outline.Point(-120, 160)),
            List.of());
    Farms farm = new Farms();
    farm.fields.add(
        field("a", "tall_fescue_novel", 2500.0, null).shaped("a", "Long", askew).grazedBy(8, null));
    FarmPlan after = new PlanEdit.PartField("a", 0.25, "b", "End").apply(farm.build());
    List<Field> parts = after.farm().fields();
    assertThat(parts.get(0).areaHa()).isCloseTo(9, within(0.01));
    assertThat(parts.get(1).areaHa()).isCloseTo(3, within(0.01));
    assertThat(parts.get(1).id()).isEqualTo("b");
    // across its length: a piece 150 m by 200 m goes 700 m around
    assertThat(Survey.measure(parts.get(1).outline()).around()).isCloseTo(700, within(1.0));
    assertThat(parts).extracting(Field::paddocks).containsExactly(6, 2);
  }

  @Test
  void aFieldThatIsNotDrawnIsPartedByItsAreas() {
    FarmPlan before = farmWithoutMap();
    FarmPlan after = new PlanEdit.PartField("a", 0.4, "b", "End").apply(before);
    double ha = before.farm().fields().get(0).areaHa();
    assertThat(after.farm().fields().get(0).areaHa()).isCloseTo(0.6 * ha, within(1e-9));
    assertThat(after.farm().fields().get(1).areaHa()).isCloseTo(0.4 * ha, within(1e-9));
    assertThatThrownBy(() -> new PlanEdit.PartField("a", 1, "b", "All"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("split.share");
  }

  private static FarmPlan farmWithoutMap() {
    Farms farm = new Farms();
    farm.fields.add(field("a", "tall_fescue_novel", 2500.0, null));
    return farm.build();
  }

  private static Outline.Off stream(double bufferM) {
    return new Outline.Off(
        Outline.Kind.WATERWAY,
        "Brook",
        List.of(new Outline.Point(0, 125), new Outline.Point(400, 125)),
        bufferM);
  }

  @Test
  void typedAndDrawnAreasThatDifferAndFieldsThatOverlapAreDoubted() {
    Outline box =
        new Outline(
            List.of(
                new Outline.Point(0, 0),
                new Outline.Point(400, 0),
                new Outline.Point(400, 250),
                new Outline.Point(0, 250)),
            List.of());
    Farms farm = new Farms();
    Field drawn = field("a", "tall_fescue_novel", 2500.0, null).shaped("a", "A", box);
    farm.fields.add(drawn);
    assertThat(codes(farm.build())).isEmpty();
    // 3 m along a stream on flat ground, where the table asks for ten
    Outline narrow = new Outline(box.edge(), List.of(stream(3)));
    farm.fields.set(0, drawn.shaped("a", "A", narrow));
    assertThat(codes(farm.build())).containsExactly(Doubt.Code.STRIP_TOO_NARROW);
    farm.fields.set(0, drawn.shaped("a", "A", new Outline(box.edge(), List.of(stream(10)))));
    assertThat(codes(farm.build())).isEmpty();
    farm.fields.set(0, drawn);
    farm.fields.add(drawn.shaped("b", "B", box));
    assertThat(codes(farm.build())).containsExactly(Doubt.Code.LIES_OVER_ANOTHER);
    farm.fields.clear();
    farm.fields.add(
        new Field(
            "a",
            "A",
            12,
            drawn.stand(),
            drawn.grazing(),
            null,
            null,
            null,
            true,
            "",
            null,
            null,
            null,
            box));
    assertThat(codes(farm.build())).containsExactly(Doubt.Code.DRAWN_OTHERWISE);
  }
}
