package wiselarder.core.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import wiselarder.core.forage.CropUses;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrainStages;
import wiselarder.core.forage.GrowthCurve;
import wiselarder.core.forage.GrowthTable;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.forage.LearningTimes;
import wiselarder.core.forage.MixtureTable;
import wiselarder.core.forage.OwnForage;
import wiselarder.core.forage.PlateTable;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.forage.Readiness;
import wiselarder.core.forage.RotationTable;
import wiselarder.core.forage.SowingTable;
import wiselarder.core.forage.SwardSigns;
import wiselarder.core.forage.WeedKey;
import wiselarder.core.herd.HerdTables;
import wiselarder.core.land.BufferRule;
import wiselarder.core.land.CropCalibration;
import wiselarder.core.land.Stand;
import wiselarder.core.land.UsualYears;
import wiselarder.core.price.FarmPrices;
import wiselarder.core.price.OwnPrice;
import wiselarder.core.price.PriceTable;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.LossMethod;
import wiselarder.core.store.PackageSize;
import wiselarder.core.store.StoredFeed;
import wiselarder.core.weather.Climate;

/** The product's tables, loaded once and passed to whatever needs them. */
public record Catalogue(
    Map<String, Climate> climates,
    Map<String, Forage> forages,
    GrowthTable growth,
    HerdTables herd,
    Map<String, LossMethod> losses,
    List<PackageSize> packages,
    List<StoredFeed> storedFeeds,
    CropCalibration crops,
    UsualYears usual,
    DrySeasons drySeasons,
    QualityTable quality,
    LearningTimes learning,
    List<BufferRule> buffers,
    RotationTable rotation,
    HeightTable heights,
    SwardSigns signs,
    Map<String, Readiness> readiness,
    GrainStages stages,
    PlateTable plates,
    WeedKey weeds,
    PriceTable prices,
    MixtureTable mixtures) {

  /** Loads and checks every table. */
  public static Catalogue load() {
    Map<String, Forage> forages = Forage.loadAll();
    UsualYears usual = new UsualYears();
    return new Catalogue(
        Climate.loadAll(),
        forages,
        GrowthTable.load(),
        HerdTables.load(),
        LossMethod.loadAll(),
        PackageSize.loadAll(),
        StoredFeed.loadAll(),
        new CropCalibration(SowingTable.load(), CropUses.load(), usual),
        usual,
        new DrySeasons(),
        QualityTable.load(forages),
        LearningTimes.load(),
        BufferRule.loadAll(),
        RotationTable.load(),
        HeightTable.load(forages),
        SwardSigns.load(),
        Readiness.loadAll(),
        GrainStages.load(),
        PlateTable.load(),
        WeedKey.load(),
        PriceTable.load(),
        MixtureTable.load(forages));
  }

  /** The tables as they hold on a farm: with the keeper's own forages, where there are any. */
  public Catalogue on(Farm farm) {
    if (farm.forages().isEmpty()) {
      return this;
    }
    Own key = new Own(growth, farm.forages());
    Catalogue kept = KEPT.get(key);
    if (kept == null) {
      kept = with(farm);
      if (KEPT.size() >= MOST_KEPT) {
        KEPT.clear();
      }
      KEPT.put(key, kept);
    }
    return kept;
  }

  /** Own forages change seldom and are asked for at every year: made once, a few of them kept. */
  private static final Map<Own, Catalogue> KEPT = new ConcurrentHashMap<>();

  private static final int MOST_KEPT = 50;

  /** The tables that they were put to, which are one object, and the forages. */
  private record Own(GrowthTable tables, List<OwnForage> forages) {
    @Override
    public boolean equals(Object other) {
      return other instanceof Own o && o.tables == tables && o.forages.equals(forages);
    }

    @Override
    public int hashCode() {
      return 31 * System.identityHashCode(tables) + forages.hashCode();
    }
  }

  private Catalogue with(Farm farm) {
    Map<String, Forage> all = new HashMap<>(forages);
    for (OwnForage own : farm.forages()) {
      for (OwnForage.Part part : own.parts()) {
        known(forages, "part.forageId", part.forageId());
      }
      all.put(own.id(), own.of(forages));
    }
    return new Catalogue(
        climates,
        Map.copyOf(all),
        growth.with(farm.forages()),
        herd,
        losses,
        packages,
        storedFeeds,
        crops,
        usual,
        drySeasons,
        quality.with(farm.forages(), all),
        learning,
        buffers,
        rotation,
        heights.with(farm.forages(), Map.copyOf(all)),
        signs,
        readiness,
        stages,
        plates,
        weeds,
        prices,
        mixtures);
  }

  /** What is sown of a forage: itself, or the parts of one of the keeper's own, with shares. */
  public Map<String, Double> partsOf(Farm farm, String forageId) {
    for (OwnForage own : farm.forages()) {
      if (own.id().equals(forageId)) {
        Map<String, Double> parts = new HashMap<>();
        own.parts().forEach(p -> parts.put(p.forageId(), own.shareOf(p)));
        return parts;
      }
    }
    return Map.of(forageId, 1.0);
  }

  /**
   * When a young stand of a forage may be opened: of one of the keeper's own by the part that must
   * be tallest; null where there is no rule.
   */
  public Readiness readinessOf(Farm farm, String forageId) {
    return partsOf(farm, forageId).keySet().stream()
        .map(readiness::get)
        .filter(java.util.Objects::nonNull)
        .max(java.util.Comparator.comparingDouble(r -> r.openCm(false)))
        .orElse(null);
  }

  /** Prices as they hold on a farm. */
  public FarmPrices pricesOn(Farm farm) {
    return new FarmPrices(
        prices, farm.currency(), climate(farm.climateId()).southern(), farm.prices());
  }

  /**
   * Refuses a farm with a price of its own for something that has none in the table.
   *
   * @throws Refused where there is one
   */
  public void checkPrices(Farm farm) {
    for (OwnPrice price : farm.prices()) {
      if (prices.row(price.id()).isEmpty()) {
        throw new Refused(CoreReason.UNKNOWN_ID, "price.id", price.id());
      }
    }
  }

  public Climate climate(String id) {
    return known(climates, "farm.climateId", id);
  }

  public Forage forage(String id) {
    return known(forages, "stand.forageId", id);
  }

  public LossMethod loss(String field, String id, LossMethod.Stage stage) {
    LossMethod method = known(losses, field, id);
    if (method.stage() != stage) {
      throw new Refused(CoreReason.NOT_A_WAY, field, id, stage.name());
    }
    return method;
  }

  /**
   * Growth of a stand: the user's twelve rates; else the climate's curve, scaled to the stated
   * yield; none for a crop residue.
   */
  public GrowthCurve growthOf(Stand stand, String climateId) {
    if (stand.monthlyKgPerHaDay() != null) {
      return new GrowthCurve(stand.monthlyKgPerHaDay());
    }
    if (!forage(stand.forageId()).grows()) {
      return new GrowthCurve(java.util.Collections.nCopies(12, 0.0));
    }
    GrowthCurve curve =
        growth
            .curve(climateId, stand.forageId())
            .orElseThrow(
                () ->
                    new Refused(
                        CoreReason.NO_CURVE,
                        "stand.monthlyKgPerHaDay",
                        stand.forageId(),
                        climateId));
    return stand.yieldKgPerHa() == null ? curve : curve.scaledTo(stand.yieldKgPerHa());
  }

  private static <T> T known(Map<String, T> map, String field, String id) {
    T found = id == null ? null : map.get(id);
    if (found == null) {
      throw new Refused(CoreReason.UNKNOWN_ID, field, id);
    }
    return found;
  }
}
