package wiselarder.core.day;

import wiselarder.core.plan.Sowing;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;

/** One field as it stands on a day: its stands, its water, its nitrogen. Masses in kg DM/ha. */
final class FieldState {
  final StandState[] stands;
  final StandState base;
  double waterMm;
  double nitrogen;

  /** The part of the cover kept as stockpile. */
  double stock;

  /** True while a sown crop is not ready: no stock may come in. */
  boolean sown;

  /** Shadow on each stand's light today, 1 for none. */
  double lightShare;

  FieldState(FieldPlan plan) {
    stands = new StandState[plan.stands.length];
    for (int i = 0; i < stands.length; i++) {
      stands[i] = new StandState();
    }
    base = stands[0];
    waterMm = plan.openingWaterMm;
  }

  private FieldState(FieldState of) {
    stands = new StandState[of.stands.length];
    for (int i = 0; i < stands.length; i++) {
      stands[i] = of.stands[i].copy();
    }
    base = stands[0];
    waterMm = of.waterMm;
    nitrogen = of.nitrogen;
    stock = of.stock;
    sown = of.sown;
    lightShare = of.lightShare;
  }

  FieldState copy() {
    return new FieldState(this);
  }

  /** What stands above the residuals of all stands, kg DM/ha. In winter a reserve is left. */
  double above(FieldPlan p, boolean winter) {
    double above = 0;
    for (int i = 0; i < stands.length; i++) {
      if (stands[i].there) {
        above += stands[i].above(p.stands[i], winter);
      }
    }
    return above;
  }

  /** One stand as it is on a day. */
  static final class StandState {
    double green;
    double dead;
    boolean there;

    /** Gone for good: ploughed in, or ended. */
    boolean gone;

    double vigour = 1;

    /** Heat since it was last taken down; mean days since what stands dead has died. */
    double age;

    double deadDays;
    double maturity;

    /** Days on which nothing grew, up to today. */
    int dormantDays;

    /** Frosted: what it leaves green is stubble, worth what is kept standing is worth. */
    boolean asleep;

    /** Growth of today that weather allows at full leaf, kg DM/ha. */
    double rate;

    /** For sown crops: heat to emergence, then heat since; days, -1 while not yet. */
    double heat;

    double stage;
    int emergedDay = -1;
    int readyDay = -1;
    int endedDay = -1;
    boolean failed;
    double waterShareAtSowing = Double.NaN;

    /** A base stand set back by the preparation of a sowing, until a day, to a share of growth. */
    int setBackUntil = -1;

    double setBackTo = 1;

    StandState copy() {
      StandState c = new StandState();
      c.green = green;
      c.dead = dead;
      c.there = there;
      c.gone = gone;
      c.vigour = vigour;
      c.age = age;
      c.deadDays = deadDays;
      c.maturity = maturity;
      c.dormantDays = dormantDays;
      c.asleep = asleep;
      c.rate = rate;
      c.heat = heat;
      c.stage = stage;
      c.emergedDay = emergedDay;
      c.readyDay = readyDay;
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
      dead = 0;
      return mass;
    }

    /** Takes mass off, green and dead in the proportion in which they stand. */
    void take(double kgPerHa) {
      take(kgPerHa, 1);
    }

    /** Takes mass off; {@code picks} times more readily green than dead. */
    void take(double kgPerHa, double picks) {
      double mass = green + dead;
      if (mass <= 0 || kgPerHa <= 0) {
        return;
      }
      double fromDead = kgPerHa * dead / (dead + picks * green);
      fromDead = Math.min(dead, Math.max(fromDead, kgPerHa - green));
      dead -= fromDead;
      green = Math.max(0, green - (kgPerHa - fromDead));
    }

    /**
     * What comes after being taken down is young: all of it where nothing was left above the
     * stubble. Called before the mass is taken.
     */
    void renew(double kgPerHa, double stubbleKgPerHa) {
      double above = mass() - stubbleKgPerHa;
      age *= above <= kgPerHa ? 0 : 1 - kgPerHa / above;
    }

    /** Green turns to standing dead. */
    void die(double kgPerHa) {
      if (kgPerHa <= 0) {
        return;
      }
      green -= kgPerHa;
      dead += kgPerHa;
      deadDays = dead <= 0 ? 0 : deadDays * (1 - Math.min(1, kgPerHa / dead));
    }

    /** Ends a crop: what is green dies where it stands. */
    void end(int day) {
      die(green);
      endedDay = day;
    }

    /** True from emergence to the end. */
    boolean lives() {
      return emergedDay >= 0 && endedDay < 0;
    }

    double above(StandPlan p, boolean winter) {
      return Math.max(0, green + dead - (winter ? p.winterResidual : p.residual));
    }

    /** What preparing the ground for a sowing does to the stand; kg DM/ha that are lost. */
    double prepare(Sowing.Preparation way, StandPlan p, int sowDay) {
      switch (way) {
        case GRAZE_DOWN -> {
          double topped = above(p, false);
          renew(topped, p.base);
          take(topped);
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
        case FULL_SEEDBED -> {
          gone = true;
          there = false;
          return clear();
        }
      }
      throw new IllegalStateException(way.toString());
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
