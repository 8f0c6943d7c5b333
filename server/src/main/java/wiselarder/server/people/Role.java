package wiselarder.server.people;

/** What a person may do on a farm; each role may do what those below it may. */
public enum Role {
  /** Invites people, removes plans and the farm. */
  OWNER,
  /** Changes plans. */
  PLANNER,
  /** Writes down what was seen and done; changes no plan. */
  HELPER,
  /** Looks, tries things out, takes files out; stores nothing. */
  READER;

  /** True where this role may do what {@code needed} may. */
  public boolean covers(Role needed) {
    return ordinal() <= needed.ordinal();
  }
}
