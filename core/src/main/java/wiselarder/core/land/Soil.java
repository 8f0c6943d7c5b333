package wiselarder.core.land;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * The soil of a field as stated.
 *
 * @param texture what it feels like between the fingers; sets how much water it holds
 * @param depthCm depth to rock or pan, or null where roots meet none
 * @param drainsFreely false where water stands after rain
 */
public record Soil(Texture texture, Double depthCm, boolean drainsFreely) {
  public static final Stated.Figure DEPTH_CM = Stated.number("soil.depthCm", 10, 300).orNone();

  /**
   * Textures with the water they hold for plants, mm per m of depth. Source: common textbook ranges
   * of available water by texture, middle of each; site values lie within about a quarter.
   */
  public enum Texture {
    SAND(70),
    LOAMY_SAND(90),
    SANDY_LOAM(120),
    LOAM(160),
    SILT_LOAM(190),
    CLAY_LOAM(170),
    CLAY(150);

    private final double availableMmPerM;

    Texture(double availableMmPerM) {
      this.availableMmPerM = availableMmPerM;
    }

    public double availableMmPerM() {
      return availableMmPerM;
    }
  }

  public Soil {
    Check.present("soil.texture", texture);
    DEPTH_CM.check(depthCm);
  }

  /** True where young plants lift more easily. */
  public boolean sandy() {
    return texture == Texture.SAND || texture == Texture.LOAMY_SAND;
  }

  /**
   * Water a soil can hold for a stand, mm: available water by texture times the depth that roots
   * reach.
   *
   * @param soil null where nobody said; then the climate's usual soil
   */
  public static double capacityMm(Soil soil, double usualMmPerM, double rootDepthCm) {
    double perM = soil == null ? usualMmPerM : soil.texture.availableMmPerM;
    double depthCm = soil == null || soil.depthCm == null ? 150 : soil.depthCm;
    return Math.max(15, perM * Math.min(rootDepthCm, depthCm) / 100);
  }
}
