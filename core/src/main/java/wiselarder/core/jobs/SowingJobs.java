package wiselarder.core.jobs;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import wiselarder.core.cost.SeedUse;
import wiselarder.core.day.SowingYear;
import wiselarder.core.forage.Forage;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Anchor;
import wiselarder.core.plan.Sowing;
import wiselarder.core.plan.Thing;
import wiselarder.core.resolved.ResolvedPlan.CropPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;

/** From the order of seed to the end of a crop. */
final class SowingJobs {
  /** Seed is there within so many days; some kinds are sold out before that. Assumptions. */
  private static final int ORDER_DAYS = 30;

  private static final int ORDER_EARLY_DAYS = 75;
  private static final int ORDER_LATE_DAYS = 7;

  private static final int WEEK = 7;

  /** A crop over a perennial must be off it so long before that greens up. Assumption. */
  private static final int BEFORE_GREEN_UP_DAYS = 7;

  /** Ground that lies bare so long loses nitrogen and soil. Assumption. */
  private static final int BARE_DAYS = 30;

  private static final int CATCH_DAYS = 10;

  private SowingJobs() {}

  static void add(JobList l) {
    List<Sowing> sowings = l.stated.plan().sowings();
    for (int i = 0; i < sowings.size(); i++) {
      Sowing s = sowings.get(i);
      if (s.standsAtStart(l.year)) {
        String crop = l.forageName(s.forageId());
        Forage forage = l.engine.catalogue().on(l.stated.farm()).forage(s.forageId());
        use(l, s, l.balance.sowing(i), forage, crop);
      } else if (!s.sowOn().isBefore(l.year.endExclusive())) {
        orderSeed(l, s);
      } else if (GroundJobs.fallow(l, s)) {
        fallow(l, s);
      } else {
        sown(l, s, i);
      }
    }
  }

  private static void fallow(JobList l, Sowing s) {
    l.job(Job.Kind.FALLOW, s.id(), l.fieldName(s.fieldId()), s.preparedFrom())
        .field(s.fieldId())
        .within(WEEK, 2 * WEEK)
        .wanted(s.endsOn())
        .dates(Thing.SOWING, s.id())
        .add();
  }

  /** Seed of what is sown, also of what is sown soon after the plan's end. */
  private static void orderSeed(JobList l, Sowing s) {
    Field field = l.stated.field(s.fieldId());
    double buyKg = SeedUse.boughtKg(l.stated, l.engine.catalogue(), s);
    boolean inPlan = s.sowOn().minusDays(ORDER_DAYS).isBefore(l.year.endExclusive());
    if (!(buyKg <= 0) && inPlan) {
      l.job(Job.Kind.ORDER_SEED, s.id(), field.name(), s.sowOn().minusDays(ORDER_DAYS))
          .with(l.forageName(s.forageId()))
          .field(field.id())
          .between(s.sowOn().minusDays(ORDER_EARLY_DAYS), s.sowOn().minusDays(ORDER_LATE_DAYS))
          .wanted(s.sowOn())
          .figure(Job.What.SEED_KG, buyKg)
          .add();
    }
  }

  private static void sown(JobList l, Sowing s, int number) {
    Field field = l.stated.field(s.fieldId());
    String crop = l.forageName(s.forageId());
    Forage forage = l.engine.catalogue().on(l.stated.farm()).forage(s.forageId());
    double ha = field.netAreaHa();
    orderSeed(l, s);
    prepare(l, s, field, crop);
    Optional<CropPlan> plan = cropPlan(l, s);
    JobList.New sow =
        l.job(Job.Kind.SOW, s.id(), field.name(), s.sowOn())
            .with(crop)
            .field(field.id())
            .within(WEEK, WEEK)
            .figure(Job.What.HA, ha)
            .figure(Job.What.KG_DM_PER_HA, l.balance.sowing(number).grownKgPerHa())
            .takes(l.hours(bed(s) ? "drill" : "drill_no_till", ha))
            .dates(Thing.SOWING, s.id());
    plan.map(c -> c.window)
        .ifPresent(
            w -> sow.between(l.near(s.sowOn(), w.earliest()), l.near(s.sowOn(), w.latest())));
    sow.add();
    use(l, s, l.balance.sowing(number), forage, crop);
  }

  private static boolean bed(Sowing s) {
    return s.preparation() == Sowing.Preparation.FULL_SEEDBED
        || s.preparation() == Sowing.Preparation.LIGHT_DISKING;
  }

  private static Optional<CropPlan> cropPlan(JobList l, Sowing s) {
    for (FieldPlan f : l.balance.resolved().fields) {
      for (StandPlan p : f.stands) {
        if (p.crop != null && p.crop.stated.id().equals(s.id())) {
          return Optional.of(p.crop);
        }
      }
    }
    return Optional.empty();
  }

  private static void prepare(JobList l, Sowing s, Field field, String crop) {
    Job.Kind kind =
        switch (s.preparation()) {
          case GRAZE_DOWN -> Job.Kind.GRAZE_SHORT;
          case LIGHT_DISKING -> Job.Kind.DISK;
          case BURN_DOWN, SPRAYED_OUT -> Job.Kind.SPRAY;
          case BURNT_OFF -> Job.Kind.BURN;
          case FULL_SEEDBED -> Job.Kind.SEEDBED;
        };
    double ha = field.netAreaHa();
    double hours =
        switch (s.preparation()) {
          case GRAZE_DOWN -> 0;
          case LIGHT_DISKING -> l.hours("disk_light", ha);
          case BURN_DOWN -> l.hours("spray_pass", ha);
          case SPRAYED_OUT -> 2 * l.hours("spray_pass", ha);
          case BURNT_OFF -> 0;
          case FULL_SEEDBED -> l.hours("plough", ha) + l.hours("cultivate", ha);
        };
    boolean grazed = s.preparation() == Sowing.Preparation.GRAZE_DOWN;
    LocalDate day = grazed ? s.sowOn().minusDays(WEEK) : s.preparedFrom();
    l.job(kind, s.id(), field.name(), day)
        .with(crop)
        .field(field.id())
        .between(day.minusDays(WEEK), grazed ? s.sowOn() : day.plusDays(WEEK / 2))
        .wanted(s.sowOn())
        .takes(hours)
        .add();
  }

  /** When it is first and last eaten, and ended. */
  private static void use(JobList l, Sowing s, SowingYear y, Forage forage, String crop) {
    String field = l.fieldName(s.fieldId());
    boolean inUse = s.standsAtStart(l.year) && s.standing().ready();
    if (y.readyDay() >= 0 && !inUse) {
      l.job(Job.Kind.FIRST_USE, s.id(), field, l.year.date(y.readyDay()))
          .with(crop)
          .field(s.fieldId())
          .within(WEEK, 2 * WEEK)
          .figure(Job.What.HEIGHT_CM, forage.entryHeightCm())
          .add();
    }
    LocalDate ends = ends(l, s, y);
    LocalDate greenUp = forage.sownToStay() ? null : shadedFrom(l, s, ends);
    LocalDate gone = greenUp == null ? ends : greenUp.minusDays(BEFORE_GREEN_UP_DAYS);
    LocalDate headed = y.headedDay() < 0 ? null : l.year.date(y.headedDay());
    LocalDate last = gone == null || (headed != null && headed.isBefore(gone)) ? headed : gone;
    if (last != null) {
      l.job(Job.Kind.LAST_USE, s.id(), field, last.minusDays(1))
          .with(crop)
          .field(s.fieldId())
          .within(WEEK, 0)
          .add();
    }
    if (gone != null && (s.endsOn() != null || greenUp != null)) {
      l.job(Job.Kind.TERMINATE, s.id(), field, gone)
          .with(crop)
          .field(s.fieldId())
          .within(2 * WEEK, 0)
          .wanted(greenUp)
          .add();
    }
    boolean bed = s.preparation().endsTheOld();
    if (bed && ends != null && leftBare(l, s, ends)) {
      l.job(Job.Kind.CATCH_CROP, s.id(), field, ends.plusDays(2))
          .with(crop)
          .field(s.fieldId())
          .between(ends, ends.plusDays(CATCH_DAYS))
          .add();
    }
  }

  /** The day on which the sod below greens up while the crop still stands over it, or null. */
  private static LocalDate shadedFrom(JobList l, Sowing s, LocalDate ends) {
    if (s.preparation().endsTheOld()) {
      return null;
    }
    LocalDate greenUp = l.next(Anchor.Mark.GREEN_UP, s.fieldId(), s.sowOn());
    return greenUp == null || (ends != null && !ends.isAfter(greenUp)) ? null : greenUp;
  }

  private static LocalDate ends(JobList l, Sowing s, SowingYear y) {
    if (s.endsOn() != null) {
      return s.endsOn();
    }
    return y.endedDay() >= 0 && !y.failed() ? l.year.date(y.endedDay()) : null;
  }

  private static boolean leftBare(JobList l, Sowing s, LocalDate from) {
    LocalDate to = from.plusDays(BARE_DAYS);
    return to.isBefore(l.year.endExclusive())
        && l.stated.plan().sowings().stream()
            .noneMatch(
                o ->
                    o.fieldId().equals(s.fieldId())
                        && o.sowOn().isAfter(s.sowOn())
                        && !o.sowOn().isAfter(to));
  }
}
