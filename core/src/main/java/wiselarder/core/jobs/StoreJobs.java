package wiselarder.core.jobs;

import java.time.LocalDate;
import java.util.List;
import java.util.function.Predicate;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.plan.Anchor;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Thing;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Origin;

/** What is bought, counted, sampled and set out. */
final class StoreJobs {
  private static final int WEEK = 7;

  /** Hay is sampled once it has cured. Assumption. */
  private static final int CURED_DAYS = 28;

  /** The laboratory needs so long, so that a result is there before it is fed. */
  private static final int RESULT_DAYS = 14;

  /** What is bought for a day can be bought so long before, while others still have it. */
  private static final int BUY_EARLY_DAYS = 60;

  private static final double WORTH_COUNTING_KG = 500;
  private static final String BALE_GRAZING = "f_bale_graze";
  private static final String WRAPPED = "s_wrapped";

  private StoreJobs() {}

  static void add(JobList l) {
    List<Lot> lots = l.stated.allLots();
    for (int i = 0; i < lots.size(); i++) {
      sample(l, lots.get(i), i);
      if (lots.get(i).feedingMethodId().startsWith(BALE_GRAZING)) {
        setOut(l, lots.get(i), i);
      }
      reserve(l, lots.get(i));
    }
    l.stated.plan().purchases().forEach(p -> bought(l, p));
    l.stated.plan().cuts().forEach(c -> counted(l, c));
    countWhileFeeding(l);
  }

  private static void bought(JobList l, Purchase p) {
    int lot = GroundJobs.lotAt(l, p.lot().id());
    int fed = firstFed(l, lot);
    LocalDate by = fed < 0 ? p.date() : l.year.date(fed);
    l.job(Job.Kind.BUY, p.id(), p.lot().name(), p.date())
        .between(p.date().minusDays(BUY_EARLY_DAYS), by)
        .wanted(fed < 0 ? null : l.year.date(fed))
        .figure(Job.What.UNITS, p.lot().units())
        .figure(Job.What.KG_DM, p.lot().units() * p.lot().kgDmPerUnit())
        .dates(Thing.PURCHASE, p.id())
        .add();
  }

  /** First day on which a lot is eaten, -1 for none. */
  static int firstFed(JobList l, int lot) {
    for (int d = 0; lot >= 0 && d < l.year.days(); d++) {
      if (l.balance.lotEatenKg(lot, d) > 0) {
        return d;
      }
    }
    return -1;
  }

  private static int lastFed(JobList l, int lot) {
    for (int d = l.year.days() - 1; lot >= 0 && d >= 0; d--) {
      if (l.balance.lotEatenKg(lot, d) > 0) {
        return d;
      }
    }
    return -1;
  }

  /** A lot that nobody has tested, before it is fed. */
  private static void sample(JobList l, Lot lot, int at) {
    int fed = firstFed(l, at);
    int made = l.balance.resolved().lots[at].arrives;
    boolean tested = !l.balance.resolved().records.lot(lot).tests().isEmpty();
    if (tested || (fed < 0 && made <= 0)) {
      return;
    }
    LocalDate cured = l.year.date(Math.max(0, made)).plusDays(made <= 0 ? 0 : CURED_DAYS);
    LocalDate by = fed < 0 ? cured.plusDays(60) : l.year.date(fed).minusDays(RESULT_DAYS);
    LocalDate arrived = l.year.date(Math.max(0, made));
    LocalDate last = by.isBefore(arrived) ? arrived : by;
    LocalDate day = cured.isAfter(last) ? last : cured;
    l.job(Job.Kind.TAKE_SAMPLE, lot.id(), lot.name(), day)
        .between(made <= 0 ? day.minusDays(WEEK) : arrived, last)
        .wanted(fed < 0 ? null : l.year.date(fed))
        .takes(l.hours("sample_forage", 1))
        .add();
  }

  private static void counted(JobList l, HayCut c) {
    l.job(Job.Kind.COUNT_BALES, c.id(), c.lot().name(), c.date().plusDays(WEEK))
        .field(c.fieldId())
        .between(c.date().plusDays(1), c.date().plusDays(3 * WEEK))
        .add();
  }

  /** On the first of each month in which stored feed is eaten. */
  private static void countWhileFeeding(JobList l) {
    for (PlanYear.MonthSpan m : l.year.monthSpans()) {
      double eaten = 0;
      double left = 0;
      for (int lot = 0; lot < l.stated.allLots().size(); lot++) {
        for (int d = m.startInclusive(); d < m.endExclusive(); d++) {
          eaten += l.balance.lotEatenKg(lot, d);
        }
        left += l.balance.lotKg(lot, Math.max(0, m.startInclusive() - 1));
      }
      if (eaten > WORTH_COUNTING_KG && left > WORTH_COUNTING_KG) {
        LocalDate day = l.year.date(m.startInclusive());
        l.job(Job.Kind.COUNT_BALES, m.month().toString(), "", day)
            .within(2, WEEK)
            .figure(Job.What.KG_DM, left)
            .add();
      }
    }
  }

  private static void reserve(JobList l, Lot lot) {
    if (lot.reserve() == null) {
      return;
    }
    for (int day : l.year.occurrences(lot.reserve().fromInclusive(), 0)) {
      if (day >= 0 && day < l.year.days()) {
        LocalDate on = l.year.date(day);
        l.job(Job.Kind.OPEN_RESERVE, lot.id() + "-" + on.getYear(), lot.name(), on)
            .figure(Job.What.UNITS, lot.reserve().units())
            .within(0, 2 * WEEK)
            .add();
      }
    }
  }

  /** Bales that are grazed where they lie: set out before the ground is wet, bare before frost. */
  private static void setOut(JobList l, Lot lot, int at) {
    int fed = firstFed(l, at);
    int last = lastFed(l, at);
    if (fed < 0) {
      return;
    }
    LocalDate wanted = l.year.date(fed);
    LocalDate frost = l.next(Anchor.Mark.FIRST_FROST_10, null, l.year.start());
    boolean before = frost != null && frost.isBefore(wanted);
    LocalDate out = wanted.minusDays(3 * WEEK);
    double units = lot.units() > 0 ? lot.units() : l.balance.lotUnits(at, Math.max(0, fed - 1));
    double hauled = units - units(l, lot.id(), BaleField::asMade);
    if (hauled > 0) {
      l.job(Job.Kind.SET_OUT, lot.id(), lot.name(), out)
          .between(out.minusDays(4 * WEEK), wanted.minusDays(2))
          .wanted(wanted)
          .figure(Job.What.UNITS, hauled)
          .takes(l.hours("bale_graze_set_out", hauled))
          .add();
    }
    // what keeps by its film is opened on the day, or it spoils
    boolean film =
        lot.origin().wrap() == Origin.Wrap.FILM || lot.storageMethodId().startsWith(WRAPPED);
    double bare = units - units(l, lot.id(), BaleField::stringsOnDay);
    if (lot.origin().wrap() != Origin.Wrap.NONE && !film && bare > 0) {
      LocalDate strings = before ? frost.minusDays(WEEK) : wanted.minusDays(2);
      l.job(Job.Kind.STRINGS_OFF, lot.id(), lot.name(), strings)
          .between(strings.minusDays(3 * WEEK), before ? frost : wanted)
          .wanted(before ? frost : wanted)
          .figure(Job.What.UNITS, bare)
          .takes(l.hours("clear_site", bare))
          .add();
    }
    LocalDate over = l.year.date(last);
    l.job(Job.Kind.MARK_PADS, lot.id(), lot.name(), over.plusDays(WEEK))
        .between(over, over.plusDays(6 * WEEK))
        .add();
    LocalDate thawed = l.next(Anchor.Mark.LAST_FROST_50, null, over);
    LocalDate spread = thawed == null ? over.plusDays(4 * WEEK) : thawed;
    l.job(Job.Kind.SPREAD_PADS, lot.id(), lot.name(), spread)
        .between(over.plusDays(WEEK), spread.plusDays(4 * WEEK))
        .add();
  }

  /** Bales of a lot that are set out on fields in some way. */
  private static int units(JobList l, String lotId, Predicate<BaleField> so) {
    int units = 0;
    for (BaleField b : l.stated.plan().bales()) {
      int others = b.others(b.bales());
      if (so.test(b)) {
        units += b.lotId().equals(lotId) ? b.bales() - others : 0;
        units += b.mixed() != null && b.mixed().lotId().equals(lotId) ? others : 0;
      }
    }
    return units;
  }
}
