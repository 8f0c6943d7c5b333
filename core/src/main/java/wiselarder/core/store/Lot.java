package wiselarder.core.store;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wiselarder.core.quantity.Check;

/**
 * A lot of equal units of one stored feed, as stated on the day it comes in (or the plan's first
 * day).
 *
 * @param unitName what one unit is called, e.g. {@code round bale}
 * @param kgPerUnitAsFed weight of a unit as it stands, water included; where a size says it, that
 *     one holds
 * @param dmShare dry matter as a share of that weight, until a test reports it
 * @param pricePerTonneAsFed what it was bought for, in the farm's currency, or null
 * @param origin null: nothing is said
 * @param size weighed or measured units, or null
 * @param reserve units kept back for a season, or null
 * @param tests reports, in any order; null or empty for none
 */
public record Lot(
    String id,
    String name,
    String unitName,
    int units,
    double kgPerUnitAsFed,
    double dmShare,
    String storageMethodId,
    String feedingMethodId,
    Double pricePerTonneAsFed,
    String note,
    Origin origin,
    UnitSize size,
    Reserve reserve,
    List<FeedTest> tests) {
  private static final int MOST_TESTS = 50;

  public Lot {
    id = Check.text("lot.id", id, 80);
    name = Check.text("lot.name", name, 60);
    unitName = Check.text("lot.unitName", unitName, 40);
    Check.range("lot.units", units, 0, 1000000);
    if (size != null && !Double.isNaN(size.kgAsFed())) {
      kgPerUnitAsFed = size.kgAsFed();
    }
    Check.range("lot.kgPerUnitAsFed", kgPerUnitAsFed, 1, 5000);
    Check.range("lot.dmShare", dmShare, 0.1, 1);
    Check.text("lot.storageMethodId", storageMethodId, 60);
    Check.text("lot.feedingMethodId", feedingMethodId, 60);
    if (pricePerTonneAsFed != null) {
      Check.range("lot.pricePerTonneAsFed", pricePerTonneAsFed, 0, 100000);
    }
    note = Check.note("lot.note", note, 4000);
    origin = origin == null ? Origin.UNSAID : origin;
    tests =
        tests == null
            ? List.of()
            : tests.stream().sorted(Comparator.comparing(FeedTest::sampledOn)).toList();
    Check.range("lot.tests", tests.size(), 0, MOST_TESTS);
  }

  /** A lot of which no more is said. */
  public Lot(
      String id,
      String name,
      String unitName,
      int units,
      double kgPerUnitAsFed,
      double dmShare,
      String storageMethodId,
      String feedingMethodId,
      Double pricePerTonneAsFed,
      String note) {
    this(
        id,
        name,
        unitName,
        units,
        kgPerUnitAsFed,
        dmShare,
        storageMethodId,
        feedingMethodId,
        pricePerTonneAsFed,
        note,
        null,
        null,
        null,
        null);
  }

  /** As many others of the same make, with nothing kept back. */
  public Lot like(String otherId, String otherName, int otherUnits) {
    return with(otherId, otherName, otherUnits, null, tests);
  }

  /** The same lot with one more report, in place of an older one with its id. */
  public Lot withTest(FeedTest test) {
    List<FeedTest> all = new java.util.ArrayList<>(tests);
    all.removeIf(t -> t.id().equals(test.id()));
    all.add(test);
    return with(id, name, units, reserve, all);
  }

  private Lot with(String otherId, String called, int many, Reserve kept, List<FeedTest> reports) {
    return new Lot(
        otherId,
        called,
        unitName,
        many,
        kgPerUnitAsFed,
        dmShare,
        storageMethodId,
        feedingMethodId,
        pricePerTonneAsFed,
        note,
        origin,
        size,
        kept,
        reports);
  }

  /** Dry matter of one unit as it comes in, kg. */
  public double kgDmPerUnit() {
    return kgPerUnitAsFed * dryMatterShare();
  }

  /** Dry matter as a share of weight: the newest report's, else what was stated. */
  public double dryMatterShare() {
    double share = dmShare;
    for (FeedTest t : tests) {
      share = t.dmShare() == null ? share : t.dmShare();
    }
    return share;
  }

  /** The newest report, or none. */
  public Optional<FeedTest> newestTest() {
    return tests.isEmpty() ? Optional.empty() : Optional.of(tests.get(tests.size() - 1));
  }

  /** Day since which it loses worth: of the newest report, else unknown. */
  public Optional<LocalDate> testedOn() {
    return newestTest().map(FeedTest::sampledOn);
  }

  /** The newest nitrate reported, percent of DM, or none. */
  public Optional<Double> nitratePct() {
    return tests.stream()
        .map(FeedTest::nitratePct)
        .filter(java.util.Objects::nonNull)
        .reduce((older, newer) -> newer);
  }

  /** What it is worth: by its tests, else by the table, else as common grass hay. */
  public FeedWorth worth(Map<String, StoredFeed> feeds) {
    StoredFeed feed = origin.feedId() == null ? null : feeds.get(origin.feedId());
    FeedWorth worth = feed == null ? FeedWorth.COMMON_HAY : feed.worth();
    for (FeedTest t : tests) {
      worth = worth.tested(t);
    }
    return worth;
  }

  /** What one unit cost: bought, made and hauled; null where nothing of it is known. */
  public Double costPerUnit() {
    if (pricePerTonneAsFed == null
        && origin.makingPerUnit() == null
        && origin.haulingPerUnit() == null) {
      return null;
    }
    return (pricePerTonneAsFed == null ? 0 : pricePerTonneAsFed * kgPerUnitAsFed / 1000)
        + (origin.makingPerUnit() == null ? 0 : origin.makingPerUnit())
        + (origin.haulingPerUnit() == null ? 0 : origin.haulingPerUnit());
  }
}
