package wiselarder.core.quantity;

import static wiselarder.core.quantity.Reason.day;
import static wiselarder.core.quantity.Reason.dayOfYear;
import static wiselarder.core.quantity.Reason.number;
import static wiselarder.core.quantity.Reason.text;

import java.util.List;

/** Every reason for which the core refuses what is stated. */
public enum CoreReason implements Reason {
  // any value
  MISSING,
  /** The three in the unit of the refused member. */
  OUT_OF_RANGE(number("value"), number("min"), number("max")),
  /** More lines or characters than are kept. */
  TOO_LONG(number("characters"), number("least"), number("most")),
  /** A note may have several lines. */
  NOTE_TOO_LONG(number("characters"), number("most")),
  DATES_REVERSED(day("from"), day("toExclusive")),
  DATE_OUTSIDE_PLAN(day("on"), day("first"), day("last")),
  /** The place has no such frost, the field never sleeps, the group has no births. */
  NO_SUCH_MARK(text("mark")),

  // what is named and is not there, or is there twice
  UNKNOWN_ID(text("id")),
  UNKNOWN_KIND(text("kind")),
  UNKNOWN_SEASON(text("key")),
  SCENARIO_ON_SCENARIO,
  DUPLICATE_ID(text("id")),
  STEP_OF_ANOTHER_GROUP(text("groupId")),
  /** A share of the need or an amount a head: one of them, not both. */
  ONE_AMOUNT,
  ROUND_OF_STORE,

  // land
  NO_CURVE(text("forage"), text("climate")),
  TWELVE_MONTHS(number("given")),
  NO_OUTLINE(text("field")),
  /** None or one piece where the line misses, three and more where it crosses often. */
  NOT_IN_TWO(number("pieces")),
  /** {@code part} is empty for the field's own edge. */
  CROSSED_EDGE(text("part")),
  ENTER_BELOW_LEAVE(number("heightCm"), number("leaveCm")),

  /** The distances in metres. */
  /** Bales of a lot are mixed with bales of the same. */
  MIXED_WITH_ITSELF(),
  STANDS_AT_WATER(text("what"), number("distanceM"), number("leastM")),

  // forages
  OWN_FORAGE_ID(text("id")),
  OWN_FORAGE_USED(text("forage")),
  PART_TWICE(text("forage")),
  NO_MIXTURE(text("forage")),
  ENTRY_BELOW_LEAVE(text("forage"), number("entryHeightCm"), number("exitHeightCm")),

  // herd
  MORE_THAN_THERE(text("group"), day("on"), number("leaving"), number("there")),
  NOT_FOR_A_TIME,
  WEANED_BEFORE_BIRTH(dayOfYear("first"), dayOfYear("last"), number("longestDays")),
  LEAVE_BEFORE_WEANING,
  NO_WEANING(text("group")),

  // store
  NOT_A_WAY(text("id"), text("stage")),
  SIZE_MISSING,

  // uses of a field that do not go together
  ALREADY_SHUT(text("field"), day("from"), day("last")),
  SHUT_AND_SOWN(text("field"), day("from"), day("last"), day("sowOn"), day("preparedFrom")),
  SHUT_AND_GRAZED(text("fields"), day("from"), day("last")),

  // recorded weather
  NO_DAYS,
  NOT_CSV,
  /** A plan cannot begin from another that does not come to its first day. */
  DOES_NOT_REACH(text("plan"), day("from"), day("to"), day("start")),
  MISSING_COLUMN(text("column")),
  ROW_LENGTH,
  NO_DATE(text("cell")),
  DATE_TWICE(day("on")),
  LOW_ABOVE_HIGH(text("cell")),
  /** The range in the unit of the file's column. */
  CELL_OUT_OF_RANGE(text("cell"), number("min"), number("max"));

  @SuppressWarnings("ImmutableEnumChecker") // List.of cannot be changed
  private final List<Value> given;

  CoreReason(Value... given) {
    this.given = List.of(given);
  }

  @Override
  public List<Value> given() {
    return given;
  }
}
