package wiselarder.core.herd;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.reference.CsvTable;

/**
 * Animal classes and the rules that say which holds when. A kind is {@code species/animal group}.
 */
public final class HerdTables {
  private final Map<String, AnimalClass> classes;
  private final Map<String, List<StageRule>> rules;

  /** The rules of a kind that go by weight, lightest first. */
  private final Map<String, List<StageRule>> bands;

  private final Map<String, ConditionGuide> guides = ConditionGuide.loadAll();
  private final NutrientTable nutrients = NutrientTable.load();

  private HerdTables(Map<String, AnimalClass> classes, Map<String, List<StageRule>> rules) {
    this.classes = classes;
    this.rules = rules;
    this.bands =
        rules.values().stream()
            .flatMap(List::stream)
            .filter(StageRule::banded)
            .sorted(Comparator.comparingDouble(StageRule::weightMinKg))
            .collect(Collectors.groupingBy(StageRule::kind));
  }

  /** What stock keep of the nutrients that they eat. */
  public NutrientTable nutrients() {
    return nutrients;
  }

  /** How a kind is scored; null where the table has no guide for it. */
  public ConditionGuide conditionGuide(String kind) {
    String animal = ConditionGuide.animal(kind);
    return animal == null ? null : guides.get(animal);
  }

  public static HerdTables load() {
    Map<String, AnimalClass> classes =
        CsvTable.load("animals.csv", HerdTables::animals).stream()
            .collect(Collectors.toUnmodifiableMap(AnimalClass::id, Function.identity()));
    Map<String, List<StageRule>> rules =
        CsvTable.load("stages.csv", HerdTables::rule).stream()
            .sorted(Comparator.comparingInt(StageRule::priority))
            .collect(Collectors.groupingBy(StageRule::kind));
    Set<String> unknown = new HashSet<>();
    rules.values().forEach(l -> l.forEach(r -> unknown.add(r.classId())));
    unknown.removeAll(classes.keySet());
    if (!unknown.isEmpty()) {
      throw new IllegalStateException(
          "stages.csv names classes that animals.csv lacks: " + unknown);
    }
    return new HerdTables(classes, rules);
  }

  private static AnimalClass animals(CsvTable.Row r) {
    return new AnimalClass(
        r.text("class_id"),
        r.text("species"),
        r.text("name"),
        r.number("typical_weight_kg", 1, 1500),
        r.number("dmi_low_pct_bw", 0.5, 8),
        r.number("dmi_typical_pct_bw", 0.5, 8),
        r.number("dmi_high_pct_bw", 0.5, 8),
        r.number("target_gain_kg_day", -1, 3),
        r.number("cp_req_pct", 1, 40),
        r.number("tdn_req_pct", 20, 95),
        r.number("me_req_mj_day", 1, 500),
        r.number("ca_req_pct", 0.01, 5),
        r.number("p_req_pct", 0.01, 5),
        r.number("ndf_min_pct", 0, 80),
        r.number("ndf_cap_pct_bw", 0.3, 4),
        r.number("water_l_day_10c", 0, 300),
        r.number("water_l_day_30c", 0, 300),
        r.number("lct_dry_c", -50, 30),
        r.number("lct_wet_c", -50, 30));
  }

  private static StageRule rule(CsvTable.Row r) {
    boolean dam = !r.text("basis").equals("own_birth");
    double from = dam ? r.numberOrNaN("from_day", -400, 2000) : Double.NaN;
    double weaning = r.numberOrNaN("weaning_day_default", 20, 400);
    return new StageRule(
        r.text("species") + "/" + r.text("animal_group"),
        dam,
        r.text("condition"),
        Double.isNaN(from) ? null : Integer.valueOf((int) from),
        StageRule.toDay(r.optional("to_day")),
        r.text("class_id"),
        (int) r.number("priority", 1, 9),
        Double.isNaN(weaning) ? 205 : (int) weaning,
        r.numberOrNaN("weight_min_kg", 1, 2000),
        r.numberOrNaN("weight_max_kg", 1, 2000));
  }

  /**
   * Energy for upkeep, MJ for each kg of weight to the power 0.75: the least that any class of the
   * species asks for that neither grows nor milks.
   */
  public double upkeepMjPerMetabolicKg(String kind) {
    String species = kind.substring(0, kind.indexOf('/'));
    return classes.values().stream()
        .filter(c -> c.species().equals(species) && c.targetGainKgPerDay() <= 0)
        .mapToDouble(c -> c.meNeedMj() / Math.pow(c.typicalWeightKg(), 0.75))
        .min()
        .orElse(Double.NaN);
  }

  /** Every kind of group a herd can hold, in alphabetical order. */
  public List<String> kinds() {
    return rules.keySet().stream().sorted().toList();
  }

  /** True where the kind gives birth, so that births and weaning shape its year. */
  public boolean isDam(String kind) {
    return rulesOf(kind).get(0).dam();
  }

  /** Days from birth to weaning when the user names no date. */
  public int weaningDayDefault(String kind) {
    return rulesOf(kind).get(0).weaningDayDefault();
  }

  /** Lowest and highest typical weight among the classes a kind goes through, kg. */
  public double[] typicalWeightsKg(String kind) {
    return rulesOf(kind).stream()
        .mapToDouble(r -> classes.get(r.classId()).typicalWeightKg())
        .collect(
            () -> new double[] {Double.MAX_VALUE, 0},
            (range, kg) -> {
              range[0] = Math.min(range[0], kg);
              range[1] = Math.max(range[1], kg);
            },
            (a, b) -> {});
  }

  /** The classes that a kind goes through in its year, by id, with their typical weight, kg. */
  public Map<String, Double> classWeightsKg(String kind) {
    return rulesOf(kind).stream()
        .map(StageRule::classId)
        .distinct()
        .collect(Collectors.toMap(c -> c, c -> classes.get(c).typicalWeightKg()));
  }

  /** Weight of a common animal of the kind, kg: the first class of its year. Product default. */
  public double defaultWeightKg(String kind) {
    return classes.get(rulesOf(kind).get(0).classId()).typicalWeightKg();
  }

  /** Daily gain of a common animal of the kind, kg: that of the same class, never a loss. */
  public double defaultGainKgPerDay(String kind) {
    return isDam(kind)
        ? 0
        : Math.max(0, classes.get(rulesOf(kind).get(0).classId()).targetGainKgPerDay());
  }

  /** The class of a growing or adult animal: by weight band where the kind has bands. */
  public AnimalClass byWeight(String kind, double weightKg) {
    List<StageRule> banded = bands.getOrDefault(kind, List.of());
    if (banded.isEmpty()) {
      List<StageRule> all = rulesOf(kind);
      return classes.get(all.get(all.size() - 1).classId());
    }
    StageRule chosen = banded.get(0);
    for (StageRule rule : banded) {
      if (weightKg >= rule.weightMinKg()) {
        chosen = rule;
      }
    }
    return classes.get(chosen.classId());
  }

  /**
   * The class of a dam.
   *
   * @param since days since her last birth, or -1 when she has none
   * @param until days to her next birth
   * @param litter 1 for a single, 2 for more
   */
  public AnimalClass ofDam(
      String kind, int since, int until, boolean weaned, boolean calved, int litter) {
    AnimalClass last = null;
    for (StageRule rule : rulesOf(kind)) {
      if (!rule.allows(calved, litter)) {
        continue;
      }
      last = classes.get(rule.classId());
      if (rule.matches(since, until, weaned)) {
        return last;
      }
    }
    return last;
  }

  /** A class by id; the id must be in the table. */
  AnimalClass byId(String id) {
    return classes.get(id);
  }

  private List<StageRule> rulesOf(String kind) {
    List<StageRule> found = rules.get(kind);
    if (found == null) {
      throw new Refused(CoreReason.UNKNOWN_KIND, "group.kind", kind);
    }
    return found;
  }
}
