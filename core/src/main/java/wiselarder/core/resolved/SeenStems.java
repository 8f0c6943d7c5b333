package wiselarder.core.resolved;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.forage.GrainStages;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.records.StemsSeen;

/**
 * Stages that split stems showed, by day. Too small samples, and what is about a field or a stage
 * that is not known, are left out.
 */
public final class SeenStems {
  /** The stage, by its place in the table, that half of the stems of a crop on a field had. */
  public record SeenStage(int field, String forageId, int stage) {}

  private final GrainStages stages;
  private final Map<Integer, List<SeenStage>> byDay = new HashMap<>();

  private SeenStems(GrainStages stages) {
    this.stages = stages;
  }

  static SeenStems of(ResolvedPlan plan, Catalogue catalogue, Map<String, Integer> fieldIndex) {
    SeenStems found = new SeenStems(catalogue.stages());
    plan.records.each(
        StemsSeen.class,
        (r, s) -> {
          Integer field = fieldIndex.get(s.fieldId());
          int day = plan.year.day(r.on());
          boolean known = s.stems().stream().allMatch(one -> found.stages.has(one.stageId()));
          if (field != null && known && s.enough() && day >= 0 && day < plan.days) {
            found
                .byDay
                .computeIfAbsent(day, d -> new ArrayList<>())
                .add(new SeenStage(field, s.forageId(), s.stage(found.stages)));
          }
        });
    return found;
  }

  /** Those of a day in the order in which they were written. */
  public List<SeenStage> on(int day) {
    return byDay.isEmpty() ? List.of() : byDay.getOrDefault(day, List.of());
  }

  public GrainStages stages() {
    return stages;
  }
}
