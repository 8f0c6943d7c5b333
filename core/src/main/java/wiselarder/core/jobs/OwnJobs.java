package wiselarder.core.jobs;

import java.time.LocalDate;
import wiselarder.core.plan.OwnJob;
import wiselarder.core.plan.Rung;
import wiselarder.core.plan.Thing;

/** What the keeper wrote down himself, and the rungs of the drought plan. */
final class OwnJobs {
  private static final int LOOK_WITHIN_DAYS = 3;

  private OwnJobs() {}

  static void add(JobList l) {
    for (OwnJob j : l.stated.plan().jobs()) {
      l.job(Job.Kind.OWN, j.id(), j.what(), j.on())
          .with(j.note())
          .between(j.on(), j.by() == null ? j.on() : j.by())
          .dates(Thing.JOB, j.id())
          .add();
    }
    for (Rung r : l.stated.plan().rungs()) {
      for (int day : l.year.occurrences(r.on(), 0)) {
        if (day >= 0 && day < l.year.days()) {
          rung(l, r, l.year.date(day));
        }
      }
    }
  }

  private static void rung(JobList l, Rung r, LocalDate on) {
    JobList.New job =
        l.job(Job.Kind.RUNG, r.id() + "-" + on.getYear(), r.doThis(), on)
            .within(LOOK_WITHIN_DAYS, LOOK_WITHIN_DAYS);
    if (r.sign() != null) {
      job.with(r.sign().name())
          .figure(
              switch (r.sign()) {
                case STANDS -> Job.What.KG_DM_PER_HA;
                case STORE -> Job.What.KG_DM;
                case GROWTH -> Job.What.KG_DM_PER_HA_DAY;
                case SOIL_WATER -> Job.What.PERCENT;
                case RAIN -> Job.What.MM;
              },
              r.below());
    }
    job.add();
  }
}
