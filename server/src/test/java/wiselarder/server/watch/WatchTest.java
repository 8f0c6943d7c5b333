package wiselarder.server.watch;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;
import wiselarder.server.App;
import wiselarder.server.Http;

/** What whoever runs the product sees, and what is never let in. */
class WatchTest {
  private static ListAppender<ILoggingEvent> listen(String logger) {
    ListAppender<ILoggingEvent> appender = new ListAppender<>();
    ((Logger) LoggerFactory.getLogger(logger)).addAppender(appender);
    appender.start();
    return appender;
  }

  @Test
  void aSlowQueryIsLoggedWithoutItsValues() {
    App.url();
    ListAppender<ILoggingEvent> log = listen("wiselarder.slow-query");
    App.jdbc()
        .sql("select pg_sleep(0.4)::text || cast(:secret as text)")
        .param("secret", "ann@farm.example")
        .query(String.class)
        .single();
    App.jdbc().sql("select 1").query(Integer.class).single();
    assertThat(log.list)
        .singleElement()
        .satisfies(
            e ->
                assertThat(e.getFormattedMessage())
                    .contains("pg_sleep")
                    .doesNotContain("ann@farm.example"));
  }

  @Test
  void theLogNamesRequestAndPersonAndHidesATokensValue() {
    App.resetDemo();
    Http visitor = Http.visitor();
    Logger logger = (Logger) LoggerFactory.getLogger("wiselarder.server.watch.RequestLog");
    logger.setLevel(ch.qos.logback.classic.Level.INFO);
    ListAppender<ILoggingEvent> log = listen(logger.getName());
    visitor.get("/api/plans");
    visitor.get("/api/invitations/secret-token");
    logger.setLevel(null);
    assertThat(log.list.get(0).getFormattedMessage())
        .matches("GET /api/plans 200 \\d+ ms person \\d+");
    assertThat(log.list.get(0).getMDCPropertyMap().get("request")).matches("[0-9a-f]{8}");
    assertThat(log.list.get(1).getFormattedMessage())
        .contains("/api/invitations/...")
        .doesNotContain("secret-token");
  }

  @Test
  void aBodyThatNoFarmFillsIsRefusedUnread() {
    App.resetDemo();
    byte[] huge = new byte[12_000_001];
    Arrays.fill(huge, (byte) ' ');
    Http visitor = Http.visitor();
    assertThat(visitor.call("POST", "/api/farms/file/preview", "application/json", huge).status())
        .isEqualTo(413);
    assertThat(
            visitor
                .call(
                    "POST",
                    "/api/farms/file/preview",
                    "application/json",
                    "[]".getBytes(StandardCharsets.UTF_8))
                .status())
        .isEqualTo(422);
  }
}
