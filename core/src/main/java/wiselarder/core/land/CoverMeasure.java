package wiselarder.core.land;

import java.util.List;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * Cover measured in the field, as kilograms of dry matter a hectare.
 *
 * @param lowKgPerHa what it may be as well, by the way of measuring
 */
public record CoverMeasure(double coverKgPerHa, double lowKgPerHa, double highKgPerHa) {
  public static final Stated.Figure HEIGHT_CM = Stated.number("measured.heightCm", 0, 400);
  public static final Stated.Figure READING = Stated.number("plate.reading", 0, 200);
  public static final Stated.Figure PER_UNIT_KG = Stated.number("plate.perUnitKg", 1, 1000);
  public static final Stated.Figure BASE_KG = Stated.number("plate.baseKg", -2000, 5000);

  /** One clipped frame is known to two fifths. Assumption. */
  private static final double BY_ONE_CLIP = 0.4;

  /** Mass at a height is known to a third, by the notes of the table of heights. */
  private static final double BY_HEIGHT_OF_A_KIND = 0.35;

  /** Heights of a field are read to a tenth, by the notes of the table of heights. */
  private static final double BY_STICK = 0.1;

  /** A plate is known to about 15% where its line is set for the sward. Assumption. */
  private static final double BY_PLATE = 0.15;

  private static final double M2_PER_HA = 10_000;

  /** More readings than this at once are a mistake. */
  public static final int MOST_READINGS = 500;

  /**
   * One clipped frame.
   *
   * @param freshG cut to the ground and weighed fresh, g
   * @param dmShare dry matter as a share of that
   * @param frameM2 area of the frame, m2
   */
  public record Clip(double freshG, double dmShare, double frameM2) {
    public static final Stated.Figure FRESH_G = Stated.number("clip.freshG", 0, 20_000);
    public static final Stated.Figure DM_SHARE = Stated.number("clip.dmShare", 0.05, 1);
    public static final Stated.Figure FRAME_M2 = Stated.number("clip.frameM2", 0.02, 4);

    public Clip {
      FRESH_G.check(freshG);
      DM_SHARE.check(dmShare);
      FRAME_M2.check(frameM2);
    }

    /** Dry matter of it, kg DM/ha. */
    public double kgPerHa() {
      return freshG * dmShare / 1000 / frameM2 * M2_PER_HA;
    }
  }

  /**
   * The mean over heights, each by the forage's mass at that height in this season. It lies between
   * what a thinner and what a denser stand would hold, or two standard errors of the farm's own
   * clipped frames to each side.
   */
  public static CoverMeasure byHeights(
      HeightTable table,
      Forage forage,
      HeightTable.Season season,
      HeightTable.Density density,
      List<Double> heightsCm) {
    Check.range("heightsCm", heightsCm.size(), 1, MOST_READINGS);
    double[] sums = new double[HeightTable.Density.values().length];
    for (double h : heightsCm) {
      HEIGHT_CM.check(h);
      for (HeightTable.Density d : HeightTable.Density.values()) {
        sums[d.ordinal()] += table.massKgPerHa(forage, season, d, h) / heightsCm.size();
      }
    }
    int at = density.ordinal();
    HeightTable.Own own = table.own(forage);
    if (own != null) {
      double error = 2 * Math.hypot(own.errorShare(), BY_STICK);
      return within(sums[at], Math.min(BY_HEIGHT_OF_A_KIND, error));
    }
    CoverMeasure spread = within(sums[at], BY_HEIGHT_OF_A_KIND);
    double low = at == 0 ? spread.lowKgPerHa : Math.max(sums[at - 1], spread.lowKgPerHa);
    double high =
        at == sums.length - 1 ? spread.highKgPerHa : Math.min(sums[at + 1], spread.highKgPerHa);
    return new CoverMeasure(sums[at], Math.min(low, sums[at]), Math.max(high, sums[at]));
  }

  /**
   * A rising plate: {@code perUnit x mean reading + base}, the line that belongs to the plate and
   * the sward.
   */
  public static CoverMeasure byPlate(List<Double> readings, double perUnitKg, double baseKg) {
    Check.range("readings", readings.size(), 1, MOST_READINGS);
    PER_UNIT_KG.check(perUnitKg);
    BASE_KG.check(baseKg);
    double sum = 0;
    for (double r : readings) {
      sum += READING.check(r);
    }
    return within(Math.max(0, perUnitKg * sum / readings.size() + baseKg), BY_PLATE);
  }

  /** The mean of clipped frames; as sure as they agree: two standard errors to each side. */
  public static CoverMeasure byClips(List<Clip> clips) {
    Check.range("clips", clips.size(), 1, MOST_READINGS);
    double mean = clips.stream().mapToDouble(Clip::kgPerHa).average().orElse(0);
    if (clips.size() == 1) {
      return within(mean, BY_ONE_CLIP);
    }
    double squares =
        clips.stream().mapToDouble(c -> (c.kgPerHa() - mean) * (c.kgPerHa() - mean)).sum();
    double error = 2 * Math.sqrt(squares / (clips.size() - 1) / clips.size());
    return new CoverMeasure(mean, Math.max(0, mean - error), mean + error);
  }

  /** A figure of the keeper's own, known to a quarter. Assumption. */
  public static CoverMeasure byEye(double kgPerHa) {
    return within(kgPerHa, BY_EYE);
  }

  private static final double BY_EYE = 0.25;

  /** So many times of it. */
  public CoverMeasure times(double share) {
    return new CoverMeasure(share * coverKgPerHa, share * lowKgPerHa, share * highKgPerHa);
  }

  private static CoverMeasure within(double kgPerHa, double share) {
    return new CoverMeasure(kgPerHa, kgPerHa * (1 - share), kgPerHa * (1 + share));
  }
}
