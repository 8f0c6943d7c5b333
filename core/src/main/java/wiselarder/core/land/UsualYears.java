package wiselarder.core.land;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.LongStream;
import wiselarder.core.calendar.MonthlyLine;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrowthCurve;
import wiselarder.core.forage.GrowthIndex;
import wiselarder.core.forage.SwardRules;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.NormalYear;
import wiselarder.core.weather.WeatherGenerator;
import wiselarder.core.weather.WeatherYear;

/**
 * What is usual at a place, over forty simulated years of real wet and dry days: the mean is what a
 * keeper calls normal, not the year of a little rain every day. Worked out once for each stand and
 * soil and kept; it hangs on nothing but those, so that moving a plan by a year changes nothing.
 */
public final class UsualYears {
  /** Simulated years that make what is usual. */
  static final int YEARS = 40;

  /** Each is the second of two: in the first the soil comes to what the place makes of it. */
  private static final PlanYear SPAN = new PlanYear(LocalDate.of(2001, 1, 1), 24);

  private static final int SECOND_YEAR = 365;

  /** A stand at this share of its best growth covers the ground as in the reference use. */
  private static final double ACTIVE_AT = 0.25;

  /** So many times its rate a month may grow on the days that frost leaves of it. */
  private static final double CROWDED_AT_MOST = 2.5;

  private static final int MOST_KEPT = 2000;

  private final Map<Climate, List<WeatherYear>> weather = new ConcurrentHashMap<>();
  private final Map<Key, Usual> indices = new ConcurrentHashMap<>();

  private final Map<SeedKey, Emergence> emergences = new ConcurrentHashMap<>();

  private record Key(
      Climate climate, Forage forage, GrowthCurve curve, int capacityMm, boolean drains) {}

  /**
   * Growth of a normal year by day, kg DM/ha: the stated rates, month by month; of stands that
   * frost stops those of a month come on the days that the usual frosts leave of it.
   */
  public static double[] growth(Forage f, GrowthCurve curve, Climate climate, PlanYear year) {
    double[] growth = curve.daily(year);
    if (!f.frostStops(true, 0)) {
      return growth;
    }
    PlanYear one = new PlanYear(LocalDate.of(2001, 1, 1), 12);
    double[] all = curve.daily(one);
    boolean[] frosty = climate.frostSeason(one);
    double[] sum = new double[12];
    double[] open = new double[12];
    for (int d = 0; d < all.length; d++) {
      int month = one.date(d).getMonthValue() - 1;
      sum[month] += all[d];
      open[month] += frosty[d] ? 0 : all[d];
    }
    boolean[] frostOfYear = climate.frostSeason(year);
    for (int d = 0; d < growth.length; d++) {
      int month = year.date(d).getMonthValue() - 1;
      double crowded = open[month] <= 0 ? 1 : Math.min(CROWDED_AT_MOST, sum[month] / open[month]);
      growth[d] *= frostOfYear[d] ? 0 : crowded;
    }
    return growth;
  }

  /**
   * Mean growth index of a stand in its reference use, water counted, by month, January first.
   *
   * @param real of real days
   * @param realRain of the smooth line of the normals with the rain of those days
   * @param realWater mean water in the soil at the same time, mm; {@code realRainWater} likewise
   */
  public record Usual(
      double[] real, double[] realRain, double[] realWater, double[] realRainWater) {
    /** Water in the soil by day of a plan, mm: the mean of the years. */
    public double[] realWaterMm(PlanYear on) {
      return line(realWater, on);
    }

    public double[] realRainWaterMm(PlanYear on) {
      return line(realRainWater, on);
    }

    /** By day of a plan: a line through the means of the months. */
    public double[] real(PlanYear on) {
      return line(real, on);
    }

    public double[] realRain(PlanYear on) {
      return line(realRain, on);
    }

    private static double[] line(double[] months, PlanYear on) {
      return MonthlyLine.throughAmounts(months).daily(on.start(), on.days());
    }
  }

  /**
   * The mean index of the simulated years.
   *
   * @param capacityMm water the soil holds for the stand
   */
  public Usual index(
      Forage f, GrowthCurve curve, Climate climate, double capacityMm, boolean drains) {
    Key key = new Key(climate, f, curve, (int) Math.round(capacityMm), drains);
    Usual kept = indices.get(key);
    if (kept == null) {
      if (indices.size() > MOST_KEPT) {
        indices.clear();
      }
      kept = usual(key);
      indices.put(key, kept);
    }
    return kept;
  }

  /** The simulated years of a place, each of two calendar years. */
  public List<WeatherYear> weather(Climate climate) {
    return weather.computeIfAbsent(
        climate,
        c -> {
          WeatherGenerator generator = WeatherGenerator.of(c, SPAN);
          return LongStream.rangeClosed(1, YEARS).mapToObj(generator::year).toList();
        });
  }

  /**
   * What becomes of seed sown on a day of the year, over the simulated years.
   *
   * @param share of the years in which it comes up
   * @param medianDays from sowing to then, in the middle one of those years; -1 where it never does
   */
  public record Emergence(double share, int medianDays) {}

  /**
   * Coming up is an event of real days: it is judged over the simulated years, the seed layer
   * alone.
   *
   * @param dayOfYear of sowing, 1 to 366
   */
  public Emergence emergence(Forage f, Climate climate, int dayOfYear) {
    return emergences.computeIfAbsent(
        new SeedKey(climate, f.baseC(), f.sownToStay(), dayOfYear),
        key -> {
          int sown = dayOfYear - 1 + (dayOfYear <= FIRST_HALF ? SECOND_YEAR : 0);
          List<Integer> up =
              weather(climate).stream()
                  .map(w -> daysToEmerge(w, sown, f.baseC(), f.sownToStay()))
                  .filter(days -> days >= 0)
                  .sorted()
                  .toList();
          return new Emergence(
              (double) up.size() / YEARS, up.isEmpty() ? -1 : up.get(up.size() / 2));
        });
  }

  /** Days from sowing until enough heat has come to moist seed; -1 where it rots or is eaten. */
  private static int daysToEmerge(WeatherYear w, int sown, double baseC, boolean waits) {
    double heat = 0;
    int waited = 0;
    for (int d = sown; d < w.days() && waited < CropRules.FAILS_AFTER_DAYS; d++) {
      waited += !waits || w.tmeanC(d) > baseC ? 1 : 0;
      heat += w.seedbedMoist(d) ? Math.max(0, w.tmeanC(d) - baseC) : 0;
      if (heat >= CropRules.EMERGENCE_DEGREE_DAYS) {
        return d - sown;
      }
    }
    return -1;
  }

  private static final int FIRST_HALF = 182;

  /** {@code waits}: seed sown into the cold lies until it is warm enough for it. */
  private record SeedKey(Climate climate, double baseC, boolean waits, int dayOfYear) {}

  /** How much of the ground a stand covers in its reference use, by day: less while it sleeps. */
  public static double[] cover(double referenceLight, double[] growth) {
    double best = Arrays.stream(growth).max().orElse(0);
    double[] cover = new double[growth.length];
    for (int d = 0; d < cover.length; d++) {
      double active = best <= 0 ? 0 : Math.min(1, growth[d] / (ACTIVE_AT * best));
      cover[d] = referenceLight * active;
    }
    return cover;
  }

  /** Light caught in the reference use: half way between residual and entry mass. */
  public static double referenceLight(double residualKgPerHa, double entryKgPerHa) {
    return SwardRules.lightCaught(
        SwardRules.extinction(entryKgPerHa), (residualKgPerHa + entryKgPerHa) / 2);
  }

  private Usual usual(Key key) {
    Forage f = key.forage;
    double entry = f.grows() ? f.entryMassKgPerHa() : f.ceilingKgPerHa();
    double residual = f.grows() ? f.minResidualKgPerHa() : 0;
    double[] growth = growth(f, key.curve, key.climate, SPAN);
    double[] cover = cover(referenceLight(residual, entry), growth);
    double[] season = GrowthIndex.season(f, SPAN, key.climate);
    WeatherYear line = NormalYear.of(key.climate, SPAN);
    double[] lineIndex = GrowthIndex.daily(f, line, season);
    double[] real = new double[12];
    double[] realRain = new double[12];
    double[] realWater = new double[12];
    double[] realRainWater = new double[12];
    for (WeatherYear w : weather(key.climate)) {
      add(key, w, GrowthIndex.daily(f, w, season), cover, real, realWater);
      add(key, line.withRainOf(w), lineIndex, cover, realRain, realRainWater);
    }
    return new Usual(real, realRain, realWater, realRainWater);
  }

  /** Adds a year's share of the monthly means. */
  private static void add(
      Key key,
      WeatherYear w,
      double[] index,
      double[] cover,
      double[] months,
      double[] waterMonths) {
    Forage f = key.forage;
    double hold = Double.isNaN(f.droughtHold()) ? NO_HOLD : f.droughtHold();
    double water = 0.8 * key.capacityMm;
    for (int d = 0; d < w.days(); d++) {
      if (d >= SECOND_YEAR) {
        LocalDate date = SPAN.date(d);
        waterMonths[date.getMonthValue() - 1] += water / (YEARS * date.lengthOfMonth());
      }
      if (d >= SECOND_YEAR && !f.frostStops(w.frostSeason(d), w.tminC(d))) {
        LocalDate date = SPAN.date(d);
        double wet = SoilWater.growthShare(water, key.capacityMm, hold);
        months[date.getMonthValue() - 1] += index[d] * wet / (YEARS * date.lengthOfMonth());
      }
      water =
          SoilWater.after(
              water, key.capacityMm, w.reachesSoilMm(d), w.et0Mm(d), cover[d], key.drains);
    }
  }

  /** Drought hold where no table says. Assumption. */
  static final double NO_HOLD = 0.5;
}
