package wiselarder.core.records;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * The height of the sward at a place of a field that is found again.
 *
 * @param stake what the place is called
 * @param left stock have just gone: from here on it is to recover
 * @param tips of the leaves, or null where nobody looked
 */
public record StakeSeen(
    String fieldId, String stake, Double heightCm, boolean left, Tips tips, String note)
    implements Fact {
  public static final Stated.Text STAKE = Stated.text("stake.name", 40);
  public static final Stated.Figure HEIGHT_CM = Stated.number("stake.heightCm", 0, 400);

  /** Of most leaves: as bitten or mown, or grown out since. */
  public enum Tips {
    BLUNT,
    POINTED
  }

  public StakeSeen {
    fieldId = Check.text("record.fieldId", fieldId, 40);
    stake = STAKE.check(stake);
    if (heightCm == null) {
      throw new Refused(CoreReason.MISSING, "stake.heightCm");
    }
    HEIGHT_CM.check(heightCm);
    note = CoverSeen.NOTE.check(note);
  }

  @Override
  public boolean seenOnFarm() {
    return true;
  }

  @Override
  public String fieldId() {
    return fieldId;
  }
}
