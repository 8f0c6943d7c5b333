package wiselarder.server.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.FilterChain;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
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
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import wiselarder.core.engine.Engine;
import wiselarder.server.App;
import wiselarder.server.farm.DemoFarms;
import wiselarder.server.people.Person;
import wiselarder.server.problem.Answers;

/**
 * Sums that run many years: one at a time for each person, and none for longer than its deadline.
 */
class HeavySumsTest {
  private final ExecutorService hands = Executors.newCachedThreadPool();

  @AfterEach
  void done() {
    hands.shutdownNow();
  }

  private static MockHttpServletRequest asks(long person, String what) {
    MockHttpServletRequest request = new MockHttpServletRequest("GET", "/api/plans/x/" + what);
    request.setUserPrincipal(
        UsernamePasswordAuthenticationToken.authenticated(
            new Person(person, "p@x", "P", false), null, List.of()));
    return request;
  }

  private static HeavySums sums(Duration longest) {
    return new HeavySums(App.bean(Answers.class), longest);
  }

  @Test
  void onePersonsSumsComeOneAtATimeAndOthersBesideThem() throws Exception {
    HeavySums sums = sums(Duration.ofSeconds(20));
    AtomicInteger mine = new AtomicInteger();
    AtomicInteger most = new AtomicInteger();
    CountDownLatch began = new CountDownLatch(1);
    CountDownLatch goOn = new CountDownLatch(1);
    FilterChain mineWorks =
        (request, response) -> {
          most.accumulateAndGet(mine.incrementAndGet(), Math::max);
          began.countDown();
          await(goOn);
          mine.decrementAndGet();
        };
    List<Future<?>> all = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      all.add(hands.submit(() -> run(sums, asks(1, "levers"), mineWorks)));
    }
    await(began);
    // somebody else is answered meanwhile, and so am I where nothing heavy is asked
    run(sums, asks(2, "mix"), (request, response) -> {});
    run(sums, asks(1, "trial"), (request, response) -> {});
    assertThat(mine.get()).isEqualTo(1);
    goOn.countDown();
    for (Future<?> one : all) {
      one.get(20, TimeUnit.SECONDS);
    }
    assertThat(most.get()).isEqualTo(1);
  }

  @Test
  void whoWouldWaitTooLongIsToldSo() throws Exception {
    HeavySums sums = sums(Duration.ofMillis(300));
    CountDownLatch began = new CountDownLatch(1);
    CountDownLatch goOn = new CountDownLatch(1);
    Future<?> first =
        hands.submit(
            () ->
                run(
                    sums,
                    asks(1, "levers"),
                    (request, response) -> {
                      began.countDown();
                      await(goOn);
                    }));
    await(began);
    MockHttpServletResponse told = run(sums, asks(1, "ways"), (request, response) -> {});
    assertThat(told.getStatus()).isEqualTo(503);
    assertThat(told.getContentAsString()).contains("busy");
    goOn.countDown();
    first.get(20, TimeUnit.SECONDS);
    assertThat(run(sums, asks(1, "ways"), (request, response) -> {}).getStatus()).isEqualTo(200);
  }

  /** What works on another thread for a request that is over ends too. */
  @Test
  void aSumEndsWithItsRequest() throws Exception {
    var plan = DemoFarms.read("quillback").plans().get(0);
    Engine engine = App.bean(Engine.class);
    run(
        sums(Duration.ofNanos(1)),
        asks(1, "trial"),
        (request, response) -> {
          Engine ofThis = engine.apart().until(Deadline.over());
          assertThatThrownBy(() -> hands.submit(() -> ofThis.simulate(plan)).get())
              .hasCauseInstanceOf(CancellationException.class);
        });
    // and this thread's next request begins anew
    assertThat(engine.apart().until(Deadline.over()).simulate(plan)).isNotNull();
  }

  private static MockHttpServletResponse run(
      HeavySums sums, MockHttpServletRequest request, FilterChain chain) throws Exception {
    MockHttpServletResponse response = new MockHttpServletResponse();
    sums.doFilter(request, response, chain);
    return response;
  }

  private static void await(CountDownLatch latch) {
    try {
      assertThat(latch.await(20, TimeUnit.SECONDS)).isTrue();
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}
