package wiselarder.core.plan;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import wiselarder.core.forage.OwnForage;
import wiselarder.core.land.Field;

/**
 * A list of a farm or plan whose things are put and taken back one by one, with what is said of
 * them. Each has an id that is its own in the list.
 */
public final class Items<T extends Record> {
  public static final Items<Sowing> SOWINGS =
      new Items<>(
          "sowing",
          Difference.What.SOWING,
          p -> p.plan().sowings(),
          (p, l) -> new FarmPlan(p.farm(), p.plan().withSowings(l)),
          Sowing::id,
          (p, s) -> fieldName(p, s.fieldId()),
          (p, s) -> "Sow %s on %s".formatted(fieldName(p, s.fieldId()), s.sowOn()),
          "Took back a sowing");

  public static final Items<Dressing> DRESSINGS =
      new Items<>(
          "dressing",
          Difference.What.DRESSING,
          p -> p.plan().dressings(),
          (p, l) -> new FarmPlan(p.farm(), p.plan().withDressings(l)),
          Dressing::id,
          (p, d) -> fieldName(p, d.fieldId()),
          (p, d) -> "Nitrogen on %s on %s".formatted(fieldName(p, d.fieldId()), d.date()),
          "Took back nitrogen");

  public static final Items<Irrigation> IRRIGATIONS =
      new Items<>(
          "irrigation",
          Difference.What.IRRIGATION,
          p -> p.plan().irrigations(),
          (p, l) -> new FarmPlan(p.farm(), p.plan().withIrrigations(l)),
          Irrigation::id,
          (p, i) -> fieldName(p, i.fieldId()),
          (p, i) -> "Water %s on %s".formatted(fieldName(p, i.fieldId()), i.date()),
          "Took back a watering");

  public static final Items<Scenario> SCENARIOS =
      new Items<>(
          "scenario",
          Difference.What.SCENARIO,
          p -> p.plan().scenarios(),
          (p, l) -> new FarmPlan(p.farm(), p.plan().withScenarios(l)),
          Scenario::id,
          (p, s) -> s.name(),
          (p, s) -> "Weather scenario " + s.name(),
          "Removed a weather scenario");

  public static final Items<LightPass> PASSES =
      new Items<>(
          "pass",
          Difference.What.PASS,
          p -> p.plan().passes(),
          (p, l) -> new FarmPlan(p.farm(), p.plan().withPasses(l)),
          LightPass::id,
          (p, l) -> fieldName(p, l.fieldId()),
          (p, l) ->
              "Light passes on %s from %s".formatted(fieldName(p, l.fieldId()), l.fromInclusive()),
          "Took back light passes");

  public static final Items<OwnForage> FORAGES =
      new Items<>(
          "ownForage",
          Difference.What.FORAGE,
          p -> p.farm().forages(),
          (p, l) -> new FarmPlan(p.farm().withForages(l), p.plan()),
          OwnForage::id,
          (p, f) -> f.name(),
          (p, f) -> "My own forage " + f.name(),
          "Removed a forage of my own");

  /** Every such list, in the order in which changes are told. */
  public static final List<Items<?>> ALL =
      List.of(FORAGES, SOWINGS, DRESSINGS, IRRIGATIONS, PASSES, SCENARIOS);

  private final String what;
  private final Difference.What kind;
  private final Function<FarmPlan, List<T>> in;
  private final BiFunction<FarmPlan, List<T>, FarmPlan> with;
  private final Function<T, String> id;
  private final BiFunction<FarmPlan, T, String> name;
  private final BiFunction<FarmPlan, T, String> words;
  private final String takenBack;

  private Items(
      String what,
      Difference.What kind,
      Function<FarmPlan, List<T>> in,
      BiFunction<FarmPlan, List<T>, FarmPlan> with,
      Function<T, String> id,
      BiFunction<FarmPlan, T, String> name,
      BiFunction<FarmPlan, T, String> words,
      String takenBack) {
    this.what = what;
    this.kind = kind;
    this.in = in;
    this.with = with;
    this.id = id;
    this.name = name;
    this.words = words;
    this.takenBack = takenBack;
  }

  /** One of them, as it stands before the dot in a member's name. */
  String what() {
    return what;
  }

  Difference.What kind() {
    return kind;
  }

  public List<T> in(FarmPlan of) {
    return in.apply(of);
  }

  FarmPlan with(FarmPlan of, List<T> changed) {
    return with.apply(of, changed);
  }

  String id(T item) {
    return id.apply(item);
  }

  /** What a person calls it: its own name, or its field's. */
  String name(FarmPlan of, T item) {
    return name.apply(of, item);
  }

  String words(FarmPlan of, T item) {
    return words.apply(of, item);
  }

  String takenBack() {
    return takenBack;
  }

  private static String fieldName(FarmPlan of, String id) {
    return of.farm().fields().stream()
        .filter(f -> f.id().equals(id))
        .map(Field::name)
        .findFirst()
        .orElse(id);
  }
}
