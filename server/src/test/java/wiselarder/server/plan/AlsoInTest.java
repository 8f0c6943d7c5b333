package wiselarder.server.plan;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.util.RawValue;
import wiselarder.server.App;
import wiselarder.server.Http;

/** One change in several plans of a farm at once. */
class AlsoInTest {
  private static final String PLAN = "/api/plans/quillback";
  private Http http;
  private String other;
  private String otherId;

  @BeforeEach
  void twoPlans() {
    App.resetDemo();
    http = Http.visitor();
    otherId = http.post(PLAN + "/copy", "{\"name\": \"Dry year\"}").json().get("id").asString();
    other = "/api/plans/" + otherId;
  }

  private JsonNode saddle(String plan) {
    for (JsonNode f : http.get(plan).json().get("farm").get("fields")) {
      if (f.get("id").asString().equals("saddle")) {
        return f;
      }
    }
    return null;
  }

  /** The field as it stands in a plan, with a member changed, as an edit. */
  private String saddle(String plan, String member, String value) {
    ObjectNode changed = (ObjectNode) saddle(plan);
    changed.putRawValue(member, new RawValue(value));
    return "{\"putField\": " + changed + "}";
  }

  private int revision(String plan) {
    return http.get(plan).json().get("revision").asInt();
  }

  private Http.Answer edit(String plan, String edit, String also) {
    return http.post(
        plan + "/edits",
        "{\"revision\": %d, \"onTopOf\": null, \"edits\": [%s], \"alsoIn\": [%s]}"
            .formatted(revision(plan), edit, also));
  }

  private String also(Integer onTopOf) {
    return "{\"plan\": \"%s\", \"onTopOf\": %s}".formatted(otherId, onTopOf);
  }

  @Test
  void whatIsChangedHereIsChangedThereAndWhatIsOtherwiseThereStays() {
    edit(other, saddle(other, "residualKgPerHa", "1500"), "");
    Http.Answer answer = edit(PLAN, saddle(PLAN, "areaHa", "5"), also(null));
    assertThat(answer.status()).as(answer.raw().body()).isEqualTo(200);
    assertThat(answer.json().get("others").get(0).get("name").asString()).isEqualTo("Dry year");
    assertThat(saddle(PLAN).get("areaHa").asDouble()).isEqualTo(5);
    assertThat(saddle(PLAN).get("residualKgPerHa").isNull()).isTrue();
    assertThat(saddle(other).get("areaHa").asDouble()).isEqualTo(5);
    assertThat(saddle(other).get("residualKgPerHa").asDouble()).isEqualTo(1500);
    JsonNode told = http.get(other + "/history").json().get(0).get("told");
    assertThat(told.get("how").asString()).isEqualTo("ALSO");
    assertThat(told.get("name").asString())
        .isEqualTo(http.get(PLAN).json().get("plan").get("name").asString());
    assertThat(told.get("changes").get(0).get("members").get(0).get("member").asString())
        .isEqualTo("field.areaHa");
  }

  @Test
  void whatWouldBeOverwrittenIsToldAndNothingIsDoneInAnyUntilThen() {
    edit(other, saddle(other, "areaHa", "9"), "");
    String mine = saddle(PLAN, "areaHa", "5");
    Http.Answer told = edit(PLAN, mine, also(null));
    assertThat(told.status()).isEqualTo(409);
    assertThat(told.json().get("code").asString()).isEqualTo("clashes_elsewhere");
    JsonNode against = told.json().get("against").get(0);
    assertThat(against.get("name").asString()).isEqualTo("Dry year");
    assertThat(against.get("revision").asInt()).isEqualTo(2);
    assertThat(against.get("clashes").get(0).get("member").asString()).isEqualTo("field.areaHa");
    assertThat(against.get("clashes").get(0).get("theirs").asDouble()).isEqualTo(9);
    assertThat(revision(PLAN)).isEqualTo(1);

    // told of an older state of the other plan: told again
    edit(other, saddle(other, "areaHa", "8"), "");
    assertThat(edit(PLAN, mine, also(2)).status()).isEqualTo(409);
    assertThat(edit(PLAN, mine, also(3)).status()).isEqualTo(200);
    assertThat(saddle(other).get("areaHa").asDouble()).isEqualTo(5);
    assertThat(saddle(PLAN).get("areaHa").asDouble()).isEqualTo(5);
  }

  @Test
  void whatTheOtherPlanCannotTakeIsToldWithItsReasonAndNothingIsDone() {
    http.post(
        other + "/edits",
        """
        {"revision": 1, "onTopOf": null, "edits": [{"removeField": "saddle"}]}""");
    String id = http.get(PLAN).json().get("farm").get("groups").get(0).get("id").asString();
    String feeding =
        """
        {"setFeeding": {"groupId": "%1$s", "steps": [{"id": "s-1", "groupId": "%1$s",
         "kind": "GRAZE", "sourceIds": ["saddle"], "fromInclusive": null, "toExclusive": null,
         "portion": null, "roundDays": null}]}}"""
            .formatted(id);
    Http.Answer told = edit(PLAN, feeding, also(null));
    assertThat(told.status()).isEqualTo(409);
    JsonNode refused = told.json().get("against").get(0).get("refused");
    assertThat(refused.get("code").asString()).isEqualTo("unknown_id");
    assertThat(refused.get("values").get("id").asString()).isEqualTo("saddle");
    assertThat(revision(PLAN)).isEqualTo(1);
    assertThat(edit(PLAN, feeding, also(2)).status()).as("being told does not help").isEqualTo(409);
    assertThat(edit(PLAN, feeding, "").status()).isEqualTo(200);
  }

  @Test
  void whatIsGoneThereAlreadyIsNoChangeThere() {
    http.post(
        other + "/edits",
        """
        {"revision": 1, "onTopOf": null, "edits": [{"removeField": "saddle"}]}""");
    assertThat(edit(PLAN, "{\"removeField\": \"saddle\"}", also(null)).status()).isEqualTo(200);
    assertThat(saddle(PLAN)).isNull();
    assertThat(revision(other)).isEqualTo(2);
  }

  @Test
  void onePlansUndoLeavesTheOtherAsItIs() {
    edit(PLAN, saddle(PLAN, "areaHa", "5"), also(null));
    http.post(PLAN + "/undo", "{\"revision\": 2}");
    assertThat(saddle(PLAN).get("areaHa").asDouble()).isNotEqualTo(5);
    assertThat(saddle(other).get("areaHa").asDouble()).isEqualTo(5);
    http.post(other + "/undo", "{\"revision\": 2}");
    assertThat(saddle(other).get("areaHa").asDouble()).isNotEqualTo(5);
  }

  @Test
  void aPlanNamedTwiceIsChangedOnceAndOneWithoutNameIsRefused() {
    String edit = saddle(PLAN, "areaHa", "5");
    assertThat(edit(PLAN, edit, also(null) + ", " + also(null)).status()).isEqualTo(200);
    assertThat(revision(other)).isEqualTo(2);
    Http.Answer nameless = edit(PLAN, edit, "{\"plan\": null, \"onTopOf\": null}");
    assertThat(nameless.status()).isEqualTo(422);
    assertThat(nameless.json().get("field").asString()).isEqualTo("alsoIn.plan");
    assertThat(edit(PLAN, edit, "null").status()).isEqualTo(422);
    assertThat(revision(PLAN)).isEqualTo(2);
  }

  @Test
  void aPlanOfAnotherFarmIsNotThere() {
    Http ann = Http.person("ann");
    String foreign =
        ann.post(
                "/api/farms",
                """
                {"name": "Small", "climateId": "transition_humid", "units": "METRIC",
                 "currency": "EUR", "start": "2027-10-01"}""")
            .json()
            .get("plan")
            .asString();
    String edit = saddle(PLAN, "areaHa", "5");
    Http.Answer answer =
        edit(PLAN, edit, "{\"plan\": \"%s\", \"onTopOf\": null}".formatted(foreign));
    assertThat(answer.status()).isEqualTo(404);
    // ann's two farms: hers both, yet no plan of one changes with a plan of the other
    String second =
        ann.post(
                "/api/farms",
                """
                {"name": "Second", "climateId": "transition_humid", "units": "METRIC",
                 "currency": "EUR", "start": "2027-10-01"}""")
            .json()
            .get("plan")
            .asString();
    Http.Answer across =
        ann.post(
            "/api/plans/" + foreign + "/edits",
            """
            {"revision": 1, "onTopOf": null, "edits": [{"namePlan": "x"}],
             "alsoIn": [{"plan": "%s", "onTopOf": null}]}"""
                .formatted(second));
    assertThat(across.status()).isEqualTo(404);
    assertThat(revision(PLAN)).isEqualTo(1);
  }
}
