package wiselarder.core.closing;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.diet.DietYear;
import wiselarder.core.engine.Engine;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.BodyCondition;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;

/**
 * What weaning on one day or another does to the dams: young may stay on as long as their condition
 * holds; the keeper's floor and the next birth stand behind that. Each day is tried on the whole
 * year.
 *
 * @param weaning day tried, within the plan
 * @param lowestScore lowest condition from the earliest day tried to the next birth, or to the
 *     plan's end: the same time for all
 * @param scoreAtBirth condition on the day before the next birth; NaN where none is in the plan
 * @param needKg what the group needs over the plan, young included
 * @param bareKg what stays bare on the farm over the plan
 * @param holds true where the condition never falls below the floor
 * @param planned true for the day that the plan has now
 */
public record WeanBy(
    LocalDate weaning,
    double lowestScore,
    double scoreAtBirth,
    double needKg,
    double bareKg,
    boolean holds,
    boolean planned) {

  /** Young wean no earlier than this. Assumption, on the careful side for all species. */
  static final int EARLIEST_AGE_DAYS = 90;

  private static final int STEP_DAYS = 14;
  private static final int MOST_TRIED = 12;

  /**
   * Tries weaning every fortnight from the earliest day to a month after the planned one.
   *
   * @throws Refused where the group does not give birth or weans outside the plan
   */
  public static List<WeanBy> of(Engine engine, FarmPlan stated, String groupId) {
    int g = index(stated, groupId);
    AnimalGroup group = stated.farm().groups().get(g);
    YearBalance before = engine.simulate(stated);
    List<Integer> weanings = before.resolved().groupYear(g).weanings();
    if (group.birthStart() == null || weanings.isEmpty()) {
      throw new Refused(CoreReason.NO_WEANING, "groupId", group.name());
    }
    int planned = weanings.get(0);
    int born = lastBirth(group, before, planned);
    List<WeanBy> tried = new ArrayList<>();
    int first = Math.max(0, born + group.birthSpreadDays() - 1 + EARLIEST_AGE_DAYS);
    while (planned - first > (MOST_TRIED - 3) * STEP_DAYS) {
      first += STEP_DAYS;
    }
    for (int day = first(planned, first);
        day <= planned + 2 * STEP_DAYS && day < before.days();
        day += STEP_DAYS) {
      LocalDate date = before.year().date(day);
      YearBalance b =
          day == planned
              ? before
              : engine.simulate(Items.GROUPS.put(stated, group.withWeaning(MonthDay.from(date))));
      tried.add(of(b, g, first(planned, first), date, day == planned));
    }
    return tried;
  }

  /** The earliest day tried: from then on all are compared, so that none has a shorter time. */
  private static int first(int planned, int first) {
    return planned - (planned - first) / STEP_DAYS * STEP_DAYS;
  }

  private static int index(FarmPlan stated, String groupId) {
    List<AnimalGroup> groups = stated.farm().groups();
    for (int g = 0; g < groups.size(); g++) {
      if (groups.get(g).id().equals(groupId)) {
        return g;
      }
    }
    throw new Refused(CoreReason.UNKNOWN_ID, "groupId", groupId);
  }

  /** First birth of the young that are weaned on a day; it may lie before the plan. */
  private static int lastBirth(AnimalGroup group, YearBalance b, int weaned) {
    int born = Integer.MIN_VALUE;
    for (int start : b.year().occurrences(group.birthStart(), 2)) {
      born = start < weaned ? start : born;
    }
    return born;
  }

  private static WeanBy of(YearBalance b, int g, int from, LocalDate date, boolean planned) {
    AnimalGroup group = b.stated().farm().groups().get(g);
    DietYear diet = DietYear.of(b, g);
    int next = b.days();
    for (int[] birth : b.resolved().groupYear(g).births()) {
      next = birth[0] > from ? Math.min(next, birth[0]) : next;
    }
    double lowest = Double.MAX_VALUE;
    int end = diet.wouldNotLiveFrom() < 0 ? next : Math.min(next, diet.wouldNotLiveFrom() + 1);
    for (int d = from; d < end; d++) {
      lowest = Math.min(lowest, diet.score(d));
    }
    if (end <= from) {
      lowest = BodyCondition.of(group.kind()).limitOfLife();
    }
    double need = 0;
    for (int d = 0; d < b.days(); d++) {
      need += b.needKg(g, d);
    }
    Double floor = group.keeping().conditionFloor();
    return new WeanBy(
        date,
        lowest,
        next < b.days() ? diet.score(next - 1) : Double.NaN,
        need,
        b.totalBareKg(),
        diet.wouldNotLiveFrom() < 0 && (floor == null || lowest >= floor),
        planned);
  }
}
