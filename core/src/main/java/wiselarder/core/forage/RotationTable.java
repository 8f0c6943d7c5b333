package wiselarder.core.forage;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.reference.CsvTable;

/**
 * How long stock stay on a piece of a rotation, how soon they may be back, and how much of what
 * they take down they eat by the number of pieces. Product defaults from general practice; see
 * docs/model.md.
 */
public final class RotationTable {
  /** How fast a stand grows for its kind. */
  public enum Speed {
    FAST,
    MEDIUM,
    SLOW,
    DORMANT;

    /** Shares of the year's best growth from which a stand grows so fast. Assumptions. */
    private static final double FAST_FROM = 0.6;

    private static final double MEDIUM_FROM = 0.3;

    /** How fast a stand grows, by its growth as a share of the best of its year. */
    public static Speed at(double shareOfPeak) {
      if (shareOfPeak >= FAST_FROM) {
        return FAST;
      }
      if (shareOfPeak >= MEDIUM_FROM) {
        return MEDIUM;
      }
      return shareOfPeak >= SwardRules.DORMANT_SHARE ? SLOW : DORMANT;
    }
  }

  /**
   * One row.
   *
   * @param stayDays longest stay on one piece
   * @param returnDays never back sooner; 0 where nothing comes back
   * @param restDays usual rest; 0 where nothing comes back
   * @param shares of what is taken down that is eaten, by how many pieces: 1, 2 to 4, 5 to 8, 9 to
   *     16, more
   */
  private record Row(
      List<String> forageIds,
      Speed speed,
      int stayDays,
      int returnDays,
      double restDays,
      double[] shares) {}

  /** What one kind of stand asks of a rotation. */
  public static final class Habit {
    /** Where a stand is in no row: a week, and back whenever it is ready. Assumption. */
    static final Habit UNKNOWN = new Habit(Map.of());

    private static final int UNKNOWN_STAY_DAYS = 7;
    private static final double UNKNOWN_REST_DAYS = 30;

    private final Map<Speed, Row> rows;

    private Habit(Map<Speed, Row> rows) {
      this.rows = rows;
    }

    /** Longest stay on one piece, days. */
    public int stayDays(Speed speed) {
      return rows.containsKey(speed) ? rows.get(speed).stayDays() : UNKNOWN_STAY_DAYS;
    }

    /** Fewest days until stock are back on a piece; 0 where that does not matter. */
    public int returnDays(Speed speed) {
      return rows.containsKey(speed) ? rows.get(speed).returnDays() : 0;
    }

    /** Usual rest, days. */
    public double restDays(Speed speed) {
      double rest = rows.containsKey(speed) ? rows.get(speed).restDays() : 0;
      return rest > 0 ? rest : UNKNOWN_REST_DAYS;
    }

    /**
     * How much better a number of pieces is used than five to eight of them, as a factor. Between
     * the middles of the table's classes a straight line, so that one piece more is never a jump.
     */
    public double useFactor(double pieces) {
      Row row = rows.get(Speed.MEDIUM) == null ? rows.get(Speed.DORMANT) : rows.get(Speed.MEDIUM);
      return row == null ? 1 : at(row.shares(), pieces) / row.shares()[ANCHOR];
    }

    private static double at(double[] shares, double pieces) {
      int i = 1;
      while (i < MIDDLES.length - 1 && pieces > MIDDLES[i]) {
        i++;
      }
      double part = (pieces - MIDDLES[i - 1]) / (MIDDLES[i] - MIDDLES[i - 1]);
      return shares[i - 1] + Math.max(0, Math.min(1, part)) * (shares[i] - shares[i - 1]);
    }

    /** Middles of the classes by number of pieces; the third is the forage's own rotation. */
    private static final double[] MIDDLES = {1, 3, 6.5, 12.5, 20};

    private static final int ANCHOR = 2;
  }

  private final Map<String, Habit> habits;

  private RotationTable(Map<String, Habit> habits) {
    this.habits = habits;
  }

  /** Loads and checks the table. */
  public static RotationTable load() {
    Map<String, Map<Speed, Row>> rows = new HashMap<>();
    for (Row row : CsvTable.load("rotation_defaults.csv", RotationTable::row)) {
      for (String id : row.forageIds()) {
        rows.computeIfAbsent(id, i -> new EnumMap<>(Speed.class)).put(row.speed(), row);
      }
    }
    Map<String, Habit> habits = new HashMap<>();
    rows.forEach((id, bySpeed) -> habits.put(id, new Habit(bySpeed)));
    return new RotationTable(Map.copyOf(habits));
  }

  private static Row row(CsvTable.Row r) {
    double low = r.numberOrNaN("rest_days_low", 1, 400);
    double high = r.numberOrNaN("rest_days_high", 1, 400);
    double back = r.numberOrNaN("min_return_days", 1, 400);
    return new Row(
        List.of(r.text("forage_ids").split("\\|")),
        Speed.valueOf(r.text("growth_speed").toUpperCase(java.util.Locale.ROOT)),
        (int) r.number("stay_days_high", 1, 100),
        Double.isNaN(back) ? 0 : (int) back,
        Double.isNaN(low) ? 0 : (low + high) / 2,
        new double[] {
          r.number("util_1_likely", 0.05, 0.95),
          r.number("util_2_4_likely", 0.05, 0.95),
          r.number("util_5_8_likely", 0.05, 0.95),
          r.number("util_9_16_likely", 0.05, 0.95),
          r.number("util_over_16_likely", 0.05, 0.95)
        });
  }

  /** How a stand is moved over; one of the keeper's own goes by the first of its parts by name. */
  public Habit of(Forage f) {
    return f.madeOf().stream()
        .sorted()
        .filter(habits::containsKey)
        .map(habits::get)
        .findFirst()
        .orElse(Habit.UNKNOWN);
  }
}
