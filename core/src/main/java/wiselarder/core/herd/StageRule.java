package wiselarder.core.herd;

/**
 * Which class holds when, one row of the stage table. Days count from the animal's own birth or
 * from the dam's parturition (negative: before it); the window is half-open.
 *
 * @param from first day, or null for unbounded; rules by an animal's own age go by weight instead
 * @param toDay first day after, or one of the marks below
 */
record StageRule(
    String kind,
    boolean dam,
    String condition,
    Integer from,
    int toDay,
    String classId,
    int priority,
    int weaningDayDefault,
    double weightMinKg,
    double weightMaxKg) {
  static final int TO_WEANING = Integer.MIN_VALUE;
  static final int TO_DRY_OFF = Integer.MIN_VALUE + 1;
  private static final int DRY_DAYS = 60;

  /** Reads the table's end of a stage: days, {@code weaning}, {@code dry_off}, or open. */
  static int toDay(String text) {
    return switch (text) {
      case "weaning" -> TO_WEANING;
      case "dry_off" -> TO_DRY_OFF;
      case "", "slaughter" -> Integer.MAX_VALUE;
      default -> Integer.parseInt(text);
    };
  }

  boolean banded() {
    return !Double.isNaN(weightMinKg);
  }

  /**
   * Whether a dam is in this stage.
   *
   * @param since days since her last birth, or -1 when she has none
   * @param until days to her next birth, at least 1
   */
  boolean matches(int since, int until, boolean weaned) {
    if (from == null) {
      return true;
    }
    if (from < 0) {
      return -until >= from && -until < toDay;
    }
    if (since < from) {
      return false;
    }
    return switch (toDay) {
      case TO_WEANING -> !weaned;
      case TO_DRY_OFF -> until > DRY_DAYS;
      default -> since < toDay;
    };
  }

  boolean allows(boolean calved, int litter) {
    return switch (condition) {
      case "litter=1" -> litter == 1;
      case "litter>=2" -> litter >= 2;
      case "parity=1,calved" -> calved;
      case "parity=1,not calved" -> !calved;
      case "working" -> false;
      default -> true;
    };
  }
}
