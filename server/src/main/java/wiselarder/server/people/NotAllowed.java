package wiselarder.server.people;

/** The person may see the farm, but their role does not cover what they asked for. */
public final class NotAllowed extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final Role needed;
  private final Role has;

  private NotAllowed(Role needed, Role has) {
    super("this needs the role " + needed + "; yours is " + has);
    this.needed = needed;
    this.has = has;
  }

  /** Refuses unless {@code has} covers {@code needed}. */
  public static void unless(Role has, Role needed) {
    if (!has.covers(needed)) {
      throw new NotAllowed(needed, has);
    }
  }

  public Role needed() {
    return needed;
  }

  public Role has() {
    return has;
  }
}
