package wiselarder.server.people;

import io.github.bucket4j.Bucket;
import io.github.bucket4j.BucketConfiguration;
import io.github.bucket4j.TimeMeter;
import io.github.bucket4j.distributed.ExpirationAfterWriteStrategy;
import io.github.bucket4j.distributed.jdbc.PrimaryKeyMapper;
import io.github.bucket4j.postgresql.Bucket4jPostgreSQL;
import io.github.bucket4j.postgresql.PostgreSQLSelectForUpdateBasedProxyManager;
import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Slows down whoever guesses passwords or invitations: ten at once, then one each six seconds, by
 * address of the caller and by account. Counted in the database, so that every instance counts the
 * same; what is counted is kept as a hash.
 */
@Component
public class Attempts {
  private static final int AT_ONCE = 10;
  private static final Duration REFILL = Duration.ofMinutes(1);
  private static final String TABLE = "guess_bucket";

  /** Buckets that are full again are forgotten, this many at a time. */
  private static final int FORGOTTEN_AT_ONCE = 10_000;

  private static final BucketConfiguration LIMIT =
      BucketConfiguration.builder()
          .addLimit(l -> l.capacity(AT_ONCE).refillGreedy(AT_ONCE, REFILL))
          .build();

  private final PostgreSQLSelectForUpdateBasedProxyManager<String> buckets;
  private final AttemptRepository repository;

  @Autowired
  Attempts(DataSource source, AttemptRepository repository) {
    this(source, repository, TimeMeter.SYSTEM_MILLISECONDS);
  }

  Attempts(DataSource source, AttemptRepository repository, TimeMeter time) {
    this.repository = repository;
    this.buckets =
        Bucket4jPostgreSQL.selectForUpdateBasedBuilder(source)
            .primaryKeyMapper(PrimaryKeyMapper.STRING)
            .table(TABLE)
            .clientClock(time)
            .expirationAfterWrite(
                ExpirationAfterWriteStrategy.basedOnTimeForRefillingBucketUpToMax(REFILL))
            .build();
  }

  /**
   * Counts one attempt.
   *
   * @throws TooMany when there were too many
   */
  public void count(String... keys) {
    for (String key : keys) {
      var probe = bucket(key).tryConsumeAndReturnRemaining(1);
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
      bucket(key).addTokens(1);
    }
  }

  /** Forgets everything that was counted. */
  public void forgetAll() {
    repository.forgetAll();
  }

  /** A bucket that is full again counts nothing. */
  @Scheduled(fixedDelayString = "PT10M")
  void forgetTheFull() {
    int gone = FORGOTTEN_AT_ONCE;
    while (gone == FORGOTTEN_AT_ONCE) {
      gone = buckets.removeExpired(FORGOTTEN_AT_ONCE);
    }
  }

  private Bucket bucket(String key) {
    return buckets.builder().build(Secret.hash(key), () -> LIMIT);
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
