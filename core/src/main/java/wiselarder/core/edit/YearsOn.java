package wiselarder.core.edit;

import java.time.LocalDate;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.BreakField;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Scenario;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;

/** A whole plan in other years. */
public final class YearsOn {
  private final int years;

  private YearsOn(int years) {
    this.years = years;
  }

  /**
   * A plan so many years on: anchored dates stand by their marks of those years, all others on the
   * same day of the year: of what is planned, of stands that come and go, of groups and lots. What
   * stands and lies in store at the start is as it was.
   *
   * @throws Refused where such a year cannot be planned
   */
  public static FarmPlan of(FarmPlan plan, int years, Catalogue catalogue) {
    FarmPlan planned = Anchoring.yearsOn(plan, years, catalogue);
    return years == 0 ? planned : new YearsOn(years).farmToo(planned);
  }

  private FarmPlan farmToo(FarmPlan planned) {
    Farm f = planned.farm();
    Farm farm =
        f.withFields(f.fields().stream().map(this::field).toList())
            .withGroups(f.groups().stream().map(this::group).toList())
            .withLots(f.lots().stream().map(this::lot).toList());
    Plan p = planned.plan();
    Plan plan =
        p.withCuts(p.cuts().stream().map(this::cut).toList())
            .withPurchases(p.purchases().stream().map(this::purchase).toList())
            .withScenarios(p.scenarios().stream().map(this::scenario).toList())
            .withBreaks(p.breaks().stream().map(this::breaks).toList());
    return new FarmPlan(farm, plan);
  }

  private LocalDate then(LocalDate date) {
    return date == null ? null : date.plusYears(years);
  }

  private Field field(Field f) {
    Stand stand = f.stand();
    return f.with(
        stand.between(then(stand.fromInclusive()), then(stand.toExclusive())), f.outline());
  }

  private AnimalGroup group(AnimalGroup g) {
    return g.yearsOn(years);
  }

  private Lot lot(Lot l) {
    return l.again(l.id(), then(l.origin().cutOn()));
  }

  private HayCut cut(HayCut c) {
    return new HayCut(c.id(), c.fieldId(), c.date(), c.harvestMethodId(), lot(c.lot()));
  }

  private Purchase purchase(Purchase p) {
    return new Purchase(p.id(), p.date(), lot(p.lot()), p.forGroups());
  }

  private Scenario scenario(Scenario s) {
    return s.yearsOn(years);
  }

  private BreakField breaks(BreakField b) {
    return b.between(then(b.fromInclusive()), then(b.toExclusive()));
  }
}
