package wiselarder.core.forage;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import wiselarder.core.reference.CsvTable;

/**
 * What comes back of a crop that was taken down, by the stage at which it was. Product defaults
 * from general practice; see docs/model.md.
 */
public final class CropUses {
  /**
   * A second growth.
   *
   * @param share of the first growth
   * @param days until it has grown, in ordinary growing weather
   */
  public record Second(double share, double days) {
    static final Second NONE = new Second(0, 1);
  }

  /**
   * What comes back when the first growth is taken at a stage.
   *
   * @param atBoot from boot until heads are out
   * @param headed from heading until soft dough
   * @param atDough from soft dough on
   * @param doughDays days from the first use to soft dough in warm weather; 0 where it carries none
   * @param mostUses after so many its reserves are spent: it goes on to ripen and is gone
   */
  public record Regrowth(
      Second atBoot, Second headed, Second atDough, int doughDays, int mostUses) {
    static final Regrowth NONE = new Regrowth(Second.NONE, Second.NONE, Second.NONE, 0, 1);
  }

  private record Row(
      String forageId, String use, String stageFrom, Second second, int doughDays, int mostUses) {}

  private static final String BOOT = "boot_or_bud";
  private static final String HEADING = "heading_or_bloom";

  /** Where no row says what a crop gives after dough: so much of what it gives after heading. */
  private static final double DOUGH_OF_HEADED = 0.4;

  private final Map<String, Regrowth> regrowth;

  private final Map<String, Gain> gains;

  private CropUses(Map<String, Regrowth> regrowth, Map<String, Gain> gains) {
    this.regrowth = regrowth;
    this.gains = gains;
  }

  /** Daily gain that growing stock may be expected to make on it, kg a head. */
  public record Gain(double lowKg, double highKg) {}

  /** Loads and checks the table. */
  public static CropUses load() {
    Map<String, List<Row>> rows =
        CsvTable.load("crop_uses.csv", CropUses::row).stream()
            .collect(Collectors.groupingBy(Row::forageId));
    Map<String, Regrowth> regrowth = new HashMap<>();
    rows.forEach((id, of) -> regrowth.put(id, of(of)));
    Map<String, Gain> gains = new HashMap<>();
    CsvTable.load("crop_uses.csv", CropUses::gain).stream()
        .filter(g -> g.getValue() != null)
        .forEach(g -> gains.putIfAbsent(g.getKey(), g.getValue()));
    return new CropUses(Map.copyOf(regrowth), Map.copyOf(gains));
  }

  /** Of its first row for grazing that says so. */
  private static Map.Entry<String, Gain> gain(CsvTable.Row r) {
    double low = r.numberOrNaN("gain_expected_kg_day_low", -1, 3);
    double high = r.numberOrNaN("gain_expected_kg_day_high", -1, 3);
    boolean grazed = r.text("use").equals("graze") && !Double.isNaN(low) && !Double.isNaN(high);
    return new java.util.AbstractMap.SimpleEntry<>(
        r.text("forage_id"), grazed ? new Gain(low, high) : null);
  }

  private static Row row(CsvTable.Row r) {
    double low = r.number("regrowth_share_low", 0, 1);
    double high = r.number("regrowth_share_high", 0, 1);
    double days =
        (r.numberOrNaN("days_to_second_use_low", 1, 300)
                + r.numberOrNaN("days_to_second_use_high", 1, 300))
            / 2;
    double grain = r.numberOrNaN("days_cut_to_soft_dough", 10, 300);
    return new Row(
        r.text("forage_id"),
        r.text("use"),
        r.text("stage_from"),
        new Second((low + high) / 2, Double.isNaN(days) ? 1 : days),
        Double.isNaN(grain) ? 0 : (int) grain,
        (int) r.number("max_uses", 1, 50));
  }

  private static Regrowth of(List<Row> rows) {
    Row leafy = find(rows, "graze", null);
    Row boot = first(find(rows, "graze", BOOT), find(rows, "hay", null), leafy);
    Row dough = find(rows, "silage", HEADING);
    Second headed =
        headed(first(find(rows, "graze", HEADING), find(rows, "hay", null)), boot, dough);
    return boot == null
        ? Regrowth.NONE
        : new Regrowth(
            boot.second(),
            headed,
            atDough(headed, dough),
            leafy == null ? 0 : leafy.doughDays(),
            rows.stream().mapToInt(Row::mostUses).max().orElse(1));
  }

  /** Where no row says it: half way from boot to dough. */
  private static Second headed(Row stated, Row boot, Row dough) {
    if (stated != null || boot == null || dough == null) {
      Row row = stated == null ? boot : stated;
      return row == null ? Second.NONE : row.second();
    }
    return new Second((boot.second().share() + dough.second().share()) / 2, boot.second().days());
  }

  private static Second atDough(Second headed, Row silage) {
    double share = silage == null ? DOUGH_OF_HEADED * headed.share() : silage.second().share();
    boolean days = silage != null && silage.second().days() > 1;
    return new Second(share, days ? silage.second().days() : headed.days());
  }

  private static Row find(List<Row> rows, String use, String stage) {
    return rows.stream()
        .filter(r -> r.use().equals(use))
        .filter(r -> stage == null || r.stageFrom().equals(stage))
        .findFirst()
        .orElse(null);
  }

  private static Row first(Row... rows) {
    for (Row row : rows) {
      if (row != null) {
        return row;
      }
    }
    return null;
  }

  /** The gain to expect on a crop that is grazed, where the table says it. */
  public java.util.Optional<Gain> gain(Forage f) {
    return f.madeOf().stream().sorted().filter(gains::containsKey).map(gains::get).findFirst();
  }

  /** What comes back of a crop; one of the keeper's own goes by the first of its parts by name. */
  public Regrowth of(Forage f) {
    return f.madeOf().stream()
        .sorted()
        .filter(regrowth::containsKey)
        .map(regrowth::get)
        .findFirst()
        .orElse(Regrowth.NONE);
  }
}
