package wiselarder.core.forage;

import wiselarder.core.forage.CropUses.Regrowth;
import wiselarder.core.forage.CropUses.Second;

/**
 * The life of a crop that is sown each time: emergence, heading, ripening, first use. Heat sums are
 * degree-days above the forage's base temperature. All figures here are assumptions that put common
 * crops near their usual dates; docs/model.md lists them.
 */
public final class CropRules {
  /** Heat from sowing to emergence, counted only while seedbed and soil are moist. */
  public static final double EMERGENCE_DEGREE_DAYS = 70;

  /** A seedbed with less than this share of its water holds seed back. */
  public static final double MOIST_SHARE = 0.20;

  /** Not emerged after so many days, the sowing has failed. */
  public static final int FAILS_AFTER_DAYS = 60;

  /** Standing on the day of emergence at full seed rate, kg DM/ha. */
  public static final double EMERGED_KG_PER_HA = 60;

  /** Of the days from sowing to first use that the table gives at least: roots hold. */
  public static final double ANCHORED_SHARE = 0.8;

  /** Share of the heat to heading after which a small grain is jointed. */
  public static final double JOINTED_SHARE = 0.6;

  /** A jointed stand taken below this share of its mass at entry has lost its growing points. */
  public static final double GROWING_POINT_SHARE = 0.7;

  /** Green that dies each day once ripe. */
  public static final double RIPE_DEATH_PER_DAY = 0.04;

  /** Heat of an ordinary growing day, by which days to first use become heat. */
  private static final double HEAT_PER_DAY = 11;

  /** Heat that a crop sown before winter wants above 4 C before it gets too cold to grow. */
  private static final double WINTER_ANNUAL_HEAT = 450;

  private static final double COVER_MIX_HEAT = 700;

  /** A cool-season perennial wants some weeks of growth before winter. Assumption. */
  private static final double PERENNIAL_HEAT = 650;

  /** A perennial younger than this is a seedling: frost and cold beyond it kill it. Assumption. */
  public static final int SEEDLING_DAYS = 60;

  /** What a new perennial grows at first beside one that is its own; slow ones. Assumptions. */
  private static final double NEW_STAND_SHARE = 0.7;

  /** A perennial stands so thick on the day it comes up at full seed rate, kg DM/ha. */
  private static final double NEW_STAND_KG_PER_HA = 110;

  /** A young stand is thin: at the height of first use it holds so much of an old one's mass. */
  private static final double THIN_SHARE = 0.6;

  private static final double SLOW_STAND_SHARE = 0.15;

  /** One that cannot be used for so long is a slow one: it makes roots first. */
  private static final double SLOW_FROM_DAYS = 250;

  private static final double YEAR_DAYS = 365;

  /** Of a crop's green, killed by each degree of a night's low below its hardiness. Assumption. */
  public static final double KILLED_PER_DEGREE = 0.08;

  /** With less green than this a crop is dead, kg DM/ha. */
  public static final double LEAST_ALIVE_KG_PER_HA = 10;

  private CropRules() {}

  /** Days after planting on which a perennial has come to its full growth: a year or more. */
  public static double fullAfterDays(Forage f) {
    return Math.max(YEAR_DAYS, f.daysToFirstUseHigh());
  }

  /** Standing of a perennial on the day it comes up, kg DM/ha. Assumption. */
  public static double newStandKgPerHa(double seedShare) {
    return NEW_STAND_KG_PER_HA * seedShare;
  }

  /** Mass at which a new perennial is first ready, kg DM/ha. Assumption. */
  public static double newStandReadyKgPerHa(Forage f) {
    double stubble = f.minResidualKgPerHa();
    return stubble + THIN_SHARE * Math.max(0, f.entryMassKgPerHa() - stubble);
  }

  /**
   * Growth of a young perennial beside one that has come to its own: from 70% of it, or 15% for
   * natives and others that cannot be used in their first year, in a straight line to all of it
   * after a year, or after the slow end of the table's days to first use. Assumption.
   *
   * @param days since it was sown or planted
   */
  public static double establishedShare(Forage f, double days) {
    double from = f.daysToFirstUseLow() >= SLOW_FROM_DAYS ? SLOW_STAND_SHARE : NEW_STAND_SHARE;
    return from + (1 - from) * Math.max(0, Math.min(1, days / fullAfterDays(f)));
  }

  /** Heat above 4 C that a crop sown in summer or autumn wants before winter. Assumption. */
  public static double heatBeforeWinter(Forage f) {
    if (f.life() == Forage.Life.WINTER_ANNUAL) {
      return WINTER_ANNUAL_HEAT;
    }
    if (f.sownToStay()) {
      return PERENNIAL_HEAT;
    }
    return f.group().equals("cover_mix") ? COVER_MIX_HEAT : HEAT_PER_DAY * f.daysToFirstUseHigh();
  }

  /**
   * The course of a crop.
   *
   * @param headingDegreeDays heat to heads or first flower; infinite where none come in the season
   * @param ripeDegreeDays heat after which nothing is added
   * @param sinceWinter heat counts from the coldest time on, as winter types must feel the cold
   * @param diesRipe the green dies once nothing is added; otherwise it stands until frost takes it
   * @param ratoons taken down it begins anew from its base and heads again, as sudans, millets and
   *     sorghums do
   */
  public record Course(
      double headingDegreeDays,
      double ripeDegreeDays,
      boolean sinceWinter,
      boolean diesRipe,
      boolean ratoons) {
    /** Of what comes to stay: it does not come to an end. */
    private static final Course STAYS =
        new Course(Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, false, false, false);

    /** Course by management group. */
    public static Course of(Forage f) {
      if (f.life() == Forage.Life.PERENNIAL) {
        return STAYS;
      }
      return switch (f.group()) {
        case "winter_small_grain" -> new Course(500, 1050, true, true, false);
        case "annual_ryegrass" -> new Course(650, 1250, true, true, false);
        case "annual_legume" ->
            f.life() == Forage.Life.WINTER_ANNUAL
                ? new Course(600, 1150, true, true, false)
                : new Course(900, 1500, false, true, false);
        case "spring_small_grain" -> new Course(900, 1600, false, true, false);
        case "cover_mix" -> new Course(1000, 1800, false, true, false);
        case "summer_annual_grass" -> new Course(750, 1600, false, true, true);
        case "grain_sorghum" -> new Course(800, 1500, false, true, true);
        default -> leafy(f);
      };
    }

    /** Brassicas: full size after the slow end of the days to first use, and no seed this year. */
    private static Course leafy(Forage f) {
      double full = HEAT_PER_DAY * f.daysToFirstUseHigh();
      return new Course(full, 1.5 * full, false, false, false);
    }

    /** Share of growth left by stage: all to heading, then straight down to none when ripe. */
    public double growthShare(double degreeDays) {
      if (degreeDays <= headingDegreeDays) {
        return 1;
      }
      return Math.max(0, (ripeDegreeDays - degreeDays) / (ripeDegreeDays - headingDegreeDays));
    }

    /** From here on the heads swell in their sheaths. */
    private double boot() {
      return BOOT_SHARE * headingDegreeDays;
    }

    /** Grain is dough: two fifths of the way from heading to ripe. Assumption. */
    public double softDough() {
      return headingDegreeDays + DOUGH_SHARE * (ripeDegreeDays - headingDegreeDays);
    }

    /**
     * What comes back of a crop taken at a stage, or null while it comes back by its leaf alone.
     *
     * @param lostGrowingPoints taken so low that a jointed stand has lost them
     */
    public Second comesBack(double degreeDays, Regrowth regrowth, boolean lostGrowingPoints) {
      if (degreeDays >= softDough()) {
        return regrowth.atDough();
      }
      if (degreeDays >= headingDegreeDays) {
        return regrowth.headed();
      }
      boolean late = degreeDays >= boot() || (lostGrowingPoints && jointed(degreeDays));
      return late && !ratoons ? regrowth.atBoot() : null;
    }

    /**
     * The stage at which what comes back begins: one that ratoons comes to soft dough again after
     * the days that the table gives, in warm weather; late tillers of others begin jointed; leafy
     * crops go on.
     */
    public double begunAnew(double degreeDays, Regrowth regrowth, double baseC) {
      if (!diesRipe) {
        return degreeDays;
      }
      if (!ratoons) {
        return Math.min(degreeDays, JOINTED_SHARE * headingDegreeDays);
      }
      double left = regrowth.doughDays() * (WARM_DAY_C - baseC);
      double begins = left > 0 ? softDough() - left : RATOON_SHARE * headingDegreeDays;
      return Math.min(degreeDays, Math.max(0, begins));
    }

    private static final double BOOT_SHARE = 0.85;
    private static final double DOUGH_SHARE = 0.4;

    /** Warmth at which the table counts days to dough, deg C. */
    private static final double WARM_DAY_C = 24.5;

    /** Where no days to dough are known: half way to heading. Assumption. */
    private static final double RATOON_SHARE = 0.5;

    public boolean jointed(double degreeDays) {
      return degreeDays >= JOINTED_SHARE * headingDegreeDays;
    }

    public boolean ripe(double degreeDays) {
      return degreeDays >= ripeDegreeDays;
    }
  }

  /** True for small grains: stock come off them when stems rise, or take the growing points. */
  public static boolean spentWhenJointed(Forage f) {
    return f.group().endsWith("small_grain") || !f.regrows();
  }

  /**
   * How fast a second growth goes, beside a crop that was never taken: so that on ordinary days it
   * comes to its share of the first in its time, and never faster than the first.
   *
   * @param firstKgPerHa grown until it was taken
   * @param peakKgPerHaDay of this crop at this place
   */
  public static double paceOf(Second second, double firstKgPerHa, double peakKgPerHaDay) {
    double ordinary = ORDINARY_DAY * peakKgPerHaDay * second.days();
    return ordinary <= 0 ? 0 : Math.min(1, second.share() * firstKgPerHa / ordinary);
  }

  /** An ordinary day's growth from stubble to full leaf beside the best. Assumption. */
  private static final double ORDINARY_DAY = 0.45;

  /** What still grows at less than this share of its growth has come to its end. Assumption. */
  public static final double SPENT_SHARE = 0.02;

  /**
   * Chance that a sowing fails: as often as it does not come up in simulated years, and no less
   * than the table says for a sowing so late. Where the table has no row, one in twenty of those
   * that come up fails later, and 1.2% more for each day it is late. Never above 98%. The figures
   * without a row are assumptions.
   *
   * @param window of the table, or null
   * @param daysLate days after the best ones; early counts as none
   * @param comesUpShare share of years in which it comes up when sown that day
   */
  public static double chanceOfFailing(
      SowingTable.Window window, double daysLate, double comesUpShare) {
    if (window != null) {
      return Math.min(0.98, Math.max(window.fails(daysLate), 1 - comesUpShare));
    }
    double later = Math.min(0.95, 0.05 + 0.012 * Math.max(0, daysLate));
    return Math.min(0.98, 1 - comesUpShare * (1 - later));
  }

  /** Kilograms dry matter standing on the day of emergence. */
  public static double emergedKgPerHa(double seedShare) {
    return EMERGED_KG_PER_HA * seedShare;
  }
}
