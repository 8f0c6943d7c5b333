package wiselarder.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import wiselarder.server.App;
import wiselarder.server.Http;
import wiselarder.server.Operations;
import wiselarder.server.farm.Farms;
import wiselarder.server.farm.Invitations;
import wiselarder.server.people.People;
import wiselarder.server.people.Person;
import wiselarder.server.people.Role;
import wiselarder.server.plan.Told;

/** Samples, records, hay sums and what would help, on the real database. */
class StoreApiTest {
  private static final String PLAN = "/api/plans/quillback";
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private JsonNode send(String lotId) {
    return http.post(
            PLAN + "/samples",
            """
            {"commandId": "sample-%s", "device": "", "lotId": "%s", "sampledOn": "2027-09-10"}"""
                .formatted(lotId, lotId))
        .json();
  }

  /** Reports written down of a lot, the newest first. */
  private List<JsonNode> tests(String lotId) {
    List<JsonNode> tests = new ArrayList<>();
    for (JsonNode r : http.get(PLAN + "/records?about=" + lotId).json()) {
      if (r.get("fact").get("kind").asString().equals("LOT_TESTED")) {
        tests.add(r.get("fact").get("test"));
      }
    }
    return tests;
  }

  @Test
  void aReportComesBackIsTheSameEachTimeAndIsTakenByAPerson() {
    JsonNode sent = send("alfalfa-squares");
    String id = sent.get("id").asString();
    assertThat(sent.get("laboratory").asString()).startsWith("Simulated");
    JsonNode first = http.get(PLAN + "/samples").json().get(0);
    assertThat(first.get("report").get("proteinPct").asDouble()).isBetween(10.0, 32.0);
    assertThat(http.get(PLAN + "/samples").json().get(0).get("report"))
        .isEqualTo(first.get("report"));
    assertThat(tests("alfalfa-squares")).isEmpty();
    assertThat(send("alfalfa-squares").get("id").asString())
        .as("sent twice is sent once")
        .isEqualTo(id);
    assertThat(http.get(PLAN + "/samples").json()).hasSize(1);

    JsonNode after = http.post(PLAN + "/samples/" + id + "/take", "{\"device\": \"\"}").json();
    JsonNode test = tests("alfalfa-squares").get(0);
    assertThat(test.get("laboratory").asString()).contains("not a real test");
    assertThat(after.get("year").get("lots").get(2).get("worthFrom").asString()).isEqualTo("TEST");
    assertThat(after.get("year").get("lots").get(2).get("proteinPct").asDouble())
        .isEqualTo(test.get("proteinPct").asDouble());
    assertThat(after.get("revision").asInt()).as("the plan itself is as it was").isEqualTo(1);
    assertThat(http.get(PLAN + "/samples").json().get(0).get("taken").asBoolean()).isTrue();
    http.post(PLAN + "/samples/" + id + "/take", "{\"device\": \"\"}");
    assertThat(tests("alfalfa-squares")).as("taken twice is taken once").hasSize(1);
  }

  @Test
  void aReportOnItsWayCannotBeTaken() {
    String id = send("orchard-rounds").get("id").asString();
    // records never change, so that this one is put there anew, due in three days
    App.jdbc()
        .sql(
            """
            insert into farm_record
              (farm_id, id, command, happened_on, fact, who, device, written_at)
            select farm_id, 'late', 'late', happened_on,
                   jsonb_set(fact, '{dueAt}', to_jsonb(now() + interval '3 days')), who, device,
                   written_at
            from farm_record where id = :id
            """)
        .param("id", id)
        .update();
    assertThat(http.get(PLAN + "/samples").json().get(0).get("report").isNull()).isTrue();
    Http.Answer early = http.post(PLAN + "/samples/late/take", "{\"device\": \"\"}");
    assertThat(early.status()).isEqualTo(422);
    assertThat(early.json().get("code").asString()).isEqualTo("report_not_there");
    assertThat(send("no-such-lot").get("code").asString()).isEqualTo("unknown_id");
  }

  @Test
  void theHaySumOfSomeDaysIsThePartOfTheYears() {
    JsonNode year = http.get(PLAN).json().get("year");
    JsonNode all = http.get(PLAN + "/hay-sum?lotId=fescue-rounds").json();
    int units = 0;
    for (JsonNode s : year.get("haySums")) {
      if (s.get("lotId").asString().equals("fescue-rounds")
          && s.get("groupId").asString().isEmpty()) {
        units = s.get("units").asInt();
      }
    }
    assertThat(all.get("all").get("units").asInt()).isEqualTo(units).isPositive();
    double exact = 0;
    for (String days :
        List.of("&to=2027-12-31", "&from=2028-01-01&to=2028-02-15", "&from=2028-02-16")) {
      exact +=
          http.get(PLAN + "/hay-sum?lotId=fescue-rounds" + days)
              .json()
              .get("all")
              .get("exactUnits")
              .asDouble();
    }
    assertThat(exact).isCloseTo(all.get("all").get("exactUnits").asDouble(), within(1e-6));
    JsonNode cows =
        http.get(PLAN + "/hay-sum?lotId=fescue-rounds&groupId=cows&unitsAtOnce=6").json();
    assertThat(cows.get("sets").size()).isGreaterThan(20);
    assertThat(cows.get("sets").get(0).get("units").asInt()).isEqualTo(6);
  }

  @ParameterizedTest
  @CsvSource({
    "/hay-sum?lotId=none, unknown_id",
    "/hay-sum?lotId=fescue-rounds&from=2028-03-01&to=2028-01-01, dates_reversed",
    "/hay-sum?lotId=fescue-rounds&groupId=cows&unitsAtOnce=0, out_of_range",
    "/hay-sum?lotId=fescue-rounds&groupId=nobody, unknown_id",
    "/selling?on=2031-01-01, date_outside_plan",
    "/weaning?groupId=bulls, no_weaning",
    "/weaning?groupId=nobody, unknown_id",
  })
  void whatCannotBeAskedIsRefusedByName(String question, String code) {
    Http.Answer answer = http.get(PLAN + question);
    assertThat(answer.status()).isBetween(400, 422);
    assertThat(answer.json().get("code").asString()).isEqualTo(code);
  }

  @Test
  void aHelperWritesDownWhatWasFedAndPlansNothing() {
    Person ann = App.bean(People.class).add("Ann", "ann@farm.example", Http.PASSWORD);
    Person hand = App.bean(People.class).add("Hal", "hal@farm.example", Http.PASSWORD);
    Farms.Made made = App.bean(Farms.class).make(ann, Operations.DEMO, Told.How.BEGAN_EMPTY);
    Invitations invitations = App.bean(Invitations.class);
    invitations.accept(invitations.invite(made.farm(), ann, "Hal", Role.HELPER), hand);
    Http helper = Http.signedIn("hal");
    String plan = "/api/plans/" + made.plan();
    String fed = Operations.CALLS.get("POST /api/plans/{id}/records").body();
    JsonNode before = helper.get(plan).json();
    JsonNode after = helper.post(plan + "/records", fed).json();
    assertThat(units(before) - units(after)).as("whole bales left after that day").isNotZero();
    assertThat(after.get("revision").asInt()).isEqualTo(1);
    JsonNode record = helper.get(plan + "/records?about=fescue-rounds").json().get(0);
    assertThat(record.get("who").asString()).isEqualTo("Hal");
    assertThat(record.get("device").asString()).isEqualTo("yard phone");
    String lot = "{\"revision\": 1, \"edits\": [{\"removeLot\": \"fescue-rounds\"}]}";
    assertThat(helper.post(plan + "/edits", lot).status()).isEqualTo(403);
  }

  /** Whole bales of the first lot on the evening of 1 December. */
  private static int units(JsonNode view) {
    return view.get("year").get("lots").get(0).get("units").get(91).asInt();
  }

  @Test
  void theQuickSumAndTheFarmItBecomesSayTheSame() {
    Http keeper = Http.person("kim");
    String body = Operations.CALLS.get("POST /api/hay-sum").body();
    JsonNode quick = keeper.post("/api/hay-sum", body).json();
    assertThat(quick.get("units").asInt()).isBetween(55, 70);
    JsonNode made = keeper.post("/api/farms/quick", body).json();
    JsonNode plan = keeper.get("/api/plans/" + made.get("plan").asString()).json();
    JsonNode lot = plan.get("farm").get("lots").get(0);
    assertThat(lot.get("units").asInt()).isEqualTo(quick.get("units").asInt());
    assertThat(plan.get("year").get("total").get("bareKg").asDouble()).isZero();
    assertThat(plan.get("year").get("total").get("putByKg").asDouble())
        .isCloseTo(quick.get("eatenKg").asDouble(), within(1e-6));
    Http.Answer wrong =
        keeper.post("/api/hay-sum", body.replace("\"head\": 10", "\"head\": 100001"));
    assertThat(wrong.json().get("field").asString()).isEqualTo("group.head");
  }

  @Test
  void whatWouldHelpIsTriedOnTheYear() {
    List<String> groups = new ArrayList<>();
    http.get(PLAN + "/selling?on=2027-12-01")
        .json()
        .forEach(r -> groups.add(r.get("groupId").asString()));
    assertThat(groups).startsWith("steers", "bulls", "replacements");
    JsonNode weaning = http.get(PLAN + "/weaning?groupId=cows").json();
    assertThat(weaning.size()).isGreaterThan(2);
    JsonNode supplement = http.get(PLAN + "/supplement").json();
    assertThat(supplement.size()).isGreaterThan(5);
    supplement.forEach(s -> assertThat(s.get("cost").asDouble()).isNotNegative());
  }

  @Test
  void testsOfLotsGoOutAndComeInByFile() {
    String csv = http.get(PLAN + "/lists/TESTS").raw().body();
    assertThat(csv.lines().toList()).hasSize(3);
    assertThat(csv).contains("fescue-rounds", "9.1");
    String more =
        """
        lot,sampled_on,protein_pct,tdn_pct,nitrate_no3_pct
        Alfalfa squares,2027-09-05,19.2,62,0.1
        Alfalfa squares,2027-10-05,18.8,61,
        """;
    http.call(
        "POST",
        PLAN + "/lists/TESTS?revision=1",
        "text/csv",
        more.getBytes(StandardCharsets.UTF_8));
    assertThat(tests("alfalfa-squares")).hasSize(2);
    JsonNode wrong =
        http.call(
                "POST",
                PLAN + "/lists/TESTS/preview",
                "text/csv",
                "lot,sampled_on,protein_pct\nNo such lot,2027-09-05,12\nAlfalfa squares,2027-09-06,140\n"
                    .getBytes(StandardCharsets.UTF_8))
            .json();
    assertThat(wrong.get("problems")).hasSize(2);
    assertThat(wrong.get("problems").get(1).get("column").asString()).isEqualTo("protein_pct");
  }
}
