package wiselarder.core.gap;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.diet.DietYear;
import wiselarder.core.diet.WaterYear;
import wiselarder.core.gap.Gap.Cause;
import wiselarder.core.gap.Gap.Cause.Code;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.resolved.ResolvedPlan;

/**
 * Reads off a balance where feed is enough and something else is not: energy, protein, condition or
 * water of one group at a time.
 */
public final class NeedGaps {
  /** Runs parted by no more than this many days count as one. */
  private static final int JOIN_DAYS = 14;

  /** Condition bears less than so many days of a poorer diet. Assumption. */
  private static final int LEAST_DAYS = 10;

  private static final double COLD_WORTH_NAMING = 0.05;
  private static final double NURSING_WORTH_NAMING = 0.5;

  /** Milk asks for most over so many days after a birth. Practice. */
  private static final int NURSING_DAYS = 150;

  private final YearBalance balance;
  private final List<DietYear> diets;
  private final List<Gap> found = new ArrayList<>();

  private NeedGaps(YearBalance balance) {
    this.balance = balance;
    this.diets = Missing.diets(balance);
  }

  /** Every such gap of a year: animals at risk first, then water, energy, protein. */
  public static List<Gap> find(YearBalance balance) {
    NeedGaps gaps = new NeedGaps(balance);
    gaps.find(Gap.Kind.CONDITION);
    gaps.find(Gap.Kind.WATER);
    gaps.find(Gap.Kind.ENERGY);
    gaps.find(Gap.Kind.PROTEIN);
    return gaps.found;
  }

  private void find(Gap.Kind kind) {
    Missing missing = Missing.of(balance, kind, diets);
    for (int g = 0; g < diets.size(); g++) {
      int first = -1;
      int last = -1;
      for (int d = 0; d < balance.days(); d++) {
        if (!missing.isPoor(g, d)) {
          continue;
        }
        if (first >= 0 && d - last > JOIN_DAYS + 1) {
          measure(missing, kind, g, first, last);
          first = -1;
        }
        first = first < 0 ? d : first;
        last = d;
      }
      if (first >= 0) {
        measure(missing, kind, g, first, last);
      }
    }
  }

  private void measure(Missing missing, Gap.Kind kind, int g, int first, int last) {
    double kg = 0;
    int days = 0;
    int deepest = first;
    for (int d = first; d <= last; d++) {
      kg += missing.kg(g, d);
      days += missing.isPoor(g, d) ? 1 : 0;
      deepest = missing.kg(g, d) > missing.kg(g, deepest) ? d : deepest;
    }
    if ((kind == Gap.Kind.ENERGY || kind == Gap.Kind.PROTEIN) && days < LEAST_DAYS) {
      return;
    }
    if (kind == Gap.Kind.CONDITION) {
      atRisk(missing, g, first, last);
      return;
    }
    String id = group(g).id();
    found.add(
        new Gap(
            kind,
            first,
            last,
            days,
            kg,
            0,
            deepest,
            missing.kg(g, deepest),
            List.of(new Gap.GroupShare(id, kg)),
            switch (kind) {
              case WATER -> water(g, first, last);
              default -> poor(kind, missing, g, first, last);
            }));
  }

  private AnimalGroup group(int g) {
    return balance.stated().farm().groups().get(g);
  }

  /**
   * What thins them begins before they are thin, and once they gain again it is over: from the day
   * they begin to lose to the day they lack most.
   */
  private void atRisk(Missing missing, int g, int first, int last) {
    DietYear diet = diets.get(g);
    int deepest = first;
    for (int d = first; d <= last; d++) {
      deepest = missing.kg(g, d) > missing.kg(g, deepest) ? d : deepest;
    }
    int loses = first;
    while (loses > 0 && diet.gainKg(loses - 1) < 0) {
      loses--;
    }
    double kg = 0;
    double bareKg = 0;
    for (int d = loses; d <= deepest; d++) {
      kg += missing.kg(g, d);
      bareKg += balance.bareKg(g, d);
    }
    List<Cause> causes = new ArrayList<>();
    causes.add(new Cause(Code.THIN_FROM, List.of(), first));
    causes.add(new Cause(Code.THIN_UNTIL, List.of(), last));
    if (diet.hasScore() && !Double.isNaN(diet.score(deepest))) {
      causes.add(new Cause(Code.LOWEST_SCORE, List.of(), diet.score(deepest)));
      causes.add(new Cause(Code.FLOOR, List.of(), Missing.floor(group(g))));
    }
    if (diet.wouldNotLiveFrom() >= 0) {
      causes.add(new Cause(Code.WOULD_NOT_LIVE, List.of(), diet.wouldNotLiveFrom()));
    }
    if (bareKg > GapFinder.SHORT_SHARE * balance.needKg(g, loses)) {
      causes.add(new Cause(Code.BARE, List.of(), bareKg));
    }
    found.add(
        new Gap(
            Gap.Kind.CONDITION,
            loses,
            deepest,
            last - first + 1,
            kg,
            0,
            deepest,
            missing.kg(g, deepest),
            List.of(new Gap.GroupShare(group(g).id(), kg)),
            causes));
  }

  private List<Cause> water(int g, int first, int last) {
    List<Cause> causes = new ArrayList<>();
    WaterYear water = WaterYear.of(balance);
    for (WaterYear.FieldWater f : water.fields()) {
      double most = 0;
      for (int d = first; d <= last; d++) {
        int on = balance.onField(g, d);
        boolean here = on >= 0 && balance.stated().farm().fields().get(on).id().equals(f.fieldId());
        most = Math.max(most, here && water.lackingL(g, d) > 0 ? water.drunkL(g, d) : 0);
      }
      if (most > 0) {
        causes.add(new Cause(Code.FIELD_GIVES, List.of(f.fieldId()), f.supplyL()));
        causes.add(new Cause(Code.THEY_DRINK, List.of(f.fieldId()), most));
      }
    }
    return causes;
  }

  /** Means over the days that are short. */
  private List<Cause> poor(Gap.Kind kind, Missing missing, int g, int first, int last) {
    DietYear diet = diets.get(g);
    boolean energy = kind == Gap.Kind.ENERGY;
    ResolvedPlan resolved = balance.resolved();
    double eaten = 0;
    double has = 0;
    double asked = 0;
    double cold = 0;
    double nursing = 0;
    for (int d = first; d <= last; d++) {
      double kg = diet.eatenKg(d);
      double pct = energy ? diet.tdnPct(d) : diet.proteinPct(d);
      if (!missing.isPoor(g, d) || Double.isNaN(pct)) {
        continue;
      }
      eaten += kg;
      has += kg * pct;
      asked +=
          energy
              ? kg * pct * diet.energyNeedMj(d) / Math.max(1e-9, diet.energyMj(d))
              : 100 * diet.proteinNeedKg(d);
      cold += kg * resolved.demand(g).coldShare(d);
      nursing += isNursing(g, d) ? kg : 0;
    }
    List<Cause> causes = new ArrayList<>();
    if (eaten > 0) {
      causes.add(new Cause(Code.FEED_HOLDS, List.of(), has / eaten));
      causes.add(new Cause(Code.THEY_NEED, List.of(), asked / eaten));
    }
    if (energy && eaten > 0 && cold / eaten >= COLD_WORTH_NAMING) {
      causes.add(new Cause(Code.COLD, List.of(), cold / eaten));
    }
    if (eaten > 0 && nursing / eaten >= NURSING_WORTH_NAMING) {
      causes.add(new Cause(Code.NURSING, List.of(), nursing / eaten));
    }
    return causes;
  }

  private boolean isNursing(int g, int day) {
    return balance.resolved().groupYear(g).births().stream()
        .anyMatch(b -> b[0] <= day && day < b[0] + NURSING_DAYS);
  }
}
