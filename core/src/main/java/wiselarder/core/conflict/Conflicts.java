package wiselarder.core.conflict;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.conflict.Conflict.Code;
import wiselarder.core.day.Shelf;
import wiselarder.core.day.SowingYear;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Portion;
import wiselarder.core.plan.Sowing;
import wiselarder.core.plan.Thing;

/** Reads off a simulated year what of its plan stands in its own way. */
public final class Conflicts {
  /** So much less than a day's need is nothing, kg DM. */
  private static final double NOTHING_KG = 1;

  /** Less than this beneath the residual is rounding, kg DM/ha. */
  private static final double HARDLY_KG_PER_HA = 25;

  /** What opens so shortly before the plan ends may be eaten after it. */
  private static final int SOON_DAYS = 21;

  private final YearBalance year;
  private final Plan plan;
  private final PlanYear days;
  private final List<Field> fields;
  private final Map<String, Integer> fieldIndex = new HashMap<>();
  private final List<Conflict> found = new ArrayList<>();

  private Conflicts(YearBalance year) {
    this.year = year;
    this.plan = year.stated().plan();
    this.days = year.year();
    this.fields = year.stated().farm().fields();
    for (int f = 0; f < fields.size(); f++) {
      fieldIndex.put(fields.get(f).id(), f);
    }
  }

  /** Every conflict, in the order in which the plan lists things. */
  public static List<Conflict> of(YearBalance year) {
    Conflicts conflicts = new Conflicts(year);
    conflicts.plan.closings().forEach(conflicts::closing);
    for (int i = 0; i < conflicts.plan.cuts().size(); i++) {
      conflicts.cut(conflicts.plan.cuts().get(i), i);
    }
    for (int i = 0; i < conflicts.plan.sowings().size(); i++) {
      conflicts.sowing(conflicts.plan.sowings().get(i), year.sowing(i));
      conflicts.sownOver(i);
    }
    conflicts.plan.passes().forEach(conflicts::pass);
    conflicts.plan.steps().forEach(conflicts::step);
    return List.copyOf(conflicts.found);
  }

  private void note(
      Code code,
      Thing what,
      String itemId,
      List<String> subjects,
      int from,
      int to,
      double value,
      double other) {
    found.add(new Conflict(code, what, itemId, subjects, from, to, value, other));
  }

  private void closing(Closing c) {
    int f = fieldIndex.get(c.fieldId());
    int from = days.clippedStart(c.fromInclusive());
    int to = days.clippedEnd(c.toExclusive());
    if (from >= to) {
      return;
    }
    List<String> field = List.of(c.fieldId());
    if (to < year.days()) {
      if (year.resolved().holds.field(f, to)) {
        int held = to;
        while (held < year.days() && year.resolved().holds.field(f, held)) {
          held++;
        }
        note(Code.OPENS_HELD, Thing.CLOSING, c.id(), field, to, held, 0, 0);
      }
      int until = days.clippedEnd(c.grazeUntilExclusive());
      double offered = year.offeredKg(f, to);
      boolean over = c.grazeUntilExclusive() != null || until - to >= SOON_DAYS;
      if (over && grazed(f, to, until) <= 0 && offered > NOTHING_KG) {
        note(Code.KEPT_FOR_NOBODY, Thing.CLOSING, c.id(), field, to, until, offered, 0);
      }
    }
    load(c, f, from, to);
  }

  private double grazed(int field, int from, int to) {
    double kg = 0;
    for (int d = from; d < to; d++) {
      kg += year.grazedKg(field, d);
    }
    return kg;
  }

  /** What stock take of the other ground while one field is shut, and what grows there. */
  private void load(Closing c, int shut, int from, int to) {
    double grazedKg = 0;
    double grownKg = 0;
    double haDays = 0;
    for (int f = 0; f < fields.size(); f++) {
      boolean[] others = year.resolved().fields[f].shut;
      for (int d = from; d < to; d++) {
        if (f != shut && !others[d] && year.coverKgPerHa(f, d) > 0) {
          grazedKg += year.grazedKg(f, d);
          grownKg += year.grownKg(f, d);
          haDays += year.resolved().fields[f].areaHa;
        }
      }
    }
    if (haDays <= 0) {
      note(Code.NO_OTHER_GROUND, Thing.CLOSING, c.id(), List.of(c.fieldId()), from, to, 0, 0);
    } else if (grazedKg > 0) {
      note(
          Code.LOAD_ON_THE_REST,
          Thing.CLOSING,
          c.id(),
          List.of(c.fieldId()),
          from,
          to,
          grazedKg / haDays,
          grownKg / haDays);
    }
  }

  private void cut(HayCut cut, int number) {
    int day = days.day(cut.date());
    if (day < 0 || day >= year.days()) {
      return;
    }
    List<String> field = List.of(cut.fieldId());
    if (!fields.get(fieldIndex.get(cut.fieldId())).hayable()) {
      note(Code.NOT_HAYABLE, Thing.CUT, cut.id(), field, day, day + 1, 0, 0);
    }
    for (Closing c : plan.closings()) {
      boolean shut =
          c.fieldId().equals(cut.fieldId())
              && !cut.date().isBefore(c.fromInclusive())
              && cut.date().isBefore(c.toExclusive());
      if (shut) {
        note(
            Code.CUT_WHILE_SHUT,
            Thing.CUT,
            cut.id(),
            field,
            days.day(c.fromInclusive()),
            days.day(c.toExclusive()),
            0,
            0);
      }
    }
    for (int i = 0; i < plan.sowings().size(); i++) {
      Sowing s = plan.sowings().get(i);
      int ready = year.sowing(i).readyDay();
      boolean out =
          s.fieldId().equals(cut.fieldId())
              && day >= days.day(s.preparedFrom())
              && day < (ready < 0 ? days.day(s.sowOn()) + 1 : ready);
      if (out) {
        note(
            Code.CUT_WHILE_SOWN,
            Thing.CUT,
            cut.id(),
            field,
            days.day(s.preparedFrom()),
            ready,
            ready,
            0);
      }
    }
    int lot = year.stated().farm().lots().size() + number;
    if (year.lotUnits(lot, day) == 0 && year.lotOpened(lot, day) == 0) {
      note(Code.NOTHING_TO_CUT, Thing.CUT, cut.id(), field, day, day + 1, 0, 0);
    }
  }

  private void sowing(Sowing s, SowingYear outcome) {
    if (outcome.failed()) {
      int day = days.day(s.sowOn());
      note(
          Code.SOWING_FAILS,
          Thing.SOWING,
          s.id(),
          List.of(s.fieldId()),
          day,
          day + 1,
          outcome.chanceOfFailing(),
          0);
    }
  }

  /** Another crop that was sown well before and stands on the eve of the first work. */
  private void sownOver(int n) {
    Sowing s = plan.sowings().get(n);
    int eve = days.day(s.preparedFrom()) - 1;
    if (eve < 0 || eve >= year.days()) {
      return;
    }
    for (int i = 0; i < plan.sowings().size(); i++) {
      Sowing other = plan.sowings().get(i);
      double stands = year.sownCoverKgPerHa(i, eve);
      boolean lives = isPerennial(other) && !s.preparation().endsTheOld();
      boolean before =
          !lives && days.day(other.sowOn()) < eve && other.fieldId().equals(s.fieldId());
      boolean over = year.sowing(i).endedDay() >= 0 && year.sowing(i).endedDay() <= eve;
      if (i != n && before && !over && stands > STILL_STANDS_KG_PER_HA) {
        note(
            Code.SOWN_OVER_CROP,
            Thing.SOWING,
            s.id(),
            List.of(s.fieldId()),
            eve + 1,
            eve + 2,
            stands,
            0);
      }
    }
  }

  private boolean isPerennial(Sowing s) {
    int number = plan.sowings().indexOf(s);
    return Arrays.stream(year.resolved().fields)
        .flatMap(f -> Arrays.stream(f.stands))
        .anyMatch(p -> p.crop != null && p.crop.number == number && !p.passing());
  }

  /** Less than this of a crop is no loss when ground is prepared, kg DM/ha. */
  private static final double STILL_STANDS_KG_PER_HA = 600;

  private void pass(LightPass p) {
    int from = days.clippedStart(p.fromInclusive());
    int to = days.clippedEnd(p.toExclusive());
    double left = year.residualKgPerHa(fieldIndex.get(p.fieldId()));
    if (from < to && p.leaveKgPerHa() < left - HARDLY_KG_PER_HA) {
      note(
          Code.PASS_BELOW_RESIDUAL,
          Thing.PASS,
          p.id(),
          List.of(p.fieldId(), p.groupId()),
          from,
          to,
          p.leaveKgPerHa(),
          left);
    }
  }

  private void step(FeedStep s) {
    int from = days.clippedStart(s.fromInclusive());
    int to = days.clippedEnd(s.toExclusive());
    int group = group(s.groupId());
    if (from >= to || !isThere(group, from, to)) {
      return;
    }
    if (s.kind() == FeedStep.Kind.STORE) {
      stored(s, group, from, to);
    } else if (!s.sourceIds().isEmpty()) {
      grazing(s, group, from, to);
    }
  }

  private int group(String id) {
    for (int g = 0; g < year.stated().farm().groups().size(); g++) {
      if (year.stated().farm().groups().get(g).id().equals(id)) {
        return g;
      }
    }
    throw new IllegalStateException(id);
  }

  private boolean isThere(int group, int from, int to) {
    for (int d = from; d < to; d++) {
      if (year.needKg(group, d) > 0) {
        return true;
      }
    }
    return false;
  }

  /** What is given before anything else is meant to be given; the rest waits for its turn. */
  private void stored(FeedStep s, int group, int from, int to) {
    if (s.portion() == null || s.portion().bound() == Portion.Bound.AT_MOST) {
      return;
    }
    for (int d = from; d < to; d++) {
      for (int l = 0; l < year.stated().allLots().size(); l++) {
        if (year.groupLotEatenKg(group, l, d) > 0) {
          return;
        }
      }
    }
    note(Code.PORTION_NEVER_GIVEN, Thing.FEEDING, s.id(), List.of(s.groupId()), from, to, 0, 0);
  }

  private void grazing(FeedStep s, int group, int from, int to) {
    List<Integer> sources = s.sourceIds().stream().map(fieldIndex::get).toList();
    List<String> subjects = new ArrayList<>(List.of(s.groupId()));
    subjects.addAll(s.sourceIds());
    boolean told = notReady(s, sources, subjects, from);
    told |=
        allOf(
            Code.STEP_SHUT_OUT,
            s,
            subjects,
            from,
            to,
            d -> sources.stream().allMatch(f -> year.resolved().fields[f].shut[d]));
    told |=
        allOf(
            Code.STEP_HELD,
            s,
            subjects,
            from,
            to,
            d -> sources.stream().allMatch(f -> year.resolved().holds.field(f, d)));
    if (!told) {
      neverReached(s, group, sources, subjects, from, to);
    }
  }

  private boolean allOf(
      Code code, FeedStep s, List<String> subjects, int from, int to, IntPredicate day) {
    int first = -1;
    int last = -1;
    for (int d = from; d < to; d++) {
      if (day.test(d)) {
        first = first < 0 ? d : first;
        last = d;
      }
    }
    if (first < 0) {
      return false;
    }
    note(code, Thing.FEEDING, s.id(), subjects, first, last + 1, 0, 0);
    return true;
  }

  /** A step for one field only, on which a crop is not ready when it begins. */
  private boolean notReady(FeedStep s, List<Integer> sources, List<String> subjects, int from) {
    if (sources.size() != 1 || s.fromInclusive() == null) {
      return false;
    }
    for (int i = 0; i < plan.sowings().size(); i++) {
      Sowing sown = plan.sowings().get(i);
      int ready = year.sowing(i).readyDay();
      boolean early =
          fieldIndex.get(sown.fieldId()).equals(sources.get(0))
              && from >= days.day(sown.preparedFrom())
              && (ready < 0
                  ? !year.sowing(i).failed() && year.sowing(i).endedDay() < 0
                  : from < ready);
      if (early) {
        int until = ready < 0 ? year.days() : ready;
        note(Code.NOT_READY, Thing.FEEDING, s.id(), subjects, from, until, ready, 0);
        return true;
      }
    }
    return false;
  }

  /**
   * Only where the group was fed otherwise meanwhile, or went short: though enough stood there for
   * a day, or as nothing ever did.
   */
  private void neverReached(
      FeedStep s, int group, List<Integer> sources, List<String> subjects, int from, int to) {
    boolean wanted = false;
    double passedBy = 0;
    double most = 0;
    for (int d = from; d < to; d++) {
      // whose animals they were is not kept beside the field that fed most: told is what is sure
      int day = d;
      if (sources.stream().anyMatch(f -> year.grazedKg(f, day) > 0)) {
        return;
      }
      double other =
          year.eatenKg(Shelf.PUT_BY, group, d)
              + year.eatenKg(Shelf.BOUGHT_IN, group, d)
              + year.bareKg(group, d);
      double offered = 0;
      for (int f : sources) {
        offered += year.offeredKg(f, d);
      }
      most = Math.max(most, offered);
      wanted |= other > 0;
      boolean enough = offered >= year.needKg(group, d) && !year.resolved().weather().snowShuts(d);
      if (other > 0 && enough) {
        passedBy = Math.max(passedBy, offered);
      }
    }
    if (wanted && (passedBy > 0 || most < NOTHING_KG)) {
      note(Code.STEP_NEVER_REACHED, Thing.FEEDING, s.id(), subjects, from, to, passedBy, 0);
    }
  }
}
