package wiselarder.server.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import wiselarder.server.App;
import wiselarder.server.Http;
import wiselarder.server.people.People;

/** What was reckoned for one is told to the next, and never what is out of date. */
class KeptSumsTest {
  private static final String PLAN = "/api/plans/quillback";
  private final AtomicInteger times = new AtomicInteger();
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  /** Its own answer is how often it was reckoned. */
  private int ask(Object... asked) {
    return App.bean(KeptSums.class)
        .of("quillback", App.bean(People.class).visitor(), plan -> times.incrementAndGet(), asked);
  }

  @Test
  void theSameQuestionIsReckonedOnceAndAnotherAgain() {
    assertThat(ask("a", 1, null)).isEqualTo(1);
    assertThat(ask("a", 1, null)).isEqualTo(1);
    assertThat(ask("a", 2, null)).isEqualTo(2);
    assertThat(ask("a", 1, "dry")).isEqualTo(3);
    assertThat(ask("a", 1, null)).isEqualTo(1);
  }

  @Test
  void aChangeOfPlanOrRecordsIsReckonedAnew() {
    assertThat(ask("b")).isEqualTo(1);
    http.post(
        PLAN + "/edits",
        "{\"revision\": 1, \"onTopOf\": null, \"edits\": [{\"removeLot\": \"fescue-rounds\"}]}");
    assertThat(ask("b")).isEqualTo(2);
    http.post(PLAN + "/undo", "{\"revision\": 2}");
    assertThat(ask("b")).isEqualTo(3);
    String counted =
        """
        {"commandId": "kept-sums", "device": "", "records": [
          {"on": "2027-09-02", "fact":
            {"kind": "LOT_COUNTED", "lotId": "fescue-rounds", "units": 3, "note": ""}}]}""";
    assertThat(http.post(PLAN + "/records", counted).status()).isEqualTo(200);
    assertThat(ask("b")).isEqualTo(4);
    assertThat(ask("b")).isEqualTo(4);
  }

  @Test
  void whatFailedIsNotKept() {
    KeptSums kept = App.bean(KeptSums.class);
    assertThatThrownBy(
            () ->
                kept.of(
                    "quillback",
                    App.bean(People.class).visitor(),
                    plan -> {
                      throw new IllegalStateException("ended");
                    },
                    "c"))
        .hasMessage("ended");
    assertThat(ask("c")).isEqualTo(1);
  }

  /** Who asks the same while it is reckoned waits for it; where that fails it is reckoned anew. */
  @Test
  void twoWhoAskAtOnceShareIt() throws Exception {
    KeptSums kept = App.bean(KeptSums.class);
    var visitor = App.bean(People.class).visitor();
    ExecutorService hands = Executors.newFixedThreadPool(2);
    try {
      for (boolean fails : new boolean[] {false, true}) {
        times.set(0);
        CountDownLatch began = new CountDownLatch(1);
        CountDownLatch goOn = new CountDownLatch(1);
        Future<Integer> first =
            hands.submit(
                () ->
                    kept.of(
                        "quillback",
                        visitor,
                        plan -> {
                          began.countDown();
                          awaits(goOn);
                          if (fails) {
                            throw new IllegalStateException("ended");
                          }
                          return times.incrementAndGet();
                        },
                        "d",
                        fails));
        awaits(began);
        Future<Integer> second = hands.submit(() -> ask("d", fails));
        goOn.countDown();
        assertThat(second.get(60, TimeUnit.SECONDS)).isEqualTo(1);
        if (!fails) {
          assertThat(first.get(60, TimeUnit.SECONDS)).isEqualTo(1);
        }
      }
    } finally {
      hands.shutdownNow();
    }
  }

  private static void awaits(CountDownLatch latch) {
    try {
      assertThat(latch.await(60, TimeUnit.SECONDS)).isTrue();
    } catch (InterruptedException e) {
      throw new AssertionError(e);
    }
  }

  /** The list of ways is the same from memory as it was when it was reckoned. */
  @Test
  void aListOfWaysIsTheSameAgain() {
    String list = PLAN + "/levers?gap=0&kind=BUY_HAY";
    JsonNode once = http.get(list).json();
    assertThat(once).isNotEmpty();
    assertThat(http.get(list).json()).isEqualTo(once);
    assertThat(http.get(list + "&season=dry").json()).isNotEqualTo(once);
  }
}
