package wiselarder.core.answers;

import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import wiselarder.core.Farms;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.forage.OwnForage;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.herd.Keeping;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.land.Soil;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Portion;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Sowing;
import wiselarder.core.price.OwnPrice;
import wiselarder.core.records.ConditionSeen;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.LotCounted;
import wiselarder.core.records.LotFed;
import wiselarder.core.records.LotTested;
import wiselarder.core.store.FeedTest;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Origin;
import wiselarder.core.store.Reserve;
import wiselarder.core.store.UnitSize;

/** A farm on which everything is done that can be planned: no keeper has all of it. */
final class WholeFarm {
  private WholeFarm() {}

  static FarmPlan plan() {
    return plan("transition_humid");
  }

  /** The same elsewhere; of what does not grow there by the tables the keeper states the rates. */
  static FarmPlan plan(String climate) {
    Farms f = new Farms();
    f.fields.addAll(fields(climate));
    f.groups.addAll(groups());
    f.lots.addAll(lots());
    Farm farm =
        new Farm(
            "Whole",
            "",
            climate,
            Farm.UnitSystem.METRIC,
            "EUR",
            11.8,
            f.fields,
            f.groups,
            f.lots,
            List.of(mixture()),
            List.of(Farm.Machine.MOWER_CONDITIONER),
            null,
            List.of(new OwnPrice("nitrogen", 1.1, false)),
            List.of());
    return new FarmPlan(
        farm,
        new Plan(
            "Plan",
            new PlanYear(START, 13),
            steps(),
            closings(),
            cuts(),
            List.of(
                new Purchase(
                    "b1",
                    day(140),
                    Farms.of("bought", 30, "hay_alfalfa_late"),
                    List.of("milkers"))),
            sowings(),
            List.of(
                new Dressing("n1", "fescue", day(8), 60, 1.1),
                new Dressing("n2", "bermuda", day(250), 90, null)),
            List.of(
                new Irrigation("w1", "ryegrass", day(280), 30),
                new Irrigation("w2", "ryegrass", day(300), 35)),
            List.of(),
            List.of(new LightPass("p1", "rye-land", "ewes", day(190), day(260), 2600, 1500)),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of()));
  }

  static FarmRecords records() {
    FeedTest early =
        new FeedTest("t1", day(20), day(26), "L", 0.86, 10.5, 56.0, 63.0, 0.4, 0.25, 0.2);
    FeedTest late = new FeedTest("t2", day(90), day(95), "L", 0.88, 9.0, null, null, 0.3, 0.2, 0.6);
    return Farms.written(
        Farms.seen(day(20), new LotTested("rounds", early)),
        Farms.seen(day(90), new LotTested("rounds", late)),
        Farms.seen(day(60), new LotFed("rounds", 4, "cows", null, "")),
        Farms.seen(day(61), new LotFed("squares", 12, null, null, "")),
        Farms.seen(day(100), new LotCounted("rounds", 70, "")),
        Farms.seen(day(110), new ConditionSeen("cows", 4.5, 520.0)),
        Farms.seen(day(180), new ConditionSeen("ewes", 2.5, null)));
  }

  static LocalDate day(int day) {
    return START.plusDays(day);
  }

  private static OwnForage mixture() {
    return new OwnForage(
        "own-mix",
        "Mix",
        List.of(new OwnForage.Part("orchardgrass", 0.6), new OwnForage.Part("red_clover", 0.4)),
        OwnForage.Figures.none(),
        "");
  }

  private static List<Field> fields(String climate) {
    List<Double> stated =
        climate.equals("transition_humid")
            ? null
            : List.of(40.0, 38.0, 30.0, 18.0, 8.0, 3.0, 2.0, 6.0, 18.0, 32.0, 42.0, 44.0);
    return fields().stream()
        .map(f -> f.id().equals("fallow") || f.id().equals("residue") ? f : with(f, stated))
        .toList();
  }

  private static Field with(Field f, List<Double> rates) {
    Stand s = f.stand();
    Stand grown =
        rates == null
            ? s
            : new Stand(
                s.forageId(),
                null,
                rates,
                s.openingCoverKgPerHa(),
                s.openingDeadShare(),
                s.fromInclusive(),
                s.toExclusive());
    return new Field(
        f.id(),
        f.name(),
        f.areaHa(),
        grown,
        f.grazing(),
        f.utilization(),
        f.residualKgPerHa(),
        f.turnInKgPerHa(),
        f.hayable(),
        f.note(),
        f.soil(),
        f.deductedHa(),
        f.lie(),
        f.outline(),
        f.paddocks(),
        f.heights());
  }

  private static List<Field> fields() {
    return List.of(
        field("fescue", 22, "tall_fescue_toxic", Field.Grazing.ROTATIONAL, null, lie(6, 8000.0)),
        field("orchard", 11, "own-mix", Field.Grazing.STRIP, Soil.Texture.LOAM, lie(2, null)),
        field("bermuda", 16, "bermudagrass", Field.Grazing.SET_STOCKED, null, lie(1, 900.0)),
        field("native", 20, "native_warm_mix", Field.Grazing.ROTATIONAL, null, lie(9, null)),
        field("ryegrass", 12, "ryegrass_white_clover", Field.Grazing.ROTATIONAL, null, dry()),
        field(
            "rye-land",
            5,
            "bermudagrass",
            Field.Grazing.ROTATIONAL,
            Soil.Texture.SANDY_LOAM,
            dry()),
        field("fallow", 4, "fallow", Field.Grazing.ROTATIONAL, null, lie(3, null)),
        field("residue", 12, "corn_residue", Field.Grazing.STRIP, null, lie(2, null)),
        field("sorghum", 3, "sorghum_sudangrass", Field.Grazing.STRIP, Soil.Texture.CLAY, dry()));
  }

  private static Lie lie(double slopeDeg, Double waterLPerDay) {
    return new Lie(
        slopeDeg,
        Lie.Water.TROUGH,
        Lie.Access.DRY_GROUND,
        slopeDeg > 5 ? Lie.Exposure.EXPOSED : Lie.Exposure.SHELTERED,
        slopeDeg < 3,
        400.0,
        List.of(),
        "",
        null,
        waterLPerDay,
        null);
  }

  private static Lie dry() {
    return new Lie(
        null,
        Lie.Water.HAULED,
        Lie.Access.ANY_WEATHER,
        Lie.Exposure.ORDINARY,
        false,
        900.0,
        List.of("cows", "ewes", "milkers"),
        "",
        null,
        700.0,
        3.5);
  }

  private static Field field(
      String id, double ha, String forage, Field.Grazing grazing, Soil.Texture texture, Lie lie) {
    boolean residue = forage.endsWith("residue");
    Stand stand =
        new Stand(
            forage,
            id.equals("fescue") ? 8200.0 : null,
            id.equals("sorghum")
                ? List.of(0.0, 0.0, 0.0, 0.0, 5.0, 45.0, 70.0, 60.0, 25.0, 0.0, 0.0, 0.0)
                : null,
            residue ? 3500.0 : null,
            residue ? 1 : 0.15,
            residue ? day(50) : null,
            residue ? day(200) : null);
    return new Field(
        id,
        id,
        ha,
        stand,
        grazing,
        id.equals("native") ? 0.4 : null,
        id.equals("ryegrass") ? 1400.0 : null,
        id.equals("ryegrass") ? 2300.0 : null,
        !residue,
        "",
        texture == null ? null : new Soil(texture, 90.0, !id.equals("sorghum")),
        0.3,
        lie,
        null);
  }

  private static List<AnimalGroup> groups() {
    Keeping open = new Keeping(true, Keeping.Shelter.OPEN, 18, 1.5, 0.02, 4.5, true, 0);
    Keeping parlour = new Keeping(false, Keeping.Shelter.HOUSED, 0, 2, 0.03, null, false, 4);
    AnimalGroup cows =
        dams("cows", "beef/cow", 26, 560, MonthDay.of(3, 10), 45, 0.92, MonthDay.of(10, 20));
    AnimalGroup ewes =
        dams("ewes", "sheep/ewe", 60, 68, MonthDay.of(4, 2), 30, 1.6, MonthDay.of(8, 5));
    AnimalGroup milkers = dams("milkers", "dairy/cow", 4, 610, MonthDay.of(9, 20), 60, 0.95, null);
    return List.of(
        Farms.kept(
            cows,
            open,
            List.of(
                change(100, null, HeadChange.Kind.CULLED, 3, null, 700.0),
                change(240, 300, HeadChange.Kind.AWAY, 5, null, 0.8))),
        Farms.kept(
            ewes, Keeping.USUAL, List.of(change(200, null, HeadChange.Kind.DIED, 2, null, null))),
        Farms.kept(milkers, parlour, List.of()),
        Farms.kept(
            grown("steers", "beef/steer", 14, 290, 0.8, null),
            Keeping.USUAL,
            List.of(change(210, null, HeadChange.Kind.SOLD, 8, null, 900.0))),
        grown("horses", "horse/adult", 2, 480, 0, null),
        Farms.kept(
            grown("bulls", "beef/bull", 2, 850, 0, 15.0),
            Keeping.USUAL,
            List.of(change(30, 60, HeadChange.Kind.TAKEN_IN, 1, null, 1.2))));
  }

  private static AnimalGroup dams(
      String id,
      String kind,
      int head,
      double weightKg,
      MonthDay birth,
      int spreadDays,
      double young,
      MonthDay weaning) {
    return new AnimalGroup(
        id, id, kind, head, weightKg, 0, null, birth, spreadDays, young, weaning, null, null, null);
  }

  private static AnimalGroup grown(
      String id, String kind, int head, double weightKg, double gain, Double flat) {
    return new AnimalGroup(
        id, id, kind, head, weightKg, gain, flat, null, 1, 0, null, null, null, null);
  }

  private static HeadChange change(
      int on, Integer until, HeadChange.Kind kind, int head, String to, Double money) {
    return new HeadChange(day(on), until == null ? null : day(until), kind, head, to, money, "");
  }

  private static List<Lot> lots() {
    Lot rounds =
        Farms.with(
            Farms.bale("rounds", 150),
            new Origin("hay_tall_fescue_late", day(-60), Origin.Wrap.NET, "", true, 12.0, 3.0),
            new UnitSize(null, List.of(410.0, 395.0, 402.0), 1.5, 1.2, null, null, null, 7.0),
            new Reserve(10, MonthDay.of(12, 1), MonthDay.of(2, 1)));
    Lot squares =
        new Lot(
            "squares",
            "squares",
            "small bale",
            750,
            22,
            0.88,
            "s_barn",
            "f_rack_small",
            160.0,
            "",
            new Origin("hay_alfalfa_early", null, Origin.Wrap.TWINE, "", true, null, null),
            null,
            null);
    Lot wrapped =
        new Lot(
            "wrapped",
            "wrapped",
            "wrapped bale",
            80,
            700,
            0.5,
            "s_wrapped_sound",
            "f_ring_open",
            null,
            "",
            new Origin("haylage_grass", day(-400), Origin.Wrap.FILM, "", true, 20.0, null),
            null,
            null);
    return List.of(rounds, squares, wrapped, Farms.of("straw", 20, "straw_oat"));
  }

  private static List<FeedStep> steps() {
    return List.of(
        step(
            "cows",
            FeedStep.Kind.GRAZE,
            null,
            null,
            null,
            "fescue",
            "native",
            "residue",
            "rye-land"),
        step("cows", FeedStep.Kind.STORE, 70, 230, 0.7, "rounds", "cut-lot"),
        step("cows", FeedStep.Kind.STORE, null, null, 0.3, "straw"),
        step("ewes", FeedStep.Kind.GRAZE, null, null, null, "orchard", "ryegrass"),
        step("ewes", FeedStep.Kind.STORE, null, null, null, "squares", "rounds"),
        step("milkers", FeedStep.Kind.GRAZE, 190, 390, null, "ryegrass", "rye-land"),
        step("milkers", FeedStep.Kind.STORE, null, null, null, "wrapped", "bought", "squares"),
        step("steers", FeedStep.Kind.GRAZE, null, null, null, "bermuda", "sorghum", "fallow"),
        step("steers", FeedStep.Kind.STORE, null, null, null),
        step("horses", FeedStep.Kind.GRAZE, null, null, null, "native"),
        step("horses", FeedStep.Kind.STORE, null, null, null, "squares"),
        step("bulls", FeedStep.Kind.GRAZE, null, null, 0.8, "fescue"),
        step("bulls", FeedStep.Kind.STORE, null, null, null, "rounds"));
  }

  private static FeedStep step(
      String group, FeedStep.Kind kind, Integer from, Integer to, Double most, String... sources) {
    String id = "%s-%s-%s".formatted(group, kind, String.join("-", sources));
    return new FeedStep(
        id.substring(0, Math.min(80, id.length())),
        group,
        kind,
        List.of(sources),
        from == null ? null : day(from),
        to == null ? null : day(to),
        most == null ? null : Portion.atMost(most),
        null);
  }

  private static List<Closing> closings() {
    return List.of(
        new Closing("c1", "fescue", day(0), day(95), List.of("cows", "bulls"), day(170)),
        new Closing("c2", "orchard", day(200), day(262), List.of(), null));
  }

  private static List<HayCut> cuts() {
    return List.of(
        new HayCut("h1", "orchard", day(262), "h_hay_conditioned_grass", Farms.bale("cut-lot", 0)),
        new HayCut("h2", "bermuda", day(300), "h_haylage", Farms.bale("haylage-lot", 0)));
  }

  private static List<Sowing> sowings() {
    return List.of(
        new Sowing(
            "x1", "rye-land", "cereal_rye", day(22), Sowing.Preparation.GRAZE_DOWN, null, 1, null),
        new Sowing(
            "x2",
            "fallow",
            "pearl_millet",
            day(265),
            Sowing.Preparation.FULL_SEEDBED,
            9000.0,
            0.8,
            day(365),
            new Sowing.SowingTerms(day(230), 0.05, 2, 0.25),
            null));
  }
}
