package wiselarder.server.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import wiselarder.server.App;
import wiselarder.server.Http;

/** Many people edit at once: one wins each revision, nobody's edit is half there or lost unseen. */
class ConcurrencyTest {
  private static final String PLAN = "/api/plans/quillback";

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
  }

  @Test
  void ofEditsMadeOnOneRevisionExactlyOneIsTaken() throws Exception {
    ExecutorService people = Executors.newFixedThreadPool(6);
    try {
      List<Future<Integer>> answers = new ArrayList<>();
      for (int p = 0; p < 12; p++) {
        String edit =
            """
            {"revision": 1, "edits": [{"setYear": {"start": "2027-09-%02d", "months": 12}}]}"""
                .formatted(p + 1);
        answers.add(people.submit(() -> Http.visitor().post(PLAN + "/edits", edit).status()));
      }
      List<Integer> statuses = new ArrayList<>();
      for (Future<Integer> answer : answers) {
        statuses.add(answer.get());
      }
      assertThat(statuses).containsOnly(200, 409);
      assertThat(statuses).filteredOn(s -> s == 200).hasSize(1);
      assertThat(Http.visitor().get(PLAN).json().get("revision").asInt()).isEqualTo(2);
    } finally {
      people.shutdownNow();
    }
  }

  /** However many plans are removed at once, a farm keeps one. */
  @Test
  void aFarmKeepsAPlanThoughAllAreRemovedAtOnce() throws Exception {
    Http ann = Http.person("ann");
    String made =
        """
        {"name": "Small", "climateId": "transition_humid", "units": "METRIC", "currency": "EUR",
         "start": "2027-10-01"}""";
    ann.post("/api/farms", made);
    ExecutorService hands = Executors.newFixedThreadPool(6);
    try {
      for (int round = 0; round < 5; round++) {
        List<String> plans = new ArrayList<>();
        ann.get("/api/farms")
            .json()
            .get("farms")
            .get(0)
            .get("plans")
            .forEach(p -> plans.add(p.get("id").asString()));
        for (int n = plans.size(); n < 6; n++) {
          String copy = "{\"name\": \"Copy %d\", \"yearsOn\": 0}".formatted(n);
          plans.add(
              ann.post("/api/plans/" + plans.get(0) + "/copy", copy).json().get("id").asString());
        }
        List<Future<Integer>> answers = new ArrayList<>();
        for (String plan : plans) {
          answers.add(hands.submit(() -> ann.delete("/api/plans/" + plan).status()));
        }
        List<Integer> statuses = new ArrayList<>();
        for (Future<Integer> answer : answers) {
          statuses.add(answer.get());
        }
        assertThat(statuses).containsOnly(204, 422);
        assertThat(ann.get("/api/farms").json().get("farms").get(0).get("plans")).hasSize(1);
      }
    } finally {
      hands.shutdownNow();
    }
  }

  @Test
  void everyRevisionKeepsTheWholePlanAsItWas() {
    Http http = Http.visitor();
    for (int revision = 1; revision <= 3; revision++) {
      int status =
          http.post(
                  PLAN + "/edits",
                  """
                  {"revision": %d, "edits": [{"setYear": {"start": "2028-0%d-01", "months": 12}}]}"""
                      .formatted(revision, revision + 1))
              .status();
      assertThat(status).isEqualTo(200);
    }
    List<String> starts =
        App.jdbc()
            .sql(
                """
                select r.content #>> '{plan,year,start}'
                from plan_revision r join plan p on p.id = r.plan_id
                where p.slug = 'quillback' order by r.number
                """)
            .query(String.class)
            .list();
    assertThat(starts).containsExactly("2027-09-01", "2028-02-01", "2028-03-01", "2028-04-01");
  }
}
