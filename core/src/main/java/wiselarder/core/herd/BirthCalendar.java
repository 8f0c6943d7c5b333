package wiselarder.core.herd;

import java.time.MonthDay;
import java.util.List;
import wiselarder.core.calendar.PlanYear;

/**
 * Births, weanings and leavings of a group as day numbers; a first-calf group has none before the
 * plan.
 */
final class BirthCalendar {
  private static final int NEVER = Integer.MAX_VALUE / 2;

  private final AnimalGroup group;
  private final HerdTables tables;
  private final int days;
  private final List<Integer> starts;
  private final List<Integer> weanDays;
  private final List<Integer> leaveDays;
  private final boolean firstCalf;

  BirthCalendar(AnimalGroup group, PlanYear year, HerdTables tables) {
    this.group = group;
    this.tables = tables;
    this.days = year.days();
    this.firstCalf = group.kind().endsWith("first_calf_heifer");
    List<Integer> all = year.occurrences(group.birthStart(), 2);
    this.starts = firstCalf ? all.stream().filter(s -> s >= 0).toList() : all;
    this.weanDays = occurrences(year, group.weaning());
    this.leaveDays = occurrences(year, group.youngLeave());
  }

  private static List<Integer> occurrences(PlanYear year, MonthDay day) {
    return day == null ? List.of() : year.occurrences(day, 2);
  }

  /** Notes the births that touch the plan, and the weanings within it. */
  void note(List<int[]> births, List<Integer> weanings) {
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

  /** First days of the births of each season, some before and after the plan. */
  List<Integer> starts() {
    return starts;
  }

  /** Start of the last births begun on or before a day, or minus never. */
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

  /** Class of a dam of the first cohort on a day, with the litter that the group mostly has. */
  AnimalClass classAt(int x) {
    int last = lastBirth(x);
    return classAt(x, last == -NEVER || x >= weaning(last), group.youngPerDam() >= 1.5 ? 2 : 1);
  }

  AnimalClass classAt(int x, boolean isWeaned, int litter) {
    int last = lastBirth(x);
    int since = last == -NEVER ? -1 : x - last;
    int until = NEVER;
    for (int s : starts) {
      if (s > x) {
        until = s - x;
        break;
      }
    }
    boolean weaned = last == -NEVER || isWeaned;
    return tables.ofDam(group.kind(), since, until, weaned, !firstCalf || since >= 0, litter);
  }
}
