package wiselarder.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.weather.RecordedWeather;
import wiselarder.server.App;
import wiselarder.server.Http;
import wiselarder.server.Operations;
import wiselarder.server.Operations.Call;
import wiselarder.server.Operations.Needs;
import wiselarder.server.Pictures;
import wiselarder.server.farm.Farms;
import wiselarder.server.farm.Invitations;
import wiselarder.server.file.FarmFile;
import wiselarder.server.laboratory.Samples;
import wiselarder.server.people.People;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.Told;
import wiselarder.server.weather.FarmWeather;

/** Every endpoint as a stranger, as somebody of another farm, and in each role. */
class RolesTest {
  private static final FarmPlan DEMO = Operations.DEMO;
  private static final String FILE = Operations.FILE;
  private static final Map<String, Call> CALLS = Operations.CALLS;

  @BeforeEach
  void emptyButForTheDemo() {
    App.resetDemo();
  }

  @Test
  void theTableHoldsEveryOperationOfTheApi() {
    Set<String> offered = new TreeSet<>();
    JsonNode paths = Http.stranger().get("/api/openapi").json().get("paths");
    paths
        .propertyNames()
        .forEach(
            path ->
                paths
                    .get(path)
                    .propertyNames()
                    .forEach(
                        method ->
                            offered.add(method.toUpperCase(java.util.Locale.ROOT) + " " + path)));
    assertThat(CALLS.keySet()).isEqualTo(offered);
  }

  @Test
  void aStrangerIsAskedToSignIn() {
    Ground ground = new Ground();
    CALLS.forEach(
        (operation, call) -> {
          int status = ground.call(operation, call, Http.stranger()).status();
          if (call.needs() == Needs.NOBODY) {
            assertThat(status).as(operation).isNotEqualTo(403);
          } else {
            assertThat(status).as(operation).isEqualTo(401);
          }
        });
  }

  @Test
  void aFarmDoesNotExistForWhoIsNotOfIt() {
    Ground ground = new Ground();
    Http other = Http.person("other");
    CALLS.forEach(
        (operation, call) -> {
          if (call.needs() == Needs.NOBODY
              || operation.endsWith("/mine")
              || operation.startsWith("DELETE /api/sessions")) {
            return; // it would make somebody else of them, let them in, or sign them out
          }
          Http.Answer answer = ground.call(operation, call, other);
          if (call.needs().ordinal() >= Needs.READER.ordinal()) {
            assertThat(answer.status()).as(operation).isEqualTo(404);
            assertThat(answer.raw().body()).doesNotContain("Ground");
          } else {
            assertThat(answer.status()).as(operation).isNotIn(401, 403, 404, 500);
          }
        });
    assertThat(ground.owner.get("/api/plans/" + ground.plan).json().get("revision").asInt())
        .isEqualTo(1);
  }

  @Test
  void eachRoleMayDoWhatItCoversAndNoMore() {
    Map<Role, Person> people = new TreeMap<>();
    Map<Role, Http> sessions = new TreeMap<>();
    for (Role role : Role.values()) {
      String name = role.name().toLowerCase(java.util.Locale.ROOT);
      people.put(role, App.bean(People.class).add(name, name + "@farm.example", Http.PASSWORD));
      sessions.put(role, Http.signedIn(name));
    }
    Cast cast = new Cast();
    List<String> wrong = new ArrayList<>();
    Ground[] ground = {null};
    CALLS.forEach(
        (operation, call) -> {
          if (call.needs().ordinal() < Needs.READER.ordinal()) {
            return;
          }
          Role needed = Role.valueOf(call.needs().name());
          for (Role role : Role.values()) {
            if (ground[0] == null) {
              ground[0] = new Ground(cast);
              people.forEach((r, person) -> ground[0].letIn(person, r));
            }
            int status = ground[0].call(operation, call, sessions.get(role)).status();
            boolean refused = status == 403;
            if (!operation.startsWith("GET") && !refused) {
              ground[0] = null; // it is not what it was
            }
            if (refused == role.covers(needed) || status == 401 || status == 404 || status >= 500) {
              wrong.add(operation + " as " + role + ": " + status);
            }
          }
        });
    assertThat(wrong).isEmpty();
  }

  @Test
  void theVisitorSeesTheDemoFarmsOnlyAndMakesNone() {
    new Ground();
    Http visitor = Http.visitor();
    visitor
        .get("/api/farms")
        .json()
        .get("farms")
        .forEach(f -> assertThat(f.get("demo").asBoolean()).isTrue());
    assertThat(visitor.post("/api/farms/file", FILE).status()).isEqualTo(403);
    assertThat(visitor.delete("/api/farms/quillback").status()).isEqualTo(403);
    assertThat(Http.person("own").get("/api/plans/quillback").status()).isEqualTo(404);
  }

  /** An owner and a member, who come to every farm of a test. */
  private static final class Cast {
    private final Person ann = App.bean(People.class).add("Ann", "ann@farm.example", Http.PASSWORD);
    private final Person cleo =
        App.bean(People.class).add("Cleo", "cleo@farm.example", Http.PASSWORD);
    private final Http owner = Http.signedIn("ann");
  }

  private static final RecordedWeather A_DAY =
      RecordedWeather.read("Yard", "date,tmin_c,tmax_c,rain_mm\n2019-09-01,8,20,4\n").weather();

  /**
   * With thousands of farms in the database every operation finds its rows by an index: no table
   * that grows with the farms is read from end to end.
   */
  @Test
  void everyOperationFindsItsRowsByAnIndex() throws SQLException {
    thousandsOfFarms();
    Cast cast = new Cast();
    Http stranger = Http.stranger();
    stranger.token();
    Map<String, Long> before = readFromEndToEnd();
    Map<String, List<String>> wrong = new TreeMap<>();
    CALLS.forEach(
        (operation, call) -> {
          if (operation.contains("/session")
              || operation.contains("/people/first")
              || operation.startsWith("POST /api/invitations/")) {
            // they would make somebody else of her, or look whether there is anybody at all, which
            // ends
            // at the first row
            return;
          }
          Ground ground = new Ground(cast);
          ground.call(operation, call, call.needs() == Needs.NOBODY ? stranger : cast.owner);
        });
    Map<String, Long> after = readFromEndToEnd();
    after.forEach(
        (table, times) -> {
          if (times > before.get(table)) {
            wrong
                .computeIfAbsent(table, t -> new ArrayList<>())
                .add("" + (times - before.get(table)));
          }
        });
    assertThat(wrong).as("tables read from end to end, and how often").isEmpty();
    App.resetDemo();
  }

  private static void thousandsOfFarms() {
    for (String fill :
        List.of(
            "insert into person (email, name, password_hash) select 'p' || n || '@x', 'P', 'x' from generate_series(1, 4000) n",
            "insert into farm (slug, name) select 'f' || n, 'F' from generate_series(1, 4000) n",
            """
            insert into farm_member (farm_id, person_id, role)
            select f.id, p.id, 'OWNER' from farm f join person p on p.email = f.slug || '@x'
            """
                .replace("f.slug || '@x'", "'p' || substr(f.slug, 2) || '@x'"),
            """
            insert into plan (slug, farm_id, revision, content, content_version)
            select f.slug || '-' || n, f.id, 1, '{}', 13 from farm f, generate_series(1, 3) n
            where f.slug like 'f%'
            """,
            """
            insert into plan_revision (plan_id, number, told, edits, content, content_version)
            select id, n, '{}', '[]', '{}', 13 from plan, generate_series(1, 2) n where content = '{}'
            """,
            """
            insert into farm_record (farm_id, id, command, happened_on, fact, who, device, written_at)
            select f.id, 'r' || n, 'c' || n, '2027-10-01', '{"kind": "NOTE"}', '', '', now()
            from farm f, generate_series(1, 5) n where f.slug like 'f%'
            """,
            """
            insert into invitation (farm_id, role, name, token_hash, invited_by, expires_at)
            select m.farm_id, 'READER', 'x', 'h' || m.farm_id, m.person_id, now() + interval '1 day'
            from farm_member m
            """,
            """
            insert into spring_session
              (primary_id, session_id, creation_time, last_access_time, max_inactive_interval, expiry_time, principal_name)
            select 'id' || n, 'id' || n, 0, 0, 1000000, 9999999999999, 'x' || n from generate_series(1, 4000) n
            """,
            """
            insert into instrument (plan_id, person_id, kind, name, simulated, secret_hash)
            select p.id, m.person_id, 'PLATE', 'x', true, 'h' || p.id
            from plan p join farm_member m on m.farm_id = p.farm_id
            """,
            """
            insert into photo (farm_id, id, jpeg)
            select id, encode(sha256(slug::bytea), 'hex'), '' from farm
            """,
            "insert into known_device (token_hash, person_id) select 'h' || id, id from person",
            "insert into guess_bucket (id, state) select 'x' || n, '' from generate_series(1, 4000) n",
            "analyze")) {
      App.jdbc().sql(fill).update();
    }
  }

  /**
   * How often each large table was read from end to end; what connections did is told as they end.
   */
  private static Map<String, Long> readFromEndToEnd() throws SQLException {
    String now = App.jdbc().sql("select clock_timestamp()::text").query(String.class).single();
    App.bean(DataSource.class)
        .unwrap(HikariDataSource.class)
        .getHikariPoolMXBean()
        .softEvictConnections();
    // all but this one, and the one that listens to changes and asks for nothing
    while (App.jdbc()
            .sql(
                """
                select count(*) from pg_stat_activity
                where datname = current_database() and backend_type = 'client backend'
                  and pid <> pg_backend_pid() and backend_start < :now::timestamptz
                  and query not like 'listen %'
                """)
            .param("now", now)
            .query(Integer.class)
            .single()
        > 0) {
      Thread.onSpinWait();
    }
    Map<String, Long> times = new TreeMap<>();
    App.jdbc()
        .sql(
            """
            select relname, seq_scan from pg_stat_user_tables
            where schemaname = current_schema() and n_live_tup > 1000
            """)
        .query(
            rs -> {
              times.put(rs.getString("relname"), rs.getLong("seq_scan"));
            });
    assertThat(times).hasSizeGreaterThan(7);
    return times;
  }

  /** A farm with an owner, a member, an open invitation and two plans. */
  private static final class Ground {
    private final Invitations invitations = App.bean(Invitations.class);
    private final Person person;
    private final Http owner;
    private final String farm;
    private final String plan;
    private final long member;
    private final String record;
    private final String sample;

    Ground() {
      this(new Cast());
    }

    Ground(Cast cast) {
      person = cast.ann;
      owner = cast.owner;
      member = cast.cleo.id();
      Farms.Made made =
          App.bean(Farms.class)
              .make(
                  person,
                  new FarmFile.Content("Ground", List.of(DEMO, DEMO), List.of()),
                  Told.How.BEGAN_EMPTY);
      farm = made.farm();
      plan = made.plan();
      record = App.bean(FarmWeather.class).add(plan, person, A_DAY);
      sample =
          App.bean(Samples.class)
              .send(
                  plan,
                  person,
                  new Samples.Command("sample-0", ""),
                  "fescue-rounds",
                  LocalDate.of(2027, 9, 10))
              .id();
      letIn(cast.cleo, Role.READER);
    }

    void letIn(Person who, Role role) {
      invitations.accept(invitations.invite(farm, person, who.name(), role), who);
    }

    private String instrument() {
      String plate = "{\"kind\": \"PLATE\", \"name\": \"Plate\", \"simulated\": true}";
      return owner
          .post("/api/plans/" + plan + "/instruments", plate)
          .json()
          .get(0)
          .get("id")
          .asString();
    }

    private String photo() {
      byte[] jpeg = Pictures.jpeg(8, 6, 1);
      String id = Pictures.id(jpeg);
      owner.call("PUT", "/api/plans/" + plan + "/photos/" + id, "image/jpeg", jpeg);
      return id;
    }

    Http.Answer call(String operation, Call call, Http as) {
      boolean asksOne = operation.contains("{token}") || operation.contains("{invitation}");
      String token = asksOne ? invitations.invite(farm, person, "Eve", Role.READER) : "";
      long open = asksOne ? invitations.circle(farm, person).invitations().get(0).id() : 0;
      String path =
          operation
              .substring(operation.indexOf(' ') + 1)
              .replace("{farm}", farm)
              .replace("{id}", plan)
              .replace("{member}", Long.toString(member))
              .replace("{invitation}", Long.toString(open))
              .replace("{token}", token)
              .replace("{session}", "unknown")
              .replace("{secret}", "unknown")
              .replace("{instrument}", operation.contains("{instrument}") ? instrument() : "")
              .replace("{photo}", operation.contains("{photo}") ? photo() : "")
              .replace("{record}", record)
              .replace("{sample}", sample)
              .replace("{revision}", "1")
              .replace("{kind}", "FIELDS");
      String query =
          switch (operation) {
            case "GET /api/plans/{id}/levers" -> "?gap=0";
            case "GET /api/plans/{id}/thousand/hold" -> "?share=0.9";
            case "GET /api/plans/{id}/thousand/near" -> "?sign=STORE&day=100&value=5000";
            case "GET /api/plans/{id}/thousand/year" -> "?rank=500";
            case "GET /api/plans/{id}/jobs/moved" -> "?key=CUT/mill-may/2027&to=2028-05-30";
            case "GET /api/plans/{id}/jobs/letters", "PUT /api/plans/{id}/jobs/letters" ->
                "?today=2028-05-20";
            case "GET /api/plans/{id}/crops" -> "?gap=0&fieldId=saddle";
            case "GET /api/plans/{id}/crops/dates" ->
                "?gap=0&fieldId=saddle&forageId=cereal_rye&purpose=autumn_winter_feed";
            case "GET /api/plans/{id}/market" -> "?month=2028-02";
            case "GET /api/plans/{id}/ledger" -> "?format=CSV";
            case "GET /api/plans/{id}/hay-sum" -> "?lotId=fescue-rounds";
            case "GET /api/plans/{id}/shelves" -> "?measure=ENERGY";
            case "GET /api/plans/{id}/selling" -> "?on=2027-12-01";
            case "GET /api/plans/{id}/weaning" -> "?groupId=cows";
            case "POST /api/plans/{id}/file", "POST /api/plans/{id}/lists/{kind}" -> "?revision=1";
            case "POST /api/plans/{id}/map" -> "?revision=1&forageId=timothy";
            case "POST /api/plans/{id}/map/preview" -> "?forageId=timothy";
            case "GET /api/plans/{id}/begin" -> "?from=" + plan;
            case "GET /api/plans/{id}/winter/sites" -> "?alongM=12&acrossM=15&edgeM=8";
            case "GET /api/plans/{id}/walk" -> "?on=2027-12-01";
            case "GET /api/plans/{id}/fitting" -> "?sowOn=2027-10-01";
            case "GET /api/plans/{id}/let-grow" -> "?fieldId=saddle&from=2028-03-01";
            case "POST /api/plans/{id}/weather", "POST /api/plans/{id}/weather/preview" ->
                "?name=Yard";
            default -> "";
          };
      byte[] body =
          call.body() == null
              ? null
              : call.body().replace("{id}", plan).getBytes(StandardCharsets.UTF_8);
      return as.call(
          operation.substring(0, operation.indexOf(' ')), path + query, call.type(), body);
    }
  }
}
