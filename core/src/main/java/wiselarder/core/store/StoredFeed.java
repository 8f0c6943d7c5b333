package wiselarder.core.store;

import java.util.List;
import wiselarder.core.reference.CsvTable;

/**
 * A stored feed of the product's table: its usual worth, the most of it in a diet, and what it
 * costs in an ordinary year. Product defaults; a test or a price of one's own stands above them.
 *
 * @param potassiumPct of dry matter
 * @param kind hay, haylage, silage, straw, concentrate or byproduct
 * @param maxShareOfDiet ceiling as a share of what adapted adult cattle eat
 * @param lowUsdPerTonneAsFed ordinary price, undelivered
 */
public record StoredFeed(
    String id,
    String name,
    String kind,
    double dmShare,
    FeedWorth worth,
    double potassiumPct,
    double maxShareOfDiet,
    double lowUsdPerTonneAsFed,
    double highUsdPerTonneAsFed,
    String note) {

  /** Fed from a trough: grain, meal and byproducts. */
  public boolean isLoose() {
    return kind.equals("byproduct") || kind.equals("concentrate");
  }

  /** Middle of the ordinary prices. */
  public double usdPerTonneAsFed() {
    return (lowUsdPerTonneAsFed + highUsdPerTonneAsFed) / 2;
  }

  /** All feeds, in the table's order. */
  public static List<StoredFeed> loadAll() {
    return List.copyOf(
        CsvTable.load(
            "stored_feeds.csv",
            r ->
                new StoredFeed(
                    r.text("feed_id"),
                    r.text("name"),
                    r.text("kind"),
                    r.number("dm_pct", 5, 100) / 100,
                    new FeedWorth(
                        r.number("cp_pct", 0, 100),
                        r.number("tdn_pct", 0, 100),
                        r.number("ndf_pct", 0, 95),
                        r.number("ca_pct", 0, 30),
                        r.number("p_pct", 0, 30),
                        FeedWorth.From.TABLE),
                    r.number("k_pct", 0, 10),
                    r.number("max_share_of_diet", 0.01, 1),
                    r.number("price_usd_per_t_as_fed_low", 0, 5000),
                    r.number("price_usd_per_t_as_fed_high", 0, 5000),
                    r.optional("notes"))));
  }
}
