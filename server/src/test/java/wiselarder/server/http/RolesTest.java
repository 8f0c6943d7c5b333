package wiselarder.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
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
    CALLS.forEach(
        (operation, call) -> {
          if (call.needs().ordinal() < Needs.READER.ordinal()) {
            return;
          }
          Role needed = Role.valueOf(call.needs().name());
          for (Role role : Role.values()) {
            Ground ground = new Ground(cast);
            ground.letIn(people.get(role), role);
            int status = ground.call(operation, call, sessions.get(role)).status();
            boolean refused = status == 403;
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
    visitor.get("/api/farms").json().forEach(f -> assertThat(f.get("demo").asBoolean()).isTrue());
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
            case "GET /api/plans/{id}/fitting" -> "?sowOn=2027-10-01";
            case "GET /api/plans/{id}/let-grow" -> "?fieldId=saddle&from=2028-03-01";
            case "POST /api/plans/{id}/weather", "POST /api/plans/{id}/weather/preview" ->
                "?name=Yard";
            default -> "";
          };
      byte[] body = call.body() == null ? null : call.body().getBytes(StandardCharsets.UTF_8);
      return as.call(
          operation.substring(0, operation.indexOf(' ')), path + query, call.type(), body);
    }
  }
}
