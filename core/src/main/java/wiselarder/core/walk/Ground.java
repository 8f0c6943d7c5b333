package wiselarder.core.walk;

import java.util.Arrays;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrainStages;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.forage.SwardRules;
import wiselarder.core.plan.Sowing;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;

/** How the fields of a year are expected to stand in the morning of a day. */
final class Ground {
  /** Days about a day of which the mean growth says whether plants sleep. */
  private static final int LOOKED_BACK = 10;

  /** From the coldest day on: spring, summer and autumn of the plants begin. Assumption. */
  private static final int SPRING_AFTER = 40;

  private static final int SUMMER_AFTER = 145;
  private static final int AUTUMN_AFTER = 230;
  private static final double TALLEST_CM = 400;

  private final YearBalance year;
  private final ResolvedPlan plan;
  private final int day;
  private final HeightTable heights;

  /**
   * @param heights of the farm
   * @param day of the plan
   */
  Ground(YearBalance year, HeightTable heights, int day) {
    this.year = year;
    this.plan = year.resolved();
    this.heights = heights;
    this.day = day;
  }

  /** Cover in the morning, before anybody looked, kg DM/ha. */
  double coverKgPerHa(int field) {
    return year.readings().stream()
        .filter(r -> r.field() == field && r.day() == day)
        .mapToDouble(r -> r.expectedKgPerHa())
        .findFirst()
        .orElseGet(() -> day == 0 ? opening(field) : year.coverKgPerHa(field, day - 1));
  }

  private double opening(int field) {
    FieldPlan p = plan.fields[field];
    return p.base().arrives > 0 ? 0 : p.openingGreen + p.openingDead;
  }

  /** What stands there for the greatest part. */
  Forage stands(int field) {
    FieldPlan p = plan.fields[field];
    Forage most = p.base().forage;
    double rest = year.coverKgPerHa(field, day);
    double mostKg = 0;
    for (int i = 1; i < p.stands.length; i++) {
      double kg = year.sownCoverKgPerHa(p.stands[i].crop.number, day);
      rest -= kg;
      most = kg > mostKg ? p.stands[i].forage : most;
      mostKg = Math.max(kg, mostKg);
    }
    return mostKg > rest ? most : p.base().forage;
  }

  /** The small grain that grows there, the base stand before what was sown; null for none. */
  Forage grain(int field) {
    FieldPlan p = plan.fields[field];
    if (GrainStages.isOf(p.base().forage) && coverKgPerHa(field) > 0) {
      return p.base().forage;
    }
    return Arrays.stream(p.stands)
        .skip(1)
        .map(s -> s.forage)
        .filter(f -> GrainStages.isOf(f) && grows(field, f))
        .findFirst()
        .orElse(null);
  }

  /** True where a crop of a forage that was sown there in the plan is up and has not ended. */
  boolean grows(int field, Forage forage) {
    return Arrays.stream(plan.fields[field].stands)
        .skip(1)
        .filter(s -> s.forage.id().equals(forage.id()))
        .map(s -> year.sowing(s.crop.number))
        .anyMatch(
            s ->
                s.emergedDay() >= 0
                    && s.emergedDay() <= day
                    && (s.endedDay() < 0 || s.endedDay() > day));
  }

  /** Season of what stands there, by what it does and by the place. */
  HeightTable.Season season(int field) {
    Forage f = stands(field);
    double grown = 0;
    int from = Math.max(0, day - LOOKED_BACK);
    for (int d = from; d <= day; d++) {
      grown += year.grownKg(field, d) / plan.fields[field].areaHa / (day - from + 1);
    }
    int since = Math.floorMod(plan.year.date(day).getDayOfYear() - plan.climate.coldestDoy(), 365);
    if (grown < SwardRules.DORMANT_SHARE * f.peakKgPerHaDay() && !isLive(since)) {
      return HeightTable.Season.WINTER_STANDING;
    }
    return since < SUMMER_AFTER
        ? HeightTable.Season.SPRING
        : since < AUTUMN_AFTER ? HeightTable.Season.SUMMER : HeightTable.Season.AUTUMN;
  }

  /** In the warm half of the year a stand that does not grow is dry, and no winter feed. */
  private static boolean isLive(int sinceColdest) {
    return sinceColdest >= SPRING_AFTER && sinceColdest < AUTUMN_AFTER;
  }

  /** Height at which an ordinary stand holds so much, cm; NaN where it is taller than told. */
  double heightCm(int field, double kgPerHa) {
    Forage f = stands(field);
    HeightTable.Season season = season(field);
    if (!f.grows() || at(f, season, TALLEST_CM) < kgPerHa) {
      return Double.NaN;
    }
    double low = 0;
    double high = TALLEST_CM;
    for (int i = 0; i < 40; i++) {
      double middle = (low + high) / 2;
      if (at(f, season, middle) < kgPerHa) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return high;
  }

  private double at(Forage f, HeightTable.Season season, double cm) {
    return heights.massKgPerHa(f, season, HeightTable.Density.ORDINARY, cm);
  }

  /** What an ordinary stand of what is there holds at a height, kg DM/ha. */
  double massKgPerHa(int field, double cm) {
    return at(stands(field), season(field), cm);
  }

  /** What of a cover is eaten once it is taken down to what is to be left, kg DM. */
  double eatableKg(int field, double kgPerHa) {
    double above = Math.max(0, kgPerHa - plan.fields[field].base().residual);
    return above * plan.fields[field].areaHa * plan.pieces.utilization(field, 0, false);
  }

  /** What all groups eat in a day of the next weeks, kg DM. */
  double needKg() {
    int to = Math.min(plan.days, day + NEED_DAYS);
    double kg = 0;
    for (int d = day; d < to; d++) {
      kg += year.needKg(d) / (to - day);
    }
    return kg;
  }

  private static final int NEED_DAYS = 30;

  /** Last day before this morning on which somebody grazed there; -1 for none in the plan. */
  int grazedOn(int field) {
    return lastDay(d -> year.grazedKg(field, d) > 0);
  }

  /** The same, with whatever was cut. */
  int takenOn(int field) {
    return lastDay(d -> year.grazedKg(field, d) > 0 || year.cutKg(field, d) > 0);
  }

  private int lastDay(IntPredicate is) {
    return IntStream.iterate(day - 1, d -> d >= 0, d -> d - 1).filter(is).findFirst().orElse(-1);
  }

  /** True where a crop sown in the plan is not ready for stock yet. */
  boolean isYoung(int field) {
    for (Sowing s : year.stated().plan().sowings()) {
      if (s.fieldId().equals(plan.fields[field].field.id())) {
        int number = year.stated().plan().sowings().indexOf(s);
        int ready = year.sowing(number).readyDay();
        boolean sown = plan.year.day(s.sowOn()) <= day;
        boolean over = year.sowing(number).endedDay() >= 0 && year.sowing(number).endedDay() <= day;
        if (sown && !over && (ready < 0 || ready > day)) {
          return true;
        }
      }
    }
    return false;
  }
}
