package wiselarder.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The web client's types come from web/openapi.json: it must be what the server really offers. */
class OpenApiTest {
  private static final Path COMMITTED = Path.of("../web/openapi.json");

  @Test
  void theCommittedDescriptionIsWhatTheServerOffers() throws Exception {
    JsonMapper mapper =
        JsonMapper.builder()
            .enable(tools.jackson.databind.MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
            .build();
    HttpResponse<String> answer =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(URI.create(App.url() + "/api/openapi")).build(),
                HttpResponse.BodyHandlers.ofString());
    assertThat(answer.statusCode()).isEqualTo(200);
    JsonNode offered = mapper.readTree(answer.body());
    ((ObjectNode) offered).remove("servers");
    if (Boolean.getBoolean("larder.openapi.write")) {
      String text =
          mapper.writer().with(SerializationFeature.INDENT_OUTPUT).writeValueAsString(offered);
      Files.writeString(COMMITTED, text + "\n");
    }
    assertThat(mapper.readTree(Files.readString(COMMITTED)))
        .as("web/openapi.json; renew it with ./larder api")
        .isEqualTo(offered);
  }
}
