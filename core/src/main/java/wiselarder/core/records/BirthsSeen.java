package wiselarder.core.records;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * Births of a group on a day. From the first to the last that are written down of a season they are
 * taken to be all there were.
 *
 * @param dams that gave birth
 * @param young of them that live
 */
public record BirthsSeen(String groupId, int dams, int young, String note) implements Fact {
  public static final Stated.Figure DAMS = Stated.whole("births.dams", 1, 10000);
  public static final Stated.Figure YOUNG = Stated.whole("births.young", 0, 40000);

  /** More than so many of one birth are a mistake. */
  private static final int MOST_OF_ONE = 5;

  public BirthsSeen {
    groupId = Check.text("record.groupId", groupId, 40);
    DAMS.check(dams);
    YOUNG.check(young);
    Check.range(YOUNG.name(), young, 0, MOST_OF_ONE * dams);
    note = CoverSeen.NOTE.check(note);
  }

  @Override
  public boolean seenOnFarm() {
    return true;
  }

  @Override
  public String groupId() {
    return groupId;
  }
}
