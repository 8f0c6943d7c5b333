package wiselarder.server.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.TimeMeter;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Autowired;
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

  private final Cache<String, Bucket> buckets =
      Caffeine.newBuilder().maximumSize(MOST_BUCKETS).build();

  private final TimeMeter time;

  @Autowired
  Attempts() {
    this(TimeMeter.SYSTEM_NANOTIME);
  }

  Attempts(TimeMeter time) {
    this.time = time;
  }

  /**
   * Counts one attempt.
   *
   * @throws TooMany when there were too many
   */
  public void count(String... keys) {
    for (String key : keys) {
      var probe = buckets.get(key, k -> fresh()).tryConsumeAndReturnRemaining(1);
      if (!probe.isConsumed()) {
        throw new TooMany(Duration.ofNanos(probe.getNanosToWaitForRefill()).toSeconds() + 1);
      }
    }
  }

  /**
   * Takes one attempt back that was none, after a right password: those that were wrong before it
   * stay counted, so that nobody's own password opens the way to somebody else's.
   */
  public void takeBack(String... keys) {
    for (String key : keys) {
      buckets.get(key, k -> fresh()).addTokens(1);
    }
  }

  /** Forgets everything that was counted. */
  public void forgetAll() {
    buckets.invalidateAll();
  }

  private Bucket fresh() {
    return Bucket.builder()
        .withCustomTimePrecision(time)
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
