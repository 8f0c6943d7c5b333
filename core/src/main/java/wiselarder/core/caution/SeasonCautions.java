package wiselarder.core.caution;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.WeatherYear;

/**
 * Hazards that the weather of a season sets off: killing and light frosts, rain that breaks a
 * drought, lush spring growth, heat and cold. Two triggers on one field both hold; the longer one
 * wins. What a trigger is in figures is an assumption; docs/model.md lists them.
 */
final class SeasonCautions {
  private static final String KILLING_FROST = Cautions.FROST_ON_SORGHUM;
  private static final int DROUGHT_DAYS = 14;
  private static final double DROUGHT_MM = 6;
  private static final double BREAKS_MM = 12;
  private static final int BREAKS_WITHIN_DAYS = 3;
  private static final double GROWING_C = 10;

  /** Nitrogen put on within so many days is still there to be taken up, kg/ha. */
  private static final int RECENT_N_DAYS = 90;

  private static final double PLENTY_N_KG = 40;
  private static final double HEAVY_N_KG = 100;
  private static final int STRESS_WITHIN_DAYS = 30;
  private static final int DULL_DAYS = 3;
  private static final double DULL_SHARE = 0.75;
  private static final double LUSH_FROM_C = 5;
  private static final double LUSH_TO_C = 15;
  private static final double ERGOT_HOT_C = 29;
  private static final double HOT_C = 32;
  private static final double COLD_C = -15;
  private static final double FESCUE_FOOT_C = -5;
  private static final int SPELL_DAYS = 3;

  /** A smooth year has no hot and cold days of its own: its means come so much sooner, deg C. */
  private static final double EVEN_C = 3;

  private final FarmPlan stated;
  private final PlanYear year;
  private final int days;
  private final WeatherYear weather;
  private final WeatherYear normal;
  private final Climate climate;
  private final Found found;
  // the same for every stand of the farm
  private final List<Integer> breaks;
  private final List<Integer> firstFrosts;
  private final List<int[]> springs;
  private final double even;

  SeasonCautions(
      FarmPlan stated, Climate climate, WeatherYear weather, WeatherYear normal, Found found) {
    this.stated = stated;
    this.year = stated.plan().year();
    this.days = year.days();
    this.climate = climate;
    this.weather = weather;
    this.normal = normal;
    this.found = found;
    this.breaks = droughtBreaks();
    this.firstFrosts = firstFrosts();
    this.springs = springs();
    this.even = weather.kind() == WeatherYear.Days.SMOOTH ? EVEN_C : 0;
  }

  void add(List<Standing> all) {
    for (Standing s : all) {
      frosts(s);
      droughts(s);
      nitrogen(s);
      spring(s);
      fescue(s);
    }
    for (HayCut cut : stated.plan().cuts()) {
      hay(cut);
    }
    if (!stated.farm().groups().isEmpty()) {
      spell("hz_heat_stress", d -> weather.tmaxC(d) >= HOT_C - even);
      spell("hz_cold_stress", d -> weather.tminC(d) <= COLD_C + even);
      spell("hz_ice_water", d -> weather.tmaxC(d) <= 0);
    }
  }

  private boolean is(Standing s, String hazardId) {
    return s.is(found.hazard(hazardId)) && !s.harmed(found.hazard(hazardId)).isEmpty();
  }

  private int holdDays(String hazardId) {
    return found.hazard(hazardId).holdDays();
  }

  /**
   * Stock come off sorghums before the first frost: from the day by which one year in ten has had
   * it, or from the frost itself where that comes sooner, until the hold has run after it.
   */
  private void frosts(Standing s) {
    if (is(s, KILLING_FROST)) {
      if (!climate.firstFrost().occurs() && firstFrosts.isEmpty()) {
        found.on(KILLING_FROST, s, s.from(), s.to(), false);
      }
      for (int frost : expectedFrosts()) {
        int off = Math.min(frost, warned(frost));
        int on = frost + holdDays(KILLING_FROST) + 1;
        if (on > s.from()) {
          found.on(KILLING_FROST, s, off, on, true);
        }
      }
      lightFrosts(s);
    }
    for (int frost : firstFrosts) {
      if (is(s, "hz_frost_bloat_legume") && frost >= s.from() && frost < s.to()) {
        int on = frost + holdDays("hz_frost_bloat_legume") + 1;
        found.on("hz_frost_bloat_legume", s, frost, on, true);
      }
    }
  }

  /** The wait counts from the last frost night; a smooth year has none of its own. */
  private void lightFrosts(Standing s) {
    for (int d = Math.max(0, s.from()); d < Math.min(s.to(), days); d++) {
      boolean light = weather.tminC(d) <= 0 && !weather.frostSeason(d) && growing(d);
      if (light && weather.kind() != WeatherYear.Days.SMOOTH) {
        int last = d;
        while (last + 1 < days && weather.tminC(last + 1) <= 0) {
          last++;
        }
        int on = last + holdDays("hz_frost_light_sorghum") + 1;
        found.on("hz_frost_light_sorghum", s, d, on, true);
        d = last;
      }
    }
  }

  private boolean growing(int day) {
    return weather.tmeanC(day) >= GROWING_C / 2;
  }

  /** First days of killing frost seasons in this weather, also one that began before the plan. */
  private List<Integer> firstFrosts() {
    List<Integer> first = new ArrayList<>();
    for (int d = 0; d < days; d++) {
      boolean begins = weather.frostSeason(d) && (d == 0 || !weather.frostSeason(d - 1));
      if (begins) {
        first.add(d - Math.max(0, weather.daysIntoFrostSeason(d)));
      }
    }
    return first;
  }

  /** The same, and where none came in a year the day on which half of the years have had it. */
  private List<Integer> expectedFrosts() {
    List<Integer> all = new ArrayList<>(firstFrosts);
    int last = climate.firstFrost().occurs() ? year.endExclusive().getYear() : Integer.MIN_VALUE;
    for (int y = year.start().getYear() - 1; y <= last; y++) {
      int usual = year.day(LocalDate.ofYearDay(y, climate.firstFrost().doy50()));
      boolean came = all.stream().anyMatch(f -> Math.abs(f - usual) < HALF_YEAR);
      if (!came && usual < days) {
        all.add(usual);
      }
    }
    return all;
  }

  private static final int HALF_YEAR = 183;

  /** The day before a frost by which one year in ten has had it. */
  private int warned(int frost) {
    if (!climate.firstFrost().occurs()) {
      return frost;
    }
    int ahead = Math.floorMod(climate.firstFrost().doy50() - climate.firstFrost().doy10(), 365);
    LocalDate day = year.start().plusDays(frost);
    int doy = Math.min(365, day.getDayOfYear());
    int late = Math.floorMod(doy - climate.firstFrost().doy50() + HALF_YEAR, 365) - HALF_YEAR;
    return frost - Math.max(0, ahead + late);
  }

  /** Days on which rain ends a dry spell in the growing season; none in a year of smooth rain. */
  private List<Integer> droughtBreaks() {
    List<Integer> found = new ArrayList<>();
    if (weather.kind() == WeatherYear.Days.SMOOTH) {
      return found;
    }
    for (int d = DROUGHT_DAYS; d < days; d++) {
      boolean dry = rain(d - DROUGHT_DAYS, d) < DROUGHT_MM;
      boolean breaks = rain(d, Math.min(days, d + BREAKS_WITHIN_DAYS)) >= BREAKS_MM;
      if (dry && breaks && weather.rainMm(d) > 1 && weather.tmeanC(d) >= GROWING_C) {
        found.add(d);
      }
    }
    return found;
  }

  private double rain(int from, int to) {
    double sum = 0;
    for (int d = from; d < to; d++) {
      sum += weather.rainMm(d);
    }
    return sum;
  }

  private void droughts(Standing s) {
    for (int d : breaks) {
      if (d < s.from() || d >= s.to()) {
        continue;
      }
      if (is(s, "hz_drought_rain_cyanide")) {
        int on = d + holdDays("hz_drought_rain_cyanide") + 1;
        found.on("hz_drought_rain_cyanide", s, d, on, true);
      }
      boolean fed = s.kinds().contains("sorghum_group") || recentN(s, d) >= PLENTY_N_KG;
      if (is(s, "hz_drought_rain_nitrate") && fed) {
        int on = d + holdDays("hz_drought_rain_nitrate") + 1;
        found.on("hz_drought_rain_nitrate", s, d, on, true);
      }
    }
  }

  /** Nitrogen put on a field in the weeks before a day, kg/ha. */
  private double recentN(Standing s, int day) {
    double sum = 0;
    for (Dressing n : stated.plan().dressings()) {
      int on = year.day(n.date());
      if (n.fieldId().equals(s.field().id()) && on <= day && on > day - RECENT_N_DAYS) {
        sum += n.nitrogenKgPerHa();
      }
    }
    return sum;
  }

  private void nitrogen(Standing s) {
    if (weather.kind() == WeatherYear.Days.SMOOTH) {
      return;
    }
    for (Dressing n : stated.plan().dressings()) {
      int on = year.day(n.date());
      if (!n.fieldId().equals(s.field().id()) || on < s.from() || on >= s.to()) {
        continue;
      }
      int dull = firstDull(on);
      if (is(s, "hz_nitrate_cloudy") && n.nitrogenKgPerHa() >= PLENTY_N_KG && dull >= 0) {
        int to = dull + holdDays("hz_nitrate_cloudy") + 1;
        found.on("hz_nitrate_cloudy", s, dull, to, true);
      }
      int stress = firstStress(on);
      if (is(s, "hz_overfertilised") && n.nitrogenKgPerHa() >= HEAVY_N_KG && stress >= 0) {
        int to = stress + holdDays("hz_overfertilised") + 1;
        found.on("hz_overfertilised", s, stress, to, true);
      }
    }
  }

  /** First day after several dull cool ones within three weeks of a dressing; -1 for none. */
  private int firstDull(int from) {
    int dull = 0;
    for (int d = Math.max(0, from); d < Math.min(days, from + 21); d++) {
      boolean cool = weather.tmeanC(d) <= normal.tmeanC(d);
      boolean dark = weather.rainMm(d) >= 1 || weather.et0Mm(d) < DULL_SHARE * normal.et0Mm(d);
      dull = cool && dark ? dull + 1 : 0;
      if (dull >= DULL_DAYS) {
        return d;
      }
    }
    return -1;
  }

  /** First day of a killing frost or a drought within a month of a dressing; -1 for none. */
  private int firstStress(int from) {
    for (int d = Math.max(0, from); d < Math.min(days, from + STRESS_WITHIN_DAYS); d++) {
      boolean dry = d >= DROUGHT_DAYS && rain(d - DROUGHT_DAYS + 1, d + 1) < DROUGHT_MM;
      if (weather.tminC(d) < WeatherYear.KILLING_FROST_C || (dry && d - from >= DROUGHT_DAYS)) {
        return d;
      }
    }
    return -1;
  }

  /**
   * Fast cool-season growth while the weather warms through a range, in each spring of the plan.
   */
  private void spring(Standing s) {
    for (int[] lush : springs) {
      if (lush[1] <= s.from() || lush[0] >= s.to()) {
        continue;
      }
      int to = Math.min(lush[1], s.to());
      for (String id : LUSH) {
        if (is(s, id) && (!id.equals("hz_grass_tetany") || milk(s))) {
          found.on(id, s, lush[0], to, false);
        }
      }
    }
  }

  private static final List<String> LUSH =
      List.of("hz_bloat_legume", "hz_grass_tetany", "hz_bloat_small_grain", "hz_laminitis_spring");

  /** Older females in milk are the ones at risk. */
  private static boolean milk(Standing s) {
    return s.grazers().stream().anyMatch(g -> g.birthStart() != null);
  }

  private List<int[]> springs() {
    List<int[]> all = new ArrayList<>();
    int from = -1;
    for (int d = 0; d < days; d++) {
      double mean = weekMean(d);
      boolean warming =
          Math.floorMod(year.date(d).getDayOfYear() - climate.coldestDoy(), 365) < HALF_YEAR;
      boolean lush = warming && mean >= LUSH_FROM_C && mean < LUSH_TO_C;
      if (lush && from < 0) {
        from = d;
      }
      if (from >= 0 && (!warming || mean >= LUSH_TO_C)) {
        all.add(new int[] {from, d});
        from = -1;
      }
    }
    if (from >= 0) {
      all.add(new int[] {from, days});
    }
    return all;
  }

  private double weekMean(int day) {
    double sum = 0;
    int first = Math.max(0, day - 6);
    for (int d = first; d <= day; d++) {
      sum += weather.tmeanC(d);
    }
    return sum / (day - first + 1);
  }

  private void fescue(Standing s) {
    Set<String> kinds = s.kinds();
    if (!kinds.contains("tall_fescue_infected")) {
      return;
    }
    for (int[] hot : spells(d -> weather.tmaxC(d) >= ERGOT_HOT_C - even, SEASON_APART_DAYS)) {
      found.on("hz_endophyte_hot", s, hot[0], hot[1], false);
    }
    if (is(s, "hz_fescue_foot_cold")) {
      for (int[] cold : spells(d -> weather.tminC(d) <= FESCUE_FOOT_C + even, SEASON_APART_DAYS)) {
        found.on("hz_fescue_foot_cold", s, cold[0], cold[1], false);
      }
    }
  }

  /** Hay made in a hold keeps the nitrate that the hold is about: shut until a test is back. */
  private void hay(HayCut cut) {
    int on = year.day(cut.date());
    for (Caution c : List.copyOf(found.all())) {
      boolean nitrate = NITRATE.contains(c.hazard().id()) && cut.fieldId().equals(c.fieldId());
      if (nitrate && on >= c.fromDay() && on < c.toDay()) {
        found.note("hz_nitrate_stored", null, null, cut.lot().id(), true);
      }
    }
  }

  private static final Set<String> NITRATE =
      Set.of("hz_drought_rain_nitrate", "hz_nitrate_cloudy", "hz_overfertilised");

  private interface OnDay {
    boolean is(int day);
  }

  /** Told for all groups over the days from the first to the last spell of a season. */
  private void spell(String hazardId, OnDay on) {
    Hazard hazard = found.hazard(hazardId);
    for (int[] s : spells(on, SEASON_APART_DAYS)) {
      List<AnimalGroup> harmed =
          stated.farm().groups().stream().filter(g -> hazard.harms(g.kind())).toList();
      if (!harmed.isEmpty()) {
        found.within(hazard, null, null, s[0], s[1], false);
      }
    }
  }

  private static final int SEASON_APART_DAYS = 60;

  /** Spells of at least three such days running, those near each other as one; half-open. */
  private List<int[]> spells(OnDay on, int apart) {
    List<int[]> all = new ArrayList<>();
    int run = 0;
    for (int d = 0; d < days; d++) {
      run = on.is(d) ? run + 1 : 0;
      if (run < SPELL_DAYS) {
        continue;
      }
      int[] last = all.isEmpty() ? null : all.get(all.size() - 1);
      if (last != null && d - last[1] <= apart) {
        last[1] = d + 1;
      } else {
        all.add(new int[] {d - run + 1, d + 1});
      }
    }
    return all;
  }
}
