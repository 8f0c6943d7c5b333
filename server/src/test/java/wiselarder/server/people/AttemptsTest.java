package wiselarder.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.github.bucket4j.TimeMeter;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

/** Ten at once, then one each six seconds, by a clock of the test's own. */
class AttemptsTest {
  private final AtomicLong nanos = new AtomicLong();
  private final Attempts attempts =
      new Attempts(
          new TimeMeter() {
            @Override
            public long currentTimeNanos() {
              return nanos.get();
            }

            @Override
            public boolean isWallClockBased() {
              return false;
            }
          });

  private void pass(long seconds) {
    nanos.addAndGet(Duration.ofSeconds(seconds).toNanos());
  }

  @Test
  void theEleventhAtOnceHasToWaitSixSeconds() {
    for (int i = 0; i < 10; i++) {
      attempts.count("ann");
    }
    assertThatThrownBy(() -> attempts.count("ann"))
        .isInstanceOfSatisfying(
            Attempts.TooMany.class, e -> assertThat(e.waitSeconds()).isBetween(6L, 7L));
    attempts.count("bob");
    pass(5);
    assertThatThrownBy(() -> attempts.count("ann")).isInstanceOf(Attempts.TooMany.class);
    pass(1);
    attempts.count("ann");
    assertThatThrownBy(() -> attempts.count("ann")).isInstanceOf(Attempts.TooMany.class);
  }

  /** A right password counts as none, and forgives no wrong one. */
  @Test
  void whatIsTakenBackWasNoneAndNoMoreThanThat() {
    for (int i = 0; i < 9; i++) {
      attempts.count("ann");
    }
    for (int i = 0; i < 20; i++) {
      attempts.count("ann");
      attempts.takeBack("ann");
    }
    attempts.count("ann");
    assertThatThrownBy(() -> attempts.count("ann")).isInstanceOf(Attempts.TooMany.class);
  }
}
