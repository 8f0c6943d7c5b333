package wiselarder.core.store;

import java.time.LocalDate;
import java.util.Map;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * A lot of equal units of one stored feed, as stated on the day it comes in (or the plan's first
 * day).
 *
 * @param unitName what one unit is called, e.g. {@code round bale}
 * @param kgPerUnitAsFed weight of a unit as it stands, water included; where a size says it, that
 *     one holds
 * @param dmShare dry matter as a share of that weight, until a record reports it
 * @param pricePerTonneAsFed what it was bought for, in the farm's currency, or null
 * @param origin null: nothing is said
 * @param size weighed or measured units, or null
 * @param reserve units kept back for a season, or null
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
    String note,
    Origin origin,
    UnitSize size,
    Reserve reserve) {
  public static final Stated.Figure PRICE_PER_TONNE_AS_FED =
      Stated.number("lot.pricePerTonneAsFed", 0, 100000).orNone();
  public static final Stated.Figure UNITS = Stated.whole("lot.units", 0, 1000000);
  public static final Stated.Figure KG_PER_UNIT_AS_FED =
      Stated.number("lot.kgPerUnitAsFed", 1, 5000);
  public static final Stated.Figure DM_SHARE = Stated.number("lot.dmShare", 0.1, 1);
  public static final Stated.Text NAME = Stated.text("lot.name", 60);
  public static final Stated.Text UNIT_NAME = Stated.text("lot.unitName", 40);
  public static final Stated.Text NOTE = Stated.note("lot.note", 4000);

  public Lot {
    id = Check.text("lot.id", id, 80);
    name = NAME.check(name);
    unitName = UNIT_NAME.check(unitName);
    UNITS.check(units);
    if (size != null && !Double.isNaN(size.kgAsFed())) {
      kgPerUnitAsFed = size.kgAsFed();
    }
    KG_PER_UNIT_AS_FED.check(kgPerUnitAsFed);
    DM_SHARE.check(dmShare);
    Check.text("lot.storageMethodId", storageMethodId, 60);
    Check.text("lot.feedingMethodId", feedingMethodId, 60);
    PRICE_PER_TONNE_AS_FED.check(pricePerTonneAsFed);
    note = NOTE.check(note);
    origin = origin == null ? Origin.UNSAID : origin;
  }

  /** A lot of which no more is said. */
  public Lot(
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
    this(
        id,
        name,
        unitName,
        units,
        kgPerUnitAsFed,
        dmShare,
        storageMethodId,
        feedingMethodId,
        pricePerTonneAsFed,
        note,
        null,
        null,
        null);
  }

  /** As many others of the same make, with nothing kept back. */
  public Lot like(String otherId, String otherName, int otherUnits) {
    return like(otherId, otherName, otherUnits, dmShare);
  }

  Lot like(String otherId, String otherName, int otherUnits, double share) {
    return new Lot(
        otherId,
        otherName,
        unitName,
        otherUnits,
        kgPerUnitAsFed,
        share,
        storageMethodId,
        feedingMethodId,
        pricePerTonneAsFed,
        note,
        origin,
        size,
        null);
  }

  /** The same lot, fed in another way. */
  public Lot fedBy(String otherMethodId) {
    return new Lot(
        id,
        name,
        unitName,
        units,
        kgPerUnitAsFed,
        dmShare,
        storageMethodId,
        otherMethodId,
        pricePerTonneAsFed,
        note,
        origin,
        size,
        reserve);
  }

  /** Dry matter of one unit as it was stated, kg. */
  public double kgDmPerUnit() {
    return kgPerUnitAsFed * dmShare;
  }

  /** So much of it as is left, each unit by so much lighter, at the start of a later plan. */
  public Lot left(String otherId, int unitsLeft, double share, Origin from) {
    boolean asWeighed = share == 1;
    return new Lot(
        otherId,
        name,
        unitName,
        unitsLeft,
        asWeighed ? kgPerUnitAsFed : kgPerUnitAsFed * share,
        dmShare,
        storageMethodId,
        feedingMethodId,
        pricePerTonneAsFed,
        note,
        from,
        asWeighed ? size : null,
        reserve);
  }

  /** The same under another id, cut on another day where one is known. */
  public Lot again(String otherId, LocalDate cutOn) {
    Origin then = origin.cutOn() == null ? origin : origin.cutOn(cutOn);
    return new Lot(
        otherId,
        name,
        unitName,
        units,
        kgPerUnitAsFed,
        dmShare,
        storageMethodId,
        feedingMethodId,
        pricePerTonneAsFed,
        note,
        then,
        size,
        reserve);
  }

  /** What it was reckoned, else by the table, else as common grass hay; tests aside. */
  public FeedWorth worth(Map<String, StoredFeed> feeds) {
    if (origin.worth() != null) {
      return origin.worth();
    }
    StoredFeed feed = origin.feedId() == null ? null : feeds.get(origin.feedId());
    return feed == null ? FeedWorth.COMMON_HAY : feed.worth();
  }

  /** What one unit cost: bought, made and hauled; null where nothing of it is known. */
  public Double costPerUnit() {
    if (pricePerTonneAsFed == null
        && origin.makingPerUnit() == null
        && origin.haulingPerUnit() == null) {
      return null;
    }
    return (pricePerTonneAsFed == null ? 0 : pricePerTonneAsFed * kgPerUnitAsFed / 1000)
        + (origin.makingPerUnit() == null ? 0 : origin.makingPerUnit())
        + (origin.haulingPerUnit() == null ? 0 : origin.haulingPerUnit());
  }
}
