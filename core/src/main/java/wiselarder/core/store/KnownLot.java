package wiselarder.core.store;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * A lot as it was stated, with what laboratories reported of it.
 *
 * @param tests sorted by the day of the sample
 */
public record KnownLot(Lot lot, List<FeedTest> tests) {
  public KnownLot {
    tests = tests.stream().sorted(Comparator.comparing(FeedTest::sampledOn)).toList();
  }

  /** Dry matter as a share of weight: the newest report's, else what was stated. */
  public double dryMatterShare() {
    double share = lot.dmShare();
    for (FeedTest t : tests) {
      share = t.dmShare() == null ? share : t.dmShare();
    }
    return share;
  }

  /** Dry matter of one unit as it comes in, kg. */
  public double kgDmPerUnit() {
    return lot.kgPerUnitAsFed() * dryMatterShare();
  }

  /** The newest nitrate reported, percent of DM, or none. */
  public Optional<Double> nitratePct() {
    return tests.stream()
        .map(FeedTest::nitratePct)
        .filter(Objects::nonNull)
        .reduce((older, newer) -> newer);
  }

  /** What it is worth: by its tests, else by the table, else as common grass hay. */
  public FeedWorth worth(Map<String, StoredFeed> feeds) {
    FeedWorth worth = lot.worth(feeds);
    for (FeedTest t : tests) {
      worth = worth.tested(t);
    }
    return worth;
  }

  /** As many others of the same make, as dry as this one, untested and with nothing kept back. */
  public Lot like(String otherId, String otherName, int otherUnits) {
    return lot.like(otherId, otherName, otherUnits, dryMatterShare());
  }
}
