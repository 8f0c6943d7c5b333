package wiselarder.server.year;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.cost.FeedCosts;
import wiselarder.core.day.Shelf;
import wiselarder.core.diet.DietYear;
import wiselarder.core.diet.WaterYear;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.BodyCondition;
import wiselarder.core.herd.GroupDemand;
import wiselarder.core.herd.GroupYear;

/** What the herd's year looks like: heads, needs, diets, condition, water, cost. */
final class HerdView {
  private HerdView() {}

  /**
   * One group's year, a value a day. Diet, condition and water are empty where nobody asks about
   * the group.
   *
   * @param needKg dry matter that all ask for
   * @param shelf the shelf that gave most of the day's feed, as an index into {@link Shelf}; {@link
   *     #BARE} where most of it is lacking, -1 where nobody is there or nothing is asked for
   * @param onField index of the field grazed most that day, -1 where none is
   * @param births day windows [first, last]
   * @param grazedProteinPercent of what was grazed, percent of DM; -1 where nothing was; so for TDN
   *     and fibre
   * @param head animals there without their young; {@code youngHead} those
   * @param energyNeedMj metabolisable energy that all need
   * @param proteinPercentOfNeed what all ate as a percentage of what they need; -1 where nobody is;
   *     so for energy, calcium and phosphorus; of fibre the percentage of the least
   * @param gainG expected gain of one, g a day; 0 where not given
   * @param weightKg expected weight of one; 0 where not given
   * @param scoreTenths expected condition in tenths; 0 where not given
   * @param waterL drunk by all
   * @param coldPercent by which cold raises the need of energy
   * @param milkPercent of their milk that their energy still allows; 100 where they give none
   * @param belowFloorDay first day below the keeper's floor of condition, or -1
   * @param wouldNotLiveFromDay first day on which the figures say that animals would not live
   *     through it, or -1
   * @param hasEnergy false for horses
   * @param hasScore true for dams and grown animals
   */
  record GroupCurve(
      String id,
      Series needKg,
      Series shelf,
      Series onField,
      List<int[]> births,
      List<Integer> weanings,
      Series grazedProteinPercent,
      Series grazedTdnPercent,
      Series grazedFibrePercent,
      Series head,
      Series youngHead,
      Series energyNeedMj,
      Series proteinPercentOfNeed,
      Series energyPercentOfNeed,
      Series calciumPercentOfNeed,
      Series phosphorusPercentOfNeed,
      Series fibrePercentOfLeast,
      Series gainG,
      Series weightKg,
      Series scoreTenths,
      Series waterL,
      Series coldPercent,
      Series milkPercent,
      int belowFloorDay,
      int wouldNotLiveFromDay,
      boolean hasEnergy,
      boolean hasScore,
      BodyCondition scale,
      CostView.GroupCostView cost) {}

  /** A field's water against those that graze there; null where nobody said. */
  record FieldWater(
      String fieldId,
      int grazedDays,
      double mostL,
      int mostDay,
      Double supplyL,
      int shortDays,
      double hauledM3,
      Double haulingCost) {}

  static List<GroupCurve> groups(
      YearBalance b, FeedCosts costs, WaterYear water, YearView.Asked asked) {
    List<FeedCosts.GroupCost> money = costs.groups();
    List<GroupCurve> views = new ArrayList<>();
    for (int g = 0; g < b.stated().farm().groups().size(); g++) {
      String id = b.stated().farm().groups().get(g).id();
      views.add(group(b, g, water, CostView.of(money.get(g)), asked.whole(id)));
    }
    return views;
  }

  private static GroupCurve group(
      YearBalance b, int g, WaterYear water, CostView.GroupCostView cost, boolean whole) {
    AnimalGroup group = b.stated().farm().groups().get(g);
    GroupYear year = b.resolved().groupYear(g);
    GroupDemand demand = b.resolved().demand(g);
    DietYear diet = DietYear.of(b, g);
    int days = whole ? b.days() : 0;
    return new GroupCurve(
        group.id(),
        Series.amounts(b.days(), d -> b.needKg(g, d)),
        Series.whole(b.days(), d -> mainShelf(b, g, d)),
        Series.whole(b.days(), d -> b.onField(g, d)),
        year.births(),
        year.weanings(),
        Series.whole(days, d -> YearView.orNone(b.grazedProteinPct(g, d))),
        Series.whole(days, d -> YearView.orNone(b.grazedTdnPct(g, d))),
        Series.whole(days, d -> YearView.orNone(b.grazedFibrePct(g, d))),
        Series.exact(b.days(), HEAD_STEP, year::head),
        Series.exact(b.days(), HEAD_STEP, year::youngHead),
        Series.whole(b.days(), diet.hasEnergy() ? demand::energyMj : d -> 0),
        percent(days, diet::proteinKg, diet::proteinNeedKg),
        percent(days, diet::energyMj, diet.hasEnergy() ? diet::energyNeedMj : d -> 0),
        percent(days, diet::calciumKg, diet::calciumNeedKg),
        percent(days, diet::phosphorusKg, diet::phosphorusNeedKg),
        percent(
            days, d -> orZero(diet.fibrePct(d)), d -> b.needKg(g, d) > 0 ? diet.fibreMinPct(d) : 0),
        Series.whole(days, d -> 1000 * orZero(diet.gainKg(d))),
        Series.whole(days, d -> orZero(diet.weightKg(d))),
        Series.whole(days, d -> 10 * orZero(diet.score(d))),
        Series.whole(days, d -> water.drunkL(g, d)),
        Series.whole(days, d -> 100 * demand.coldShare(d)),
        Series.whole(days, d -> 100 * diet.milkShare(d)),
        diet.belowFloorFrom(),
        diet.wouldNotLiveFrom(),
        diet.hasEnergy(),
        diet.hasScore(),
        BodyCondition.of(group.kind()),
        cost);
  }

  /** Stands where a shelf would, for a day of which most is lacking. */
  static final int BARE = Shelf.values().length;

  private static int mainShelf(YearBalance b, int g, int day) {
    double most = b.bareKg(g, day);
    int main = most > 0 ? BARE : -1;
    for (Shelf shelf : Shelf.values()) {
      double kg = b.eatenKg(shelf, g, day);
      if (kg > most) {
        most = kg;
        main = shelf.ordinal();
      }
    }
    return main;
  }

  /** Births are spread over days, so that young come in parts. */
  private static final double HEAD_STEP = 0.1;

  private static double orZero(double value) {
    return Double.isNaN(value) ? 0 : value;
  }

  private static Series percent(int days, IntToDoubleFunction part, IntToDoubleFunction of) {
    return Series.whole(
        days,
        d -> {
          double whole = of.applyAsDouble(d);
          return whole <= 0 ? -1 : Math.min(999, 100 * part.applyAsDouble(d) / whole);
        });
  }

  static List<FieldWater> water(WaterYear year) {
    return year.fields().stream()
        .map(
            f ->
                new FieldWater(
                    f.fieldId(),
                    f.grazedDays(),
                    f.mostL(),
                    f.mostDay(),
                    YearView.orNull(f.supplyL()),
                    f.shortDays(),
                    f.hauledM3(),
                    YearView.orNull(f.haulingCost())))
        .toList();
  }
}
