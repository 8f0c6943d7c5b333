package wiselarder.core.winter;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.herd.Nutrients;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.resolved.ResolvedPlan.LotPlan;
import wiselarder.core.store.Lot;
import wiselarder.core.store.StoredFeed;
import wiselarder.core.winter.BaleWinter.Blend;

/** Units of one lot among bales being laid. */
final class BaleUnits {
  private final YearBalance year;
  final int lot;

  /** Units of it that are set out on fields before these. */
  private final int before;

  /** Day on which each unit of the lot is opened, in that order. */
  final List<Integer> openedOn = new ArrayList<>();

  int lastEaten = -1;

  BaleUnits(YearBalance year, String lotId, Map<String, Integer> takenBefore) {
    this.year = year;
    this.before = takenBefore.getOrDefault(lotId, 0);
    this.lot = year.stated().allLots().stream().map(Lot::id).toList().indexOf(lotId);
    for (int d = 0; d < year.days(); d++) {
      for (int n = year.lotOpened(lot, d); n > 0; n--) {
        openedOn.add(d);
      }
      lastEaten = year.lotEatenKg(lot, d) > 0 ? d : lastEaten;
    }
  }

  /** How many of so many laid ones the year opens. */
  int opened(int laid) {
    return Math.max(0, Math.min(laid, openedOn.size() - before));
  }

  /** The day on which the one at a place is opened; -1 where the year does not come to it. */
  int day(int place) {
    int unit = before + place;
    return unit < openedOn.size() ? openedOn.get(unit) : -1;
  }

  LotPlan plan() {
    return year.resolved().lots[lot];
  }

  /** Dry matter of one as it is opened, its crust included, kg. */
  double unitKg(int day) {
    LotPlan l = plan();
    return l.kgPerUnit * Math.pow(l.keptPerDay, Math.max(0, day - Math.max(0, l.arrives)));
  }

  double proteinPct() {
    double cutAt = year.lotProteinPct(lot);
    return Double.isNaN(cutAt) ? plan().worth[PROTEIN] : cutAt;
  }

  Blend blend(double costPerTonneDm) {
    return new Blend(
        proteinPct(), plan().worth[TDN], Double.isNaN(costPerTonneDm) ? null : costPerTonneDm);
  }

  /** NaN where nothing of it is known. */
  double costPerUnit() {
    Double cost = plan().lot.costPerUnit();
    return cost == null ? Double.NaN : cost;
  }

  Nutrients in(double kg, Catalogue tables) {
    String feedId = plan().lot.origin().feedId();
    double k =
        tables.storedFeeds().stream()
            .filter(f -> f.id().equals(feedId))
            .mapToDouble(StoredFeed::potassiumPct)
            .findFirst()
            .orElse(COMMON_K_PCT);
    return Nutrients.in(kg, proteinPct(), plan().worth[PHOSPHORUS], k);
  }

  /** Potassium where nobody says what feed it is, percent of DM; common grass hay. Assumption. */
  private static final double COMMON_K_PCT = 2.0;

  private static final int PROTEIN = 0;
  private static final int TDN = 1;
  private static final int PHOSPHORUS = 4;
}
