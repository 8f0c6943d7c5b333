package wiselarder.core.jobs;

import java.util.HashMap;
import java.util.Map;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.JobMarked;

/** What became of jobs, as it was written down: of each the last that was not struck out. */
public final class Marked {
  private final Map<String, FarmRecord> byJob = new HashMap<>();

  public Marked(FarmRecords records) {
    records.each(JobMarked.class, (record, mark) -> byJob.put(mark.job(), record));
  }

  /** The record of what became of a job, or null where nothing did. */
  public FarmRecord of(Job job) {
    return byJob.get(job.key());
  }

  /** The mark itself, or null. */
  public JobMarked markOf(Job job) {
    FarmRecord record = of(job);
    return record == null ? null : (JobMarked) record.fact();
  }
}
