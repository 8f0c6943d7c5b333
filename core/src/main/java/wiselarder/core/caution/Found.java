package wiselarder.core.caution;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wiselarder.core.herd.AnimalGroup;

/** Cautions as they are found, each hazard of a field or lot said once for the same days. */
final class Found {
  private final Map<String, Hazard> hazards;
  private final int days;
  private final List<Caution> all = new ArrayList<>();

  Found(Map<String, Hazard> hazards, int days) {
    this.hazards = hazards;
    this.days = days;
  }

  Hazard hazard(String id) {
    Hazard hazard = hazards.get(id);
    if (hazard == null) {
      throw new IllegalStateException("hazards.csv lacks " + id);
    }
    return hazard;
  }

  List<Caution> all() {
    return all;
  }

  void note(String hazardId, String fieldId, String groupId, String lotId, boolean blocks) {
    add(new Caution(hazard(hazardId), fieldId, groupId, lotId, 0, days, blocks));
  }

  /**
   * Tells of a hazard of what stands somewhere; shuts it to all where all that graze it are harmed,
   * else to those who are.
   */
  void on(String hazardId, Standing s, int from, int to, boolean blocks) {
    Hazard hazard = hazard(hazardId);
    List<AnimalGroup> harmed = s.harmed(hazard);
    if (harmed.size() == s.grazers().size()) {
      within(hazard, s.field().id(), null, Math.max(from, s.from()), to, blocks);
      return;
    }
    for (AnimalGroup g : harmed) {
      within(hazard, s.field().id(), g.id(), Math.max(from, s.from()), to, blocks);
    }
  }

  void within(Hazard hazard, String fieldId, String groupId, int from, int to, boolean blocks) {
    int last = Math.min(to, blocks ? Integer.MAX_VALUE : days);
    if (from < days && last > Math.max(0, from)) {
      add(new Caution(hazard, fieldId, groupId, null, from, last, blocks));
    }
  }

  private void add(Caution c) {
    if (!all.contains(c)) {
      all.add(c);
    }
  }
}
