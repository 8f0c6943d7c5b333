package wiselarder.core.day;

import java.util.Arrays;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.resolved.ResolvedPlan;

/** Sums since the plan's first day, kg DM; what a later day adds to. */
public final class Totals {
  public double openingKg;
  public double arrivedKg;
  public double grownKg;
  public double boughtKg;

  /** What counting found more than the plan supposed; below zero less. */
  public double countedKg;

  /** What readings of covers found more than was thought to stand; below zero less. */
  public double seenKg;

  public double eatenKg;
  public double trampledKg;
  public double harvestLossKg;
  public double feedingLossKg;
  public double weatheredKg;
  public double storageLossKg;
  public double leftBehindKg;

  /** By lot: lost in store and at feeding. */
  public final double[] lotLost;

  public final double[] lotFedLost;

  /** By lot that is cut in the plan and nutrient, percent of DM; and how ripe it was. */
  public final double[] lotWorth;

  public final double[] lotRipeness;

  /** Eaten, by group and lot. */
  public final double[] groupLotEaten;

  /** By planned pass for light: how many were made, and what was eaten. */
  public final int[] passCount;

  public final double[] passEatenKg;

  /** By sowing: grown in all, kg DM/ha. */
  public final double[] sownGrown;

  Totals(ResolvedPlan plan) {
    int lots = plan.lots.length;
    lotLost = new double[lots];
    lotFedLost = new double[lots];
    lotWorth = new double[lots * QualityTable.Values.COUNT];
    Arrays.fill(lotWorth, Double.NaN);
    lotRipeness = new double[lots];
    groupLotEaten = new double[plan.groups.length * lots];
    passCount = new int[plan.stated.plan().passes().size()];
    passEatenKg = new double[passCount.length];
    sownGrown = new double[plan.stated.plan().sowings().size()];
  }

  private Totals(Totals of) {
    openingKg = of.openingKg;
    arrivedKg = of.arrivedKg;
    grownKg = of.grownKg;
    boughtKg = of.boughtKg;
    countedKg = of.countedKg;
    seenKg = of.seenKg;
    eatenKg = of.eatenKg;
    trampledKg = of.trampledKg;
    harvestLossKg = of.harvestLossKg;
    feedingLossKg = of.feedingLossKg;
    weatheredKg = of.weatheredKg;
    storageLossKg = of.storageLossKg;
    leftBehindKg = of.leftBehindKg;
    lotLost = of.lotLost.clone();
    lotFedLost = of.lotFedLost.clone();
    lotWorth = of.lotWorth.clone();
    lotRipeness = of.lotRipeness.clone();
    groupLotEaten = of.groupLotEaten.clone();
    passCount = of.passCount.clone();
    passEatenKg = of.passEatenKg.clone();
    sownGrown = of.sownGrown.clone();
  }

  Totals copy() {
    return new Totals(this);
  }
}
