package wiselarder.core.gap;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.IntPredicate;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.gap.Gap.Cause;
import wiselarder.core.gap.Gap.Cause.Code;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.resolved.ResolvedPlan;

/** Why a gap is there, each cause with its measure. */
final class GapCauses {
  private static final double DORMANT_BELOW = 0.10;
  private static final double SLUMP_BELOW = 0.50;
  private static final double WORTH_NAMING_SHARE = 0.5;

  private final YearBalance balance;
  private final int first;
  private final int last;
  private final List<Cause> found = new ArrayList<>();

  private GapCauses(YearBalance balance, int first, int last) {
    this.balance = balance;
    this.first = first;
    this.last = last;
  }

  static List<Cause> of(YearBalance balance, Gap.Kind kind, int first, int last) {
    GapCauses causes = new GapCauses(balance, first, last);
    if (kind == Gap.Kind.STORE) {
      causes.store();
    }
    causes.snow();
    causes.growth();
    causes.outOfUse();
    causes.standsUnused();
    causes.behindStore();
    causes.roundHeld();
    return causes.found;
  }

  private void store() {
    int lots = balance.lotNames().size();
    int emptied = -1;
    for (int d = 0; d <= first; d++) {
      double kg = 0;
      for (int l = 0; l < lots; l++) {
        kg += balance.lotKg(l, d);
      }
      if (kg > 1e-6) {
        emptied = -1;
      } else if (emptied < 0) {
        emptied = d;
      }
    }
    double left = 0;
    for (int l = 0; l < lots; l++) {
      left += balance.lotKg(l, first);
    }
    if (left > balance.needKg(first)) {
      found.add(new Cause(Code.STORE_NOT_OPENED, List.of(), left));
    } else if (lots == 0) {
      found.add(new Cause(Code.NO_STORE, List.of(), 0));
    } else if (emptied >= 0) {
      found.add(new Cause(Code.STORE_EMPTY, List.of(), emptied));
    }
  }

  private void snow() {
    int days = 0;
    for (int d = first; d <= last; d++) {
      days += balance.resolved().weather().snowShuts(d) ? 1 : 0;
    }
    double share = (double) days / (last - first + 1);
    if (share >= SNOW_WORTH_NAMING_SHARE) {
      found.add(new Cause(Code.SNOW, List.of(), share));
    }
  }

  private static final double SNOW_WORTH_NAMING_SHARE = 0.1;

  private void growth() {
    double area = 0;
    double dormant = 0;
    double slack = 0;
    ResolvedPlan resolved = balance.resolved();
    List<Field> fields = balance.stated().farm().fields();
    for (int f = 0; f < fields.size(); f++) {
      double peak = 0;
      double mean = 0;
      for (int d = 0; d < balance.days(); d++) {
        peak = Math.max(peak, resolved.statedGrowth(f, d));
      }
      for (int d = first; d <= last; d++) {
        mean += resolved.statedGrowth(f, d) / (last - first + 1);
      }
      if (peak > 0) {
        area += fields.get(f).netAreaHa();
        dormant += mean < DORMANT_BELOW * peak ? fields.get(f).netAreaHa() : 0;
        slack += mean < SLUMP_BELOW * peak ? fields.get(f).netAreaHa() : 0;
      }
    }
    if (area > 0 && dormant / area >= WORTH_NAMING_SHARE) {
      found.add(new Cause(Code.DORMANT, List.of(), dormant / area));
    } else if (area > 0 && slack / area >= WORTH_NAMING_SHARE) {
      found.add(new Cause(Code.SLUMP, List.of(), slack / area));
    }
  }

  private void outOfUse() {
    List<String> shut = fieldsWhere(this::isShut);
    List<String> held = fieldsWhere(this::isHeld);
    List<String> gone = fieldsWhere(f -> !isThere(f));
    if (!shut.isEmpty()) {
      found.add(new Cause(Code.SHUT, shut, offeredKg(this::isShut)));
    }
    if (!held.isEmpty()) {
      found.add(new Cause(Code.HELD, held, offeredKg(this::isHeld)));
    }
    if (!gone.isEmpty()) {
      found.add(new Cause(Code.OUT_OF_USE, gone, 0));
    }
  }

  private void standsUnused() {
    IntPredicate unused =
        f -> isThere(f) && !isShut(f) && !isHeld(f) && !isListed(f) && offeredKg(x -> x == f) > 0;
    double kg = offeredKg(unused);
    if (kg > balance.needKg(first)) {
      found.add(new Cause(Code.STANDS_UNUSED, fieldsWhere(unused), kg));
    }
  }

  /** Grass whose step comes after stored feed without a limit: it waits for the store to empty. */
  private void behindStore() {
    Set<String> before = new HashSet<>();
    Set<String> behind = new HashSet<>();
    for (AnimalGroup group : balance.stated().farm().groups()) {
      boolean store = false;
      for (FeedStep s : balance.stated().plan().steps()) {
        if (!s.groupId().equals(group.id()) || !isOpen(s)) {
          continue;
        }
        store |= s.kind() == FeedStep.Kind.STORE && s.portion() == null;
        if (s.kind() == FeedStep.Kind.GRAZE) {
          (store ? behind : before).addAll(fieldsOf(s));
        }
      }
    }
    behind.removeAll(before);
    IntPredicate waits =
        f ->
            behind.contains(balance.stated().farm().fields().get(f).id())
                && isThere(f)
                && !isShut(f)
                && !isHeld(f);
    double kg = offeredKg(waits);
    if (kg > balance.needKg(first)) {
      found.add(new Cause(Code.BEHIND_STORE, fieldsWhere(waits), kg));
    }
  }

  /** Grass that is ready for later days of a round that is held at a length. */
  private void roundHeld() {
    Set<String> held = new HashSet<>();
    for (FeedStep s : balance.stated().plan().steps()) {
      if (s.roundDays() != null && isOpen(s)) {
        held.addAll(fieldsOf(s));
      }
    }
    IntPredicate waits =
        f ->
            held.contains(balance.stated().farm().fields().get(f).id())
                && isThere(f)
                && !isShut(f)
                && !isHeld(f);
    double kg = offeredKg(waits);
    if (kg > balance.needKg(first)) {
      found.add(new Cause(Code.ROUND_HELD, fieldsWhere(waits), kg));
    }
  }

  private boolean isOpen(FeedStep s) {
    return balance.year().clippedStart(s.fromInclusive()) <= first
        && first < balance.year().clippedEnd(s.toExclusive());
  }

  private List<String> fieldsOf(FeedStep s) {
    return s.sourceIds().isEmpty()
        ? balance.stated().farm().fields().stream().map(Field::id).toList()
        : s.sourceIds();
  }

  private boolean isShut(int f) {
    String id = balance.stated().farm().fields().get(f).id();
    return balance.stated().plan().closings().stream()
        .filter(c -> c.fieldId().equals(id))
        .anyMatch(
            c ->
                balance.year().day(c.fromInclusive()) <= first
                    && first < balance.year().day(c.toExclusive()));
  }

  private boolean isHeld(int f) {
    return balance.resolved().holds.field(f, first);
  }

  private boolean isThere(int f) {
    return balance.coverKgPerHa(f, first) > 0;
  }

  private boolean isListed(int f) {
    String id = balance.stated().farm().fields().get(f).id();
    boolean step =
        balance.stated().plan().steps().stream()
            .filter(s -> s.kind() == FeedStep.Kind.GRAZE)
            .filter(s -> s.sourceIds().isEmpty() || s.sourceIds().contains(id))
            .anyMatch(this::isOpen);
    return step || balance.stated().plan().closings().stream().anyMatch(c -> opened(c, id));
  }

  private boolean opened(Closing c, String fieldId) {
    return c.fieldId().equals(fieldId)
        && !c.grazedBy().isEmpty()
        && balance.year().day(c.toExclusive()) <= first
        && first < balance.year().clippedEnd(c.grazeUntilExclusive());
  }

  /** What could be eaten on these fields on the gap's first day, kg DM. */
  private double offeredKg(IntPredicate which) {
    double kg = 0;
    for (int f = 0; f < balance.stated().farm().fields().size(); f++) {
      if (which.test(f)) {
        kg += balance.offeredKg(f, first);
      }
    }
    return kg;
  }

  private List<String> fieldsWhere(IntPredicate which) {
    List<String> ids = new ArrayList<>();
    List<Field> fields = balance.stated().farm().fields();
    for (int f = 0; f < fields.size(); f++) {
      if (which.test(f)) {
        ids.add(fields.get(f).id());
      }
    }
    return ids;
  }
}
