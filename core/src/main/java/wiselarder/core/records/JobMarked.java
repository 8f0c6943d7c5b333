package wiselarder.core.records;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * What became of a job. The last mark of a job holds; striking it out lets the one before hold.
 *
 * @param job key of the job, the same however often the jobs are reckoned anew
 * @param planned the day on which it stood in the plan then
 * @param to the day it was moved to; null otherwise
 * @param why needed where it is dropped or a hold is overridden
 */
public record JobMarked(String job, Mark mark, LocalDate planned, LocalDate to, String why)
    implements Fact {
  public static final Stated.Text JOB = Stated.text("marked.job", 200);
  public static final Stated.Text WHY = Stated.note("marked.why", 400);

  /** What became of it. */
  public enum Mark {
    DONE,
    MOVED,
    DROPPED
  }

  public JobMarked {
    job = JOB.check(job);
    Check.present("marked.mark", mark);
    Check.present("marked.planned", planned);
    why = WHY.check(why);
    if (mark == Mark.MOVED) {
      Check.present("marked.to", to);
    } else {
      to = null;
    }
    if (mark == Mark.DROPPED) {
      Check.text("marked.why", why, WHY.most());
    }
  }
}
