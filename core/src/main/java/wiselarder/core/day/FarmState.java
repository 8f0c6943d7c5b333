package wiselarder.core.day;

import java.util.Arrays;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;

/**
 * All that a day leaves behind for the next: fields and lots as they are, what each group has
 * learned, eaten of late and stands on, and the sums so far. A run of the days from here on needs
 * nothing else but the plan; what lies outside of it is scratch of a day.
 */
final class FarmState {
  /** A day so long ago that whatever happened on it counts as always. */
  static final int LONG_AGO = -10_000;

  /** The pieces of the fields, field by field. */
  final CellState[] cells;

  final LotState[] lots;

  /** By group: running means of TDN and fibre of its feed, percent of DM; 0 before the first. */
  final double[] meanTdn;

  final double[] meanFibre;

  /** By group and feed that must be learned: first day of this spell, and the last one eaten. */
  final int[] learnedFirst;

  final int[] learnedLast;

  /** Piece each group's step stands on, -1 for none; by group, then step. */
  final int[][] standingOn;

  /** Piece it goes to beside that one, where no more of what it learns is allowed. */
  final int[][] besideOn;

  /** Day on which it came to the piece it stands on; what could be eaten there then, kg DM/ha. */
  final int[][] cameOn;

  final double[][] cameTo;

  /** By group: field that it was brought to last, as written down, while it stays; else -1. */
  final int[] broughtTo;

  final int[] broughtOn;

  /** By group: true where most of yesterday's feed came from the store. */
  final boolean[] onStore;

  /** By group, pass and piece of the field: true while it is being made. */
  final boolean[][][] passing;

  final Totals totals;

  /** What readings have said of how the season runs. */
  final Pace pace;

  /** The state in the morning of the plan's first day, before anything has come in. */
  FarmState(ResolvedPlan plan) {
    int groups = plan.groups.length;
    cells = new CellState[plan.pieces.count()];
    for (int c = 0; c < cells.length; c++) {
      int f = plan.pieces.field(c);
      cells[c] = new CellState(plan.fields[f], f, plan.pieces.of(f), plan.weather.kind());
    }
    lots = Arrays.stream(plan.lots).map(l -> new LotState()).toArray(LotState[]::new);
    meanTdn = new double[groups];
    meanFibre = new double[groups];
    learnedFirst = new int[groups * plan.feeds.size()];
    learnedLast = new int[learnedFirst.length];
    standingOn = new int[groups][];
    besideOn = new int[groups][];
    cameOn = new int[groups][];
    cameTo = new double[groups][];
    onStore = new boolean[groups];
    broughtTo = new int[groups];
    Arrays.fill(broughtTo, -1);
    broughtOn = new int[groups];
    passing = new boolean[groups][][];
    for (int g = 0; g < groups; g++) {
      standingOn[g] = new int[plan.groups[g].steps.length];
      Arrays.fill(standingOn[g], -1);
      besideOn[g] = standingOn[g].clone();
      cameOn[g] = new int[standingOn[g].length];
      cameTo[g] = new double[standingOn[g].length];
      passing[g] = new boolean[plan.groups[g].passes.length][];
      for (int n = 0; n < passing[g].length; n++) {
        passing[g][n] = new boolean[plan.pieces.of(plan.groups[g].passes[n].field)];
      }
    }
    totals = new Totals(plan);
    pace = new Pace(read(plan));
    used(plan);
  }

  /** Stock count as used to what stands ready on the plan's first day. */
  private void used(ResolvedPlan plan) {
    Arrays.fill(learnedLast, LONG_AGO);
    int feeds = plan.feeds.size();
    for (FieldPlan p : plan.fields) {
      StandPlan base = p.base();
      boolean ready = base.arrives <= 0 && p.openingGreen + p.openingDead >= base.turnIn;
      for (StandPlan s : p.stands) {
        boolean known = s.crop == null ? ready : s.crop.standing != null && s.crop.standing.ready();
        for (int g = 0; s.feed >= 0 && known && g < plan.groups.length; g++) {
          learnedFirst[g * feeds + s.feed] = LONG_AGO;
          learnedLast[g * feeds + s.feed] = -1;
        }
      }
    }
  }

  /** How many fields may be read: none of those of a plan without readings. */
  private static int read(ResolvedPlan plan) {
    return plan.seen.isEmpty() ? 0 : plan.fields.length;
  }

  private FarmState(FarmState of, int read) {
    cells = Arrays.stream(of.cells).map(CellState::copy).toArray(CellState[]::new);
    lots = Arrays.stream(of.lots).map(LotState::copy).toArray(LotState[]::new);
    meanTdn = of.meanTdn.clone();
    meanFibre = of.meanFibre.clone();
    learnedFirst = of.learnedFirst.clone();
    learnedLast = of.learnedLast.clone();
    standingOn = Arrays.stream(of.standingOn).map(int[]::clone).toArray(int[][]::new);
    besideOn = Arrays.stream(of.besideOn).map(int[]::clone).toArray(int[][]::new);
    onStore = of.onStore.clone();
    broughtTo = of.broughtTo.clone();
    broughtOn = of.broughtOn.clone();
    cameOn = Arrays.stream(of.cameOn).map(int[]::clone).toArray(int[][]::new);
    cameTo = Arrays.stream(of.cameTo).map(double[]::clone).toArray(double[][]::new);
    passing =
        Arrays.stream(of.passing)
            .map(p -> Arrays.stream(p).map(boolean[]::clone).toArray(boolean[][]::new))
            .toArray(boolean[][][]::new);
    totals = of.totals.copy();
    pace = of.pace.copy(read);
  }

  /** The same state, to go on from without touching this one. */
  FarmState copy() {
    return new FarmState(this, 0);
  }

  /** The same state of another plan, which may know of readings from this morning on. */
  FarmState copyFor(ResolvedPlan plan) {
    return new FarmState(this, read(plan));
  }
}
