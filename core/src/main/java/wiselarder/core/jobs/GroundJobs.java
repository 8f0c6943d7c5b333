package wiselarder.core.jobs;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.Sowing;
import wiselarder.core.plan.Thing;
import wiselarder.core.store.Lot;

/** What is done on fields that stand already: shut, open, dress, water, graze for light, cut. */
final class GroundJobs {
  /** Grazed short over so many days before a field is shut. Assumption. */
  private static final int SHORT_DAYS = 14;

  private static final int WEEK = 7;

  /** A laboratory's answer and the shop's: so long before. Assumptions. */
  private static final int SOIL_TEST_DAYS = 60;

  private static final int SOIL_TEST_EARLY_DAYS = 120;
  private static final int ORDER_DAYS = 21;

  /** Cut between boot and full head: earlier there is little, later it is stem. Assumption. */
  private static final double READY_FROM = 0.45;

  private static final double READY_TO = 0.8;
  private static final int CUT_MOVES_DAYS = 14;
  private static final double NO_NITROGEN_ABOVE_CLOVER = 0.3;
  private static final int PERCENT = 100;

  private GroundJobs() {}

  static void add(JobList l) {
    l.stated.plan().closings().forEach(c -> closing(l, c));
    l.stated.plan().dressings().forEach(d -> dressing(l, d));
    l.stated.plan().irrigations().forEach(i -> irrigation(l, i));
    l.stated.plan().passes().forEach(p -> pass(l, p));
    l.stated.plan().cuts().forEach(c -> cut(l, c));
    soilTests(l);
  }

  private static void closing(JobList l, Closing c) {
    String field = l.fieldName(c.fieldId());
    String groups = l.groupNames(c.grazedBy());
    LocalDate from = c.fromInclusive();
    LocalDate open = c.toExclusive();
    l.job(Job.Kind.GRAZE_SHORT, c.id(), field, from.minusDays(WEEK))
        .field(c.fieldId())
        .between(from.minusDays(SHORT_DAYS), from)
        .wanted(from)
        .figure(Job.What.HEIGHT_CM, leaveCm(l, c.fieldId()))
        .add();
    l.job(Job.Kind.SHUT, c.id(), field, from)
        .with(groups)
        .field(c.fieldId())
        .within(WEEK, WEEK)
        .wanted(open)
        .dates(Thing.CLOSING, c.id())
        .add();
    LocalDate until = c.grazeUntilExclusive();
    l.job(Job.Kind.OPEN, c.id(), field, open)
        .with(groups)
        .field(c.fieldId())
        .between(open.minusDays(WEEK), until == null ? open.plusDays(30) : until.minusDays(1))
        .figure(Job.What.KG_DM_PER_HA, cover(l, c.fieldId(), open))
        .add();
    if (until != null) {
      l.job(Job.Kind.OFF, c.id(), field, until.minusDays(1))
          .with(groups)
          .field(c.fieldId())
          .within(WEEK, 0)
          .add();
    }
  }

  private static double leaveCm(JobList l, String fieldId) {
    Field field = l.stated.field(fieldId);
    return l.engine.catalogue().on(l.stated.farm()).forage(field.stand().forageId()).exitHeightCm();
  }

  private static double cover(JobList l, String fieldId, LocalDate on) {
    int day = l.year.day(on);
    return day < 0 || day >= l.year.days()
        ? Double.NaN
        : l.balance.coverKgPerHa(l.fieldAt(fieldId), day);
  }

  private static void dressing(JobList l, Dressing d) {
    Field field = l.stated.field(d.fieldId());
    double clover =
        l.engine.catalogue().on(l.stated.farm()).forage(field.stand().forageId()).legumeShare();
    double kg = d.nitrogenKgPerHa() * field.netAreaHa();
    l.job(Job.Kind.ORDER_NITROGEN, d.id(), field.name(), d.date().minusDays(ORDER_DAYS))
        .field(field.id())
        .between(d.date().minusDays(SOIL_TEST_DAYS), d.date().minusDays(WEEK))
        .wanted(d.date())
        .figure(Job.What.KG_N, kg)
        .add();
    l.job(Job.Kind.NITROGEN, d.id(), field.name(), d.date())
        .field(field.id())
        .within(WEEK, WEEK)
        .figure(Job.What.KG_N_PER_HA, d.nitrogenKgPerHa())
        .figure(Job.What.KG_N, kg)
        .figure(Job.What.KG_N_TAKEN_UP_PER_HA, takenUp(l, field))
        .figure(
            Job.What.CLOVER_PERCENT,
            clover >= NO_NITROGEN_ABOVE_CLOVER ? PERCENT * clover : Double.NaN)
        .takes(l.hours("spread_fertiliser", field.netAreaHa()))
        .dates(Thing.DRESSING, d.id())
        .add();
  }

  /** Grown over the plan's first year, a hectare, at the nitrogen of leafy forage. */
  private static double takenUp(JobList l, Field field) {
    int at = l.fieldAt(field.id());
    double kg = 0;
    for (int d = 0; d < Math.min(l.year.days(), 365); d++) {
      kg += l.balance.grownKg(at, d);
    }
    return NITROGEN_SHARE * kg / field.netAreaHa();
  }

  /** Nitrogen in the dry matter of grazed swards, 2 to 3%. Assumption. */
  private static final double NITROGEN_SHARE = 0.025;

  private static void irrigation(JobList l, Irrigation i) {
    Field field = l.stated.field(i.fieldId());
    l.job(Job.Kind.WATER, i.id(), field.name(), i.date())
        .field(field.id())
        .within(2, 2)
        .figure(Job.What.MM, i.waterMm())
        .takes(l.hours("irrigate_set", field.netAreaHa()))
        .dates(Thing.IRRIGATION, i.id())
        .add();
  }

  private static void pass(JobList l, LightPass p) {
    l.job(Job.Kind.LIGHT_PASS, p.id(), l.fieldName(p.fieldId()), p.fromInclusive())
        .with(l.groupNames(List.of(p.groupId())))
        .field(p.fieldId())
        .between(p.fromInclusive(), p.toExclusive().minusDays(1))
        .figure(Job.What.KG_DM_PER_HA, p.leaveKgPerHa())
        .dates(Thing.PASS, p.id())
        .add();
  }

  private static void cut(JobList l, HayCut c) {
    Field field = l.stated.field(c.fieldId());
    int at = l.fieldAt(c.fieldId());
    int day = l.year.day(c.date());
    int lot = lotAt(l, c.lot().id());
    double units = lot < 0 || day < 0 || day >= l.year.days() ? 0 : l.balance.lotUnits(lot, day);
    double hours =
        Stream.of("mow_condition", "ted", "rake")
                .mapToDouble(o -> l.hours(o, field.netAreaHa()))
                .sum()
            + l.hours("bale_round", units);
    l.job(Job.Kind.CUT, c.id(), field.name(), c.date())
        .with(c.lot().unitName())
        .field(field.id())
        .between(
            l.year.date(readyFrom(l.balance, at, day)), l.year.date(readyTo(l.balance, at, day)))
        .figure(Job.What.UNITS, units)
        .figure(Job.What.HA, field.netAreaHa())
        .takes(hours)
        .dates(Thing.CUT, c.id())
        .add();
  }

  static int lotAt(JobList l, String id) {
    List<Lot> lots = l.stated.allLots();
    for (int i = 0; i < lots.size(); i++) {
      if (lots.get(i).id().equals(id)) {
        return i;
      }
    }
    return -1;
  }

  private static int readyFrom(YearBalance b, int field, int day) {
    int from = day;
    while (from - 1 >= 0
        && from - 1 < b.days()
        && day - from < CUT_MOVES_DAYS
        && b.ripeness(field, from - 1) >= READY_FROM) {
      from--;
    }
    return from;
  }

  private static int readyTo(YearBalance b, int field, int day) {
    int to = day;
    // the day after the cut says nothing of a stand that was left: it ripens as it did before
    double now = ripenessBefore(b, field, day);
    double aDay = Math.max(0.005, (now - ripenessBefore(b, field, day - WEEK)) / WEEK);
    while (to - day < CUT_MOVES_DAYS && now + (to + 1 - day) * aDay <= READY_TO) {
      to++;
    }
    return to;
  }

  private static double ripenessBefore(YearBalance b, int field, int day) {
    return b.ripeness(field, Math.max(0, Math.min(b.days() - 1, day - 1)));
  }

  /** Once for each field that is sown or dressed, before the first time. */
  private static void soilTests(JobList l) {
    Set<String> done = new HashSet<>();
    record Use(String fieldId, LocalDate on) {}
    Stream.concat(
            l.stated.plan().sowings().stream()
                .filter(s -> !fallow(l, s) && !s.standsAtStart(l.year))
                .map(s -> new Use(s.fieldId(), s.sowOn())),
            l.stated.plan().dressings().stream().map(d -> new Use(d.fieldId(), d.date())))
        .sorted((a, b) -> a.on.compareTo(b.on))
        .filter(u -> done.add(u.fieldId))
        .forEach(
            u ->
                l.job(
                        Job.Kind.TEST_SOIL,
                        u.fieldId,
                        l.fieldName(u.fieldId),
                        u.on.minusDays(SOIL_TEST_DAYS))
                    .field(u.fieldId)
                    .between(u.on.minusDays(SOIL_TEST_EARLY_DAYS), u.on.minusDays(ORDER_DAYS))
                    .wanted(u.on)
                    .add());
  }

  static boolean fallow(JobList l, Sowing s) {
    return l.engine.catalogue().on(l.stated.farm()).forage(s.forageId()).fallow();
  }
}
