package wiselarder.core.plan;

import wiselarder.core.quantity.Stated;
import wiselarder.core.store.FeedWorth;

/**
 * What a stand is like on the morning of the plan's first day, beside how much of it stands: as an
 * earlier plan left it, so that nothing gets younger because a plan ends. Without it the stand is
 * half grown where it grows that day, and else as it would be kept since growth stopped.
 *
 * @param vigour growth beside that of one that was never bitten too low
 * @param youngShare of what is green, the part that has grown since it was last taken down
 * @param young what that is worth, {@code old} the rest of the green, {@code dead} what is dead;
 *     null where there is none
 * @param youngRipeness 0 leafy to 1 ripe; {@code oldRipeness} likewise
 * @param ageDegreeDays heat since it was last taken down
 * @param stemsTaken of this year's heading, in times of all of them
 */
public record OpeningState(
    double vigour,
    double youngShare,
    FeedWorth young,
    FeedWorth old,
    FeedWorth dead,
    double youngRipeness,
    double oldRipeness,
    double ageDegreeDays,
    double stemsTaken) {
  public static final Stated.Figure VIGOUR = Stated.number("state.vigour", 0, 1);
  public static final Stated.Figure YOUNG_SHARE = Stated.number("state.youngShare", 0, 1);
  public static final Stated.Figure YOUNG_RIPENESS = Stated.number("state.youngRipeness", 0, 1);
  public static final Stated.Figure OLD_RIPENESS = Stated.number("state.oldRipeness", 0, 1);
  public static final Stated.Figure AGE_DEGREE_DAYS =
      Stated.number("state.ageDegreeDays", 0, 20000);
  public static final Stated.Figure STEMS_TAKEN = Stated.number("state.stemsTaken", 0, 100);

  public OpeningState {
    VIGOUR.check(vigour);
    YOUNG_SHARE.check(youngShare);
    young = young == null ? null : young.stated();
    old = old == null ? null : old.stated();
    dead = dead == null ? null : dead.stated();
    YOUNG_RIPENESS.check(youngRipeness);
    OLD_RIPENESS.check(oldRipeness);
    AGE_DEGREE_DAYS.check(ageDegreeDays);
    STEMS_TAKEN.check(stemsTaken);
  }
}
