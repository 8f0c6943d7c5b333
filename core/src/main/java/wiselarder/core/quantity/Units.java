package wiselarder.core.quantity;

/** Exact conversions between the core's units and the yard's. */
public final class Units {
  /** Kilograms in an avoirdupois pound, by definition. */
  public static final double KG_PER_LB = 0.45359237;

  /** Hectares in an international acre, by definition. */
  public static final double HA_PER_ACRE = 0.40468564224;

  /** Kilograms in a short ton of 2,000 lb. */
  public static final double KG_PER_SHORT_TON = 2000 * KG_PER_LB;

  private Units() {}

  public static double lb(double kg) {
    return kg / KG_PER_LB;
  }

  public static double kg(double lb) {
    return lb * KG_PER_LB;
  }

  public static double acres(double ha) {
    return ha / HA_PER_ACRE;
  }

  public static double ha(double acres) {
    return acres * HA_PER_ACRE;
  }

  /** kg/ha from lb/ac. */
  public static double kgPerHa(double lbPerAcre) {
    return lbPerAcre * KG_PER_LB / HA_PER_ACRE;
  }
}
