package wiselarder.core.balance;

import wiselarder.core.balance.FieldState.StandState;
import wiselarder.core.balance.ResolvedPlan.CropPlan;
import wiselarder.core.balance.ResolvedPlan.FieldPlan;
import wiselarder.core.balance.ResolvedPlan.StandPlan;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.Maturity;
import wiselarder.core.forage.NitrogenRules;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.forage.SwardRules;
import wiselarder.core.land.SoilWater;

/**
 * What soil and plants do in a day, whoever eats: crops are tended, stands grow, soils drink and
 * dry, what is green dies and what is dead weathers. Nothing is allocated inside the day.
 */
final class Growing {
  private final ResolvedPlan plan;
  private final YearBalance out;
  private final FieldState[] fields;

  Growing(ResolvedPlan plan, YearBalance out, FieldState[] fields) {
    this.plan = plan;
    this.out = out;
    this.fields = fields;
  }

  /** Stands come and go, crops are tended, everything grows, soils drink and dry. */
  void morning(int day) {
    for (int f = 0; f < fields.length; f++) {
      FieldPlan p = plan.fields[f];
      FieldState s = fields[f];
      comeAndGo(p, s, day);
      tend(p, s, day);
      grow(f, p, s, day);
      water(p, s, day);
    }
  }

  /** What is green dies, what is dead weathers, and the day is recorded. */
  void evening(int day) {
    double weathering =
        SwardRules.weatheringShare(plan.weather.rainMm(day), plan.normal.rainMm(day));
    boolean heavySnow = plan.weather.snowMm(day) >= SwardRules.HEAVY_SNOW_MM;
    for (int f = 0; f < fields.length; f++) {
      wither(f, plan.fields[f], fields[f], day, weathering, heavySnow);
      record(f, plan.fields[f], fields[f], day);
    }
  }

  private void comeAndGo(FieldPlan p, FieldState s, int day) {
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
      s.stock = s.above(p, plan.weather.frostSeason(day));
    }
  }

  private void record(int f, FieldPlan p, FieldState s, int day) {
    double green = 0;
    double mass = 0;
    double ripe = 0;
    for (int i = 0; i < s.stands.length; i++) {
      green += s.stands[i].green;
      mass += s.stands[i].mass();
      ripe += s.stands[i].mass() * s.stands[i].maturity;
      offered(f, day, p.stands[i], s.stands[i]);
      if (i > 0) {
        out.sownCover[p.stands[i].crop.number * plan.days + day] = s.stands[i].mass();
      }
    }
    out.cover[day * fields.length + f] = mass;
    out.green[day * fields.length + f] = green;
    out.ripeness[day * fields.length + f] = mass <= 0 ? 0 : ripe / mass;
    out.water[day * fields.length + f] = s.waterMm;
  }

  /** Notes what stands, by mass of its stands: kg of nutrient a hectare. */
  private void offered(int f, int day, StandPlan sp, StandState stand) {
    QualityTable.Values values = plan.worth[sp.kind];
    double mass = stand.mass();
    if (values == null || mass <= 0) {
      return;
    }
    int at = day * fields.length + f;
    double share = stand.green / mass;
    out.standingProtein[at] +=
        mass * YearSimulator.worth(values, QualityTable.Values.PROTEIN, stand, share);
    out.standingTdn[at] +=
        mass * YearSimulator.worth(values, QualityTable.Values.TDN, stand, share);
  }

  /** Sowings: ground prepared, seed in the ground, emergence, ready, ended. */
  private void tend(FieldPlan p, FieldState s, int day) {
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
    StandPlan sp = p.stands[i];
    CropPlan c = sp.crop;
    StandState crop = s.stands[i];
    double share = s.waterMm / p.capacityMm;
    if (day == Math.max(0, c.sowDay)) {
      crop.waterShareAtSowing = share;
    }
    double above = Math.max(0, plan.weather.tmeanC(day) - sp.forage.baseC());
    if (crop.emergedDay < 0) {
      boolean moist =
          plan.weather.seedbedMoist(day) || (p.irrigation != null && p.irrigation[day] > 0);
      crop.heat += moist && share >= CropRules.MOIST_SHARE ? above : 0;
      if (crop.heat >= CropRules.EMERGENCE_DEGREE_DAYS) {
        crop.there = true;
        crop.emergedDay = day;
        crop.green = c.emergedKg;
        out.grown[day * fields.length + c.field] += c.emergedKg * p.areaHa;
        out.grownKg += c.emergedKg * p.areaHa;
        out.sownGrown[c.number] += c.emergedKg;
      } else if (day - c.sowDay >= CropRules.FAILS_AFTER_DAYS) {
        crop.failed = true;
        crop.endedDay = day;
      }
      return;
    }
    crop.stage += day >= c.heatFrom ? above : 0;
    if (crop.readyDay < 0 && day >= c.anchoredDay && crop.mass() >= sp.entry) {
      crop.readyDay = day;
    }
    boolean frosted = !sp.hardy && plan.weather.frostSeason(day);
    double tooCold = sp.forage.winterHardyC() - plan.weather.tminC(day);
    if (tooCold > 0) {
      crop.die(Math.min(1, tooCold * CropRules.KILLED_PER_DEGREE) * crop.green);
    }
    if (day >= sp.leaves || frosted || crop.green < CropRules.LEAST_ALIVE_KG_PER_HA) {
      crop.end(day);
    }
  }

  private void grow(int f, FieldPlan p, FieldState s, int day) {
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
        double extra = NitrogenRules.extraKgPerHa(kgPerHa, s.nitrogen, sp.forage.legumeShare());
        s.nitrogen -= Math.max(0, extra) / NitrogenRules.KG_DM_PER_KG_N;
        kgPerHa += extra;
      }
      stand.green += kgPerHa;
      out.grown[day * fields.length + f] += kgPerHa * p.areaHa;
      out.grownKg += kgPerHa * p.areaHa;
      if (sp.crop != null) {
        out.sownGrown[sp.crop.number] += kgPerHa;
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
  private void water(FieldPlan p, FieldState s, int day) {
    double open = s.stands[0].gone ? 1 : 1 - p.referenceCover[day];
    for (int i = 1; i < s.stands.length; i++) {
      open *= Math.exp(-p.stands[i].extinction * s.stands[i].green);
    }
    double in = plan.weather.reachesSoilMm(day) + (p.irrigation == null ? 0 : p.irrigation[day]);
    s.waterMm =
        SoilWater.after(
            s.waterMm, p.capacityMm, in, plan.weather.et0Mm(day), 1 - open, p.drainsFreely);
  }

  private void wither(
      int f, FieldPlan p, FieldState s, int day, double weathering, boolean heavySnow) {

    double lost = 0;
    for (int i = 0; i < s.stands.length; i++) {
      if (s.stands[i].there) {
        lost += wither(p.stands[i], s.stands[i], day, weathering, heavySnow);
      }
    }
    s.stock = Math.min(s.stock, s.above(p, plan.weather.frostSeason(day)));
    out.weathered[day * fields.length + f] = lost * p.areaHa;
    out.weatheredKg += lost * p.areaHa;
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
    s.asleep = frosted;
    s.dormantDays = dormant ? s.dormantDays + 1 : 0;
    s.age = frosted || s.dormantDays == Maturity.WINTERED_AFTER_DAYS ? 0 : s.age;
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
}
