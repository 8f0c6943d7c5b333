package wiselarder.core.edit;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiFunction;
import java.util.function.Function;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.plan.Anchor;
import wiselarder.core.plan.Anchor.Part;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.Marks;
import wiselarder.core.plan.OwnJob;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Sowing;
import wiselarder.core.plan.Thing;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;

/**
 * Makes dates and their anchors agree after a change. Where a mark moved, or the year, the date
 * follows; where a date was moved by hand it stays where it was put, and its anchor takes the new
 * distance.
 */
public final class Anchoring {
  private static final double DAYS_OF_YEAR = 365.25;

  private final FarmPlan before;
  private final FarmPlan after;
  private final Marks marks;

  /** Whole years by which the plan was moved. */
  private final int years;

  /** Whether things that are tied to nothing move by the years too. */
  private boolean takesAllAlong;

  /** New dates of each thing that moves, by {@link #name}. */
  private final Map<String, Map<Part, LocalDate>> moved = new HashMap<>();

  private Anchoring(FarmPlan before, FarmPlan after, Catalogue catalogue) {
    this.before = before;
    this.after = after;
    this.marks = new Marks(after, catalogue);
    LocalDate start = before.plan().year().start();
    long days = ChronoUnit.DAYS.between(start, after.plan().year().start());
    this.years = (int) Math.round(days / DAYS_OF_YEAR);
  }

  /** The outcome of edits, with every anchored date where its anchor says. */
  public static FarmPlan changed(FarmPlan before, List<PlanEdit> edits, Catalogue catalogue) {
    return settled(before, PlanEdit.all(before, edits), catalogue);
  }

  /**
   * A changed plan with every anchored date where its anchor says.
   *
   * @throws Refused where a date is newly tied to a mark that does not occur there, or where things
   *     that follow their marks stand in each other's way
   */
  public static FarmPlan settled(FarmPlan before, FarmPlan after, Catalogue catalogue) {
    if (after.plan().anchors().isEmpty()) {
      return after;
    }
    return new Anchoring(before, after, catalogue).settled();
  }

  /**
   * A plan so many years on: anchored dates stand by their marks of those years, all others on the
   * same day of the year. What stands and lies in store at the start is as it was.
   *
   * @throws Refused where such a year cannot be planned
   */
  static FarmPlan yearsOn(FarmPlan plan, int years, Catalogue catalogue) {
    PlanYear is = plan.plan().year();
    PlanYear then = new PlanYear(is.start().plusYears(years), is.months());
    Anchoring all = new Anchoring(plan, new PlanEdit.SetYear(then).apply(plan), catalogue);
    all.takesAllAlong = true;
    return all.settled();
  }

  private FarmPlan settled() {
    List<Anchor> kept = new ArrayList<>();
    for (Anchor anchor : after.plan().anchors()) {
      Anchor settled = settled(anchor);
      if (settled != null) {
        kept.add(settled);
      }
    }
    Plan plan = moved.isEmpty() && !takesAllAlong ? after.plan() : following(after.plan());
    return new FarmPlan(after.farm(), plan.withAnchors(kept));
  }

  /** The anchor as it is now, its date noted where it moves; null where its date is open now. */
  private Anchor settled(Anchor anchor) {
    boolean stood = before.plan().anchors().contains(anchor);
    LocalDate is = date(after.plan(), anchor);
    LocalDate was = date(before.plan(), anchor);
    if (is == null && stood) {
      return null;
    }
    boolean byHand = stood && years == 0 && was != null && !was.equals(is);
    LocalDate about = is == null ? after.plan().year().start().plusDays(182) : is.plusYears(years);
    LocalDate target = byHand ? about : about.minusDays(anchor.daysAfter());
    LocalDate mark = marks.nearest(anchor.mark(), anchor.ofId(), target).orElse(null);
    if (mark == null) {
      if (stood) {
        return anchor; // the date stays: nothing moves it here
      }
      throw new Refused(CoreReason.NO_SUCH_MARK, "anchor.mark", anchor.mark().name());
    }
    if (byHand) {
      return anchor.at((int) ChronoUnit.DAYS.between(mark, is));
    }
    LocalDate due = mark.plusDays(anchor.daysAfter());
    if (!due.equals(is)) {
      moved
          .computeIfAbsent(name(anchor.what(), anchor.itemId()), k -> new EnumMap<>(Part.class))
          .put(anchor.part(), due);
    }
    return anchor;
  }

  private static String name(Thing what, String id) {
    return what + "/" + id;
  }

  /** One kind of dated thing: its date of each part, and the same thing with other dates. */
  private record Dated<T>(
      Thing what,
      Function<Plan, List<T>> in,
      BiFunction<Plan, List<T>, Plan> with,
      Function<T, String> id,
      BiFunction<T, Part, LocalDate> date,
      BiFunction<T, Dates, T> at) {}

  /** New dates of a thing; its plain ones go along by years, or days. */
  private record Dates(Map<Part, LocalDate> moved, int alongYears, long alongDays) {
    LocalDate of(Part part, LocalDate is) {
      LocalDate there = moved.get(part);
      return there != null || is == null ? there : is.plusYears(alongYears).plusDays(alongDays);
    }
  }

  private static LocalDate one(Part part, LocalDate date) {
    return part == Part.FROM ? date : null;
  }

  private static LocalDate two(Part part, LocalDate from, LocalDate to) {
    return part == Part.TO ? to : one(part, from);
  }

  private static final List<Dated<?>> KINDS =
      List.of(
          new Dated<>(
              Thing.FEEDING,
              Plan::steps,
              Plan::withSteps,
              FeedStep::id,
              (s, p) -> two(p, s.fromInclusive(), s.toExclusive()),
              (s, d) ->
                  new FeedStep(
                      s.id(),
                      s.groupId(),
                      s.kind(),
                      s.sourceIds(),
                      d.of(Part.FROM, s.fromInclusive()),
                      d.of(Part.TO, s.toExclusive()),
                      s.portion(),
                      s.roundDays())),
          new Dated<>(
              Thing.CLOSING,
              Plan::closings,
              Plan::withClosings,
              Closing::id,
              (c, p) ->
                  p == Part.UNTIL
                      ? c.grazeUntilExclusive()
                      : two(p, c.fromInclusive(), c.toExclusive()),
              (c, d) ->
                  new Closing(
                      c.id(),
                      c.fieldId(),
                      d.of(Part.FROM, c.fromInclusive()),
                      d.of(Part.TO, c.toExclusive()),
                      c.grazedBy(),
                      d.of(Part.UNTIL, c.grazeUntilExclusive()))),
          new Dated<>(
              Thing.CUT,
              Plan::cuts,
              Plan::withCuts,
              HayCut::id,
              (c, p) -> one(p, c.date()),
              (c, d) ->
                  new HayCut(
                      c.id(),
                      c.fieldId(),
                      d.of(Part.FROM, c.date()),
                      c.harvestMethodId(),
                      c.lot())),
          new Dated<>(
              Thing.PURCHASE,
              Plan::purchases,
              Plan::withPurchases,
              Purchase::id,
              (b, p) -> one(p, b.date()),
              (b, d) -> new Purchase(b.id(), d.of(Part.FROM, b.date()), b.lot(), b.forGroups())),
          new Dated<>(
              Thing.SOWING,
              Plan::sowings,
              Plan::withSowings,
              Sowing::id,
              (s, p) -> two(p, s.sowOn(), s.endsOn()),
              (s, d) -> s.between(d.of(Part.FROM, s.sowOn()), d.of(Part.TO, s.endsOn()))),
          new Dated<>(
              Thing.DRESSING,
              Plan::dressings,
              Plan::withDressings,
              Dressing::id,
              (x, p) -> one(p, x.date()),
              (x, d) ->
                  new Dressing(
                      x.id(),
                      x.fieldId(),
                      d.of(Part.FROM, x.date()),
                      x.nitrogenKgPerHa(),
                      x.pricePerKg())),
          new Dated<>(
              Thing.IRRIGATION,
              Plan::irrigations,
              Plan::withIrrigations,
              Irrigation::id,
              (i, p) -> one(p, i.date()),
              (i, d) ->
                  new Irrigation(i.id(), i.fieldId(), d.of(Part.FROM, i.date()), i.waterMm())),
          new Dated<>(
              Thing.PASS,
              Plan::passes,
              Plan::withPasses,
              LightPass::id,
              (x, p) -> two(p, x.fromInclusive(), x.toExclusive()),
              (x, d) ->
                  new LightPass(
                      x.id(),
                      x.fieldId(),
                      x.groupId(),
                      d.of(Part.FROM, x.fromInclusive()),
                      d.of(Part.TO, x.toExclusive()),
                      x.whenKgPerHa(),
                      x.leaveKgPerHa())),
          new Dated<>(
              Thing.JOB,
              Plan::jobs,
              Plan::withJobs,
              OwnJob::id,
              (j, p) -> two(p, j.on(), j.by()),
              (j, d) -> j.between(d.of(Part.FROM, j.on()), d.of(Part.TO, j.by()))));

  private static LocalDate date(Plan plan, Anchor anchor) {
    return KINDS.stream()
        .filter(k -> k.what() == anchor.what())
        .map(k -> date(k, plan, anchor))
        .filter(Objects::nonNull)
        .findFirst()
        .orElse(null);
  }

  private static <T> LocalDate date(Dated<T> kind, Plan plan, Anchor anchor) {
    return kind.in().apply(plan).stream()
        .filter(t -> kind.id().apply(t).equals(anchor.itemId()))
        .map(t -> kind.date().apply(t, anchor.part()))
        .filter(Objects::nonNull)
        .findFirst()
        .orElse(null);
  }

  private Plan following(Plan plan) {
    Plan then = plan;
    for (Dated<?> kind : KINDS) {
      then = following(kind, then);
    }
    return then;
  }

  private <T> Plan following(Dated<T> kind, Plan plan) {
    List<T> list = kind.in().apply(plan);
    List<T> then = list.stream().map(t -> following(kind, t)).toList();
    return then.equals(list) ? plan : kind.with().apply(plan, then);
  }

  /**
   * The thing on its new dates. Its plain dates move by the plan's years; where one end would pass
   * the other, the other goes along.
   */
  private <T> T following(Dated<T> kind, T item) {
    Map<Part, LocalDate> to = moved.get(name(kind.what(), kind.id().apply(item)));
    if (to == null) {
      return takesAllAlong ? kind.at().apply(item, new Dates(Map.of(), years, 0)) : item;
    }
    try {
      return kind.at().apply(item, new Dates(to, years, 0));
    } catch (Refused crossed) {
      Part first = to.keySet().iterator().next();
      LocalDate was = kind.date().apply(item, first);
      if (was == null) {
        throw crossed;
      }
      long along = ChronoUnit.DAYS.between(was, to.get(first));
      return kind.at().apply(item, new Dates(to, 0, along));
    }
  }
}
