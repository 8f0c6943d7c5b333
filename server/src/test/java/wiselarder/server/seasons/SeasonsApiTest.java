package wiselarder.server.seasons;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import wiselarder.server.App;
import wiselarder.server.Http;

/** A thousand years over HTTP: begun, looked at, stopped, kept by the state of the plan. */
class SeasonsApiTest {
  private static final String PLAN = "/api/plans/quillback";
  private static final String THOUSAND = PLAN + "/thousand";
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private JsonNode result() {
    JsonNode run = http.post(THOUSAND, "").json();
    while (run.get("under").asBoolean()) {
      run = http.get(THOUSAND).json();
    }
    assertThat(run.get("done").asInt()).isEqualTo(1000);
    return run.get("result");
  }

  @Test
  void aThousandYearsAreRunAndKeptAndWhatToHoldIsReckonedFromThem() {
    JsonNode result = result();
    assertThat(result.get("bareKgByYear")).hasSize(1000);
    int fed = result.get("fed").asInt();
    assertThat(fed).isLessThan(500);
    assertThat(result.get("storeKg").get("p50")).hasSize(366);
    // the year by its name is that very year
    JsonNode named = result.get("named").get(3);
    assertThat(named.get("share").asDouble()).isEqualTo(0.9);
    JsonNode year = http.get(PLAN + "?season=" + named.get("season").asString()).json();
    double bare = 0;
    for (JsonNode gap : year.get("year").get("gaps")) {
      bare += gap.get("kind").asString().equals("STORE") ? gap.get("shortKg").asDouble() : 0;
    }
    assertThat(bare)
        .isCloseTo(named.get("bareKg").asDouble(), within(0.05 * named.get("bareKg").asDouble()));
    JsonNode hold = http.get(THOUSAND + "/hold?share=0.9").json().get(0);
    assertThat(hold.get("fedBefore").asInt()).isEqualTo(fed);
    assertThat(hold.get("fedAfter").asInt()).isGreaterThanOrEqualTo(900);
    assertThat(hold.get("units").asInt()).isPositive();
    String edits = hold.get("edits").toString();
    int revision = http.get(PLAN).json().get("revision").asInt();
    http.post(PLAN + "/edits", "{\"revision\": %d, \"edits\": %s}".formatted(revision, edits));
    // the changed plan is another one: nothing is kept of it yet
    assertThat(http.get(THOUSAND).json().get("done").asInt()).isZero();
    assertThat(http.get(THOUSAND + "/hold?share=0.9").json()).isEmpty();
    assertThat(result().get("fed").asInt()).isEqualTo(hold.get("fedAfter").asInt());
  }

  /** A point of the fan gives a year, and so does its place; both can be looked at. */
  @Test
  void anyYearIsPickedByAPointOrByItsPlace() {
    assertThat(http.get(THOUSAND + "/year?rank=0").json()).isEmpty();
    JsonNode result = result();
    JsonNode mildest = http.get(THOUSAND + "/year?rank=0").json().get(0);
    assertThat(mildest.get("bareKg").asDouble())
        .isCloseTo(result.get("bareKgByYear").get(0).asDouble(), within(1.0));
    assertThat(mildest.get("season").asString())
        .isEqualTo("seed:" + result.get("seeds").get(0).asLong());
    double at = result.get("standsKgPerHa").get("p90").get(300).asDouble();
    JsonNode near = http.get(THOUSAND + "/near?sign=STANDS&day=300&value=" + at).json().get(0);
    // the first morning of the week next to day 300 is day 301, weeks from the second on
    assertThat(near.get("standsKgPerHa").get(42).asDouble()).isCloseTo(at, within(0.02 * at));
    assertThat(http.get(THOUSAND + "/year?rank=1000").status()).isEqualTo(422);
    assertThat(http.get(THOUSAND + "/gauge").json()).isEmpty();
    assertThat(result.get("decides")).isNotEmpty();
    assertThat(result.get("hardKg").asDouble()).isPositive();
    // what is written down to be done changes no year
    int revision = http.get(PLAN).json().get("revision").asInt();
    String rung =
        """
        {"revision": %d, "edits": [{"putRung": {"id": "r", "on": "--06-10", "sign": "RAIN",
          "below": 60, "doThis": "Sell the steers"}}]}""";
    assertThat(http.post(PLAN + "/edits", rung.formatted(revision)).status()).isEqualTo(200);
    assertThat(http.get(THOUSAND).json().get("done").asInt()).isEqualTo(1000);
  }

  @Test
  void aStoppedRunSaysSoAndIsBegunAnew() {
    http.post(THOUSAND, "");
    JsonNode stopped = http.delete(THOUSAND).json();
    assertThat(stopped.get("stopped").asBoolean() || !stopped.get("result").isNull()).isTrue();
    assertThat(result()).isNotNull();
    assertThat(http.get(THOUSAND + "/hold?share=2").status()).isEqualTo(422);
  }
}
