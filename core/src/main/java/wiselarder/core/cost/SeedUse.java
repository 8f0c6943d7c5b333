package wiselarder.core.cost;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Seed;
import wiselarder.core.plan.Sowing;

/** What seed each sowing of a plan takes, and how much of it lies in the shed. */
public final class SeedUse {
  /**
   * Seed of one kind for one sowing, kg.
   *
   * @param fromShed the part that is at hand; the rest is bought
   */
  record Taken(double kg, double fromShed) {
    double bought() {
      return kg - fromShed;
    }
  }

  private final FarmPlan stated;
  private final Catalogue product;
  private final Map<String, Double> leftKg = new HashMap<>();

  /** By sowing, then by forage in the order of their ids. */
  private final Map<String, Map<String, Taken>> bySowing = new LinkedHashMap<>();

  private SeedUse(FarmPlan stated, Catalogue product) {
    this.stated = stated;
    this.product = product;
    for (Seed seed : stated.farm().seeds()) {
      leftKg.merge(seed.forageId(), seed.kg(), Double::sum);
    }
  }

  /**
   * Gives the seed at hand to the sowings by their days.
   *
   * @param first ids of sowings that have it before all others
   */
  static SeedUse of(FarmPlan stated, Catalogue product, Set<String> first) {
    SeedUse use = new SeedUse(stated, product);
    List<Sowing> byDay =
        stated.plan().sowings().stream()
            .sorted(
                Comparator.comparing((Sowing s) -> !first.contains(s.id()))
                    .thenComparing(Sowing::sowOn))
            .toList();
    byDay.forEach(use::take);
    return use;
  }

  private void take(Sowing s) {
    double ha = stated.field(s.fieldId()).netAreaHa();
    Map<String, Taken> taken = new TreeMap<>();
    boolean later = !s.sowOn().isBefore(stated.plan().year().endExclusive());
    if (later || s.standsAtStart(stated.plan().year())) {
      bySowing.put(s.id(), taken);
      return;
    }
    product
        .partsOf(stated.farm(), s.forageId())
        .forEach(
            (forage, share) -> {
              double kg = ha * s.seedShare() * share * product.forage(forage).seedRateKgPerHa();
              if (!Double.isNaN(kg)) {
                double fromShed = Math.min(kg, leftKg.getOrDefault(forage, 0.0));
                leftKg.merge(forage, -fromShed, Double::sum);
                taken.put(forage, new Taken(kg, fromShed));
              }
            });
    bySowing.put(s.id(), taken);
  }

  /** What a sowing takes, by forage; nothing of what has no usual rate. */
  Map<String, Taken> of(Sowing s) {
    return bySowing.get(s.id());
  }

  /** Seed of a sowing of the plan that is not at hand, kg; NaN where no rate is known. */
  public static double boughtKg(FarmPlan stated, Catalogue product, Sowing sowing) {
    Map<String, Taken> taken = of(stated, product, Set.of()).of(sowing);
    return taken.isEmpty() ? Double.NaN : taken.values().stream().mapToDouble(Taken::bought).sum();
  }

  /** What is left in the shed by forage once the plan has sown, kg. */
  public static Map<String, Double> leftKg(FarmPlan stated, Catalogue product) {
    return new TreeMap<>(of(stated, product, Set.of()).leftKg);
  }

  /** Ground that what stays in the shed beside the plan's own sowings is enough for, ha. */
  public static double enoughForHa(FarmPlan stated, Catalogue product, String forageId) {
    SeedUse use = of(stated, product, Set.of());
    return product.partsOf(stated.farm(), forageId).entrySet().stream()
        .mapToDouble(
            part -> {
              double kgPerHa = part.getValue() * product.forage(part.getKey()).seedRateKgPerHa();
              return kgPerHa > 0 ? use.leftKg.getOrDefault(part.getKey(), 0.0) / kgPerHa : 0;
            })
        .min()
        .orElse(0);
  }
}
