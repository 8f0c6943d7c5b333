package wiselarder.server.year;

import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.cost.FeedCosts;
import wiselarder.core.day.Shelf;

/**
 * What feeding costs over the plan, in the farm's currency.
 *
 * @param storedByDay cost of what was eaten of the store each day
 * @param winterDays days of winter in the plan
 * @param unpriced lots eaten that have no cost and count as nothing
 */
record CostView(
    double growing,
    double standing,
    double putBy,
    double boughtIn,
    double total,
    double winter,
    int winterDays,
    Series storedByDay,
    List<String> unpriced,
    int tractorDays,
    int daysWithoutTractor,
    int moves,
    double hours) {

  /** One group's cost; see the core's FeedCosts. */
  record GroupCostView(
      double cost,
      double winterCost,
      double perHeadDay,
      double winterPerHeadDay,
      int grazedDays,
      int fedDays,
      int bareDays,
      int moves,
      double agistment) {}

  static CostView of(YearBalance b, FeedCosts costs) {
    double winter = 0;
    int winterDays = 0;
    for (int d = 0; d < b.days(); d++) {
      winter += costs.winter(d) ? costs.storedOn(d) : 0;
      winterDays += costs.winter(d) ? 1 : 0;
    }
    return new CostView(
        costs.of(Shelf.GROWING),
        costs.of(Shelf.STANDING),
        costs.of(Shelf.PUT_BY),
        costs.of(Shelf.BOUGHT_IN),
        costs.total(),
        winter,
        winterDays,
        Series.flow(b.days(), costs::storedOn),
        costs.unpriced(),
        costs.tractorDays(),
        b.days() - costs.tractorDays(),
        costs.groups().stream().mapToInt(FeedCosts.GroupCost::moves).sum(),
        costs.hours());
  }

  static GroupCostView of(FeedCosts.GroupCost c) {
    return new GroupCostView(
        c.cost(),
        c.winterCost(),
        c.perHeadDay(),
        c.winterPerHeadDay(),
        c.grazedDays(),
        c.fedDays(),
        c.bareDays(),
        c.moves(),
        c.agistment());
  }
}
