package wiselarder.core.plan;

import java.time.MonthDay;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * A rung of the drought plan that a keeper agrees with himself before the drought: on this day, if
 * what is in hand is less than this, that is done.
 *
 * @param on the day of the year on which it is looked at
 * @param sign what is looked at; null where the words alone say it
 * @param below in the unit of the sign: kg DM/ha, kg DM, kg DM/ha a day, percent, mm; null with it
 * @param doThis what is done then, in the keeper's words
 */
public record Rung(String id, MonthDay on, Sign sign, Double below, String doThis) {
  public static final Stated.Figure BELOW = Stated.number("rung.below", 0, 10_000_000).orNone();
  public static final Stated.Text DO_THIS = Stated.text("rung.doThis", 400);

  public Rung {
    id = Check.text("rung.id", id, 80);
    Check.present("rung.on", on);
    BELOW.check(below);
    if ((sign == null) != (below == null)) {
      throw new Refused(CoreReason.MISSING, sign == null ? "rung.sign" : "rung.below");
    }
    doThis = DO_THIS.check(doThis);
  }
}
