package wiselarder.server.watch;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.FilterChain;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import wiselarder.server.App;
import wiselarder.server.problem.Answers;

/** Readers come few at a time, and hold nobody else up. */
class ReadersTest {
  private final ExecutorService hands = Executors.newCachedThreadPool();

  @AfterEach
  void end() {
    hands.shutdownNow();
  }

  private static Readers readers(Duration longest) {
    return new Readers(App.bean(Answers.class), longest, 2);
  }

  private static MockHttpServletResponse run(
      Readers readers, String method, String path, FilterChain chain) throws Exception {
    MockHttpServletResponse response = new MockHttpServletResponse();
    readers.doFilter(new MockHttpServletRequest(method, path), response, chain);
    return response;
  }

  private static void await(CountDownLatch latch) {
    try {
      assertThat(latch.await(60, TimeUnit.SECONDS)).isTrue();
    } catch (InterruptedException e) {
      throw new AssertionError(e);
    }
  }

  @Test
  void twoAreReadAtOnceAndAllInTheEnd() throws Exception {
    Readers readers = readers(Duration.ofSeconds(60));
    AtomicInteger now = new AtomicInteger();
    AtomicInteger most = new AtomicInteger();
    List<Future<?>> all = new ArrayList<>();
    for (int i = 0; i < 30; i++) {
      all.add(
          hands.submit(
              () ->
                  run(
                      readers,
                      "GET",
                      "/api/plans/x",
                      (request, response) -> {
                        most.accumulateAndGet(now.incrementAndGet(), Math::max);
                        now.decrementAndGet();
                      })));
    }
    for (Future<?> one : all) {
      one.get(60, TimeUnit.SECONDS);
    }
    assertThat(most.get()).isLessThanOrEqualTo(2);
  }

  /** While two take their answers slowly, an edit, a sum and health are not held up. */
  @Test
  void othersDoNotWaitForReaders() throws Exception {
    Readers readers = readers(Duration.ofSeconds(60));
    CountDownLatch began = new CountDownLatch(2);
    CountDownLatch goOn = new CountDownLatch(1);
    FilterChain slow =
        (request, response) -> {
          began.countDown();
          await(goOn);
        };
    List<Future<?>> all = new ArrayList<>();
    for (int i = 0; i < 2; i++) {
      all.add(hands.submit(() -> run(readers, "GET", "/api/plans/x", slow)));
    }
    await(began);
    AtomicInteger answered = new AtomicInteger();
    FilterChain counts = (request, response) -> answered.incrementAndGet();
    run(readers, "POST", "/api/plans/x/edits", counts);
    run(readers, "GET", "/api/plans/x/levers", counts);
    run(readers, "GET", "/api/plans/x/live", counts);
    run(readers, "GET", "/actuator/health/readiness", counts);
    assertThat(answered.get()).isEqualTo(4);
    // and a reader gets the place of one who takes its answer too slowly
    run(readers, "GET", "/api/plans/y", counts);
    assertThat(answered.get()).isEqualTo(5);
    goOn.countDown();
    for (Future<?> one : all) {
      one.get(60, TimeUnit.SECONDS);
    }
    // each place was given back once: no more than two are read at once now
    twoAreReadAtOnceAndAllInTheEnd();
  }

  @Test
  void whoWouldWaitTooLongIsToldSo() throws Exception {
    Readers readers = readers(Duration.ofMillis(1));
    CountDownLatch began = new CountDownLatch(2);
    CountDownLatch goOn = new CountDownLatch(1);
    for (int i = 0; i < 2; i++) {
      hands.submit(
          () ->
              run(
                  readers,
                  "GET",
                  "/api/plans/x",
                  (request, response) -> {
                    began.countDown();
                    await(goOn);
                  }));
    }
    await(began);
    MockHttpServletResponse told = run(readers, "GET", "/api/plans/x", (q, a) -> {});
    assertThat(told.getStatus()).isEqualTo(503);
    assertThat(told.getContentAsString()).contains("busy");
    goOn.countDown();
  }
}
