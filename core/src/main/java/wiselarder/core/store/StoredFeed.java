package wiselarder.core.store;

import java.util.List;
import wiselarder.core.reference.CsvTable;

/** A stored feed of the product's table with its usual dry matter. Product defaults. */
public record StoredFeed(String id, String name, String kind, double dmShare) {

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
                    r.number("dm_pct", 5, 100) / 100)));
  }
}
