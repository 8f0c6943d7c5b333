package wiselarder.server.records;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.dao.DataAccessException;
import tools.jackson.databind.JsonNode;
import wiselarder.server.App;
import wiselarder.server.Http;

/** What was seen and done, on the real database: kept once, and touched by no plan. */
class RecordsTest {
  private static final String PLAN = "/api/plans/quillback";
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private static String fed(String command, int units) {
    return write(
        command,
        """
        {"kind": "LOT_FED", "lotId": "fescue-rounds", "units": %d, "groupId": "cows", "note": ""}"""
            .formatted(units));
  }

  private static String write(String command, String fact) {
    return """
        {"commandId": "%s", "device": "yard phone", "records": [{"on": "2027-12-01", "fact": %s}]}"""
        .formatted(command, fact);
  }

  private static String struck(String command, String record) {
    return write(
        command, "{\"kind\": \"STRUCK\", \"record\": \"%s\", \"why\": \"\"}".formatted(record));
  }

  private JsonNode about(String id) {
    return http.get(PLAN + "/records?about=" + id).json();
  }

  /** Bales of the first lot opened on 1 December. */
  private static int opened(JsonNode view) {
    JsonNode units = view.get("year").get("lots").get(0).get("units");
    return units.get(90).asInt() - units.get(91).asInt();
  }

  @Test
  void aRequestThatIsSentTwiceCountsOnce() {
    JsonNode once = http.post(PLAN + "/records", fed("c1", 7)).json();
    JsonNode twice = http.post(PLAN + "/records", fed("c1", 7)).json();
    assertThat(opened(once)).isEqualTo(7);
    assertThat(opened(twice)).isEqualTo(7);
    assertThat(count()).isEqualTo(1);
    Http.Answer other = http.post(PLAN + "/records", fed("c1", 8));
    assertThat(other.status()).isEqualTo(422);
    assertThat(other.json().get("code").asString()).isEqualTo("command_reused");
    assertThat(opened(http.post(PLAN + "/records", fed("c2", 2)).json())).isEqualTo(9);
  }

  @Test
  void theSameRequestFromTwoSidesAtOnceCountsOnce() throws Exception {
    Http again = Http.visitor();
    ExecutorService two = Executors.newFixedThreadPool(2);
    try {
      for (int n = 0; n < 5; n++) {
        String body = fed("both-" + n, 1);
        Callable<Integer> mine = () -> http.post(PLAN + "/records", body).status();
        Callable<Integer> other = () -> again.post(PLAN + "/records", body).status();
        for (Future<Integer> status : two.invokeAll(List.of(mine, other))) {
          assertThat(status.get()).isEqualTo(200);
        }
        assertThat(count()).isEqualTo(n + 1);
      }
    } finally {
      two.shutdown();
    }
  }

  private static int count() {
    return App.jdbc()
        .sql("select count(*) from farm_record where kind = 'LOT_FED'")
        .query(Integer.class)
        .single();
  }

  @Test
  void undoRedoAndGoingBackLeaveRecordsAlone() {
    String edit =
        """
        {"revision": 1, "onTopOf": null, "edits": [{"removeLot": "orchard-rounds"}]}""";
    assertThat(http.post(PLAN + "/edits", edit).json().get("revision").asInt()).isEqualTo(2);
    // written while somebody sees revision 1 still: nobody is told of a stale revision
    assertThat(opened(http.post(PLAN + "/records", fed("c1", 7)).json())).isEqualTo(7);
    assertThat(opened(http.post(PLAN + "/undo", "{\"revision\": 2}").json())).isEqualTo(7);
    assertThat(opened(http.post(PLAN + "/redo", "{\"revision\": 3}").json())).isEqualTo(7);
    assertThat(opened(http.post(PLAN + "/back", "{\"revision\": 4, \"to\": 1}").json()))
        .isEqualTo(7);
    // the lot may go from the plan, and what was done with it is known when it comes back
    http.post(
        PLAN + "/edits",
        "{\"revision\": 5, \"onTopOf\": null, \"edits\": [{\"removeLot\": \"fescue-rounds\"}]}");
    assertThat(about("fescue-rounds").get(0).get("fact").get("units").asInt()).isEqualTo(7);
    assertThat(opened(http.post(PLAN + "/undo", "{\"revision\": 6}").json())).isEqualTo(7);
  }

  @Test
  void aWrongRecordIsStruckOutByAnotherAndBothAreKept() {
    http.post(PLAN + "/records", fed("c1", 7));
    JsonNode after = http.post(PLAN + "/records", struck("c2", "c1")).json();
    assertThat(opened(after)).isNotEqualTo(7);
    JsonNode line = about("fescue-rounds").get(0);
    assertThat(line.get("struckBy").asString()).isEqualTo("Visitor");
    assertThat(line.get("fact").get("units").asInt()).isEqualTo(7);
    // striking the striking out lets it count again
    assertThat(opened(http.post(PLAN + "/records", struck("c3", "c2")).json())).isEqualTo(7);
    assertThat(about("fescue-rounds").get(0).get("struckBy").isNull()).isTrue();
  }

  @Test
  void theTableRefusesEveryChangeOfARecord() {
    http.post(PLAN + "/records", fed("c1", 7));
    assertThatThrownBy(
            () ->
                App.jdbc()
                    .sql("update farm_record set happened_on = happened_on + 1 where id = 'c1'")
                    .update())
        .isInstanceOf(DataAccessException.class)
        .hasMessageContaining("a record is never changed");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"kind\": \"LOT_FED\", \"lotId\": \"none\", \"units\": 2, \"groupId\": null, \"note\": \"\"} | record.lotId",
        "{\"kind\": \"LOT_FED\", \"lotId\": \"fescue-rounds\", \"units\": 2, \"groupId\": \"nobody\", \"note\": \"\"} | record.groupId",
        "{\"kind\": \"LOT_FED\", \"lotId\": \"fescue-rounds\", \"units\": 0, \"groupId\": null, \"note\": \"\"} | fed.units",
        "{\"kind\": \"LOT_COUNTED\", \"lotId\": \"fescue-rounds\", \"units\": -1, \"note\": \"\"} | counted.units",
        "{\"kind\": \"CONDITION_SEEN\", \"groupId\": \"ewes\", \"score\": 7, \"weightKg\": null} | condition.score",
        "{\"kind\": \"STRUCK\", \"record\": \"none\", \"why\": \"\"} | record.record",
        "null | record.fact",
      })
  void whatCannotBeIsRefusedByNameAndNothingIsKept(String fact, String field) {
    Http.Answer answer = http.post(PLAN + "/records", write("c1", fact));
    assertThat(answer.status()).as(answer.raw().body()).isEqualTo(422);
    assertThat(answer.json().get("field").asString()).isEqualTo(field);
    assertThat(count()).isZero();
  }

  @Test
  void anUnknownKindIsToldToo() {
    Http.Answer answer = http.post(PLAN + "/records", write("c1", "{\"kind\": \"DREAMT\"}"));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().get("code").asString()).isEqualTo("unreadable");
  }

  @Test
  void aFarmsFileCarriesItsRecordsAndTheOneMadeOfItKnowsThem() {
    Http kim = Http.person("kim");
    String file = http.get("/api/farms/quillback/file").raw().body();
    JsonNode made = kim.post("/api/farms/file", file).json();
    String plan = "/api/plans/" + made.get("plan").asString();
    kim.post(plan + "/records", fed("c1", 7));
    kim.post(plan + "/records", struck("c2", "score-cows-2027-09-01"));
    String again = kim.get("/api/farms/" + made.get("farm").asString() + "/file").raw().body();
    JsonNode copy = kim.post("/api/farms/file", again).json();
    JsonNode records = kim.get("/api/plans/" + copy.get("plan").asString() + "/records").json();
    assertThat(records).hasSize(4);
    assertThat(records.get(0).get("who").asString()).isEqualTo("kim");
    assertThat(records.get(0).get("device").asString()).isEqualTo("yard phone");
    assertThat(records.get(3).get("struckBy").asString()).isEqualTo("kim");
  }
}
