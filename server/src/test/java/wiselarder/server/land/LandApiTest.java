package wiselarder.server.land;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wiselarder.server.App;
import wiselarder.server.Http;

/** The map, and what is asked of a field, on the real database. */
class LandApiTest {
  private static final String PLAN = "/api/plans/quillback";
  private static final Path EXAMPLE = Path.of("../docs/examples/fields.geojson");
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private int revision() {
    return http.get(PLAN).json().get("revision").asInt();
  }

  private Http.Answer edit(String edit) {
    return http.post(
        PLAN + "/edits", "{\"revision\": %d, \"edits\": [%s]}".formatted(revision(), edit));
  }

  private JsonNode field(JsonNode plan, String name) {
    for (JsonNode f : plan.get("farm").get("fields")) {
      if (f.get("name").asString().equals(name)) {
        return f;
      }
    }
    throw new AssertionError("no field " + name);
  }

  @Test
  void theExampleMapIsShownBeforeItIsTakenAndTakenAsOneChange() throws IOException {
    String map = Files.readString(EXAMPLE);
    String query = "?forageId=fescue_white_clover&revision=" + revision();
    JsonNode preview = http.post(PLAN + "/map/preview" + query, map).json();
    assertThat(preview.get("shapes")).hasSize(5);
    // the piece in two bits and the point are told, not taken
    assertThat(preview.get("problems")).hasSize(2);
    assertThat(preview.get("problems").get(0).get("problem").get("values").get("pieces").asInt())
        .isEqualTo(2);
    JsonNode meadow = preview.get("shapes").get(0);
    assertThat(meadow.get("name").asString()).isEqualTo("Long Meadow");
    // 60,374 m2 by the corners; a brook of 315 m with ten metres to each side takes 0.63 ha of it,
    // the wet corner with its strip some 0.2 more
    assertThat(meadow.get("areaHa").asDouble()).isCloseTo(6.0374, within(0.002));
    assertThat(meadow.get("areaHa").asDouble() - meadow.get("netHa").asDouble())
        .isCloseTo(0.83, within(0.06));
    assertThat(revision()).isEqualTo(1);

    JsonNode after = http.post(PLAN + "/map" + query, map).json();
    assertThat(after.get("farm").get("fields")).hasSize(19);
    assertThat(after.get("farm").get("grid").get("latitudeDeg").asDouble()).isEqualTo(36.9);
    JsonNode taken = field(after, "Long Meadow");
    assertThat(taken.get("areaHa").asDouble() - taken.get("deductedHa").asDouble())
        .isCloseTo(meadow.get("netHa").asDouble(), within(1e-6));
    assertThat(after.get("year").get("massError").asDouble()).isLessThan(1e-9);
    assertThat(revision()).isEqualTo(2);
  }

  @Test
  void aMapGoesOutAndComesBackTheSame() throws IOException {
    String query = "?forageId=fescue_white_clover&revision=";
    http.post(PLAN + "/map" + query + revision(), Files.readString(EXAMPLE));
    String out = http.get(PLAN + "/map").raw().body();
    JsonNode root = new JsonMapper().readTree(out);
    assertThat(root.get("type").asString()).isEqualTo("FeatureCollection");
    JsonNode before = http.get(PLAN).json();
    JsonNode back = http.post(PLAN + "/map" + query + revision(), out).json();
    assertThat(back.get("farm").get("fields")).hasSize(19);
    for (JsonNode f : before.get("farm").get("fields")) {
      JsonNode again = field(back, f.get("name").asString());
      assertThat(again.get("areaHa").asDouble())
          .as(f.get("name").asString())
          .isCloseTo(f.get("areaHa").asDouble(), within(0.01));
      assertThat(again.get("outline").get("off")).hasSameSizeAs(f.get("outline").get("off"));
    }
  }

  @Test
  void whatIsNoMapIsRefusedAndNothingIsKept() {
    String query = "?forageId=timothy&revision=1";
    for (String body :
        new String[] {
          "{}",
          "[1",
          "{\"type\": \"FeatureCollection\", \"features\": []}",
          """
          {"type": "FeatureCollection", "features": [{"type": "Feature", "properties": {},
           "geometry": {"type": "Polygon", "coordinates": [[[500000, 4000000], [500100, 4000000],
            [500100, 4000100], [500000, 4000000]]]}}]}"""
        }) {
      assertThat(http.post(PLAN + "/map" + query, body).status()).isEqualTo(422);
    }
    assertThat(revision()).isEqualTo(1);
  }

  @Test
  void aFieldIsPartedAndUndoBringsItBack() {
    JsonNode plan = http.get(PLAN).json();
    JsonNode saddle = field(plan, "Saddle");
    double east = 0;
    for (JsonNode p : saddle.get("outline").get("edge")) {
      east += p.get("eastM").asDouble() / saddle.get("outline").get("edge").size();
    }
    String line =
        "[{\"eastM\": %s, \"northM\": 0}, {\"eastM\": %s, \"northM\": 2000}]".formatted(east, east);
    JsonNode parted =
        edit("{\"splitField\": {\"id\": \"saddle\", \"line\": %s, \"newId\": \"saddle-east\", \"newName\": \"Saddle East\"}}"
                .formatted(line))
            .json();
    double sum =
        field(parted, "Saddle").get("areaHa").asDouble()
            + field(parted, "Saddle East").get("areaHa").asDouble();
    assertThat(sum).isCloseTo(saddle.get("areaHa").asDouble(), within(0.02));
    http.post(PLAN + "/undo", "{\"revision\": %d}".formatted(revision()));
    assertThat(http.get(PLAN).json().get("farm").get("fields")).hasSize(14);
  }

  @Test
  void aFieldLeftAloneIsReadByPurposeAndByWhoEatsIt() {
    JsonNode grown = http.get(PLAN + "/let-grow?fieldId=church-field&from=2028-04-01").json();
    assertThat(grown.get("rows").size()).isGreaterThan(15);
    assertThat(grown.get("enough")).hasSize(6);
    assertThat(grown.get("singleCutDay").asInt())
        .isGreaterThanOrEqualTo(grown.get("regrowthDay").asInt());
    assertThat(revision()).as("nothing is planned by it").isEqualTo(1);
    assertThat(http.get(PLAN + "/let-grow?fieldId=church-field&from=2035-04-01").status())
        .isEqualTo(422);
    assertThat(http.get(PLAN + "/let-grow?fieldId=none&from=2028-04-01").status()).isEqualTo(422);
  }

  @Test
  void coverIsWorkedOutFromReadingsAndStandsAreCompared() {
    JsonNode cover =
        http.post(
                PLAN + "/cover",
                """
                {"forageId": "tall_fescue_novel", "season": "SPRING", "density": "ORDINARY",
                 "heightsCm": [15, 21], "plate": [], "perUnitKg": 0, "baseKg": 0, "clips": []}""")
            .json();
    assertThat(cover.get("coverKgPerHa").asDouble()).isCloseTo(2100, within(1e-6));
    Http.Answer none =
        http.post(
            PLAN + "/cover",
            """
            {"forageId": "tall_fescue_novel", "season": "SPRING", "density": "ORDINARY",
             "heightsCm": [], "plate": [], "perUnitKg": 0, "baseKg": 0, "clips": []}""");
    assertThat(none.status()).isEqualTo(422);
    JsonNode both =
        http.post(
                PLAN + "/compare",
                """
                {"stands": [{"forageId": "bermudagrass", "nitrogenKgPerHa": 150, "costPerHa": 20},
                  {"forageId": "orchardgrass_red_clover", "nitrogenKgPerHa": 0, "costPerHa": 45}],
                 "terms": {"weightKg": 300, "nitrogenPricePerKg": 1.2, "valuePerKgGain": 3,
                  "costShare": 0}}""")
            .json();
    assertThat(both.get(1).get("gainKgPerHeadDay").asDouble())
        .isGreaterThan(both.get(0).get("gainKgPerHeadDay").asDouble());
  }

  @Test
  void anOwnForageStandsOnAFieldAndPassesAreCounted() {
    JsonNode own =
        edit("""
            {"putForage": {"id": "own-ley", "name": "Our ley", "note": "tested in 2027",
             "parts": [{"forageId": "orchardgrass", "share": 0.7},
              {"forageId": "red_clover", "share": 0.3}],
             "figures": {"entryHeightCm": 24, "proteinPoints": 1, "tdnPoints": 0}}}""")
            .json();
    JsonNode view = own.get("ownForages").get(0);
    assertThat(view.get("rules").get("entryHeightCm").asDouble()).isEqualTo(24);
    assertThat(view.get("curves").get("transition_humid")).hasSize(12);
    JsonNode orchard = field(own, "Upper Orchard");
    String changed = orchard.toString().replace("orchardgrass_red_clover", "own-ley");
    JsonNode on = edit("{\"putField\": %s}".formatted(changed)).json();
    assertThat(on.get("year").get("massError").asDouble()).isLessThan(1e-9);
    Http.Answer kept = edit("{\"removeForage\": \"own-ley\"}");
    assertThat(kept.status()).isEqualTo(422);
    assertThat(kept.json().get("code").asString()).isEqualTo("own_forage_used");
    JsonNode passes =
        edit("""
            {"putPass": {"id": "p", "fieldId": "church-field", "groupId": "ewes",
             "fromInclusive": "2027-10-01", "toExclusive": "2028-03-01", "whenKgPerHa": 1700,
             "leaveKgPerHa": 1500}}""")
            .json();
    assertThat(passes.get("year").get("passes").get(0).get("count").asInt()).isPositive();
  }

  @Test
  void whatFitsADayIsSaidWithWhatSpeaksAgainstTheRest() {
    JsonNode fitting = http.get(PLAN + "/fitting?sowOn=2027-09-20&forHay=true").json();
    boolean millet = false;
    for (JsonNode f : fitting) {
      if (f.get("forageId").asString().equals("pearl_millet")) {
        millet = true;
        assertThat(f.get("against").toString()).contains("FROST_COMES_FIRST");
      }
    }
    assertThat(millet).isTrue();
  }
}
