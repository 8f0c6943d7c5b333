package wiselarder.server.people;

/** So much is asked at once that this has to wait. */
public final class Busy extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public Busy() {
    super("too much is asked at once: try again in some seconds");
  }
}
