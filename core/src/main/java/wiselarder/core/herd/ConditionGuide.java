package wiselarder.core.herd;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.reference.CsvTable;

/**
 * How to score condition by eye and hand. Two people differ by half a point of five or one of nine.
 *
 * @param steps thinnest first
 * @param atBirth wanted when they give birth, {@code atMating} when they are joined, {@code
 *     atWeaning} when young are weaned or milking ends
 * @param floor at it or below: separate, feed, and ask a veterinarian or feed adviser
 */
public record ConditionGuide(
    List<Step> steps, Range atBirth, Range atMating, Range atWeaning, double floor) {

  /** A score, what is seen, and what a hand feels; {@code note} may be empty. */
  public record Step(double score, String see, String feel, String note) {}

  /** From one score to another. */
  public record Range(double low, double high) {}

  private record Row(String animal, Step step, ConditionGuide rest) {}

  public ConditionGuide {
    steps = List.copyOf(steps);
  }

  /** Guides by animal of the table. */
  static Map<String, ConditionGuide> loadAll() {
    Map<String, ConditionGuide> guides = new LinkedHashMap<>();
    for (Row r : CsvTable.load("condition_guide.csv", ConditionGuide::row)) {
      List<Step> steps = new ArrayList<>();
      if (guides.containsKey(r.animal)) {
        steps.addAll(guides.get(r.animal).steps);
      }
      steps.add(r.step);
      ConditionGuide g = r.rest;
      guides.put(r.animal, new ConditionGuide(steps, g.atBirth, g.atMating, g.atWeaning, g.floor));
    }
    return guides;
  }

  private static Row row(CsvTable.Row r) {
    return new Row(
        r.text("animal"),
        new Step(
            r.number("score", 1, 9),
            r.text("what_to_see"),
            r.text("what_to_feel"),
            r.optional("note")),
        new ConditionGuide(
            List.of(),
            range(r, "birth"),
            range(r, "mating"),
            range(r, "weaning"),
            r.number("floor_score", 1, 9)));
  }

  private static Range range(CsvTable.Row r, String when) {
    return new Range(
        r.number("target_" + when + "_low", 1, 9), r.number("target_" + when + "_high", 1, 9));
  }

  /** The animal of the table that a kind of group is scored as; null for none. */
  static String animal(String kind) {
    return switch (kind.substring(0, Math.max(0, kind.indexOf('/')))) {
      case "beef" -> "beef_cow";
      case "dairy" -> "dairy_cow";
      case "sheep" -> "ewe";
      case "goat" -> "goat_doe";
      default -> null;
    };
  }
}
