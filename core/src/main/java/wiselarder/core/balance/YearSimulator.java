package wiselarder.core.balance;

import wiselarder.core.balance.FieldState.StandState;
import wiselarder.core.balance.ResolvedPlan.CropPlan;
import wiselarder.core.balance.ResolvedPlan.CutPlan;
import wiselarder.core.balance.ResolvedPlan.FieldPlan;
import wiselarder.core.balance.ResolvedPlan.GroupPlan;
import wiselarder.core.balance.ResolvedPlan.LotPlan;
import wiselarder.core.balance.ResolvedPlan.PassPlan;
import wiselarder.core.balance.ResolvedPlan.StandPlan;
import wiselarder.core.balance.ResolvedPlan.StepPlan;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.QualityTable;

/**
 * The daily simulation. Each day: stands and lots come and go, swards grow, cuts are made, groups
 * eat by their order of feeds, stands and stores lose. Deterministic; nothing is allocated inside
 * the day. docs/model.md gives every formula.
 */
public final class YearSimulator {
  /** Below this a kilogram is rounding. */
  private static final double EPSILON_KG = 1e-9;

  private final ResolvedPlan plan;
  private final YearBalance out;
  private final FieldState[] fields;
  private final Growing growing;
  private final Offers offers;
  private final Worth worth = new Worth();

  /** Of the cut being made: protein, TDN and fibre, kg/ha. */
  private final double[] cutWorth = new double[3];

  private final LotState[] lots;

  /** Field each group's step stands on, -1 for none; by group, then step. */
  private final int[][] standingOn;

  /** Field it goes to beside that one for the day, where no more of what it learns is allowed. */
  private final int[][] besideOn;

  /** By group and pass: true while it is being made. */
  private final boolean[][] passing;

  private final Learning learning;

  /** kg DM. */
  private static final class LotState {
    int closed;
    double kgPerUnit;
    double openKg;
    boolean there;
  }

  private YearSimulator(ResolvedPlan plan, boolean lean) {
    this.plan = plan;
    this.out = new YearBalance(plan, lean);
    this.fields = new FieldState[plan.fields.length];
    this.lots = new LotState[plan.lots.length];
    this.standingOn = new int[plan.groups.length][];
    this.besideOn = new int[plan.groups.length][];
    this.passing = new boolean[plan.groups.length][];
    for (int f = 0; f < fields.length; f++) {
      fields[f] = new FieldState(plan.fields[f]);
    }
    this.offers = new Offers(plan);
    this.growing = new Growing(plan, out, fields, offers);
    for (int l = 0; l < lots.length; l++) {
      lots[l] = new LotState();
    }
    for (int g = 0; g < standingOn.length; g++) {
      standingOn[g] = new int[plan.groups[g].steps.length];
      java.util.Arrays.fill(standingOn[g], -1);
      besideOn[g] = standingOn[g].clone();
      passing[g] = new boolean[plan.groups[g].passes.length];
    }
    this.learning = new Learning(plan, fields);
  }

  /** Simulates the whole plan. */
  public static YearBalance simulate(ResolvedPlan plan) {
    return new YearSimulator(plan, false).run();
  }

  /**
   * Simulates the whole plan for what the farm as a whole comes to: for a year of many. The same
   * days to the last kilogram, but what single fields did and what feed was worth is not kept.
   */
  public static YearBalance farmOnly(ResolvedPlan plan) {
    return new YearSimulator(plan, true).run();
  }

  private YearBalance run() {
    for (int day = 0; day < plan.days; day++) {
      arrive(day);
      growing.morning(day);
      cut(day);
      feed(day);
      growing.evening(day);
      storeLoses();
      record(day);
    }
    closeAccounts();
    return out;
  }

  private void arrive(int day) {
    for (int l = 0; l < lots.length; l++) {
      LotPlan p = plan.lots[l];
      if (p.fromCut || day != Math.max(0, p.arrives) || p.arrives >= plan.days) {
        continue;
      }
      LotState s = lots[l];
      s.there = true;
      s.closed = p.units;
      s.kgPerUnit = p.kgPerUnit;
      double kg = p.units * p.kgPerUnit;
      if (p.bought) {
        out.boughtKg += kg;
      } else {
        out.openingKg += kg;
      }
    }
  }

  private void cut(int day) {
    for (CutPlan c : plan.cuts) {
      if (c.day == day) {
        cut(c, plan.fields[c.field], fields[c.field], day);
      }
    }
  }

  private void cut(CutPlan c, FieldPlan p, FieldState s, int day) {
    double off = 0;
    double ripe = 0;
    java.util.Arrays.fill(cutWorth, 0);
    for (int i = 0; i < s.stands.length; i++) {
      StandPlan sp = p.stands[i];
      double stubble = sp.forage.massAtHeightKgPerHa(sp.forage.cutHeightCm());
      double mass = s.stands[i].mass();
      if (s.stands[i].there && mass > stubble) {
        off += mass - stubble;
        ripe += (mass - stubble) * s.stands[i].maturity;
        addWorth(sp, s.stands[i], mass - stubble);
        taken(sp, s.stands[i], mass - stubble, 1, day);
      }
    }
    if (off <= 0) {
      return;
    }
    s.stock = 0;
    offers.set(c.field, p, s);
    double offKg = off * p.areaHa;
    double madeKg = offKg * (1 - c.harvestLoss);
    out.cutOff[out.row(day) + c.field] += offKg;
    out.harvestLossKg += offKg - madeKg;
    LotState lot = lots[c.lot];
    lot.there = true;
    lot.closed = Math.max(1, (int) Math.round(madeKg / c.unitKg));
    lot.kgPerUnit = madeKg / lot.closed;
    out.lotRipeness[c.lot] = ripe / off;
    // What a way of making takes off energy it takes off protein by half, and fibre gains as much.
    out.lotWorth[c.lot * 3] = 100 * cutWorth[0] / off - c.tdnLossPoints / 2;
    out.lotWorth[c.lot * 3 + 1] = 100 * cutWorth[1] / off - c.tdnLossPoints;
    out.lotWorth[c.lot * 3 + 2] = 100 * cutWorth[2] / off + c.tdnLossPoints;
  }

  private void addWorth(StandPlan sp, StandState stand, double kgPerHa) {
    QualityTable.Values values = plan.worth[sp.kind];
    double share = stand.mass() <= 0 ? 0 : stand.green / stand.mass();
    if (values == null) {
      java.util.Arrays.fill(cutWorth, Double.NaN);
      return;
    }
    worth.of(values, stand, share);
    cutWorth[0] += kgPerHa * worth.protein;
    cutWorth[1] += kgPerHa * worth.tdn;
    cutWorth[2] += kgPerHa * worth.fibre;
  }

  /** Takes mass off a stand; a jointed small grain taken low has lost its growing points. */
  private static void taken(StandPlan sp, StandState stand, double kgPerHa, double picks, int day) {
    stand.renew(kgPerHa, sp.base);
    stand.take(kgPerHa, picks);
    CropPlan c = sp.crop;
    if (c == null || stand.endedDay >= 0) {
      return;
    }
    boolean low = stand.mass() < CropRules.GROWING_POINT_SHARE * sp.entry;
    if (low && c.endsWhenJointedTaken && c.course.jointed(stand.stage)) {
      stand.end(day);
    }
  }

  private void feed(int day) {
    for (int g = 0; g < plan.groups.length; g++) {
      GroupPlan group = plan.groups[g];
      double need = group.year.needKg(day);
      out.need[g * plan.days + day] = need;
      learning.begin(g, need);
      double left = passes(g, day, need);
      for (int step = 0; step < group.steps.length && left > EPSILON_KG; step++) {
        StepPlan s = group.steps[step];
        if (day >= s.from && day < s.to) {
          left = s.graze ? graze(g, step, day, left, true) : feedOut(g, s, day, left);
        }
      }
      for (int step = 0; step < group.steps.length && left > EPSILON_KG; step++) {
        StepPlan s = group.steps[step];
        if (s.graze && day >= s.from && day < s.to) {
          left = graze(g, step, day, left, false);
        }
      }
      out.bare[g * plan.days + day] = left > EPSILON_KG ? left : 0;
    }
  }

  /** Passes for light come first; what is left of the need. */
  private double passes(int g, int day, double need) {
    double left = need;
    for (int n = 0; n < plan.groups[g].passes.length && left > EPSILON_KG; n++) {
      PassPlan pass = plan.groups[g].passes[n];
      FieldState s = fields[pass.field];
      boolean may =
          day >= pass.from
              && day < pass.to
              && !plan.byDay.held[day * fields.length + pass.field]
              && !s.sown
              && !offers.frostHolds(plan.fields[pass.field])
              && Offers.safe(plan.fields[pass.field], s)
              && !plan.groups[g].barred[pass.field];
      double over = may ? mass(s) - pass.leave : 0;
      if (!passing[g][n] && may && mass(s) >= pass.when) {
        passing[g][n] = true;
        out.passCount[pass.number]++;
      }
      if (passing[g][n]
          && Math.min(over, offers.aboveKgPerHa[pass.field]) > Offers.LEAVE_AT_KG_PER_HA) {
        double eaten = bite(g, pass.field, day, left, over);
        out.passEatenKg[pass.number] += eaten;
        left -= eaten;
      }
      passing[g][n] &= may && mass(s) - pass.leave > Offers.LEAVE_AT_KG_PER_HA;
    }
    return left;
  }

  private static double mass(FieldState s) {
    double mass = 0;
    for (StandState stand : s.stands) {
      mass += stand.mass();
    }
    return mass;
  }

  /**
   * The group stays on its field until that is down to the residual, then moves to the field
   * furthest past its turn-in cover. Rather than go bare ({@code ready} false) it goes where
   * anything stands above the residual.
   */
  private double graze(int g, int step, int day, double need, boolean ready) {
    double left = need;
    while (left > EPSILON_KG) {
      int[] on = standingOn[g];
      int f = on[step];
      if (f >= 0 && stands(g, f) && learning.full(g, f, day)) {
        on = besideOn[g];
        f = on[step];
      }
      if (f < 0 || !offers(g, f, day)) {
        f = furthestAhead(g, plan.groups[g].steps[step], ready, day);
        on[step] = f;
        if (f < 0) {
          return left;
        }
      }
      left -= bite(g, f, day, left, Double.POSITIVE_INFINITY);
    }
    return left;
  }

  private boolean offers(int g, int f, int day) {
    return stands(g, f) && !learning.full(g, f, day);
  }

  /** True while the group may be on a field and something stands there for it. */
  private boolean stands(int g, int f) {
    return offers.open[f]
        && offers.aboveKgPerHa[f] > Offers.LEAVE_AT_KG_PER_HA
        && !plan.groups[g].barred[f];
  }

  private int furthestAhead(int g, StepPlan step, boolean ready, int day) {
    int best = -1;
    double bestAhead = ready ? 0 : -Double.MAX_VALUE;
    int[] among = ready ? offers.ready : offers.offering;
    int count = ready ? offers.readyCount : offers.offeringCount;
    for (int i = 0; i < count; i++) {
      int f = among[i];
      double ahead = offers.aheadKgPerHa[f];
      boolean further = ahead >= bestAhead && (best < 0 || ahead > bestAhead);
      if (further && step.has[f] && offers(g, f, day)) {
        best = f;
        bestAhead = ahead;
      }
    }
    return best;
  }

  /**
   * Eats from a field, from each stand by what it offers; eating 1 kg takes 1/utilization kg down.
   * What was kept as stockpile is eaten first, in strips. Returns what was eaten, kg DM.
   *
   * @param mostKgPerHa no more than this is taken down
   */
  private double bite(int g, int f, int day, double needKg, double mostKgPerHa) {
    FieldPlan p = plan.fields[f];
    FieldState s = fields[f];
    boolean winter = plan.weather.frostSeason(day);
    boolean fromStock = s.stock > Offers.LEAVE_AT_KG_PER_HA;
    double above = offers.aboveKgPerHa[f];
    double eatable = 0;
    for (int i = 0; i < s.stands.length; i++) {
      StandPlan sp = p.stands[i];
      double utilization = fromStock ? sp.stockUtilization : sp.utilization;
      eatable += s.stands[i].there ? s.stands[i].above(sp, winter) * utilization : 0;
    }
    double utilization = eatable / above;
    double wantKg = Math.min(needKg, learning.roomKg(g, f, day));
    double most = Math.min(above, mostKgPerHa);
    double offered = (fromStock ? Math.min(most, s.stock) : most) * p.areaHa;
    double down = Math.min(offered, wantKg / utilization);
    double eaten = down * utilization;
    double share = down / p.areaHa / above;
    for (int i = 0; i < s.stands.length; i++) {
      if (s.stands[i].there) {
        double off = share * s.stands[i].above(p.stands[i], winter);
        double of = eaten * off / (down / p.areaHa);
        worth(g, day, p.stands[i], s.stands[i], of);
        learning.ate(g, p.stands[i], day, of);
        taken(p.stands[i], s.stands[i], off, plan.groups[g].picks, day);
      }
    }
    s.stock = Math.max(0, s.stock - down / p.areaHa);
    offers.set(f, p, s);
    int at = out.row(day) + f;
    out.fieldEaten[at] += eaten;
    out.trampled[at] += down - eaten;
    out.trampledKg += down - eaten;
    if (fromStock || p.base().residue) {
      out.fieldStandingEaten[at] += eaten;
      eat(Shelf.STANDING, g, day, eaten);
    } else {
      eat(Shelf.GROWING, g, day, eaten);
    }
    return eaten;
  }

  /** Notes what a mouthful is worth: greener than the stand, as the group chooses. */
  private void worth(int g, int day, StandPlan sp, StandState stand, double eatenKg) {
    QualityTable.Values values = plan.worth[sp.kind];
    if (out.lean || values == null) {
      return;
    }
    double green = plan.groups[g].chooses * stand.green;
    double share = green + stand.dead <= 0 ? 0 : green / (green + stand.dead);
    int at = g * plan.days + day;
    worth.of(values, stand, share);
    out.grazedProteinKg[at] += eatenKg * worth.protein;
    out.grazedTdnKg[at] += eatenKg * worth.tdn;
    out.grazedFibreKg[at] += eatenKg * worth.fibre;
  }

  private void eat(Shelf shelf, int g, int day, double kg) {
    out.eaten[(shelf.ordinal() * plan.groups.length + g) * plan.days + day] += kg;
    out.eatenKg += kg;
  }

  private double feedOut(int g, StepPlan step, int day, double need) {
    double left = need;
    for (int l : step.sources) {
      LotState s = lots[l];
      LotPlan p = plan.lots[l];
      while (left > EPSILON_KG && s.there && (s.openKg > EPSILON_KG || s.closed > 0)) {
        if (s.openKg <= EPSILON_KG) {
          open(l, day);
        }
        double offered = Math.min(s.openKg, left / (1 - p.feedingLoss));
        double eaten = offered * (1 - p.feedingLoss);
        s.openKg -= offered;
        left -= eaten;
        out.feedingLossKg += offered - eaten;
        out.lotEaten[day * lots.length + l] += eaten;
        out.groupLotEaten[g * lots.length + l] += eaten;
        eat(p.bought ? Shelf.BOUGHT_IN : Shelf.PUT_BY, g, day, eaten);
      }
    }
    return left;
  }

  /** Opens one whole unit. */
  private void open(int l, int day) {
    LotState s = lots[l];
    double lost = s.kgPerUnit * plan.lots[l].lostAtOpening;
    s.closed--;
    s.openKg += s.kgPerUnit - lost;
    out.storageLossKg += lost;
    out.lotOpened[day * lots.length + l]++;
  }

  private void storeLoses() {
    for (int l = 0; l < lots.length; l++) {
      LotState s = lots[l];
      if (s.there && s.closed > 0) {
        double after = s.kgPerUnit * plan.lots[l].keptPerDay;
        out.storageLossKg += s.closed * (s.kgPerUnit - after);
        s.kgPerUnit = after;
      }
    }
  }

  private void record(int day) {
    for (int l = 0; l < lots.length; l++) {
      LotState s = lots[l];
      out.lotKg[day * lots.length + l] = s.closed * s.kgPerUnit + s.openKg;
      out.lotUnits[day * lots.length + l] = s.closed + (s.openKg > EPSILON_KG ? 1 : 0);
    }
  }

  private void closeAccounts() {
    for (int f = 0; f < fields.length; f++) {
      for (int i = 0; i < fields[f].stands.length; i++) {
        out.closingKg += fields[f].stands[i].mass() * plan.fields[f].areaHa;
        if (i > 0) {
          out.sowings[plan.fields[f].stands[i].crop.number] =
              SowingYear.of(plan.fields[f], i, fields[f].stands[i], out);
        }
      }
    }
    for (LotState s : lots) {
      out.closingKg += s.closed * s.kgPerUnit + s.openKg;
    }
  }
}
