package wiselarder.server.walk;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import wiselarder.server.App;
import wiselarder.server.Http;
import wiselarder.server.Operations;
import wiselarder.server.farm.Farms;
import wiselarder.server.farm.Invitations;
import wiselarder.server.people.People;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.Told;

/** A round over the fields of a demo farm, on the real database. */
class WalkApiTest {
  private static final String PLAN = "/api/plans/quillback";
  private static final String WALK = PLAN + "/walk?on=2028-04-20";
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private static String reading(double kgPerHa) {
    return """
        {"kind": "COVER_SEEN", "fieldId": "home-bottom", "forageId": "tall_fescue_novel",
         "way": "EYE", "coverKgPerHa": %s, "signs": [{"signId": "tips_bitten", "value": "pointed"}]}"""
        .formatted(kgPerHa);
  }

  private static String written(String command, String on, String reading) {
    return """
        {"commandId": "%s", "device": "yard phone", "records": [{"on": "%s", "fact": %s}]}"""
        .formatted(command, on, reading);
  }

  private JsonNode field(JsonNode walk, String id) {
    for (JsonNode f : walk.get("fields")) {
      if (f.get("fieldId").asString().equals(id)) {
        return f;
      }
    }
    throw new AssertionError("no field " + id);
  }

  /** Asked, then written down, then struck out: what was answered is what comes, and goes again. */
  @Test
  void aReadingMovesTheForecastAndStruckOutItMovesItBack() {
    JsonNode walk = http.get(WALK).json();
    assertThat(walk.get("fields")).hasSize(14);
    assertThat(walk.get("first")).isNotEmpty();
    double expected = field(walk, "home-bottom").get("expectedKgPerHa").asDouble();
    assertThat(expected).isBetween(800.0, 5000.0);
    String asked = "{\"on\": \"2028-04-20\", \"reading\": %s}".formatted(reading(expected - 500));
    JsonNode answer = http.post(PLAN + "/walk/answer", asked).json();
    assertThat(answer.get("feedDays").asDouble()).isNegative();
    assertThat(http.get(WALK).json()).as("nothing is kept").isEqualTo(walk);
    String command = written("w1", "2028-04-20", reading(expected - 500));
    assertThat(http.post(PLAN + "/records", command).status()).isEqualTo(200);
    assertThat(http.post(PLAN + "/records", command).status()).isEqualTo(200);
    JsonNode after = http.get(WALK).json();
    assertThat(after.get("ahead")).isEqualTo(answer.get("after"));
    assertThat(field(after, "home-bottom").get("readToday").asBoolean()).isTrue();
    JsonNode lines = http.get(PLAN + "/walk/readings").json();
    assertThat(lines).hasSize(1);
    assertThat(lines.get(0).get("coverKgPerHa").asDouble()).isEqualTo(expected - 500);
    String struck =
        """
        {"commandId": "w2", "device": "yard phone", "records": [{"on": "2028-04-20",
         "fact": {"kind": "STRUCK", "record": "w1", "why": "wrong field"}}]}""";
    assertThat(http.post(PLAN + "/records", struck).status()).isEqualTo(200);
    assertThat(http.get(WALK).json()).isEqualTo(walk);
  }

  /** Three that waited on a phone, the middle one wrong; the signal is lost and all come again. */
  @Test
  void whatWaitedIsTakenInOrderEachForItself() {
    String right = written("q1", "2028-04-10", reading(2000));
    String wrong = written("q2", "2028-04-10", reading(-5));
    String later = written("q3", "2028-04-20", reading(2240));
    String waited = "[%s, %s, %s]".formatted(right, wrong, later);
    for (int time = 0; time < 2; time++) {
      JsonNode taken = http.post(PLAN + "/records/queued", waited).json();
      assertThat(taken).hasSize(3);
      assertThat(taken.get(0).get("refused").isNull()).isTrue();
      assertThat(taken.get(1).get("commandId").asString()).isEqualTo("q2");
      assertThat(taken.get(1).get("refused").get("field").asString())
          .isEqualTo("seen.coverKgPerHa");
      assertThat(taken.get(2).get("refused").isNull()).isTrue();
      assertThat(http.get(PLAN + "/walk/readings").json()).hasSize(2);
    }
    assertThat(http.post(PLAN + "/records/queued", "[]").status()).isEqualTo(422);
  }

  @Test
  void readingsComeAsAList() {
    http.post(PLAN + "/records", written("w1", "2028-04-10", reading(2000)));
    http.post(PLAN + "/records", written("w2", "2028-04-20", reading(2240)));
    String[] lines =
        http.get(PLAN + "/walk/readings/file?units=METRIC").raw().body().strip().split("\r?\n");
    assertThat(lines[0])
        .startsWith("field,date,cover_kg_per_ha,low_kg_per_ha,high_kg_per_ha,expected_kg_per_ha");
    assertThat(lines[1])
        .startsWith("Home Bottom,2028-04-10,2000,1500,2500,")
        .endsWith(",,,Visitor");
    assertThat(lines[2]).startsWith("Home Bottom,2028-04-20,2240,1680,2800,");
    // a number stays a number, also below nothing
    http.post(PLAN + "/records", written("w3", "2028-04-21", reading(900)));
    String[] shrunk =
        http.get(PLAN + "/walk/readings/file?units=METRIC").raw().body().strip().split("\r?\n");
    assertThat(shrunk[3].split(",")[7]).matches("-\\d+\\.\\d");
    assertThat(http.get(PLAN + "/walk/readings/file?units=IMPERIAL").raw().body())
        .contains("cover_lb_per_ac")
        .contains("Home Bottom,2028-04-10,1784,");
  }

  /** Moves, rain, stakes and a shut field come as a list, in the reader's units. */
  @Test
  void whatElseWasSeenComesAsAList() {
    String seen =
        """
        {"commandId": "s1", "device": "", "records": [
         {"on": "2028-04-20", "fact": {"kind": "NOTICED", "what": "RAIN", "amount": 25.4}},
         {"on": "2028-04-10", "fact": {"kind": "HERD_MOVED", "groupId": "cows",
          "fieldId": "home-bottom", "note": "=1+1"}},
         {"on": "2028-04-21", "fact": {"kind": "STAKE_SEEN", "fieldId": "home-bottom",
          "stake": "gate", "heightCm": 12.7, "left": false, "tips": "BLUNT"}},
         {"on": "2028-04-22", "fact": {"kind": "FIELD_HELD", "fieldId": "home-bottom",
          "until": "2028-05-01", "why": "flooded"}}]}""";
    assertThat(http.post(PLAN + "/records", seen).status()).isEqualTo(200);
    String[] lines =
        http.get(PLAN + "/walk/seen/file?units=IMPERIAL").raw().body().strip().split("\r?\n");
    assertThat(lines[0]).isEqualTo("date,what,field,group,value,unit,detail,note,who");
    assertThat(lines[1]).startsWith("2028-04-10,moved,Home Bottom,Cows,,,,'=1+1,");
    assertThat(lines[2]).startsWith("2028-04-20,rain,,,1.0,in,,,");
    assertThat(lines[3]).startsWith("2028-04-21,stake,Home Bottom,,5.0,in,\"gate, tips blunt\",,");
    assertThat(lines[4]).startsWith("2028-04-22,shut,Home Bottom,,,,until 2028-05-01,flooded,");
    assertThat(http.get(PLAN + "/walk/seen/file?units=METRIC").raw().body())
        .contains("2028-04-20,rain,,,25.4,mm");
  }

  @Test
  void whatIsUnknownIsRefusedBeforeItIsKept() {
    String to =
        written(
            "m1",
            "2028-04-20",
            "{\"kind\": \"HERD_MOVED\", \"groupId\": \"cows\", \"fieldId\": \"x\"}");
    assertThat(http.post(PLAN + "/records", to).json().get("field").asString())
        .isEqualTo("record.fieldId");
    String stems =
        written(
            "m2",
            "2028-04-20",
            "{\"kind\": \"STEMS_SEEN\", \"fieldId\": \"saddle\", \"forageId\": \"cereal_rye\","
                + " \"stems\": [{\"stageId\": \"sprouted\"}]}");
    assertThat(http.post(PLAN + "/records", stems).json().get("field").asString())
        .isEqualTo("stem.stageId");
  }

  /** Whoever is out there may shut a field; to open it, or to strike that out, is who plans. */
  @Test
  void aHelperShutsAFieldAndDoesNotOpenIt() {
    Person ann = App.bean(People.class).add("Ann", "ann@farm.example", Http.PASSWORD);
    Person hand = App.bean(People.class).add("Hal", "hal@farm.example", Http.PASSWORD);
    Farms.Made made = App.bean(Farms.class).make(ann, Operations.DEMO, Told.How.BEGAN_EMPTY);
    Invitations invitations = App.bean(Invitations.class);
    invitations.accept(invitations.invite(made.farm(), ann, "Hal", Role.HELPER), hand);
    Http helper = Http.signedIn("hal");
    String plan = "/api/plans/" + made.plan();
    String held =
        "{\"kind\": \"FIELD_HELD\", \"fieldId\": \"home-bottom\", \"until\": null, \"why\": \"flood\"}";
    String opened = "{\"kind\": \"FIELD_OPENED\", \"fieldId\": \"home-bottom\", \"why\": \"dry\"}";
    String struck = "{\"kind\": \"STRUCK\", \"record\": \"h1\", \"why\": \"\"}";
    String on = "2027-12-01";
    assertThat(helper.post(plan + "/records", written("h1", on, held)).status()).isEqualTo(200);
    assertThat(helper.post(plan + "/records", written("h2", on, opened)).status()).isEqualTo(403);
    assertThat(helper.post(plan + "/records", written("h3", on, struck)).status()).isEqualTo(403);
    assertThat(helper.get(plan + "/walk?on=" + on).json().get("held")).hasSize(1);
    Http owner = Http.signedIn("ann");
    assertThat(owner.post(plan + "/records", written("h4", on, opened)).status()).isEqualTo(200);
    assertThat(helper.get(plan + "/walk?on=" + on).json().get("held")).isEmpty();
  }

  @Test
  void aDayOutsideOfThePlanIsRefused() {
    assertThat(http.get(PLAN + "/walk?on=2040-01-01").status()).isEqualTo(422);
    assertThat(http.get(PLAN + "/walk?on=2040-01-01").json().get("code").asString())
        .isEqualTo("date_outside_plan");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"fieldId\": \"none\", \"forageId\": \"timothy\", \"way\": \"EYE\", \"coverKgPerHa\": 9 | record.fieldId",
        "\"fieldId\": \"home-bottom\", \"forageId\": \"moss\", \"way\": \"EYE\", \"coverKgPerHa\": 9 | forageId",
        "\"fieldId\": \"home-bottom\", \"forageId\": \"timothy\", \"way\": \"EYE\" | seen.coverKgPerHa",
        "\"fieldId\": \"home-bottom\", \"forageId\": \"timothy\", \"way\": \"HEIGHT\", \"heightsCm\": [] | seen.heightsCm",
        "\"fieldId\": \"home-bottom\", \"forageId\": \"timothy\", \"way\": \"HEIGHT\", \"heightsCm\": [900] | measured.heightCm",
        "\"fieldId\": \"home-bottom\", \"forageId\": \"timothy\", \"way\": \"PLATE\", \"plate\": [9] | seen.plate",
        "\"fieldId\": \"home-bottom\", \"forageId\": \"timothy\", \"way\": \"CLIP\", \"clips\": [] | seen.clips",
        "\"fieldId\": \"home-bottom\", \"forageId\": \"timothy\", \"way\": \"EYE\", \"coverKgPerHa\": 9, \"signs\": [{\"signId\": \"x\", \"value\": \"y\"}] | sign.signId",
        "\"fieldId\": \"home-bottom\", \"forageId\": \"timothy\", \"way\": \"EYE\", \"coverKgPerHa\": 9, \"deadShare\": 3 | seen.deadShare",
      })
  void whatCannotBeIsRefusedByNameAndNothingIsKept(String reading, String field) {
    Http.Answer answer =
        http.post(
            PLAN + "/records",
            written("w1", "2028-04-20", "{\"kind\": \"COVER_SEEN\", " + reading + "}"));
    assertThat(answer.status()).as(answer.raw().body()).isEqualTo(422);
    assertThat(answer.json().get("field").asString()).contains(field);
    assertThat(http.get(PLAN + "/walk/readings").json()).isEmpty();
  }
}
