package wiselarder.core.resolved;

import java.util.HashMap;
import java.util.Map;
import wiselarder.core.records.Noticed;

/** Water in the soil as hands felt it, by day and field: the share of what plants can use. */
public final class SeenSoils {
  private final Map<Integer, Map<Integer, Double>> byDay = new HashMap<>();

  static SeenSoils of(ResolvedPlan plan, Map<String, Integer> fieldIndex) {
    SeenSoils found = new SeenSoils();
    plan.records.each(
        Noticed.class,
        (r, n) -> {
          Integer field = n.what() == Noticed.What.SOIL ? fieldIndex.get(n.fieldId()) : null;
          int day = plan.year.day(r.on());
          if (field != null && day >= 0 && day < plan.days) {
            found.byDay.computeIfAbsent(day, d -> new HashMap<>()).put(field, n.amount());
          }
        });
    return found;
  }

  /** Shares by field of a day; empty on most days. */
  public Map<Integer, Double> on(int day) {
    return byDay.isEmpty() ? Map.of() : byDay.getOrDefault(day, Map.of());
  }
}
