package wiselarder.core.winter;

import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.plan.StandsAt;

/** Whether stock that winter on a field have water there. */
final class Watering {
  /** Whether a group is there on a day. */
  @FunctionalInterface
  interface There {
    boolean is(int group, int day);
  }

  /** Of so many days on which somebody is there, those on which nobody says what they drink. */
  record Dry(int days, int of) {}

  private Watering() {}

  /**
   * Days, from one to before another, on which somebody is there and nobody says what they drink:
   * no trough is drawn, the field has no water of which anybody said, and they are none that live
   * on snow while snow lies.
   */
  static Dry dryDays(
      YearBalance year, Field field, List<StandsAt> places, int from, int to, There there) {
    Lie.Water water = field.lie().water();
    boolean said = water != Lie.Water.NOT_SAID && water != Lie.Water.NONE;
    if (said || places.stream().anyMatch(p -> p.what() == StandsAt.Stands.TROUGH)) {
      return new Dry(0, 0);
    }
    int dry = 0;
    int of = 0;
    for (int d = Math.max(0, from); d < to; d++) {
      boolean thirsty = false;
      boolean any = false;
      for (int g = 0; g < year.stated().farm().groups().size(); g++) {
        boolean snow =
            year.stated().farm().groups().get(g).keeping().snowAsWater()
                && year.resolved().weather.snowLies(d);
        boolean here = there.is(g, d);
        any |= here;
        thirsty |= here && !snow;
      }
      of += any ? 1 : 0;
      dry += thirsty ? 1 : 0;
    }
    return new Dry(dry, of);
  }
}
