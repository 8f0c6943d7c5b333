package wiselarder.core.seasons;

import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.plan.Sign;
import wiselarder.core.quantity.Check;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.weather.WeatherGenerator;

/**
 * A plan in many simulated years of the place, always the same ones: seeds 1 to their number.
 *
 * @param years each with what it came to, the mildest first
 * @param dayKg a mean day's need in the normal year; a year that misses less counts as fed
 * @param storeKg in store at the end of the day, kg DM
 * @param standsKgPerHa what stands on the farm, over all its ground, kg DM/ha
 * @param bareKg missing on the day, kg DM
 * @param signs what was in hand in each, by seed less one
 * @param weather of each, by seed less one
 */
public record ManyYears(
    List<Year> years,
    double dayKg,
    Fan storeKg,
    Fan standsKgPerHa,
    Fan bareKg,
    SignsSeen signs,
    List<YearWeather> weather) {

  public static final int MOST_YEARS = 10_000;

  /**
   * What a year came to.
   *
   * @param bareKg missing over the plan, kg DM
   * @param firstBareDay first day that is short by more than a twentieth of the need, -1 for none
   * @param storeLeftKg in store on the last day
   */
  public record Year(long seed, double bareKg, int firstBareDay, double storeLeftKg) {}

  /** Short by less than this share of the need, and a day counts as fed. */
  private static final double SHORT_SHARE = 0.05;

  /**
   * Runs them on all processors.
   *
   * @param engine knows the farm; the season that it looks at does not count
   * @param done is told how many years are done, from any thread
   * @param stopped is asked before each year
   * @throws CancellationException where it was stopped
   */
  public static ManyYears run(
      Engine engine, FarmPlan stated, int count, IntConsumer done, BooleanSupplier stopped) {
    Check.range("seasons.years", count, 1, MOST_YEARS);
    ResolvedPlan normal = engine.in(Season.NORMAL).resolve(stated);
    WeatherGenerator weather = normal.generator();
    YearBalance usual = YearBalance.farmOnly(normal);
    double ha = stated.farm().fields().stream().mapToDouble(f -> f.netAreaHa()).sum();
    int days = usual.days();
    float[][] store = new float[count][days];
    float[][] stands = new float[count][days];
    float[][] bare = new float[count][days];
    Year[] years = new Year[count];
    SignsSeen signs = new SignsSeen(count, days);
    YearWeather[] weathers = new YearWeather[count];
    AtomicInteger ready = new AtomicInteger();
    IntStream.range(0, count)
        .parallel()
        .forEach(
            y -> {
              if (stopped.getAsBoolean()) {
                throw new CancellationException();
              }
              YearBalance b = YearBalance.farmOnly(normal.in(weather.year(y + 1)));
              for (int d = 0; d < days; d++) {
                store[y][d] = (float) storeKg(b, d);
                stands[y][d] = ha <= 0 ? 0 : (float) (b.standingKg(d) / ha);
                bare[y][d] = (float) b.bareKg(d);
              }
              years[y] = year(y + 1, b);
              signs.note(y, b, ha);
              weathers[y] = YearWeather.of(b.resolved().weather);
              done.accept(ready.incrementAndGet());
            });
    return new ManyYears(
        List.of(years).stream()
            .sorted(Comparator.comparingDouble(Year::bareKg).thenComparingLong(Year::seed))
            .toList(),
        dayKg(usual),
        Fan.of(store, days),
        Fan.of(stands, days),
        Fan.of(bare, days),
        signs,
        List.of(weathers));
  }

  static Year year(long seed, YearBalance b) {
    int first = 0;
    while (first < b.days() && !isShort(b, first)) {
      first++;
    }
    int last = b.days() - 1;
    return new Year(seed, b.totalBareKg(), first > last ? -1 : first, storeKg(b, last));
  }

  /** True on a day that misses more than a twentieth of its need. */
  static boolean isShort(YearBalance b, int day) {
    return b.bareKg(day) > SHORT_SHARE * b.needKg(day);
  }

  /** A mean day's need. */
  static double dayKg(YearBalance b) {
    return IntStream.range(0, b.days()).mapToDouble(b::needKg).sum() / b.days();
  }

  static double storeKg(YearBalance b, int day) {
    double kg = 0;
    for (int l = 0; l < b.resolved().lots.length; l++) {
      kg += b.lotKg(l, day);
    }
    return kg;
  }

  /**
   * From how much missing on a year counts as hard: where feed lasts in some years and not in
   * others, a day's need; where it hardly ever lasts, what two years of three do not miss; NaN
   * where it hardly ever fails, as then there is nothing to tell.
   */
  public double hardKg() {
    double lasts = (double) fed() / years.size();
    if (lasts > HARDLY_EVER_FAILS) {
      return Double.NaN;
    }
    return lasts >= HARDLY_EVER_LASTS ? dayKg : noHarder(TWO_OF_THREE).bareKg;
  }

  private static final double HARDLY_EVER_FAILS = 0.97;
  private static final double HARDLY_EVER_LASTS = 0.1;
  private static final double TWO_OF_THREE = 2 / 3.0;

  /** Whether less than a day's feed is missing in a year. */
  public boolean isFed(Year year) {
    return year.bareKg <= 0 || year.bareKg < dayKg;
  }

  /** Years in which feed lasts. */
  public int fed() {
    return (int) years.stream().filter(this::isFed).count();
  }

  /** The day by which so large a share of all years has fallen short; -1 where fewer ever do. */
  public int shortBy(double share) {
    List<Integer> days =
        years.stream().map(Year::firstBareDay).filter(d -> d >= 0).sorted().toList();
    int rank = wanted(share);
    return rank > days.size() ? -1 : days.get(rank - 1);
  }

  /** How many of the years a share of them is. */
  public int wanted(double share) {
    return Math.max(1, Math.min(years.size(), (int) Math.ceil(share * years.size() - 1e-9)));
  }

  /**
   * The place, in {@link #years}, of the year whose figure on a day lies next to a value; of those
   * alike the one that is nearest the middle.
   *
   * @param sign what stands, or is in store
   */
  public int nearest(Sign sign, int day, double value) {
    int week = signs.weekOf(day);
    int best = 0;
    for (int rank = 1; rank < years.size(); rank++) {
      double off = off(sign, rank, week, value);
      double least = off(sign, best, week, value);
      boolean nearerMiddle = Math.abs(2 * rank - years.size()) < Math.abs(2 * best - years.size());
      best = off < least || (off == least && nearerMiddle) ? rank : best;
    }
    return best;
  }

  private double off(Sign sign, int rank, int week, double value) {
    return Math.abs(signs.of(sign, (int) years.get(rank).seed() - 1, week) - value);
  }

  /** Missing in the mean year, kg DM. */
  public double meanBareKg() {
    return years.stream().mapToDouble(Year::bareKg).average().orElse(0);
  }

  /** The year that so large a share of all is no harder than. */
  public Year noHarder(double share) {
    return years.get(wanted(share) - 1);
  }
}
