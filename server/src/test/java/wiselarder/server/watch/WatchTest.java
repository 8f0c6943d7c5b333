package wiselarder.server.watch;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.AppenderBase;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;
import wiselarder.server.App;
import wiselarder.server.Http;

/** What whoever runs the product sees, and what is never let in. */
class WatchTest {
  /** What is logged, in order; a line may come after the answer that it is about. */
  private static final class Lines extends AppenderBase<ILoggingEvent> {
    private final BlockingQueue<ILoggingEvent> events = new LinkedBlockingQueue<>();

    @Override
    protected void append(ILoggingEvent event) {
      events.add(event);
    }

    /** The next line that holds some words. */
    ILoggingEvent next(String words) throws InterruptedException {
      while (true) {
        ILoggingEvent event = events.poll(30, TimeUnit.SECONDS);
        if (event == null) {
          throw new AssertionError("no line came that holds: " + words);
        }
        if (event.getFormattedMessage().contains(words)) {
          return event;
        }
      }
    }
  }

  private static Lines listen(String logger) {
    Lines lines = new Lines();
    ((Logger) LoggerFactory.getLogger(logger)).addAppender(lines);
    lines.start();
    return lines;
  }

  @Test
  void aSlowQueryIsLoggedWithoutItsValues() throws InterruptedException {
    App.url();
    Lines log = listen("wiselarder.slow-query");
    App.jdbc().sql("select 'quick'").query(String.class).single();
    App.jdbc()
        .sql("select pg_sleep(2)::text || cast(:secret as text)")
        .param("secret", "ann@farm.example")
        .query(String.class)
        .single();
    ILoggingEvent slow = log.next("pg_sleep");
    assertThat(slow.getFormattedMessage()).contains("select").doesNotContain("ann@farm.example");
  }

  @Test
  void theLogNamesRequestAndPersonAndHidesATokensValue() throws InterruptedException {
    App.resetDemo();
    Http visitor = Http.visitor();
    Logger logger = (Logger) LoggerFactory.getLogger("wiselarder.server.watch.RequestLog");
    logger.setLevel(ch.qos.logback.classic.Level.INFO);
    Lines log = listen(logger.getName());
    visitor.get("/api/farms");
    visitor.get("/api/invitations/secret-token");
    ILoggingEvent plans = log.next("/api/farms");
    assertThat(plans.getFormattedMessage()).matches("GET /api/farms 200 \\d+ ms person \\d+");
    assertThat(plans.getMDCPropertyMap().get("request")).matches("[0-9a-f]{8}");
    assertThat(log.next("/api/invitations").getFormattedMessage())
        .contains("/api/invitations/...")
        .doesNotContain("secret-token");
    logger.setLevel(null);
  }
}
