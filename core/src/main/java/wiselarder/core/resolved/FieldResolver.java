package wiselarder.core.resolved;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.caution.Cautions;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrowthCurve;
import wiselarder.core.forage.Maturity;
import wiselarder.core.forage.RotationTable;
import wiselarder.core.forage.RotationTable.Speed;
import wiselarder.core.forage.SowingTable;
import wiselarder.core.forage.SwardRules;
import wiselarder.core.land.CropCalibration;
import wiselarder.core.land.Field;
import wiselarder.core.land.GrazingCovers;
import wiselarder.core.land.Lie;
import wiselarder.core.land.Soil;
import wiselarder.core.land.SoilWater;
import wiselarder.core.land.Stand;
import wiselarder.core.land.UsualYears;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.OpeningGround;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Sowing;
import wiselarder.core.resolved.ResolvedPlan.CropPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;
import wiselarder.core.weather.NormalYear;
import wiselarder.core.weather.WeatherYear;

/** Resolves fields: their stands and soil, and what the plan does to them, day by day. */
final class FieldResolver {
  /** Roots of weeds and volunteers reach so deep where no table says, cm. Assumption. */
  private static final double BARE_ROOT_CM = 60;

  /** Growth answers to weather by its own place's measure, within these bounds of the mean. */
  private static final double LEAST_RESPONSE = 0.25;

  private static final double MOST_RESPONSE = 4;

  /** Below this share of the year's best index the index says little about the curve. */
  private static final double FAINT_INDEX = 0.02;

  private final ResolvedPlan plan;
  private final Catalogue catalogue;

  /** A resolution of the same ground, whose kinds are the first of these, or null. */
  private final ResolvedPlan known;

  FieldResolver(ResolvedPlan plan, Catalogue catalogue, ResolvedPlan known) {
    this.plan = plan;
    this.catalogue = catalogue;
    this.known = known;
  }

  FieldPlan[] resolve(Map<String, Integer> index) {
    List<FieldPlan> resolved = new ArrayList<>();
    for (Field field : plan.stated.farm().fields()) {
      index.put(field.id(), resolved.size());
      resolved.add(resolve(field, resolved.size()));
    }
    return resolved.toArray(FieldPlan[]::new);
  }

  private FieldPlan resolve(Field field, int at) {
    FieldPlan there = known == null || at >= known.fields.length ? null : known.fields[at];
    boolean grown =
        there != null
            && there.field.equals(field)
            && Objects.equals(there.ground, ground(field.id()))
            && sown(known, field.id()).equals(sown(plan, field.id()));
    if (grown) {
      return sameDates(field.id()) ? there : dated(there.undated());
    }
    return dated(grown(field, at));
  }

  /** What is sown on a field, by its number among all sowings. */
  private static Map<Integer, Sowing> sown(ResolvedPlan of, String fieldId) {
    Map<Integer, Sowing> sown = new HashMap<>();
    List<Sowing> all = of.stated.plan().sowings();
    for (int n = 0; n < all.size(); n++) {
      if (all.get(n).fieldId().equals(fieldId)) {
        sown.put(n, all.get(n));
      }
    }
    return sown;
  }

  private OpeningGround ground(String fieldId) {
    return plan.stated.plan().ground().stream()
        .filter(g -> g.fieldId().equals(fieldId))
        .findFirst()
        .orElse(null);
  }

  private boolean sameDates(String fieldId) {
    Plan a = plan.stated.plan();
    Plan b = known.stated.plan();
    return on(a.closings(), Closing::fieldId, fieldId)
            .equals(on(b.closings(), Closing::fieldId, fieldId))
        && on(a.dressings(), Dressing::fieldId, fieldId)
            .equals(on(b.dressings(), Dressing::fieldId, fieldId))
        && on(a.irrigations(), Irrigation::fieldId, fieldId)
            .equals(on(b.irrigations(), Irrigation::fieldId, fieldId))
        && on(a.bales(), BaleField::fieldId, fieldId).isEmpty()
            == on(b.bales(), BaleField::fieldId, fieldId).isEmpty();
  }

  private static <T> List<T> on(List<T> all, Function<T, String> fieldId, String id) {
    return all.stream().filter(t -> id.equals(fieldId.apply(t))).toList();
  }

  private FieldPlan dated(FieldPlan f) {
    dates(f);
    boolean fed = !on(plan.stated.plan().bales(), BaleField::fieldId, f.field.id()).isEmpty();
    boolean rich =
        f.ground != null && f.ground.nitrogenKgPerHa() + f.ground.nitrogenToComeKgPerHa() > 0;
    f.alone = f.stands.length == 1 && f.nitrogen == null && f.irrigation == null && !fed && !rich;
    return f;
  }

  private FieldPlan grown(Field field, int at) {
    FieldPlan f = new FieldPlan();
    f.field = field;
    f.ground = ground(field.id());
    f.areaHa = field.netAreaHa();
    f.drainsFreely = field.soil() == null || field.soil().drainsFreely();
    List<StandPlan> stands = new ArrayList<>();
    stands.add(base(field));
    List<Sowing> sowings = plan.stated.plan().sowings();
    for (int n = 0; n < sowings.size(); n++) {
      int day = plan.year.day(sowings.get(n).sowOn());
      boolean is = (day >= 0 && day < plan.days) || sowings.get(n).standsAtStart(plan.year);
      if (sowings.get(n).fieldId().equals(field.id()) && is) {
        StandPlan sown = sown(field, sowings.get(n), n);
        sown.crop.field = at;
        stands.add(sown);
      }
    }
    stands.subList(1, stands.size()).sort(Comparator.comparingInt((StandPlan s) -> s.crop.sowDay));
    f.stands = stands.toArray(StandPlan[]::new);
    f.base = f.stands[0];
    f.learned = stands.stream().anyMatch(s -> s.feed >= 0);
    double root = 0;
    for (StandPlan s : f.stands) {
      root = Math.max(root, rootCm(s.forage));
    }
    f.capacityMm = capacityMm(field, root);
    for (StandPlan s : f.stands) {
      if (s.crop != null) {
        setSite(field, s);
      }
    }
    opening(f);
    water(f);
    for (StandPlan s : f.stands) {
      if (s.crop != null && s.growth != null) {
        answers(f, s, smoothMm(f, UsualYears.cover(s.referenceLight, s.growth)));
      }
    }
    rests(f);
    return f;
  }

  /**
   * How long stock stay on a piece and how soon they may be back, by how fast the stand grows in a
   * normal year. What does not grow is eaten whenever it is wanted, for as long as it lasts: there
   * is no regrowth to spare. A piece that is given in strips is stayed on until the last strip of
   * it is eaten: nobody leaves half a crop to come back a month later.
   */
  private void rests(FieldPlan f) {
    double peak = Arrays.stream(f.base().growth).max().orElse(0);
    RotationTable.Habit habit = catalogue.rotation().of(f.base().forage);
    f.stayDays = new int[plan.days];
    f.returnDays = new int[plan.days];
    boolean moves = f.field.grazing() != Field.Grazing.SET_STOCKED;
    for (int d = 0; d < plan.days && moves; d++) {
      Speed speed = Speed.at(peak <= 0 ? 0 : f.base().growth[d] / peak);
      rest(f, d, habit, speed);
      for (int i = 1; i < f.stands.length; i++) {
        if (d >= f.stands[i].arrives && d < f.stands[i].leaves) {
          StandPlan s = f.stands[i];
          double best = s.growth == null ? 0 : Arrays.stream(s.growth).max().orElse(0);
          Speed pace = best <= 0 ? Speed.MEDIUM : Speed.at(s.growth[d] / best);
          rest(f, d, catalogue.rotation().of(s.forage), pace);
        }
      }
    }
  }

  private static void rest(FieldPlan f, int day, RotationTable.Habit habit, Speed speed) {
    boolean sleeps = speed == Speed.DORMANT;
    boolean strips = f.field.grazing() == Field.Grazing.STRIP;
    f.stayDays[day] = sleeps || strips ? 0 : habit.stayDays(speed);
    f.returnDays[day] = sleeps ? 0 : habit.returnDays(speed);
  }

  private static double rootCm(Forage forage) {
    return Double.isNaN(forage.rootDepthCm()) ? BARE_ROOT_CM : forage.rootDepthCm();
  }

  private double capacityMm(Field field, double rootCm) {
    return Soil.capacityMm(field.soil(), plan.climate.soilAwcMmPerM(), rootCm);
  }

  private StandPlan base(Field field) {
    Forage forage = catalogue.forage(field.stand().forageId());
    StandPlan s = stand(field, forage);
    GrowthCurve curve = grows(s, field.stand());
    GrazingCovers covers = GrazingCovers.of(field, forage, catalogue.heights());
    s.residual = covers.leave();
    s.winterResidual = covers.leaveInWinter();
    s.turnIn = covers.enter();
    s.turnInAgain = covers.again();
    s.keptDaysAtStart = keptDays(forage, curve);
    s.arrives = plan.year.clippedStart(field.stand().fromInclusive());
    s.leaves = plan.year.clippedEnd(field.stand().toExclusive());
    return s;
  }

  /** A stand that stays grows by its curve. */
  private GrowthCurve grows(StandPlan s, Stand stated) {
    s.curve = catalogue.growthOf(stated, plan.climate.id());
    s.dormantBelow = SwardRules.DORMANT_SHARE * s.curve.peakKgPerHaDay();
    s.quietBelow = s.dormantBelow;
    s.growth = UsualYears.growth(s.forage, s.curve, plan.climate, plan.year);
    return s.curve;
  }

  /** Days since the curve last grew as much as an active stand, up to the plan's first day. */
  private double keptDays(Forage forage, GrowthCurve curve) {
    PlanYear before = new PlanYear(plan.year.start().minusYears(1), 12);
    double[] growth = UsualYears.growth(forage, curve, plan.climate, before);
    double least = SwardRules.DORMANT_SHARE * curve.peakKgPerHaDay();
    int days = 0;
    while (days < growth.length && growth[growth.length - 1 - days] < least) {
      days++;
    }
    return days;
  }

  private StandPlan stand(Field field, Forage forage) {
    StandPlan s = new StandPlan();
    s.forage = forage;
    s.kind = Arrays.asList(plan.kinds).indexOf(forage);
    s.residue = forage.cropResidue();
    s.base = forage.grows() ? forage.minResidualKgPerHa() : 0;
    s.entry = forage.grows() ? forage.entryMassKgPerHa() : forage.ceilingKgPerHa();
    s.ceiling = Math.max(forage.ceilingKgPerHa(), s.entry + 1);
    s.extinction = SwardRules.extinction(s.entry);
    s.referenceLight = UsualYears.referenceLight(s.base, s.entry);
    s.safe =
        Cautions.isSorghum(forage) ? forage.massAtHeightKgPerHa(forage.prussicMinHeightCm()) : 0;
    s.utilization = field.utilizationFor(forage);
    s.stockUtilization = Math.max(s.utilization, forage.utilizationStrip());
    s.baseC = forage.baseC();
    s.senescencePerDay = forage.senescencePerDay();
    s.lossPerDay = SwardRules.lossPerDay(forage.standingLossPerMonth());
    s.lodged = lodged(forage, field.lie().exposure());
    s.feed = plan.feeds.indexOf(forage.learnedAs());
    s.mostShareCattle = forage.mostShareCattle();
    s.mostShareSheep = forage.mostShareSheep();
    s.droughtHold = Double.isNaN(forage.droughtHold()) ? 0.5 : forage.droughtHold();
    s.hardy = forage.frostResponse() == Forage.FrostResponse.HARDY || forage.twoLayers();
    s.greenUnderFrost = forage.twoLayers() ? forage.winterGreenShare() : 1;
    if (forage.frostResponse() == Forage.FrostResponse.LIGHT) {
      s.frostedBelowC = Forage.HARD_FROST_C;
    }
    s.warmSeason = forage.warmSeason();
    s.headsOnce = Maturity.headsOnce(forage);
    s.cutStubble = cutStubble(forage);
    return s;
  }

  /** What goes down under heavy snow: more where the wind drives it. Assumption. */
  private static double lodged(Forage forage, Lie.Exposure exposure) {
    double share = SwardRules.lodgedShare(forage.lodging());
    return switch (exposure) {
      case SHELTERED -> share * SHELTERED_LODGES;
      case ORDINARY -> share;
      case EXPOSED -> Math.min(1, share * EXPOSED_LODGES);
    };
  }

  private static final double SHELTERED_LODGES = 0.6;
  private static final double EXPOSED_LODGES = 1.4;

  private static final double MOST_OF_THE_RAIN = 0.9;

  /** The year of the normals stands for what happens in at least so many years. */
  private static final double COMES_UP_USUALLY = 0.5;

  private static double cutStubble(Forage forage) {
    return forage.grows() && !Double.isNaN(forage.cutHeightCm())
        ? forage.massAtHeightKgPerHa(forage.cutHeightCm())
        : Double.POSITIVE_INFINITY;
  }

  private StandPlan sown(Field field, Sowing sowing, int number) {
    Forage forage = catalogue.forage(sowing.forageId());
    StandPlan s = stand(field, forage);
    s.residual = forage.minResidualKgPerHa();
    s.winterResidual = s.residual;
    s.turnIn = Math.max(s.safe, s.residual + Math.max(0, s.entry - s.residual) / 3);
    s.turnInAgain = s.turnIn;
    CropPlan c = new CropPlan();
    c.stated = sowing;
    c.number = number;
    c.prepareDay = plan.year.day(sowing.preparedFrom());
    c.sowDay = plan.year.day(sowing.sowOn());
    SowingTable.Window window =
        catalogue.crops().table().nearest(plan.climate.id(), forage, sowing.sowOn().getDayOfYear());
    c.window = window;
    double least =
        catalogue.crops().table().of(plan.climate.id(), forage).stream()
            .filter(SowingTable.Window::grazed)
            .mapToDouble(SowingTable.Window::useFromDays)
            .min()
            .orElse(forage.daysToFirstUseLow());
    double anchored = forage.sownToStay() ? 1 : CropRules.ANCHORED_SHARE;
    c.anchoredDay = c.sowDay + (int) Math.ceil(anchored * least);
    c.lowShare =
        window == null
            ? forage.annualLowKgPerHa() / forage.annualTypicalKgPerHa()
            : window.yieldLow() / window.yieldLikely();
    c.highShare =
        window == null
            ? forage.annualHighKgPerHa() / forage.annualTypicalKgPerHa()
            : window.yieldHigh() / window.yieldLikely();
    c.course = CropRules.Course.of(forage);
    c.heatFrom = c.course.sinceWinter() ? coldestAfter(sowing.sowOn()) : c.sowDay;
    if (sowing.standsAtStart(plan.year)) {
      c.standing = sowing.standing();
      Double stated = c.standing.heatDegreeDays();
      boolean passes = !forage.sownToStay();
      c.heatAtStart = stated != null ? stated : passes ? usualHeat(c, forage) : 0;
    }
    boolean beside = forage.sownToStay() && forage.legumeShare() >= 1;
    c.closes = !(beside && sowing.preparation() == Sowing.Preparation.GRAZE_DOWN);
    c.regrows = forage.regrows();
    c.regrowth = catalogue.crops().uses().of(forage);
    c.baseC = forage.baseC();
    c.daysLate = catalogue.crops().daysLate(forage, plan.climate, sowing.sowOn());
    UsualYears.Emergence usually =
        catalogue.usual().emergence(forage, plan.climate, sowing.sowOn().getDayOfYear());
    c.comesUpShare = usually.share();
    c.usualEmergence =
        usually.share() >= COMES_UP_USUALLY ? c.sowDay + usually.medianDays() : Integer.MAX_VALUE;
    for (int d = Math.max(0, c.sowDay); d <= Math.min(plan.days - 1, c.usualEmergence); d++) {
      c.usualRainMm += MOST_OF_THE_RAIN * plan.normal.rainMm(d);
    }
    s.crop = c;
    s.arrives = c.sowDay;
    s.leaves = plan.year.clippedEnd(sowing.endsOn());
    if (forage.sownToStay()) {
      grows(s, new Stand(forage.id(), sowing.yieldKgPerHa(), null, null, 0, null, null));
      s.winterResidual =
          Double.isNaN(forage.winterLeaveHeightCm())
              ? s.residual
              : Math.max(s.residual, forage.massAtHeightKgPerHa(forage.winterLeaveHeightCm()));
    } else {
      s.dormantBelow = 0;
      s.quietBelow = SwardRules.DORMANT_SHARE * forage.peakKgPerHaDay();
    }
    return s;
  }

  /** Heat of the normals from the day on which heat counts, or it came up, to the first day. */
  private double usualHeat(CropPlan c, Forage forage) {
    PlanYear before = new PlanYear(plan.year.start().minusYears(1), 12);
    WeatherYear usual = NormalYear.of(plan.climate, before);
    int up = before.days() + Math.max(c.heatFrom, c.sowDay + USUALLY_UP_DAYS);
    double heat = 0;
    for (int d = Math.max(0, up); d < before.days(); d++) {
      heat += Math.max(0, usual.tmeanC(d) - forage.baseC());
    }
    return heat;
  }

  /** Where a crop stands that was sown before the plan it came up so soon. Assumption. */
  private static final int USUALLY_UP_DAYS = 12;

  private int coldestAfter(LocalDate date) {
    LocalDate coldest = LocalDate.ofYearDay(date.getYear(), plan.climate.coldestDoy());
    return plan.year.day(coldest.isBefore(date) ? coldest.plusYears(1) : coldest);
  }

  private void setSite(Field field, StandPlan s) {
    if (s.growth != null) {
      s.crop.sitePeak = s.forage.peakKgPerHaDay();
      s.crop.emergedKg = CropRules.newStandKgPerHa(s.crop.stated.seedShare());
      s.crop.readyKg = CropRules.newStandReadyKgPerHa(s.forage);
      return;
    }
    CropCalibration.Site site =
        catalogue
            .crops()
            .site(
                s.forage,
                plan.climate,
                capacityMm(field, rootCm(s.forage)),
                s.crop.stated.yieldKgPerHa(),
                s.crop.stated.sowOn().getDayOfYear());
    double late = s.crop.window == null ? 1 : s.crop.window.lateShare(s.crop.daysLate);
    s.crop.sitePeak = s.forage.peakKgPerHaDay() * site.factor() * late;
    s.crop.emergedKg = site.emergedKgPerHa() * s.crop.stated.seedShare();
    s.crop.readyKg = site.readyKgPerHa();
  }

  private void opening(FieldPlan f) {
    Field field = f.field;
    double opening = GrazingCovers.of(field, f.base().forage, catalogue.heights()).opening();
    f.openingDead = f.base().residue ? opening : opening * field.stand().openingDeadShare();
    f.openingGreen = opening - f.openingDead;
  }

  /**
   * How growth answers to a day that is better or worse than usual: {@code growth = curve +
   * response x (index - mean index)}, where the mean index is that of many simulated years at this
   * time of the year, and response is curve over mean index, kept within a quarter and four times
   * the year's mean. So the mean of the years grows what was typed. A smooth year of a little rain
   * every day answers by its own measure, so that the normal year grows exactly what was typed.
   */
  private void water(FieldPlan f) {
    StandPlan s = f.base();
    f.referenceCover = UsualYears.cover(s.referenceLight, s.growth);
    f.usualMm = smoothMm(f, f.referenceCover);
    UsualYears.Usual usual = answers(f, s, f.usualMm);
    f.usualRealMm = usual.realWaterMm(plan.year);
    f.usualRealRainMm = usual.realRainWaterMm(plan.year);
  }

  /** Water in the soil in the morning of each day of the smooth year under a cover, mm. */
  private double[] smoothMm(FieldPlan f, double[] cover) {
    int back = Math.min(365, plan.days);
    double water = 0.8 * f.capacityMm;
    for (int d = 0; d < back; d++) {
      water = dayOfWater(f, cover, water, d);
    }
    double[] mm = new double[plan.days];
    for (int d = 0; d < plan.days; d++) {
      mm[d] = water;
      water = dayOfWater(f, cover, water, d);
    }
    return mm;
  }

  /** Sets how a stand answers to days of each kind; the usual days by which it does. */
  private UsualYears.Usual answers(FieldPlan f, StandPlan s, double[] smoothMm) {
    double[] smooth = new double[plan.days];
    for (int d = 0; d < plan.days; d++) {
      double index = plan.index[d * plan.kinds.length + s.kind];
      smooth[d] = index * SoilWater.growthShare(smoothMm[d], f.capacityMm, s.droughtHold);
    }
    UsualYears.Usual usual =
        catalogue.usual().index(s.forage, s.curve, plan.climate, f.capacityMm, f.drainsFreely);
    s.answer = answer(s, usual.real(plan.year));
    s.realRain = answer(s, usual.realRain(plan.year));
    s.smooth = answer(s, smooth);
    return usual;
  }

  private static ResolvedPlan.Answer answer(StandPlan s, double[] usual) {
    return new ResolvedPlan.Answer(usual, response(s, usual));
  }

  private static double[] response(StandPlan s, double[] usual) {
    double mean = ratio(Arrays.stream(s.growth).sum(), Arrays.stream(usual).sum());
    double faint = FAINT_INDEX * Arrays.stream(usual).max().orElse(0);
    boolean sleeps = s.forage.life() != Forage.Life.PERENNIAL;
    double[] response = new double[usual.length];
    for (int d = 0; d < response.length; d++) {
      double own = usual[d] > faint ? s.growth[d] / usual[d] : mean;
      response[d] =
          sleeps && s.growth[d] <= 0
              ? 0
              : Math.max(LEAST_RESPONSE * mean, Math.min(MOST_RESPONSE * mean, own));
    }
    return response;
  }

  private static double ratio(double of, double to) {
    return to <= 0 ? 0 : of / to;
  }

  private double dayOfWater(FieldPlan f, double[] cover, double water, int d) {
    return SoilWater.after(
        water,
        f.capacityMm,
        plan.weather.reachesSoilMm(d),
        plan.weather.et0Mm(d),
        cover[d],
        f.drainsFreely);
  }

  private void dates(FieldPlan f) {
    String id = f.field.id();
    f.shut = new boolean[plan.days];
    f.reopens = new boolean[plan.days];
    for (Closing closing : plan.stated.plan().closings()) {
      if (closing.fieldId().equals(id)) {
        shut(f, closing);
      }
    }
    for (Dressing dressing : plan.stated.plan().dressings()) {
      if (dressing.fieldId().equals(id)) {
        f.nitrogen = add(f.nitrogen, dressing.date(), dressing.nitrogenKgPerHa());
      }
    }
    for (Irrigation irrigation : plan.stated.plan().irrigations()) {
      if (irrigation.fieldId().equals(id)) {
        f.irrigation = add(f.irrigation, irrigation.date(), irrigation.waterMm());
      }
    }
  }

  private void shut(FieldPlan f, Closing closing) {
    Arrays.fill(
        f.shut,
        plan.year.clippedStart(closing.fromInclusive()),
        plan.year.clippedEnd(closing.toExclusive()),
        true);
    int open = plan.year.day(closing.toExclusive());
    if (open >= 0 && open < plan.days) {
      f.reopens[open] = true;
    }
  }

  private double[] add(double[] byDay, LocalDate date, double amount) {
    double[] into = byDay == null ? new double[plan.days] : byDay;
    int day = plan.year.day(date);
    if (day >= 0 && day < plan.days) {
      into[day] += amount;
    }
    return into;
  }
}
