package wiselarder.core.resolved;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.land.CoverMeasure;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.records.Clipped;
import wiselarder.core.records.CoverSeen;

/**
 * Covers that were measured, by the day on which they were: of several of a field on one day the
 * one written last counts. What is about a field or forage that the plan does not know is left out.
 */
public final class SeenCovers {
  private static final SeenCovers NONE = new SeenCovers(Map.of());
  private static final SeenCover[] NOTHING = {};

  /**
   * One of them.
   *
   * @param field place of its field in the plan
   * @param deadShare share of it that is dead, NaN where nobody looked
   * @param rootsHold whether roots hold a pull, null where nobody tried
   */
  public record SeenCover(int field, CoverMeasure cover, double deadShare, Boolean rootsHold) {}

  private final Map<Integer, SeenCover[]> byDay;

  private SeenCovers(Map<Integer, SeenCover[]> byDay) {
    this.byDay = byDay;
  }

  static SeenCovers of(ResolvedPlan plan, Catalogue catalogue, Map<String, Integer> fieldIndex) {
    Map<Integer, Map<Integer, SeenCover>> found = new HashMap<>();
    HeightTable heights = Clipped.heights(plan.records, catalogue.heights(), catalogue.forages());
    plan.records.each(
        CoverSeen.class,
        (r, f) -> {
          Integer field = fieldIndex.get(f.fieldId());
          Forage forage = catalogue.forages().get(f.forageId());
          int day = plan.year.day(r.on());
          if (field != null && forage != null && day >= 0 && day < plan.days) {
            double dead = f.deadShare() == null ? Double.NaN : f.deadShare();
            CoverMeasure cover = f.cover(heights, forage, catalogue.signs());
            found
                .computeIfAbsent(day, d -> new HashMap<>())
                .put(field, new SeenCover(field, cover, dead, f.rootsHold(catalogue.signs())));
          }
        });
    if (found.isEmpty()) {
      return NONE;
    }
    Map<Integer, SeenCover[]> byDay = new HashMap<>();
    found.forEach(
        (day, covers) -> {
          List<SeenCover> inOrder = new ArrayList<>(covers.values());
          inOrder.sort((a, b) -> Integer.compare(a.field, b.field));
          byDay.put(day, inOrder.toArray(SeenCover[]::new));
        });
    return new SeenCovers(byDay);
  }

  /** Those of a day, in the order of the fields. */
  public SeenCover[] on(int day) {
    return byDay.isEmpty() ? NOTHING : byDay.getOrDefault(day, NOTHING);
  }

  public boolean isEmpty() {
    return byDay.isEmpty();
  }
}
