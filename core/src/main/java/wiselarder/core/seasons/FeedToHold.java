package wiselarder.core.seasons;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.cost.Bill;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Season;
import wiselarder.core.quantity.Stated;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.store.Lot;
import wiselarder.core.weather.WeatherGenerator;

/**
 * Hay to hold so that feed lasts in a share of the simulated years: as much as the hardest of those
 * misses, and more until the engine says that it does.
 *
 * @param share of the years that was wanted
 * @param units whole units, 0 where none is wanted
 * @param missingKg dry matter that is missing in the hardest of those years
 * @param insuranceKg the part of it that the middle year would not miss
 * @param fedBefore years in which feed lasts as the plan stands, {@code fedAfter} with the hay; of
 *     all that were run
 * @param cost in the farm's currency; NaN where no price is known
 * @param edits that buy it; none where none is wanted or no amount does
 */
public record FeedToHold(
    double share,
    int units,
    double missingKg,
    double insuranceKg,
    int fedBefore,
    int fedAfter,
    double cost,
    List<PlanEdit> edits) {
  public static final Stated.Figure SHARE = Stated.number("hold.share", 0.05, 0.99);

  private static final int BOUGHT_BEFORE_DAYS = 14;
  private static final int MOST_TRIES = 6;

  /** As much more each time as is missing, and a tenth. */
  private static final double MORE = 1.1;

  /**
   * Reckons it.
   *
   * @param many the plan's years as it stands
   * @param pattern what is bought, its number left open
   */
  public static FeedToHold of(
      Engine engine, FarmPlan stated, ManyYears many, double share, Lot pattern) {
    SHARE.check(share);
    Engine normally = engine.in(Season.NORMAL);
    ManyYears.Year hardest = many.noHarder(share);
    if (many.isFed(hardest)) {
      return new FeedToHold(share, 0, 0, 0, many.fed(), many.fed(), 0, List.of());
    }
    List<ManyYears.Year> hungry = many.years().stream().filter(y -> !many.isFed(y)).toList();
    LocalDate there = there(stated, hungry.subList(0, many.wanted(share) - many.fed()));
    List<String> groups = groups(normally, stated, hardest);
    double missing = hardest.bareKg();
    int few = 0;
    int enough = 0;
    int fed = many.fed();
    for (int attempt = 0; attempt < MOST_TRIES && fed < many.wanted(share); attempt++) {
      few = enough;
      enough += (int) Math.ceil(missing / pattern.kgDmPerUnit());
      List<ManyYears.Year> after =
          again(normally, stated, bought(stated, pattern, there, groups, enough), hungry);
      fed = fed(many, after);
      missing = MORE * after.get(many.wanted(share) - many.fed() - 1).bareKg();
    }
    if (fed < many.wanted(share)) {
      return of(many, share, 0, many.fed(), Double.NaN, List.of());
    }
    for (int halving = 0; halving < HALVINGS && enough - few > 1; halving++) {
      int middle = (few + enough) / 2;
      int less =
          fed(
              many,
              again(normally, stated, bought(stated, pattern, there, groups, middle), hungry));
      if (less >= many.wanted(share)) {
        enough = middle;
        fed = less;
      } else {
        few = middle;
      }
    }
    List<PlanEdit> edits = bought(stated, pattern, there, groups, enough);
    return of(many, share, enough, fed, cost(normally, stated, edits), edits);
  }

  /** What was bought beyond need by the last step is found to an eighth of that step. */
  private static final int HALVINGS = 3;

  private static FeedToHold of(
      ManyYears many, double share, int units, int fedAfter, double cost, List<PlanEdit> edits) {
    double missing = many.noHarder(share).bareKg();
    double insurance = Math.max(0, missing - many.noHarder(HALF).bareKg());
    return new FeedToHold(share, units, missing, insurance, many.fed(), fedAfter, cost, edits);
  }

  private static int fed(ManyYears many, List<ManyYears.Year> after) {
    return many.fed() + (int) after.stream().filter(many::isFed).count();
  }

  private static final double HALF = 0.5;

  /** A fortnight before the first day that is short in any of the years that count. */
  private static LocalDate there(FarmPlan stated, List<ManyYears.Year> hungry) {
    int first =
        hungry.stream().mapToInt(ManyYears.Year::firstBareDay).filter(d -> d >= 0).min().orElse(0);
    return stated.plan().year().date(Math.max(0, first - BOUGHT_BEFORE_DAYS));
  }

  /** Those that go short in the hardest of the years. */
  private static List<String> groups(Engine engine, FarmPlan stated, ManyYears.Year hardest) {
    ResolvedPlan normal = engine.resolve(stated);
    YearBalance b = YearBalance.farmOnly(normal.in(normal.generator().year(hardest.seed())));
    List<AnimalGroup> groups = stated.farm().groups();
    return IntStream.range(0, groups.size())
        .filter(g -> IntStream.range(0, b.days()).anyMatch(d -> b.bareKg(g, d) > 1))
        .mapToObj(g -> groups.get(g).id())
        .toList();
  }

  private static List<PlanEdit> bought(
      FarmPlan stated, Lot pattern, LocalDate there, List<String> groups, int units) {
    List<String> taken = new ArrayList<>(stated.allLots().stream().map(Lot::id).toList());
    String id = "held";
    for (int n = 2; taken.contains(id); n++) {
      id = "held-" + n;
    }
    Lot lot = pattern.like(id, "Held " + pattern.unitName() + "s", units);
    return List.of(new PlanEdit.Put<>(Items.PURCHASES, new Purchase(id, there, lot, groups)));
  }

  /** Years run again on a changed plan, the mildest first. */
  private static List<ManyYears.Year> again(
      Engine engine, FarmPlan stated, List<PlanEdit> edits, List<ManyYears.Year> years) {
    ResolvedPlan normal = engine.resolve(PlanEdit.all(stated, edits));
    WeatherGenerator weather = normal.generator();
    return years.parallelStream()
        .map(y -> ManyYears.year(y.seed(), YearBalance.farmOnly(normal.in(weather.year(y.seed())))))
        .sorted(Comparator.comparingDouble(ManyYears.Year::bareKg))
        .toList();
  }

  private static double cost(Engine engine, FarmPlan stated, List<PlanEdit> edits) {
    Bill bill =
        Bill.of(engine.simulate(stated), engine.tryOut(stated, edits), engine.catalogue(), false);
    return bill.unpriced().isEmpty() ? bill.total() : Double.NaN;
  }
}
