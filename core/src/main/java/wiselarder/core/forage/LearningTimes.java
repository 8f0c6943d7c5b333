package wiselarder.core.forage;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.reference.CsvTable;

/**
 * How long stock take to get used to a feed: the largest share of the diet by days since they first
 * had it. Product defaults, each step within a quarter; longer for pregnant, thin or young stock.
 */
public final class LearningTimes {
  /** Off a feed for longer than this, stock begin again. */
  public static final int FORGOTTEN_AFTER_DAYS = 7;

  private final Map<String, double[]> byFeed = new LinkedHashMap<>();

  private LearningTimes() {}

  public static LearningTimes load() {
    Map<String, List<Double>> shares = new LinkedHashMap<>();
    CsvTable.load(
        "transition.csv",
        r -> {
          List<Double> days = shares.computeIfAbsent(r.text("feed_group"), k -> new ArrayList<>());
          int from = (int) r.number("day_from", 1, 999);
          int to = Math.min((int) r.number("day_to", from, 999), from + 60);
          if (from != days.size() + 1) {
            throw new IllegalStateException(
                "transition.csv: days of a feed must follow each other");
          }
          for (int d = from; d <= to; d++) {
            days.add(r.number("max_share_of_diet", 0.01, 1));
          }
          return days;
        });
    LearningTimes times = new LearningTimes();
    shares.forEach(
        (feed, days) ->
            times.byFeed.put(feed, days.stream().mapToDouble(Double::doubleValue).toArray()));
    return times;
  }

  /** The feeds that must be learned, in the table's order. */
  public List<String> feeds() {
    return List.copyOf(byFeed.keySet());
  }

  /**
   * Largest share of the diet.
   *
   * @param feed one of {@link #feeds}
   * @param day days since the first of it, 0 on that day
   */
  public double mostShare(String feed, int day) {
    double[] days = byFeed.get(feed);
    return days[Math.max(0, Math.min(day, days.length - 1))];
  }
}
