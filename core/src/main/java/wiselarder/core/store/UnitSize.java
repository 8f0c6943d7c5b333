package wiselarder.core.store;

import java.util.List;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * How large and how heavy a unit is: weighed, or by its size and density. A round bale has a
 * diameter and a width, a box a length, a width and a height.
 *
 * @param packageId row of the package table it is like, or null
 * @param weighedKg units that were weighed as fed, kg each; empty for none
 * @param diameterM across the round face, null for a box
 * @param lengthM null for a round bale
 * @param heightM null for a round bale
 * @param densityKgPerM3 as fed, null when not said
 * @param rindCm depth of weathered, refused outer layer as found when bales are opened; null to
 *     reckon the loss in store by the way of storing. It takes the place of that loss
 */
public record UnitSize(
    String packageId,
    List<Double> weighedKg,
    Double diameterM,
    Double widthM,
    Double lengthM,
    Double heightM,
    Double densityKgPerM3,
    Double rindCm) {
  public static final Stated.Figure DIAMETER_M = Stated.number("size.diameterM", 0.2, 5).orNone();
  public static final Stated.Figure WIDTH_M = Stated.number("size.widthM", 0.1, 5).orNone();
  public static final Stated.Figure LENGTH_M = Stated.number("size.lengthM", 0.1, 5).orNone();
  public static final Stated.Figure HEIGHT_M = Stated.number("size.heightM", 0.1, 5).orNone();
  public static final Stated.Figure DENSITY_KG_PER_M3 =
      Stated.number("size.densityKgPerM3", 20, 1200).orNone();
  public static final Stated.Figure RIND_CM = Stated.number("size.rindCm", 0, 60).orNone();

  public static final Stated.Figure WEIGHED_KG = Stated.number("size.weighedKg", 1, 5000);

  private static final int MOST_WEIGHED = 200;

  public UnitSize {
    weighedKg = weighedKg == null ? List.of() : List.copyOf(weighedKg);
    Check.range("size.weighedKg", weighedKg.size(), 0, MOST_WEIGHED);
    weighedKg.forEach(kg -> WEIGHED_KG.check(kg));
    DIAMETER_M.check(diameterM);
    WIDTH_M.check(widthM);
    LENGTH_M.check(lengthM);
    HEIGHT_M.check(heightM);
    DENSITY_KG_PER_M3.check(densityKgPerM3);
    RIND_CM.check(rindCm);
    if ((densityKgPerM3 != null || rindCm != null)
        && !shaped(diameterM, widthM, lengthM, heightM)) {
      throw new Refused(CoreReason.SIZE_MISSING, "size.diameterM");
    }
  }

  /** True where weight, volume or rind can be reckoned. */
  private static boolean shaped(Double diameter, Double width, Double length, Double height) {
    return width != null && (diameter != null || (length != null && height != null));
  }

  /** Volume in m3: {@code pi/4 d2 w}, or {@code l w h}; NaN where the size is not said. */
  public double volumeM3() {
    if (!shaped(diameterM, widthM, lengthM, heightM)) {
      return Double.NaN;
    }
    return diameterM != null
        ? Math.PI / 4 * diameterM * diameterM * widthM
        : lengthM * widthM * heightM;
  }

  /** Weight as fed: mean of those weighed, else volume times density; NaN where neither is said. */
  public double kgAsFed() {
    if (!weighedKg.isEmpty()) {
      return weighedKg.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    }
    return densityKgPerM3 == null ? Double.NaN : volumeM3() * densityKgPerM3;
  }

  /**
   * Standard error of the mean of the units weighed, kg: sample standard deviation over the root of
   * their number; NaN with fewer than two.
   */
  public double standardErrorKg() {
    int n = weighedKg.size();
    double mean = kgAsFed();
    double squares = weighedKg.stream().mapToDouble(kg -> (kg - mean) * (kg - mean)).sum();
    return n < 2 ? Double.NaN : Math.sqrt(squares / (n - 1) / n);
  }

  /**
   * Share of the volume in an outer layer. Round bales lie end to end, so their curved side counts:
   * {@code 1 - ((d - 2t) / d)^2}; a box loses on all faces.
   */
  public double shareInOuter(double thickM) {
    if (diameterM != null) {
      double core = Math.max(0, diameterM - 2 * thickM) / diameterM;
      return 1 - core * core;
    }
    double core =
        Math.max(0, lengthM - 2 * thickM)
            * Math.max(0, widthM - 2 * thickM)
            * Math.max(0, heightM - 2 * thickM);
    return 1 - core / volumeM3();
  }

  /** Share of a unit lost as rind; 0 where none is stated. */
  public double rindShare() {
    return rindCm == null ? 0 : shareInOuter(rindCm / 100);
  }
}
