package wiselarder.core.plan;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * What the ground of a field brings into the plan beside what stands on it, on the morning of the
 * plan's first day. Of a field that has none of these the soil is as wet as it usually is that day,
 * and no nitrogen waits in it.
 *
 * @param fieldId also its own id: a field has one
 * @param soilWaterShare of the water that the soil can hold, or null for what is usual that day
 * @param nitrogenKgPerHa free in the soil, of dressings and dung, not yet grown into grass
 * @param nitrogenToComeKgPerHa left by stock over bales set out, not yet free
 * @param state of its base stand, or null for one as usual that day
 */
public record OpeningGround(
    String fieldId,
    Double soilWaterShare,
    double nitrogenKgPerHa,
    double nitrogenToComeKgPerHa,
    OpeningState state) {
  public static final Stated.Figure SOIL_WATER_SHARE =
      Stated.number("ground.soilWaterShare", 0, 1).orNone();
  public static final Stated.Figure NITROGEN_KG_PER_HA =
      Stated.number("ground.nitrogenKgPerHa", 0, 500);
  public static final Stated.Figure NITROGEN_TO_COME_KG_PER_HA =
      Stated.number("ground.nitrogenToComeKgPerHa", 0, 1000);

  /** Ground under a stand as usual. */
  public OpeningGround(
      String fieldId, Double soilWaterShare, double nitrogenKgPerHa, double nitrogenToComeKgPerHa) {
    this(fieldId, soilWaterShare, nitrogenKgPerHa, nitrogenToComeKgPerHa, null);
  }

  public OpeningGround {
    fieldId = Check.text("ground.fieldId", fieldId, 40);
    SOIL_WATER_SHARE.check(soilWaterShare);
    NITROGEN_KG_PER_HA.check(nitrogenKgPerHa);
    NITROGEN_TO_COME_KG_PER_HA.check(nitrogenToComeKgPerHa);
  }
}
