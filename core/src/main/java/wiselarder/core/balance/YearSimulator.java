package wiselarder.core.balance;

import wiselarder.core.balance.ResolvedPlan.CutPlan;
import wiselarder.core.balance.ResolvedPlan.FieldPlan;
import wiselarder.core.balance.ResolvedPlan.GroupPlan;
import wiselarder.core.balance.ResolvedPlan.LotPlan;
import wiselarder.core.balance.ResolvedPlan.StepPlan;
import wiselarder.core.forage.SwardRules;

/**
 * The daily simulation. Each day: stands and lots come and go, swards grow, cuts are made, groups
 * eat by their order of feeds, stands and stores lose. Deterministic; nothing is allocated inside
 * the day. docs/model.md gives every formula.
 */
public final class YearSimulator {
  /** Below this a kilogram is rounding. */
  private static final double EPSILON_KG = 1e-9;

  /** A field with less than this to offer is left, kg DM/ha. */
  private static final double LEAVE_AT_KG_PER_HA = 1.0;

  private final ResolvedPlan plan;
  private final YearBalance out;
  private final FieldState[] fields;
  private final LotState[] lots;

  /** Field each group's step stands on, -1 for none; by group, then step. */
  private final int[][] standingOn;

  /** kg DM/ha; {@code stock} is the part of the cover kept as stockpile. */
  private static final class FieldState {
    double green;
    double dead;
    double stock;
    boolean there;
  }

  /** kg DM. */
  private static final class LotState {
    int closed;
    double kgPerUnit;
    double openKg;
    boolean there;
  }

  private YearSimulator(ResolvedPlan plan) {
    this.plan = plan;
    this.out = new YearBalance(plan);
    this.fields = new FieldState[plan.fields.length];
    this.lots = new LotState[plan.lots.length];
    this.standingOn = new int[plan.groups.length][];
    for (int f = 0; f < fields.length; f++) {
      fields[f] = new FieldState();
    }
    for (int l = 0; l < lots.length; l++) {
      lots[l] = new LotState();
    }
    for (int g = 0; g < standingOn.length; g++) {
      standingOn[g] = new int[plan.groups[g].steps.length];
      java.util.Arrays.fill(standingOn[g], -1);
    }
  }

  /** Simulates the whole plan. */
  public static YearBalance simulate(ResolvedPlan plan) {
    return new YearSimulator(plan).run();
  }

  private YearBalance run() {
    for (int day = 0; day < plan.days; day++) {
      comeAndGo(day);
      grow(day);
      cut(day);
      feed(day);
      wither(day);
      storeLoses();
      record(day);
    }
    closeAccounts();
    return out;
  }

  private void comeAndGo(int day) {
    for (int f = 0; f < fields.length; f++) {
      FieldPlan p = plan.fields[f];
      FieldState s = fields[f];
      if (!s.there && day >= p.arrives && day < p.leaves) {
        s.there = true;
        s.green = p.openingGreen;
        s.dead = p.openingDead;
        double kg = (s.green + s.dead) * p.areaHa;
        if (day == 0) {
          out.openingKg += kg;
        } else {
          out.arrivedKg += kg;
        }
      } else if (s.there && day >= p.leaves) {
        out.leftBehindKg += (s.green + s.dead) * p.areaHa;
        s.there = false;
        s.green = 0;
        s.dead = 0;
        s.stock = 0;
      }
      if (s.there && p.reopens[day]) {
        s.stock = Math.max(0, s.green + s.dead - p.residual);
      }
    }
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

  private void grow(int day) {
    for (int f = 0; f < fields.length; f++) {
      FieldState s = fields[f];
      FieldPlan p = plan.fields[f];
      double stated = p.growth[day];
      if (!s.there || stated <= 0 || (!p.hardy && plan.frostSeason[day])) {
        continue;
      }
      double kgPerHa =
          stated
              * SwardRules.leafShare(p.extinction, p.referenceLight, s.green)
              * SwardRules.crowdingShare(s.green + s.dead, p.entry, p.ceiling);
      s.green += kgPerHa;
      out.grown[f * plan.days + day] = kgPerHa * p.areaHa;
      out.grownKg += kgPerHa * p.areaHa;
    }
  }

  private void cut(int day) {
    for (CutPlan c : plan.cuts) {
      FieldState s = fields[c.field];
      if (c.day != day || !s.there) {
        continue;
      }
      FieldPlan p = plan.fields[c.field];
      double mass = s.green + s.dead;
      double off = Math.max(0, mass - c.stubble);
      if (off <= 0) {
        continue;
      }
      take(s, off);
      s.stock = 0;
      double offKg = off * p.areaHa;
      double madeKg = offKg * (1 - c.harvestLoss);
      out.cutOff[c.field * plan.days + day] += offKg;
      out.harvestLossKg += offKg - madeKg;
      LotState lot = lots[c.lot];
      lot.there = true;
      lot.closed = Math.max(1, (int) Math.round(madeKg / c.unitKg));
      lot.kgPerUnit = madeKg / lot.closed;
    }
  }

  /** Takes mass off a stand, green and dead in the proportion in which they stand. */
  private static void take(FieldState s, double kgPerHa) {
    double mass = s.green + s.dead;
    double deadShare = mass <= 0 ? 0 : s.dead / mass;
    s.green = Math.max(0, s.green - kgPerHa * (1 - deadShare));
    s.dead = Math.max(0, s.dead - kgPerHa * deadShare);
  }

  private void feed(int day) {
    for (int g = 0; g < plan.groups.length; g++) {
      GroupPlan group = plan.groups[g];
      double need = group.year.needKg(day);
      out.need[g * plan.days + day] = need;
      double left = need;
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

  /**
   * The group stays on its field until that is down to the residual, then moves to the field
   * furthest past its turn-in cover. Rather than go bare ({@code ready} false) it goes where
   * anything stands above the residual.
   */
  private double graze(int g, int step, int day, double need, boolean ready) {
    double left = need;
    while (left > EPSILON_KG) {
      int f = standingOn[g][step];
      if (f < 0 || !offers(g, f, day)) {
        f = furthestAhead(g, plan.groups[g].steps[step], day, ready);
        standingOn[g][step] = f;
        if (f < 0) {
          return left;
        }
      }
      left -= bite(g, f, day, left);
    }
    return left;
  }

  private boolean offers(int g, int f, int day) {
    FieldPlan p = plan.fields[f];
    FieldState s = fields[f];
    return s.there
        && !p.shut[day]
        && !plan.groups[g].barred[f]
        && s.green + s.dead - p.residual > LEAVE_AT_KG_PER_HA;
  }

  private int furthestAhead(int g, StepPlan step, int day, boolean ready) {
    int best = -1;
    double bestAhead = ready ? 0 : -Double.MAX_VALUE;
    for (int f : step.sources) {
      if (offers(g, f, day)) {
        double ahead = fields[f].green + fields[f].dead - plan.fields[f].turnIn;
        if (ahead >= bestAhead && (best < 0 || ahead > bestAhead)) {
          best = f;
          bestAhead = ahead;
        }
      }
    }
    return best;
  }

  /**
   * Eats from a field; eating 1 kg takes 1/utilization kg down. What was kept as stockpile is eaten
   * first, in strips. Returns what was eaten, kg DM.
   */
  private double bite(int g, int f, int day, double wantKg) {
    FieldPlan p = plan.fields[f];
    FieldState s = fields[f];
    boolean fromStock = s.stock > LEAVE_AT_KG_PER_HA;
    double above = s.green + s.dead - p.residual;
    double utilization = fromStock ? p.stockUtilization : p.utilization;
    double offered = (fromStock ? Math.min(above, s.stock) : above) * p.areaHa;
    double down = Math.min(offered, wantKg / utilization);
    double eaten = down * utilization;
    take(s, down / p.areaHa);
    s.stock = Math.max(0, s.stock - down / p.areaHa);
    int at = f * plan.days + day;
    out.fieldEaten[at] += eaten;
    out.trampled[at] += down - eaten;
    out.trampledKg += down - eaten;
    if (fromStock || p.residue) {
      out.fieldStandingEaten[at] += eaten;
      eat(Shelf.STANDING, g, day, eaten);
    } else {
      eat(Shelf.GROWING, g, day, eaten);
    }
    return eaten;
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
        out.lotEaten[l * plan.days + day] += eaten;
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
    out.lotOpened[l * plan.days + day]++;
  }

  private void wither(int day) {
    for (int f = 0; f < fields.length; f++) {
      FieldState s = fields[f];
      FieldPlan p = plan.fields[f];
      if (!s.there) {
        continue;
      }
      boolean frosted = !p.hardy && plan.frostSeason[day];
      boolean dormant = frosted || p.growth[day] < p.dormantBelow;
      if (!dormant) {
        double dying = p.senescencePerDay * Math.max(0, s.green - p.entry);
        s.green -= dying;
        s.dead += dying;
      }
      if (frosted) {
        double dying = SwardRules.FROST_DEATH_PER_DAY * Math.max(0, s.green - p.base);
        s.green -= dying;
        s.dead += dying;
      }
      double lost = s.dead * p.lossPerDay;
      s.dead -= lost;
      if (dormant) {
        double greenLost = Math.max(0, s.green - p.base) * p.lossPerDay;
        s.green -= greenLost;
        lost += greenLost;
      }
      s.stock = Math.min(s.stock, Math.max(0, s.green + s.dead - p.residual));
      out.weathered[f * plan.days + day] = lost * p.areaHa;
      out.weatheredKg += lost * p.areaHa;
    }
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
    for (int f = 0; f < fields.length; f++) {
      out.cover[f * plan.days + day] = fields[f].green + fields[f].dead;
      out.green[f * plan.days + day] = fields[f].green;
    }
    for (int l = 0; l < lots.length; l++) {
      LotState s = lots[l];
      out.lotKg[l * plan.days + day] = s.closed * s.kgPerUnit + s.openKg;
      out.lotUnits[l * plan.days + day] = s.closed + (s.openKg > EPSILON_KG ? 1 : 0);
    }
  }

  private void closeAccounts() {
    for (int f = 0; f < fields.length; f++) {
      out.closingKg += (fields[f].green + fields[f].dead) * plan.fields[f].areaHa;
    }
    for (LotState s : lots) {
      out.closingKg += s.closed * s.kgPerUnit + s.openKg;
    }
  }
}
