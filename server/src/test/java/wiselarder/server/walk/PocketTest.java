package wiselarder.server.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import wiselarder.server.App;
import wiselarder.server.Http;
import wiselarder.server.json.Json;

/** The engine of the browser says what the server says, on every demo farm. */
class PocketTest {
  /** Powers and logarithms of the two differ in their last bits. */
  private static final double SAME = 1e-9;

  private static final String RUN =
      """
      import { readFileSync } from 'node:fs';
      const pocket = await import('./pocket.mjs');
      const [pack, asked] = JSON.parse(readFileSync('asked.json'));
      const told = [pocket.open(pack.stated, pack.records, pack.drySeed)];
      for (const [call, ...values] of asked) told.push(pocket[call](...values));
      console.log(JSON.stringify(told));
      """;

  @TempDir private Path folder;
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private JsonNode inTheBrowser(JsonNode pack, String asked) throws Exception {
    Files.copy(Path.of("../pocket/target/pocket/pocket.js"), folder.resolve("pocket.mjs"));
    Files.writeString(folder.resolve("run.mjs"), RUN);
    Files.writeString(folder.resolve("asked.json"), "[%s, %s]".formatted(pack, asked));
    Process node =
        new ProcessBuilder("node", "run.mjs")
            .directory(folder.toFile())
            .redirectError(folder.resolve("errors").toFile())
            .start();
    String told = new String(node.getInputStream().readAllBytes());
    assertThat(node.waitFor()).as(errors()).isZero();
    return Json.MAPPER.readTree(told);
  }

  private String errors() throws IOException {
    return Files.readString(folder.resolve("errors"));
  }

  /** Where two answers differ, by their place. */
  private static List<String> differences(String place, JsonNode one, JsonNode other) {
    List<String> all = new ArrayList<>();
    if (one.isNumber() && other.isNumber()) {
      double size = Math.max(1, Math.abs(one.asDouble()));
      if (Math.abs(one.asDouble() - other.asDouble()) > SAME * size) {
        all.add("%s: %s, %s".formatted(place, one, other));
      }
    } else if (one.isObject() && other.isObject()) {
      one.propertyNames()
          .forEach(
              name ->
                  all.addAll(differences(place + "." + name, one.path(name), other.path(name))));
      other.propertyNames().stream()
          .filter(name -> !one.has(name))
          .forEach(name -> all.add(place + "." + name + ": only the browser has it"));
    } else if (one.isArray() && other.isArray() && one.size() == other.size()) {
      for (int i = 0; i < one.size(); i++) {
        all.addAll(differences(place + "[" + i + "]", one.get(i), other.get(i)));
      }
    } else if (!one.equals(other)) {
      all.add("%s: %s, %s".formatted(place, one, other));
    }
    return all;
  }

  @ParameterizedTest
  @CsvSource({
    "quillback, home-bottom, tall_fescue_novel, 2028-04-20",
    "campo-garza-mora, tambo-norte, own-lucerne-fescue, 2027-09-20",
    "spruce-hollow, home-ley, timothy, 2028-05-20",
  })
  void theBrowserReckonsAsTheServerDoes(String plan, String field, String forage, String on)
      throws Exception {
    String path = "/api/plans/" + plan;
    String reading =
        """
        {"kind": "COVER_SEEN", "fieldId": "%s", "forageId": "%s", "way": "HEIGHT",
         "season": "SPRING", "density": "ORDINARY", "heightsCm": [9, 11, 13.5], "plate": [],
         "perUnitKg": null, "baseKg": null, "clips": [], "coverKgPerHa": null, "deadShare": 0.25,
         "signs": [{"signId": "tips_bitten", "value": "pointed"}], "note": "wet"}"""
            .formatted(field, forage);
    // one of last week, so that the pace and the history have something to go by
    String before =
        """
        {"commandId": "w1", "device": "", "records": [{"on": "%s", "fact": %s}]}"""
            .formatted(java.time.LocalDate.parse(on).minusDays(9), reading);
    assertThat(http.post(path + "/records", before).status()).isEqualTo(200);
    JsonNode pack = http.get(path + "/walk/pack").json();
    assertThat(pack.get("records").isEmpty()).isFalse();
    JsonNode told =
        inTheBrowser(
            pack,
            "[[\"walk\", \"%1$s\"], [\"answer\", \"%1$s\", %2$s], [\"readings\"]]"
                .formatted(on, reading));
    JsonNode walk = http.get(path + "/walk?on=" + on).json();
    JsonNode answer =
        http.post(path + "/walk/answer", "{\"on\": \"%s\", \"reading\": %s}".formatted(on, reading))
            .json();
    JsonNode readings = http.get(path + "/walk/readings").json();
    assertThat(walk.get("fields").size()).isGreaterThan(5);
    assertThat(answer.get("seen").get("coverKgPerHa").asDouble()).isGreaterThan(500);
    assertThat(readings).hasSize(1);
    assertThat(differences("walk", walk, told.get(1).get("answer"))).isEmpty();
    assertThat(differences("answer", answer, told.get(2).get("answer"))).isEmpty();
    assertThat(differences("readings", readings, told.get(3).get("answer"))).isEmpty();
  }

  /** With moves, heads, soil, stakes, rain, a field shut and stems split, all the same. */
  @Test
  void whateverElseWasSeenIsReckonedAlike() throws Exception {
    String path = "/api/plans/campo-garza-mora";
    String on = "2027-09-20";
    String stems =
        """
        {"kind": "STEMS_SEEN", "fieldId": "avena-1", "forageId": "spring_oats",
         "purpose": "REGROW", "note": "", "stems": [%s{"stageId": "boot", "pointCm": 31.5}]}"""
            .formatted("{\"stageId\": \"jointed\", \"pointCm\": null}, ".repeat(10));
    String before =
        """
        {"commandId": "s1", "device": "", "records": [
         {"on": "2027-09-10", "fact": {"kind": "HERD_MOVED", "groupId": "steers", "fieldId": "avena-1"}},
         {"on": "2027-09-14", "fact": {"kind": "HERD_MOVED", "groupId": "steers", "fieldId": null}},
         {"on": "2027-09-15", "fact": {"kind": "HERD_MOVED", "groupId": "steers", "fieldId": "avena-2"}},
         {"on": "2027-09-12", "fact": {"kind": "HEAD_COUNTED", "groupId": "steers", "head": 76,
          "why": "SOLD"}},
         {"on": "2027-09-12", "fact": {"kind": "NOTICED", "what": "SOIL", "fieldId": "avena-1",
          "amount": 0.375}},
         {"on": "2027-09-13", "fact": {"kind": "NOTICED", "what": "RAIN", "amount": 14}},
         {"on": "2027-09-17", "fact": {"kind": "NOTICED", "what": "RAIN", "amount": 33}},
         {"on": "2027-09-14", "fact": {"kind": "STAKE_SEEN", "fieldId": "avena-1", "stake": "gate",
          "heightCm": 9, "left": true}},
         {"on": "2027-09-19", "fact": {"kind": "STAKE_SEEN", "fieldId": "avena-1", "stake": "gate",
          "heightCm": 12.5, "left": false, "tips": "POINTED"}},
         {"on": "2027-09-16", "fact": {"kind": "FIELD_HELD", "fieldId": "bajo-grande", "until": null,
          "why": "under water"}},
         {"on": "2027-09-18", "fact": {"kind": "FIELD_OPENED", "fieldId": "la-noria",
          "why": "dry again"}},
         {"on": "2027-09-08", "fact": {"kind": "BIRTHS_SEEN", "groupId": "spring-cows", "dams": 7,
          "young": 6}},
         {"on": "2027-09-09", "fact": {"kind": "LOT_FED", "lotId": "wrapped", "units": 8}},
         {"on": "2027-09-13", "fact": {"kind": "LOT_FED", "lotId": "wrapped", "units": 6,
          "leftShare": 0.25}},
         {"on": "2027-09-18", "fact": %s}]}"""
            .formatted(stems);
    assertThat(http.post(path + "/records", before).status()).isEqualTo(200);
    JsonNode told =
        inTheBrowser(
            http.get(path + "/walk/pack").json(),
            "[[\"walk\", \"%1$s\"], [\"stems\", \"%1$s\", %2$s]]".formatted(on, stems));
    JsonNode walk = http.get(path + "/walk?on=" + on).json();
    JsonNode answer =
        http.post(path + "/walk/stems", "{\"on\": \"%s\", \"stems\": %s}".formatted(on, stems))
            .json();
    assertThat(walk.get("stakes")).hasSize(1);
    assertThat(walk.get("held")).hasSize(1);
    assertThat(walk.get("rain").get("mm").asDouble()).isEqualTo(47);
    assertThat(answer.get("stageId").asString()).isEqualTo("jointed");
    assertThat(differences("walk", walk, told.get(1).get("answer"))).isEmpty();
    assertThat(differences("stems", answer, told.get(2).get("answer"))).isEmpty();
  }

  /** What the server would refuse, the phone refuses under the same code and values. */
  @Test
  void theBrowserRefusesAsTheServerDoes() throws Exception {
    JsonNode pack = http.get("/api/plans/quillback/walk/pack").json();
    JsonNode told = inTheBrowser(pack, "[[\"walk\", \"2040-01-01\"]]");
    JsonNode refused = http.get("/api/plans/quillback/walk?on=2040-01-01").json();
    JsonNode here = told.get(1).get("refused");
    assertThat(here.get("code")).isEqualTo(refused.get("code"));
    assertThat(here.get("field")).isEqualTo(refused.get("field"));
    assertThat(here.get("values")).isEqualTo(refused.get("values"));
  }
}
