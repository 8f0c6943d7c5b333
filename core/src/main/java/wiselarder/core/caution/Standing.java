package wiselarder.core.caution;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.forage.Forage;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Sowing;

/**
 * What stands on a field for a time, and who grazes it.
 *
 * @param sowing by which it came, or null for what stands there anyway
 * @param from first day in the plan; {@code to} first day no longer
 * @param kinds as the table of hazards calls it
 */
record Standing(
    Field field,
    Forage forage,
    Sowing sowing,
    int from,
    int to,
    Set<String> kinds,
    List<AnimalGroup> grazers) {

  /** Everything that stands on the farm in the plan and that somebody grazes. */
  static List<Standing> of(FarmPlan stated, Catalogue catalogue) {
    List<Standing> found = new ArrayList<>();
    PlanYear year = stated.plan().year();
    for (Field field : stated.farm().fields()) {
      List<AnimalGroup> grazers =
          stated.farm().groups().stream().filter(g -> grazes(stated, g, field)).toList();
      if (grazers.isEmpty()) {
        continue;
      }
      Forage base = catalogue.forage(field.stand().forageId());
      int from = year.clippedStart(field.stand().fromInclusive());
      int to = year.clippedEnd(field.stand().toExclusive());
      found.add(new Standing(field, base, null, from, to, kinds(base), grazers));
      for (Sowing sowing : stated.plan().sowings()) {
        int sown = year.day(sowing.sowOn());
        if (sowing.fieldId().equals(field.id())
            && ((sown >= 0 && sown < year.days()) || sowing.standsAtStart(year))) {
          Forage crop = catalogue.forage(sowing.forageId());
          int ends = year.clippedEnd(sowing.endsOn());
          found.add(
              new Standing(field, crop, sowing, Math.max(0, sown), ends, kinds(crop), grazers));
        }
      }
    }
    return found;
  }

  private static boolean grazes(FarmPlan stated, AnimalGroup group, Field field) {
    for (FeedStep s : stated.plan().steps()) {
      boolean of = s.kind() == FeedStep.Kind.GRAZE && s.groupId().equals(group.id());
      if (of && (s.sourceIds().isEmpty() || s.sourceIds().contains(field.id()))) {
        return true;
      }
    }
    return stated.plan().closings().stream()
        .filter(c -> c.fieldId().equals(field.id()))
        .map(Closing::grazedBy)
        .anyMatch(g -> g.contains(group.id()));
  }

  /** What the table of hazards calls a forage. */
  static Set<String> kinds(Forage f) {
    Set<String> kinds = new HashSet<>(f.madeOf());
    kinds.add(f.group());
    add(kinds, Cautions.isSorghum(f), "sorghum_group");
    add(kinds, f.bloats() && f.legumeShare() >= HALF, "legume_bloating");
    add(kinds, anyOf(f, "pearl_millet", "foxtail_millet"), "millet");
    add(kinds, anyOf(f, "foxtail_millet"), "millet_foxtail");
    add(kinds, f.group().endsWith("small_grain"), "small_grain");
    add(kinds, f.group().startsWith("brassica") || f.group().equals("kale"), "brassica");
    add(kinds, coolGrass(f), "cool_grass");
    add(kinds, f.toxicEndophyte(), "tall_fescue_infected");
    add(kinds, anyOf(f, "native_warm_mix", "native_warm_cool_mix"), "switchgrass");
    add(kinds, anyOf(f, "grain_sorghum"), "standing_grain");
    return kinds;
  }

  private static boolean coolGrass(Forage f) {
    return f.group().equals("cool_perennial_grass")
        || (f.group().equals("mixed_sward") && !f.warmSeason());
  }

  private static boolean anyOf(Forage f, String... ids) {
    return f.madeOf().stream().anyMatch(Set.of(ids)::contains);
  }

  private static void add(Set<String> kinds, boolean is, String kind) {
    if (is) {
      kinds.add(kind);
    }
  }

  private static final double HALF = 0.5;

  boolean is(Hazard hazard) {
    return kinds.stream().anyMatch(hazard.appliesTo()::contains);
  }

  /** Those of its grazers whom a hazard harms. */
  List<AnimalGroup> harmed(Hazard hazard) {
    return grazers.stream().filter(g -> hazard.harms(g.kind())).toList();
  }
}
