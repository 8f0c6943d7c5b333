package wiselarder.core.herd;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Comparator;
import java.util.List;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * A group (mob) as stated. Births, weaning and the day the young leave come back every year.
 *
 * @param kind {@code species/animal group} of the stage table, e.g. {@code beef/cow}
 * @param weightKg live weight a head: of dams and adults all year, of growing animals on arrival
 * @param gainKgPerDay daily gain of growing animals; 0 for dams and adults
 * @param flatIntakeKgPerHeadDay the user's own figure, kg DM a head and day, which then covers
 *     young at foot too; null to go by percent of weight and stage
 * @param birthStart first birth, or null when the group does not give birth
 * @param birthSpreadDays days from the first to the last birth, births spread evenly
 * @param youngPerDam young alive at weaning for each dam
 * @param weaning null for the kind's usual age
 * @param youngLeave day the young leave the farm or join a group of their own; null: at weaning
 * @param fromInclusive first day the group is there, or null
 * @param toExclusive first day it is gone, or null
 * @param changes animals that come and go beside births; null or empty for none
 * @param keeping null: as usual
 */
public record AnimalGroup(
    String id,
    String name,
    String kind,
    int head,
    double weightKg,
    double gainKgPerDay,
    Double flatIntakeKgPerHeadDay,
    MonthDay birthStart,
    int birthSpreadDays,
    double youngPerDam,
    MonthDay weaning,
    MonthDay youngLeave,
    LocalDate fromInclusive,
    LocalDate toExclusive,
    List<HeadChange> changes,
    Keeping keeping) {
  public static final Stated.Figure FLAT_INTAKE_KG_PER_HEAD_DAY =
      Stated.number("group.flatIntakeKgPerHeadDay", 0.1, 40).orNone();
  public static final Stated.Figure HEAD = Stated.whole("group.head", 0, 100000);
  public static final Stated.Figure WEIGHT_KG = Stated.number("group.weightKg", 2, 1500);
  public static final Stated.Figure GAIN_KG_PER_DAY = Stated.number("group.gainKgPerDay", -1, 2.5);
  public static final Stated.Figure BIRTH_SPREAD_DAYS =
      Stated.whole("group.birthSpreadDays", 1, 180);
  public static final Stated.Figure YOUNG_PER_DAM = Stated.number("group.youngPerDam", 0, 4);
  public static final Stated.Text NAME = Stated.text("group.name", 60);

  /** More changes than this in one group are a mistake. */
  private static final int MOST_ENTRIES = 400;

  public AnimalGroup {
    id = Check.text("group.id", id, 40);
    name = NAME.check(name);
    Check.text("group.kind", kind, 40);
    HEAD.check(head);
    WEIGHT_KG.check(weightKg);
    GAIN_KG_PER_DAY.check(gainKgPerDay);
    FLAT_INTAKE_KG_PER_HEAD_DAY.check(flatIntakeKgPerHeadDay);
    BIRTH_SPREAD_DAYS.check(birthSpreadDays);
    YOUNG_PER_DAM.check(youngPerDam);
    Check.ordered("group.dates", fromInclusive, toExclusive);
    checkYoung(birthStart, birthSpreadDays, weaning, youngLeave);
    changes = sorted(changes);
    keeping = keeping == null ? Keeping.USUAL : keeping;
    checkFloor(kind, keeping);
  }

  /** A group that nobody leaves or joins, kept as usual. */
  public AnimalGroup(
      String id,
      String name,
      String kind,
      int head,
      double weightKg,
      double gainKgPerDay,
      Double flatIntakeKgPerHeadDay,
      MonthDay birthStart,
      int birthSpreadDays,
      double youngPerDam,
      MonthDay weaning,
      MonthDay youngLeave,
      LocalDate fromInclusive,
      LocalDate toExclusive) {
    this(
        id,
        name,
        kind,
        head,
        weightKg,
        gainKgPerDay,
        flatIntakeKgPerHeadDay,
        birthStart,
        birthSpreadDays,
        youngPerDam,
        weaning,
        youngLeave,
        fromInclusive,
        toExclusive,
        null,
        null);
  }

  /** The same group with other comings and goings. */
  public AnimalGroup withChanges(List<HeadChange> changed) {
    return with(weaning, youngLeave, changed);
  }

  /** The same group, weaned on another day; its young leave no earlier than that. */
  public AnimalGroup withWeaning(MonthDay changed) {
    boolean sooner =
        youngLeave != null && daysAfter(birthStart, youngLeave) < daysAfter(birthStart, changed);
    return with(changed, sooner ? changed : youngLeave, changes);
  }

  /** The same group, giving birth so many days later, with all that follows from it. */
  public AnimalGroup withBirthsMoved(int days) {
    return with(
        dayAfter(birthStart, days),
        weaning == null ? null : dayAfter(weaning, days),
        youngLeave == null ? null : dayAfter(youngLeave, days),
        changes);
  }

  /** The same group at so many times its head, comings and goings too; at least one of each. */
  public AnimalGroup times(double share) {
    List<HeadChange> scaled =
        changes.stream().map(c -> c.withHead(scaled(c.head(), share))).toList();
    return new AnimalGroup(
        id,
        name,
        kind,
        scaled(head, share),
        weightKg,
        gainKgPerDay,
        flatIntakeKgPerHeadDay,
        birthStart,
        birthSpreadDays,
        youngPerDam,
        weaning,
        youngLeave,
        fromInclusive,
        toExclusive,
        scaled,
        keeping);
  }

  /** So many of them, of such a weight, kept so, at the start of a later plan. */
  public AnimalGroup later(int headThen, double weightThen, Keeping kept) {
    return new AnimalGroup(
        id,
        name,
        kind,
        headThen,
        weightThen,
        gainKgPerDay,
        flatIntakeKgPerHeadDay,
        birthStart,
        birthSpreadDays,
        youngPerDam,
        weaning,
        youngLeave,
        fromInclusive,
        toExclusive,
        changes,
        kept);
  }

  /** The same group, all of whose dates are so many years later. */
  public AnimalGroup yearsOn(int years) {
    return new AnimalGroup(
        id,
        name,
        kind,
        head,
        weightKg,
        gainKgPerDay,
        flatIntakeKgPerHeadDay,
        birthStart,
        birthSpreadDays,
        youngPerDam,
        weaning,
        youngLeave,
        fromInclusive == null ? null : fromInclusive.plusYears(years),
        toExclusive == null ? null : toExclusive.plusYears(years),
        changes.stream().map(c -> c.yearsOn(years)).toList(),
        keeping);
  }

  private static int scaled(int head, double share) {
    return head == 0 ? 0 : Math.max(1, (int) Math.round(head * share));
  }

  private AnimalGroup with(MonthDay weaned, MonthDay leave, List<HeadChange> changed) {
    return with(birthStart, weaned, leave, changed);
  }

  private AnimalGroup with(
      MonthDay birth, MonthDay weaned, MonthDay leave, List<HeadChange> changed) {
    return new AnimalGroup(
        id,
        name,
        kind,
        head,
        weightKg,
        gainKgPerDay,
        flatIntakeKgPerHeadDay,
        birth,
        birthSpreadDays,
        youngPerDam,
        weaned,
        leave,
        fromInclusive,
        toExclusive,
        changed,
        keeping);
  }

  private static List<HeadChange> sorted(List<HeadChange> changes) {
    if (changes == null) {
      return List.of();
    }
    Check.range("group.changes", changes.size(), 0, MOST_ENTRIES);
    return changes.stream().sorted(Comparator.comparing(HeadChange::date)).toList();
  }

  private static void checkFloor(String kind, Keeping keeping) {
    BodyCondition scale = BodyCondition.of(kind);
    Keeping.CONDITION_FLOOR.check(keeping.conditionFloor(), scale.lowest(), scale.highest());
    Keeping.CONDITION_AT_START.check(keeping.conditionAtStart(), scale.lowest(), scale.highest());
  }

  /** Young nursed longer than this were meant to be weaned before the birth, not after it. */
  private static final int LONGEST_NURSED_DAYS = 330;

  private static void checkYoung(
      MonthDay birthStart, int birthSpreadDays, MonthDay weaning, MonthDay youngLeave) {
    if (birthStart == null || weaning == null) {
      return;
    }
    int weaned = daysAfter(birthStart, weaning);
    if (weaned < birthSpreadDays || weaned > LONGEST_NURSED_DAYS) {
      throw new Refused(
          CoreReason.WEANED_BEFORE_BIRTH,
          "group.weaning",
          dayAfter(birthStart, birthSpreadDays),
          dayAfter(birthStart, LONGEST_NURSED_DAYS),
          LONGEST_NURSED_DAYS);
    }
    if (youngLeave != null && daysAfter(birthStart, youngLeave) < weaned) {
      throw new Refused(CoreReason.LEAVE_BEFORE_WEANING, "group.youngLeave");
    }
  }

  private static final int COMMON_YEAR = 2025;

  /** Days from one day of the year to the next other, 0 to 364. */
  private static int daysAfter(MonthDay from, MonthDay to) {
    return Math.floorMod(
        to.atYear(COMMON_YEAR).getDayOfYear() - from.atYear(COMMON_YEAR).getDayOfYear(), 365);
  }

  private static MonthDay dayAfter(MonthDay from, int days) {
    return MonthDay.from(from.atYear(COMMON_YEAR).plusDays(days));
  }
}
