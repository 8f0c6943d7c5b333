package wiselarder.core.day;

import java.util.Map;
import wiselarder.core.day.FieldState.StandState;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.CropPlan;
import wiselarder.core.resolved.ResolvedPlan.CutPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.GroupPlan;
import wiselarder.core.resolved.ResolvedPlan.PassPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;
import wiselarder.core.resolved.ResolvedPlan.StepPlan;

/**
 * The daily simulation. Each day: stands and lots come and go, swards grow, cuts are made, groups
 * eat by their order of feeds, stands and stores lose. Deterministic; nothing is allocated inside
 * the day. docs/model.md gives every formula.
 */
public final class YearSimulator {
  /** Below this a kilogram is rounding. */
  private static final double EPSILON_KG = 1e-9;

  private final ResolvedPlan plan;
  private final DayBook out;
  private final FarmState state;
  private final Totals totals;
  private final FieldState[] fields;
  private final Growing growing;
  private final Offers offers;
  private final Diets diets;
  private final Stores stores;
  private final Learning learning;
  private final Worth worth = new Worth();

  /** Of the cut being made, by nutrient: kg/ha, then percent of DM. */
  private final double[] cutWorth = new double[QualityTable.Values.COUNT];

  /** Of the group whose day it is, by step: eaten, kg DM. */
  private final double[] stepKg;

  /** Days from one kept state to the next. */
  private static final int KEPT_EACH_DAYS = 15;

  private YearSimulator(ResolvedPlan plan, DayBook out, FarmState state) {
    this.plan = plan;
    this.out = out;
    this.state = state;
    this.totals = state.totals;
    this.fields = state.fields;
    this.diets = new Diets(plan, out, state);
    this.stores = new Stores(plan, out, state, diets);
    this.offers = new Offers(plan);
    this.growing = new Growing(plan, out, state, offers);
    this.learning = new Learning(plan, state);
    int steps = 0;
    for (GroupPlan g : plan.groups) {
      steps = Math.max(steps, g.steps.length);
    }
    this.stepKg = new double[steps];
  }

  /** Simulates the whole plan. */
  public static DayBook run(ResolvedPlan plan) {
    return new YearSimulator(plan, new DayBook(plan, false), new FarmState(plan)).run(0);
  }

  /**
   * Simulates the whole plan for what the farm as a whole comes to: for a year of many. The same
   * days to the last kilogram, but what single fields did and what feed was worth is not kept.
   */
  public static DayBook runLean(ResolvedPlan plan) {
    return new YearSimulator(plan, new DayBook(plan, true), new FarmState(plan)).run(0);
  }

  /**
   * Simulates a plan that goes as another one did until a day: what that one gave before is taken
   * over, and the days since are run from the last state that was kept of it.
   *
   * @param like a whole simulation of the other plan
   * @param sameUntil first day on which the two plans may differ; see {@link
   *     ResolvedPlan#sameUntil}
   */
  public static DayBook runFrom(ResolvedPlan plan, DayBook like, int sameUntil) {
    Map.Entry<Integer, FarmState> kept = like.states.floorEntry(sameUntil);
    if (kept == null) {
      return run(plan);
    }
    DayBook out = new DayBook(plan, false);
    out.takeOver(like, kept.getKey());
    return new YearSimulator(plan, out, kept.getValue().copy()).run(kept.getKey());
  }

  private DayBook run(int from) {
    out.totals = totals;
    for (int day = from; day < plan.days; day++) {
      if (!out.lean && day > from && day % KEPT_EACH_DAYS == 0) {
        out.states.put(day, state.copy());
      }
      stores.morning(day);
      growing.morning(day);
      cut(day);
      feed(day);
      growing.evening(day);
      stores.evening(day);
    }
    closeAccounts();
    return out;
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
        addWorth(sp, s.stands[i], mass - stubble);
        ripe += (mass - stubble) * worth.ripeness;
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
    totals.harvestLossKg += offKg - madeKg;
    totals.lotRipeness[c.lot] = ripe / off;
    int at = c.lot * QualityTable.Values.COUNT;
    for (int n = 0; n < QualityTable.Values.COUNT; n++) {
      cutWorth[n] = 100 * cutWorth[n] / off;
    }
    // What a way of making takes off energy it takes off protein by half, and fibre gains as much.
    cutWorth[QualityTable.Values.PROTEIN] -= c.tdnLossPoints / 2;
    cutWorth[QualityTable.Values.TDN] -= c.tdnLossPoints;
    cutWorth[QualityTable.Values.FIBRE] += c.tdnLossPoints;
    System.arraycopy(cutWorth, 0, totals.lotWorth, at, QualityTable.Values.COUNT);
    stores.cut(c.lot, madeKg, c.unitKg, cutWorth, day);
  }

  private void addWorth(StandPlan sp, StandState stand, double kgPerHa) {
    QualityTable.Values values = plan.worth[sp.kind];
    if (values == null) {
      java.util.Arrays.fill(cutWorth, Double.NaN);
      return;
    }
    worth.of(stand, stand.green / stand.mass(), stand.youngShareOf(kgPerHa, 1));
    for (int n = 0; n < QualityTable.Values.COUNT; n++) {
      cutWorth[n] += kgPerHa * worth.share[n];
    }
  }

  /** Takes mass off a stand; a jointed small grain taken low has lost its growing points. */
  private static void taken(StandPlan sp, StandState stand, double kgPerHa, double picks, int day) {
    double above = stand.mass() - sp.base;
    stand.take(kgPerHa, picks);
    stand.begin(kgPerHa, above);
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
      double need = diets.begin(g, day);
      out.need[g * plan.days + day] = need;
      learning.begin(g, need);
      stores.begin();
      java.util.Arrays.fill(stepKg, 0);
      double left = passes(g, day, need);
      for (int step = 0; step < group.steps.length && left > EPSILON_KG; step++) {
        left = step(g, step, day, need, left, true);
      }
      for (int step = 0; step < group.steps.length && left > EPSILON_KG; step++) {
        if (group.steps[step].graze) {
          left = step(g, step, day, need, left, false);
        }
      }
      out.bare[g * plan.days + day] = left > EPSILON_KG ? left : 0;
      diets.end(g);
    }
  }

  /** One step of a group's day, to the most that it may give; what is left of the need. */
  private double step(int g, int step, int day, double need, double left, boolean ready) {
    StepPlan s = plan.groups[g].steps[step];
    double most = Math.min(left, s.mostShare * need - stepKg[step]);
    if (day < s.from || day >= s.to || most <= EPSILON_KG) {
      return left;
    }
    double rest = s.graze ? graze(g, step, day, most, ready) : stores.feed(g, s, day, need, most);
    stepKg[step] += most - rest;
    return left - (most - rest);
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
      if (!state.passing[g][n] && may && mass(s) >= pass.when) {
        state.passing[g][n] = true;
        totals.passCount[pass.number]++;
      }
      if (state.passing[g][n]
          && Math.min(over, offers.aboveKgPerHa[pass.field]) > Offers.LEAVE_AT_KG_PER_HA) {
        double eaten = bite(g, pass.field, day, left, over);
        totals.passEatenKg[pass.number] += eaten;
        left -= eaten;
      }
      state.passing[g][n] &= may && mass(s) - pass.leave > Offers.LEAVE_AT_KG_PER_HA;
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
      int[] on = state.standingOn[g];
      int f = on[step];
      if (f >= 0 && stands(g, f) && learning.full(g, f, day)) {
        on = state.besideOn[g];
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
    boolean fromStock = s.stock > Offers.LEAVE_AT_KG_PER_HA;
    double above = offers.aboveKgPerHa[f];
    double eatable = 0;
    for (int i = 0; i < s.stands.length; i++) {
      StandPlan sp = p.stands[i];
      double utilization = fromStock ? sp.stockUtilization : sp.utilization;
      eatable += s.stands[i].there ? s.stands[i].above(sp) * utilization : 0;
    }
    double utilization = eatable / above;
    double wantKg = Math.min(needKg, learning.roomKg(g, f, day));
    double most = Math.min(above, mostKgPerHa);
    double offered = (fromStock ? Math.min(most, s.stock) : most) * p.areaHa;
    double down = Math.min(offered, wantKg / utilization);
    double eaten = down * utilization;
    double share = down / p.areaHa / above;
    double standing = 0;
    for (int i = 0; i < s.stands.length; i++) {
      if (s.stands[i].there) {
        double off = share * s.stands[i].above(p.stands[i]);
        double of = eaten * off / (down / p.areaHa);
        standing += fromStock || !s.stands[i].grows ? of : 0;
        diets.grazed(g, f, day, p.stands[i], s.stands[i], of, off);
        learning.ate(g, p.stands[i], day, of);
        taken(p.stands[i], s.stands[i], off, plan.groups[g].picks, day);
      }
    }
    s.stock = Math.max(0, s.stock - down / p.areaHa);
    offers.set(f, p, s);
    book(g, f, day, down, eaten, standing);
    return eaten;
  }

  /** What is eaten while nothing grows is standing feed, as is what was kept on purpose. */
  private void book(int g, int f, int day, double down, double eaten, double standing) {
    int at = out.row(day) + f;
    out.fieldEaten[at] += eaten;
    out.trampled[at] += down - eaten;
    totals.trampledKg += down - eaten;
    out.fieldStandingEaten[at] += standing;
    eat(Shelf.STANDING, g, day, standing);
    eat(Shelf.GROWING, g, day, eaten - standing > EPSILON_KG ? eaten - standing : 0);
  }

  private void eat(Shelf shelf, int g, int day, double kg) {
    if (kg <= 0) {
      return;
    }
    out.eaten[(shelf.ordinal() * plan.groups.length + g) * plan.days + day] += kg;
    totals.eatenKg += kg;
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
    out.closingKg += stores.leftKg();
  }
}
