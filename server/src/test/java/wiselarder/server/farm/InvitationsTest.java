package wiselarder.server.farm;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import wiselarder.server.App;
import wiselarder.server.Http;

/** People come to a farm by a link, hold a role, and leave. */
class InvitationsTest {
  private Http ann;
  private String farm;

  @BeforeEach
  void annsFarm() {
    App.resetDemo();
    ann = Http.person("ann");
    farm =
        "/api/farms/"
            + ann.post(
                    "/api/farms",
                    """
                    {"name": "Small", "climateId": "transition_humid", "units": "METRIC",
                     "currency": "EUR", "start": "2027-10-01"}""")
                .json()
                .get("farm")
                .asString();
  }

  private String invite(String name, String role) {
    return ann.post(
            farm + "/invitations", "{\"name\": \"%s\", \"role\": \"%s\"}".formatted(name, role))
        .json()
        .get("token")
        .asString();
  }

  private static Http.Answer accept(Http http, String token, String email) {
    return http.post(
        "/api/invitations/" + token,
        "{\"name\": \"Bea\", \"email\": \"%s\", \"password\": \"%s\"}"
            .formatted(email, Http.PASSWORD));
  }

  private JsonNode people() {
    return ann.get(farm + "/people").json().get("people");
  }

  @Test
  void aLinkLetsOnePersonInOnce() {
    String token = invite("Bea", "PLANNER");
    Http bea = Http.stranger();
    JsonNode offer = bea.get("/api/invitations/" + token).json();
    assertThat(offer.get("farm").asString()).isEqualTo("Small");
    assertThat(offer.get("role").asString()).isEqualTo("PLANNER");
    assertThat(offer.get("invitedBy").asString()).isEqualTo("ann");
    assertThat(accept(bea, token, "bea@farm.example").status()).isEqualTo(200);
    assertThat(bea.get("/api/farms").json().get("farms").get(0).get("role").asString())
        .isEqualTo("PLANNER");
    assertThat(accept(Http.stranger(), token, "cleo@farm.example").status()).isEqualTo(404);
    assertThat(people()).hasSize(2);
  }

  /** Who is taken out, or is no owner any more, lets nobody in after that. */
  @ParameterizedTest
  @ValueSource(strings = {"removed", "lowered"})
  void aFormerOwnersInvitationsEnd(String how) {
    Http bea = Http.stranger();
    accept(bea, invite("Bea", "OWNER"), "bea@farm.example");
    String of = "{\"name\": \"Friend\", \"role\": \"OWNER\"}";
    String beas = bea.post(farm + "/invitations", of).json().get("token").asString();
    String anns = invite("Cleo", "READER");
    long id = people().get(1).get("id").asLong();
    if (how.equals("removed")) {
      assertThat(ann.delete(farm + "/people/" + id).status()).isEqualTo(204);
    } else {
      assertThat(ann.put(farm + "/people/" + id, "{\"role\": \"PLANNER\"}").status())
          .isEqualTo(204);
    }
    assertThat(accept(Http.stranger(), beas, "friend@farm.example").status()).isEqualTo(404);
    assertThat(Http.stranger().get("/api/invitations/" + beas).status()).isEqualTo(404);
    assertThat(accept(Http.stranger(), anns, "cleo@farm.example").status()).isEqualTo(200);
  }

  @Test
  void aTakenAddressLeavesTheLinkUsable() {
    String token = invite("Bea", "READER");
    Http.Answer answer = accept(Http.stranger(), token, "ann@farm.example");
    assertThat(answer.json().get("code").asString()).isEqualTo("email_taken");
    assertThat(accept(Http.stranger(), token, "bea@farm.example").status()).isEqualTo(200);
  }

  @Test
  void whoHasSignedInTakesALinkAndNeverLosesARole() {
    Http bea = Http.person("bea");
    assertThat(bea.post("/api/invitations/" + invite("Bea", "PLANNER") + "/mine", "{}").status())
        .isEqualTo(200);
    bea.post("/api/invitations/" + invite("Bea", "READER") + "/mine", "{}");
    assertThat(bea.get("/api/farms").json().get("farms").get(0).get("role").asString())
        .isEqualTo("PLANNER");
  }

  @Test
  void aWithdrawnOrOldLinkLeadsNowhere() {
    String token = invite("Bea", "READER");
    JsonNode open = ann.get(farm + "/people").json().get("invitations");
    assertThat(open).hasSize(1);
    ann.delete(farm + "/invitations/" + open.get(0).get("id").asString());
    assertThat(Http.stranger().get("/api/invitations/" + token).status()).isEqualTo(404);
    String old = invite("Bea", "READER");
    App.jdbc().sql("update invitation set expires_at = now() - interval '1 minute'").update();
    assertThat(accept(Http.stranger(), old, "bea@farm.example").status()).isEqualTo(404);
  }

  @Test
  void onlyTheHashOfALinkIsKept() {
    String token = invite("Bea", "READER");
    assertThat(App.jdbc().sql("select token_hash from invitation").query(String.class).single())
        .hasSize(64)
        .doesNotContain(token);
  }

  @Test
  void aRoleChangesAndEndsAtOnceAndTheLastOwnerStays() {
    Http bea = Http.stranger();
    accept(bea, invite("Bea", "PLANNER"), "bea@farm.example");
    long annId = people().get(0).get("id").asLong();
    long beaId = people().get(1).get("id").asLong();
    Http.Answer last = ann.put(farm + "/people/" + annId, "{\"role\": \"READER\"}");
    assertThat(last.json().get("code").asString()).isEqualTo("last_owner");
    ann.put(farm + "/people/" + beaId, "{\"role\": \"OWNER\"}");
    assertThat(bea.get("/api/farms").json().get("farms").get(0).get("role").asString())
        .isEqualTo("OWNER");
    assertThat(ann.delete(farm + "/people/" + annId).status()).as("ann leaves").isEqualTo(204);
    assertThat(ann.get(farm + "/people").status()).isEqualTo(404);
    assertThat(bea.delete(farm + "/people/" + beaId).status()).isEqualTo(422);
  }
}
