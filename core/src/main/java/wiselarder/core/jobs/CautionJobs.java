package wiselarder.core.jobs;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wiselarder.core.caution.Caution;
import wiselarder.core.store.Lot;

/**
 * Cautions where something is to be done before feed is used: what they ask is the job, and whom to
 * ask stands beside it. General care that goes with the work is none.
 */
final class CautionJobs {
  /** Done so long before the danger begins. */
  private static final int BEFORE_DAYS = 7;

  private static final String NEW_STAND = "overgrazed_new_stand";

  private CautionJobs() {}

  static void add(JobList l) {
    Map<String, List<Caution>> together = new LinkedHashMap<>();
    for (Caution c : l.balance.resolved().cautions) {
      // a new stand is looked at before its first use: a job of its sowing
      boolean asks =
          !c.hazard().everyday()
              && !c.hazard().severity().equals("notice")
              && !c.hazard().trigger().equals(NEW_STAND);
      boolean always = !c.blocks() && c.fromDay() <= 0 && c.toDay() >= l.year.days();
      if (asks && !always) {
        together
            .computeIfAbsent(
                c.hazard().id() + "-" + l.year.date(Math.max(0, c.fromDay())),
                k -> new ArrayList<>())
            .add(c);
      }
    }
    // told apart by their turn in the year: their days move with the weather
    Map<String, Integer> turn = new HashMap<>();
    together.values().stream()
        .sorted(Comparator.comparingInt(c -> c.get(0).fromDay()))
        .forEach(
            c -> {
              String hazard = c.get(0).hazard().id();
              one(l, hazard + "-" + turn.merge(hazard, 1, Integer::sum), c);
            });
  }

  private static void one(JobList l, String id, List<Caution> cautions) {
    Caution first = cautions.get(0);
    LocalDate from = l.year.date(Math.max(0, first.fromDay()));
    boolean blocks = cautions.stream().anyMatch(Caution::blocks);
    Set<String> about = new LinkedHashSet<>();
    cautions.forEach(c -> about.add(about(l, c)));
    about.remove("");
    String names =
        about.size() > MOST_NAMED
            ? about.iterator().next() + " and " + (about.size() - 1) + " more"
            : String.join(", ", about);
    l.job(Job.Kind.CAUTION, id, names, blocks ? from : from.minusDays(BEFORE_DAYS))
        .with(first.hazard().id())
        .field(about.size() == 1 ? first.fieldId() : null)
        .between(from.minusDays(2L * BEFORE_DAYS), from)
        .wanted(from)
        .add();
  }

  private static final int MOST_NAMED = 3;

  /** The field or lot, else the group. */
  private static String about(JobList l, Caution c) {
    if (c.fieldId() != null) {
      return l.fieldName(c.fieldId());
    }
    if (c.lotId() != null) {
      return l.stated.allLots().stream()
          .filter(x -> x.id().equals(c.lotId()))
          .map(Lot::name)
          .findFirst()
          .orElse("");
    }
    return c.groupId() == null ? "" : l.groupNames(List.of(c.groupId()));
  }
}
