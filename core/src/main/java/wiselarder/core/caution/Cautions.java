package wiselarder.core.caution;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wiselarder.core.forage.Forage;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.WeatherYear;

/** Reads the cautions off a plan before anything is simulated. */
public final class Cautions {
  private static final Set<String> SORGHUMS =
      Set.of("sorghum_sudangrass", "sudangrass", "forage_sorghum", "grain_sorghum", "johnsongrass");

  /** The hold of sorghums around a killing frost. */
  public static final String FROST_ON_SORGHUM = "hz_frost_kill_sorghum";

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

  /** Dangers of the table that a forage can bring to a kind of group, by id, in their order. */
  public List<Hazard> dangersOf(Forage forage, String kind) {
    Set<String> kinds = Standing.kinds(forage);
    return hazards.values().stream()
        .filter(h -> !h.everyday() && !h.severity().equals("notice") && h.harms(kind))
        .filter(h -> kinds.stream().anyMatch(h.appliesTo()::contains))
        .sorted(Comparator.comparing(Hazard::id))
        .toList();
  }

  /** Every caution of a plan that holds in any weather, by field in the farm's order. */
  public List<Caution> of(FarmPlan stated, FarmRecords records, Catalogue product) {
    Catalogue catalogue = product.on(stated.farm());
    Found found = new Found(hazards, stated.plan().year().days());
    List<Standing> all = Standing.of(stated, catalogue);
    StandCautions stands = new StandCautions(stated, found);
    all.forEach(stands::add);
    new WorkCautions(stated, found).add(all);
    new StoreCautions(hazards, catalogue).add(stated, records, found.all());
    return found.all();
  }

  /**
   * Every caution that the weather of a season sets off.
   *
   * @param normal the weather of the normal year, by which dull days are told
   */
  public List<Caution> in(
      FarmPlan stated, Catalogue product, WeatherYear weather, WeatherYear normal) {
    Catalogue catalogue = product.on(stated.farm());
    Climate climate = catalogue.climate(stated.farm().climateId());
    Found found = new Found(hazards, stated.plan().year().days());
    new SeasonCautions(stated, climate, weather, normal, found).add(Standing.of(stated, catalogue));
    return found.all();
  }
}
