package wiselarder.server.laboratory;

import java.time.Duration;
import java.time.LocalDate;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import wiselarder.core.engine.Engine;
import wiselarder.core.store.FeedTest;
import wiselarder.core.store.FeedWorth;
import wiselarder.core.store.Lot;
import wiselarder.core.store.StoredFeed;

/**
 * A stand-in: it draws what a real laboratory might find about the table's figures, with the spread
 * between lots that the table gives. Seeded by the sample, so that a report never changes. It knows
 * nothing of any real hay and says so on every report.
 */
@Component
class SimulatedLaboratory implements ForageLaboratory {
  /** Crops that can hold much nitrate. */
  private static final Set<String> NITRATE_PRONE =
      Set.of(
          "hay_oat",
          "hay_small_grain",
          "hay_millet",
          "hay_sorghum_sudan",
          "hay_crabgrass",
          "haylage_small_grain",
          "silage_sorghum",
          "silage_cereal",
          "straw_oat",
          "straw_corn_stalk");

  private final Map<String, StoredFeed> feeds;
  private final Duration turnaround;

  SimulatedLaboratory(
      Engine engine, @Value("${larder.laboratory.turnaround}") Duration turnaround) {
    this.feeds =
        engine.catalogue().storedFeeds().stream()
            .collect(Collectors.toMap(StoredFeed::id, Function.identity()));
    this.turnaround = turnaround;
  }

  @Override
  public String name() {
    return "Simulated laboratory, not a real test";
  }

  @Override
  public Duration turnaround() {
    return turnaround;
  }

  @Override
  public FeedTest report(String sample, Lot lot, LocalDate sampledOn, LocalDate reportedOn) {
    Random random = new Random(sample.hashCode());
    FeedWorth worth = lot.worth(feeds);
    boolean prone = NITRATE_PRONE.contains(String.valueOf(lot.origin().feedId()));
    double nitrate = (prone ? 0.6 : 0.12) * Math.exp(0.6 * random.nextGaussian());
    return new FeedTest(
        sample,
        sampledOn,
        reportedOn,
        name(),
        within(lot.dmShare() + 0.015 * random.nextGaussian(), 0.15, 0.97, 3),
        within(worth.proteinPct() * (1 + 0.10 * random.nextGaussian()), 1, 60, 1),
        within(worth.tdnPct() + 2.0 * random.nextGaussian(), 30, 92, 1),
        within(worth.fibrePct() + 2.5 * random.nextGaussian(), 5, 85, 1),
        within(worth.calciumPct() * (1 + 0.15 * random.nextGaussian()), 0.02, 5, 2),
        within(worth.phosphorusPct() * (1 + 0.15 * random.nextGaussian()), 0.02, 5, 2),
        within(nitrate, 0, 6, 2));
  }

  private static double within(double value, double low, double high, int digits) {
    double scale = Math.pow(10, digits);
    return Math.round(Math.max(low, Math.min(high, value)) * scale) / scale;
  }
}
