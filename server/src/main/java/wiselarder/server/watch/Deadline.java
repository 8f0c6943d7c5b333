package wiselarder.server.watch;

import java.util.function.BooleanSupplier;

/**
 * When a request has taken long enough. What works for it asks, on whatever thread it does, and
 * ends: nobody waits for a sum that goes on after its asker has been told.
 */
public final class Deadline {
  private static final ThreadLocal<Deadline> OF_THIS_REQUEST = new ThreadLocal<>();

  private final long endNanos;

  private Deadline(long endNanos) {
    this.endNanos = endNanos;
  }

  static void begin(long nanos) {
    OF_THIS_REQUEST.set(new Deadline(System.nanoTime() + nanos));
  }

  static void forget() {
    OF_THIS_REQUEST.remove();
  }

  /** Whether the request that this thread answers is over; never, where it answers none. */
  public static BooleanSupplier over() {
    Deadline here = OF_THIS_REQUEST.get();
    return here == null ? () -> false : () -> here.leftNanos() <= 0;
  }

  /** Time left to this request, ns. */
  static long left() {
    Deadline here = OF_THIS_REQUEST.get();
    return here == null ? Long.MAX_VALUE : here.leftNanos();
  }

  private long leftNanos() {
    return endNanos - System.nanoTime();
  }
}
