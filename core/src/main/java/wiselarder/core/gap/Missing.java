package wiselarder.core.gap;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Shelf;
import wiselarder.core.diet.DietYear;
import wiselarder.core.diet.WaterYear;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.BodyCondition;
import wiselarder.core.herd.Energy;

/**
 * What a kind of gap misses in a year, by day and group. Bulk is in kg DM, energy in kg TDN,
 * protein in kg crude protein, condition in kg live weight to the floor, water in kg, which is
 * litres. What one group has over helps no other.
 */
public final class Missing {
  /** Less than this share of the need of energy, protein or water and it is a gap. */
  static final double POOR_SHARE = 0.9;

  private final Gap.Kind kind;
  private final YearBalance balance;

  /** Null for bulk, which is read off the balance. */
  private final double[][] kg;

  private final boolean[][] poor;

  private Missing(Gap.Kind kind, YearBalance balance, boolean kept) {
    this.kind = kind;
    this.balance = balance;
    int groups = kept ? balance.stated().farm().groups().size() : 0;
    this.kg = kept ? new double[groups][balance.days()] : null;
    this.poor = new boolean[groups][kept ? balance.days() : 0];
  }

  /** What a year misses of one kind. */
  public static Missing of(YearBalance balance, Gap.Kind kind) {
    return of(balance, kind, kind.isOfDiet() ? diets(balance) : List.of());
  }

  /** What each group eats, for those that are asked more than once. */
  static List<DietYear> diets(YearBalance balance) {
    List<DietYear> diets = new ArrayList<>();
    for (int g = 0; g < balance.stated().farm().groups().size(); g++) {
      diets.add(DietYear.of(balance, g));
    }
    return diets;
  }

  static Missing of(YearBalance balance, Gap.Kind kind, List<DietYear> diets) {
    Missing missing = new Missing(kind, balance, !kind.isBulk());
    switch (kind) {
      case ENERGY, PROTEIN -> missing.nutrients(diets);
      case CONDITION -> missing.condition(diets);
      case WATER -> missing.water(WaterYear.of(balance));
      default -> {
        // read off the balance
      }
    }
    return missing;
  }

  private void nutrients(List<DietYear> diets) {
    for (int g = 0; g < kg.length; g++) {
      DietYear diet = diets.get(g);
      if (kind == Gap.Kind.ENERGY && !diet.hasEnergy()) {
        continue;
      }
      for (int d = 0; d < balance.days(); d++) {
        double need = kind == Gap.Kind.ENERGY ? tdnKg(diet.energyNeedMj(d)) : diet.proteinNeedKg(d);
        double given = kind == Gap.Kind.ENERGY ? tdnKg(diet.energyMj(d)) : diet.proteinKg(d);
        kg[g][d] = Math.max(0, DietYear.MET_SHARE * need - given);
        // where bulk itself is missing it is that gap, and no poor feed
        boolean full = balance.bareKg(g, d) <= GapFinder.SHORT_SHARE * balance.needKg(g, d);
        poor[g][d] = full && given < POOR_SHARE * need;
      }
    }
  }

  private static double tdnKg(double mj) {
    return mj / (100 * Energy.MJ_PER_TDN_PCT);
  }

  private void condition(List<DietYear> diets) {
    List<AnimalGroup> groups = balance.stated().farm().groups();
    for (int g = 0; g < kg.length; g++) {
      DietYear diet = diets.get(g);
      BodyCondition scale = BodyCondition.of(groups.get(g).kind());
      double floor = floor(groups.get(g));
      double heaviest = 0;
      double last = groups.get(g).weightKg();
      for (int d = 0; d < balance.days(); d++) {
        double weight = diet.weightKg(d);
        boolean gone = diet.wouldNotLiveFrom() >= 0 && d > diet.wouldNotLiveFrom();
        last = Double.isNaN(weight) ? last : weight;
        heaviest = Math.max(heaviest, last);
        double lacks;
        if (diet.hasScore()) {
          double score = gone ? scale.limitOfLife() : diet.score(d);
          lacks = (floor - score) * scale.pointShare() * last;
        } else {
          lacks = GROWING_FLOOR * heaviest - last;
        }
        double head = balance.resolved().groupYear(g).head(d);
        kg[g][d] = Double.isNaN(lacks) || !diet.hasEnergy() ? 0 : head * Math.max(0, lacks);
        poor[g][d] = kg[g][d] > 0;
      }
    }
  }

  /** A growing animal below this share of the most it has weighed is at risk. Assumption. */
  private static final double GROWING_FLOOR = 0.9;

  /** The keeper's own floor, else two thirds of the way from the limit of life to usual. */
  static double floor(AnimalGroup group) {
    BodyCondition scale = BodyCondition.of(group.kind());
    Double own = group.keeping().conditionFloor();
    return own != null ? own : scale.usual() - (scale.usual() - scale.limitOfLife()) / 3;
  }

  private void water(WaterYear water) {
    for (int g = 0; g < kg.length; g++) {
      for (int d = 0; d < balance.days(); d++) {
        kg[g][d] = water.lackingL(g, d);
        poor[g][d] = kg[g][d] > (1 - POOR_SHARE) * water.drunkL(g, d);
      }
    }
  }

  /** Of all groups on a day. */
  public double kg(int day) {
    if (kg == null) {
      double bare = balance.bareKg(day);
      return kind == Gap.Kind.STORE ? bare : bare + fromStoreKg(day);
    }
    double sum = 0;
    for (double[] group : kg) {
      sum += group[day];
    }
    return sum;
  }

  private double fromStoreKg(int day) {
    return balance.eatenKg(Shelf.PUT_BY, day) + balance.eatenKg(Shelf.BOUGHT_IN, day);
  }

  /** Of one group on a day. */
  public double kg(int group, int day) {
    if (kg != null) {
      return kg[group][day];
    }
    double bare = balance.bareKg(group, day);
    return kind == Gap.Kind.STORE
        ? bare
        : bare
            + balance.eatenKg(Shelf.PUT_BY, group, day)
            + balance.eatenKg(Shelf.BOUGHT_IN, group, day);
  }

  /** Whether a group lacks so much on a day that it is part of a gap; not for bulk. */
  boolean isPoor(int group, int day) {
    return poor[group][day];
  }

  /** Over the plan, of all groups. */
  public double allKg() {
    double sum = 0;
    for (int d = 0; d < balance.days(); d++) {
      sum += kg(d);
    }
    return sum;
  }

  /** Within a gap: of bulk what all are short of, else what the gap's own groups are. */
  public double within(Gap gap) {
    double sum = 0;
    List<Integer> groups = groups(gap);
    for (int d = gap.firstDay(); d <= gap.lastDay(); d++) {
      if (kg == null) {
        sum += kg(d);
      }
      for (int g : groups) {
        sum += kg[g][d];
      }
    }
    return sum;
  }

  /**
   * Days of a gap on which those of it are short; of condition those up to the last on which they
   * were too thin.
   */
  public int shortDays(Gap gap) {
    int days = 0;
    List<Integer> groups = groups(gap);
    int last =
        gap.causes().stream()
            .filter(c -> c.code() == Gap.Cause.Code.THIN_UNTIL)
            .mapToInt(c -> (int) c.value())
            .findFirst()
            .orElse(gap.lastDay());
    for (int d = gap.firstDay(); d <= last; d++) {
      int day = d;
      boolean isShort =
          kg == null
              ? kg(d) > GapFinder.SHORT_SHARE * balance.needKg(d)
              : groups.stream().anyMatch(g -> poor[g][day]);
      days += isShort ? 1 : 0;
    }
    return days;
  }

  /** Places of a gap's groups; none where bulk is counted. */
  private List<Integer> groups(Gap gap) {
    List<Integer> places = new ArrayList<>();
    List<AnimalGroup> all = balance.stated().farm().groups();
    for (int g = 0; kg != null && g < all.size(); g++) {
      String id = all.get(g).id();
      if (gap.groups().stream().anyMatch(s -> s.groupId().equals(id))) {
        places.add(g);
      }
    }
    return places;
  }
}
