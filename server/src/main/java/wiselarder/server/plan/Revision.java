package wiselarder.server.plan;

import java.time.OffsetDateTime;

/**
 * One line of a plan's history.
 *
 * @param who name of the person, empty where nobody is known
 * @param whole whether the plan as it stood then is kept, to be looked at and gone back to
 */
public record Revision(
    int number, Kind kind, Told told, String who, OffsetDateTime at, boolean whole) {

  /** How a revision came about. */
  public enum Kind {
    BEGAN,
    EDIT,
    UNDO,
    REDO
  }

  /** A revision as undo and redo see it. */
  record Step(int number, Kind kind, Told told, Integer restores, Integer undid) {
    /** The edit whose content this revision carries. */
    int carries() {
      return restores == null ? number : restores;
    }
  }
}
