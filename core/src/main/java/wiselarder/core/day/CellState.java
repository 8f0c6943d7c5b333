package wiselarder.core.day;

import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.CropUses.Second;
import wiselarder.core.forage.Maturity;
import wiselarder.core.forage.QualityTable.Values;
import wiselarder.core.plan.OpeningGround;
import wiselarder.core.plan.OpeningState;
import wiselarder.core.plan.Sowing;
import wiselarder.core.resolved.ResolvedPlan.CropPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;
import wiselarder.core.store.FeedWorth;
import wiselarder.core.weather.WeatherYear;

/**
 * One piece of a field as it is on a day, or a whole field that is grazed as one: its stands, its
 * water, its nitrogen. Masses in kg DM/ha.
 */
final class CellState {
  /** Place of its field, and its part of that field's area. */
  final int field;

  final double areaHa;
  final double partOfField;
  final StandState[] stands;
  final StandState base;
  double waterMm;
  double nitrogen;

  /** Nitrogen that stock left over bales set out here, not yet free, kg/ha. */
  double nitrogenToCome;

  /** The part of the cover kept as stockpile. */
  double stock;

  /** True while a sown crop is not ready: no stock may come in. */
  boolean sown;

  /** Shadow on each stand's light today, 1 for none. */
  double lightShare;

  /** Last day on which stock took anything; and whether they did since growth began. */
  int grazedDay = FarmState.LONG_AGO;

  boolean grazedThisSeason;

  /** The part of it that stock have not been over since they came. */
  double untouched = 1;

  /** Last day on which anything was taken off it, by mouth or mower. */
  int takenDay = FarmState.LONG_AGO;

  /** As somebody tried: its plants lift when they are pulled, or they hold. */
  boolean plantsLift;

  boolean rootsHold;

  CellState(FieldPlan plan, int field, int pieces, WeatherYear.Days kind) {
    this.field = field;
    partOfField = 1.0 / pieces;
    areaHa = pieces == 1 ? plan.areaHa : plan.areaHa / pieces;
    stands = new StandState[plan.stands.length];
    for (int i = 0; i < stands.length; i++) {
      stands[i] = new StandState();
    }
    base = stands[0];
    base.gone = plan.base().leaves <= 0;
    OpeningGround ground = plan.ground;
    boolean felt = ground != null && ground.soilWaterShare() != null;
    waterMm = felt ? ground.soilWaterShare() * plan.capacityMm : plan.usualMm(kind, 0);
    nitrogen = ground == null ? 0 : ground.nitrogenKgPerHa();
    nitrogenToCome = ground == null ? 0 : ground.nitrogenToComeKgPerHa();
  }

  private CellState(CellState of) {
    field = of.field;
    areaHa = of.areaHa;
    partOfField = of.partOfField;
    grazedDay = of.grazedDay;
    takenDay = of.takenDay;
    untouched = of.untouched;
    plantsLift = of.plantsLift;
    rootsHold = of.rootsHold;
    grazedThisSeason = of.grazedThisSeason;
    stands = new StandState[of.stands.length];
    for (int i = 0; i < stands.length; i++) {
      stands[i] = of.stands[i].copy();
    }
    base = stands[0];
    waterMm = of.waterMm;
    nitrogen = of.nitrogen;
    nitrogenToCome = of.nitrogenToCome;
    stock = of.stock;
    sown = of.sown;
    lightShare = of.lightShare;
  }

  CellState copy() {
    return new CellState(this);
  }

  /** All that stands on it, kg DM/ha. */
  double mass() {
    double mass = 0;
    for (StandState stand : stands) {
      mass += stand.mass();
    }
    return mass;
  }

  /**
   * From this morning on come days of another kind: soil as much wetter or drier than usual as it
   * was, by the measure of those.
   */
  void turn(FieldPlan plan, int day, WeatherYear.Days from, WeatherYear.Days to) {
    double mm = waterMm + plan.usualMm(to, day) - plan.usualMm(from, day);
    waterMm = Math.max(0, Math.min(plan.capacityMm, mm));
  }

  /** What stands above the residuals of all stands, kg DM/ha. In winter a reserve is left. */
  double above(FieldPlan p) {
    double above = 0;
    for (int i = 0; i < stands.length; i++) {
      if (stands[i].there) {
        above += stands[i].above(p.stands[i]);
      }
    }
    return above;
  }

  /**
   * One stand as it is on a day: green of the growth of now, green of before, and dead, each with
   * its own worth. Nothing that stands is ever made better than it was; only new growth, by its own
   * mass, raises the mean.
   */
  static final class StandState {
    /** All that is green, and the part of it that has grown since the stand was taken down. */
    double green;

    double young;
    double dead;
    boolean there;

    /** Of a residue: what could be eaten of it when it came, kg DM/ha above the residual. */
    double cameKgPerHa;

    /** Percent of DM by nutrient, then ripeness. Not followed where nobody asks for it. */
    final double[] youngWorth = new double[Values.FIGURES];

    final double[] oldWorth = new double[Values.FIGURES];
    final double[] deadWorth = new double[Values.FIGURES];

    /** True in winter, when a greater height is left; see {@link #above}. */
    boolean wintering;

    /** Gone for good: ploughed in, or ended. */
    boolean gone;

    double vigour = 1;

    /** Heat since it was last taken down, and the ripeness at which new growth joins. */
    double age;

    double maturity;

    /** Of the stems of this year's heading, how much was taken; see {@link Maturity}. */
    double stemsTaken;

    /** Days on which nothing grew, up to today. */
    int dormantDays;

    /** Growth of today that weather allows at full leaf, kg DM/ha; and its mean of a week. */
    double rate;

    double recent = Double.NaN;

    /** True while it grows: what is eaten of it is growth, otherwise it is standing feed. */
    boolean grows;

    /** For sown crops: heat to emergence, then heat since; days, -1 while not yet. */
    double heat;

    double rainMm;

    /** Days on which seed that waits for warmth could have come up. */
    int waited;

    double stage;
    int emergedDay = -1;
    int readyDay = -1;

    /** Since it was last taken down: day of heads, of soft dough, of hard grain; -1 while not. */
    int headedDay = -1;

    int doughDay = -1;
    int grainDay = -1;

    /** How fast it grows beside a crop that was never taken late. */
    double comesBack = 1;

    /** Of the growth that is going on, kg DM/ha since it came up or was last taken late. */
    double grownKg;

    /** How often it was taken down, in parts. */
    double uses;

    int endedDay = -1;
    boolean failed;

    /** Not sown, as the soil was too dry for what its keeper asks of it. */
    boolean skipped;

    double waterShareAtSowing = Double.NaN;

    /** A base stand set back by the preparation of a sowing, until a day, to a share of growth. */
    int setBackUntil = -1;

    double setBackTo = 1;

    StandState copy() {
      StandState c = new StandState();
      c.green = green;
      c.young = young;
      c.dead = dead;
      System.arraycopy(youngWorth, 0, c.youngWorth, 0, Values.FIGURES);
      System.arraycopy(oldWorth, 0, c.oldWorth, 0, Values.FIGURES);
      System.arraycopy(deadWorth, 0, c.deadWorth, 0, Values.FIGURES);
      c.there = there;
      c.cameKgPerHa = cameKgPerHa;
      c.wintering = wintering;
      c.gone = gone;
      c.vigour = vigour;
      c.age = age;
      c.maturity = maturity;
      c.stemsTaken = stemsTaken;
      c.dormantDays = dormantDays;
      c.rate = rate;
      c.recent = recent;
      c.grows = grows;
      c.heat = heat;
      c.rainMm = rainMm;
      c.waited = waited;
      c.skipped = skipped;
      c.stage = stage;
      c.emergedDay = emergedDay;
      c.readyDay = readyDay;
      c.headedDay = headedDay;
      c.doughDay = doughDay;
      c.grainDay = grainDay;
      c.comesBack = comesBack;
      c.grownKg = grownKg;
      c.uses = uses;
      c.endedDay = endedDay;
      c.failed = failed;
      c.waterShareAtSowing = waterShareAtSowing;
      c.setBackUntil = setBackUntil;
      c.setBackTo = setBackTo;
      return c;
    }

    double mass() {
      return green + dead;
    }

    /** Green and dead gone; what stood there, kg DM/ha. */
    double clear() {
      double mass = green + dead;
      green = 0;
      young = 0;
      dead = 0;
      return mass;
    }

    /**
     * So much stands here, whatever was thought: green and dead in the proportion in which they
     * stood, or as was seen. Nothing gets younger by being looked at.
     *
     * @param deadShare NaN where nobody looked
     */
    void isSeen(double kgPerHa, double deadShare) {
      double before = mass();
      if (before <= 0) {
        green = kgPerHa;
        young = 0;
      } else {
        double times = kgPerHa / before;
        green *= times;
        young *= times;
        dead *= times;
      }
      if (Double.isNaN(deadShare)) {
        return;
      }
      double more = deadShare * kgPerHa - dead;
      if (more > 0) {
        die(Math.min(more, green));
      } else if (more < 0) {
        mix(oldWorth, green - young, deadWorth, -more);
        dead += more;
        green -= more;
      }
    }

    /** Takes mass off, green and dead in the proportion in which they stand. */
    void take(double kgPerHa) {
      take(kgPerHa, 1);
    }

    /** Takes mass off, the young top first; {@code picks} times more readily green than dead. */
    void take(double kgPerHa, double picks) {
      double mass = green + dead;
      if (mass <= 0 || kgPerHa <= 0) {
        return;
      }
      double fromDead = deadOf(kgPerHa, picks);
      dead -= fromDead;
      young = Math.max(0, young - (kgPerHa - fromDead));
      green = Math.max(0, green - (kgPerHa - fromDead));
    }

    /** The part of a bite that is dead, kg DM/ha. */
    private double deadOf(double kgPerHa, double picks) {
      double fromDead = kgPerHa * dead / (dead + picks * green);
      return Math.min(dead, Math.max(fromDead, kgPerHa - green));
    }

    /** Of the green that a bite takes, the share that has grown since it was last taken down. */
    double youngShareOf(double kgPerHa, double picks) {
      double fromGreen = kgPerHa - deadOf(kgPerHa, picks);
      return fromGreen <= 0 ? 0 : Math.min(1, young / fromGreen);
    }

    /**
     * What comes after being taken down begins leafy: all of it where nothing was left above the
     * stubble. What was left behind is old from now on, and worth what it was.
     *
     * @param kgPerHa taken
     * @param aboveKgPerHa what stood above the stubble before
     */
    void begin(double kgPerHa, double aboveKgPerHa) {
      double share = aboveKgPerHa <= kgPerHa ? 1 : kgPerHa / aboveKgPerHa;
      stemsTaken += share * maturity;
      settle(share * young);
      age *= 1 - share;
    }

    /** So much of the growth of now counts as old. */
    void settle(double kgPerHa) {
      mix(oldWorth, green - young, youngWorth, kgPerHa);
      young = Math.max(0, young - kgPerHa);
    }

    /**
     * The next mouthful of a residue, with so much more of it gone: see {@link Values#picked}.
     *
     * @param lessKgPerHa than stands there
     */
    void pick(StandPlan p, Values values, double lessKgPerHa) {
      if (values != null && cameKgPerHa > 0) {
        double left = Math.max(0, aboveStubble(p) - lessKgPerHa) / cameKgPerHa;
        values.picked(deadWorth, Math.max(0, 1 - left));
      }
    }

    /** New growth, which also takes the place of some of the old. */
    void grow(double kgPerHa, Values values) {
      if (values != null) {
        double renewed = Math.min(green - young, Maturity.RENEWED * kgPerHa);
        values.join(youngWorth, young, maturity, kgPerHa + renewed);
        young += kgPerHa + renewed;
      }
      grownKg += kgPerHa;
      green += kgPerHa;
    }

    /** Green turns to standing dead, the old first. */
    void die(double kgPerHa) {
      if (kgPerHa <= 0) {
        return;
      }
      double fromOld = Math.min(kgPerHa, Math.max(0, green - young));
      mix(deadWorth, dead, oldWorth, fromOld);
      mix(deadWorth, dead + fromOld, youngWorth, kgPerHa - fromOld);
      green -= kgPerHa;
      young = Math.max(0, young - (kgPerHa - fromOld));
      dead += kgPerHa;
    }

    /** Green is lost, young and old alike. */
    void loseGreen(double kgPerHa) {
      if (kgPerHa > 0) {
        young *= 1 - kgPerHa / green;
        green -= kgPerHa;
      }
    }

    /** What weather takes is leaf first: what is left is worth no more than all was before. */
    void noBetterThan(double protein, double tdn) {
      noBetterThan(Values.PROTEIN, protein);
      noBetterThan(Values.TDN, tdn);
    }

    private void noBetterThan(int nutrient, double before) {
      double risen = mass() <= 0 ? 0 : meanOf(nutrient) - before;
      if (risen > 0) {
        youngWorth[nutrient] -= risen;
        oldWorth[nutrient] -= risen;
        deadWorth[nutrient] -= risen;
      }
    }

    /** Of all that stands, percent of DM; or ripeness. */
    double meanOf(int figure) {
      double old = green - young;
      return (young * youngWorth[figure] + old * oldWorth[figure] + dead * deadWorth[figure])
          / mass();
    }

    private static void mix(double[] into, double mass, double[] of, double more) {
      if (more <= 0) {
        return;
      }
      double share = more / (Math.max(0, mass) + more);
      for (int n = 0; n < Values.FIGURES; n++) {
        into[n] += share * (of[n] - into[n]);
      }
    }

    /** It is as an earlier plan left it; green and dead are there. */
    void isLeft(OpeningState left) {
      vigour = left.vigour();
      young = left.youngShare() * green;
      age = left.ageDegreeDays();
      stemsTaken = left.stemsTaken();
      set(youngWorth, left.young(), left.youngRipeness());
      set(oldWorth, left.old(), left.oldRipeness());
      set(deadWorth, left.dead(), 1);
    }

    private static void set(double[] worth, FeedWorth to, double ripeness) {
      if (to != null) {
        worth[Values.PROTEIN] = to.proteinPct();
        worth[Values.TDN] = to.tdnPct();
        worth[Values.FIBRE] = to.fibrePct();
        worth[Values.CALCIUM] = to.calciumPct();
        worth[Values.PHOSPHORUS] = to.phosphorusPct();
        worth[Values.RIPENESS] = ripeness;
      }
    }

    /** Ends a crop: what is green dies where it stands. */
    void end(int day) {
      die(green);
      endedDay = day;
    }

    /**
     * A crop that was taken down begins anew as its kind does, by the share that was taken.
     *
     * @param lostGrowingPoints so little is left of it that its growing points are gone
     */
    void regrows(CropPlan crop, double share, boolean lostGrowingPoints, int day) {
      uses += share;
      boolean spent = uses > crop.regrowth.mostUses();
      Second second = crop.course.comesBack(stage, crop.regrowth, lostGrowingPoints);
      if (!spent && (second != null || crop.course.ratoons())) {
        double pace = second == null ? comesBack : CropRules.paceOf(second, grownKg, crop.sitePeak);
        comesBack += share * (Math.min(comesBack, pace) - comesBack);
        double begun = crop.course.begunAnew(stage, crop.regrowth, crop.baseC);
        isAt(crop.course, stage - share * (stage - begun));
        grownKg *= second == null ? 1 : 1 - share;
      }
      if (comesBack < CropRules.SPENT_SHARE) {
        end(day);
      }
    }

    /** A crop is at another stage than it was; what it has not come to yet did not happen. */
    void isAt(CropRules.Course course, double degreeDays) {
      stage = degreeDays;
      headedDay = stage < course.headingDegreeDays() ? -1 : headedDay;
      doughDay = stage < course.softDough() ? -1 : doughDay;
      grainDay = course.ripe(stage) ? grainDay : -1;
    }

    /** Notes how far a crop has come. */
    void stands(CropRules.Course course, int day) {
      headedDay = headedDay < 0 && stage >= course.headingDegreeDays() ? day : headedDay;
      doughDay = doughDay < 0 && stage >= course.softDough() ? day : doughDay;
      grainDay = grainDay < 0 && course.ripe(stage) ? day : grainDay;
    }

    /** True from emergence to the end. */
    boolean lives() {
      return emergedDay >= 0 && endedDay < 0;
    }

    /** What stands above what is to be left today: more in winter, as a reserve. */
    double above(StandPlan p) {
      return Math.max(0, green + dead - (wintering ? p.winterResidual : p.residual));
    }

    /** What stands above the residual of the growing season. */
    double aboveStubble(StandPlan p) {
      return Math.max(0, green + dead - p.residual);
    }

    /** What preparing the ground for a sowing does to the stand; kg DM/ha that are lost. */
    double prepare(Sowing.Preparation way, StandPlan p, int sowDay) {
      switch (way) {
        case GRAZE_DOWN -> {
          double topped = aboveStubble(p);
          double above = mass() - p.base;
          take(topped);
          begin(topped, above);
          return topped;
        }
        case LIGHT_DISKING -> {
          double lost = DISKED_IN * mass();
          take(lost);
          setBack(sowDay + DISKED_DAYS, DISKED_GROWTH);
          return lost;
        }
        case BURN_DOWN -> {
          die(green);
          setBack(sowDay + BURNT_DAYS, 0);
          return 0;
        }
        case FULL_SEEDBED, SPRAYED_OUT -> {
          gone = true;
          there = false;
          return clear();
        }
        case BURNT_OFF -> {
          return burn(p);
        }
      }
      throw new IllegalStateException(way.toString());
    }

    /** A fire takes what is dead and all that stands above the stubble. */
    private double burn(StandPlan p) {
      double lost = dead;
      dead = 0;
      double above = aboveStubble(p);
      take(above);
      begin(above, above);
      return lost + above;
    }

    private void setBack(int until, double to) {
      setBackUntil = until;
      setBackTo = to;
    }

    /** Share of the stand that a light disking works in, and what it grows for some weeks. */
    private static final double DISKED_IN = 0.4;

    private static final int DISKED_DAYS = 35;
    private static final double DISKED_GROWTH = 0.4;
    private static final int BURNT_DAYS = 45;
  }
}
