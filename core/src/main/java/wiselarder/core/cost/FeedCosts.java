package wiselarder.core.cost;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.day.Shelf;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Sowing;
import wiselarder.core.price.FarmPrices;
import wiselarder.core.price.Price;
import wiselarder.core.store.Lot;
import wiselarder.core.weather.WeatherYear;

/**
 * What feeding costs. A lot's cost is that of the units opened, shared by what each group ate of
 * it. Nitrogen and seed count on the shelf that they feed: nitrogen on a field shut within six
 * weeks of it on Standing, else on Growing. Own work, land and machines are in it only as far as
 * the keeper put them into the cost of making.
 */
public final class FeedCosts {
  /** Nitrogen so many days before or after a closing begins feeds the stockpile. */
  private static final int FOR_STOCKPILE_DAYS = 42;

  /** A heavier unit is moved by tractor. Assumption. */
  static final double BY_HAND_KG = 40;

  /** Less stored feed than this share of what is eaten leaves a day grazed. */
  private static final double FED_SHARE = 0.05;

  /** Hours of work for a start of the tractor and for a move of a group. Assumptions. */
  static final double HOURS_PER_START = 0.75;

  static final double HOURS_PER_MOVE = 0.5;

  private final YearBalance balance;
  private final FarmPlan stated;
  private final FarmPrices prices;
  private final double[] perKgEaten;
  private final boolean[] winter;
  private final List<String> unpriced = new ArrayList<>();
  private final Map<Shelf, Double> byShelf = new EnumMap<>(Shelf.class);

  /**
   * One group's year; money in the farm's currency.
   *
   * @param cost of stored feed eaten over the plan
   * @param winterCost of it in the frost season of a normal year
   * @param headDays sum of heads over days
   * @param winterHeadDays those in winter
   * @param grazedDays days on which it lived by grazing, with nothing missing
   * @param fedDays days on which it had feed of the store, with nothing missing
   * @param bareDays days on which something was missing; each day counts once
   * @param moves changes from one field to another
   * @param agistment paid for animals away less what others pay for theirs here
   */
  public record GroupCost(
      String groupId,
      double cost,
      double winterCost,
      double headDays,
      double winterHeadDays,
      int grazedDays,
      int fedDays,
      int bareDays,
      int moves,
      double agistment) {

    public double perHeadDay() {
      return headDays <= 0 ? 0 : cost / headDays;
    }

    public double winterPerHeadDay() {
      return winterHeadDays <= 0 ? 0 : winterCost / winterHeadDays;
    }
  }

  private FeedCosts(YearBalance balance, Catalogue product) {
    this.balance = balance;
    this.stated = balance.stated();
    this.prices = product.pricesOn(stated.farm());
    this.winter = winter(balance);
    this.perKgEaten = perKgEaten();
    for (Shelf s : Shelf.values()) {
      byShelf.put(s, 0.0);
    }
    stored();
    sward(product);
  }

  public static FeedCosts of(YearBalance balance, Catalogue product) {
    return new FeedCosts(balance, product);
  }

  /** Days of winter: the frost season of a normal year, else the ninety days about the coldest. */
  private static boolean[] winter(YearBalance balance) {
    WeatherYear normal = balance.resolved().normal();
    boolean[] winter = new boolean[balance.days()];
    boolean any = false;
    for (int d = 0; d < winter.length; d++) {
      winter[d] = normal.frostSeason(d);
      any |= winter[d];
    }
    for (int d = 0; d < winter.length && !any; d++) {
      int from = balance.year().date(d).getDayOfYear() - balance.resolved().coldestDoy();
      winter[d] = Math.abs(Math.floorMod(from + 182, 365) - 182) <= 45;
    }
    return winter;
  }

  private double[] perKgEaten() {
    List<Lot> lots = stated.allLots();
    double[] per = new double[lots.size()];
    for (int l = 0; l < per.length; l++) {
      Double unit = unitCost(lots.get(l));
      double eaten = eaten(l);
      if (unit == null && eaten > 0) {
        unpriced.add(lots.get(l).id());
      }
      per[l] = unit == null || eaten <= 0 ? 0 : unit * opened(l) / eaten;
    }
    return per;
  }

  /** What stands on the lot; else what the keeper says that such feed costs; else null. */
  private Double unitCost(Lot lot) {
    if (lot.costPerUnit() != null || lot.origin().feedId() == null) {
      return lot.costPerUnit();
    }
    return prices
        .of(lot.origin().feedId())
        .filter(Price::own)
        .map(p -> p.likely() * lot.kgPerUnitAsFed() / 1000)
        .orElse(null);
  }

  private double eaten(int lot) {
    double kg = 0;
    for (int d = 0; d < balance.days(); d++) {
      kg += balance.lotEatenKg(lot, d);
    }
    return kg;
  }

  private int opened(int lot) {
    int units = 0;
    for (int d = 0; d < balance.days(); d++) {
      units += balance.lotOpened(lot, d);
    }
    return units;
  }

  private void stored() {
    int bought = stated.farm().lots().size() + stated.plan().cuts().size();
    for (int l = 0; l < perKgEaten.length; l++) {
      Shelf shelf = l < bought ? Shelf.PUT_BY : Shelf.BOUGHT_IN;
      byShelf.merge(shelf, perKgEaten[l] * eaten(l), Double::sum);
    }
  }

  private void sward(Catalogue product) {
    for (Dressing d : stated.plan().dressings()) {
      double perKg =
          d.pricePerKg() != null
              ? d.pricePerKg()
              : prices.find("nitrogen").map(Price::likely).orElse(0.0);
      double cost = d.nitrogenKgPerHa() * perKg * stated.field(d.fieldId()).netAreaHa();
      byShelf.merge(forStockpile(d) ? Shelf.STANDING : Shelf.GROWING, cost, Double::sum);
    }
    SeedUse seed = SeedUse.of(stated, product, Set.of());
    for (Sowing s : stated.plan().sowings()) {
      double cost = 0;
      for (Map.Entry<String, SeedUse.Taken> of : seed.of(s).entrySet()) {
        double perKg = prices.of(of.getKey()).map(Price::likely).orElse(0.0);
        cost += of.getValue().bought() * perKg;
      }
      byShelf.merge(Shelf.GROWING, cost * s.ownShare() / s.spreadYears(), Double::sum);
    }
  }

  private boolean forStockpile(Dressing d) {
    return stated.plan().closings().stream()
        .filter(c -> c.fieldId().equals(d.fieldId()))
        .anyMatch(
            c ->
                Math.abs(c.fromInclusive().toEpochDay() - d.date().toEpochDay())
                    <= FOR_STOCKPILE_DAYS);
  }

  /** Cost of each shelf over the plan. */
  public double of(Shelf shelf) {
    return byShelf.get(shelf);
  }

  /** Cost of all shelves over the plan. */
  public double total() {
    return byShelf.values().stream().mapToDouble(Double::doubleValue).sum();
  }

  /** Lots that were eaten and have no cost: they count as nothing. */
  public List<String> unpriced() {
    return List.copyOf(unpriced);
  }

  /** Cost of what was eaten of the store on a day, all groups. */
  public double storedOn(int day) {
    double cost = 0;
    for (int l = 0; l < perKgEaten.length; l++) {
      cost += perKgEaten[l] * balance.lotEatenKg(l, day);
    }
    return cost;
  }

  /** Cost of what a group ate of the store on a day. */
  public double storedOn(int group, int day) {
    double cost = 0;
    for (int l = 0; l < perKgEaten.length; l++) {
      cost += perKgEaten[l] * balance.groupLotEatenKg(group, l, day);
    }
    return cost;
  }

  /** True on the days that count as winter. */
  public boolean winter(int day) {
    return winter[day];
  }

  /** Every group's year, in the farm's order. */
  public List<GroupCost> groups() {
    List<GroupCost> all = new ArrayList<>();
    for (int g = 0; g < stated.farm().groups().size(); g++) {
      all.add(group(g));
    }
    return all;
  }

  private GroupCost group(int g) {
    AnimalGroup group = stated.farm().groups().get(g);
    double cost = 0;
    double winterCost = 0;
    double headDays = 0;
    double winterHeadDays = 0;
    int[] days = new int[3];
    int moves = 0;
    int on = -1;
    for (int d = 0; d < balance.days(); d++) {
      double head = balance.resolved().groupYear(g).head(d);
      double today = storedOn(g, d);
      cost += today;
      headDays += head;
      winterCost += winter[d] ? today : 0;
      winterHeadDays += winter[d] ? head : 0;
      if (head > 0) {
        double stored = storedKg(g, d);
        boolean bare = balance.bareKg(g, d) > FED_SHARE * balance.needKg(g, d);
        days[bare ? 2 : stored > FED_SHARE * balance.eatenKg(g, d) ? 1 : 0]++;
      }
      int field = balance.onField(g, d);
      moves += field >= 0 && on >= 0 && field != on ? 1 : 0;
      on = field >= 0 ? field : on;
    }
    return new GroupCost(
        group.id(),
        cost,
        winterCost,
        headDays,
        winterHeadDays,
        days[0],
        days[1],
        days[2],
        moves,
        agistment(group));
  }

  private double storedKg(int g, int d) {
    return balance.eatenKg(Shelf.PUT_BY, g, d) + balance.eatenKg(Shelf.BOUGHT_IN, g, d);
  }

  private double agistment(AnimalGroup group) {
    PlanYear year = balance.year();
    double paid = 0;
    for (HeadChange c : group.changes()) {
      if (c.kind().forATime() && c.moneyPerHead() != null) {
        int days = year.clippedEnd(c.untilExclusive()) - year.clippedStart(c.date());
        paid -= c.kind().sign() * c.head() * c.moneyPerHead() * days;
      }
    }
    return paid;
  }

  /** Days on which a tractor starts: a heavy unit is set out, or a cut is made. */
  public int tractorDays() {
    int days = 0;
    List<Lot> lots = stated.allLots();
    for (int d = 0; d < balance.days(); d++) {
      boolean starts = false;
      for (int l = 0; l < lots.size(); l++) {
        starts |= balance.lotOpened(l, d) > 0 && lots.get(l).kgPerUnitAsFed() > BY_HAND_KG;
      }
      for (HayCut c : stated.plan().cuts()) {
        starts |= balance.year().day(c.date()) == d;
      }
      days += starts ? 1 : 0;
    }
    return days;
  }

  /** Hours for feeding out by tractor and moving stock, by what each is assumed to take. */
  public double hours() {
    int moves = groups().stream().mapToInt(GroupCost::moves).sum();
    return tractorDays() * HOURS_PER_START + moves * HOURS_PER_MOVE;
  }
}
