package wiselarder.server.morning;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wiselarder.server.App;
import wiselarder.server.WiseLarder;

/**
 * Three workers on one database, killed as no program can help: no farm is reckoned twice and none
 * is forgotten.
 */
class WorkersTest {
  private static final int FARMS = 24;
  private static final int KILLS = 3;
  private static final Duration LONGEST = Duration.ofMinutes(5);

  @TempDir Path folder;
  private final List<Process> workers = new ArrayList<>();

  @BeforeEach
  void farms() {
    App.resetDemo();
    App.jdbc().sql("delete from scheduled_tasks").update();
    for (String fill :
        List.of(
            "insert into farm (slug, name) select 'w' || n, 'W' || n from generate_series(1, %d) n",
            """
            insert into plan (slug, farm_id, revision, content, content_version)
            select f.slug, f.id, 1, p.content, p.content_version
            from farm f, plan p where f.slug like 'w%%' and p.slug = 'spruce-hollow'
            """,
            """
            insert into plan_revision (plan_id, number, told, edits, content, content_version)
            select id, 1, '{}', '[]', content, content_version from plan where slug like 'w%%'
            """,
            // one that nobody can read
            """
            update plan set content = '{"plan": {"year": {"start": "2999-01-01"}}}' where slug = 'w7'
            """)) {
      App.jdbc().sql(fill.formatted(FARMS)).update();
    }
  }

  @AfterEach
  void end() {
    workers.forEach(Process::destroyForcibly);
    App.jdbc().sql("delete from scheduled_tasks").update();
    App.resetDemo();
  }

  private Process worker() throws IOException {
    String db = System.getenv("LARDER_TEST_DB");
    String path =
        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
    Process worker =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-Xmx400m",
                "-cp",
                path,
                WiseLarder.class.getName(),
                "--larder.role=worker",
                "--server.port=0",
                "--larder.warm-up=false",
                "--larder.work.threads=1",
                "--larder.work.heartbeat=1s",
                "--spring.datasource.url=" + db + "?currentSchema=server_test",
                "--spring.flyway.schemas=server_test",
                "--spring.datasource.username=larder",
                "--spring.datasource.password=larder")
            .redirectErrorStream(true)
            .redirectOutput(
                ProcessBuilder.Redirect.appendTo(new File(folder.toFile(), "workers.log")))
            .start();
    workers.add(worker);
    return worker;
  }

  private static int count(String where) {
    return App.jdbc().sql("select count(*) from " + where).query(Integer.class).single();
  }

  private void until(BooleanSupplier there) {
    long end = System.nanoTime() + LONGEST.toNanos();
    while (!there.getAsBoolean()) {
      assertThat(System.nanoTime()).as("it takes too long").isLessThan(end);
      assertThat(workers).as("workers that ended by themselves").anyMatch(Process::isAlive);
      LockSupport.parkNanos(Duration.ofMillis(50).toNanos());
    }
  }

  @Test
  void noFarmIsReckonedTwiceAndNoneForgotten() throws IOException {
    Random chance = new Random(17);
    for (int i = 0; i < 3; i++) {
      worker();
    }
    for (int kill = 1; kill <= KILLS; kill++) {
      int done = kill * FARMS / (KILLS + 2);
      until(() -> count("morning where times > 0") >= done);
      List<Process> alive = workers.stream().filter(Process::isAlive).toList();
      alive.get(chance.nextInt(alive.size())).destroyForcibly();
      worker();
    }
    until(() -> count("scheduled_tasks where task_name = 'morning'") == 0);
    assertThat(count("morning where of_changes = changes and day is not null"))
        .isEqualTo(FARMS + 3);
    assertThat(count("morning where times = 1 and verdict is not null")).isEqualTo(FARMS + 2);
    assertThat(
            App.jdbc()
                .sql("select f.slug from morning g join farm f on f.id = g.farm_id where g.failed")
                .query(String.class)
                .list())
        .containsExactly("w7");
    assertThat(
            count(
                "(select distinct fed, missing_kg from morning g join farm f on f.id = g.farm_id"
                    + " where f.slug like 'w%' and not g.failed) as figures"))
        .isEqualTo(1);
  }
}
