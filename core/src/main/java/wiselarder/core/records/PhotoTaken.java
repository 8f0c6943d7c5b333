package wiselarder.core.records;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;

/**
 * A photo of a field, or of something on the farm. The picture itself is kept beside the records,
 * under its id; striking the record out removes it.
 *
 * @param photoId SHA-256 of the picture's bytes, 64 hexadecimal digits
 * @param fieldId null where it is of no field
 */
public record PhotoTaken(String photoId, String fieldId, String note) implements Fact {
  private static final int DIGITS = 64;
  private static final String HEXADECIMAL = "0123456789abcdef";

  public PhotoTaken {
    photoId = Check.text("photo.id", photoId, DIGITS);
    if (photoId.length() != DIGITS || !photoId.chars().allMatch(c -> HEXADECIMAL.indexOf(c) >= 0)) {
      throw new Refused(CoreReason.UNKNOWN_ID, "photo.id", photoId);
    }
    fieldId = fieldId == null ? null : Check.text("record.fieldId", fieldId, 40);
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
