package wiselarder.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Kills the application, the database or both with SIGKILL at random moments during 500 edits; then
 * every edit that was acknowledged must be there, and the plan must open. Run by {@code ./larder
 * bench crash}; {@code BenchesTest} runs it once, short. The database runs as it does in the
 * product, with fsync on.
 */
class CrashBench {
  private static final JsonMapper MAPPER = new JsonMapper();

  private final Random random = new Random(11);
  private final CookieManager cookies = new CookieManager();
  private final HttpClient client =
      HttpClient.newBuilder().cookieHandler(cookies).connectTimeout(Duration.ofSeconds(5)).build();
  private final Path home;
  private final int pgPort;
  private final int port;
  private Process app;
  private String plan;

  CrashBench() throws IOException {
    home = Files.createTempDirectory(Path.of("/var/tmp"), "wise-larder-crash");
    home.toFile().setExecutable(true, false);
    home.toFile().setReadable(true, false);
    pgPort = freePort();
    port = freePort();
  }

  @Test
  void everyAcknowledgedEditSurvives() throws Exception {
    measure(500, 10);
  }

  void measure(int edits, int kills) throws Exception {
    try {
      pg("start");
      startApp();
      begin();
      run(edits, kills);
    } finally {
      if (app != null) {
        app.destroyForcibly();
      }
      pg("stop");
      new ProcessBuilder("rm", "-rf", home.toString()).start().waitFor();
    }
  }

  private void run(int edits, int most) throws Exception {
    List<Integer> acknowledged = new ArrayList<>();
    int revision = 1;
    int unanswered = 0;
    int kills = 0;
    for (int n = 1; n <= edits; n++) {
      AtomicBoolean killed = new AtomicBoolean();
      Thread killer = null;
      if (n % (edits / most) == edits / most / 2) {
        killer = new Thread(() -> kill(killed));
        killer.start();
      }
      boolean answered = false;
      try {
        JsonNode view = post("/api/plans/" + plan + "/edits", edit(revision, n));
        if (view != null) {
          answered = true;
          acknowledged.add(n);
          revision = view.get("revision").asInt();
        }
      } catch (IOException cutOff) {
        // whether it was stored is asked below
      }
      if (killer != null) {
        killer.join();
        kills++;
        startAgain();
        revision = get("/api/plans/" + plan).get("revision").asInt();
      } else {
        assertThat(answered).as("edit %d was answered", n).isTrue();
      }
      unanswered += answered ? 0 : 1;
    }
    List<Integer> stored = stored();
    System.out.printf(
        "crash: %d edits, %d kills, %d acknowledged, %d cut off, %d stored; lost %d%n",
        edits,
        kills,
        acknowledged.size(),
        unanswered,
        stored.size(),
        acknowledged.stream().filter(n -> !stored.contains(n)).count());
    assertThat(stored).containsAll(acknowledged).doesNotHaveDuplicates();
    assertThat(get("/api/plans/" + plan).get("year").get("massError").asDouble()).isLessThan(1e-6);
  }

  /** At some moment of the edit's way. */
  private void kill(AtomicBoolean killed) {
    try {
      TimeUnit.MILLISECONDS.sleep(random.nextInt(60));
      int what = random.nextInt(3);
      if (what != 1) {
        app.destroyForcibly();
      }
      if (what != 0) {
        long pid =
            Long.parseLong(Files.readAllLines(home.resolve("pg/data/postmaster.pid")).get(0));
        new ProcessBuilder("pkill", "-9", "-P", Long.toString(pid)).start().waitFor();
        new ProcessBuilder("kill", "-9", Long.toString(pid)).start().waitFor();
      }
      killed.set(true);
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private void startAgain() throws Exception {
    pg("start");
    if (!app.isAlive()) {
      startApp();
    }
    waitReady();
  }

  private static String edit(int revision, int n) {
    return """
        {"revision": %d, "onTopOf": null, "edits": [{"setFarm": {"name": "Crash Farm",
         "note": "edit %d", "climateId": "transition_humid", "units": "METRIC", "currency": "EUR",
         "audKg": 11.8}}]}"""
        .formatted(revision, n);
  }

  private List<Integer> stored() throws Exception {
    List<Integer> found = new ArrayList<>();
    String url = "jdbc:postgresql://127.0.0.1:" + pgPort + "/larder";
    try (Connection c = DriverManager.getConnection(url, "larder", password());
        ResultSet rs =
            c.createStatement()
                .executeQuery(
                    "select edits #>> '{0,setFarm,note}' from plan_revision where number > 1 order by number")) {
      while (rs.next()) {
        found.add(Integer.parseInt(rs.getString(1).substring("edit ".length())));
      }
    }
    return found;
  }

  private void begin() throws Exception {
    get("/api/session");
    post(
        "/api/people/first",
        "{\"name\": \"Ann\", \"email\": \"ann@farm.example\", \"password\": \"clover and timothy\"}");
    plan =
        post(
                "/api/farms",
                """
                {"name": "Crash Farm", "climateId": "transition_humid", "units": "METRIC",
                 "currency": "EUR", "start": "2027-10-01"}""")
            .get("plan")
            .asString();
  }

  private void startApp() throws Exception {
    ProcessBuilder builder =
        new ProcessBuilder(
                "java",
                "-XX:TieredStopAtLevel=1",
                "-jar",
                System.getenv()
                    .getOrDefault("LARDER_APP_JAR", "../server/target/server-0.1.0-app.jar"))
            .redirectErrorStream(true)
            .redirectOutput(home.resolve("app.log").toFile());
    builder.environment().put("SERVER_PORT", Integer.toString(port));
    builder
        .environment()
        .put("SPRING_DATASOURCE_URL", "jdbc:postgresql://127.0.0.1:" + pgPort + "/larder");
    builder.environment().put("SPRING_DATASOURCE_USERNAME", "larder");
    builder.environment().put("SPRING_DATASOURCE_PASSWORD", password());
    app = builder.start();
    waitReady();
  }

  private void waitReady() throws Exception {
    for (int i = 0; i < 600; i++) {
      try {
        HttpResponse<String> health = send("GET", "/actuator/health/readiness", null);
        if (health.statusCode() == 200 && send("GET", "/api/session", null).statusCode() == 200) {
          return;
        }
      } catch (IOException notYet) {
        // not up yet
      }
      TimeUnit.MILLISECONDS.sleep(100);
    }
    throw new IllegalStateException(Files.readString(home.resolve("app.log")));
  }

  private JsonNode get(String path) throws Exception {
    HttpResponse<String> answer = send("GET", path, null);
    assertThat(answer.statusCode()).as(path + answer.body()).isEqualTo(200);
    return MAPPER.readTree(answer.body());
  }

  /** The answer to a change, or null where the server was cut off from its database. */
  private JsonNode post(String path, String body) throws Exception {
    HttpResponse<String> answer = send("POST", path, body);
    return answer.statusCode() == 200 ? MAPPER.readTree(answer.body()) : null;
  }

  private HttpResponse<String> send(String method, String path, String body) throws Exception {
    String token =
        cookies.getCookieStore().getCookies().stream()
            .filter(c -> c.getName().equals("XSRF-TOKEN"))
            .map(HttpCookie::getValue)
            .findFirst()
            .orElse("none");
    return client.send(
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
            .timeout(Duration.ofSeconds(40))
            .header("X-XSRF-TOKEN", token)
            .header("Content-Type", "application/json")
            .method(
                method,
                body == null
                    ? HttpRequest.BodyPublishers.noBody()
                    : HttpRequest.BodyPublishers.ofString(body))
            .build(),
        HttpResponse.BodyHandlers.ofString());
  }

  private String password() throws IOException {
    return Files.readString(home.resolve("pg/password")).strip();
  }

  private void pg(String what) throws Exception {
    ProcessBuilder builder =
        new ProcessBuilder("../scripts/pg.sh", what)
            .redirectErrorStream(true)
            .redirectOutput(home.resolve("pg-" + what + ".log").toFile());
    builder.environment().remove("PG_THROWAWAY");
    builder.environment().put("PG_HOME", home.resolve("pg").toString());
    builder.environment().put("PG_PORT", Integer.toString(pgPort));
    int status = builder.start().waitFor();
    if (status != 0 && !what.equals("stop")) {
      throw new IllegalStateException(Files.readString(home.resolve("pg-" + what + ".log")));
    }
  }

  private static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    }
  }
}
