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
import wiselarder.core.price.PriceRow;
import wiselarder.core.quantity.Stated;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.store.LossMethod;
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
 * @param costInDrought what the same would cost when the district is short of feed; NaN likewise
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
    double costInDrought,
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
      return new FeedToHold(share, 0, 0, 0, many.fed(), many.fed(), 0, 0, List.of());
    }
    List<ManyYears.Year> hungry = many.years().stream().filter(y -> !many.isFed(y)).toList();
    LocalDate there = there(stated, hungry.subList(0, many.wanted(share) - many.fed()));
    List<String> groups = groups(normally, stated, hardest);
    List<ManyYears.Year> some = thinned(hungry);
    int wanted = many.wanted(share) - many.fed();
    int wantedOfSome = Math.max(1, (int) Math.ceil(1.0 * wanted * some.size() / hungry.size()));
    double missing = hardest.bareKg();
    int few = 0;
    int enough = 0;
    boolean found = false;
    for (int attempt = 0; attempt < MOST_TRIES && !found; attempt++) {
      few = enough;
      enough += (int) Math.ceil(missing / pattern.kgDmPerUnit());
      List<ManyYears.Year> after =
          again(normally, stated, bought(stated, pattern, there, groups, enough), some);
      found = fed(many, after) >= wantedOfSome;
      missing = MORE * after.get(wantedOfSome - 1).bareKg();
    }
    for (int halving = 0; found && halving < HALVINGS && enough - few > 1; halving++) {
      int middle = (few + enough) / 2;
      List<ManyYears.Year> less =
          again(normally, stated, bought(stated, pattern, there, groups, middle), some);
      boolean stillEnough = fed(many, less) >= wantedOfSome;
      enough = stillEnough ? middle : enough;
      few = stillEnough ? few : middle;
    }
    int fed = 0;
    for (int attempt = 0; found && attempt < MOST_TRIES && fed < wanted; attempt++) {
      enough += attempt == 0 ? 0 : (int) Math.ceil(enough * LITTLE_MORE);
      fed =
          fed(
              many,
              again(normally, stated, bought(stated, pattern, there, groups, enough), hungry));
    }
    if (fed < wanted) {
      return of(many, share, 0, many.fed(), Double.NaN, Double.NaN, List.of());
    }
    List<PlanEdit> edits = bought(stated, pattern, there, groups, enough);
    double cost = cost(normally, stated, edits);
    return of(
        many,
        share,
        enough,
        many.fed() + fed,
        cost,
        cost * dearerInDrought(normally, stated, pattern),
        edits);
  }

  /** What was bought beyond need by the last step is found to a sixteenth of that step. */
  private static final int HALVINGS = 4;

  private static FeedToHold of(
      ManyYears many,
      double share,
      int units,
      int fedAfter,
      double cost,
      double costInDrought,
      List<PlanEdit> edits) {
    double missing = many.noHarder(share).bareKg();
    double insurance = Math.max(0, missing - many.noHarder(HALF).bareKg());
    return new FeedToHold(
        share, units, missing, insurance, many.fed(), fedAfter, cost, costInDrought, edits);
  }

  private static int fed(ManyYears many, List<ManyYears.Year> after) {
    return (int) after.stream().filter(many::isFed).count();
  }

  /** The amount is sought on so many of the years that fall short, and proved on all. */
  private static final int SOUGHT_ON = 120;

  private static final double LITTLE_MORE = 0.03;

  /** Some of the years, evenly from the mildest to the hardest, this one too. */
  private static List<ManyYears.Year> thinned(List<ManyYears.Year> years) {
    int n = Math.min(SOUGHT_ON, years.size());
    return IntStream.rangeClosed(1, n)
        .mapToObj(i -> years.get((int) ((long) i * years.size() / n) - 1))
        .toList();
  }

  private static final double HALF = 0.5;

  /** Money that lies in the barn could do other things: so much of it in a year. Assumption. */
  private static final double TIED_UP = 0.05;

  /**
   * Up to which share of the years it pays to hold another ton: where it is missing it would be
   * bought at the price of a drought; where it is not, it loses what its store loses in a year, and
   * its money is tied up. NaN where a price is not known or nothing is held.
   *
   * @param store how it is kept
   */
  public double paysUpTo(LossMethod store) {
    double saved = costInDrought - cost;
    double lost = store.per() == LossMethod.Per.PER_YEAR ? store.share() : 0;
    return units == 0 || Double.isNaN(saved)
        ? Double.NaN
        : Math.max(0, saved / (saved + (lost + TIED_UP) * cost));
  }

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

  /** How many times the usual such hay costs when a district is short of it; NaN if not known. */
  private static double dearerInDrought(Engine engine, FarmPlan stated, Lot pattern) {
    return engine
        .catalogue()
        .pricesOn(stated.farm())
        .table()
        .of(Bill.pricedAs(pattern))
        .map(PriceRow::dryYearFactor)
        .orElse(Double.NaN);
  }
}
