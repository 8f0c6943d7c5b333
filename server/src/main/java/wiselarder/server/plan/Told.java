package wiselarder.server.plan;

import java.util.List;
import wiselarder.core.edit.Difference;

/**
 * What a revision did, as codes and values: the words are the web client's.
 *
 * @param name of the plan that came or was copied, or null
 * @param number of the change that is meant, or null
 * @param words as they were said before revisions were told by codes, or null
 * @param changes what became different
 */
public record Told(
    How how, String name, Integer number, String words, List<Difference.Change> changes) {

  /** How a revision came about. */
  public enum How {
    BEGAN_EMPTY,
    BEGAN_DEMO,
    BEGAN_FROM_FILE,
    BEGAN_FROM_HAY_SUM,
    /** Copied from plan {@code name} at its change {@code number}. */
    COPIED,
    EDITED,
    /** Edited together with plan {@code name}. */
    ALSO,
    /** Its first day taken from what plan {@code name} comes to. */
    BEGINS_FROM,
    /** Replaced by plan {@code name} of a file. */
    REPLACED,
    /** Back to how it stood at change {@code number}. */
    WENT_BACK,
    /** Took change {@code number} back. */
    UNDID,
    /** Brought change {@code number} back. */
    REDID,
    /** Of before: only {@code words} are known. */
    SAID
  }

  /** A line without more to say. */
  public static Told began(How how) {
    return new Told(how, null, null, null, List.of());
  }

  static Told of(How how, String name, Integer number) {
    return new Told(how, name, number, null, List.of());
  }

  /** The same with what became different. */
  Told with(List<Difference.Change> changed) {
    return new Told(how, name, number, words, changed);
  }

  /** Another change's line, as it was taken back or brought back. */
  Told again(How again, int change) {
    return new Told(again, name, change, words, changes);
  }
}
