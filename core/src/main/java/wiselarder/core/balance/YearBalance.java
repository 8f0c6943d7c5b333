package wiselarder.core.balance;

import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.plan.FarmPlan;

/**
 * What a simulated year gave: everything any view shows is read from here. Fields and lots are laid
 * out day after day, {@code array[day * items + item]}, as the simulation writes them; groups and
 * sowings item after item. Amounts in kg DM for the whole group, field or lot; covers in kg DM/ha
 * at the end of the day. Recorded during the day unless said otherwise. Not to be changed by
 * readers.
 */
public final class YearBalance {
  private final ResolvedPlan resolved;
  final int days;
  final int fieldCount;
  final int groupCount;
  final int lotCount;

  /** By group and day. */
  final double[] need;

  final double[] bare;

  /** By shelf, group and day: {@code [(shelf * groups + group) * days + day]}. */
  final double[] eaten;

  /** By field and day; covers per ha. */
  final double[] cover;

  final double[] green;
  final double[] grown;
  final double[] fieldEaten;
  final double[] fieldStandingEaten;
  final double[] trampled;
  final double[] weathered;
  final double[] cutOff;

  /** Plant-available water in the soil at the end of the day, mm. */
  final double[] water;

  /** Nutrients kept of what stands: protein and TDN. */
  static final int STANDING = 2;

  /**
   * By field, of those on which several stands share the ground: protein and TDN of all that
   * stands, kg/ha at the end of the day, {@code [day * 2 + nutrient]}. Of others it is worked out
   * from what is kept.
   */
  final double[][] standing;

  /** By field and day: mean days since what stands dead has died; below zero -1 - them, frosted. */
  final double[] deadDays;

  /** By day: all that stands on the farm, kg DM at the end of the day. */
  final double[] standingKg;

  /** True where single fields are not kept: their figures are of the last day only. */
  final boolean lean;

  /** By field and day: how ripe what stands is, 0 leafy to 1 ripe, by mass of its stands. */
  final double[] ripeness;

  /** By group, day and nutrient: what was in the feed grazed and in that from the store, kg. */
  final double[] grazedKg;

  final double[] storedKg;

  /** By group and day: water in what was eaten, litres; and the field most was grazed on, or -1. */
  final double[] feedWaterL;

  final int[] onField;

  /** By day, group and lot: eaten, kg DM. Nothing of these four is kept where lean. */
  final double[] groupLotDay;

  /** By sowing and day: cover of the sown crop alone, kg DM/ha. */
  final double[] sownCover;

  final SowingYear[] sowings;

  /** By lot and day: kg DM in store at the end of the day; whole or opened units left; opened. */
  final double[] lotKg;

  final int[] lotUnits;
  final int[] lotOpened;
  final double[] lotEaten;

  /** Sums over the plan. */
  Totals totals;

  /** All that was left at the end of the plan, kg DM. */
  double closingKg;

  /** States from which a run can start, by day; see {@link YearSimulator}. */
  final java.util.NavigableMap<Integer, FarmState> states = new java.util.TreeMap<>();

  YearBalance(ResolvedPlan resolved, boolean lean) {
    this.resolved = resolved;
    this.lean = lean;
    days = resolved.days;
    int rows = lean ? 1 : days;
    fieldCount = resolved.fields.length;
    groupCount = resolved.groups.length;
    lotCount = resolved.lots.length;
    need = new double[groupCount * days];
    bare = new double[groupCount * days];
    eaten = new double[Shelf.values().length * groupCount * days];
    cover = new double[fieldCount * rows];
    green = new double[fieldCount * rows];
    grown = new double[fieldCount * rows];
    fieldEaten = new double[fieldCount * rows];
    fieldStandingEaten = new double[fieldCount * rows];
    trampled = new double[fieldCount * rows];
    weathered = new double[fieldCount * rows];
    cutOff = new double[fieldCount * rows];
    water = new double[fieldCount * rows];
    standing = new double[fieldCount][];
    for (int f = 0; f < fieldCount && !lean; f++) {
      standing[f] = resolved.fields[f].alone ? null : new double[days * STANDING];
    }
    deadDays = new double[fieldCount * rows];
    standingKg = new double[days];
    ripeness = new double[fieldCount * rows];
    int fed = lean ? 0 : groupCount * days;
    grazedKg = new double[fed * QualityTable.Values.COUNT];
    storedKg = new double[fed * QualityTable.Values.COUNT];
    feedWaterL = new double[fed];
    onField = new int[fed];
    java.util.Arrays.fill(onField, -1);
    groupLotDay = new double[fed * lotCount];
    int sown = resolved.stated.plan().sowings().size();
    sownCover = new double[sown * days];
    sowings =
        resolved.stated.plan().sowings().stream()
            .map(SowingYear::outside)
            .toArray(SowingYear[]::new);
    lotKg = new double[lotCount * days];
    lotUnits = new int[lotCount * days];
    lotOpened = new int[lotCount * days];
    lotEaten = new double[lotCount * days];
  }

  /** Takes over what another simulation gave on the days before one. */
  void takeOver(YearBalance of, int before) {
    for (int g = 0; g < groupCount; g++) {
      head(of.need, need, g, before, 1);
      head(of.bare, bare, g, before, 1);
      head(of.grazedKg, grazedKg, g, before, QualityTable.Values.COUNT);
      head(of.storedKg, storedKg, g, before, QualityTable.Values.COUNT);
      head(of.feedWaterL, feedWaterL, g, before, 1);
      System.arraycopy(of.onField, g * days, onField, g * days, before);
    }
    for (int i = 0; i < Shelf.values().length * groupCount; i++) {
      head(of.eaten, eaten, i, before, 1);
    }
    for (int s = 0; s < sowings.length; s++) {
      head(of.sownCover, sownCover, s, before, 1);
    }
    double[][] ofFields = {
      of.cover,
      of.green,
      of.grown,
      of.fieldEaten,
      of.fieldStandingEaten,
      of.trampled,
      of.weathered,
      of.cutOff,
      of.water,
      of.deadDays,
      of.ripeness
    };
    double[][] fields = {
      cover,
      green,
      grown,
      fieldEaten,
      fieldStandingEaten,
      trampled,
      weathered,
      cutOff,
      water,
      deadDays,
      ripeness
    };
    for (int i = 0; i < fields.length; i++) {
      System.arraycopy(ofFields[i], 0, fields[i], 0, before * fieldCount);
    }
    for (int f = 0; f < fieldCount; f++) {
      if (standing[f] != null) {
        System.arraycopy(of.standing[f], 0, standing[f], 0, before * STANDING);
      }
    }
    System.arraycopy(of.standingKg, 0, standingKg, 0, before);
    System.arraycopy(of.groupLotDay, 0, groupLotDay, 0, before * groupCount * lotCount);
    System.arraycopy(of.lotKg, 0, lotKg, 0, before * lotCount);
    System.arraycopy(of.lotUnits, 0, lotUnits, 0, before * lotCount);
    System.arraycopy(of.lotOpened, 0, lotOpened, 0, before * lotCount);
    System.arraycopy(of.lotEaten, 0, lotEaten, 0, before * lotCount);
    states.putAll(of.states.headMap(before, true));
  }

  private void head(double[] from, double[] to, int item, int before, int figures) {
    int at = item * days * figures;
    System.arraycopy(from, at, to, at, before * figures);
  }

  public ResolvedPlan resolved() {
    return resolved;
  }

  public FarmPlan stated() {
    return resolved.stated;
  }

  public PlanYear year() {
    return resolved.year;
  }

  public int days() {
    return days;
  }

  public double needKg(int group, int day) {
    return need[group * days + day];
  }

  public double bareKg(int group, int day) {
    return bare[group * days + day];
  }

  public double eatenKg(Shelf shelf, int group, int day) {
    return eaten[(shelf.ordinal() * groupCount + group) * days + day];
  }

  /** Need of all groups on a day. */
  public double needKg(int day) {
    double sum = 0;
    for (int g = 0; g < groupCount; g++) {
      sum += need[g * days + day];
    }
    return sum;
  }

  /** Unmet need of all groups on a day. */
  public double bareKg(int day) {
    double sum = 0;
    for (int g = 0; g < groupCount; g++) {
      sum += bare[g * days + day];
    }
    return sum;
  }

  /** Eaten by all groups from a shelf on a day. */
  public double eatenKg(Shelf shelf, int day) {
    double sum = 0;
    for (int g = 0; g < groupCount; g++) {
      sum += eatenKg(shelf, g, day);
    }
    return sum;
  }

  /** Cover at the end of the day, kg DM/ha. */
  public double coverKgPerHa(int field, int day) {
    return cover[at(field, day)];
  }

  /** Green part of the cover at the end of the day, kg DM/ha. */
  public double greenKgPerHa(int field, int day) {
    return green[at(field, day)];
  }

  /** What stands above the residual at the end of the day and would be eaten, kg DM. */
  public double offeredKg(int field, int day) {
    ResolvedPlan.FieldPlan f = resolved.fields[field];
    return Math.max(0, coverKgPerHa(field, day) - f.base().residual)
        * f.areaHa
        * f.base().utilization;
  }

  /** Residual that holds on a field, kg DM/ha. */
  public double residualKgPerHa(int field) {
    return resolved.fields[field].base().residual;
  }

  /** Ceiling of a field's stand, kg DM/ha. */
  public double ceilingKgPerHa(int field) {
    return resolved.fields[field].base().ceiling;
  }

  /** Water that plants can use in the soil at the end of the day, mm. */
  public double soilWaterMm(int field, int day) {
    return water[at(field, day)];
  }

  /** Most water the field's soil holds for its stands, mm. */
  public double soilCapacityMm(int field) {
    return resolved.fields[field].capacityMm;
  }

  /** Crude protein of all that stands on a field, percent of DM; NaN where nothing does. */
  public double standingProteinPct(int field, int day) {
    return standingPct(field, day, QualityTable.Values.PROTEIN);
  }

  /** Total digestible nutrients of all that stands, percent of DM; NaN where nothing does. */
  public double standingTdnPct(int field, int day) {
    return standingPct(field, day, QualityTable.Values.TDN);
  }

  private double standingPct(int field, int day, int nutrient) {
    double cover = coverKgPerHa(field, day);
    ResolvedPlan.FieldPlan p = resolved.fields[field];
    if (!p.alone) {
      double[] sums = standing[field];
      return percent(sums[day * STANDING + nutrient], cover);
    }
    QualityTable.Values values = resolved.worth[p.base.kind];
    if (values == null) {
      return Double.NaN;
    }
    int at = at(field, day);
    boolean asleep = deadDays[at] < 0;
    double living = asleep ? 0 : green[at];
    double age = asleep ? -1 - deadDays[at] : deadDays[at];
    double kg =
        values.kg(
            nutrient, living, values.stageAt(ripeness[at]), cover - living, values.agedAt(age));
    return percent(kg, cover);
  }

  /** All that stands on the farm at the end of the day, kg DM. */
  public double standingKg(int day) {
    return standingKg[day];
  }

  /** First place of a day in the arrays of fields. */
  int row(int day) {
    return lean ? 0 : day * fieldCount;
  }

  private int at(int field, int day) {
    if (lean) {
      throw new IllegalStateException("simulated for the farm only: single fields are not kept");
    }
    return day * fieldCount + field;
  }

  /** How ripe what stands is: 0 leafy, 0.5 boot or bud, 0.75 heading or bloom, 1 ripe. */
  public double ripeness(int field, int day) {
    return ripeness[at(field, day)];
  }

  /** Crude protein of hay or silage cut in the plan, percent of DM; NaN for any other lot. */
  public double lotProteinPct(int lot) {
    return totals.lotWorth[lot * QualityTable.Values.COUNT + QualityTable.Values.PROTEIN];
  }

  /** Total digestible nutrients of hay or silage cut in the plan, percent of DM; else NaN. */
  public double lotTdnPct(int lot) {
    return totals.lotWorth[lot * QualityTable.Values.COUNT + QualityTable.Values.TDN];
  }

  /** Neutral detergent fibre of hay or silage cut in the plan, percent of DM; else NaN. */
  public double lotFibrePct(int lot) {
    return totals.lotWorth[lot * QualityTable.Values.COUNT + QualityTable.Values.FIBRE];
  }

  /** How ripe a lot was when it was cut. */
  public double lotRipeness(int lot) {
    return totals.lotRipeness[lot];
  }

  /** How many passes for light the season asked for, by their place in the plan. */
  public int passes(int pass) {
    return totals.passCount[pass];
  }

  /** What stock ate on passes for light, kg DM over the plan. */
  public double passEatenKg(int pass) {
    return totals.passEatenKg[pass];
  }

  /**
   * The piece that stock were given that day where the field is opened in strips, ha: what they
   * took down over what stood above the residual on each hectare. 0 where nothing was grazed.
   */
  public double breakHa(int field, int day) {
    double downKg = grazedKg(field, day) + trampledKg(field, day);
    double areaHa = resolved.fields[field].areaHa;
    double aboveKgPerHa =
        coverKgPerHa(field, day) + downKg / areaHa - resolved.fields[field].base().residual;
    return downKg <= 0 ? 0 : Math.min(areaHa, downKg / Math.max(1, aboveKgPerHa));
  }

  /** Crude protein of what a group grazed on a day, percent of DM; NaN where it grazed nothing. */
  public double grazedProteinPct(int group, int day) {
    return percent(
        grazedKg[nutrient(group, day, QualityTable.Values.PROTEIN)], grazedByKg(group, day));
  }

  /** Total digestible nutrients of what a group grazed, percent of DM; NaN where nothing. */
  public double grazedTdnPct(int group, int day) {
    return percent(grazedKg[nutrient(group, day, QualityTable.Values.TDN)], grazedByKg(group, day));
  }

  /** Neutral detergent fibre of what a group grazed, percent of DM; NaN where nothing. */
  public double grazedFibrePct(int group, int day) {
    return percent(
        grazedKg[nutrient(group, day, QualityTable.Values.FIBRE)], grazedByKg(group, day));
  }

  private int nutrient(int group, int day, int nutrient) {
    if (lean) {
      throw new IllegalStateException("simulated for the farm only: what feed holds is not kept");
    }
    return (group * days + day) * QualityTable.Values.COUNT + nutrient;
  }

  /**
   * A nutrient in all that a group ate on a day, kg.
   *
   * @param nutrient as in {@link QualityTable.Values}
   */
  public double dietKg(int group, int day, int nutrient) {
    int at = nutrient(group, day, nutrient);
    return grazedKg[at] + storedKg[at];
  }

  /** All that a group ate on a day, kg DM. */
  public double eatenKg(int group, int day) {
    double sum = 0;
    for (Shelf s : Shelf.values()) {
      sum += eatenKg(s, group, day);
    }
    return sum;
  }

  /** Water in what a group ate on a day, litres. */
  public double feedWaterL(int group, int day) {
    return feedWaterL[group * days + day];
  }

  /** Field on which a group grazed most on a day, by its place in the farm; -1 for none. */
  public int onField(int group, int day) {
    return onField[group * days + day];
  }

  /** What a group ate of a lot on a day, kg DM. */
  public double groupLotEatenKg(int group, int lot, int day) {
    return groupLotDay[(day * groupCount + group) * lotCount + lot];
  }

  /** Lost in store over the plan, kg DM. */
  public double lotLostKg(int lot) {
    return totals.lotLost[lot];
  }

  /** Offered and not eaten over the plan, kg DM. */
  public double lotFedLostKg(int lot) {
    return totals.lotFedLost[lot];
  }

  /**
   * Share of a lot's dry matter that is eaten in the end: as in this year, or where none of it is
   * eaten by the usual loss of its feeding and half a year in store.
   */
  public double lotKeptShare(int lot) {
    double eaten = 0;
    for (int d = 0; d < days; d++) {
      eaten += lotEatenKg(lot, d);
    }
    ResolvedPlan.LotPlan l = resolved.lots[lot];
    double stored = Math.pow(l.keptPerDay, 365 / 2.0) * (1 - l.lostAtOpening);
    double fed =
        eaten <= 1e-6
            ? l.feeding.share()
            : totals.lotFedLost[lot] / (eaten + totals.lotFedLost[lot]);
    return stored * (1 - fed);
  }

  private double grazedByKg(int group, int day) {
    return eatenKg(Shelf.GROWING, group, day) + eatenKg(Shelf.STANDING, group, day);
  }

  private static double percent(double part, double whole) {
    return whole <= 1e-6 ? Double.NaN : 100 * part / whole;
  }

  /** Cover of a sown crop alone at the end of the day, kg DM/ha; by its place in the plan. */
  public double sownCoverKgPerHa(int sowing, int day) {
    return sownCover[sowing * days + day];
  }

  /** What became of a sowing, by its place in the plan. */
  public SowingYear sowing(int sowing) {
    return sowings[sowing];
  }

  public double grownKg(int field, int day) {
    return grown[at(field, day)];
  }

  public double grazedKg(int field, int day) {
    return fieldEaten[at(field, day)];
  }

  /** The part of what was grazed that counts as standing feed. */
  public double grazedStandingKg(int field, int day) {
    return fieldStandingEaten[at(field, day)];
  }

  /** Taken down by stock but not eaten. */
  public double trampledKg(int field, int day) {
    return trampled[at(field, day)];
  }

  public double weatheredKg(int field, int day) {
    return weathered[at(field, day)];
  }

  /** Taken off by a cut, harvest loss included. */
  public double cutKg(int field, int day) {
    return cutOff[at(field, day)];
  }

  /** Store level of a lot at the end of the day, kg DM, opened units included. */
  public double lotKg(int lot, int day) {
    return lotKg[day * lotCount + lot];
  }

  /** Units left at the end of the day, an opened one counted whole. */
  public int lotUnits(int lot, int day) {
    return lotUnits[day * lotCount + lot];
  }

  /** Units opened during the day. */
  public int lotOpened(int lot, int day) {
    return lotOpened[day * lotCount + lot];
  }

  public double lotEatenKg(int lot, int day) {
    return lotEaten[day * lotCount + lot];
  }

  /** What a group ate of a lot over the whole plan. */
  public double groupLotEatenKg(int group, int lot) {
    return totals.groupLotEaten[group * lotCount + lot];
  }

  /** Sum of unmet need over the plan, kg DM. */
  public double totalBareKg() {
    double sum = 0;
    for (double b : bare) {
      sum += b;
    }
    return sum;
  }

  /** Days on which more than {@code share} of the need is unmet. */
  public int bareDays(double share) {
    int count = 0;
    for (int d = 0; d < days; d++) {
      if (bareKg(d) > share * needKg(d)) {
        count++;
      }
    }
    return count;
  }

  /** Where every kilogram came from and went, kg DM over the plan. */
  public MassBalance massBalance() {
    return new MassBalance(
        totals.openingKg,
        totals.arrivedKg,
        totals.grownKg,
        totals.boughtKg,
        totals.countedKg,
        totals.eatenKg,
        totals.trampledKg,
        totals.harvestLossKg,
        totals.feedingLossKg,
        totals.weatheredKg,
        totals.storageLossKg,
        totals.leftBehindKg,
        closingKg);
  }

  /** The names of what the indices stand for. */
  public List<String> lotNames() {
    return java.util.Arrays.stream(resolved.lots).map(l -> l.lot.name()).toList();
  }

  /**
   * One account of the whole plan: everything in, everything out, kg DM.
   *
   * @param countedKg found by counting beyond what the plan supposed; below zero: missing
   */
  public record MassBalance(
      double openingKg,
      double arrivedKg,
      double grownKg,
      double boughtKg,
      double countedKg,
      double eatenKg,
      double trampledKg,
      double harvestLossKg,
      double feedingLossKg,
      double weatheredKg,
      double storageLossKg,
      double leftBehindKg,
      double closingKg) {

    public double inKg() {
      return openingKg + arrivedKg + grownKg + boughtKg + countedKg;
    }

    public double outKg() {
      return eatenKg
          + trampledKg
          + harvestLossKg
          + feedingLossKg
          + weatheredKg
          + storageLossKg
          + leftBehindKg
          + closingKg;
    }

    /** What does not close, as a share of all that came in. */
    public double error() {
      return Math.abs(inKg() - outKg()) / Math.max(1, inKg());
    }
  }
}
