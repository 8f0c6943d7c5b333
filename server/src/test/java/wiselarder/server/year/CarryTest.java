package wiselarder.server.year;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import wiselarder.server.App;
import wiselarder.server.Http;

/** One plan begins as another leaves it: a new one, or one that is there. */
class CarryTest {
  private static final String PLAN = "/api/plans/quillback";
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private static JsonNode named(JsonNode list, String name) {
    for (JsonNode n : list) {
      if (n.get("name").asString().equals(name)) {
        return n;
      }
    }
    throw new AssertionError(name + " in " + list);
  }

  private String next(String more) {
    Http.Answer made =
        http.post(PLAN + "/copy", "{\"name\": \"Next\", \"yearsOn\": 1%s}".formatted(more));
    assertThat(made.status()).isEqualTo(200);
    return "/api/plans/" + made.json().get("id").asString();
  }

  @Test
  void theNextPlanBeginsWithWhatIsLeft() {
    JsonNode is = http.get(PLAN).json();
    JsonNode first = http.get(PLAN + "/next?yearsOn=1").json();
    assertThat(first.get("start").asString()).isEqualTo("2028-09-01");
    JsonNode then =
        http.get(next(", \"carried\": true, \"sameAnimals\": [\"replacements\"]")).json();
    JsonNode lot = named(then.get("farm").get("lots"), "Mill Bottom, May");
    assertThat(lot.get("units").asInt())
        .isEqualTo(named(first.get("lots"), "Mill Bottom, May").get("units").asInt())
        .isPositive();
    assertThat(lot.get("origin").get("worth").get("from").asString()).isEqualTo("CUT");
    JsonNode home = named(then.get("farm").get("fields"), "Home Bottom").get("stand");
    JsonNode before = named(is.get("farm").get("fields"), "Home Bottom").get("stand");
    assertThat(home.get("openingCoverKgPerHa")).isNotEqualTo(before.get("openingCoverKgPerHa"));
    assertThat(then.get("plan").get("ground")).hasSize(is.get("farm").get("fields").size());
    JsonNode growing = first.get("growing").get(0);
    JsonNode heifers = named(then.get("farm").get("groups"), growing.get("name").asString());
    assertThat(growing.get("laterKg").asDouble())
        .isGreaterThan(growing.get("weightKg").asDouble() + 100);
    assertThat(heifers.get("weightKg").asDouble())
        .isEqualTo(
            growing.get("id").asString().equals("replacements")
                ? growing.get("laterKg").asDouble()
                : growing.get("weightKg").asDouble(),
            org.assertj.core.api.Assertions.within(0.1));
    // the steers that come at weaning come in the new year
    assertThat(named(then.get("farm").get("groups"), "Steers").get("fromInclusive").asString())
        .startsWith("2028-");
  }

  /** More was written down since: the first day is taken anew, and can be taken back. */
  @Test
  void aPlanTakesItsFirstDayAnewAsOneChange() {
    String next = next("");
    JsonNode before = http.get(next + "/before").json();
    assertThat(before).hasSize(1);
    assertThat(before.get(0).get("id").asString()).isEqualTo("quillback");
    assertThat(http.get(PLAN + "/before").json()).isEmpty();
    JsonNode shown = http.get(next + "/begin?from=quillback").json();
    assertThat(named(shown.get("lots"), "Mill Bottom, May").get("made").asBoolean()).isTrue();
    String begin = "{\"revision\": 1, \"from\": \"quillback\", \"sameAnimals\": []}";
    JsonNode taken = http.post(next + "/begin", begin).json();
    assertThat(taken.get("revision").asInt()).isEqualTo(2);
    assertThat(taken.get("undo").get("how").asString()).isEqualTo("BEGINS_FROM");
    assertThat(taken.get("plan").get("ground")).isNotEmpty();
    assertThat(http.post(next + "/begin", begin).status()).as("seen before").isEqualTo(409);
    JsonNode undone = http.post(next + "/undo", "{\"revision\": 2}").json();
    assertThat(undone.get("plan").get("ground")).isEmpty();
  }

  @Test
  void onlyAPlanOfTheFarmThatComesToTheDayIsTaken() {
    String next = next("");
    String other = "{\"revision\": 1, \"from\": \"%s\", \"sameAnimals\": []}";
    assertThat(http.post(next + "/begin", other.formatted("spruce-hollow")).status())
        .isEqualTo(404);
    String own = next.substring("/api/plans/".length());
    JsonNode refused = http.post(next + "/begin", other.formatted(own)).json();
    assertThat(refused.get("code").asString()).isEqualTo("does_not_reach");
    assertThat(http.get(PLAN + "/next?yearsOn=3").status()).isEqualTo(422);
    assertThat(http.get(PLAN + "/next?yearsOn=0").status()).isEqualTo(422);
    assertThat(http.post(next + "/begin", "{\"revision\": 1}").status()).isBetween(400, 422);
  }

  /** A sowing written for the year after: nothing of it in this year, its stand in the next. */
  @Test
  void theYearsAheadAreWalkedOneFromTheOther() {
    String sowing =
        """
        {"revision": %d, "edits": [{"putSowing": {"id": "later", "fieldId": "mill-bottom",
         "forageId": "orchardgrass", "sowOn": "2028-09-10", "preparation": "FULL_SEEDBED",
         "yieldKgPerHa": null, "seedShare": 1, "endsOn": null, "standing": null,
         "terms": {"preparedOn": null, "leastSoilWaterShare": null, "spreadYears": 8,
         "paidShare": 0.5}}}]}
        """
            .formatted(http.get(PLAN).json().get("revision").asInt());
    assertThat(http.post(PLAN + "/edits", sowing).status()).isEqualTo(200);
    JsonNode ahead = http.get(PLAN + "/ahead?years=3").json();
    assertThat(ahead.get("years")).hasSize(3);
    assertThat(ahead.get("years").get(0).get("outOfUseHa").asDouble()).isZero();
    assertThat(ahead.get("years").get(1).get("outOfUseHa").asDouble()).isBetween(3.0, 9.0);
    JsonNode stand = ahead.get("stands").get(0);
    assertThat(stand.get("sowingId").asString()).isEqualTo("later");
    assertThat(stand.get("readyOn").asString()).startsWith("2029-");
    assertThat(stand.get("costPerHaYear").asDouble() * 8)
        .isEqualTo(stand.get("costPerHa").asDouble(), org.assertj.core.api.Assertions.within(1e-6));
    JsonNode dry = http.get(PLAN + "/ahead?years=2&season=dry").json();
    assertThat(dry.get("years").get(0).get("shortKg").asDouble())
        .isGreaterThan(ahead.get("years").get(0).get("shortKg").asDouble());
    assertThat(http.get(PLAN + "/ahead?years=1").status()).isEqualTo(422);
    assertThat(http.get(PLAN + "/ahead?years=7").status()).isEqualTo(422);
  }
}
