package wiselarder.server.morning;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import wiselarder.core.engine.Engine;
import wiselarder.core.morning.Morning;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.seasons.YearsAhead;
import wiselarder.server.App;
import wiselarder.server.Http;
import wiselarder.server.farm.DemoFarms;
import wiselarder.server.file.FarmFile;

/** All farms of a person on one page; farms are reckoned here as a worker would. */
class MorningApiTest {
  private static final String MORNINGS = "/api/mornings";

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    App.jdbc().sql("delete from scheduled_tasks").update();
  }

  /** Does what waits. */
  private static int work() {
    List<Long> waiting =
        App.jdbc()
            .sql("select task_instance::bigint from scheduled_tasks where task_name = 'morning'")
            .query(Long.class)
            .list();
    for (long farm : waiting) {
      App.bean(Mornings.class).reckon(farm, () -> false);
      App.jdbc()
          .sql("delete from scheduled_tasks where task_instance = :farm")
          .param("farm", Long.toString(farm))
          .update();
    }
    return waiting.size();
  }

  private static JsonNode farm(Http who, String name) {
    for (JsonNode f : who.get(MORNINGS).json().get("farms")) {
      if (f.get("name").asString().startsWith(name)) {
        return f;
      }
    }
    throw new AssertionError("no farm " + name);
  }

  private static List<String> names(JsonNode page) {
    List<String> names = new ArrayList<>();
    page.get("farms").forEach(f -> names.add(f.get("name").asString()));
    return names;
  }

  @Test
  void aFarmStandsAsTheEngineSays() {
    Http visitor = Http.visitor();
    JsonNode before = visitor.get(MORNINGS).json();
    assertThat(before.get("progress").get("changed").asInt()).isEqualTo(3);
    assertThat(before.get("farms").get(0).get("verdict").isNull()).isTrue();
    assertThat(visitor.post(MORNINGS, "{}").json().get("waiting").asInt()).isEqualTo(3);
    assertThat(visitor.post(MORNINGS, "{}").json().get("waiting").asInt()).isEqualTo(3);
    assertThat(farm(visitor, "Quillback").get("waiting").asBoolean()).isTrue();
    assertThat(work()).isEqualTo(3);
    JsonNode after = visitor.get(MORNINGS).json();
    assertThat(after.get("progress").get("changed").asInt()).isZero();
    assertThat(after.get("progress").get("waiting").asInt()).isZero();
    assertThat(visitor.post(MORNINGS, "{}").json().get("waiting").asInt()).isZero();
    for (String demo : DemoFarms.NAMES) {
      FarmFile.Content content = DemoFarms.read(demo);
      FarmPlan plan = content.plans().get(0);
      Engine knowing = Engine.load().knowing(FarmRecords.of(content.records()));
      Morning morning =
          Morning.of(
              knowing,
              plan,
              Mornings.today(),
              YearsAhead.run(
                  knowing,
                  plan,
                  Math.max(0, plan.plan().year().day(Mornings.today())),
                  Morning.SEASONS,
                  () -> false));
      JsonNode told = farm(visitor, content.name());
      assertThat(told.get("verdict").asString()).isEqualTo(morning.verdict().name());
      assertThat(told.get("fed").asInt()).isEqualTo(morning.fed());
      assertThat(told.get("plan").asString()).isEqualTo(demo);
      assertThat(day(told, "bareOn")).isEqualTo(morning.bareOn());
      assertThat(day(told, "bareInTenOn")).isEqualTo(morning.bareInTenOn());
      assertThat(day(told, "nextOn")).isEqualTo(morning.next().on());
      assertThat(day(told, "lookedFrom")).isEqualTo(morning.day());
    }
  }

  private static LocalDate day(JsonNode farm, String member) {
    return farm.get(member).isNull() ? null : LocalDate.parse(farm.get(member).asString());
  }

  private static void edit(Http http, String plan, String edit) {
    int revision = http.get("/api/plans/" + plan).json().get("revision").asInt();
    String body =
        "{\"revision\": %d, \"onTopOf\": null, \"edits\": [%s], \"alsoIn\": []}"
            .formatted(revision, edit);
    assertThat(http.post("/api/plans/" + plan + "/edits", body).status()).isEqualTo(200);
  }

  private static String years(String slug) {
    return App.jdbc()
        .sql(
            """
            select y.xmin::text from morning_years y join farm f on f.id = y.farm_id
            where f.slug = :slug
            """)
        .param("slug", slug)
        .query(String.class)
        .single();
  }

  /** What changes is told as changed; years are run again only where they hang on it. */
  @Test
  void aChangeIsToldUntilItIsReckoned() {
    Http visitor = Http.visitor();
    visitor.post(MORNINGS, "{}");
    work();
    String ran = years("quillback");
    String mark =
        """
        {"commandId": "m1", "device": "phone", "records": [{"on": "2026-10-01", "fact":
          {"kind": "JOB_MARKED", "job": "CUT/mill-may/2027", "mark": "DONE",
           "planned": "2028-05-22", "to": null, "why": ""}}]}""";
    assertThat(visitor.post("/api/plans/quillback/records", mark).status()).isEqualTo(200);
    assertThat(farm(visitor, "Quillback").get("changed").asBoolean()).isTrue();
    assertThat(farm(visitor, "Spruce").get("changed").asBoolean()).isFalse();
    visitor.post(MORNINGS, "{}");
    assertThat(work()).isEqualTo(1);
    assertThat(farm(visitor, "Quillback").get("changed").asBoolean()).isFalse();
    assertThat(years("quillback")).isEqualTo(ran);
    edit(visitor, "quillback", "{\"setYear\": {\"start\": \"2027-10-01\", \"months\": 12}}");
    visitor.post(MORNINGS, "{}");
    work();
    assertThat(years("quillback")).isNotEqualTo(ran);
    assertThat(farm(visitor, "Quillback").get("lookedFrom").asString()).isEqualTo("2027-10-01");
    // another night: nothing has changed, the years stay
    String again = years("quillback");
    App.jdbc().sql("update morning set day = day - 1").update();
    assertThat(App.bean(MorningRepository.class).lineUp(Mornings.today())).isEqualTo(3);
    work();
    assertThat(years("quillback")).isEqualTo(again);
    assertThat(farm(visitor, "Quillback").get("changed").asBoolean()).isFalse();
  }

  private static final String FARM =
      """
      {"name": "%s", "climateId": "transition_humid", "units": "METRIC", "currency": "EUR",
       "start": "%s"}""";

  private static String made(Http who, String name, LocalDate start) {
    return who.post("/api/farms", FARM.formatted(name, start)).json().get("plan").asString();
  }

  /**
   * The plan that runs, of several the one changed last; else the next; none where all are over.
   */
  @Test
  void thePlanIsTheOneThatRunsOrBeginsNext() {
    Http ann = Http.person("ann");
    LocalDate today = Mornings.today();
    LocalDate month = today.withDayOfMonth(1);
    String now = made(ann, "Now", month.minusMonths(3));
    String copy =
        ann.post("/api/plans/" + now + "/copy", "{\"name\": \"Second\"}")
            .json()
            .get("id")
            .asString();
    ann.post("/api/plans/" + now + "/copy", "{\"name\": \"Next\", \"yearsOn\": 1}");
    String next = made(ann, "Soon", month.plusMonths(2));
    made(ann, "Over", month.minusMonths(12));
    ann.post(MORNINGS, "{}");
    work();
    assertThat(farm(ann, "Now").get("plan").asString()).isEqualTo(copy);
    assertThat(farm(ann, "Soon").get("plan").asString()).isEqualTo(next);
    assertThat(farm(ann, "Soon").get("verdict").asString()).isEqualTo("NOBODY");
    assertThat(farm(ann, "Over").get("verdict").asString()).isEqualTo("NO_PLAN");
    assertThat(farm(ann, "Over").get("plan").isNull()).isTrue();
    edit(ann, now, "{\"namePlan\": \"First\"}");
    ann.post(MORNINGS, "{}");
    work();
    assertThat(farm(ann, "Now").get("planName").asString()).isEqualTo("First");
    ann.delete("/api/plans/" + now);
    assertThat(farm(ann, "Now").get("changed").asBoolean()).isTrue();
  }

  @Test
  void farmsAreFoundFilteredSortedAndTakenInPages() {
    Http ann = Http.person("ann");
    LocalDate month = Mornings.today().withDayOfMonth(1);
    for (String name : List.of("Cinder Beck", "Amber Croft", "Bracken Croft")) {
      made(ann, name, month);
    }
    made(ann, "Over", month.minusYears(2));
    ann.post(MORNINGS, "{}");
    work();
    assertThat(names(ann.get(MORNINGS + "?order=NAME").json()))
        .containsExactly("Amber Croft", "Bracken Croft", "Cinder Beck", "Over");
    assertThat(names(ann.get(MORNINGS + "?order=NAME&back=true&most=2").json()))
        .containsExactly("Over", "Cinder Beck");
    assertThat(names(ann.get(MORNINGS + "?order=NAME&from=2&most=1").json()))
        .containsExactly("Cinder Beck");
    JsonNode crofts = ann.get(MORNINGS + "?order=NAME&find=CROFT&most=1").json();
    assertThat(crofts.get("found").asInt()).isEqualTo(2);
    assertThat(crofts.get("progress").get("farms").asInt()).isEqualTo(4);
    assertThat(names(ann.get(MORNINGS + "?verdict=NO_PLAN,LASTS").json())).containsExactly("Over");
    assertThat(names(ann.get(MORNINGS + "?late=true").json())).isEmpty();
    assertThat(ann.get(MORNINGS).json().get("counts").toString())
        .contains("\"NOBODY\",\"farms\":3", "\"NO_PLAN\",\"farms\":1");
    for (String order : List.of("WORST", "BARE", "IN_TEN", "FED", "NEXT", "LATE", "SEEN")) {
      assertThat(names(ann.get(MORNINGS + "?order=" + order + "&back=true").json())).hasSize(4);
    }
    for (String wrong : List.of("most=0", "most=201", "from=-1", "order=X", "verdict=X")) {
      assertThat(ann.get(MORNINGS + "?" + wrong).status()).as(wrong).isIn(400, 422);
    }
  }

  @Test
  void farmsOfOthersAreNotThere() {
    made(Http.person("ann"), "Anns", LocalDate.parse("2027-10-01"));
    Http bob = Http.person("bob");
    made(bob, "Bobs", LocalDate.parse("2027-10-01"));
    assertThat(names(bob.get(MORNINGS).json())).containsExactly("Bobs");
    bob.post(MORNINGS, "{}");
    assertThat(work()).isEqualTo(1);
    assertThat(bob.get(MORNINGS + "/file").raw().body()).contains("Bobs").doesNotContain("Anns");
    assertThat(Http.stranger().get(MORNINGS).status()).isEqualTo(401);
  }

  /** What a spreadsheet would reckon stays text. */
  @Test
  void theFileHoldsWhatIsLookedFor() throws IOException, InterruptedException {
    Http ann = Http.person("ann");
    made(ann, "=1+2", Mornings.today().withDayOfMonth(1));
    made(ann, "Other", Mornings.today().withDayOfMonth(1));
    ann.post(MORNINGS, "{}");
    work();
    List<String> lines = ann.get(MORNINGS + "/file?order=NAME").raw().body().lines().toList();
    assertThat(lines.get(0)).startsWith("farm,plan,verdict,short_from_normal_year,missing_kg,");
    assertThat(lines.get(1)).startsWith("'=1+2,").contains("nobody").endsWith(",no");
    assertThat(lines).hasSize(3);
    assertThat(ann.get(MORNINGS + "/file?find=oth&units=IMPERIAL").raw().body())
        .contains("missing_lb", "Other")
        .doesNotContain("1+2");
    byte[] xlsx = bytes(ann, MORNINGS + "/file?format=XLSX&order=NAME");
    try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(xlsx))) {
      assertThat(book.getSheetAt(0).getRow(1).getCell(0).getStringCellValue()).isEqualTo("=1+2");
    }
  }

  private static byte[] bytes(Http who, String path) throws IOException, InterruptedException {
    HttpRequest request = HttpRequest.newBuilder(URI.create(App.url() + path)).build();
    try (java.io.InputStream in = who.stream(request).body()) {
      return in.readAllBytes();
    }
  }
}
