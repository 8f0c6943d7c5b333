package wiselarder.core.conflict;

import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.TreeSet;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.MixtureTable.MixtureRule;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Sowing;

/**
 * Two forages in one field, and what the table of mixtures says of them.
 *
 * @param a id of the one, {@code b} of the other
 */
public record GrownTogether(String a, String b, MixtureRule rule) {
  /** Crops sown within so many days on one field are sown together. Assumption, as the engine's. */
  private static final int DAYS = 21;

  /**
   * Of a sowing and what it stands with: the sward that it is sown into, and what else is sown
   * there at that time. In a full seedbed nothing is left of the sward. Pairs of which the table
   * says nothing are left out.
   */
  public static List<GrownTogether> of(FarmPlan stated, Catalogue product, Sowing sown) {
    Collection<String> others = new TreeSet<>();
    if (!sown.preparation().endsTheOld()) {
      String base = stated.field(sown.fieldId()).stand().forageId();
      others.addAll(product.partsOf(stated.farm(), base).keySet());
    }
    for (Sowing s : stated.plan().sowings()) {
      long apart = Math.abs(ChronoUnit.DAYS.between(s.sowOn(), sown.sowOn()));
      if (!s.id().equals(sown.id()) && s.fieldId().equals(sown.fieldId()) && apart <= DAYS) {
        others.addAll(product.partsOf(stated.farm(), s.forageId()).keySet());
      }
    }
    List<GrownTogether> found = new ArrayList<>();
    for (String part : new TreeSet<>(product.partsOf(stated.farm(), sown.forageId()).keySet())) {
      others.forEach(other -> add(product, part, other, found));
    }
    return List.copyOf(found);
  }

  /** Of all parts of one sward, each with each. */
  public static List<GrownTogether> among(Catalogue product, List<String> forageIds) {
    List<String> parts = List.copyOf(new TreeSet<>(forageIds));
    List<GrownTogether> found = new ArrayList<>();
    for (int i = 0; i < parts.size(); i++) {
      for (int j = i + 1; j < parts.size(); j++) {
        add(product, parts.get(i), parts.get(j), found);
      }
    }
    return List.copyOf(found);
  }

  private static void add(Catalogue product, String a, String b, List<GrownTogether> found) {
    Forage one = product.forage(a);
    Forage other = product.forage(b);
    product.mixtures().of(one, other).ifPresent(rule -> found.add(new GrownTogether(a, b, rule)));
  }
}
