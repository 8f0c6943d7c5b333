package wiselarder.server.plan;

import java.util.List;

/** The plan has moved on since the revision that an edit was made on. */
public final class StaleRevision extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final int current;
  private final transient List<String> since;

  StaleRevision(int current, List<String> since) {
    super("the plan is now at revision " + current);
    this.current = current;
    this.since = List.copyOf(since);
  }

  public int current() {
    return current;
  }

  /** What was changed since, in words, oldest first. */
  public List<String> since() {
    return since;
  }
}
