package wiselarder.core.plan;

import java.util.Comparator;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.LongStream;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.land.SoilWater;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.NormalYear;
import wiselarder.core.weather.WeatherGenerator;
import wiselarder.core.weather.WeatherYear;

/**
 * The one-in-ten dry and wet seasons of a climate: of a hundred simulated years the tenth that
 * leaves a grass sward thirstiest, and the tenth with the most rain on growing days. Their rain is
 * laid on an otherwise normal year. Worked out once for each climate and plan year and kept; a pure
 * function of those.
 */
public final class DrySeasons {
  private static final int YEARS = 100;
  private static final int ONE_IN_TEN = YEARS / 10;

  /** The sward that ranks years: water of an ordinary soil, mm, and an ordinary drought hold. */
  private static final double CAPACITY_MM = 120;

  private static final double DROUGHT_HOLD = 0.4;

  /** Growing days are warmer than this. */
  private static final double GROWING_C = 5;

  private final Map<Key, Long> seeds = new ConcurrentHashMap<>();

  private record Key(String climateId, PlanYear year, boolean dry) {}

  WeatherYear dry(Climate climate, PlanYear year) {
    return withRainOf(climate, year, true);
  }

  WeatherYear wet(Climate climate, PlanYear year) {
    return withRainOf(climate, year, false);
  }

  /** Which simulated year is the dry one: what another engine need not look for again. */
  public long drySeed(Climate climate, PlanYear year) {
    return seed(climate, year, true);
  }

  /** Takes a dry year's seed over from an engine that has looked for it. */
  public void takeDrySeed(Climate climate, PlanYear year, long seed) {
    seeds.put(new Key(climate.id(), year, true), seed);
  }

  private long seed(Climate climate, PlanYear year, boolean dry) {
    return seeds.computeIfAbsent(
        new Key(climate.id(), year, dry), key -> tenth(climate, year, dry));
  }

  private WeatherYear withRainOf(Climate climate, PlanYear year, boolean dry) {
    long seed = seed(climate, year, dry);
    WeatherYear simulated = WeatherGenerator.of(climate, year).year(seed);
    return NormalYear.of(climate, year).withRainOf(simulated);
  }

  private static long tenth(Climate climate, PlanYear year, boolean dry) {
    WeatherGenerator generator = WeatherGenerator.of(climate, year);
    WeatherYear normal = NormalYear.of(climate, year);
    record Ranked(long seed, double by) {}
    return LongStream.range(0, YEARS)
        .mapToObj(
            s -> {
              WeatherYear w = normal.withRainOf(generator.year(s));
              return new Ranked(s, dry ? watered(w) : -growingRain(w));
            })
        .sorted(Comparator.comparingDouble(Ranked::by).thenComparing(Ranked::seed))
        .toList()
        .get(ONE_IN_TEN - 1)
        .seed();
  }

  private static double growingRain(WeatherYear w) {
    double sum = 0;
    for (int d = 0; d < w.days(); d++) {
      sum += w.tmeanC(d) > GROWING_C ? w.rainMm(d) : 0;
    }
    return sum;
  }

  /** Reference evapotranspiration of the days, each by the share of growth its water allows. */
  private static double watered(WeatherYear w) {
    double water = 0.8 * CAPACITY_MM;
    double sum = 0;
    for (int d = 0; d < w.days(); d++) {
      sum += w.et0Mm(d) * SoilWater.growthShare(water, CAPACITY_MM, DROUGHT_HOLD);
      water = SoilWater.after(water, CAPACITY_MM, w.reachesSoilMm(d), w.et0Mm(d), 0.9, true);
    }
    return sum;
  }
}
