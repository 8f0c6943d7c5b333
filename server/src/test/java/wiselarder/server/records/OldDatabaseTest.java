package wiselarder.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.LotFed;
import wiselarder.core.records.SampleSent;
import wiselarder.core.weather.RecordedWeather;
import wiselarder.server.file.FarmFile;
import wiselarder.server.json.Json;
import wiselarder.server.json.PlanDocument;

/** A database as it was before records had a table is brought up to date, and nothing is lost. */
class OldDatabaseTest {
  private static final String SCHEMA = "old_database";
  private static final Path FILE = Path.of("src/test/resources/files/version-5-with-records.json");
  private static JdbcClient jdbc;
  private static FarmFile.Content file;
  private static List<FarmRecord> moved;

  @BeforeAll
  static void anOldDatabaseIsBroughtUpToDate() throws IOException {
    DataSource source =
        new DriverManagerDataSource(
            System.getenv("LARDER_TEST_DB") + "?currentSchema=" + SCHEMA, "larder", "larder");
    Flyway old =
        Flyway.configure()
            .dataSource(source)
            .schemas(SCHEMA)
            .target("4")
            .cleanDisabled(false)
            .load();
    old.clean();
    old.migrate();
    jdbc = JdbcClient.create(source);
    file = FarmFile.read(FILE);
    fill(Json.MAPPER.readTree(Files.readString(FILE)).get("plans"));
    Flyway.configure().dataSource(source).schemas(SCHEMA).load().migrate();
    moved = new RecordRepository(jdbc).allOfFarm(1);
  }

  /** Two plans of one farm; the first was made without records, which Hal wrote as its change 2. */
  private static void fill(JsonNode plans) {
    jdbc.sql("insert into farm (slug, name) values ('q', 'Quillback Farm')").update();
    jdbc.sql("insert into person (email, name, password_hash) values ('h@x', 'Hal', 'x')").update();
    for (int n = 0; n < plans.size(); n++) {
      ObjectNode whole = (ObjectNode) plans.get(n).deepCopy();
      whole.put("format", "wise-larder-plan").put("version", 1);
      ObjectNode first = whole.deepCopy();
      ((ObjectNode) first.get("plan")).set("records", Json.MAPPER.createArrayNode());
      jdbc.sql(
              """
              insert into plan (slug, farm_id, revision, content, changed_at)
              values (:slug, 1, 2, :content::jsonb, '2026-02-0%d')"""
                  .formatted(n + 1))
          .param("slug", "plan-" + n)
          .param("content", whole.toString())
          .update();
      revision(n + 1, 1, null, first);
      revision(n + 1, 2, 1L, whole);
    }
    ObjectNode lot = (ObjectNode) plans.get(0).get("farm").get("lots").get(0);
    jdbc.sql(
            """
            insert into feed_sample (plan_id, slug, lot_id, lot_name, lot_json, sampled_on, due_at)
            values (1, 'sample-a', 'fescue-rounds', 'x', :lot::jsonb, '2026-02-01', '2026-02-04T10:00Z')""")
        .param("lot", lot.toString())
        .update();
    jdbc.sql(
            """
            insert into recorded_weather
              (farm_id, slug, name, first_day, tmin_c, tmax_c, rain_mm, solar_mj_m2, et0_mm)
            values (1, 'yard-a', 'Yard', '2019-09-01', '{8,9.5}', '{20,21}', '{0,NaN}',
              '{NaN,NaN}', '{NaN,NaN}')""")
        .update();
  }

  private static void revision(int plan, int number, Long person, ObjectNode content) {
    jdbc.sql(
            """
            insert into plan_revision (plan_id, number, words, edits, content, person_id, made_at)
            values (:plan, :number, 'x', '[]', :content::jsonb, :person,
              ('2026-01-0' || :number || 'T00:00Z')::timestamptz)""")
        .param("plan", plan)
        .param("number", number)
        .param("content", content.toString())
        .param("person", person)
        .update();
  }

  @Test
  void everyRecordOfThePlansIsThereOnce() {
    List<FarmRecord> ofFile =
        moved.stream().filter(r -> !r.id().equals("sample-a") && !r.id().equals("yard-a")).toList();
    assertThat(ofFile)
        .extracting(FarmRecord::id, FarmRecord::on, FarmRecord::fact)
        .containsExactlyInAnyOrderElementsOf(
            file.records().stream()
                .map(r -> org.assertj.core.groups.Tuple.tuple(r.id(), r.on(), r.fact()))
                .toList());
  }

  @Test
  void whoWroteOneAndWhenIsFoundInTheHistory() {
    FarmRecord fed =
        moved.stream().filter(r -> r.fact() instanceof LotFed).findFirst().orElseThrow();
    assertThat(fed.written().who()).isEqualTo("Hal");
    assertThat(fed.written().at()).isEqualTo(Instant.parse("2026-01-02T00:00:00Z"));
    FarmRecord score =
        moved.stream().filter(r -> r.id().startsWith("score-")).findFirst().orElseThrow();
    assertThat(score.written().at()).isEqualTo(Instant.parse("2026-01-01T00:00:00Z"));
  }

  @Test
  void samplesOnTheirWayAndMeasuredWeatherAreKept() {
    SampleSent sent =
        (SampleSent)
            moved.stream().filter(r -> r.id().equals("sample-a")).findFirst().orElseThrow().fact();
    assertThat(sent.lot()).isEqualTo(file.plans().get(0).farm().lots().get(0));
    assertThat(sent.dueAt()).isEqualTo(Instant.parse("2026-02-04T10:00:00Z"));
    RecordedWeather yard = FarmRecords.of(moved).weather().get("yard-a");
    assertThat(yard.tminC()).containsExactly(8.0, 9.5);
    assertThat(yard.rainMm()).containsExactly(0.0, Double.NaN);
  }

  @Test
  void everyPlanAndRevisionIsReadByItsVersion() {
    List<FarmPlan> plans =
        jdbc.sql("select content, content_version from plan order by id")
            .query((rs, n) -> PlanDocument.read(rs.getString(1), rs.getInt(2)))
            .list();
    assertThat(plans).isEqualTo(file.plans());
    assertThat(
            jdbc.sql("select content, content_version from plan_revision order by plan_id, number")
                .query((rs, n) -> PlanDocument.read(rs.getString(1), rs.getInt(2)))
                .list())
        .containsExactly(
            file.plans().get(0), file.plans().get(0), file.plans().get(1), file.plans().get(1));
  }
}
