package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import wiselarder.core.balance.Shelf;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.caution.Cautions;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.Forage;
import wiselarder.core.gap.Gap;
import wiselarder.core.gap.GapFinder;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.PlanEdit;
import wiselarder.core.plan.Purchase;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;
import wiselarder.core.weather.Climate;

/** Ways to close a store gap, each tried on the engine and measured against doing nothing. */
public final class Levers {
  /** Days before the killing frost at which a stockpile is best shut. Practice, 60 to 90. */
  private static final int SHUT_BEFORE_FROST_DAYS = 75;

  /** Days before the use-by day at which grazing of a stockpile starts. Practice, 30 to 60. */
  private static final int OPEN_BEFORE_USE_BY_DAYS = 45;

  private static final int LEAST_SHUT_DAYS = 30;
  private static final int MOST_TRIES = 24;

  private final Engine engine;

  public Levers(Engine engine) {
    this.engine = engine;
  }

  /** Every field that can be shut for this gap, what it brings first. */
  public List<LeverOption> stockpile(FarmPlan stated, Gap gap) {
    YearBalance before = engine.simulate(stated);
    List<LeverOption> options = new ArrayList<>();
    for (Field field : stated.farm().fields()) {
      closing(stated, field, gap)
          .filter(c -> allowed(stated, c))
          .map(c -> measure(LeverOption.Kind.STOCKPILE, stated, before, gap, c))
          .ifPresent(options::add);
    }
    options.sort(Comparator.comparingDouble(LeverOption::bringsKg).reversed());
    return options;
  }

  /** False where the field is promised to grazing at that very time. */
  private static boolean allowed(FarmPlan stated, PlanEdit edit) {
    try {
      edit.apply(stated);
      return true;
    } catch (Refused promised) {
      return false;
    }
  }

  /**
   * The fewest units of hay like {@code pattern} that close the gap, bought on {@code date}.
   *
   * @return empty when the gap begins before the hay comes, or no amount closes it
   */
  public Optional<LeverOption> buyHay(FarmPlan stated, Gap gap, Lot pattern, LocalDate date) {
    YearBalance before = engine.simulate(stated);
    double gapKg = gap.shortKg();
    int units = Math.max(1, (int) Math.floor(gapKg / kgDmPerUnit(pattern)));
    for (int attempt = 0; attempt < MOST_TRIES; attempt++) {
      LeverOption option = bought(stated, before, gap, pattern, date, units);
      YearBalance after = engine.tryOut(stated, List.of(option.edit()));
      double left = bareWithin(after, gap);
      if (left <= 1e-6) {
        return Optional.of(fewest(stated, before, gap, pattern, date, units));
      }
      units += Math.max(1, (int) Math.floor(left / kgDmPerUnit(pattern)));
    }
    return Optional.empty();
  }

  /** Walks back from an amount that closes the gap to the fewest units that still do. */
  private LeverOption fewest(
      FarmPlan stated, YearBalance before, Gap gap, Lot pattern, LocalDate date, int enough) {
    int units = enough;
    while (units > 1) {
      LeverOption less = bought(stated, before, gap, pattern, date, units - 1);
      if (bareWithin(engine.tryOut(stated, List.of(less.edit())), gap) > 1e-6) {
        break;
      }
      units--;
    }
    return bought(stated, before, gap, pattern, date, units);
  }

  private LeverOption bought(
      FarmPlan stated, YearBalance before, Gap gap, Lot pattern, LocalDate date, int units) {
    String id = freeId("bought", stated.allLots().stream().map(Lot::id).toList());
    Lot lot = engine.records().lot(pattern).like(id, "Bought " + pattern.unitName() + "s", units);
    List<String> groups = gap.groups().stream().map(Gap.GroupShare::groupId).toList();
    PlanEdit edit = new PlanEdit.BuyHay(new Purchase(id, date, lot, groups));
    return measure(LeverOption.Kind.BUY_HAY, stated, before, gap, edit);
  }

  private Optional<PlanEdit> closing(FarmPlan stated, Field field, Gap gap) {
    Forage forage = engine.catalogue().on(stated.farm()).forage(field.stand().forageId());
    // Frost and regrowth decide when a sorghum is safe, so it is never offered.
    if (!forage.canStockpile()
        || Double.isNaN(forage.stockpileUseByDays())
        || Cautions.isSorghum(forage)) {
      return Optional.empty();
    }
    PlanYear year = stated.plan().year();
    Climate climate = engine.catalogue().climate(stated.farm().climateId());
    OptionalInt frost = climate.firstDay(year, climate.firstFrost().doy50());
    if (frost.isEmpty() || frost.getAsInt() > gap.firstDay()) {
      return Optional.empty();
    }
    int useBy = frost.getAsInt() + (int) forage.stockpileUseByDays();
    int from = Math.max(0, frost.getAsInt() - SHUT_BEFORE_FROST_DAYS);
    int to = Math.min(gap.firstDay(), useBy - OPEN_BEFORE_USE_BY_DAYS);
    boolean shutAlready =
        stated.plan().closings().stream()
            .filter(c -> c.fieldId().equals(field.id()))
            .anyMatch(c -> year.day(c.fromInclusive()) < to && from < year.day(c.toExclusive()));
    if (shutAlready || to - from < LEAST_SHUT_DAYS) {
      return Optional.empty();
    }
    String id = freeId("shut-" + field.id(), ids(stated));
    List<String> groups = gap.groups().stream().map(Gap.GroupShare::groupId).toList();
    return Optional.of(
        new PlanEdit.ShutField(
            new Closing(
                id,
                field.id(),
                year.date(from),
                year.date(to),
                groups,
                year.date(Math.min(year.days(), useBy)))));
  }

  private LeverOption measure(
      LeverOption.Kind kind, FarmPlan stated, YearBalance before, Gap gap, PlanEdit edit) {
    YearBalance after = engine.tryOut(stated, List.of(edit));
    return new LeverOption(
        kind,
        edit,
        before.totalBareKg() - after.totalBareKg(),
        after.totalBareKg(),
        after.bareDays(GapFinder.SHORT_SHARE),
        storedBefore(after, gap) - storedBefore(before, gap),
        cost(edit),
        decideBy(edit));
  }

  private static Double cost(PlanEdit edit) {
    if (edit instanceof PlanEdit.BuyHay buy) {
      Lot lot = buy.purchase().lot();
      return lot.pricePerTonneAsFed() == null
          ? null
          : lot.units() * lot.kgPerUnitAsFed() / 1000 * lot.pricePerTonneAsFed();
    }
    return 0.0;
  }

  private static LocalDate decideBy(PlanEdit edit) {
    return edit instanceof PlanEdit.BuyHay buy
        ? buy.purchase().date()
        : ((PlanEdit.ShutField) edit).closing().fromInclusive();
  }

  private static double storedBefore(YearBalance b, Gap gap) {
    double kg = 0;
    for (int d = 0; d < gap.firstDay(); d++) {
      kg += b.eatenKg(Shelf.PUT_BY, d) + b.eatenKg(Shelf.BOUGHT_IN, d);
    }
    return kg;
  }

  private static double bareWithin(YearBalance b, Gap gap) {
    double kg = 0;
    for (int d = gap.firstDay(); d <= gap.lastDay(); d++) {
      kg += b.bareKg(d);
    }
    return kg;
  }

  private static List<String> ids(FarmPlan stated) {
    return stated.plan().closings().stream().map(Closing::id).toList();
  }

  private double kgDmPerUnit(Lot pattern) {
    return engine.records().lot(pattern).kgDmPerUnit();
  }

  private static String freeId(String wanted, List<String> taken) {
    String id = wanted;
    for (int n = 2; taken.contains(id); n++) {
      id = wanted + "-" + n;
    }
    return id;
  }
}
