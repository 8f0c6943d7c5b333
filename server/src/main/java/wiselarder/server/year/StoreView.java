package wiselarder.server.year;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.store.FeedCost;
import wiselarder.core.store.FeedWorth;
import wiselarder.core.store.KnownLot;
import wiselarder.core.store.Lot;
import wiselarder.core.store.StoredFeed;
import wiselarder.core.walk.Leavings;

/** What the store's year looks like: lots, what they lose, what they are worth and cost. */
final class StoreView {
  private StoreView() {}

  /**
   * One lot's level and units at the end of each day, and what became of it over the plan.
   *
   * @param origin STORE, CUT or BOUGHT
   * @param kgPerUnitAsFed weight of a unit: stated, weighed or by its size
   * @param weighedErrorKg standard error of the mean of those weighed, or null
   * @param rindShare share of a unit lost as rind, 0 where none is stated
   * @param lostInStoreKg dry matter over the plan; {@code lostAtFeedingKg} likewise
   * @param ripeness how ripe it was when cut in the plan, else null
   * @param worthFrom where the figures of its worth come from
   * @param cost null where no cost is known
   * @param atMost what it is worth at most beside the lot with the cheapest energy, or null
   * @param leavings what was left of it where it had been set out, and how much next; or null
   */
  record LotYear(
      String id,
      String name,
      String unitName,
      String origin,
      Series levelKg,
      Series units,
      double kgPerUnitAsFed,
      Double weighedErrorKg,
      double dmShare,
      double rindShare,
      double eatenKg,
      double lostInStoreKg,
      double lostAtFeedingKg,
      int opened,
      double proteinPct,
      double tdnPct,
      double fibrePct,
      double calciumPct,
      double phosphorusPct,
      FeedWorth.From worthFrom,
      Double ripeness,
      LotCost cost,
      AtMost atMost,
      Leavings leavings) {}

  /** Cost of a lot; see the core's FeedCost. */
  record LotCost(
      double perUnit, double perTonneDm, double perTonneEaten, double perGj, double perKgProtein) {}

  /**
   * What a lot is worth at most, per tonne as fed.
   *
   * @param besideLotId the lot that it is held against
   */
  record AtMost(String besideLotId, double byEnergyPerTonneAsFed, double byProteinPerTonneAsFed) {}

  static List<LotYear> lots(YearBalance b, Catalogue catalogue) {
    Map<String, StoredFeed> feeds =
        catalogue.storedFeeds().stream()
            .collect(Collectors.toMap(StoredFeed::id, Function.identity()));
    List<KnownLot> lots = b.stated().allLots().stream().map(b.resolved().records()::lot).toList();
    List<FeedWorth> worths = new ArrayList<>();
    List<FeedCost> costs = new ArrayList<>();
    int cheapest = -1;
    for (int l = 0; l < lots.size(); l++) {
      worths.add(worth(b, l, lots.get(l), feeds));
      costs.add(FeedCost.of(lots.get(l), worths.get(l), b.lotKeptShare(l)));
      double perGj = costs.get(l).perGj();
      if (perGj > 0 && (cheapest < 0 || perGj < costs.get(cheapest).perGj())) {
        cheapest = l;
      }
    }
    List<LotYear> views = new ArrayList<>();
    for (int l = 0; l < lots.size(); l++) {
      int beside = l == cheapest ? second(costs, cheapest) : cheapest;
      AtMost most =
          beside < 0
              ? null
              : atMost(b, l, lots, worths.get(l), lots.get(beside).lot(), costs.get(beside));
      Leavings left =
          Leavings.of(b.resolved().records(), lots.get(l).lot().id(), catalogue.signs())
              .orElse(null);
      views.add(lot(b, l, lots.get(l), worths.get(l), costs.get(l), most, left));
    }
    return views;
  }

  private static int second(List<FeedCost> costs, int but) {
    int found = -1;
    for (int l = 0; l < costs.size(); l++) {
      double perGj = costs.get(l).perGj();
      if (l != but && perGj > 0 && (found < 0 || perGj < costs.get(found).perGj())) {
        found = l;
      }
    }
    return found;
  }

  private static FeedWorth worth(
      YearBalance b, int l, KnownLot lot, Map<String, StoredFeed> feeds) {
    FeedWorth worth = lot.worth(feeds);
    boolean cut = !Double.isNaN(b.lotTdnPct(l)) && lot.tests().isEmpty();
    return cut
        ? new FeedWorth(
            b.lotProteinPct(l),
            b.lotTdnPct(l),
            b.lotFibrePct(l),
            worth.calciumPct(),
            worth.phosphorusPct(),
            FeedWorth.From.CUT)
        : worth;
  }

  private static AtMost atMost(
      YearBalance b, int l, List<KnownLot> lots, FeedWorth worth, Lot beside, FeedCost cost) {
    double kept = b.lotKeptShare(l);
    double dm = lots.get(l).dryMatterShare();
    return new AtMost(
        beside.id(), cost.worthByEnergy(worth, kept) * dm, cost.worthByProtein(worth, kept) * dm);
  }

  private static LotYear lot(
      YearBalance b,
      int l,
      KnownLot known,
      FeedWorth worth,
      FeedCost cost,
      AtMost most,
      Leavings left) {
    Lot lot = known.lot();
    int own = b.stated().farm().lots().size();
    int cut = own + b.stated().plan().cuts().size();
    Double unit = lot.costPerUnit();
    return new LotYear(
        lot.id(),
        lot.name(),
        lot.unitName(),
        l < own ? "STORE" : l < cut ? "CUT" : "BOUGHT",
        Series.exact(b.days(), 1, d -> b.lotKg(l, d)),
        Series.exact(b.days(), 1, d -> b.lotUnits(l, d)),
        lot.kgPerUnitAsFed(),
        lot.size() == null ? null : YearView.orNull(lot.size().standardErrorKg()),
        known.dryMatterShare(),
        lot.size() == null ? 0 : lot.size().rindShare(),
        YearView.sum(b, d -> b.lotEatenKg(l, d)),
        b.lotLostKg(l),
        b.lotFedLostKg(l),
        (int) YearView.sum(b, d -> b.lotOpened(l, d)),
        worth.proteinPct(),
        worth.tdnPct(),
        worth.fibrePct(),
        worth.calciumPct(),
        worth.phosphorusPct(),
        worth.from(),
        Double.isNaN(b.lotTdnPct(l)) ? null : b.lotRipeness(l),
        unit == null || Double.isNaN(cost.perGj() + cost.perKgProtein())
            ? null
            : new LotCost(
                unit, cost.perTonneDm(), cost.perTonneEaten(), cost.perGj(), cost.perKgProtein()),
        most,
        left);
  }
}
