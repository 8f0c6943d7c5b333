package wiselarder.core.records;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * A hold that a keeper overrides, and why: tested and clear, looked at and dry, asked and told so.
 * It holds no more from that day until it would have ended; the caution itself stays.
 *
 * @param fieldId the field that is opened, or null; {@code lot} the lot, or null; one of them
 * @param from a day on which it holds
 */
public record HoldLifted(String hazardId, String fieldId, String lot, LocalDate from, String why)
    implements Fact {
  public static final Stated.Text WHY = Stated.text("lifted.why", 400);

  public HoldLifted {
    hazardId = Check.text("lifted.hazardId", hazardId, 60);
    Check.present("lifted.from", from);
    if ((fieldId == null) == (lot == null)) {
      throw new Refused(CoreReason.MISSING, "lifted.fieldId");
    }
    why = WHY.check(why);
  }

  @Override
  public String lotId() {
    return lot;
  }
}
