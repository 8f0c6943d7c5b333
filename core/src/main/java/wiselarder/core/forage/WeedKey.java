package wiselarder.core.forage;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import wiselarder.core.reference.CsvTable;

/**
 * Tells the weedy perennial sorghum from what looks like it, by what can be seen. General
 * knowledge; local lookalikes differ, and an adviser or herbarium has the last word.
 */
public final class WeedKey {
  /** What it may be. */
  public enum Plant {
    WEEDY_SORGHUM,
    SOWN_SORGHUM,
    CORN,
    OTHER_GRASS
  }

  /** A feature, what fits where it is there, and what where it is not. */
  public record Feature(String id, String question, List<Plant> yesFits, List<Plant> noFits) {}

  private final List<Feature> features;

  private WeedKey(List<Feature> features) {
    this.features = List.copyOf(features);
  }

  public static WeedKey load() {
    return new WeedKey(
        CsvTable.load(
            "weed_key.csv",
            r ->
                new Feature(
                    r.text("feature_id"),
                    r.text("question"),
                    plants(r.text("yes_fits")),
                    plants(r.text("no_fits")))));
  }

  private static List<Plant> plants(String cell) {
    return Arrays.stream(cell.split("\\|"))
        .map(one -> Plant.valueOf(one.toUpperCase(Locale.ROOT)))
        .toList();
  }

  /** All of them; what is in front of one fits every one that was looked at. */
  public List<Feature> features() {
    return features;
  }
}
