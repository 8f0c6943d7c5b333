package wiselarder.core.store;

import wiselarder.core.quantity.Check;

/**
 * A lot of equal units of one stored feed, as stated on the day it comes in (or the plan's first
 * day).
 *
 * @param unitName what one unit is called, e.g. {@code round bale}
 * @param kgPerUnitAsFed weight of a unit as it stands, water included
 * @param dmShare dry matter as a share of that weight
 * @param pricePerTonneAsFed in the farm's currency, or null when unknown
 */
public record Lot(
    String id,
    String name,
    String unitName,
    int units,
    double kgPerUnitAsFed,
    double dmShare,
    String storageMethodId,
    String feedingMethodId,
    Double pricePerTonneAsFed,
    String note) {
  public Lot {
    id = Check.text("lot.id", id, 80);
    name = Check.text("lot.name", name, 60);
    unitName = Check.text("lot.unitName", unitName, 40);
    Check.range("lot.units", units, 0, 1000000);
    Check.range("lot.kgPerUnitAsFed", kgPerUnitAsFed, 1, 5000);
    Check.range("lot.dmShare", dmShare, 0.1, 1);
    Check.text("lot.storageMethodId", storageMethodId, 60);
    Check.text("lot.feedingMethodId", feedingMethodId, 60);
    if (pricePerTonneAsFed != null) {
      Check.range("lot.pricePerTonneAsFed", pricePerTonneAsFed, 0, 100000);
    }
    note = Check.note("lot.note", note, 4000);
  }

  /** Dry matter of one unit as it comes in, kg. */
  public double kgDmPerUnit() {
    return kgPerUnitAsFed * dmShare;
  }
}
