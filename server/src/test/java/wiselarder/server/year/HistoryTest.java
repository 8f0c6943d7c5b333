package wiselarder.server.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.server.App;
import wiselarder.server.Http;
import wiselarder.server.Operations;

/** Numbered revisions, undo and redo, two people at once, copies. */
class HistoryTest {
  private static final String PLAN = "/api/plans/quillback";
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private static String year(int month) {
    return "{\"setYear\": {\"start\": \"2028-%02d-01\", \"months\": 12}}".formatted(month);
  }

  private Http.Answer edit(int revision, String onTopOf, String edit) {
    return http.post(
        PLAN + "/edits",
        "{\"revision\": %d, \"onTopOf\": %s, \"edits\": [%s]}".formatted(revision, onTopOf, edit));
  }

  private JsonNode step(String what, int revision) {
    Http.Answer answer = http.post(PLAN + "/" + what, "{\"revision\": %d}".formatted(revision));
    assertThat(answer.status()).as(what + " at " + revision).isEqualTo(200);
    return answer.json();
  }

  private static String start(JsonNode view) {
    return view.get("plan").get("year").get("start").asString();
  }

  private String field(String id, String member, String value) {
    for (JsonNode f : http.get(PLAN).json().get("farm").get("fields")) {
      if (f.get("id").asString().equals(id)) {
        ObjectNode changed = (ObjectNode) f;
        changed.putRawValue(member, new tools.jackson.databind.util.RawValue(value));
        return "{\"putField\": " + changed + "}";
      }
    }
    throw new AssertionError(id);
  }

  @Test
  void undoAndRedoWalkTheEditsAndNothingLeavesTheHistory() {
    edit(1, "null", year(1));
    JsonNode two = edit(2, "null", year(2)).json();
    assertThat(two.get("undo").get("changes").get(0).get("what").asString()).isEqualTo("YEAR");
    JsonNode start = two.get("undo").get("changes").get(0).get("members").get(0);
    assertThat(start.get("member").asString()).isEqualTo("year.start");
    assertThat(start.get("after").asString()).isEqualTo("2028-02-01");
    assertThat(two.get("redo").isNull()).isTrue();
    assertThat(start(step("undo", 3))).isEqualTo("2028-01-01");
    JsonNode back = step("undo", 4);
    assertThat(start(back)).isEqualTo("2027-09-01");
    assertThat(back.get("undo").isNull()).isTrue();
    assertThat(start(step("redo", 5))).isEqualTo("2028-01-01");
    JsonNode again = step("redo", 6);
    assertThat(start(again)).isEqualTo("2028-02-01");
    assertThat(again.get("redo").isNull()).isTrue();
    JsonNode history = http.get(PLAN + "/history").json();
    assertThat(history).hasSize(7);
    JsonNode redid = history.get(0).get("told");
    assertThat(redid.get("how").asString()).isEqualTo("REDID");
    assertThat(redid.get("number").asInt()).isEqualTo(3);
    assertThat(redid.get("changes").get(0).get("what").asString()).isEqualTo("YEAR");
    assertThat(history.get(0).get("who").asString()).isEqualTo("Visitor");
    assertThat(history.get(6).get("kind").asString()).isEqualTo("BEGAN");
    assertThat(http.get(PLAN + "/history/2").json().get("start").asString())
        .isEqualTo("2028-01-01");
  }

  /** A seeded walk of edits, undos and redos against the plainest possible model: two stacks. */
  @Test
  void anyWalkOfUndoAndRedoEndsWhereTwoStacksWouldEnd() {
    Random random = new Random(7);
    List<String> done = new ArrayList<>(List.of("2027-09-01"));
    List<String> undone = new ArrayList<>();
    int revision = 1;
    for (int i = 0; i < 60; i++) {
      int what = random.nextInt(5);
      if (what < 2) {
        int month = 1 + (i + random.nextInt(5)) % 12;
        edit(revision++, "null", year(month));
        done.add("2028-%02d-01".formatted(month));
        undone.clear();
      } else if (what < 4 && done.size() > 1) {
        step("undo", revision++);
        undone.add(done.remove(done.size() - 1));
      } else if (!undone.isEmpty()) {
        step("redo", revision++);
        done.add(undone.remove(undone.size() - 1));
      }
      JsonNode now = http.get(PLAN).json();
      assertThat(start(now)).as("step " + i).isEqualTo(done.get(done.size() - 1));
      assertThat(now.get("undo").isNull()).isEqualTo(done.size() == 1);
      assertThat(now.get("redo").isNull()).isEqualTo(undone.isEmpty());
    }
  }

  @Test
  void nothingToUndoIsSaid() {
    Http.Answer answer = http.post(PLAN + "/undo", "{\"revision\": 1}");
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().get("code").asString()).isEqualTo("nothing_to_undo");
  }

  @Test
  void theLaterIsToldAndPutsTheirsOnTopAndBothAreKept() {
    String mine = field("saddle", "areaHa", "7.5");
    String theirs = field("saddle", "note", "\"wet in March\"");
    assertThat(edit(1, "null", theirs).status()).isEqualTo(200);
    Http.Answer told = edit(1, "null", mine);
    assertThat(told.status()).isEqualTo(409);
    JsonNode since = told.json().get("since").get(0).get("told").get("changes").get(0);
    assertThat(since.get("name").asString()).isEqualTo("Saddle");
    assertThat(since.get("members").get(0).get("member").asString()).isEqualTo("field.note");
    assertThat(told.json().get("clashes")).isEmpty();
    Http.Answer taken = edit(1, "2", mine);
    assertThat(taken.status()).isEqualTo(200);
    String saddle = taken.json().get("farm").get("fields").toString();
    assertThat(saddle).contains("wet in March", "\"areaHa\":7.5");
  }

  @Test
  void whatBothChangedIsNamedAndATooEarlyPromiseIsNotTaken() {
    String mine = field("saddle", "areaHa", "7.5");
    edit(1, "null", field("saddle", "areaHa", "9"));
    Http.Answer told = edit(1, "null", mine);
    JsonNode clash = told.json().get("clashes").get(0);
    assertThat(clash.get("name").asString()).isEqualTo("Saddle");
    assertThat(clash.get("member").asString()).isEqualTo("field.areaHa");
    assertThat(clash.get("mine").asDouble()).isEqualTo(7.5);
    assertThat(clash.get("theirs").asDouble()).isEqualTo(9);
    edit(2, "null", year(3));
    assertThat(edit(1, "2", mine).status()).as("moved on again").isEqualTo(409);
    assertThat(edit(1, "3", mine).status()).isEqualTo(200);
  }

  @Test
  void aPlanGoesBackToAnyChange() {
    edit(1, "null", year(1));
    edit(2, "null", year(2));
    Http.Answer answer = http.post(PLAN + "/back", "{\"revision\": 3, \"to\": 2}");
    assertThat(start(answer.json())).isEqualTo("2028-01-01");
    assertThat(start(step("undo", 4))).isEqualTo("2028-02-01");
    assertThat(http.post(PLAN + "/back", "{\"revision\": 5, \"to\": 77}").status()).isEqualTo(404);
  }

  @Test
  void aCopyHasItsOwnHistoryAndName() {
    String copy = http.post(PLAN + "/copy", "{\"name\": \"Dry year\"}").json().get("id").asString();
    JsonNode view = http.get("/api/plans/" + copy).json();
    assertThat(view.get("plan").get("name").asString()).isEqualTo("Dry year");
    assertThat(view.get("revision").asInt()).isEqualTo(1);
    JsonNode told = http.get("/api/plans/" + copy + "/history").json().get(0).get("told");
    assertThat(told.get("how").asString()).isEqualTo("COPIED");
    assertThat(told.get("number").asInt()).isEqualTo(1);
    edit(1, "null", "{\"namePlan\": \"Wet year\"}");
    assertThat(http.get("/api/farms/quillback/plans").json().toString())
        .contains("Wet year", "Dry year");
    assertThat(http.post(PLAN + "/copy", "{\"name\": \"\"}").status()).isEqualTo(422);
  }

  @Test
  void aCopyForTheNextYearHasItsDatesInThatYear() {
    JsonNode is = http.get(PLAN).json().get("plan");
    String copy =
        http.post(PLAN + "/copy", "{\"name\": \"Next\", \"yearsOn\": 1}")
            .json()
            .get("id")
            .asString();
    JsonNode then = http.get("/api/plans/" + copy).json().get("plan");
    assertThat(LocalDate.parse(then.get("year").get("start").asString()))
        .isEqualTo(LocalDate.parse(is.get("year").get("start").asString()).plusYears(1));
    assertThat(is.get("cuts")).isNotEmpty();
    for (int c = 0; c < is.get("cuts").size(); c++) {
      assertThat(LocalDate.parse(then.get("cuts").get(c).get("date").asString()))
          .isEqualTo(LocalDate.parse(is.get("cuts").get(c).get("date").asString()).plusYears(1));
    }
    assertThat(http.post(PLAN + "/copy", "{\"name\": \"Far\", \"yearsOn\": 11}").status())
        .isEqualTo(422);
  }

  @Test
  void aFarmKeepsItsLastPlan() {
    Http ann = Http.person("ann");
    String plan =
        ann.post(
                "/api/farms",
                """
                {"name": "Small", "climateId": "transition_humid", "units": "METRIC",
                 "currency": "EUR", "start": "2027-10-01"}""")
            .json()
            .get("plan")
            .asString();
    assertThat(ann.delete("/api/plans/" + plan).status()).isEqualTo(422);
    ann.post("/api/plans/" + plan + "/copy", "{\"name\": \"Second\"}");
    assertThat(ann.delete("/api/plans/" + plan).status()).isEqualTo(204);
    assertThat(ann.get("/api/farms").json().get("farms").get(0).get("plans")).hasSize(1);
  }

  /** Undo, redo, going back, a file, a list and a map each name the revision that was seen. */
  @ParameterizedTest
  @CsvSource({
    "/undo, application/json, '{\"revision\": 1}'",
    "/redo, application/json, '{\"revision\": 1}'",
    "/back, application/json, '{\"revision\": 1, \"to\": 1}'",
    "/file?revision=1, application/json, FILE",
    "/lists/FIELDS?revision=1, text/csv, 'name,area_ac\nSaddle,15\n'",
    "/map?revision=1&forageId=timothy, application/json, MAP",
  })
  void whatWasSeenAtAnOlderRevisionIsToldAndNothingIsDone(String path, String type, String body) {
    edit(1, "null", year(1));
    edit(2, "null", year(2));
    http.post(PLAN + "/undo", "{\"revision\": 3}");
    String sent =
        switch (body) {
          case "FILE" -> Operations.FILE;
          case "MAP" -> Operations.CALLS.get("POST /api/plans/{id}/map").body();
          default -> body.replace("\\n", "\n");
        };
    Http.Answer answer =
        http.call(
            "POST", PLAN + path, type, sent.getBytes(java.nio.charset.StandardCharsets.UTF_8));
    assertThat(answer.status()).as(answer.raw().body()).isEqualTo(409);
    assertThat(answer.json().get("code").asString()).isEqualTo("stale_revision");
    assertThat(answer.json().get("since")).hasSize(3);
    assertThat(http.get(PLAN).json().get("revision").asInt()).isEqualTo(4);
  }

  /** What is long past takes no more room than what was edited; every twentieth stays whole. */
  @Test
  void ofOldChangesEveryTwentiethIsKeptWhole() {
    App.jdbc()
        .sql(
            """
            insert into plan_revision (plan_id, number, told, edits, content, content_version)
            select r.plan_id, n, r.told, '[]', r.content, r.content_version
            from plan_revision r join plan p on p.id = r.plan_id, generate_series(2, 244) n
            where p.slug = 'quillback' and r.number = 1
            """)
        .update();
    App.jdbc().sql("update plan set revision = 244 where slug = 'quillback'").update();
    assertThat(edit(244, "null", "{\"namePlan\": \"Thinned\"}").status()).isEqualTo(200);
    List<Integer> thinned =
        App.jdbc()
            .sql(
                """
                select r.number from plan_revision r join plan p on p.id = r.plan_id
                where p.slug = 'quillback' and r.content is null order by r.number
                """)
            .query(Integer.class)
            .list();
    assertThat(thinned).hasSize(20).contains(25, 39, 41, 45).doesNotContain(40);
    assertThat(http.get(PLAN + "/history/40").status()).isEqualTo(200);
    assertThat(http.get(PLAN + "/history/41").status()).isEqualTo(404);
    JsonNode lines = http.get(PLAN + "/history?before=42").json();
    assertThat(lines).hasSize(41);
    assertThat(lines.get(0).get("whole").asBoolean()).isFalse();
    assertThat(lines.get(1).get("whole").asBoolean()).isTrue();
    assertThat(http.post(PLAN + "/back", "{\"revision\": 245, \"to\": 41}").status())
        .isEqualTo(404);
    assertThat(http.post(PLAN + "/back", "{\"revision\": 245, \"to\": 40}").status())
        .isEqualTo(200);
  }
}
