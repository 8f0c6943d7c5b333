package wiselarder.core.plan;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * A field that is fed off behind a wire, one break after the other. It feeds nobody by itself: who
 * grazes there, and when, is in the orders of feeds; this says how the ground of each day lies.
 *
 * @param fromInclusive first day that is meant; null for the plan's first
 * @param toExclusive day before which the last is; null for the plan's end
 * @param towardsDeg direction in which the wire is moved on, degrees from north to the east
 * @param downhillDeg direction in which water runs off; null where nobody has said
 * @param daysEach days that stock stay on one break
 * @param blocks breaks side by side, so that each is a block and not a long strip; 1 for strips
 * @param backFence whether what is eaten is fenced off behind them
 * @param waterM least strip along water, whatever was drawn
 */
public record BreakField(
    String id,
    String fieldId,
    LocalDate fromInclusive,
    LocalDate toExclusive,
    double towardsDeg,
    Double downhillDeg,
    int daysEach,
    int blocks,
    boolean backFence,
    double waterM,
    List<StandsAt> places,
    WinterCare written) {
  public static final Stated.Figure TOWARDS_DEG = Stated.number("breaks.towardsDeg", 0, 359.99);
  public static final Stated.Figure DOWNHILL_DEG =
      Stated.number("breaks.downhillDeg", 0, 359.99).orNone();
  public static final Stated.Figure DAYS_EACH = Stated.whole("breaks.daysEach", 1, 14);
  public static final Stated.Figure BLOCKS = Stated.whole("breaks.blocks", 1, 6);
  public static final Stated.Figure WATER_M = Stated.number("breaks.waterM", 0, 500);

  /**
   * What only the keeper can say of it, to be read by whoever stands in and by whoever asks.
   *
   * @param who moves the wire and looks at the stock each day, and who stands in
   * @param shelter where they lie dry and out of the wind
   * @param wet what is done when it rains for a week or snow lies deep
   * @param rules what the place's own rules ask for, which stand above all else here
   */
  public record WinterCare(String who, String shelter, String wet, String rules) {
    public static final Stated.Text WHO = Stated.note("written.who", 400);
    public static final Stated.Text SHELTER = Stated.note("written.shelter", 400);
    public static final Stated.Text WET = Stated.note("written.wet", 400);
    public static final Stated.Text RULES = Stated.note("written.rules", 1000);
    public static final WinterCare NOTHING = new WinterCare("", "", "", "");

    public WinterCare {
      who = WHO.check(who);
      shelter = SHELTER.check(shelter);
      wet = WET.check(wet);
      rules = RULES.check(rules);
    }

    /** How many of who, shelter and wet are said. */
    public int said() {
      return (who.isEmpty() ? 0 : 1) + (shelter.isEmpty() ? 0 : 1) + (wet.isEmpty() ? 0 : 1);
    }
  }

  /** The same, meant for other days. */
  public BreakField between(LocalDate from, LocalDate to) {
    return new BreakField(
        id,
        fieldId,
        from,
        to,
        towardsDeg,
        downhillDeg,
        daysEach,
        blocks,
        backFence,
        waterM,
        places,
        written);
  }

  public BreakField {
    id = Check.text("breaks.id", id, 80);
    Check.text("breaks.fieldId", fieldId, 40);
    Check.ordered("breaks.dates", fromInclusive, toExclusive);
    TOWARDS_DEG.check(towardsDeg);
    DOWNHILL_DEG.check(downhillDeg);
    DAYS_EACH.check(daysEach);
    BLOCKS.check(blocks);
    WATER_M.check(waterM);
    places = StandsAt.checked("breaks.places", places);
    written = written == null ? WinterCare.NOTHING : written;
  }

  void refuseNearWater(FarmPlan of) {
    StandsAt.refuseNearWater("breaks.places", of.field(fieldId).outline(), waterM, places);
  }
}
