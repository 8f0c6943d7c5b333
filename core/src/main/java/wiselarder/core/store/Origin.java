package wiselarder.core.store;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * What a lot is, where it comes from and where it stands.
 *
 * @param feedId row of the table of stored feeds, or null when not said
 * @param cutOn day it was cut, or null
 * @param wrap what holds it together
 * @param place where it stands
 * @param movable false for what stays where it was made, such as a clamp
 * @param makingPerUnit cost of making one in the farm's currency, or null
 * @param haulingPerUnit cost of hauling and stacking one, or null; a bale left where it was made
 *     has none
 * @param worth what it was reckoned to be worth where it comes from an earlier plan, or null; a
 *     test stands above it
 */
public record Origin(
    String feedId,
    LocalDate cutOn,
    Wrap wrap,
    String place,
    boolean movable,
    Double makingPerUnit,
    Double haulingPerUnit,
    FeedWorth worth) {
  public static final Stated.Figure MAKING_PER_UNIT =
      Stated.number("origin.makingPerUnit", 0, 10000).orNone();
  public static final Stated.Figure HAULING_PER_UNIT =
      Stated.number("origin.haulingPerUnit", 0, 10000).orNone();

  public static final Stated.Text PLACE = Stated.note("origin.place", 80);

  /** What holds a unit together or covers it, and must be taken off before it is fed. */
  public enum Wrap {
    NOT_SAID,
    NONE,
    TWINE,
    NET,
    FILM,
    SHEET
  }

  /** Of nothing that an earlier plan made. */
  public Origin(
      String feedId,
      LocalDate cutOn,
      Wrap wrap,
      String place,
      boolean movable,
      Double makingPerUnit,
      Double haulingPerUnit) {
    this(feedId, cutOn, wrap, place, movable, makingPerUnit, haulingPerUnit, null);
  }

  /** The same, cut on another day. */
  public Origin cutOn(LocalDate other) {
    return new Origin(feedId, other, wrap, place, movable, makingPerUnit, haulingPerUnit, worth);
  }

  /** The same, cut on a day and worth what an earlier plan reckoned. */
  public Origin reckoned(LocalDate cut, FeedWorth worthThen) {
    return new Origin(feedId, cut, wrap, place, movable, makingPerUnit, haulingPerUnit, worthThen);
  }

  /** A lot of which nothing is said. */
  public static final Origin UNSAID = new Origin(null, null, Wrap.NOT_SAID, "", true, null, null);

  public Origin {
    if (feedId != null) {
      feedId = Check.text("origin.feedId", feedId, 60);
    }
    Check.present("origin.wrap", wrap);
    place = PLACE.check(place);
    MAKING_PER_UNIT.check(makingPerUnit);
    HAULING_PER_UNIT.check(haulingPerUnit);
    worth = worth == null ? null : worth.stated();
  }
}
