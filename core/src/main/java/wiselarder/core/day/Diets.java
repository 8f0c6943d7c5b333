package wiselarder.core.day;

import wiselarder.core.day.CellState.StandState;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.forage.QualityTable.Values;
import wiselarder.core.herd.Appetite;
import wiselarder.core.herd.Energy;
import wiselarder.core.herd.Water;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.GroupPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;

/**
 * What each group's feed is worth, and what a group asks for that goes by its need of energy: by
 * the feed of the last week or so, as nobody knows today's before it is eaten.
 */
final class Diets {
  /** Share of a day in the running mean of the feed. Assumption: about a week. */
  private static final double DAY_SHARE = 1 / 7.0;

  private final ResolvedPlan plan;
  private final DayBook out;
  private final Worth worth = new Worth();

  /** By group: running means of TDN and fibre, percent of DM; and the sums of the day. */
  private final double[] meanTdn;

  private final double[] meanFibre;
  private final double[] dayKg;
  private final double[] dayTdnKg;
  private final double[] dayFibreKg;
  private final double[] mostOnField;

  Diets(ResolvedPlan plan, DayBook out, FarmState state) {
    this.plan = plan;
    this.out = out;
    int groups = plan.groups.length;
    meanTdn = state.meanTdn;
    meanFibre = state.meanFibre;
    dayKg = new double[groups];
    dayTdnKg = new double[groups];
    dayFibreKg = new double[groups];
    mostOnField = new double[groups];
  }

  /** What a group asks for today, kg DM. */
  double begin(int g, int day) {
    GroupPlan group = plan.groups[g];
    dayKg[g] = 0;
    dayTdnKg[g] = 0;
    dayFibreKg[g] = 0;
    mostOnField[g] = 0;
    double stated = plan.demand[g].needKg(day);
    if (!group.byEnergy || stated <= 0) {
      return stated;
    }
    if (meanTdn[g] <= 0) {
      meanTdn[g] = group.year.tdnNeedPct(day);
      meanFibre[g] = ResolvedPlan.FIRST_FIBRE_PCT;
    }
    double own =
        Appetite.kg(
            plan.demand[g].energyMj(day) - group.year.youngEnergyMj(day),
            Energy.mjPerKg(meanTdn[g]),
            group.year.fibreCapKg(day) * plan.demand[g].coldAppetite(day),
            meanFibre[g]);
    return plan.demand[g].appetite(day) * (own + group.year.youngKg()[day]);
  }

  private boolean follows(int g) {
    return !out.lean || plan.groups[g].byEnergy;
  }

  /** Notes what a mouthful is worth: greener than the stand, as the group chooses. */
  void grazed(
      int g, int f, int day, StandPlan sp, StandState stand, double eatenKg, double offKgPerHa) {
    QualityTable.Values values = plan.worth[sp.kind];
    if (!follows(g) || values == null) {
      return;
    }
    double green = plan.groups[g].chooses * stand.green;
    double share = green + stand.dead <= 0 ? 0 : green / (green + stand.dead);
    worth.of(stand, share, stand.youngShareOf(offKgPerHa, plan.groups[g].picks));
    dayKg[g] += eatenKg;
    dayTdnKg[g] += eatenKg * worth.share[Values.TDN];
    dayFibreKg[g] += eatenKg * worth.share[Values.FIBRE];
    if (out.lean) {
      return;
    }
    int at = (g * plan.days + day) * Values.COUNT;
    for (int n = 0; n < Values.COUNT; n++) {
      out.grazedKg[at + n] += eatenKg * worth.share[n];
    }
    double young = share * stand.youngShareOf(offKgPerHa, plan.groups[g].picks);
    double oldDry = stand.grows ? Water.OLD_DM_SHARE : Water.DORMANT_DM_SHARE;
    double water =
        young * Water.inFeedPerKg(Water.YOUNG_DM_SHARE)
            + (share - young) * Water.inFeedPerKg(oldDry)
            + (1 - share) * Water.inFeedPerKg(Water.DEAD_DM_SHARE);
    out.feedWaterL[g * plan.days + day] += eatenKg * water;
    if (eatenKg > mostOnField[g]) {
      mostOnField[g] = eatenKg;
      out.onField[g * plan.days + day] = f;
    }
  }

  /** Notes what a feed of the store is worth. */
  void ateStored(
      int g, int day, double eatenKg, double[] worthPct, double tdnLost, double waterLPerKg) {
    if (!follows(g)) {
      return;
    }
    dayKg[g] += eatenKg;
    dayTdnKg[g] += eatenKg * (worthPct[Values.TDN] - tdnLost) / 100;
    dayFibreKg[g] += eatenKg * worthPct[Values.FIBRE] / 100;
    if (out.lean) {
      return;
    }
    int at = (g * plan.days + day) * Values.COUNT;
    for (int n = 0; n < Values.COUNT; n++) {
      double percent = worthPct[n] - (n == Values.TDN ? tdnLost : 0);
      out.storedKg[at + n] += eatenKg * percent / 100;
    }
    out.feedWaterL[g * plan.days + day] += eatenKg * waterLPerKg;
  }

  /** The day is over: it goes into the running mean. */
  void end(int g) {
    if (plan.groups[g].byEnergy && dayKg[g] > 1e-6) {
      meanTdn[g] += DAY_SHARE * (100 * dayTdnKg[g] / dayKg[g] - meanTdn[g]);
      meanFibre[g] += DAY_SHARE * (100 * dayFibreKg[g] / dayKg[g] - meanFibre[g]);
    }
  }
}
