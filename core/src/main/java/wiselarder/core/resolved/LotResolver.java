package wiselarder.core.resolved;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.caution.Caution;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.Water;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Purchase;
import wiselarder.core.records.Fact;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.LotCounted;
import wiselarder.core.records.LotFed;
import wiselarder.core.resolved.ResolvedPlan.LotPlan;
import wiselarder.core.resolved.ResolvedPlan.LotRecords;
import wiselarder.core.store.FeedTest;
import wiselarder.core.store.FeedWorth;
import wiselarder.core.store.KnownLot;
import wiselarder.core.store.LossMethod;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Reserve;
import wiselarder.core.store.StoredFeed;

/** Lots as stated against the tables: losses, worth, what is kept back and written down. */
final class LotResolver {
  /** Most of the diet of feed whose nitrate asks for mixing. */
  private static final double NITRATE_MIXED_SHARE = 0.5;

  private final ResolvedPlan plan;
  private final Catalogue catalogue;
  private final PlanYear year;
  private final Map<String, StoredFeed> feeds;
  private final List<LotPlan> resolved = new ArrayList<>();

  LotResolver(ResolvedPlan plan, Catalogue catalogue) {
    this.plan = plan;
    this.catalogue = catalogue;
    this.year = plan.year;
    this.feeds =
        catalogue.storedFeeds().stream()
            .collect(Collectors.toMap(StoredFeed::id, Function.identity()));
  }

  LotPlan[] resolve(Map<String, Integer> index, Map<String, Integer> fields) {
    for (Lot lot : plan.stated.farm().lots()) {
      add(lot, 0);
    }
    for (HayCut cut : plan.stated.plan().cuts()) {
      LotPlan l = add(cut.lot(), year.day(cut.date()));
      l.units = 0;
      l.fromCut = true;
    }
    for (Purchase purchase : plan.stated.plan().purchases()) {
      add(purchase.lot(), year.day(purchase.date())).bought = true;
    }
    for (int l = 0; l < resolved.size(); l++) {
      index.put(resolved.get(l).lot.id(), l);
    }
    for (BaleField bales : plan.stated.plan().bales()) {
      int others = bales.others(bales.bales());
      int field = fields.get(bales.fieldId());
      setOut(resolved.get(index.get(bales.lotId())), bales.bales() - others, field);
      if (others > 0) {
        setOut(resolved.get(index.get(bales.mixed().lotId())), others, field);
      }
    }
    plan.records.each(LotFed.class, (r, f) -> fed(records(index, f, r), year.day(r.on()), f));
    // once it is known when all of them were
    Set<String> fedBefore = new HashSet<>();
    plan.records.each(
        LotFed.class,
        (r, f) -> {
          if (r.on().isBefore(year.start())) {
            fedBefore.add(f.lotId());
          }
        });
    plan.records.each(
        LotFed.class,
        (r, f) -> left(records(index, f, r), year.day(r.on()), f, fedBefore.contains(f.lotId())));
    plan.records.each(
        LotCounted.class, (r, f) -> counted(records(index, f, r), year.day(r.on()), f));
    return resolved.toArray(LotPlan[]::new);
  }

  private static void setOut(LotPlan l, int units, int field) {
    int n = l.setOutTo.length;
    l.setOutTo = Arrays.copyOf(l.setOutTo, n + 1);
    l.setOutOn = Arrays.copyOf(l.setOutOn, n + 1);
    l.setOutTo[n] = (n == 0 ? 0 : l.setOutTo[n - 1]) + units;
    l.setOutOn[n] = field;
  }

  private LotPlan add(Lot lot, int arrives) {
    LossMethod storage =
        catalogue.loss("lot.storageMethodId", lot.storageMethodId(), LossMethod.Stage.STORAGE);
    KnownLot known = plan.records.lot(lot);
    LotPlan l = new LotPlan();
    l.lot = lot;
    l.units = lot.units();
    l.kgPerUnit = known.kgDmPerUnit();
    boolean rind = lot.size() != null && lot.size().rindCm() != null;
    // rind and the way of storing are two views of one loss: one of them is applied
    l.keptPerDay = rind ? 1 : storage.keptPerDay();
    l.lostAtOpening = rind ? lot.size().rindShare() : storage.lostAtOpening();
    l.feeding =
        catalogue.loss("lot.feedingMethodId", lot.feedingMethodId(), LossMethod.Stage.FEEDING);
    l.arrives = arrives;
    worth(l, known, storage);
    l.waterLPerKg = Water.inFeedPerKg(known.dryMatterShare());
    l.mostShare = mostShare(known);
    l.barred = new boolean[plan.stated.farm().groups().size()];
    bar(l);
    reserve(l, lot.reserve());
    resolved.add(l);
    return l;
  }

  private void worth(LotPlan l, KnownLot lot, LossMethod storage) {
    FeedWorth w = lot.worth(feeds);
    l.worth =
        new double[] {w.proteinPct(), w.tdnPct(), w.fibrePct(), w.calciumPct(), w.phosphorusPct()};
    boolean yearly = storage.per() == LossMethod.Per.PER_YEAR;
    l.tdnLostPerDay = yearly ? storage.tdnLossPoints() / 365 : 0;
    l.tdnLostAtOpening = yearly ? 0 : storage.tdnLossPoints();
  }

  /** The feed's own ceiling, and half where nitrate asks for mixing. */
  private double mostShare(KnownLot lot) {
    String feedId = lot.lot().origin().feedId();
    StoredFeed feed = feedId == null ? null : feeds.get(feedId);
    double most = feed == null ? 1 : feed.maxShareOfDiet();
    boolean mixed = lot.nitratePct().orElse(0.0) > FeedTest.NITRATE_MIX_PCT;
    return mixed ? Math.min(most, NITRATE_MIXED_SHARE) : most;
  }

  /** What a caution closes, for one group or for all. */
  private void bar(LotPlan l) {
    List<AnimalGroup> groups = plan.stated.farm().groups();
    for (Caution c : plan.cautions) {
      if (c.blocks() && l.lot.id().equals(c.lotId())) {
        for (int g = 0; g < groups.size(); g++) {
          l.barred[g] |= c.groupId() == null || c.groupId().equals(groups.get(g).id());
        }
      }
    }
  }

  /**
   * Kept back until the first season of the reserve in the plan begins; not at all where the plan
   * begins within one.
   */
  private void reserve(LotPlan l, Reserve reserve) {
    if (reserve == null) {
      return;
    }
    int begins = Integer.MAX_VALUE;
    for (int from : year.occurrences(reserve.fromInclusive(), 2)) {
      LocalDate start = year.date(from);
      LocalDate end = reserve.toExclusive().atYear(start.getYear());
      if (!end.isAfter(start)) {
        end = reserve.toExclusive().atYear(start.getYear() + 1);
      }
      if (year.day(end) > 0) {
        begins = Math.min(begins, Math.max(0, from));
      }
    }
    l.keptBack = reserve.units();
    l.keptBackTo = Math.min(plan.days, begins);
  }

  /** Where what was written down of a lot goes; null where the plan has no such lot or day. */
  private LotRecords records(Map<String, Integer> index, Fact fact, FarmRecord r) {
    Integer at = index.get(fact.lotId());
    int day = year.day(r.on());
    if (at == null || day < 0 || day >= plan.days) {
      return null;
    }
    LotPlan l = resolved.get(at);
    if (l.records == null) {
      l.records = new LotRecords(plan.days);
    }
    return l.records;
  }

  private static void fed(LotRecords records, int day, LotFed fed) {
    if (records != null) {
      records.fed[day] += fed.units();
      records.firstFed = Math.min(records.firstFed, day);
      records.lastFed = Math.max(records.lastFed, day);
    }
  }

  /**
   * What was left is of the feeding before: of its day and all days to this one.
   *
   * @param fedBefore whether it was fed before the plan's first day
   */
  private static void left(LotRecords records, int day, LotFed fed, boolean fedBefore) {
    if (records == null || fed.leftShare() == null) {
      return;
    }
    int before = day - 1;
    while (before >= 0 && records.fed[before] == 0) {
      before--;
    }
    if (before >= 0 || fedBefore) {
      Arrays.fill(records.left, Math.max(0, before), day, fed.leftShare());
      records.look(day, fed.leftShare());
    }
  }

  private static void counted(LotRecords records, int day, LotCounted counted) {
    if (records != null) {
      records.counted[day] = counted.units();
    }
  }
}
