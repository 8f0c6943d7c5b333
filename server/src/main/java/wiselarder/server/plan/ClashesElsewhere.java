package wiselarder.server.plan;

import java.util.List;

/** Something stands against a change in other plans of the farm; nothing was stored in any. */
public final class ClashesElsewhere extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient List<AlsoIn.Against> against;

  ClashesElsewhere(List<AlsoIn.Against> against) {
    super("other plans: " + against);
    this.against = List.copyOf(against);
  }

  /** By plan, those in which nothing stands against it left out. */
  public List<AlsoIn.Against> against() {
    return against;
  }
}
