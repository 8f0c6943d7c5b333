package wiselarder.core.plan;

import java.util.List;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.quantity.Check;
import wiselarder.core.store.Lot;

/**
 * What is there: land, herd and store.
 *
 * @param audKg kg DM that one standard animal unit eats in a day
 * @param currency three letters or a sign, shown with prices
 */
public record Farm(
    String name,
    String note,
    String climateId,
    UnitSystem units,
    String currency,
    double audKg,
    List<Field> fields,
    List<AnimalGroup> groups,
    List<Lot> lots) {

  /** How figures are shown; they are always kept in kg, ha and days. */
  public enum UnitSystem {
    IMPERIAL,
    METRIC
  }

  public Farm {
    name = Check.text("farm.name", name, 80);
    note = Check.note("farm.note", note, 4000);
    Check.text("farm.climateId", climateId, 60);
    Check.present("farm.units", units);
    currency = Check.text("farm.currency", currency, 5);
    Check.range("farm.audKg", audKg, 5, 20);
    fields = List.copyOf(Check.present("farm.fields", fields));
    groups = List.copyOf(Check.present("farm.groups", groups));
    lots = List.copyOf(Check.present("farm.lots", lots));
  }

  Farm withFields(List<Field> changed) {
    return new Farm(name, note, climateId, units, currency, audKg, changed, groups, lots);
  }

  Farm withGroups(List<AnimalGroup> changed) {
    return new Farm(name, note, climateId, units, currency, audKg, fields, changed, lots);
  }

  Farm withLots(List<Lot> changed) {
    return new Farm(name, note, climateId, units, currency, audKg, fields, groups, changed);
  }
}
