package wiselarder.core.plan;

import java.util.List;
import wiselarder.core.bales.BaleGround;
import wiselarder.core.bales.Spacing;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * Bales of a lot that are set out on a field before winter, to be opened there so many at a time.
 * Whoever the order of feeds gives that lot eats them. Of several such fields of one lot those
 * earlier in the list are opened first.
 *
 * @param bales how many are set out there
 * @param atOnce bales opened each time
 * @param counts bales of the first sections, where they are others than that
 * @param edgeM kept free along the field's edge, for wire and tractor
 * @param waterM least strip along water, whatever was drawn
 * @param fromLast opening begins at the last row
 * @param mostHeadDaysPerHa most days of one head on a hectare that the keeper or a rule wants; null
 *     for none
 * @param places troughs, feeders, places to lie and shelter
 */
public record BaleField(
    String id,
    String fieldId,
    String lotId,
    int bales,
    int atOnce,
    List<Integer> counts,
    Spacing spacing,
    double edgeM,
    double waterM,
    boolean fromLast,
    Double mostHeadDaysPerHa,
    List<StandsAt> places) {
  public static final Stated.Figure BALES = Stated.whole("bales.bales", 1, 2000);
  public static final Stated.Figure AT_ONCE = Stated.whole("bales.atOnce", 1, 500);
  public static final Stated.Figure EDGE_M = BaleGround.EDGE_M;
  public static final Stated.Figure WATER_M = Stated.number("bales.waterM", 0, 500);
  public static final Stated.Figure MOST_HEAD_DAYS_PER_HA =
      Stated.number("bales.mostHeadDaysPerHa", 1, 100_000).orNone();
  private static final int MOST_COUNTS = 400;

  public BaleField {
    id = Check.text("bales.id", id, 80);
    Check.text("bales.fieldId", fieldId, 40);
    Check.text("bales.lotId", lotId, 80);
    BALES.check(bales);
    AT_ONCE.check(atOnce);
    counts = counts == null ? List.of() : List.copyOf(counts);
    Check.range("bales.counts", counts.size(), 0, MOST_COUNTS);
    counts.forEach(AT_ONCE::check);
    Check.present("bales.spacing", spacing);
    EDGE_M.check(edgeM);
    WATER_M.check(waterM);
    MOST_HEAD_DAYS_PER_HA.check(mostHeadDaysPerHa);
    places = StandsAt.checked("bales.places", places);
  }

  /** Bales with nothing beside them. */
  public BaleField(
      String id,
      String fieldId,
      String lotId,
      int bales,
      int atOnce,
      List<Integer> counts,
      Spacing spacing,
      double edgeM,
      double waterM,
      boolean fromLast,
      Double mostHeadDaysPerHa) {
    this(
        id,
        fieldId,
        lotId,
        bales,
        atOnce,
        counts,
        spacing,
        edgeM,
        waterM,
        fromLast,
        mostHeadDaysPerHa,
        null);
  }

  void refuseNearWater(FarmPlan of) {
    StandsAt.refuseNearWater("bales.places", of.field(fieldId).outline(), waterM, places);
  }

  /** Bales of a section by its place, from 0. */
  public int count(int section) {
    return section < counts.size() ? counts.get(section) : atOnce;
  }
}
