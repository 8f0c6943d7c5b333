package wiselarder.server.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import wiselarder.server.App;
import wiselarder.server.Http;

/** Seasons, sowings, nitrogen, water and recorded weather on the real database. */
class SeasonApiTest {
  private static final String PLAN = "/api/plans/quillback";
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private Http.Answer edit(String season, String edit) {
    int revision = http.get(PLAN).json().get("revision").asInt();
    return http.post(
        PLAN + "/edits?season=" + season,
        "{\"revision\": %d, \"edits\": [%s]}".formatted(revision, edit));
  }

  private static double grown(JsonNode year) {
    double sum = 0;
    for (JsonNode field : year.get("fields")) {
      sum += field.get("grownKg").asDouble();
    }
    return sum;
  }

  /** Of the field that is dressed: the herd goes there instead, and others stand longer. */
  private static double churchGrown(JsonNode year) {
    for (JsonNode field : year.get("fields")) {
      if (field.get("id").asString().equals("church-field")) {
        return field.get("grownKg").asDouble();
      }
    }
    throw new AssertionError("no church field");
  }

  private static double cover(JsonNode year, int day) {
    double sum = 0;
    for (JsonNode field : year.get("fields")) {
      sum += field.get("coverKgPerHa").get(day).asDouble();
    }
    return sum;
  }

  @Test
  void theSeasonOfTheAddressActsOnTheWholeYear() {
    JsonNode normal = http.get(PLAN).json().get("year");
    JsonNode dry = http.get(PLAN + "?season=dry").json().get("year");
    assertThat(normal.get("season").asString()).isEqualTo("normal");
    assertThat(dry.get("season").asString()).isEqualTo("dry");
    assertThat(grown(dry)).isLessThan(0.97 * grown(normal));
    // the hole of this farm comes from its winter: a dry summer leaves it, and a fifth less in
    // August
    int last = normal.get("days").asInt() - 1;
    assertThat(cover(dry, last)).isLessThan(0.9 * cover(normal, last));
    double rain = 0;
    for (JsonNode month : dry.get("weather")) {
      rain += month.get("rainMm").asDouble() - month.get("normalRainMm").asDouble();
    }
    assertThat(rain).isLessThan(-20);
    assertThat(http.get(PLAN + "?season=seed:7").json().get("year"))
        .isEqualTo(http.get(PLAN + "?season=seed:7").json().get("year"));
  }

  @Test
  void aKeyThatIsNoneIsRefusedAndOneThatIsGoneGivesTheNormalYear() {
    Http.Answer refused = http.get(PLAN + "?season=warmish");
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().get("code").asString()).isEqualTo("unknown_season");
    JsonNode gone = http.get(PLAN + "?season=scenario:gone").json().get("year");
    assertThat(gone.get("season").asString()).isEqualTo("normal");
  }

  @Test
  void aScenarioBelongsToThePlanAndIsLookedAt() {
    Http.Answer kept =
        edit(
            "normal",
            """
            {"putScenario": {"id": "dry-summer", "name": "Dry summer", "over": "normal", "overlays":
             [{"kind": "RAIN", "fromInclusive": "2028-05-01", "toExclusive": "2028-09-01",
               "amount": -0.7}]}}""");
    assertThat(kept.status()).isEqualTo(200);
    JsonNode year = http.get(PLAN + "?season=scenario:dry-summer").json().get("year");
    assertThat(year.get("season").asString()).isEqualTo("scenario:dry-summer");
    assertThat(grown(year)).isLessThan(grown(http.get(PLAN).json().get("year")));
    JsonNode change = http.get(PLAN + "/history").json().get(0).get("told").get("changes").get(0);
    assertThat(change.get("what").asString()).isEqualTo("SCENARIO");
    assertThat(change.get("name").asString()).isEqualTo("Dry summer");
  }

  private static String sow(LocalDate on) {
    return """
        {"putSowing": {"id": "rye", "fieldId": "saddle", "forageId": "cereal_rye", "sowOn": "%s",
         "preparation": "GRAZE_DOWN", "yieldKgPerHa": null, "seedShare": 1, "endsOn": null}}"""
        .formatted(on);
  }

  @Test
  void aCropSownIntoASodIsUpReadyAndEatenAndTheAnswerSaysWhen() {
    JsonNode year = edit("normal", sow(LocalDate.of(2027, 9, 20))).json().get("year");
    JsonNode rye = year.get("sowings").get(0);
    assertThat(rye.get("failed").asBoolean()).isFalse();
    assertThat(rye.get("emergedDay").asInt()).isBetween(20, 30);
    assertThat(rye.get("readyDay").asInt()).isBetween(70, 215);
    assertThat(rye.get("chanceOfFailing").asDouble()).isBetween(0.05, 0.5);
    assertThat(rye.get("coverKgPerHa")).hasSize(366);
    assertThat(year.get("massError").asDouble()).isLessThan(1e-6);
    edit(
        "normal",
        """
        {"putScenario": {"id": "dust", "name": "Dry autumn", "over": "normal", "overlays":
         [{"kind": "RAIN", "fromInclusive": "2027-09-01", "toExclusive": "2027-10-15",
           "amount": -1}]}}""");
    JsonNode dry =
        http.get(PLAN + "?season=scenario:dust").json().get("year").get("sowings").get(0);
    assertThat(dry.get("emergedDay").asInt()).isGreaterThan(44);
    assertThat(dry.get("readyDay").asInt()).isGreaterThan(rye.get("readyDay").asInt() + 10);
  }

  @Test
  void aFieldShutAndSownAtOnceIsRefusedInWords() {
    edit(
        "normal",
        """
        {"putClosing": {"id": "c", "fieldId": "saddle", "fromInclusive": "2027-09-10",
         "toExclusive": "2027-12-01", "grazedBy": [], "grazeUntilExclusive": null}}""");
    Http.Answer answer = edit("normal", sow(LocalDate.of(2027, 9, 20)));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().get("code").asString()).isEqualTo("shut_and_sown");
    assertThat(answer.json().get("field").asString()).isEqualTo("sowing.sowOn");
  }

  @Test
  void nitrogenAndWaterGrowMoreAndAreTakenBackByUndo() {
    double before = churchGrown(http.get(PLAN).json().get("year"));
    JsonNode put =
        edit(
                "normal",
                """
                {"putDressing": {"id": "n", "fieldId": "church-field", "date": "2027-09-05",
                 "nitrogenKgPerHa": 50, "pricePerKg": null}}""")
            .json();
    assertThat(churchGrown(put.get("year"))).isGreaterThan(before + 500);
    JsonNode dry = http.get(PLAN + "?season=dry").json();
    JsonNode watered =
        edit(
                "dry",
                """
                {"putIrrigation": {"id": "w", "fieldId": "church-field", "date": "2028-07-10",
                 "waterMm": 60}}""")
            .json();
    assertThat(churchGrown(watered.get("year"))).isGreaterThan(churchGrown(dry.get("year")) + 500);
    JsonNode unwatered = undo(watered, "dry");
    assertThat(churchGrown(unwatered.get("year")))
        .isCloseTo(churchGrown(dry.get("year")), within(1e-6));
    assertThat(churchGrown(undo(unwatered, "normal").get("year"))).isCloseTo(before, within(1e-6));
  }

  private JsonNode undo(JsonNode plan, String season) {
    return http.post(
            PLAN + "/undo?season=" + season,
            "{\"revision\": %d}".formatted(plan.get("revision").asInt()))
        .json();
  }

  private static String csv() {
    StringBuilder csv = new StringBuilder("date,tmin_c,tmax_c,rain_mm\n");
    LocalDate first = LocalDate.of(2019, 9, 1);
    for (int d = 0; d < 366; d++) {
      if (d != 50) {
        csv.append(first.plusDays(d)).append(",6,18,").append(d % 4 == 0 ? 12 : 0).append('\n');
      }
    }
    return csv.append("soon,1,2,3\n").toString();
  }

  private Http.Answer send(String path) {
    return http.call("POST", path, "text/csv", csv().getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void aWeatherFileIsShownThenKeptThenLookedAtThenRemoved() {
    JsonNode shown = send(PLAN + "/weather/preview?name=Yard+gauge").json();
    assertThat(shown.get("rows").asInt()).isEqualTo(366);
    assertThat(shown.get("badRows").asInt()).isEqualTo(1);
    assertThat(shown.get("bad").get(0).get("problem").get("code").asString()).isEqualTo("no_date");
    assertThat(http.get(PLAN + "/weather").json()).isEmpty();

    JsonNode kept = send(PLAN + "/weather?name=Yard+gauge").json().get("record");
    JsonNode listed = http.get(PLAN + "/weather").json().get(0);
    assertThat(listed).isEqualTo(kept);
    assertThat(listed.get("years").get(0).get("filled").get("bridgedDays").asInt()).isEqualTo(1);
    String season =
        "recorded:%s:%s"
            .formatted(kept.get("id").asString(), kept.get("years").get(0).get("first").asString());
    JsonNode year = http.get(PLAN + "?season=" + season).json().get("year");
    assertThat(year.get("season").asString()).isEqualTo(season);
    assertThat(year.get("weather").get(4).get("meanC").asDouble()).isCloseTo(12, within(0.01));

    assertThat(http.delete(PLAN + "/weather/" + kept.get("id").asString()).status()).isEqualTo(204);
    assertThat(http.get(PLAN + "?season=" + season).json().get("year").get("season").asString())
        .isEqualTo("normal");
  }
}
