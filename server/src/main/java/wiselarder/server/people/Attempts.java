package wiselarder.server.people;

import io.github.bucket4j.Bucket;
import java.time.Duration;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * Slows down whoever guesses passwords or invitations: ten at once, then one each six seconds, by
 * address of the caller and by e-mail address.
 */
@Component
public class Attempts {
  private static final int AT_ONCE = 10;
  private static final Duration REFILL = Duration.ofMinutes(1);

  /** The longest unused are forgotten first; a bucket unused for a minute is full anyway. */
  private static final int MOST_BUCKETS = 10_000;

  private final Map<String, Bucket> buckets =
      Collections.synchronizedMap(
          new LinkedHashMap<>(64, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<String, Bucket> eldest) {
              return size() > MOST_BUCKETS;
            }
          });

  /**
   * Counts one attempt.
   *
   * @throws TooMany when there were too many
   */
  public void count(String... keys) {
    for (String key : keys) {
      var probe = buckets.computeIfAbsent(key, k -> fresh()).tryConsumeAndReturnRemaining(1);
      if (!probe.isConsumed()) {
        throw new TooMany(Duration.ofNanos(probe.getNanosToWaitForRefill()).toSeconds() + 1);
      }
    }
  }

  /** Forgets what was counted, after a right password. */
  public void forget(String... keys) {
    for (String key : keys) {
      buckets.remove(key);
    }
  }

  /** Forgets everything that was counted. */
  public void forgetAll() {
    buckets.clear();
  }

  private static Bucket fresh() {
    return Bucket.builder()
        .addLimit(l -> l.capacity(AT_ONCE).refillGreedy(AT_ONCE, REFILL))
        .build();
  }

  /** Too many attempts. */
  public static final class TooMany extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final long waitSeconds;

    TooMany(long waitSeconds) {
      super("too many attempts: wait %d seconds".formatted(waitSeconds));
      this.waitSeconds = waitSeconds;
    }

    public long waitSeconds() {
      return waitSeconds;
    }
  }
}
