package wiselarder.server.plan;

import java.util.List;
import wiselarder.core.edit.Rebase;

/** The plan has moved on since the revision that an edit was made on. */
public final class StaleRevision extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final int current;
  private final transient List<Revision> since;
  private final transient List<Rebase.Clash> clashes;

  StaleRevision(int current, List<Revision> since, List<Rebase.Clash> clashes) {
    super("the plan is now at revision " + current);
    this.current = current;
    this.since = List.copyOf(since);
    this.clashes = List.copyOf(clashes);
  }

  public int current() {
    return current;
  }

  /** What was changed since, oldest first. */
  public List<Revision> since() {
    return since;
  }

  /** What both changed: the edits would overwrite it. */
  public List<Rebase.Clash> clashes() {
    return clashes;
  }
}
