package wiselarder.core.herd;

import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import wiselarder.core.calendar.PlanYear;

/**
 * A group resolved against the plan year: what it needs each day, kg DM for the whole group, dams
 * (or growing, or adult animals) and their young apart.
 *
 * @param births day windows [first, last] of births that touch the plan
 * @param weanings day numbers within the plan
 */
public record GroupYear(
    AnimalGroup group,
    double[] ownKg,
    double[] youngKg,
    List<int[]> births,
    List<Integer> weanings) {

  /** Birth weight as a share of the dam's weight. Assumption, usual range 6 to 8%. */
  static final double BIRTH_WEIGHT_SHARE = 0.07;

  private static final int NEVER = Integer.MAX_VALUE / 2;
  private static final int CALF_FORAGE_FROM_DAY = 90;

  /** Need of the whole group on a day, kg DM. */
  public double needKg(int day) {
    return ownKg[day] + youngKg[day];
  }

  /**
   * Class of the animals of a group on a day; of dams the middle of those that give birth.
   *
   * @return null on days on which the group is not there
   */
  public static AnimalClass classOn(AnimalGroup group, int day, PlanYear year, HerdTables tables) {
    if (day < year.clippedStart(group.fromInclusive())
        || day >= year.clippedEnd(group.toExclusive())) {
      return null;
    }
    GroupYear one =
        new GroupYear(group, new double[0], new double[0], new ArrayList<>(), new ArrayList<>());
    if (!tables.isDam(group.kind()) || group.birthStart() == null) {
      int arrival = group.fromInclusive() == null ? 0 : year.day(group.fromInclusive());
      double weight = Math.max(1, group.weightKg() + group.gainKgPerDay() * (day - arrival));
      return tables.isDam(group.kind())
          ? tables.ofDam(group.kind(), -1, NEVER, true, true, 1)
          : tables.byWeight(group.kind(), weight);
    }
    Calendar calendar = one.new Calendar(year, tables);
    return calendar.classAt(day - group.birthSpreadDays() / 2);
  }

  /** Resolves a group. */
  public static GroupYear of(AnimalGroup group, PlanYear year, HerdTables tables) {
    int days = year.days();
    GroupYear result =
        new GroupYear(
            group, new double[days], new double[days], new ArrayList<>(), new ArrayList<>());
    int from = year.clippedStart(group.fromInclusive());
    int to = year.clippedEnd(group.toExclusive());
    boolean dam = tables.isDam(group.kind());
    if (dam && group.birthStart() != null) {
      result.fillDams(year, tables, from, to);
    } else {
      result.fillOthers(year, tables, from, to, dam);
    }
    if (group.flatIntakeKgPerHeadDay() != null) {
      for (int d = from; d < to; d++) {
        result.ownKg[d] = group.head() * group.flatIntakeKgPerHeadDay();
        result.youngKg[d] = 0;
      }
    }
    return result;
  }

  private void fillOthers(PlanYear year, HerdTables tables, int from, int to, boolean dam) {
    int arrival = group.fromInclusive() == null ? 0 : year.day(group.fromInclusive());
    for (int d = from; d < to; d++) {
      double weight = Math.max(1, group.weightKg() + group.gainKgPerDay() * (d - arrival));
      AnimalClass animals =
          dam
              ? tables.ofDam(group.kind(), -1, NEVER, true, true, 1)
              : tables.byWeight(group.kind(), weight);
      ownKg[d] = group.head() * animals.intakeKg(weight);
    }
  }

  /**
   * Dams whose births are spread evenly: each day's intake is the mean over one cohort per birth
   * day. Cohort k on day d stands where the first cohort stood k days earlier, but for weaning,
   * which comes to all on one date.
   */
  private void fillDams(PlanYear year, HerdTables tables, int from, int to) {
    Calendar calendar = new Calendar(year, tables);
    calendar.note();
    int spread = group.birthSpreadDays();
    double twinShare = Math.max(0, Math.min(1, group.youngPerDam() - 1));
    int offset = spread;
    double[] suckling = new double[year.days() + offset];
    double[] weaned = new double[year.days() + offset];
    int[] birth = new int[year.days() + offset];
    int[] weaning = new int[year.days() + offset];
    int[] leave = new int[year.days() + offset];
    for (int x = -offset; x < year.days(); x++) {
      birth[x + offset] = calendar.lastBirth(x);
      boolean none = birth[x + offset] == -NEVER;
      weaning[x + offset] = none ? -NEVER : calendar.weaning(birth[x + offset]);
      leave[x + offset] = none ? -NEVER : calendar.leave(birth[x + offset]);
      suckling[x + offset] = calendar.percent(x, false, twinShare);
      weaned[x + offset] = calendar.percent(x, true, twinShare);
    }
    Young young = Young.of(group, tables);
    for (int d = from; d < to; d++) {
      double own = 0;
      double youngKgPerDam = 0;
      for (int k = 0; k < spread; k++) {
        int at = d - k + offset;
        own += d >= weaning[at] ? weaned[at] : suckling[at];
        if (d < leave[at]) {
          int age = d - birth[at] - k;
          youngKgPerDam += young.intakeKg(age, weaning[at] - birth[at] - k);
        }
      }
      ownKg[d] = group.head() * group.weightKg() * own / spread / 100;
      youngKg[d] = group.head() * group.youngPerDam() * youngKgPerDam / spread;
    }
  }

  /** Births, weanings and leavings as day numbers; a first-calf group has none before the plan. */
  private final class Calendar {
    private final HerdTables tables;
    private final int days;
    private final List<Integer> starts;
    private final List<Integer> weanDays;
    private final List<Integer> leaveDays;
    private final boolean firstCalf;

    Calendar(PlanYear year, HerdTables tables) {
      this.tables = tables;
      this.days = year.days();
      this.firstCalf = group.kind().endsWith("first_calf_heifer");
      List<Integer> all = year.occurrences(group.birthStart(), 2);
      this.starts = firstCalf ? all.stream().filter(s -> s >= 0).toList() : all;
      this.weanDays = occurrences(year, group.weaning());
      this.leaveDays = occurrences(year, group.youngLeave());
    }

    private List<Integer> occurrences(PlanYear year, MonthDay day) {
      return day == null ? List.of() : year.occurrences(day, 2);
    }

    void note() {
      for (int s : starts) {
        int last = s + group.birthSpreadDays() - 1;
        if (last >= 0 && s < days) {
          births.add(new int[] {s, last});
        }
        if (weaning(s) >= 0 && weaning(s) < days) {
          weanings.add(weaning(s));
        }
      }
    }

    /** Start of the last births begun on or before a day, or -NEVER. */
    int lastBirth(int x) {
      int found = -NEVER;
      for (int s : starts) {
        if (s <= x) {
          found = s;
        }
      }
      return found;
    }

    int weaning(int birthStart) {
      for (int w : weanDays) {
        if (w > birthStart) {
          return w;
        }
      }
      return birthStart + tables.weaningDayDefault(group.kind());
    }

    int leave(int birthStart) {
      for (int l : leaveDays) {
        if (l > birthStart) {
          return Math.max(l, weaning(birthStart));
        }
      }
      return weaning(birthStart);
    }

    AnimalClass classAt(int x) {
      int last = lastBirth(x);
      boolean none = last == -NEVER;
      boolean isWeaned = none || x >= weaning(last);
      int until = starts.stream().filter(s -> s > x).mapToInt(s -> s - x).findFirst().orElse(NEVER);
      int litter = group.youngPerDam() >= 1.5 ? 2 : 1;
      return tables.ofDam(
          group.kind(), none ? -1 : x - last, until, isWeaned, !firstCalf || !none, litter);
    }

    double percent(int x, boolean isWeaned, double twinShare) {
      int last = lastBirth(x);
      int since = last == -NEVER ? -1 : x - last;
      int until = NEVER;
      for (int s : starts) {
        if (s > x) {
          until = s - x;
          break;
        }
      }
      boolean calved = !firstCalf || since >= 0;
      double one = tables.ofDam(group.kind(), since, until, isWeaned, calved, 1).dmiTypicalPctBw();
      if (twinShare == 0) {
        return one;
      }
      double two = tables.ofDam(group.kind(), since, until, isWeaned, calved, 2).dmiTypicalPctBw();
      return one * (1 - twinShare) + two * twinShare;
    }
  }

  /** Forage that one young of a dam eats, kg DM by age in days, at foot and once weaned. */
  private record Young(double[] atFootKg, double[] weanedKg) {
    private static final int OLDEST_DAYS = 800;

    static Young of(AnimalGroup group, HerdTables tables) {
      String species = group.kind().substring(0, group.kind().indexOf('/'));
      String growing =
          switch (species) {
            case "beef" -> "beef/steer";
            case "sheep" -> "sheep/lamb";
            case "goat" -> "goat/kid";
            case "bison" -> "bison/young";
            default -> "";
          };
      Young young = new Young(new double[OLDEST_DAYS], new double[OLDEST_DAYS]);
      if (growing.isEmpty()) {
        return young;
      }
      double birthKg = BIRTH_WEIGHT_SHARE * group.weightKg();
      AnimalClass suckling = species.equals("beef") ? tables.byId("suckling_calf") : null;
      double gainKg =
          (suckling != null ? suckling : tables.byWeight(growing, birthKg)).targetGainKgPerDay();
      for (int age = 0; age < OLDEST_DAYS; age++) {
        double weightKg = birthKg + gainKg * age;
        young.weanedKg[age] = tables.byWeight(growing, weightKg).intakeKg(weightKg);
        young.atFootKg[age] =
            suckling != null && age >= CALF_FORAGE_FROM_DAY ? suckling.intakeKg(weightKg) : 0;
      }
      return young;
    }

    double intakeKg(int ageDays, int weaningAgeDays) {
      if (ageDays < 0) {
        return 0;
      }
      int age = Math.min(ageDays, OLDEST_DAYS - 1);
      return ageDays >= weaningAgeDays ? weanedKg[age] : atFootKg[age];
    }
  }
}
