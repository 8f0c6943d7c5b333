package wiselarder.core.day;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.NavigableMap;
import java.util.TreeMap;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.resolved.ResolvedPlan;

/**
 * What the days of a simulation wrote down: fields and lots day after day, {@code array[day * items
 * + item]}, groups and sowings item after item. Amounts in kg DM for the whole group, field or lot;
 * covers in kg DM/ha at the end of the day. It is read through {@code balance.YearBalance} and not
 * changed once the last day is over.
 */
public final class DayBook {
  public final ResolvedPlan resolved;
  public final int days;
  public final int fieldCount;
  public final int groupCount;
  public final int lotCount;

  /** By group and day. */
  public final double[] need;

  public final double[] bare;

  /** By shelf, group and day: {@code [(shelf * groups + group) * days + day]}. */
  public final double[] eaten;

  /** By field and day; covers per ha. */
  public final double[] cover;

  public final double[] green;
  public final double[] grown;
  public final double[] fieldEaten;
  public final double[] fieldStandingEaten;
  public final double[] trampled;
  public final double[] weathered;
  public final double[] cutOff;

  /** The ground that was grazed that day: what was taken down over what stood there, ha. */
  public final double[] grazedHa;

  /** Plant-available water in the soil at the end of the day, mm. */
  public final double[] water;

  /** Nutrients kept of what stands: protein and TDN. */
  public static final int STANDING = 2;

  /**
   * By field: protein and TDN of all that stands, and of what a mower would take, kg/ha at the end
   * of the day, {@code [day * 2 + nutrient]}; and what a mower would take by day.
   */
  public final double[][] standing;

  public final double[][] mown;
  public final double[][] mownKg;

  /** By day: all that stands on the farm, kg DM at the end of the day. */
  public final double[] standingKg;

  /** By day: all that has grown since the first day, kg DM, and water in the soil, mm times ha. */
  public final double[] grownSoFarKg;

  public final double[] soilMmHa;

  /** True where single fields are not kept: their figures say nothing. */
  public final boolean lean;

  /** By field and day: how ripe what stands is, 0 leafy to 1 ripe, by mass of its stands. */
  public final double[] ripeness;

  /** By group, day and nutrient: what was in the feed grazed and in that from the store, kg. */
  public final double[] grazedKg;

  public final double[] storedKg;

  /** By group and day: water in what was eaten, litres; and the field most was grazed on, or -1. */
  public final double[] feedWaterL;

  public final int[] onField;

  /** By day, group and lot: eaten, kg DM. Nothing of these four is kept where lean. */
  public final double[] groupLotDay;

  /** By sowing and day: cover of the sown crop alone, kg DM/ha. */
  public final double[] sownCover;

  public final SowingYear[] sowings;

  /** By lot and day: kg DM in store at the end of the day; whole or opened units left; opened. */
  public final double[] lotKg;

  public final int[] lotUnits;
  public final int[] lotOpened;
  public final double[] lotEaten;

  /** Sums over the plan. */
  public Totals totals;

  /** Readings of covers, as the days came to them. */
  public final List<Reading> readings = new ArrayList<>();

  /** By day: what growth was multiplied by, as readings have the season run; 1 without any. */
  public final double[] paceShare;

  /** All that was left at the end of the plan, kg DM. */
  public double closingKg;

  /** Whether {@link #states} are kept; where lean they are for lean runs only. */
  boolean keepsStates;

  /** States from which a run can start, by day; see {@link YearSimulator}. */
  public final NavigableMap<Integer, FarmState> states = new TreeMap<>();

  DayBook(ResolvedPlan resolved, boolean lean) {
    this.resolved = resolved;
    this.lean = lean;
    keepsStates = !lean;
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
    grazedHa = new double[fieldCount * rows];
    water = new double[fieldCount * rows];
    standing = new double[fieldCount][lean ? 0 : days * STANDING];
    mown = new double[fieldCount][lean ? 0 : days * STANDING];
    mownKg = new double[fieldCount][lean ? 0 : days];
    standingKg = new double[days];
    grownSoFarKg = new double[days];
    paceShare = new double[days];
    soilMmHa = new double[days];
    ripeness = new double[fieldCount * rows];
    int fed = lean ? 0 : groupCount * days;
    grazedKg = new double[fed * QualityTable.Values.COUNT];
    storedKg = new double[fed * QualityTable.Values.COUNT];
    feedWaterL = new double[fed];
    onField = new int[fed];
    Arrays.fill(onField, -1);
    groupLotDay = new double[fed * lotCount];
    int sown = resolved.stated.plan().sowings().size();
    sownCover = new double[sown * days];
    sowings = outside();
    lotKg = new double[lotCount * days];
    lotUnits = new int[lotCount * days];
    lotOpened = new int[lotCount * days];
    lotEaten = new double[lotCount * days];
  }

  /** Takes over what another simulation, that kept no less, gave on the days before one. */
  void takeOver(DayBook of, int before) {
    for (int g = 0; g < groupCount; g++) {
      head(of.need, need, g, before, 1);
      head(of.bare, bare, g, before, 1);
    }
    for (int i = 0; i < Shelf.values().length * groupCount; i++) {
      head(of.eaten, eaten, i, before, 1);
    }
    for (int s = 0; s < sowings.length; s++) {
      head(of.sownCover, sownCover, s, before, 1);
    }
    System.arraycopy(of.standingKg, 0, standingKg, 0, before);
    System.arraycopy(of.grownSoFarKg, 0, grownSoFarKg, 0, before);
    System.arraycopy(of.paceShare, 0, paceShare, 0, before);
    of.readings.stream().filter(r -> r.day() < before).forEach(readings::add);
    System.arraycopy(of.soilMmHa, 0, soilMmHa, 0, before);
    takeOverLots(of, before);
    states.putAll(of.states.headMap(before, true));
    if (!lean) {
      takeOverFields(of, before);
      takeOverFeed(of, before);
    }
  }

  private void takeOverFields(DayBook of, int before) {
    double[][] ofFields = of.rowsOfFields();
    double[][] fields = rowsOfFields();
    for (int i = 0; i < fields.length; i++) {
      System.arraycopy(ofFields[i], 0, fields[i], 0, before * fieldCount);
    }
    for (int f = 0; f < fieldCount; f++) {
      System.arraycopy(of.standing[f], 0, standing[f], 0, before * STANDING);
      System.arraycopy(of.mown[f], 0, mown[f], 0, before * STANDING);
      System.arraycopy(of.mownKg[f], 0, mownKg[f], 0, before);
    }
  }

  private void takeOverFeed(DayBook of, int before) {
    for (int g = 0; g < groupCount; g++) {
      head(of.grazedKg, grazedKg, g, before, QualityTable.Values.COUNT);
      head(of.storedKg, storedKg, g, before, QualityTable.Values.COUNT);
      head(of.feedWaterL, feedWaterL, g, before, 1);
      System.arraycopy(of.onField, g * days, onField, g * days, before);
    }
    System.arraycopy(of.groupLotDay, 0, groupLotDay, 0, before * groupCount * lotCount);
  }

  /** What is kept of all fields day by day, a day's fields beside each other. */
  private double[][] rowsOfFields() {
    return new double[][] {
      cover,
      green,
      grown,
      fieldEaten,
      fieldStandingEaten,
      trampled,
      weathered,
      cutOff,
      grazedHa,
      water,
      ripeness
    };
  }

  private SowingYear[] outside() {
    return resolved.stated.plan().sowings().stream()
        .map(SowingYear::outside)
        .toArray(SowingYear[]::new);
  }

  private void takeOverLots(DayBook of, int before) {
    System.arraycopy(of.lotKg, 0, lotKg, 0, before * lotCount);
    System.arraycopy(of.lotUnits, 0, lotUnits, 0, before * lotCount);
    System.arraycopy(of.lotOpened, 0, lotOpened, 0, before * lotCount);
    System.arraycopy(of.lotEaten, 0, lotEaten, 0, before * lotCount);
  }

  private void head(double[] from, double[] to, int item, int before, int figures) {
    int at = item * days * figures;
    System.arraycopy(from, at, to, at, before * figures);
  }

  /** First place of a day in the arrays of fields. */
  int row(int day) {
    return lean ? 0 : day * fieldCount;
  }
}
