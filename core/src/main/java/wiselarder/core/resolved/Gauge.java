package wiselarder.core.resolved;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.Noticed;
import wiselarder.core.weather.WeatherYear;

/**
 * Rain as the farm's own gauge had it. A reading is of all days since the one before it, or where
 * that is longer ago than {@value #LONGEST_DAYS} days, of the day before it.
 *
 * @param spells in the order of time, none over another
 */
public record Gauge(List<Spell> spells) {
  /** What has stood in a gauge longer than this has dried away. Assumption. */
  static final int LONGEST_DAYS = 7;

  public Gauge {
    spells = List.copyOf(spells);
  }

  /**
   * Rain of some days.
   *
   * @param fromDay day number, may lie before the plan
   * @param toDay exclusive; it was read on this day
   */
  public record Spell(int fromDay, int toDay, double mm) {}

  /** All readings up to the plan's end; of several of a day, on different fields, the mean. */
  public static Gauge of(FarmRecords records, PlanYear year) {
    Map<Integer, Map<String, Double>> read = new TreeMap<>();
    records.each(
        Noticed.class,
        (r, n) -> {
          if (n.what() == Noticed.What.RAIN) {
            String where = n.fieldId() == null ? "" : n.fieldId();
            read.computeIfAbsent(year.day(r.on()), d -> new TreeMap<>()).put(where, n.amount());
          }
        });
    List<Spell> spells = new ArrayList<>();
    int before = Integer.MIN_VALUE / 2;
    for (Map.Entry<Integer, Map<String, Double>> e : read.entrySet()) {
      int on = e.getKey();
      double mm = e.getValue().values().stream().mapToDouble(a -> a).average().orElseThrow();
      spells.add(new Spell(on - before > LONGEST_DAYS ? on - 1 : before, on, mm));
      before = on;
    }
    spells.removeIf(s -> s.toDay <= 0 || s.fromDay >= year.days());
    return new Gauge(spells);
  }

  /**
   * A weather with this rain on the days that were measured, divided over the days of a reading as
   * the weather had divided its own; evenly where it had none.
   */
  WeatherYear over(WeatherYear weather) {
    if (spells.isEmpty()) {
      return weather;
    }
    double[] rain = new double[weather.days()];
    for (int d = 0; d < rain.length; d++) {
      rain[d] = weather.rainMm(d);
    }
    for (Spell s : spells) {
      int from = Math.max(0, s.fromDay);
      int to = Math.min(rain.length, s.toDay);
      // of a reading that began before the plan, its share
      double mm = s.mm * (to - from) / (s.toDay - s.fromDay);
      double had = 0;
      for (int d = from; d < to; d++) {
        had += rain[d];
      }
      for (int d = from; d < to; d++) {
        rain[d] = had > 0 ? rain[d] * mm / had : mm / (to - from);
      }
    }
    return weather.withRain(rain);
  }
}
