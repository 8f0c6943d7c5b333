package wiselarder.server.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.FarmPlan;
import wiselarder.server.App;
import wiselarder.server.Http;

/** Every revision holds the edits that made it: the history can be replayed from its beginning. */
class ReplayTest {
  private static final String PLAN = "/api/plans/quillback";
  private final PlanRepository repository = App.bean(PlanRepository.class);
  private int revision = 1;
  private Http http;

  private void edit(String edits) {
    taken(
        http.post(
            PLAN + "/edits",
            "{\"revision\": %d, \"onTopOf\": null, \"edits\": [%s]}".formatted(revision, edits)));
  }

  private void step(String step, String more) {
    taken(http.post(PLAN + "/" + step, "{\"revision\": %d%s}".formatted(revision, more)));
  }

  private void taken(Http.Answer answer) {
    assertThat(answer.status()).as(answer.raw().body()).isEqualTo(200);
    assertThat(answer.json().get("revision").asInt()).isEqualTo(++revision);
  }

  @Test
  void theHistoryOfAPlanIsReplayedFromItsEdits() {
    App.resetDemo();
    http = Http.visitor();
    String file = http.get("/api/farms/quillback/file").raw().body();
    edit("{\"setYear\": {\"start\": \"2027-10-01\", \"months\": 12}}, {\"namePlan\": \"Dry\"}");
    edit(
        """
        {"putClosing": {"id": "c1", "fieldId": "church-field", "fromInclusive": "2027-10-02",
         "toExclusive": "2027-12-25", "grazedBy": ["cows"], "grazeUntilExclusive": null}}""");
    edit("{\"removeGroup\": \"cows\"}");
    step("undo", "");
    step("redo", "");
    step("back", ", \"to\": 2");
    csv("FIELDS", "name,area_ac\nSaddle,15\n");
    csv("LOTS", "name,units\nFirst-cut fescue,200\n");
    String two =
        "{\"setFeeding\": {\"groupId\": \"bulls\", \"steps\": []}}, {\"removeField\": \"saddle\"}";
    edit(two);
    taken(
        http.call(
            "POST",
            PLAN + "/file?revision=" + revision,
            "application/json",
            file.getBytes(StandardCharsets.UTF_8)));
    // put on top of somebody else's: what was made of it is kept, not what was asked for
    edit("{\"removeLot\": \"orchard-rounds\"}");
    long id = id();
    FarmPlan now = repository.contentAt(id, 1).orElseThrow();
    for (int n = 2; n <= revision; n++) {
      Integer restores =
          App.jdbc()
              .sql("select restores from plan_revision where plan_id = :id and number = :n")
              .param("id", id)
              .param("n", n)
              .query(Integer.class)
              .optional()
              .orElse(null);
      List<PlanEdit> edits = repository.editsOf(id, n);
      assertThat(edits.isEmpty()).as("revision " + n).isEqualTo(restores != null);
      now =
          restores == null
              ? PlanEdit.all(now, edits)
              : repository.contentAt(id, restores).orElseThrow();
      assertThat(now).as("revision " + n).isEqualTo(repository.contentAt(id, n).orElseThrow());
    }
  }

  private void csv(String kind, String rows) {
    taken(
        http.call(
            "POST",
            PLAN + "/lists/" + kind + "?revision=" + revision,
            "text/csv",
            rows.getBytes(StandardCharsets.UTF_8)));
  }

  private static long id() {
    return App.jdbc()
        .sql("select id from plan where slug = 'quillback'")
        .query(Long.class)
        .single();
  }
}
