package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.balance.HaySum;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.engine.Engine;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Plan;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;
import wiselarder.core.store.Lot;

/**
 * The sum that everybody does first: how many bales for these animals and these days. It is no
 * second arithmetic: it makes the smallest plan there is, in which the group grazes somewhere that
 * is not reckoned with until the hay days begin and after they end, and reads the hay sum off its
 * year. Dams count as dry: births are entered in the plan.
 *
 * @param plan the plan, to be kept as a farm
 * @param units whole units needed
 * @param eatenKg dry matter eaten over the days
 * @param days days of hay
 * @param usableKg dry matter of one unit that ends in an animal, on the mean of the days
 */
public record QuickHay(FarmPlan plan, int units, double eatenKg, int days, double usableKg) {
  private static final int PLAN_MONTHS = 12;

  /**
   * What a keeper knows better than the tables; null for what is not known.
   *
   * @param eatsKgPerHeadDay dry matter that one animal eats a day
   * @param intoThemKgPerUnit dry matter that one unit puts into them, once store and feeding have
   *     taken their part
   */
  public record Known(Double eatsKgPerHeadDay, Double intoThemKgPerUnit) {
    public static final Stated.Figure INTO_THEM_KG_PER_UNIT =
        Stated.number("quick.intoThemKgPerUnit", 0.5, 2000).orNone();

    public Known {
      AnimalGroup.FLAT_INTAKE_KG_PER_HEAD_DAY.check(eatsKgPerHeadDay);
      INTO_THEM_KG_PER_UNIT.check(intoThemKgPerUnit);
    }

    static final Known NOTHING = new Known(null, null);
  }

  /** As below, by the tables alone. */
  public static QuickHay of(
      Engine engine,
      String farmName,
      String climateId,
      Farm.UnitSystem units,
      String currency,
      String kind,
      int head,
      double weightKg,
      LocalDate fromInclusive,
      LocalDate toExclusive,
      Lot lot) {
    return of(
        engine,
        farmName,
        climateId,
        units,
        currency,
        kind,
        head,
        weightKg,
        fromInclusive,
        toExclusive,
        lot,
        Known.NOTHING);
  }

  /**
   * Works it out. Where it is known what one unit puts into them, its weight is set so that it
   * does.
   *
   * @param farmName what the farm is to be called
   * @param kind kind of the animals
   * @param fromInclusive first day of hay
   * @param toExclusive first day without, at most a year later
   * @param lot the bales, their number left open
   */
  public static QuickHay of(
      Engine engine,
      String farmName,
      String climateId,
      Farm.UnitSystem units,
      String currency,
      String kind,
      int head,
      double weightKg,
      LocalDate fromInclusive,
      LocalDate toExclusive,
      Lot lot,
      Known known) {
    Check.range("group.head", head, 1, 100000);
    Check.present("quick.fromInclusive", fromInclusive);
    Check.present("quick.toExclusive", toExclusive);
    Check.ordered("quick.dates", fromInclusive, toExclusive);
    LocalDate start = fromInclusive.withDayOfMonth(1);
    PlanYear year = new PlanYear(start, PLAN_MONTHS);
    Check.range("quick.days", year.day(toExclusive) - year.day(fromInclusive), 1, 366);
    double gain = engine.catalogue().herd().defaultGainKgPerDay(kind);
    AnimalGroup group =
        group(
            kind,
            head,
            weightKg,
            gain,
            known.eatsKgPerHeadDay(),
            start,
            fromInclusive,
            toExclusive);
    Lot like = lot;
    HaySum sum = sum(engine, plan(farmName, climateId, units, currency, year, group, like));
    if (known.intoThemKgPerUnit() != null && usable(sum) > 0) {
      like = weighing(lot, lot.kgPerUnitAsFed() * known.intoThemKgPerUnit() / usable(sum));
      sum = sum(engine, plan(farmName, climateId, units, currency, year, group, like));
    }
    double usable = usable(sum);
    Lot enough = like.like(lot.id(), lot.name(), sum.units());
    FarmPlan filled = plan(farmName, climateId, units, currency, year, group, enough);
    return new QuickHay(filled, sum.units(), sum.fedKg() + sum.bareKg(), sum.days(), usable);
  }

  private static HaySum sum(Engine engine, FarmPlan plan) {
    return HaySum.of(engine.simulate(plan), 0, 0);
  }

  private static double usable(HaySum sum) {
    return sum.exactUnits() <= 0 ? 0 : (sum.fedKg() + sum.bareKg()) / sum.exactUnits();
  }

  private static Lot weighing(Lot lot, double kgPerUnitAsFed) {
    return new Lot(
        lot.id(),
        lot.name(),
        lot.unitName(),
        lot.units(),
        kgPerUnitAsFed,
        lot.dmShare(),
        lot.storageMethodId(),
        lot.feedingMethodId(),
        lot.pricePerTonneAsFed(),
        lot.note());
  }

  private static AnimalGroup group(
      String kind,
      int head,
      double weightKg,
      double gain,
      Double eatsKgPerHeadDay,
      LocalDate start,
      LocalDate from,
      LocalDate to) {
    List<HeadChange> away = new java.util.ArrayList<>();
    String note = "On grass that is not reckoned with";
    if (from.isAfter(start)) {
      away.add(new HeadChange(start, from, HeadChange.Kind.AWAY, head, null, null, note));
    }
    away.add(new HeadChange(to, null, HeadChange.Kind.AWAY, head, null, null, note));
    String name = kind.substring(kind.indexOf('/') + 1).replace('_', ' ');
    return new AnimalGroup(
        "animals",
        name.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + name.substring(1) + "s",
        kind,
        head,
        weightKg,
        gain,
        eatsKgPerHeadDay,
        null,
        60,
        0,
        null,
        null,
        null,
        null,
        away,
        null);
  }

  private static FarmPlan plan(
      String farmName,
      String climateId,
      Farm.UnitSystem units,
      String currency,
      PlanYear year,
      AnimalGroup group,
      Lot lot) {
    Farm farm =
        new Farm(
            farmName,
            "",
            climateId,
            units,
            currency,
            11.8,
            List.of(),
            List.of(group),
            List.of(lot));
    List<FeedStep> hay =
        List.of(
            new FeedStep(
                group.id() + "-store", group.id(), FeedStep.Kind.STORE, List.of(), null, null));
    Plan bare = Plan.bare("Hay", year);
    return new FarmPlan(farm, bare.withSteps(hay));
  }
}
