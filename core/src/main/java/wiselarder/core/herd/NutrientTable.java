package wiselarder.core.herd;

import java.util.HashMap;
import java.util.Map;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.reference.CsvTable;

/** What stock keep of the nutrients that they eat, and where the rest goes, from the table. */
public final class NutrientTable {
  /**
   * One class of stock, as shares.
   *
   * @param nKept share of the nitrogen eaten that stays in body, milk, wool or young; {@code pKept}
   *     and {@code kKept} likewise of phosphorus and potassium
   * @param nInUrine share of the nitrogen excreted that is in urine
   * @param nLostLow share of it that goes into the air on cold ground, {@code nLostHigh} on warm
   */
  public record Kept(
      String id,
      double nKept,
      double pKept,
      double kKept,
      double nInUrine,
      double nLostLow,
      double nLostHigh,
      String note) {

    /**
     * Share of the nitrogen eaten that the next season's growth may find: that of urine, less what
     * goes into the air in the middle, which comes from urine first.
     */
    public double nSoonShare() {
      double lost = (nLostLow + nLostHigh) / 2;
      return (1 - nKept) * Math.max(0, nInUrine - lost);
    }
  }

  /** Where rows of the table of animals go by another name; the others begin with it. */
  private static final Map<String, String> ROW =
      Map.ofEntries(
          Map.entry("beef_cow_mid_gestation", "beef_cow_dry"),
          Map.entry("beef_cow_late_gestation", "beef_cow_late_pregnant"),
          Map.entry("beef_cow_early_lactation", "beef_cow_lactating"),
          Map.entry("beef_cow_late_lactation", "beef_cow_lactating"),
          Map.entry("first_calf_heifer_late_gestation", "beef_cow_late_pregnant"),
          Map.entry("first_calf_heifer_early_lactation", "beef_cow_lactating"),
          Map.entry("replacement_heifer_weaned", "beef_growing"),
          Map.entry("replacement_heifer_bred", "beef_growing"),
          Map.entry("stocker_230", "beef_growing"),
          Map.entry("stocker_320", "beef_growing"),
          Map.entry("stocker_410", "beef_growing"),
          Map.entry("finishing_steer", "beef_finishing"),
          Map.entry("bull_mature", "bull_mature"),
          Map.entry("bull_yearling", "beef_growing"),
          Map.entry("suckling_calf", "beef_growing"),
          Map.entry("dairy_cow_early_lactation", "dairy_cow_lactating"),
          Map.entry("dairy_cow_mid_lactation", "dairy_cow_lactating"),
          Map.entry("dairy_cow_late_lactation", "dairy_cow_lactating"),
          Map.entry("dairy_cow_dry", "beef_cow_dry"),
          Map.entry("dairy_cow_close_up", "beef_cow_late_pregnant"),
          Map.entry("dairy_heifer_100_200", "dairy_heifer"),
          Map.entry("dairy_heifer_200_350", "dairy_heifer"),
          Map.entry("dairy_heifer_350_550", "dairy_heifer"),
          Map.entry("ewe_maintenance", "ewe_dry"),
          Map.entry("ewe_flushing", "ewe_dry"),
          Map.entry("ewe_late_gestation_single", "ewe_dry"),
          Map.entry("ewe_late_gestation_twin", "ewe_dry"),
          Map.entry("ewe_lactation_single", "ewe_lactating"),
          Map.entry("ewe_late_lactation_single", "ewe_lactating"),
          Map.entry("ewe_lactation_twin", "ewe_lactating"),
          Map.entry("ewe_late_lactation_twin", "ewe_lactating"),
          Map.entry("lamb_20", "lamb_growing"),
          Map.entry("lamb_30", "lamb_growing"),
          Map.entry("lamb_40", "lamb_growing"),
          Map.entry("ram", "ewe_dry"),
          Map.entry("doe_maintenance", "doe_dry"),
          Map.entry("doe_late_gestation", "doe_dry"),
          Map.entry("doe_lactation", "doe_lactating"),
          Map.entry("kid", "kid_growing"),
          Map.entry("buck", "doe_dry"),
          Map.entry("horse_idle", "horse_mature"),
          Map.entry("broodmare_late_gestation", "horse_mature"),
          Map.entry("broodmare_lactating", "mare_lactating"),
          Map.entry("horse_working", "horse_mature"),
          // no rows of their own: as beef cattle. Assumption
          Map.entry("bison_cow_mid_gestation", "beef_cow_dry"),
          Map.entry("bison_cow_lactation", "beef_cow_lactating"),
          Map.entry("bison_growing", "beef_growing"));

  private final Map<String, Kept> rows = new HashMap<>();

  private NutrientTable() {}

  public static NutrientTable load() {
    NutrientTable table = new NutrientTable();
    CsvTable.load("nutrients.csv", NutrientTable::row).forEach(k -> table.rows.put(k.id, k));
    return table;
  }

  private static Kept row(CsvTable.Row r) {
    return new Kept(
        r.text("class"),
        r.number("n_retained_fraction", 0, 1),
        r.number("p_retained_fraction", 0, 1),
        r.number("k_retained_fraction", 0, 1),
        r.number("n_in_urine_fraction", 0, 1),
        r.number("n_volatile_loss_low", 0, 1),
        r.number("n_volatile_loss_high", 0, 1),
        r.optional("notes"));
  }

  /**
   * What a class of the table of animals keeps on sod.
   *
   * @throws Refused for a class that neither table knows
   */
  public Kept of(String animalClass) {
    Kept found = rows.get(ROW.getOrDefault(animalClass, animalClass));
    if (found == null) {
      throw new Refused(CoreReason.UNKNOWN_KIND, "animals.class", animalClass);
    }
    return found;
  }
}
