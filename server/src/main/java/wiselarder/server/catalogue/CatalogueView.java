package wiselarder.server.catalogue;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.herd.BodyCondition;
import wiselarder.core.herd.ConditionGuide;
import wiselarder.core.land.BufferRule;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Farm;
import wiselarder.core.store.PackageSize;
import wiselarder.core.store.StoredFeed;
import wiselarder.core.store.UnitSize;

/** What forms offer: the product's tables, named. */
public record CatalogueView(
    List<ClimateView> climates,
    List<ForageView> forages,
    List<KindView> kinds,
    List<LossView> losses,
    List<PackageView> packages,
    List<StoredFeed> storedFeeds,
    List<BufferRule> buffers) {

  /** A climate to choose from. */
  public record ClimateView(String id, String name, boolean southern) {}

  /**
   * A forage with the covers that hold by default and its growth in each climate that has a curve.
   */
  public record ForageView(
      String id,
      String name,
      double minResidualKgPerHa,
      double entryKgPerHa,
      double ceilingKgPerHa,
      double utilizationSetStocked,
      double utilizationRotational,
      double utilizationStrip,
      boolean canStockpile,
      boolean canCut,
      boolean cropResidue,
      boolean prussicAcid,
      boolean toxicEndophyte,
      boolean sownYearly,
      boolean sownToStay,
      @Schema(nullable = true) Double daysToFirstUseLow,
      @Schema(nullable = true) Double daysToFirstUseHigh,
      boolean fallow,
      double yieldKgPerHa,
      TreeMap<String, Integer> usualSowingDoy,
      RulesView rules,
      List<WorthView> worth,
      TreeMap<String, List<Double>> curves) {}

  /** What else holds for a forage; heights null where it has none. */
  public record RulesView(
      String group,
      Forage.Life life,
      boolean warmSeason,
      boolean fixesNitrogen,
      Forage.FrostResponse frostResponse,
      Forage.Lodging lodging,
      double baseC,
      double optimumLowC,
      double optimumHighC,
      double maximumC,
      Double rootDepthCm,
      Double droughtHoldShare,
      Double winterHardyC,
      Double entryHeightCm,
      Double exitHeightCm,
      Double regrazeHeightCm,
      Double winterLeaveHeightCm,
      Double cutHeightCm,
      Double dmPerCmKgPerHa,
      double yieldLowKgPerHa,
      double yieldHighKgPerHa,
      double senescenceShare,
      double standingLossShare,
      Double useByDays,
      List<String> uses,
      double legumeShare,
      double mostShareCattle,
      double mostShareSheep,
      boolean thickStems,
      boolean hayEatenAsIs,
      Forage.Need heatNeed,
      Forage.Need waterNeed,
      Double seedCostUsdPerHa,
      String learnedAs,
      String note) {}

  /** Feed value at one stage, percent of DM. */
  public record WorthView(String stage, double proteinPct, double tdnPct, double fibrePct) {}

  /** A kind of group with what a common animal of it weighs and gains; no guide for some. */
  public record KindView(
      String id,
      boolean dam,
      int weaningDayDefault,
      double defaultWeightKg,
      double defaultGainKgPerDay,
      BodyCondition scale,
      ConditionGuide guide) {}

  /** A common unit; {@code size} null for what is no bale. */
  public record PackageView(
      String id,
      String name,
      String shape,
      double volumeM3,
      double lowKg,
      double typicalKg,
      double highKg,
      double densityKgPerM3,
      double rindCm,
      UnitSize size) {}

  private static PackageView size(PackageSize p) {
    return new PackageView(
        p.id(),
        p.name(),
        p.shape(),
        p.volumeM3(),
        p.lowKg(),
        p.typicalKg(),
        p.highKg(),
        p.densityKgPerM3(),
        p.rindCm(),
        p.size());
  }

  /** A way of making, storing or feeding, with what is lost. */
  public record LossView(
      String id, String stage, String name, double share, double lowShare, double highShare) {}

  public static CatalogueView of(Catalogue c) {
    return new CatalogueView(
        c.climates().values().stream()
            .map(x -> new ClimateView(x.id(), x.name(), x.southern()))
            .sorted(Comparator.comparing(ClimateView::name))
            .toList(),
        c.forages().values().stream()
            .map(f -> forage(c, f))
            .sorted(Comparator.comparing(ForageView::name))
            .toList(),
        c.herd().kinds().stream()
            .map(
                k ->
                    new KindView(
                        k,
                        c.herd().isDam(k),
                        c.herd().weaningDayDefault(k),
                        c.herd().defaultWeightKg(k),
                        c.herd().defaultGainKgPerDay(k),
                        BodyCondition.of(k),
                        c.herd().conditionGuide(k)))
            .toList(),
        c.losses().values().stream()
            .map(
                m ->
                    new LossView(
                        m.id(), m.stage().name(), m.name(), m.share(), m.lowShare(), m.highShare()))
            .sorted(Comparator.comparing(LossView::name))
            .toList(),
        c.packages().stream().map(CatalogueView::size).toList(),
        c.storedFeeds(),
        c.buffers());
  }

  /** A farm's own forages, by name. */
  public static List<ForageView> own(Catalogue product, Farm farm) {
    Catalogue c = product.on(farm);
    return farm.forages().stream()
        .map(own -> forage(c, c.forage(own.id())))
        .sorted(Comparator.comparing(ForageView::name))
        .toList();
  }

  private static ForageView forage(Catalogue c, Forage f) {
    return new ForageView(
        f.id(),
        f.name(),
        f.minResidualKgPerHa(),
        f.cropResidue() ? f.ceilingKgPerHa() : f.entryMassKgPerHa(),
        f.ceilingKgPerHa(),
        f.utilizationSetStocked(),
        f.utilizationRotational(),
        f.utilizationStrip(),
        f.canStockpile(),
        f.canCut(),
        f.cropResidue(),
        f.prussicAcid(),
        f.toxicEndophyte(),
        f.sownYearly(),
        f.sownToStay(),
        orNull(f.daysToFirstUseLow()),
        orNull(f.daysToFirstUseHigh()),
        f.fallow(),
        f.annualTypicalKgPerHa(),
        sowings(c, f),
        rules(f),
        worth(c, f),
        curves(c, f.id()));
  }

  private static RulesView rules(Forage f) {
    return new RulesView(
        f.group(),
        f.life(),
        f.warmSeason(),
        f.fixesNitrogen(),
        f.frostResponse(),
        f.lodging(),
        f.baseC(),
        f.optimumLowC(),
        f.optimumHighC(),
        f.maximumC(),
        orNull(f.rootDepthCm()),
        orNull(f.droughtHold()),
        orNull(f.winterHardyC()),
        orNull(f.entryHeightCm()),
        orNull(f.exitHeightCm()),
        orNull(f.regrazeHeightCm()),
        orNull(f.winterLeaveHeightCm()),
        orNull(f.cutHeightCm()),
        orNull(f.dmPerCmKgPerHa()),
        f.annualLowKgPerHa(),
        f.annualHighKgPerHa(),
        f.senescencePerDay(),
        f.standingLossPerMonth(),
        orNull(f.stockpileUseByDays()),
        f.uses().stream().sorted().toList(),
        f.legumeShare(),
        f.mostShareCattle(),
        f.mostShareSheep(),
        f.thickStems(),
        f.hayEatenAsIs(),
        f.heatNeed(),
        f.waterNeed(),
        orNull(f.seedCostUsdPerHa()),
        f.learnedAs(),
        f.note());
  }

  private static final List<String> STAGES =
      List.of("leafy", "full leaf", "boot or bud", "heading or bloom", "ripe");

  private static List<WorthView> worth(Catalogue c, Forage f) {
    QualityTable.Values values = c.quality().of(f.id());
    List<WorthView> views = new ArrayList<>();
    if (values == null) {
      return views;
    }
    for (int s = 0; s < STAGES.size() && f.grows(); s++) {
      double maturity = s / (STAGES.size() - 1.0);
      views.add(
          new WorthView(
              STAGES.get(s),
              values.green(QualityTable.Values.PROTEIN, maturity),
              values.green(QualityTable.Values.TDN, maturity),
              values.green(QualityTable.Values.FIBRE, maturity)));
    }
    views.add(kept("kept standing, early", values.early()));
    views.add(kept("kept standing, late", values.late()));
    return views;
  }

  private static WorthView kept(String stage, double[] worth) {
    return new WorthView(stage, worth[0], worth[1], worth[2]);
  }

  private static Double orNull(double value) {
    return Double.isNaN(value) ? null : value;
  }

  private static TreeMap<String, Integer> sowings(Catalogue c, Forage f) {
    TreeMap<String, Integer> days = new TreeMap<>();
    if (f.sownYearly() || f.sownToStay()) {
      c.climates().values().forEach(x -> days.put(x.id(), c.crops().usualSowingDoy(f, x)));
    }
    return days;
  }

  private static TreeMap<String, List<Double>> curves(Catalogue c, String forageId) {
    TreeMap<String, List<Double>> curves = new TreeMap<>();
    c.climates()
        .keySet()
        .forEach(
            id ->
                c.growth()
                    .curve(id, forageId)
                    .ifPresent(k -> curves.put(id, k.monthlyKgPerHaDay())));
    return curves;
  }
}
