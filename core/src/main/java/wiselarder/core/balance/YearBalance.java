package wiselarder.core.balance;

import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.day.DayBook;
import wiselarder.core.day.Reading;
import wiselarder.core.day.Shelf;
import wiselarder.core.day.SowingYear;
import wiselarder.core.day.YearSimulator;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.resolved.ResolvedPlan;

/**
 * What a simulated year gave: everything any view shows is read from here. Amounts in kg DM for the
 * whole group, field or lot; covers in kg DM/ha at the end of the day. Recorded during the day
 * unless said otherwise. Not to be changed by readers.
 */
public final class YearBalance {
  final DayBook book;
  private final ResolvedPlan resolved;
  final int days;
  final int fieldCount;
  final int groupCount;
  final int lotCount;

  private YearBalance(DayBook book) {
    this.book = book;
    this.resolved = book.resolved;
    this.days = book.days;
    this.fieldCount = book.fieldCount;
    this.groupCount = book.groupCount;
    this.lotCount = book.lotCount;
  }

  /** Simulates the whole plan. */
  public static YearBalance simulate(ResolvedPlan plan) {
    return new YearBalance(YearSimulator.run(plan));
  }

  /** As {@link YearSimulator#runLean}: single fields and the worth of feed are not kept. */
  public static YearBalance farmOnly(ResolvedPlan plan) {
    return new YearBalance(YearSimulator.runLean(plan));
  }

  /** As {@link YearSimulator#runFrom}: what another plan gave before a day is taken over. */
  public static YearBalance from(ResolvedPlan plan, YearBalance like, int sameUntil) {
    return new YearBalance(YearSimulator.runFrom(plan, like.book, sameUntil));
  }

  /** As {@link #from} and {@link #farmOnly} at once. */
  public static YearBalance farmOnlyFrom(ResolvedPlan plan, YearBalance like, int sameUntil) {
    return new YearBalance(YearSimulator.runLeanFrom(plan, like.book, sameUntil));
  }

  /** As {@link YearSimulator#runLeanAfter}: in other weather from about a day on. */
  public static YearBalance farmOnlyAfter(ResolvedPlan plan, YearBalance before, int day) {
    return new YearBalance(YearSimulator.runLeanAfter(plan, before.book, day));
  }

  /** The morning on which the weather turns in {@link #farmOnlyAfter}, no later than the day. */
  public int turnsOn(int day) {
    return YearSimulator.turnsOn(book, day);
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
    return book.need[group * days + day];
  }

  public double bareKg(int group, int day) {
    return book.bare[group * days + day];
  }

  public double eatenKg(Shelf shelf, int group, int day) {
    return book.eaten[(shelf.ordinal() * groupCount + group) * days + day];
  }

  /** Need of all groups on a day. */
  public double needKg(int day) {
    double sum = 0;
    for (int g = 0; g < groupCount; g++) {
      sum += book.need[g * days + day];
    }
    return sum;
  }

  /** Unmet need of all groups on a day. */
  public double bareKg(int day) {
    double sum = 0;
    for (int g = 0; g < groupCount; g++) {
      sum += book.bare[g * days + day];
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
    return book.cover[at(field, day)];
  }

  /** Green part of the cover at the end of the day, kg DM/ha. */
  public double greenKgPerHa(int field, int day) {
    return book.green[at(field, day)];
  }

  /** What stands above the residual at the end of the day and would be eaten, kg DM. */
  public double offeredKg(int field, int day) {
    ResolvedPlan.FieldPlan f = resolved.fields[field];
    return Math.max(0, coverKgPerHa(field, day) - f.base().residual)
        * f.areaHa
        * resolved.pieces.utilization(field, 0, false);
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
    return book.water[at(field, day)];
  }

  /** All that has grown from the first day to the end of this one, kg DM. */
  public double grownSoFarKg(int day) {
    return book.grownSoFarKg[day];
  }

  /** Water that plants can use in the farm's soil at the end of the day, share of the most. */
  public double soilWaterShare(int day) {
    double most = 0;
    for (ResolvedPlan.FieldPlan p : book.resolved.fields) {
      most += p.capacityMm * p.areaHa;
    }
    return most <= 0 ? 0 : book.soilMmHa[day] / most;
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

  /** A nutrient of all that stands, percent of DM; NaN where nothing does. */
  public double standingPct(int field, int day, int nutrient) {
    double cover = coverKgPerHa(field, day);
    return percent(book.standing[field][day * DayBook.STANDING + nutrient], cover);
  }

  /** Crude protein of what a mower would take, percent of DM; NaN where nothing stands so high. */
  public double mownProteinPct(int field, int day) {
    return mownPct(field, day, QualityTable.Values.PROTEIN);
  }

  /** Total digestible nutrients of what a mower would take, percent of DM; else NaN. */
  public double mownTdnPct(int field, int day) {
    return mownPct(field, day, QualityTable.Values.TDN);
  }

  private double mownPct(int field, int day, int nutrient) {
    return percent(book.mown[field][day * DayBook.STANDING + nutrient], book.mownKg[field][day]);
  }

  /** What a mower would take, kg DM/ha, harvest loss not yet taken off. */
  public double mownKgPerHa(int field, int day) {
    return book.mownKg[field][day];
  }

  /** All that stands on the farm at the end of the day, kg DM. */
  public double standingKg(int day) {
    return book.standingKg[day];
  }

  private int at(int field, int day) {
    if (book.lean) {
      throw new IllegalStateException("simulated for the farm only: single fields are not kept");
    }
    return day * fieldCount + field;
  }

  /** How ripe what stands is: 0 leafy, 0.5 boot or bud, 0.75 heading or bloom, 1 ripe. */
  public double ripeness(int field, int day) {
    return book.ripeness[at(field, day)];
  }

  /** Crude protein of hay or silage cut in the plan, percent of DM; NaN for any other lot. */
  public double lotProteinPct(int lot) {
    return book.totals.lotWorth[lot * QualityTable.Values.COUNT + QualityTable.Values.PROTEIN];
  }

  /** Total digestible nutrients of hay or silage cut in the plan, percent of DM; else NaN. */
  public double lotTdnPct(int lot) {
    return book.totals.lotWorth[lot * QualityTable.Values.COUNT + QualityTable.Values.TDN];
  }

  /** Neutral detergent fibre of hay or silage cut in the plan, percent of DM; else NaN. */
  public double lotFibrePct(int lot) {
    return book.totals.lotWorth[lot * QualityTable.Values.COUNT + QualityTable.Values.FIBRE];
  }

  /** How ripe a lot was when it was cut. */
  public double lotRipeness(int lot) {
    return book.totals.lotRipeness[lot];
  }

  /** How many passes for light the season asked for, by their place in the plan. */
  public int passes(int pass) {
    return book.totals.passCount[pass];
  }

  /** What stock ate on passes for light, kg DM over the plan. */
  public double passEatenKg(int pass) {
    return book.totals.passEatenKg[pass];
  }

  /**
   * The ground that stock were given that day where the field is opened in strips, ha: of the part
   * of a piece that they had not been over since they came, as much as they took down of what stood
   * above the residual on all of it. 0 where nothing was grazed.
   */
  public double breakHa(int field, int day) {
    return Math.min(resolved.fields[field].areaHa, book.grazedHa[at(field, day)]);
  }

  /** Crude protein of what a group grazed on a day, percent of DM; NaN where it grazed nothing. */
  public double grazedProteinPct(int group, int day) {
    return percent(
        book.grazedKg[nutrient(group, day, QualityTable.Values.PROTEIN)], grazedByKg(group, day));
  }

  /** Total digestible nutrients of what a group grazed, percent of DM; NaN where nothing. */
  public double grazedTdnPct(int group, int day) {
    return percent(
        book.grazedKg[nutrient(group, day, QualityTable.Values.TDN)], grazedByKg(group, day));
  }

  /** Neutral detergent fibre of what a group grazed, percent of DM; NaN where nothing. */
  public double grazedFibrePct(int group, int day) {
    return percent(
        book.grazedKg[nutrient(group, day, QualityTable.Values.FIBRE)], grazedByKg(group, day));
  }

  private int nutrient(int group, int day, int nutrient) {
    if (book.lean) {
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
    return book.grazedKg[at] + book.storedKg[at];
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
    return book.feedWaterL[group * days + day];
  }

  /** Field on which a group grazed most on a day, by its place in the farm; -1 for none. */
  public int onField(int group, int day) {
    return book.onField[group * days + day];
  }

  /** What a group ate of a lot on a day, kg DM. */
  public double groupLotEatenKg(int group, int lot, int day) {
    return book.groupLotDay[(day * groupCount + group) * lotCount + lot];
  }

  /** Lost in store over the plan, kg DM. */
  public double lotLostKg(int lot) {
    return book.totals.lotLost[lot];
  }

  /** Offered and not eaten over the plan, kg DM. */
  public double lotFedLostKg(int lot) {
    return book.totals.lotFedLost[lot];
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
            : book.totals.lotFedLost[lot] / (eaten + book.totals.lotFedLost[lot]);
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
    return book.sownCover[sowing * days + day];
  }

  /** What became of a sowing, by its place in the plan. */
  public SowingYear sowing(int sowing) {
    return book.sowings[sowing];
  }

  public double grownKg(int field, int day) {
    return book.grown[at(field, day)];
  }

  public double grazedKg(int field, int day) {
    return book.fieldEaten[at(field, day)];
  }

  /** The part of what was grazed that counts as standing feed. */
  public double grazedStandingKg(int field, int day) {
    return book.fieldStandingEaten[at(field, day)];
  }

  /** Taken down by stock but not eaten. */
  public double trampledKg(int field, int day) {
    return book.trampled[at(field, day)];
  }

  public double weatheredKg(int field, int day) {
    return book.weathered[at(field, day)];
  }

  /** Taken off by a cut, harvest loss included. */
  public double cutKg(int field, int day) {
    return book.cutOff[at(field, day)];
  }

  /** Store level of a lot at the end of the day, kg DM, opened units included. */
  public double lotKg(int lot, int day) {
    return book.lotKg[day * lotCount + lot];
  }

  /** Units left at the end of the day, an opened one counted whole. */
  public int lotUnits(int lot, int day) {
    return book.lotUnits[day * lotCount + lot];
  }

  /** Units opened during the day. */
  public int lotOpened(int lot, int day) {
    return book.lotOpened[day * lotCount + lot];
  }

  public double lotEatenKg(int lot, int day) {
    return book.lotEaten[day * lotCount + lot];
  }

  /** What a group ate of a lot over the whole plan. */
  public double groupLotEatenKg(int group, int lot) {
    return book.totals.groupLotEaten[group * lotCount + lot];
  }

  /** Sum of unmet need over the plan, kg DM. */
  public double totalBareKg() {
    double sum = 0;
    for (double b : book.bare) {
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

  /** Covers that were measured, as the days came to them. */
  public List<Reading> readings() {
    return java.util.Collections.unmodifiableList(book.readings);
  }

  /** What growth of a day was multiplied by, as readings have the season run; 1 without any. */
  public double paceShare(int day) {
    return book.paceShare[day];
  }

  /** Where every kilogram came from and went, kg DM over the plan. */
  public MassBalance massBalance() {
    return new MassBalance(
        book.totals.openingKg,
        book.totals.arrivedKg,
        book.totals.grownKg,
        book.totals.boughtKg,
        book.totals.countedKg,
        book.totals.seenKg,
        book.totals.eatenKg,
        book.totals.trampledKg,
        book.totals.harvestLossKg,
        book.totals.feedingLossKg,
        book.totals.weatheredKg,
        book.totals.storageLossKg,
        book.totals.leftBehindKg,
        book.closingKg);
  }

  /** The names of what the indices stand for. */
  public List<String> lotNames() {
    return java.util.Arrays.stream(resolved.lots).map(l -> l.lot.name()).toList();
  }

  /**
   * One account of the whole plan: everything in, everything out, kg DM.
   *
   * @param countedKg found by counting beyond what the plan supposed; below zero: missing
   * @param seenKg the same of readings of covers
   */
  public record MassBalance(
      double openingKg,
      double arrivedKg,
      double grownKg,
      double boughtKg,
      double countedKg,
      double seenKg,
      double eatenKg,
      double trampledKg,
      double harvestLossKg,
      double feedingLossKg,
      double weatheredKg,
      double storageLossKg,
      double leftBehindKg,
      double closingKg) {

    public double inKg() {
      return openingKg + arrivedKg + grownKg + boughtKg + countedKg + seenKg;
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
