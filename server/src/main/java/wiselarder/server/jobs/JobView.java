package wiselarder.server.jobs;

import java.time.LocalDate;
import wiselarder.core.jobs.Job;
import wiselarder.core.plan.Thing;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.JobMarked;

/**
 * A job in words; as {@link Job}.
 *
 * @param title what is done, on one line
 * @param why with what stands behind its dates
 * @param needs beside hands; empty for nothing
 * @param forWhom who is to do it, where somebody said so
 * @param severity of a caution: danger or caution; empty for other jobs
 * @param thing of the plan that it dates, null for none
 * @param mark what became of it, null while it is open
 */
record JobView(
    String key,
    Job.Kind kind,
    String title,
    String why,
    String needs,
    Job.Who who,
    String forWhom,
    String fieldId,
    LocalDate earliest,
    LocalDate day,
    LocalDate latest,
    double hours,
    String severity,
    Thing thing,
    String itemId,
    JobMarkView mark) {

  /**
   * What became of a job.
   *
   * @param record the record that says so; struck out, the job is as before
   * @param to the day it was moved to, null otherwise
   */
  record JobMarkView(
      String record, JobMarked.Mark mark, LocalDate on, LocalDate to, String why, String who) {
    static JobMarkView of(FarmRecord r) {
      if (r == null) {
        return null;
      }
      JobMarked m = (JobMarked) r.fact();
      return new JobMarkView(r.id(), m.mark(), r.on(), m.to(), m.why(), r.written().who());
    }
  }

  /** The day on which it is to be done now: the planned one, or the one it was moved to. */
  LocalDate due() {
    return mark != null && mark.to != null ? mark.to : day;
  }
}
