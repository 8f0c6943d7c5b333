package wiselarder.core.day;

import wiselarder.core.day.CellState.StandState;
import wiselarder.core.forage.LearningTimes;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;

/**
 * Who has learned to eat what. A new feed may be only a part of the diet in its first days, and
 * some never become the whole of it; off it for more than a week, stock begin again. Stock count as
 * used to what stands ready on the plan's first day.
 */
final class Learning {
  private static final double EPSILON_KG = 1e-9;

  private final ResolvedPlan plan;
  private final CellState[] cells;
  private final int feeds;

  /** By group and feed: the first day of this spell, the last one eaten, and eaten today, kg. */
  private final int[] first;

  private final int[] last;
  private final double[] todayKg;
  private final double[] needKg;

  /** By field: true where stock must learn something that stands there. */
  private final boolean[] learned;

  Learning(ResolvedPlan plan, FarmState state) {
    this.plan = plan;
    this.cells = state.cells;
    this.feeds = plan.feeds.size();
    first = state.learnedFirst;
    last = state.learnedLast;
    todayKg = new double[first.length];
    needKg = new double[plan.groups.length];
    learned = new boolean[plan.fields.length];
    for (int f = 0; f < learned.length; f++) {
      learned[f] = plan.fields[f].learned;
    }
  }

  /** A group's day begins. */
  void begin(int g, double need) {
    needKg[g] = need;
    java.util.Arrays.fill(todayKg, g * feeds, (g + 1) * feeds, 0);
  }

  /** True where a group may eat no more of what stands on a piece today. */
  boolean full(int g, int c, int day) {
    return learned[cells[c].field] && roomKg(g, c, day) <= EPSILON_KG;
  }

  /** What a group may still eat on a piece today, kg DM; endless where nothing must be learned. */
  double roomKg(int g, int c, int day) {
    CellState cell = cells[c];
    if (!learned[cell.field]) {
      return Double.POSITIVE_INFINITY;
    }
    FieldPlan p = plan.fields[cell.field];
    double above = cell.above(p);
    double room = Double.POSITIVE_INFINITY;
    for (int i = 0; i < p.stands.length; i++) {
      StandState stand = cell.stands[i];
      StandPlan sp = p.stands[i];
      double part = sp.feed < 0 || !stand.there ? 0 : stand.above(sp) / above;
      if (part > 0) {
        double most = mostShare(g, sp, day) * needKg[g];
        room = Math.min(room, (most - todayKg[g * feeds + sp.feed]) / part);
      }
    }
    return Math.max(0, room);
  }

  private double mostShare(int g, StandPlan sp, int day) {
    int at = g * feeds + sp.feed;
    boolean goesOn = day - last[at] <= LearningTimes.FORGOTTEN_AFTER_DAYS;
    double learned = plan.learning.mostShare(plan.feeds.get(sp.feed), goesOn ? day - first[at] : 0);
    return Math.min(learned, plan.groups[g].small ? sp.mostShareSheep : sp.mostShareCattle);
  }

  void ate(int g, StandPlan sp, int day, double kg) {
    if (sp.feed < 0 || kg <= 0) {
      return;
    }
    int at = g * feeds + sp.feed;
    if (day - last[at] > LearningTimes.FORGOTTEN_AFTER_DAYS) {
      first[at] = day;
    }
    last[at] = day;
    todayKg[at] += kg;
  }
}
