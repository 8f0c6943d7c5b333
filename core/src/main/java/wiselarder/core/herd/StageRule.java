package wiselarder.core.herd;

/**
 * Which class holds when, one row of the stage table. Days count from the animal's own birth or
 * from the dam's parturition (negative: before it); the window is half-open.
 *
 * @param from first day, or null for unbounded; rules by an animal's own age go by weight instead
 * @param to a number of days, {@code weaning}, {@code dry_off}, {@code slaughter}, or empty
 */
record StageRule(
    String kind,
    boolean dam,
    String condition,
    Integer from,
    String to,
    String classId,
    int priority,
    int weaningDayDefault,
    double weightMinKg,
    double weightMaxKg) {
  private static final int DRY_DAYS = 60;

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
      return -until >= from && -until < Integer.parseInt(to);
    }
    if (since < from) {
      return false;
    }
    return switch (to) {
      case "weaning" -> !weaned;
      case "dry_off" -> until > DRY_DAYS;
      default -> since < Integer.parseInt(to);
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
