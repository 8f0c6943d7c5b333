package wiselarder.core.jobs;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.edit.Later;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;

/**
 * What becomes of the year where a job is done on another day.
 *
 * @param bareKg how much more is missing over the plan, kg DM; negative where less is
 * @param storeKg how much more is in store at its end, kg DM
 * @param edits that move it in the plan; none where it has no day there, or the plan refuses it
 *     then
 */
public record JobMoved(double bareKg, double storeKg, List<PlanEdit> edits) {
  private static final JobMoved NOTHING = new JobMoved(0, 0, List.of());

  /**
   * Tries a job on another day, on the whole farm.
   *
   * @param to within the plan
   */
  public static JobMoved of(Engine engine, FarmPlan stated, Job job, LocalDate to) {
    int days = (int) ChronoUnit.DAYS.between(job.day(), to);
    if (job.thing() == null || days == 0) {
      return NOTHING;
    }
    try {
      List<PlanEdit> edits =
          Later.moved(stated, job.thing(), job.itemId(), job.day(), days).stream().toList();
      if (edits.isEmpty()) {
        return NOTHING;
      }
      YearBalance before = engine.simulate(stated);
      YearBalance after = engine.tryFarmOnly(stated, edits);
      return new JobMoved(
          after.totalBareKg() - before.totalBareKg(), store(after) - store(before), edits);
    } catch (Refused notThen) {
      return NOTHING;
    }
  }

  /** Feed that it costs, or brings where negative, kg DM: what is missing and not in store. */
  public double costsKg() {
    return bareKg - storeKg;
  }

  private static double store(YearBalance b) {
    double kg = 0;
    for (int l = 0; l < b.resolved().lots.length; l++) {
      kg += b.lotKg(l, b.days() - 1);
    }
    return kg;
  }
}
