package wiselarder.core.caution;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.forage.Forage;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.weather.Climate;

/** Reads the cautions off a plan before anything is simulated. */
public final class Cautions {
  private static final Set<String> SORGHUMS =
      Set.of("sorghum_sudangrass", "sudangrass", "forage_sorghum", "grain_sorghum", "johnsongrass");
  private static final Set<String> CLOSED_TO_HORSES =
      Set.of(
          "sorghum_sudangrass",
          "sudangrass",
          "forage_sorghum",
          "grain_sorghum",
          "foxtail_millet",
          "switchgrass",
          "native_warm_mix",
          "native_warm_cool_mix");

  private final Map<String, Hazard> hazards;

  public Cautions(Map<String, Hazard> hazards) {
    this.hazards = hazards;
  }

  /** Reads with the product's hazard table. */
  public static Cautions load() {
    return new Cautions(Hazard.loadAll());
  }

  /** True for sorghums and their kin, which frost and drought can make deadly. */
  public static boolean isSorghum(String forageId) {
    return SORGHUMS.contains(forageId);
  }

  /** Every caution of a plan, by field in the farm's order. */
  public List<Caution> of(FarmPlan stated, Catalogue catalogue) {
    List<Caution> found = new ArrayList<>();
    Climate climate = catalogue.climate(stated.farm().climateId());
    PlanYear year = stated.plan().year();
    for (Field field : stated.farm().fields()) {
      Forage forage = catalogue.forage(field.stand().forageId());
      List<FeedStep> grazings =
          stated.plan().steps().stream()
              .filter(s -> s.kind() == FeedStep.Kind.GRAZE && s.sourceIds().contains(field.id()))
              .toList();
      if (grazings.isEmpty()) {
        continue;
      }
      if (isSorghum(forage.id())) {
        frostHolds(field, climate, year, found);
        add("hz_young_sorghum", field, null, 0, year.days(), false, found);
      }
      if (forage.toxicEndophyte()) {
        add("hz_endophyte_hot", field, null, 0, year.days(), false, found);
      }
      horses(stated, field, forage, grazings, year, found);
    }
    return found;
  }

  /**
   * From the day by which one year in ten has had its first killing frost, until the hold has run
   * after the median frost: stock come off before the frost, not after it.
   */
  private void frostHolds(Field field, Climate climate, PlanYear year, List<Caution> found) {
    if (!climate.firstFrost().occurs()) {
      return;
    }
    int hold = hazards.get("hz_frost_kill_sorghum").holdDays();
    int last = year.endExclusive().getYear();
    for (int y = year.start().getYear() - 1; y <= last; y++) {
      int from = year.day(LocalDate.ofYearDay(y, climate.firstFrost().doy10()));
      int to = year.day(LocalDate.ofYearDay(y, climate.firstFrost().doy50())) + hold + 1;
      if (to > 0 && from < year.days()) {
        add("hz_frost_kill_sorghum", field, null, Math.max(0, from), to, true, found);
      }
    }
  }

  private void horses(
      FarmPlan stated,
      Field field,
      Forage forage,
      List<FeedStep> grazings,
      PlanYear year,
      List<Caution> found) {
    for (AnimalGroup group : stated.farm().groups()) {
      boolean grazes = grazings.stream().anyMatch(s -> s.groupId().equals(group.id()));
      if (!grazes || !group.kind().startsWith("horse/")) {
        continue;
      }
      if (CLOSED_TO_HORSES.contains(forage.id())) {
        add("hz_not_for_horses", field, group.id(), 0, year.days(), true, found);
      }
      if (forage.toxicEndophyte() && group.kind().equals("horse/mare")) {
        add("hz_endophyte_mares", field, group.id(), 0, year.days(), true, found);
      }
    }
  }

  private void add(
      String hazardId,
      Field field,
      String groupId,
      int from,
      int to,
      boolean blocks,
      List<Caution> found) {
    Hazard hazard = hazards.get(hazardId);
    if (hazard == null) {
      throw new IllegalStateException("hazards.csv lacks " + hazardId);
    }
    found.add(new Caution(hazard, field.id(), groupId, from, to, blocks));
  }
}
