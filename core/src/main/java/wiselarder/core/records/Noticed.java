package wiselarder.core.records;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * Something else that was seen on the farm or on one of its fields.
 *
 * @param fieldId null where it is the whole farm's
 * @param amount of what is measured: rain in the gauge since it was last emptied and written down,
 *     or of the day before where that was over a week ago, mm; lowest of the night, deg C; snow
 *     lying, cm; water in the soil, share of what plants can use; null for what is not
 */
public record Noticed(What what, String fieldId, Double amount, String note) implements Fact {
  public static final Stated.Figure RAIN_MM = Stated.number("noticed.rainMm", 0, 500);
  public static final Stated.Figure FROST_C = Stated.number("noticed.frostC", -60, 10);
  public static final Stated.Figure SNOW_CM = Stated.number("noticed.snowCm", 0, 500);
  public static final Stated.Figure SOIL_SHARE = Stated.number("noticed.soilShare", 0, 1);

  /** What it was. */
  public enum What {
    RAIN,
    FROST,
    SNOW,
    SOIL,
    WATER,
    FENCE,
    LODGED,
    ICED,
    WEEDS,
    INSECTS,
    OTHER
  }

  public Noticed {
    Check.present("noticed.what", what);
    fieldId = fieldId == null ? null : Check.text("record.fieldId", fieldId, 40);
    note = CoverSeen.NOTE.check(note);
    Stated.Figure measured =
        switch (what) {
          case RAIN -> RAIN_MM;
          case FROST -> FROST_C;
          case SNOW -> SNOW_CM;
          case SOIL -> SOIL_SHARE;
          default -> null;
        };
    if (measured == null) {
      amount = null;
    } else if (amount == null) {
      throw new Refused(CoreReason.MISSING, measured.name());
    } else {
      measured.check(amount);
    }
    if (what == What.SOIL && fieldId == null) {
      throw new Refused(CoreReason.MISSING, "record.fieldId");
    }
    if (what == What.OTHER && note.isEmpty()) {
      throw new Refused(CoreReason.MISSING, "record.note");
    }
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
