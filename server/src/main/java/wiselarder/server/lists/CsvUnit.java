package wiselarder.server.lists;

import java.util.List;
import wiselarder.core.plan.Farm.UnitSystem;
import wiselarder.core.quantity.Stated;
import wiselarder.core.quantity.Units;

/** A quantity of a CSV column: what stands at the end of its name, and what one of it is in SI. */
public enum CsvUnit {
  NONE("", 1, "", 1),
  AREA("_ha", 1, "_ac", Units.HA_PER_ACRE),
  WEIGHT("_kg", 1, "_lb", Units.KG_PER_LB),
  MASS("_kg", 1, "_lb", Units.KG_PER_LB),
  MASS_PER_AREA("_kg_per_ha", 1, "_lb_per_ac", Units.KG_PER_LB / Units.HA_PER_ACRE),
  RATE("_kg_per_ha_day", 1, "_lb_per_ac_day", Units.KG_PER_LB / Units.HA_PER_ACRE),
  PER_DAY("_kg_per_day", 1, "_lb_per_day", Units.KG_PER_LB),
  PERCENT("_pct", 0.01, "_pct", 0.01),
  LENGTH("_m", 1, "_ft", 0.3048),
  DEPTH("_cm", 1, "_in", 2.54),
  DENSITY("_kg_per_m3", 1, "_lb_per_ft3", 16.018463),
  WIND("_km_per_hour", 1, "_mi_per_hour", 1.609344),
  WALK("_km_per_day", 1, "_mi_per_day", 1.609344),
  PARTS("_pct", 1, "_pct", 1),
  PRICE("_per_t", 1, "_per_ton", 1000 / (2000 * Units.KG_PER_LB));

  private final String metric;
  private final double metricInSi;
  private final String imperial;
  private final double imperialInSi;

  CsvUnit(String metric, double metricInSi, String imperial, double imperialInSi) {
    this.metric = metric;
    this.metricInSi = metricInSi;
    this.imperial = imperial;
    this.imperialInSi = imperialInSi;
  }

  /** The unit of a stated number, by the unit at the end of its name. */
  static CsvUnit of(Stated.Figure stated) {
    return ENDINGS.stream()
        .filter(e -> stated.member().endsWith(e.ending))
        .findFirst()
        .map(Ending::unit)
        .orElse(NONE);
  }

  private record Ending(String ending, CsvUnit unit) {}

  /** The longer first where one ends as another does. */
  private static final List<Ending> ENDINGS =
      List.of(
          new Ending("KgPerHaDay", RATE),
          new Ending("KgPerHa", MASS_PER_AREA),
          new Ending("KgPerM3", DENSITY),
          new Ending("KgPerHeadDay", PER_DAY),
          new Ending("KgPerDay", PER_DAY),
          new Ending("KmPerHour", WIND),
          new Ending("KmPerDay", WALK),
          new Ending("pricePerTonneAsFed", PRICE),
          new Ending("kgPerUnitAsFed", WEIGHT),
          new Ending("Share", PERCENT),
          new Ending("utilization", PERCENT),
          new Ending("Pct", PARTS),
          new Ending("Ha", AREA),
          new Ending("Kg", WEIGHT),
          new Ending("Cm", DEPTH),
          new Ending("M", LENGTH));

  public String suffix(UnitSystem system) {
    return system == UnitSystem.METRIC ? metric : imperial;
  }

  public double toSi(double value, UnitSystem system) {
    return value * (system == UnitSystem.METRIC ? metricInSi : imperialInSi);
  }

  public double fromSi(double si, UnitSystem system) {
    return si / (system == UnitSystem.METRIC ? metricInSi : imperialInSi);
  }
}
