package wiselarder.core.plan;

import java.util.List;
import wiselarder.core.bales.BaleGround;
import wiselarder.core.bales.Spacing;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
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
 * @param padWinters for so many years the pads of other winters are left alone
 * @param onEnd bales stand on their flat end, and do not lie on their round side
 * @param stringsOnDay strings and net come off as a bale is opened, and not all before the ground
 *     freezes
 * @param asMade they lie where the baler left them, and nobody sets them out
 * @param mixed bales of another lot among them; null for none
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
    List<StandsAt> places,
    int padWinters,
    boolean onEnd,
    boolean stringsOnDay,
    boolean asMade,
    Mixed mixed) {
  public static final Stated.Figure BALES = Stated.whole("bales.bales", 1, 2000);
  public static final Stated.Figure AT_ONCE = Stated.whole("bales.atOnce", 1, 500);
  public static final Stated.Figure EDGE_M = BaleGround.EDGE_M;
  public static final Stated.Figure WATER_M = Stated.number("bales.waterM", 0, 500);
  public static final Stated.Figure MOST_HEAD_DAYS_PER_HA =
      Stated.number("bales.mostHeadDaysPerHa", 1, 100_000).orNone();
  public static final Stated.Figure PAD_WINTERS = Stated.whole("bales.padWinters", 0, 10);
  private static final int MOST_COUNTS = 400;

  /** For as long as pads are commonly left alone. */
  public static final int USUAL_PAD_WINTERS = 2;

  /**
   * Bales of two kinds in a line.
   *
   * @param lotId of the others, straw among hay
   * @param every so many-th bale is one of those
   */
  public record Mixed(String lotId, int every) {
    public static final Stated.Figure EVERY = Stated.whole("mixed.every", 2, 20);

    public Mixed {
      Check.text("mixed.lotId", lotId, 80);
      EVERY.check(every);
    }
  }

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
    PAD_WINTERS.check(padWinters);
    if (mixed != null && mixed.lotId.equals(lotId)) {
      throw new Refused(CoreReason.MIXED_WITH_ITSELF, "mixed.lotId");
    }
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
        null,
        USUAL_PAD_WINTERS,
        false,
        false,
        false,
        null);
  }

  /** The same with no other lot among them. */
  BaleField unmixed() {
    return mixed(null);
  }

  public BaleField mixed(Mixed others) {
    return new BaleField(
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
        places,
        padWinters,
        onEnd,
        stringsOnDay,
        asMade,
        others);
  }

  /** Whether the bale at a place among those laid, from 0, is one of the others. */
  public boolean other(int place) {
    return mixed != null && (place + 1) % mixed.every == 0;
  }

  /** How many of so many bales, from the first, are of the others. */
  public int others(int laid) {
    return mixed == null ? 0 : laid / mixed.every;
  }

  /**
   * The same where only the year is asked for: how they lie there changes nothing, how many there
   * are and where says on which field their nitrogen ends.
   */
  BaleField onlyWhatFeeds() {
    return new BaleField(id, fieldId, lotId, bales, 1, null, PLAIN, 0, 0, false, null).mixed(mixed);
  }

  private static final Spacing PLAIN = new Spacing(10, 10, 0, 0, 0);

  void refuseNearWater(FarmPlan of) {
    StandsAt.refuseNearWater("bales.places", of.field(fieldId).outline(), waterM, places);
  }

  /** Bales of a section by its place, from 0. */
  public int count(int section) {
    return section < counts.size() ? counts.get(section) : atOnce;
  }
}
