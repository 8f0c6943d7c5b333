package wiselarder.core.balance;

import java.util.List;
import wiselarder.core.calendar.PlanYear;
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

  /** By field and day: protein and TDN of all that stands, kg/ha at the end of the day. */
  final double[] standingProtein;

  final double[] standingTdn;

  /** By field and day: how ripe what stands is, 0 leafy to 1 ripe, by mass of its stands. */
  final double[] ripeness;

  /** By lot that is cut in the plan: protein, TDN and fibre, percent of DM; and how ripe it was. */
  final double[] lotWorth;

  final double[] lotRipeness;

  /** By planned pass for light: how many were made, and what was eaten, kg DM. */
  final int[] passCount;

  final double[] passEatenKg;

  /** By group and day: protein, TDN and fibre in what was grazed, kg. */
  final double[] grazedProteinKg;

  final double[] grazedTdnKg;
  final double[] grazedFibreKg;

  /** By sowing and day: cover of the sown crop alone, kg DM/ha; and grown in all, kg DM/ha. */
  final double[] sownCover;

  final double[] sownGrown;
  final SowingYear[] sowings;

  /** By lot and day: kg DM in store at the end of the day; whole or opened units left; opened. */
  final double[] lotKg;

  final int[] lotUnits;
  final int[] lotOpened;
  final double[] lotEaten;

  /** Eaten over the whole plan, by group and lot. */
  final double[] groupLotEaten;

  /** Sums over the plan, kg DM. */
  double openingKg;

  double arrivedKg;
  double grownKg;
  double boughtKg;
  double eatenKg;
  double trampledKg;
  double harvestLossKg;
  double feedingLossKg;
  double weatheredKg;
  double storageLossKg;
  double leftBehindKg;
  double closingKg;

  YearBalance(ResolvedPlan resolved) {
    this.resolved = resolved;
    days = resolved.days;
    fieldCount = resolved.fields.length;
    groupCount = resolved.groups.length;
    lotCount = resolved.lots.length;
    need = new double[groupCount * days];
    bare = new double[groupCount * days];
    eaten = new double[Shelf.values().length * groupCount * days];
    cover = new double[fieldCount * days];
    green = new double[fieldCount * days];
    grown = new double[fieldCount * days];
    fieldEaten = new double[fieldCount * days];
    fieldStandingEaten = new double[fieldCount * days];
    trampled = new double[fieldCount * days];
    weathered = new double[fieldCount * days];
    cutOff = new double[fieldCount * days];
    water = new double[fieldCount * days];
    standingProtein = new double[fieldCount * days];
    standingTdn = new double[fieldCount * days];
    ripeness = new double[fieldCount * days];
    lotWorth = new double[lotCount * 3];
    java.util.Arrays.fill(lotWorth, Double.NaN);
    lotRipeness = new double[lotCount];
    passCount = new int[resolved.stated.plan().passes().size()];
    passEatenKg = new double[passCount.length];
    grazedProteinKg = new double[groupCount * days];
    grazedTdnKg = new double[groupCount * days];
    grazedFibreKg = new double[groupCount * days];
    int sown = resolved.stated.plan().sowings().size();
    sownCover = new double[sown * days];
    sownGrown = new double[sown];
    sowings =
        resolved.stated.plan().sowings().stream()
            .map(SowingYear::outside)
            .toArray(SowingYear[]::new);
    lotKg = new double[lotCount * days];
    lotUnits = new int[lotCount * days];
    lotOpened = new int[lotCount * days];
    lotEaten = new double[lotCount * days];
    groupLotEaten = new double[groupCount * lotCount];
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
    return cover[day * fieldCount + field];
  }

  /** Green part of the cover at the end of the day, kg DM/ha. */
  public double greenKgPerHa(int field, int day) {
    return green[day * fieldCount + field];
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
    return water[day * fieldCount + field];
  }

  /** Most water the field's soil holds for its stands, mm. */
  public double soilCapacityMm(int field) {
    return resolved.fields[field].capacityMm;
  }

  /** Crude protein of all that stands on a field, percent of DM; NaN where nothing does. */
  public double standingProteinPct(int field, int day) {
    return percent(standingProtein[day * fieldCount + field], coverKgPerHa(field, day));
  }

  /** Total digestible nutrients of all that stands, percent of DM; NaN where nothing does. */
  public double standingTdnPct(int field, int day) {
    return percent(standingTdn[day * fieldCount + field], coverKgPerHa(field, day));
  }

  /** How ripe what stands is: 0 leafy, 0.5 boot or bud, 0.75 heading or bloom, 1 ripe. */
  public double ripeness(int field, int day) {
    return ripeness[day * fieldCount + field];
  }

  /** Crude protein of hay or silage cut in the plan, percent of DM; NaN for any other lot. */
  public double lotProteinPct(int lot) {
    return lotWorth[lot * 3];
  }

  /** Total digestible nutrients of hay or silage cut in the plan, percent of DM; else NaN. */
  public double lotTdnPct(int lot) {
    return lotWorth[lot * 3 + 1];
  }

  /** Neutral detergent fibre of hay or silage cut in the plan, percent of DM; else NaN. */
  public double lotFibrePct(int lot) {
    return lotWorth[lot * 3 + 2];
  }

  /** How ripe a lot was when it was cut. */
  public double lotRipeness(int lot) {
    return lotRipeness[lot];
  }

  /** How many passes for light the season asked for, by their place in the plan. */
  public int passes(int pass) {
    return passCount[pass];
  }

  /** What stock ate on passes for light, kg DM over the plan. */
  public double passEatenKg(int pass) {
    return passEatenKg[pass];
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
    return percent(grazedProteinKg[group * days + day], grazedByKg(group, day));
  }

  /** Total digestible nutrients of what a group grazed, percent of DM; NaN where nothing. */
  public double grazedTdnPct(int group, int day) {
    return percent(grazedTdnKg[group * days + day], grazedByKg(group, day));
  }

  /** Neutral detergent fibre of what a group grazed, percent of DM; NaN where nothing. */
  public double grazedFibrePct(int group, int day) {
    return percent(grazedFibreKg[group * days + day], grazedByKg(group, day));
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
    return grown[day * fieldCount + field];
  }

  public double grazedKg(int field, int day) {
    return fieldEaten[day * fieldCount + field];
  }

  /** The part of what was grazed that counts as standing feed. */
  public double grazedStandingKg(int field, int day) {
    return fieldStandingEaten[day * fieldCount + field];
  }

  /** Taken down by stock but not eaten. */
  public double trampledKg(int field, int day) {
    return trampled[day * fieldCount + field];
  }

  public double weatheredKg(int field, int day) {
    return weathered[day * fieldCount + field];
  }

  /** Taken off by a cut, harvest loss included. */
  public double cutKg(int field, int day) {
    return cutOff[day * fieldCount + field];
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
    return groupLotEaten[group * lotCount + lot];
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
        openingKg,
        arrivedKg,
        grownKg,
        boughtKg,
        eatenKg,
        trampledKg,
        harvestLossKg,
        feedingLossKg,
        weatheredKg,
        storageLossKg,
        leftBehindKg,
        closingKg);
  }

  /** The names of what the indices stand for. */
  public List<String> lotNames() {
    return java.util.Arrays.stream(resolved.lots).map(l -> l.lot.name()).toList();
  }

  /** One account of the whole plan: everything in, everything out, kg DM. */
  public record MassBalance(
      double openingKg,
      double arrivedKg,
      double grownKg,
      double boughtKg,
      double eatenKg,
      double trampledKg,
      double harvestLossKg,
      double feedingLossKg,
      double weatheredKg,
      double storageLossKg,
      double leftBehindKg,
      double closingKg) {

    public double inKg() {
      return openingKg + arrivedKg + grownKg + boughtKg;
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
