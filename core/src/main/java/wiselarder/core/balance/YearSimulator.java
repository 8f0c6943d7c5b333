package wiselarder.core.balance;

import wiselarder.core.balance.FieldState.StandState;
import wiselarder.core.balance.ResolvedPlan.CropPlan;
import wiselarder.core.balance.ResolvedPlan.CutPlan;
import wiselarder.core.balance.ResolvedPlan.FieldPlan;
import wiselarder.core.balance.ResolvedPlan.GroupPlan;
import wiselarder.core.balance.ResolvedPlan.LotPlan;
import wiselarder.core.balance.ResolvedPlan.StandPlan;
import wiselarder.core.balance.ResolvedPlan.StepPlan;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.Maturity;
import wiselarder.core.forage.NitrogenRules;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.forage.SwardRules;
import wiselarder.core.land.SoilWater;

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
      fields[f] = new FieldState(plan.fields[f]);
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
      tend(day);
      grow(day);
      water(day);
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
      StandState base = s.stands[0];
      if (!base.there && !base.gone && day >= p.base().arrives && day < p.base().leaves) {
        base.there = true;
        base.green = p.openingGreen;
        base.dead = p.openingDead;
        double kg = base.mass() * p.areaHa;
        if (day == 0) {
          out.openingKg += kg;
        } else {
          out.arrivedKg += kg;
        }
      } else if (base.there && day >= p.base().leaves) {
        out.leftBehindKg += base.clear() * p.areaHa;
        base.there = false;
        s.stock = 0;
      }
      if (p.reopens[day]) {
        s.stock = above(p, s, day);
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

  /** Sowings: ground prepared, seed in the ground, emergence, ready, ended. */
  private void tend(int day) {
    for (int f = 0; f < fields.length; f++) {
      FieldPlan p = plan.fields[f];
      FieldState s = fields[f];
      if (p.nitrogen != null) {
        s.nitrogen += p.nitrogen[day];
      }
      s.nitrogen *= 1 - NitrogenRules.LOST_PER_DAY;
      s.sown = false;
      for (int i = 1; i < s.stands.length; i++) {
        CropPlan c = p.stands[i].crop;
        StandState crop = s.stands[i];
        if (day == Math.max(0, c.prepareDay)) {
          prepare(p, s, i);
        }
        if (day >= c.sowDay && crop.endedDay < 0) {
          develop(p, s, i, day);
        }
        s.sown |= day >= c.prepareDay && crop.readyDay < 0 && crop.endedDay < 0;
      }
    }
  }

  /** Preparing for a crop sets back or clears whatever stood there before it. */
  private void prepare(FieldPlan p, FieldState s, int sowing) {
    CropPlan c = p.stands[sowing].crop;
    for (int i = 0; i < sowing; i++) {
      if (s.stands[i].there) {
        double lost = s.stands[i].prepare(c.stated.preparation(), p.stands[i], c.sowDay);
        out.leftBehindKg += lost * p.areaHa;
      }
    }
    s.stock = 0;
  }

  private void develop(FieldPlan p, FieldState s, int i, int day) {
    StandPlan plan = p.stands[i];
    CropPlan c = plan.crop;
    StandState crop = s.stands[i];
    double share = s.waterMm / p.capacityMm;
    if (day == Math.max(0, c.sowDay)) {
      crop.waterShareAtSowing = share;
    }
    double above = Math.max(0, this.plan.weather.tmeanC(day) - plan.forage.baseC());
    if (crop.emergedDay < 0) {
      boolean moist =
          this.plan.weather.seedbedMoist(day) || (p.irrigation != null && p.irrigation[day] > 0);
      crop.heat += moist && share >= CropRules.MOIST_SHARE ? above : 0;
      if (crop.heat >= CropRules.EMERGENCE_DEGREE_DAYS) {
        crop.there = true;
        crop.emergedDay = day;
        crop.green = c.emergedKg;
        out.grown[c.fieldAt + day] += c.emergedKg * p.areaHa;
        out.grownKg += c.emergedKg * p.areaHa;
        out.sownGrown[c.number] += c.emergedKg;
      } else if (day - c.sowDay >= CropRules.FAILS_AFTER_DAYS) {
        crop.failed = true;
        crop.endedDay = day;
      }
      return;
    }
    crop.stage += day >= c.heatFrom ? above : 0;
    if (crop.readyDay < 0 && day >= c.anchoredDay && crop.mass() >= plan.entry) {
      crop.readyDay = day;
    }
    boolean frosted = !plan.hardy && this.plan.weather.frostSeason(day);
    double tooCold = plan.forage.winterHardyC() - this.plan.weather.tminC(day);
    if (tooCold > 0) {
      crop.die(Math.min(1, tooCold * CropRules.KILLED_PER_DEGREE) * crop.green);
    }
    if (day >= plan.leaves || frosted || crop.green < CropRules.LEAST_ALIVE_KG_PER_HA) {
      crop.end(day);
    }
  }

  private void grow(int day) {
    for (int f = 0; f < fields.length; f++) {
      FieldPlan p = plan.fields[f];
      FieldState s = fields[f];
      for (int i = 0; i < s.stands.length; i++) {
        s.stands[i].rate = rate(p, s, i, day);
      }
      shadow(p, s);
      for (int i = 0; i < s.stands.length; i++) {
        StandState stand = s.stands[i];
        StandPlan sp = p.stands[i];
        if (!stand.there || stand.rate <= 0 || (!sp.hardy && plan.weather.frostSeason(day))) {
          continue;
        }
        double kgPerHa =
            stand.rate
                * stand.vigour
                * leafShare(sp, s, i)
                * SwardRules.crowdingShare(stand.mass(), sp.entry, sp.ceiling);
        if (s.nitrogen > 0) {
          double extra = NitrogenRules.extraKgPerHa(kgPerHa, s.nitrogen, sp.forage.fixesNitrogen());
          s.nitrogen -= Math.max(0, extra) / NitrogenRules.KG_DM_PER_KG_N;
          kgPerHa += extra;
        }
        stand.green += kgPerHa;
        out.grown[f * plan.days + day] += kgPerHa * p.areaHa;
        out.grownKg += kgPerHa * p.areaHa;
        if (sp.crop != null) {
          out.sownGrown[sp.crop.number] += kgPerHa;
        }
      }
    }
  }

  /** Growth that today's weather allows at full leaf, kg DM/ha. */
  private double rate(FieldPlan p, FieldState s, int i, int day) {
    StandPlan sp = p.stands[i];
    double wet = SoilWater.growthShare(s.waterMm, p.capacityMm, sp.droughtHold);
    double index = plan.index[sp.kind][day] * wet;
    if (sp.crop != null) {
      return s.stands[i].lives()
          ? sp.crop.sitePeak * index * sp.crop.course.growthShare(s.stands[i].stage)
          : 0;
    }
    double rate = sp.growth[day] + sp.response[day] * (index - sp.normalIndex[day]);
    return day < s.stands[0].setBackUntil ? rate * s.stands[0].setBackTo : rate;
  }

  /**
   * What all leaves together catch, for each unit of extinction times mass. A sleeping sod shades
   * by what stands dead above its stubble only.
   */
  private static void shadow(FieldPlan p, FieldState s) {
    if (s.stands.length == 1) {
      return;
    }
    double depth = 0;
    for (int i = 0; i < s.stands.length; i++) {
      StandPlan sp = p.stands[i];
      StandState stand = s.stands[i];
      boolean sleeps = stand.rate <= sp.dormantBelow;
      double dead = Math.max(0, sleeps ? stand.mass() - sp.base : stand.dead);
      depth += sp.extinction * ((sleeps ? 0 : stand.green) + SwardRules.DEAD_SHADE * dead);
    }
    s.lightShare = depth <= 0 ? 1 : (1 - Math.exp(-depth)) / depth;
  }

  /** A stand alone catches by its own leaf; where two stand, each by its share of the leaf. */
  private static double leafShare(StandPlan sp, FieldState s, int i) {
    double green = s.stands[i].green;
    if (s.stands.length == 1) {
      return SwardRules.leafShare(sp.extinction, sp.referenceLight, green);
    }
    double caught = sp.extinction * green * s.lightShare / sp.referenceLight;
    return sp.crop == null ? Math.max(SwardRules.RESERVE_SHARE * s.lightShare, caught) : caught;
  }

  /** All stands of a field drink from one bucket. */
  private void water(int day) {
    for (int f = 0; f < fields.length; f++) {
      FieldPlan p = plan.fields[f];
      FieldState s = fields[f];
      double open = s.stands[0].gone ? 1 : 1 - p.referenceCover[day];
      for (int i = 1; i < s.stands.length; i++) {
        open *= Math.exp(-p.stands[i].extinction * s.stands[i].green);
      }
      double in = plan.weather.reachesSoilMm(day) + (p.irrigation == null ? 0 : p.irrigation[day]);
      s.waterMm =
          SoilWater.after(
              s.waterMm, p.capacityMm, in, plan.weather.et0Mm(day), 1 - open, p.drainsFreely);
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
    for (int i = 0; i < s.stands.length; i++) {
      StandPlan sp = p.stands[i];
      double stubble = sp.forage.massAtHeightKgPerHa(sp.forage.cutHeightCm());
      double mass = s.stands[i].mass();
      if (s.stands[i].there && mass > stubble) {
        off += mass - stubble;
        taken(sp, s.stands[i], mass - stubble, 1, day);
      }
    }
    if (off <= 0) {
      return;
    }
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

  /** Takes mass off a stand; a jointed small grain taken low has lost its growing points. */
  private static void taken(StandPlan sp, StandState stand, double kgPerHa, double picks, int day) {
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
    return !p.shut[day]
        && !s.sown
        && !frostHolds(p, day)
        && !plan.groups[g].barred[f]
        && above(p, s, day) > LEAVE_AT_KG_PER_HA;
  }

  /** A killing frost shuts a stand of sorghum for its hold, whenever it comes in this season. */
  private boolean frostHolds(FieldPlan p, int day) {
    if (p.frostHoldDays == 0) {
      return false;
    }
    int since = plan.weather.daysIntoFrostSeason(day);
    return since >= 0 && since <= p.frostHoldDays;
  }

  /** False while a growing stand is below the height at which it is safe to come in. */
  private static boolean safe(FieldPlan p, FieldState s) {
    for (int i = 0; i < s.stands.length; i++) {
      StandPlan sp = p.stands[i];
      StandState stand = s.stands[i];
      if (sp.safe > 0 && stand.there && stand.rate > 0 && stand.mass() < sp.safe) {
        return false;
      }
    }
    return true;
  }

  /** What stands above the residuals of all stands, kg DM/ha. In winter a reserve is left. */
  private double above(FieldPlan p, FieldState s, int day) {
    boolean winter = plan.weather.frostSeason(day);
    double above = 0;
    for (int i = 0; i < s.stands.length; i++) {
      if (s.stands[i].there) {
        above += s.stands[i].above(p.stands[i], winter);
      }
    }
    return above;
  }

  /** How far a field is past the cover at which stock may come in: its furthest stand counts. */
  private static double ahead(FieldPlan p, FieldState s) {
    double ahead = -Double.MAX_VALUE;
    for (int i = 0; i < s.stands.length; i++) {
      if (s.stands[i].there) {
        ahead = Math.max(ahead, s.stands[i].mass() - p.stands[i].turnIn);
      }
    }
    return ahead;
  }

  private int furthestAhead(int g, StepPlan step, int day, boolean ready) {
    int best = -1;
    double bestAhead = ready ? 0 : -Double.MAX_VALUE;
    for (int f : step.sources) {
      if (offers(g, f, day) && safe(plan.fields[f], fields[f])) {
        double ahead = ahead(plan.fields[f], fields[f]);
        if (ahead >= bestAhead && (best < 0 || ahead > bestAhead)) {
          best = f;
          bestAhead = ahead;
        }
      }
    }
    return best;
  }

  /**
   * Eats from a field, from each stand by what it offers; eating 1 kg takes 1/utilization kg down.
   * What was kept as stockpile is eaten first, in strips. Returns what was eaten, kg DM.
   */
  private double bite(int g, int f, int day, double wantKg) {
    FieldPlan p = plan.fields[f];
    FieldState s = fields[f];
    boolean winter = plan.weather.frostSeason(day);
    boolean fromStock = s.stock > LEAVE_AT_KG_PER_HA;
    double above = above(p, s, day);
    double eatable = 0;
    for (int i = 0; i < s.stands.length; i++) {
      StandPlan sp = p.stands[i];
      double utilization = fromStock ? sp.stockUtilization : sp.utilization;
      eatable += s.stands[i].there ? s.stands[i].above(sp, winter) * utilization : 0;
    }
    double utilization = eatable / above;
    double offered = (fromStock ? Math.min(above, s.stock) : above) * p.areaHa;
    double down = Math.min(offered, wantKg / utilization);
    double eaten = down * utilization;
    double share = down / p.areaHa / above;
    for (int i = 0; i < s.stands.length; i++) {
      if (s.stands[i].there) {
        double off = share * s.stands[i].above(p.stands[i], winter);
        worth(g, day, p.stands[i], s.stands[i], eaten * off / (down / p.areaHa));
        taken(p.stands[i], s.stands[i], off, plan.groups[g].picks, day);
      }
    }
    s.stock = Math.max(0, s.stock - down / p.areaHa);
    int at = f * plan.days + day;
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
    if (values == null) {
      return;
    }
    double green = plan.groups[g].chooses * stand.green;
    double share = green + stand.dead <= 0 ? 0 : green / (green + stand.dead);
    int at = g * plan.days + day;
    out.grazedProteinKg[at] += eatenKg * worth(values, QualityTable.Values.PROTEIN, stand, share);
    out.grazedTdnKg[at] += eatenKg * worth(values, QualityTable.Values.TDN, stand, share);
    out.grazedFibreKg[at] += eatenKg * worth(values, QualityTable.Values.FIBRE, stand, share);
  }

  /** Value of a mixture of green and dead, as a share of DM. */
  private static double worth(
      QualityTable.Values values, int nutrient, StandState stand, double greenShare) {
    return (greenShare * values.green(nutrient, stand.maturity)
            + (1 - greenShare) * values.dead(nutrient, stand.deadDays))
        / 100;
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
    double weathering =
        SwardRules.weatheringShare(plan.weather.rainMm(day), plan.normalRainMm[day]);
    boolean heavySnow = plan.weather.snowMm(day) >= SwardRules.HEAVY_SNOW_MM;
    for (int f = 0; f < fields.length; f++) {
      FieldState s = fields[f];
      FieldPlan p = plan.fields[f];
      double lost = 0;
      for (int i = 0; i < s.stands.length; i++) {
        if (s.stands[i].there) {
          lost += wither(p.stands[i], s.stands[i], day, weathering, heavySnow);
        }
      }
      s.stock = Math.min(s.stock, above(p, s, day));
      out.weathered[f * plan.days + day] = lost * p.areaHa;
      out.weatheredKg += lost * p.areaHa;
    }
  }

  /** Green dies, dead weathers, snow lays down; what is lost, kg DM/ha. */
  private double wither(StandPlan p, StandState s, int day, double weathering, boolean heavySnow) {
    boolean frosted = !p.hardy && plan.weather.frostSeason(day);
    boolean dormant = frosted || s.rate < p.dormantBelow;
    if (!dormant) {
      s.die(p.senescencePerDay * Math.max(0, s.green - p.entry));
      if (p.crop == null) {
        s.vigour = SwardRules.vigourAfter(s.vigour, s.mass(), p.base);
      }
    }
    if (p.crop != null && p.crop.course.diesRipe() && p.crop.course.ripe(s.stage)) {
      s.die(CropRules.RIPE_DEATH_PER_DAY * s.green);
      if (s.endedDay < 0 && s.green < CropRules.EMERGED_KG_PER_HA) {
        s.end(day);
      }
    }
    if (frosted) {
      s.die(SwardRules.FROST_DEATH_PER_DAY * Math.max(0, s.green - p.base));
    }
    s.deadDays++;
    s.age += Maturity.agedBy(plan.weather.tmeanC(day), p.forage.baseC(), plan.season[p.kind][day]);
    s.maturity =
        p.crop == null ? Maturity.atAge(s.age) : Maturity.ofCrop(p.crop.course, s.stage, s.age);
    double lost = Math.min(s.dead, s.dead * p.lossPerDay * weathering);
    s.dead -= lost;
    if (dormant) {
      double greenLost = Math.max(0, s.green - p.base) * p.lossPerDay * weathering;
      s.green -= greenLost;
      lost += greenLost;
    }
    if (heavySnow && p.lodged > 0) {
      double down = p.lodged * s.above(p, false);
      s.take(down);
      lost += down;
    }
    return lost;
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
      FieldState s = fields[f];
      double green = 0;
      double mass = 0;
      for (int i = 0; i < s.stands.length; i++) {
        green += s.stands[i].green;
        mass += s.stands[i].mass();
        offered(f, day, plan.fields[f].stands[i], s.stands[i]);
        if (i > 0) {
          out.sownCover[plan.fields[f].stands[i].crop.number * plan.days + day] =
              s.stands[i].mass();
        }
      }
      out.cover[f * plan.days + day] = mass;
      out.green[f * plan.days + day] = green;
      out.water[f * plan.days + day] = s.waterMm;
    }
    for (int l = 0; l < lots.length; l++) {
      LotState s = lots[l];
      out.lotKg[l * plan.days + day] = s.closed * s.kgPerUnit + s.openKg;
      out.lotUnits[l * plan.days + day] = s.closed + (s.openKg > EPSILON_KG ? 1 : 0);
    }
  }

  /** Notes what stands, by mass of its stands: kg of nutrient a hectare. */
  private void offered(int f, int day, StandPlan sp, StandState stand) {
    QualityTable.Values values = plan.worth[sp.kind];
    double mass = stand.mass();
    if (values == null || mass <= 0) {
      return;
    }
    int at = f * plan.days + day;
    double share = stand.green / mass;
    out.standingProtein[at] += mass * worth(values, QualityTable.Values.PROTEIN, stand, share);
    out.standingTdn[at] += mass * worth(values, QualityTable.Values.TDN, stand, share);
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
