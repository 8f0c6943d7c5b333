package wiselarder.core.store;

import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import wiselarder.core.reference.CsvTable;

/**
 * One way of making, storing or feeding, with the typical share of dry matter lost. Product
 * default; the table's low and high span about eight farms in ten.
 *
 * @param byGroupSize true where few mouths at one unit waste more
 */
public record LossMethod(
    String id,
    Stage stage,
    String name,
    double share,
    double lowShare,
    double highShare,
    Per per,
    double tdnLossPoints,
    boolean byGroupSize) {
  /** A unit that lasts so long is fed with the typical loss; one that lasts longer with more. */
  static final double TYPICAL_TO_DAYS = 4;

  /** A unit that lasts so long is fed with the high loss. */
  static final double HIGH_FROM_DAYS = 10;

  /** When something is lost. */
  public enum Stage {
    HARVEST,
    STORAGE,
    FEEDING
  }

  /** Whether the share is lost once or over each year. */
  public enum Per {
    ONCE,
    PER_YEAR,
    PER_MONTH
  }

  /**
   * Factor a kilogram keeps over one day in store: {@code (1 - share)^(1/365)}; 1 for a loss at
   * once.
   */
  public double keptPerDay() {
    return per == Per.PER_YEAR ? Math.pow(1 - share, 1 / 365.0) : 1;
  }

  /** Share lost when the unit is opened: the whole of a loss that comes once, else none. */
  public double lostAtOpening() {
    return per == Per.ONCE ? share : 0;
  }

  /**
   * Share lost at feeding when one unit lasts a group so many days: too few mouths waste more. The
   * typical share up to four days, the high one from ten on, the line between. Assumption.
   *
   * @param days that one unit lasts: its dry matter over what the group eats in a day
   */
  public double shareWhenUnitLasts(double days) {
    if (!byGroupSize) {
      return share;
    }
    double late = (days - TYPICAL_TO_DAYS) / (HIGH_FROM_DAYS - TYPICAL_TO_DAYS);
    return share + (highShare - share) * Math.max(0, Math.min(1, late));
  }

  /** All methods of the product but the surcharge for damp hay, by id. */
  public static Map<String, LossMethod> loadAll() {
    return CsvTable.load("losses.csv", LossMethod::of).stream()
        .filter(m -> m.per != Per.PER_MONTH)
        .collect(Collectors.toUnmodifiableMap(LossMethod::id, Function.identity()));
  }

  private static LossMethod of(CsvTable.Row r) {
    return new LossMethod(
        r.text("method_id"),
        Stage.valueOf(r.text("stage").toUpperCase(java.util.Locale.ROOT)),
        r.text("name"),
        r.number("dm_loss_typical", 0, 0.95),
        r.number("dm_loss_low", 0, 0.95),
        r.number("dm_loss_high", 0, 0.95),
        Per.valueOf(r.text("applies_per").toUpperCase(java.util.Locale.ROOT)),
        r.number("quality_loss_tdn_points", 0, 30),
        r.number("by_group_size", 0, 1) == 1);
  }
}
