package wiselarder.core.diet;

import java.util.List;
import java.util.function.IntToDoubleFunction;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.forage.QualityTable.Values;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.BodyCondition;
import wiselarder.core.herd.BodyEnergy;
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
  private final double[] milkShare;
  private int wouldNotLiveFrom = -1;

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
    milkShare = new double[days];
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
  public double eatenKg(int day) {
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

  /**
   * First day on which the figures say that animals would not live through it: below the limit of
   * life in condition, or a growing animal far below the most it has weighed. From then on no gain,
   * weight or condition is given. -1 for never.
   */
  public int wouldNotLiveFrom() {
    return wouldNotLiveFrom;
  }

  /** Of the milk that a dam would give, the share that her energy still allows; 1 else. */
  public double milkShare(int day) {
    return milkShare[day];
  }

  private void reckon() {
    BodyCondition scale = BodyCondition.of(stated.kind());
    double weight = Double.NaN;
    Double begins = stated.keeping().conditionAtStart();
    double fromScore = begins == null ? scale.usual() : begins;
    double fromWeight = Double.NaN;
    double heaviest = 0;
    List<ConditionScore> scores = balance.resolved().records().scores(stated);
    int next = 0;
    for (int d = 0; d < balance.days(); d++) {
      boolean there = year.head(d) > 0 && hasEnergy() && wouldNotLiveFrom < 0;
      if (there && Double.isNaN(weight)) {
        weight = year.weightKg(d);
        fromWeight = weight;
      }
      for (; next < scores.size(); next++) {
        ConditionScore seen = scores.get(next);
        if (balance.year().day(seen.date()) > d) {
          break;
        }
        if (begins != null && balance.year().day(seen.date()) < 0) {
          continue;
        }
        weight = seen.weightKg() != null ? seen.weightKg() : weight;
        fromScore = seen.score();
        fromWeight = Double.isNaN(weight) ? stated.weightKg() : weight;
      }
      double before =
          there && hasScore() ? scale.after(fromScore, fromWeight, weight - fromWeight) : fromScore;
      BodyEnergy day = there ? energy(d, weight, scale.thin(before)) : null;
      gainKg[d] = there ? day.gainKg() : Double.NaN;
      milkShare[d] = there ? day.milkShare() : 1;
      weight = there ? Math.max(1, weight + gainKg[d]) : Double.NaN;
      weightKg[d] = weight;
      score[d] =
          there && hasScore()
              ? scale.after(fromScore, fromWeight, weight - fromWeight)
              : Double.NaN;
      heaviest = there ? Math.max(heaviest, weight) : heaviest;
      boolean tooThin =
          hasScore() ? score[d] < scale.limitOfLife() : weight < GROWING_LIMIT * heaviest;
      wouldNotLiveFrom = there && tooThin ? d : wouldNotLiveFrom;
    }
  }

  /** A growing animal below this share of the most it has weighed is starving. Assumption. */
  private static final double GROWING_LIMIT = 0.75;

  private BodyEnergy energy(int day, double weight, double thin) {
    double eaten = eatenKg(day);
    double tdn = eaten <= 1e-6 ? year.tdnNeedPct(day) : tdnPct(day);
    double head = year.head(day);
    double extraMj = (demand.energyMj(day) - year.youngEnergyMj(day) - year.energyMj(day)) / head;
    if (CATTLE_GROWTH.contains(stated.kind())) {
      double left = Math.max(0, eaten / head - extraMj / Energy.mjPerKg(tdn));
      return new BodyEnergy(CattleGain.kgPerDay(weight, left, tdn), 1);
    }
    // young and old share what there is by their need
    double own = (energyNeedMj(day) - year.youngEnergyMj(day)) / head;
    double met = energyMj(day) / Math.max(1e-9, energyNeedMj(day));
    return BodyEnergy.of(
        stated.kind(),
        weight,
        year.weightKg(day),
        own,
        extraMj,
        year.upkeepMj(day),
        own * met,
        Energy.mjPerKg(tdn),
        thin,
        year.targetGainKg(day));
  }

  private static final java.util.Set<String> CATTLE_GROWTH =
      java.util.Set.of("beef/steer", "beef/replacement_heifer", "dairy/heifer", "bison/young");
}
