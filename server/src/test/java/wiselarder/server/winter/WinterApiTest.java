package wiselarder.server.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.server.App;
import wiselarder.server.Http;

/** Bales set out on the two pieces of the demo farm of the cold north. */
class WinterApiTest {
  private static final String PLAN = "/api/plans/spruce-hollow";
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private static String bales(String id, String field, int bales, int atOnce, String counts) {
    return """
        {"id": "%s", "fieldId": "%s", "lotId": "first-cut", "bales": %d, "atOnce": %d,
         "counts": [%s], "spacing": {"alongM": 12, "acrossM": 15, "rowsDeg": 0, "shiftAlongM": 0,
         "shiftAcrossM": 0}, "edgeM": 8, "waterM": 10, "fromLast": false,
         "mostHeadDaysPerHa": null, "places": [], "padWinters": 2, "onEnd": false,
         "stringsOnDay": false, "asMade": false, "mixed": null}"""
        .formatted(id, field, bales, atOnce, counts);
  }

  private Http.Answer put(String bales) {
    int revision = http.get(PLAN).json().get("revision").asInt();
    return http.post(
        PLAN + "/edits",
        "{\"revision\": %d, \"edits\": [{\"putBales\": %s}]}".formatted(revision, bales));
  }

  /**
   * A wrapped bale holds 350 kg; what 42 cows eat of it is 280 at a fifth lost: two a day. The
   * second piece goes on where the first ends, and what is tried is not kept.
   */
  @Test
  void balesAreTriedKeptAndOpenedPieceByPiece() {
    JsonNode tried =
        http.post(PLAN + "/winter", bales("a", "east-brook", 126, 8, "")).json().get(0);
    assertThat(tried.get("laid").asInt()).isEqualTo(126);
    assertThat(tried.get("sections")).hasSize(16);
    assertThat(tried.get("from").asString()).isEqualTo("2027-10-16");
    assertThat(tried.get("usedHa").asDouble()).isCloseTo(126 * 180 / 1e4, within(1e-9));
    assertThat(http.get(PLAN + "/winter").json()).isEmpty();
    assertThat(put(bales("a", "east-brook", 126, 8, "")).status()).isEqualTo(200);
    assertThat(put(bales("b", "west-brook", 198, 16, "")).status()).isEqualTo(200);
    JsonNode both = http.get(PLAN + "/winter").json();
    assertThat(both.get(1).get("from")).isEqualTo(both.get(0).get("toExclusive"));
    JsonNode last = both.get(1);
    assertThat(last.get("opened").asInt()).isEqualTo(198);
    // eight bales lie for four days, as the lot is fed; sixteen for eight, and more is lost
    assertThat(warnings(both.get(0))).containsExactly("NO_WATER");
    assertThat(warnings(last)).containsExactly("LOSS_OTHERWISE", "NO_WATER");
    assertThat(last.get("fittingMethodId").asString()).isEqualTo("f_bale_graze_7d");
  }

  /** A wire that is moved moves those behind it; the hard winter opens them sooner. */
  @Test
  void sectionsFollowTheWireAndTheSeason() {
    put(bales("a", "east-brook", 280, 8, ""));
    JsonNode before = http.get(PLAN + "/winter").json().get(0).get("sections");
    JsonNode moved =
        http.post(PLAN + "/winter", bales("a", "east-brook", 280, 8, "8, 12"))
            .json()
            .get(0)
            .get("sections");
    assertThat(moved.get(1).get("spots")).hasSize(12);
    assertThat(moved.get(1).get("from")).isEqualTo(before.get(1).get("from"));
    assertThat(moved.get(2).get("from").asString())
        .isGreaterThan(before.get(2).get("from").asString());
    JsonNode scenarios = http.get(PLAN).json().get("plan").get("scenarios");
    String hard = "scenario:" + scenarios.get(0).get("id").asString();
    JsonNode cold = http.get(PLAN + "/winter?season=" + hard).json().get(0).get("sections");
    int last = before.size() - 1;
    assertThat(cold.get(last).get("from").asString())
        .isLessThanOrEqualTo(before.get(last).get("from").asString());
  }

  @Test
  void whatCannotBeLaidIsRefused() {
    assertThat(put(bales("a", "nowhere", 10, 2, "")).json().get("code").asString())
        .isEqualTo("unknown_id");
    assertThat(put(bales("a", "east-brook", 10, 0, "")).json().get("code").asString())
        .isEqualTo("out_of_range");
    assertThat(http.post(PLAN + "/winter", "{}").status()).isEqualTo(422);
  }

  private static String breaks(double towards, String places) {
    return """
        {"id": "k", "fieldId": "turnips", "fromInclusive": null, "toExclusive": null,
         "towardsDeg": %s, "downhillDeg": null, "daysEach": 1, "blocks": 1, "backFence": true,
         "waterM": 0, "places": [%s],
         "written": {"who": "", "shelter": "", "wet": "", "rules": ""}}"""
        .formatted(towards, places);
  }

  private Http.Answer edit(String edits) {
    int revision = http.get(PLAN).json().get("revision").asInt();
    return http.post(
        PLAN + "/edits", "{\"revision\": %d, \"edits\": [%s]}".formatted(revision, edits));
  }

  private static List<String> warnings(JsonNode one) {
    List<String> all = new ArrayList<>();
    one.get("cautions").forEach(c -> all.add(c.get("warning").asString()));
    return all;
  }

  /** Strip too narrow, from the water, lambs born there, nothing written: each is told. */
  @Test
  void aPlanWithFourFaultsIsToldAllFour() {
    JsonNode farm = http.get(PLAN).json().get("farm");
    ObjectNode turnips = (ObjectNode) of(farm.get("fields"), "turnips");
    ((ObjectNode) turnips.get("outline").get("off").get(0)).put("bufferM", 4);
    ObjectNode ewes = (ObjectNode) of(farm.get("groups"), "ewes");
    ewes.put("birthStart", "--10-20");
    ewes.putNull("weaning");
    ewes.putNull("youngLeave");
    assertThat(edit("{\"putField\": %s}, {\"putGroup\": %s}".formatted(turnips, ewes)).status())
        .isEqualTo(200);
    JsonNode tried = http.post(PLAN + "/winter/breaks", breaks(0, "")).json();
    assertThat(warnings(tried.get(0)))
        .contains("NEAR_WATER", "FROM_WATER", "BIRTHS", "NOT_WRITTEN");
    assertThat(tried.get(0).get("betterDeg").asDouble()).isEqualTo(180);
    assertThat(http.get(PLAN + "/winter/breaks").json()).isEmpty();
  }

  private static JsonNode of(JsonNode list, String id) {
    for (JsonNode one : list) {
      if (one.get("id").asString().equals(id)) {
        return one;
      }
    }
    throw new AssertionError(id);
  }

  /** Kept, read again, and a job for each break; a feeder in the strip is refused. */
  @Test
  void breaksAreKeptAndAreJobs() {
    String near = "{\"what\": \"FEEDER\", \"at\": {\"eastM\": 940, \"northM\": 246}}";
    JsonNode refused = edit("{\"putBreaks\": %s}".formatted(breaks(180, near))).json();
    assertThat(refused.get("code").asString()).isEqualTo("stands_at_water");
    assertThat(edit("{\"putBreaks\": %s}".formatted(breaks(180, ""))).status()).isEqualTo(200);
    JsonNode kept = http.get(PLAN + "/winter/breaks").json();
    assertThat(kept.get(0).get("breaks")).hasSize(52);
    assertThat(kept.get(0).get("from").asString()).isEqualTo("2027-10-01");
    assertThat(http.get(PLAN + "/jobs").json().toString()).contains("Break 52 on Turnip Piece");
  }

  /** Whatever its shape, and whichever way the wire goes: a whole year of daily breaks is drawn. */
  @Test
  void everyFieldCanBeLaidInEveryDirection() {
    String plan = "/api/plans/quillback";
    for (JsonNode field : http.get(plan).json().get("farm").get("fields")) {
      String id = field.get("id").asString();
      for (double towards : new double[] {180, 0, 93}) {
        Http.Answer laid =
            http.post(
                plan + "/winter/breaks",
                breaks(towards, "").replace("\"turnips\"", "\"" + id + "\""));
        assertThat(laid.status()).as("%s to %s", id, towards).isEqualTo(200);
      }
    }
  }
}
