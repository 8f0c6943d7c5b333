package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.cost.Bill;
import wiselarder.core.day.Shelf;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.Forage;
import wiselarder.core.gap.Gap;
import wiselarder.core.gap.GapFinder;
import wiselarder.core.gap.Missing;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Policies;
import wiselarder.core.plan.Policy;
import wiselarder.core.plan.Season;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.FeedWorth;
import wiselarder.core.store.StoredFeed;

/** A gap of a plan on which levers are tried. Nothing that is tried changes the plan. */
public final class Trial {
  /** Unmet need below this, kg DM, is rounding. */
  private static final double CLOSED_KG = 1e-6;

  /** Of energy, protein and the like so small a share of it is. */
  private static final double CLOSED_SHARE = 0.01;

  private final Engine engine;
  private final FarmPlan stated;
  private final YearBalance before;
  private final Gap gap;

  /** What is missing over the whole plan as it stands, and what of it within the gap. */
  private final double missingKg;

  private final double inGapKg;

  public Trial(Engine engine, FarmPlan stated, Gap gap) {
    this.engine = engine;
    this.stated = stated;
    this.before = engine.simulate(stated);
    this.gap = gap;
    Missing missing = missing(before);
    this.missingKg = missing.allKg();
    this.inGapKg = leftKg(missing);
  }

  /**
   * Everything that some levers offer and that is worth speaking of, each measured; of one lever
   * what brings most first.
   */
  public List<LeverOption> options(List<Lever> levers) {
    Comparator<LeverOption> most = Comparator.comparingDouble(LeverOption::bringsKg).reversed();
    return levers.parallelStream()
        .filter(l -> !isBarred(l.kind()))
        .flatMap(
            l ->
                once(withParts(l)).stream()
                    .map(c -> measure(l, c))
                    .filter(o -> worthIt(o.bringsKg()) && !tooDear(o))
                    .filter(o -> gap.kind().isBulk() || worthIt(o.inGapKg()))
                    .sorted(most))
        .toList();
  }

  /** What a lever offers, and of what takes ground the same on less of it. */
  private List<Lever.Candidate> withParts(Lever lever) {
    List<Lever.Candidate> whole = lever.candidates(this);
    if (!PartOfField.takesGround(lever.kind())) {
      return whole;
    }
    List<Lever.Candidate> all = new ArrayList<>(whole);
    whole.stream()
        .limit(PartOfField.TRIED_FIELDS)
        .flatMap(c -> PartOfField.of(this, c).stream())
        .forEach(all::add);
    return all;
  }

  /** Of those that come to the same the first. */
  private static List<Lever.Candidate> once(List<Lever.Candidate> candidates) {
    Set<List<PlanEdit>> seen = new HashSet<>();
    return candidates.stream().filter(c -> seen.add(c.edits())).toList();
  }

  /** Ways that do not serve such a gap, and those that a policy of the plan rules out. */
  private boolean isBarred(LeverOption.Kind kind) {
    if (!kind.serves(gap.kind())) {
      return true;
    }
    Set<Policy.Side> sides = Policies.sides(stated);
    return switch (kind) {
      case BUY_HAY -> sides.contains(Policy.Side.SELL_EARLY);
      case SELL -> sides.contains(Policy.Side.HAY_THROUGH);
      case NITROGEN -> sides.contains(Policy.Side.LEGUMES);
      case SMALL_BREAKS -> sides.contains(Policy.Side.LONG_BREAKS);
      default -> false;
    };
  }

  /** Whether a crop may be drilled into sod in the season that is looked at. */
  boolean maySeedSod() {
    return !isDry() || !Policies.sides(stated).contains(Policy.Side.SKIP_DRY_YEARS);
  }

  /** So many times the price of hay is more than feed is ever worth. Assumption. */
  private static final double TOO_DEAR = 2;

  /** What serves energy or protein serves bulk too: so many times the price of the usual feed. */
  private static final double TOO_DEAR_OF_NEED = 8;

  /** Where the usual feed itself would be far cheaper, a way is no advice. */
  private boolean tooDear(LeverOption o) {
    boolean yardstick = o.kind() == LeverOption.Kind.BUY_HAY;
    if (yardstick || o.cost() == null || o.cost() <= 0) {
      return false;
    }
    return switch (gap.kind()) {
      case STORE, GRAZING -> o.cost() / o.bringsKg() > TOO_DEAR * perKg(HAY, w -> 1);
      case ENERGY ->
          o.cost() / o.inGapKg() > TOO_DEAR_OF_NEED * perKg(GRAIN, w -> w.tdnPct() / 100);
      case PROTEIN ->
          o.cost() / o.inGapKg() > TOO_DEAR_OF_NEED * perKg(MEAL, w -> w.proteinPct() / 100);
      case CONDITION, WATER -> false;
    };
  }

  /** Hay, grain and meal to be had anywhere. */
  private static final String HAY = "hay_orchardgrass_early";

  private static final String GRAIN = "maize_grain";
  private static final String MEAL = "soybean_meal";

  /** Price of a kg of what counts in a feed; without end where none is known. */
  private double perKg(String feedId, ToDoubleFunction<FeedWorth> counts) {
    int month = year().date(gap.firstDay()).getMonthValue();
    StoredFeed feed =
        engine.catalogue().storedFeeds().stream()
            .filter(f -> f.id().equals(feedId))
            .findFirst()
            .orElseThrow();
    return engine
        .catalogue()
        .pricesOn(stated.farm())
        .of(feedId)
        .map(p -> p.in(month, isDry()) / 1000 / feed.dmShare() / counts.applyAsDouble(feed.worth()))
        .orElse(Double.POSITIVE_INFINITY);
  }

  /** What a candidate does to the year, against doing nothing. */
  public LeverOption measure(Lever lever, Lever.Candidate candidate) {
    YearBalance after = year(candidate.edits());
    Bill bill = Bill.of(before, after, engine.catalogue(), isDry());
    Missing left = missing(after);
    return new LeverOption(
        lever.kind(),
        candidate.edits(),
        missingKg - left.allKg(),
        inGapKg - leftKg(left),
        left.shortDays(gap),
        after.totalBareKg(),
        after.bareDays(GapFinder.SHORT_SHARE),
        storedBefore(after) - storedBefore(before),
        bill.unpriced().isEmpty() ? Double.valueOf(bill.total()) : null,
        candidate.decideBy());
  }

  /** A later day that still brings so much of what the best one does will do. */
  private static final double STILL = 0.9;

  /** The last day to decide is sought to so many days: each day less is a year more to reckon. */
  private static final int CLOSE_ENOUGH_DAYS = 3;

  /** Less than this share of the gap is no way out of it. */
  private static final double LEAST_SHARE = 0.01;

  /** What some edits take off the unmet need of the whole year, kg DM; NaN where it is refused. */
  double bringsIfAllowed(List<PlanEdit> edits) {
    try {
      return bringsKg(edits);
    } catch (Refused promised) {
      return Double.NaN;
    }
  }

  /** Whether so much is worth speaking of beside the gap, kg DM. */
  boolean worthIt(double kg) {
    return kg > LEAST_SHARE * gap.shortKg();
  }

  /**
   * The last day on which edits still bring nine tenths of what they bring on a day; it may be two
   * days early, never late.
   *
   * @param kg what they bring on it
   * @param tooLate a day on which they are taken to bring nothing
   */
  int latest(int day, int tooLate, double kg, IntFunction<List<PlanEdit>> on) {
    int still = day;
    int late = Math.max(tooLate, day + 1);
    while (late - still > CLOSE_ENOUGH_DAYS) {
      int middle = (still + late) / 2;
      if (bringsIfAllowed(on.apply(middle)) >= STILL * kg) {
        still = middle;
      } else {
        late = middle;
      }
    }
    return still;
  }

  /**
   * Something done on the day, of those tried, on which it brings most, to be decided by the last
   * that still brings nine tenths; empty where it is not worth speaking of.
   */
  Optional<Lever.Candidate> onBestDay(IntStream days, int tooLate, IntFunction<List<PlanEdit>> on) {
    int best = -1;
    double most = 0;
    for (int day : days.toArray()) {
      double kg = day < 0 ? 0 : bringsIfAllowed(on.apply(day));
      if (kg > most) {
        most = kg;
        best = day;
      }
    }
    if (!worthIt(most)) {
      return Optional.empty();
    }
    int last = latest(best, tooLate, most, on);
    return Optional.of(new Lever.Candidate(on.apply(best), year().date(last)));
  }

  /** What stands on a field. */
  Forage forage(Field field) {
    return engine.catalogue().on(stated.farm()).forage(field.stand().forageId());
  }

  /** The fewest of something that close the gap; all of it where even that does not. */
  int fewest(int all, IntFunction<List<PlanEdit>> of) {
    if (leftKg(of.apply(all)) > 0) {
      return all;
    }
    int enough = all;
    int less = 0;
    while (enough - less > 1) {
      int middle = (enough + less) / 2;
      if (leftKg(of.apply(middle)) == 0) {
        enough = middle;
      } else {
        less = middle;
      }
    }
    return enough;
  }

  /** Some days of a gap, with what is missing on them. */
  public static Gap part(YearBalance year, Gap gap, int firstDay, int lastDay) {
    Gap part = gap.over(firstDay, lastDay);
    return part.with(Missing.of(year, gap.kind()).within(part));
  }

  private Missing missing(YearBalance b) {
    return Missing.of(b, gap.kind());
  }

  /**
   * What some edits take off what is missing over the whole year, kg DM. Where dry matter does not
   * count a day of plenty helps no other: what they take off the gap itself, unless it is taken
   * from somebody or some day else.
   */
  double bringsKg(List<PlanEdit> edits) {
    Missing left = left(edits);
    double inYear = missingKg - left.allKg();
    return gap.kind().isBulk() ? inYear : Math.min(inYear, inGapKg - leftKg(left));
  }

  /** What stays missing within the gap with some edits made, kg; 0 where they close it. */
  double leftKg(List<PlanEdit> edits) {
    return leftKg(left(edits));
  }

  private Missing left(List<PlanEdit> edits) {
    return missing(engine, stated, gap.kind(), edits);
  }

  /** What is missing with some edits made; for bulk the farm as a whole will do. */
  static Missing missing(Engine engine, FarmPlan stated, Gap.Kind kind, List<PlanEdit> edits) {
    return Missing.of(
        kind.isBulk() ? engine.tryFarmOnly(stated, edits) : engine.tryOut(stated, edits), kind);
  }

  private double leftKg(Missing after) {
    double kg = after.within(gap);
    double closed = gap.kind().isBulk() ? CLOSED_KG : CLOSED_SHARE * gap.shortKg();
    return kg <= closed ? 0 : kg;
  }

  /** False where the plan refuses an edit, as where a field is promised at that very time. */
  boolean allows(PlanEdit edit) {
    try {
      edit.apply(stated);
      return true;
    } catch (Refused promised) {
      return false;
    }
  }

  /** The year with some edits made. */
  YearBalance year(List<PlanEdit> edits) {
    return engine.tryOut(stated, edits);
  }

  /** What some edits cost. */
  Bill bill(List<PlanEdit> edits) {
    return Bill.of(before, year(edits), engine.catalogue(), isDry());
  }

  /** Whether the district is short of feed too, so that what is bought is dearer. */
  private boolean isDry() {
    return engine.season().kind() == Season.Kind.DRY;
  }

  private double storedBefore(YearBalance b) {
    double kg = 0;
    for (int d = 0; d < gap.firstDay(); d++) {
      kg += b.eatenKg(Shelf.PUT_BY, d) + b.eatenKg(Shelf.BOUGHT_IN, d);
    }
    return kg;
  }

  /** The year as the plan stands. */
  YearBalance before() {
    return before;
  }

  PlanYear year() {
    return stated.plan().year();
  }

  Engine engine() {
    return engine;
  }

  FarmPlan stated() {
    return stated;
  }

  Gap gap() {
    return gap;
  }

  /** The groups that go short in the gap. */
  List<String> groups() {
    return gap.groups().stream().map(Gap.GroupShare::groupId).toList();
  }

  /** Those groups themselves. */
  List<AnimalGroup> hungry() {
    List<String> hungry = groups();
    return stated.farm().groups().stream().filter(g -> hungry.contains(g.id())).toList();
  }

  /** A group's order of feeds as the plan stands. */
  List<FeedStep> stepsOf(String groupId) {
    return stated.plan().steps().stream().filter(s -> s.groupId().equals(groupId)).toList();
  }

  /**
   * Lets those that go short graze a field first, from a day to the end of the gap, where their
   * order of feeds does not let them as the gap begins.
   */
  List<PlanEdit> opening(String fieldId, int from) {
    List<PlanEdit> edits = new ArrayList<>();
    for (String group : groups()) {
      if (stepsOf(group).stream().anyMatch(s -> opens(s, fieldId))) {
        continue;
      }
      List<FeedStep> steps = new ArrayList<>();
      steps.add(
          new FeedStep(
              freeStep(group + "-open-" + fieldId),
              group,
              FeedStep.Kind.GRAZE,
              List.of(fieldId),
              year().date(Math.min(from, gap.firstDay())),
              year().date(gap.lastDay() + 1)));
      steps.addAll(stepsOf(group));
      edits.add(new PlanEdit.SetFeeding(group, steps));
    }
    return edits;
  }

  /**
   * Lets those that go short eat a lot after all else, from a day on, where no step of theirs means
   * the whole store.
   */
  List<PlanEdit> feedingLast(String lotId, int from) {
    List<PlanEdit> edits = new ArrayList<>();
    for (String group : groups()) {
      List<FeedStep> steps = new ArrayList<>(stepsOf(group));
      if (steps.stream().anyMatch(this::opensStore)) {
        continue;
      }
      steps.add(
          new FeedStep(
              freeStep(group + "-" + lotId),
              group,
              FeedStep.Kind.STORE,
              List.of(lotId),
              year().date(from),
              null));
      edits.add(new PlanEdit.SetFeeding(group, steps));
    }
    return edits;
  }

  private boolean opensStore(FeedStep step) {
    return step.kind() == FeedStep.Kind.STORE
        && step.sourceIds().isEmpty()
        && (step.toExclusive() == null || year().day(step.toExclusive()) > gap.firstDay());
  }

  private boolean opens(FeedStep step, String fieldId) {
    LocalDate day = year().date(gap.firstDay());
    boolean then =
        (step.fromInclusive() == null || !day.isBefore(step.fromInclusive()))
            && (step.toExclusive() == null || day.isBefore(step.toExclusive()));
    return then
        && step.kind() == FeedStep.Kind.GRAZE
        && (step.sourceIds().isEmpty() || step.sourceIds().contains(fieldId));
  }

  /** An id for a step that no other has. */
  String freeStep(String wanted) {
    return freeId(wanted, stated.plan().steps().stream().map(FeedStep::id).toList());
  }

  /** An id that is not among those taken. */
  static String freeId(String wanted, List<String> taken) {
    String id = wanted;
    for (int n = 2; taken.contains(id); n++) {
      id = wanted + "-" + n;
    }
    return id;
  }
}
