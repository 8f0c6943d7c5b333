package wiselarder.core.diet;

import java.util.List;
import java.util.function.IntToDoubleFunction;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.forage.QualityTable.Values;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.BodyCondition;
import wiselarder.core.herd.CattleGain;
import wiselarder.core.herd.ConditionScore;
import wiselarder.core.herd.Energy;
import wiselarder.core.herd.GroupDemand;
import wiselarder.core.herd.GroupYear;

/**
 * One group's feed against its need, by day, for all its animals and their young together; and what
 * comes of it a head: gain, weight and condition. Energy and what follows from it is not given for
 * horses, as the tables hold none for them. No ration: adviser and veterinarian stand above it.
 */
public final class DietYear {
  /** A need counts as met within so much of it: the tables know no better. */
  public static final double MET_SHARE = 0.97;

  private final YearBalance balance;
  private final int group;
  private final AnimalGroup stated;
  private final GroupYear year;
  private final GroupDemand demand;
  private final double[] gainKg;
  private final double[] weightKg;
  private final double[] score;

  private DietYear(YearBalance balance, int group) {
    this.balance = balance;
    this.group = group;
    this.stated = balance.stated().farm().groups().get(group);
    this.year = balance.resolved().groupYear(group);
    this.demand = balance.resolved().demand(group);
    int days = balance.days();
    gainKg = new double[days];
    weightKg = new double[days];
    score = new double[days];
    reckon();
  }

  /** Reads a group's diet off a balance that keeps its fields. */
  public static DietYear of(YearBalance balance, int group) {
    return new DietYear(balance, group);
  }

  /** True where there are figures of energy: for all but horses. */
  public boolean hasEnergy() {
    return !stated.kind().startsWith("horse/");
  }

  /** A feed as it is given in parlours and creeps, percent of DM by nutrient. Assumption. */
  private static final double[] BESIDES_PCT = {16, 80, 25, 0.3, 0.4};

  /** Fed besides the plan, kg DM for all. */
  private double besidesKg(int day) {
    return year.head(day) * stated.keeping().besidesKgPerDay();
  }

  private double kg(int day, int nutrient) {
    return balance.dietKg(group, day, nutrient) + besidesKg(day) * BESIDES_PCT[nutrient] / 100;
  }

  /** All that is eaten, fed besides included, kg DM. */
  double eatenKg(int day) {
    return balance.eatenKg(group, day) + besidesKg(day);
  }

  /** Crude protein eaten, kg. */
  public double proteinKg(int day) {
    return kg(day, Values.PROTEIN);
  }

  public double proteinNeedKg(int day) {
    return year.proteinKg(day);
  }

  /** Metabolisable energy eaten, MJ. */
  public double energyMj(int day) {
    return 100 * Energy.MJ_PER_TDN_PCT * kg(day, Values.TDN);
  }

  /** Metabolisable energy needed, cold and walking included, MJ. */
  public double energyNeedMj(int day) {
    return demand.energyMj(day);
  }

  /** Calcium eaten, kg. */
  public double calciumKg(int day) {
    return kg(day, Values.CALCIUM);
  }

  public double calciumNeedKg(int day) {
    return year.calciumKg(day);
  }

  /** Phosphorus eaten, kg. */
  public double phosphorusKg(int day) {
    return kg(day, Values.PHOSPHORUS);
  }

  public double phosphorusNeedKg(int day) {
    return year.phosphorusKg(day);
  }

  /** Neutral detergent fibre of what is eaten, percent of DM; NaN where nothing is. */
  public double fibrePct(int day) {
    return percent(day, Values.FIBRE);
  }

  /** Least fibre that the diet must hold, percent of DM. */
  public double fibreMinPct(int day) {
    return year.fibreMinPct(day);
  }

  /** Crude protein of what is eaten, percent of DM; NaN where nothing is. */
  public double proteinPct(int day) {
    return percent(day, Values.PROTEIN);
  }

  /** TDN of what is eaten, percent of DM; NaN where nothing is. */
  public double tdnPct(int day) {
    return percent(day, Values.TDN);
  }

  private double percent(int day, int nutrient) {
    double kg = eatenKg(day);
    return kg <= 1e-6 ? Double.NaN : 100 * kg(day, nutrient) / kg;
  }

  /** Expected gain of one, kg a day; below zero a loss; NaN for horses and where nobody is. */
  public double gainKg(int day) {
    return gainKg[day];
  }

  /** Expected weight of one at the end of the day, kg; NaN as for the gain. */
  public double weightKg(int day) {
    return weightKg[day];
  }

  /**
   * Expected condition of dams and adult animals at the end of the day, from the last score
   * recorded or a usual one on the first day; NaN for growing animals and as for the gain.
   */
  public double score(int day) {
    return score[day];
  }

  /** True where condition means something: dams and grown animals. */
  public boolean hasScore() {
    return hasEnergy() && !growing();
  }

  private boolean growing() {
    return stated.birthStart() == null
        && (stated.gainKgPerDay() > 0
            || stated.kind().endsWith("/steer")
            || stated.kind().endsWith("/lamb")
            || stated.kind().endsWith("/kid")
            || stated.kind().endsWith("/young")
            || stated.kind().endsWith("heifer"));
  }

  /** First day on which the condition falls below the keeper's floor, -1 for never or no floor. */
  public int belowFloorFrom() {
    Double floor = stated.keeping().conditionFloor();
    for (int d = 0; floor != null && d < score.length; d++) {
      if (score[d] < floor) {
        return d;
      }
    }
    return -1;
  }

  /** Days on which less than the need of something is met. */
  public int daysShort(IntToDoubleFunction eaten, IntToDoubleFunction need) {
    int days = 0;
    for (int d = 0; d < balance.days(); d++) {
      double needed = need.applyAsDouble(d);
      days += needed > 0 && eaten.applyAsDouble(d) < MET_SHARE * needed ? 1 : 0;
    }
    return days;
  }

  private void reckon() {
    BodyCondition scale = BodyCondition.of(stated.kind());
    double weight = Double.NaN;
    double fromScore = scale.usual();
    double fromWeight = Double.NaN;
    List<ConditionScore> scores = balance.resolved().records().scores(stated);
    int next = 0;
    for (int d = 0; d < balance.days(); d++) {
      boolean there = year.head(d) > 0 && hasEnergy();
      if (there && Double.isNaN(weight)) {
        weight = year.weightKg(d);
        fromWeight = weight;
      }
      for (; next < scores.size(); next++) {
        ConditionScore seen = scores.get(next);
        if (balance.year().day(seen.date()) > d) {
          break;
        }
        weight = seen.weightKg() != null ? seen.weightKg() : weight;
        fromScore = seen.score();
        fromWeight = Double.isNaN(weight) ? stated.weightKg() : weight;
      }
      gainKg[d] = there ? gain(d, weight) : Double.NaN;
      weight = there ? Math.max(1, weight + gainKg[d]) : Double.NaN;
      weightKg[d] = weight;
      score[d] =
          there && hasScore()
              ? scale.after(fromScore, fromWeight, weight - fromWeight)
              : Double.NaN;
    }
  }

  private double gain(int day, double weight) {
    double eaten = eatenKg(day);
    double tdn = eaten <= 1e-6 ? year.tdnNeedPct(day) : tdnPct(day);
    double head = year.head(day);
    if (CATTLE_GROWTH.contains(stated.kind())) {
      double extraMj = (demand.energyMj(day) - year.energyMj(day)) / head;
      double left = Math.max(0, eaten / head - extraMj / Energy.mjPerKg(tdn));
      return CattleGain.kgPerDay(weight, left, tdn);
    }
    // young and old share what there is by their need; a lighter animal needs less
    double met = energyMj(day) / Math.max(1e-9, energyNeedMj(day));
    double own = (energyNeedMj(day) - year.youngEnergyMj(day)) / head;
    double over = own * (met - Math.pow(weight / year.weightKg(day), 0.75));
    return year.targetGainKg(day) + Energy.gainKg(stated.kind(), weight, over, Energy.mjPerKg(tdn));
  }

  private static final java.util.Set<String> CATTLE_GROWTH =
      java.util.Set.of("beef/steer", "beef/replacement_heifer", "dairy/heifer", "bison/young");
}
