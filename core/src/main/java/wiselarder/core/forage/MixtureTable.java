package wiselarder.core.forage;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wiselarder.core.reference.CsvTable;

/**
 * What goes together in one field in one season, and what wants its own: {@code mixtures.csv}.
 * General experience; the table is firmer where it says no than where it says yes, and what it does
 * not know it does not judge.
 */
public final class MixtureTable {
  /** How two go together. */
  public enum Suits {
    YES,
    WITH_CARE,
    NO
  }

  /** One row of the table. */
  public record MixtureRule(Suits suits, String why, String whatToDo) {}

  private record Row(String a, String b, MixtureRule rule) {}

  /** By the two names in the order of the alphabet. */
  private final Map<String, MixtureRule> rules = new HashMap<>();

  private MixtureTable(List<Row> rows) {
    for (Row r : rows) {
      rules.put(key(r.a, r.b), r.rule);
    }
  }

  /**
   * Loads the table.
   *
   * @throws IllegalArgumentException where it names what no forage is
   */
  public static MixtureTable load(Map<String, Forage> forages) {
    return new MixtureTable(
        CsvTable.load(
            "mixtures.csv",
            r ->
                new Row(
                    named(forages, r.text("a"), r.text("a_kind")),
                    named(forages, r.text("b"), r.text("b_kind")),
                    new MixtureRule(
                        Suits.valueOf(r.text("suits").toUpperCase(Locale.ROOT)),
                        r.text("why"),
                        r.text("what_to_do")))));
  }

  private static String named(Map<String, Forage> forages, String name, String kind) {
    boolean there =
        kind.equals("forage")
            ? forages.containsKey(name)
            : forages.values().stream().anyMatch(f -> f.group().equals(name));
    if (!there) {
      throw new IllegalArgumentException("mixtures.csv: no such " + kind + ": " + name);
    }
    return name;
  }

  private static String key(String a, String b) {
    return a.compareTo(b) <= 0 ? a + "/" + b : b + "/" + a;
  }

  /** What holds for two forages: a row of both beats one of one and a group, that one of groups. */
  public Optional<MixtureRule> of(Forage a, Forage b) {
    for (String key :
        List.of(
            key(a.id(), b.id()),
            key(a.id(), b.group()),
            key(a.group(), b.id()),
            key(a.group(), b.group()))) {
      MixtureRule rule = rules.get(key);
      if (rule != null) {
        return Optional.of(rule);
      }
    }
    return Optional.empty();
  }
}
