package wiselarder.core.jobs;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.plan.Sowing;
import wiselarder.core.plan.Thing;

/** Births, weaning, condition, and who comes and goes. */
final class HerdJobs {
  private static final int WEEK = 7;

  /** Condition can still be put on so long before the first birth; later it cannot. */
  private static final int CONDITION_DAYS = 75;

  private static final int CONDITION_LATE_DAYS = 60;

  /** Off a crop so long before the first birth: it can come early. */
  private static final int OFF_CROP_DAYS = 21;

  private static final int OFF_CROP_LATE_DAYS = 10;
  private static final double HOURS_A_CHECK = 0.25;

  private HerdJobs() {}

  static void add(JobList l) {
    List<AnimalGroup> groups = l.stated.farm().groups();
    for (int g = 0; g < groups.size(); g++) {
      births(l, groups.get(g), g);
      weanings(l, groups.get(g), l.balance.resolved().groupYear(g));
      for (int i = 0; i < groups.get(g).changes().size(); i++) {
        change(l, groups.get(g), groups.get(g).changes().get(i), i);
      }
    }
  }

  private static void births(JobList l, AnimalGroup group, int g) {
    for (int[] window : l.balance.resolved().groupYear(g).births()) {
      if (window[0] < 0 || window[0] >= l.year.days()) {
        continue;
      }
      LocalDate first = l.year.date(window[0]);
      String id = group.id() + "-" + first.getYear();
      l.job(Job.Kind.CONDITION, id, group.name(), first.minusDays(CONDITION_DAYS))
          .within(WEEK, CONDITION_DAYS - CONDITION_LATE_DAYS)
          .wanted(first)
          .takes(HOURS_A_CHECK)
          .add();
      l.job(Job.Kind.FIRST_BIRTH, id, group.name(), first.minusDays(WEEK))
          .between(first.minusDays(2 * WEEK), first.minusDays(1))
          .wanted(first)
          .figure(Job.What.HEAD, group.head())
          .add();
      int crop = onCrop(l, g, window[0]);
      if (crop >= 0) {
        Sowing s = l.stated.plan().sowings().get(crop);
        l.job(Job.Kind.OFF_CROP, id, group.name(), first.minusDays(OFF_CROP_DAYS))
            .with(l.forageName(s.forageId()) + ", " + l.fieldName(s.fieldId()))
            .field(s.fieldId())
            .between(first.minusDays(OFF_CROP_DAYS + WEEK), first.minusDays(OFF_CROP_LATE_DAYS))
            .wanted(first)
            .add();
      }
    }
  }

  /** A sowing that the group grazes within three weeks of the first birth, -1 for none. */
  private static int onCrop(JobList l, int g, int birth) {
    List<Sowing> sowings = l.stated.plan().sowings();
    int to = Math.min(l.year.days() - 1, birth + WEEK);
    for (int d = Math.max(0, birth - OFF_CROP_DAYS); d <= to; d++) {
      int field = l.balance.onField(g, d);
      for (int s = 0; s < sowings.size(); s++) {
        boolean there =
            field >= 0
                && l.stated.farm().fields().get(field).id().equals(sowings.get(s).fieldId())
                && l.balance.sownCoverKgPerHa(s, d) > 0;
        if (there) {
          return s;
        }
      }
    }
    return -1;
  }

  private static void weanings(JobList l, AnimalGroup group, GroupYear year) {
    for (int day : year.weanings()) {
      if (day < 0 || day >= l.year.days()) {
        continue;
      }
      LocalDate on = l.year.date(day);
      int before = Math.max(0, day - 1);
      if (year.youngHead(before) < 1) {
        continue;
      }
      l.job(Job.Kind.WEAN, group.id() + "-" + on.getYear(), group.name(), on)
          .within(2 * WEEK, WEEK)
          .figure(Job.What.HEAD, year.youngHead(before))
          .takes(l.hours("wean", year.youngHead(before)))
          .add();
      l.job(Job.Kind.CONDITION, group.id() + "-weaned-" + on.getYear(), group.name(), on)
          .within(WEEK, 2 * WEEK)
          .wanted(on)
          .takes(HOURS_A_CHECK)
          .add();
    }
  }

  private static void change(JobList l, AnimalGroup group, HeadChange c, int number) {
    Job.Kind kind =
        switch (c.kind()) {
          case SOLD, CULLED -> Job.Kind.SELL;
          case BOUGHT, TAKEN_IN -> Job.Kind.BUY_STOCK;
          case AWAY -> Job.Kind.SEND_AWAY;
          case MOVED -> Job.Kind.MOVE_GROUP;
          case DIED -> null;
        };
    if (kind == null) {
      return;
    }
    String id = group.id() + "-" + number;
    l.job(kind, id, group.name(), c.date())
        .with(c.toGroupId() == null ? "" : l.groupNames(List.of(c.toGroupId())))
        .within(2 * WEEK, 0)
        .figure(Job.What.HEAD, c.head())
        .takes(l.hours("yard_work", c.head()))
        .dates(Thing.GROUP, group.id())
        .add();
    if (c.untilExclusive() != null) {
      l.job(Job.Kind.FETCH_BACK, id, group.name(), c.untilExclusive())
          .within(3, WEEK)
          .figure(Job.What.HEAD, c.head())
          .add();
    }
  }
}
