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
import wiselarder.core.plan.Sowing;
import wiselarder.core.records.FarmRecords;
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

  /** The hold of sorghums around a killing frost. */
  public static final String FROST_ON_SORGHUM = "hz_frost_kill_sorghum";

  private static final String BIRTHS = "hz_birthing_on_crop";

  private final Map<String, Hazard> hazards;

  public Cautions(Map<String, Hazard> hazards) {
    this.hazards = hazards;
  }

  /** Reads with the product's hazard table. */
  public static Cautions load() {
    return new Cautions(Hazard.loadAll());
  }

  /** True for sorghums and their kin, which frost and drought can make deadly. */
  public static boolean isSorghum(Forage forage) {
    return forage.madeOf().stream().anyMatch(SORGHUMS::contains);
  }

  /** Every caution of a plan, by field in the farm's order. */
  public List<Caution> of(FarmPlan stated, FarmRecords records, Catalogue product) {
    Catalogue catalogue = product.on(stated.farm());
    List<Caution> found = new ArrayList<>();
    Climate climate = catalogue.climate(stated.farm().climateId());
    for (Field field : stated.farm().fields()) {
      List<FeedStep> grazings =
          stated.plan().steps().stream()
              .filter(s -> s.kind() == FeedStep.Kind.GRAZE)
              .filter(s -> s.sourceIds().isEmpty() || s.sourceIds().contains(field.id()))
              .toList();
      if (!grazings.isEmpty()) {
        Forage forage = catalogue.forage(field.stand().forageId());
        standing(stated, field, forage, grazings, climate, 0, found);
        for (Sowing sowing : stated.plan().sowings()) {
          if (sowing.fieldId().equals(field.id())) {
            sown(stated, field, sowing, catalogue, grazings, climate, found);
          }
        }
      }
    }
    new StoreCautions(hazards, catalogue).add(stated, records, found);
    return found;
  }

  private void standing(
      FarmPlan stated,
      Field field,
      Forage forage,
      List<FeedStep> grazings,
      Climate climate,
      int from,
      List<Caution> found) {
    PlanYear year = stated.plan().year();
    if (isSorghum(forage)) {
      frostHolds(field, climate, year, from, found);
      add("hz_young_sorghum", field, null, from, year.days(), false, found);
    }
    if (forage.toxicEndophyte()) {
      add("hz_endophyte_hot", field, null, from, year.days(), false, found);
    }
    horses(stated, field, forage, grazings, year, from, found);
    births(stated, field, forage, grazings, from, found);
  }

  /**
   * Nobody should give birth on a risky crop: a group comes off before the first birth expected, as
   * many days as the hazard says, and stays off until the last.
   */
  private void births(
      FarmPlan stated,
      Field field,
      Forage forage,
      List<FeedStep> grazings,
      int from,
      List<Caution> found) {
    if (!risky(forage)) {
      return;
    }
    PlanYear year = stated.plan().year();
    int before = hazards.get(BIRTHS).holdDays();
    for (AnimalGroup group : stated.farm().groups()) {
      boolean grazes = grazings.stream().anyMatch(s -> s.groupId().equals(group.id()));
      if (!grazes || group.birthStart() == null) {
        continue;
      }
      for (int first : year.occurrences(group.birthStart(), 1)) {
        int off = Math.max(from, first - before);
        int on = Math.min(year.days(), first + group.birthSpreadDays());
        if (on > off) {
          add(BIRTHS, field, group.id(), off, on, false, found);
        }
      }
    }
  }

  private static boolean risky(Forage f) {
    return f.group().startsWith("brassica")
        || f.group().equals("kale")
        || f.group().endsWith("small_grain")
        || f.group().equals("corn_residue")
        || isSorghum(f);
  }

  /** What a crop sown in the plan brings with it, from the day it is sown. */
  private void sown(
      FarmPlan stated,
      Field field,
      Sowing sowing,
      Catalogue catalogue,
      List<FeedStep> grazings,
      Climate climate,
      List<Caution> found) {
    PlanYear year = stated.plan().year();
    int from = year.day(sowing.sowOn());
    if (from < 0 || from >= year.days()) {
      return;
    }
    Forage crop = catalogue.forage(sowing.forageId());
    standing(stated, field, crop, grazings, climate, from, found);
    add("hz_treated_seed", field, null, from, year.days(), false, found);
    if (crop.group().startsWith("brassica") || crop.group().equals("kale")) {
      add("hz_brassica_intro", field, null, from, year.days(), false, found);
    }
    if (crop.group().endsWith("small_grain") || crop.group().equals("annual_ryegrass")) {
      add("hz_grass_tetany", field, null, from, year.days(), false, found);
      add("hz_bloat_small_grain", field, null, from, year.days(), false, found);
    }
  }

  /**
   * From the day by which one year in ten has had its first killing frost, until the hold has run
   * after the median frost: stock come off before the frost, not after it. A frost that comes at
   * another time in the season looked at is held by the simulation.
   */
  private void frostHolds(
      Field field, Climate climate, PlanYear year, int standsFrom, List<Caution> found) {
    boolean expected = false;
    int hold = hazards.get(FROST_ON_SORGHUM).holdDays();
    int last = climate.firstFrost().occurs() ? year.endExclusive().getYear() : Integer.MIN_VALUE;
    for (int y = year.start().getYear() - 1; y <= last; y++) {
      int from = year.day(LocalDate.ofYearDay(y, climate.firstFrost().doy10()));
      int to = year.day(LocalDate.ofYearDay(y, climate.firstFrost().doy50())) + hold + 1;
      if (to > standsFrom && from < year.days()) {
        add(FROST_ON_SORGHUM, field, null, Math.max(standsFrom, from), to, true, found);
        expected = true;
      }
    }
    if (!expected) {
      add(FROST_ON_SORGHUM, field, null, standsFrom, year.days(), false, found);
    }
  }

  private void horses(
      FarmPlan stated,
      Field field,
      Forage forage,
      List<FeedStep> grazings,
      PlanYear year,
      int from,
      List<Caution> found) {
    for (AnimalGroup group : stated.farm().groups()) {
      boolean grazes = grazings.stream().anyMatch(s -> s.groupId().equals(group.id()));
      if (!grazes || !group.kind().startsWith("horse/")) {
        continue;
      }
      if (forage.madeOf().stream().anyMatch(CLOSED_TO_HORSES::contains)) {
        add("hz_not_for_horses", field, group.id(), from, year.days(), true, found);
      }
      if (forage.toxicEndophyte() && group.kind().equals("horse/mare")) {
        add("hz_endophyte_mares", field, group.id(), from, year.days(), true, found);
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
    found.add(new Caution(hazard, field.id(), groupId, null, from, to, blocks));
  }
}
