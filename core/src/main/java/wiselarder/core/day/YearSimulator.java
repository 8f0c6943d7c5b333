package wiselarder.core.day;

import java.util.Map;
import wiselarder.core.day.CellState.StandState;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.resolved.Moves;
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
  private final CellState[] cells;
  private final Growing growing;
  private final Offers offers;
  private final Diets diets;
  private final Stores stores;
  private final Learning learning;
  private final Worth worth = new Worth();

  /** Of the cut being made, by nutrient: kg, then percent of DM. */
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
    this.cells = state.cells;
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
    return run(plan, new DayBook(plan, false));
  }

  private static DayBook run(ResolvedPlan plan, DayBook out) {
    return new YearSimulator(plan, out, new FarmState(plan)).run(0);
  }

  /**
   * Simulates the whole plan for what the farm as a whole comes to: for a year of many. The same
   * days to the last kilogram, but what single fields did and what feed was worth is not kept.
   */
  public static DayBook runLean(ResolvedPlan plan) {
    return run(plan, new DayBook(plan, true));
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
    return runFrom(plan, like, sameUntil, new DayBook(plan, false));
  }

  /**
   * As {@link #runFrom}, of what the farm as a whole comes to; see {@link #runLean}. The other
   * simulation may be such a one itself.
   */
  public static DayBook runLeanFrom(ResolvedPlan plan, DayBook like, int sameUntil) {
    DayBook out = new DayBook(plan, true);
    out.keepsStates = true;
    // states of a run that did not follow feed value are of no use to one that must
    boolean knowsEnough = !like.lean || like.resolved.followsWorth || !plan.followsWorth;
    return !knowsEnough ? run(plan, out) : runFrom(plan, like, sameUntil, out);
  }

  /**
   * Simulates a plan, for what the farm as a whole comes to, in other weather than before: until
   * the morning of the last kept state it went as another simulation of it, from there on this
   * weather comes.
   *
   * @param before a whole simulation of the same plan in the weather so far
   * @param day no state of a later morning is taken; see {@link #turnsOn}
   */
  public static DayBook runLeanAfter(ResolvedPlan plan, DayBook before, int day) {
    DayBook out = new DayBook(plan, true);
    Map.Entry<Integer, FarmState> kept = before.states.floorEntry(day);
    if (kept == null) {
      return run(plan, out);
    }
    int turn = kept.getKey();
    FarmState state = kept.getValue().copy();
    for (CellState c : state.cells) {
      c.turn(plan.fields[c.field], turn, before.resolved.weather.kind(), plan.weather.kind());
    }
    out.takeOver(before, turn);
    return new YearSimulator(plan, out, state).run(turn);
  }

  /**
   * What is there on a morning of a plan, before anything of that day; run from its first day.
   *
   * @param day 1 to the plan's length: that of the first day after it
   */
  public static AtHand atHand(ResolvedPlan plan, int day) {
    FarmState state = new FarmState(plan);
    new YearSimulator(plan, new DayBook(plan, false), state).days(0, day);
    return AtHand.of(plan, state);
  }

  /** The morning on which the weather turns of a run after another until about a day. */
  public static int turnsOn(DayBook before, int day) {
    Integer turn = before.states.floorKey(day);
    return turn == null ? 0 : turn;
  }

  private static DayBook runFrom(ResolvedPlan plan, DayBook like, int sameUntil, DayBook out) {
    Map.Entry<Integer, FarmState> kept = like.states.floorEntry(sameUntil);
    if (kept == null) {
      return run(plan, out);
    }
    out.takeOver(like, kept.getKey());
    return new YearSimulator(plan, out, kept.getValue().copyFor(plan)).run(kept.getKey());
  }

  private DayBook run(int from) {
    days(from, plan.days);
    closeAccounts();
    return out;
  }

  private void days(int from, int to) {
    out.totals = totals;
    for (int day = from; day < to; day++) {
      if (out.keepsStates && day > from && day % KEPT_EACH_DAYS == 0) {
        out.states.put(day, state.copy());
      }
      stores.morning(day);
      growing.morning(day);
      cut(day);
      feed(day);
      growing.evening(day);
      stores.evening(day);
    }
  }

  private void cut(int day) {
    for (CutPlan c : plan.cuts) {
      if (c.day == day) {
        cut(c, day);
      }
    }
  }

  private void cut(CutPlan c, int day) {
    FieldPlan p = plan.fields[c.field];
    double offKg = 0;
    double ripe = 0;
    java.util.Arrays.fill(cutWorth, 0);
    for (int cell = plan.pieces.first(c.field); cell < plan.pieces.first(c.field + 1); cell++) {
      CellState s = cells[cell];
      for (int i = 0; i < s.stands.length; i++) {
        StandPlan sp = p.stands[i];
        double off = s.stands[i].mass() - sp.forage.massAtHeightKgPerHa(sp.forage.cutHeightCm());
        if (s.stands[i].there && off > 0) {
          offKg += off * s.areaHa;
          addWorth(sp, s.stands[i], off, s.areaHa);
          ripe += off * s.areaHa * worth.ripeness;
          taken(sp, s.stands[i], off, 1, day);
          s.stock = 0;
          s.takenDay = day;
        }
      }
      offers.set(cell, p, s);
    }
    if (offKg > 0) {
      made(c, offKg, ripe / offKg, day);
    }
  }

  private void made(CutPlan c, double offKg, double ripeness, int day) {
    double madeKg = offKg * (1 - c.harvestLoss);
    out.cutOff[out.row(day) + c.field] += offKg;
    totals.harvestLossKg += offKg - madeKg;
    totals.lotRipeness[c.lot] = ripeness;
    int at = c.lot * QualityTable.Values.COUNT;
    for (int n = 0; n < QualityTable.Values.COUNT; n++) {
      cutWorth[n] = 100 * cutWorth[n] / offKg;
    }
    // What a way of making takes off energy it takes off protein by half, and fibre gains as much.
    cutWorth[QualityTable.Values.PROTEIN] -= c.tdnLossPoints / 2;
    cutWorth[QualityTable.Values.TDN] -= c.tdnLossPoints;
    cutWorth[QualityTable.Values.FIBRE] += c.tdnLossPoints;
    System.arraycopy(cutWorth, 0, totals.lotWorth, at, QualityTable.Values.COUNT);
    stores.cut(c.lot, madeKg, c.unitKg, cutWorth, day);
  }

  private void addWorth(StandPlan sp, StandState stand, double kgPerHa, double areaHa) {
    QualityTable.Values values = plan.worth[sp.kind];
    if (values == null) {
      java.util.Arrays.fill(cutWorth, Double.NaN);
      return;
    }
    worth.of(stand, stand.green / stand.mass(), stand.youngShareOf(kgPerHa, 1));
    for (int n = 0; n < QualityTable.Values.COUNT; n++) {
      cutWorth[n] += kgPerHa * areaHa * worth.share[n];
    }
  }

  /** Takes mass off a stand, and begins what comes after it. */
  private static void taken(StandPlan sp, StandState stand, double kgPerHa, double picks, int day) {
    double above = stand.mass() - sp.base;
    stand.take(kgPerHa, picks);
    stand.begin(kgPerHa, above);
    CropPlan c = sp.crop;
    if (c == null || stand.endedDay >= 0) {
      return;
    }
    boolean low = stand.mass() < CropRules.GROWING_POINT_SHARE * sp.entry;
    if (c.regrows) {
      stand.regrows(c, above <= kgPerHa ? 1 : kgPerHa / above, low, day);
    } else if (low && c.course.jointed(stand.stage)) {
      stand.end(day);
    }
  }

  private void feed(int day) {
    for (int g = 0; g < plan.groups.length; g++) {
      StepPlan[] steps = plan.groups[g].steps;
      double need = diets.begin(g, day);
      out.need[g * plan.days + day] = need;
      learning.begin(g, need);
      stores.begin();
      java.util.Arrays.fill(stepKg, 0);
      int brought = brought(g, day, need);
      double left =
          brought == Moves.AS_PLANNED ? asPlanned(g, day, need) : asSeen(g, brought, day, need);
      out.bare[g * plan.days + day] = left > EPSILON_KG ? left : 0;
      state.onStore[g] = storedKg(steps) > 0.5 * need;
      diets.end(g);
    }
  }

  /** A group's day by its order of feeds; what is left of the need. */
  private double asPlanned(int g, int day, double need) {
    StepPlan[] steps = plan.groups[g].steps;
    double left = passes(g, day, need);
    for (int step = 0; step < steps.length && left > EPSILON_KG; step++) {
      if (steps[step].first) {
        left = step(g, step, day, need, left, portionKg(g, steps[step], day, need), true);
      }
    }
    for (int step = 0; step < steps.length && left > EPSILON_KG; step++) {
      left = step(g, step, day, need, left, mostKg(g, steps[step], day, need), true);
    }
    for (int step = 0; step < steps.length && left > EPSILON_KG; step++) {
      if (steps[step].graze && steps[step].roundDays == 0) {
        left = step(g, step, day, need, left, mostKg(g, steps[step], day, need), false);
      }
    }
    return left;
  }

  /**
   * Where a group is that was moved: as it was written down, until the next move. After the last
   * one its steps go on from there by their own rules; on a field that none of them goes to it
   * stays while the plan has it graze, for as long as the field is meant to be stayed on and feeds
   * it for a whole day.
   */
  private int brought(int g, int day, double need) {
    if (!plan.moves.any(g)) {
      return Moves.AS_PLANNED;
    }
    int on = plan.moves.on(g, day);
    if (on != Moves.AS_PLANNED) {
      state.broughtTo[g] = on == Moves.OFF_FIELDS ? -1 : on;
      state.broughtOn[g] = plan.moves.since(g, day);
      return on;
    }
    int f = state.broughtTo[g];
    if (f < 0 || !staysOn(g, f, day, need)) {
      state.broughtTo[g] = -1;
      return Moves.AS_PLANNED;
    }
    return f;
  }

  private boolean staysOn(int g, int f, int day, double need) {
    boolean grazes = false;
    for (StepPlan s : plan.groups[g].steps) {
      boolean today = s.graze && day >= s.from && day < s.to;
      grazes |= today;
      if (today && s.has[f]) {
        return false;
      }
    }
    int stay = plan.fields[f].stayDays[day];
    double kg = 0;
    for (int c = plan.pieces.first(f); c < plan.pieces.first(f + 1); c++) {
      kg += stands(g, c, day) ? cells[c].areaHa * eatableKgPerHa(c) : 0;
    }
    return grazes && (stay == 0 || day - state.broughtOn[g] < stay) && kg >= need;
  }

  /** The piece of a field with most above what is to be left; -1 where a group may eat of none. */
  private int furthest(int g, int f, int day) {
    int best = -1;
    for (int c = plan.pieces.first(f); c < plan.pieces.first(f + 1); c++) {
      boolean eats =
          offers.aboveKgPerHa[c] > Offers.LEAVE_AT_KG_PER_HA && !learning.full(g, c, day);
      if (eats && (best < 0 || offers.aboveKgPerHa[c] > offers.aboveKgPerHa[best])) {
        best = c;
      }
    }
    return best;
  }

  /**
   * A group's day where it was seen to be, shut or not: portions that come first, what it grazes
   * there down to what is to be left, and the store; what is left of the need.
   *
   * @param f the field, or {@link Moves#OFF_FIELDS}
   */
  private double asSeen(int g, int f, int day, double need) {
    StepPlan[] steps = plan.groups[g].steps;
    double left = need;
    for (int step = 0; step < steps.length && left > EPSILON_KG; step++) {
      if (steps[step].first && !steps[step].graze) {
        left = step(g, step, day, need, left, portionKg(g, steps[step], day, need), true);
      }
    }
    if (f >= 0) {
      double most = Math.min(left, grazesKg(g, day, need));
      left -= most - grazeOn(g, f, day, most);
    }
    for (int step = 0; step < steps.length && left > EPSILON_KG; step++) {
      if (!steps[step].graze) {
        left = step(g, step, day, need, left, mostKg(g, steps[step], day, need), true);
      }
    }
    return left;
  }

  /** What the steps of a day let a group graze, kg DM; all of its need where none says less. */
  private double grazesKg(int g, int day, double need) {
    double most = 0;
    boolean any = false;
    for (StepPlan s : plan.groups[g].steps) {
      if (s.graze && day >= s.from && day < s.to) {
        any = true;
        most += s.bounded ? portionKg(g, s, day, need) : need;
      }
    }
    return any ? most : need;
  }

  /** Grazes a field piece by piece; what is left of so much, kg DM. */
  private double grazeOn(int g, int f, int day, double mostKg) {
    double left = mostKg;
    int on = on(g, f);
    while (left > EPSILON_KG) {
      boolean goesOn =
          on >= 0
              && offers.aboveKgPerHa[on] > Offers.LEAVE_AT_KG_PER_HA
              && !learning.full(g, on, day);
      if (!goesOn) {
        on = furthest(g, f, day);
        if (on < 0) {
          return left;
        }
        isOn(g, on);
      }
      left -= bite(g, on, day, left, Double.POSITIVE_INFINITY);
    }
    return left;
  }

  /** From where a group was seen the steps that go there go on. */
  private void isOn(int g, int c) {
    StepPlan[] steps = plan.groups[g].steps;
    for (int step = 0; step < steps.length; step++) {
      if (steps[step].graze && steps[step].has[cells[c].field]) {
        comeTo(g, step, c, state.broughtOn[g]);
      }
    }
  }

  /** The piece of a field that one of a group's steps stands on, or -1. */
  private int on(int g, int f) {
    for (int c : state.standingOn[g]) {
      if (c >= 0 && cells[c].field == f) {
        return c;
      }
    }
    return -1;
  }

  /** Eaten today of steps that feed what is still wanted from the store, kg DM. */
  private double storedKg(StepPlan[] steps) {
    double kg = 0;
    for (int step = 0; step < steps.length; step++) {
      kg += steps[step].graze || steps[step].first ? 0 : stepKg[step];
    }
    return kg;
  }

  /** What the portion of a step comes to for the whole group, kg DM. */
  private double portionKg(int g, StepPlan s, int day, double need) {
    return Double.isNaN(s.kgPerHeadDay)
        ? s.share * need
        : s.kgPerHeadDay * plan.groups[g].year.head(day);
  }

  private double mostKg(int g, StepPlan s, int day, double need) {
    return s.bounded ? portionKg(g, s, day, need) : need;
  }

  /** One step of a group's day, to the most that it may give; what is left of the need. */
  private double step(
      int g, int step, int day, double need, double left, double mostKg, boolean ready) {
    StepPlan s = plan.groups[g].steps[step];
    double most = Math.min(left, mostKg - stepKg[step]);
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
      int first = plan.pieces.first(pass.field);
      boolean made = false;
      boolean goesOn = false;
      for (boolean on : state.passing[g][n]) {
        goesOn |= on;
      }
      for (int piece = 0; piece < state.passing[g][n].length; piece++) {
        double eaten = pass(g, n, first + piece, day, left);
        made |= state.passing[g][n][piece];
        totals.passEatenKg[pass.number] += eaten;
        left -= eaten;
      }
      totals.passCount[pass.number] += made && !goesOn ? 1 : 0;
    }
    return left;
  }

  /** One piece's part of a pass; what was eaten, kg DM. */
  private double pass(int g, int n, int c, int day, double needKg) {
    PassPlan pass = plan.groups[g].passes[n];
    CellState s = cells[c];
    FieldPlan p = plan.fields[s.field];
    boolean[] passing = state.passing[g][n];
    int piece = c - plan.pieces.first(s.field);
    boolean may =
        day >= pass.from
            && day < pass.to
            && !plan.holds.field(s.field, day)
            && !plan.holds.group(g, s.field, day)
            && !s.sown
            && Offers.safe(p, s)
            && !plan.groups[g].barred[s.field];
    double eaten = 0;
    double over = may ? s.mass() - pass.leave : 0;
    passing[piece] |= may && s.mass() >= pass.when;
    if (passing[piece]
        && needKg > EPSILON_KG
        && Math.min(over, offers.aboveKgPerHa[c]) > Offers.LEAVE_AT_KG_PER_HA) {
      eaten = bite(g, c, day, needKg, over);
    }
    passing[piece] &= may && s.mass() - pass.leave > Offers.LEAVE_AT_KG_PER_HA;
    return eaten;
  }

  /**
   * The group stays on its piece until that is down to the residual or its stay is over, then moves
   * to the piece furthest past its turn-in cover. Rather than go bare ({@code ready} false) it goes
   * where anything stands above the residual.
   */
  private double graze(int g, int step, int day, double need, boolean ready) {
    StepPlan s = plan.groups[g].steps[step];
    if (ready && s.roundDays == 0 && state.onStore[g] && !worthReturning(g, s, day)) {
      return need;
    }
    double left = s.roundDays == 0 ? need : Math.min(need, allowedKg(g, step, day));
    double kept = need - left;
    move(g, step, day, ready);
    while (left > EPSILON_KG) {
      int[] on = state.standingOn[g];
      int c = on[step];
      if (c >= 0 && stands(g, c, day) && learning.full(g, c, day)) {
        on = state.besideOn[g];
        c = on[step];
      }
      if (c < 0 || !offers(g, c, day)) {
        c = furthestAhead(g, s, ready, day, -1);
        on[step] = c;
        if (on == state.standingOn[g]) {
          comeTo(g, step, c, day);
        }
        if (c < 0) {
          return kept + left;
        }
      }
      left -= bite(g, c, day, left, Double.POSITIVE_INFINITY);
    }
    return kept + left;
  }

  /** True where what is ready feeds the group for some days: for less nobody brings it back. */
  private boolean worthReturning(int g, StepPlan s, int day) {
    double kg = 0;
    for (int i = 0; i < offers.readyCount; i++) {
      int c = offers.ready[i];
      kg += goesTo(g, s, c, day) ? cells[c].areaHa * eatableKgPerHa(c) : 0;
    }
    return kg >= RETURN_FOR_DAYS * out.need[g * plan.days + day];
  }

  /** From hay back to grass for no fewer days than these. Assumption. */
  private static final double RETURN_FOR_DAYS = 5;

  /** Moves on before a piece is eaten down, where the stay is over and another piece is ready. */
  private void move(int g, int step, int day, boolean ready) {
    int c = state.standingOn[g][step];
    if (!ready || c < 0) {
      return;
    }
    StepPlan s = plan.groups[g].steps[step];
    int stay = plan.fields[cells[c].field].stayDays[day];
    if (stay > 0 && day - state.cameOn[g][step] >= stay) {
      int next = furthestAhead(g, s, true, day, c);
      if (next >= 0) {
        comeTo(g, step, next, day);
      }
    }
  }

  /**
   * What a rotation held at a length gives today, kg DM: a day's part of the area, at what could be
   * eaten on each hectare of the piece it stands on when it came there, or of the next one.
   */
  private double allowedKg(int g, int step, int day) {
    StepPlan s = plan.groups[g].steps[step];
    double areaHa = 0;
    for (int f : s.sources) {
      areaHa += plan.fields[f].areaHa;
    }
    int on = state.standingOn[g][step];
    if (on >= 0 && stands(g, on, day)) {
      return state.cameTo[g][step] * areaHa / s.roundDays;
    }
    int next = furthestAhead(g, s, true, day, -1);
    return next < 0 ? 0 : eatableKgPerHa(next) * areaHa / s.roundDays;
  }

  /** A group's step comes to a piece, or to none. */
  private void comeTo(int g, int step, int c, int day) {
    state.standingOn[g][step] = c;
    state.cameOn[g][step] = day;
    state.cameTo[g][step] = c < 0 ? 0 : eatableKgPerHa(c);
  }

  private boolean offers(int g, int c, int day) {
    return stands(g, c, day) && !learning.full(g, c, day);
  }

  /** True while the group may be on a piece and something stands there for it. */
  private boolean stands(int g, int c, int day) {
    return offers.open[c]
        && offers.aboveKgPerHa[c] > Offers.LEAVE_AT_KG_PER_HA
        && !plan.groups[g].barred[cells[c].field]
        && !plan.holds.group(g, cells[c].field, day);
  }

  /**
   * The piece to go to next, -1 for none: the one furthest ahead; among those that no eye can tell
   * apart the first in the order of the step's fields.
   */
  private int furthestAhead(int g, StepPlan step, boolean ready, int day, int but) {
    int[] among = ready ? offers.ready : offers.offering;
    int count = ready ? offers.readyCount : offers.offeringCount;
    double least = ready ? 0 : -Double.MAX_VALUE;
    double most = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < count; i++) {
      int c = among[i];
      double ahead = offers.aheadKgPerHa[c];
      if (c != but && ahead >= least && ahead > most && goesTo(g, step, c, day)) {
        most = ahead;
      }
    }
    int best = -1;
    for (int i = 0; i < count && most > Double.NEGATIVE_INFINITY; i++) {
      int c = among[i];
      double ahead = offers.aheadKgPerHa[c];
      boolean alike = ahead >= least && ahead >= most - ALIKE_KG_PER_HA;
      boolean before =
          best < 0
              || step.rank[cells[c].field] < step.rank[cells[best].field]
              || (cells[c].field == cells[best].field
                  && cells[c].grazedDay < cells[best].grazedDay);
      if (c != but && alike && before && goesTo(g, step, c, day)) {
        best = c;
      }
    }
    return best;
  }

  private boolean goesTo(int g, StepPlan step, int c, int day) {
    return step.has[cells[c].field] && offers(g, c, day);
  }

  /** Covers within this of each other count as one, kg DM/ha: nobody measures closer. */
  private static final double ALIKE_KG_PER_HA = 50;

  /** What would be eaten of what stands above the residual, kg DM/ha. */
  private double eatableKgPerHa(int c) {
    CellState s = cells[c];
    FieldPlan p = plan.fields[s.field];
    boolean fromStock = s.stock > Offers.LEAVE_AT_KG_PER_HA;
    double eatable = 0;
    for (int i = 0; i < s.stands.length; i++) {
      double utilization = plan.pieces.utilization(s.field, i, fromStock);
      eatable += s.stands[i].there ? s.stands[i].above(p.stands[i]) * utilization : 0;
    }
    return eatable;
  }

  /**
   * Eats from a piece, from each stand by what it offers; eating 1 kg takes 1/utilization kg down.
   * What was kept as stockpile is eaten first, in strips. Returns what was eaten, kg DM.
   *
   * @param mostKgPerHa no more than this is taken down
   */
  private double bite(int g, int c, int day, double needKg, double mostKgPerHa) {
    CellState s = cells[c];
    FieldPlan p = plan.fields[s.field];
    boolean fromStock = s.stock > Offers.LEAVE_AT_KG_PER_HA;
    double above = offers.aboveKgPerHa[c];
    double utilization = eatableKgPerHa(c) / above;
    double wantKg = Math.min(needKg, learning.roomKg(g, c, day));
    double most = Math.min(above, mostKgPerHa);
    double offered = (fromStock ? Math.min(most, s.stock) : most) * s.areaHa;
    double down = Math.min(offered, wantKg / utilization);
    double eaten = down * utilization;
    double share = down / s.areaHa / above;
    double standing = 0;
    for (int i = 0; i < s.stands.length; i++) {
      if (s.stands[i].there) {
        double off = share * s.stands[i].above(p.stands[i]);
        double of = eaten * off / (down / s.areaHa);
        standing += fromStock || !s.stands[i].grows ? of : 0;
        StandPlan sp = p.stands[i];
        QualityTable.Values picked = sp.residue ? plan.worth[sp.kind] : null;
        // in the middle of the bite, then behind it
        s.stands[i].pick(sp, picked, off / 2);
        diets.grazed(g, s.field, day, sp, s.stands[i], of, off);
        learning.ate(g, sp, day, of);
        taken(sp, s.stands[i], off, plan.groups[g].picks, day);
        s.stands[i].pick(sp, picked, 0);
      }
    }
    if (s.grazedDay < day - 1) {
      s.untouched = 1;
    }
    // what is eaten of a piece today is eaten of the part that nobody has been over
    out.grazedHa[out.row(day) + s.field] += share * s.untouched * s.areaHa;
    s.untouched *= Math.max(0, 1 - share);
    s.stock = Math.max(0, s.stock - down / s.areaHa);
    s.grazedDay = day;
    s.takenDay = day;
    s.grazedThisSeason = true;
    offers.set(c, p, s);
    book(g, s.field, day, down, eaten, standing);
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
    for (CellState s : cells) {
      for (StandState stand : s.stands) {
        out.closingKg += stand.mass() * s.areaHa;
      }
    }
    for (int f = 0; f < plan.fields.length; f++) {
      CellState[] pieces =
          java.util.Arrays.copyOfRange(cells, plan.pieces.first(f), plan.pieces.first(f + 1));
      for (int i = 1; i < plan.fields[f].stands.length; i++) {
        out.sowings[plan.fields[f].stands[i].crop.number] =
            SowingYear.of(plan.fields[f], i, pieces, out);
      }
    }
    out.closingKg += stores.leftKg();
  }
}
