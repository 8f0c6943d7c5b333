package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.SowingTable;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.NormalYear;
import wiselarder.core.weather.WeatherYear;

/**
 * Which crops fit a farm and a sowing day, and why others do not: heat, water, habit, machines and
 * ration filter before yield does. Thresholds are assumptions; docs/model.md lists them.
 *
 * @param against what speaks against it; empty where it fits
 */
public record Fitting(String forageId, List<Reason> against) {
  /** What speaks against a crop. */
  public enum Reason {
    /** Too cool in the three months after sowing. */
    TOO_COOL,
    /** Rain of those months falls far short of what it uses. */
    TOO_DRY,
    /** Frost kills it before it is ready. */
    FROST_COMES_FIRST,
    /** Sown that early it heads before winter and is lost. */
    HEADS_AT_ONCE,
    /** Winters there are colder than it stands. */
    FREEZES,
    /** More than six weeks after its usual day, where the table has no days for it. */
    LATE,
    /** Not a time of the year at which it is sown there. */
    OUT_OF_SEASON,
    /** Thick stems, and no conditioner. */
    NO_CONDITIONER,
    /** Stock leave its hay lying, and there is no mixer. */
    NO_MIXER,
    /** No hay can be made of it. */
    NO_HAY,
    /** Not ready before the gap ends. */
    NOT_IN_TIME,
    /** Shut at every stage to a kind of stock that is to eat it. */
    SHUT_TO_STOCK
  }

  private static final int SEASON_DAYS = 90;
  private static final double WARM_C = 18;
  private static final double MILD_C = 14;
  private static final double THIRSTY_RAIN_SHARE = 0.5;
  private static final double MEDIUM_RAIN_SHARE = 0.3;
  private static final int LATE_DAYS = 42;

  /** Below the coldest month's mean low, one bad night goes about this much further. */
  private static final double BAD_NIGHT_C = 12;

  /**
   * Every crop that is sown each time, by name.
   *
   * @param irrigated true where lack of rain does not count
   * @param forHay true where hay is to be made of it
   */
  public static List<Fitting> of(
      FarmPlan stated, Catalogue product, LocalDate sowOn, boolean irrigated, boolean forHay) {
    Catalogue catalogue = product.on(stated.farm());
    Climate climate = catalogue.climate(stated.farm().climateId());
    WeatherYear normal = NormalYear.of(climate, new PlanYear(sowOn, 13));
    return catalogue.forages().values().stream()
        .filter(Forage::sownYearly)
        .sorted(Comparator.comparing(Forage::name))
        .map(
            f ->
                new Fitting(
                    f.id(),
                    against(f, catalogue, climate, normal, stated.farm(), irrigated, forHay)))
        .toList();
  }

  /** What speaks against one crop, grazed, on a day; empty where it fits. */
  static List<Reason> against(
      Forage crop, FarmPlan stated, Catalogue product, LocalDate sowOn, boolean irrigated) {
    return against(crop, stated, product, sowOn, irrigated, false);
  }

  /** What speaks against one crop on a day; empty where it fits. */
  static List<Reason> against(
      Forage crop,
      FarmPlan stated,
      Catalogue product,
      LocalDate sowOn,
      boolean irrigated,
      boolean forHay) {
    Catalogue catalogue = product.on(stated.farm());
    Climate climate = catalogue.climate(stated.farm().climateId());
    WeatherYear normal = NormalYear.of(climate, new PlanYear(sowOn, 13));
    return against(crop, catalogue, climate, normal, stated.farm(), irrigated, forHay);
  }

  private static List<Reason> against(
      Forage f,
      Catalogue catalogue,
      Climate climate,
      WeatherYear w,
      Farm farm,
      boolean irrigated,
      boolean forHay) {
    List<Reason> found = new ArrayList<>();
    double warmth = 0;
    double rain = 0;
    double drawn = 0;
    for (int d = 0; d < SEASON_DAYS; d++) {
      warmth += w.tmeanC(d) / SEASON_DAYS;
      rain += w.rainMm(d);
      drawn += w.et0Mm(d);
    }
    add(found, Reason.TOO_COOL, warmth < wanted(f.heatNeed(), MILD_C, WARM_C));
    double share = wanted(f.waterNeed(), MEDIUM_RAIN_SHARE, THIRSTY_RAIN_SHARE);
    add(found, Reason.TOO_DRY, !irrigated && rain < share * drawn);
    int frost = firstFrost(w);
    boolean killed = f.frostResponse() == Forage.FrostResponse.KILLED;
    add(found, Reason.FROST_COMES_FIRST, killed && frost < f.daysToFirstUseLow());
    add(found, Reason.HEADS_AT_ONCE, headsBeforeWinter(f, w, climate, frost));
    boolean standsWinter = f.life() == Forage.Life.WINTER_ANNUAL;
    add(found, Reason.FREEZES, standsWinter && coldest(w) - BAD_NIGHT_C < f.winterHardyC());
    LocalDate sown = w.year().date(0);
    List<SowingTable.Window> windows = catalogue.crops().table().of(climate.id(), f);
    double late = catalogue.crops().daysLate(f, climate, sown);
    add(found, Reason.LATE, windows.isEmpty() && late > LATE_DAYS);
    boolean open = windows.stream().anyMatch(x -> x.open(sown.getDayOfYear()));
    add(found, Reason.OUT_OF_SEASON, !windows.isEmpty() && !open);
    if (forHay) {
      add(found, Reason.NO_HAY, !f.canCut());
      boolean crimped = farm.has(Farm.Machine.MOWER_CONDITIONER);
      add(found, Reason.NO_CONDITIONER, f.canCut() && f.thickStems() && !crimped);
      boolean mixed = farm.has(Farm.Machine.MIXER);
      add(found, Reason.NO_MIXER, f.canCut() && !f.hayEatenAsIs() && !mixed);
    }
    return found;
  }

  private static void add(List<Reason> to, Reason reason, boolean holds) {
    if (holds) {
      to.add(reason);
    }
  }

  private static double wanted(Forage.Need need, double medium, double high) {
    return switch (need) {
      case LOW -> Double.NEGATIVE_INFINITY;
      case MEDIUM -> medium;
      case HIGH -> high;
    };
  }

  private static int firstFrost(WeatherYear w) {
    for (int d = 0; d < w.days(); d++) {
      if (w.frostSeason(d)) {
        return d;
      }
    }
    return Integer.MAX_VALUE;
  }

  private static double coldest(WeatherYear w) {
    double coldest = Double.MAX_VALUE;
    for (int d = 0; d < w.days(); d++) {
      coldest = Math.min(coldest, w.tminC(d));
    }
    return coldest;
  }

  /** A spring type needs no winter: sown in late summer it runs to head before the frost. */
  private static boolean headsBeforeWinter(Forage f, WeatherYear w, Climate climate, int frost) {
    CropRules.Course course = CropRules.Course.of(f);
    boolean beforeWinter =
        Math.floorMod(climate.coldestDoy() - w.year().date(0).getDayOfYear(), 365) < 200;
    if (!f.group().equals("spring_small_grain") || course.sinceWinter() || !beforeWinter) {
      return false;
    }
    double heat = 0;
    for (int d = 0; d < Math.min(frost, w.days()); d++) {
      heat += Math.max(0, w.tmeanC(d) - f.baseC());
    }
    return heat >= course.headingDegreeDays();
  }
}
