package wiselarder.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.github.bucket4j.TimeMeter;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicLong;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import wiselarder.server.App;

/** Ten at once, then one each six seconds, by a clock of the test's own. */
class AttemptsTest {
  private final AtomicLong nanos =
      new AtomicLong(Duration.ofMillis(System.currentTimeMillis()).toNanos());
  private final TimeMeter clock =
      new TimeMeter() {
        @Override
        public long currentTimeNanos() {
          return nanos.get();
        }

        @Override
        public boolean isWallClockBased() {
          return true;
        }
      };
  private final Attempts attempts =
      new Attempts(App.bean(DataSource.class), App.bean(AttemptRepository.class), clock);

  @BeforeEach
  void nothingIsCounted() {
    attempts.forgetAll();
  }

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

  /** Another instance on the same database counts the same. */
  @Test
  void anotherInstanceKnowsWhatWasCounted() {
    Attempts other =
        new Attempts(App.bean(DataSource.class), App.bean(AttemptRepository.class), clock);
    for (int i = 0; i < 5; i++) {
      attempts.count("ann");
      other.count("ann");
    }
    assertThatThrownBy(() -> attempts.count("ann")).isInstanceOf(Attempts.TooMany.class);
    assertThatThrownBy(() -> other.count("ann")).isInstanceOf(Attempts.TooMany.class);
  }

  /** What is full again counts nothing and is forgotten; the rest stays. */
  @Test
  void onlyTheFullAreForgotten() {
    attempts.count("ann");
    attempts.count("bob");
    // the day of expiry goes by the clock on the wall
    App.jdbc()
        .sql("update guess_bucket set expires_at = 1 where id = :id")
        .param("id", Secret.hash("ann"))
        .update();
    attempts.forgetTheFull();
    assertThat(App.jdbc().sql("select id from guess_bucket").query(String.class).list())
        .containsExactly(Secret.hash("bob"));
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
