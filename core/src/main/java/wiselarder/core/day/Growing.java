package wiselarder.core.day;

import wiselarder.core.day.CellState.StandState;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.Maturity;
import wiselarder.core.forage.NitrogenRules;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.forage.SwardRules;
import wiselarder.core.land.SoilWater;
import wiselarder.core.plan.OpeningState;
import wiselarder.core.plan.Sowing;
import wiselarder.core.resolved.FieldDays;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.CropPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;
import wiselarder.core.resolved.SeenCovers.SeenCover;
import wiselarder.core.resolved.SeenStems.SeenStage;
import wiselarder.core.weather.WeatherYear;

/**
 * What soil and plants do in a day, whoever eats: crops are tended, stands grow, soils drink and
 * dry, what is green dies and what is dead weathers. Nothing is allocated inside the day.
 */
final class Growing {
  private final ResolvedPlan plan;
  private final DayBook out;
  private final Totals totals;
  private final CellState[] cells;
  private final int fieldCount;
  private final Offers offers;
  private final Pace pace;
  private final int kinds;
  private final boolean follows;

  /** Place of the figures by which growth answers to this weather; see {@link FieldDays}. */
  private final int answers;

  /** The day's weather. */
  private double meanC;

  private double minC;

  private double et0Mm;
  private double reachesSoilMm;
  private boolean frost;
  private double weathering;
  private boolean laysDown;
  private boolean coldHalf;

  Growing(ResolvedPlan plan, DayBook out, FarmState state, Offers offers) {
    this.plan = plan;
    this.out = out;
    this.totals = state.totals;
    this.cells = state.cells;
    this.fieldCount = plan.fields.length;
    this.offers = offers;
    this.pace = state.pace;
    this.kinds = plan.kinds.length;
    this.follows = !out.lean || plan.followsWorth;
    this.answers = FieldDays.offset(plan.weather.kind());
  }

  private void look(int day) {
    meanC = plan.weather.tmeanC(day);
    minC = plan.weather.tminC(day);
    et0Mm = plan.weather.et0Mm(day);
    reachesSoilMm = plan.weather.reachesSoilMm(day);
    frost = plan.weather.frostSeason(day);
    weathering = SwardRules.weatheringShare(plan.weather.rainMm(day), plan.normal.rainMm(day));
    coldHalf = plan.byDay.coldHalf[day];
    laysDown = plan.weather.snowMm(day) >= SwardRules.HEAVY_SNOW_MM || plan.weather.ice(day);
    offers.begin(day);
  }

  /** Stands come and go, crops are tended, everything grows, soils drink and dry. */
  void morning(int day) {
    look(day);
    int[] events = plan.byDay.events[day];
    for (int e = 0; events != null && e < events.length; e++) {
      FieldPlan p = plan.fields[events[e]];
      int first = plan.pieces.first(events[e]);
      for (int c = 0; c < plan.pieces.of(events[e]); c++) {
        comeAndGo(p, cells[first + c], day);
      }
    }
    pace.begin();
    for (SeenCover seen : plan.seen.on(day)) {
      look(seen, day);
    }
    for (SeenStage seen : plan.stems.on(day)) {
      look(seen);
    }
    plan.soils.on(day).forEach(this::feel);
    for (int c = 0; c < cells.length; c++) {
      CellState s = cells[c];
      FieldPlan p = plan.fields[s.field];
      if (p.alone) {
        growAlone(p, s, day);
      } else {
        tend(p, s, day);
        grow(p, s, day);
        water(p, s, day);
      }
      s.grazedThisSeason &= s.base.grows || s.stands.length > 1;
      offers.morning(c, p, s, day);
    }
  }

  /**
   * A field was measured: from this morning on it stands as it was seen to, each of its pieces and
   * stands so many times thicker or thinner. Where nothing is thought to stand it is the base stand
   * that was seen; where that is not there, nobody. Where plants lift when they are pulled nobody
   * comes in until somebody finds that they hold; where they hold, no day is waited for.
   */
  private void look(SeenCover seen, int day) {
    int f = seen.field();
    FieldPlan p = plan.fields[f];
    int first = plan.pieces.first(f);
    double thought = 0;
    boolean there = false;
    int taken = FarmState.LONG_AGO;
    for (int c = first; c < first + plan.pieces.of(f); c++) {
      taken = Math.max(taken, cells[c].takenDay);
      for (StandState stand : cells[c].stands) {
        thought += cells[c].partOfField * stand.mass();
        there |= stand.there;
      }
    }
    for (int c = first; seen.rootsHold() != null && c < first + plan.pieces.of(f); c++) {
      cells[c].rootsHold = seen.rootsHold();
      cells[c].plantsLift = !seen.rootsHold();
      cells[c].sown = cells[c].plantsLift;
    }
    if (!there) {
      return;
    }
    double kgPerHa = seen.cover().coverKgPerHa();
    boolean nothing = thought < LEAST_KG_PER_HA;
    for (int c = first; c < first + plan.pieces.of(f); c++) {
      CellState s = cells[c];
      double stockShare = s.above(p) <= 0 ? 0 : s.stock / s.above(p);
      double before = s.mass();
      for (int i = 0; i < s.stands.length; i++) {
        StandState stand = s.stands[i];
        if (stand.there) {
          double now = nothing ? nowhere(s, i, kgPerHa) : stand.mass() / thought * kgPerHa;
          stand.isSeen(now, seen.deadShare());
          QualityTable.Values values = followed(p.stands[i]);
          if (nothing && values != null && stand.green > 0) {
            stand.young = stand.green;
            values.join(stand.youngWorth, 0, stand.maturity, 1);
          }
        }
      }
      s.stock = stockShare * s.above(p);
      totals.seenKg += (s.mass() - before) * s.areaHa;
    }
    out.readings.add(new Reading(f, day, thought, seen.cover(), seen.rootsHold()));
    pace.read(f, day, taken, kgPerHa - thought);
  }

  /** Somebody felt the soil: from this morning on it holds so much. */
  private void feel(int field, double share) {
    int first = plan.pieces.first(field);
    for (int c = first; c < first + plan.pieces.of(field); c++) {
      cells[c].waterMm = share * plan.fields[field].capacityMm;
    }
  }

  /** Stems were split: a crop that was thought to be further on or behind is where it was seen. */
  private void look(SeenStage seen) {
    FieldPlan p = plan.fields[seen.field()];
    int first = plan.pieces.first(seen.field());
    for (int c = first; c < first + plan.pieces.of(seen.field()); c++) {
      for (int i = 1; i < p.stands.length; i++) {
        StandState crop = cells[c].stands[i];
        if (p.stands[i].forage.id().equals(seen.forageId()) && crop.lives()) {
          CropRules.Course course = p.stands[i].crop.course;
          crop.isAt(course, plan.stems.stages().heatAt(seen.stage(), course, crop.stage));
        }
      }
    }
  }

  /** Of what was seen where nothing was thought to stand, the part of a stand. */
  private static double nowhere(CellState s, int i, double kgPerHa) {
    for (int first = 0; first < s.stands.length; first++) {
      if (s.stands[first].there) {
        return first == i ? kgPerHa : 0;
      }
    }
    return 0;
  }

  /** Less than this is nothing, kg DM/ha. */
  private static final double LEAST_KG_PER_HA = 1;

  /** A stand alone, with nothing put on it: most fields of most farms. */
  private void growAlone(FieldPlan p, CellState s, int day) {
    StandPlan sp = p.base;
    StandState stand = s.base;
    double[] days = plan.byDay.base;
    int at = (day * fieldCount + s.field) * FieldDays.FIGURES;
    double wet = SoilWater.growthShare(s.waterMm, p.capacityMm, sp.droughtHold);
    double index = plan.index[day * kinds + sp.kind] * wet;
    double rate = rate(days, at, index);
    stand.rate = rate;
    rest(sp, stand);
    if (stand.there && rate > 0 && !frosted(sp)) {
      double kgPerHa =
          rate
              * stand.vigour
              * SwardRules.leafShare(sp.extinction, sp.referenceLight, stand.green)
              * SwardRules.crowdingShare(stand.mass(), sp.entry, sp.ceiling)
              * pace.share;
      stand.grow(kgPerHa, followed(sp));
      pace.grew(s.field, s.partOfField * kgPerHa);
      double kg = kgPerHa * s.areaHa;
      out.grown[out.row(day) + s.field] += kg;
      totals.grownKg += kg;
    }
    double cover = stand.gone ? 0 : days[at + FieldDays.COVER];
    s.waterMm =
        SoilWater.after(s.waterMm, p.capacityMm, reachesSoilMm, et0Mm, cover, p.drainsFreely);
  }

  /** Growth of a base stand with so good a day, kg DM/ha. */
  private double rate(double[] days, int at, double index) {
    return days[at + FieldDays.GROWTH]
        + days[at + answers + FieldDays.RESPONSE]
            * (index - days[at + answers + FieldDays.NORMAL_INDEX]);
  }

  /** True on a day on which frost keeps a stand from growing. */
  private boolean frosted(StandPlan p) {
    return !p.hardy
        && (p.frostedBelowC > Double.NEGATIVE_INFINITY ? minC < p.frostedBelowC : frost);
  }

  /** Whether a stand grows these days, and whether it is left at its winter height. */
  private void rest(StandPlan p, StandState s) {
    s.recent += WEEK_SHARE * (s.rate - s.recent);
    s.recent = Double.isNaN(s.recent) ? s.rate : s.recent;
    boolean sleeps = s.recent < p.quietBelow || s.endedDay >= 0 || frosted(p);
    s.grows = !sleeps && !p.residue;
    s.wintering = frost || (sleeps && p.warmSeason && coldHalf);
  }

  /** What feed value the stand's growth has, or null where nobody asks. */
  private QualityTable.Values followed(StandPlan p) {
    return follows ? plan.worth[p.kind] : null;
  }

  private static final double WEEK_SHARE = 1 / 7.0;

  /** What is green dies, what is dead weathers, and the day is recorded. */
  void evening(int day) {
    out.paceShare[day] = pace.share;
    out.grownSoFarKg[day] = totals.grownKg;
    for (CellState s : cells) {
      FieldPlan p = plan.fields[s.field];
      out.soilMmHa[day] += s.waterMm * s.areaHa;
      if (p.alone) {
        eveningAlone(p, s, day);
      } else {
        wither(p, s, day);
        record(p, s, day);
      }
    }
  }

  private void eveningAlone(FieldPlan p, CellState s, int day) {
    StandState stand = s.base;
    double lost = stand.there ? wither(p.base, stand, day) * s.areaHa : 0;
    totals.weatheredKg += lost;
    if (s.stock > 0) {
      s.stock = Math.min(s.stock, stand.above(p.base));
    }
    double mass = stand.there ? stand.green + stand.dead : 0;
    out.standingKg[day] += mass * s.areaHa;
    if (out.lean) {
      return;
    }
    int at = day * fieldCount + s.field;
    double part = s.partOfField;
    out.water[at] += part * s.waterMm;
    out.weathered[at] += lost;
    out.cover[at] += part * mass;
    out.green[at] += part * stand.green;
    ripe(at, part * mass, ripeness(p.base, stand));
    worth(s, day, p.base, stand);
  }

  /** Adds to how ripe a field is, by the mass of what stands on its pieces. */
  private void ripe(int at, double kgPerHa, double ripeness) {
    if (kgPerHa > 0) {
      out.ripeness[at] += kgPerHa / out.cover[at] * (ripeness - out.ripeness[at]);
    }
  }

  /** How ripe the green is that stands above the stubble, the young top of it first. */
  private static double ripeness(StandPlan p, StandState s) {
    double top = Math.min(s.green, s.mass() - p.base);
    double young = top <= 0 ? 0 : Math.min(1, s.young / top);
    return s.green <= 0
        ? 0
        : young * s.youngWorth[QualityTable.Values.RIPENESS]
            + (1 - young) * s.oldWorth[QualityTable.Values.RIPENESS];
  }

  private void comeAndGo(FieldPlan p, CellState s, int day) {
    StandState base = s.stands[0];
    if (!base.there && !base.gone && day >= p.base().arrives && day < p.base().leaves) {
      base.there = true;
      base.green = p.openingGreen;
      base.dead = p.openingDead;
      base.cameKgPerHa = p.base().residue ? base.aboveStubble(p.base()) : 0;
      opening(p.base(), base, day);
      OpeningState left = day > 0 || p.ground == null ? null : p.ground.state();
      if (left != null) {
        base.isLeft(left);
        base.maturity = Maturity.atAge(base.age);
      }
      double kg = base.mass() * s.areaHa;
      if (day == 0) {
        totals.openingKg += kg;
      } else {
        totals.arrivedKg += kg;
      }
    } else if (base.there && day >= p.base().leaves) {
      totals.leftBehindKg += base.clear() * s.areaHa;
      base.there = false;
      s.stock = 0;
    }
    if (p.reopens[day]) {
      s.stock = s.above(p);
    }
  }

  /** What is there on the first day is of its season: half grown, or kept since growth stopped. */
  private void opening(StandPlan p, StandState s, int day) {
    QualityTable.Values values = followed(p);
    if (values == null) {
      return;
    }
    values.kept(p.residue ? 0 : OPENING_DEAD_DAYS, s.deadWorth);
    double kept = day == 0 ? p.keptDaysAtStart : 0;
    if (kept > 0) {
      values.kept(kept, s.oldWorth);
    } else {
      s.age = Maturity.heatAt(OPENING_MATURITY);
      s.maturity = OPENING_MATURITY;
      s.young = s.green;
      values.join(s.youngWorth, 0, s.maturity, 1);
    }
  }

  private static final double OPENING_MATURITY = 0.25;
  private static final double OPENING_DEAD_DAYS = 60;

  private void record(FieldPlan p, CellState s, int day) {
    double green = 0;
    double mass = 0;
    double ripe = 0;
    double part = s.partOfField;
    for (int i = 0; i < s.stands.length; i++) {
      green += s.stands[i].green;
      mass += s.stands[i].mass();
      ripe += s.stands[i].mass() * ripeness(p.stands[i], s.stands[i]);
      worth(s, day, p.stands[i], s.stands[i]);
      if (i > 0) {
        int sown = p.stands[i].crop.number * plan.days + day;
        out.sownCover[sown] += part * s.stands[i].mass();
      }
    }
    int at = out.row(day) + s.field;
    out.cover[at] += part * mass;
    out.standingKg[day] += mass * s.areaHa;
    out.green[at] += part * green;
    ripe(at, part * mass, mass <= 0 ? 0 : ripe / mass);
    out.water[at] += part * s.waterMm;
  }

  /**
   * Notes what a stand is worth, all of it and what a mower would take: kg of nutrient a hectare.
   */
  private void worth(CellState s, int day, StandPlan sp, StandState stand) {
    double mass = stand.mass();
    if (out.lean || plan.worth[sp.kind] == null || mass <= 0) {
      return;
    }
    double cut = Math.max(0, mass - sp.cutStubble);
    double green = stand.green / mass;
    double young = stand.youngShareOf(cut, 1);
    int at = day * DayBook.STANDING;
    double percent = 0.01 * s.partOfField;
    for (int n = 0; n < DayBook.STANDING; n++) {
      out.standing[s.field][at + n] += mass * stand.meanOf(n) * percent;
      out.mown[s.field][at + n] +=
          cut
              * percent
              * (green * (young * stand.youngWorth[n] + (1 - young) * stand.oldWorth[n])
                  + (1 - green) * stand.deadWorth[n]);
    }
    out.mownKg[s.field][day] += s.partOfField * cut;
  }

  /** True where weather let something grow the day before. */
  private static boolean grew(CellState s) {
    for (StandState stand : s.stands) {
      if (stand.there && stand.rate > 0) {
        return true;
      }
    }
    return false;
  }

  /** Sowings: ground prepared, seed in the ground, emergence, ready, ended. */
  private void tend(FieldPlan p, CellState s, int day) {
    if (p.nitrogen != null) {
      s.nitrogen += p.nitrogen[day];
    }
    if (s.nitrogenToCome > 0 && grew(s)) {
      double freed = s.nitrogenToCome * NitrogenRules.FREED_PER_DAY;
      s.nitrogenToCome -= freed;
      s.nitrogen += freed;
    }
    s.nitrogen *= 1 - NitrogenRules.LOST_PER_DAY;
    s.sown = s.plantsLift;
    for (int i = 1; i < s.stands.length; i++) {
      CropPlan c = p.stands[i].crop;
      StandState crop = s.stands[i];
      if (day == 0 && c.standing != null) {
        stands(p, s, i);
      } else if (day == Math.max(0, c.prepareDay)) {
        if (tooDry(p, s, c)) {
          crop.skipped = true;
          crop.endedDay = day;
        } else {
          prepare(p, s, i, day);
        }
      }
      if (day >= c.sowDay && crop.endedDay < 0) {
        develop(p, s, i, day);
      }
      s.sown |= c.closes && day >= c.prepareDay && crop.readyDay < 0 && crop.endedDay < 0;
    }
  }

  /** True where the soil holds less than the keeper wants before anything is sown. */
  private static boolean tooDry(FieldPlan p, CellState s, CropPlan c) {
    Sowing.SowingTerms terms = c.stated.terms();
    Double least = terms == null ? null : terms.leastSoilWaterShare();
    return least != null && s.waterMm < least * p.capacityMm;
  }

  /** A crop that was sown before the plan; in a bed nothing else is left of what stood there. */
  private void stands(FieldPlan p, CellState s, int i) {
    StandPlan sp = p.stands[i];
    CropPlan c = sp.crop;
    StandState crop = s.stands[i];
    if (c.stated.preparation().endsTheOld()) {
      prepare(p, s, i, 0);
    }
    double kgPerHa = c.standing.coverKgPerHa();
    if (kgPerHa <= 0) {
      return;
    }
    crop.there = true;
    crop.emergedDay = 0;
    crop.dead = kgPerHa * c.standing.deadShare();
    crop.green = kgPerHa - crop.dead;
    crop.young = crop.green;
    crop.grownKg = kgPerHa;
    crop.stage = c.heatAtStart;
    crop.age = sp.passing() ? c.heatAtStart : Maturity.heatAt(OPENING_MATURITY);
    crop.maturity = maturity(sp, crop);
    crop.stands(c.course, 0);
    crop.readyDay = c.standing.ready() ? 0 : -1;
    QualityTable.Values values = followed(sp);
    if (values != null) {
      values.kept(OPENING_DEAD_DAYS, crop.deadWorth);
      values.join(crop.youngWorth, 0, crop.maturity, 1);
    }
    if (c.standing.state() != null) {
      crop.isLeft(c.standing.state());
      crop.maturity = maturity(sp, crop);
    }
    totals.openingKg += kgPerHa * s.areaHa;
  }

  private static double maturity(StandPlan sp, StandState s) {
    return sp.passing() ? Maturity.ofCrop(sp.crop.course, s.stage, s.age) : Maturity.atAge(s.age);
  }

  /** Preparing for a crop sets back or clears whatever stood there before it. */
  private void prepare(FieldPlan p, CellState s, int sowing, int day) {
    CropPlan c = p.stands[sowing].crop;
    for (int i = 0; i < sowing; i++) {
      if (s.stands[i].there) {
        double lost = s.stands[i].prepare(c.stated.preparation(), p.stands[i], c.sowDay);
        totals.leftBehindKg += lost * s.areaHa;
      }
      if (s.stands[i].gone && s.stands[i].endedDay < 0) {
        s.stands[i].endedDay = day;
      }
    }
    s.stock = 0;
  }

  private void develop(FieldPlan p, CellState s, int i, int day) {
    StandPlan sp = p.stands[i];
    CropPlan c = sp.crop;
    StandState crop = s.stands[i];
    double share = s.waterMm / p.capacityMm;
    if (day == Math.max(0, c.sowDay)) {
      crop.waterShareAtSowing = share;
    }
    double above = Math.max(0, meanC - sp.forage.baseC());
    if (crop.emergedDay < 0) {
      if (comesUp(p, c, crop, day, share, above)) {
        crop.there = true;
        crop.emergedDay = day;
        crop.grow(c.emergedKg, followed(sp));
        out.grown[out.row(day) + c.field] += c.emergedKg * s.areaHa;
        totals.grownKg += c.emergedKg * s.areaHa;
        totals.sownGrown[c.number] += c.emergedKg * s.partOfField;
      } else if (lain(sp, crop, day, above) >= CropRules.FAILS_AFTER_DAYS) {
        crop.failed = true;
        crop.endedDay = day;
      }
      return;
    }
    crop.stage += day >= c.heatFrom ? above : 0;
    crop.stands(c.course, day);
    if (crop.readyDay < 0 && ready(p, s, i, day)) {
      crop.readyDay = day;
    }
    boolean frosted = !sp.hardy && frost;
    double tooCold = sp.forage.winterHardyC() - plan.weather.tminC(day);
    if (tooCold > 0 && sp.passing()) {
      crop.die(Math.min(1, tooCold * CropRules.KILLED_PER_DEGREE) * crop.green);
    }
    if (!sp.passing()) {
      boolean seedling =
          day - (crop.emergedDay > 0 ? crop.emergedDay : c.sowDay) < CropRules.SEEDLING_DAYS;
      boolean killed = seedling && killsSeedlings(sp, tooCold);
      if (killed || day >= sp.leaves) {
        crop.end(day);
      }
      return;
    }
    if (day >= sp.leaves || frosted || crop.green < CropRules.LEAST_ALIVE_KG_PER_HA) {
      crop.end(day);
    }
  }

  /** Frost takes seedlings of warm-season grasses, cold beyond the hardiness all others. */
  private boolean killsSeedlings(StandPlan sp, double tooCold) {
    return tooCold > 0 || (sp.warmSeason && frost && minC <= WeatherYear.KILLING_FROST_C);
  }

  /** Days that seed has lain; of what comes to stay those on which it is warm enough for it. */
  private static int lain(StandPlan sp, StandState crop, int day, double above) {
    if (sp.passing()) {
      return day - sp.crop.sowDay;
    }
    crop.waited += above > 0 ? 1 : 0;
    return crop.waited;
  }

  /**
   * A crop is ready at its own mass once its roots hold; crops sown together, as a cereal with a
   * clover or ryegrass, once what stands of them all would do for one, and the first of them holds.
   * A legume in a sod that is grazed on, once its roots hold.
   */
  private static boolean ready(FieldPlan p, CellState s, int i, int day) {
    if (!p.stands[i].crop.closes) {
      return day >= p.stands[i].crop.anchoredDay;
    }
    int anchored = Integer.MAX_VALUE;
    double share = 0;
    for (int j = 1; j < s.stands.length; j++) {
      CropPlan other = p.stands[j].crop;
      boolean together = Math.abs(other.sowDay - p.stands[i].crop.sowDay) <= TOGETHER_DAYS;
      if (together && s.stands[j].lives()) {
        anchored = Math.min(anchored, s.rootsHold ? day : other.anchoredDay);
        share += s.stands[j].mass() / other.readyKg;
      }
    }
    return day >= anchored && share >= 1;
  }

  /** Crops sown within so many days are sown together. Assumption. */
  private static final int TOGETHER_DAYS = 21;

  /**
   * Seed comes up once enough heat has come to it while seedbed and soil were moist. In a year of a
   * little rain every day that would be nearly always or never: there it comes up as in the middle
   * one of many years, once as much rain has come as usually has by then, unless water is given.
   */
  private boolean comesUp(
      FieldPlan p, CropPlan c, StandState crop, int day, double waterShare, double above) {
    boolean watered = p.irrigation != null && p.irrigation[day] > 0;
    boolean moist = watered || plan.weather.seedbedMoist(day);
    crop.heat += moist && waterShare >= CropRules.MOIST_SHARE ? above : 0;
    if (plan.weather.kind() != WeatherYear.Days.SMOOTH || p.irrigation != null) {
      return crop.heat >= CropRules.EMERGENCE_DEGREE_DAYS;
    }
    crop.rainMm += plan.weather.rainMm(day);
    return day >= c.usualEmergence && crop.rainMm >= c.usualRainMm;
  }

  private void grow(FieldPlan p, CellState s, int day) {
    for (int i = 0; i < s.stands.length; i++) {
      s.stands[i].rate = rate(p, s, i, day);
      rest(p.stands[i], s.stands[i]);
    }
    shadow(p, s);
    boolean together = standTogether(p, s);
    for (int i = 0; i < s.stands.length; i++) {
      StandState stand = s.stands[i];
      StandPlan sp = p.stands[i];
      if (!stand.there || stand.rate <= 0 || frosted(sp)) {
        continue;
      }
      double kgPerHa =
          stand.rate
              * stand.vigour
              * leafShare(sp, s, i)
              * SwardRules.crowdingShare(together ? s.mass() : stand.mass(), sp.entry, sp.ceiling)
              * pace.share;
      if (s.nitrogen > 0) {
        double extra = NitrogenRules.extraKgPerHa(kgPerHa, s.nitrogen, sp.forage.legumeShare());
        s.nitrogen -= Math.max(0, extra) / NitrogenRules.KG_DM_PER_KG_N;
        kgPerHa += extra;
      }
      stand.grow(kgPerHa, followed(sp));
      pace.grew(s.field, s.partOfField * kgPerHa);
      out.grown[out.row(day) + s.field] += kgPerHa * s.areaHa;
      totals.grownKg += kgPerHa * s.areaHa;
      if (sp.crop != null) {
        totals.sownGrown[sp.crop.number] += kgPerHa * s.partOfField;
      }
    }
  }

  /** Where a perennial was sown into another that lives on, they crowd each other as one sward. */
  private static boolean standTogether(FieldPlan p, CellState s) {
    int staying = 0;
    for (int i = 0; i < s.stands.length; i++) {
      staying += s.stands[i].there && !p.stands[i].passing() ? 1 : 0;
    }
    return staying > 1;
  }

  /** Growth that today's weather allows at full leaf, kg DM/ha. */
  private double rate(FieldPlan p, CellState s, int i, int day) {
    StandPlan sp = p.stands[i];
    double wet = SoilWater.growthShare(s.waterMm, p.capacityMm, sp.droughtHold);
    double index = plan.index[day * kinds + sp.kind] * wet;
    if (sp.crop != null && sp.growth != null) {
      return s.stands[i].lives() ? newStandRate(sp, s.stands[i], day, index) : 0;
    }
    if (sp.crop != null) {
      return s.stands[i].lives()
          ? sp.crop.sitePeak
              * index
              * sp.crop.course.growthShare(s.stands[i].stage)
              * s.stands[i].comesBack
          : 0;
    }
    double[] days = plan.byDay.base;
    int at = (day * fieldCount + s.field) * FieldDays.FIGURES;
    double rate = rate(days, at, index);
    return day < s.stands[0].setBackUntil ? rate * s.stands[0].setBackTo : rate;
  }

  /** A perennial that was sown grows as its kind does there, less while it is young. */
  private double newStandRate(StandPlan sp, StandState s, int day, double index) {
    ResolvedPlan.Answer answer = sp.answer(plan.weather.kind());
    double rate = sp.growth[day] + answer.response[day] * (index - answer.index[day]);
    double young = CropRules.establishedShare(sp.forage, day - sp.crop.sowDay);
    return rate * young * (day < s.setBackUntil ? s.setBackTo : 1);
  }

  /**
   * What all leaves together catch, for each unit of extinction times mass. A sleeping sod shades
   * by what stands dead above its stubble only.
   */
  private static void shadow(FieldPlan p, CellState s) {
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
  private static double leafShare(StandPlan sp, CellState s, int i) {
    double green = s.stands[i].green;
    if (s.stands.length == 1) {
      return SwardRules.leafShare(sp.extinction, sp.referenceLight, green);
    }
    double caught = sp.extinction * green * s.lightShare / sp.referenceLight;
    return reserves(sp, s.stands[i])
        ? Math.max(SwardRules.RESERVE_SHARE * s.lightShare, caught)
        : caught;
  }

  /** True of a stand that has roots to come again from: a new one once it was ready for use. */
  private static boolean reserves(StandPlan sp, StandState s) {
    return !sp.passing() && (sp.crop == null || s.readyDay >= 0);
  }

  /** All stands of a field drink from one bucket. */
  private void water(FieldPlan p, CellState s, int day) {
    int at = (day * fieldCount + s.field) * FieldDays.FIGURES;
    double open = s.base.gone ? 1 : 1 - plan.byDay.base[at + FieldDays.COVER];
    for (int i = 1; i < s.stands.length; i++) {
      open *= Math.exp(-p.stands[i].extinction * s.stands[i].green);
    }
    double in = reachesSoilMm + (p.irrigation == null ? 0 : p.irrigation[day]);
    s.waterMm = SoilWater.after(s.waterMm, p.capacityMm, in, et0Mm, 1 - open, p.drainsFreely);
  }

  private void wither(FieldPlan p, CellState s, int day) {
    double lost = 0;
    for (int i = 0; i < s.stands.length; i++) {
      if (s.stands[i].there) {
        lost += wither(p.stands[i], s.stands[i], day);
      }
    }
    if (s.stock > 0) {
      s.stock = Math.min(s.stock, s.above(p));
    }
    out.weathered[out.row(day) + s.field] += lost * s.areaHa;
    totals.weatheredKg += lost * s.areaHa;
  }

  /**
   * What feed value hangs on: new growth ripens, what was left behind and what is dead weathers.
   * Where growth has ended, or a new year of heading begins, what stands counts as old.
   */
  private void ripen(StandPlan p, StandState s, int day, boolean frosted, boolean dormant) {
    QualityTable.Values values = followed(p);
    if (values == null) {
      return;
    }
    s.dormantDays = dormant ? s.dormantDays + 1 : 0;
    int at = day * kinds + p.kind;
    boolean heads = plan.heads[at];
    boolean anew = heads && day > 0 && !plan.heads[at - kinds];
    if (frosted || s.dormantDays == Maturity.WINTERED_AFTER_DAYS || anew) {
      s.settle(s.young);
      s.age = p.passing() ? s.age : 0;
      s.stemsTaken = anew ? 0 : s.stemsTaken;
    }
    double from = s.maturity;
    boolean leafy = p.headsOnce && s.stemsTaken > Maturity.STEMS_TAKEN;
    s.age = Maturity.after(s.age, Math.max(0, meanC - p.baseC), heads && !leafy);
    s.maturity = maturity(p, s);
    if (s.maturity > from) {
      values.ripen(s.youngWorth, from, s.maturity);
    }
    values.keep(s.oldWorth, weathering);
    values.keep(s.deadWorth, weathering);
  }

  /** Green dies, dead weathers, snow lays down; what is lost, kg DM/ha. */
  private double wither(StandPlan p, StandState s, int day) {
    boolean frosted = frosted(p);
    boolean dormant = frosted || s.rate < p.dormantBelow;
    if (!dormant) {
      s.die(p.senescencePerDay * Math.max(0, s.green - p.entry));
      if (reserves(p, s)) {
        s.vigour = SwardRules.vigourAfter(s.vigour, s.mass(), p.base);
      }
    }
    if (p.crop != null && p.crop.course.diesRipe() && p.crop.course.ripe(s.stage)) {
      s.die(CropRules.RIPE_DEATH_PER_DAY * s.green);
      if (s.endedDay < 0 && s.green < CropRules.EMERGED_KG_PER_HA) {
        s.end(day);
      }
    }
    if (frosted || (frost && p.greenUnderFrost < 1)) {
      double spared = frosted ? 0 : p.greenUnderFrost * Math.max(0, s.mass() - p.base);
      s.die(SwardRules.FROST_DEATH_PER_DAY * Math.max(0, s.green - p.base - spared));
    }
    boolean followed = followed(p) != null && s.mass() > 0;
    double protein = followed ? s.meanOf(QualityTable.Values.PROTEIN) : 0;
    double tdn = followed ? s.meanOf(QualityTable.Values.TDN) : 0;
    ripen(p, s, day, frosted, dormant);
    double lost = Math.min(s.dead, s.dead * p.lossPerDay * weathering);
    s.dead -= lost;
    if (dormant) {
      double greenLost = Math.max(0, s.green - p.base) * p.lossPerDay * weathering;
      s.loseGreen(Math.min(s.green, greenLost));
      lost += greenLost;
    }
    if (laysDown && p.lodged > 0) {
      double down = p.lodged * s.aboveStubble(p);
      s.take(down);
      lost += down;
    }
    if (followed) {
      s.noBetterThan(protein, tdn);
    }
    return lost;
  }
}
