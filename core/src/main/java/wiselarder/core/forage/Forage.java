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
 * @param baseC daily mean temperature below which nothing grows; full growth between the optimum
 *     figures, none above the maximum
 * @param peakKgPerHaDay growth at the optimum with full leaf, water and nitrogen
 * @param droughtHold share of growth kept when 30% of the plant-available water is left
 * @param winterHardyC low below which many plants of an established stand die
 * @param winterLeaveHeightCm height to carry into winter, NaN where there is no winter
 * @param daysToFirstUseLow days from sowing to first use, of perennials to a light one; NaN for
 *     what nobody sows
 * @param kgNPerTonne nitrogen held in a tonne of dry matter
 * @param stockpileUseByDays days after the first killing frost by which a stockpile should be
 *     eaten; NaN where stockpiling is not advised
 * @param bloats a common cause of frothy bloat
 * @param mostShareCattle largest share of the diet that is prudent for adapted cattle; sheep and
 *     goats apart
 * @param thickStems stems dry badly unless crimped
 * @param hayEatenAsIs its hay is eaten well unground
 * @param legumeShare of the dry matter: 1 for a legume, 0.3 for a mixed sward with clover, which is
 *     an assumption
 * @param madeOf ids of the product's forages that stand in it; of itself for one of them
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
    double winterGreenShare,
    double prussicMinHeightCm,
    boolean toxicEndophyte,
    Set<String> uses,
    Life life,
    boolean warmSeason,
    boolean fixesNitrogen,
    double baseC,
    double optimumLowC,
    double optimumHighC,
    double maximumC,
    double peakKgPerHaDay,
    double annualLowKgPerHa,
    double annualTypicalKgPerHa,
    double annualHighKgPerHa,
    double rootDepthCm,
    double droughtHold,
    double winterHardyC,
    double winterLeaveHeightCm,
    double daysToFirstUseLow,
    double daysToFirstUseHigh,
    double sowAboveC,
    double sowBelowC,
    boolean regrows,
    double kgNPerTonne,
    double standingTdnLossPerMonth,
    Lodging lodging,
    String note,
    boolean bloats,
    double mostShareCattle,
    double mostShareSheep,
    boolean thickStems,
    boolean hayEatenAsIs,
    Need heatNeed,
    Need waterNeed,
    double seedRateKgPerHa,
    double seedCostUsdPerHa,
    double legumeShare,
    Set<String> madeOf) {

  /** How much of something a forage wants. */
  public enum Need {
    LOW,
    MEDIUM,
    HIGH
  }

  /** How long a plant lives, and when it is sown. */
  public enum Life {
    PERENNIAL,
    BIENNIAL,
    WINTER_ANNUAL,
    SUMMER_ANNUAL
  }

  /** How much of a tall stand goes down under snow or ice. */
  public enum Lodging {
    NONE,
    LOW,
    HIGH
  }

  /** What the first killing frost does to the tops. */
  public enum FrostResponse {
    HARDY,
    /** Stands light frosts and grows on mild days between them; harder ones take its tops. */
    LIGHT,
    STOPS,
    KILLED
  }

  /** A low at which stands that bear light frosts lose their tops, deg C. Assumption. */
  public static final double HARD_FROST_C = -4;

  /**
   * True on a day on which frost keeps the forage from growing.
   *
   * @param frostSeason between the first and the last killing frost
   * @param minC low of the day
   */
  public boolean frostStops(boolean frostSeason, double minC) {
    if (twoLayers()) {
      return false;
    }
    return switch (frostResponse) {
      case HARDY -> false;
      case LIGHT -> minC < HARD_FROST_C;
      case STOPS, KILLED -> frostSeason;
    };
  }

  public boolean cropResidue() {
    return group.equals("crop_residue");
  }

  /** True for ground with nothing sown on it. */
  public boolean fallow() {
    return group.equals("fallow");
  }

  /**
   * True where a cool-season layer stands under a warm-season one, or among it: in winter it grows
   * on days that allow it, while the other is brown.
   */
  public boolean twoLayers() {
    return winterGreenShare > LEAST_LAYER && winterGreenShare < 1 - LEAST_LAYER;
  }

  /** Less than this of a stand is no layer of its own. Assumption. */
  private static final double LEAST_LAYER = 0.1;

  /** False for residue and fallow ground. */
  public boolean grows() {
    return !cropResidue() && !fallow();
  }

  /** True where the stand is sown each time it is wanted. */
  public boolean sownYearly() {
    return life != Life.PERENNIAL && grows();
  }

  /** True of a perennial that can be sown or planted: it comes to stay. */
  public boolean sownToStay() {
    return life == Life.PERENNIAL && grows() && !Double.isNaN(daysToFirstUseHigh);
  }

  /** Native or natural grassland, which is slow to come back where it is disturbed. */
  public boolean nativeGrass() {
    return group.startsWith("native_")
        || madeOf.stream().anyMatch(id -> id.startsWith("native_") || id.startsWith("natural_"));
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
    return !grows()
        ? minResidualKgPerHa
        : Math.max(0, minResidualKgPerHa + dmPerCmKgPerHa * (heightCm - exitHeightCm));
  }

  /** Mass at which the first use may start. */
  public double entryMassKgPerHa() {
    return massAtHeightKgPerHa(entryHeightCm);
  }

  /** All forages of the product, by id. */
  public static Map<String, Forage> loadAll() {
    Map<String, NewStand> stands =
        CsvTable.load("new_stands.csv", NewStand::of).stream()
            .collect(Collectors.toUnmodifiableMap(NewStand::forageId, Function.identity()));
    return CsvTable.load("forages.csv", r -> of(r, stands.get(r.text("id")))).stream()
        .collect(Collectors.toUnmodifiableMap(Forage::id, Function.identity()));
  }

  /** Days from planting a perennial to a light first use: in good time, and through a winter. */
  private record NewStand(String forageId, double daysLow, double daysHigh) {
    static NewStand of(CsvTable.Row r) {
      return new NewStand(
          r.text("forage_id"),
          r.number("new_stand_days_low", 10, 1000),
          r.number("new_stand_days_high", 10, 1000));
    }
  }

  private static Forage of(CsvTable.Row r, NewStand stand) {
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
        FrostResponse.valueOf(upper(r, "frost_response")),
        winterGreenShare(r),
        r.text("prussic_acid").equals("1") ? r.number("prussic_min_height_cm", 5, 120) : Double.NaN,
        r.text("endophyte_toxin").equals("1"),
        Set.of(r.text("uses").split("\\|")),
        Life.valueOf(upper(r, "life")),
        r.text("photosynthesis").equals("C4"),
        r.text("n_fixing").equals("1"),
        r.number("t_base_c", -5, 20),
        r.number("t_opt_low_c", 5, 35),
        r.number("t_opt_high_c", 10, 40),
        r.number("t_max_c", 20, 50),
        r.number("peak_growth_kg_ha_day", 0, 300),
        r.number("annual_yield_low_kg_ha", 0, 40000),
        r.number("annual_yield_typical_kg_ha", 0, 40000),
        r.number("annual_yield_high_kg_ha", 0, 40000),
        r.numberOrNaN("root_depth_cm", 10, 300),
        r.numberOrNaN("drought_hold", 0, 1),
        r.numberOrNaN("winter_hardy_c", -60, 20),
        r.numberOrNaN("winter_leave_height_cm", 1, 100),
        stand == null ? r.numberOrNaN("days_sow_to_first_use_low", 10, 400) : stand.daysLow,
        stand == null ? r.numberOrNaN("days_sow_to_first_use_high", 10, 400) : stand.daysHigh,
        r.numberOrNaN("sow_soil_temp_min_c", -5, 30),
        r.numberOrNaN("sow_soil_temp_max_c", 5, 45),
        r.text("regrows_after_use").equals("1"),
        r.number("n_kg_per_t_dm", 1, 60),
        r.number("standing_tdn_loss_points_per_month", 0, 20),
        Lodging.valueOf(upper(r, "lodging")),
        r.optional("notes"),
        r.text("bloat_risk").equals("high"),
        r.number("max_diet_share_cattle", 0.05, 1),
        r.number("max_diet_share_sheep", 0.05, 1),
        r.text("needs_conditioner").equals("1"),
        r.text("feed_as_is").equals("1"),
        Need.valueOf(upper(r, "heat_need")),
        Need.valueOf(upper(r, "water_need")),
        (r.numberOrNaN("seed_rate_low_kg_ha", 0, 10000)
                + r.numberOrNaN("seed_rate_high_kg_ha", 0, 10000))
            / 2,
        r.numberOrNaN("seed_cost_usd_per_ha", 0, 5000),
        legumeShare(r),
        Set.of(r.text("id")));
  }

  /** Of stands of two layers what the table says; of others all of it or nothing. */
  private static double winterGreenShare(CsvTable.Row r) {
    double stated = r.numberOrNaN("winter_green_share", 0, 1);
    boolean hardy = FrostResponse.valueOf(upper(r, "frost_response")) == FrostResponse.HARDY;
    return Double.isNaN(stated) ? (hardy ? 1 : 0) : stated;
  }

  private static double legumeShare(CsvTable.Row r) {
    if (r.text("group").endsWith("_legume")) {
      return 1;
    }
    return r.text("n_fixing").equals("1") ? MIXED_LEGUME_SHARE : 0;
  }

  /** Share of legumes in a mixed sward of the table. Assumption. */
  public static final double MIXED_LEGUME_SHARE = 0.3;

  /**
   * What a stock's gut must learn, as the table of learning times names it; empty for grass and
   * whatever else needs no learning.
   */
  public String learnedAs() {
    if (group.startsWith("brassica") || group.equals("kale")) {
      return "brassica";
    }
    if (bloats && legumeShare >= 0.5) {
      return "legume_bloating";
    }
    if (group.endsWith("small_grain")) {
      return "small_grain";
    }
    if (prussicAcid() && life == Life.SUMMER_ANNUAL) {
      return "sorghum_group";
    }
    return madeOf.contains("corn_residue") && cropResidue() ? "corn_residue" : "";
  }

  private static String upper(CsvTable.Row r, String column) {
    return r.text(column).toUpperCase(java.util.Locale.ROOT);
  }
}
