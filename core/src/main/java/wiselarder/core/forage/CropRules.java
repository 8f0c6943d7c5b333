package wiselarder.core.forage;

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

  /** Of a crop's green, killed by each degree of a night's low below its hardiness. Assumption. */
  public static final double KILLED_PER_DEGREE = 0.08;

  /** With less green than this a crop is dead, kg DM/ha. */
  public static final double LEAST_ALIVE_KG_PER_HA = 10;

  private CropRules() {}

  /** Heat above 4 C that a crop sown in summer or autumn wants before winter. Assumption. */
  public static double heatBeforeWinter(Forage f) {
    if (f.life() == Forage.Life.WINTER_ANNUAL) {
      return WINTER_ANNUAL_HEAT;
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
   */
  public record Course(
      double headingDegreeDays, double ripeDegreeDays, boolean sinceWinter, boolean diesRipe) {
    /** Course by management group. */
    public static Course of(Forage f) {
      return switch (f.group()) {
        case "winter_small_grain" -> new Course(500, 1050, true, true);
        case "annual_ryegrass" -> new Course(650, 1250, true, true);
        case "annual_legume" ->
            f.life() == Forage.Life.WINTER_ANNUAL
                ? new Course(600, 1150, true, true)
                : new Course(900, 1500, false, true);
        case "spring_small_grain" -> new Course(900, 1600, false, true);
        case "cover_mix" -> new Course(1000, 1800, false, true);
        case "summer_annual_grass" -> new Course(750, 1600, false, true);
        case "grain_sorghum" -> new Course(800, 1500, false, true);
        default -> leafy(f);
      };
    }

    /** Brassicas: full size after the slow end of the days to first use, and no seed this year. */
    private static Course leafy(Forage f) {
      double full = HEAT_PER_DAY * f.daysToFirstUseHigh();
      return new Course(full, 1.5 * full, false, false);
    }

    /** Share of growth left by stage: all to heading, then straight down to none when ripe. */
    public double growthShare(double degreeDays) {
      if (degreeDays <= headingDegreeDays) {
        return 1;
      }
      return Math.max(0, (ripeDegreeDays - degreeDays) / (ripeDegreeDays - headingDegreeDays));
    }

    public boolean jointed(double degreeDays) {
      return degreeDays >= JOINTED_SHARE * headingDegreeDays;
    }

    public boolean ripe(double degreeDays) {
      return degreeDays >= ripeDegreeDays;
    }
  }

  /** True for small grains, whose stand ends when the growing point is taken after jointing. */
  public static boolean endsWhenJointedTaken(Forage f) {
    return f.group().endsWith("small_grain") || !f.regrows();
  }

  /**
   * Chance that a sowing fails: it does not come up in the share of years that was simulated, and
   * of those in which it does one in twenty fails later, and 1.2% more for each day it is late;
   * never above 98%. The last two are assumptions.
   *
   * @param daysLate days after the crop's usual sowing in this climate; early counts as none
   * @param comesUpShare share of years in which it comes up when sown that day
   */
  public static double chanceOfFailing(double daysLate, double comesUpShare) {
    double later = Math.min(0.95, 0.05 + 0.012 * Math.max(0, daysLate));
    return Math.min(0.98, 1 - comesUpShare * (1 - later));
  }

  /** Kilograms dry matter standing on the day of emergence. */
  public static double emergedKgPerHa(double seedShare) {
    return EMERGED_KG_PER_HA * seedShare;
  }
}
