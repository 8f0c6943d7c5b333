package wiselarder.core.day;

import wiselarder.core.forage.QualityTable.Values;
import wiselarder.core.herd.Nutrients;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.GroupPlan;
import wiselarder.core.resolved.ResolvedPlan.LotPlan;
import wiselarder.core.resolved.ResolvedPlan.StepPlan;

/**
 * The lots during the year: they come in, are counted, opened in whole units, fed and lost. Nothing
 * is allocated inside the day.
 */
final class Stores {
  private static final double EPSILON_KG = 1e-9;

  /** Energy counts as the same within so many points of TDN. */
  private static final double SAME_TDN = 1e-9;

  private static final double POOREST_TDN = 25;

  private final ResolvedPlan plan;
  private final DayBook out;
  private final Totals totals;
  private final Diets diets;
  private final LotState[] lots;
  private final CellState[] cells;

  /** Of each lot eaten by the group whose day it is, kg DM. */
  private final double[] todayKg;

  Stores(ResolvedPlan plan, DayBook out, FarmState state, Diets diets) {
    this.plan = plan;
    this.out = out;
    this.totals = state.totals;
    this.diets = diets;
    this.lots = state.lots;
    this.cells = state.cells;
    this.todayKg = new double[lots.length];
  }

  /** Lots come in, are counted, and what was written down as fed is set out. */
  void morning(int day) {
    for (int l = 0; l < lots.length; l++) {
      LotPlan p = plan.lots[l];
      LotState s = lots[l];
      if (!p.fromCut && day == Math.max(0, p.arrives) && p.arrives < plan.days) {
        arrive(p, s, day);
      }
      if (p.records != null && s.there) {
        recorded(l, p, s, day);
      }
    }
  }

  private void arrive(LotPlan p, LotState s, int day) {
    s.there = true;
    s.closed = p.units;
    s.kgPerUnit = p.kgPerUnit;
    s.worthDay = day;
    System.arraycopy(p.worth, 0, s.worth, 0, Values.COUNT);
    double kg = p.units * p.kgPerUnit;
    if (p.bought) {
      totals.boughtKg += kg;
    } else {
      totals.openingKg += kg;
    }
  }

  private void recorded(int l, LotPlan p, LotState s, int day) {
    int counted = p.records.counted[day];
    if (counted >= 0) {
      totals.countedKg += (counted - s.closed) * s.kgPerUnit;
      s.closed = counted;
    }
    for (int n = Math.min(p.records.fed[day], s.closed); n > 0; n--) {
      open(l, day);
    }
  }

  /** What a cut made comes in. */
  void cut(int l, double madeKg, double unitKg, double[] worthPct, int day) {
    LotState s = lots[l];
    s.there = true;
    s.closed = Math.max(1, (int) Math.round(madeKg / unitKg));
    s.kgPerUnit = madeKg / s.closed;
    s.worthDay = day;
    boolean known = !Double.isNaN(worthPct[Values.TDN]);
    System.arraycopy(known ? worthPct : plan.lots[l].worth, 0, s.worth, 0, Values.COUNT);
  }

  /** A group's day begins. */
  void begin() {
    java.util.Arrays.fill(todayKg, 0);
  }

  /**
   * Feeds a group from the lots of a step: in their order, or where the step means the whole store
   * by what each is worth to the group. What is left of the need, kg DM.
   */
  double feed(int g, StepPlan step, int day, double needKg, double leftKg) {
    double left = leftKg;
    if (step.wholeStore) {
      int l = best(g, day, needKg);
      while (l >= 0 && left > EPSILON_KG) {
        left -= feedFrom(g, l, day, needKg, left);
        l = left > EPSILON_KG ? best(g, day, needKg) : -1;
      }
      return left;
    }
    for (int l : step.sources) {
      boolean named = !step.anyLot || !isPortioned(g, l, day);
      while (named && left > EPSILON_KG && gives(g, l, day, needKg)) {
        left -= feedFrom(g, l, day, needKg, left);
      }
    }
    return left;
  }

  /** Feeds from the opened unit of a lot, opening one first where none is; what is eaten. */
  private double feedFrom(int g, int l, int day, double needKg, double wantKg) {
    LotState s = lots[l];
    LotPlan p = plan.lots[l];
    if (s.openKg <= EPSILON_KG) {
      open(l, day);
    }
    double loss = loss(p, s, day, needKg);
    double want = Math.min(wantKg, roomKg(l, needKg));
    double offered = Math.min(s.openKg, want / (1 - loss));
    double eaten = offered * (1 - loss);
    s.openKg -= offered;
    todayKg[l] += eaten;
    totals.feedingLossKg += offered - eaten;
    totals.lotFedLost[l] += offered - eaten;
    out.lotEaten[day * lots.length + l] += eaten;
    totals.groupLotEaten[g * lots.length + l] += eaten;
    if (!out.lean) {
      out.groupLotDay[(day * plan.groups.length + g) * lots.length + l] += eaten;
    }
    diets.ateStored(g, day, eaten, s.worth, tdnLost(p, s, day), p.waterLPerKg);
    Shelf shelf = p.bought ? Shelf.BOUGHT_IN : Shelf.PUT_BY;
    out.eaten[(shelf.ordinal() * plan.groups.length + g) * plan.days + day] += eaten;
    totals.eatenKg += eaten;
    int field = p.fieldOf(s.opened);
    if (field >= 0) {
      double proteinKg = eaten * s.worth[Values.PROTEIN] / 100;
      leave(field, proteinKg / Nutrients.PROTEIN_PER_NITROGEN * plan.groups[g].nitrogenSoon[day]);
    }
    return eaten;
  }

  /** Nitrogen that stock leave where bales stand, kg, all over that field. */
  private void leave(int field, double nitrogenKg) {
    double kgPerHa = nitrogenKg / plan.fields[field].areaHa;
    for (int c = plan.pieces.first(field); c < plan.pieces.first(field + 1); c++) {
      cells[c].nitrogenToCome += kgPerHa;
    }
  }

  /** Share of what is set out that is not eaten: by the way of feeding, and as it was seen. */
  private static double loss(LotPlan p, LotState s, int day, double needKg) {
    double byTable = p.feeding.shareWhenUnitLasts(s.kgPerUnit / needKg);
    return p.records == null ? byTable : p.records.leftShare(day, byTable);
  }

  private static double tdnLost(LotPlan p, LotState s, int day) {
    double lost = p.tdnLostAtOpening + p.tdnLostPerDay * (day - s.worthDay);
    return Math.min(lost, Math.max(0, s.worth[Values.TDN] - POOREST_TDN));
  }

  private double roomKg(int l, double needKg) {
    return plan.lots[l].mostShare * needKg - todayKg[l];
  }

  /** True where a group may eat of a lot today and something is there for it. */
  private boolean gives(int g, int l, int day, double needKg) {
    LotState s = lots[l];
    return s.there
        && (s.openKg > EPSILON_KG || mayOpen(l, day))
        && !plan.lots[l].barred[g]
        && !plan.holds.lot(l)
        && roomKg(l, needKg) > EPSILON_KG;
  }

  /** Of what a group is given by the portion that day the whole store gives it no more. */
  private boolean isPortioned(int g, int lot, int day) {
    for (StepPlan s : plan.groups[g].steps) {
      if (!s.graze && !s.anyLot && s.bounded && day >= s.from && day < s.to) {
        for (int source : s.sources) {
          if (source == lot) {
            return true;
          }
        }
      }
    }
    return false;
  }

  /**
   * The lot that a group should eat: the poorest of those good enough for it on that day, own ones
   * before bought ones; where none is good enough, the best. -1 for none.
   */
  private int best(int g, int day, double needKg) {
    GroupPlan group = plan.groups[g];
    double tdnNeed = group.year.tdnNeedPct(day);
    double proteinNeed = group.year.proteinNeedPct(day);
    int best = -1;
    boolean bestEnough = false;
    double bestTdn = 0;
    for (int l = 0; l < lots.length; l++) {
      if (!gives(g, l, day, needKg) || isPortioned(g, l, day)) {
        continue;
      }
      double tdn = lots[l].worth[Values.TDN] - tdnLost(plan.lots[l], lots[l], day);
      boolean enough = tdn >= tdnNeed && lots[l].worth[Values.PROTEIN] >= proteinNeed;
      boolean better =
          best < 0
              || (enough && !bestEnough)
              || (enough == bestEnough
                  && (enough ? sooner(l, tdn, best, bestTdn) : tdn > bestTdn + SAME_TDN));
      if (better) {
        best = l;
        bestEnough = enough;
        bestTdn = tdn;
      }
    }
    return best;
  }

  private boolean sooner(int l, double tdn, int than, double thanTdn) {
    boolean bought = plan.lots[l].bought;
    return bought == plan.lots[than].bought ? tdn < thanTdn - SAME_TDN : !bought;
  }

  /** False while a season's reserve is kept back, or what is fed has been written down. */
  private boolean mayOpen(int l, int day) {
    LotPlan p = plan.lots[l];
    int kept = day < p.keptBackTo ? p.keptBack : 0;
    boolean writtenDown =
        p.records != null && day >= p.records.firstFed && day <= p.records.lastFed;
    return lots[l].closed > kept && !writtenDown;
  }

  /** Opens one whole unit. */
  private void open(int l, int day) {
    LotState s = lots[l];
    double lost = s.kgPerUnit * plan.lots[l].lostAtOpening;
    s.closed--;
    s.opened++;
    s.openKg += s.kgPerUnit - lost;
    totals.storageLossKg += lost;
    totals.lotLost[l] += lost;
    out.lotOpened[day * lots.length + l]++;
  }

  /** The day's loss in store, and what is left is noted. */
  void evening(int day) {
    for (int l = 0; l < lots.length; l++) {
      LotState s = lots[l];
      if (s.there && s.closed > 0) {
        double after = s.kgPerUnit * plan.lots[l].keptPerDay;
        double lost = s.closed * (s.kgPerUnit - after);
        totals.storageLossKg += lost;
        totals.lotLost[l] += lost;
        s.kgPerUnit = after;
      }
      out.lotKg[day * lots.length + l] = s.closed * s.kgPerUnit + s.openKg;
      out.lotUnits[day * lots.length + l] = s.closed + (s.openKg > EPSILON_KG ? 1 : 0);
    }
  }

  /** All that is left, kg DM. */
  double leftKg() {
    double kg = 0;
    for (LotState s : lots) {
      kg += s.closed * s.kgPerUnit + s.openKg;
    }
    return kg;
  }
}
