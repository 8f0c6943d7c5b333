package wiselarder.server.farm;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.configuration.FluentConfiguration;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import wiselarder.core.plan.FarmPlan;
import wiselarder.server.json.PlanDocument;

/** A database of every earlier step is brought up to date with who and what was in it. */
class UpgradeTest {
  private static final String SCHEMA = "upgrade";

  private static FluentConfiguration flyway() {
    return Flyway.configure()
        .dataSource(
            new DriverManagerDataSource(
                System.getenv("LARDER_TEST_DB") + "?currentSchema=" + SCHEMA, "larder", "larder"))
        .schemas(SCHEMA)
        .cleanDisabled(false);
  }

  /** Every step but the newest. */
  static List<Integer> steps() {
    // with the making of the schema itself, where it is there, which has no version
    long newest =
        Arrays.stream(flyway().load().info().all()).filter(m -> m.getVersion() != null).count();
    return IntStream.range(1, (int) newest).boxed().toList();
  }

  @ParameterizedTest
  @MethodSource("steps")
  void nothingIsLostFrom(int step) {
    Flyway old = flyway().target(Integer.toString(step)).load();
    old.clean();
    old.migrate();
    JdbcClient jdbc = JdbcClient.create(old.getConfiguration().getDataSource());
    FarmPlan demo = DemoFarms.read("spruce-hollow").plans().get(0);
    fill(jdbc, step, PlanDocument.write(demo));
    flyway().load().migrate();

    assertThat(jdbc.sql("select name from farm").query(String.class).list())
        .containsExactly(step == 1 ? demo.farm().name() : "Kept");
    assertThat(jdbc.sql("select slug from plan").query(String.class).list())
        .containsExactly("kept");
    assertThat(
            jdbc.sql("select content #>> '{farm,name}' from plan_revision")
                .query(String.class)
                .list())
        .containsExactly(demo.farm().name());
    if (step > 1) {
      assertThat(jdbc.sql("select role from farm_member order by role").query(String.class).list())
          .containsExactly("OWNER", "PLANNER");
      // of open invitations those that an owner made: the ninth step takes the others back
      assertThat(jdbc.sql("select token_hash from invitation").query(String.class).list())
          .contains("of the owner")
          .hasSize(step < 9 ? 1 : 2);
    }
    assertThat(jdbc.sql("select name || ' ' || start from plan").query(String.class).list())
        .containsExactly(demo.plan().name() + " " + demo.plan().year().start());
    assertThat(jdbc.sql("select count(*) from morning").query(Integer.class).single()).isOne();
    flyway().load().validate();
  }

  private static void fill(JdbcClient jdbc, int step, String content) {
    if (step > 1) {
      jdbc.sql("insert into farm (slug, name) values ('kept', 'Kept')").update();
      for (String who : List.of("owner", "planner")) {
        jdbc.sql("insert into person (email, name, password_hash) values (:who, :who, 'x')")
            .param("who", who)
            .update();
        jdbc.sql(
                """
                insert into farm_member (farm_id, person_id, role)
                select 1, id, upper(email) from person where email = :who""")
            .param("who", who)
            .update();
        jdbc.sql(
                """
                insert into invitation (farm_id, role, name, token_hash, invited_by, expires_at)
                select 1, 'READER', 'x', 'of the ' || email, id, now() + interval '1 day'
                from person where email = :who""")
            .param("who", who)
            .update();
      }
    }
    String version = step < 5 ? "" : ", content_version";
    String present = step < 5 ? "" : ", 13";
    jdbc.sql(
            "insert into plan (slug, revision, content%s%s) values ('kept', 1, :content::jsonb%s%s)"
                .formatted(version, step == 1 ? "" : ", farm_id", present, step == 1 ? "" : ", 1"))
        .param("content", content)
        .update();
    String told = "'{\"how\": \"BEGAN_DEMO\", \"changes\": []}'";
    jdbc.sql(
            "insert into plan_revision (plan_id, number, %s, edits, content%s) values (1, 1, %s, '[]', :content::jsonb%s)"
                .formatted(
                    step < 6 ? "words" : "told", version, step < 6 ? "'Began'" : told, present))
        .param("content", content)
        .update();
  }
}
