package wiselarder.core.herd;

import java.util.Arrays;
import wiselarder.core.weather.WeatherYear;

/**
 * A group's need in the weather of a season, by day, kg DM and MJ for all, young included. Cold and
 * walking raise the energy needed; what is eaten rises with it, to what the class eats at most.
 * Heat takes the appetite. A flat figure stays as the keeper gave it.
 */
public final class GroupDemand {
  private final double[] needKg;
  private final double[] energyMj;
  private final double[] coldShare;
  private final double[] appetite;

  private GroupDemand(int days) {
    needKg = new double[days];
    energyMj = new double[days];
    coldShare = new double[days];
    appetite = new double[days];
  }

  public static GroupDemand of(GroupYear year, WeatherYear weather) {
    GroupDemand demand = new GroupDemand(weather.days());
    Keeping keeping = year.group().keeping();
    boolean flat = year.group().flatIntakeKgPerHeadDay() != null;
    for (int d = year.from(); d < year.to(); d++) {
      double cold = Cold.rise(keeping, year.lctDryC(d), year.lctWetC(d), weather, d);
      double own = year.energyMj(d);
      double walking =
          keeping.walkKmPerDay() <= 0 || own <= 0
              ? 0
              : year.head(d)
                  * Energy.walkingMj(
                      year.weightKg(d), keeping.walkKmPerDay(), Energy.mjPerKg(year.tdnNeedPct(d)));
      double rise = own <= 0 ? 0 : cold + walking / own;
      demand.coldShare[d] = cold;
      demand.appetite[d] = Heat.appetite(weather.tmeanC(d));
      demand.energyMj[d] = own * (1 + rise) + year.youngEnergyMj(d);
      demand.needKg[d] =
          flat ? year.ownKg()[d] : demand.appetite[d] * (raised(year, d, rise) + year.youngKg()[d]);
    }
    return demand;
  }

  private static double raised(GroupYear year, int day, double rise) {
    double own = year.ownKg()[day];
    return rise <= 0 ? own : Math.min(own * (1 + rise), Math.max(own, year.mostKg(day)));
  }

  /** The first day on which another demand is not the same, -1 where there is none. */
  public int mismatch(GroupDemand other) {
    int first = Arrays.mismatch(needKg, other.needKg);
    first = earlier(first, Arrays.mismatch(energyMj, other.energyMj));
    first = earlier(first, Arrays.mismatch(coldShare, other.coldShare));
    return earlier(first, Arrays.mismatch(appetite, other.appetite));
  }

  /** The earlier of two days, of which -1 is none. */
  static int earlier(int one, int other) {
    return one < 0 || other < 0 ? Math.max(one, other) : Math.min(one, other);
  }

  /** What the group eats if it is there: by stage, or the flat figure. */
  public double needKg(int day) {
    return needKg[day];
  }

  /**
   * By how much more an animal fills itself in the cold than its fibre cap says in comfort, 1 for
   * none: it eats up to half as much again at the worst. Assumption within what is seen.
   */
  public double coldAppetite(int day) {
    return 1 + Math.min(MOST_BY_COLD, coldShare[day]);
  }

  private static final double MOST_BY_COLD = 0.5;

  /** Metabolisable energy needed, cold and walking included. */
  public double energyMj(int day) {
    return energyMj[day];
  }

  /** Share by which cold raises the need of energy. */
  public double coldShare(int day) {
    return coldShare[day];
  }

  /** Share of the usual intake that heat leaves. */
  public double appetite(int day) {
    return appetite[day];
  }
}
