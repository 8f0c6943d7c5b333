package wiselarder.core.plan;

import java.util.List;
import wiselarder.core.forage.OwnForage;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.Grid;
import wiselarder.core.price.OwnPrice;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;
import wiselarder.core.store.Lot;

/**
 * What is there: land, herd and store.
 *
 * @param audKg kg DM that one standard animal unit eats in a day
 * @param currency three letters or a sign, shown with prices
 * @param forages the keeper's own: mixtures, and forages of the product with figures changed
 * @param machines what can be used; null where nobody said, and then nothing is held against it
 * @param grid where the map lies on the globe, or null for a map drawn by hand
 * @param prices the keeper's own; where one is missing the product's stands
 * @param seeds what lies in the shed
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
    List<Lot> lots,
    List<OwnForage> forages,
    List<Machine> machines,
    Grid grid,
    List<OwnPrice> prices,
    List<Seed> seeds) {
  public static final Stated.Figure AUD_KG = Stated.number("farm.audKg", 5, 20);
  public static final Stated.Text NAME = Stated.text("farm.name", 80);
  public static final Stated.Text NOTE = Stated.note("farm.note", 4000);
  public static final Stated.Text CURRENCY = Stated.text("farm.currency", 5);

  /** What a farm can do with a crop beside grazing it, itself or hired. */
  public enum Machine {
    /** Mows and crimps thick stems so that they dry. */
    MOWER_CONDITIONER,
    /** Wraps wilted bales. */
    WRAPPER,
    /** Chops into a clamp or bag. */
    FORAGE_HARVESTER,
    /** Grinds or mixes hay that stock would leave lying. */
    MIXER,
    /** Sows into sod. */
    SOD_DRILL
  }

  /** How figures are shown; they are always kept in kg, ha and days. */
  public enum UnitSystem {
    IMPERIAL,
    METRIC
  }

  public Farm {
    name = NAME.check(name);
    note = NOTE.check(note);
    Check.text("farm.climateId", climateId, 60);
    Check.present("farm.units", units);
    currency = CURRENCY.check(currency);
    AUD_KG.check(audKg);
    fields = List.copyOf(Check.present("farm.fields", fields));
    groups = List.copyOf(Check.present("farm.groups", groups));
    lots = List.copyOf(Check.present("farm.lots", lots));
    forages = forages == null ? List.of() : List.copyOf(forages);
    machines = machines == null ? null : machines.stream().distinct().sorted().toList();
    prices = prices == null ? List.of() : List.copyOf(prices);
    seeds = seeds == null ? List.of() : List.copyOf(seeds);
  }

  /** A farm that grows what the product's tables hold. */
  public Farm(
      String name,
      String note,
      String climateId,
      UnitSystem units,
      String currency,
      double audKg,
      List<Field> fields,
      List<AnimalGroup> groups,
      List<Lot> lots) {
    this(
        name, note, climateId, units, currency, audKg, fields, groups, lots, null, null, null, null,
        null);
  }

  /** True where a machine is there, or nobody said which are. */
  public boolean has(Machine machine) {
    return machines == null || machines.contains(machine);
  }

  public Farm withFields(List<Field> changed) {
    return with(changed, groups, lots, forages, prices, seeds);
  }

  public Farm withGroups(List<AnimalGroup> changed) {
    return with(fields, changed, lots, forages, prices, seeds);
  }

  public Farm withLots(List<Lot> changed) {
    return with(fields, groups, changed, forages, prices, seeds);
  }

  public Farm withForages(List<OwnForage> changed) {
    return with(fields, groups, lots, changed, prices, seeds);
  }

  public Farm withPrices(List<OwnPrice> changed) {
    return with(fields, groups, lots, forages, changed, seeds);
  }

  public Farm withSeeds(List<Seed> changed) {
    return with(fields, groups, lots, forages, prices, changed);
  }

  private Farm with(
      List<Field> f,
      List<AnimalGroup> g,
      List<Lot> l,
      List<OwnForage> own,
      List<OwnPrice> p,
      List<Seed> shed) {
    return new Farm(
        name, note, climateId, units, currency, audKg, f, g, l, own, machines, grid, p, shed);
  }
}
