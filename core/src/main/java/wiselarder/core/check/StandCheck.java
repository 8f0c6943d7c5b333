package wiselarder.core.check;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.QualityTable.Values;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.WeatherYear;

/**
 * A perennial stand in a climate against the tables: what the normal year and the mean of simulated
 * years grow under a herd in balance with it, and what a stockpile of it is worth.
 *
 * @param typedKgPerHa of the table's twelve rates
 * @param normalShare grown in the normal year as a share of that
 * @param meanShare mean of the simulated years as a share of the normal one
 * @param monthsShare sum of the absolute differences between the months of the normal year and the
 *     table's, before leaf and crowding, as a share of the year
 * @param earlyTdn of a stockpile a month after it stopped growing, percent; NaN without a row
 * @param lateTdn of it at its use-by day
 * @param monthlyTdn the same each thirty days from the first frost to the use-by day
 */
public record StandCheck(
    Climate climate,
    Forage forage,
    double typedKgPerHa,
    double normalShare,
    double meanShare,
    double monthsShare,
    double earlyTdn,
    double lateTdn,
    List<Double> monthlyTdn) {
  private static final PlanYear YEAR = new PlanYear(LocalDate.of(2027, 1, 1), 12);

  /** Of what grows an ordinary rotation takes so much. */
  private static final double TAKEN_SHARE = 0.62;

  private static final int SHUT_BEFORE_DAYS = 75;

  /** Of a month's growth, how much may lie in another one. */
  private static final double MONTHS_WITHIN = 0.02;

  /** How far the mean of the years may lie from the normal one; in a dry climate further. */
  private static final double MEAN_WITHIN = 0.07;

  private static final double DRY_MEAN_WITHIN = 0.15;
  private static final double DRY_MM = 600;
  private static final double TDN_WITHIN = 5;

  public boolean monthsFit() {
    return monthsShare <= MONTHS_WITHIN;
  }

  public boolean meanFits() {
    boolean dry = climate.annualRainMm() < DRY_MM;
    return Math.abs(meanShare - 1) <= (dry ? DRY_MEAN_WITHIN : MEAN_WITHIN);
  }

  /** True where a stockpile is worth what its rows say, early and late; or there are none. */
  public boolean stockpileFits(Values values) {
    return Double.isNaN(earlyTdn)
        || (Math.abs(earlyTdn - values.dead(Values.TDN, 30)) <= TDN_WITHIN
            && Math.abs(lateTdn - values.dead(Values.TDN, forage.stockpileUseByDays()))
                <= TDN_WITHIN);
  }

  /** Every stand that the table of growth knows. */
  public static List<StandCheck> all(Engine engine, int years) {
    List<StandCheck> all = new ArrayList<>();
    List<Climate> climates = new ArrayList<>(engine.catalogue().climates().values());
    climates.sort(java.util.Comparator.comparing(Climate::id));
    List<Forage> forages = new ArrayList<>(engine.catalogue().forages().values());
    forages.sort(java.util.Comparator.comparing(Forage::id));
    for (Climate climate : climates) {
      for (Forage f : forages) {
        if (engine.catalogue().growth().curve(climate.id(), f.id()).isPresent()) {
          all.add(of(engine, climate, f, years));
        }
      }
    }
    return all;
  }

  static StandCheck of(Engine engine, Climate climate, Forage f, int years) {
    var curve = engine.catalogue().growth().curve(climate.id(), f.id()).orElseThrow();
    double typed = curve.annualKgPerHa();
    double half = (f.minResidualKgPerHa() + f.entryMassKgPerHa()) / 2;
    int head = (int) Math.max(1, Math.round(typed * Grounds.AREA_HA * TAKEN_SHARE / 365 / 12));
    FarmPlan plan = Grounds.grazed(climate.id(), YEAR, f.id(), half, head);
    YearBalance normal = engine.simulate(plan);
    double mean = 0;
    for (int seed = 1; seed <= years; seed++) {
      mean += grown(engine.in(Season.parse("seed:" + seed)).simulate(plan)) / years;
    }
    List<Double> stockpile = stockpile(engine, climate, f);
    boolean kept = !stockpile.isEmpty();
    return new StandCheck(
        climate,
        f,
        typed,
        grown(normal) / Grounds.AREA_HA / typed,
        mean / grown(normal),
        months(normal, f, curve.monthlyKgPerHaDay()) / typed,
        kept ? stockpile.get(0) : Double.NaN,
        kept ? stockpile.get(stockpile.size() - 1) : Double.NaN,
        stockpile);
  }

  private static double grown(YearBalance b) {
    double sum = 0;
    for (int d = 0; d < b.days(); d++) {
      sum += b.grownKg(0, d);
    }
    return sum;
  }

  /** What is reckoned on days on which frost stops the stand is not grown. */
  private static double months(YearBalance b, Forage f, List<Double> rates) {
    double[] sums = new double[12];
    for (int d = 0; d < b.days(); d++) {
      int month = b.year().date(d).getMonthValue() - 1;
      WeatherYear w = b.resolved().weather();
      boolean stopped = f.frostStops(w.frostSeason(d), w.tminC(d));
      sums[month] += (stopped ? 0 : b.resolved().statedGrowth(0, d)) - rates.get(month);
    }
    double off = 0;
    for (double s : sums) {
      off += Math.abs(s);
    }
    return off;
  }

  /** TDN each thirty days after growth has stopped, and on the use-by day; empty without a row. */
  private static List<Double> stockpile(Engine engine, Climate climate, Forage f) {
    if (Double.isNaN(f.stockpileUseByDays()) || !climate.firstFrost().occurs()) {
      return List.of();
    }
    LocalDate frost = LocalDate.ofYearDay(2027, climate.firstFrost().doy50());
    LocalDate shut = frost.minusDays(SHUT_BEFORE_DAYS);
    PlanYear year = new PlanYear(shut, 14);
    FarmPlan plan = Grounds.alone(climate.id(), year, f.id(), f.minResidualKgPerHa() * 1.05);
    YearBalance b = engine.simulate(plan);
    int useBy = (int) f.stockpileUseByDays();
    List<Double> monthly = new ArrayList<>();
    for (int day = MONTH_DAYS; day < useBy; day += MONTH_DAYS) {
      monthly.add(b.standingTdnPct(0, year.day(frost) + day));
    }
    monthly.add(b.standingTdnPct(0, year.day(frost) + useBy));
    return monthly;
  }

  private static final int MONTH_DAYS = 30;
}
