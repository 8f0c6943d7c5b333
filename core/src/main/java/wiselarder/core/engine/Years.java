package wiselarder.core.engine;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.land.Field;
import wiselarder.core.land.Outline;
import wiselarder.core.plan.Doubt;
import wiselarder.core.plan.Doubts;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.resolved.ResolvedPlan;

/** The years that were asked for last, by all that they follow from. */
final class Years {
  /** A year of sixty fields takes some 4 MB with its states. */
  private static final int MOST_KEPT = 16;

  /** Of years that were only tried out the last one is kept: it is what is saved next. */
  private static final int MOST_TRIED = 1;

  private static final int MOST_FARM_ONLY = 6;

  /** What a year follows from; every part is a value. */
  record Key(FarmPlan stated, FarmRecords records, Season season) {}

  /**
   * A year with what it was made of.
   *
   * @param normal the plan resolved in the normal year
   * @param inSeason the same in its season
   */
  record Kept(ResolvedPlan normal, ResolvedPlan inSeason, YearBalance balance) {}

  private final Map<Key, Kept> kept = most(MOST_KEPT);
  private final Map<Key, Kept> tried = most(MOST_TRIED);

  /** Of years that were reckoned for the farm as a whole; several levers are tried at once. */
  private final Map<Key, YearBalance> farmOnly = most(MOST_FARM_ONLY);

  private final Map<List<Drawn>, List<Doubt>> ofMaps = most(MOST_KEPT);

  /** What the doubts of a map follow from. */
  record Drawn(String id, double areaHa, Outline outline) {}

  private static <K, V> Map<K, V> most(int count) {
    return new LinkedHashMap<>(count * 2, 0.75f, true) {
      private static final long serialVersionUID = 1L;

      @Override
      protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
        return size() > count;
      }
    };
  }

  /** The year of a key, or null. */
  synchronized Kept get(Key key) {
    Kept there = kept.get(key);
    return there != null ? there : tried.get(key);
  }

  /**
   * The year of the same farm and days that was asked for last, such as that of the plan before it
   * was changed; null where there is none.
   */
  synchronized Kept like(Key key) {
    Kept last = null;
    for (Map.Entry<Key, Kept> e : kept.entrySet()) {
      last = isLike(e.getKey(), key) ? e.getValue() : last;
    }
    return last;
  }

  private static boolean isLike(Key one, Key other) {
    return one.season().equals(other.season())
        && one.stated().farm().name().equals(other.stated().farm().name())
        && one.stated().farm().climateId().equals(other.stated().farm().climateId())
        && one.stated().plan().year().equals(other.stated().plan().year())
        && one.stated().plan().scenarios().equals(other.stated().plan().scenarios())
        && one.records().equals(other.records());
  }

  synchronized void keep(Key key, Kept year) {
    kept.put(key, year);
  }

  synchronized void tried(Key key, Kept year) {
    tried.put(key, year);
  }

  /** What a key comes to for the farm as a whole, or null. */
  synchronized YearBalance farmOnly(Key key) {
    Kept whole = get(key);
    return whole != null ? whole.balance() : farmOnly.get(key);
  }

  synchronized void farmOnly(Key key, YearBalance year) {
    farmOnly.put(key, year);
  }

  /** What is doubtful of a map as it is drawn. */
  synchronized List<Doubt> ofMap(List<Field> fields) {
    List<Drawn> drawn =
        fields.stream().map(f -> new Drawn(f.id(), f.areaHa(), f.outline())).toList();
    return ofMaps.computeIfAbsent(drawn, d -> Doubts.ofMap(fields));
  }

  /** The years that were tried out last on a farm and in a season. */
  synchronized List<YearBalance> triedLast(FarmRecords records, Season season) {
    return last(tried, records, season).stream().map(Kept::balance).toList();
  }

  /** The same of those that were reckoned for the farm as a whole. */
  synchronized List<YearBalance> farmOnlyLast(FarmRecords records, Season season) {
    return last(farmOnly, records, season);
  }

  private static <V> List<V> last(Map<Key, V> of, FarmRecords records, Season season) {
    return of.entrySet().stream()
        .filter(e -> e.getKey().records().equals(records) && e.getKey().season().equals(season))
        .map(Map.Entry::getValue)
        .toList();
  }
}
