package wiselarder.core.check;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.day.SowingYear;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.CropUses;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.SowingTable;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sowing;
import wiselarder.core.weather.Climate;

/**
 * One row of the table of sowings against simulated years: sown in the middle of its best days into
 * a full seedbed; eaten down each time it is ready where it is sown to be grazed and comes back,
 * else left alone.
 *
 * @param useDays median of the days from sowing to first use; -1 where more than half never are
 * @param yieldKgPerHa mean of all years
 * @param cameUpShare of the years
 * @param readyShare of the years in which it was ever ready
 * @param second grown in the five weeks after a cut at heading in the normal year, as a share of
 *     what had grown before; NaN where it does not head there
 */
public record CropCheck(
    SowingTable.Window window,
    int useDays,
    double yieldKgPerHa,
    double cameUpShare,
    double readyShare,
    double second) {

  /** Dates of the table are given to the week or so. */
  private static final int USE_WITHIN_DAYS = 10;

  private static final int MONTHS = 20;

  /** True where first use lies within the table's days; of hay and standing crops not asked. */
  public boolean useFits() {
    return !window.grazed()
        || (useDays >= window.useFromDays() - USE_WITHIN_DAYS
            && useDays <= window.useToDays() + USE_WITHIN_DAYS);
  }

  /** True where the mean yield lies between the table's poor and good one. */
  public boolean yieldFits() {
    return yieldKgPerHa >= window.yieldLow() && yieldKgPerHa <= window.yieldHigh();
  }

  /**
   * True where a second growth lies within the table's shares, or below them: the table gives them
   * for warm moist weather, and says that cold or drought can double the time.
   *
   * @param regrowth of this crop
   */
  public boolean secondFits(CropUses.Regrowth regrowth) {
    return Double.isNaN(second) || second <= regrowth.headed().share() + SECOND_WITHIN;
  }

  /** The table's shares are sure to so much, by its notes, beside their own range. */
  private static final double SECOND_WITHIN = 0.2;

  /** Every row of the table, by climate and crop. */
  public static List<CropCheck> all(Engine engine, int years) {
    List<CropCheck> all = new ArrayList<>();
    List<Climate> climates = new ArrayList<>(engine.catalogue().climates().values());
    climates.sort(java.util.Comparator.comparing(Climate::id));
    List<Forage> forages = new ArrayList<>(engine.catalogue().forages().values());
    forages.sort(java.util.Comparator.comparing(Forage::id));
    for (Climate climate : climates) {
      for (Forage f : forages) {
        for (SowingTable.Window w : engine.catalogue().crops().table().of(climate.id(), f)) {
          all.add(of(engine, w, years));
        }
      }
    }
    return all;
  }

  /** One row. */
  static CropCheck of(Engine engine, SowingTable.Window w, int years) {
    LocalDate sown = LocalDate.ofYearDay(2027, w.middle());
    PlanYear year = new PlanYear(sown.minusDays(60).withDayOfMonth(1), MONTHS);
    Sowing sowing =
        new Sowing("s", "a", w.forageId(), sown, Sowing.Preparation.FULL_SEEDBED, null, 1, null);
    FarmPlan alone = Grounds.sown(w.climateId(), year, sowing);
    boolean grazed =
        w.grazed() && !CropRules.spentWhenJointed(engine.catalogue().forage(w.forageId()));
    FarmPlan plan = grazed ? Grounds.sownAndGrazed(w.climateId(), year, sowing) : alone;
    List<Integer> days = new ArrayList<>();
    double sum = 0;
    int up = 0;
    for (int seed = 1; seed <= years; seed++) {
      YearBalance b = engine.in(Season.parse("seed:" + seed)).simulate(plan);
      SowingYear crop = b.sowing(0);
      sum += crop.grownKgPerHa() / years;
      up += crop.emergedDay() >= 0 ? 1 : 0;
      days.add(crop.readyDay() < 0 ? Integer.MAX_VALUE : crop.readyDay() - year.day(sown));
    }
    Collections.sort(days);
    int median = days.get(years / 2);
    long ready = days.stream().filter(d -> d < Integer.MAX_VALUE).count();
    return new CropCheck(
        w,
        median == Integer.MAX_VALUE ? -1 : median,
        sum,
        (double) up / years,
        (double) ready / years,
        second(engine, alone));
  }

  /** What comes back of a crop that is cut as its heads come out. */
  private static double second(Engine engine, FarmPlan alone) {
    YearBalance left = engine.simulate(alone);
    int headed = left.sowing(0).headedDay();
    if (headed < 0 || headed + WEEKS_AFTER * 7 >= left.days()) {
      return Double.NaN;
    }
    YearBalance cut = engine.simulate(Grounds.cut(alone, left.year().date(headed)));
    double first = 0;
    double second = 0;
    for (int d = 0; d <= headed + WEEKS_AFTER * 7; d++) {
      first += d <= headed ? cut.grownKg(0, d) : 0;
      second += d > headed ? cut.grownKg(0, d) : 0;
    }
    return second / first;
  }

  private static final int WEEKS_AFTER = 5;
}
