package wiselarder.core.diet;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.herd.Water;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.weather.WeatherYear;

/**
 * Water that each group drinks by day, litres for all, that in the feed taken off; and what is
 * asked of each field's supply by those that graze there.
 */
public final class WaterYear {
  private final YearBalance balance;
  private final double[][] drunkL;

  /**
   * A field's supply against those that graze there.
   *
   * @param grazedDays days on which somebody was there
   * @param mostL most that was drunk on a day
   * @param mostDay that day, -1 for none
   * @param supplyL most that it gives a day, NaN where nobody said
   * @param shortDays days on which more was drunk than it gives
   * @param hauledM3 brought over the year where its water is hauled, cubic metres
   * @param haulingCost of that, NaN without a price
   */
  public record FieldWater(
      String fieldId,
      int grazedDays,
      double mostL,
      int mostDay,
      double supplyL,
      int shortDays,
      double hauledM3,
      double haulingCost) {}

  private WaterYear(YearBalance balance) {
    this.balance = balance;
    int groups = balance.stated().farm().groups().size();
    drunkL = new double[groups][balance.days()];
    WeatherYear weather = balance.resolved().weather();
    for (int g = 0; g < groups; g++) {
      GroupYear year = balance.resolved().groupYear(g);
      boolean snow = year.group().keeping().snowAsWater();
      for (int d = 0; d < balance.days(); d++) {
        double asked =
            year.head(d) * Water.litres(year.waterAt10L(d), year.waterAt30L(d), weather.tmeanC(d));
        double drunk = Water.drunk(asked, balance.feedWaterL(g, d));
        drunkL[g][d] = snow && weather.snowLies(d) ? 0 : drunk;
      }
    }
  }

  public static WaterYear of(YearBalance balance) {
    return new WaterYear(balance);
  }

  /** What a group drinks on a day, litres for all; nothing while it lives on snow. */
  public double drunkL(int group, int day) {
    return drunkL[group][day];
  }

  /**
   * What a group's field does not give it on a day, litres: of all that drink there, its share;
   * nothing where nobody said what the field gives.
   */
  public double lackingL(int group, int day) {
    int field = balance.onField(group, day);
    if (field < 0) {
      return 0;
    }
    double litres = 0;
    for (int g = 0; g < drunkL.length; g++) {
      litres += balance.onField(g, day) == field ? drunkL[g][day] : 0;
    }
    double supply = supplyL(balance.stated().farm().fields().get(field).lie());
    return litres <= 0 || Double.isNaN(supply)
        ? 0
        : Math.max(0, litres - supply) * drunkL[group][day] / litres;
  }

  /** Most that a field gives a day, litres; NaN where nobody said. */
  private static double supplyL(Lie lie) {
    if (lie.water() == Lie.Water.NONE) {
      return 0;
    }
    return lie.waterLPerDay() == null ? Double.NaN : lie.waterLPerDay();
  }

  /** Each field's supply against need, in the farm's order. */
  public List<FieldWater> fields() {
    List<FieldWater> all = new ArrayList<>();
    List<Field> fields = balance.stated().farm().fields();
    for (int f = 0; f < fields.size(); f++) {
      all.add(field(f, fields.get(f)));
    }
    return all;
  }

  private FieldWater field(int f, Field field) {
    Lie lie = field.lie();
    double supply = supplyL(lie);
    int grazed = 0;
    int shortDays = 0;
    int mostDay = -1;
    double most = 0;
    double all = 0;
    for (int d = 0; d < balance.days(); d++) {
      double litres = 0;
      boolean there = false;
      for (int g = 0; g < drunkL.length; g++) {
        if (balance.onField(g, d) == f) {
          litres += drunkL[g][d];
          there = true;
        }
      }
      grazed += there ? 1 : 0;
      shortDays += there && litres > supply ? 1 : 0;
      all += litres;
      if (litres > most) {
        most = litres;
        mostDay = d;
      }
    }
    boolean hauled = lie.water() == Lie.Water.HAULED || lie.water() == Lie.Water.NONE;
    double m3 = hauled ? all / 1000 : 0;
    double cost = lie.waterCostPerM3() == null ? Double.NaN : m3 * lie.waterCostPerM3();
    return new FieldWater(field.id(), grazed, most, mostDay, supply, shortDays, m3, cost);
  }
}
