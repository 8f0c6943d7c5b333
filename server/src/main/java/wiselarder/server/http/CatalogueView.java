package wiselarder.server.http;

import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import wiselarder.core.forage.Forage;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.store.PackageSize;
import wiselarder.core.store.StoredFeed;

/** What forms offer: the product's tables, named. */
public record CatalogueView(
    List<ClimateView> climates,
    List<ForageView> forages,
    List<KindView> kinds,
    List<LossView> losses,
    List<PackageSize> packages,
    List<StoredFeed> storedFeeds) {

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
      boolean fallow,
      double yieldKgPerHa,
      TreeMap<String, Integer> usualSowingDoy,
      TreeMap<String, List<Double>> curves) {}

  /** A kind of group with what a common animal of it weighs and gains. */
  public record KindView(
      String id,
      boolean dam,
      int weaningDayDefault,
      double defaultWeightKg,
      double defaultGainKgPerDay) {}

  public record LossView(
      String id, String stage, String name, double share, double lowShare, double highShare) {}

  static CatalogueView of(Catalogue c) {
    return new CatalogueView(
        c.climates().values().stream()
            .map(x -> new ClimateView(x.id(), x.name(), x.southern()))
            .sorted(Comparator.comparing(ClimateView::name))
            .toList(),
        c.forages().values().stream()
            .map(
                f ->
                    new ForageView(
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
                        f.fallow(),
                        f.annualTypicalKgPerHa(),
                        sowings(c, f),
                        curves(c, f.id())))
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
                        c.herd().defaultGainKgPerDay(k)))
            .toList(),
        c.losses().values().stream()
            .map(
                m ->
                    new LossView(
                        m.id(), m.stage().name(), m.name(), m.share(), m.lowShare(), m.highShare()))
            .sorted(Comparator.comparing(LossView::name))
            .toList(),
        c.packages(),
        c.storedFeeds());
  }

  private static TreeMap<String, Integer> sowings(Catalogue c, Forage f) {
    TreeMap<String, Integer> days = new TreeMap<>();
    if (f.sownYearly()) {
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
