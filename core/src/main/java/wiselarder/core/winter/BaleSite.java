package wiselarder.core.winter;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import wiselarder.core.bales.BaleGrid;
import wiselarder.core.bales.BaleGround;
import wiselarder.core.bales.Spacing;
import wiselarder.core.land.BufferRule;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;

/**
 * A field on which bales could be set out, with what speaks for it and against it. Those that are
 * fit for it come first, of them the poorest in phosphorus by its soil test, then those without a
 * test, by what speaks against them, then by the way from the yard.
 *
 * @param netHa what may carry bales inside the edge and the strips that its slope asks for
 * @param fits bales that have room there
 * @param fit false where it is no site if any other is to be had
 */
public record BaleSite(
    String fieldId, double netHa, int fits, boolean fit, List<SitePoint> points) {
  /** What speaks for or against a field. */
  public enum What {
    /**
     * For it: plant-available phosphorus by its test, value mg/kg; the lower, the more it gains.
     */
    PHOSPHORUS,
    /** No soil test says what it lacks. */
    NO_TEST,
    /** For it: out of the wind. */
    SHELTERED,
    /** In the wind. */
    EXPOSED,
    /** Reached on dry or frozen ground only. */
    DRY_OR_FROZEN,
    /** Reached on foot only. */
    ON_FOOT,
    /** Pads of other winters in it, value how many; nothing stands on them. */
    OLD_PADS,
    /** Water runs or stands in it: value m of strip. */
    WATER,
    /** Value degrees, above what counts as flat. */
    SLOPE,
    /** Way from the yard, value m. */
    FAR,
    /** No bale has room. */
    NO_ROOM,
    /** Bales of this plan stand there. */
    TAKEN
  }

  /**
   * One of them.
   *
   * @param good true where it speaks for the field
   * @param value in the unit that it says, 0 where it has none
   */
  public record SitePoint(What what, boolean good, double value) {}

  /** From the steepest class of the table of buffers, degrees. */
  private static final double STEEP_DEG = 16;

  private static final double FLAT_DEG = 4;

  /** Farther than this from the yard is told, m. Assumption: a quarter of an hour by tractor. */
  private static final double FAR_M = 1500;

  public BaleSite {
    points = List.copyOf(points);
  }

  /**
   * Every drawn field of a plan, best first.
   *
   * @param edgeM kept along the edges
   */
  public static List<BaleSite> of(FarmPlan plan, Catalogue tables, Spacing spacing, double edgeM) {
    record Ranked(BaleSite site, double phosphorus, long against, double awayM) {}
    List<Ranked> all = new ArrayList<>();
    for (Field f : plan.farm().fields()) {
      if (f.outline() != null) {
        BaleSite site = of(plan, tables, spacing, edgeM, f);
        Double away = f.lie().distanceM();
        all.add(
            new Ranked(
                site,
                phosphorus(f),
                site.points.stream().filter(p -> !p.good && p.what != What.NO_TEST).count(),
                away == null ? 0 : away));
      }
    }
    all.sort(
        Comparator.comparing((Ranked r) -> !r.site.fit)
            .thenComparingDouble(Ranked::phosphorus)
            .thenComparingLong(Ranked::against)
            .thenComparingDouble(Ranked::awayM));
    return all.stream().map(Ranked::site).toList();
  }

  private static BaleSite of(
      FarmPlan plan, Catalogue tables, Spacing spacing, double edgeM, Field f) {
    double slope = f.lie().slopeDeg() == null ? 0 : f.lie().slopeDeg();
    double waterM = BufferRule.bufferM(tables.buffers(), slope);
    List<Point> pads =
        f.outline().padsLeftAlone(plan.plan().year().start(), BaleField.USUAL_PAD_WINTERS);
    BaleGround ground = BaleGround.of(f.outline(), f.name(), edgeM, waterM, pads);
    int fits = BaleGrid.of(ground, spacing).spots().size();
    List<SitePoint> points = new ArrayList<>();
    boolean taken = plan.plan().bales().stream().anyMatch(b -> b.fieldId().equals(f.id()));
    if (taken) {
      points.add(new SitePoint(What.TAKEN, false, 0));
    }
    if (fits == 0) {
      points.add(new SitePoint(What.NO_ROOM, false, 0));
    }
    double phosphorus = phosphorus(f);
    points.add(
        phosphorus < Double.MAX_VALUE
            ? new SitePoint(What.PHOSPHORUS, true, phosphorus)
            : new SitePoint(What.NO_TEST, false, 0));
    lie(f.lie(), slope, points);
    inIt(f.outline(), pads.size(), waterM, points);
    return new BaleSite(
        f.id(), ground.netHa(), fits, fits > 0 && !taken && slope < STEEP_DEG, points);
  }

  private static double phosphorus(Field f) {
    Lie.SoilTest test = f.lie().soilTest();
    return test == null || test.phosphorusMgPerKg() == null
        ? Double.MAX_VALUE
        : test.phosphorusMgPerKg();
  }

  private static void lie(Lie lie, double slope, List<SitePoint> points) {
    if (lie.exposure() == Lie.Exposure.SHELTERED) {
      points.add(new SitePoint(What.SHELTERED, true, 0));
    } else if (lie.exposure() == Lie.Exposure.EXPOSED) {
      points.add(new SitePoint(What.EXPOSED, false, 0));
    }
    switch (lie.access()) {
      case ANY_WEATHER -> {
        // what nobody has said otherwise: it speaks for nothing
      }
      case ON_FOOT -> points.add(new SitePoint(What.ON_FOOT, false, 0));
      default -> points.add(new SitePoint(What.DRY_OR_FROZEN, false, 0));
    }
    if (slope >= FLAT_DEG) {
      points.add(new SitePoint(What.SLOPE, false, slope));
    }
    if (lie.distanceM() != null && lie.distanceM() > FAR_M) {
      points.add(new SitePoint(What.FAR, false, lie.distanceM()));
    }
  }

  private static void inIt(Outline outline, int kept, double waterM, List<SitePoint> points) {
    long pads =
        kept + outline.off().stream().filter(o -> o.kind() == Outline.Kind.OLD_BALE_PAD).count();
    if (pads > 0) {
      points.add(new SitePoint(What.OLD_PADS, false, pads));
    }
    boolean water = outline.off().stream().anyMatch(o -> o.kind().water());
    if (water) {
      points.add(new SitePoint(What.WATER, false, waterM));
    }
  }
}
