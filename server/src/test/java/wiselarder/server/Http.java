package wiselarder.server;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A client that keeps cookies and sends the CSRF token, as the web client does. */
public final class Http {
  private static final JsonMapper MAPPER = new JsonMapper();

  private final CookieManager cookies = new CookieManager();
  private final HttpClient client = HttpClient.newBuilder().cookieHandler(cookies).build();

  /** An answer with its body read as JSON, null where it is none. */
  public record Answer(int status, JsonNode json, HttpResponse<String> raw) {}

  public Answer get(String path) {
    return send(HttpRequest.newBuilder(URI.create(App.url() + path)).build());
  }

  public Answer post(String path, String body) {
    get("/api/plans");
    String token =
        cookies.getCookieStore().getCookies().stream()
            .filter(c -> c.getName().equals("XSRF-TOKEN"))
            .findFirst()
            .orElseThrow()
            .getValue();
    return send(
        HttpRequest.newBuilder(URI.create(App.url() + path))
            .header("Content-Type", "application/json")
            .header("X-XSRF-TOKEN", token)
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build());
  }

  public Answer send(HttpRequest request) {
    try {
      HttpResponse<String> raw = client.send(request, HttpResponse.BodyHandlers.ofString());
      String type = raw.headers().firstValue("Content-Type").orElse("");
      JsonNode json =
          type.contains("json") && !raw.body().isEmpty() ? MAPPER.readTree(raw.body()) : null;
      return new Answer(raw.statusCode(), json, raw);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}
