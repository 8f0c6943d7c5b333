package wiselarder.server.instruments;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wiselarder.server.App;
import wiselarder.server.Http;

/** Plate meters and weather stations that send their tables. */
class InstrumentApiTest {
  private static final String PLAN = "/api/plans/quillback";
  private static final String OF = PLAN + "/instruments";
  private Http http;

  @BeforeEach
  void demoAsItShips() {
    App.resetDemo();
    http = Http.visitor();
  }

  private JsonNode added(String kind) {
    JsonNode all =
        http.post(
                OF, "{\"kind\": \"%s\", \"name\": \"Green\", \"simulated\": true}".formatted(kind))
            .json();
    return all.get(all.size() - 1);
  }

  /** An instrument knows nothing of cookies and sessions. */
  private static HttpResponse<String> send(String path, String csv) throws Exception {
    return HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(URI.create(App.url() + path))
                .header("Content-Type", "text/csv")
                .POST(HttpRequest.BodyPublishers.ofString(csv))
                .build(),
            HttpResponse.BodyHandlers.ofString());
  }

  private static JsonNode json(HttpResponse<String> answer) {
    return new JsonMapper().readTree(answer.body());
  }

  private JsonNode records() {
    return http.get(PLAN + "/records").json();
  }

  /** Two spots of one field and one of another: two readings, by the table's line of each. */
  @Test
  void aPlateSendsAndItsReadingsMoveThePlan() throws Exception {
    JsonNode plate = added("PLATE");
    int before = records().size();
    String csv =
        "field,time,clicks\nHome Bottom,2028-04-20T08:01,14\nhome-bottom,2028-04-20T08:02,18\n"
            + "Saddle,2028-04-20,10\n";
    HttpResponse<String> answer = send(plate.get("path").asString(), csv);
    assertThat(answer.statusCode()).isEqualTo(200);
    assertThat(json(answer).get("written").asInt()).isEqualTo(2);
    assertThat(send(plate.get("path").asString(), csv).statusCode()).isEqualTo(200);
    JsonNode records = records();
    assertThat(records).as("the same table again brings nothing").hasSize(before + 2);
    JsonNode reading = records.get(1);
    assertThat(reading.get("device").asString()).isEqualTo("Green (simulated)");
    JsonNode fact = reading.get("fact");
    assertThat(fact.get("fieldId").asString()).isEqualTo("home-bottom");
    assertThat(fact.get("plate")).extracting(JsonNode::asDouble).containsExactly(14.0, 18.0);
    double perClick = fact.get("perUnitKg").asDouble();
    JsonNode lines = http.get(PLAN + "/walk/readings").json();
    assertThat(lines.get(0).get("coverKgPerHa").asDouble())
        .isEqualTo(16 * perClick + fact.get("baseKg").asDouble());
    assertThat(http.get(PLAN + "/walk/readings/file").raw().body())
        .contains(",\"Green (simulated), of Visitor\"");
    assertThat(http.get(OF).json().get(0).get("lastAt").isNull()).isFalse();
    assertThat(http.get(OF).json().get(0).get("path").isNull()).as("told once").isTrue();
  }

  @Test
  void aStationSendsItsDays() throws Exception {
    JsonNode station = added("STATION");
    String csv = "date,tmin_c,tmax_c,rain_mm\n2028-04-18,-2,12,0\n2028-04-19,4,15,22.5\n";
    assertThat(json(send(station.get("path").asString(), csv)).get("written").asInt()).isEqualTo(3);
    JsonNode rain = http.get(PLAN + "/walk?on=2028-04-20").json().get("rain");
    assertThat(rain.get("mm").asDouble()).isEqualTo(22.5);
    assertThat(rain.get("from").asString()).isEqualTo("2028-04-18");
    assertThat(records().get(1).get("fact").get("what").asString()).isEqualTo("FROST");
    String births =
        """
        {"commandId": "b", "device": "", "records": [{"on": "2028-04-21", "fact":
          {"kind": "BIRTHS_SEEN", "groupId": "cows", "dams": 3, "young": 2, "note": "twins lost"}}]}""";
    assertThat(http.post(PLAN + "/records", births).status()).isEqualTo(200);
    assertThat(http.get(PLAN + "/walk/seen/file?units=METRIC").raw().body())
        .contains("2028-04-20,rain,,,22.5,mm,,,\"Green (simulated), of Visitor\"")
        .contains("2028-04-21,births,,Cows,3,dams,2 young live,twins lost,Visitor");
  }

  /** One wrong row, and nothing of the table is kept. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "PLATE | field,time,clicks;Saddle,2028-04-20,10;Nowhere,2028-04-20,10 | 3 | unknown_id",
        "PLATE | field,time,clicks;Saddle,20 April,10 | 2 | no_date",
        "PLATE | field,time,clicks;Saddle,2021-04-20,10 | 2 | not_in_plan",
        "PLATE | field,time,clicks;Saddle,2028-04-20,ten | 2 | cell_out_of_range",
        "PLATE | field,time;Saddle,2028-04-20 | 1 | missing_column",
        "PLATE | field,time,clicks | 1 | no_rows",
        "PLATE | field,time,clicks;Sawdust,2028-07-20,10 | 2 | no_plate_line",
        "STATION | date,tmin_c,tmax_c,rain_mm;2028-04-18,20,12,0;2028-04-19,2,12,0 | 2 | low_above_high",
        "PLATE | field,time,clicks;Home Bottom,2028-04-20,90;Home Bottom,2028-04-20,80 | 2 | beyond_plate_line",
        "STATION | date,tmin_c,tmax_c,rain_mm;2021-04-18,2,12,0 | 2 | not_in_plan",
        "STATION | date,tmin_c,tmax_c,rain_mm;2028-04-20,2,12,0;2028-10-20,2,12,0;2028-10-18,2,12,0 | 3 | not_in_plan",
        "STATION | date,tmin_c,tmax_c,rain_mm;18 April,2,12,0 | 2 | no_date",
        "STATION | date,tmin_c,tmax_c,rain_mm | 1 | no_rows",
      })
  void aWrongRowKeepsAllOfItOut(String kind, String csv, int row, String code) throws Exception {
    int before = records().size();
    JsonNode answer = json(send(added(kind).get("path").asString(), csv.replace(';', '\n') + "\n"));
    assertThat(answer.get("code").asString()).isEqualTo("bad_rows");
    JsonNode problem = answer.get("problems").get(0);
    assertThat(problem.get("row").asInt()).isEqualTo(row);
    assertThat(problem.get("problem").get("code").asString()).isEqualTo(code);
    assertThat(records()).hasSize(before);
  }

  @Test
  void aFileIsTakenFromWhoIsSignedInAndAnAddressOnlyWhileItIsThere() throws Exception {
    JsonNode plate = added("PLATE");
    String csv = "field,time,clicks\nSaddle,2028-04-20,10\n";
    byte[] body = csv.getBytes(StandardCharsets.UTF_8);
    String file = OF + "/" + plate.get("id").asLong() + "/file";
    assertThat(http.call("POST", file, "text/csv", body).json().get("written").asInt())
        .isEqualTo(1);
    assertThat(send("/instruments/nobody-knows-this", csv).statusCode()).isEqualTo(404);
    assertThat(http.delete(OF + "/" + plate.get("id").asLong()).json()).isEmpty();
    assertThat(send(plate.get("path").asString(), csv).statusCode()).isEqualTo(404);
    assertThat(http.call("POST", file, "text/csv", body).status()).isEqualTo(404);
    assertThat(http.get(PLAN + "/walk/readings").json()).as("what it sent stays").hasSize(1);
  }
}
