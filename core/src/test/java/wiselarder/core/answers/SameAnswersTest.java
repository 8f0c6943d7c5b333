package wiselarder.core.answers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.answers.WholeFarm.day;

import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.HaySum;
import wiselarder.core.balance.Ledger;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.closing.BuyHay;
import wiselarder.core.closing.Fitting;
import wiselarder.core.closing.LetGrow;
import wiselarder.core.closing.LeverOption;
import wiselarder.core.closing.QuickHay;
import wiselarder.core.closing.SellingOrder;
import wiselarder.core.closing.ShutForStockpile;
import wiselarder.core.closing.StandReturn;
import wiselarder.core.closing.Trial;
import wiselarder.core.closing.WeanBy;
import wiselarder.core.cost.FeedCosts;
import wiselarder.core.day.Shelf;
import wiselarder.core.diet.DietYear;
import wiselarder.core.diet.Supplement;
import wiselarder.core.diet.WaterYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Season;
import wiselarder.core.store.Lot;

/**
 * Everything that comes out of a farm on which everything is done, against what came out before.
 * The days of a series are told by two sums and a value each month. Renewed with {@code
 * -Dlarder.answers.write=true}; then the commit says what changed and why.
 */
class SameAnswersTest {
  private static final Path KEPT = Path.of("src/test/resources/answers");

  private final Map<String, Object> answers = new LinkedHashMap<>();

  @ParameterizedTest
  @ValueSource(strings = {"normal", "dry", "seed:7"})
  void aYearComesOutAsBefore(String season) throws IOException {
    FarmPlan plan = WholeFarm.plan();
    Engine engine = Farms.ENGINE.knowing(WholeFarm.records()).in(Season.parse(season));
    YearBalance b = engine.simulate(plan);
    fields(b);
    groups(b);
    lots(b);
    sowings(b);
    readOff(b, engine);
    compare("year-" + season.replace(':', '-'));
  }

  /** Where winter is in July, and where no winter freezes. */
  @ParameterizedTest
  @ValueSource(strings = {"temperate_humid_south", "subtropical_summer_rain_south"})
  void aYearOfAnotherClimateComesOutAsBefore(String climate) throws IOException {
    FarmPlan plan = WholeFarm.plan(climate);
    YearBalance b = Farms.ENGINE.simulate(plan);
    fields(b);
    groups(b);
    readOff(b, Farms.ENGINE);
    compare("year-" + climate);
  }

  @ParameterizedTest
  @ValueSource(strings = {"normal", "dry"})
  void whatHelpsComesOutAsBefore(String season) throws IOException {
    FarmPlan plan = WholeFarm.plan();
    Engine engine = Farms.ENGINE.knowing(WholeFarm.records()).in(Season.parse(season));
    YearBalance b = engine.simulate(plan);
    keep("gaps", engine.gaps(b));
    keep("levers", levers(plan, engine));
    keep("leversOfHardWinter", levers(hardWinter(plan), engine));
    keep("selling", SellingOrder.of(engine, plan, day(120)));
    keep("weaning", WeanBy.of(engine, plan, "cows"));
    keep("letGrow", LetGrow.of(engine, plan, "orchard", day(215), "h_hay_conditioned_grass"));
    keep("letGrowWarm", LetGrow.of(engine, plan, "bermuda", day(260), "h_haylage"));
    keep("fitting", Fitting.of(plan, engine.catalogue(), day(10), false, false));
    keep("fittingForHay", Fitting.of(plan, engine.catalogue(), day(250), true, true));
    keep("supplement", Supplement.of(b, engine.catalogue()));
    keep("stands", stands(plan, engine));
    keep("quick", quick(engine));
    compare("help-" + season);
  }

  /** Nothing is shut, and little hay is there. */
  private static FarmPlan hardWinter(FarmPlan plan) {
    Lot rounds = plan.farm().lots().get(0);
    return PlanEdit.all(
        plan,
        List.of(
            new PlanEdit.Remove<>(Items.CLOSINGS, "c1"),
            new PlanEdit.Put<>(Items.LOTS, rounds.like(rounds.id(), rounds.name(), 25))));
  }

  private static List<LeverOption> levers(FarmPlan plan, Engine engine) {
    Gap widest =
        engine.gaps(engine.simulate(plan)).stream()
            .filter(g -> g.kind() == Gap.Kind.STORE)
            .max(Comparator.comparingDouble(Gap::shortKg))
            .orElseThrow();
    return new Trial(engine, plan, widest)
        .options(List.of(new ShutForStockpile(), new BuyHay(plan.farm().lots().get(0), day(1))));
  }

  private static List<StandReturn> stands(FarmPlan plan, Engine engine) {
    return StandReturn.compare(
        plan,
        engine.catalogue(),
        List.of(
            new StandReturn.Candidate("tall_fescue_novel", 0, 0),
            new StandReturn.Candidate("bermudagrass", 120, 60),
            new StandReturn.Candidate("orchardgrass_red_clover", 20, 90)),
        new StandReturn.Terms(280, 1.2, 2.4, 0.25));
  }

  private static Object quick(Engine engine) {
    QuickHay quick =
        QuickHay.of(
            engine,
            "Ten",
            "transition_humid",
            Farm.UnitSystem.METRIC,
            "EUR",
            "beef/cow",
            10,
            550,
            day(90),
            day(200),
            Farms.of("hay", 1, "hay_grass_clover"));
    return List.of(quick.units(), quick.eatenKg(), quick.days(), quick.usableKg());
  }

  private void fields(YearBalance b) {
    for (int i = 0; i < b.stated().farm().fields().size(); i++) {
      int f = i;
      String of = b.stated().farm().fields().get(f).id() + ".";
      days(b, of + "cover", d -> b.coverKgPerHa(f, d));
      days(b, of + "green", d -> b.greenKgPerHa(f, d));
      days(b, of + "offered", d -> b.offeredKg(f, d));
      days(b, of + "water", d -> b.soilWaterMm(f, d));
      days(b, of + "protein", d -> b.standingProteinPct(f, d));
      days(b, of + "tdn", d -> b.standingTdnPct(f, d));
      days(b, of + "ripeness", d -> b.ripeness(f, d));
      days(b, of + "break", d -> b.breakHa(f, d));
      days(b, of + "grown", d -> b.grownKg(f, d));
      days(b, of + "grazed", d -> b.grazedKg(f, d));
      days(b, of + "grazedStanding", d -> b.grazedStandingKg(f, d));
      days(b, of + "trampled", d -> b.trampledKg(f, d));
      days(b, of + "weathered", d -> b.weatheredKg(f, d));
      days(b, of + "cut", d -> b.cutKg(f, d));
      keep(of + "limits", List.of(b.residualKgPerHa(f), b.ceilingKgPerHa(f), b.soilCapacityMm(f)));
    }
  }

  private void groups(YearBalance b) {
    WaterYear water = WaterYear.of(b);
    keep("water", water.fields());
    for (int i = 0; i < b.stated().farm().groups().size(); i++) {
      int g = i;
      String of = b.stated().farm().groups().get(g).id() + ".";
      GroupYear year = b.resolved().groupYear(g);
      days(b, of + "need", d -> b.needKg(g, d));
      days(b, of + "bare", d -> b.bareKg(g, d));
      for (Shelf shelf : Shelf.values()) {
        days(b, of + shelf, d -> b.eatenKg(shelf, g, d));
      }
      days(b, of + "field", d -> b.onField(g, d));
      days(b, of + "head", year::head);
      days(b, of + "young", year::youngHead);
      days(b, of + "weight", year::weightKg);
      days(b, of + "grazedProtein", d -> b.grazedProteinPct(g, d));
      days(b, of + "grazedTdn", d -> b.grazedTdnPct(g, d));
      days(b, of + "grazedFibre", d -> b.grazedFibrePct(g, d));
      days(b, of + "feedWater", d -> b.feedWaterL(g, d));
      days(b, of + "drunk", d -> water.drunkL(g, d));
      diet(b, g, of + "diet.");
    }
  }

  private void diet(YearBalance b, int g, String of) {
    DietYear diet = DietYear.of(b, g);
    days(b, of + "protein", diet::proteinKg);
    days(b, of + "proteinNeed", diet::proteinNeedKg);
    days(b, of + "energy", diet::energyMj);
    days(b, of + "energyNeed", diet::energyNeedMj);
    days(b, of + "calcium", diet::calciumKg);
    days(b, of + "calciumNeed", diet::calciumNeedKg);
    days(b, of + "phosphorus", diet::phosphorusKg);
    days(b, of + "phosphorusNeed", diet::phosphorusNeedKg);
    days(b, of + "fibre", diet::fibrePct);
    days(b, of + "fibreMin", diet::fibreMinPct);
    days(b, of + "proteinPct", diet::proteinPct);
    days(b, of + "tdnPct", diet::tdnPct);
    days(b, of + "gain", diet::gainKg);
    days(b, of + "weight", diet::weightKg);
    days(b, of + "score", diet::score);
    keep(
        of + "short",
        List.of(
            diet.daysShort(diet::proteinKg, diet::proteinNeedKg),
            diet.daysShort(diet::energyMj, diet::energyNeedMj),
            diet.belowFloorFrom()));
  }

  private void lots(YearBalance b) {
    for (int i = 0; i < b.stated().allLots().size(); i++) {
      int l = i;
      String of = b.stated().allLots().get(l).id() + ".";
      days(b, of + "kg", d -> b.lotKg(l, d));
      days(b, of + "units", d -> b.lotUnits(l, d));
      days(b, of + "opened", d -> b.lotOpened(l, d));
      days(b, of + "eaten", d -> b.lotEatenKg(l, d));
      keep(
          of + "worth",
          List.of(b.lotProteinPct(l), b.lotTdnPct(l), b.lotFibrePct(l), b.lotRipeness(l)));
      keep(of + "lost", List.of(b.lotLostKg(l), b.lotFedLostKg(l), b.lotKeptShare(l)));
      keep(of + "haySums", HaySum.ofAll(b, l));
    }
  }

  private void sowings(YearBalance b) {
    for (int i = 0; i < b.stated().plan().sowings().size(); i++) {
      int s = i;
      days(b, "sowing" + s + ".cover", d -> b.sownCoverKgPerHa(s, d));
      keep("sowing" + s, b.sowing(s));
    }
    keep("passes", List.of(b.passes(0), b.passEatenKg(0)));
  }

  private void readOff(YearBalance b, Engine engine) {
    FeedCosts costs = FeedCosts.of(b, engine.catalogue());
    for (Shelf shelf : Shelf.values()) {
      keep("cost." + shelf, costs.of(shelf));
    }
    keep("cost.total", List.of(costs.total(), costs.tractorDays(), costs.hours()));
    keep("cost.unpriced", costs.unpriced());
    keep("cost.groups", costs.groups());
    days(b, "cost.stored", costs::storedOn);
    days(b, "cost.winter", d -> costs.winter(d) ? 1 : 0);
    keep("ledger", Ledger.months(b));
    keep("total", Ledger.total(b));
    keep("gaps", engine.gaps(b));
    keep("doubts", engine.doubts(b.stated()));
    keep("bare", List.of(b.totalBareKg(), b.bareDays(0.05)));
    assertThat(b.massBalance().error()).isLessThan(1e-9);
  }

  /** Two sums that tell days apart, and a value each month that tells where to look. */
  private void days(YearBalance b, String name, IntToDoubleFunction value) {
    double sum = 0;
    double moment = 0;
    for (int d = 0; d < b.days(); d++) {
      double v = value.applyAsDouble(d);
      double known = Double.isNaN(v) ? -1 : v;
      sum += known;
      moment += known * (d + 1) / b.days();
      if (d % 30 == 14) {
        keep(name + "." + d, known);
      }
    }
    keep(name + ".sum", sum);
    keep(name + ".moment", moment);
  }

  private void keep(String name, Object value) {
    if (value instanceof Record r) {
      for (RecordComponent c : r.getClass().getRecordComponents()) {
        keep(name + "." + c.getName(), read(r, c));
      }
    } else if (value instanceof List<?> list) {
      keep(name + ".count", list.size());
      for (int i = 0; i < list.size(); i++) {
        keep(name + "[" + i + "]", list.get(i));
      }
    } else {
      answers.put(name, value instanceof Items<?> items ? items.word() : value);
    }
  }

  private static Object read(Record of, RecordComponent c) {
    try {
      c.getAccessor().setAccessible(true);
      return c.getAccessor().invoke(of);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  private void compare(String name) throws IOException {
    Path file = KEPT.resolve(name + ".txt");
    if (Boolean.getBoolean("larder.answers.write")) {
      StringBuilder text = new StringBuilder();
      answers.forEach((k, v) -> text.append(k).append('=').append(v).append('\n'));
      Files.writeString(file, text);
    }
    List<String> kept = Files.readAllLines(file);
    assertThat(answers).hasSameSizeAs(kept);
    for (String line : kept) {
      int at = line.indexOf('=');
      String key = line.substring(0, at);
      String before = line.substring(at + 1);
      assertThat(answers).containsKey(key);
      Object now = answers.get(key);
      if (now instanceof Double n && !n.isNaN()) {
        double was = Double.parseDouble(before);
        assertThat(n).as(key).isCloseTo(was, within(1e-9 * Math.max(1, Math.abs(was))));
      } else {
        assertThat(String.valueOf(now)).as(key).isEqualTo(before);
      }
    }
  }
}
