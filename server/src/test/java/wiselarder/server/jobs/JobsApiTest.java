package wiselarder.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import wiselarder.server.App;
import wiselarder.server.Http;

/** Jobs over HTTP: listed in words, marked, moved, as a calendar, by mail. */
class JobsApiTest {
  private static final String PLAN = "/api/plans/quillback";
  private static final String JOBS = PLAN + "/jobs";
  private static final String CUT = "CUT/mill-may/2027";
  private Http http;
  private int commands;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
    http.put(JOBS + "/letters?today=2028-05-20", "{\"daysAhead\": null}");
    http.delete(JOBS + "/feed");
  }

  private JsonNode job(String key) {
    for (JsonNode j : http.get(JOBS).json()) {
      if (j.get("key").asString().equals(key)) {
        return j;
      }
    }
    throw new AssertionError("no job " + key);
  }

  private void mark(String key, String mark, String planned, String to, String why) {
    String date = to == null ? "null" : '"' + to + '"';
    String record =
        """
        {"commandId": "jobs-%d-%d", "device": "phone", "records": [{"on": "2028-05-20", "fact":
          {"kind": "JOB_MARKED", "job": "%s", "mark": "%s", "planned": "%s", "to": %s,
           "why": "%s"}}]}"""
            .formatted(System.nanoTime(), commands++, key, mark, planned, date, why);
    assertThat(http.post(PLAN + "/records", record).status()).isEqualTo(200);
  }

  @Test
  void jobsAreToldInTheUnitsThatAreAskedFor() {
    JsonNode cut = job(CUT);
    assertThat(cut.get("title").asString()).isEqualTo("Cut Mill Bottom");
    // 22 acres in the demo
    assertThat(cut.get("why").asString()).contains("97 round bales from 22.0 ac");
    assertThat(cut.get("needs").asString()).isEqualTo("three dry days");
    assertThat(cut.get("mark").isNull()).isTrue();
    String metric = http.get(JOBS + "?units=METRIC").json().toString();
    assertThat(metric).contains("97 round bales from 8.9 ha").doesNotContain(" ac.");
    JsonNode caution = job("CAUTION/hz_grass_tetany-1/2027");
    assertThat(caution.get("severity").asString()).isEqualTo("danger");
    assertThat(caution.get("needs").asString()).contains("veterinarian");
  }

  @Test
  void aMarkStandsInTheListAndIsStruckOutAgain() {
    mark(CUT, "DONE", "2028-05-22", null, "");
    JsonNode done = job(CUT).get("mark");
    assertThat(done.get("mark").asString()).isEqualTo("DONE");
    assertThat(done.get("who").asString()).isEqualTo("Visitor");
    String struck =
        """
        {"commandId": "jobs-struck-%d", "device": "phone", "records": [{"on": "2028-05-20", "fact":
          {"kind": "STRUCK", "record": "%s", "why": ""}}]}"""
            .formatted(System.nanoTime(), done.get("record").asString());
    http.post(PLAN + "/records", struck);
    assertThat(job(CUT).get("mark").isNull()).isTrue();
    mark(CUT, "DROPPED", "2028-05-22", null, "Sold standing");
    assertThat(job(CUT).get("mark").get("why").asString()).isEqualTo("Sold standing");
    String bare =
        """
        {"commandId": "jobs-bare", "device": "phone", "records": [{"on": "2028-05-20", "fact":
          {"kind": "JOB_MARKED", "job": "x", "mark": "DROPPED", "planned": "2028-05-22", "to": null,
           "why": ""}}]}""";
    assertThat(http.post(PLAN + "/records", bare).status()).isEqualTo(422);
  }

  @Test
  void whatADayLaterCostsIsRunAndItsEditsAreTaken() {
    JsonNode costs = http.get(JOBS + "/waiting").json().get("costsKg");
    JsonNode week = http.get(JOBS + "/moved?key=" + CUT + "&to=2028-05-29").json();
    double bare = week.get("bareKg").asDouble();
    double store = week.get("storeKg").asDouble();
    assertThat(costs.get(CUT).asDouble()).isCloseTo(bare - store, within(1e-6));
    int revision = http.get(PLAN).json().get("revision").asInt();
    String edits = "{\"revision\": %d, \"edits\": %s}".formatted(revision, week.get("edits"));
    assertThat(http.post(PLAN + "/edits", edits).status()).isEqualTo(200);
    assertThat(job(CUT).get("day").asString()).isEqualTo("2028-05-29");
    assertThat(http.get(JOBS + "/moved?key=NO/such/2027&to=2028-05-29").status()).isEqualTo(404);
  }

  private String file() {
    String text = http.get(JOBS + "/file").raw().body();
    // long lines are folded
    return text.replace("\r\n ", "");
  }

  @Test
  void theCalendarFileHoldsEveryJobAndWhatBecameOfIt() {
    String before = file();
    int jobs = http.get(JOBS).json().size();
    assertThat(before.split("BEGIN:VEVENT", -1)).hasSize(jobs + 1);
    assertThat(before).startsWith("BEGIN:VCALENDAR").contains("SUMMARY:Cut Mill Bottom");
    assertThat(before).contains("DTSTART;VALUE=DATE:20280522");
    mark(CUT, "MOVED", "2028-05-22", "2028-05-26", "Rain");
    assertThat(file()).contains("DTSTART;VALUE=DATE:20280526").contains("Rain");
    mark(CUT, "DONE", "2028-05-22", null, "");
    assertThat(file()).contains("SUMMARY:Done: Cut Mill Bottom");
    // read back, none of it is another's
    JsonNode own =
        http.call(
                "POST",
                JOBS + "/file/preview",
                "text/calendar",
                http.get(JOBS + "/file").raw().body().getBytes(StandardCharsets.UTF_8))
            .json();
    assertThat(own.get("jobs")).isEmpty();
    assertThat(own.get("left").asInt()).isEqualTo(jobs);
  }

  @Test
  void anotherCalendarIsLookedAtAndTakenAsOwnJobs() {
    String other =
        """
        BEGIN:VCALENDAR
        VERSION:2.0
        PRODID:-//Somebody//Diary//EN
        BEGIN:VEVENT
        UID:1@diary.example
        DTSTAMP:20270901T080000Z
        DTSTART;VALUE=DATE:20271104
        DTEND;VALUE=DATE:20271107
        SUMMARY:Order twine
        DESCRIPTION:Two rolls
        END:VEVENT
        BEGIN:VEVENT
        UID:2@diary.example
        DTSTAMP:20270901T080000Z
        DTSTART:20271110T130000Z
        SUMMARY:Vet comes
        END:VEVENT
        BEGIN:VEVENT
        UID:3@diary.example
        DTSTAMP:20270901T080000Z
        DTSTART:20271110T130000Z
        END:VEVENT
        END:VCALENDAR
        """
            .replace("\n", "\r\n");
    byte[] bytes = other.getBytes(StandardCharsets.UTF_8);
    JsonNode seen = http.call("POST", JOBS + "/file/preview", "text/calendar", bytes).json();
    assertThat(seen.get("left").asInt()).isEqualTo(1);
    JsonNode twine = seen.get("jobs").get(0);
    assertThat(twine.get("on").asString()).isEqualTo("2027-11-04");
    assertThat(twine.get("by").asString()).isEqualTo("2027-11-06");
    assertThat(twine.get("note").asString()).isEqualTo("Two rolls");
    int revision = http.get(PLAN).json().get("revision").asInt();
    String edits = "{\"revision\": %d, \"edits\": %s}".formatted(revision, seen.get("edits"));
    assertThat(http.post(PLAN + "/edits", edits).status()).isEqualTo(200);
    assertThat(http.get(JOBS).json().toString()).contains("Order twine").contains("Vet comes");
    assertThat(
            http.call("POST", JOBS + "/file/preview", "text/calendar", "no calendar".getBytes())
                .json()
                .get("code")
                .asString())
        .isEqualTo("not_calendar");
  }

  @Test
  void theSecretAddressIsReadByAStrangerUntilItIsEndedOrMadeAnew() {
    assertThat(http.get(JOBS + "/feed").json().get("on").asBoolean()).isFalse();
    String first = http.post(JOBS + "/feed", "{}").json().get("path").asString();
    assertThat(http.get(JOBS + "/feed").json().get("on").asBoolean()).isTrue();
    assertThat(http.get(JOBS + "/feed").json().get("path").isNull()).isTrue();
    Http stranger = Http.stranger();
    String read = stranger.get(first).raw().body();
    assertThat(read).startsWith("BEGIN:VCALENDAR").contains("Cut Mill Bottom");
    String second = http.post(JOBS + "/feed", "{}").json().get("path").asString();
    assertThat(stranger.get(first).status()).isEqualTo(404);
    assertThat(stranger.get(second).status()).isEqualTo(200);
    http.delete(JOBS + "/feed");
    assertThat(stranger.get(second).status()).isEqualTo(404);
    assertThat(stranger.get("/calendar/guess.ics").status()).isEqualTo(404);
  }

  @Test
  void lettersSayWhatIsDueAndGoOutOnceADay() {
    Reminders reminders = App.bean(Reminders.class);
    LocalDate day = LocalDate.of(2028, 5, 20);
    JsonNode none = http.get(JOBS + "/letters?today=" + day).json();
    assertThat(none.get("daysAhead").isNull()).isTrue();
    assertThat(none.get("carrier").asString()).startsWith("Simulated");
    JsonNode wanted = http.put(JOBS + "/letters?today=" + day, "{\"daysAhead\": 3}").json();
    String next = wanted.get("next").get("text").asString();
    assertThat(next).contains("22 May: Cut Mill Bottom").doesNotContain("26 May: Cut Home Bottom");
    assertThat(reminders.send(day)).isEqualTo(1);
    assertThat(reminders.send(day)).isZero();
    assertThat(http.get(JOBS + "/letters?today=" + day).json().get("sent").get(0).get("text"))
        .isEqualTo(wanted.get("next").get("text"));
    // what was not done by its last day is late in the next one
    assertThat(reminders.send(LocalDate.of(2028, 6, 10))).isEqualTo(1);
    assertThat(
            http.get(JOBS + "/letters?today=2028-06-10")
                .json()
                .get("sent")
                .get(0)
                .get("text")
                .asString())
        .startsWith("Late:")
        .contains("Cut Mill Bottom");
    assertThat(http.put(JOBS + "/letters?today=" + day, "{\"daysAhead\": 99}").status())
        .isEqualTo(422);
  }

  @Test
  void aHoldIsLiftedByAPlannerWithAReason() {
    JsonNode held = null;
    for (JsonNode c : http.get(PLAN).json().get("year").get("cautions")) {
      held = c.get("blocks").asBoolean() && held == null ? c : held;
    }
    assertThat(held).isNotNull();
    LocalDate from = LocalDate.of(2027, 9, 1).plusDays(held.get("fromDay").asInt());
    String lift =
        """
        {"commandId": "lift-%d", "device": "phone", "records": [{"on": "2027-10-10", "fact":
          {"kind": "HOLD_LIFTED", "hazardId": "%s", "fieldId": "%s", "lot": null, "from": "%s",
           "why": "Tested clear"}}]}"""
            .formatted(
                System.nanoTime(),
                held.get("hazardId").asString(),
                held.get("fieldId").asString(),
                from);
    JsonNode after = http.post(PLAN + "/records", lift).json().get("year").get("cautions");
    for (JsonNode c : after) {
      boolean same =
          c.get("hazardId").equals(held.get("hazardId"))
              && c.get("fieldId").equals(held.get("fieldId"))
              && c.get("fromDay").equals(held.get("fromDay"));
      assertThat(same && c.get("blocks").asBoolean()).isFalse();
    }
    String nowhere =
        lift.replace("lift-", "lift-x").replace(held.get("fieldId").asString(), "moon");
    assertThat(http.post(PLAN + "/records", nowhere).status()).isEqualTo(422);
  }
}
