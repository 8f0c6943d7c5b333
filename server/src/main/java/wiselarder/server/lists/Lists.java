package wiselarder.server.lists;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import wiselarder.core.edit.Difference;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.Keeping;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Farm.UnitSystem;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Thing;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.LotTested;
import wiselarder.core.records.Seen;
import wiselarder.core.records.Struck;
import wiselarder.core.store.FeedTest;
import wiselarder.core.store.LossMethod;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Origin;
import wiselarder.core.store.Reserve;
import wiselarder.core.store.UnitSize;
import wiselarder.server.problem.RowProblem;

/**
 * Fields, groups, lots and reports on lots as CSV files, out and in. docs/formats.md lists their
 * columns.
 */
public final class Lists {
  /** Which list. */
  public enum Kind {
    FIELDS,
    GROUPS,
    LOTS,
    /** Reports on lots. */
    TESTS
  }

  /**
   * What brings the good rows in, and what is wrong with the others.
   *
   * @param edits of fields, groups and lots
   * @param seen reports to write down, and older ones with their id to strike out
   * @param told the same as changes, for a preview
   */
  public record Read(
      List<PlanEdit> edits,
      List<Seen> seen,
      List<Difference.Change> told,
      List<RowProblem> problems) {}

  private final CsvList<Field> fields;
  private final CsvList<AnimalGroup> groups;
  private final CsvList<Lot> lots;

  public Lists(Catalogue catalogue) {
    fields = fieldList(catalogue);
    groups = groupList(catalogue);
    lots = lotList(catalogue);
  }

  /** A list as CSV, in the units the farm is shown in. */
  public String write(Kind kind, FarmPlan plan, FarmRecords records) {
    UnitSystem system = plan.farm().units();
    return switch (kind) {
      case FIELDS -> fields.write(plan.farm().fields(), system);
      case GROUPS -> groups.write(plan.farm().groups(), system);
      case LOTS -> lots.write(plan.farm().lots(), system);
      case TESTS -> testList(plan).write(tests(plan, records), system);
    };
  }

  /** Reads a list; items of the plan that the file does not name stay as they are. */
  public Read read(Kind kind, String csv, FarmPlan plan, FarmRecords records) {
    return switch (kind) {
      case FIELDS -> {
        CsvList.Read<Field> read = fields.read(csv, plan.farm().fields());
        yield done(
            read.items().stream().map(f -> (PlanEdit) new PlanEdit.Put<>(Items.FIELDS, f)).toList(),
            read);
      }
      case GROUPS -> {
        CsvList.Read<AnimalGroup> read = groups.read(csv, plan.farm().groups());
        List<PlanEdit> edits = new ArrayList<>();
        for (AnimalGroup g : read.items()) {
          edits.add(new PlanEdit.Put<>(Items.GROUPS, g));
          if (plan.farm().groups().stream().noneMatch(x -> x.id().equals(g.id()))) {
            edits.add(new PlanEdit.SetFeeding(g.id(), FeedStep.usual(g.id())));
          }
        }
        yield done(edits, read);
      }
      case LOTS -> {
        CsvList.Read<Lot> read = lots.read(csv, plan.farm().lots());
        yield done(
            read.items().stream().map(l -> (PlanEdit) new PlanEdit.Put<>(Items.LOTS, l)).toList(),
            read);
      }
      case TESTS -> {
        CsvList.Read<TestRow> read = testList(plan).read(csv, tests(plan, records));
        List<Seen> seen = new ArrayList<>();
        List<Difference.Change> told = new ArrayList<>();
        for (TestRow row : read.items()) {
          report(row, plan, records, seen, told);
        }
        yield new Read(List.of(), seen, told, read.problems());
      }
    };
  }

  /** One report with the lot it is of. */
  record TestRow(String lotId, FeedTest test) {}

  /** A report that says something else than one with its id takes that one's place. */
  private static void report(
      TestRow row,
      FarmPlan plan,
      FarmRecords records,
      List<Seen> seen,
      List<Difference.Change> told) {
    List<FarmRecord> older = new ArrayList<>();
    records.each(
        LotTested.class,
        (r, f) -> {
          if (f.test().id().equals(row.test.id()) && f.lotId().equals(row.lotId)) {
            older.add(r);
          }
        });
    LotTested fact = new LotTested(row.lotId, row.test);
    if (older.stream().anyMatch(r -> r.fact().equals(fact))) {
      return;
    }
    older.forEach(r -> seen.add(new Seen(r.on(), new Struck(r.id(), ""))));
    seen.add(new Seen(row.test.sampledOn(), fact));
    String lot =
        plan.farm().lots().stream()
            .filter(l -> l.id().equals(row.lotId))
            .map(Lot::name)
            .findFirst()
            .orElse(row.lotId);
    Difference.Kind kind = older.isEmpty() ? Difference.Kind.ADDED : Difference.Kind.CHANGED;
    told.add(new Difference.Change(Thing.TEST, kind, lot + ", " + row.test.sampledOn(), List.of()));
  }

  private static List<TestRow> tests(FarmPlan plan, FarmRecords records) {
    return plan.farm().lots().stream()
        .flatMap(l -> records.lot(l).tests().stream().map(t -> new TestRow(l.id(), t)))
        .toList();
  }

  private static CsvList<TestRow> testList(FarmPlan plan) {
    Map<String, String> lots = new TreeMap<>();
    plan.farm().lots().forEach(l -> choice(lots, l.id(), l.name()));
    List<CsvColumn> columns =
        List.of(
            CsvColumn.of("id", CsvColumn.Kind.TEXT, "test.id"),
            CsvColumn.choice("lot", "lotId", lots),
            CsvColumn.of("sampled_on", CsvColumn.Kind.DATE, "test.sampledOn"),
            CsvColumn.of("reported_on", CsvColumn.Kind.DATE, "test.reportedOn"),
            CsvColumn.of("laboratory", CsvColumn.Kind.TEXT, "test.laboratory"),
            CsvColumn.number("dry_matter", FeedTest.DM_SHARE),
            CsvColumn.number("protein", FeedTest.PROTEIN_PCT),
            CsvColumn.number("tdn", FeedTest.TDN_PCT),
            CsvColumn.number("ndf", FeedTest.FIBRE_PCT),
            CsvColumn.number("calcium", FeedTest.CALCIUM_PCT),
            CsvColumn.number("phosphorus", FeedTest.PHOSPHORUS_PCT),
            CsvColumn.number("nitrate_no3", FeedTest.NITRATE_PCT));
    return new CsvList<>(
        TestRow.class,
        columns,
        """
        {"lotId": null, "test": {"id": null, "sampledOn": null, "reportedOn": null,
         "laboratory": "", "dmShare": null, "proteinPct": null, "tdnPct": null, "fibrePct": null,
         "calciumPct": null, "phosphorusPct": null, "nitratePct": null}}""",
        t -> t.test().id(),
        t -> t.lotId() + " " + t.test().sampledOn(),
        List.of("lot", "sampled_on"));
  }

  private static Read done(List<PlanEdit> edits, CsvList.Read<?> read) {
    return new Read(List.copyOf(edits), List.of(), List.of(), read.problems());
  }

  private static CsvList<Field> fieldList(Catalogue catalogue) {
    Map<String, String> forages = new TreeMap<>();
    catalogue.forages().values().forEach(f -> choice(forages, f.id(), f.name()));
    Map<String, String> grazing =
        Map.of(
            "set stocked", "SET_STOCKED",
            "set_stocked", "SET_STOCKED",
            "rotational", "ROTATIONAL",
            "strip", "STRIP");
    List<CsvColumn> columns =
        List.of(
            CsvColumn.of("id", CsvColumn.Kind.TEXT, "id"),
            CsvColumn.of("name", CsvColumn.Kind.TEXT, "name"),
            CsvColumn.number("area", Field.AREA_HA),
            CsvColumn.of("block", CsvColumn.Kind.TEXT, "block"),
            CsvColumn.choice("stand", "stand.forageId", forages),
            CsvColumn.number("yearly_growth", Stand.YIELD_KG_PER_HA),
            CsvColumn.number("cover_on_first_day", Stand.OPENING_COVER_KG_PER_HA),
            CsvColumn.number("standing_dead", Stand.OPENING_DEAD_SHARE),
            CsvColumn.of("there_from", CsvColumn.Kind.DATE, "stand.fromInclusive"),
            CsvColumn.of("there_to_last_day", CsvColumn.Kind.LAST_DAY, "stand.toExclusive"),
            CsvColumn.choice("grazing", "grazing", grazing),
            CsvColumn.number("paddocks", Field.PADDOCKS),
            CsvColumn.number("utilization", Field.UTILIZATION),
            CsvColumn.number("residual", Field.RESIDUAL_KG_PER_HA),
            CsvColumn.number("turn_in", Field.TURN_IN_KG_PER_HA),
            CsvColumn.of("hayable", CsvColumn.Kind.YES_NO, "hayable"),
            CsvColumn.of("note", CsvColumn.Kind.TEXT, "note"));
    return new CsvList<>(
        Field.class,
        columns,
        """
        {"id": null, "name": null, "areaHa": null, "grazing": "ROTATIONAL", "utilization": null,
         "residualKgPerHa": null, "turnInKgPerHa": null, "hayable": false, "note": "",
         "block": "", "stand": {"forageId": null, "yieldKgPerHa": null, "monthlyKgPerHaDay": null,
          "openingCoverKgPerHa": null, "openingDeadShare": 0.1, "fromInclusive": null,
          "toExclusive": null}}""",
        Field::id,
        Field::name);
  }

  private static CsvList<AnimalGroup> groupList(Catalogue catalogue) {
    return new CsvList<>(
        AnimalGroup.class,
        groupColumns(catalogue),
        """
        {"id": null, "name": null, "kind": null, "head": null, "weightKg": null, "gainKgPerDay": 0,
         "flatIntakeKgPerHeadDay": null, "birthStart": null, "birthSpreadDays": 60,
         "youngPerDam": 0, "weaning": null, "youngLeave": null, "fromInclusive": null,
         "toExclusive": null, "changes": [], "keeping": {"byEnergy": false,
          "shelter": "SHELTERED", "windKmPerHour": 0, "walkKmPerDay": 0, "deathsPerYearShare": 0,
          "conditionFloor": null, "snowAsWater": false, "besidesKgPerDay": 0}}""",
        AnimalGroup::id,
        AnimalGroup::name);
  }

  private static List<CsvColumn> groupColumns(Catalogue catalogue) {
    Map<String, String> kinds = new TreeMap<>();
    catalogue.herd().kinds().forEach(k -> choice(kinds, k, k.replace('/', ' ').replace('_', ' ')));
    Map<String, String> shelters =
        Map.of("housed", "HOUSED", "sheltered", "SHELTERED", "open", "OPEN");
    return List.of(
        CsvColumn.of("id", CsvColumn.Kind.TEXT, "id"),
        CsvColumn.of("name", CsvColumn.Kind.TEXT, "name"),
        CsvColumn.choice("kind", "kind", kinds),
        CsvColumn.number("head", AnimalGroup.HEAD),
        CsvColumn.number("weight", AnimalGroup.WEIGHT_KG),
        CsvColumn.number("gain", AnimalGroup.GAIN_KG_PER_DAY),
        CsvColumn.number("flat_intake", AnimalGroup.FLAT_INTAKE_KG_PER_HEAD_DAY),
        CsvColumn.of("first_birth", CsvColumn.Kind.DAY_OF_YEAR, "birthStart"),
        CsvColumn.number("birth_spread_days", AnimalGroup.BIRTH_SPREAD_DAYS),
        CsvColumn.number("young_per_dam", AnimalGroup.YOUNG_PER_DAM),
        CsvColumn.of("weaning", CsvColumn.Kind.DAY_OF_YEAR, "weaning"),
        CsvColumn.of("young_leave", CsvColumn.Kind.DAY_OF_YEAR, "youngLeave"),
        CsvColumn.of("here_from", CsvColumn.Kind.DATE, "fromInclusive"),
        CsvColumn.of("here_to_last_day", CsvColumn.Kind.LAST_DAY, "toExclusive"),
        CsvColumn.of("by_energy", CsvColumn.Kind.YES_NO, "keeping.byEnergy"),
        CsvColumn.choice("shelter", "keeping.shelter", shelters),
        CsvColumn.number("wind", Keeping.WIND_KM_PER_HOUR),
        CsvColumn.number("extra_walk", Keeping.WALK_KM_PER_DAY),
        CsvColumn.number("deaths_a_year", Keeping.DEATHS_PER_YEAR_SHARE),
        CsvColumn.number("condition_floor", Keeping.CONDITION_FLOOR),
        CsvColumn.of("snow_as_water", CsvColumn.Kind.YES_NO, "keeping.snowAsWater"),
        CsvColumn.number("fed_besides", Keeping.BESIDES_KG_PER_DAY));
  }

  private static CsvList<Lot> lotList(Catalogue catalogue) {
    return new CsvList<>(
        Lot.class,
        lotColumns(catalogue),
        """
        {"id": null, "name": null, "unitName": "round bale", "units": null, "kgPerUnitAsFed": null,
         "dmShare": 0.87, "storageMethodId": "s_barn", "feedingMethodId": "f_ring_open",
         "pricePerTonneAsFed": null, "note": "", "size": null, "reserve": null,
         "origin": {"feedId": null, "cutOn": null, "wrap": "NOT_SAID", "place": "",
          "movable": true, "makingPerUnit": null, "haulingPerUnit": null}}""",
        Lot::id,
        Lot::name);
  }

  private static List<CsvColumn> lotColumns(Catalogue catalogue) {
    Map<String, String> feeds = new TreeMap<>();
    catalogue.storedFeeds().forEach(f -> choice(feeds, f.id(), f.name()));
    Map<String, String> wraps = new TreeMap<>();
    for (Origin.Wrap w : Origin.Wrap.values()) {
      choice(wraps, w.name(), w.name().replace('_', ' '));
    }
    return List.of(
        CsvColumn.of("id", CsvColumn.Kind.TEXT, "id"),
        CsvColumn.of("name", CsvColumn.Kind.TEXT, "name"),
        CsvColumn.of("unit", CsvColumn.Kind.TEXT, "unitName"),
        CsvColumn.number("units", Lot.UNITS),
        CsvColumn.number("weight_of_one_as_fed", Lot.KG_PER_UNIT_AS_FED),
        CsvColumn.number("dry_matter", Lot.DM_SHARE),
        CsvColumn.choice("stored", "storageMethodId", ways(catalogue, LossMethod.Stage.STORAGE)),
        CsvColumn.choice("fed", "feedingMethodId", ways(catalogue, LossMethod.Stage.FEEDING)),
        CsvColumn.number("price", Lot.PRICE_PER_TONNE_AS_FED),
        CsvColumn.of("note", CsvColumn.Kind.TEXT, "note"),
        CsvColumn.choice("feed", "origin.feedId", feeds),
        CsvColumn.of("cut_on", CsvColumn.Kind.DATE, "origin.cutOn"),
        CsvColumn.choice("wrap", "origin.wrap", wraps),
        CsvColumn.of("place", CsvColumn.Kind.TEXT, "origin.place"),
        CsvColumn.of("movable", CsvColumn.Kind.YES_NO, "origin.movable"),
        CsvColumn.number("making_per_unit", Origin.MAKING_PER_UNIT),
        CsvColumn.number("hauling_per_unit", Origin.HAULING_PER_UNIT),
        CsvColumn.number("diameter", UnitSize.DIAMETER_M),
        CsvColumn.number("width", UnitSize.WIDTH_M),
        CsvColumn.number("length", UnitSize.LENGTH_M),
        CsvColumn.number("height", UnitSize.HEIGHT_M),
        CsvColumn.number("density", UnitSize.DENSITY_KG_PER_M3),
        CsvColumn.number("rind", UnitSize.RIND_CM),
        CsvColumn.number("kept_back_units", Reserve.UNITS),
        CsvColumn.of("kept_back_for_from", CsvColumn.Kind.DAY_OF_YEAR, "reserve.fromInclusive"),
        CsvColumn.of("kept_back_for_to", CsvColumn.Kind.DAY_OF_YEAR, "reserve.toExclusive"));
  }

  private static Map<String, String> ways(Catalogue catalogue, LossMethod.Stage stage) {
    Map<String, String> ways = new TreeMap<>();
    catalogue.losses().values().stream()
        .filter(l -> l.stage() == stage)
        .forEach(l -> choice(ways, l.id(), l.name()));
    return ways;
  }

  private static void choice(Map<String, String> choices, String id, String name) {
    choices.put(id.toLowerCase(Locale.ROOT), id);
    choices.put(name.toLowerCase(Locale.ROOT), id);
  }
}
