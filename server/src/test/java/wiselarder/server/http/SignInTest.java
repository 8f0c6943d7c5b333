package wiselarder.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.SpringApplication;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import tools.jackson.databind.JsonNode;
import wiselarder.server.App;
import wiselarder.server.Http;
import wiselarder.server.WiseLarder;
import wiselarder.server.people.Secret;

/** The first owner, sign-in and out, and what keeps others out. */
class SignInTest {
  @BeforeEach
  void nobodyYet() {
    App.resetDemo();
  }

  private static String first(String name, String email, String password) {
    return "{\"name\": \"%s\", \"email\": \"%s\", \"password\": \"%s\"}"
        .formatted(name, email, password);
  }

  private static String signIn(String email, String password) {
    return "{\"email\": \"%s\", \"password\": \"%s\"}".formatted(email, password);
  }

  @Test
  void theFirstToComeIsMadeOwnerAndNobodyAfter() {
    Http ann = Http.stranger();
    assertThat(ann.get("/api/session").json().get("firstStart").asBoolean()).isTrue();
    Http.Answer made =
        ann.post("/api/people/first", first("Ann", "Ann@Farm.example", Http.PASSWORD));
    assertThat(made.json().get("who").get("name").asString()).isEqualTo("Ann");
    assertThat(made.json().get("firstStart").asBoolean()).isFalse();
    Http.Answer second =
        Http.stranger().post("/api/people/first", first("Bob", "bob@farm.example", Http.PASSWORD));
    assertThat(second.status()).isEqualTo(422);
    assertThat(second.json().get("code").asString()).isEqualTo("not_first");
    assertThat(
            Http.stranger()
                .post("/api/session", signIn(" ANN@farm.example ", Http.PASSWORD))
                .status())
        .isEqualTo(200);
  }

  @ParameterizedTest
  @CsvSource({
    "short, person.password",
    "aaaaaaaaaaaaaaa, person.password",
    "ann@farm.example, person.password",
    "password123, person.password",
    "Qwertyuiop, person.password",
    "1234567890, person.password",
    "iloveyou12, person.password",
    "P@ssw0rd2027, person.password",
    "sunshine2026, person.password",
    "wiselarder1, person.password",
  })
  void aWeakPasswordIsRefused(String password, String field) {
    Http.Answer answer =
        Http.stranger().post("/api/people/first", first("Ann", "ann@farm.example", password));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().get("field").asString()).isEqualTo(field);
  }

  @Test
  void aWrongPasswordTellsNothingAndGuessingIsSlowedDown() {
    Http.person("ann");
    Http thief = Http.stranger();
    Http.Answer wrong = thief.post("/api/session", signIn("ann@farm.example", "not this one"));
    Http.Answer nobody = thief.post("/api/session", signIn("zoe@farm.example", "not this one"));
    assertThat(wrong.status()).isEqualTo(401);
    assertThat(wrong.json()).isEqualTo(nobody.json());
    int status = 0;
    for (int i = 0; i < 60 && status != 429; i++) {
      status = thief.post("/api/session", signIn("ann@farm.example", "guess " + i)).status();
    }
    assertThat(status).isEqualTo(429);
    Http.Answer later = thief.post("/api/session", signIn("ann@farm.example", Http.PASSWORD));
    assertThat(later.status()).isEqualTo(429);
    assertThat(later.raw().headers().firstValueAsLong("Retry-After").orElse(0)).isBetween(1L, 60L);
  }

  /** However an address is spelled it is one account; one's own password forgives no guess. */
  @Test
  void spellingsAndOnesOwnPasswordGiveNoMoreGuesses() {
    Http.person("ann");
    Http.person("eve");
    Http thief = Http.stranger();
    int guesses = 0;
    String[] spelled = {
      "ann@farm.example", " Ann@farm.example", "ANN@FARM.EXAMPLE ", "aNN@farm.Example"
    };
    for (int i = 0; i < 40; i++) {
      int status =
          thief.post("/api/session", signIn(spelled[i % spelled.length], "guess " + i)).status();
      guesses += status == 401 ? 1 : 0;
      thief.post("/api/session", signIn("eve@farm.example", Http.PASSWORD));
    }
    // ten at once, and what is given back in the seconds that this takes
    assertThat(guesses).isBetween(10, 16);
  }

  /** Whoever signed in with a device before is not locked out by strangers who try their luck. */
  @Test
  void strangersWhoGuessDoNotLockTheOwnerOut() {
    Http owner = Http.person("ann");
    owner.delete("/api/session");
    Http thief = Http.stranger();
    int status = 0;
    for (int i = 0; i < 60 && status != 429; i++) {
      // every guess from another address, so that the account alone is counted
      App.jdbc()
          .sql("delete from guess_bucket where id = :id")
          .param("id", Secret.hash("from 127.0.0.1"))
          .update();
      status = thief.post("/api/session", signIn("ann@farm.example", "guess " + i)).status();
    }
    assertThat(status).isEqualTo(429);
    App.jdbc()
        .sql("delete from guess_bucket where id = :id")
        .param("id", Secret.hash("from 127.0.0.1"))
        .update();
    assertThat(thief.post("/api/session", signIn("ann@farm.example", Http.PASSWORD)).status())
        .isEqualTo(429);
    assertThat(owner.post("/api/session", signIn("ann@farm.example", Http.PASSWORD)).status())
        .isEqualTo(200);
  }

  /** A hash of before is replaced by one of today when its owner signs in. */
  @Test
  void anOldHashIsReplacedAtSignIn() {
    Http.person("ann");
    App.jdbc()
        .sql("update person set password_hash = :hash where email = 'ann@farm.example'")
        .param("hash", new BCryptPasswordEncoder(4).encode(Http.PASSWORD))
        .update();
    assertThat(Http.stranger().post("/api/session", signIn("ann@farm.example", "x")).status())
        .isEqualTo(401);
    Http.signedIn("ann");
    assertThat(
            App.jdbc()
                .sql("select password_hash from person where email = 'ann@farm.example'")
                .query(String.class)
                .single())
        .startsWith("{argon2id}$argon2id$v=19$m=19456,t=2,p=1$");
    Http.signedIn("ann");
  }

  @Test
  void aSessionIsListedAndEndedAndAllOfThemAre() {
    Http here = Http.person("ann");
    Http elsewhere = Http.signedIn("ann");
    Http.Answer list = here.get("/api/sessions");
    assertThat(list.json()).hasSize(2);
    JsonNode other =
        list.json().valueStream().filter(s -> !s.get("mine").asBoolean()).findFirst().orElseThrow();
    assertThat(list.json().valueStream().filter(s -> s.get("mine").asBoolean())).hasSize(1);
    Http bob = Http.person("bob");
    assertThat(bob.delete("/api/sessions/" + other.get("id").asString()).status()).isEqualTo(404);
    assertThat(elsewhere.get("/api/farms").status()).isEqualTo(200);
    assertThat(here.delete("/api/sessions/" + other.get("id").asString()).status()).isEqualTo(204);
    assertThat(elsewhere.get("/api/farms").status()).isEqualTo(401);
    Http third = Http.signedIn("ann");
    assertThat(here.delete("/api/sessions").status()).isEqualTo(204);
    assertThat(here.get("/api/farms").status()).isEqualTo(401);
    assertThat(third.get("/api/farms").status()).isEqualTo(401);
    assertThat(bob.get("/api/farms").status()).isEqualTo(200);
  }

  /** The visitor is many people: they neither see nor end each other's sessions. */
  @Test
  void visitorsSeeNoSessions() {
    Http one = Http.visitor();
    Http.visitor();
    assertThat(one.get("/api/sessions").json()).isEmpty();
    assertThat(one.delete("/api/sessions").status()).isEqualTo(404);
  }

  /** That a session was used is written down once a minute. */
  @Test
  void aSessionThatIsUsedLivesOnWithoutAWriteForEachRequest() {
    Http ann = Http.person("ann");
    String used = "select max(last_access_time) from spring_session";
    long before = App.jdbc().sql(used).query(Long.class).single();
    for (int i = 0; i < 5; i++) {
      ann.get("/api/farms");
    }
    assertThat(App.jdbc().sql(used).query(Long.class).single()).isEqualTo(before);
    App.jdbc()
        .sql("update spring_session set last_access_time = last_access_time - 120000")
        .update();
    ann.get("/api/farms");
    assertThat(App.jdbc().sql(used).query(Long.class).single()).isGreaterThanOrEqualTo(before);
    assertThat(
            App.jdbc()
                .sql("select expiry_time - last_access_time from spring_session")
                .query(Long.class)
                .list())
        .containsOnly(Duration.ofDays(14).toMillis());
  }

  @Test
  void aSessionEndsThoughItIsUsed() {
    Http ann = Http.person("ann");
    App.jdbc()
        .sql("update spring_session set creation_time = creation_time - :ms")
        .param("ms", Duration.ofDays(61).toMillis())
        .update();
    assertThat(ann.get("/api/farms").status()).isEqualTo(401);
    assertThat(ann.get("/api/session").json().get("who").isNull()).isTrue();
  }

  @Test
  void anAddressThatNoneCanBeIsRefusedBeforeAnythingIsCounted() {
    String long1 = "a".repeat(2_000_000) + "@farm.example";
    for (int i = 0; i < 30; i++) {
      try {
        Http.Answer answer = Http.stranger().post("/api/session", signIn(long1, "guess"));
        assertThat(answer.status()).isIn(413, 422);
      } catch (UncheckedIOException e) {
        // it was refused while so much of it was still on its way, and the answer was lost with it
        assertThat(e.getCause()).isInstanceOf(IOException.class);
      }
    }
    Http.person("ann");
  }

  @Test
  void signingInGivesTheSessionANewNameAndSigningOutEndsIt() {
    Http ann = Http.person("ann");
    assertThat(ann.get("/api/farms").status()).isEqualTo(200);
    Http.Answer again = ann.post("/api/session", signIn("ann@farm.example", Http.PASSWORD));
    assertThat(again.raw().headers().allValues("Set-Cookie"))
        .anySatisfy(
            c -> assertThat(c).startsWith("larder=").contains("HttpOnly", "SameSite=Strict"));
    assertThat(ann.delete("/api/session").status()).isEqualTo(200);
    assertThat(ann.get("/api/farms").status()).isEqualTo(401);
  }

  @Test
  void aNewPasswordEndsEveryOtherSession() {
    Http here = Http.person("ann");
    Http elsewhere = Http.signedIn("ann");
    String change = "{\"old\": \"%s\", \"password\": \"meadow fescue ley\"}";
    assertThat(here.post("/api/people/password", change.formatted("wrong one")).status())
        .isEqualTo(422);
    assertThat(here.post("/api/people/password", change.formatted(Http.PASSWORD)).status())
        .isEqualTo(200);
    assertThat(here.get("/api/farms").status()).isEqualTo(200);
    assertThat(elsewhere.get("/api/farms").status()).isEqualTo(401);
  }

  @Test
  void withoutTheCsrfTokenNothingIsTaken() {
    Http visitor = Http.visitor();
    Http.Answer answer =
        visitor.send(
            HttpRequest.newBuilder(URI.create(App.url() + "/api/plans/quillback/undo"))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString("{\"revision\": 1}"))
                .build());
    assertThat(answer.status()).isEqualTo(403);
    assertThat(answer.json().get("code").asString()).isEqualTo("forbidden");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/",
        "/api/session",
        "/api/farms",
        "/api/nothing",
        "/actuator/health",
        "/deep/link",
        "/a;b=c"
      })
  void everyAnswerCarriesTheHeaders(String path) {
    HttpResponse<String> answer = Http.stranger().get(path).raw();
    assertThat(answer.headers().firstValue("Content-Security-Policy").orElse(""))
        .contains("default-src 'self'", "script-src 'self'", "frame-ancestors 'none'")
        .doesNotContain("unsafe");
    assertThat(answer.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
    assertThat(answer.headers().firstValue("Referrer-Policy")).contains("no-referrer");
  }

  @Test
  void healthIsOpenAndMetricsAreForWhoRunsTheProduct() {
    Http stranger = Http.stranger();
    for (String probe : List.of("", "/liveness", "/readiness")) {
      assertThat(stranger.get("/actuator/health" + probe).json().get("status").asString())
          .isEqualTo("UP");
    }
    assertThat(stranger.get("/actuator/prometheus").status()).isEqualTo(401);
    assertThat(Http.person("bob").get("/actuator/prometheus").status()).isEqualTo(403);
    App.resetDemo();
    Http ann = Http.stranger();
    ann.post("/api/people/first", first("Ann", "ann@farm.example", Http.PASSWORD));
    assertThat(ann.get("/actuator/prometheus").raw().body())
        .contains("http_server_requests_seconds_count", "hikaricp_connections");
    assertThat(ann.get("/actuator/env").status()).isEqualTo(404);
  }

  @Test
  void anAnswerNamesTheLineOfTheLog() {
    assertThat(
            Http.stranger()
                .get("/api/session")
                .raw()
                .headers()
                .firstValue("X-Request-Id")
                .orElse(""))
        .matches("[0-9a-f]{8}");
  }

  @Test
  void elsewhereThanOnLoopbackItStartsOnlyWithAPassword() {
    assertThatThrownBy(() -> start("0.0.0.0")).hasStackTraceContaining("nobody has a password yet");
    assertThatThrownBy(() -> start("127.0.0.1", "--larder.names=farm.example"))
        .hasStackTraceContaining("nobody has a password yet");
  }

  private static void start(String address, String... more) {
    String[] all = {
      "--server.port=0",
      "--server.address=" + address,
      "--larder.warm-up=false",
      "--logging.level.org.springframework=off",
      "--spring.datasource.url=" + System.getenv("LARDER_TEST_DB") + "?currentSchema=listening",
      "--spring.flyway.schemas=listening",
      "--spring.datasource.username=larder",
      "--spring.datasource.password=larder"
    };
    new SpringApplication(WiseLarder.class)
        .run(Stream.concat(Stream.of(all), Stream.of(more)).toArray(String[]::new))
        .close();
  }
}
