package wiselarder.server.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import wiselarder.server.App;
import wiselarder.server.Http;

/** Changes arrive at the screens of the others, also those of another instance. */
@Timeout(60)
class LiveTest {
  private static final String EDIT =
      """
      {"revision": %d, "onTopOf": null, "edits":
       [{"setYear": {"start": "2027-10-01", "months": 13}}], "alsoIn": []}""";

  @BeforeEach
  void emptyButForTheDemo() {
    App.resetDemo();
  }

  @Test
  void anEditOfOneIsToldToTheOthers() throws IOException {
    Http one = Http.visitor();
    try (Screen other = new Screen(Http.visitor(), "quillback")) {
      int revision = one.get("/api/plans/quillback").json().get("revision").asInt();
      // what was stored between its reading of the plan and now
      assertThat(other.next())
          .isEqualTo("stands:{\"plan\":\"quillback\",\"revision\":%d}".formatted(revision));
      one.post("/api/plans/quillback/edits", EDIT.formatted(revision));
      assertThat(other.next())
          .isEqualTo("changed:{\"plan\":\"quillback\",\"revision\":%d}".formatted(revision + 1));
      one.post("/api/plans/quillback/undo", "{\"revision\": %d}".formatted(revision + 1));
      assertThat(other.next()).contains("\"revision\":%d".formatted(revision + 2));
    }
  }

  @Test
  void whatWasSeenIsToldAndWhatIsRefusedIsNot() throws IOException {
    Http one = Http.visitor();
    try (Screen other = new Screen(Http.visitor(), "quillback")) {
      other.next();
      // a number that nobody has: nothing is stored, so nothing is told
      assertThat(one.post("/api/plans/quillback/edits", EDIT.formatted(900)).status())
          .isEqualTo(422);
      one.post(
          "/api/plans/quillback/records",
          """
          {"commandId": "fed-1", "device": "yard phone", "records": [{"on": "2027-12-01",
           "fact": {"kind": "LOT_FED", "lotId": "fescue-rounds", "units": 5, "groupId": "cows",
            "note": ""}}]}""");
      assertThat(other.next()).isEqualTo("changed:{\"plan\":null,\"revision\":null}");
    }
  }

  @Test
  void whatAnotherInstanceStoresIsToldToo() throws IOException {
    try (Screen screen = new Screen(Http.visitor(), "quillback")) {
      screen.next();
      // as another instance would: by the database alone
      App.jdbc()
          .sql(
              """
              insert into plan_revision (plan_id, number, kind, told, edits, content, content_version)
              select r.plan_id, 77, r.kind, r.told, r.edits, r.content, r.content_version
              from plan_revision r join plan p on p.id = r.plan_id
              where p.slug = 'quillback' and r.number = 1""")
          .update();
      assertThat(screen.next()).isEqualTo("changed:{\"plan\":\"quillback\",\"revision\":77}");
    }
  }

  @Test
  void anotherFarmsScreenHearsNothing() throws IOException {
    Http one = Http.visitor();
    try (Screen other = new Screen(Http.visitor(), "spruce-hollow")) {
      other.next();
      int revision = one.get("/api/plans/quillback").json().get("revision").asInt();
      one.post("/api/plans/quillback/edits", EDIT.formatted(revision));
      int theirs = one.get("/api/plans/spruce-hollow").json().get("revision").asInt();
      one.post("/api/plans/spruce-hollow/edits", EDIT.formatted(theirs));
      // the first that it hears is its own
      assertThat(other.next()).contains("spruce-hollow");
    }
  }

  @Test
  void onlyWhoIsOfTheFarmHears() {
    Http.Answer foreign = Http.person("other").get("/api/plans/quillback/live");
    assertThat(foreign.status()).isEqualTo(404);
    assertThat(Http.stranger().get("/api/plans/quillback/live").status()).isEqualTo(401);
  }

  /** A screen that is open on a plan. */
  private static final class Screen implements AutoCloseable {
    private final BufferedReader lines;

    Screen(Http http, String plan) {
      HttpResponse<java.io.InputStream> answer =
          http.stream(
              HttpRequest.newBuilder(URI.create(App.url() + "/api/plans/" + plan + "/live"))
                  .build());
      assertThat(answer.statusCode()).isEqualTo(200);
      lines = new BufferedReader(new InputStreamReader(answer.body(), StandardCharsets.UTF_8));
    }

    /** The next event as name:data. */
    String next() throws IOException {
      String name = "";
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        if (line.startsWith("event:")) {
          name = line.substring("event:".length());
        } else if (line.startsWith("data:")) {
          return name + ":" + line.substring("data:".length());
        }
      }
      return "ended";
    }

    @Override
    public void close() throws IOException {
      lines.close();
    }
  }
}
