package wiselarder.core.plan;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * A job that the keeper wrote down, beside those that follow from the plan.
 *
 * @param on the day from which it can be done
 * @param by the last day; null for that day
 * @param forWhom who is to do it; empty for nobody in particular
 */
public record OwnJob(
    String id, String what, LocalDate on, LocalDate by, String forWhom, String note) {
  public static final Stated.Text WHAT = Stated.text("job.what", 120);
  public static final Stated.Text FOR_WHOM = Stated.note("job.forWhom", 80);
  public static final Stated.Text NOTE = Stated.note("job.note", 1000);

  public OwnJob {
    id = Check.text("job.id", id, 160);
    what = WHAT.check(what);
    Check.present("job.on", on);
    Check.ordered("job.dates", on, by == null ? null : by.plusDays(1));
    forWhom = FOR_WHOM.check(forWhom);
    note = NOTE.check(note);
  }

  /** The same on other days. */
  public OwnJob between(LocalDate from, LocalDate last) {
    return new OwnJob(id, what, from, last, forWhom, note);
  }
}
