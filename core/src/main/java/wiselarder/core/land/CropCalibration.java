package wiselarder.core.land;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.CropUses;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrowthIndex;
import wiselarder.core.forage.SowingTable;
import wiselarder.core.forage.SwardRules;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.NormalYear;
import wiselarder.core.weather.WeatherYear;

/**
 * Sets crops that are sown each time to a place: when they are usually sown there, and the site
 * factor that makes a crop sown on time, in a normal year and in the reference use, yield what is
 * stated. Worked out once for each climate, forage and soil and kept; a pure function of those.
 */
public final class CropCalibration {
  /** Yields at which the answer of yield to site factor is kept. */
  private static final int STEPS = 24;

  private static final double MOST_FACTOR = 2.4;

  /** A crop does no better than this of its best growth where nobody stated a yield. */
  private static final double USUAL_FACTOR = 1.1;

  private static final double COOL_C = 20;
  private static final double COLD_C = 4;

  /** Keepers change figures of their own forages: only the latest answers are kept. */
  private static final int MOST_KEPT = 2000;

  private final SowingTable table;
  private final CropUses uses;
  private final UsualYears usual;

  public CropCalibration(SowingTable table, CropUses uses, UsualYears usual) {
    this.table = table;
    this.uses = uses;
    this.usual = usual;
  }

  private final Map<Key, double[]> yields = latest();
  private final Map<Key, Integer> sowingDays = latest();

  private record Key(String climateId, Forage forage, int capacityMm) {}

  private static <V> Map<Key, V> latest() {
    return Collections.synchronizedMap(
        new LinkedHashMap<>(64, 0.75f, true) {
          private static final long serialVersionUID = 1L;

          @Override
          protected boolean removeEldestEntry(Map.Entry<Key, V> eldest) {
            return size() > MOST_KEPT;
          }
        });
  }

  /**
   * Usual day of the year for sowing: the middle of the table's best days; where it has none, by
   * warmth. Spring and summer crops: when the mean reaches 2 C above the lowest soil temperature
   * for sowing. Crops sown in summer or autumn: when the mean falls below 20 C, but early enough
   * for the heat they want before winter. Assumption.
   */
  public int usualSowingDoy(Forage f, Climate climate) {
    Key key = new Key(climate.id(), f, 0);
    Integer kept = sowingDays.get(key);
    if (kept == null) {
      kept = findSowingDoy(f, climate);
      sowingDays.put(key, kept);
    }
    return kept;
  }

  private int findSowingDoy(Forage f, Climate climate) {
    SowingTable.Window main = table.main(climate.id(), f);
    return main != null ? main.middle() : sowingDoyByWarmth(f, climate);
  }

  /** The first day from spring on after which seed mostly comes up: where it is dry then, later. */
  private int withRain(Forage f, Climate climate, int spring) {
    int best = spring % 365 + 1;
    double share = 0;
    for (int day = spring; day <= spring + MOST_DAYS_FOR_RAIN && share < MOSTLY; day += WEEK) {
      double here = usual.emergence(f, climate, day % 365 + 1).share();
      if (here > share) {
        share = here;
        best = day % 365 + 1;
      }
    }
    return best;
  }

  /** So long a new stand may wait for rain; and mostly comes up. Assumptions. */
  private static final int MOST_DAYS_FOR_RAIN = 105;

  private static final double MOSTLY = 0.9;
  private static final int WEEK = 7;

  private int sowingDoyByWarmth(Forage f, Climate climate) {
    WeatherYear normal = NormalYear.of(climate, new PlanYear(LocalDate.of(2001, 1, 1), 24));
    int coldest = climate.coldestDoy() - 1;
    double least = Double.isNaN(f.sowAboveC()) ? f.baseC() + 2 : f.sowAboveC() + 2;
    int spring = coldest;
    while (spring < coldest + 180 && normal.tmeanC(spring) < least) {
      spring++;
    }
    boolean summer = f.life() == Forage.Life.SUMMER_ANNUAL && !f.group().equals("cover_mix");
    if (summer || (f.sownToStay() && f.warmSeason())) {
      return f.sownToStay() ? withRain(f, climate, spring) : spring % 365 + 1;
    }
    int day = coldest + 365;
    double heat = 0;
    while (day > spring && heat < CropRules.heatBeforeWinter(f)) {
      day--;
      heat += Math.max(0, normal.tmeanC(day) - COLD_C);
    }
    int cools = coldest + 182;
    while (cools < coldest + 365 && normal.tmeanC(cools) >= COOL_C) {
      cools++;
    }
    boolean warmSummer = normal.tmeanC(coldest + 182) >= COOL_C;
    return (warmSummer ? Math.min(day, cools) : day) % 365 + 1;
  }

  /**
   * A crop set to a place.
   *
   * @param factor by which its best growth is multiplied
   * @param emergedKgPerHa standing on the day it comes up at full seed rate: as much as brings it
   *     to first use in the days that the table gives for the place
   * @param readyKgPerHa mass at which it is ready for its first use
   */
  public record Site(double factor, double emergedKgPerHa, double readyKgPerHa) {}

  /**
   * Sets a crop to a place and to the season it is sown for: so that over simulated years, sown in
   * the best days of that season and taken to its residual each time it is ready, it yields what is
   * stated or what the table calls likely, and is first ready in the middle of the table's days.
   * What is sown for hay or to stand is left alone. Crops without a row there yield the forage's
   * ordinary yield in a normal year, as far as the climate allows.
   *
   * @param capacityMm water the soil holds for the crop
   * @param yieldKgPerHa grown when sown on time; null for the table's
   * @param sowDoy day of the year on which it is sown, 1 to 366
   */
  public Site site(Forage f, Climate climate, double capacityMm, Double yieldKgPerHa, int sowDoy) {
    SowingTable.Window main = table.nearest(climate.id(), f, sowDoy);
    if (main == null) {
      return new Site(
          siteFactor(f, climate, capacityMm, yieldKgPerHa),
          CropRules.EMERGED_KG_PER_HA,
          f.entryMassKgPerHa());
    }
    double target = yieldKgPerHa == null ? main.yieldLikely() : yieldKgPerHa;
    SiteKey key = new SiteKey(main, f, (int) Math.round(capacityMm), target);
    Site kept = sites.get(key);
    if (kept == null) {
      kept = new Fit(f, climate, capacityMm, main, target).site();
      sites.put(key, kept);
    }
    return kept;
  }

  private record SiteKey(
      SowingTable.Window window, Forage forage, int capacityMm, double yieldKgPerHa) {}

  private final Map<SiteKey, Site> sites =
      Collections.synchronizedMap(
          new LinkedHashMap<>(64, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<SiteKey, Site> eldest) {
              return size() > MOST_KEPT;
            }
          });

  /**
   * What a crop sown on a day makes in simulated years.
   *
   * @param kgPerHa by year, the poorest first; of those in which it comes up
   * @param comesUpShare of the years
   */
  public record Spread(double[] kgPerHa, double comesUpShare) {
    /** The yield that such a share of the years falls short of; 0 where it never comes up. */
    public double at(double share) {
      int last = kgPerHa.length - 1;
      return last < 0 ? 0 : kgPerHa[(int) Math.round(share * last)];
    }
  }

  /**
   * Yields over the simulated years of a place, in the reference use, less what lateness takes; one
   * for each of some days of sowing.
   *
   * @param window what it is sown for, of the table
   * @param capacityMm water the soil holds for the crop
   * @param sowDoys days of the year on which it is sown, 1 to 365
   */
  public List<Spread> spread(
      Forage f, Climate climate, SowingTable.Window window, double capacityMm, int... sowDoys) {
    Site site = site(f, climate, capacityMm, null, window.middle());
    Fit fit = new Fit(f, climate, capacityMm, window, window.yieldLikely());
    return Arrays.stream(sowDoys).mapToObj(doy -> spread(fit, site, window, doy)).toList();
  }

  private static Spread spread(Fit fit, Site site, SowingTable.Window window, int sowDoy) {
    double late = window.lateShare(window.daysLate(sowDoy));
    List<Double> yields = new ArrayList<>();
    for (int y = 0; y < fit.years.size(); y++) {
      Fit.Course one =
          fit
          .new Course(
              fit.years.get(y), fit.indices.get(y), site.factor() * late, site.emergedKgPerHa());
      one.run(sowDoy - 1);
      if (one.emerged) {
        yields.add(one.grownKg);
      }
    }
    double[] sorted = yields.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    return new Spread(sorted, (double) sorted.length / fit.years.size());
  }

  /** Days after its best time here at which a crop is sown; below zero before it. */
  public double daysLate(Forage f, Climate climate, LocalDate sowOn) {
    SowingTable.Window window = table.nearest(climate.id(), f, sowOn.getDayOfYear());
    return window != null
        ? window.daysLate(sowOn.getDayOfYear())
        : Math.floorMod(sowOn.getDayOfYear() - usualSowingDoy(f, climate) + 182, 365) - 182;
  }

  /** When crops are sown in each climate. */
  public SowingTable table() {
    return table;
  }

  /** What comes back of crops. */
  public CropUses uses() {
    return uses;
  }

  /** One crop being set to a place on a few simulated years. */
  private final class Fit {
    private static final int YEARS = 12;
    private static final int ROUNDS = 5;
    private static final int STEPS_EACH = 5;
    private static final int HALVINGS = 7;
    private static final double LEAST_KG = 25;
    private static final double MOST_KG = 900;

    /** Where crops stand thin one is ready once so much of its yield stands. Assumption. */
    private static final double READY_SHARE = 0.55;

    private final Forage f;
    private final Climate climate;
    private final double capacityMm;
    private final double target;
    private final double wantedDays;
    private final double readyKg;
    private final boolean grazed;
    private final int sown;
    private final List<WeatherYear> years;
    private final List<double[]> indices = new ArrayList<>();
    private final CropUses.Regrowth regrowth;

    Fit(Forage f, Climate climate, double capacityMm, SowingTable.Window main, double target) {
      this.f = f;
      this.climate = climate;
      this.capacityMm = capacityMm;
      this.regrowth = uses.of(f);
      this.target = target;
      this.wantedDays =
          main.grazed()
              ? (main.useFromDays() + main.useToDays()) / 2.0
              : (f.daysToFirstUseLow() + f.daysToFirstUseHigh()) / 2;
      double entry = f.entryMassKgPerHa();
      double once = Math.max(f.minResidualKgPerHa() * 1.2, READY_SHARE * target);
      this.readyKg = Math.min(entry, once);
      this.sown = main.middle() - 1;
      this.grazed = main.grazed();
      this.years = usual.weather(climate).subList(0, YEARS);
      for (WeatherYear w : years) {
        indices.add(GrowthIndex.daily(f, w, climate));
      }
    }

    Site site() {
      double factor = 1;
      double emerged = CropRules.EMERGED_KG_PER_HA;
      for (int round = 0; round < ROUNDS; round++) {
        double low = LEAST_KG;
        double high = MOST_KG;
        for (int i = 0; i < HALVINGS; i++) {
          emerged = Math.sqrt(low * high);
          if (run(factor, emerged).medianDays > wantedDays) {
            low = emerged;
          } else {
            high = emerged;
          }
        }
        for (int i = 0; i < STEPS_EACH; i++) {
          double mean = run(factor, emerged).meanKg;
          // by the root: growth from a small leaf answers more than in proportion
          double step = mean <= 0 ? 1 : Math.max(0.5, Math.min(2, Math.sqrt(target / mean)));
          factor = Math.min(MOST_FACTOR, factor * step);
        }
      }
      return new Site(factor, emerged, readyKg);
    }

    private Outcome run(double factor, double emergedKg) {
      List<Integer> days = new ArrayList<>();
      double sum = 0;
      int up = 0;
      for (int y = 0; y < years.size(); y++) {
        Course one = new Course(years.get(y), indices.get(y), factor, emergedKg);
        one.run(sown);
        up += one.emerged ? 1 : 0;
        sum += one.grownKg;
        days.add(one.readyAfter);
      }
      Collections.sort(days);
      return new Outcome(up == 0 ? 0 : sum / up, days.get(days.size() / 2));
    }

    private record Outcome(double meanKg, int medianDays) {}

    /** One year of it, in the reference use. */
    private final class Course {
      private final WeatherYear w;
      private final double[] index;
      private final double factor;
      private final double emergedKg;
      private boolean emerged;
      private double grownKg;
      private int readyAfter = Integer.MAX_VALUE;

      Course(WeatherYear w, double[] index, double factor, double emergedKg) {
        this.w = w;
        this.index = index;
        this.factor = factor;
        this.emergedKg = emergedKg;
      }

      /**
       * @param sown day of the simulated years on which it is sown
       */
      void run(int sown) {
        CropRules.Course course = CropRules.Course.of(f);
        double k = SwardRules.extinction(f.entryMassKgPerHa());
        double reference =
            SwardRules.lightCaught(k, (f.minResidualKgPerHa() + f.entryMassKgPerHa()) / 2);
        double water = capacityMm * 0.8;
        double heat = 0;
        double stage = 0;
        double green = 0;
        int uses = 0;
        boolean counted = !course.sinceWinter();
        for (int d = sown; d < Math.min(w.days(), sown + 395); d++) {
          double above = Math.max(0, w.tmeanC(d) - f.baseC());
          if (!emerged) {
            heat += w.seedbedMoist(d) ? above : 0;
            emerged = heat >= CropRules.EMERGENCE_DEGREE_DAYS;
            green = emerged ? emergedKg : 0;
            grownKg += green;
            if (!emerged && d - sown >= CropRules.FAILS_AFTER_DAYS) {
              return;
            }
          } else {
            counted |= w.year().date(d).getDayOfYear() == climate.coldestDoy();
            stage += counted ? above : 0;
            double tooCold = Math.max(0, f.winterHardyC() - w.tminC(d));
            green *= 1 - Math.min(1, tooCold * CropRules.KILLED_PER_DEGREE);
            if (ends(f, course, stage, w, d) || green < CropRules.LEAST_ALIVE_KG_PER_HA) {
              return;
            }
            double wet = SoilWater.growthShare(water, capacityMm, f.droughtHold());
            double light = SwardRules.lightCaught(k, green) / reference;
            double crowded =
                SwardRules.crowdingShare(green, f.entryMassKgPerHa(), f.ceilingKgPerHa());
            double most = factor * f.peakKgPerHaDay() * index[d] * course.growthShare(stage);
            green += most * wet * light * crowded;
            grownKg += most * wet * light * crowded;
            if (green >= readyKg) {
              readyAfter = Math.min(readyAfter, d - sown);
              if (grazed && mayBite(f, course, stage)) {
                green = f.minResidualKgPerHa();
                uses++;
                stage =
                    course.ratoons() && uses < regrowth.mostUses()
                        ? course.begunAnew(stage, regrowth, f.baseC())
                        : stage;
              }
            }
          }
          double cover = SwardRules.lightCaught(k, green);
          water = SoilWater.after(water, capacityMm, w.reachesSoilMm(d), w.et0Mm(d), cover, true);
        }
      }
    }
  }

  /**
   * Site factor for a yield stated, or for the forage's ordinary one as far as the climate allows,
   * where the table of sowings has no row.
   *
   * @param capacityMm water the soil holds for the crop
   * @param yieldKgPerHa grown in a normal year when sown on time; null for the table's
   */
  public double siteFactor(Forage f, Climate climate, double capacityMm, Double yieldKgPerHa) {
    Key key = new Key(climate.id(), f, (int) Math.round(capacityMm));
    double[] byStep = yields.get(key);
    if (byStep == null) {
      byStep = yieldsByFactor(f, climate, capacityMm);
      yields.put(key, byStep);
    }
    if (yieldKgPerHa == null) {
      return Math.min(USUAL_FACTOR, factorFor(byStep, f.annualTypicalKgPerHa()));
    }
    return factorFor(byStep, yieldKgPerHa);
  }

  private static double factorFor(double[] byStep, double yield) {
    for (int i = 1; i <= STEPS; i++) {
      if (byStep[i] >= yield) {
        double within = (yield - byStep[i - 1]) / (byStep[i] - byStep[i - 1]);
        return (i - 1 + within) * MOST_FACTOR / STEPS;
      }
    }
    return MOST_FACTOR;
  }

  private double[] yieldsByFactor(Forage f, Climate climate, double capacityMm) {
    int doy = usualSowingDoy(f, climate);
    PlanYear year = new PlanYear(LocalDate.ofYearDay(2001, doy), 13);
    WeatherYear normal = NormalYear.of(climate, year);
    double[] index = GrowthIndex.daily(f, normal, climate);
    double[] yields = new double[STEPS + 1];
    for (int i = 1; i <= STEPS; i++) {
      yields[i] =
          Math.max(
              yields[i - 1] + 1e-6,
              grown(f, climate, normal, index, capacityMm, i * MOST_FACTOR / STEPS));
    }
    return yields;
  }

  /** Frost or ripeness ends the crop on a day. */
  private static boolean ends(
      Forage f, CropRules.Course course, double stage, WeatherYear w, int d) {
    boolean killed = w.frostSeason(d) && f.frostResponse() == Forage.FrostResponse.KILLED;
    return killed || (course.diesRipe() && course.ripe(stage));
  }

  private static boolean mayBite(Forage f, CropRules.Course course, double stage) {
    return f.regrows() && !(CropRules.spentWhenJointed(f) && course.jointed(stage));
  }

  /** Growth of one crop in the reference use: taken to its residual each time it reaches entry. */
  private static double grown(
      Forage f, Climate climate, WeatherYear w, double[] index, double capacityMm, double factor) {
    CropRules.Course course = CropRules.Course.of(f);
    double entry = f.entryMassKgPerHa();
    double k = SwardRules.extinction(entry);
    double reference = SwardRules.lightCaught(k, (f.minResidualKgPerHa() + entry) / 2);
    double water = capacityMm * 0.8;
    double heat = 0;
    double stage = 0;
    double green = 0;
    double sum = 0;
    boolean counted = !course.sinceWinter();
    for (int d = 0; d < w.days(); d++) {
      double above = Math.max(0, w.tmeanC(d) - f.baseC());
      if (green <= 0) {
        heat += above;
        green = heat >= CropRules.EMERGENCE_DEGREE_DAYS ? CropRules.emergedKgPerHa(1) : 0;
      } else {
        counted |= w.year().date(d).getDayOfYear() == climate.coldestDoy();
        stage += counted ? above : 0;
        if (ends(f, course, stage, w, d) || w.tminC(d) < f.winterHardyC()) {
          break;
        }
        double wet = SoilWater.growthShare(water, capacityMm, f.droughtHold());
        double light = SwardRules.lightCaught(k, green);
        double crowded = SwardRules.crowdingShare(green, entry, f.ceilingKgPerHa());
        double most = factor * f.peakKgPerHaDay() * index[d] * course.growthShare(stage);
        double grown = most * wet * light / reference * crowded;
        green += grown;
        sum += grown;
        if (green >= entry && mayBite(f, course, stage)) {
          green = Math.min(green, f.minResidualKgPerHa());
        }
      }
      double cover = SwardRules.lightCaught(k, green);
      water = SoilWater.after(water, capacityMm, w.reachesSoilMm(d), w.et0Mm(d), cover, true);
    }
    return sum;
  }
}
