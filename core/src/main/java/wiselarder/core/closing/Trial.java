package wiselarder.core.closing;

import java.util.Comparator;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Shelf;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.gap.GapFinder;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;

/** A gap of a plan on which levers are tried. Nothing that is tried changes the plan. */
public final class Trial {
  /** Unmet need below this, kg DM, is rounding. */
  private static final double CLOSED_KG = 1e-6;

  private final Engine engine;
  private final FarmPlan stated;
  private final YearBalance before;
  private final Gap gap;

  public Trial(Engine engine, FarmPlan stated, Gap gap) {
    this.engine = engine;
    this.stated = stated;
    this.before = engine.simulate(stated);
    this.gap = gap;
  }

  /** Everything that some levers offer, each measured; of one lever what it brings first. */
  public List<LeverOption> options(List<Lever> levers) {
    Comparator<LeverOption> most = Comparator.comparingDouble(LeverOption::bringsKg).reversed();
    return levers.stream()
        .flatMap(l -> l.candidates(this).stream().map(c -> measure(l, c)).sorted(most))
        .toList();
  }

  /** What a candidate does to the year, against doing nothing. */
  public LeverOption measure(Lever lever, Lever.Candidate candidate) {
    YearBalance after = year(candidate.edits());
    return new LeverOption(
        lever.kind(),
        candidate.edits(),
        before.totalBareKg() - after.totalBareKg(),
        after.totalBareKg(),
        after.bareDays(GapFinder.SHORT_SHARE),
        storedBefore(after) - storedBefore(before),
        candidate.cost().orElse(null),
        candidate.decideBy());
  }

  /** What some edits take off the unmet need of the whole year, kg DM. */
  double bringsKg(List<PlanEdit> edits) {
    return before.totalBareKg() - year(edits).totalBareKg();
  }

  /** Unmet need within the gap with some edits made, kg DM; 0 where they close it. */
  double leftKg(List<PlanEdit> edits) {
    YearBalance after = year(edits);
    double kg = 0;
    for (int d = gap.firstDay(); d <= gap.lastDay(); d++) {
      kg += after.bareKg(d);
    }
    return kg <= CLOSED_KG ? 0 : kg;
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

  private YearBalance year(List<PlanEdit> edits) {
    return engine.tryOut(stated, edits);
  }

  private double storedBefore(YearBalance b) {
    double kg = 0;
    for (int d = 0; d < gap.firstDay(); d++) {
      kg += b.eatenKg(Shelf.PUT_BY, d) + b.eatenKg(Shelf.BOUGHT_IN, d);
    }
    return kg;
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

  /** An id that is not among those taken. */
  static String freeId(String wanted, List<String> taken) {
    String id = wanted;
    for (int n = 2; taken.contains(id); n++) {
      id = wanted + "-" + n;
    }
    return id;
  }
}
