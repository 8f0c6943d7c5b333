package wiselarder.core.forage;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.reference.CsvTable;

/**
 * What is to be seen on a sward and what it means for its use, from the shipped table. A sign says
 * ready, never permission: holds stand above all of them.
 */
public final class SwardSigns {
  /** What a sign says of the use of a stand, the mildest first. */
  public enum Effect {
    READY,
    ADJUST_MASS,
    ADJUST_GROWTH,
    /** A person decides, and the reason is named. */
    CAUTION,
    WAIT,
    /** Closed until a person clears it. */
    SHUT
  }

  /** What a factor multiplies. */
  public enum FactorOn {
    STANDING_MASS,
    USABLE_MASS,
    GROWTH,
    EATEN_SHARE
  }

  /**
   * One state of a sign.
   *
   * @param factorLow range of what to multiply by, four cases of five; NaN where nothing is
   */
  public record Value(
      String id, String meaning, Effect effect, double factorLow, double factorHigh) {
    /** The middle of the range, 1 where nothing is to be multiplied. */
    public double factor() {
      return Double.isNaN(factorLow) ? 1 : (factorLow + factorHigh) / 2;
    }
  }

  /**
   * A sign.
   *
   * @param what its family, such as {@code tips}
   * @param appliesTo ids and groups of forages, or {@code any}
   */
  public record Sign(
      String id,
      String what,
      Set<String> appliesTo,
      List<Value> values,
      FactorOn factorOn,
      String note) {
    public Sign {
      appliesTo = Set.copyOf(appliesTo);
      values = List.copyOf(values);
    }

    boolean isOf(Forage f) {
      return appliesTo.contains("any")
          || appliesTo.contains(f.id())
          || appliesTo.contains(f.group());
    }

    /** A state by its id, refused where the sign has none such. */
    public Value value(String id) {
      return values.stream()
          .filter(v -> v.id().equals(id))
          .findFirst()
          .orElseThrow(() -> new Refused(CoreReason.UNKNOWN_ID, "sign.value", id));
    }
  }

  private final List<Sign> signs;

  private SwardSigns(List<Sign> signs) {
    this.signs = signs;
  }

  public static SwardSigns load() {
    return new SwardSigns(CsvTable.load("sward_signs.csv", SwardSigns::sign));
  }

  private static Sign sign(CsvTable.Row r) {
    List<String> ids = list(r.text("values"));
    List<String> meanings = list(r.text("meaning"));
    List<String> effects = list(r.text("effect"));
    List<String> low = list(r.optional("factor_low"));
    List<String> high = list(r.optional("factor_high"));
    String id = r.text("sign_id");
    if (meanings.size() != ids.size() || effects.size() != ids.size()) {
      throw new IllegalStateException("sward_signs.csv: lists of " + id + " differ in length");
    }
    List<Value> values = new ArrayList<>();
    for (int i = 0; i < ids.size(); i++) {
      Effect effect = Effect.valueOf(effects.get(i).toUpperCase(Locale.ROOT));
      values.add(new Value(ids.get(i), meanings.get(i), effect, figure(low, i), figure(high, i)));
    }
    String on = r.optional("factor_on").split(" ")[0].toUpperCase(Locale.ROOT);
    return new Sign(
        id,
        r.text("what"),
        Set.copyOf(list(r.text("applies_to"))),
        values,
        on.isEmpty() ? null : FactorOn.valueOf(on),
        r.optional("note"));
  }

  private static List<String> list(String cell) {
    return List.of(cell.split("\\|", -1));
  }

  private static double figure(List<String> cells, int at) {
    return at >= cells.size() || cells.get(at).isEmpty()
        ? Double.NaN
        : Double.parseDouble(cells.get(at));
  }

  /** All signs, in the order of the table. */
  public List<Sign> all() {
    return signs;
  }

  /** What is to be looked at on a stand of a forage, of some families. */
  public List<Sign> of(Forage forage, Set<String> families) {
    return signs.stream().filter(s -> families.contains(s.what()) && s.isOf(forage)).toList();
  }

  /** A state of a sign; empty where a record or a file names what the table does not have. */
  public Optional<Value> find(String signId, String value) {
    return signs.stream()
        .filter(s -> s.id().equals(signId))
        .flatMap(s -> s.values().stream())
        .filter(v -> v.id().equals(value))
        .findFirst();
  }

  /** A sign by its id, refused where there is none such. */
  public Sign sign(String id) {
    return signs.stream()
        .filter(s -> s.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new Refused(CoreReason.UNKNOWN_ID, "sign.signId", id));
  }
}
