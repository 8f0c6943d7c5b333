package wiselarder.server.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wiselarder.server.App;
import wiselarder.server.Http;

/** What was drawn for one reader is sent to the next, and never what is out of date. */
class KeptViewsTest {
  private static final String PLAN = "/api/plans/quillback";
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private JsonNode plan() {
    return http.get(PLAN).json();
  }

  @Test
  void anEditIsSeenAtOnceAndItsUndoToo() {
    JsonNode before = plan();
    assertThat(plan()).isEqualTo(before);
    http.post(
        PLAN + "/edits",
        "{\"revision\": 1, \"onTopOf\": null, \"edits\": [{\"removeLot\": \"fescue-rounds\"}]}");
    JsonNode after = plan();
    assertThat(after.get("revision").asInt()).isEqualTo(2);
    assertThat(after.get("year").get("lots")).isNotEqualTo(before.get("year").get("lots"));
    http.post(PLAN + "/undo", "{\"revision\": 2}");
    assertThat(plan().get("year")).isEqualTo(before.get("year"));
  }

  @Test
  void whatIsWrittenDownChangesTheYearOfTheSameRevision() {
    JsonNode before = plan();
    String counted =
        """
        {"commandId": "kept-1", "device": "", "records": [
          {"on": "2027-09-02", "fact": {"kind": "LOT_COUNTED", "lotId": "fescue-rounds", "units": 3, "note": ""}}]}""";
    Http.Answer written = http.post(PLAN + "/records", counted);
    assertThat(written.status()).as(written.raw().body()).isEqualTo(200);
    JsonNode after = plan();
    assertThat(after.get("revision")).isEqualTo(before.get("revision"));
    assertThat(after.get("year").get("bareKg")).isNotEqualTo(before.get("year").get("bareKg"));
  }

  @Test
  void seasonsAreKeptApart() {
    JsonNode normal = plan();
    JsonNode dry = http.get(PLAN + "?season=dry").json();
    assertThat(dry.get("year").get("season").asString()).isEqualTo("dry");
    assertThat(dry.get("year").get("grownKg")).isNotEqualTo(normal.get("year").get("grownKg"));
    assertThat(plan()).isEqualTo(normal);
  }

  @Test
  void aRoleThatChangedIsSeen() {
    assertThat(plan().get("role").asString()).isEqualTo("PLANNER");
    App.jdbc().sql("update farm_member set role = 'READER'").update();
    assertThat(plan().get("role").asString()).isEqualTo("READER");
    App.jdbc().sql("delete from farm_member").update();
    assertThat(http.get(PLAN).status()).isEqualTo(404);
  }

  @Test
  void anotherPlansNameIsSeen() {
    plan();
    http.post(PLAN + "/copy", "{\"name\": \"Dry copy\", \"yearsOn\": 0}");
    assertThat(plan().get("others").get(0).get("name").asString()).isEqualTo("Dry copy");
  }

  /** Packed for who can unpack it, plain for who cannot, and the same. */
  @Test
  void packedAndPlainAreTheSame() throws IOException {
    var packed =
        http.stream(
            HttpRequest.newBuilder(URI.create(App.url() + PLAN))
                .header("Accept-Encoding", "gzip")
                .build());
    assertThat(packed.headers().firstValue("Content-Encoding")).contains("gzip");
    assertThat(packed.headers().firstValue("Cache-Control")).contains("no-store");
    byte[] bytes = packed.body().readAllBytes();
    assertThat(bytes.length).isLessThan(80_000);
    JsonNode unpacked =
        new JsonMapper().readTree(new GZIPInputStream(new ByteArrayInputStream(bytes)));
    String plain = http.get(PLAN).raw().body();
    assertThat(new JsonMapper().readTree(plain)).isEqualTo(unpacked);
  }
}
