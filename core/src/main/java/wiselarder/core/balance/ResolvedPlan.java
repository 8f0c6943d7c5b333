package wiselarder.core.balance;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.caution.Caution;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrowthCurve;
import wiselarder.core.forage.SwardRules;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Purchase;
import wiselarder.core.store.LossMethod;
import wiselarder.core.store.Lot;

/**
 * A stated plan resolved against calendar, catalogue and cautions: names become indices, dates
 * become days, rules become numbers. It is read by the simulator and never changed.
 */
public final class ResolvedPlan {
  final FarmPlan stated;
  final PlanYear year;
  final int days;
  final List<Caution> cautions;
  final FieldPlan[] fields;
  final GroupPlan[] groups;
  final LotPlan[] lots;
  final CutPlan[] cuts;
  final boolean[] frostSeason;

  /** One field: areas in ha, masses in kg DM/ha, one growth value a day in kg DM/ha. */
  static final class FieldPlan {
    Field field;
    double areaHa;
    double openingGreen;
    double openingDead;
    double[] growth;
    double extinction;
    double referenceLight;
    double entry;
    double ceiling;
    double base;
    double residual;
    double turnIn;
    double utilization;

    /** A stockpile is opened in strips: never used worse than strips are. */
    double stockUtilization;

    double senescencePerDay;
    double lossPerDay;
    double dormantBelow;
    boolean hardy;
    boolean residue;
    int arrives;
    int leaves;

    /** Days shut to all: closed for stockpile, or held by a caution. */
    boolean[] shut;

    /** First open day after a closing for stockpile. */
    boolean[] reopens;
  }

  /** One group: its need and its steps. */
  static final class GroupPlan {
    AnimalGroup group;
    GroupYear year;
    StepPlan[] steps;

    /** Fields shut to this group alone by a caution. */
    boolean[] barred;
  }

  /** One step: field or lot indices. */
  static final class StepPlan {
    boolean graze;
    int[] sources;
    int from;
    int to;
  }

  /** One lot: kg DM a unit, kept and lost shares. */
  static final class LotPlan {
    Lot lot;
    int units;
    double kgPerUnit;
    double keptPerDay;
    double lostAtOpening;
    double feedingLoss;
    int arrives;
    boolean bought;
    boolean fromCut;
  }

  /** One cut: which field into which lot. */
  static final class CutPlan {
    int day;
    int field;
    int lot;
    double stubble;
    double harvestLoss;
    double unitKg;
  }

  private ResolvedPlan(FarmPlan stated, Catalogue catalogue, List<Caution> cautions) {
    this.stated = stated;
    this.year = stated.plan().year();
    this.days = year.days();
    this.cautions = List.copyOf(cautions);
    this.frostSeason = catalogue.climate(stated.farm().climateId()).frostSeason(year);
    Map<String, Integer> fieldIndex = new HashMap<>();
    Map<String, Integer> lotIndex = new HashMap<>();
    this.fields = resolveFields(catalogue, fieldIndex);
    this.lots = resolveLots(catalogue, lotIndex);
    this.cuts = resolveCuts(catalogue, fieldIndex, lotIndex);
    this.groups = resolveGroups(catalogue, fieldIndex, lotIndex);
  }

  /** Resolves; refuses with the input's name where a table lacks what is stated. */
  public static ResolvedPlan of(FarmPlan stated, Catalogue catalogue, List<Caution> cautions) {
    return new ResolvedPlan(stated, catalogue, cautions);
  }

  public FarmPlan stated() {
    return stated;
  }

  public PlanYear year() {
    return year;
  }

  public List<Caution> cautions() {
    return cautions;
  }

  /** The year of a group's need, by the group's place in the farm. */
  public GroupYear groupYear(int group) {
    return groups[group].year;
  }

  /** kg DM/ha of growth stated for a field on a day, before leaf and crowding. */
  public double statedGrowth(int field, int day) {
    return fields[field].growth[day];
  }

  private FieldPlan[] resolveFields(Catalogue catalogue, Map<String, Integer> index) {
    List<FieldPlan> resolved = new ArrayList<>();
    for (Field field : stated.farm().fields()) {
      index.put(field.id(), resolved.size());
      resolved.add(resolve(field, catalogue));
    }
    return resolved.toArray(FieldPlan[]::new);
  }

  private FieldPlan resolve(Field field, Catalogue catalogue) {
    Forage forage = catalogue.forage(field.stand().forageId());
    GrowthCurve curve = catalogue.growthOf(field.stand(), stated.farm().climateId());
    FieldPlan f = new FieldPlan();
    f.field = field;
    f.areaHa = field.areaHa();
    f.residual = field.residualFor(forage);
    f.residue = forage.cropResidue();
    f.base = f.residue ? 0 : forage.minResidualKgPerHa();
    f.entry = f.residue ? forage.ceilingKgPerHa() : forage.entryMassKgPerHa();
    f.ceiling = Math.max(forage.ceilingKgPerHa(), f.entry + 1);
    f.extinction = SwardRules.extinction(f.entry);
    f.referenceLight = SwardRules.lightCaught(f.extinction, (f.base + f.entry) / 2);
    f.turnIn = field.turnInFor(forage);
    f.utilization = field.utilizationFor(forage);
    f.stockUtilization = Math.max(f.utilization, forage.utilizationStrip());
    f.senescencePerDay = forage.senescencePerDay();
    f.lossPerDay = SwardRules.lossPerDay(forage.standingLossPerMonth());
    f.dormantBelow = SwardRules.DORMANT_SHARE * curve.peakKgPerHaDay();
    f.hardy = forage.frostResponse() == Forage.FrostResponse.HARDY;
    f.growth = curve.daily(year);
    f.arrives = year.clippedStart(field.stand().fromInclusive());
    f.leaves = year.clippedEnd(field.stand().toExclusive());
    double opening = field.openingCoverFor(forage);
    f.openingDead = f.residue ? opening : opening * field.stand().openingDeadShare();
    f.openingGreen = opening - f.openingDead;
    f.shut = new boolean[days];
    f.reopens = new boolean[days];
    for (Closing closing : stated.plan().closings()) {
      if (closing.fieldId().equals(field.id())) {
        Arrays.fill(
            f.shut,
            year.clippedStart(closing.fromInclusive()),
            year.clippedEnd(closing.toExclusive()),
            true);
        int open = year.day(closing.toExclusive());
        if (open >= 0 && open < days) {
          f.reopens[open] = true;
        }
      }
    }
    for (Caution caution : cautions) {
      if (caution.blocks() && caution.groupId() == null && caution.fieldId().equals(field.id())) {
        Arrays.fill(f.shut, caution.fromDay(), Math.min(days, caution.toDay()), true);
      }
    }
    return f;
  }

  private LotPlan[] resolveLots(Catalogue catalogue, Map<String, Integer> index) {
    List<LotPlan> resolved = new ArrayList<>();
    for (Lot lot : stated.farm().lots()) {
      add(lot, 0, catalogue, resolved, index);
    }
    for (HayCut cut : stated.plan().cuts()) {
      LotPlan l = add(cut.lot(), year.day(cut.date()), catalogue, resolved, index);
      l.units = 0;
      l.fromCut = true;
    }
    for (Purchase purchase : stated.plan().purchases()) {
      LotPlan l = add(purchase.lot(), year.day(purchase.date()), catalogue, resolved, index);
      l.bought = true;
    }
    return resolved.toArray(LotPlan[]::new);
  }

  private static LotPlan add(
      Lot lot, int arrives, Catalogue catalogue, List<LotPlan> to, Map<String, Integer> index) {
    LossMethod storage =
        catalogue.loss("lot.storageMethodId", lot.storageMethodId(), LossMethod.Stage.STORAGE);
    LotPlan l = new LotPlan();
    l.lot = lot;
    l.units = lot.units();
    l.kgPerUnit = lot.kgDmPerUnit();
    l.keptPerDay = storage.keptPerDay();
    l.lostAtOpening = storage.lostAtOpening();
    l.feedingLoss =
        catalogue
            .loss("lot.feedingMethodId", lot.feedingMethodId(), LossMethod.Stage.FEEDING)
            .share();
    l.arrives = arrives;
    index.put(lot.id(), to.size());
    to.add(l);
    return l;
  }

  private CutPlan[] resolveCuts(
      Catalogue catalogue, Map<String, Integer> fieldIndex, Map<String, Integer> lotIndex) {
    List<CutPlan> resolved = new ArrayList<>();
    for (HayCut cut : stated.plan().cuts()) {
      CutPlan c = new CutPlan();
      c.day = year.day(cut.date());
      c.field = fieldIndex.get(cut.fieldId());
      c.lot = lotIndex.get(cut.lot().id());
      Forage forage = catalogue.forage(fields[c.field].field.stand().forageId());
      c.stubble = forage.massAtHeightKgPerHa(forage.cutHeightCm());
      c.harvestLoss =
          catalogue
              .loss("cut.harvestMethodId", cut.harvestMethodId(), LossMethod.Stage.HARVEST)
              .share();
      c.unitKg = cut.lot().kgDmPerUnit();
      resolved.add(c);
    }
    return resolved.toArray(CutPlan[]::new);
  }

  private GroupPlan[] resolveGroups(
      Catalogue catalogue, Map<String, Integer> fieldIndex, Map<String, Integer> lotIndex) {
    List<GroupPlan> resolved = new ArrayList<>();
    for (AnimalGroup group : stated.farm().groups()) {
      GroupPlan g = new GroupPlan();
      g.group = group;
      g.year = GroupYear.of(group, year, catalogue.herd());
      g.barred = new boolean[fields.length];
      for (Caution caution : cautions) {
        if (caution.blocks() && group.id().equals(caution.groupId())) {
          g.barred[fieldIndex.get(caution.fieldId())] = true;
        }
      }
      g.steps = resolveSteps(group.id(), fieldIndex, lotIndex);
      resolved.add(g);
    }
    return resolved.toArray(GroupPlan[]::new);
  }

  /**
   * A group's steps as stated, with two kinds of its own: an opened stockpile after the last
   * grazing that stands before the first store step, and hay bought for the group at the very end.
   */
  private StepPlan[] resolveSteps(
      String groupId, Map<String, Integer> fieldIndex, Map<String, Integer> lotIndex) {
    List<StepPlan> steps = new ArrayList<>();
    int beforeStore = -1;
    for (FeedStep step : stated.plan().steps()) {
      if (step.groupId().equals(groupId)) {
        boolean graze = step.kind() == FeedStep.Kind.GRAZE;
        if (!graze && beforeStore < 0) {
          beforeStore = steps.size();
        }
        steps.add(resolve(step, graze ? fieldIndex : lotIndex));
      }
    }
    int at = beforeStore < 0 ? steps.size() : beforeStore;
    for (Closing c : stated.plan().closings()) {
      if (c.grazedBy().contains(groupId)) {
        steps.add(
            at++,
            step(true, fieldIndex.get(c.fieldId()), c.toExclusive(), c.grazeUntilExclusive()));
      }
    }
    for (Purchase p : stated.plan().purchases()) {
      if (p.forGroups().contains(groupId)) {
        steps.add(step(false, lotIndex.get(p.lot().id()), p.date(), null));
      }
    }
    return steps.toArray(StepPlan[]::new);
  }

  private StepPlan step(
      boolean graze, int source, java.time.LocalDate from, java.time.LocalDate to) {
    StepPlan s = new StepPlan();
    s.graze = graze;
    s.sources = new int[] {source};
    s.from = year.clippedStart(from);
    s.to = year.clippedEnd(to);
    return s;
  }

  private StepPlan resolve(FeedStep step, Map<String, Integer> index) {
    StepPlan s = new StepPlan();
    s.graze = step.kind() == FeedStep.Kind.GRAZE;
    s.from = year.clippedStart(step.fromInclusive());
    s.to = year.clippedEnd(step.toExclusive());
    s.sources =
        step.sourceIds().isEmpty()
            ? java.util.stream.IntStream.range(0, s.graze ? fields.length : lots.length).toArray()
            : step.sourceIds().stream().mapToInt(index::get).toArray();
    return s;
  }
}
