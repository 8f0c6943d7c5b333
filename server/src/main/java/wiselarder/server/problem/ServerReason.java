package wiselarder.server.problem;

import java.util.List;
import wiselarder.core.quantity.Reason;

/** Every reason for which the server refuses, beside those of the core. */
public enum ServerReason implements Reason {
  // who asks
  SIGN_IN,
  FORBIDDEN,
  /** A request that no browser sends. */
  REJECTED,
  WRONG_SIGN_IN,
  /** Names of the roles. */
  ROLE_TOO_LOW(Reason.text("needed"), Reason.text("has")),
  VISITOR,
  NO_DEMO,
  TOO_MANY(Reason.number("waitSeconds")),
  NOT_FOUND,

  // people
  NOT_FIRST,
  EMAIL_TAKEN(Reason.text("address")),
  NOT_AN_ADDRESS(Reason.text("address")),
  WRONG_PASSWORD,
  PASSWORD_LENGTH(Reason.number("least"), Reason.number("most")),
  PASSWORD_WEAK,
  LAST_OWNER,

  // plans and their history
  STALE_REVISION,
  /** What stands against it comes with it, by plan. */
  CLASHES_ELSEWHERE,
  NO_SUCH_REVISION(Reason.number("revision"), Reason.number("newest")),
  NOTHING_TO_UNDO,
  NOTHING_TO_REDO,
  LAST_PLAN,
  NO_SUCH_GAP(Reason.number("gaps")),
  NOT_IN_PLAN,

  // records, samples and weather
  COMMAND_REUSED,
  TOO_MANY_SAMPLES(Reason.number("most")),
  REPORT_NOT_THERE(Reason.text("lot")),
  TOO_MANY_WEATHERS(Reason.number("most")),
  /** No JPEG of this many pixels at most, or with more in it than the picture. */
  NOT_A_PHOTO(Reason.number("mostPixels")),
  TOO_MANY_PHOTOS(Reason.number("most")),
  TOO_MANY_INSTRUMENTS(Reason.number("most")),
  /** No line turns a plate's readings of this sward into mass. */
  NO_PLATE_LINE(Reason.text("field"), Reason.text("why")),
  /** The plate rode higher than the line of its sward was made for. */
  BEYOND_PLATE_LINE(Reason.text("field"), Reason.number("clicks"), Reason.number("most")),

  // files and requests
  NOT_TEXT,
  NOT_CALENDAR,
  /** Both 0 where the place is not known. */
  NOT_JSON(Reason.number("line"), Reason.number("column")),
  /** {@code wanted} is one of number, whole_number, yes_no, day, day_of_year, list, other. */
  UNREADABLE(Reason.text("wanted")),
  UNKNOWN_NAME(Reason.text("name"), Reason.text("known")),
  ONE_EDIT(Reason.number("members")),
  FILE_TOO_LARGE(Reason.number("mostMillionCharacters")),
  BODY_TOO_LARGE(Reason.number("mostKilobytes")),
  /** A body came too slowly, or not at all. */
  BODY_TOO_SLOW,
  /** So much is asked at once that this has to wait. */
  BUSY,
  /** The sum took longer than a request may. */
  TOOK_TOO_LONG(Reason.number("mostSeconds")),
  DATABASE_DOWN,
  DISK_FULL,
  FOREIGN_FILE(Reason.text("format")),
  FILE_VERSION(Reason.number("version"), Reason.number("newest")),
  NO_SUCH_PLAN_IN_FILE(Reason.text("plan"), Reason.text("there")),

  // maps
  NOT_GEOJSON,
  TOO_MANY_FEATURES(Reason.number("most")),
  IN_PIECES(Reason.text("name"), Reason.number("pieces")),
  NO_SHAPE,
  NO_CORNERS,
  NO_FIELD_IN_FILE,
  NO_PLACE(Reason.text("position")),

  // rows of lists
  BAD_ROWS(Reason.number("rows")),
  NO_ROWS,
  TOO_MANY_ROWS(Reason.number("most")),
  UNKNOWN_COLUMN(Reason.text("known")),
  TWICE(Reason.text("name")),
  NO_NUMBER(Reason.text("cell")),
  NO_WHOLE_NUMBER(Reason.text("cell")),
  NO_YES_OR_NO(Reason.text("cell")),
  NO_DAY_OF_YEAR(Reason.text("cell")),
  NOT_ONE_OF(Reason.text("cell"), Reason.text("choices")),
  /** As {@link #NOT_ONE_OF} where the choices are too many to list. */
  NOT_KNOWN(Reason.text("cell"));

  @SuppressWarnings("ImmutableEnumChecker") // List.of cannot be changed
  private final List<Value> given;

  ServerReason(Value... given) {
    this.given = List.of(given);
  }

  @Override
  public List<Value> given() {
    return given;
  }
}
