package wiselarder.core.land;

/**
 * The bucket of a field: rain in, evapotranspiration out, the surplus drains away. All mm; {@code
 * share} is the part of the capacity that is filled.
 */
public final class SoilWater {
  /** Crop coefficient of bare ground and of full cover. FAO-56 gives 0.15-0.4 and 0.95-1.05. */
  public static final double BARE_COEFFICIENT = 0.30;

  public static final double FULL_COEFFICIENT = 0.97;

  /** Plants begin to draw less below this share: FAO-56 table 22 depletes forages by half. */
  public static final double STRESS_BELOW = 0.50;

  /** At this share of water the catalogue's drought hold applies. From its notes. */
  public static final double HOLD_AT = 0.30;

  /** Water above capacity that a wet soil carries, and the share of it that leaves each day. */
  private static final double PONDED_MM = 60;

  private static final double PONDED_LEAVES = 0.10;

  private SoilWater() {}

  /** Crop coefficient by the share of the ground that living leaf covers, in straight line. */
  public static double cropCoefficient(double cover) {
    return BARE_COEFFICIENT + (FULL_COEFFICIENT - BARE_COEFFICIENT) * cover;
  }

  /** Water at the end of a day. What goes beyond capacity drains away, slowly on a wet soil. */
  public static double after(
      double waterMm,
      double capacityMm,
      double inMm,
      double et0Mm,
      double cover,
      boolean drainsFreely) {
    double stress = Math.min(1, waterMm / capacityMm / STRESS_BELOW);
    double left = Math.max(0, waterMm + inMm - et0Mm * cropCoefficient(cover) * stress);
    if (left <= capacityMm) {
      return left;
    }
    double over = Math.min(PONDED_MM, left - capacityMm);
    return drainsFreely ? capacityMm : capacityMm + over * (1 - PONDED_LEAVES);
  }

  /**
   * Share of growth that the water allows: 1 down to half full, then straight to the forage's
   * drought hold at 30%, then straight to nothing. Waterlogged, growth falls to half.
   */
  public static double growthShare(double waterMm, double capacityMm, double droughtHold) {
    double share = waterMm / capacityMm;
    if (share > 1) {
      return 1 - 0.5 * Math.min(1, (waterMm - capacityMm) / PONDED_MM);
    }
    if (share >= STRESS_BELOW) {
      return 1;
    }
    return share >= HOLD_AT
        ? droughtHold + (1 - droughtHold) * (share - HOLD_AT) / (STRESS_BELOW - HOLD_AT)
        : droughtHold * share / HOLD_AT;
  }
}
