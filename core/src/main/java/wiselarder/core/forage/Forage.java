package wiselarder.core.forage;

import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import wiselarder.core.reference.CsvTable;

/**
 * One forage of the catalogue. Masses are kg DM/ha above ground level, heights cm. Product
 * defaults; see docs/model.md for how sure they are.
 *
 * @param minResidualKgPerHa mass at exit height: the stubble that regrowth needs
 * @param ceilingKgPerHa standing mass at which death offsets growth
 * @param senescencePerDay share of green mass carried past entry mass that dies each day
 * @param standingLossPerMonth share of standing mass lost per 30 days once growth has stopped
 * @param stockpileUseByDays days after the first killing frost by which a stockpile should be
 *     eaten; NaN where stockpiling is not advised
 */
public record Forage(
    String id,
    String name,
    String group,
    double minResidualKgPerHa,
    double ceilingKgPerHa,
    double dmPerCmKgPerHa,
    double entryHeightCm,
    double exitHeightCm,
    double regrazeHeightCm,
    double cutHeightCm,
    double utilizationSetStocked,
    double utilizationRotational,
    double utilizationStrip,
    double senescencePerDay,
    double standingLossPerMonth,
    double stockpileUseByDays,
    FrostResponse frostResponse,
    double prussicMinHeightCm,
    boolean toxicEndophyte,
    Set<String> uses) {

  /** What the first killing frost does to the tops. */
  public enum FrostResponse {
    HARDY,
    STOPS,
    KILLED
  }

  public boolean cropResidue() {
    return group.equals("crop_residue");
  }

  public boolean prussicAcid() {
    return !Double.isNaN(prussicMinHeightCm);
  }

  public boolean canStockpile() {
    return uses.contains("stockpile") && !cropResidue();
  }

  public boolean canCut() {
    return uses.contains("hay");
  }

  /**
   * Standing mass at a height: {@code min_residual + dm_per_cm x (height - exit_height)}, never
   * below zero. Source: reference notes on heights; a straight line that must not run through the
   * origin, as the base of a sward is denser than its top.
   */
  public double massAtHeightKgPerHa(double heightCm) {
    return cropResidue()
        ? minResidualKgPerHa
        : Math.max(0, minResidualKgPerHa + dmPerCmKgPerHa * (heightCm - exitHeightCm));
  }

  /** Mass at which the first use may start. */
  public double entryMassKgPerHa() {
    return massAtHeightKgPerHa(entryHeightCm);
  }

  /** All forages of the product, by id. */
  public static Map<String, Forage> loadAll() {
    return CsvTable.load("forages.csv", Forage::of).stream()
        .collect(Collectors.toUnmodifiableMap(Forage::id, Function.identity()));
  }

  private static Forage of(CsvTable.Row r) {
    return new Forage(
        r.text("id"),
        r.text("common_name"),
        r.text("group"),
        r.number("min_residual_kg_ha", 100, 8000),
        r.number("ceiling_kg_ha", 1000, 30000),
        r.numberOrNaN("dm_per_cm_kg_ha", 5, 400),
        r.numberOrNaN("entry_height_cm", 3, 200),
        r.numberOrNaN("exit_height_cm", 2, 100),
        r.numberOrNaN("regraze_height_cm", 3, 200),
        r.numberOrNaN("cut_height_cm", 2, 100),
        r.number("utilization_set_stocked", 0.05, 0.95),
        r.number("utilization_rotational", 0.05, 0.95),
        r.number("utilization_strip", 0.05, 0.95),
        r.number("senescence_rate_per_day", 0, 0.1),
        r.number("standing_dm_loss_per_month", 0, 0.9),
        r.numberOrNaN("stockpile_use_by_days_after_frost", 1, 300),
        FrostResponse.valueOf(r.text("frost_response").toUpperCase(java.util.Locale.ROOT)),
        r.text("prussic_acid").equals("1") ? r.number("prussic_min_height_cm", 5, 120) : Double.NaN,
        r.text("endophyte_toxin").equals("1"),
        Set.of(r.text("uses").split("\\|")));
  }
}
