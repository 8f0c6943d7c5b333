package wiselarder.core.records;

import java.util.List;
import wiselarder.core.forage.GrainStages;
import wiselarder.core.forage.GrainStages.Purpose;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * Stems of a small grain that were cut at the ground all over a field, split, and put in stages.
 *
 * @param forageId what they are of
 * @param purpose what the stand is to do
 */
public record StemsSeen(
    String fieldId, String forageId, List<Stem> stems, Purpose purpose, String note)
    implements Fact {
  public static final Stated.Figure POINT_CM = Stated.number("stem.pointCm", 0, 200).orNone();

  /** Fewer are too small a sample to correct a plan with. */
  public static final int ENOUGH = 10;

  private static final int MOST_STEMS = 100;

  /**
   * One stem.
   *
   * @param stageId of the table of stages
   * @param pointCm height of its growing point or the foot of its head above the ground, cm; null
   *     where nobody measured
   */
  public record Stem(String stageId, Double pointCm) {
    public Stem {
      stageId = Check.text("stem.stageId", stageId, 40);
      POINT_CM.check(pointCm);
    }
  }

  public StemsSeen {
    fieldId = Check.text("record.fieldId", fieldId, 40);
    forageId = Check.text("record.forageId", forageId, 40);
    stems = stems == null ? List.of() : List.copyOf(stems);
    if (stems.isEmpty()) {
      throw new Refused(CoreReason.MISSING, "record.stems");
    }
    Check.range("record.stems", stems.size(), 1, MOST_STEMS);
    purpose = purpose == null ? Purpose.REGROW : purpose;
    note = CoverSeen.NOTE.check(note);
  }

  public boolean enough() {
    return stems.size() >= ENOUGH;
  }

  /** Place in the table of the stage that half of the stems have come to. */
  public int stage(GrainStages known) {
    int[] places = stems.stream().mapToInt(s -> known.place(s.stageId())).sorted().toArray();
    return places[places.length / 2];
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
