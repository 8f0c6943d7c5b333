package wiselarder.core.carry;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.cost.Bill;
import wiselarder.core.day.Shelf;
import wiselarder.core.day.SowingYear;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.CropRules;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Sowing;
import wiselarder.core.quantity.Stated;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;

/**
 * The farm over some years: a plan, and after it as many as are asked, each beginning as the one
 * before leaves it. What nobody wrote for a later year is done as in the plan.
 *
 * @param fields in the order of the farm's
 * @param stands perennials that are sown in these years, by day
 */
public record YearsAhead(List<AheadYear> years, List<AheadField> fields, List<AheadStand> stands) {
  /** Years that may be looked at together. */
  public static final Stated.Figure YEARS = Stated.whole("ahead.years", 2, 6);

  /** Less is nothing, kg DM. */
  private static final double NOTHING_KG = 0.5;

  /**
   * One year; kg DM.
   *
   * @param shortDays on which more than nothing is lacking, {@code firstShort} the first of them
   * @param storeKg in store on the last evening, {@code standingKg} on the fields
   * @param outOfUseHa ground that is being sown, as a mean of the year
   */
  public record AheadYear(
      LocalDate start,
      LocalDate endExclusive,
      double needKg,
      double growingKg,
      double standingEatenKg,
      double storedKg,
      double shortKg,
      int shortDays,
      LocalDate firstShort,
      double storeKg,
      double standingKg,
      double outOfUseHa) {}

  /** What stands on a field one after another, {@code coverKgPerHa} the mean of each month. */
  public record AheadField(
      String fieldId, List<AheadStretch> stretches, List<Double> coverKgPerHa) {}

  /** What a stretch of days is for a field. */
  public enum AheadKind {
    /** A stand that came to its own. */
    STAND,
    /** A perennial that was sown and is not ready for use. */
    YOUNG,
    /** A crop that comes and goes. */
    CROP,
    /** Ground being prepared, or seed in it. */
    GROUND
  }

  /** Days on which one thing is so. */
  public record AheadStretch(
      AheadKind kind, String forageId, LocalDate from, LocalDate toExclusive) {}

  /**
   * A perennial that is sown in these years.
   *
   * @param readyOn first use, or null where it is not ready within them
   * @param failed it did not come up, or a winter took its seedlings
   * @param skipped it was too dry to sow it
   * @param costPerHa seed, ground and drill, less what others pay, in the farm's currency
   * @param costPerHaYear spread over the years it was said to last
   * @param unpriced what of it no price is known for
   */
  public record AheadStand(
      String sowingId,
      String fieldId,
      String forageId,
      LocalDate sowOn,
      LocalDate readyOn,
      LocalDate fullOn,
      boolean failed,
      boolean skipped,
      double costPerHa,
      int spreadYears,
      double costPerHaYear,
      List<String> unpriced) {}

  /**
   * Looks ahead, in the season of an engine each year.
   *
   * @param years how many, the plan's own with them
   * @param sameAnimals as of {@link NextPlan#edits}
   */
  public static YearsAhead of(Engine engine, FarmPlan plan, int years, Set<String> sameAnimals) {
    YEARS.check(years);
    Walk walk = new Walk(engine, plan);
    FarmPlan at = plan;
    for (int y = 0; y < years; y++) {
      int on = Math.max(1, at.plan().year().months() / 12);
      LocalDate until = at.plan().year().start().plusYears(on);
      walk.year(engine.simulate(at), until);
      if (y < years - 1) {
        at = NextPlan.next(engine, at, on, sameAnimals);
      }
    }
    return walk.seen();
  }

  /** Gathers year by year. */
  private static final class Walk {
    private final Engine engine;
    private final List<AheadYear> years = new ArrayList<>();
    private final List<Course> courses = new ArrayList<>();
    private final TreeMap<String, AheadStand> stands = new TreeMap<>();

    Walk(Engine engine, FarmPlan plan) {
      this.engine = engine;
      plan.farm().fields().forEach(f -> courses.add(new Course(f.id())));
    }

    void year(YearBalance b, LocalDate until) {
      int days = Math.min(b.days(), b.year().day(until));
      double out = 0;
      for (int f = 0; f < courses.size(); f++) {
        out += courses.get(f).year(b, f, days);
      }
      years.add(summed(b, days, out / days));
      List<Sowing> sowings = b.stated().plan().sowings();
      for (int n = 0; n < sowings.size(); n++) {
        int day = b.year().day(sowings.get(n).sowOn());
        if (day >= 0 && day < days) {
          sown(b, n);
        } else if (day < 0) {
          readied(b, n);
        }
      }
    }

    private AheadYear summed(YearBalance b, int days, double outHa) {
      double need = 0;
      double lacking = 0;
      int shortDays = 0;
      LocalDate first = null;
      double[] eaten = new double[Shelf.values().length];
      for (int d = 0; d < days; d++) {
        need += b.needKg(d);
        double bare = b.bareKg(d);
        lacking += bare;
        for (Shelf shelf : Shelf.values()) {
          eaten[shelf.ordinal()] += b.eatenKg(shelf, d);
        }
        if (bare > NOTHING_KG) {
          shortDays++;
          first = first == null ? b.year().date(d) : first;
        }
      }
      double store = 0;
      for (int l = 0; l < b.lotNames().size(); l++) {
        store += b.lotKg(l, days - 1);
      }
      return new AheadYear(
          b.year().start(),
          b.year().date(days),
          need,
          eaten[Shelf.GROWING.ordinal()],
          eaten[Shelf.STANDING.ordinal()],
          eaten[Shelf.PUT_BY.ordinal()] + eaten[Shelf.BOUGHT_IN.ordinal()],
          lacking,
          shortDays,
          first,
          store,
          b.standingKg(days - 1),
          outHa);
    }

    private void sown(YearBalance b, int n) {
      Sowing s = b.stated().plan().sowings().get(n);
      var forage = engine.catalogue().on(b.stated().farm()).forage(s.forageId());
      if (!forage.sownToStay()) {
        return;
      }
      SowingYear is = b.sowing(n);
      Bill bill = Bill.ofSowing(b, engine.catalogue(), s);
      double ha = b.stated().field(s.fieldId()).netAreaHa();
      double perHa = ha <= 0 || is.skipped() ? 0 : bill.total() / ha;
      stands.put(
          key(s),
          new AheadStand(
              s.id(),
              s.fieldId(),
              s.forageId(),
              s.sowOn(),
              is.readyDay() < 0 ? null : b.year().date(is.readyDay()),
              s.sowOn().plusDays((long) CropRules.fullAfterDays(forage)),
              failed(s, is),
              is.skipped(),
              perHa,
              s.spreadYears(),
              perHa / s.spreadYears(),
              is.skipped() ? List.of() : bill.unpriced()));
    }

    /** A stand of an earlier year that becomes ready, or dies, in this one. */
    private void readied(YearBalance b, int n) {
      Sowing s = b.stated().plan().sowings().get(n);
      AheadStand was = stands.get(key(s));
      SowingYear is = b.sowing(n);
      if (was == null || was.readyOn != null) {
        return;
      }
      LocalDate ready = is.readyDay() < 0 ? null : b.year().date(is.readyDay());
      stands.put(
          key(s),
          new AheadStand(
              was.sowingId,
              was.fieldId,
              was.forageId,
              was.sowOn,
              ready,
              was.fullOn,
              was.failed || failed(s, is),
              was.skipped,
              was.costPerHa,
              was.spreadYears,
              was.costPerHaYear,
              was.unpriced));
    }

    private static boolean failed(Sowing s, SowingYear is) {
      boolean ended = is.endedDay() >= 0 && is.readyDay() < 0 && !is.skipped();
      return is.failed() || (ended && s.endsOn() == null);
    }

    private static String key(Sowing s) {
      return s.sowOn() + "/" + s.fieldId() + "/" + s.forageId();
    }

    YearsAhead seen() {
      return new YearsAhead(
          List.copyOf(years),
          courses.stream().map(Course::seen).toList(),
          List.copyOf(stands.values()));
    }
  }

  /** What stands on one field, year by year. */
  private static final class Course {
    private final String fieldId;
    private final List<AheadStretch> stretches = new ArrayList<>();
    private final List<Double> cover = new ArrayList<>();

    Course(String fieldId) {
      this.fieldId = fieldId;
    }

    /** Adds a year; hectare-days on which the field is being sown. */
    double year(YearBalance b, int f, int days) {
      FieldPlan p = b.resolved().fields[f];
      base(b, p, days);
      double out = 0;
      for (int i = 1; i < p.stands.length; i++) {
        out += sown(b, p.stands[i], days) * p.areaHa;
      }
      months(b, f, days);
      return out;
    }

    private void base(YearBalance b, FieldPlan p, int days) {
      int to = Math.min(days, p.base().leaves);
      for (int i = 1; i < p.stands.length; i++) {
        var c = p.stands[i].crop;
        boolean skipped = b.sowing(c.number).skipped();
        if (c.stated.preparation().endsTheOld() && !skipped) {
          to = Math.min(to, Math.max(0, c.prepareDay));
        }
      }
      add(b, AheadKind.STAND, p.base().forage.id(), p.base().arrives, to);
    }

    /** Days of the year on which the field is out of use for it. */
    private int sown(YearBalance b, StandPlan sp, int days) {
      var c = sp.crop;
      SowingYear is = b.sowing(c.number);
      if (is.skipped()) {
        return 0;
      }
      String forage = sp.forage.id();
      int ends = is.endedDay() < 0 ? days : Math.min(days, is.endedDay());
      int up = is.emergedDay() < 0 ? ends : Math.min(ends, is.emergedDay());
      int ready = is.readyDay() < 0 ? ends : Math.min(ends, is.readyDay());
      int from = Math.max(0, c.prepareDay);
      add(b, AheadKind.GROUND, forage, from, up);
      if (sp.passing()) {
        add(b, AheadKind.CROP, forage, up, ends);
      } else {
        add(b, AheadKind.YOUNG, forage, up, ready);
        add(b, AheadKind.STAND, forage, ready, ends);
      }
      return c.closes ? Math.max(0, ready - from) : 0;
    }

    private void add(YearBalance b, AheadKind kind, String forageId, int from, int to) {
      if (from >= to) {
        return;
      }
      LocalDate start = b.year().date(from);
      for (int i = 0; i < stretches.size(); i++) {
        AheadStretch s = stretches.get(i);
        if (s.kind == kind && s.forageId.equals(forageId) && s.toExclusive.equals(start)) {
          stretches.set(i, new AheadStretch(kind, forageId, s.from, b.year().date(to)));
          return;
        }
      }
      stretches.add(new AheadStretch(kind, forageId, start, b.year().date(to)));
    }

    private void months(YearBalance b, int f, int days) {
      double sum = 0;
      int count = 0;
      for (int d = 0; d < days; d++) {
        sum += b.coverKgPerHa(f, d);
        count++;
        boolean last = d + 1 == days;
        if (last || b.year().date(d).getMonth() != b.year().date(d + 1).getMonth()) {
          cover.add(sum / count);
          sum = 0;
          count = 0;
        }
      }
    }

    AheadField seen() {
      return new AheadField(fieldId, List.copyOf(stretches), List.copyOf(cover));
    }
  }
}
