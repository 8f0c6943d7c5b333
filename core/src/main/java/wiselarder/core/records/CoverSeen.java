package wiselarder.core.records;

import java.util.List;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.forage.SwardSigns;
import wiselarder.core.land.CoverMeasure;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * How much stood on a field in the morning of a day, as it was measured: what that comes to in kg
 * DM/ha is worked out where it is read, so that a better line makes old readings better.
 *
 * @param forageId what stood there, by whose density heights are turned into mass
 * @param heightsCm of the stick; one may be the mean of many. Beside frames the height of each
 * @param plate readings of the plate, by its line {@code perUnitKg x reading + baseKg}
 * @param coverKgPerHa the keeper's own figure, else null
 * @param deadShare share of the dry matter that is dead, or null where nobody looked
 */
public record CoverSeen(
    String fieldId,
    String forageId,
    Way way,
    HeightTable.Season season,
    HeightTable.Density density,
    List<Double> heightsCm,
    List<Double> plate,
    Double perUnitKg,
    Double baseKg,
    List<CoverMeasure.Clip> clips,
    Double coverKgPerHa,
    Double deadShare,
    List<SignSeen> signs,
    String note)
    implements Fact {
  public static final Stated.Figure COVER_KG_PER_HA =
      Stated.number("seen.coverKgPerHa", 0, 40_000).orNone();
  public static final Stated.Figure DEAD_SHARE = Stated.number("seen.deadShare", 0, 1).orNone();
  public static final Stated.Text NOTE = Stated.note("record.note", 400);
  private static final int MOST_SIGNS = 30;

  /** How it was measured. */
  public enum Way {
    HEIGHT,
    PLATE,
    CLIP,
    EYE
  }

  /** A sign that was looked at, and what it showed; ids of the table of signs. */
  public record SignSeen(String signId, String value) {
    public SignSeen {
      signId = Check.text("sign.signId", signId, 60);
      value = Check.text("sign.value", value, 60);
    }
  }

  public CoverSeen {
    fieldId = Check.text("record.fieldId", fieldId, 40);
    forageId = Check.text("record.forageId", forageId, 40);
    Check.present("seen.way", way);
    season = season == null ? HeightTable.Season.SUMMER : season;
    density = density == null ? HeightTable.Density.ORDINARY : density;
    heightsCm = heightsCm == null ? List.of() : List.copyOf(heightsCm);
    plate = plate == null ? List.of() : List.copyOf(plate);
    clips = clips == null ? List.of() : List.copyOf(clips);
    signs = signs == null ? List.of() : List.copyOf(signs);
    Check.range("record.signs", signs.size(), 0, MOST_SIGNS);
    Check.range("seen.heightsCm", heightsCm.size(), 0, CoverMeasure.MOST_READINGS);
    Check.range("seen.plate", plate.size(), 0, CoverMeasure.MOST_READINGS);
    Check.range("seen.clips", clips.size(), 0, CoverMeasure.MOST_READINGS);
    if (way == Way.CLIP && !heightsCm.isEmpty()) {
      // of every frame, or of none
      Check.range("seen.heightsCm", heightsCm.size(), clips.size(), clips.size());
    }
    COVER_KG_PER_HA.check(coverKgPerHa);
    DEAD_SHARE.check(deadShare);
    note = NOTE.check(note);
    boolean said =
        switch (way) {
          case HEIGHT -> !heightsCm.isEmpty();
          case PLATE -> !plate.isEmpty() && perUnitKg != null && baseKg != null;
          case CLIP -> !clips.isEmpty();
          case EYE -> coverKgPerHa != null;
        };
    if (!said) {
      throw new Refused(CoreReason.MISSING, measured(way));
    }
    // what could not be reckoned with is refused before it is kept
    heightsCm.forEach(CoverMeasure.HEIGHT_CM::check);
    plate.forEach(CoverMeasure.READING::check);
    if (way == Way.PLATE) {
      CoverMeasure.byPlate(plate, perUnitKg, baseKg);
    }
  }

  private static String measured(Way way) {
    return switch (way) {
      case HEIGHT -> "seen.heightsCm";
      case PLATE -> "seen.plate";
      case CLIP -> "seen.clips";
      case EYE -> "seen.coverKgPerHa";
    };
  }

  @Override
  public boolean seenOnFarm() {
    return true;
  }

  @Override
  public String fieldId() {
    return fieldId;
  }

  /**
   * Whether the roots hold a pull, as somebody tried; null where nobody did. One sign against it is
   * enough.
   */
  public Boolean rootsHold(SwardSigns known) {
    Boolean hold = null;
    for (SignSeen s : signs) {
      SwardSigns.Value value = known.find(s.signId, s.value).orElse(null);
      if (value != null && known.sign(s.signId).what().equals(PULLED)) {
        boolean holds = value.effect().compareTo(SwardSigns.Effect.WAIT) < 0;
        hold = hold == null ? holds : hold && holds;
      }
    }
    return hold;
  }

  /** The family of signs that a pull shows. */
  public static final String PULLED = "anchorage";

  /**
   * What stood there, kg DM/ha. Bare ground takes its share off what a height says, which was read
   * on plants; a plate, frames and the eye have it in them.
   */
  public CoverMeasure cover(HeightTable heights, Forage forage, SwardSigns known) {
    return switch (way) {
      case HEIGHT ->
          CoverMeasure.byHeights(heights, forage, season, density, heightsCm)
              .times(standing(known));
      case PLATE -> CoverMeasure.byPlate(plate, perUnitKg, baseKg);
      case CLIP -> CoverMeasure.byClips(clips);
      case EYE -> CoverMeasure.byEye(coverKgPerHa);
    };
  }

  /** Signs of one cause are not multiplied: the lowest counts. */
  private double standing(SwardSigns known) {
    return signs.stream()
        .filter(s -> known.find(s.signId, s.value).isPresent())
        .filter(s -> known.sign(s.signId).factorOn() == SwardSigns.FactorOn.STANDING_MASS)
        .mapToDouble(s -> known.sign(s.signId).value(s.value).factor())
        .min()
        .orElse(1);
  }
}
