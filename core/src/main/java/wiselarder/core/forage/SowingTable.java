package wiselarder.core.forage;

import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import wiselarder.core.reference.CsvTable;

/**
 * When crops that are sown each time are sown in each climate, for what, and what comes of it.
 * Product defaults from general practice; see docs/model.md.
 */
public final class SowingTable {
  /** The year to which days of the year are counted: one of 365 days. */
  private static final int COMMON_YEAR = 2001;

  private final Map<String, List<Window>> windows;

  private SowingTable(Map<String, List<Window>> windows) {
    this.windows = windows;
  }

  /**
   * One purpose of a crop in a climate. Days of the year, 1 to 365; yields kg DM/ha in a poor, an
   * ordinary and a good season, each one in five or so.
   *
   * @param earliest first day on which it is worth sowing; {@code latest} the last
   * @param bestFrom first of its best days; {@code bestTo} the last
   * @param useFromDays days from sowing to first use, {@code useToDays} at the longest
   * @param failLow share of sowings that fail, {@code failHigh} on poor ground
   * @param failLate share that fails when sown two weeks after its best days
   * @param lostLate share of the yield that is lost then
   */
  public record Window(
      String climateId,
      String forageId,
      String purpose,
      int earliest,
      int bestFrom,
      int bestTo,
      int latest,
      int useFromDays,
      int useToDays,
      double yieldLow,
      double yieldLikely,
      double yieldHigh,
      double failLow,
      double failHigh,
      double failLate,
      double lostLate) {

    /** Share of sowings that fail, so many days after the best ones; below zero counts as none. */
    public double fails(double daysLate) {
      double onTime = (failLow + failHigh) / 2;
      double late = Math.max(0, failLate - onTime) * Math.max(0, daysLate) / LATE_DAYS;
      double pastAll = Math.max(0, daysLate - Math.floorMod(latest - bestTo, 365));
      return Math.min(MOST_FAIL, onTime + late + FAIL_PER_DAY_PAST_ALL * pastAll);
    }

    /** What is left of a crop's growth, of which half of what lateness costs is taken off. */
    public double lateShare(double daysLate) {
      double off = HALF * lostLate * Math.max(0, daysLate) / LATE_DAYS;
      return Math.max(LEAST_LEFT, 1 - off);
    }

    private static final double LATE_DAYS = 14;

    /** Each day after the last on which it is worth sowing. Assumption. */
    private static final double FAIL_PER_DAY_PAST_ALL = 0.012;

    private static final double MOST_FAIL = 0.98;

    /**
     * The shorter season costs about the other half in simulated years; what this half stands for,
     * fewer tillers and shallower roots, no simulation of leaf and water knows. Assumption.
     */
    private static final double HALF = 0.5;

    private static final double LEAST_LEFT = 0.4;

    /** True where first use is grazing of green feed. */
    public boolean grazed() {
      return purpose.endsWith("_feed") && !purpose.startsWith("standing");
    }

    /** The middle of its best days. */
    public int middle() {
      return Math.floorMod(bestFrom - 1 + Math.floorMod(bestTo - bestFrom, 365) / 2, 365) + 1;
    }

    /** Days after the last of its best days; below zero before it, by the nearer way round. */
    public int daysLate(int dayOfYear) {
      return around(dayOfYear - bestTo);
    }

    /** True from the earliest to the latest day on which it is worth sowing. */
    public boolean open(int dayOfYear) {
      return Math.floorMod(dayOfYear - earliest, 365) <= Math.floorMod(latest - earliest, 365);
    }

    private int from(int dayOfYear) {
      return Math.abs(around(dayOfYear - middle()));
    }

    private static int around(int days) {
      return Math.floorMod(days + 182, 365) - 182;
    }
  }

  public static SowingTable load() {
    return new SowingTable(
        CsvTable.load("sowing_windows.csv", SowingTable::window).stream()
            .collect(Collectors.groupingBy(w -> key(w.climateId(), w.forageId()))));
  }

  private static Window window(CsvTable.Row r) {
    Function<String, Integer> day =
        column -> MonthDay.parse("--" + r.text(column)).atYear(COMMON_YEAR).getDayOfYear();
    return new Window(
        r.text("climate_id"),
        r.text("forage_id"),
        r.text("purpose"),
        day.apply("sow_earliest"),
        day.apply("sow_best_from"),
        day.apply("sow_best_to"),
        day.apply("sow_latest"),
        (int) r.number("days_to_first_use_low", 10, 400),
        (int) r.number("days_to_first_use_high", 10, 400),
        r.number("yield_low_kg_ha", 0, 40000),
        r.number("yield_likely_kg_ha", 0, 40000),
        r.number("yield_high_kg_ha", 0, 40000),
        r.number("establish_fail_low", 0, 1),
        r.number("establish_fail_high", 0, 1),
        r.number("fail_if_two_weeks_late", 0, 1),
        r.number("yield_lost_per_2_weeks_late", 0, 1));
  }

  private static String key(String climateId, String forageId) {
    return climateId + "/" + forageId;
  }

  /**
   * What a crop is sown for in a climate, its main purpose first; empty where the table has none.
   * One of the keeper's own that is made of a single forage goes by that one.
   */
  public List<Window> of(String climateId, Forage f) {
    String id = f.madeOf().size() == 1 ? f.madeOf().iterator().next() : f.id();
    return windows.getOrDefault(key(climateId, id), List.of());
  }

  /** The window by which a crop is set to a place: its first one for green feed, else its first. */
  public Window main(String climateId, Forage f) {
    List<Window> all = of(climateId, f);
    return all.stream()
        .filter(Window::grazed)
        .findFirst()
        .orElse(all.isEmpty() ? null : all.get(0));
  }

  /** The window whose best days lie nearest to a day, or null. */
  public Window nearest(String climateId, Forage f, int dayOfYear) {
    return of(climateId, f).stream()
        .min(java.util.Comparator.comparingInt(w -> w.from(dayOfYear)))
        .orElse(null);
  }
}
