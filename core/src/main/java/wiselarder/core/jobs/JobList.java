package wiselarder.core.jobs;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.Anchor;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Marks;
import wiselarder.core.plan.Thing;

/** Jobs as they are gathered, and what all makers of them look at. */
final class JobList {
  final Engine engine;
  final YearBalance balance;
  final FarmPlan stated;
  final PlanYear year;
  final Marks marks;
  private final List<Job> jobs = new ArrayList<>();

  JobList(Engine engine, YearBalance balance) {
    this.engine = engine;
    this.balance = balance;
    this.stated = balance.stated();
    this.year = balance.year();
    this.marks = new Marks(stated, engine.catalogue());
  }

  List<Job> jobs() {
    return jobs;
  }

  String fieldName(String id) {
    return stated.field(id).name();
  }

  int fieldAt(String id) {
    for (int f = 0; f < stated.farm().fields().size(); f++) {
      if (stated.farm().fields().get(f).id().equals(id)) {
        return f;
      }
    }
    return -1;
  }

  String groupNames(List<String> ids) {
    return stated.farm().groups().stream()
        .filter(g -> ids.contains(g.id()))
        .map(g -> g.name())
        .reduce((a, b) -> a + ", " + b)
        .orElse("");
  }

  String forageName(String id) {
    return engine.catalogue().on(stated.farm()).forage(id).name();
  }

  /** The date of a day of the year that lies nearest to another. */
  LocalDate near(LocalDate about, int dayOfYear) {
    LocalDate best = null;
    for (int y = about.getYear() - 1; y <= about.getYear() + 1; y++) {
      LocalDate d = LocalDate.ofYearDay(y, Math.min(dayOfYear, 365));
      if (best == null || apart(d, about) < apart(best, about)) {
        best = d;
      }
    }
    return best;
  }

  private static long apart(LocalDate a, LocalDate b) {
    return Math.abs(ChronoUnit.DAYS.between(a, b));
  }

  /** The first date of a mark on a day or later; null for none within the plan. */
  LocalDate next(Anchor.Mark mark, String ofId, LocalDate from) {
    return marks.of(mark, ofId).stream()
        .filter(d -> !d.isBefore(from) && d.isBefore(year.endExclusive()))
        .findFirst()
        .orElse(null);
  }

  /** A job on a planned day, to be filled in. */
  New job(Job.Kind kind, String id, String of, LocalDate day) {
    return new New(kind, id, of, day);
  }

  /** Hours of one person for so much of an operation. */
  double hours(String operation, double amount) {
    return engine.catalogue().pricesOn(stated.farm()).table().operation(operation).hours(amount);
  }

  /** A job that is being made. */
  final class New {
    private final Job.Kind kind;
    private final String id;
    private final String of;
    private final LocalDate day;
    private String with = "";
    private String fieldId;
    private LocalDate earliest;
    private LocalDate latest;
    private LocalDate wanted;
    private double hours;
    private final List<Job.Figure> figures = new ArrayList<>();
    private Thing thing;
    private String itemId;

    private New(Job.Kind kind, String id, String of, LocalDate day) {
      this.kind = kind;
      this.id = id;
      this.of = of;
      this.day = day;
      earliest = day;
      latest = day;
    }

    New with(String more) {
      with = more;
      return this;
    }

    New field(String one) {
      fieldId = one;
      return this;
    }

    /** From so many days before it to so many after. */
    New within(int before, int after) {
      return between(day.minusDays(before), day.plusDays(after));
    }

    New between(LocalDate from, LocalDate to) {
      earliest = from.isAfter(day) ? day : from;
      latest = to.isBefore(day) ? day : to;
      return this;
    }

    New wanted(LocalDate from) {
      wanted = from;
      return this;
    }

    New takes(double personHours) {
      hours = Double.isNaN(personHours) ? 0 : personHours;
      return this;
    }

    New figure(Job.What what, double value) {
      if (!Double.isNaN(value)) {
        figures.add(new Job.Figure(what, value));
      }
      return this;
    }

    New dates(Thing what, String ofItem) {
      thing = what;
      itemId = ofItem;
      return this;
    }

    /** Adds it, where any of it falls into the plan or just before. */
    void add() {
      boolean over = latest.isBefore(year.start().minusDays(BEFORE_DAYS));
      if (over || !earliest.isBefore(year.endExclusive())) {
        return;
      }
      String key = kind + "/" + id + "/" + year.start().getYear();
      jobs.add(
          new Job(
              key, kind, of, with, fieldId, earliest, day, latest, wanted, hours, figures, thing,
              itemId));
    }
  }

  /** What is to be done for a plan begins so long before it: seed is ordered, soil is tested. */
  private static final int BEFORE_DAYS = 120;
}
