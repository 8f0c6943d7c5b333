package wiselarder.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wiselarder.server.App;
import wiselarder.server.Http;
import wiselarder.server.Operations;
import wiselarder.server.farm.Farms;
import wiselarder.server.file.FarmFile;
import wiselarder.server.people.Attempts;
import wiselarder.server.people.People;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Told;

/**
 * Thousands of malformed and hostile requests over every operation, from an owner, so that they get
 * past the door: none may end in a fault of the server, and none that is refused may change
 * anything.
 */
class HostileRequestsTest {
  /** Of each operation; the whole set is run by {@code -Dlarder.hostile=76}. */
  private static final int EACH = Integer.getInteger("larder.hostile", 26);

  private static final long SEED = 20261123;

  /** What stands where a name or a number should. */
  private static final String[] ODD = {
    "null",
    "[]",
    "{}",
    "true",
    "-1",
    "1e999",
    "NaN",
    "9223372036854775808",
    "0.1e-400",
    "\"\"",
    "\"\\u0000\"",
    "\"\\ud800\"",
    "\"' or 1=1; drop table plan; --\"",
    "\"<script>alert(1)</script>\"",
    "\"../../etc/passwd\"",
    "\"${jndi:ldap://x}\"",
    "\"%n%n%s\"",
    "\"--02-30\"",
    "\"+999999999-12-31\"",
    "\"" + "x".repeat(70_000) + "\"",
    "[[[[[[[[[[]]]]]]]]]]",
    "{\"a\":{\"a\":{\"a\":1}}}",
    "1,\"x\":2"
  };

  private static final String[] ODD_PATHS = {
    "nothing",
    "..",
    "%2e%2e",
    "%00",
    "a%0ab",
    "x".repeat(3000),
    "%F0%9F%90%84",
    "-1",
    "0",
    "99999999999999999999",
    "quillback%27%20or%201=1",
    "%3Cscript%3E",
    "a;b=c",
    "a%2Fb",
    "%ff%fe"
  };

  private final Random random = new Random(SEED);
  private Person ann;
  private Http http;
  private String farm;
  private String plan;

  @Test
  void noneEndsInAFaultAndNoneThatIsRefusedChangesAnything() throws IOException {
    App.resetDemo();
    ann = App.bean(People.class).add("Ann", "ann@farm.example", Http.PASSWORD);
    http = Http.signedIn("ann");
    ground();
    String before = fingerprint();
    Map<Integer, Integer> answers = new TreeMap<>();
    List<String> faults = new ArrayList<>();
    int sent = 0;
    for (Map.Entry<String, Operations.Call> e : Operations.CALLS.entrySet()) {
      String method = e.getKey().substring(0, e.getKey().indexOf(' '));
      if (e.getKey().startsWith("DELETE /api/session")
          || e.getKey().equals("POST /api/session/demo")) {
        continue; // it would make somebody else of her, or sign her out
      }
      for (int i = 0; i < EACH; i++) {
        App.bean(Attempts.class).forgetAll();
        String path = path(e.getKey(), i);
        String type = i % 7 == 3 ? odd(TYPES) : e.getValue().type();
        byte[] body = body(e.getValue().body(), i);
        Http.Answer answer;
        try {
          answer = http.call(method, path, type, body);
        } catch (java.io.UncheckedIOException | IllegalArgumentException refusedByTheClient) {
          continue;
        }
        sent++;
        answers.merge(answer.status(), 1, Integer::sum);
        if (answer.status() >= 500) {
          faults.add(answer.status() + " " + method + " " + cut(path) + " " + cut(body));
        }
        boolean taken = answer.status() < 300 && !method.equals("GET");
        if (taken) {
          ground(); // the change left it a sound request, or it was one of reading: begin anew
          before = fingerprint();
        } else {
          String now = fingerprint();
          assertThat(now).as(method + " " + cut(path) + " " + cut(body)).isEqualTo(before);
        }
        if (answer.status() == 401) {
          http = Http.signedIn("ann");
        }
      }
    }
    System.out.println("hostile requests: " + sent + ", answers " + answers);
    assertThat(faults).isEmpty();
    assertThat(sent - answers.getOrDefault(200, 0)).as("refused").isGreaterThanOrEqualTo(26 * EACH);
  }

  /** Days that no calendar has, and what a fault is sent to, are refused as any other mistake. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "/api/plans/quillback/hay-sum?lotId=fescue-rounds&to=%2B999999999-12-31",
        "/api/plans/quillback/hay-sum?lotId=fescue-rounds&from=-999999999-01-01",
        "/api/plans/quillback/hay-sum?lotId=fescue-rounds&to=2027-02-30",
        "/api/plans/quillback/jobs/letters?today=%2B999999999-12-31",
        "/error",
        "/error?x=1"
      })
  void oddDaysAndTheAddressOfFaultsAreRefused(String path) {
    App.resetDemo();
    assertThat(Http.visitor().get(path).status()).isBetween(400, 499);
    assertThat(
            Http.visitor()
                .get("/api/plans/quillback/hay-sum?lotId=fescue-rounds&to=2028-01-31")
                .status())
        .isEqualTo(200);
  }

  /** A day is written out; a number, small or beyond all bounds, is told so and nothing is kept. */
  @ParameterizedTest
  @ValueSource(
      strings = {"5", "9223372036854775808", "1e999", "\"+999999999-12-31\"", "\"0007-01-01\""})
  void aNumberIsNoDay(String number) {
    App.resetDemo();
    Http visitor = Http.visitor();
    String counted =
        """
        {"commandId": "n1", "device": "", "records": [{"on": %s, "fact": {"kind": "LOT_COUNTED",
         "lotId": "fescue-rounds", "units": 40, "note": ""}}]}"""
            .formatted(number);
    String before = fingerprint();
    assertThat(visitor.post("/api/plans/quillback/records", counted).status()).isEqualTo(422);
    Http.Answer queued = visitor.post("/api/plans/quillback/records/queued", "[" + counted + "]");
    assertThat(queued.status()).isEqualTo(200);
    assertThat(queued.json().get(0).get("refused").get("code").asString()).isEqualTo("unreadable");
    assertThat(fingerprint()).isEqualTo(before);
  }

  private static final String[] TYPES = {
    "text/plain",
    "application/xml",
    "application/octet-stream",
    "multipart/form-data",
    "x/y",
    "application/json;charset=utf-16"
  };

  private void ground() {
    if (farm == null || http.get("/api/farms/" + farm + "/people").status() != 200) {
      Farms.Made made =
          App.bean(Farms.class)
              .make(
                  ann,
                  new FarmFile.Content(
                      "Ground", List.of(Operations.DEMO, Operations.DEMO), List.of()),
                  Told.How.BEGAN_EMPTY);
      farm = made.farm();
      plan = made.plan();
    } else if (http.get("/api/plans/" + plan).status() != 200) {
      FarmFile.Content more = new FarmFile.Content("Ground", List.of(Operations.DEMO), List.of());
      plan = App.bean(Farms.class).addPlans(farm, ann, more, Told.How.BEGAN_FROM_FILE).get(0);
    }
  }

  /**
   * One line for all that is stored but sessions: each row with the transaction that last wrote it.
   */
  private static String fingerprint() {
    return App.jdbc()
        .sql(
            """
            select concat_ws('|',
              (select string_agg(concat(id, ':', xmin), ',' order by id) from plan),
              (select count(*) from plan_revision),
              (select count(*) from farm_record),
              (select string_agg(concat(farm_id, person_id, ':', xmin), ',' order by farm_id, person_id)
               from farm_member),
              (select string_agg(concat(id, ':', xmin), ',' order by id) from farm),
              (select string_agg(concat(id, ':', xmin), ',' order by id) from person),
              (select string_agg(concat(id, ':', xmin), ',' order by id) from invitation))""")
        .query(String.class)
        .single();
  }

  private String path(String operation, int i) {
    String path = operation.substring(operation.indexOf(' ') + 1);
    boolean odd = i % 3 == 0;
    while (path.contains("{")) {
      String name = path.substring(path.indexOf('{') + 1, path.indexOf('}'));
      String value =
          odd
              ? odd(ODD_PATHS)
              : switch (name) {
                case "farm" -> farm;
                case "id" -> plan;
                case "kind" -> "FIELDS";
                default -> "1";
              };
      path = path.replace("{" + name + "}", value);
    }
    String query =
        switch (i % 6) {
          case 0 -> "?revision=1&gap=0&format=CSV&season=scenario:none&name=x";
          case 1 -> "?revision=x&gap=-1&format=PDF&before=x&season=seed:-9&name=";
          case 2 ->
              "?revision=99999999999&gap=1e9&format=&units=CUBITS&season=recorded:1:2019-02-30";
          case 3 -> "?gap=0&buyDate=soon&patternLotId=%00&before=-5&format=XLSX&revision=-7";
          case 4 -> "?revision=1&gap=0&buyDate=%2B999999999-12-31&format=CSV&before=0";
          default -> "";
        };
    return path + query;
  }

  private byte[] body(String sound, int i) {
    if (sound == null) {
      return i % 4 == 0 ? bytes(odd(ODD)) : null;
    }
    String text = sound.length() > 6000 && random.nextBoolean() ? sound.substring(0, 6000) : sound;
    return switch (i % 8) {
      case 0 -> bytes(odd(ODD));
      case 1 -> bytes(text.substring(0, random.nextInt(text.length())));
      case 2 -> flipped(bytes(text));
      case 3 -> new byte[0];
      case 4 -> bytes(text.replaceFirst("\"[a-zA-Z]+\":", "\"somethingElse\":"));
      case 5 -> bytes("[".repeat(50_000));
      default -> bytes(swapped(text));
    };
  }

  /** One value of the JSON, or one cell of the CSV, replaced by something odd. */
  private String swapped(String text) {
    String[] values = text.split("(?<=:)\\s*|(?=[,}\\]])", -1);
    int at = random.nextInt(values.length);
    for (int k = 0; k < values.length; k++) {
      int n = (at + k) % values.length;
      if (values[n].matches("(?s)\\s*(\"[^\"]*\"|-?[0-9.]+|true|false|null|[a-z0-9]+)\\s*")) {
        values[n] = odd(ODD);
        break;
      }
    }
    return String.join("", values);
  }

  private byte[] flipped(byte[] body) {
    byte[] flipped = body.clone();
    for (int k = 0; k < 1 + random.nextInt(6); k++) {
      flipped[random.nextInt(flipped.length)] = (byte) random.nextInt(256);
    }
    return flipped;
  }

  private String odd(String[] of) {
    return of[random.nextInt(of.length)];
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static String cut(byte[] body) {
    return body == null ? "" : cut(new String(body, StandardCharsets.UTF_8));
  }

  private static String cut(String text) {
    return text.length() > 200 ? text.substring(0, 200) : text;
  }
}
