package wiselarder.core.jobs;

import java.time.LocalDate;
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

  /**
   * The record of what became of a job, or null where nothing did. One that moved it no longer
   * holds once the plan has it on another day than it had then, or than it was moved to.
   */
  public FarmRecord of(Job job) {
    FarmRecord record = byJob.get(job.key());
    if (record == null) {
      return null;
    }
    JobMarked mark = (JobMarked) record.fact();
    boolean moved = mark.mark() == JobMarked.Mark.MOVED;
    boolean stands = mark.planned().equals(job.day()) || job.day().equals(mark.to());
    return moved && !stands ? null : record;
  }

  /** The mark itself, or null. */
  public JobMarked markOf(Job job) {
    FarmRecord record = of(job);
    return record == null ? null : (JobMarked) record.fact();
  }

  /** Nothing was written of it, or that it was moved: it still is to be done. */
  public boolean isOpen(Job job) {
    JobMarked mark = markOf(job);
    return mark == null || mark.mark() == JobMarked.Mark.MOVED;
  }

  /** The day on which it is to be done now. */
  public LocalDate due(Job job) {
    JobMarked mark = markOf(job);
    return mark == null || mark.to() == null ? job.day() : mark.to();
  }

  /**
   * The last day on which it does what it is for; once moved beyond it, the day it was moved to.
   */
  public LocalDate lastDay(Job job) {
    LocalDate due = due(job);
    return due.isAfter(job.latest()) && markOf(job) != null ? due : job.latest();
  }
}
